package giostra.server.delivery;

import giostra.core.value.Refused;
import giostra.server.page.PageService;
import giostra.server.release.ReleaseService;
import giostra.server.site.Ids;
import giostra.server.site.SiteRows;
import giostra.server.web.Gone;
import jakarta.annotation.PreDestroy;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.IntSupplier;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Sends releases to the places that a site has, one after the other, in the background. What is to
 * be sent is in the database: a server that is stopped in the middle, or another one, goes on with
 * it. What fails and may pass is tried again, later each time.
 */
@Service
public class DeliveryService {
  private static final Logger LOG = LoggerFactory.getLogger(DeliveryService.class);

  /** Ours, no source. */
  private static final int MOST = 20;

  /** Whoever has not said for so long that it is at it has been stopped on the way. */
  private static final Duration STALE = Duration.ofSeconds(30);

  private static final Duration FIRST_PAUSE = Duration.ofSeconds(4);
  private static final Duration LONGEST_PAUSE = Duration.ofMinutes(15);

  /** With pauses that double that is four hours. */
  private static final int MOST_TRIES = 24;

  private final DestinationRows destinations;
  private final DeliveryRows deliveries;
  private final Stores stores;
  private final ReleaseService releases;
  private final PageService pages;
  private final SiteRows sites;
  private final EntityManager entities;
  private final TransactionTemplate transaction;
  private final Clock clock;
  private final ExecutorService worker =
      Executors.newSingleThreadExecutor(Thread.ofPlatform().name("deliveries").daemon().factory());
  private final AtomicBoolean busy = new AtomicBoolean();

  /** The claim of what is being sent; empty for nothing. */
  private volatile String inHand = "";

  DeliveryService(
      DestinationRows destinations,
      DeliveryRows deliveries,
      Stores stores,
      ReleaseService releases,
      PageService pages,
      SiteRows sites,
      EntityManager entities,
      PlatformTransactionManager transactions,
      Clock clock) {
    this.destinations = destinations;
    this.deliveries = deliveries;
    this.stores = stores;
    this.releases = releases;
    this.pages = pages;
    this.sites = sites;
    this.entities = entities;
    this.transaction = new TransactionTemplate(transactions);
    this.clock = clock;
  }

  /**
   * What of a page is there, or on its way.
   *
   * @param release that it is about
   * @param state waits, sends, done or failed
   * @param there the release that is there whole; 0 where none is
   * @param problem what kept it, the last time; empty for nothing
   * @param again when it is tried again, where it failed and is
   */
  record DeliveryLine(
      int release,
      String state,
      int sent,
      int files,
      long bytes,
      int tries,
      int there,
      String problem,
      @Nullable Instant again,
      @Nullable Instant ended) {}

  /**
   * A place of a site. Its secret is told to nobody.
   *
   * @param path of the page in it
   */
  record DestinationLine(
      String id,
      String name,
      String sort,
      String address,
      String place,
      String path,
      String account,
      boolean follows,
      @Nullable DeliveryLine delivery) {}

  /** The places of a page's site, with what is there of the page. */
  List<DestinationLine> of(String pageId) {
    PageService.Place page = pages.place(pageId);
    Map<String, DeliveryEntity> sent = new HashMap<>();
    deliveries.findByPageId(pageId).forEach(each -> sent.put(each.destinationId, each));
    return destinations.findBySiteIdOrderByMadeAtAscIdAsc(page.siteId()).stream()
        .map(to -> line(to, page, sent.get(to.id)))
        .toList();
  }

  private static DestinationLine line(
      DestinationEntity to, PageService.Place page, @Nullable DeliveryEntity sent) {
    return new DestinationLine(
        to.id,
        to.name,
        Stores.word(to.sort),
        to.address,
        to.place,
        folder(to, page),
        to.account,
        to.follows,
        sent == null ? null : line(sent));
  }

  private static DeliveryLine line(DeliveryEntity sent) {
    boolean again =
        sent.state == DeliveryEntity.State.SENDS
            && !sent.problem.isEmpty()
            && sent.claimedAt == null;
    return new DeliveryLine(
        sent.release,
        sent.state.name().toLowerCase(Locale.ROOT),
        sent.sent,
        sent.files,
        sent.bytes,
        sent.tries,
        sent.there == null ? 0 : sent.there,
        sent.problem,
        again ? sent.dueAt : null,
        sent.endedAt);
  }

  private static String folder(DestinationEntity to, PageService.Place page) {
    return to.folder + page.slug() + "/";
  }

  /**
   * Notes a place. What is live goes there when it is asked for, or when there is another release.
   *
   * @throws Refused for what cannot be one, or is one too many
   */
  void add(String siteId, Stores.DestinationAsked asked) {
    DestinationEntity made = stores.read(asked);
    made.id = Ids.chance();
    made.siteId = siteId;
    transaction.executeWithoutResult(_ -> {
      if (sites.line(siteId).isEmpty()) {
        throw new Gone("site", siteId);
      }
      sites.held(siteId);
      if (destinations.countBySiteId(siteId) >= MOST) {
        throw new Refused("Places of a site", Integer.toString(MOST + 1), "at most " + MOST);
      }
      made.madeAt = clock.instant();
      entities.persist(made);
    });
  }

