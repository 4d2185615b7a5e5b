/**
 * The rules and the computation. What is exported is what the server and others may use; a kind's
 * room says what it is by {@code giostra.core.room.Room}, and only what is no other kind's is seen.
 */
module giostra.core {
  requires static org.jspecify;
  requires com.github.benmanes.caffeine;
  requires com.helger.base;
  requires com.helger.collection;
  requires com.helger.css;
  requires com.ibm.icu;
  requires dec;
  requires ical4j.core;
  requires java.xml;
  requires org.apache.commons.csv;
  requires org.jsoup;
  requires org.lwjgl;
  requires org.lwjgl.harfbuzz;
  requires tools.jackson.databind;

  exports giostra.core.anatomy;
  exports giostra.core.band;
  exports giostra.core.cost;
  exports giostra.core.dress;
  exports giostra.core.drive;
  exports giostra.core.fit;
  exports giostra.core.format;
  exports giostra.core.format.content;
  exports giostra.core.layout;
  exports giostra.core.look;
  exports giostra.core.media;
  exports giostra.core.output;
  exports giostra.core.own;
  exports giostra.core.page;
  exports giostra.core.season;
  exports giostra.core.snag;
  exports giostra.core.tempo;
  exports giostra.core.value;
  exports giostra.core.words;
  exports giostra.core.piece.accordion;
  exports giostra.core.piece.carousel;
  exports giostra.core.piece.tabs;

  uses giostra.core.room.Room;

  // All kinds of pieces, in the order in which people see them; in META-INF/services as well.
  provides giostra.core.room.Room with
      giostra.core.piece.slider.SliderRoom,
      giostra.core.piece.carousel.CarouselRoom,
      giostra.core.piece.tabs.TabsRoom,
      giostra.core.piece.accordion.AccordionRoom,
      giostra.core.piece.flipboxes.FlipRoom,
      giostra.core.piece.counters.CountersRoom,
      giostra.core.piece.video.VideoRoom;
}
