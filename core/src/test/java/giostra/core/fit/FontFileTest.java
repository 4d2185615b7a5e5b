package giostra.core.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import giostra.core.media.Woff;
import giostra.core.testing.FontTables;
import giostra.core.value.Refused;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.zip.DeflaterOutputStream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Fonts that somebody brings along, held against the same files as a reference library unpacks them
 * (wawoff2, at build time: the core's own ttf files).
 */
class FontFileTest {
  private static byte[] packed(String file) throws IOException {
    return resource(file + ".woff2");
  }

  private static byte[] plain(String file) throws IOException {
    return resource("fonts/" + file + ".ttf");
  }

  private static byte[] resource(String name) throws IOException {
    try (InputStream in = FontFileTest.class.getResourceAsStream(name)) {
      return Objects.requireNonNull(in, name).readAllBytes();
    }
  }

  private OwnFonts.@Nullable Source files;

  /** What fonts are asked for in place of what a test asked before. */
  private void asked(Function<String, Optional<byte[]>> source) {
    nothingIsLeft();
    files = OwnFonts.from(source);
  }

  @AfterEach
  void nothingIsLeft() {
    if (files != null) {
      files.close();
    }
  }

  @ParameterizedTest
  @ValueSource(strings = {"oswald-latin-wght-normal", "rubik-hebrew-wght-normal"})
  void unpacksAsTheReferenceDoes(String file) throws IOException {
    Map<String, byte[]> ours = FontTables.of(Woff.unpacked(packed(file)));
    Map<String, byte[]> theirs = FontTables.of(plain(file));
    assertThat(ours.keySet()).containsAll(List.of("cmap", "hmtx", "GSUB", "HVAR", "fvar"));
    ours.forEach((tag, bytes) -> {
      if (!tag.equals("hmtx") && !tag.equals("head")) {
        assertThat(bytes).as(tag).isEqualTo(theirs.get(tag));
      }
    });
    // Sums in the head are of the whole file, which has no outlines here.
    assertThat(Objects.requireNonNull(ours.get("head")).length).isEqualTo(54);
  }

  /** Source: WOFF 1.0 (W3C), written here from its tables. */
  private static byte[] first(byte[] font) throws IOException {
    Map<String, byte[]> tables = FontTables.of(font);
    var body = new ByteArrayOutputStream();
    ByteBuffer head = ByteBuffer.allocate(44 + 20 * tables.size());
    head.put("wOFF".getBytes(StandardCharsets.US_ASCII)).putInt(0x00010000).putInt(0);
    head.putShort((short) tables.size()).putShort((short) 0).position(44);
    for (var each : tables.entrySet()) {
      var out = new ByteArrayOutputStream();
      try (var deflater = new DeflaterOutputStream(out)) {
        deflater.write(each.getValue());
      }
      byte[] kept = out.size() < each.getValue().length ? out.toByteArray() : each.getValue();
      head.put(each.getKey().getBytes(StandardCharsets.ISO_8859_1));
      head.putInt(head.capacity() + body.size()).putInt(kept.length);
      head.putInt(each.getValue().length).putInt(0);
      body.write(kept);
    }
    var all = new ByteArrayOutputStream();
    all.write(head.array());
    all.write(body.toByteArray());
    return all.toByteArray();
  }

  @Test
  void whatAFontSaysOfItselfIsTheSameInEachFormat() throws IOException {
    byte[] plain = plain("oswald-latin-wght-normal");
    FontFile said = FontFile.read(plain);
    assertThat(said.family()).isEqualTo("Oswald");
    // Source: the family's own "fvar": 200 to 700.
    assertThat(List.of(said.lightest(), said.heaviest())).isEqualTo(List.of(200, 700));
    assertThat(said.slanted()).isFalse();
    assertThat(said.restricted()).isFalse();
    assertThat(said.type()).isEqualTo("font/ttf");
    FontFile first = FontFile.read(first(plain));
    assertThat(first.type()).isEqualTo("font/woff");
    FontFile second = FontFile.read(packed("oswald-latin-wght-normal"));
    assertThat(second.type()).isEqualTo("font/woff2");
    for (FontFile each : List.of(first, second)) {
      assertThat(
              new FontFile(
                  "font/ttf",
                  each.family(),
                  each.lightest(),
                  each.heaviest(),
                  each.slanted(),
                  each.restricted(),
                  each.characters()))
          .isEqualTo(said);
    }
  }

  /** Source: OpenType, "OS/2": fsType 2 is "Restricted License embedding". */
  @Test
  void whatMustNotBePutIntoDocumentsIsTold() throws IOException {
    byte[] font = plain("oswald-latin-wght-normal").clone();
    ByteBuffer in = ByteBuffer.wrap(font);
    for (int i = 0; i < in.getShort(4); i++) {
      int at = 12 + 16 * i;
      if (new String(font, at, 4, StandardCharsets.ISO_8859_1).equals("OS/2")) {
        in.putShort(in.getInt(at + 8) + 8, (short) 2);
      }
    }
    assertThat(FontFile.read(font).restricted()).isTrue();
  }

  @Test
  void ownLettersAreAsWideAsTheSameThatShip() throws IOException {
    byte[] packed = packed("oswald-latin-wght-normal");
    asked(id -> id.equals("brand-1") ? Optional.of(packed) : Optional.empty());
    String own = OwnFonts.family(List.of("brand-1"));
    for (int weight : new int[] {200, 400, 555, 700, 900}) {
      for (String text : List.of("Evenings at Velluta", "AVATAR To, fi 1234", "“Quoted” – dash")) {
        assertThat(Face.of(own, weight).width(text, 32, 0))
            .as("%s at %d", text, weight)
            .isCloseTo(Face.of("Oswald Variable", weight).width(text, 32, 0), within(0.001));
      }
    }
    assertThat(Face.of(own, 400).has('ж')).as("drawn by further letters").isTrue();
    assertThat(HarfBuzz.shipped().has(own, 'ж')).isFalse();
    assertThat(Face.is(OwnFonts.family(List.of("gone")))).isFalse();
  }

  @Test
  void whatComesLaterIsMeasured() throws IOException {
    byte[] packed = packed("oswald-latin-wght-normal");
    var there = new TreeMap<String, byte[]>();
    asked(id -> Optional.ofNullable(there.get(id)));
    String own = OwnFonts.family(List.of("later"));
    assertThat(Face.is(own)).isFalse();
    there.put("later", packed);
    OwnFonts.changed("later");
    assertThat(Face.is(own)).isTrue();
  }

  private static FontFile of(int from, int to, boolean slanted) {
    return new FontFile("font/ttf", "Brand", from, to, slanted, false, 100);
  }

  /** Source: CSS Fonts 4, 5.2, "font style matching": where lighter and where bolder come first. */
  @ParameterizedTest
  @CsvSource({
    "'400 700', 1-500 501-1000",
    "'300 600', 1-500 501-1000",
    "'300 500 900', 1-399 400-500 501-1000",
    "'450', 1-1000",
    "'100 450', 1-399 400-1000",
    "'600 700', 1-600 601-1000",
  })
  void eachWeightIsDrawnFromTheFileThatBrowsersWouldTake(String weights, String shares) {
    List<FontFile> files =
        Arrays.stream(weights.split(" "))
            .map(Integer::parseInt)
            .map(weight -> of(weight, weight, false))
            .toList();
    assertThat(OwnFonts.shares(files).stream().map(each -> each.from() + "-" + each.to()).toList())
        .isEqualTo(List.of(shares.split(" ")));
  }

  @Test
  void slantedFilesDrawSlantedLettersWhereUprightOnesAreThere() {
    assertThat(OwnFonts.shares(List.of(of(400, 400, false), of(300, 800, true))))
        .containsExactly(
            new OwnFonts.Share(0, 1, 1000, false), new OwnFonts.Share(1, 1, 1000, true));
    assertThat(OwnFonts.shares(List.of(of(300, 800, true))))
        .containsExactly(new OwnFonts.Share(0, 1, 1000, false));
  }

  @ParameterizedTest
  @ValueSource(strings = {"wOF2", "wOFF", "OTTO", "true"})
  void whatOnlyBeginsAsAFontIsRefused(String start) {
    byte[] bytes = Arrays.copyOf(start.getBytes(StandardCharsets.US_ASCII), 200);
    assertThatThrownBy(() -> FontFile.read(bytes))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("font");
  }

  /** Whatever is broken in a font is a refusal, or it is measured: nothing else comes of it. */
  @ParameterizedTest
  @ValueSource(booleans = {true, false})
  void brokenFontsBreakNothing(boolean packed) throws IOException {
    byte[] whole = packed ? packed("rubik-hebrew-wght-normal") : plain("rubik-hebrew-wght-normal");
    var random = new Random(7);
    for (int round = 0; round < 300; round++) {
      byte[] broken = whole.clone();
      for (int i = 0; i < 1 + round % 20; i++) {
        int within = round % 2 == 0 ? 400 : broken.length;
        broken[random.nextInt(Math.min(within, broken.length))] = (byte) random.nextInt(256);
      }
      byte[] cut = round % 5 == 0 ? Arrays.copyOf(broken, random.nextInt(whole.length)) : broken;
      try {
        FontFile.read(cut);
        asked(_ -> Optional.of(cut));
        String family = OwnFonts.family(List.of("broken"));
        assertThat(Face.is(family)).isTrue();
        assertThat(Face.of(family, 500).width("שלום Evenings", 20, 0)).isFinite();
      } catch (Refused e) {
        assertThat(e.allowed()).isNotEmpty();
      }
    }
  }

  /** A small file that says that it is large once it is unpacked. */
  @Test
  void aFontThatGrowsBeyondMeasureIsRefused() throws IOException {
    byte[] font = packed("rubik-hebrew-wght-normal").clone();
    // The first table's length, in seven bits a byte, becomes the largest that five bytes hold.
    byte[] longer = new byte[font.length + 5];
    System.arraycopy(font, 0, longer, 0, 48);
    longer[48] = font[48];
    byte[] most = {(byte) 0x87, (byte) 0xff, (byte) 0xff, (byte) 0xff, 0x7f};
    System.arraycopy(most, 0, longer, 49, 5);
    System.arraycopy(font, 50, longer, 54, font.length - 50);
    assertThatThrownBy(() -> Woff.unpacked(longer))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("16 MB");
  }
}
