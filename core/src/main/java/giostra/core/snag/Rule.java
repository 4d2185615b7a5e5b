package giostra.core.snag;

import static giostra.core.snag.Reads.ANCHORS;
import static giostra.core.snag.Reads.AROUND;
import static giostra.core.snag.Reads.BANDS;
import static giostra.core.snag.Reads.BUTTONS;
import static giostra.core.snag.Reads.HEADINGS;
import static giostra.core.snag.Reads.LANGUAGE;
import static giostra.core.snag.Reads.NEIGHBOURS;
import static giostra.core.snag.Reads.PICTURES;
import static giostra.core.snag.Reads.SCROLLBAR;
import static giostra.core.snag.Reads.SITE;
import static giostra.core.snag.Reads.ZONE;
import static giostra.core.snag.Severity.BREAKS;
import static giostra.core.snag.Severity.HINT;
import static giostra.core.snag.Severity.HURTS;
import static giostra.core.snag.Severity.NOTE;

import giostra.core.page.Section;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What is looked for: the registry of all rules. A rule is a file and an entry here, which says how
 * much it matters and what it reads, so that a sweep knows what an edit can change.
 */
public enum Rule {
  /** Items that are narrower than is comfortable. */
  NARROW(HURTS, Narrow::check, BANDS, SITE, AROUND, SCROLLBAR),
  /** A word that is wider than its room, so that it breaks anywhere. */
  BROKEN_WORD(
      BREAKS, BrokenWords::check, BANDS, SITE, AROUND, LANGUAGE, HEADINGS, PICTURES, SCROLLBAR),
  /**
   * Something that is wider than its room and cannot break: it covers others or the page scrolls.
   */
  NO_ROOM(BREAKS, NoRoom::check, BANDS, SITE, AROUND, LANGUAGE, HEADINGS, PICTURES, SCROLLBAR),
  /** Headings of tabs that take more rows or lines than can be told apart at a glance. */
  WRAPPED_HEADINGS(HURTS, BANDS, SITE, AROUND, LANGUAGE, HEADINGS, PICTURES, SCROLLBAR),
  /** A panel of fixed height whose content is higher: it scrolls within; a pin that is cut. */
  CUT_OFF(BREAKS, CutOff::check, BANDS, SITE, AROUND, LANGUAGE, HEADINGS, PICTURES, SCROLLBAR),
  /** A character that no font has that ships. */
  NO_GLYPH(BREAKS, NoGlyph::check, BANDS, SITE, AROUND, LANGUAGE, HEADINGS, PICTURES, SCROLLBAR),
  /** Letters of a family of the site's own that has no files. */
  NO_FAMILY(HURTS, NoFamily::check, BANDS, SITE),
  /** A picture given by address, of which little can be computed. */
  UNKNOWN_PICTURE(HURTS, UnknownPictures::check, BANDS, PICTURES),
  /** A picture that is drawn wider than it is, so that it blurs on any screen. */
  ENLARGED(HURTS, Enlarged::check, BANDS, SITE, AROUND, PICTURES),
  /** Pictures that take long to come. */
  HEAVY(HINT, Heavy::check, BANDS, SITE, AROUND, LANGUAGE, HEADINGS, PICTURES),
  /** A season that ends before it begins. */
  BACKWARDS(BREAKS, Backwards::check, BANDS, ZONE),
  /** A time at which none of the items shows. */
  NOBODY(BREAKS, Nobody::check, BANDS, ZONE),
  /** A stop that rests for less than it takes to read it. */
  HASTY(HURTS, Hasty::check, BANDS, SITE, AROUND, LANGUAGE),
  /** Words that come in when their slide goes already. */
  LATE_WORDS(HURTS, LateWords::check, BANDS, SITE, AROUND, LANGUAGE),
  /** A clip without a poster, a second format or captions. */
  CLIP(BREAKS, BANDS),
  /** A sign or words that are hard to tell from what they stand on. */
  CONTRAST(BREAKS, Faint::check, BANDS, SITE, AROUND, PICTURES, SCROLLBAR),
  /** A focus ring that nobody sees. */
  RING(BREAKS, Ring::check, BANDS, SITE, AROUND),
  /** What is seen under a mouse alone. */
  HOVER_ONLY(HURTS, HoverOnly::check, BANDS, SITE, AROUND, SCROLLBAR),
  /** A button that is lower than a finger hits. */
  LOW_TARGET(HURTS, LowTargets::check, BANDS, SITE, AROUND),
  /** What takes more or less room while it is touched, so that what is around it moves. */
  JUMP(HURTS, Jumps::check, BANDS, SITE, AROUND, LANGUAGE),
  /** Words that are hard to read on the picture under them. */
  OVER_PICTURE(
      BREAKS, Rule::onPicture, BANDS, SITE, AROUND, LANGUAGE, HEADINGS, PICTURES, SCROLLBAR),
  /** An arrow, the button that holds what moves, or a pin over words. */
  COVERED(BREAKS, BANDS, SITE, AROUND, LANGUAGE, HEADINGS, PICTURES, SCROLLBAR),
  /** Columns that are seen in another order than they are read in. */
  ORDER(BREAKS, Reordered::check, BANDS, SITE, AROUND),
  /** More quotations in view than are comfortable to read. */
  CROWDED(HINT, BANDS, SITE, AROUND),
  /** Quotations in view together of which one is many times as long as another. */
  UNLIKE(HINT, BANDS, SITE, AROUND),
  /** A portrait that is much higher than the words it belongs to. */
  LARGE_PORTRAIT(HINT, BANDS, SITE, AROUND, LANGUAGE, PICTURES, SCROLLBAR),
  /** An item, or a panel, in which there is nothing. */
  EMPTY(HURTS, Empty::check, BANDS),
  /** Buttons that say the same and lead elsewhere. */
  SAME_WORDS(HINT, SameWords::check, BANDS, BUTTONS),
  /** A picture of which nobody has said what is on it. */
  UNTOLD(BREAKS, Untold::check, BANDS, PICTURES),
  /** What stands side by side and is not equally high. */
  UNEVEN(HINT, UnevenHeights::check, BANDS, SITE, AROUND, LANGUAGE, HEADINGS, PICTURES, SCROLLBAR),
  /** A link to a place on the page that is not there. */
  NOWHERE(BREAKS, Nowhere::check, BANDS, AROUND, ANCHORS),
  /** A place that is called as another is. */
  SAME_ANCHOR(BREAKS, SameAnchor::check, ANCHORS),
  /** A heading with a level missing before it. */
  SKIPPED_LEVEL(HURTS, SkippedLevel::check, HEADINGS),
  /** One item by itself in the last row. */
  LONE_LAST(HINT, LoneLast::check, BANDS, SITE, AROUND, SCROLLBAR),
  /** A text so close to another number of lines that other systems may set it in that. */
  CLOSE(HINT, Close::check, BANDS, SITE, AROUND, LANGUAGE, HEADINGS, PICTURES, SCROLLBAR),
  /** The edge of a section that reaches over what is in its neighbour. */
  EDGE_OVER(HURTS, EdgeOver::check, BANDS, NEIGHBOURS),
  /** A shadow that is cut where its track ends. */
  CUT_SHADOW(HINT, CutShadow::check, BANDS, SITE, AROUND),
  /** CSS of one's own: what it touches is not computed. */
  OWN_CSS(NOTE, Unproved::css),
  /** Code of one's own in the page: what it does is not computed. */
  OWN_CODE(NOTE, Unproved::code),
  /** A value that cannot take effect where it stands. */
  NO_EFFECT(NOTE, NoEffect::check, BANDS, SITE, AROUND, LANGUAGE, NEIGHBOURS);

