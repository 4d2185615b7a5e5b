package giostra.server.media;

import giostra.core.fit.FontFile;
import giostra.core.fit.OwnFonts;
import giostra.core.layout.PictureSizes;
import giostra.core.media.ClipFacts;
import giostra.core.media.IconSprite;
import giostra.core.output.SharePicture;
import giostra.core.output.Shipped;
import giostra.core.value.Focus;
import giostra.core.value.Refused;
import giostra.core.value.WordsKind;
import giostra.server.site.Ids;
import giostra.server.site.SiteRows;
import giostra.server.web.Gone;
import jakarta.annotation.PreDestroy;
import jakarta.persistence.EntityManager;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.ByteArrayResource;
import org.springframework.core.io.Resource;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.transaction.support.TransactionTemplate;

/** The pictures, clips and captions of sites. */
@Service
public class MediaService {
  private static final int LONGEST_NAME = 200;
  private static final int MOST_TAGS = 2000;

  /** Fonts are known by what is in them, so their ids say it. */
  private static final Pattern FONT_ID = Pattern.compile(".*-([0-9a-f]{16})");

  private final MediaRows rows;
  private final SiteRows sites;
  private final EntityManager entities;
  private final TransactionTemplate transaction;
  private final BlobStore blobs;
  private final Renditions renditions;
  private final Sampling sampling;
  private final Filming filming;
  private final Shares shares;
  private final Clock clock;
  private final OwnFonts.Source fonts;

  MediaService(
      MediaRows rows,
      SiteRows sites,
      BlobStore blobs,
      Renditions renditions,
      Sampling sampling,
      Filming filming,
      Shares shares,
      EntityManager entities,
      PlatformTransactionManager transactions,
      Clock clock) {
    this.rows = rows;
    this.sites = sites;
    this.entities = entities;
    this.transaction = new TransactionTemplate(transactions);
    this.renditions = renditions;
    this.sampling = sampling;
    this.filming = filming;
    this.shares = shares;
    this.blobs = blobs;
    this.clock = clock;
    this.fonts = OwnFonts.from(this::font);
  }

  /** Nothing is asked for fonts any more once the database is gone. */
  @PreDestroy
  void close() {
    fonts.close();
  }

  /** The bytes of a font by its id, whatever site has it: the id ends with the hash. */
  private Optional<byte[]> font(String id) {
    Matcher match = FONT_ID.matcher(id);
    return match.matches()
        ? rows.findFirstByHashStartingWithAndTypeStartingWith(match.group(1), "font/")
            .map(row -> blobs.get(row.hash))
        : Optional.empty();
  }

  /**
   * A picture, clip or caption file as the bench sees it.
   *
   * @param sort what sort of thing it is: a picture, a vector picture, a clip, captions
   * @param alt its text alternative; none is needed where it only decorates
   * @param width in px; 0 for what has none
   * @param durationMs of a clip, or when the last words of captions end; else 0
   * @param path relative to a page that shows it
   * @param focus the point that stays in view where it is cut
   * @param files smaller files that have been made of it, of so many
   * @param address where a picture stands that is not kept here; else empty
   * @param font what a font says of itself; else nothing
   * @param frames of a clip that have been looked at; 0 for none, and for what is no clip
   */
  public record Media(
      String id,
      String name,
      String sort,
      String alt,
      boolean decorative,
      String type,
      int width,
      int height,
      long durationMs,
      List<String> codecs,
      long bytes,
      String path,
      String hash,
      String focus,
      List<String> tags,
      int filesMade,
      int files,
      String address,
      @Nullable Font font,
      int frames) {}

  /**
   * What a font says of itself.
   *
   * @param lightest the least of its weights, 1 to 1000
   * @param heaviest the greatest
   * @param restricted whether it says that it must not be put into documents
   */
  public record Font(
      String family, int lightest, int heaviest, boolean slanted, boolean restricted) {}

  /**
   * Takes a file in. The same bytes on the same site are one.
   *
   * @throws Refused when the bytes are not something that we take
   */
  public Media add(String siteId, String name, String alt, byte[] bytes) {
    return add(siteId, "", name, alt, bytes, MediaFacts::brought);
  }

  /**
   * Takes a file in under the id that it had elsewhere, if that is free on this site. The site is
   * held only once the bytes are read and kept.
   *
   * @throws Refused when the bytes are not something that we take
   */
  public Media add(String siteId, String wanted, String name, String alt, byte[] bytes) {
    return add(siteId, wanted, name, alt, bytes, MediaFacts::read);
  }

