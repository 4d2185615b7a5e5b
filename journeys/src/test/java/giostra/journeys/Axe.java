package giostra.journeys;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Page;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import tools.jackson.databind.JsonNode;

/**
 * axe-core on a page: its rules for WCAG 2.2 AA and best practices. Only violations are gathered:
 * what passes would be a hundred times as much, and take as long again.
 */
final class Axe {
  private static final String SCRIPT = script();

  private static final String RUN =
      """
      async ([within, colours, without]) => {
        const found = await axe.run(
            { include: [[within]], exclude: without.map((selector) => [selector]) }, {
          runOnly: colours
              ? { type: 'rule', values: ['color-contrast', 'link-in-text-block'] }
              : ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'],
          resultTypes: ['violations'],
          // Of WCAG 2.2, and not asked of its own.
          rules: colours ? {} : { 'target-size': { enabled: true } },
        });
        return found.violations.map(({ id, help, nodes }) =>
            `${id}: ${help} at ${nodes.slice(0, 3).map(({ target, html }) => target + ' ' + html)}`);
      }
      """;

  private Axe() {}

  private static String script() {
    try (InputStream in = AxeBuilder.class.getResourceAsStream("/axe.min.js")) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** What is wrong with a page, but for what lies in elements of these selectors. */
  static List<String> found(Page page, String... without) {
    return run(page, "html", false, without);
  }

  /** What is wrong within an element, but for what lies in elements of these selectors. */
  static List<String> within(Page page, String selector, String... without) {
    return run(page, selector, false, without);
  }

  /** What is wrong with colours alone: for the same elements once more in other colours. */
  static List<String> colours(Page page, String selector, String... without) {
    return run(page, selector, true, without);
  }

  /** The pieces in which something is too small and too close to others: WCAG 2.2, 2.5.8. */
  static JsonNode tooSmall(Page page) {
    ready(page);
    return Js.ask(
        page,
        """
        async () => {
          const { violations } = await axe.run(document, {
            runOnly: { type: 'rule', values: ['target-size'] },
          });
          return violations.flatMap(({ nodes }) => nodes).map(({ target }) =>
              document.querySelector(target[0]).closest('[data-piece]').dataset.piece);
        }
        """,
        null);
  }

  /**
   * Every contrast that axe reads, whether it is enough or not: the colours that it saw, the ratio,
   * what it asks; and where, as a script says of an element.
   *
   * @param where a function from an element to what names it, null for what does not matter
   */
  static JsonNode contrasts(Page page, String where) {
    ready(page);
    return Js.ask(
        page,
        """
        async () => {
          const where = %s;
          const { passes, violations } = await axe.run(document, {
            runOnly: { type: 'rule', values: ['color-contrast'] },
          });
          return [...passes, ...violations].flatMap(({ nodes }) => nodes).flatMap((node) => {
            const name = where(document.querySelector(node.target[0]));
            const data = node.any[0]?.data;
            return name && data?.contrastRatio ? [{
              name,
              ratio: data.contrastRatio,
              asked: Number.parseFloat(data.expectedContrastRatio),
              ink: data.fgColor,
              ground: data.bgColor,
            }] : [];
          });
        }
        """
            .formatted(where),
        null);
  }

  private static void ready(Page page) {
    if (!Boolean.TRUE.equals(page.evaluate("() => typeof axe === 'object'"))) {
      page.evaluate(SCRIPT);
    }
  }

  private static List<String> run(Page page, String within, boolean colours, String... without) {
    ready(page);
    var all = new ArrayList<String>();
    for (JsonNode each : Js.ask(page, RUN, List.of(within, colours, List.of(without)))) {
      all.add(each.asString());
    }
    return all;
  }
}
