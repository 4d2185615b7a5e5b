import java.awt.AlphaComposite;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.GradientPaint;
import java.awt.Graphics2D;
import java.awt.RadialGradientPaint;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.io.DataOutputStream;
import java.io.IOException;
import java.util.Random;

/**
 * Draws the demo's clips, frame by frame, as raw rgb24 for ffmpeg:
 *
 * <pre>java demo/Film.java bloom 960 540 24 8 | ffmpeg -f rawvideo -pix_fmt rgb24 -s 960x540 -r 24 -i - bloom.webm</pre>
 *
 * All of it is our own drawing. Names: bloom, lamps, rain, moths.
 */
public final class Film {
  public static void main(String[] args) throws IOException {
    int width = Integer.parseInt(args[1]);
    int height = Integer.parseInt(args[2]);
    int rate = Integer.parseInt(args[3]);
    double seconds = Double.parseDouble(args[4]);
    int frames = (int) Math.round(rate * seconds);
    var out = new DataOutputStream(new java.io.BufferedOutputStream(System.out, 1 << 20));
    byte[] row = new byte[width * 3];
    for (int i = 0; i < frames; i++) {
      var image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
      Graphics2D g = image.createGraphics();
      g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
      g.scale(width / 960.0, width / 960.0);
      draw(args[0], g, 960, 960.0 * height / width, i / (double) (frames - 1), i / (double) rate);
      g.dispose();
      for (int y = 0; y < height; y++) {
        for (int x = 0; x < width; x++) {
          int rgb = image.getRGB(x, y);
          row[3 * x] = (byte) (rgb >> 16);
          row[3 * x + 1] = (byte) (rgb >> 8);
          row[3 * x + 2] = (byte) rgb;
        }
        out.write(row);
      }
    }
    out.flush();
  }

  private static void draw(String name, Graphics2D g, double w, double h, double t, double s) {
    switch (name) {
      case "bloom" -> bloom(g, w, h, t, s);
      case "lamps" -> lamps(g, w, h, s);
      case "rain" -> rain(g, w, h, s);
      case "moths" -> moths(g, w, h, s);
      default -> throw new IllegalArgumentException(name);
    }
  }

  private static void ground(Graphics2D g, double w, double h, Color top, Color bottom) {
    g.setPaint(new GradientPaint(0, 0, top, 0, (float) h, bottom));
    g.fillRect(0, 0, (int) Math.ceil(w), (int) Math.ceil(h));
  }

  private static void glow(Graphics2D g, double x, double y, double r, Color c, double strength) {
    int alpha = (int) Math.round(255 * Math.max(0, Math.min(1, strength)));
    var inner = new Color(c.getRed(), c.getGreen(), c.getBlue(), alpha);
    var outer = new Color(c.getRed(), c.getGreen(), c.getBlue(), 0);
    g.setPaint(
        new RadialGradientPaint(
            (float) x, (float) y, (float) r, new float[] {0, 1}, new Color[] {inner, outer}));
    g.fill(new Ellipse2D.Double(x - r, y - r, 2 * r, 2 * r));
  }

  private static double eased(double t) {
    return t * t * (3 - 2 * t);
  }