  private Media add(
      String siteId,
      String wanted,
      String name,
      String alt,
      byte[] bytes,
      BiFunction<String, byte[], MediaFacts> reads) {
    String called = new WordsKind(LONGEST_NAME, false).read("Name of the file", name);
    String said = new WordsKind(400, false).read("Text alternative", alt);
    if (sites.line(siteId).isEmpty()) {
      throw new Gone("site", siteId);
    }
    MediaFacts facts = reads.apply(called, bytes);
    String hash = blobs.put(facts.bytes());
    Media added =
        Objects.requireNonNull(
            transaction.execute(_ -> added(siteId, wanted, called, said, facts, hash)));
    fontChanged(added);
    return added;
  }

  /**
   * What was measured while it was not there is not as it was: once that is so for everybody, or
   * what was read meanwhile would be kept.
   */
  private static void fontChanged(Media media) {
    if (media.font() == null) {
      return;
    }
    if (!TransactionSynchronizationManager.isSynchronizationActive()) {
      OwnFonts.changed(media.id());
      return;
    }
    TransactionSynchronizationManager.registerSynchronization(
        new TransactionSynchronization() {
          @Override
          public void afterCommit() {
            OwnFonts.changed(media.id());
          }
        });
  }

  private Media added(
      String siteId, String wanted, String called, String said, MediaFacts facts, String hash) {
    sites.held(siteId);
    List<MediaEntity> same = rows.findBySiteIdAndHash(siteId, hash);
    if (!same.isEmpty()) {
      return media(same.getFirst());
    }
    var row = new MediaEntity();
    row.siteId = siteId;
    row.id =
        !wanted.isEmpty()
                && !rows.existsBySiteIdAndId(siteId, wanted)
                && (facts.font() == null || wanted.endsWith("-" + hash.substring(0, 16)))
            ? wanted
            : freeId(siteId, called, facts.type(), hash);
    row.name = called;
    row.alt = said;
    row.createdAt = clock.instant();
    put(row, facts, hash);
    entities.persist(row);
    return media(row);
  }

  private void put(MediaEntity row, MediaFacts facts, String hash) {
    row.hash = hash;
    row.type = facts.type();
    row.width = facts.width();
    row.height = facts.height();
    row.durationMs = facts.durationMs();
    row.codecs = facts.codecs();
    row.bytes = facts.bytes().length;
    row.address =
        facts.type().equals(MediaFacts.REMOTE)
            ? new String(facts.bytes(), StandardCharsets.UTF_8)
            : "";
    FontFile font = facts.font();
    if (font != null) {
      row.family = font.family();
      row.lightest = font.lightest();
      row.heaviest = font.heaviest();
      row.slanted = font.slanted();
      row.restricted = font.restricted();
    }
    renditions.later(row);
  }

  /**
   * Takes a picture in that stands elsewhere: nothing is asked for there, so nothing but its
   * address is known.
   *
   * @throws Refused when it is no address of one
   */
  public Media addRemote(String siteId, String address) {
    String known = MediaFacts.address(address);
    return add(siteId, called(known), "", known.getBytes(StandardCharsets.UTF_8));
  }

  /** The last part of an address, as files are called. */
  private static String called(String address) {
    String path = address.replaceAll("[?#].*", "").replaceAll("/+$", "");
    String last = path.substring(path.lastIndexOf('/') + 1).replaceAll("\\.[A-Za-z0-9]+$", "");
    return last.isBlank() ? "remote.uri" : last + ".uri";
  }

  /** What an icon sprite has, by name, and what is strange about it. */
  @Transactional(readOnly = true)
  public IconSprite sprite(String siteId, String id) {
    MediaEntity row = row(siteId, id);
    if (!row.type.equals(MediaFacts.SPRITE)) {
      throw new Refused("File " + row.name, MediaFacts.sort(row.type), "an icon sprite");
    }
    return IconSprite.read(new String(blobs.get(row.hash), StandardCharsets.UTF_8));
  }

