package giostra.journeys;

import com.microsoft.playwright.Frame;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import giostra.server.testing.Api;
import java.net.URI;
import java.util.List;
import java.util.stream.IntStream;
import tools.jackson.databind.JsonNode;

/**
 * Published pages in frames. A frame has a viewport of its own, whose width is set from within: all
 * widths take one question, where a window takes one for each. {@link GeometryJourney} shows that a
 * frame is laid out as a window is.
 */
final class Frames {
  private Frames() {}

  /**
   * An empty page of an address's origin, without the policy of published pages: it may hold
   * frames.
   */
  static void around(Page page, String address) {
    String around = URI.create(address).resolve("/around").toString();
    page.route(
        around,
        route ->
            route.fulfill(
                new Route.FulfillOptions().setContentType("text/html").setBody("<!DOCTYPE html>")));
    page.navigate(around);
    page.unroute(around);
  }

  /** A page in a frame 800 px high, all faces of its fonts loaded. */
  static Frame open(Page page, Api api, String address) {
    around(page, address);
    page.evaluate(
        """
        async (address) => {
          const frame = document.createElement('iframe');
          frame.style.cssText = 'position:fixed;inset:0 auto auto 0;height:800px;border:0;width:1280px';
          document.body.replaceChildren(frame);
          const load = () => new Promise((done) => {
            frame.onload = done;
            frame.src = address;
          });
          await load();
          await Promise.all([...frame.contentDocument.fonts].map((face) => face.load()));
          // With all faces at hand, as for a visitor who has been there before.
          await load();
        }
        """,
        address);
    Frame frame = page.frames().getLast();
    frame.waitForFunction(
        "() => [...document.querySelectorAll('[data-piece]')].every((e) => 'live' in e.dataset)");
    return frame;
  }

  /** What a function answers at each width, a list; it may be asynchronous. */
  static JsonNode swept(Frame frame, String function, List<Integer> widths) {
    return Js.ask(
        frame,
        """
        async (widths) => {
          const measure = %s;
          const found = [];
          for (const width of widths) {
            frameElement.style.width = `${width}px`;
            // The script takes up another band with the next frame, and what it changes with the one after.
            await new Promise(requestAnimationFrame);
            if (found.length === 0) await new Promise(requestAnimationFrame);
            found.push(await measure(width));
          }
          return found;
        }
        """
            .formatted(function),
        widths);
  }

  /** Widths from the narrowest to 1920 px, so many px apart. */
  static List<Integer> widths(int step) {
    return IntStream.iterate(280, width -> width <= 1920, width -> width + step).boxed().toList();
  }

  /** The width of the scrollbar of what is in a frame. */
  static double scrollbar(Frame frame) {
    return Js.ask(frame, "() => innerWidth - document.documentElement.clientWidth", null)
        .asDouble();
  }
}
