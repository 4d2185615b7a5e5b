package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import giostra.core.anatomy.PageParts;
import giostra.core.band.Bands;
import giostra.core.fit.Face;
import giostra.core.fit.TextFit;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.look.Values;
import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.Document;
import giostra.core.page.PageSettings;
import giostra.core.page.Section;
import giostra.core.page.Site;
import giostra.core.testing.InTurn;
import giostra.core.testing.Runs;
import giostra.core.value.Family;
import giostra.core.value.Typeface;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/**
 * Lines of texts as the engine counts them against those that Chromium lays out, at every whole
 * width from 100 to 700 px, in the faces that ship. Reference: Debian's Chromium.
 */
@ExtendWith({Giostra.class, Chromium.class})
class TextFitJourney {
  private static final int NARROWEST = 100;
  private static final int WIDEST = 700;

  /** How one text is set: family and weight of a face, its size in px, letter spacing in px. */
  private record Sample(String text, String family, int weight, double size, double spacing) {}

  @Test
  void linesAreThoseOfChromium(Api api, Chromium.Open chromium) {
    Page page = chromium.page(1280, 800);
    page.navigate(api.publish(api.newPage(everyFamily())));
    List<Sample> samples = samples();
    assertThat(samples.size()).isGreaterThanOrEqualTo(40);
    Js.ask(page, FACES, null);
    JsonNode shown = Js.ask(page, MEASURE, given(samples));
    long all = 0;
    long right = 0;
    long nearAll = 0;
    long nearRight = 0;
    var worst = new ArrayList<String>();
    var poor = new ArrayList<String>();
    for (int s = 0; s < samples.size(); s++) {
      Sample sample = samples.get(s);
      TextFit fit =
          TextFit.of(
              sample.text(),
              Face.of(sample.family(), sample.weight()),
              sample.size(),
              sample.spacing(),
              Locale.ENGLISH);
      int good = 0;
      for (int width = NARROWEST; width <= WIDEST; width++) {
        int computed = fit.lines(width);
        int real = shown.path(s).path(width - NARROWEST).asInt();
        boolean near = near(shown.path(s), width);
        all++;
        nearAll += near ? 1 : 0;
        if (computed == real) {
          right++;
          good++;
          nearRight += near ? 1 : 0;
        }
      }
      double share = 100.0 * good / (WIDEST - NARROWEST + 1);
      worst.add(
          "%6.2f %% %s"
              .formatted(share, sample.text().substring(0, Math.min(40, sample.text().length()))));
      if (share < 98) {
        poor.add(worst.getLast());
      }
    }
    worst.sort(null);
    System.out.printf(
        "text fit: %.3f %% of %d widths, %.2f %% of %d within 8 px of a change of lines; worst %s%n",
        100.0 * right / all, all, 100.0 * nearRight / nearAll, nearAll, worst.subList(0, 3));
    assertThat(poor).as("texts below 98 %").isEmpty();
    assertThat(100.0 * right / all).isGreaterThanOrEqualTo(99.5);
  }

  /**
   * Texts that go wrong first: words longer than their line, addresses, French punctuation after a
   * plain space, characters that few fonts have, in any room.
   */
  @InTurn(23)
  @Test
  void hardTextsAreBrokenAsChromiumDoes(Api api, Chromium.Open chromium) {
    Page page = chromium.page(1280, 800);
    page.navigate(api.publish(api.newPage(everyFamily())));
    Js.ask(page, FACES, null);
    long right = 0;
    var poor = new ArrayList<String>();
    List<String> languages = Runs.deep() ? List.of("en", "fr") : List.of("fr");
    for (String language : languages) {
      for (String text : HARD) {
        for (Sample sample :
            List.of(
                new Sample(text, "Source Sans 3 Variable", 400, 16, 0),
                new Sample(text, "Fraunces Variable", 500, 22, -.22))) {
          right += broken(page, sample, language, poor);
        }
      }
    }
    long all = 2L * languages.size() * HARD.size() * (HARD_TO - HARD_FROM + 1);
    System.out.printf("hard texts: %.3f %% of %d widths; %s%n", 100.0 * right / all, all, poor);
    assertThat(100.0 * right / all).as("share of widths; %s", poor).isGreaterThanOrEqualTo(99.9);
  }

