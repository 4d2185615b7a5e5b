package giostra.core.page;

import giostra.core.anatomy.Anatomy;
import giostra.core.band.Band;
import giostra.core.band.Bands;
import giostra.core.look.StyleKey;
import giostra.core.look.Values;
import giostra.core.value.Refused;
import giostra.core.value.Setting;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Applies edits. The document that comes in is never changed. */
public final class Edits {
  private Edits() {}

  /**
   * What came of edits.
   *
   * @param document the document after them
   * @param inverse edits that lead back, to be applied in this order
   * @param paths what they touched
   */
  public record Applied(Document document, List<Edit> inverse, Set<Path> paths) {
    public Applied {
      inverse = List.copyOf(inverse);
      paths = Set.copyOf(paths);
    }

    private Applied(Document document, List<Edit> inverse) {
      this(document, inverse, Set.of());
    }
  }

  /**
   * Applies edits one after the other, all or none.
   *
   * @throws Refused by the first that cannot be applied, with its place
   */
  public static Applied apply(Document document, List<Edit> edits) {
    var inverse = new ArrayList<Edit>();
    var paths = new HashSet<Path>();
    Document now = document;
    for (Edit edit : edits) {
      Applied one = apply(now, edit);
      now = one.document();
      inverse.addAll(0, one.inverse());
      paths.addAll(one.paths());
    }
    return new Applied(now, inverse, paths);
  }

  /** Applies one edit. */
  public static Applied apply(Document document, Edit edit) {
    Applied one = applied(document, edit);
    return new Applied(one.document(), one.inverse(), touched(document, edit));
  }

  private static Applied applied(Document document, Edit edit) {
    return switch (edit) {
      case Edit.SetValue set -> set(document, set);
      case Edit.SetStyle set -> style(document, set);
      case Edit.AddNode add -> add(document, add);
      case Edit.RemoveNode(var id) -> remove(document, id);
      case Edit.MoveNode move -> move(document, move);
      case Edit.MoveBreakpoint(var band, var from) -> {
        double before = document.bands().band(band).from();
        yield new Applied(
            with(document, document.bands().moved(band, from)),
            List.of(new Edit.MoveBreakpoint(band, before)));
      }
      case Edit.AddBand add -> addBand(document, add);
      case Edit.RemoveBand(var band) -> removeBand(document, band);
      case Edit.SetBands(var bands) -> {
        Set<String> ids = ids(bands);
        Document after =
            document.changedAll(node -> node.with(node.values().mapBands(m -> only(m, ids))));
        yield withInverse(document, with(after, bands));
      }
      case Edit.ReplacePage(var page) ->
          new Applied(
              new Document(document.site(), page), List.of(new Edit.ReplacePage(document.page())));
      case Edit.Replace(var other) -> {
        var back = new ArrayList<>(siteEdits(other.site(), document.site()));
        back.add(new Edit.ReplacePage(document.page()));
        yield new Applied(other, back);
      }
    };
  }

  /** The edits that put a node in the place of the one that has its id. */
  public static List<Edit> replacing(Document document, Node by) {
    List<Node> path = document.path(by.id());
    Node parent = path.get(path.size() - 2);
    int index = Document.placeIn(parent, path.getLast());
    return List.of(new Edit.RemoveNode(by.id()), new Edit.AddNode(parent.id(), index, by));
  }

  /** What an edit touches, on the document that it is applied to. */
  static Set<Path> touched(Document before, Edit edit) {
    return switch (edit) {
      case Edit.SetValue(var node, var setting, var band, _) ->
          Set.of(new Path.OfValue(node, setting, band));
      case Edit.SetStyle(var node, var key, var band, _) ->
          Set.of(new Path.OfStyle(node, key, band));
      case Edit.AddNode add -> whole(add.node());
      case Edit.RemoveNode(var id) -> before.find(id).map(Edits::whole).orElse(Set.of());
      case Edit.MoveNode(var id, _, _) -> Set.of(new Path.OfPlace(id));
      case Edit.MoveBreakpoint _ -> Set.of(new Path.OfBands());
      // The lead values go over to another band where the widest one comes or goes.
      case Edit.AddBand(var band, _, var from) ->
          bands(before, before.bands().plus(band, "-", from));
      case Edit.RemoveBand(var band) -> bands(before, before.bands().minus(band));
      case Edit.SetBands(var bands) -> bands(before, bands);
      case Edit.ReplacePage _ -> Set.of(new Path.OfPage());
      case Edit.Replace(var document) -> {
        var all = new LinkedHashSet<Path>(List.of(new Path.OfPage()));
        siteEdits(before.site(), document.site())
            .forEach(each -> all.addAll(touched(before, each)));
        yield all;
      }
    };
  }