  /** How it is looked for. */
  @FunctionalInterface
  interface Check {
    /** All that is found of a node, in no order that means anything; nothing on other nodes. */
    List<Snag> of(Looked at);
  }

  private final Severity severity;
  private final @Nullable Check check;
  private final Set<Reads> reads;

  /** One that only some kinds know, and look for themselves. */
  Rule(Severity severity, Reads... reads) {
    this(severity, null, reads);
  }

  Rule(Severity severity, @Nullable Check check, Reads... reads) {
    this.severity = severity;
    this.check = check;
    this.reads = Set.of(reads);
  }

  public Severity severity() {
    return severity;
  }

  /** What it looks at besides the node and what is in it. */
  public Set<Reads> reads() {
    return reads;
  }

  private static List<Snag> onPicture(Looked at) {
    return at.node() instanceof Section section ? OnGround.of(section, at) : of(OVER_PICTURE, at);
  }

  /** What the kind of a piece finds. */
  private static List<Snag> of(Rule rule, Looked at) {
    return at.piece().map(piece -> Judged.of(piece).found(rule, piece, at)).orElse(List.of());
  }

  /** Its name for machines: in lower case, with hyphens. */
  public String word() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** Whether it is of what happens in time. */
  public boolean inTime() {
    return this == HASTY || this == LATE_WORDS || this == BACKWARDS || this == NOBODY;
  }

  List<Snag> check(Looked at) {
    return check != null ? check.of(at) : of(this, at);
  }
}
