package giostra.core.media;

import giostra.core.value.Refused;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A caption file. Source: WebVTT, "WebVTT file body" and "WebVTT timestamp".
 *
 * @param cues in the order of the file
 */
public record Captions(List<Cue> cues) {
  /** What is said from one time to another, in ms. */
  public record Cue(long startMs, long endMs, String text) {}

  private static final Pattern TIMING =
      Pattern.compile(
          "((?:\\d{2,5}:)?[0-5]\\d:[0-5]\\d\\.\\d{3})[ \\t]+-->[ \\t]+((?:\\d{2,5}:)?[0-5]\\d:[0-5]\\d\\.\\d{3})([ \\t].*)?");

  public Captions {
    cues = List.copyOf(cues);
  }

  /** Whether text begins as a caption file does. */
  public static boolean looksLikeOne(String text) {
    return text.replace("\uFEFF", "").matches("(?s)WEBVTT([ \\t\\n\\r].*)?");
  }

  /**
   * Reads one.
   *
   * @throws Refused naming the line that is wrong
   */
  public static Captions read(String text) {
    if (!looksLikeOne(text)) {
      throw new Refused("Line 1 of the captions", first(text), "WEBVTT");
    }
    String[] lines = text.replace("\uFEFF", "").split("\r\n|\n|\r", -1);
    var cues = new ArrayList<Cue>();
    for (int i = 1; i < lines.length; i++) {
      if (!lines[i].contains("-->")) {
        continue;
      }
      Matcher timing = TIMING.matcher(lines[i]);
      if (!timing.matches()) {
        throw new Refused(
            "Line " + (i + 1) + " of the captions",
            lines[i],
            "two times such as 00:01.000 --> 00:04.000");
      }
      long start = ms(timing.group(1));
      long end = ms(timing.group(2));
      if (end <= start) {
        throw new Refused(
            "Line " + (i + 1) + " of the captions", lines[i], "a time with a later one after it");
      }
      var said = new StringBuilder();
      while (i + 1 < lines.length && !lines[i + 1].isBlank() && !lines[i + 1].contains("-->")) {
        said.append(said.isEmpty() ? "" : "\n").append(lines[++i]);
      }
      cues.add(new Cue(start, end, said.toString()));
    }
    if (cues.isEmpty()) {
      throw new Refused("The captions", "without a cue", "a file with times and words");
    }
    return new Captions(cues);
  }

  private static String first(String text) {
    String line = text.lines().findFirst().orElse("");
    return line.length() > 60 ? line.substring(0, 60) + "…" : line;
  }

  private static long ms(String time) {
    String[] parts = time.split(":");
    long hours = parts.length == 3 ? Long.parseLong(parts[0]) : 0;
    long minutes = Long.parseLong(parts[parts.length - 2]);
    double seconds = Double.parseDouble(parts[parts.length - 1]);
    return hours * 3_600_000 + minutes * 60_000 + Math.round(seconds * 1000);
  }

  /** When the last words end, in ms. */
  public long endMs() {
    return cues.stream().mapToLong(Cue::endMs).max().orElse(0);
  }
}
