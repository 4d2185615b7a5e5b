package giostra.bench;

import giostra.server.testing.Api;
import giostra.server.testing.Process;
import java.awt.Color;
import java.awt.GradientPaint;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import java.util.Random;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;
import javax.imageio.ImageIO;

/** What the server holds of the machine's memory while people edit, upload and publish. */
final class Lasting {
  private static final int UPLOAD_EVERY = 5;
  private static final int RELEASE_EVERY = 20;
  private static final int TELL_EVERY = 60;

  /** Seconds of nothing after it, and so long for what is given back. */
  private static final int REST = 60;

  private final Api api;
  private final Random random = new Random(1);
  private final List<String> pages;
  private final String site;

  private Lasting(Api api, int people) {
    this.api = api;
    this.site = api.newSite("Lasting");
    this.pages =
        Stream.generate(() -> api.newPage(site, LargePage.mixed(10))).limit(people).toList();
  }

  /** Prints MB resident: after the start, while people edit, and when they have gone. */
  static void measure(Process app, int people, int minutes)
      throws IOException, InterruptedException {
    told("after the start", app);
    new Lasting(app.api(), people).goesOn(app, minutes);
    TimeUnit.SECONDS.sleep(REST);
    told("a minute after they have gone", app);
  }

  private static void told(String when, Process app) {
    System.out.printf("memory %s: %d MB (budget 512)%n", when, app.resident() >> 20);
  }

  private void goesOn(Process app, int minutes) throws IOException, InterruptedException {
    var taken = new AtomicInteger();
    var refused = new AtomicInteger();
    int seconds = minutes * 60;
    long most = 0;
    long start = System.nanoTime();
    try (var threads = Executors.newVirtualThreadPerTaskExecutor()) {
      for (int person = 0; person < pages.size(); person++) {
        var editor = new Editor(api, api.page(pages.get(person)));
        long first = start + TimeUnit.SECONDS.toNanos(1) * person / pages.size();
        threads.submit(() -> {
          for (int edit = 0; edit < seconds; edit++) {
            TimeUnit.NANOSECONDS.sleep(first + TimeUnit.SECONDS.toNanos(edit) - System.nanoTime());
            (editor.edits("piece-" + edit % 10, edit) ? taken : refused).incrementAndGet();
          }
          return null;
        });
      }
      for (int second = 1; second <= seconds; second++) {
        TimeUnit.NANOSECONDS.sleep(start + TimeUnit.SECONDS.toNanos(second) - System.nanoTime());
        if (second % UPLOAD_EVERY == 0
            && api.upload(site, second + ".jpg", photo()).status() != 200) {
          refused.incrementAndGet();
        }
        if (second % RELEASE_EVERY == 0) {
          api.publish(pages.get(second / RELEASE_EVERY % pages.size()));
        }
        most = Math.max(most, app.resident());
        if (second % TELL_EVERY == 0) {
          told("after " + second / 60 + " min of " + pages.size() + " editors and uploads", app);
        }
      }
    }
    System.out.printf(
        "memory: %d MB at the most; %d edits, %d refused or failed%n",
        most >> 20, taken.get(), refused.get());
  }

  /** A picture of 2.4 Mpx, each another one. */
  private byte[] photo() throws IOException {
    var picture = new BufferedImage(2000, 1200, BufferedImage.TYPE_INT_RGB);
    Graphics2D drawn = picture.createGraphics();
    drawn.setPaint(
        new GradientPaint(0, 0, new Color(random.nextInt(1 << 24)), 2000, 1200, Color.ORANGE));
    drawn.fillRect(0, 0, 2000, 1200);
    for (int dot = 0; dot < 2000; dot++) {
      drawn.setColor(new Color(random.nextInt(1 << 24)));
      drawn.fillOval(random.nextInt(2000), random.nextInt(1200), 40, 40);
    }
    drawn.dispose();
    var bytes = new ByteArrayOutputStream();
    ImageIO.write(picture, "jpeg", bytes);
    return bytes.toByteArray();
  }
}
