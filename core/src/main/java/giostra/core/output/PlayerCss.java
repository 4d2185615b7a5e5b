package giostra.core.output;

import giostra.core.band.Band;
import giostra.core.look.State;
import giostra.core.page.Piece;
import giostra.core.page.PlayerParts;
import giostra.core.page.PlayerParts.Part;
import giostra.core.page.PlayerParts.Styled;
import giostra.core.value.Colour;
import giostra.core.value.Ground;
import giostra.core.value.Length;
import giostra.core.value.Nudge;
import java.util.List;
import java.util.Optional;

/**
 * Rules for the parts of a player. Each property is a variable that the fixed sheet reads, so a
 * state says only what it changes. Whatever holds in all states as it does initially is not
 * written: the fixed sheet has it.
 */
final class PlayerCss {
  private final Writing writing;
  private final Piece.Video piece;

  PlayerCss(Writing writing, Piece.Video piece) {
    this.writing = writing;
    this.piece = piece;
  }

  void write() {
    for (Part part : Part.values()) {
      for (Styled<?> each : PlayerParts.of(part)) {
        if (each.state() == State.REST) {
          property(part, each);
        }
      }
    }
  }

  private void property(Part part, Styled<?> rest) {
    if (PlayerParts.said(piece.values(), rest).isEmpty()
        && PlayerParts.said(writing.document.site().values(), rest).isEmpty()) {
      return;
    }
    boolean initial =
        PlayerParts.of(part).stream()
            .filter(each -> each.property() == rest.property())
            .allMatch(each ->
                writing.document.bands().all().stream().allMatch(band -> initially(each, band)));
    if (initial) {
      return;
    }
    for (Styled<?> each : PlayerParts.of(part)) {
      if (each.property() == rest.property()
          && (each.state() == State.REST || set(each) || differs(rest, each))) {
        BandCss css = each.state() == State.HOVER ? writing.hoverCss : writing.css;
        css.put(selector(each), "--p-" + name(each), band -> css(each, band));
      }
    }
  }

  private boolean initially(Styled<?> each, Band band) {
    return writing.value(piece, each.setting(), band).equals(each.setting().initial());
  }

  /** Whether somebody has set it, to whatever: what is set to rest's value holds as well. */
  private boolean set(Styled<?> each) {
    return List.of(piece.values(), writing.document.site().values()).stream()
        .anyMatch(values -> values.set().containsKey(each.setting().id()));
  }

  private boolean differs(Styled<?> rest, Styled<?> other) {
    return writing.document.bands().all().stream()
        .anyMatch(band ->
            !writing
                .value(piece, rest.setting(), band)
                .equals(writing.value(piece, other.setting(), band)));
  }

  private static String name(Styled<?> styled) {
    return switch (styled.property()) {
      case SIZE -> "size";
      case PADDING -> "pad";
      case CORNERS -> "round";
      case COLOUR -> "ink";
      case GROUND -> "ground";
      case PICTURE -> "picture";
      case BORDER -> "border";
      case BORDER_COLOUR -> "line";
      case NUDGE -> "nudge";
    };
  }

  private String css(Styled<?> styled, Band band) {
    Object value = writing.value(piece, styled.setting(), band);
    return switch (value) {
      case Length length -> Css.px(length);
      case Colour colour -> colour.css();
      case Ground ground -> ground.css();
      case Nudge nudge -> nudge.css();
      case String picture -> picture(picture);
      default -> throw new IllegalStateException(styled.setting().id());
    };
  }

  private String picture(String id) {
    Optional<Shipped.Picture> found = writing.pictures.find(id);
    return found.map(each -> Css.url(each.path())).orElse("none");
  }

  /**
   * Where a part in a state is found. The stronger a state the more often it is named, so that
   * nothing depends on the order of the rules.
   */
  private String selector(Styled<?> styled) {
    String state =
        switch (styled.state()) {
          case REST -> "";
          case CURRENT -> "[data-pressed]";
          case FOCUS -> ":focus-visible".repeat(2);
          case HOVER -> ":hover".repeat(3);
          case PRESSED -> ":active".repeat(4);
          case DISABLED -> ":disabled".repeat(5);
        };
    return "#g-"
        + piece.id()
        + switch (styled.part()) {
          case START_BUTTON -> " .g-start" + state + ">.g-start-sign";
          case BAR -> " .g-controls" + state;
          case BAR_BUTTON -> " .g-controls>:is(button,select)" + state;
          case TRACK -> " .g-controls input" + state;
          case TIME -> " .g-time" + state;
        };
  }
}
