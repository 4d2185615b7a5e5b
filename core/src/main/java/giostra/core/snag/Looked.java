package giostra.core.snag;

import giostra.core.fit.Screen;
import giostra.core.layout.Heights;
import giostra.core.layout.Outline;
import giostra.core.layout.PictureSizes;
import giostra.core.page.Document;
import giostra.core.page.Node;
import giostra.core.page.Piece;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** One node while the rules look at it. What several of them ask for is computed once. */
public final class Looked {
  /** The page that nodes are looked at on. */
  static final class On {
    private final Document document;
    private final PictureSizes pictures;
    private final double scrollbar;
    private @Nullable Outline outline;
    private @Nullable Anchors anchors;
    private @Nullable Buttons buttons;

    /**
     * @param scrollbar how wide it is, in px
     */
    On(Document document, PictureSizes pictures, double scrollbar) {
      this.document = document;
      this.pictures = pictures;
      this.scrollbar = scrollbar;
    }

    Outline outline() {
      if (outline == null) {
        outline = Outline.of(document);
      }
      return outline;
    }

    Anchors anchors() {
      if (anchors == null) {
        anchors = new Anchors(document);
      }
      return anchors;
    }

    Buttons buttons() {
      if (buttons == null) {
        buttons = new Buttons(document);
      }
      return buttons;
    }
  }

  private final On on;
  private final Node node;
  private @Nullable Heights heights;

  Looked(On on, Node node) {
    this.on = on;
    this.node = node;
  }

  /** What it is on. */
  public Document document() {
    return on.document;
  }

  /** What is looked at. */
  public Node node() {
    return node;
  }

  /** The node, where it is a piece. */
  public Optional<Piece> piece() {
    return node instanceof Piece piece ? Optional.of(piece) : Optional.empty();
  }

  /** How large pictures are. */
  public PictureSizes pictures() {
    return on.pictures;
  }

  /** How wide the scrollbar is, px. */
  public double scrollbar() {
    return on.scrollbar;
  }

  /** The levels of headings. */
  public Outline outline() {
    return on.outline();
  }

  /** What on the page can be led to. */
  Anchors anchors() {
    return on.anchors();
  }

  /** The buttons of the page. */
  Buttons buttons() {
    return on.buttons();
  }

  /** How high everything in a piece is. */
  public Heights heights(Piece piece) {
    if (heights == null) {
      heights = Heights.of(document(), piece, pictures(), scrollbar(), Screen.USUAL_HEIGHT);
    }
    return heights;
  }
}
