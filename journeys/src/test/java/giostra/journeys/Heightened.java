package giostra.journeys;

import static java.util.stream.Collectors.counting;
import static java.util.stream.Collectors.groupingBy;

import com.microsoft.playwright.Frame;
import giostra.core.layout.Heights;
import giostra.core.layout.PictureSizes;
import giostra.core.page.ConditionSettings;
import giostra.core.page.Document;
import giostra.core.page.Item;
import giostra.core.page.Node;
import giostra.core.page.Piece;
import giostra.core.page.SiteSettings;
import giostra.server.testing.Api;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;

/**
 * Heights of what items hold as the engine has them against those that a published page is laid out
 * with: each as high as its own content asks.
 */
final class Heightened {
  private final Document document;
  private final Frame frame;
  private final Map<Piece, Heights> heights = new LinkedHashMap<>();
  private final List<Off> off = new ArrayList<>();
  private final Map<String, int[]> shares = new TreeMap<>();
  private final Set<String> lost = new TreeSet<>();

  /** Of those in which a word breaks that has no room: how many agreed, how many there were. */
  private final int[] broken = new int[2];

  /** Items whose season it is not, and what is in them: a page does not have these now. */
  private final Set<String> away;

  private Heightened(Document document, PictureSizes pictures, Frame frame) {
    this.document = document;
    this.frame = frame;
    ZoneId zone = document.site().values().get(SiteSettings.ZONE);
    Instant now = Instant.now();
    this.away =
        document
            .nodes()
            .filter(Item.class::isInstance)
            .filter(item -> !ConditionSettings.season(item.values()).shows(now, zone))
            .flatMap(Document::walk)
            .map(Node::id)
            .collect(Collectors.toSet());
    double scrollbar = Frames.scrollbar(frame);
    for (Piece piece : document.pieces()) {
      heights.put(piece, Heights.of(document, piece, pictures, scrollbar, 800));
    }
  }

  /** One that differs by more than 1 px. */
  private record Off(String what, double by) {
    /** The part of an item that it is about. */
    String of() {
      return what.substring(0, what.indexOf(" at "));
    }
  }

  /**
   * Compares all parts that have some room at viewport widths in px.
   *
   * @param least px that a part has to have; with less a finding says so, its columns overlap
   */
  static Heightened against(
      Document document, PictureSizes pictures, Frame frame, List<Integer> widths, double least) {
    return new Heightened(document, pictures, frame).compare(widths, least, false);
  }

  /**
   * The same, without what no promise is made for: what holds something that has less room itself,
   * and texts with characters that no shipped font has. Both are findings. So is a word that breaks
   * for want of room, and what holds it: those are counted apart.
   */
  static Heightened promised(
      Document document, PictureSizes pictures, Frame frame, List<Integer> widths, double least) {
    return new Heightened(document, pictures, frame).compare(widths, least, true);
  }

  private Heightened compare(List<Integer> widths, double least, boolean promised) {
    still(frame);
    JsonNode showns = Frames.swept(frame, MEASURE, widths);
    List<Set<String>> crammed = promised ? crammed(widths, least) : List.of();
    List<Set<String>> breaking = promised ? breaking(widths) : List.of();
    heights.forEach((piece, its) -> {
      Set<String> unknown = promised ? its.missing().keySet() : Set.of();
      for (int at = 0; at < widths.size(); at++) {
        for (Heights.Reading reading : its.at(widths.get(at))) {
          boolean left =
              reading.width() < least
                  || away.contains(reading.item())
                  || unknown.contains(reading.item())
                  || (promised && crammed.get(at).contains(reading.item()));
          if (!left && promised && breaking.get(at).contains(reading.item())) {
            apart(reading, showns.get(at));
          } else if (!left) {
            compare(piece, widths.get(at), reading, showns.get(at));
          }
        }
      }
    });
    off.sort(Comparator.comparingDouble(Off::by).reversed());
    return this;
  }

  /** Items that hold something without room, by width. */
  private List<Set<String>> crammed(List<Integer> widths, double least) {
    var all = new ArrayList<Set<String>>();
    widths.forEach(_ -> all.add(new TreeSet<>()));
    heights.forEach((piece, its) -> {
      for (int at = 0; at < widths.size(); at++) {
        if (its.at(widths.get(at)).stream().anyMatch(each -> each.width() < least)) {
          document.path(piece.id()).stream().map(Node::id).forEach(all.get(at)::add);
        }
      }
    });
    return all;
  }

  /** Items in which a word breaks, and what they are in, by width. */
  private List<Set<String>> breaking(List<Integer> widths) {
    var all = new ArrayList<Set<String>>();
    widths.forEach(_ -> all.add(new TreeSet<>()));
    heights.forEach((piece, its) -> {
      for (Heights.Broken each : its.brokenWords()) {
        for (int at = 0; at < widths.size(); at++) {
          if (each.from() <= widths.get(at) && widths.get(at) <= each.to()) {
            document.path(each.item()).stream().map(Node::id).forEach(all.get(at)::add);
          }
        }
      }
    });
    return all;
  }

  private void apart(Heights.Reading reading, JsonNode shown) {
    JsonNode real = shown.path(reading.item() + "/" + reading.part());
    if (!real.isMissingNode()) {
      broken[1]++;
      broken[0] += Math.abs(real.asDouble() - reading.height()) <= 1 ? 1 : 0;
    }
  }

  /** Of those in which a word breaks: how many agreed, how many there were. */
  int[] broken() {
    return broken;
  }

  /** Stops all motion, for good. */
  static void still(Frame frame) {
    frame.evaluate(STILL);
  }

