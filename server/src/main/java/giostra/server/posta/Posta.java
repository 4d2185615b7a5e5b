package giostra.server.posta;

import com.icegreen.greenmail.util.GreenMail;
import com.icegreen.greenmail.util.ServerSetup;
import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import giostra.server.Settings;
import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.internet.MimeMessage;
import java.io.IOException;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.concurrent.Executors;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Component;
import org.springframework.web.util.HtmlUtils;

/**
 * The mailbox: takes every message by SMTP on loopback, and shows the newest at {@code /}. It is
 * there where no server of mail is configured.
 */
@Component
public class Posta implements DisposableBean {
  private static final Logger LOG = LoggerFactory.getLogger(Posta.class);

  /** Messages that are kept. */
  private static final int MOST = 100;

  private final @Nullable GreenMail mail;
  private final @Nullable HttpServer page;

  Posta(Settings settings) throws IOException {
    if (!settings.mail().host().isEmpty()) {
      mail = null;
      page = null;
      return;
    }
    var setup = new ServerSetup(settings.mail().port(), "127.0.0.1", ServerSetup.PROTOCOL_SMTP);
    var taken = new GreenMail(setup);
    taken.start();
    mail = taken;
    HttpServer shown =
        HttpServer.create(new InetSocketAddress("127.0.0.1", settings.postaPort()), 0);
    shown.setExecutor(Executors.newVirtualThreadPerTaskExecutor());
    shown.createContext(
        "/",
        exchange -> {
          try (exchange) {
            show(exchange, taken);
          }
        });
    shown.start();
    page = shown;
  }

  @Override
  public void destroy() {
    if (page != null) {
      page.stop(0);
    }
    if (mail != null) {
      mail.stop();
    }
  }

  /** Forgets all where so many have come that they would fill the memory. */
  public void keepFew() {
    if (mail != null && mail.getReceivedMessages().length > 10 * MOST) {
      try {
        mail.purgeEmailFromAllMailboxes();
      } catch (com.icegreen.greenmail.store.FolderException e) {
        LOG.warn("messages are not forgotten", e);
      }
    }
  }

  /** The port that takes messages; -1 where another server does. */
  public int smtp() {
    return mail == null ? -1 : mail.getSmtp().getPort();
  }

  /** Where the messages can be read; empty where another server has them. */
  public String address() {
    return page == null ? "" : "http://127.0.0.1:" + page.getAddress().getPort() + "/";
  }

  private static void show(HttpExchange to, GreenMail mail) throws IOException {
    var html = new StringBuilder(HEAD);
    List<MimeMessage> all = List.of(mail.getReceivedMessages());
    if (all.isEmpty()) {
      html.append("<p>No message has come yet.</p>");
    }
    for (MimeMessage each : all.reversed().subList(0, Math.min(MOST, all.size()))) {
      html.append("<article>");
      try {
        html.append("<h2>").append(escaped(String.valueOf(each.getSubject())));
        html.append("</h2><p>to ");
        for (var who : each.getRecipients(Message.RecipientType.TO)) {
          html.append(escaped(who.toString())).append(' ');
        }
        html.append("</p><pre>").append(linked(String.valueOf(each.getContent()))).append("</pre>");
      } catch (MessagingException e) {
        LOG.warn("a message cannot be shown", e);
        html.append("<p>This message cannot be read.</p>");
      }
      html.append("</article>");
    }
    byte[] bytes = html.append("</main></html>").toString().getBytes(StandardCharsets.UTF_8);
    to.getResponseHeaders().set("Content-Type", "text/html;charset=utf-8");
    to.getResponseHeaders().set("X-Content-Type-Options", "nosniff");
    to.getResponseHeaders().set("Cache-Control", "no-store");
    to.getResponseHeaders()
        .set("Content-Security-Policy", "default-src 'none'; style-src 'unsafe-inline'");
    boolean local =
        LOCAL.contains(
            String.valueOf(to.getRequestHeaders().getFirst("Host")).replaceAll(":[0-9]+$", ""));
    to.sendResponseHeaders(local ? 200 : 403, local ? bytes.length : -1);
    if (local) {
      to.getResponseBody().write(bytes);
    }
  }

  private static String escaped(String text) {
    return HtmlUtils.htmlEscape(text, StandardCharsets.UTF_8.name());
  }

  private static final List<String> LOCAL = List.of("127.0.0.1", "localhost");

  /** Escaped, with its addresses to be followed. */
  private static String linked(String text) {
    return escaped(text.strip())
        .replaceAll("(https?://[^\\s<>&]+)", "<a href=\"$1\" rel=\"noreferrer\">$1</a>");
  }

  private static final String HEAD =
      """
      <!DOCTYPE html><html lang="en"><meta charset="utf-8"><title>Posta</title>
      <meta name="viewport" content="width=device-width">
      <style>body{font:16px/1.5 sans-serif;margin:2rem auto;max-width:44rem;padding:0 1rem;
      color:#222;background:#faf7f2}article{background:#fff;border:1px solid #ddd;
      border-radius:8px;padding:1rem 1.25rem;margin:1rem 0}h1,h2{font-weight:600;margin:0}
      h2{font-size:1.1rem}pre{white-space:pre-wrap;overflow-wrap:anywhere;font:inherit}</style>
      <main><h1>Posta</h1><p>The mailbox that ships with Giostra. It keeps what the bench would send
      by mail while no server of mail is configured; it forgets everything when Giostra stops.</p>
      """;
}