  /** At how many widths a text has as many lines as it is seen to have. */
  private static int broken(Page page, Sample sample, String language, List<String> poor) {
    JsonNode shown =
        Js.ask(
            page,
            BROKEN,
            Map.of(
                "samples",
                given(List.of(sample)),
                "language",
                language,
                "from",
                HARD_FROM,
                "to",
                HARD_TO));
    TextFit fit =
        TextFit.of(
            sample.text(),
            Face.of(sample.family(), sample.weight()),
            sample.size(),
            sample.spacing(),
            Locale.forLanguageTag(language));
    int right = 0;
    for (int width = HARD_FROM; width <= HARD_TO; width++) {
      String lines = shown.path(width - HARD_FROM).asString();
      int real = (int) lines.chars().filter(c -> c == '|').count() + 1;
      if (fit.lines(width) == real) {
        right++;
      } else {
        poor.add("%s at %d: %d, not %s".formatted(language, width, fit.lines(width), lines));
      }
    }
    return right;
  }

  private static final int HARD_FROM = 16;
  private static final int HARD_TO = 420;

  private static final List<String> HARD =
      List.of(
          "Of the Glasshouselanternkeepersassociationmeetings hour and slowly",
          "Visitors Nachtgewächshausbeleuchtungsgenossenschaften at the gate",
          "Write to visitors@moonflower-glasshouse.example before the evening",
          "See https://moonflower.example/evenings/lanterns?seats=2 for seats",
          "Lamps of « Venez ce soir ! Les serres ouvrent ; qui vient ? » evening",
          "At the — 1 234 567,89 € slowly",
          "Paths and/or houses, up-to-date 24-hour self-service, 50% off (half-price)",
          "Visitors and of slowly dew the dew lantern the lantern water and moonflower",
          "In hour dew lamps at ferns of lamps I the I and lantern dew of moonflower evening visitors and evening water glasshouse slowly palms hour ferns a hour slowly",
          "I a at of in the moonflower I a at of in");

  /** The text of each line at each width, lines parted by a bar. */
  private static final String BROKEN =
      """
      async ({ samples, language, from, to }) => {
        const root = document.createElement('div');
        document.documentElement.lang = language;
        document.body.replaceChildren(root);
        const { text, family, weight, size, spacing } = samples[0];
        Object.assign(root.style, { font: `${weight} ${size}px/20px "Fit ${family}","Fit Further Letters"`, letterSpacing: `${spacing}px`,
          overflowWrap: 'break-word', hyphens: 'manual', whiteSpace: 'normal', margin: '0' });
        // As headings are.
        if (size > 20) root.style.textWrap = 'balance';
        root.append(text);
        const range = document.createRange();
        const lines = [];
        for (let width = from; width <= to; width++) {
          root.style.width = `${width}px`;
          let line = '';
          let top = null;
          for (let i = 0; i < text.length; i++) {
            range.setStart(root.firstChild, i);
            range.setEnd(root.firstChild, i + 1);
            const box = range.getClientRects()[0];
            if (!box) continue;
            if (top !== null && box.top - top > 8) line += '|';
            top = box.top;
            line += text[i];
          }
          lines.push(line);
        }
        return lines;
      }
      """;

