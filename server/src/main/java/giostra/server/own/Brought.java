package giostra.server.own;

import giostra.core.value.Refused;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipInputStream;

/**
 * The files of a page as somebody brings them: one of HTML, or a zip of it with what it shows.
 *
 * @param name of the file that was brought
 * @param entry the path of the HTML
 * @param packed whether it was a zip
 * @param files by path, in their order
 */
record Brought(String name, String entry, boolean packed, Map<String, byte[]> files) {
  private static final int MOST_FILES = 2000;
  private static final int MOST_MB = 24;
  private static final int LONGEST = 300;
  private static final int LONGEST_NAME = 120;

  /** Neither out of its folder nor from a root; letters that no system takes for others. */
  private static final Pattern PATH =
      Pattern.compile(
          "(?!/)(?!.*(?:^|/)\\.{1,2}(?:/|$))[^\\\\:*?\"<>|\\p{Cntrl}]{1," + LONGEST + "}");

  private static final Pattern HTML = Pattern.compile(".*\\.(html?|xhtml)");

  /**
   * What a file holds.
   *
   * @throws Refused for what is neither, is too large, or has no page in it
   */
  static Brought of(String called, byte[] bytes) {
    String file = called.replaceAll(".*[/\\\\]", "");
    String name = file.length() > LONGEST_NAME ? file.substring(0, LONGEST_NAME) : file;
    if (bytes.length == 0) {
      throw new Refused("File " + name, "empty", "a page with something in it");
    }
    boolean packed = bytes.length > 3 && bytes[0] == 'P' && bytes[1] == 'K' && bytes[2] < 8;
    if (packed) {
      Map<String, byte[]> files = unpacked(bytes);
      return new Brought(name, entry(files), true, files);
    }
    if (!html(name)) {
      throw new Refused("File " + name, "neither HTML nor a zip", "a file .html, .htm or .zip");
    }
    String path = PATH.matcher(name).matches() ? name : "index.html";
    return new Brought(name, path, false, Map.of(path, bytes));
  }

  static boolean html(String path) {
    return HTML.matcher(path.toLowerCase(Locale.ROOT)).matches();
  }

  /** The page of a folder: its index, or else the one that lies least deep. */
  private static String entry(Map<String, byte[]> files) {
    return files.keySet().stream()
        .filter(Brought::html)
        .min(
            Comparator.<String>comparingInt(path -> path.split("/", -1).length)
                .thenComparing(path -> !path.toLowerCase(Locale.ROOT).matches("(.*/)?index\\..*"))
                .thenComparing(Comparator.naturalOrder()))
        .orElseThrow(() -> new Refused("The zip", "without a page", "one with a file .html in it"));
  }

  private static Map<String, byte[]> unpacked(byte[] bytes) {
    var files = new LinkedHashMap<String, byte[]>();
    long all = 0;
    try (var zip = new ZipInputStream(new ByteArrayInputStream(bytes))) {
      for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
        String path = entry.getName();
        if (entry.isDirectory()) {
          continue;
        }
        if (!PATH.matcher(path).matches()) {
          throw new Refused(
              "Path in the zip",
              path.length() > 80 ? path.substring(0, 80) + "…" : path,
              "one within its folder, of at most " + LONGEST + " letters");
        }
        byte[] read = read(zip, (long) MOST_MB * 1024 * 1024 - all);
        all += read.length;
        if (files.put(path, read) != null) {
          throw new Refused("Path in the zip", path, "there once");
        }
        if (files.size() > MOST_FILES) {
          throw new Refused("The zip", "of more than " + MOST_FILES + " files", "smaller");
        }
      }
    } catch (ZipException | IllegalArgumentException e) {
      throw new Refused("The zip", "damaged (" + e.getMessage() + ")", "a whole zip file");
    } catch (IOException e) {
      throw new Refused("The zip", "cut off", "a whole zip file");
    }
    return files;
  }

  private static byte[] read(ZipInputStream zip, long most) throws IOException {
    var out = new ByteArrayOutputStream();
    byte[] some = new byte[65_536];
    for (int length = zip.read(some); length >= 0; length = zip.read(some)) {
      out.write(some, 0, length);
      if (out.size() > most) {
        throw new Refused(
            "The zip", "of more than " + MOST_MB + " MB", "at most " + MOST_MB + " MB");
      }
    }
    return out.toByteArray();
  }
}
