package giostra.core.layout;

import giostra.core.anatomy.PageParts;
import giostra.core.band.Band;
import giostra.core.fit.Flow;
import giostra.core.fit.Piecewise;
import giostra.core.fit.Screen;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.Column;
import giostra.core.page.Document;
import giostra.core.page.Section;
import giostra.core.page.SectionSettings;
import giostra.core.value.Length;
import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleUnaryOperator;

/** A section as it flows in one band: how high it is, and where its own words stand in it. */
public final class SectionFlow {
  /**
   * Words where they stand.
   *
   * @param of id of the block that says them
   * @param x px from the left of the section
   * @param y px from its top
   * @param width px
   * @param height px
   */
  public record Words(Part part, String of, double x, double y, double width, double height) {}

  /**
   * A block where it stands.
   *
   * @param y px from the top of the section
   * @param height px
   */
  public record Stood(Block block, double y, double height) {}

  /** A block, the room that it has, and how far it is from what is above it. */
  private record Standing(Block block, Flow flow, Piecewise room, double above) {}

  private final BlockFlows blocks;
  private final double above;
  private final double below;
  private final boolean mirrored;
  private final List<Standing> stack = new ArrayList<>();

  public SectionFlow(
      Document document, Section section, Band band, PictureSizes pictures, double scrollbar) {
    this.blocks = new BlockFlows(document, band, pictures, scrollbar);
    this.above = blocks.value(section, SectionSettings.SPACE_ABOVE).constantPx();
    this.below = blocks.value(section, SectionSettings.SPACE_BELOW).constantPx();
    this.mirrored = document.mirrored();
    for (Block block : section.blocks()) {
      if (blocks.shows(block)) {
        double gap = stack.isEmpty() ? 0 : blocks.part(block, PageParts.BLOCK).px(Property.ABOVE);
        Piecewise room = Containers.room(document, block, band, scrollbar);
        stack.add(new Standing(block, blocks.block(block), room, gap));
      }
    }
  }

  /** Whether it has a heading or a text of its own. */
  public boolean says() {
    return stack.stream().anyMatch(each -> says(each.block()));
  }

  private static boolean says(Block block) {
    return block instanceof Block.Heading
        || block instanceof Block.Text
        || (block instanceof Block.Columns columns
            && columns.columns().stream()
                .flatMap(column -> column.blocks().stream())
                .anyMatch(SectionFlow::says));
  }

  /** Its height at a viewport width, px. */
  public double height(double viewportPx, Screen screen) {
    List<Stood> all = stood(viewportPx, screen);
    return below + (all.isEmpty() ? above : all.getLast().y() + all.getLast().height());
  }

  /** Its blocks that show at a viewport width, in their order. */
  public List<Stood> stood(double viewportPx, Screen screen) {
    var all = new ArrayList<Stood>();
    double y = above;
    for (Standing each : stack) {
      y += each.above();
      double high = each.flow().height(each.room().at(viewportPx), screen);
      all.add(new Stood(each.block(), y, high));
      y += high;
    }
    return all;
  }

  /**
   * The words of its headings and texts at a viewport width, in their order, those in columns among
   * them; those of pieces are none of its own.
   *
   * @param viewportPx with the scrollbar
   */
  public List<Words> words(double viewportPx, Screen screen) {
    var found = new ArrayList<Words>();
    double y = above;
    for (Standing each : stack) {
      y += each.above();
      double room = each.room().at(viewportPx);
      double left = (viewportPx - blocks.scrollbar() - room) / 2;
      words(each.block(), left, y, room, screen, found);
      y += each.flow().height(room, screen);
    }
    return found;
  }

  private void words(
      Block block, double left, double y, double room, Screen screen, List<Words> found) {
    switch (block) {
      case Block.Heading heading -> found.add(heading(heading, left, y, room, screen));
      case Block.Text text -> found.add(text(text, left, y, room, screen));
      case Block.Columns columns -> {
        for (ColumnsLaid.Lies each : new ColumnsLaid(blocks, columns).in(room, screen)) {
          double x = mirrored ? room - each.x() - each.width() : each.x();
          column(
              columns.columns().get(each.at()),
              left + x,
              y + each.y(),
              each.width(),
              screen,
              found);
        }
      }
      default -> {}
    }
  }

  private void column(
      Column column, double left, double top, double room, Screen screen, List<Words> found) {
    double y = top;
    boolean first = true;
    for (Block block : column.blocks()) {
      if (blocks.shows(block)) {
        y += first ? 0 : blocks.part(block, PageParts.BLOCK).px(Property.ABOVE);
        words(block, left, y, room, screen, found);
        y += blocks.block(block).height(room, screen);
        first = false;
      }
    }
  }

  private Words heading(Block.Heading heading, double left, double y, double room, Screen screen) {
    double high = blocks.block(heading).height(room, screen);
    Part part = PageParts.heading(heading.values().get(BlockSettings.LEVEL));
    double wide =
        blocks
            .words(heading, part)
            .of(heading.values().get(BlockSettings.HEADING_TEXT), blocks.locale())
            .balanced(room, screen);
    double side = side(blocks.value(heading, BlockSettings.ALIGN));
    return new Words(part, heading.id(), left + (room - wide) * side, y, wide, high);
  }

  private Words text(Block.Text text, double left, double y, double room, Screen screen) {
    double high = blocks.block(text).height(room, screen);
    double most = Math.min(room, measure(text, screen).applyAsDouble(room));
    Flow copy =
        blocks.copy(text, PageParts.TEXT).of(text.values().get(BlockSettings.PARAGRAPHS), 0);
    // Of several paragraphs each has lines of its own: together they are as wide as their room.
    double wide = copy instanceof TextStyle.Text line ? line.reach(most, screen) : most;
    double side = side(blocks.value(text, BlockSettings.ALIGN));
    return new Words(PageParts.TEXT, text.id(), left + (room - wide) * side, y, wide, high);
  }

  private DoubleUnaryOperator measure(Block.Text text, Screen screen) {
    Length measure = blocks.value(text, BlockSettings.LINE_MEASURE);
    double em = blocks.words(text, PageParts.TEXT).size().applyAsDouble(screen);
    return measure.unit() == Length.Unit.EM ? _ -> measure.amount() * em : measure::in;
  }

  private double side(BlockSettings.Side side) {
    return switch (side) {
      case START -> mirrored ? 1 : 0;
      case CENTER -> 0.5;
      case END -> mirrored ? 0 : 1;
    };
  }
}
