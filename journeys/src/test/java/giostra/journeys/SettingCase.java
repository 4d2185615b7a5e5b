package giostra.journeys;

import giostra.core.page.Edit;
import giostra.core.page.NodeType;
import java.util.ArrayList;
import java.util.List;

/**
 * How one setting is changed through the screen, and what comes of it on the live page.
 *
 * @param node id in {@link Subject}
 * @param value as it is typed or picked
 * @param needs what has to be set first for it to take effect
 * @param probe JavaScript whose answer is compared
 * @param expected the answer at 1280, 800 and 390 px; one entry stands for all three
 */
record SettingCase(
    NodeType type,
    String node,
    String setting,
    String value,
    List<Edit> needs,
    String probe,
    List<String> expected) {

  String key() {
    return type.word() + "." + setting;
  }

  boolean byBand() {
    return type.setting(setting).byBand();
  }

  String expectedAt(int width) {
    return expected.size() == 1 ? expected.getFirst() : expected.get(Subject.WIDTHS.indexOf(width));
  }

  @Override
  public String toString() {
    return key();
  }

  private static final String BOX =
      "const box = (s) => document.querySelector(s).getBoundingClientRect();"
          + "const css = (s) => getComputedStyle(document.querySelector(s));"
          + "const all = (s) => [...document.querySelectorAll(s)];"
          + "const round = (x) => Math.round(x * 10) / 10;";

  /** Every case; widths are worked out by hand from docs/engine.md, "Tracks". */
  static List<SettingCase> all() {
    var cases = new ArrayList<SettingCase>();
    cases.addAll(carousel());
    cases.addAll(items());
    cases.addAll(pageAndSite());
    cases.addAll(blocks());
    return cases;
  }

  private static List<SettingCase> carousel() {
    String item = "round(box('.g-item').width)";
    String piece = "round(box('#g-cards').width)";
    Edit peek = need("cards", "peek", "30px");
    Edit half = need("cards", "width", "50%");
    Edit twelve = need("cards", "inView", 12.0);
    Edit down = need("cards", "axis", "down");
    String offset = "round(box('.g-item').left - box('.g-view').left)";
    return List.of(
        of("name", "Night cards", "document.querySelector('#g-cards').ariaLabel", "Night cards"),
        of("card", "quotation", "all('#g-cards blockquote').length", "7"),
        of("comfortFrom", "333px", "", "333"),
        of("comfortTo", "555px", "", "555"),
        of("inView", "2", item, "548", "348", "143"),
        of("gap", "40px", item, "346.7", "213.3", "76.7"),
        of("peek", "30px", item, "339.3", "206", "69.3"),
        of("peekSides", "both", item, "321.3", "188", "51.3").needing(peek),
        of("stride", "view", "all('.g-dot').filter((d) => d.offsetParent).length", "3"),
        of("endless", "on", "document.querySelector('.g-prev').ariaDisabled", "false"),
        of(
            "heights",
            "own",
            "new Set(all('.g-item').map((i) => Math.round(i.offsetHeight))).size > 1",
            "true"),
        of("arrows", "none", "all('.g-prev').length", "0"),
        of("arrowDistance", "30px", "round(box('.g-prev').top - box('.g-view').bottom)", "30"),
        of("marks", "bar", "css('.g-bar').display", "block"),
        of("markDistance", "44px", "css('.g-marks').marginBlockStart", "44px"),
        of("extent", "edge", piece, "1280", "800", "390"),
        of("width", "50%", piece, "560", "360", "155"),
        of("align", "end", "round(box('#g-cards').left)", "640", "400", "195").needing(half),
        of("spaceAbove", "60px", "css('#g-cards').paddingBlockStart", "60px"),
        of("spaceBelow", "70px", "css('#g-cards').paddingBlockEnd", "70px"),
        of("few", "center", offset, "238.3", "155", "69.6").needing(twelve),
        of("stretchFew", "on", item, "139.4", "82.3", "23.7").needing(twelve),
        of("axis", "down", "round(box('.g-item').height)", "144"),
        of("trackHeight", "600px", "round(box('.g-view').height)", "600").needing(down));
  }

  private static List<SettingCase> items() {
    Edit quotation = need("cards", "card", "quotation");
    Edit link = need("item-0", "link", "#there");
    Edit button = need("item-0", "button", "Read on");
    String first = "document.querySelector('[data-item=item-0]')";
    return List.of(
        item("picture", "lamp-walk.jpg", "all('[data-item=item-0] img').length", "1"),
        item(
            "heading",
            "Another heading",
            first + ".querySelector('h3').textContent",
            "Another heading"),
        item("text", "Other words", first + ".querySelector('p').textContent", "Other words"),
        item("name", "Ada Lume", first + ".querySelector('.g-name').textContent", "Ada Lume")
            .needing(quotation),
        item(
                "role",
                "keeper of moths",
                first + ".querySelector('.g-role').textContent",
                "keeper of moths")
            .needing(quotation),
        item("button", "Go in", first + ".querySelector('.g-button').textContent", "Go in")
            .needing(link),
        item("link", "#elsewhere", first + ".querySelector('a').getAttribute('href')", "#elsewhere")
            .needing(button),
        item("hidden", "", "all('.g-item').length", "6"));
  }

  private static List<SettingCase> pageAndSite() {
    String content = "round(box('[data-block=heading]').width)";
    return List.of(
        of(NodeType.PAGE, "page", "title", "Another title", "document.title", "Another title"),
        of(NodeType.PAGE, "page", "language", "de-AT", "document.documentElement.lang", "de-AT"),
        of(NodeType.PAGE, "page", "direction", "rtl", "document.documentElement.dir", "rtl"),
        of(
            NodeType.PAGE,
            "page",
            "description",
            "What it is about",
            "document.querySelector('meta[name=description]')?.content",
            "What it is about"),
        of(
            NodeType.PAGE,
            "page",
            "icon",
            "moonflower.jpg",
            "document.querySelector('link[rel=icon]')?.type",
            "image/jpeg"),
        of(
            NodeType.PAGE,
            "page",
            "sharePicture",
            "moonflower.jpg",
            "all('meta[property=\"og:image\"]').length",
            "2"),
        of(
            NodeType.PAGE,
            "page",
            "address",
            "https://velluta.example/evenings/",
            "document.querySelector('link[rel=canonical]')?.href",
            "https://velluta.example/evenings/"),
        of(
            NodeType.PAGE,
            "page",
            "ownCss",
            ".g-button { letter-spacing: 3px }",
            "css('#g-section .g-button').letterSpacing",
            "3px"),
        of(
            NodeType.SITE,
            "site",
            "ownCss",
            ".g-button { letter-spacing: 5px }",
            "css('#g-section .g-button').letterSpacing",
            "5px"),
        of(
            NodeType.PAGE,
            "page",
            "headCode",
            "<meta name=\"verify\" content=\"page\">",
            "document.head.querySelector('meta[name=verify]')?.content",
            "page"),
        of(
            NodeType.PAGE,
            "page",
            "endCode",
            "<p id=\"page-ends\">Thanks</p>",
            "document.body.lastElementChild.id",
            "page-ends"),
        of(
            NodeType.SITE,
            "site",
            "headCode",
            "<meta name=\"verify\" content=\"site\">",
            "document.head.querySelector('meta[name=verify]')?.content",
            "site"),
        of(
            NodeType.SITE,
            "site",
            "endCode",
            "<p id=\"site-ends\">Thanks</p>",
            "document.body.lastElementChild.id",
            "site-ends"),
        of(NodeType.SITE, "site", "name", "Lume", "document.title", "Lume")
            .needing(need("page", "title", "")),
        // Midnight in Tokyo is nine hours before that of UTC: 2020-01-01 began at 15:00 the day
        // before.
        of(
                NodeType.SITE,
                "site",
                "zone",
                "Asia/Tokyo",
                "document.querySelector('[data-item=item-0]').dataset.show",
                "1577804400000,")
            .needing(need("item-0", "seasonBegins", "2020-01-01")),
        of(NodeType.SITE, "site", "measure", "50%", content, "640", "400", "195"),
        of(NodeType.SITE, "site", "padding", "12%", content, "972.8", "608", "296.4")
            .needing(new Edit.SetValue("section", "padding", "desktop", null)),
        of(
            NodeType.SECTION,
            "section",
            "name",
            "First part",
            "document.querySelector('#g-section').ariaLabel",
            "First part"),
        of(
            NodeType.SECTION,
            "section",
            "tone",
            "dusk",
            "css('#g-section').backgroundColor",
            "rgb(17, 32, 29)"),
        of(
            NodeType.SECTION,
            "section",
            "ground",
            "moonflower.jpg",
            "all('#g-section > .g-ground').length",
            "1"),
        of(
                NodeType.SECTION,
                "section",
                "depth",
                "30",
                "css('#g-section').getPropertyValue('--g-deep')",
                "0.3")
            .needing(new Edit.SetValue("section", "ground", "", "moonflower")),
        of(NodeType.SECTION, "section", "extent", "edge", content, "1280", "800", "390"),
        of(NodeType.SECTION, "section", "padding", "100px", content, "1080", "600", "190"),
        of(
            NodeType.SECTION,
            "section",
            "ownCss",
            ".g-button { letter-spacing: 3px }",
            "css('#g-section .g-button').letterSpacing",
            "3px"),
        of(
            NodeType.SECTION,
            "section",
            "edgeAbove",
            "wave",
            "all('#g-section > .g-edge-above').length",
            "1"),
        of(
                NodeType.SECTION,
                "section",
                "edgeAboveHeight",
                "90px",
                "round(box('#g-section > .g-edge-above').height)",
                "90")
            .needing(new Edit.SetValue("section", "edgeAbove", "desktop", "slope")),
        of(
                NodeType.SECTION,
                "section",
                "edgeAboveMirrored",
                "on",
                "css('#g-section > .g-edge-above').clipPath.split(', ')[1]",
                "0% 0%")
            .needing(new Edit.SetValue("section", "edgeAbove", "desktop", "slope")),
        of(
            NodeType.SECTION,
            "section",
            "edgeBelow",
            "wave",
            "all('#g-section > .g-edge-below').length",
            "1"),
        of(
                NodeType.SECTION,
                "section",
                "edgeBelowHeight",
                "90px",
                "round(box('#g-section > .g-edge-below').height)",
                "90")
            .needing(new Edit.SetValue("section", "edgeBelow", "desktop", "slope")),
        of(
                NodeType.SECTION,
                "section",
                "edgeBelowMirrored",
                "on",
                "css('#g-section > .g-edge-below').clipPath.split(', ')[1]",
                "0% 100%")
            .needing(new Edit.SetValue("section", "edgeBelow", "desktop", "slope")),
        of(
            NodeType.SECTION,
            "section",
            "spaceAbove",
            "120px",
            "css('#g-section').paddingBlockStart",
            "120px"),
        of(
            NodeType.SECTION,
            "section",
            "spaceBelow",
            "130px",
            "css('#g-section').paddingBlockEnd",
            "130px"));
  }

  private static List<SettingCase> blocks() {
    Edit picture = need("picture", "picture", "lamp-walk");
    Edit narrow = need("text", "measure", "50%");
    return List.of(
        of(
            NodeType.HEADING,
            "heading",
            "text",
            "Other words",
            "document.querySelector('#g-heading').textContent",
            "Other words"),
        of(
            NodeType.HEADING,
            "heading",
            "level",
            "4",
            "document.querySelector('#g-heading').tagName",
            "H4"),
        of(NodeType.HEADING, "heading", "align", "center", "css('#g-heading').textAlign", "center"),
        of(
            NodeType.TEXT,
            "text",
            "text",
            "Quite other words",
            "document.querySelector('#g-text').textContent",
            "Quite other words"),
        of(NodeType.TEXT, "text", "align", "end", "round(box('#g-text').left)", "640", "400", "195")
            .needing(narrow),
        of(NodeType.TEXT, "text", "measure", "200px", "round(box('#g-text').width)", "200"),
        of(
            NodeType.PICTURE,
            "picture",
            "picture",
            "lamp-walk.jpg",
            "all('#g-picture img').length",
            "1"),
        of(
                NodeType.PICTURE,
                "picture",
                "alt",
                "Lamps",
                "document.querySelector('#g-picture img').alt",
                "Lamps")
            .needing(picture),
        of(
                NodeType.PICTURE,
                "picture",
                "shape",
                "square",
                "round(box('#g-picture img').width - box('#g-picture img').height)",
                "0")
            .needing(picture),
        of(
            NodeType.BUTTON,
            "button",
            "label",
            "Press here",
            "document.querySelector('#g-button a').textContent",
            "Press here"),
        of(
            NodeType.BUTTON,
            "button",
            "link",
            "#far",
            "document.querySelector('#g-button a').getAttribute('href')",
            "#far"),
        of(NodeType.BUTTON, "button", "align", "end", "css('#g-button').textAlign", "end"),
        // (1120 - 32) x 2/3, and so on: the gap is 32.
        of(
            NodeType.COLUMNS,
            "columns",
            "ratio",
            "2:1",
            "round(box('.g-column').width)",
            "725.3",
            "458.7",
            "185.3"),
        of(
            NodeType.COLUMNS,
            "columns",
            "gap",
            "80px",
            "round(box('.g-column').width)",
            "520",
            "320",
            "115"));
  }

  private static Edit need(String node, String setting, Object value) {
    boolean byBand =
        switch (node) {
          case "cards" -> NodeType.CAROUSEL.setting(setting).byBand();
          case "text" -> NodeType.TEXT.setting(setting).byBand();
          default -> false;
        };
    return new Edit.SetValue(node, setting, byBand ? "desktop" : "", value);
  }

  private static SettingCase of(String setting, String value, String probe, String... expected) {
    return of(NodeType.CAROUSEL, "cards", setting, value, probe, expected);
  }

  private static SettingCase item(String setting, String value, String probe, String... expected) {
    return of(NodeType.ITEM, "item-0", setting, value, probe, expected);
  }

  private static SettingCase of(
      NodeType type, String node, String setting, String value, String probe, String... expected) {
    return new SettingCase(
        type,
        node,
        setting,
        value,
        List.of(),
        "() => {" + BOX + "return " + probe + "}",
        List.of(expected));
  }

  private SettingCase needing(Edit edit) {
    return new SettingCase(type, node, setting, value, List.of(edit), probe, expected);
  }

  /** Whether it is a guide of the bench that is never published. */
  boolean benchOnly() {
    return setting.startsWith("comfort");
  }
}
