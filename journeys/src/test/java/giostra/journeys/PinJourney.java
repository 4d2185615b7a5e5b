package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.BoundingBox;
import giostra.core.anatomy.PinParts;
import giostra.core.band.Bands;
import giostra.core.layout.PictureSizes;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.look.Values;
import giostra.core.page.Block;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.PageSettings;
import giostra.core.page.PinSettings;
import giostra.core.page.Section;
import giostra.core.page.SectionSettings;
import giostra.core.page.Site;
import giostra.core.piece.slider.Box;
import giostra.core.piece.slider.PinFlow;
import giostra.core.piece.slider.SlidePins;
import giostra.core.piece.slider.Slider;
import giostra.core.piece.slider.SliderSettings;
import giostra.core.testing.InTurn;
import giostra.core.testing.Runs;
import giostra.core.value.Around;
import giostra.core.value.Ends;
import giostra.core.value.Height;
import giostra.core.value.Length;
import giostra.core.value.Place;
import giostra.core.value.TypeSize;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** What is pinned to slides: where it stands, how it comes in, how one puts it there. */
@ExtendWith({Giostra.class, Chromium.class})
class PinJourney {
  private static final long SEED = 20_261_130;
  private static final int AT_ONCE = 10;
  private static final int[] WIDTHS = {340, 390, 768, 1023, 1280, 1600};
  private static final List<String> WORDS =
      List.of(
          "From 12",
          "Only until Sunday, and never again in this century",
          "Nachtfalterbeobachtungsabende",
          "新着",
          "جديد",
          "50 %");

  /** Boxes of pins and of their words, from the corner of the slide. */
  private static final String STANDS =
      """
      async () => {
        await document.fonts.ready;
        const found = {};
        for (const pin of document.querySelectorAll('[data-pin]')) {
          const slide = pin.closest('.g-slide').getBoundingClientRect();
          const box = (e) => {
            const { left, top, width, height } = e.getBoundingClientRect();
            return [left - slide.left, top - slide.top, width, height];
          };
          const words = pin.querySelector('.g-pin-words');
          found[pin.dataset.pin] = [box(pin), words ? box(words) : []];
        }
        return found;
      }
      """;

  private static Slider slider(Random random, int n) {
    var pins = new ArrayList<Block>();
    for (int i = 0; i < 3; i++) {
      pins.add(pin(random, "pin-" + n + "-" + i));
    }
    Values words =
        Values.NONE
            .with(ItemSettings.HEADING, Values.ALL, "Number " + n)
            .with(
                ItemSettings.TEXT, Values.ALL, "The doors are open from dusk. ".repeat(1 + n % 5));
    return new Slider(
        "slider-" + n,
        Values.NONE.with(
            SliderSettings.HEIGHT,
            "desktop",
            new Height.Fixed(Length.px(300 + random.nextInt(300)))),
        List.of(new Item("item-" + n, words, pins)));
  }

  private static Block.Pin pin(Random random, String id) {
    Place[] places = Place.values();
    Values values =
        Values.NONE
            .with(PinSettings.PLACE, "desktop", places[random.nextInt(places.length)])
            .with(PinSettings.PLACE, "phone", places[random.nextInt(places.length)])
            .with(PinSettings.ACROSS, "desktop", Length.px(random.nextInt(160) - 60))
            .with(PinSettings.DOWN, "tablet", new Length(random.nextInt(8) - 3, Length.Unit.REM))
            .withStyle(
                PinParts.PIN.key(Property.PADDING_SIDES, State.REST),
                "desktop",
                new Ends(Length.px(random.nextInt(20)), Length.px(random.nextInt(20))))
            .withStyle(
                PinParts.PIN.key(Property.PADDING_BELOW, State.REST),
                "desktop",
                Length.px(random.nextInt(20)))
            .withStyle(
                PinParts.PIN.key(Property.EDGE, State.REST),
                "desktop",
                Around.all(Length.px(random.nextInt(4))));
    int what = 1 + random.nextInt(7);
    if ((what & 1) != 0) {
      values =
          values
              .with(PinSettings.WORDS, Values.ALL, WORDS.get(random.nextInt(WORDS.size())))
              .withStyle(
                  PinParts.PIN_WORDS.key(Property.TEXT_SIZE, State.REST),
                  "desktop",
                  TypeSize.of(Length.px(12 + random.nextInt(24))));
    }
    if ((what & 2) != 0) {
      values =
          values
              .with(ItemSettings.ICON, Values.ALL, "sun")
              .withStyle(
                  PinParts.PIN_ICON.key(Property.PADDING, State.REST),
                  "desktop",
                  Length.px(random.nextInt(12)));
    }
    if ((what & 4) != 0) {
      values =
          values
              .with(giostra.core.page.BlockSettings.SOURCE, Values.ALL, "lamp-walk")
              .withStyle(
                  PinParts.PIN_PICTURE.key(Property.SIZE, State.REST),
                  "desktop",
                  Length.px(40 + random.nextInt(300)));
    }
    return new Block.Pin(id, values);
  }

