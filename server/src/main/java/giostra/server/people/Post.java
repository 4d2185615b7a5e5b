package giostra.server.people;

import giostra.core.value.Refused;
import giostra.server.Settings;
import giostra.server.posta.Posta;
import jakarta.mail.internet.AddressException;
import jakarta.mail.internet.InternetAddress;
import java.util.Locale;
import java.util.Properties;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.mail.MailException;
import org.springframework.mail.SimpleMailMessage;
import org.springframework.mail.javamail.JavaMailSenderImpl;
import org.springframework.stereotype.Service;

/** Sends messages by SMTP (RFC 5321). */
@Service
class Post {
  private static final Logger LOG = LoggerFactory.getLogger(Post.class);

  /** Characters; RFC 5321, 4.5.3.1.3 with its brackets. */
  private static final int LONGEST_ADDRESS = 254;

  private final Settings.Mail mail;
  private final Posta posta;

  Post(Settings settings, Posta posta) {
    this.mail = settings.mail();
    this.posta = posta;
  }

  /**
   * An address in small letters.
   *
   * @throws Refused for what is none
   */
  static String address(String typed) {
    String text = typed.strip().toLowerCase(Locale.ROOT);
    try {
      if (text.length() <= LONGEST_ADDRESS
          && text.chars().noneMatch(each -> Character.isISOControl(each) || each == ',')) {
        var read = new InternetAddress(text, true);
        if (text.equals(read.getAddress()) && text.indexOf('@') > 0) {
          return text;
        }
      }
    } catch (AddressException e) {
      // Said below.
    }
    throw new Refused("address", typed, "one for mail, such as ada@studio.example").at("/address");
  }

  /** Where messages can be read while they go to the stand-in; else empty. */
  String mailbox() {
    return posta.address();
  }

  /** Sends a message; whether it was taken. Nothing of a database may be held meanwhile. */
  boolean send(String to, String subject, String text) {
    var sender = new JavaMailSenderImpl();
    boolean own = mail.host().isEmpty();
    sender.setHost(own ? "127.0.0.1" : mail.host());
    sender.setPort(own ? posta.smtp() : mail.port());
    Properties how = sender.getJavaMailProperties();
    how.setProperty("mail.smtp.connectiontimeout", "3000");
    how.setProperty("mail.smtp.timeout", "5000");
    how.setProperty("mail.smtp.writetimeout", "5000");
    how.setProperty("mail.smtp.localhost", "localhost");
    if (!own && !mail.account().isEmpty()) {
      sender.setUsername(mail.account());
      sender.setPassword(mail.secret());
      how.setProperty("mail.smtp.auth", "true");
      // What lets the server in is not told to who listens.
      how.setProperty("mail.smtp.starttls.enable", "true");
      how.setProperty("mail.smtp.starttls.required", "true");
    }
    var message = new SimpleMailMessage();
    message.setFrom(mail.from());
    message.setTo(to);
    message.setSubject(subject);
    message.setText(text);
    try {
      sender.send(message);
      posta.keepFew();
      return true;
    } catch (MailException e) {
      LOG.warn(
          "a message was not taken by {}:{}: {}",
          sender.getHost(),
          sender.getPort(),
          e.getMessage());
      return false;
    }
  }
}