  private static Set<Path> whole(Node node) {
    var all = new LinkedHashSet<Path>();
    Document.walk(node)
        .forEach(each -> {
          all.add(new Path.OfNode(each.id()));
          each.values()
              .byBand()
              .forEach(byBand ->
                  byBand.keySet().stream()
                      .filter(band -> !band.equals(Values.ALL))
                      .forEach(band -> all.add(new Path.OfUse(band))));
        });
    return all;
  }

  private static Set<Path> bands(Document before, Bands after) {
    Set<String> was = ids(before.bands());
    Set<String> is = ids(after);
    var all = new LinkedHashSet<Path>(List.of(new Path.OfBands()));
    was.stream().filter(id -> !is.contains(id)).forEach(id -> all.add(new Path.OfBand(id)));
    is.stream().filter(id -> !was.contains(id)).forEach(id -> all.add(new Path.OfBand(id)));
    String led = before.bands().lead().id();
    if (!led.equals(after.lead().id())) {
      all.add(new Path.OfBand(led));
      all.add(new Path.OfBand(after.lead().id()));
    }
    return all;
  }

  private static Set<String> ids(Bands bands) {
    return new LinkedHashSet<>(bands.all().stream().map(Band::id).toList());
  }

  /** The edits that make of a site another one: its bands, each value, its looks. */
  public static List<Edit> siteEdits(Site before, Site after) {
    var edits = new ArrayList<Edit>();
    if (!before.bands().equals(after.bands())) {
      edits.add(new Edit.SetBands(after.bands()));
    }
    valueEdits(before, after, after.bands(), edits);
    var standing = new ArrayList<String>();
    for (Look look : before.looks()) {
      if (after.look(look.id()).isEmpty()) {
        edits.add(new Edit.RemoveNode(look.id()));
      } else {
        standing.add(look.id());
      }
    }
    for (int i = 0; i < after.looks().size(); i++) {
      Look look = after.looks().get(i);
      int at = i;
      before
          .look(look.id())
          .ifPresentOrElse(
              was -> valueEdits(was, look, after.bands(), edits),
              () -> {
                edits.add(new Edit.AddNode(Site.ID, at, look));
                standing.add(at, look.id());
              });
      if (!standing.get(i).equals(look.id())) {
        edits.add(new Edit.MoveNode(look.id(), Site.ID, i));
        standing.remove(look.id());
        standing.add(i, look.id());
      }
    }
    return edits;
  }

  /** The edits that give a node the values of another, in bands that there will be. */
  private static void valueEdits(Node before, Node after, Bands bands, List<Edit> edits) {
    Values left = before.values().mapBands(byBand -> only(byBand, ids(bands)));
    var settings = new java.util.TreeSet<>(left.set().keySet());
    settings.addAll(after.values().set().keySet());
    for (String id : settings) {
      Setting<?> setting = before.type().setting(id);
      Map<String, Object> was = left.set().getOrDefault(id, Map.of());
      Map<String, Object> is = after.values().set().getOrDefault(id, Map.of());
      var said = new java.util.TreeSet<>(was.keySet());
      said.addAll(is.keySet());
      for (String band : said) {
        if (!Objects.equals(was.get(band), is.get(band))) {
          Object value = is.get(band);
          edits.add(
              new Edit.SetValue(
                  before.id(), id, band, value == null ? null : setting.write(value)));
        }
      }
    }
    var keys = new java.util.TreeSet<>(left.styles().set().keySet());
    keys.addAll(after.values().styles().set().keySet());
    for (StyleKey key : keys) {
      for (Band band : bands.all()) {
        Object was = left.styles().own(key, band.id());
        Object is = after.values().styles().own(key, band.id());
        if (!Objects.equals(was, is)) {
          Object raw = is == null ? null : before.type().style(key).write(is);
          edits.add(new Edit.SetStyle(before.id(), key, band.id(), raw));
        }
      }
    }
  }

