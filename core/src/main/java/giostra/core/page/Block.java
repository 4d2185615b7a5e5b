package giostra.core.page;

import giostra.core.look.Values;
import java.util.List;

/** Plain content, or a piece: what stands in a section or a column. */
public sealed interface Block extends Node
    permits Block.Heading,
        Block.Text,
        Block.Picture,
        Block.Button,
        Block.OwnHtml,
        Block.Pin,
        Block.Columns,
        Piece {

  /** A heading. */
  record Heading(String id, Values values) implements Block {
    @Override
    public List<Node> children() {
      return List.of();
    }

    @Override
    public NodeType type() {
      return NodeType.HEADING;
    }

    @Override
    public Heading with(Values values) {
      return new Heading(id, values);
    }

    @Override
    public Heading holding(List<? extends Node> children) {
      return NodeType.leaf(this, children);
    }
  }

  /** Paragraphs; a blank line parts them. */
  record Text(String id, Values values) implements Block {
    @Override
    public List<Node> children() {
      return List.of();
    }

    @Override
    public NodeType type() {
      return NodeType.TEXT;
    }

    @Override
    public Text with(Values values) {
      return new Text(id, values);
    }

    @Override
    public Text holding(List<? extends Node> children) {
      return NodeType.leaf(this, children);
    }
  }

  /** A picture. */
  record Picture(String id, Values values) implements Block {
    @Override
    public List<Node> children() {
      return List.of();
    }

    @Override
    public NodeType type() {
      return NodeType.PICTURE;
    }

    @Override
    public Picture with(Values values) {
      return new Picture(id, values);
    }

    @Override
    public Picture holding(List<? extends Node> children) {
      return NodeType.leaf(this, children);
    }
  }

  /** A link that looks like a button. */
  record Button(String id, Values values) implements Block {
    @Override
    public List<Node> children() {
      return List.of();
    }

    @Override
    public NodeType type() {
      return NodeType.BUTTON;
    }

    @Override
    public Button with(Values values) {
      return new Button(id, values);
    }

    @Override
    public Button holding(List<? extends Node> children) {
      return NodeType.leaf(this, children);
    }
  }

  /** Markup of one's own. */
  record OwnHtml(String id, Values values) implements Block {
    @Override
    public List<Node> children() {
      return List.of();
    }

    @Override
    public NodeType type() {
      return NodeType.OWN_HTML;
    }

    @Override
    public OwnHtml with(Values values) {
      return new OwnHtml(id, values);
    }

    @Override
    public OwnHtml holding(List<? extends Node> children) {
      return NodeType.leaf(this, children);
    }
  }

  /** A badge, a price or a cut-out that stands on a slide, over what it shows. */
  record Pin(String id, Values values) implements Block {
    @Override
    public List<Node> children() {
      return List.of();
    }

    @Override
    public NodeType type() {
      return NodeType.PIN;
    }

    @Override
    public Pin with(Values values) {
      return new Pin(id, values);
    }

    @Override
    public Pin holding(List<? extends Node> children) {
      return NodeType.leaf(this, children);
    }

    /** Whether it shows anything at all. */
    public boolean shows() {
      return !values.get(PinSettings.WORDS).isBlank()
          || !values.get(ItemSettings.ICON).isEmpty()
          || !values.get(BlockSettings.SOURCE).isEmpty();
    }

    /** Whether it comes in after its slide. */
    public boolean comes() {
      return values.get(PinSettings.COMES) != DriveSettings.Entrance.NONE;
    }
  }

  /** Columns side by side, or stacked, by band. */
  record Columns(String id, Values values, List<Column> columns) implements Block {
    public Columns {
      columns = List.copyOf(columns);
    }

    @Override
    public List<Column> children() {
      return columns;
    }

    @Override
    public NodeType type() {
      return NodeType.COLUMNS;
    }

    @Override
    public Columns with(Values values) {
      return new Columns(id, values, columns);
    }

    @Override
    public Columns holding(List<? extends Node> children) {
      return new Columns(id, values, NodeType.checked(this, children, Column.class));
    }
  }
}