  private static Document drawn(Random random, int sliders, boolean mirrored) {
    var sections = new ArrayList<Section>();
    for (int n = 0; n < sliders; n++) {
      sections.add(
          new Section(
              "section-" + n,
              Values.NONE.with(SectionSettings.PADDING, "desktop", Length.px(20)),
              List.of(slider(random, n))));
    }
    Values page = Values.NONE.with(PageSettings.TITLE, Values.ALL, "Pins");
    return new Document(
        new Site(Bands.INITIAL, Values.NONE),
        new giostra.core.page.Page(
            "page",
            mirrored
                ? page.with(PageSettings.DIRECTION, Values.ALL, PageSettings.Direction.RTL)
                : page,
            sections));
  }

  /** Within a px, its place and its size, in both directions; reference: Debian's Chromium. */
  @InTurn({6, 18})
  @Test
  void pinsStandWhereTheEngineSays(Api api, Chromium.Open chromium) {
    PictureSizes pictures = new LampWalk(api);
    var off = new ArrayList<String>();
    int compared = 0;
    for (int turn = 0; turn < Runs.of(2, 12); turn++) {
      Document document = drawn(new Random(SEED + turn), AT_ONCE, turn % 2 == 1);
      String address = api.publish(api.newPage("velluta", document));
      Page page = chromium.kept("pins");
      for (int width : WIDTHS) {
        page.setViewportSize(width, 800);
        page.navigate(address);
        JsonNode seen = Js.ask(page, STANDS, null);
        for (var piece : document.pieces()) {
          for (Block.Pin pin : piece.items().getFirst().pins()) {
            PinFlow.Stood read = SlidePins.at(document, pictures, (Slider) piece, pin, width);
            JsonNode box = seen.path(pin.id());
            compared++;
            difference(box.get(0), Optional.of(read.pin()))
                .ifPresent(by -> off.add("%s at %d: %s".formatted(pin.id(), width, by)));
            difference(box.get(1), read.words())
                .ifPresent(by -> off.add("words of %s at %d: %s".formatted(pin.id(), width, by)));
          }
        }
      }
    }
    System.out.printf("measured: %d pins, %d of them off%n", compared, off.size());
    assertThat(off).isEmpty();
  }

  private static Optional<String> difference(JsonNode seen, Optional<Box> read) {
    if (read.isEmpty()) {
      return seen.isEmpty() ? Optional.empty() : Optional.of("not read");
    }
    Box box = read.get();
    double[] said = {box.x(), box.y(), box.width(), box.height()};
    for (int i = 0; i < said.length; i++) {
      if (Math.abs(seen.get(i).asDouble() - said[i]) > 1) {
        return Optional.of(seen + " seen, " + box + " read");
      }
    }
    return Optional.empty();
  }

  /** The one picture that they show, as the demo has it. */
  private record LampWalk(Size size) implements PictureSizes {
    LampWalk(Api api) {
      this(
          api.get("/api/sites/velluta/library")
              .json()
              .valueStream()
              .map(each -> each.path("media"))
              .filter(media -> media.path("id").asString().equals("lamp-walk"))
              .map(media -> new Size(media.path("width").asInt(), media.path("height").asInt()))
              .findFirst()
              .orElseThrow());
    }

    @Override
    public Optional<Size> find(String id) {
      return id.equals("lamp-walk") ? Optional.of(size) : Optional.empty();
    }
  }

