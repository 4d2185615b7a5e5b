package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Page;
import giostra.core.testing.InTurn;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/**
 * The page script under a clock that the journey holds: what moves is where its rule says at each
 * picture, whatever time it really is.
 */
@ExtendWith({Giostra.class, Chromium.class})
class ClockJourney {
  /** Ms between two pictures, as on a screen of some 60 a second. */
  private static final double FRAME = 16;

  /** As {@code runtime/src/glide.ts} has it, per ms. */
  private static final double STIFFNESS = 0.0145;

  /**
   * Starts a fresh copy of a carousel under a clock of our own and tells where it is at each
   * picture.
   */
  private static final String GLIDE =
      """
      () => {
        let now = 0;
        let waiting = [];
        window.giostra.clock = {
          now: () => now,
          frame(draw) {
            waiting.push(draw);
            return () => { waiting = waiting.filter((each) => each !== draw); };
          },
          after: () => () => {},
        };
        const old = document.querySelector('[data-piece=words]');
        old.giostra.stop();
        const root = old.cloneNode(true);
        root.removeAttribute('data-live');
        old.replaceWith(root);
        document.dispatchEvent(new Event('giostra:start'));
        const belt = root.querySelector('.g-belt');
        const [first, second] = belt.children;
        const stride = second.getBoundingClientRect().left - first.getBoundingClientRect().left;
        root.giostra.next();
        const places = [];
        for (let frame = 0; frame < 200 && waiting.length; frame++) {
          const drawn = waiting;
          waiting = [];
          for (const draw of drawn) draw(now);
          now += 16;
          places.push(/translateX\\((.+)px\\)/.exec(belt.style.transform)?.[1] ?? 'rest');
        }
        return { stride, places, at: belt.style.getPropertyValue('--g-at'), left: waiting.length };
      }
      """;

  /**
   * Source: the closed form of a critically damped spring, (far + (speed + k far) t) exp(-k t), as
   * any textbook of mechanics has it.
   */
  @InTurn(12)
  @Test
  void aTrackGlidesAsACriticallyDampedSpringPictureByPicture(Api api, Chromium.Open chromium) {
    Page page = chromium.page(1280, 900);
    page.navigate(api.at(Api.LIVE_DEMO));
    page.waitForSelector("[data-piece=words][data-live]");
    JsonNode seen = Js.ask(page, GLIDE, List.of());
    double stride = seen.path("stride").asDouble();
    assertThat(stride).isGreaterThan(200);
    List<String> places = new ArrayList<>();
    seen.path("places").forEach(each -> places.add(each.asString()));
    assertThat(places).hasSizeBetween(20, 76).endsWith("rest");
    assertThat(seen.path("at").asString()).isEqualTo("1");
    assertThat(seen.path("left").asInt()).as("nothing goes on at rest").isZero();
    double before = 0;
    for (int i = 0; i < places.size() - 1; i++) {
      double t = i * FRAME;
      double left = -stride * (1 + STIFFNESS * t) * Math.exp(-STIFFNESS * t);
      double place = -Double.parseDouble(places.get(i));
      assertThat(place).as("at %.0f ms", t).isCloseTo(stride + left, within(0.02));
      assertThat(place).as("it never goes back").isGreaterThanOrEqualTo(before);
      before = place;
    }
    assertThat(stride - before).as("what is left when it comes to rest").isLessThan(0.6);
  }
}
