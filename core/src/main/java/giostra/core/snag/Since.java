package giostra.core.snag;

import java.util.List;

/**
 * What is found on a page that has been changed, against what was found on it before.
 *
 * @param all that a visitor could meet
 * @param gone what was found before and is not any more
 * @param come what is found and was not before
 */
public record Since(List<Snag> all, List<Snag> gone, List<Snag> come) {
  public Since {
    all = List.copyOf(all);
    gone = List.copyOf(gone);
    come = List.copyOf(come);
  }

  /** Holds two against one another; the same thing at some of the same widths is the same. */
  public static Since of(List<Snag> before, List<Snag> after) {
    List<Snag> was = before.stream().filter(Snag::met).toList();
    List<Snag> is = after.stream().filter(Snag::met).toList();
    return new Since(is, without(was, is), without(is, was));
  }

  private static List<Snag> without(List<Snag> some, List<Snag> others) {
    return some.stream().filter(each -> others.stream().noneMatch(each::meets)).toList();
  }

  /** How many are so bad. */
  public int count(Severity severity) {
    return (int) all.stream().filter(each -> each.rule().severity() == severity).count();
  }
}
