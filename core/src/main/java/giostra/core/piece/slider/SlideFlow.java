package giostra.core.piece.slider;

import giostra.core.fit.Flow;
import giostra.core.fit.Flow.Spaced;
import giostra.core.fit.Line;
import giostra.core.fit.Piecewise;
import giostra.core.fit.Screen;
import giostra.core.layout.BlockFlows;
import giostra.core.layout.ItemFlows;
import giostra.core.layout.Resolution;
import giostra.core.layout.TrackBand;
import giostra.core.look.Property;
import giostra.core.page.Document;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.piece.slider.SliderSettings.PictureSide;
import giostra.core.piece.slider.SliderSettings.PictureUse;
import giostra.core.value.Height;
import giostra.core.value.Length;
import java.util.ArrayList;
import java.util.List;

/** Slides as they flow in one band. */
final class SlideFlow {
  private final BlockFlows blocks;
  private final ItemFlows items;

  SlideFlow(BlockFlows blocks) {
    this.blocks = blocks;
    this.items = blocks.items();
  }

  Flow slide(Slider piece, Item item) {
    var parts = new ArrayList<Spaced>();
    double gap = blocks.part(item, SliderParts.SLIDE_WORDS).px(Property.GAP);
    items
        .words(piece, item, SliderParts.SLIDE_HEADING)
        .forEach(part -> parts.add(new Spaced(gap, part)));
    double above = blocks.part(item, SliderParts.SLIDE_BUTTONS).px(Property.ABOVE);
    items.buttons(piece, item).ifPresent(part -> parts.add(new Spaced(gap + above, part)));
    double padding = blocks.value(piece, SliderSettings.PADDING).constantPx();
    Length content = blocks.value(piece, SliderSettings.WORDS_MEASURE);
    Flow stand = Flow.stack(parts).narrowed(Line.of(content)).padded(padding);
    Height height = blocks.value(piece, SliderSettings.HEIGHT);
    Flow least = (width, screen) -> height.px(width, screen.height(), screen.large());
    boolean pictured = items.picture(piece, item.values().get(ItemSettings.PICTURE)).isPresent();
    boolean beside =
        pictured && blocks.value(piece, SliderSettings.PICTURE_USE) == PictureUse.BESIDE;
    if (!beside) {
      return stand.atLeast(least);
    }
    if (blocks.value(piece, SliderSettings.PICTURE_SIDE) == PictureSide.ABOVE) {
      return Flow.stack(List.of(Flow.ratio(SliderSettings.PICTURE_ABOVE), stand), 0).atLeast(least);
    }
    Line share = Line.of(blocks.value(piece, SliderSettings.PICTURE_SHARE));
    return stand.within(Line.SAME.minus(share), 0).atLeast(least);
  }

  /**
   * The least height of a slide: what a slider's plot answers, since a slide is as wide as there is
   * room. A share of the screen is that of one usual height.
   */
  static Piecewise height(Document document, Slider slider, TrackBand b) {
    Height height = Resolution.value(document, slider, SliderSettings.HEIGHT, b.band());
    Line line =
        switch (height) {
          case Height.Ratio(var wide, var high) -> new Line(high / wide, 0);
          case Height.Auto _, Height.Fixed _, Height.Screen _ ->
              new Line(0, height.px(0, Screen.USUAL_HEIGHT, Screen.USUAL_HEIGHT));
        };
    return b.outer().through(line);
  }
}
