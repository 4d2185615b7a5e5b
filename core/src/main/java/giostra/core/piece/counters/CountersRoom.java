package giostra.core.piece.counters;

import giostra.core.anatomy.GridParts;
import giostra.core.anatomy.StandsOn;
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
import giostra.core.page.Starters.Starter;
import giostra.core.snag.Asked;
import giostra.core.snag.GridEffects;
import giostra.core.snag.Judged;
import giostra.core.value.Length;
import giostra.core.value.Setting;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** All that counters are. */
public final class CountersRoom implements GridRoom<Counters>, Written<Counters>, Judged<Counters> {
  @Override
  public boolean headed() {
    return false;
  }

  @Override
  public String word() {
    return "counters";
  }

  @Override
  public List<Setting<?>> settings() {
    return CounterSettings.ALL;
  }

  @Override
  public List<Part> parts() {
    return CounterParts.ALL;
  }

  @Override
  public Set<Part> between() {
    return Set.of(GridParts.DIVIDER);
  }

  @Override
  public Map<Part, Part> under() {
    return StandsOn.on(
        CounterParts.FIGURE,
        List.of(),
        CounterParts.NUMBER,
        CounterParts.TITLE,
        CounterParts.COUNTER_ICON);
  }

  @Override
  public Counters piece(String id, Values values, List<Item> items) {
    return new Counters(id, values, items);
  }

  @Override
  public List<Field> fields(Values values) {
    return CounterFields.ALL;
  }

  @Override
  public List<Starter> starters() {
    return CounterStarters.all();
  }

  @Override
  public Flow item(Counters piece, Item item, BlockFlows blocks) {
    return new FigureFlow(blocks).figure(piece, item);
  }

  @Override
  public Map<Heights.Part, Flow> parts(Counters piece, Item item, BlockFlows blocks) {
    return Map.of(Heights.Part.FIGURE, item(piece, item, blocks));
  }

  @Override
  public String widthsAre() {
    return "Figure width";
  }

  @Override
  public List<Setting<Length>> comfort() {
    return List.of(CounterSettings.COMFORT_FROM, CounterSettings.COMFORT_TO);
  }

  @Override
  public Piecewise picture(Counters piece, Item item, Size size, PictureWidths widths) {
    return widths.boxed(72, 72, size);
  }

  @Override
  public void write(Counters piece, Writing writing) {
    var counters = new CounterOutput(writing, piece);
    counters.html();
    counters.css();
  }

  @Override
  public String sharedSheet() {
    return "grid";
  }

  @Override
  public void idle(Counters piece, Asked asked) {
    GridEffects.find(piece, asked);
  }

  /** A figure always shows its number. */
  @Override
  public boolean showsAnyway() {
    return true;
  }

  @Override
  public void places(Where.Places to) {
    to.at("counters.box", ".g-figure&");
    to.at("counters.number", ".g-figure&>.g-number");
    to.at("counters.title", ".g-figure&>.g-title");
    to.at("counters.icon", ".g-figure&>.g-sign>.g-icon");
    to.at("counters.picture", ".g-figure&>.g-sign>.g-shot");
    to.named("counters.picture", Property.EDGE, "outline");
    to.bare("counters.icon");
    to.named("counters.title", Property.MARGIN, "padding");
  }
}