  /** Says whether each release goes there by itself. */
  void follow(String siteId, String id, boolean follows) {
    if (one(() -> destinations.follow(id, siteId, follows)) == 0) {
      throw new Gone("place", id);
    }
  }

  /** Forgets a place; what is there stays there. */
  void drop(String siteId, String id) {
    if (one(() -> destinations.drop(id, siteId)) == 0) {
      throw new Gone("place", id);
    }
  }

  private int one(IntSupplier change) {
    return Objects.requireNonNull(transaction.execute(_ -> change.getAsInt()));
  }

  /**
   * Sends the release of a page that is live.
   *
   * @throws Refused where none is
   */
  List<DestinationLine> send(String pageId, String destinationId) {
    PageService.Place page = pages.place(pageId);
    DestinationEntity to =
        destinations
            .findByIdAndSiteId(destinationId, page.siteId())
            .orElseThrow(() -> new Gone("place", destinationId));
    int release =
        releases
            .live(pageId)
            .map(ReleaseService.Line::number)
            .orElseThrow(
                () -> new Refused("Page", "that has no release", "one that has been published"));
    deliveries.ask(to.id, pageId, release, clock.instant());
    goOn();
    return of(pageId);
  }

  /**
   * Another release is live: it goes wherever each one goes. That is noted with its being live, or
   * neither is.
   */
  @EventListener
  void live(ReleaseService.WentLive live) {
    String site = pages.place(live.page()).siteId();
    for (DestinationEntity to : destinations.findBySiteIdOrderByMadeAtAscIdAsc(site)) {
      if (to.follows) {
        deliveries.ask(to.id, live.page(), live.number(), clock.instant());
      }
    }
  }

  /** Goes on with what is due, also with what another server was stopped at. */
  @Scheduled(fixedDelayString = "${giostra.deliveries.every:2s}")
  void goOn() {
    String claim = inHand;
    if (!claim.isEmpty()) {
      deliveries.renew(claim, clock.instant());
    }
    if (busy.compareAndSet(false, true)) {
      try {
        worker.execute(() -> {
          try {
            sendDue();
          } catch (RuntimeException e) {
            LOG.warn("deliveries wait", e);
          } finally {
            busy.set(false);
          }
        });
      } catch (RejectedExecutionException e) {
        // The server stops; another one, or this one later, goes on.
        busy.set(false);
      }
    }
  }

  @PreDestroy
  void close() throws InterruptedException {
    worker.shutdownNow();
    // What is in hand is given back, so that whoever goes on need not wait.
    worker.awaitTermination(5, TimeUnit.SECONDS);
  }

  private void sendDue() {
    Instant now = clock.instant();
    for (DeliveryEntity due : deliveries.due(now, now.minus(STALE))) {
      try {
        send(due);
      } catch (RuntimeException e) {
        // The others are sent all the same.
        LOG.warn("cannot send {} to {}", due.pageId, due.destinationId, e);
      } finally {
        inHand = "";
      }
    }
  }

  private void send(DeliveryEntity due) {
    DestinationEntity to = destinations.findById(due.destinationId).orElse(null);
    Instant now = clock.instant();
    String claim = Ids.chance();
    if (to == null
        || deliveries.claim(to.id, due.pageId, due.turn, claim, now, now.minus(STALE)) == 0) {
      return;
    }
    inHand = claim;
    try {
      if (sent(to, due, claim)) {
        deliveries.done(claim, due.turn, clock.instant());
      }
    } catch (Trouble e) {
      failed(due, claim, String.valueOf(e.getMessage()), e.isPassing());
    } catch (RuntimeException e) {
      LOG.warn("cannot send {} to {}", due.pageId, to.id, e);
      failed(due, claim, "This server could not; its log says why.", true);
    } finally {
      deliveries.release(claim);
    }
  }

  /** Whether all of it is there; not where something else is to go there by now. */
  private boolean sent(DestinationEntity to, DeliveryEntity due, String claim) throws Trouble {
    List<ReleaseService.Kept> files = releases.kept(due.pageId, due.release);
    deliveries.begun(
        claim, files.size(), files.stream().mapToLong(ReleaseService.Kept::bytes).sum());
    String folder = folder(to, pages.place(due.pageId));
    var there = new int[1];
    try (Store store = stores.open(to)) {
      boolean whole =
          new Sending(store, folder)
              .send(
                  due.pageId,
                  due.release,
                  files,
                  n -> there[0] = n,
                  () ->
                      !Thread.currentThread().isInterrupted()
                          && deliveries.tell(claim, due.turn, there[0], clock.instant()) == 1);
      return whole && deliveries.tell(claim, due.turn, files.size(), clock.instant()) == 1;
    }
  }

  private void failed(DeliveryEntity due, String claim, String problem, boolean passing) {
    int tries = due.tries + 1;
    boolean again = passing && tries < MOST_TRIES;
    Duration pause = FIRST_PAUSE.multipliedBy(1L << Math.min(tries - 1, 10));
    Instant now = clock.instant();
    deliveries.failed(
        claim,
        due.turn,
        again ? DeliveryEntity.State.SENDS : DeliveryEntity.State.FAILED,
        problem,
        now.plus(pause.compareTo(LONGEST_PAUSE) > 0 ? LONGEST_PAUSE : pause),
        now);
  }
}