  /**
   * Texts in scripts that none of the families has, or not each: what they are drawn by ships with
   * the page, in the language of the page.
   */
  @InTurn(10)
  @Test
  void furtherLettersAreBrokenAsChromiumDoes(Api api, Chromium.Open chromium) {
    Page page = chromium.page(1280, 800);
    long right = 0;
    long all = 0;
    var shares = new ArrayList<String>();
    for (Map.Entry<String, List<String>> each : FURTHER.entrySet()) {
      page.navigate(api.publish(api.newPage(in(each.getKey(), each.getValue()))));
      Js.ask(page, FACES, null);
      var samples = new ArrayList<Sample>();
      for (String text : each.getValue()) {
        assertThat(Face.of("Source Sans 3 Variable", 400).missing(text)).isEmpty();
        samples.add(new Sample(text, "Source Sans 3 Variable", 400, 16, 0));
        samples.add(new Sample(text, "Oswald Variable", 650, 21.37, .5));
      }
      JsonNode shown =
          Js.ask(
              page,
              MEASURE,
              given(samples).stream()
                  .map(sample -> {
                    var in = new java.util.HashMap<>(sample);
                    in.put("language", each.getKey());
                    return in;
                  })
                  .toList());
      int good = 0;
      for (int s = 0; s < samples.size(); s++) {
        Sample sample = samples.get(s);
        TextFit fit =
            TextFit.of(
                sample.text(),
                Face.of(sample.family(), sample.weight()),
                sample.size(),
                sample.spacing(),
                Locale.forLanguageTag(each.getKey()));
        for (int width = NARROWEST; width <= WIDEST; width++) {
          good += fit.lines(width) == shown.path(s).path(width - NARROWEST).asInt() ? 1 : 0;
        }
      }
      int of = samples.size() * (WIDEST - NARROWEST + 1);
      shares.add("%s %.2f %%".formatted(each.getKey(), 100.0 * good / of));
      right += good;
      all += of;
      assertThat(100.0 * good / of).as(shares.getLast()).isGreaterThanOrEqualTo(98);
    }
    System.out.printf(
        "measured: further letters: %.3f %% of %d widths; %s%n", 100.0 * right / all, all, shares);
    assertThat(100.0 * right / all).as("share of widths; %s", shares).isGreaterThanOrEqualTo(99.5);
  }

  /** A page of some texts in two families, in a language. */
  private static Document in(String language, List<String> texts) {
    Values said =
        Values.NONE
            .with(BlockSettings.HEADING_TEXT, Values.ALL, String.join(" ", texts))
            .withStyle(
                PageParts.heading(2).key(Property.FAMILY, State.REST), "desktop", Family.OSWALD);
    return new Document(
        new Site(Bands.INITIAL, Values.NONE),
        new giostra.core.page.Page(
            "page",
            Values.NONE
                .with(PageSettings.TITLE, Values.ALL, "Further letters")
                .with(PageSettings.LANGUAGE, Values.ALL, language),
            List.of(new Section("s", Values.NONE, List.of(new Block.Heading("h", said))))));
  }

  private static final Map<String, List<String>> FURTHER =
      Map.of(
          "ja",
          List.of(
              "ランプは通路ごとに消えていき、月の花が開いた。「まだ見ていたい」と母は言った。私たちは路面電車に乗り遅れたが、少しも気にしなかった（本当に）。",
              "温室は午後七時に開きます。入場料は大人１，２００円、子ども600円です。ゆっくりお入りください――扉は一つずつ閉まります。"),
          "zh-CN",
          List.of(
              "灯一排一排地熄灭，月光花在我们面前打开了。“我们错过了末班电车，”她说，“可是一点儿也不在乎。”温室里很暖，很暗，有雨的气味。",
              "每天晚上七点开门，门票120元；请慢慢走进来：身后的门关上以后，前面的门才会打开。《夜间花园》共12页。"),
          "zh-TW",
          List.of("燈一排一排地熄滅，月光花在我們面前打開了。「我們錯過了末班電車，」她說，「可是一點也不在乎。」溫室裡很暖，很暗，有雨的氣味。"),
          "ko",
          List.of(
              "등불이 통로마다 하나씩 꺼지고, 우리가 서 있는 동안 달맞이꽃이 피었다. “막차를 놓쳤지만 아무렇지도 않았어.” 온실은 따뜻하고 어둡고 비 냄새가 났다.",
              "매일 저녁 7시에 문을 엽니다. 입장료는 어른 12,000원입니다. 천천히 들어오세요: 뒤의 문이 닫혀야 앞의 문이 열립니다."),
          "th",
          List.of(
              "โคมไฟดับลงทีละแถว แล้วดอกพระจันทร์ก็บานต่อหน้าเรา แม่พูดว่าเราพลาดรถรางเที่ยวสุดท้ายแต่ไม่เป็นไรเลย"),
          "ar",
          List.of(
              "انطفأت المصابيح صفاً بعد صف، ثم تفتحت أزهار القمر أمامنا. قالت أمي: «فاتنا الترام الأخير، ولم نبالِ». الدفيئة دافئة ومظلمة."),
          "he",
          List.of(
              "המנורות כבו שורה אחר שורה, ואז נפתחו פרחי הירח לפנינו. אמא אמרה: \"החמצנו את החשמלית האחרונה, ולא היה אכפת לנו\"."),
          "el",
          List.of(
              "Οι λάμπες έσβησαν μία μία, κι ύστερα τα λουλούδια του φεγγαριού άνοιξαν μπροστά μας. «Χάσαμε το τελευταίο τραμ», είπε, «και δεν μας πείραξε»."));

