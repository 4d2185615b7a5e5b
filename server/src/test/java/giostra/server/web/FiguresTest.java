package giostra.server.web;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.page.Edit;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** What the running server tells of itself, and where. */
@ExtendWith(Giostra.class)
class FiguresTest {
  private static double count(Api api, String of) {
    JsonNode told = api.get(Giostra.figures() + "/actuator/metrics/giostra." + of).json();
    return told.path("measurements")
        .valueStream()
        .filter(each -> each.path("statistic").asString().equals("COUNT"))
        .mapToDouble(each -> each.path("value").asDouble())
        .sum();
  }

  @Test
  void editsCompilesAndSweepsAreTimedForThisMachineAlone(Api api) {
    String page = api.newPage(api.copyOfDemo(), api.document(Api.DEMO));
    double edits = count(api, "edit");
    double compiles = count(api, "compile");
    double sweeps = count(api, "sweep");
    api.edit(page, 0, new Edit.SetValue("houses", "inView", "desktop", 2.0));
    api.get("/api/pages/" + page + "/preview/");
    api.get("/api/pages/" + page + "/snags");
    assertThat(count(api, "edit")).isGreaterThan(edits);
    assertThat(count(api, "compile")).isGreaterThan(compiles);
    assertThat(count(api, "sweep")).isGreaterThan(sweeps);
    assertThat(Giostra.figures()).startsWith("http://127.0.0.1:");
    assertThat(api.get("/actuator/metrics").status()).as("on the port of all").isEqualTo(404);
    assertThat(api.get("/readyz").status()).isEqualTo(200);
    assertThat(api.get(Giostra.figures() + "/actuator/env").status()).isEqualTo(404);
  }
}