  /**
   * Puts other bytes in the place of those that something has, wherever it is used. It is held only
   * once the bytes are read and kept.
   *
   * @throws Refused when they are another sort of thing
   */
  public Media replace(String siteId, String id, String name, byte[] bytes) {
    String called = new WordsKind(LONGEST_NAME, false).read("Name of the file", name);
    MediaFacts facts = MediaFacts.brought(called, bytes);
    String hash = blobs.put(facts.bytes());
    return Objects.requireNonNull(
        transaction.execute(_ -> {
          MediaEntity row = held(siteId, id);
          String sort = MediaFacts.sort(row.type);
          if (MediaFacts.isFont(row.type) && !row.hash.equals(hash)) {
            throw new Refused(
                "File " + name,
                "another font",
                "added beside " + row.name + ", and chosen where that one is");
          }
          // A picture elsewhere may become a file, and the other way round.
          boolean pictures =
              MediaFacts.isPicture(facts.type())
                  && MediaFacts.isPicture(row.type)
                  && (facts.type().equals(MediaFacts.REMOTE) || row.type.equals(MediaFacts.REMOTE));
          if (!MediaFacts.sort(facts.type()).equals(sort) && !pictures) {
            throw new Refused("File " + name, MediaFacts.sort(facts.type()), sort + ", as before");
          }
          row.name = called;
          put(row, facts, hash);
          return media(row);
        }));
  }

  /**
   * What is said of something.
   *
   * @param alt its text alternative
   * @param focus two percentages
   */
  public record Said(String alt, boolean decorative, String focus, List<String> tags) {}

  /** Says something of it. */
  @Transactional
  public Media say(String siteId, String id, Said said) {
    MediaEntity row = held(siteId, id);
    row.alt = new WordsKind(400, false).read("Text alternative", said.alt());
    row.decorative = said.decorative();
    row.focus = Focus.parse(said.focus()).css();
    row.tags =
        new WordsKind(MOST_TAGS, false)
            .read(
                "Words that it is found by, together",
                said.tags().stream()
                    .map(tag -> tag.strip().replace(",", " "))
                    .filter(tag -> !tag.isEmpty())
                    .distinct()
                    .collect(Collectors.joining(",")));
    return media(row);
  }

  /** Takes it out of the site; its bytes stay, since releases may have them. */
  @Transactional
  public void delete(String siteId, String id) {
    MediaEntity row = held(siteId, id);
    rows.delete(row);
    fontChanged(media(row, 0, 0));
  }

  private MediaEntity row(String siteId, String id) {
    return rows.findBySiteIdAndId(siteId, id).orElseThrow(() -> gone(id));
  }

  private MediaEntity held(String siteId, String id) {
    return rows.hold(siteId, id).orElseThrow(() -> gone(id));
  }

  private static Gone gone(String id) {
    return new Gone("file of the site", id);
  }

  /** The site is held. */
  private String freeId(String siteId, String name, String type, String hash) {
    String base = Ids.word(name.replaceAll("\\.[A-Za-z0-9]+$", ""), "file");
    if (MediaFacts.isFont(type)) {
      return base.substring(0, Math.min(base.length(), 60)) + "-" + hash.substring(0, 16);
    }
    return rows.existsBySiteIdAndId(siteId, base)
        ? Ids.next(
            base + "-" + MediaFacts.extension(type),
            free -> !rows.existsBySiteIdAndId(siteId, free))
        : base;
  }

  /** Gives a site all that another one has, under the same ids. */
  @Transactional
  public void copy(String from, String to) {
    for (MediaEntity each : rows.findBySiteIdOrderByCreatedAt(from)) {
      entities.persist(copied(each, to, each.id));
    }
  }

  private static MediaEntity copied(MediaEntity each, String siteId, String id) {
    var row = new MediaEntity();
    row.siteId = siteId;
    row.id = id;
    row.name = each.name;
    row.alt = each.alt;
    row.hash = each.hash;
    row.type = each.type;
    row.width = each.width;
    row.height = each.height;
    row.bytes = each.bytes;
    row.durationMs = each.durationMs;
    row.codecs = each.codecs;
    row.address = each.address;
    row.decorative = each.decorative;
    row.focus = each.focus;
    row.tags = each.tags;
    row.family = each.family;
    row.lightest = each.lightest;
    row.heaviest = each.heaviest;
    row.slanted = each.slanted;
    row.restricted = each.restricted;
    row.createdAt = each.createdAt;
    return row;
  }