  /** A page without what it says for bands that are not among these. */
  public static Page fitted(Page page, Bands bands) {
    Set<String> ids = ids(bands);
    boolean fits =
        Document.walk(page)
            .allMatch(node ->
                node.values()
                    .byBand()
                    .flatMap(byBand -> byBand.keySet().stream())
                    .allMatch(band -> band.equals(Values.ALL) || ids.contains(band)));
    return fits
        ? page
        : new Document(new Site(bands, Values.NONE), page)
            .changedAll(node -> node.with(node.values().mapBands(m -> only(m, ids))))
            .page();
  }

  private static Applied set(Document document, Edit.SetValue edit) {
    Node node = document.node(edit.node());
    Setting<?> setting = node.type().setting(edit.setting());
    if (setting.byBand()) {
      document.bands().band(edit.band());
    } else if (!edit.band().isEmpty()) {
      throw new Refused("band of " + setting.label(), edit.band(), "none: it is the same in all")
          .at(place(edit));
    }
    Object value;
    try {
      value = edit.value() == null ? null : setting.read(edit.value());
    } catch (Refused e) {
      throw e.at(place(edit));
    }
    Object before = raw(node.values(), edit.setting(), edit.band());
    Object rawBefore = before == null ? null : setting.write(before);
    return new Applied(
        document.changed(
            node.id(), n -> n.with(n.values().withRaw(edit.setting(), edit.band(), value))),
        List.of(new Edit.SetValue(edit.node(), edit.setting(), edit.band(), rawBefore)));
  }

  private static Applied style(Document document, Edit.SetStyle edit) {
    Node node = document.node(edit.node());
    String place = edit.node() + " / " + edit.key().written() + " / " + edit.band();
    Object value;
    Setting<?> setting;
    try {
      setting = node.type().style(edit.key());
      document.bands().band(edit.band());
      value = edit.value() == null ? null : setting.read(edit.value());
    } catch (Refused e) {
      throw e.at(place);
    }
    Object before = node.values().styles().own(edit.key(), edit.band());
    Object rawBefore = before == null ? null : setting.write(before);
    return new Applied(
        document.changed(
            node.id(), n -> n.with(n.values().withStyle(edit.key(), edit.band(), value))),
        List.of(new Edit.SetStyle(edit.node(), edit.key(), edit.band(), rawBefore)));
  }

  private static String place(Edit.SetValue edit) {
    String band = edit.band().isEmpty() ? "" : " / " + edit.band();
    return edit.node() + " / " + edit.setting() + band;
  }

  private static @Nullable Object raw(Values values, String setting, String band) {
    return values.set().getOrDefault(setting, Map.of()).get(band);
  }

  private static Applied add(Document document, Edit.AddNode edit) {
    Document after = document.changed(edit.parent(), p -> inserted(p, edit.index(), edit.node()));
    return new Applied(after, List.of(new Edit.RemoveNode(edit.node().id())));
  }

  private static Node inserted(Node parent, int index, Node node) {
    if (!parent.type().holds(node.type())) {
      throw new Refused(
              "a " + node.type().word() + " in a " + parent.type().word(), node.id(), "elsewhere")
          .at(parent.id());
    }
    var children = new ArrayList<Node>(parent.children());
    children.add(Math.clamp(index, 0, children.size()), node);
    return parent.holding(children);
  }

  private static Applied remove(Document document, String id) {
    Place place = place(document, id);
    return new Applied(
        document.changed(place.parent, parent -> without(parent, id)),
        List.of(new Edit.AddNode(place.parent, place.index, document.node(id))));
  }

  private static Applied move(Document document, Edit.MoveNode edit) {
    Place place = place(document, edit.node());
    Node node = document.node(edit.node());
    Document out = document.changed(place.parent, parent -> without(parent, edit.node()));
    if (out.find(edit.parent()).isEmpty()) {
      throw new Refused("new place of " + edit.node(), edit.parent(), "outside of itself");
    }
    return new Applied(
        out.changed(edit.parent(), parent -> inserted(parent, edit.index(), node)),
        List.of(new Edit.MoveNode(edit.node(), place.parent, place.index)));
  }

  private record Place(String parent, int index) {}

