package giostra.core.page;

import giostra.core.anatomy.Anatomy;
import giostra.core.band.Band;
import giostra.core.band.Bands;
import giostra.core.look.StyleKey;
import giostra.core.look.Values;
import giostra.core.value.Require;
import giostra.core.value.Setting;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/**
 * Something in which a site differs from what it was, as people read it.
 *
 * @param what name of the setting, or "Bands"
 * @param band name of the band; empty for what is the same in all
 * @param then as it was; empty where nothing was set
 * @param now as it is; empty where nothing is set
 */
public record SiteDifference(String what, String band, String then, String now) {

  /** All in which two differ. */
  public static List<SiteDifference> between(Site then, Site now) {
    var all = new ArrayList<SiteDifference>();
    if (!then.bands().equals(now.bands())) {
      all.add(new SiteDifference("Bands", "", said(then.bands()), said(now.bands())));
    }
    var bands = new ArrayList<>(now.bands().all().stream().map(Band::id).toList());
    then.bands().all().stream().map(Band::id).filter(id -> !bands.contains(id)).forEach(bands::add);
    values(then, now, "", bands, band -> named(then, now, band), all);
    for (Look look : now.looks()) {
      then.look(look.id())
          .ifPresentOrElse(
              was ->
                  values(
                      was, look, called(look) + ": ", bands, band -> named(then, now, band), all),
              () -> all.add(new SiteDifference("Look", "", "", called(look))));
    }
    for (Look look : then.looks()) {
      if (now.look(look.id()).isEmpty()) {
        all.add(new SiteDifference("Look", "", called(look), ""));
      }
    }
    return all;
  }

  private static String called(Look look) {
    return look.name().isBlank() ? look.word() : look.name();
  }

  /** All in which two nodes say otherwise, with something before the name of each. */
  static void values(
      Node then,
      Node now,
      String of,
      List<String> bands,
      UnaryOperator<String> named,
      List<SiteDifference> all) {
    for (Setting<?> setting : now.type().settings()) {
      for (String band : setting.byBand() ? bands : List.of(Values.ALL)) {
        String was = said(then, setting, band);
        String is = said(now, setting, band);
        if (!was.equals(is)) {
          all.add(new SiteDifference(of + setting.label(), named.apply(band), was, is));
        }
      }
    }
    var keys = new TreeSet<>(then.values().styles().set().keySet());
    keys.addAll(now.values().styles().set().keySet());
    for (StyleKey key : keys) {
      for (String band : bands) {
        String was = said(then, key, band);
        String is = said(now, key, band);
        if (!was.equals(is)) {
          all.add(new SiteDifference(of + Anatomy.said(key), named.apply(band), was, is));
        }
      }
    }
  }

  private static String said(Node node, StyleKey key, String band) {
    Object own = node.values().styles().own(key, band);
    return own == null ? "" : String.valueOf(node.type().style(key).write(own));
  }

  private static String said(Bands bands) {
    return bands.all().stream()
        .map(band -> band.name() + " from " + Require.number(band.from()))
        .collect(Collectors.joining(", "));
  }

  /** The name of a band, as it is or as it was. */
  static String named(Site then, Site now, String band) {
    return List.of(now, then).stream()
        .flatMap(site -> site.bands().all().stream())
        .filter(each -> each.id().equals(band))
        .map(Band::name)
        .findFirst()
        .orElse("");
  }

  private static <T> String said(Node node, Setting<T> setting, String band) {
    T own = node.values().own(setting, band);
    if (own == null) {
      return "";
    }
    String written = String.valueOf(setting.write(own));
    // What a reason is of is told by a mark, which says nothing to people.
    return setting.id().equals(ProofSettings.LEFT.id())
        ? written.replaceAll("(?m)^\\S+ ", "")
        : written;
  }
}
