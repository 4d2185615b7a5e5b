package giostra.core.drive;

import giostra.core.band.Band;
import giostra.core.band.Bands;
import giostra.core.fit.Stops;
import giostra.core.layout.Resolution;
import giostra.core.layout.TrackBand;
import giostra.core.layout.TrackLayout;
import giostra.core.page.Document;
import giostra.core.page.DriveSettings;
import giostra.core.page.DriveSettings.Order;
import giostra.core.page.DriveSettings.RestsBy;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.PinSettings;
import giostra.core.page.Tracked;
import giostra.core.tempo.Cycle;
import giostra.core.tempo.Score;
import giostra.core.tempo.Score.Reason;
import giostra.core.tempo.Score.Turns;
import giostra.core.tempo.Trace;
import giostra.core.tempo.Visit;
import giostra.core.value.Change;
import giostra.core.value.Change.Manner;
import giostra.core.value.Changes;
import giostra.core.value.Refused;
import giostra.core.value.Require;
import giostra.core.value.Setting;
import java.time.Duration;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * How a track goes in one band: what each stop rests, how each comes in, and when it moves by
 * itself.
 */
public final class Pacing {
  /** The share of a change after which the first words of a slide come in. */
  public static final double WORDS_AFTER = 0.35;

  /** How many turns a random order has before it begins again; whole rounds of up to six ways. */
  private static final int SHUFFLED = 12;

  private final Document document;
  private final Tracked piece;
  private final TrackBand in;
  private final List<Item> items;

  /** What is known of the time that items take to read. */
  private final Map<Item, Long> read = new IdentityHashMap<>();

  private Pacing(Document document, Tracked piece, TrackBand in) {
    this.document = document;
    this.piece = piece;
    this.in = in;
    List<Item> some = piece.onShow();
    this.items = in.on().stream().map(some::get).toList();
  }

  /** The pacing of a track in a band of its layout. */
  public static Pacing of(Document document, Tracked piece, TrackBand in) {
    return new Pacing(document, piece, in);
  }

  /**
   * The pacing of a piece at a viewport width.
   *
   * @throws Refused for a piece that does not go from stop to stop, or shows no item there
   */
  public static Pacing at(Document document, String piece, double viewportPx) {
    Require.within(Bands.NARROWEST, Bands.WIDEST, "width", viewportPx);
    if (!(document.piece(piece) instanceof Tracked track)) {
      throw new Refused(
          "piece", piece, "a slider or a carousel: others do not go from stop to stop");
    }
    TrackBand band = TrackLayout.of(document, track, 0).at(viewportPx);
    if (band.items() == 0) {
      throw new Refused("piece", piece, "one that shows some item at this width");
    }
    return of(document, track, band);
  }

  /**
   * What it does by itself while somebody is there, until a time in ms; nothing where it is off.
   */
  public List<Trace.Stretch> trace(Visit visit, long until) {
    return movesItself() ? Trace.of(score(), visit, until) : List.of();
  }

  /** How long the first round takes, in ms, whether it moves by itself or not. */
  public long round() {
    return Cycle.of(score()).round();
  }

  /** What it does until the end of the first round when nobody is there. */
  public List<Trace.Stretch> firstRound() {
    long until = value(DriveSettings.STARTS_AFTER).toMillis() + round();
    return trace(Visit.none(), Math.min(Visit.LONGEST, until));
  }

  private <T> T value(Setting<T> setting) {
    return Resolution.value(document, piece, setting, in.band());
  }

  /** The band that it holds in. */
  public Band band() {
    return in.band();
  }

  /** Whether it moves by itself there: it is set to, and there is somewhere to go. */
  public boolean movesItself() {
    return in.moves() && value(DriveSettings.MOVES_ITSELF);
  }

  /** Items that show, in their order. */
  public List<Item> items() {
    return items;
  }

