package giostra.server.web;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.servlet.ServletException;
import java.io.IOException;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.locks.LockSupport;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockFilterChain;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;

class TurnstileTest {
  private final AtomicInteger waiting = new AtomicInteger();
  private final AtomicBoolean empty = new AtomicBoolean();
  private final AtomicBoolean reached = new AtomicBoolean();
  private final AtomicInteger asked = new AtomicInteger();
  private final AtomicInteger slow = new AtomicInteger();
  private final Turnstile turnstile =
      new Turnstile(
          waiting::get,
          empty::get,
          () -> {
            asked.incrementAndGet();
            LockSupport.parkNanos(slow.get() * 1_000_000L);
            return reached.get();
          });

  private MockHttpServletResponse come(String path) throws ServletException, IOException {
    var response = new MockHttpServletResponse();
    turnstile.doFilter(new MockHttpServletRequest("POST", path), response, new MockFilterChain());
    return response;
  }

  private static void isLater(MockHttpServletResponse answer, String why) throws IOException {
    assertThat(answer.getStatus()).isEqualTo(503);
    assertThat(answer.getHeader("Retry-After")).isEqualTo("2");
    assertThat(answer.getContentType()).isEqualTo("application/problem+json");
    assertThat(answer.getContentAsString()).contains(why).contains("Nothing was changed");
  }

  @Test
  void whoeverComesToAFullQueueIsToldWhenToComeBack() throws Exception {
    waiting.set(Turnstile.LONGEST_QUEUE - 1);
    assertThat(come("/api/pages/x/edits").getStatus()).isEqualTo(200);
    waiting.set(Turnstile.LONGEST_QUEUE);
    isLater(come("/api/pages/x/edits"), "Many ask at once");
    // What needs no database is not in the queue.
    assertThat(come("/assets/bench.js").getStatus()).isEqualTo(200);
    assertThat(come("/livez").getStatus()).isEqualTo(200);
    assertThat(asked).hasValue(0);
  }

  @Test
  void aPageThatIsAskedForAsksAgainByItself() throws Exception {
    waiting.set(Turnstile.LONGEST_QUEUE);
    var request = new MockHttpServletRequest("GET", "/api/pages/x/preview/");
    request.addHeader("Accept", "text/html,*/*;q=0.8");
    var response = new MockHttpServletResponse();
    turnstile.doFilter(request, response, new MockFilterChain());
    assertThat(response.getStatus()).isEqualTo(503);
    assertThat(response.getContentType()).isEqualTo("text/html;charset=UTF-8");
    assertThat(response.getContentAsString())
        .contains("Many ask at once.")
        .contains("<meta http-equiv=\"refresh\" content=\"2\">");
  }

  @Test
  void aDatabaseThatIsAwayIsSaidAtOnceAndLookedForNowAndThen() throws Exception {
    empty.set(true);
    slow.set(100);
    for (int i = 0; i < 20; i++) {
      isLater(come("/api/pages/x/edits"), "The database cannot be reached");
    }
    assertThat(asked.get()).as("what takes long to find holds as long").isBetween(1, 19);
    reached.set(true);
    long end = System.nanoTime() + 10_000_000_000L;
    while (come("/api/pages/x").getStatus() != 200 && System.nanoTime() < end) {
      Thread.onSpinWait();
    }
    assertThat(come("/api/pages/x").getStatus()).isEqualTo(200);
  }
}
