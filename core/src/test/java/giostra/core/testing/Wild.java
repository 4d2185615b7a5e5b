package giostra.core.testing;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.format.DocumentJson;
import giostra.core.value.Refused;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Base64;
import java.util.List;
import java.util.Random;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.FutureTask;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;

/**
 * Inputs that nobody would write, made of ones that somebody did: bits turned, numbers at their
 * ends, parts left out, doubled, repeated thousands of times and put into others. Whatever reads
 * them says what is wrong by {@link Refused}, or reads them; it neither breaks in another way nor
 * takes for ever.
 */
public final class Wild {
  /** A reader that takes so long for one input has lost its way. */
  private static final int TAKES_SECONDS = 20;

  /** As threads of a server have, and not as tests do. */
  private static final long STACK = 512 << 10;

  private static final int[] ENDS = {0, 1, 2, 0x7f, 0x80, 0xff, 0x7fff, 0x7fffffff, 0x80000000, -1};

  private final String name;
  private final List<byte[]> seeds;
  private final List<byte[]> words;
  private final Consumer<byte[]> reads;
  private final int longest;

  /**
   * Names a reader.
   *
   * @param seeds inputs that it takes
   * @param words that mean something in them
   * @param longest bytes of an input that are made
   * @param reads reads, and looks at what it has read
   */
  public Wild(
      String name, List<byte[]> seeds, List<String> words, int longest, Consumer<byte[]> reads) {
    this.name = name;
    this.seeds = List.copyOf(seeds);
    this.words = words.stream().map(each -> each.getBytes(StandardCharsets.UTF_8)).toList();
    this.longest = longest;
    this.reads = reads;
  }

  /** What a reader of text makes of bytes. */
  public static Consumer<byte[]> text(Consumer<String> reads) {
    return bytes -> reads.accept(new String(bytes, StandardCharsets.UTF_8));
  }

  @Override
  public String toString() {
    return name;
  }

  /** Goes on for so many inputs, or in a deep run for a minute; tells what it found. */
  public void go(int inputs, long seed) throws InterruptedException {
    for (byte[] each : seeds) {
      assertThat(read(each)).as("%s takes %s", name, shown(each)).isTrue();
    }
    long until = System.nanoTime() + TimeUnit.SECONDS.toNanos(60);
    var random = new Random(seed);
    int done = 0;
    int taken = 0;
    double worst = 0;
    while (Runs.deep() ? System.nanoTime() < until : done < inputs) {
      byte[] input = input(random);
      long since = System.nanoTime();
      taken += read(input) ? 1 : 0;
      double ms = (System.nanoTime() - since) / 1e6;
      worst = Math.max(worst, ms / Math.max(1, input.length / 1024.0));
      done++;
    }
    System.out.printf(
        "measured: %s: %d wild inputs, %d taken, the slowest %.1f ms a kB%n",
        name, done, taken, worst);
    assertThat(done).isPositive();
  }

  private boolean read(byte[] input) throws InterruptedException {
    var task =
        new FutureTask<@Nullable Throwable>(() -> {
          try {
            reads.accept(input);
            return null;
          } catch (Throwable e) {
            return e;
          }
        });
    var thread = new Thread(null, task, "reads " + name, STACK);
    thread.setDaemon(true);
    thread.start();
    Throwable said;
    try {
      said = task.get(TAKES_SECONDS, TimeUnit.SECONDS);
    } catch (TimeoutException e) {
      StackTraceElement[] at = thread.getStackTrace();
      var late = new AssertionError(name + " does not come to an end: " + shown(input));
      late.setStackTrace(at);
      throw late;
    } catch (ExecutionException e) {
      said = e.getCause();
    }
    if (said != null && !(said instanceof Refused || said instanceof DocumentJson.Faults)) {
      throw new AssertionError(name + " breaks: " + shown(input), said);
    }
    return said == null;
  }

  private static String shown(byte[] input) {
    byte[] start = Arrays.copyOf(input, Math.min(input.length, 3000));
    return input.length + " bytes, in base64 " + Base64.getEncoder().encodeToString(start);
  }

  // --- inputs ---

  private byte[] input(Random random) {
    byte[] bytes = some(random, seeds);
    int changes = 1 + (int) Math.pow(random.nextDouble() * 3, 2);
    for (int i = 0; i < changes; i++) {
      bytes = changed(bytes, random);
    }
    return bytes.length > longest ? Arrays.copyOf(bytes, longest) : bytes;
  }

