package giostra.core.output;

import giostra.core.fit.OwnFonts;
import giostra.core.page.Site;
import giostra.core.value.Typeface;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * The families that a site makes of fonts of its own.
 *
 * @param missing where ids are put that no font has
 */
record OwnFaces(Site site, Shipped.Media media, Set<String> missing) {
  private List<String> ids(Typeface face) {
    int at = Typeface.OWN.indexOf(face);
    List<List<String>> all = site.fonts();
    return at >= 0 && at < all.size() ? all.get(at) : List.of();
  }

  /** The name that words of a family are measured by. */
  String measured(Typeface face) {
    List<String> ids = ids(face);
    return ids.isEmpty() ? face.face() : OwnFonts.family(ids);
  }

  /** The files of a family, each for the weights that it stands for; none of one that ships. */
  List<Shipped.Font> of(Typeface face) {
    List<Shipped.OwnFont> there = ids(face).stream().flatMap(id -> found(id).stream()).toList();
    return OwnFonts.shares(there.stream().map(Shipped.OwnFont::said).toList()).stream()
        .map(share ->
            new Shipped.Font(
                face.face(),
                there.get(share.at()).path(),
                share.from() + " " + share.to(),
                "",
                share.slanted(),
                false))
        .toList();
  }

  private Optional<Shipped.OwnFont> found(String id) {
    Optional<Shipped.OwnFont> font = media.font(id);
    if (font.isEmpty()) {
      missing.add(id);
    }
    return font;
  }
}
