package giostra.core.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import giostra.core.value.Refused;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Clips made here, and what the reference reader ffprobe says of them. The codec strings: RFC 6381;
 * for AV1 the "Codecs Parameter String" of its ISO media binding.
 */
class ClipFactsTest {
  @TempDir Path folder;

  private static byte[] run(String... command) throws IOException {
    try {
      Process process =
          new ProcessBuilder(command).redirectError(ProcessBuilder.Redirect.DISCARD).start();
      byte[] out = process.getInputStream().readAllBytes();
      assertThat(process.waitFor()).as(String.join(" ", command)).isZero();
      return out;
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  private Path made(String name, String options) throws IOException {
    Path file = folder.resolve(name);
    var command = new ArrayList<String>(List.of("ffmpeg", "-v", "error", "-f", "lavfi", "-i"));
    command.addAll(Arrays.asList(options.split(" ")));
    command.add(file.toString());
    run(command.toArray(String[]::new));
    return file;
  }

  /** What the reference reader says of a file, as names and values. */
  private static Map<String, String> probed(Path file) throws IOException {
    byte[] said =
        run(
            "ffprobe",
            "-v",
            "error",
            "-of",
            "flat",
            "-show_format",
            "-show_streams",
            file.toString());
    return new String(said, StandardCharsets.UTF_8)
        .lines()
        .map(line -> line.split("=", 2))
        .collect(Collectors.toMap(pair -> pair[0], pair -> pair[1].replace("\"", "")));
  }

  private static final Map<String, List<String>> NAMES =
      Map.of(
          "h264", List.of("avc1"),
          "hevc", List.of("hvc1", "hev1"),
          "vp8", List.of("vp8"),
          "vp9", List.of("vp9", "vp09"),
          "av1", List.of("av01"),
          "aac", List.of("mp4a"),
          "opus", List.of("opus"),
          "vorbis", List.of("vorbis"));

  @ParameterizedTest
  @CsvSource(
      delimiter = '~',
      value = {
        "a.mp4 ~ testsrc=size=320x180:rate=25:duration=2 -f lavfi -i sine=duration=2 -c:v libx264 -pix_fmt yuv420p -c:a aac",
        "b.mp4 ~ testsrc=size=426x240:rate=30:duration=1.5 -c:v libx264 -profile:v high -level 3.1 -pix_fmt yuv420p -movflags +faststart",
        "c.mp4 ~ testsrc=size=200x120:rate=10:duration=3 -c:v libx264 -profile:v baseline -pix_fmt yuv420p -movflags frag_keyframe+empty_moov+default_base_moof",
        "d.mp4 ~ testsrc=size=160x90:rate=5:duration=1 -c:v libaom-av1 -cpu-used 8 -pix_fmt yuv420p",
        "e.webm ~ testsrc=size=320x180:rate=25:duration=2 -f lavfi -i sine=duration=2 -c:v libvpx -c:a libvorbis",
        "f.webm ~ testsrc=size=640x360:rate=25:duration=1 -f lavfi -i sine=duration=1 -c:v libvpx-vp9 -deadline realtime -c:a libopus",
        "g.webm ~ testsrc=size=160x90:rate=5:duration=1 -c:v libaom-av1 -cpu-used 8 -pix_fmt yuv420p",
        "h.mp4 ~ testsrc=size=160x120:rate=10:duration=1 -c:v libvpx-vp9 -deadline realtime -strict experimental",
      })
  void aClipIsWhatTheReferenceReaderSaysItIs(String name, String options) throws IOException {
    Path file = made(name.strip(), options.strip());
    ClipFacts facts = ClipFacts.read(Files.readAllBytes(file));
    Map<String, String> probed = probed(file);
    int streams = Integer.parseInt(probed.get("format.nb_streams"));
    String first = "streams.stream.0.";
    assertThat(facts.type()).isEqualTo("video/" + name.strip().substring(2));
    assertThat(facts.width()).isEqualTo(Integer.parseInt(probed.get(first + "width")));
    assertThat(facts.height()).isEqualTo(Integer.parseInt(probed.get(first + "height")));
    double seconds = Double.parseDouble(probed.getOrDefault("format.duration", "0"));
    // A file in fragments says nothing in its header; ffprobe adds the fragments up.
    if (!name.startsWith("c")) {
      assertThat((double) facts.durationMs()).isCloseTo(seconds * 1000, within(1.0));
    }
    assertThat(facts.codecs()).hasSize(streams);
    for (int i = 0; i < streams; i++) {
      String codec = facts.codecs().get(i);
      assertThat(NAMES.get(probed.get("streams.stream." + i + ".codec_name")))
          .contains(codec.replaceAll("\\..*", ""));
    }
    if ("h264".equals(probed.get(first + "codec_name"))) {
      // The last two digits are the level in hexadecimal.
      int level = Integer.parseInt(facts.codecs().getFirst().substring(9), 16);
      assertThat(level).isEqualTo(Integer.parseInt(probed.get(first + "level")));
    }
    if (facts.codecs().getLast().startsWith("mp4a")) {
      // 40 is MPEG-4 audio, 2 its low complexity profile.
      assertThat(facts.codecs().getLast()).isEqualTo("mp4a.40.2");
      assertThat(probed.get("streams.stream." + (streams - 1) + ".profile")).isEqualTo("LC");
    }
  }

  @Test
  void aTurnedClipIsAsHighAsItIsShown() throws IOException {
    Path lying =
        made("i.mp4", "testsrc=size=320x180:rate=10:duration=1 -c:v libx264 -pix_fmt yuv420p");
    Path standing = folder.resolve("j.mp4");
    run(
        "ffmpeg",
        "-v",
        "error",
        "-i",
        lying.toString(),
        "-metadata:s:v",
        "rotate=90",
        "-c",
        "copy",
        standing.toString());
    ClipFacts facts = ClipFacts.read(Files.readAllBytes(standing));
    assertThat(facts.width()).isEqualTo(180);
    assertThat(facts.height()).isEqualTo(320);
  }

  @Test
  void theTypeIsWrittenWithItsCodecs() {
    assertThat(new ClipFacts("video/mp4", 1, 1, 1, List.of("avc1.64001F", "mp4a.40.2")).full())
        .isEqualTo("video/mp4; codecs=\"avc1.64001F, mp4a.40.2\"");
  }

  @Test
  void cutOffClipsAreRefusedAndNothingElseHappens() throws IOException {
    byte[] mp4 =
        Files.readAllBytes(
            made(
                "k.mp4",
                "testsrc=size=160x90:rate=5:duration=1 -c:v libx264 -movflags +faststart"));
    byte[] webm =
        Files.readAllBytes(made("l.webm", "testsrc=size=160x90:rate=5:duration=1 -c:v libvpx"));
    var random = new Random(7);
    int refused = 0;
    for (byte[] whole : List.of(mp4, webm)) {
      for (int i = 0; i < 300; i++) {
        byte[] some = Arrays.copyOf(whole, 12 + random.nextInt(whole.length - 12));
        for (int k = 0; k < random.nextInt(6); k++) {
          some[8 + random.nextInt(some.length - 8)] = (byte) random.nextInt(256);
        }
        try {
          ClipFacts.read(some);
        } catch (Refused e) {
          refused++;
        }
      }
    }
    assertThat(refused).isPositive();
  }

  @Test
  void whatIsNoClipIsRefused() {
    byte[] text = "Not a clip at all".getBytes(StandardCharsets.UTF_8);
    assertThat(ClipFacts.looksLikeOne(text)).isFalse();
    assertThatThrownBy(() -> ClipFacts.read(text))
        .isInstanceOf(Refused.class)
        .hasMessage("The clip is of no known type; it must be mp4 or webm");
  }
}