  private void compare(Piece piece, int width, Heights.Reading reading, JsonNode shown) {
    String key = reading.item() + "/" + reading.part();
    JsonNode real = shown.path(key);
    if (real.isMissingNode()) {
      lost.add(key);
      return;
    }
    double by = Math.abs(real.asDouble() - reading.height());
    int[] share = shares.computeIfAbsent(reading.part().name(), _ -> new int[2]);
    share[1]++;
    if (by <= 1) {
      share[0]++;
    } else {
      String what =
          "%s of %s at %d: predicted %.1f in %.1f, shown %.1f"
              .formatted(
                  key, piece.id(), width, reading.height(), reading.width(), real.asDouble());
      off.add(new Off(what, by));
    }
  }

  /** How many were compared and how many agreed within 1 px, by part: agreed, compared. */
  Map<String, int[]> shares() {
    return shares;
  }

  int compared() {
    return shares.values().stream().mapToInt(each -> each[1]).sum();
  }

  /** Share that agreed within 1 px, %. */
  double share() {
    return 100.0 * (compared() - off.size()) / compared();
  }

  /** Parts that were not to be seen. */
  Set<String> lost() {
    return lost;
  }

  @Override
  public String toString() {
    return "%.2f %% of %d within 1 px, %d of %d where a word breaks; %s; worst %s"
        .formatted(
            share(),
            compared(),
            broken[0],
            broken[1],
            shares.entrySet().stream()
                .map(e -> "%s %d of %d".formatted(e.getKey(), e.getValue()[0], e.getValue()[1]))
                .toList(),
            worst());
  }

  /** Sizes of the pictures in the library of the site that ships. */
  static PictureSizes sizes(Api api) {
    Map<String, PictureSizes.Size> known = new HashMap<>();
    for (JsonNode each : api.get("/api/sites/velluta/media").json()) {
      known.put(
          each.path("id").asString(),
          new PictureSizes.Size(each.path("width").asInt(), each.path("height").asInt()));
    }
    return id -> Optional.ofNullable(known.get(id));
  }

  /** The worst of each part of each item, a few of them. */
  List<String> worst() {
    Map<String, Long> often = off.stream().collect(groupingBy(Off::of, counting()));
    var seen = new HashSet<String>();
    return off.stream()
        .filter(each -> seen.add(each.of()))
        .limit(Integer.getInteger("giostra.worst", 4))
        .map(each -> each.what() + " (at " + often.get(each.of()) + " widths)")
        .toList();
  }

  /** Nothing in motion. */
  private static final String STILL =
      """
      () => {
        const still = new CSSStyleSheet();
        still.replaceSync('*, ::details-content { transition: none !important; animation: none !important }');
        document.adoptedStyleSheets = [still];
      }
      """;

  /**
   * Heights by item and part. Pieces are measured level by level: all panels of those of a level
   * are there, each as high as its own content, and what stands deeper is as it is at first.
   */
  private static final String MEASURE =
      """
      async () => {
        const parts = [
          ['CARD', '.g-card'], ['SLIDE', '.g-slide'], ['FRONT', '.g-front'], ['BACK', '.g-back'],
          ['PANEL', '.g-panel'], ['HEADING', '.g-fold-head'], ['HEADING', '.g-head'],
          ['FIGURE', '.g-figure'], ['CLIP', '.g-clip']];
        const asHighAsTheirOwn = [
          ['.g-belt, .g-grid, .g-turn, .g-heads:not([aria-orientation=vertical])', { 'align-items': 'start' }],
          ['.g-card, .g-slide, .g-turn, .g-panel', { 'block-size': 'auto' }],
          ['.g-turn', { 'min-block-size': '0' }],
          ['.g-panels > .g-tab > .g-panel', { display: 'block' }],
          ['.g-panels > .g-tab', { visibility: 'visible' }]];
        const levels = [];
        for (const piece of document.querySelectorAll('[data-piece]')) {
          let level = 0;
          for (let e = piece.parentElement; (e = e.closest('[data-piece]')); e = e.parentElement) level++;
          (levels[level] ??= []).push(piece);
        }
        const own = (piece, selector) => [...piece.querySelectorAll(selector)]
            .filter((each) => each.closest('[data-piece]') === piece);
        const before = [];
        const heights = {};
        for (const level of levels) {
          for (const piece of level) {
            for (const [selector, values] of asHighAsTheirOwn) {
              for (const each of own(piece, selector)) {
                before.push(() => each.removeAttribute('style'));
                if (each.hasAttribute('style')) {
                  const style = each.getAttribute('style');
                  before[before.length - 1] = () => each.setAttribute('style', style);
                }
                for (const [name, value] of Object.entries(values)) {
                  each.style.setProperty(name, value, 'important');
                }
              }
            }
            for (const answer of own(piece, 'details[data-item]')) {
              const { open, name } = answer;
              before.push(() => Object.assign(answer, { open, name }));
              Object.assign(answer, { name: '', open: true });
            }
          }
          // What was closed is laid out with the next frame, which an idle browser may be slow to give.
          await Promise.race([new Promise(requestAnimationFrame), new Promise((r) => setTimeout(r, 300))]);
          for (const piece of level) {
            for (const [part, selector] of parts) {
              for (const each of own(piece, selector)) {
                const height = each.getBoundingClientRect().height;
                const item = each.dataset.of ?? each.closest('[data-item]')?.dataset.item;
                if (item && height > 0) heights[`${item}/${part}`] = height;
              }
            }
          }
        }
        before.reverse().forEach((undo) => undo());
        return heights;
      }
      """;
}