  private static Place place(Document document, String id) {
    List<Node> path = document.path(id);
    if (path.size() < 2) {
      document.node(id);
      throw new Refused("node", id, "something in the page: the page and the site stay");
    }
    Node parent = path.get(path.size() - 2);
    return new Place(parent.id(), Document.placeIn(parent, path.getLast()));
  }

  private static Node without(Node parent, String id) {
    return parent.holding(
        parent.children().stream().filter(child -> !child.id().equals(id)).toList());
  }

  private static Applied addBand(Document document, Edit.AddBand edit) {
    Bands before = document.bands();
    Bands after = before.plus(edit.band(), edit.name(), edit.from());
    Document out = with(document, after);
    if (after.lead().id().equals(edit.band())) {
      // The old lead values go on leading: else every band would fall back to initial values.
      String old = before.lead().id();
      out =
          out.changedAll(
              node -> node.with(node.values().mapBands(m -> rekey(m, old, edit.band()))));
    }
    return withInverse(document, out);
  }

  private static Applied removeBand(Document document, String id) {
    Bands after = document.bands().minus(id);
    boolean led = document.bands().lead().id().equals(id);
    String heir = after.lead().id();
    Document out =
        document.changedAll(
            node -> node.with(node.values().mapBands(m -> led ? rekey(m, id, heir) : drop(m, id))));
    return withInverse(document, with(out, after));
  }

  private static Document with(Document document, Bands bands) {
    return new Document(document.site().with(bands), document.page());
  }

  private static Map<String, Object> rekey(Map<String, Object> bands, String from, String to) {
    Object value = bands.remove(from);
    if (value != null) {
      bands.putIfAbsent(to, value);
    }
    return bands;
  }

  private static Map<String, Object> drop(Map<String, Object> bands, String id) {
    bands.remove(id);
    return bands;
  }

  private static Map<String, Object> only(Map<String, Object> bands, Set<String> ids) {
    bands.keySet().removeIf(band -> !band.equals(Values.ALL) && !ids.contains(band));
    return bands;
  }

  /** The way back over a change of bands: the bands, then each value that went or moved. */
  private static Applied withInverse(Document before, Document after) {
    var inverse = new ArrayList<Edit>();
    inverse.add(new Edit.SetBands(before.bands()));
    before
        .nodes()
        .forEach(node -> {
          Values now = after.node(node.id()).values();
          var settings = new HashSet<>(node.values().set().keySet());
          settings.addAll(now.set().keySet());
          settings.stream().sorted().forEach(id -> restore(before.bands(), node, now, id, inverse));
          var keys = new java.util.TreeSet<>(node.values().styles().set().keySet());
          keys.addAll(now.styles().set().keySet());
          keys.forEach(key -> restore(before.bands(), node, now, key, inverse));
        });
    return new Applied(after, inverse);
  }

  private static void restore(Bands bands, Node node, Values now, String id, List<Edit> out) {
    Setting<?> setting = node.type().setting(id);
    if (!setting.byBand()) {
      return;
    }
    for (Band band : bands.all()) {
      Object was = raw(node.values(), id, band.id());
      if (!Objects.equals(was, raw(now, id, band.id()))) {
        Object raw = was == null ? null : setting.write(was);
        out.add(new Edit.SetValue(node.id(), id, band.id(), raw));
      }
    }
  }

  private static void restore(Bands bands, Node node, Values now, StyleKey key, List<Edit> out) {
    for (Band band : bands.all()) {
      Object was = node.values().styles().own(key, band.id());
      if (!Objects.equals(was, now.styles().own(key, band.id()))) {
        Object raw = was == null ? null : node.type().style(key).write(was);
        out.add(new Edit.SetStyle(node.id(), key, band.id(), raw));
      }
    }
  }

  /** The values that would go with a band: what it sets itself, as {@code node / setting}. */
  public static List<String> goingWith(Document document, String band) {
    return document
        .nodes()
        .flatMap(node ->
            Stream.concat(
                node.values().set().entrySet().stream()
                    .filter(entry -> entry.getValue().containsKey(band))
                    .map(entry -> node.id() + " / " + node.type().setting(entry.getKey()).label()),
                node.values().styles().set().entrySet().stream()
                    .filter(entry -> entry.getValue().containsKey(band))
                    .map(entry -> node.id() + " / " + Anatomy.said(entry.getKey()))))
        .toList();
  }
}