  private static Document two() {
    var pin = new Block.Pin("pin", Values.NONE.with(PinSettings.WORDS, Values.ALL, "From 12"));
    var still = new Block.Pin("still", Values.NONE.with(PinSettings.WORDS, Values.ALL, "New"));
    Values words = Values.NONE.with(ItemSettings.HEADING, Values.ALL, "Dusk");
    Document bare = drawn(new Random(SEED), 0, false);
    var section =
        new Section(
            "section",
            Values.NONE,
            List.of(
                new Slider(
                    "slider",
                    Values.NONE,
                    List.of(new Item("one", words), new Item("two", words, List.of(pin, still))))));
    return Edits.apply(bare, List.of(new Edit.AddNode("page", 0, section))).document();
  }

  /** It comes in after its slide, by the time and in the manner that it says itself. */
  @Test
  void aPinComesInAfterItsSlide(Api api, Chromium.Open chromium) {
    Document document =
        Edits.apply(
                two(),
                List.of(
                    new Edit.SetValue("pin", "comes", "", "grow"),
                    new Edit.SetValue("pin", "comesAfter", "", "900ms"),
                    new Edit.SetValue("pin", "comesTakes", "", "700ms"),
                    new Edit.SetValue("slider", "changes", "desktop", "fade 300ms")))
            .document();
    String address = api.publish(api.newPage("velluta", document));
    Page page = chromium.page(1280, 800);
    page.navigate(address);
    page.waitForSelector("[data-live]");
    page.locator(".g-next").click();
    JsonNode going =
        Js.ask(
            page,
            """
            () => ['pin', 'still'].map((id) => document.querySelector('#g-' + id).getAnimations()
                .map((each) => [each.effect.getTiming().delay, each.effect.getTiming().duration,
                    Object.keys(each.effect.getKeyframes()[0]).includes('transform')]))
            """,
            null);
    assertThat(going.toString()).isEqualTo("[[[900,700,true]],[]]");
    page.waitForFunction(
        "() => document.querySelector('#g-pin').getAnimations().length === 0"
            + " && getComputedStyle(document.querySelector('#g-pin')).opacity === '1'");

    // With less motion it is there at once, and without a script always.
    Page calm = chromium.calm(1280, 800);
    calm.navigate(address);
    calm.waitForSelector("[data-live]");
    calm.locator(".g-next").click();
    assertThat(
            Js.ask(
                    calm,
                    "() => document.querySelector('#g-pin').getAnimations().filter((e) =>"
                        + " Number(e.effect.getComputedTiming().endTime) > 400).length",
                    null)
                .asInt())
        .isZero();
    Page bare =
        chromium.page(
            new Browser.NewContextOptions().setViewportSize(1280, 800).setJavaScriptEnabled(false),
            false);
    bare.navigate(address);
    PlaywrightAssertions.assertThat(bare.locator("#g-pin")).hasCSS("opacity", "1");
  }

  /** Somebody pins something on a slide, says what and where, sees it, and takes what mends it. */
  @Test
  void somethingIsPinnedToASlide(Api api, Page page) {
    String id =
        api.newPage(
            "velluta",
            Edits.apply(two(), List.of(new Edit.RemoveNode("pin"), new Edit.RemoveNode("still")))
                .document());
    Bench bench = Bench.open(page, api, id, "fill", "slider");
    page.getByRole(
            com.microsoft.playwright.options.AriaRole.BUTTON,
            new Page.GetByRoleOptions().setName("Pin something on Dusk"))
        .first()
        .click();
    bench.fill("Words", "Tonight only");
    bench.saved();
    bench.step("Arrange");
    Locator row = page.locator("[data-node^='pin-']");
    PlaywrightAssertions.assertThat(row).containsText("Tonight only");
    String pin = row.getAttribute("data-node");
    bench.set(pin, "place", "desktop", "bottom-end");
    bench.set(pin, "across", "desktop", "24px");
    bench.saved();
    // It is chosen by pressing it on the stage, too.
    page.locator("[data-node='slider']").click();
    bench.stage().locator(".g-pin-words").click();
    PlaywrightAssertions.assertThat(row).hasAttribute("aria-current", "true");
    page.navigate(api.publish(id));
    page.setViewportSize(1280, 800);
    BoundingBox stands = page.locator("#g-" + pin).boundingBox();
    BoundingBox slide = page.locator("[data-item='one'] .g-slide").boundingBox();
    assertThat(slide.x + slide.width - stands.x - stands.width).isEqualTo(48 + 24);
    assertThat(slide.y + slide.height - stands.y - stands.height).isEqualTo(48);
  }
}
