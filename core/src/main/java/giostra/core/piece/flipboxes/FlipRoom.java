package giostra.core.piece.flipboxes;

import giostra.core.anatomy.GridParts;
import giostra.core.anatomy.PageParts;
import giostra.core.fit.Flow;
import giostra.core.fit.Piecewise;
import giostra.core.layout.BlockFlows;
import giostra.core.layout.GridRoom;
import giostra.core.layout.Heights;
import giostra.core.layout.PictureSizes.Size;
import giostra.core.layout.PictureWidths;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.Values;
import giostra.core.output.Where;
import giostra.core.output.Writing;
import giostra.core.output.Written;
import giostra.core.page.Fields.Field;
import giostra.core.page.Item;
import giostra.core.page.Piece;
import giostra.core.page.Starters.Starter;
import giostra.core.snag.Asked;
import giostra.core.snag.GridEffects;
import giostra.core.snag.Judged;
import giostra.core.value.Length;
import giostra.core.value.Setting;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** All that flip boxes are. */
public final class FlipRoom implements GridRoom<FlipBoxes>, Written<FlipBoxes>, Judged<FlipBoxes> {
  @Override
  public String word() {
    return "flip-boxes";
  }

  @Override
  public List<Setting<?>> settings() {
    return FlipSettings.ALL;
  }

  @Override
  public List<Part> parts() {
    return FlipParts.ALL;
  }

  @Override
  public Set<Part> between() {
    return Set.of(GridParts.DIVIDER);
  }

  @Override
  public Map<Part, Part> under() {
    return FlipParts.UNDER;
  }

  @Override
  public FlipBoxes piece(String id, Values values, List<Item> items) {
    return new FlipBoxes(id, values, items);
  }

  @Override
  public List<Field> fields(Values values) {
    return FlipFields.ALL;
  }

  @Override
  public List<Starter> starters() {
    return FlipStarters.all();
  }

  /** Their items have none of these fields. */
  @Override
  public Set<Part> hidden(Piece piece) {
    return Set.of(PageParts.KICKER, PageParts.SUBHEADING, PageParts.SECOND_BUTTON);
  }

  @Override
  public Flow item(FlipBoxes piece, Item item, BlockFlows blocks) {
    return new FlipFlow(blocks).box(piece, item);
  }

  @Override
  public Map<Heights.Part, Flow> parts(FlipBoxes piece, Item item, BlockFlows blocks) {
    var flow = new FlipFlow(blocks);
    var all = new EnumMap<Heights.Part, Flow>(Heights.Part.class);
    all.put(Heights.Part.FRONT, flow.front(piece, item));
    all.put(Heights.Part.BACK, flow.back(piece, item));
    return all;
  }

  @Override
  public String widthsAre() {
    return "Box width";
  }

  @Override
  public List<Setting<Length>> comfort() {
    return List.of(FlipSettings.COMFORT_FROM, FlipSettings.COMFORT_TO);
  }

  /** The picture of a face: it takes what the words leave of the highest box. */
  @Override
  public Piecewise picture(FlipBoxes piece, Item item, Size size, PictureWidths widths) {
    Piecewise box = words(piece, widths);
    double most = 0;
    for (double at : widths.samples()) {
      double tallest = widths.value(piece, FlipSettings.LEAST_HEIGHT).constantPx();
      double words = Double.POSITIVE_INFINITY;
      for (Heights.Reading reading : widths.heights(piece).at(at)) {
        tallest = Math.max(tallest, reading.height());
        words = Math.min(words, reading.height() - FlipFlow.FACE_PICTURE);
      }
      most = Math.max(most, tallest - Math.max(0, words));
    }
    return box.max(widths.fixed(most * size.width() / size.height()));
  }

  @Override
  public void write(FlipBoxes piece, Writing writing) {
    var boxes = new FlipOutput(writing, piece);
    boxes.html();
    boxes.css();
  }

  @Override
  public String sharedSheet() {
    return "grid";
  }

  @Override
  public void idle(FlipBoxes piece, Asked asked) {
    GridEffects.find(piece, asked);
  }

  @Override
  public void places(Where.Places to) {
    to.at("flip.front", ".g-front&");
    to.at("flip.back", ".g-back&");
    to.at("flip.back-button", ".g-back .g-body .g-button&");
    to.at("flip.words", ".g-face>.g-body");
    to.at("flip.heading", ".g-front&>.g-body>" + Where.HEADINGS);
    to.at("flip.back-heading", ".g-back&>.g-body>" + Where.HEADINGS);
    to.at("flip.back-text", ".g-back&>.g-body>.g-copy");
    to.at("flip.icon", ".g-front& .g-icon");
    to.at("flip.back-icon", ".g-back& .g-body>.g-icon");
    to.at("flip.turn-back", ".g-turn-back&");
    to.bare("flip.icon").bare("flip.back-icon");
    to.named("flip.heading", Property.MARGIN, "padding");
    to.named("flip.back-heading", Property.MARGIN, "padding");
    to.named("flip.back-text", Property.MARGIN, "padding");
  }
}