  /** Any weight, size and spacing: reference is Chromium, which lays out in 64ths of a px. */
  @InTurn(13)
  @Test
  void widthsAreThoseOfChromium(Api api, Chromium.Open chromium) {
    Page page = chromium.page(1280, 800);
    page.navigate(api.publish(api.newPage(everyFamily())));
    var samples = new ArrayList<Sample>();
    for (Typeface each : Typeface.SHIPPED) {
      // Two families by all sizes, the others by some.
      boolean first = each == Typeface.SOURCE_SANS || each == Typeface.FRAUNCES;
      for (int weight : List.of(200, 300, 400, 457, 550, 600, 650, 700, 900)) {
        for (double size : first ? List.of(11.0, 15.2, 16.0, 21.37, 40.0) : List.of(15.2, 21.37)) {
          for (double spacing : first ? List.of(0.0, 0.5, -0.3) : List.of(0.0, 0.5)) {
            PHRASES.stream()
                .filter(text -> Face.of(each.face(), weight).missing(text).isEmpty())
                .forEach(text -> samples.add(new Sample(text, each.face(), weight, size, spacing)));
          }
        }
      }
    }
    assertThat(samples).hasSizeGreaterThan(3_000);
    Js.ask(page, FACES, null);
    JsonNode shown = Js.ask(page, NATURAL, given(samples));
    var off = new ArrayList<String>();
    double worst = 0;
    for (int s = 0; s < samples.size(); s++) {
      Sample each = samples.get(s);
      double found =
          Face.of(each.family(), each.weight()).width(each.text(), each.size(), each.spacing());
      double by = Math.abs(found - shown.path(s).asDouble());
      worst = Math.max(worst, by);
      if (by > 0.05) {
        off.add("%s: %.3f, not %.3f".formatted(each, found, shown.path(s).asDouble()));
      }
    }
    System.out.printf(
        "text widths: %.2f %% of %d within 0.05 px, worst %.3f px%n",
        100.0 * (samples.size() - off.size()) / samples.size(), samples.size(), worst);
    assertThat(off.size() * 100.0 / samples.size()).as("off: %s", off).isLessThanOrEqualTo(0.1);
  }

  /** A page that has all phrases in all families, and so is sent all their files. */
  private static Document everyFamily() {
    var headings = new ArrayList<Block>();
    for (Typeface each : Typeface.SHIPPED) {
      headings.add(
          new Block.Heading(
              "in-" + each.word(),
              Values.NONE
                  .with(
                      BlockSettings.HEADING_TEXT,
                      Values.ALL,
                      String.join(" ", PHRASES.subList(0, 5)))
                  .withStyle(
                      PageParts.heading(2).key(Property.FAMILY, State.REST),
                      "desktop",
                      Family.valueOf(each.name()))));
      headings.add(
          new Block.Heading(
              "more-" + each.word(),
              Values.NONE.with(
                  BlockSettings.HEADING_TEXT,
                  Values.ALL,
                  String.join(" ", PHRASES.subList(5, PHRASES.size())))));
    }
    return new Document(
        new Site(Bands.INITIAL, Values.NONE),
        new giostra.core.page.Page(
            "page",
            Values.NONE.with(PageSettings.TITLE, Values.ALL, "Families"),
            List.of(new Section("s", Values.NONE, headings))));
  }