  private byte[] changed(byte[] bytes, Random random) {
    int at = random.nextInt(bytes.length + 1);
    int end = at + random.nextInt(Math.min(bytes.length - at, 64) + 1);
    return switch (random.nextInt(12)) {
      case 0, 1 -> turned(bytes, random);
      case 2 -> number(bytes, random);
      case 3 -> put(bytes, at, end, new byte[0]);
      case 4 -> Arrays.copyOf(bytes, at);
      case 5 -> put(bytes, at, at, Arrays.copyOfRange(bytes, at, end));
      case 6 -> put(bytes, at, at, repeated(Arrays.copyOfRange(bytes, at, end), random));
      case 7 -> put(bytes, at, end, odd(random));
      case 8 -> put(bytes, at, end, repeated(odd(random), random));
      case 9 -> {
        byte[] other = some(random, seeds);
        int from = random.nextInt(other.length + 1);
        int to = from + random.nextInt(Math.min(other.length - from, 4096) + 1);
        yield put(bytes, at, end, Arrays.copyOfRange(other, from, to));
      }
      case 10 -> words.isEmpty() ? turned(bytes, random) : put(bytes, at, end, word(random));
      default ->
          words.isEmpty()
              ? number(bytes, random)
              : put(bytes, at, at, repeated(word(random), random));
    };
  }

  private byte[] word(Random random) {
    return some(random, words);
  }

  private static byte[] some(Random random, List<byte[]> all) {
    return all.get(random.nextInt(all.size()));
  }

  private static byte[] turned(byte[] bytes, Random random) {
    if (bytes.length == 0) {
      return new byte[] {(byte) random.nextInt(256)};
    }
    byte[] changed = bytes.clone();
    for (int i = random.nextInt(8); i >= 0; i--) {
      changed[random.nextInt(changed.length)] ^= (byte) (1 << random.nextInt(8));
    }
    return changed;
  }

  /** A number of one, two or four bytes at one of its ends. */
  private static byte[] number(byte[] bytes, Random random) {
    byte[] changed = bytes.clone();
    int size = 1 << random.nextInt(3);
    if (changed.length < size) {
      return changed;
    }
    int at = random.nextInt(changed.length - size + 1);
    int value = ENDS[random.nextInt(ENDS.length)] - random.nextInt(2);
    for (int i = 0; i < size; i++) {
      changed[at + i] = (byte) (value >> 8 * (size - 1 - i));
    }
    return changed;
  }

  private static byte[] odd(Random random) {
    String[] all = {
      "\u0000",
      "\uFEFF",
      "\u202E",
      "\u2028",
      "\uFFFF",
      "\u0130",
      "\u00DF",
      "\uD83D\uDC69\u200D\uD83D\uDE80",
      "\u05D0\u0300",
      "\t",
      "\r",
      "\r\n",
      " ",
      "\"",
      "'",
      "\\",
      "/",
      "<",
      ">",
      "&",
      ";",
      ":",
      ",",
      "(",
      ")",
      "[",
      "]",
      "{",
      "}",
      "%",
      "#",
      "@",
      "-",
      "+",
      ".",
      "=",
      "*",
      "0",
      "-0",
      "1e309",
      "1e-400",
      "NaN",
      "9".repeat(400),
      "0." + "0".repeat(400) + "1",
      "a".repeat(3000),
      "&#x110000;",
      "&#0;",
      "%00",
      "<!--",
      "-->",
      "<![CDATA[",
      "]]>",
      "/*",
      "*/",
      "\\u0000",
      "\\ud800",
      "url(",
      "javascript:"
    };
    return all[random.nextInt(all.length)].getBytes(StandardCharsets.UTF_8);
  }

  private byte[] repeated(byte[] part, Random random) {
    if (part.length == 0) {
      return part;
    }
    int most = Math.max(1, longest / part.length);
    int times = random.nextInt(4) == 0 ? most : 1 + random.nextInt(Math.min(most, 200));
    byte[] all = new byte[times * part.length];
    for (int i = 0; i < times; i++) {
      System.arraycopy(part, 0, all, i * part.length, part.length);
    }
    return all;
  }

  private static byte[] put(byte[] bytes, int at, int end, byte[] part) {
    byte[] changed = new byte[at + part.length + bytes.length - end];
    System.arraycopy(bytes, 0, changed, 0, at);
    System.arraycopy(part, 0, changed, at, part.length);
    System.arraycopy(bytes, end, changed, at + part.length, bytes.length - end);
    return changed;
  }
}
