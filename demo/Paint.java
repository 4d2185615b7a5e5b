import java.awt.*;
import java.awt.geom.*;
import java.awt.image.BufferedImage;
import java.io.File;
import java.util.Random;
import javax.imageio.*;
import javax.imageio.plugins.jpeg.JPEGImageWriteParam;
import javax.imageio.stream.FileImageOutputStream;

/**
 * Paints the pictures of the demo: {@code java demo/Paint.java server/src/main/resources/giostra/demo/media}.
 * Each scene is drawn smoothly, then painted over in four sizes of brush stroke that follow its
 * edges, the finer ones only where the coarser ones missed it (after A. Hertzmann, "Painterly
 * Rendering with Curved Brush Strokes of Multiple Sizes", 1998; our own code). All is invented.
 */
class Paint {
  interface Scene { void draw(Graphics2D g, int w, int h, Random r); }

  public static void main(String[] args) throws Exception {
    File out = new File(args[0]);
    out.mkdirs();
    String only = args.length > 1 ? args[1] : "";
    paint(out, only, "glasshouse-at-dusk", 2560, 1440, 1, Paint::glasshouse);
    paint(out, only, "lamp-walk", 2560, 1920, 2, Paint::lampWalk);
    paint(out, only, "moonflower", 1600, 1200, 3, Paint::moonflower);
    paint(out, only, "fern-gully", 1600, 1200, 4, Paint::fernGully);
    paint(out, only, "desert-room", 1600, 1200, 5, Paint::desert);
    paint(out, only, "water-hall", 1600, 1200, 6, Paint::water);
    paint(out, only, "orchid-show", 2560, 1920, 7, Paint::orchid);
    Color[][] people = {
      {c(0x8fb3a4), c(0x243f3b), c(0xe8c9a0)}, {c(0xd49a4c), c(0x4a2d16), c(0x8a5a3a)},
      {c(0x9a85c4), c(0x2f2350), c(0xd8a98c)}, {c(0x6f8f5c), c(0x26331f), c(0xb98a68)},
      {c(0xc4726a), c(0x4b1f24), c(0xefd0b4)}, {c(0x6a9ec0), c(0x1c3145), c(0x6d4a36)},
      {c(0xd8c27a), c(0x50421c), c(0xcf9f7f)}};
    if (args.length > 1 && args[1].equals("starters")) {
      starters(out, people);
      return;
    }
    for (int i = 0; i < people.length; i++) {
      Color[] p = people[i];
      int n = i;
      paint(out, only, "visitor-" + (i + 1), 640, 640, 20 + i, (g, w, h, r) -> portrait(g, w, h, r, p, n));
    }
  }

