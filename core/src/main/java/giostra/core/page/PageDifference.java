package giostra.core.page;

import giostra.core.band.Band;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/**
 * Something in which a page differs from what it was, as people read it.
 *
 * @param node id of what it is of; empty for the site
 * @param name what that is called
 * @param how what has become of it
 * @param what name of the setting or style; empty unless something is said otherwise
 * @param band name of the band; empty for what is the same in all
 * @param then as it was; empty where nothing was set
 * @param now as it is; empty where nothing is set
 */
public record PageDifference(
    String node, String name, How how, String what, String band, String then, String now) {
  /** What becomes of things. */
  public enum How {
    ADDED,
    GONE,
    MOVED,
    CHANGED
  }

  private PageDifference(Node node, String name, How how) {
    this(node.id(), name, how, "", "", "", "");
  }

  private static PageDifference said(String node, String name, SiteDifference each) {
    return new PageDifference(
        node, name, How.CHANGED, each.what(), each.band(), each.then(), each.now());
  }

  /**
   * All in which two differ: the site first, then what is there in the order of the page, then what
   * is gone. What comes or goes is told without what is in it.
   */
  public static List<PageDifference> between(Document then, Document now) {
    var all = new ArrayList<PageDifference>();
    SiteDifference.between(then.site(), now.site())
        .forEach(each -> all.add(said("", Fields.called(now.site()), each)));
    var before = new Tree(then.page());
    var after = new Tree(now.page());
    var bands = new LinkedHashSet<String>();
    Stream.of(now, then)
        .flatMap(each -> each.bands().all().stream())
        .map(Band::id)
        .forEach(bands::add);
    UnaryOperator<String> named = band -> SiteDifference.named(then.site(), now.site(), band);
    after.nodes.forEach((id, node) -> {
      Node was = before.nodes.get(id);
      String name = after.name(node);
      if (was == null) {
        if (before.nodes.containsKey(after.parent(id)) || after.parent(id).isEmpty()) {
          all.add(new PageDifference(node, name, How.ADDED));
        }
        return;
      }
      if (!after.parent(id).equals(before.parent(id)) || moved(before, after, id)) {
        all.add(new PageDifference(node, name, How.MOVED));
      }
      if (was.type() != node.type()) {
        all.add(
            new PageDifference(
                id, name, How.CHANGED, "Kind", "", was.type().word(), node.type().word()));
      }
      var said = new ArrayList<SiteDifference>();
      SiteDifference.values(was, node, "", List.copyOf(bands), named, said);
      said.forEach(each -> all.add(said(id, name, each)));
    });
    before.nodes.forEach((id, node) -> {
      if (!after.nodes.containsKey(id)
          && (after.nodes.containsKey(before.parent(id)) || before.parent(id).isEmpty())) {
        all.add(new PageDifference(node, before.name(node), How.GONE));
      }
    });
    return all;
  }

  /** Whether it is one of those that have to be moved, so that the fewest are. */
  private static boolean moved(Tree before, Tree after, String id) {
    String parent = after.parent(id);
    return !parent.isEmpty()
        && after
            .moved
            .computeIfAbsent(parent, each -> moved(before.children(each), after.children(each)))
            .contains(id);
  }

  private static Set<String> moved(List<String> before, List<String> after) {
    Map<String, Integer> was = new HashMap<>();
    before.forEach(id -> was.put(id, was.size()));
    List<String> both = after.stream().filter(was::containsKey).toList();
    Set<String> moved = new LinkedHashSet<>(both);
    ascending(both.stream().mapToInt(was::get).toArray()).forEach(at -> moved.remove(both.get(at)));
    return moved;
  }

  /**
   * The places of the longest of the subsequences that ascend: what stays where it is. Source: the
   * classical algorithm of piles, n log n.
   */
  private static List<Integer> ascending(int[] all) {
    // The place of the least that a subsequence of each length ends with, and what stands before
    // it.
    var ends = new ArrayList<Integer>();
    var before = new int[all.length];
    for (int i = 0; i < all.length; i++) {
      int low = 0;
      int high = ends.size();
      while (low < high) {
        int middle = (low + high) / 2;
        if (all[ends.get(middle)] < all[i]) {
          low = middle + 1;
        } else {
          high = middle;
        }
      }
      before[i] = low == 0 ? -1 : ends.get(low - 1);
      if (low == ends.size()) {
        ends.add(i);
      } else {
        ends.set(low, i);
      }
    }
    var longest = new ArrayList<Integer>();
    for (int at = ends.isEmpty() ? -1 : ends.getLast(); at >= 0; at = before[at]) {
      longest.add(at);
    }
    return longest;
  }

  /** A page by ids. */
  private static final class Tree {
    final Map<String, Node> nodes = new LinkedHashMap<>();
    final Map<String, Set<String>> moved = new HashMap<>();
    private final Map<String, Node> parents = new HashMap<>();

    Tree(Page page) {
      walk(page);
    }

    private void walk(Node node) {
      nodes.put(node.id(), node);
      for (Node child : node.children()) {
        parents.put(child.id(), node);
        walk(child);
      }
    }

    String parent(String id) {
      Node parent = parents.get(id);
      return parent == null ? "" : parent.id();
    }

    List<String> children(String id) {
      Node node = nodes.get(id);
      return node == null ? List.of() : node.children().stream().map(Node::id).toList();
    }

    /** What it is called, after what it is an item of. */
    String name(Node node) {
      return node instanceof Item item && parents.get(node.id()) instanceof Piece piece
          ? Fields.called(piece) + ", " + Fields.called(item, piece.items().indexOf(item))
          : Fields.called(node);
    }
  }
}