  /** Ms that it takes to read an item. */
  public long reads(Item item) {
    return read.computeIfAbsent(item, each -> Reading.ms(Reading.words(document, piece, each)));
  }

  /** Ms that it takes to read what a stop shows. */
  public long reads(int stop) {
    return shown(stop).stream().mapToLong(this::reads).sum();
  }

  /** The items that a stop shows. */
  public List<Item> shown(int stop) {
    return in.stops().shown(stop).stream().map(items::get).toList();
  }

  /** The item that a stop begins with, whose ways it comes in by. */
  public Item first(int stop) {
    return items.get(in.stops().starts().get(stop));
  }

  /**
   * Ms that a stop rests: the longest that one of its items has of its own; else what the piece
   * says, or what there is to read on all of them, within its bounds.
   */
  public long rests(int stop) {
    long own =
        shown(stop).stream()
            .mapToLong(item -> item.values().get(DriveSettings.OWN_REST).toMillis())
            .max()
            .orElse(0);
    if (own > 0) {
      return own;
    }
    if (value(DriveSettings.RESTS_BY) == RestsBy.TIME) {
      return value(DriveSettings.REST).toMillis();
    }
    long least = value(DriveSettings.REST_LEAST).toMillis();
    long most = value(DriveSettings.REST_MOST).toMillis();
    return Math.min(Math.max(reads(stop), least), Math.max(least, most));
  }

  /** Whether an item rests by what it says. */
  public boolean byReading() {
    return value(DriveSettings.RESTS_BY) == RestsBy.READING;
  }

  /** The ways in which an item comes in. */
  public Changes ways(Item item) {
    Changes own = item.values().get(DriveSettings.OWN_CHANGES);
    return own.ways().isEmpty() ? value(DriveSettings.CHANGES) : own;
  }

  /**
   * Whether an item would be in two places at once in a change of another manner than a move: where
   * neighbouring stops show the same item. Then the track moves.
   */
  public boolean overlaps() {
    Stops stops = in.stops();
    for (int stop = 0; stop < stops.count() && stops.count() > 1; stop++) {
      Set<Integer> here = new HashSet<>(stops.shown(stop));
      here.retainAll(stops.shown((stop + 1) % stops.count()));
      if (!here.isEmpty() && (in.loops() || stop + 1 < stops.count())) {
        return true;
      }
    }
    return false;
  }

  /** How an item really comes in: as is set, or by a move where nothing else is possible. */
  public List<Change> taken(Item item) {
    return ways(item).ways().stream()
        .map(way ->
            overlaps() && way.manner() != Manner.MOVE && way.manner() != Manner.CUT
                ? new Change(Manner.MOVE, way.from(), way.time(), way.easing())
                : way)
        .toList();
  }

  /** In which order so many ways are taken; a random one comes of the id of the piece. */
  public List<Integer> order(int ways) {
    if (ways < 2 || piece.values().get(DriveSettings.CHANGE_ORDER) == Order.IN_TURN) {
      return IntStream.range(0, Math.max(1, ways)).boxed().toList();
    }
    var random = new SplittableRandom(piece.id().hashCode() * 31L + ways);
    var order = new ArrayList<Integer>();
    while (order.size() < SHUFFLED) {
      int next = random.nextInt(ways);
      boolean again = !order.isEmpty() && order.getLast() == next;
      boolean closes = ways > 2 && order.size() + 1 == SHUFFLED && order.getFirst() == next;
      if (!again && !closes) {
        order.add(next);
      }
    }
    return order;
  }

  /** How a stop comes in. */
  public Turns turns(int stop) {
    List<Change> ways = taken(first(stop));
    return new Turns(ways.stream().map(way -> way.time().toMillis()).toList(), order(ways.size()));
  }

