package giostra.core.piece.slider;

import giostra.core.anatomy.PinParts;
import giostra.core.fit.Screen;
import giostra.core.layout.BlockFlows;
import giostra.core.layout.PartBox;
import giostra.core.layout.PictureSizes.Size;
import giostra.core.layout.TextStyle.Text;
import giostra.core.look.Property;
import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.ItemSettings;
import giostra.core.page.PinSettings;
import giostra.core.value.Ends;
import giostra.core.value.Place;
import java.util.Optional;

/** How large a pin is in one band, and where it stands on its slide; prepared for many widths. */
public final class PinFlow {
  /**
   * A pin and its words, where it stands.
   *
   * @param words the box of its words with their padding; nothing where it has none
   */
  public record Stood(Box pin, Optional<Box> words) {}

  private final Block.Pin pin;
  private final PartBox box;
  private final PartBox picture;
  private final PartBox sign;
  private final PartBox letters;
  private final Optional<Size> size;
  private final Optional<Text> text;
  private final PartBox stand;
  private final Place place;
  private final double across;
  private final double down;

  /**
   * @param stand what is kept free around the words of the slide
   */
  PinFlow(BlockFlows blocks, Block.Pin pin, PartBox stand) {
    this.pin = pin;
    this.stand = stand;
    this.box = blocks.part(pin, PinParts.PIN);
    this.picture = blocks.part(pin, PinParts.PIN_PICTURE);
    this.sign = blocks.part(pin, PinParts.PIN_ICON);
    this.letters = blocks.part(pin, PinParts.PIN_WORDS);
    this.size = blocks.items().pictures().find(pin.values().get(BlockSettings.SOURCE));
    String words = pin.values().get(PinSettings.WORDS);
    this.text =
        words.isBlank()
            ? Optional.empty()
            : Optional.of(letters.words().of(words, blocks.locale()));
    this.place = blocks.value(pin, PinSettings.PLACE);
    this.across = blocks.value(pin, PinSettings.ACROSS).constantPx();
    this.down = blocks.value(pin, PinSettings.DOWN).constantPx();
  }

  private PinFlow(PinFlow like, Place place) {
    this.pin = like.pin;
    this.box = like.box;
    this.picture = like.picture;
    this.sign = like.sign;
    this.letters = like.letters;
    this.size = like.size;
    this.text = like.text;
    this.stand = like.stand;
    this.place = place;
    this.across = like.across;
    this.down = like.down;
  }

  /** The same in another place. */
  PinFlow at(Place other) {
    return new PinFlow(this, other);
  }

  /**
   * On a slide.
   *
   * @param width of the slide, px
   * @param height of the slide, px
   * @param mirrored whether one reads from right to left
   */
  Stood in(double width, double height, Screen screen, boolean mirrored) {
    Ends around = stand.of(Property.PADDING_SIDES);
    double left = (mirrored ? around.end() : around.start()).constantPx();
    double above = stand.px(Property.PADDING_ABOVE);
    double room = Math.max(1, width - stand.sides());
    double high = height - above - stand.px(Property.PADDING_BELOW);
    Held held = held(Math.max(1, room - box.sides()), screen);
    Ends within = box.of(Property.PADDING_SIDES);
    double inset = (mirrored ? within.end() : within.start()).constantPx();
    double top = box.px(Property.PADDING_ABOVE);
    double wide = held.width + box.sides();
    double tall = held.height + top + box.px(Property.PADDING_BELOW);
    double share = mirrored ? 1 - place.across() : place.across();
    double way = (place.across() == 1 ? -across : across) * (mirrored ? -1 : 1);
    double x = left + (room - wide) * share + way;
    double y = above + (high - tall) * place.down() + (place.down() == 1 ? -down : down);
    return new Stood(
        new Box(x, y, wide, tall), held.words.map(words -> words.moved(x + inset, y + top)));
  }

  /**
   * What it holds, one under the other, px.
   *
   * @param words where they stand in that
   */
  private record Held(double width, double height, Optional<Box> words) {}

  private Held held(double room, Screen screen) {
    double gap = box.px(Property.GAP);
    double wide = 0;
    double tall = -gap;
    if (size.isPresent()) {
      wide = Math.min(room, picture.px(Property.SIZE));
      tall += gap + wide * size.get().height() / size.get().width();
    }
    if (!pin.values().get(ItemSettings.ICON).isEmpty()) {
      double drawn = sign.px(Property.SIZE);
      wide = Math.max(wide, drawn);
      tall += gap + drawn;
    }
    if (text.isEmpty()) {
      return new Held(wide, Math.max(0, tall), Optional.empty());
    }
    double sides = letters.sides();
    double across = Math.min(room, text.get().natural(screen) + sides);
    double high =
        text.get().height(Math.max(1, room - sides), screen)
            + letters.px(Property.PADDING_ABOVE)
            + letters.px(Property.PADDING_BELOW);
    double whole = Math.max(wide, across);
    double y = tall + gap;
    return new Held(whole, y + high, Optional.of(new Box((whole - across) / 2, y, across, high)));
  }
}
