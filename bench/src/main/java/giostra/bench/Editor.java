package giostra.bench;

import giostra.server.testing.Api;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.HttpURLConnection;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import tools.jackson.databind.JsonNode;

/** One who edits a page, and costs next to nothing: the machine is the server's. */
final class Editor {
  static {
    // As many connections stay open as there are editors.
    System.setProperty("http.maxConnections", "1000");
  }

  private final Api api;
  private final String page;
  private final int site;
  private int revision;

  /** Of a page as the server told it; nobody else edits it. */
  Editor(Api api, JsonNode page) {
    this.api = api;
    this.page = page.path("id").asString();
    this.site = page.path("siteRevision").asInt();
    this.revision = Growth.revision(page);
  }

  /** Whether an edit was taken; nobody else edits the page, so its next revision is known. */
  boolean edits(String piece, int edit) {
    try {
      var asked =
          (HttpURLConnection)
              URI.create(api.at("/api/pages/" + page + "/edits?has=" + revision + "." + site))
                  .toURL()
                  .openConnection();
      asked.setRequestMethod("POST");
      asked.setRequestProperty("Authorization", "Bearer " + Api.SECRET);
      asked.setRequestProperty("Content-Type", "application/json");
      asked.setDoOutput(true);
      try (OutputStream out = asked.getOutputStream()) {
        out.write(Growth.edit(revision, piece, edit).getBytes(StandardCharsets.UTF_8));
      }
      if (asked.getResponseCode() != HttpURLConnection.HTTP_OK) {
        return false;
      }
      try (InputStream in = asked.getInputStream()) {
        in.transferTo(OutputStream.nullOutputStream());
      }
      revision++;
      return true;
    } catch (IOException e) {
      // Who measures counts it; an editor that gave up would be one that is borne.
      return false;
    }
  }
}