  /**
   * Gives a site what it lacks of these media of another one; of what it has, it keeps what it
   * says. Both sites are held by whoever calls.
   *
   * @return ids that they have there, by those that they have here
   */
  @Transactional
  public Map<String, String> lend(String from, String to, Collection<String> ids) {
    var taken = new HashMap<String, String>();
    for (MediaEntity each : rows.findBySiteIdOrderByCreatedAt(from)) {
      if (ids.contains(each.id)) {
        List<MediaEntity> same = rows.findBySiteIdAndHash(to, each.hash);
        if (same.isEmpty()) {
          MediaEntity row =
              copied(
                  each,
                  to,
                  rows.existsBySiteIdAndId(to, each.id)
                      ? freeId(to, each.name, each.type, each.hash)
                      : each.id);
          row.createdAt = clock.instant();
          entities.persist(row);
          taken.put(each.id, row.id);
        } else {
          taken.put(each.id, same.getFirst().id);
        }
      }
    }
    return taken;
  }

  /** Takes all that a site has out of it; bytes stay. */
  @Transactional
  public void deleteAll(String siteId) {
    rows.deleteAll(rows.findBySiteIdOrderByCreatedAt(siteId));
  }

  /** All media of a site, oldest first. */
  @Transactional(readOnly = true)
  public List<Media> of(String siteId) {
    List<MediaEntity> all = rows.findBySiteIdOrderByCreatedAt(siteId);
    Map<String, Integer> made = renditions.made(all);
    Map<String, FramesEntity> looked = filming.of(clips(all));
    return all.stream()
        .map(row -> {
          FramesEntity frames = looked.get(row.hash);
          return media(row, made.getOrDefault(row.hash, 0), frames == null ? 0 : frames.frames);
        })
        .toList();
  }

  /** A site's media as the compiler looks them up. */
  @Transactional(readOnly = true)
  public Shipped.Media lookup(String siteId) {
    var found = new HashMap<String, MediaEntity>();
    rows.findBySiteIdOrderByCreatedAt(siteId).forEach(row -> found.put(row.id, row));
    return new Lookup(found, blobs);
  }

  /** Equal to another one when what they find is: all that is told of each medium. */
  private static final class Lookup implements Shipped.Media {
    private final Map<String, MediaEntity> byId;
    private final BlobStore blobs;
    private final Map<String, Media> told;

    Lookup(Map<String, MediaEntity> byId, BlobStore blobs) {
      this.byId = byId;
      this.blobs = blobs;
      this.told =
          byId.values().stream()
              .collect(Collectors.toMap(row -> row.id, row -> MediaService.media(row, 0, 0)));
    }

    @Override
    public boolean equals(@Nullable Object other) {
      return other instanceof Lookup that && told.equals(that.told);
    }

    @Override
    public int hashCode() {
      return told.hashCode();
    }

    @Override
    public Optional<Shipped.Picture> find(String id) {
      return Optional.ofNullable(byId.get(id))
          .filter(row -> MediaFacts.isPicture(row.type))
          .map(MediaService::shipped);
    }

    @Override
    public Optional<Shipped.Clip> clip(String id) {
      return row(id, "video/")
          .map(row -> {
            var facts = new ClipFacts(row.type, row.width, row.height, row.durationMs, codecs(row));
            return new Shipped.Clip(
                row.id, path(row), facts.full(), row.width, row.height, row.durationMs);
          });
    }

    @Override
    public Optional<Shipped.CaptionFile> captions(String id) {
      return row(id, "text/vtt").map(row -> new Shipped.CaptionFile(row.id, path(row), text(row)));
    }

    @Override
    public Optional<Shipped.OwnFont> font(String id) {
      return row(id, "font/")
          .map(row ->
              new Shipped.OwnFont(
                  row.id,
                  path(row),
                  new FontFile(
                      row.type,
                      row.family,
                      row.lightest,
                      row.heaviest,
                      row.slanted,
                      row.restricted,
                      0)));
    }

    @Override
    public Optional<IconSprite> sprite(String id) {
      return row(id, MediaFacts.SPRITE).map(row -> IconSprite.read(text(row)));
    }

    private String text(MediaEntity row) {
      return new String(blobs.get(row.hash), StandardCharsets.UTF_8);
    }

    private Optional<MediaEntity> row(String id, String type) {
      return Optional.ofNullable(byId.get(id)).filter(row -> row.type.startsWith(type));
    }
  }

  private static List<String> codecs(MediaEntity row) {
    return row.codecs.isEmpty() ? List.of() : List.of(row.codecs.split(", "));
  }

