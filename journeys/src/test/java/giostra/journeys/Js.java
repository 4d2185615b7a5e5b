package giostra.journeys;

import com.microsoft.playwright.Frame;
import com.microsoft.playwright.Page;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Asks a page something in JavaScript and reads the answer as JSON. */
final class Js {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  private Js() {}

  /** What a function answers; it may be asynchronous. */
  static JsonNode ask(Page page, String function, @Nullable Object argument) {
    return ask(page.mainFrame(), function, argument);
  }

  /** As {@link #ask(Page, String, Object)}, in a frame. */
  static JsonNode ask(Frame frame, String function, @Nullable Object argument) {
    String wrapped = "async (given) => JSON.stringify((await (" + function + ")(given)) ?? null)";
    return JSON.readTree(String.valueOf(frame.evaluate(wrapped, argument)));
  }

  /** A number that a function answers. */
  static double number(Page page, String function, @Nullable Object argument) {
    return ask(page, function, argument).asDouble();
  }

  /** A function that lies in the resources. */
  static String file(String name) {
    try (java.io.InputStream in = Js.class.getResourceAsStream("/giostra/journeys/" + name)) {
      return new String(in.readAllBytes(), java.nio.charset.StandardCharsets.UTF_8);
    } catch (java.io.IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  /** Waits until every carousel of a page rests at the stop that it says it is at. */
  static void rested(Page page) {
    page.waitForFunction(
        """
        () => [...document.querySelectorAll('[data-kind=carousel][data-live]')].every((piece) => {
          const belt = piece.querySelector('.g-belt');
          const band = JSON.parse(piece.dataset.plan).bands
              .find((each) => matchMedia(each.query).matches);
          const stop = Number(piece.style.getPropertyValue('--g-now')) - 1;
          return !belt.style.transform
              && Number(belt.style.getPropertyValue('--g-at')) === band.starts[stop];
        })
        """);
  }
}