  private static final List<String> PHRASES =
      List.of(
          "The moonflowers open at dusk",
          "office affine, fjord; fl\u00fcffig \u201cquoted\u201d",
          "AVATAR Type, To Yield: WAVE",
          "na\u00efve caf\u00e9 \u2014 \u20ac1,234.50",
          "\u0141\u00f3d\u017a, Gda\u0144sk, \u010cesk\u00fd and \u015eanl\u0131urfa",
          "\u03a4\u03b1 \u03bb\u03bf\u03c5\u03bb\u03bf\u03cd\u03b4\u03b9\u03b1 \u03b1\u03bd\u03bf\u03af\u03b3\u03bf\u03c5\u03bd",
          "\u041b\u0443\u043d\u043d\u044b\u0435 \u0446\u0432\u0435\u0442\u044b: \u0412\u0435\u0447\u0435\u0440",
          "\u05d4\u05e4\u05e8\u05d7\u05d9\u05dd \u05e0\u05e4\u05ea\u05d7\u05d9\u05dd",
          "\u062a\u0641\u062a\u062d \u0627\u0644\u0632\u0647\u0648\u0631",
          "月の花が開く、ゆっくり。",
          "灯灭了，花开了！",
          "달맞이꽃이 피었다",
          "ดอกพระจันทร์บาน",
          "№ 7 ≈ 24 ★ → ✓");

  /** The width of each sample on one line. */
  private static final String NATURAL =
      """
      async (samples) => {
        const root = document.createElement('div');
        document.body.replaceChildren(root);
        const boxes = samples.map(({ text, family, weight, size, spacing }) => {
          const box = document.createElement('span');
          Object.assign(box.style, { display: 'inline-block', whiteSpace: 'nowrap',
            font: `${weight} ${size}px/20px "Fit ${family}","Fit Further Letters"`, letterSpacing: `${spacing}px` });
          box.append(text);
          root.append(box, document.createElement('br'));
          return box;
        });
        return boxes.map((box) => box.getBoundingClientRect().width);
      }
      """;

  private static boolean near(JsonNode lines, int width) {
    int here = lines.path(width - NARROWEST).asInt();
    for (int off = -8; off <= 8; off++) {
      int at = width - NARROWEST + off;
      if (at >= 0 && at <= WIDEST - NARROWEST && lines.path(at).asInt() != here) {
        return true;
      }
    }
    return false;
  }

  private static List<Map<String, Object>> given(List<Sample> samples) {
    return samples.stream()
        .map(s ->
            Map.<String, Object>of(
                "text",
                s.text(),
                "family",
                s.family(),
                "weight",
                s.weight(),
                "size",
                s.size(),
                "spacing",
                s.spacing()))
        .toList();
  }

  /** The page's own fonts, whether it uses them or not. */
  private static final String FACES =
      """
      async () => {
        // The same files under names of our own: the page's faces are optional and may come too late.
        const faces = [...document.styleSheets].flatMap((sheet) => [...sheet.cssRules])
            // What stands in until they come is the machine's.
            .filter((rule) => rule instanceof CSSFontFaceRule && rule.style.getPropertyValue('src').includes('url('))
            .map(({ style }) => new FontFace('Fit ' + style.getPropertyValue('font-family').replaceAll('"', ''),
                style.getPropertyValue('src').replace(/url\\("?([^")]+)"?\\)/, (_, at) => `url(${new URL(at, document.querySelector('link[rel=stylesheet]').href)})`),
                { weight: style.getPropertyValue('font-weight'), unicodeRange: style.getPropertyValue('unicode-range') }));
        for (const face of faces) document.fonts.add(await face.load());
      }
      """;

