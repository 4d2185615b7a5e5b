import java.awt.*;
import java.awt.geom.*;
import java.awt.image.BufferedImage;
import java.io.File;
import java.util.Random;
import javax.imageio.*;
import javax.imageio.plugins.jpeg.JPEGImageWriteParam;
import javax.imageio.stream.FileImageOutputStream;

/**
 * Draws the picture that the demo's page is held against, with a pencil as it were: {@code java
 * demo/Sketch.java server/src/main/resources/giostra/demo/media}. All is invented.
 */
class Sketch {
  static final Color PAPER = new Color(0xf3efe2), PENCIL = new Color(0x4a4438), WASH = new Color(0xc9b98c);

  public static void main(String[] args) throws Exception {
    int w = 1120, h = 372;
    var image = new BufferedImage(w, h, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    g.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
    var r = new Random(7);
    g.setColor(PAPER);
    g.fillRect(0, 0, w, h);
    // Four names, the first of them washed over; a dotted rule between two.
    String[] names = {"Cloud house", "Fern gully", "Desert room", "Water hall"};
    wash(g, 0, 1, 220, 42, r);
    g.setFont(new Font(Font.SERIF, Font.ITALIC, 19));
    for (int i = 0; i < names.length; i++) {
      int y = 22 + i * 52;
      sign(g, i, 28, y, r);
      g.setColor(PENCIL);
      g.drawString(names[i], 50, y + 6);
      if (i > 0) for (int x = 8; x < 212; x += 8) dot(g, x + r.nextDouble(), y - 26 + r.nextDouble());
    }
    // The panel: edged on all sides, its corners away from the names round.
    line(g, r, 244, 3, 1090, 3);
    line(g, r, 244, 369, 1090, 369);
    line(g, r, 244, 3, 244, 369);
    line(g, r, 1117, 30, 1117, 342);
    arc(g, r, 1090, 30, 27, -90);
    arc(g, r, 1090, 342, 27, 0);
    // A text as lines, and a picture beside it.
    int[][] words = {{92, 712}, {119, 690}, {165, 730}, {192, 330}};
    for (int[] each : words) line(g, r, 278, each[0], each[1], each[0]);
    for (int i = 0; i < 2; i++) { dot(g, 284, 248 + i * 28); line(g, r, 302, 248 + i * 28, i == 0 ? 545 : 590, 248 + i * 28); }
    line(g, r, 782, 33, 1088, 33); line(g, r, 782, 33, 782, 339); line(g, r, 782, 339, 1088, 339); line(g, r, 1088, 33, 1088, 339);
    line(g, r, 782, 339, 1088, 33); line(g, r, 782, 33, 1088, 339);
    g.dispose();
    ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
    var param = new JPEGImageWriteParam(null);
    param.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
    param.setCompressionQuality(0.82f);
    File file = new File(args[0], "houses-sketch.jpg");
    file.delete();
    try (var stream = new FileImageOutputStream(file)) {
      writer.setOutput(stream);
      writer.write(null, new IIOImage(image, null, null), param);
    }
    System.out.println(file.getName() + " " + file.length() / 1024 + " KB");
  }

  static void wash(Graphics2D g, int x, int y, int w, int h, Random r) {
    g.setColor(new Color(WASH.getRed(), WASH.getGreen(), WASH.getBlue(), 70));
    for (int i = 0; i < 26; i++) {
      g.setStroke(new BasicStroke(7, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
      double at = x + 6 + i * (w - 12) / 26.0;
      g.draw(new Line2D.Double(at + r.nextGaussian() * 2, y + 4, at + 9 + r.nextGaussian() * 2, y + h - 4));
    }
  }

  static void dot(Graphics2D g, double x, double y) {
    g.setColor(PENCIL);
    g.fill(new Ellipse2D.Double(x - 1.2, y - 1.2, 2.4, 2.4));
  }

  /** A line as a hand draws it: not quite straight, and twice. */
  static void line(Graphics2D g, Random r, double x1, double y1, double x2, double y2) {
    g.setColor(new Color(PENCIL.getRed(), PENCIL.getGreen(), PENCIL.getBlue(), 190));
    g.setStroke(new BasicStroke(1.5f, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
    for (int n = 0; n < 2; n++) {
      g.draw(new CubicCurve2D.Double(
          x1 + r.nextGaussian(), y1 + r.nextGaussian(),
          x1 + (x2 - x1) * 0.3 + r.nextGaussian() * 1.4, y1 + (y2 - y1) * 0.3 + r.nextGaussian() * 1.4,
          x1 + (x2 - x1) * 0.7 + r.nextGaussian() * 1.4, y1 + (y2 - y1) * 0.7 + r.nextGaussian() * 1.4,
          x2 + r.nextGaussian(), y2 + r.nextGaussian()));
    }
  }

  static void arc(Graphics2D g, Random r, double x, double y, double radius, double from) {
    g.setColor(new Color(PENCIL.getRed(), PENCIL.getGreen(), PENCIL.getBlue(), 190));
    for (int n = 0; n < 2; n++) {
      double off = r.nextGaussian() * 0.8;
      g.draw(new Arc2D.Double(x - radius + off, y - radius + off, 2 * radius, 2 * radius, -from - 90, 90, Arc2D.OPEN));
    }
  }

  static void sign(Graphics2D g, int n, double x, double y, Random r) {
    g.setColor(PENCIL);
    g.setStroke(new BasicStroke(1.8f, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
    switch (n) {
      case 0 -> { g.draw(new Arc2D.Double(x - 11, y - 9, 14, 14, 20, 190, Arc2D.OPEN)); g.draw(new Arc2D.Double(x - 3, y - 11, 15, 15, -40, 200, Arc2D.OPEN)); line(g, r, x - 10, y + 4, x + 11, y + 4); }
      case 1 -> { line(g, r, x, y + 11, x, y - 11); for (int i = -1; i < 3; i++) { line(g, r, x, y + i * 5, x - 8, y + i * 5 - 6); line(g, r, x, y + i * 5, x + 8, y + i * 5 - 6); } }
      case 2 -> { g.draw(new Ellipse2D.Double(x - 5, y - 5, 10, 10)); for (int i = 0; i < 8; i++) { double a = i * Math.PI / 4; line(g, r, x + 8 * Math.cos(a), y + 8 * Math.sin(a), x + 12 * Math.cos(a), y + 12 * Math.sin(a)); } }
      default -> { for (int i = 0; i < 3; i++) g.draw(new QuadCurve2D.Double(x - 11, y - 6 + i * 7, x, y - 13 + i * 7, x + 11, y - 6 + i * 7)); }
    }
  }
}
