package giostra.core.piece.tabs;

import giostra.core.anatomy.StandsOn;
import giostra.core.band.Band;
import giostra.core.fit.Flow;
import giostra.core.fit.Piecewise;
import giostra.core.layout.BlockFlows;
import giostra.core.layout.Containers;
import giostra.core.layout.HeadRowCount;
import giostra.core.layout.Heights.Measured;
import giostra.core.layout.ItemWidths;
import giostra.core.layout.PanelRoom;
import giostra.core.layout.Resolution;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.Values;
import giostra.core.output.Where;
import giostra.core.output.Writing;
import giostra.core.output.Written;
import giostra.core.page.Document;
import giostra.core.page.Fields.Field;
import giostra.core.page.Item;
import giostra.core.page.Node;
import giostra.core.page.Starters.Starter;
import giostra.core.snag.Asked;
import giostra.core.snag.Judged;
import giostra.core.snag.Looked;
import giostra.core.snag.Rule;
import giostra.core.snag.Snag;
import giostra.core.value.Setting;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** All that tabs are. */
public final class TabsRoom implements PanelRoom<Tabs>, Written<Tabs>, Judged<Tabs> {
  @Override
  public String word() {
    return "tabs";
  }

  @Override
  public List<Setting<?>> settings() {
    return TabsSettings.ALL;
  }

  @Override
  public List<Part> parts() {
    return TabsParts.ALL;
  }

  @Override
  public Map<Part, Part> under() {
    return StandsOn.on(TabsParts.PANEL, StandsOn.WORDS);
  }

  @Override
  public Part panelPart() {
    return TabsParts.PANEL;
  }

  @Override
  public Tabs piece(String id, Values values, List<Item> items) {
    return new Tabs(id, values, items);
  }

  @Override
  public List<Field> fields(Values values) {
    return TabsFields.ALL;
  }

  @Override
  public List<Starter> starters() {
    return TabsStarters.all();
  }

  @Override
  public Flow flow(Tabs piece, BlockFlows blocks) {
    return new TabsFlow(blocks).tabs(piece);
  }

  @Override
  public List<Measured> measured(Tabs piece, BlockFlows blocks, Piecewise outer) {
    return new TabsFlow(blocks).measured(piece, outer);
  }

  @Override
  public HeadRowCount headingRows(Tabs piece, BlockFlows blocks) {
    TabsBand in = TabsBand.in(blocks.document(), piece, blocks.band(), blocks.scrollbar());
    return new TabsFlow(blocks).headingRows(piece, in);
  }

  @Override
  public Optional<ItemWidths> widths(Document document, Tabs piece, double scrollbar) {
    return Optional.of(
        ItemWidths.of(
            piece,
            "Heading width",
            List.of(TabsSettings.COMFORT_FROM, TabsSettings.COMFORT_TO),
            TabsBand.of(document, piece, scrollbar).stream()
                .map(in -> in.widths(document, piece))
                .toList()));
  }

  @Override
  public Piecewise panel(
      Document document, Tabs piece, Node of, Band band, Piecewise outer, double scrollbar) {
    Piecewise beside = TabsBand.beside(document, piece, band, outer);
    return Containers.padded(document, piece, of, TabsParts.PANEL, band, beside, scrollbar);
  }

  @Override
  public boolean tabbed(Document document, Tabs piece) {
    return document.bands().all().stream()
        .anyMatch(band ->
            Resolution.value(document, piece, TabsSettings.FORM, band)
                != TabsSettings.Form.ACCORDION);
  }

  @Override
  public void write(Tabs piece, Writing writing) {
    var tabs = new TabsOutput(writing, piece);
    tabs.html();
    tabs.css();
  }

  @Override
  public String sharedSheet() {
    return "fold";
  }

  @Override
  public void idle(Tabs piece, Asked asked) {
    TabsEffects.find(asked, piece);
  }

  @Override
  public List<Snag> found(Rule rule, Tabs piece, Looked at) {
    return rule == Rule.WRAPPED_HEADINGS ? WrappedHeadings.of(piece, at) : List.of();
  }

  @Override
  public boolean fillsCurrent(Tabs piece, Part part) {
    TabsSettings.Mark mark = piece.values().get(TabsSettings.MARK);
    return part.equals(TabsParts.TAB)
        && (mark == TabsSettings.Mark.FILL || mark == TabsSettings.Mark.POINTER);
  }

  @Override
  public void places(Where.Places to) {
    to.at("tabs.heading", ".g-head&", ".g-head[aria-selected=true]");
    to.at("tabs.current-line", ".g-head::before");
    to.at("tabs.divider", ".g-head::after");
    to.at("tabs.panel", ".g-tab>.g-panel");
    to.at("tabs.folded-heading", "button.g-fold&", "button.g-fold[aria-expanded=true]");
    to.named("tabs.folded-heading", Property.BORDER, "border-block-start");
    to.named("tabs.current-line", Property.SIZE, "--p-size");
    to.named("tabs.divider", Property.SIZE, "--p-size");
  }
}