  private static Shipped.Picture shipped(MediaEntity row) {
    if (!row.address.isEmpty()) {
      return Shipped.Picture.remote(
          row.id, row.address, row.decorative ? "" : row.alt, Focus.parse(row.focus));
    }
    String whole = path(row);
    String start = whole.substring(0, whole.lastIndexOf('.'));
    return new Shipped.Picture(
        row.id,
        whole,
        row.type,
        row.width,
        row.height,
        row.decorative ? "" : row.alt,
        Focus.parse(row.focus),
        Renditions.widths(row).stream()
            .map(width -> new Shipped.Rendition(width, start + "-" + width + ".webp"))
            .toList());
  }

  private static final Pattern PATH =
      Pattern.compile("media/([0-9a-f]{16})(?:-(\\d{1,5}))?\\.([a-z0-9]+)");

  /** One that is cut to a size about a point of it. */
  private static final Pattern SHARED =
      Pattern.compile("media/([0-9a-f]{16})-(\\d{1,4})x(\\d{1,4})at(\\d{1,3})-(\\d{1,3})\\.jpg");

  /**
   * The bytes of a file by the path that a page asks for it: a picture, or one of its sizes. In no
   * transaction of its own: making sizes takes a connection, and two for one request would starve.
   */
  public Resource open(String siteId, String path) {
    var shared = SHARED.matcher(path);
    if (shared.matches()) {
      return shared(byHash(siteId, shared.group(1), path), shared.toMatchResult());
    }
    var match = PATH.matcher(path);
    if (!match.matches()) {
      throw new Gone("picture", path);
    }
    MediaEntity row = byHash(siteId, match.group(1), path);
    boolean whole = match.group(2) == null;
    // A path says what comes: the same bytes under another ending would be another type.
    if (!match.group(3).equals(whole ? MediaFacts.extension(row.type) : "webp")) {
      throw new Gone("picture", path);
    }
    return whole
        ? blobs.open(row.hash)
        : new ByteArrayResource(renditions.get(row, Integer.parseInt(match.group(2))));
  }

  private MediaEntity byHash(String siteId, String hash, String path) {
    return rows.findFirstBySiteIdAndHashStartingWith(siteId, hash)
        .orElseThrow(() -> new Gone("picture", path));
  }

  private Resource shared(MediaEntity row, MatchResult said) {
    int[] numbers = IntStream.rangeClosed(2, 5).map(i -> Integer.parseInt(said.group(i))).toArray();
    if (numbers[2] > 100 || numbers[3] > 100) {
      throw new Gone("picture", said.group());
    }
    var size = new SharePicture.Size(numbers[0], numbers[1]);
    return new ByteArrayResource(shares.get(row, size, new Focus(numbers[2], numbers[3])));
  }

  /** Makes ready what pages ask for by these paths, picture by picture. */
  public void prepare(String siteId, Collection<String> paths) {
    paths.stream()
        .map(PATH::matcher)
        .filter(match -> match.matches() && match.group(2) != null)
        .map(match -> match.group(1))
        .distinct()
        .flatMap(hash -> rows.findFirstBySiteIdAndHashStartingWith(siteId, hash).stream())
        .forEach(renditions::all);
  }

