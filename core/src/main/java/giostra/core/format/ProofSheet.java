package giostra.core.format;

import giostra.core.band.Band;
import giostra.core.band.Bands;
import giostra.core.look.State;
import giostra.core.output.Html;
import giostra.core.page.Document;
import giostra.core.page.Fields;
import giostra.core.page.PageSettings;
import giostra.core.page.SiteSettings;
import giostra.core.snag.Extent;
import giostra.core.snag.Leaves;
import giostra.core.snag.Proved;
import giostra.core.snag.Rule;
import giostra.core.snag.Severity;
import giostra.core.snag.Snag;
import giostra.core.snag.Snags;
import giostra.core.value.PickKind;
import giostra.core.value.Require;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * What was checked on a page, to print or to send: how far, by which rules, what was found, what is
 * left as it is and why, and of which files of a release all that is said. One file of HTML that
 * loads nothing.
 */
public final class ProofSheet {
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.ENGLISH);
  private static final DateTimeFormatter MINUTE =
      DateTimeFormatter.ofPattern("d MMMM yyyy, HH:mm", Locale.ENGLISH);

  private static final String STYLE =
      """
      @page{size:A4;margin:16mm}
      *{box-sizing:border-box}
      body{margin:0 auto;max-width:62rem;padding:2.5rem 2rem 4rem;font:15px/1.55 "Source Sans 3","Segoe UI",system-ui,sans-serif;color:#1c2b27;background:#fffdf6;word-wrap:break-word;overflow-wrap:anywhere}
      h1,h2{font-family:Fraunces,Georgia,serif;font-weight:500;line-height:1.15;margin:0}
      h1{font-size:2.2rem}h2{font-size:1.3rem;margin:2.4rem 0 .6rem}
      p{margin:.4rem 0}.soft,small{color:#5c6a64}
      dl{margin:1.6rem 0 0;padding:1rem 0;border-top:1px solid #d9d2bf;border-bottom:1px solid #d9d2bf}
      dl>div{display:inline-block;vertical-align:top;width:32%;padding:.3rem 1rem .3rem 0}
      dt{color:#5c6a64;font-size:.85rem}dd{margin:0;font-size:1.25rem}
      table{border-collapse:collapse;width:100%}
      th,td{text-align:left;vertical-align:top;padding:.45rem .8rem .45rem 0;border-bottom:1px solid #d9d2bf}
      th{font-weight:600}thead th{color:#5c6a64;font-size:.85rem}
      .breaks{color:#8a2b1e}.hurts{color:#8a5510}.hint{color:#4c6a60}
      .word{font-weight:600;white-space:nowrap}
      .strip{position:relative;height:12px;margin-top:.3rem}
      .strip *{position:absolute;top:0;height:12px;width:1px;background-color:#5c6a64}
      .strip .line{top:6px;left:0;height:1px;width:100%;background-color:#d9d2bf}
      .strip .on{top:2px;height:8px;background-color:#4c6a60}
      .strip .on.breaks{background-color:#8a2b1e}.strip .on.hurts{background-color:#8a5510}
      ul{margin:.6rem 0;padding:0;list-style:none}
      li{display:inline-block;vertical-align:top;width:32%;padding:.15rem 1rem .15rem 0}
      code{font-size:.8rem}
      .n{white-space:nowrap}
      @media screen and (max-width:40rem){dl>div,li{width:100%}}
      @media print{li{display:list-item;width:auto;padding:0}body{padding:0;max-width:none;font-size:10.5pt;background:none}tr,dl{page-break-inside:avoid}h2{page-break-after:avoid}}
      """;

  private static final String OTHER =
      "The page that these files hold is not quite what would be published of it today: what is kept"
          + " on the site, or the program, is another since. What is said here is of today’s.";

  /**
   * A file of a release.
   *
   * @param sha256 in hexadecimal digits
   */
  public record File(String path, long bytes, String sha256) {}

  /**
   * A release: its number, when it was made, what is in it.
   *
   * @param same whether its page is what would come of its document now: if not, what is found now
   *     is not said of its files
   */
  public record Release(int number, Instant at, List<File> files, boolean same) {
    public Release {
      files = List.copyOf(files);
    }
  }

  private final Document document;
  private final List<Snag> found;
  private final ZoneId zone;
  private final Html out = new Html();

  private ProofSheet(Document document, List<Snag> found) {
    this.document = document;
    this.found = found.stream().filter(Snag::met).toList();
    this.zone = document.site().values().get(SiteSettings.ZONE);
  }

  /**
   * The sheet of a page.
   *
   * @param found all that is found on it
   * @param release the one that it stands in, or none for a page that is not published so
   * @param made when the sheet is made
   */
  public static String html(
      Document document, List<Snag> found, Optional<Release> release, Instant made) {
    return new ProofSheet(document, found).write(release, made);
  }

  private String write(Optional<Release> release, Instant made) {
    String site = document.site().values().get(SiteSettings.NAME);
    String title = document.page().values().get(PageSettings.TITLE);
    String language = document.page().values().get(PageSettings.LANGUAGE);
    out.raw("<!doctype html>").open("html", "lang", "en").open("head");
    out.raw("<meta charset=\"utf-8\">");
    out.raw("<meta name=\"viewport\" content=\"width=device-width\">");
    out.element("title", "Proof sheet of " + title).raw("<style>" + STYLE + "</style>");
    out.close("head").open("body").open("main");
    out.element("p", site, "class", "soft", "lang", language);
    out.element("h1", title, "lang", language);
    out.element(
        "p",
        release
                .map(it ->
                    String.format(
                        Locale.ENGLISH, "Release %d of %s", it.number(), said(MINUTE, it.at())))
                .orElse("The page as it stands, which is not published so")
            + "; this sheet was made on "
            + said(MINUTE, made)
            + " ("
            + zone.getId()
            + ").");
    verdict();
    reach();
    List<Snag> open = Leaves.counted(document, found);
    if (!open.isEmpty()) {
      out.element("h2", "What was found");
      table(open, false);
    }
    List<Snag> left = found.stream().filter(each -> Leaves.left(document, each)).toList();
    if (!left.isEmpty()) {
      out.element("h2", "Left as it is on purpose");
      table(left, true);
    }
    rules();
    release.ifPresent(this::files);
    return out.close("main").close("body").close("html").toString();
  }

  private String said(DateTimeFormatter format, Instant at) {
    return format.format(at.atZone(zone));
  }

  private void verdict() {
    List<Snag> open = Leaves.counted(document, found);
    String said =
        Arrays.stream(Severity.values())
            .filter(severity -> severity != Severity.NOTE)
            .map(severity -> counted(open, severity))
            .filter(text -> !text.isEmpty())
            .collect(Collectors.joining(", "));
    out.element(
        "p",
        said.isEmpty() ? "Nothing was found that a visitor could meet." : "Found: " + said + ".",
        "class",
        said.isEmpty() ? "" : "word");
  }

  private static String counted(List<Snag> all, Severity severity) {
    long n = all.stream().filter(each -> each.rule().severity() == severity).count();
    String word = PickKind.word(severity);
    String several = severity == Severity.HINT ? word + "s" : word.substring(0, word.length() - 1);
    return n == 0 ? "" : n == 1 ? "1 " + word : n + " " + several;
  }

  /** How far it was looked. */
  private void reach() {
    Proved proved = Proved.of(document);
    out.element("h2", "What was looked at").open("dl");
    fact(
        "Widths",
        String.format(
            Locale.ENGLISH,
            "%,d, each px from %d to %d",
            proved.widths(),
            Bands.NARROWEST,
            Bands.WIDEST));
    fact("Sections, pieces and columns", "" + Snags.swept(document).count());
    fact(
        "States of each part",
        proved.states().stream().map(PickKind::word).collect(Collectors.joining(", ")));
    if (proved.roundMs() > 0) {
      fact("Time", "one round of " + Require.number(proved.roundMs() / 100 / 10.0) + " s");
    }
    if (proved.from().isPresent()) {
      fact(
          "Dates",
          said(DAY, proved.from().get())
              + proved.until().map(until -> " to " + said(DAY, until)).orElse(""));
    }
    fact("Rules", "" + rulesMet().size());
    if (!proved.without().isEmpty()) {
      fact(
          "Not looked at",
          proved.without().stream()
              .map(each -> Fields.called(each.node()) + ": " + each.setting().label())
              .collect(Collectors.joining("; ")));
    }
    out.close("dl");
  }

  private void fact(String name, String says) {
    out.open("div").element("dt", name).element("dd", says).close("div");
  }

  private void table(List<Snag> some, boolean why) {
    out.open("table").open("thead").open("tr");
    for (String head : List.of("How bad", "Where", why ? "What, and why it stays" : "What")) {
      out.element("th", head, "scope", "col");
    }
    out.close("tr").close("thead").open("tbody");
    some.stream()
        .sorted((one, other) -> one.rule().severity().compareTo(other.rule().severity()))
        .forEach(snag -> row(snag, why));
    out.close("tbody").close("table");
  }

  private void row(Snag snag, boolean why) {
    String severity = PickKind.word(snag.rule().severity());
    out.open("tr").open("td").element("span", severity, "class", "word " + severity).close("td");
    out.element("th", FindingWords.where(document, snag), "scope", "row")
        .open("td")
        .text(snag.message());
    String when = when(snag.extent());
    if (!when.isEmpty()) {
      out.raw("<br>").element("small", when);
    }
    if (why) {
      Leaves.reason(document, snag).ifPresent(reason -> out.element("p", "“" + reason + "”"));
    }
    strip(snag);
    out.close("td").close("tr");
  }

  /** In which state, when in a round, on which dates: at which widths is in the message. */
  private String when(Extent extent) {
    var said = new ArrayList<String>();
    if (extent.state() != State.REST) {
      said.add(PickKind.word(extent.state()));
    }
    extent
        .times()
        .ifPresent(times ->
            said.add(
                "from "
                    + Require.number(times.from() / 1000.0)
                    + " to "
                    + Require.number(times.to() / 1000.0)
                    + " s of a round"));
    extent
        .dates()
        .ifPresent(
            dates -> said.add("from " + said(DAY, dates.from()) + " to " + said(DAY, dates.to())));
    return String.join(", ", said);
  }

  /** The widths at which it is so, under the breakpoints of the page. */
  private void strip(Snag snag) {
    Extent.Widths widths = snag.extent().widths();
    out.open("div", "class", "strip", "aria-hidden", "true").element("i", "", "class", "line");
    for (Band band : document.bands().all()) {
      if (band.from() > Bands.NARROWEST) {
        out.element("i", "", "style", "left:" + share(at(band.from())) + "%");
      }
    }
    double from = at(widths.from());
    double wide = Math.max(0.5, at(widths.to()) - from);
    out.element(
        "b",
        "",
        "class",
        "on " + PickKind.word(snag.rule().severity()),
        "style",
        "left:" + share(Math.min(from, 99.5)) + "%;width:" + share(wide) + "%");
    out.close("div");
  }

  private static String share(double percent) {
    return Require.number(Math.round(percent * 100) / 100.0);
  }

  /** The place of a width among all, in percent. */
  private static double at(double px) {
    return 100 * (px - Bands.NARROWEST) / (Bands.WIDEST - Bands.NARROWEST);
  }

  private static List<Rule> rulesMet() {
    return Arrays.stream(Rule.values()).filter(rule -> rule.severity() != Severity.NOTE).toList();
  }

  private void rules() {
    out.element("h2", "What was looked for").open("ul");
    for (Rule rule : rulesMet()) {
      long n = found.stream().filter(each -> each.rule() == rule).count();
      out.open("li").text(FindingWords.asked(rule));
      if (n > 0) {
        out.element("small", " " + n + (n == 1 ? " finding" : " findings"));
      }
      out.close("li");
    }
    out.close("ul");
  }

  private void files(Release release) {
    out.element("h2", "Files of release " + release.number());
    out.element(
        "p",
        release.same() ? "What is said here holds for these files, told by their SHA-256." : OTHER,
        "class",
        "soft");
    out.open("table").open("thead").open("tr");
    for (String head : List.of("File", "Bytes", "SHA-256")) {
      out.element("th", head, "scope", "col");
    }
    out.close("tr").close("thead").open("tbody");
    for (File file : release.files()) {
      out.open("tr").element("th", file.path(), "scope", "row");
      out.element("td", String.format(Locale.ENGLISH, "%,d", file.bytes()), "class", "n");
      out.open("td").element("code", file.sha256()).close("td").close("tr");
    }
    out.close("tbody").close("table");
  }
}