  /** A moonflower that opens: whorls of petals unfold one after the other. */
  private static void bloom(Graphics2D g, double w, double h, double t, double s) {
    ground(g, w, h, new Color(0x0d1b22), new Color(0x16352c));
    var random = new Random(5);
    for (int i = 0; i < 40; i++) {
      double x = random.nextDouble() * w;
      double y = random.nextDouble() * h;
      glow(g, x, y, 30 + 60 * random.nextDouble(), new Color(0x2f6652), 0.16);
    }
    double x = w / 2;
    double y = h * 0.5;
    g.setStroke(new BasicStroke(9, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
    g.setColor(new Color(0x2f6652));
    var stem = new Path2D.Double();
    stem.moveTo(x, y);
    stem.curveTo(x + 20, y + h * 0.2, x - 30, y + h * 0.3, x + 6 * Math.sin(s), h + 20);
    g.draw(stem);
    glow(g, x, y, 330, new Color(0xf6efd4), 0.1 + 0.22 * t);
    AffineTransform before = g.getTransform();
    for (int whorl = 0; whorl < 3; whorl++) {
      double open = eased(Math.clamp((t - 0.06 - 0.14 * whorl) / 0.6, 0, 1));
      int petals = 9 - whorl;
      for (int i = 0; i < petals; i++) {
        double angle = 2 * Math.PI * i / petals + whorl * 0.35 + 0.05 * Math.sin(s + i);
        double length = (h * 0.42 - whorl * h * 0.09) * (0.25 + 0.75 * open);
        double across = (h * 0.075 - whorl * 5) * (0.35 + 0.65 * open);
        g.setTransform(before);
        g.translate(x, y);
        g.rotate(angle);
        var petal = new Path2D.Double();
        petal.moveTo(0, 0);
        petal.curveTo(across, -length * 0.3, across * 1.3, -length * 0.8, 0, -length);
        petal.curveTo(-across * 1.3, -length * 0.8, -across, -length * 0.3, 0, 0);
        g.setPaint(
            new GradientPaint(
                0, 0, new Color(0xd9c98a), 0, (float) -length, new Color(0xfffaf0 - whorl * 0x060606)));
        g.fill(petal);
        g.setColor(new Color(120, 110, 70, 60));
        g.setStroke(new BasicStroke(1.4f));
        g.draw(petal);
      }
    }
    g.setTransform(before);
    glow(g, x, y, 26 + 34 * t, new Color(0xe0ac4c), 0.95);
    for (int i = 0; i < 26; i++) {
      double rise = (s * 0.12 + random.nextDouble()) % 1;
      double px = w * random.nextDouble() + 14 * Math.sin(s * 1.4 + i);
      glow(g, px, h * (1.05 - rise * 1.1), 5, new Color(0xf6d98a), 0.8 * (1 - rise));
    }
  }

  /** Rows of lamps that swing. */
  private static void lamps(Graphics2D g, double w, double h, double s) {
    ground(g, w, h, new Color(0x121a2e), new Color(0x2d2338));
    for (int row = 0; row < 3; row++) {
      double y = h * (0.2 + 0.24 * row);
      var wire = new Path2D.Double();
      wire.moveTo(-20, y - 30);
      wire.quadTo(w / 2, y + 40, w + 20, y - 30);
      g.setColor(new Color(0x0b0f1a));
      g.setStroke(new BasicStroke(3));
      g.draw(wire);
      for (int i = 0; i < 8; i++) {
        double u = (i + 0.5) / 8;
        double x = u * w + 12 * Math.sin(s * 1.6 + i + row);
        double at = y - 30 + 140 * u * (1 - u) + 26;
        double flicker = 0.75 + 0.2 * Math.sin(s * 5 + i * 2.1 + row);
        glow(g, x, at, 60 + 18 * row, new Color(0xf0b04a), 0.45 * flicker);
        g.setColor(new Color(0xffe7b0));
        g.fill(new Ellipse2D.Double(x - 7 - row, at - 9, 14 + 2 * row, 18 + 2 * row));
      }
    }
  }

  /** Rain on the panes, with leaves behind. */
  private static void rain(Graphics2D g, double w, double h, double s) {
    ground(g, w, h, new Color(0x28433c), new Color(0x0f1f1c));
    var random = new Random(11);
    for (int i = 0; i < 26; i++) {
      double x = random.nextDouble() * w;
      double y = random.nextDouble() * h;
      glow(g, x, y + 5 * Math.sin(s + i), 50 + 90 * random.nextDouble(), new Color(0x3f8a68), 0.25);
    }
    g.setColor(new Color(10, 20, 18, 150));
    g.setStroke(new BasicStroke(8));
    for (int i = 1; i < 5; i++) {
      g.drawLine((int) (w * i / 5), 0, (int) (w * i / 5), (int) h);
    }
    for (int i = 0; i < 90; i++) {
      double x = random.nextDouble() * w;
      double speed = 60 + 180 * random.nextDouble();
      double y = (random.nextDouble() * h + s * speed) % (h + 40) - 20;
      double size = 3 + 5 * random.nextDouble();
      g.setComposite(AlphaComposite.SrcOver.derive(0.7f));
      g.setColor(new Color(0xcfe6dc));
      g.fill(new Ellipse2D.Double(x, y, size, size * 1.7));
      g.setComposite(AlphaComposite.SrcOver.derive(0.18f));
      g.fill(new Ellipse2D.Double(x + size / 4, y - 46, size / 2, 50));
      g.setComposite(AlphaComposite.SrcOver);
    }
  }

  /** Moths round a light. */
  private static void moths(Graphics2D g, double w, double h, double s) {
    ground(g, w, h, new Color(0x1d1430), new Color(0x0b0916));
    double x = w / 2;
    double y = h / 2;
    glow(g, x, y, 280 + 12 * Math.sin(s * 3), new Color(0xf0c261), 0.6);
    g.setColor(new Color(0xfff3cf));
    g.fill(new Ellipse2D.Double(x - 20, y - 26, 40, 52));
    var random = new Random(3);
    for (int i = 0; i < 12; i++) {
      double r = 70 + 220 * random.nextDouble();
      double a = s * (0.5 + random.nextDouble()) + i;
      double mx = x + r * Math.cos(a);
      double my = y + r * 0.6 * Math.sin(a * 1.3);
      double beat = Math.abs(Math.sin(s * 14 + i));
      AffineTransform before = g.getTransform();
      g.translate(mx, my);
      g.rotate(a + Math.PI / 2);
      g.setColor(new Color(0xe8dcc0));
      for (int side : new int[] {-1, 1}) {
        var wing = new Path2D.Double();
        wing.moveTo(0, 0);
        wing.curveTo(side * 22 * beat, -18, side * 34 * beat, 4, side * 6, 14);
        wing.closePath();
        g.fill(wing);
      }
      g.setTransform(before);
    }
  }
}