  /** Lines of each sample at each width. */
  private static final String MEASURE =
      """
      async (samples) => {
        const root = document.createElement('div');
        document.body.replaceChildren(root);
        const boxes = samples.map(({ text, family, weight, size, spacing, language }) => {
          const box = document.createElement('div');
          Object.assign(box.style, { font: `${weight} ${size}px/20px "Fit ${family}","Fit Further Letters"`, letterSpacing: `${spacing}px`,
            overflowWrap: 'break-word', hyphens: 'manual', whiteSpace: 'normal', margin: '0' });
          if (language) box.lang = language;
          text.split('\\n').forEach((line, i) => {
            if (i) box.append(document.createElement('br'));
            box.append(line);
          });
          root.append(box);
          return box;
        });
        const lines = samples.map(() => []);
        for (let width = 100; width <= 700; width++) {
          root.style.width = `${width}px`;
          boxes.forEach((box, i) => lines[i].push(Math.round(box.getBoundingClientRect().height / 20)));
        }
        return lines;
      }
      """;

  private static List<Sample> samples() {
    var samples = new ArrayList<Sample>();
    for (String text : TEXTS) {
      samples.add(new Sample(text, "Source Sans 3 Variable", 400, 16, 0));
    }
    for (String text : TEXTS.subList(0, 8)) {
      samples.add(new Sample(text, "Source Sans 3 Variable", 600, 17, 0));
      samples.add(new Sample(text, "Fraunces Variable", 500, 28, -.28));
    }
    return samples;
  }

  private static final List<String> TEXTS =
      List.of(
          "The lamps went down one aisle at a time, and then the moonflowers opened while we stood there. Nobody spoke. My mother, who has never in her life been quiet in a garden, held my sleeve until the last of them had turned its face up.",
          "“We missed the tram home,” she said, “and did not mind at all.” It was ten past eleven; the gate had been shut for a quarter of an hour.",
          "Warm, dark, and smelling of rain.",
          "Come in slowly: the door behind you closes before the next one opens. Everything here drinks through its leaves, and so, after a while, do you.",
          "Four hundred lamps along the old coal path, lit one by one from the gate to the great dome. It takes twelve minutes if you hurry, and nobody does.",
          "An état of façade, naïve and déjà vu: the crème brûlée was à la carte, garçon, and the Île was très belle in août.",
          "Señor Muñoz pidió jamón, piñas y café; mañana volverá a Logroño con su niña.",
          "Zażółć gęślą jaźń, a potem źle: příliš žluťoučký kůň úpěl ďábelské ódy nad řekou.",
          "A well-known, state-of-the-art, twenty-four-hour, self-service, pay-as-you-go, easy-to-clean glasshouse-in-the-dark with half-open half-doors.",
          "A dash — like this one — stands with spaces; another–like this–does not, and a third—this—is longer still.",
          "Keep 24 °C, 95 % of moisture and No. 7 of the list on one line each, as § 12 of the rules asks.",
          "Donaudampfschifffahrtsgesellschaftskapitänsmütze und Rindfleischetikettierungsüberwachungsaufgabenübertragungsgesetz stehen in einem Satz.",
          "Die Gewächshausbeleuchtungsanlage wird bei Einbruch der Dunkelheit von der Nachtgärtnerin eingeschaltet; die Mondblumen öffnen sich dann innerhalb einer Viertelstunde.",
          "Un soir d’automne, les lampes s’éteignirent une à une ; personne ne parla : on n’entendait que l’eau.",
          "Office fluff: five fine flags fly off the cliff, ffl and ffi and fi and fl, affably stiff.",
          "AVATAR WAVES To Te Ty Yo. We. Va, LT PA. Types vary; Tōkyō, Ťažký.",
          "1,234,567 visitors; 48,000 a year; 18.5 degrees; 3/4 of them on 12/24/2026 at 7:30–11:00.",
          "See https://velluta.example/evenings/autumn?from=letter&to=frost#lamps for the walk.",
          "Go on (if you like), [or not], {perhaps}: \"yes\", 'no', «oui», „ja“ and so on...",
          "What? Really! No way?! It is true; it is: a, b, c / d & e @ f # g * h + i = j < k > l.",
          "A\nforced line, then\nanother that is a good deal longer than the ones that went before it, so that it wraps.",
          "One two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen twenty.",
          "a a a a a a a a a a a a a a a a a a a a a a a a a a a a a a a a a a a a a a a a a a a a a a a a a a a a a a a a a a a a",
          "He said that he would come if he could, and he could not, so he did not, and that was that, as far as anybody knew.");
}
