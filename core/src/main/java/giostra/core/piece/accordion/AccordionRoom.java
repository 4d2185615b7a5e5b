package giostra.core.piece.accordion;

import giostra.core.anatomy.PanelParts;
import giostra.core.anatomy.StandsOn;
import giostra.core.band.Band;
import giostra.core.fit.Flow;
import giostra.core.fit.Piecewise;
import giostra.core.layout.BlockFlows;
import giostra.core.layout.Containers;
import giostra.core.layout.Heights;
import giostra.core.layout.Heights.Measured;
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
import giostra.core.snag.PanelEffects;
import giostra.core.snag.Said;
import giostra.core.value.Setting;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** All that accordions are. */
public final class AccordionRoom
    implements PanelRoom<Accordion>, Written<Accordion>, Judged<Accordion> {
  @Override
  public String word() {
    return "accordion";
  }

  @Override
  public List<Setting<?>> settings() {
    return AccordionSettings.ALL;
  }

  @Override
  public List<Part> parts() {
    return AccordionParts.ALL;
  }

  @Override
  public Set<Part> between() {
    return AccordionParts.TOOLS_OVER;
  }

  @Override
  public Map<Part, Part> under() {
    return StandsOn.on(
        AccordionParts.ROW,
        StandsOn.WORDS,
        AccordionParts.PANEL,
        AccordionParts.QUESTION,
        AccordionParts.SHARE,
        PanelParts.MARKER);
  }

  @Override
  public Part panelPart() {
    return AccordionParts.PANEL;
  }

  @Override
  public Accordion piece(String id, Values values, List<Item> items) {
    return new Accordion(id, values, items);
  }

  @Override
  public List<Field> fields(Values values) {
    return AccordionFields.ALL;
  }

  @Override
  public List<Starter> starters() {
    return AccordionStarters.all();
  }

  @Override
  public Flow flow(Accordion piece, BlockFlows blocks) {
    return new AccordionFlow(blocks).accordion(piece);
  }

  @Override
  public List<Measured> measured(Accordion piece, BlockFlows blocks, Piecewise outer) {
    var flow = new AccordionFlow(blocks);
    var all = new ArrayList<Measured>();
    for (Item item : blocks.shown(piece)) {
      all.add(new Measured(item, Heights.Part.HEADING, flow.question(piece, item), outer));
      all.add(new Measured(item, Heights.Part.PANEL, flow.answer(piece, item), outer));
    }
    return all;
  }

  @Override
  public Piecewise panel(
      Document document, Accordion piece, Node of, Band band, Piecewise outer, double scrollbar) {
    return Containers.narrowed(
        Containers.padded(document, piece, of, AccordionParts.PANEL, band, outer, scrollbar),
        Resolution.value(document, piece, AccordionSettings.INNER, band));
  }

  @Override
  public void write(Accordion piece, Writing writing) {
    var accordion = new AccordionOutput(writing, piece);
    accordion.html();
    accordion.css();
  }

  @Override
  public String sharedSheet() {
    return "fold";
  }

  @Override
  public void idle(Accordion piece, Asked asked) {
    PanelEffects.find(asked);
    if (piece.values().get(AccordionSettings.ROWS) == AccordionSettings.Rows.JOINED) {
      asked.sayOf(
          List.of(AccordionSettings.GAP), AccordionSettings.ROWS, Said.of("idle-joined-rows-have"));
    }
  }

  @Override
  public void places(Where.Places to) {
    to.at("accordion.row", "details.g-fold", "details.g-fold[open]");
    to.at("accordion.heading", ".g-fold>summary&>.g-question", ".g-fold[open]>summary>.g-question");
    to.at("accordion.heading-row", ".g-fold>summary");
    to.at("accordion.panel", "details.g-fold>.g-panel");
    to.at("accordion.tools", ".g-tools");
    to.at("accordion.search", ".g-search&");
    to.at("accordion.categories", ".g-chips");
    to.at("accordion.category", ".g-chip&", ".g-chip[aria-pressed=true]");
    to.at("accordion.copy-link", ".g-share&");
    to.at("accordion.found", ".g-found");
    to.at("accordion.match", ".g-fold mark");
    to.named("accordion.search", Property.SIZE, "min-block-size");
    to.named("accordion.category", Property.SIZE, "min-block-size");
    to.named("accordion.copy-link", Property.SIZE, "min-block-size");
  }
}
