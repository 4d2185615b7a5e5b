package giostra.server.together;

import java.io.IOException;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * What one window is told of its page, as server-sent events. Each has a thread of its own, which
 * costs little, so that one that reads slowly holds up no other; one that reads nothing is ended.
 * Only that thread touches the emitter, whose every method waits for what is being sent.
 */
final class Stream {
  /** Long enough to be no burden, short enough that who may not listen any more soon does not. */
  private static final long LASTS_NANOS = TimeUnit.MINUTES.toNanos(10);

  private static final int WAITING = 64;
  private static final int PING_SECONDS = 15;

  private final SseEmitter emitter = new SseEmitter(0L);
  private final BlockingQueue<Said> waiting = new ArrayBlockingQueue<>(WAITING);
  private final String site;
  private final String page;
  private volatile boolean ended;

  /**
   * Something to be told.
   *
   * @param kind what happened
   */
  private record Said(String kind, Object told) {}

  Stream(String site, String page) {
    this.site = site;
    this.page = page;
  }

  String site() {
    return site;
  }

  String page() {
    return page;
  }

  SseEmitter emitter() {
    return emitter;
  }

  /** What is done when nobody listens any more. */
  void onEnd(Runnable then) {
    emitter.onCompletion(() -> {
      end();
      then.run();
    });
    emitter.onError(_ -> end());
  }

  void start() {
    Thread.ofVirtual().name("stream " + page).start(this::write);
  }

  /** Never waits. */
  void tell(String kind, Object told) {
    if (!waiting.offer(new Said(kind, told))) {
      end();
    }
  }

  /** Never waits: it is over as soon as what is being sent is through, or fails. */
  void end() {
    ended = true;
    waiting.clear();
    // It may be waiting for something to send.
    waiting.offer(new Said("", ""));
  }

  private void write() {
    long until = System.nanoTime() + LASTS_NANOS;
    try {
      // The first sign says that it listens.
      emitter.send(SseEmitter.event().comment("here"));
      while (!ended && System.nanoTime() < until) {
        @Nullable Said next = waiting.poll(PING_SECONDS, TimeUnit.SECONDS);
        if (!ended) {
          emitter.send(
              next == null
                  ? SseEmitter.event().comment("still here")
                  : SseEmitter.event()
                      .name(next.kind())
                      .data(next.told(), MediaType.APPLICATION_JSON));
        }
      }
    } catch (IOException | IllegalStateException e) {
      // Whoever listened has gone.
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    } finally {
      emitter.complete();
    }
  }
}
