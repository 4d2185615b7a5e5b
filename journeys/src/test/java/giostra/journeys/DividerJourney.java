package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Frame;
import com.microsoft.playwright.Page;
import giostra.core.band.Bands;
import giostra.core.look.Values;
import giostra.core.page.Block;
import giostra.core.page.BlockSettings.Side;
import giostra.core.page.Document;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Section;
import giostra.core.page.Site;
import giostra.core.piece.tabs.Tabs;
import giostra.core.piece.tabs.TabsSettings;
import giostra.core.piece.tabs.TabsSettings.HeadsRow;
import giostra.core.piece.tabs.TabsSettings.Overflow;
import giostra.core.testing.InTurn;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/**
 * Dividers between headings of tabs stand after each that is neither the last of its row nor the
 * last of all, however the rows wrap: what the compiler says against the rows that Chromium makes.
 */
@ExtendWith({Giostra.class, Chromium.class})
class DividerJourney {
  private static final List<String> HEADINGS =
      List.of(
          "Cloud",
          "The fern house",
          "Desert by night",
          "Water lilies",
          "Orchids of the upper gallery",
          "Seeds",
          "Visiting");

  @InTurn(23)
  @Test
  void noDividerStandsAtTheEndOfARow(Api api, Chromium.Open chromium) {
    var sections = new ArrayList<Section>();
    for (HeadsRow row : HeadsRow.values()) {
      for (Side align : Side.values()) {
        sections.add(section(row, align));
      }
    }
    var page0 = new giostra.core.page.Page("page", Values.NONE, sections);
    Document document = new Document(new Site(Bands.INITIAL, Values.NONE), page0);
    String address = api.publish(api.newPage(document));
    Page page = chromium.page(new Browser.NewContextOptions().setViewportSize(1980, 860), true);
    Frame frame = Frames.open(page, api, address);
    int wrapped = 0;
    var wrong = new ArrayList<String>();
    List<Integer> widths = Frames.widths(8);
    JsonNode all = Frames.swept(frame, HEADS, widths);
    for (int at = 0; at < widths.size(); at++) {
      for (JsonNode head : all.get(at)) {
        wrapped += head.path("rows").asInt() > 1 ? 1 : 0;
        if (head.path("divided").asBoolean() == head.path("last").asBoolean()) {
          wrong.add(widths.get(at) + ": " + head);
        }
      }
    }
    assertThat(wrapped).as("headings in rows that wrap").isGreaterThan(2000);
    assertThat(wrong).isEmpty();
  }

  private static Section section(HeadsRow row, Side align) {
    String id = "t-" + row.ordinal() + "-" + align.ordinal();
    var items = new ArrayList<Item>();
    for (String heading : HEADINGS) {
      items.add(
          new Item(
              id + "-" + items.size(),
              Values.NONE.with(ItemSettings.HEADING, Values.ALL, heading)));
    }
    Values values =
        Values.NONE
            .with(TabsSettings.FORM, "desktop", TabsSettings.Form.TABS)
            .with(TabsSettings.HEADS_ROW, "desktop", row)
            .with(TabsSettings.HEADS_ALIGN, "desktop", align)
            .with(TabsSettings.OVERFLOW, "desktop", Overflow.WRAP)
            .with(TabsSettings.COLUMNS, "desktop", 4)
            .with(TabsSettings.COLUMNS, "phone", 2)
            .with(TabsSettings.DIVIDERS, "desktop", true);
    Block piece = new Tabs(id, values, items);
    return new Section("s-" + id, Values.NONE, List.of(piece));
  }

  /** Each heading: whether it ends its row, and whether a divider shows after it. */
  private static final String HEADS =
      """
      () => [...document.querySelectorAll('.g-heads')].flatMap((row) => {
        const heads = [...row.children];
        const tops = heads.map((head) => Math.round(head.getBoundingClientRect().top));
        return heads.map((head, i) => ({
          piece: row.closest('[data-piece]').id,
          at: i,
          rows: new Set(tops).size,
          last: i === heads.length - 1 || tops[i + 1] !== tops[i],
          divided: getComputedStyle(head, '::after').display !== 'none',
        }));
      })
      """;
}
