package giostra.core.layout;

import giostra.core.band.Band;
import giostra.core.look.Cascade;
import giostra.core.look.Cascade.Voice;
import giostra.core.look.Layer;
import giostra.core.look.Resolved;
import giostra.core.page.Document;
import giostra.core.page.Node;
import giostra.core.page.PlayerParts;
import giostra.core.page.SectionSettings;
import giostra.core.page.Site;
import giostra.core.value.Setting;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Asks the cascade on behalf of a document: which layers speak for which node. */
public final class Resolution {
  private Resolution() {}

  /** The value of a setting of a node in a band, with its origin. */
  public static <T> Resolved<T> of(Document document, Node node, Setting<T> setting, Band band) {
    Optional<PlayerParts.Styled<?>> part = PlayerParts.of(setting);
    if (part.isPresent()) {
      @SuppressWarnings("unchecked") // found by this very setting
      var styled = (PlayerParts.Styled<T>) part.get();
      return styled(document, node, styled, band);
    }
    return Cascade.resolve(
        setting, voices(document, node, setting), Set.of(), document.bands(), band);
  }

  /** A part of a player: what the piece says, then the look that all players of the site share. */
  private static <T> Resolved<T> styled(
      Document document, Node node, PlayerParts.Styled<T> styled, Band band) {
    var voices = new ArrayList<Voice>();
    if (!(node instanceof Site)) {
      voices.add(new Voice(layer(node), PlayerParts.said(node.values(), styled)));
    }
    voices.add(new Voice(Layer.LOOK, PlayerParts.said(document.site().values(), styled)));
    voices.add(
        new Voice(Layer.INITIAL, PlayerParts.initially(styled, document.bands().lead().id())));
    return Cascade.resolve(
        styled.rest(), voices, PlayerParts.with(styled.state()), document.bands(), band);
  }

  /** The value alone. */
  public static <T> T value(Document document, Node node, Setting<T> setting, Band band) {
    return of(document, node, setting, band).value();
  }

  private static List<Voice> voices(Document document, Node node, Setting<?> setting) {
    Voice own = Voice.atRest(layer(node), node.values());
    // Sections take their side padding from the site; nothing else is lent yet.
    return setting == SectionSettings.PADDING && !(node instanceof Site)
        ? List.of(own, Voice.atRest(Layer.SITE, document.site().values()))
        : List.of(own);
  }

  private static Layer layer(Node node) {
    return switch (node.type()) {
      case SITE -> Layer.SITE;
      case PAGE -> Layer.PAGE;
      case SECTION -> Layer.SECTION;
      case ITEM -> Layer.ITEM;
      case HEADING,
          TEXT,
          PICTURE,
          BUTTON,
          OWN_HTML,
          COLUMNS,
          COLUMN,
          SLIDER,
          CAROUSEL,
          TABS,
          ACCORDION,
          FLIP_BOXES,
          COUNTERS,
          VIDEO ->
          Layer.PIECE;
    };
  }
}
