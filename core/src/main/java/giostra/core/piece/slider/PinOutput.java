package giostra.core.piece.slider;

import giostra.core.anatomy.PinParts;
import giostra.core.band.Band;
import giostra.core.layout.PartBox;
import giostra.core.layout.Resolution;
import giostra.core.look.Property;
import giostra.core.output.Css;
import giostra.core.output.Html;
import giostra.core.output.Writing;
import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.PinSettings;
import giostra.core.value.Length;
import giostra.core.value.Place;
import java.util.List;

/** Writes what is pinned to a slide: each in its place of the box that the room around leaves. */
final class PinOutput {
  private final Writing writing;
  private final Html out;

  PinOutput(Writing writing) {
    this.writing = writing;
    this.out = writing.out();
  }

  /** All of an item that show something, the last on top. */
  void html(Item item) {
    List<Block.Pin> pins = item.pins().stream().filter(Block.Pin::shows).toList();
    if (pins.isEmpty()) {
      return;
    }
    writing.needs("pins");
    out.open("div", "class", "g-pins");
    pins.forEach(this::pin);
    out.close("div");
  }

  private void pin(Block.Pin pin) {
    String comes =
        pin.comes()
            ? String.join(
                " ",
                Css.word(pin.values().get(PinSettings.COMES)),
                Long.toString(pin.values().get(PinSettings.COMES_AFTER).toMillis()),
                Long.toString(pin.values().get(PinSettings.COMES_TAKES).toMillis()))
            : "";
    out.open(
        "div", "class", "g-pin", "id", "g-" + pin.id(), "data-pin", pin.id(), "data-comes", comes);
    writing
        .pictures()
        .find(pin.values().get(BlockSettings.SOURCE))
        .ifPresent(picture -> {
          String alt = pin.values().get(BlockSettings.ALT);
          writing.image(
              writing.there(pin),
              picture,
              alt.isEmpty() ? picture.alt() : alt,
              widths -> widths.fixed(widest(pin)),
              "loading",
              "lazy");
        });
    String icon = pin.values().get(ItemSettings.ICON);
    if (!icon.isEmpty()) {
      writing.icons().write(out, icon, pin.values().get(ItemSettings.ICON_COLOURS), "");
    }
    String words = pin.values().get(PinSettings.WORDS);
    if (!words.isBlank()) {
      out.element("span", words, "class", "g-pin-words");
    }
    out.close("div");
    stands(pin);
  }

  /** How wide its picture is where it is widest, px. */
  private double widest(Block.Pin pin) {
    return writing.document().bands().all().stream()
        .mapToDouble(band ->
            new PartBox(PinParts.PIN_PICTURE, Resolution.scope(writing.document(), pin), band)
                .px(Property.SIZE))
        .max()
        .orElseThrow();
  }

  private void stands(Block.Pin pin) {
    String id = "#g-" + pin.id();
    writing.put(id, "place-self", pin, PinSettings.PLACE, Place::css);
    writing
        .css()
        .put(
            id,
            "inset-inline-start",
            band -> moved(pin, PinSettings.ACROSS, place(pin, band).across(), band));
    writing
        .css()
        .put(
            id,
            "inset-block-start",
            band -> moved(pin, PinSettings.DOWN, place(pin, band).down(), band));
    if (writing.document().bands().all().stream()
        .anyMatch(band -> !writing.value(pin, ItemSettings.SHOWN, band))) {
      writing.put(id, "display", pin, ItemSettings.SHOWN, shown -> shown ? "flex" : "none");
    }
  }

  private Place place(Block.Pin pin, Band band) {
    return writing.value(pin, PinSettings.PLACE, band);
  }

  /** From an edge inwards, which is backwards from the last one. */
  private String moved(
      Block.Pin pin, giostra.core.value.Setting<Length> by, double share, Band band) {
    Length length = writing.value(pin, by, band);
    return (share == 1 ? new Length(-length.amount(), length.unit()) : length).css();
  }
}
