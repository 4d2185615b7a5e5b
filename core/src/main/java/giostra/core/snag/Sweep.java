package giostra.core.snag;

import giostra.core.layout.PictureSizes;
import giostra.core.page.Document;
import giostra.core.page.Node;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;

/**
 * The whole sweep, with a memory: after an edit a node is gone through again only by those rules
 * that read something of what the edit changed. Not for several threads at once.
 */
public final class Sweep {
  /** What a rule found, and what it had read. */
  private record Known(List<Object> read, List<Snag> found) {}

  private Map<Node, Map<Rule, Known>> known = new IdentityHashMap<>();

  /** What is found on a page, node by node as they are read. */
  public List<Snag> of(Document document, PictureSizes pictures, double scrollbar) {
    var next = new IdentityHashMap<Node, Map<Rule, Known>>();
    var all = new ArrayList<Snag>();
    var on = new Looked.On(document, pictures, scrollbar);
    Snags.swept(document)
        .forEach(node -> {
          Map<Rule, Known> now = of(new Looked(on, node), known.getOrDefault(node, Map.of()));
          next.put(node, now);
          now.values().forEach(each -> all.addAll(each.found()));
        });
    known = next;
    return all;
  }

  private static Map<Rule, Known> of(Looked at, Map<Rule, Known> before) {
    var keys = new EnumMap<Reads, Object>(Reads.class);
    var now = new EnumMap<Rule, Known>(Rule.class);
    for (Rule rule : Rule.values()) {
      List<Object> read =
          rule.reads().stream()
              .sorted()
              .map(each -> keys.computeIfAbsent(each, reads -> reads.of(at)))
              .toList();
      Known last = before.get(rule);
      now.put(
          rule, last != null && last.read().equals(read) ? last : new Known(read, rule.check(at)));
    }
    return now;
  }

  /** How many nodes it remembers. */
  public int nodes() {
    return known.size();
  }
}
