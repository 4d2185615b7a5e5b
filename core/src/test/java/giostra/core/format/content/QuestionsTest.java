package giostra.core.format.content;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.format.FaqPage;
import giostra.core.format.content.Questions.Question;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Questions and answers in markup and in structured data. */
class QuestionsTest {
  @Test
  void factsOfAPageAsSearchEnginesReadThem() {
    // The shape is schema.org's; texts may be markup.
    String json =
        """
        {"@context":"https://schema.org","@type":"FAQPage","mainEntity":[
          {"@type":"Question","name":"Where is the gate?","acceptedAnswer":
            {"@type":"Answer","text":"<p>By the <b>tram</b>.<script>alert(1)</script></p>"}},
          {"@type":["Question"],"name":"When?","acceptedAnswer":
            [{"@type":"Answer","text":"At dusk & later"}]},
          {"@type":"Person","name":"Nobody"}]}
        """;
    List<Question> expected =
        List.of(
            new Question("Where is the gate?", "<p>By the <strong>tram</strong>.</p>"),
            new Question("When?", "At dusk & later"));
    assertThat(Questions.in(json)).isEqualTo(expected);
    assertThat(
            Questions.in(
                "<html><script type='application/ld+json'>{\"@graph\":["
                    + json.replace("</script>", "<\\/script>")
                    + "]}</script><details><summary>Not this</summary>x</details></html>"))
        .isEqualTo(expected);
    assertThat(Questions.in(json.replace("\"FAQPage\"", "\"https://schema.org/FAQPage\"")))
        .isEqualTo(expected);
  }

  /** What we publish we can read. */
  @Test
  void ourOwnPagesAreReadBack() {
    String json = FaqPage.json(List.of(new FaqPage.Question("A < B?", "Yes & no.")));
    assertThat(Questions.in("<script type=\"application/ld+json\">" + json + "</script>"))
        .containsExactly(new Question("A < B?", "Yes & no."));
  }

  @Test
  void foldsAreQuestions() {
    assertThat(
            Questions.in(
                "<details open><summary><h3>One?</h3></summary><p>First</p><p>and more</p>"
                    + "<details><summary>Inner?</summary>Deep</details></details>"
                    + "<details><summary></summary>None</details>"))
        .containsExactly(
            new Question("One?", "<p>First</p><p>and more</p>"), new Question("Inner?", "Deep"));
  }

  @Test
  void termsOfAListAreQuestions() {
    assertThat(
            Questions.in(
                "<dl><div><dt>One?</dt><dd>First</dd><dd>Second</dd></div>"
                    + "<dt>Two?</dt><dt>Three?</dt><dd><p>Both &amp; all</p></dd><dt>Four?</dt></dl>"))
        .containsExactly(
            new Question("One?", "<p>First</p><p>Second</p>"),
            new Question("Two?", "<p>Both &amp; all</p>"),
            new Question("Three?", "<p>Both &amp; all</p>"));
  }

  @Test
  void headingsWithTextBelowThemAreQuestions() {
    assertThat(
            Questions.in(
                "<h1>Asked</h1><h2>One?</h2><p>First</p><ul><li>a</li></ul><h2>Two?</h2>Just"
                    + " words &amp; so<h2>Three?</h2>"))
        .containsExactly(
            new Question("One?", "<p>First</p><ul><li>a</li></ul>"),
            new Question("Two?", "Just words & so"));
  }

  @Test
  void whereThereAreNoneThereAreNone() {
    assertThat(Questions.in("Some words")).isEmpty();
    assertThat(Questions.in("{\"broken\":")).isEmpty();
    assertThat(Questions.in("")).isEmpty();
  }
}