  static void paint(File out, String only, String name, int w, int h, int seed, Scene scene) throws Exception {
    if (!only.isEmpty() && !name.startsWith(only)) return;
    var base = new BufferedImage(w, h, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = pen(base);
    scene.draw(g, w, h, new Random(seed));
    g.dispose();
    BufferedImage done = strokes(base, new Random(seed * 31L));
    ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
    var param = new JPEGImageWriteParam(null);
    param.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
    param.setCompressionQuality(w > 1000 ? 0.78f : 0.84f);
    param.setProgressiveMode(ImageWriteParam.MODE_DEFAULT);
    File file = new File(out, name + ".jpg");
    file.delete();
    try (var stream = new FileImageOutputStream(file)) {
      writer.setOutput(stream);
      writer.write(null, new IIOImage(done, null, null), param);
    }
    System.out.println(file.getName() + " " + file.length() / 1024 + " KB");
  }

  static Graphics2D pen(BufferedImage image) {
    Graphics2D g = image.createGraphics();
    g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    g.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
    return g;
  }

  // --- the painting over ---

  static BufferedImage strokes(BufferedImage base, Random r) {
    int w = base.getWidth(), h = base.getHeight();
    var canvas = new BufferedImage(w, h, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = pen(canvas);
    g.drawImage(base, 0, 0, null);
    double scale = Math.sqrt((double) w * h / (1600.0 * 1200));
    double[] sizes = {46 * scale, 20 * scale, 9 * scale, 4.2 * scale};
    for (int layer = 0; layer < sizes.length; layer++) {
      double size = sizes[layer];
      BufferedImage soft = blur(base, (int) Math.max(1, size / 3));
      int step = (int) Math.max(3, size * 0.72);
      int columns = w / step + 1, rows = h / step + 1;
      int[] order = r.ints(0, columns * rows).distinct().limit((long) columns * rows).toArray();
      for (int at : order) {
        int x = Math.min(w - 1, Math.max(0, at % columns * step + r.nextInt(step) - step / 2));
        int y = Math.min(h - 1, Math.max(0, at / columns * step + r.nextInt(step) - step / 2));
        int want = soft.getRGB(x, y);
        if (layer > 0 && far(want, canvas.getRGB(x, y)) < 20 + 5 * (3 - layer)) continue;
        g.setColor(shaken(want, r, 9));
        g.setStroke(new BasicStroke((float) (size * (0.75 + r.nextDouble() * 0.5)), BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
        var path = new Path2D.Double();
        path.moveTo(x, y);
        double px = x, py = y, lastX = 0, lastY = 0;
        for (int k = 0; k < 5; k++) {
          int ix = (int) Math.min(w - 2, Math.max(1, px)), iy = (int) Math.min(h - 2, Math.max(1, py));
          double gx = light(soft.getRGB(ix + 1, iy)) - light(soft.getRGB(ix - 1, iy));
          double gy = light(soft.getRGB(ix, iy + 1)) - light(soft.getRGB(ix, iy - 1));
          double dx = -gy, dy = gx, length = Math.hypot(dx, dy);
          if (length < 0.6) { double a = 0.6 + r.nextGaussian() * 0.5; dx = Math.cos(a); dy = Math.sin(a); length = 1; }
          dx /= length; dy /= length;
          if (lastX * dx + lastY * dy < 0) { dx = -dx; dy = -dy; }
          dx = 0.6 * dx + 0.4 * lastX; dy = 0.6 * dy + 0.4 * lastY;
          px += dx * size; py += dy * size; lastX = dx; lastY = dy;
          if (k > 0 && far(soft.getRGB((int) Math.clamp(px, 0, w - 1), (int) Math.clamp(py, 0, h - 1)), want) > 46) break;
          path.lineTo(px, py);
        }
        g.draw(path);
      }
    }
    for (int i = 0; i < w * h / 5; i++) {
      int x = r.nextInt(w), y = r.nextInt(h);
      canvas.setRGB(x, y, shaken(canvas.getRGB(x, y), r, 7).getRGB());
    }
    return canvas;
  }

  static int far(int a, int b) {
    return Math.abs((a >> 16 & 255) - (b >> 16 & 255)) + Math.abs((a >> 8 & 255) - (b >> 8 & 255)) + Math.abs((a & 255) - (b & 255));
  }

  static double light(int rgb) { return 0.3 * (rgb >> 16 & 255) + 0.59 * (rgb >> 8 & 255) + 0.11 * (rgb & 255); }

  static Color shaken(int rgb, Random r, int by) {
    int d = (int) (r.nextGaussian() * by / 2);
    return new Color(clamp((rgb >> 16 & 255) + d + r.nextInt(by) - by / 2), clamp((rgb >> 8 & 255) + d + r.nextInt(by) - by / 2), clamp((rgb & 255) + d + r.nextInt(by) - by / 2));
  }

  static int clamp(int v) { return Math.clamp(v, 0, 255); }

  static BufferedImage blur(BufferedImage in, int radius) {
    int w = in.getWidth(), h = in.getHeight();
    int sw = Math.max(1, w / (radius + 1)), sh = Math.max(1, h / (radius + 1));
    var small = new BufferedImage(sw, sh, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = small.createGraphics();
    g.drawImage(in.getScaledInstance(sw, sh, Image.SCALE_AREA_AVERAGING), 0, 0, null);
    var out = new BufferedImage(w, h, BufferedImage.TYPE_INT_RGB);
    Graphics2D o = out.createGraphics();
    o.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
    o.drawImage(small, 0, 0, w, h, null);
    return out;
  }

  // --- what scenes are made of ---

  static Color c(int rgb) { return new Color(rgb); }
  static Color c(int rgb, int alpha) { return new Color(rgb >> 16 & 255, rgb >> 8 & 255, rgb & 255, alpha); }

  static void fall(Graphics2D g, int w, int h, int... colours) {
    float[] at = new float[colours.length];
    Color[] all = new Color[colours.length];
    for (int i = 0; i < colours.length; i++) { at[i] = i / (float) (colours.length - 1); all[i] = c(colours[i]); }
    g.setPaint(new LinearGradientPaint(0, 0, 0, h, at, all));
    g.fillRect(0, 0, w, h);
  }

  static void glow(Graphics2D g, double x, double y, double radius, int rgb, int alpha) {
    g.setPaint(new RadialGradientPaint((float) x, (float) y, (float) radius, new float[] {0, .25f, 1}, new Color[] {c(rgb, alpha), c(rgb, alpha / 2), c(rgb, 0)}));
    g.fill(new Ellipse2D.Double(x - radius, y - radius, 2 * radius, 2 * radius));
  }

  static void lamp(Graphics2D g, double x, double y, double size) {
    glow(g, x, y, size * 9, 0xffb84d, 70);
    glow(g, x, y, size * 4, 0xffd27a, 120);
    g.setColor(c(0xfff2c8));
    g.fill(new Ellipse2D.Double(x - size, y - size * 1.25, 2 * size, 2.5 * size));
  }

  /** A leaf from its stalk, along an angle. */
  static Shape leaf(double x, double y, double angle, double length, double width) {
    var p = new Path2D.Double();
    p.moveTo(0, 0);
    p.curveTo(length * .25, -width, length * .75, -width * .8, length, 0);
    p.curveTo(length * .75, width * .8, length * .25, width, 0, 0);
    var t = AffineTransform.getTranslateInstance(x, y);
    t.rotate(angle);
    return t.createTransformedShape(p);
  }

  static void frond(Graphics2D g, double x, double y, double angle, double length, int dark, int bright, Random r) {
    double bend = (r.nextDouble() - .5) * 1.6, px = x, py = y, a = angle;
    int n = 26;
    for (int i = 0; i < n; i++) {
      double s = i / (double) n, size = length * .3 * Math.sin(Math.PI * Math.min(1, s * .9 + .12)) * (1 - s * .35);
      for (int side = -1; side <= 1; side += 2) {
        g.setColor(mix(dark, bright, r.nextDouble() * .55 + s * .45));
        g.fill(leaf(px, py, a + side * (1.15 - s * .5), size, size * .13));
      }
      a += bend / n;
      px += Math.cos(a) * length / n;
      py += Math.sin(a) * length / n;
    }
  }

  static Color mix(int a, int b, double t) {
    return new Color(clamp((int) ((a >> 16 & 255) * (1 - t) + (b >> 16 & 255) * t)), clamp((int) ((a >> 8 & 255) * (1 - t) + (b >> 8 & 255) * t)), clamp((int) ((a & 255) * (1 - t) + (b & 255) * t)));
  }

  static void palm(Graphics2D g, double x, double ground, double height, int dark, int bright, Random r) {
    g.setStroke(new BasicStroke((float) (height * .035), BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
    g.setColor(c(dark));
    double lean = (r.nextDouble() - .5) * height * .2;
    g.draw(new QuadCurve2D.Double(x, ground, x + lean * .2, ground - height * .5, x + lean, ground - height));
    for (int i = 0; i < 13; i++) frond(g, x + lean, ground - height, -Math.PI / 2 + (i - 6) * .42 + r.nextGaussian() * .1, height * (.42 + r.nextDouble() * .2), dark, bright, r);
  }

  // --- the scenes ---

  static void glasshouse(Graphics2D g, int w, int h, Random r) {
    fall(g, w, h, 0x16233f, 0x2b4560, 0x8a6a5c, 0xc98a4e, 0x1b2a26);
    for (int i = 0; i < 120; i++) glow(g, r.nextInt(w), r.nextInt(h / 2), 2 + r.nextDouble() * 4, 0xfff4dc, 150);
    glow(g, w * .5, h * .62, w * .42, 0xffb45a, 190);
    double cx = w * .5, base = h * .9;
    for (int k = 0; k < 16; k++) palm(g, w * (.12 + .76 * r.nextDouble()), base - h * .02, h * (.2 + r.nextDouble() * .26), 0x24382c, 0x6f8a4c, r);
    g.setColor(c(0xffdc9a, 26));
    for (double s = .32; s > .05; s -= .05) g.fill(new Arc2D.Double(cx - w * s * 1.25, base - h * s * 2.3, w * s * 2.5, h * s * 4.6, 0, 180, Arc2D.CHORD));
    g.setColor(c(0x12201f));
    for (int wing = -1; wing <= 1; wing++) {
      double centre = cx + wing * w * .3, half = wing == 0 ? w * .22 : w * .17, high = wing == 0 ? h * .66 : h * .42;
      g.setStroke(new BasicStroke(wing == 0 ? 9 : 7));
      g.draw(new Arc2D.Double(centre - half, base - high, 2 * half, 2 * high, 0, 180, Arc2D.OPEN));
      g.setStroke(new BasicStroke(4));
      for (int rib = -5; rib <= 5; rib++) {
        double f = rib / 5.5;
        g.draw(new Arc2D.Double(centre - half * Math.abs(f), base - high, 2 * half * Math.abs(f), 2 * high, f < 0 ? 90 : 0, 90, Arc2D.OPEN));
      }
      for (int ring = 1; ring < 7; ring++) {
        double y = base - high * ring / 7, reach = half * Math.sqrt(1 - Math.pow(ring / 7.0, 2));
        g.draw(new Line2D.Double(centre - reach, y, centre + reach, y));
      }
    }
    g.setStroke(new BasicStroke(10));
    g.draw(new Line2D.Double(cx, base - h * .66, cx, base - h * .74));
    for (int i = 0; i < 22; i++) lamp(g, w * (.08 + .84 * r.nextDouble()), base - h * (.05 + r.nextDouble() * .42), 4 + r.nextDouble() * 7);
    g.setPaint(new LinearGradientPaint(0, (float) base, 0, h, new float[] {0, 1}, new Color[] {c(0x3c3522), c(0x0c1513)}));
    g.fill(new Rectangle2D.Double(0, base - 6, w, h - base + 6));
    for (int i = 0; i < 70; i++) frond(g, r.nextInt(w), h + 30, -Math.PI / 2 + r.nextGaussian() * .7, h * (.08 + r.nextDouble() * .2), 0x08120f, 0x24392d, r);
  }

  static void lampWalk(Graphics2D g, int w, int h, Random r) {
    fall(g, w, h, 0x0c1a22, 0x17323a, 0x2c4a40, 0x142019);
    double vx = w * .54, vy = h * .46;
    glow(g, vx, vy, w * .4, 0xffa94a, 190);
    g.setColor(c(0x5a4a34));
    g.fill(new Polygon(new int[] {(int) vx - 14, (int) vx + 14, (int) (w * .86), (int) (w * .16)}, new int[] {(int) vy + 40, (int) vy + 40, h, h}, 4));
    for (int i = 0; i < 9; i++) {
      double t = Math.pow(i / 9.0, 2);
      for (int side = -1; side <= 1; side += 2) {
        double x = vx + side * (30 + t * w * .62), y = vy + 30 + t * h * .5;
        for (int k = 0; k < 5; k++) frond(g, x + side * t * 120 * k / 2, y + t * 120, -Math.PI / 2 + side * .25 * k + r.nextGaussian() * .3, 60 + t * h * .7, 0x0b1d19, 0x3f6a4a, r);
      }
    }
    for (int i = 8; i >= 0; i--) {
      double t = Math.pow((i + 1) / 9.0, 2);
      for (int side = -1; side <= 1; side += 2) lamp(g, vx + side * (22 + t * w * .4), vy - 20 - t * h * .16 + 60 * t, 4 + t * 26);
    }
    for (int i = 0; i < 26; i++) frond(g, r.nextInt(w), -20, Math.PI / 2 + r.nextGaussian() * .6, h * (.12 + r.nextDouble() * .2), 0x07120f, 0x1d352b, r);
  }

  static void petals(Graphics2D g, double x, double y, int n, double length, double width, double start, int inner, int outer, Random r) {
    for (int i = 0; i < n; i++) {
      double a = start + i * 2 * Math.PI / n + r.nextGaussian() * .04;
      Shape p = leaf(x, y, a, length, width);
      g.setPaint(new GradientPaint((float) x, (float) y, c(inner), (float) (x + Math.cos(a) * length), (float) (y + Math.sin(a) * length), c(outer)));
      g.fill(p);
      g.setColor(c(0xffffff, 46));
      g.setStroke(new BasicStroke(4));
      g.draw(new Line2D.Double(x, y, x + Math.cos(a) * length * .86, y + Math.sin(a) * length * .86));
    }
  }

  static void moonflower(Graphics2D g, int w, int h, Random r) {
    fall(g, w, h, 0x0d1826, 0x13302f, 0x0c1c18);
    glow(g, w * .78, h * .16, h * .55, 0xbfd4e8, 110);
    for (int i = 0; i < 90; i++) {
      g.setColor(mix(0x0e241f, 0x3d6a55, Math.pow(r.nextDouble(), 2)));
      g.fill(leaf(r.nextInt(w), r.nextInt(h), r.nextDouble() * 6.3, 160 + r.nextDouble() * 200, 50 + r.nextDouble() * 40));
    }
    double[][] at = {{.42, .54, 1}, {.79, .74, .52}, {.13, .2, .42}, {.86, .25, .33}};
    for (double[] f : at) {
      double x = w * f[0], y = h * f[1], s = h * .42 * f[2];
      glow(g, x, y, s * 1.7, 0xdfe8ff, 80);
      petals(g, x, y, 5, s, s * .46, .3, 0xf6e7a6, 0xeef2f4, r);
      petals(g, x, y, 5, s * .9, s * .38, .93, 0xf9f0c4, 0xffffff, r);
      petals(g, x, y, 10, s * .3, s * .05, 0, 0xe6b84a, 0xfff3c0, r);
      glow(g, x, y, s * .22, 0xffd970, 220);
    }
  }

  static void fernGully(Graphics2D g, int w, int h, Random r) {
    fall(g, w, h, 0x9fb98a, 0x4f7a58, 0x1c3a30, 0x0d1f1b);
    glow(g, w * .3, h * .1, w * .5, 0xf3f0c0, 200);
    for (int depth = 0; depth < 4; depth++) {
      int dark = new int[] {0x5f8a68, 0x3a6a4c, 0x1f4a36, 0x0c251e}[depth], bright = new int[] {0xa9c48c, 0x86b06a, 0x5f9a54, 0x3f7a46}[depth];
      for (int i = 0; i < 15; i++) {
        double x = r.nextDouble() * w, y = h * (.34 + depth * .22) + r.nextGaussian() * 40;
        for (int k = -3; k <= 3; k++) frond(g, x, y, -Math.PI / 2 + k * .36 + r.nextGaussian() * .1, h * (.16 + depth * .08) * (.8 + r.nextDouble() * .5), dark, bright, r);
      }
    }
    for (int i = 0; i < 5; i++) { g.setPaint(new GradientPaint(0, 0, c(0xfdf7cf, 44), 0, h, c(0xfdf7cf, 0))); double x = w * (.08 + i * .13); g.fill(new Polygon(new int[] {(int) x, (int) x + 60, (int) x + 420, (int) x + 240}, new int[] {0, 0, h, h}, 4)); }
  }

  static void desert(Graphics2D g, int w, int h, Random r) {
    fall(g, w, h, 0x3b2a52, 0x9a4a58, 0xe58a4a, 0xf4c070, 0x8a5a34);
    glow(g, w * .66, h * .55, h * .5, 0xffe2a0, 230);
    g.setColor(c(0xfff0c4));
    g.fill(new Ellipse2D.Double(w * .66 - 95, h * .55 - 95, 190, 190));
    int[] grounds = {0xb8734a, 0x8a4e38, 0x53302c};
    for (int d = 0; d < 3; d++) {
      var hill = new Path2D.Double();
      hill.moveTo(0, h);
      for (int x = 0; x <= w; x += 20) hill.lineTo(x, h * (.66 + d * .11) + Math.sin(x / (170.0 + d * 60) + d * 2) * 40);
      hill.lineTo(w, h);
      g.setColor(c(grounds[d]));
      g.fill(hill);
      for (int i = 0; i < 5 + d; i++) cactus(g, r.nextDouble() * w, h * (.68 + d * .12) + r.nextDouble() * 40, h * (.14 + d * .13) * (.6 + r.nextDouble() * .7), new int[] {0x6a6a4c, 0x3f5a42, 0x1c3a32}[d], new int[] {0x9a9a62, 0x6f8a52, 0x4a7a50}[d], r);
    }
    for (int i = 0; i < 16; i++) {
      double x = r.nextDouble() * w, y = h * (.9 + r.nextDouble() * .12), s = 60 + r.nextDouble() * 90;
      for (int k = 0; k < 14; k++) { g.setColor(mix(0x2c4a44, 0x9ab88a, r.nextDouble())); g.fill(leaf(x, y, -Math.PI * k / 13, s, s * .16)); }
    }
  }

  static void cactus(Graphics2D g, double x, double y, double height, int dark, int bright, Random r) {
    double width = height * .15;
    for (int arm = -1; arm <= 1; arm++) {
      double ax = x + arm * width * 1.7, top = y - height * (arm == 0 ? 1 : .5 + r.nextDouble() * .25), foot = arm == 0 ? y : y - height * .3, aw = arm == 0 ? width : width * .62;
      g.setStroke(new BasicStroke((float) (aw * .9), BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
      g.setColor(c(dark));
      if (arm != 0) g.draw(new Line2D.Double(x, foot, ax, foot));
      g.draw(new Line2D.Double(ax, foot, ax, top));
      for (int k = -1; k <= 1; k++) {
        g.setStroke(new BasicStroke((float) (aw * .12), BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
        g.setColor(mix(dark, bright, .5 + k * .45));
        g.draw(new Line2D.Double(ax + k * aw * .28, foot, ax + k * aw * .28, top));
      }
    }
  }

  static void water(Graphics2D g, int w, int h, Random r) {
    fall(g, w, h, 0x0f2a33, 0x1d4c55, 0x2c6a66, 0x153a3e, 0x0a2024);
    for (int i = 0; i < 9; i++) glow(g, w * r.nextDouble(), h * (.1 + .2 * r.nextDouble()), 120, 0xffcf80, 150);
    for (int i = 0; i < 420; i++) {
      g.setColor(mix(0x123a40, i % 7 == 0 ? 0xf0c27a : 0x5fa8a0, Math.pow(r.nextDouble(), 3)));
      double y = h * r.nextDouble();
      g.setStroke(new BasicStroke((float) (2 + y / h * 5)));
      double x = w * r.nextDouble(), l = 40 + r.nextDouble() * 160;
      g.draw(new QuadCurve2D.Double(x, y, x + l / 2, y + r.nextGaussian() * 8, x + l, y));
    }
    for (int i = 0; i < 42; i++) {
      double t = Math.sqrt(i / 42.0), y = h * (.24 + t * .74), s = 40 + t * 150, x = w * r.nextDouble();
      g.setColor(c(0x06181a, 120));
      g.fill(new Ellipse2D.Double(x - s, y - s * .3 + 10, 2 * s, s * .7));
      g.setPaint(new GradientPaint((float) (x - s), (float) y, mix(0x2f6a48, 0x8ab868, r.nextDouble()), (float) (x + s), (float) y, c(0x1a4a3a)));
      g.fill(new Arc2D.Double(x - s, y - s * .34, 2 * s, s * .68, r.nextInt(360), 330, Arc2D.PIE));
      if (i % 4 == 0) {
        for (int ring = 0; ring < 3; ring++) for (int k = 0; k < 9; k++) {
          double a = -Math.PI * (k + .5) / 9, l = s * (.62 - ring * .13);
          g.setPaint(new GradientPaint((float) x, (float) y, c(0xf6d27a), (float) (x + Math.cos(a) * l), (float) (y + Math.sin(a) * l), c(ring == 0 ? 0xd87a9a : 0xf4c8d2)));
          g.fill(leaf(x, y - 6, a, l, l * .2));
        }
      }
    }
  }

  static void orchid(Graphics2D g, int w, int h, Random r) {
    fall(g, w, h, 0x1a1430, 0x3a2050, 0x5a2c50, 0x1c1224);
    glow(g, w * .3, h * .3, w * .5, 0xe8a0c0, 90);
    for (int i = 0; i < 24; i++) { g.setColor(mix(0x16201c, 0x3f6a4c, r.nextDouble())); g.fill(leaf(r.nextInt(w), h + 30, -Math.PI / 2 + r.nextGaussian() * .6, 300 + r.nextDouble() * 420, 42)); }
    g.setStroke(new BasicStroke(14, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
    g.setColor(c(0x4a6a3c));
    g.draw(new CubicCurve2D.Double(w * .12, h, w * .2, h * .3, w * .5, h * .1, w * .95, h * .42));
    double[][] at = {{.2, .54, .62}, {.36, .34, .8}, {.57, .3, 1}, {.78, .4, .84}, {.93, .52, .6}, {.62, .72, .95}};
    for (double[] f : at) {
      double x = w * f[0], y = h * f[1], s = h * .24 * f[2];
      for (double a : new double[] {-Math.PI / 2, Math.PI / 2 - .75, Math.PI / 2 + .75}) petal(g, x, y, a, s * .95, s * .34, 0xf6d8e8, 0xb04a90);
      for (double a : new double[] {-.25, Math.PI + .25}) petal(g, x, y, a, s * 1.02, s * .62, 0xfbe8f2, 0xd070b0);
      petal(g, x, y, Math.PI / 2, s * .6, s * .26, 0xf4c04a, 0x8a1c5a);
      glow(g, x, y, s * .2, 0xffe08a, 230);
    }
  }

  static void petal(Graphics2D g, double x, double y, double a, double length, double width, int inner, int outer) {
    g.setPaint(new GradientPaint((float) x, (float) y, c(inner), (float) (x + Math.cos(a) * length), (float) (y + Math.sin(a) * length), c(outer)));
    g.fill(leaf(x, y, a, length, width));
    g.setStroke(new BasicStroke(3));
    for (int v = -2; v <= 2; v++) { g.setColor(c(outer, 110)); g.draw(new Line2D.Double(x, y, x + Math.cos(a + v * .16) * length * .78, y + Math.sin(a + v * .16) * length * .78)); }
  }

  static void portrait(Graphics2D g, int w, int h, Random r, Color[] p, int n) {
    g.setPaint(new RadialGradientPaint(w * .34f, h * .3f, w * .95f, new float[] {0, 1}, new Color[] {p[0], p[1]}));
    g.fillRect(0, 0, w, h);
    for (int i = 0; i < 16; i++) frond(g, r.nextInt(w), h * 1.02, -Math.PI / 2 + r.nextGaussian() * .7, h * .5, p[1].getRGB() & 0xffffff, p[0].getRGB() & 0xffffff, r);
    double x = w * (.5 + (n % 3 - 1) * .03), y = h * .42;
    int hair = new int[] {0x3a2a22, 0x17130f, 0x6a3a1c, 0xd8d2c4, 0x9a5a2a, 0x1c1613, 0x4a3a2e}[n];
    int coat = new int[] {0x1f3d3a, 0x7a3a22, 0x2a2350, 0x3c4a34, 0x6a2a34, 0x1c3a5a, 0x5a4a24}[n];
    boolean longHair = n % 2 == 0;
    g.setColor(c(hair));
    g.fill(new Ellipse2D.Double(x - w * .2, y - h * .27, w * .4, h * (longHair ? .62 : .42)));
    g.setColor(c(coat));
    g.fill(new RoundRectangle2D.Double(x - w * .37, y + h * .27, w * .74, h * .6, w * .42, h * .42));
    int skin = p[2].getRGB() & 0xffffff;
    g.setPaint(new GradientPaint((float) (x - w * .16), (float) y, mix(skin, 0xfff0dc, .35), (float) (x + w * .16), (float) y, mix(skin, 0x2a1a1a, .42)));
    g.fill(new RoundRectangle2D.Double(x - w * .07, y + h * .1, w * .14, h * .24, w * .1, h * .1));
    g.fill(new Ellipse2D.Double(x - w * .145, y - h * .2, w * .29, h * .39));
    g.setColor(c(hair));
    g.fill(new Arc2D.Double(x - w * .17, y - h * .255, w * .34, h * .3, n % 2 == 0 ? 10 : -8, 176, Arc2D.CHORD));
    g.setColor(mix(skin, 0x2a1a1a, .68));
    for (int side = -1; side <= 1; side += 2) g.fill(new Ellipse2D.Double(x + side * w * .058 - w * .018, y - h * .028, w * .036, h * .02));
    g.setStroke(new BasicStroke(w * .012f, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
    g.draw(new QuadCurve2D.Double(x + w * .005, y - h * .01, x + w * .03, y + h * .055, x - w * .004, y + h * .06));
    g.setColor(mix(skin, 0x7a2a2a, .5));
    g.draw(new Arc2D.Double(x - w * .05, y + h * .065, w * .1, h * .05, 200, 140, Arc2D.OPEN));
    glow(g, x - w * .1, y - h * .1, w * .3, 0xffe6b8, 60);
  }

  // --- what pieces start with ---

  static void starters(File out, Color[][] people) throws Exception {
    paint(out, "", "start-harbour", 2560, 1600, 41, Paint::harbour);
    paint(out, "", "start-mountains", 2560, 1600, 42, Paint::mountains);
    paint(out, "", "start-lighthouse", 2560, 1600, 43, Paint::lighthouse);
    paint(out, "", "start-balloons", 2560, 1600, 44, Paint::balloons);
    paint(out, "", "start-pines", 2560, 1600, 45, Paint::pines);
    paint(out, "", "start-roofs", 1600, 1200, 46, Paint::roofs);
    paint(out, "", "start-pears", 1600, 1200, 47, Paint::pears);
    paint(out, "", "start-waves", 2560, 1600, 48, Paint::waves);
    int[] who = {1, 3, 4, 5};
    for (int i = 0; i < who.length; i++) {
      Color[] p = people[(who[i] + 2) % people.length];
      int n = who[i];
      paint(out, "", "start-speaker-" + (i + 1), 480, 480, 60 + i, (g, w, h, r) -> portrait(g, w, h, r, p, n));
    }
  }

  static void sea(Graphics2D g, int w, int h, double from, int dark, int bright, Random r) {
    g.setPaint(new GradientPaint(0, (float) (h * from), c(bright), 0, h, c(dark)));
    g.fill(new Rectangle2D.Double(0, h * from, w, h));
    for (int i = 0; i < 260; i++) {
      double y = h * (from + (1 - from) * Math.sqrt(r.nextDouble())), l = 30 + (y / h - from) * 300 * r.nextDouble();
      double x = w * r.nextDouble();
      g.setStroke(new BasicStroke((float) (2 + (y / h - from) * 9)));
      g.setColor(mix(dark, bright, r.nextDouble() * 1.0));
      g.draw(new QuadCurve2D.Double(x, y, x + l / 2, y - 4, x + l, y));
    }
  }

  static void harbour(Graphics2D g, int w, int h, Random r) {
    fall(g, w, h, 0x5b7fa6, 0xa9bfc9, 0xf4d9b0, 0xf0b98a);
    glow(g, w * .7, h * .44, h * .5, 0xfff0c8, 220);
    int[] walls = {0xd9694f, 0xe8b04c, 0x4f8f8a, 0xf0e2c8, 0x8a5a6a, 0x5f7fa0, 0xd98a5a};
    for (int i = 0; i < 13; i++) {
      double bw = w * .09, x = i * w * .082 - 30, top = h * (.34 + r.nextDouble() * .08);
      g.setColor(c(walls[i % walls.length]));
      g.fill(new Rectangle2D.Double(x, top, bw, h * .56 - top));
      g.setColor(c(0x6a3a32));
      g.fill(new Polygon(new int[] {(int) x - 8, (int) (x + bw / 2), (int) (x + bw) + 8}, new int[] {(int) top, (int) (top - h * .05), (int) top}, 3));
      g.setColor(c(0x2c3a44));
      for (int k = 0; k < 6; k++) g.fill(new Rectangle2D.Double(x + 18 + k % 2 * bw * .45, top + 26 + k / 2 * 62, 30, 38));
    }
    sea(g, w, h, .55, 0x2a4f66, 0xbcd0cf, r);
    for (int i = 0; i < 5; i++) {
      double x = w * (.1 + i * .19), y = h * (.66 + (i % 3) * .09), s = 60 + (i % 3) * 46;
      g.setColor(c(new int[] {0xb8432f, 0x22556a, 0xf0e6d0, 0x3a6a4c, 0xd99a3a}[i]));
      var hull = new Path2D.Double();
      hull.moveTo(x - s, y); hull.curveTo(x - s * .7, y + s * .5, x + s * .7, y + s * .5, x + s * 1.15, y - s * .06); hull.closePath();
      g.fill(hull);
      g.setColor(c(0x3a2c26)); g.setStroke(new BasicStroke(7)); g.draw(new Line2D.Double(x, y, x, y - s * 1.7));
      g.setColor(c(0xfbf4e2)); g.fill(new Polygon(new int[] {(int) x + 8, (int) x + 8, (int) (x + s * .85)}, new int[] {(int) (y - s * 1.65), (int) (y - s * .2), (int) (y - s * .2)}, 3));
    }
  }

  static void ridge(Graphics2D g, int w, int h, double at, double rough, int rgb, Random r) {
    var p = new Path2D.Double();
    p.moveTo(0, h);
    double a = r.nextDouble() * 9, b = r.nextDouble() * 9;
    for (int x = 0; x <= w; x += 8) p.lineTo(x, h * at - Math.abs(Math.sin(x / (w * .16) + a)) * h * rough - Math.sin(x / (w * .047) + b) * h * rough * .16);
    p.lineTo(w, h);
    g.setColor(c(rgb));
    g.fill(p);
  }

  static void mountains(Graphics2D g, int w, int h, Random r) {
    fall(g, w, h, 0x3f6f9c, 0x86b2cc, 0xf2dfc2, 0xf2dfc2);
    glow(g, w * .3, h * .3, h * .34, 0xfff6da, 210);
    ridge(g, w, h, .6, .3, 0xa9bccb, r);
    ridge(g, w, h, .64, .24, 0x6f8fa6, r);
    ridge(g, w, h, .68, .16, 0x3f647a, r);
    ridge(g, w, h, .71, .08, 0x24483f, r);
    sea(g, w, h, .7, 0x1d4a5a, 0x9cc3cc, r);
    for (int i = 0; i < 60; i++) { double x = r.nextDouble() * w, y = h * (.93 + r.nextDouble() * .1), s = 90 + r.nextDouble() * 120; g.setColor(mix(0x16352c, 0x4f7a3e, r.nextDouble())); g.fill(leaf(x, y, -Math.PI / 2 + r.nextGaussian() * .2, s, s * .09)); }
    for (int i = 0; i < 60; i++) { g.setColor(c(new int[] {0xf0c24a, 0xe0607a, 0xfff4dc, 0x8a6fc0}[i % 4])); double s = 8 + r.nextDouble() * 12; g.fill(new Ellipse2D.Double(r.nextDouble() * w, h * (.86 + r.nextDouble() * .13), s, s)); }
  }

  static void lighthouse(Graphics2D g, int w, int h, Random r) {
    fall(g, w, h, 0x141c3c, 0x2a3f6a, 0x7a6a8a, 0xd99a7a);
    for (int i = 0; i < 110; i++) glow(g, r.nextInt(w), r.nextInt(h / 2), 2 + r.nextDouble() * 5, 0xfff4dc, 190);
    double x = w * .62, top = h * .26;
    g.setPaint(new GradientPaint((float) x, (float) top, c(0xffe9a8, 190), (float) (x - w * .6), (float) (top + 60), c(0xffe9a8, 0)));
    g.fill(new Polygon(new int[] {(int) x, -80, -80}, new int[] {(int) top, (int) (top - 170), (int) (top + 190)}, 3));
    sea(g, w, h, .7, 0x0f2038, 0x6f86a8, r);
    var rock = new Path2D.Double();
    rock.moveTo(w * .36, h); rock.curveTo(w * .42, h * .72, w * .52, h * .7, x, h * .68); rock.curveTo(w * .76, h * .68, w * .84, h * .8, w, h * .86); rock.lineTo(w, h); rock.closePath();
    g.setColor(c(0x2c2a34)); g.fill(rock);
    for (int k = 0; k < 6; k++) {
      double y0 = h * .7 - k * h * .066, y1 = y0 - h * .067, a = 74 - k * 5, b = 74 - (k + 1) * 5;
      g.setColor(c(k % 2 == 0 ? 0xf4ede0 : 0xc2402f));
      g.fill(new Polygon(new int[] {(int) (x - a), (int) (x + a), (int) (x + b), (int) (x - b)}, new int[] {(int) y0, (int) y0, (int) y1, (int) y1}, 4));
    }
    g.setColor(c(0x1c2430)); g.fill(new Rectangle2D.Double(x - 56, top - 6, 112, 44));
    g.setColor(c(0xb03828)); g.fill(new Arc2D.Double(x - 52, top - 62, 104, 116, 0, 180, Arc2D.CHORD));
    glow(g, x, top + 14, 190, 0xffe08a, 230);
  }

  static void balloons(Graphics2D g, int w, int h, Random r) {
    fall(g, w, h, 0x6fa8cf, 0xbfd8e0, 0xfbe6c4, 0xf0c48a);
    ridge(g, w, h, .86, .08, 0x9a9a7a, r);
    ridge(g, w, h, .94, .06, 0x5f7a52, r);
    double[][] at = {{.3, .36, 1}, {.72, .28, .7}, {.55, .58, .46}, {.86, .6, .34}, {.12, .64, .3}};
    int[][] stripes = {{0xd9543f, 0xfbe9c8}, {0x2f7a86, 0xf0c14c}, {0x8a4a86, 0xf6d6c8}, {0xe0903a, 0x34506a}, {0x4f8a5a, 0xfbf0d4}};
    for (int b = 0; b < at.length; b++) {
      double x = w * at[b][0], y = h * at[b][1], s = h * .25 * at[b][2];
      for (int k = 0; k < 9; k++) {
        double f = 1 - k / 9.0;
        g.setColor(c(stripes[b][k % 2]));
        var skin = new Path2D.Double();
        skin.moveTo(x, y - s); skin.curveTo(x + s * 1.25 * f, y - s, x + s * 1.1 * f, y + s * .4, x + s * .14 * f, y + s * .98);
        skin.lineTo(x - s * .14 * f, y + s * .98); skin.curveTo(x - s * 1.1 * f, y + s * .4, x - s * 1.25 * f, y - s, x, y - s);
        g.fill(skin);
      }
      g.setColor(c(0x5a3c28));
      g.fill(new RoundRectangle2D.Double(x - s * .14, y + s * 1.16, s * .28, s * .2, 10, 10));
      g.setStroke(new BasicStroke(3)); g.draw(new Line2D.Double(x - s * .12, y + s, x - s * .12, y + s * 1.18)); g.draw(new Line2D.Double(x + s * .12, y + s, x + s * .12, y + s * 1.18));
    }
  }

  static void pines(Graphics2D g, int w, int h, Random r) {
    fall(g, w, h, 0x24365a, 0x5a6f94, 0xb9a8b4, 0xe6d8d8);
    for (int d = 0; d < 4; d++) {
      for (int i = 0; i < 15 - d * 3; i++) {
        double x = r.nextDouble() * w, foot = h * (.62 + d * .1), s = h * (.2 + d * .09) * (.7 + r.nextDouble() * .6);
        int green = new int[] {0x7f93aa, 0x547086, 0x2f5058, 0x16322e}[d];
        for (int k = 0; k < 6; k++) {
          double y = foot - s * k / 6.5, half = s * .26 * (1 - k / 6.6);
          g.setColor(c(green)); g.fill(new Polygon(new int[] {(int) (x - half), (int) (x + half), (int) x}, new int[] {(int) y, (int) y, (int) (y - s * .32)}, 3));
          g.setColor(c(0xf4f2f2, 200)); g.fill(new Polygon(new int[] {(int) (x - half * .5), (int) (x + half * .3), (int) x}, new int[] {(int) (y - s * .13), (int) (y - s * .15), (int) (y - s * .32)}, 3));
        }
      }
    }
    g.setPaint(new GradientPaint(0, (float) (h * .84), c(0xf2f0f4), 0, h, c(0xb8c4d8)));
    g.fill(new Rectangle2D.Double(0, h * .86, w, h));
    double x = w * .66, y = h * .9;
    g.setColor(c(0x4a3026)); g.fill(new Rectangle2D.Double(x - 130, y - 120, 260, 130));
    g.setColor(c(0xf4f2f4)); g.fill(new Polygon(new int[] {(int) x - 170, (int) x, (int) x + 170}, new int[] {(int) y - 112, (int) y - 226, (int) y - 112}, 3));
    g.setColor(c(0xffd27a)); g.fill(new Rectangle2D.Double(x - 84, y - 90, 56, 52)); g.fill(new Rectangle2D.Double(x + 32, y - 90, 56, 52));
    glow(g, x, y - 60, 300, 0xffc060, 110);
    for (int i = 0; i < 260; i++) { g.setColor(c(0xffffff, 190)); double s = 3 + r.nextDouble() * 7; g.fill(new Ellipse2D.Double(r.nextInt(w), r.nextInt(h), s, s)); }
  }

  static void roofs(Graphics2D g, int w, int h, Random r) {
    fall(g, w, h, 0x2a2f5a, 0x7a4a78, 0xe0806a, 0xf6c47a);
    glow(g, w * .4, h * .46, h * .4, 0xffe0a0, 210);
    for (int d = 0; d < 4; d++) {
      for (int i = 0; i < 11; i++) {
        double bw = w * (.1 + r.nextDouble() * .07), x = i * w * .1 - 60 + r.nextInt(60), top = h * (.46 + d * .13) + r.nextGaussian() * 36;
        g.setColor(c(new int[] {0x9a6a86, 0x6f4a6c, 0x46345a, 0x241f3a}[d]));
        g.fill(new Rectangle2D.Double(x, top, bw, h));
        g.setColor(c(new int[] {0x8a4a5c, 0x7a3a4a, 0x56304a, 0x35243c}[d]));
        g.fill(new Polygon(new int[] {(int) x - 16, (int) (x + bw / 2), (int) (x + bw) + 16}, new int[] {(int) top, (int) (top - bw * .42), (int) top}, 3));
        g.fill(new Rectangle2D.Double(x + bw * .68, top - bw * .4, bw * .1, bw * .4));
        for (int k = 0; k < 8; k++) {
          if (r.nextInt(3) > 0) continue;
          g.setColor(c(0xffd98a)); g.fill(new Rectangle2D.Double(x + bw * (.14 + k % 3 * .28), top + 34 + k / 3 * 74, bw * .13, 40));
        }
      }
    }
  }

  static void pears(Graphics2D g, int w, int h, Random r) {
    fall(g, w, h, 0x3a4a4c, 0x5f6f66, 0x8a8a72);
    g.setPaint(new GradientPaint(0, (float) (h * .62), c(0xd9b98a), 0, h, c(0x8a5f3c)));
    g.fill(new Rectangle2D.Double(0, h * .62, w, h));
    g.setColor(c(0xe8e2d4)); g.fill(new Ellipse2D.Double(w * .12, h * .6, w * .56, h * .24));
    g.setColor(c(0xc8c2b6)); g.fill(new Ellipse2D.Double(w * .17, h * .63, w * .46, h * .16));
    double[][] at = {{.26, .52, .9, 0xb8a83c}, {.42, .46, 1.1, 0xd0a034}, {.56, .54, .86, 0x9aa84a}, {.8, .68, .8, 0xc8743a}};
    for (double[] p : at) {
      double x = w * p[0], y = h * p[1] + h * .08, s = h * .17 * p[2];
      g.setColor(c(0x3a2c1c, 90)); g.fill(new Ellipse2D.Double(x - s * .8, y + s * .72, s * 1.9, s * .4));
      var pear = new Path2D.Double();
      pear.moveTo(x, y - s * 1.5); pear.curveTo(x + s * .5, y - s * 1.4, x + s * .3, y - s * .5, x + s * .86, y); pear.curveTo(x + s * 1.2, y + s * .9, x + s * .4, y + s, x, y + s);
      pear.curveTo(x - s * .4, y + s, x - s * 1.2, y + s * .9, x - s * .86, y); pear.curveTo(x - s * .3, y - s * .5, x - s * .5, y - s * 1.4, x, y - s * 1.5);
      g.setPaint(new RadialGradientPaint((float) (x - s * .3), (float) (y - s * .1), (float) (s * 1.7), new float[] {0, .55f, 1}, new Color[] {mix((int) p[3], 0xfff4c8, .55), c((int) p[3]), mix((int) p[3], 0x3a2414, .7)}));
      g.fill(pear);
      g.setColor(c(0x4a3420)); g.setStroke(new BasicStroke(11, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND)); g.draw(new QuadCurve2D.Double(x, y - s * 1.46, x + s * .06, y - s * 1.7, x + s * .26, y - s * 1.84));
      g.setColor(c(0x5f7a3c)); g.fill(leaf(x + s * .1, y - s * 1.62, -.5, s * .7, s * .16));
    }
  }

  static void waves(Graphics2D g, int w, int h, Random r) {
    fall(g, w, h, 0xf2d9c4, 0xe8c2b8, 0xa9b8c4);
    glow(g, w * .5, h * .2, h * .3, 0xfff6e0, 230);
    g.setColor(c(0xfbf2dc)); g.fill(new Ellipse2D.Double(w * .5 - 74, h * .2 - 74, 148, 148));
    for (int d = 0; d < 8; d++) {
      double y = h * (.38 + d * .085);
      var p = new Path2D.Double();
      p.moveTo(0, h);
      for (int x = 0; x <= w; x += 10) p.lineTo(x, y + Math.sin(x / (120.0 + d * 16) + d * 1.7) * (14 + d * 6) + Math.sin(x / 47.0 + d) * 6);
      p.lineTo(w, h);
      g.setColor(mix(0x9ac0c0, 0x123c50, d / 7.0)); g.fill(p);
      g.setColor(c(0xffffff, 150)); g.setStroke(new BasicStroke(3 + d));
      for (int i = 0; i < 12; i++) { double x = r.nextDouble() * w, l = 60 + r.nextDouble() * 120; double yy = y + Math.sin(x / (120.0 + d * 16) + d * 1.7) * (14 + d * 6); g.draw(new QuadCurve2D.Double(x, yy + 4, x + l / 2, yy - 8, x + l, yy + 8)); }
    }
    for (int i = 0; i < 7; i++) { double x = w * (.2 + r.nextDouble() * .6), y = h * (.14 + r.nextDouble() * .2); g.setColor(c(0x44525c)); g.setStroke(new BasicStroke(5, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND)); g.draw(new QuadCurve2D.Double(x - 34, y - 10, x - 12, y - 20, x, y)); g.draw(new QuadCurve2D.Double(x, y, x + 12, y - 20, x + 34, y - 10)); }
  }
}