  /** What it does by itself, whether it is set to or not: that is what a visitor's hand meets. */
  public Score score() {
    int stops = in.stops().count();
    Set<Reason> held = EnumSet.noneOf(Reason.class);
    value(DriveSettings.HELD_WHILE)
        .forEach(word -> held.add(Reason.valueOf(word.toUpperCase(Locale.ROOT))));
    return new Score(
        IntStream.range(0, stops).mapToObj(this::rests).toList(),
        IntStream.range(0, stops).mapToObj(this::turns).toList(),
        value(DriveSettings.ROUND),
        in.loops(),
        value(DriveSettings.STARTS_AFTER).toMillis(),
        value(DriveSettings.AFTER_HAND),
        held);
  }

  /** How the words of a slide come in. */
  public DriveSettings.Entrance wordsCome() {
    return piece.oneByOne() ? value(DriveSettings.WORDS_COME) : DriveSettings.Entrance.NONE;
  }

  /** Whether something that is pinned to a slide comes in after it. */
  public boolean pinsCome() {
    return items().stream().anyMatch(item -> pinsUntil(item) > 0);
  }

  /** Ms until all that is pinned to an item has come in, from when its slide has begun to. */
  public long pinsUntil(Item item) {
    return pins(item).mapToLong(Coming::until).max().orElse(0);
  }

  /** How long the longest of the ways lasts by which an item may come, in ms. */
  public long change(Item item) {
    return taken(item).stream()
        .map(way -> way.time())
        .mapToLong(Duration::toMillis)
        .max()
        .orElse(0);
  }

  /**
   * Ms until the last words of an item have come in, from when its slide has begun to; 0 for none.
   */
  public long wordsUntil(Item item) {
    return words(item).mapToLong(Coming::until).max().orElse(0);
  }

  /**
   * Something that comes in after its slide.
   *
   * @param of the pin's id; empty for the words of the slide
   * @param from ms from when the slide begins to come in
   * @param until it is there
   */
  public record Coming(String of, long from, long until) {}

  /** What comes in after an item, as it is set: its words, then what is pinned to it. */
  public List<Coming> comings(Item item) {
    return Stream.concat(words(item), pins(item)).toList();
  }

  private Stream<Coming> words(Item item) {
    if (wordsCome() == DriveSettings.Entrance.NONE) {
      return Stream.empty();
    }
    long from = Math.round(change(item) * WORDS_AFTER);
    return Stream.of(new Coming("", from, from + wordsUntil(Reading.parts(piece, item))));
  }

  private Stream<Coming> pins(Item item) {
    return !piece.type().hasPins() || !piece.oneByOne()
        ? Stream.empty()
        : item.pins().stream()
            .filter(pin -> pin.comes() && pin.shows())
            .filter(pin -> Resolution.value(document, pin, ItemSettings.SHOWN, in.band()))
            .map(pin -> {
              long after = pin.values().get(PinSettings.COMES_AFTER).toMillis();
              long takes = pin.values().get(PinSettings.COMES_TAKES).toMillis();
              return new Coming(pin.id(), after, after + takes);
            });
  }

  /** How the pictures under words move while their slide is there. */
  public DriveSettings.GroundMoves groundMoves() {
    return piece.oneByOne() ? value(DriveSettings.GROUND_MOVES) : DriveSettings.GroundMoves.NONE;
  }

  /** By how many percent. */
  public int groundBy() {
    return value(DriveSettings.GROUND_BY);
  }

  /** From one of the words of a slide to the next. */
  public Duration wordsBeat() {
    return value(DriveSettings.WORDS_BEAT);
  }

  /** How long each of them takes to come in. */
  public Duration wordsTake() {
    return value(DriveSettings.WORDS_TAKE);
  }

  /** Ms until the last of so many words of a slide has come in, from when the slide begins to. */
  public long wordsUntil(int parts) {
    return wordsBeat().toMillis() * Math.max(0, parts - 1) + wordsTake().toMillis();
  }

  /** The corner that the pause button stands in. */
  public DriveSettings.Corner pausePlace() {
    return value(DriveSettings.PAUSE_PLACE);
  }
}
