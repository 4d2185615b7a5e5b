package giostra.core.fit;

import giostra.core.value.Require;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/**
 * The stops of a track, each told by the item it starts with, counted from 0, ascending.
 *
 * <p>With an end, the last stop shows the last items in full, so it may be nearer than a stride:
 * seven items, three in view, stride three stop at 0, 3, 4. Endless, the view wraps: 0, 3, 6 (which
 * shows 6, 0, 1).
 *
 * @param items number of items on show, 1 or more
 * @param view items in view, 1 or more
 * @param starts first item of each stop; only 0 when everything is in view
 */
public record Stops(int items, int view, List<Integer> starts) {
  public Stops {
    starts = List.copyOf(starts);
  }

  /** The stops of a track with an end. */
  public static Stops ending(int items, int view, int stride) {
    check(items, view, stride);
    int last = Math.max(0, items - view);
    List<Integer> starts = each(stride, last);
    starts.add(last);
    return new Stops(items, view, starts);
  }

  /** The stops of an endless track, which has more items than are in view. */
  public static Stops endless(int items, int view, int stride) {
    check(items, view, stride);
    if (items <= view) {
      return ending(items, view, stride);
    }
    return new Stops(items, view, each(stride, items));
  }

  /** From 0 on, a stride apart. Asked for each band of each track that is written. */
  private static List<Integer> each(int stride, int before) {
    var all = new ArrayList<Integer>();
    for (int at = 0; at < before; at += stride) {
      all.add(at);
    }
    return all;
  }

  private static void check(int items, int view, int stride) {
    Require.atLeast(1, "items", items);
    Require.atLeast(1, "in view", view);
    Require.within(1, view, "stride", stride);
  }

  /** How many there are: as many as place marks. */
  public int count() {
    return starts.size();
  }

  /** The items that a stop shows in full, in reading order. */
  public List<Integer> shown(int stop) {
    return IntStream.range(0, Math.min(view, items))
        .mapToObj(i -> (starts.get(stop) + i) % items)
        .toList();
  }

  /**
   * The stop that keeps an item in view: the last that starts at it or before it. After a change of
   * bands the track rests here.
   */
  public int keeping(int item) {
    Require.within(0, items - 1, "item", item);
    int stop = 0;
    while (stop + 1 < starts.size() && starts.get(stop + 1) <= item) {
      stop++;
    }
    return stop;
  }
}