  /** How many bytes it has. */
  public long size(String siteId, String path) {
    try {
      return open(siteId, path).contentLength();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** The same as bytes. */
  public byte[] bytes(String siteId, String path) {
    try {
      return open(siteId, path).getContentAsByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** A site's pictures as the engine measures them, and what is seen on them when it asks. */
  @Transactional(readOnly = true)
  public PictureSizes sizes(String siteId) {
    var found = new HashMap<String, PictureSizes.Size>();
    var pictures = new HashMap<String, Pictured>();
    var untold = new HashSet<String>();
    List<MediaEntity> all = rows.findBySiteIdOrderByCreatedAt(siteId);
    Map<String, FramesEntity> looked = filming.of(clips(all));
    var films = new HashMap<String, Filmed>();
    Map<String, List<PictureSizes.File>> files = renditions.files(all);
    for (MediaEntity row : all) {
      FramesEntity frames = looked.get(row.hash);
      if (frames != null) {
        films.put(row.id, new Filmed(row, frames));
      }
      if (row.width > 0) {
        found.put(row.id, new PictureSizes.Size(row.width, row.height));
        pictures.put(row.id, new Pictured(row));
      } else if (!row.address.isEmpty()) {
        found.put(row.id, PictureSizes.Size.UNKNOWN);
      }
      if (row.alt.isEmpty() && !row.decorative) {
        untold.add(row.id);
      }
    }
    return new Sizes(
        Map.copyOf(found),
        Map.copyOf(pictures),
        Map.copyOf(films),
        Set.copyOf(untold),
        files,
        sampling,
        filming);
  }

  /** A picture as a value: what is in it, and which point of it stays in view. */
  private record Pictured(MediaEntity row) {
    @Override
    public boolean equals(@Nullable Object other) {
      return other instanceof Pictured(MediaEntity that)
          && row.hash.equals(that.hash)
          && row.focus.equals(that.focus);
    }

    @Override
    public int hashCode() {
      return Objects.hash(row.hash, row.focus);
    }
  }

  /** A clip as a value: what is in it, and whether it was looked at. */
  private record Filmed(MediaEntity row, FramesEntity frames) {
    @Override
    public boolean equals(@Nullable Object other) {
      return other instanceof Filmed(_, FramesEntity those)
          && frames.source.equals(those.source)
          && frames.hash.equals(those.hash);
    }

    @Override
    public int hashCode() {
      return Objects.hash(frames.source, frames.hash);
    }
  }

  /** Sizes as a value: equal when all of them are. */
  private record Sizes(
      Map<String, PictureSizes.Size> byId,
      Map<String, Pictured> pictures,
      Map<String, Filmed> films,
      Set<String> untold,
      Map<String, List<File>> files,
      Sampling sampling,
      Filming filming)
      implements PictureSizes {
    @Override
    public Optional<Size> find(String id) {
      return Optional.ofNullable(byId.get(id));
    }

    @Override
    public Optional<Film> film(String id) {
      return Optional.ofNullable(films.get(id))
          .flatMap(each -> filming.film(each.row(), each.frames()));
    }

    @Override
    public List<File> files(String id) {
      return files.getOrDefault(id, List.of());
    }

    @Override
    public boolean untold(String id) {
      return untold.contains(id);
    }

    @Override
    public Optional<Seen> seen(String id) {
      return Optional.ofNullable(pictures.get(id))
          .flatMap(picture ->
              sampling
                  .of(picture.row())
                  .map(samples -> new Seen(samples, Focus.parse(picture.row().focus))));
    }
  }

  /**
   * A file with its type, to be read in part.
   *
   * @param address where a picture stands that is not kept here; else empty
   */
  public record File(String type, String hash, Resource bytes, String address) {}

  /** The file of something. */
  @Transactional(readOnly = true)
  public File file(String siteId, String id) {
    MediaEntity row = row(siteId, id);
    return new File(row.type, row.hash, blobs.open(row.hash), row.address);
  }

  private static List<MediaEntity> clips(List<MediaEntity> all) {
    return all.stream().filter(row -> row.type.startsWith("video/")).toList();
  }

  /** Takes some frames of a clip in, see {@link Filming#take}. */
  public Media frames(String siteId, String id, int frames, byte[] png) {
    MediaEntity row = row(siteId, id);
    if (!row.type.startsWith("video/")) {
      throw new Refused("Frames of " + row.name, MediaFacts.sort(row.type), "of a clip");
    }
    filming.take(row, frames, png);
    return media(row);
  }

  private Media media(MediaEntity row) {
    FramesEntity frames = filming.of(List.of(row)).get(row.hash);
    return media(
        row,
        renditions.made(List.of(row)).getOrDefault(row.hash, 0),
        frames == null ? 0 : frames.frames);
  }

  private static Media media(MediaEntity row, int made, int frames) {
    int files = Renditions.widths(row).size();
    return new Media(
        row.id,
        row.name,
        MediaFacts.sort(row.type),
        row.alt,
        row.decorative,
        row.type,
        row.width,
        row.height,
        row.durationMs,
        codecs(row),
        row.bytes,
        path(row),
        row.hash,
        row.focus,
        row.tags.isEmpty() ? List.of() : List.of(row.tags.split(",")),
        Math.min(made, files),
        files,
        row.address,
        MediaFacts.isFont(row.type)
            ? new Font(row.family, row.lightest, row.heaviest, row.slanted, row.restricted)
            : null,
        frames);
  }

  private static String path(MediaEntity row) {
    return "media/" + row.hash.substring(0, 16) + "." + MediaFacts.extension(row.type);
  }
}
