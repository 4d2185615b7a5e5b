package giostra.server.page;

import giostra.core.cost.Alternative;
import giostra.core.dress.Wardrobe;
import giostra.core.dress.WholeDress;
import giostra.core.output.Assumption;
import giostra.core.page.Document;
import giostra.core.page.Edits;
import giostra.core.page.Fitting;
import giostra.core.snag.Stress;
import giostra.core.value.Require;
import giostra.server.host.PageFiles;
import giostra.server.media.MediaService;
import giostra.server.people.Needs;
import giostra.server.people.Role;
import giostra.server.people.Who;
import giostra.server.web.Gone;
import java.nio.charset.StandardCharsets;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.Resource;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.util.UriUtils;

/**
 * The page as it would be released, with one script tag more; under assumptions, with one more
 * again. Its files lie beside it as those of a release do.
 */
@RestController
class PreviewController {
  /** Ways out of one finding. */
  private static final int MOST_WAYS = 99;

  private final PageService pages;
  private final Revisions revisions;
  private final Stage stage;
  private final PageFiles files;
  private final MediaService media;
  private final Previews previews;
  private final Findings findings;

  PreviewController(
      PageService pages,
      Revisions revisions,
      Stage stage,
      PageFiles files,
      MediaService media,
      Previews previews,
      Findings findings) {
    this.pages = pages;
    this.revisions = revisions;
    this.stage = stage;
    this.files = files;
    this.media = media;
    this.previews = previews;
    this.findings = findings;
  }

  @Needs(Role.GUEST)
  @GetMapping("/api/pages/{id}/preview")
  ResponseEntity<Void> folder(@PathVariable String id) {
    return ResponseEntity.status(HttpStatus.FOUND)
        .header(
            HttpHeaders.LOCATION,
            UriUtils.encodePath("/api/pages/" + id + "/preview/", StandardCharsets.UTF_8))
        .build();
  }

  @Needs(Role.GUEST)
  @GetMapping("/api/pages/{id}/preview/")
  ResponseEntity<byte[]> page(
      @PathVariable String id,
      @RequestParam(defaultValue = "") String assume,
      @RequestParam(defaultValue = "") String only,
      @RequestParam(required = false) @Nullable String wear,
      @RequestParam(defaultValue = "") String dress,
      @RequestParam(defaultValue = "") String stress,
      @RequestParam(defaultValue = "") String snag,
      @RequestParam(defaultValue = "0") int way,
      @RequestParam(defaultValue = Alternative.AS_IT_IS) String alternative,
      @RequestParam(required = false) @Nullable Long on,
      @RequestParam(required = false) @Nullable Integer revision,
      @RequestParam(required = false) @Nullable Integer siteRevision) {
    Who.Review review = Who.asking().map(Who::review).orElse(null);
    if (review != null) {
      // A guest sees what the link says, whatever the address asks for.
      Document shown = revisions.reviewed(id, review.release());
      return previews.page(review.site(), shown, Assumption.of(assume), on);
    }
    if (!only.isEmpty() || !dress.isEmpty() || !stress.isEmpty() || !alternative.isEmpty()) {
      PageService.Head head = pages.head(id);
      Document mended = mended(head, stress, snag, way);
      Document other =
          alternative.isEmpty()
              ? mended
              : Alternative.named(mended, mended.piece(only), alternative).on(mended);
      Document shown = tried(other, only, wear, dress);
      return previews.page(head.siteId(), shown, Assumption.of(assume), on);
    }
    if (revision != null) {
      Document was =
          siteRevision == null
              ? revisions.was(id, revision).document()
              : revisions.was(id, revision, siteRevision);
      return previews.page(pages.place(id).siteId(), was, Assumption.of(assume), null);
    }
    PageService.Head head = pages.head(id);
    return previews.page(head, Assumption.of(assume), on);
  }

  /** A page under stress, after a way out of something that is found on it where there is one. */
  private Document mended(PageService.Head head, String stress, String snag, int way) {
    Require.within(0, MOST_WAYS, "way", way);
    if (snag.isEmpty()) {
      Document shown = pages.shown(head);
      return stress.isEmpty() ? shown : Stress.named(stress).of(shown);
    }
    Findings.Swept swept = findings.swept(head, stress);
    return swept
        .named(snag)
        .flatMap(each -> each.fixes().stream().skip(way).findFirst())
        .map(fix -> Edits.apply(swept.document(), fix.edits()).document())
        .orElse(swept.document());
  }

  /** A page in a whole dress, or but one block of it, that wears a look. */
  private static Document tried(Document shown, String only, @Nullable String wear, String dress) {
    Document dressed =
        dress.isEmpty()
            ? shown
            : Edits.apply(shown, WholeDress.named(dress).wear(shown.site())).document();
    if (only.isEmpty()) {
      return dressed;
    }
    Document alone = Fitting.of(dressed, only);
    return wear == null ? alone : Wardrobe.wearing(alone, alone.piece(only), wear);
  }

  @Needs(Role.GUEST)
  @GetMapping("/api/pages/{id}/preview/{file:.+}")
  ResponseEntity<byte[]> file(
      @PathVariable String id,
      @PathVariable String file,
      @RequestParam(defaultValue = "") String assume) {
    if (file.equals("stage.js") || file.equals("assume.js")) {
      return previews.answer(file, files.benchScript(file), "no-cache");
    }
    if (file.startsWith("style.")) {
      Set<Assumption> assumed = Assumption.of(assume);
      String sheet = stage.sheet(file);
      if (sheet == null) {
        PageService.Head head = pages.head(id);
        sheet = stage.compile(head.siteId(), Assumption.document(head.document(), assumed)).css();
      }
      return previews.answer(
          file,
          Assumption.css(sheet, assumed).getBytes(StandardCharsets.UTF_8),
          "private, max-age=3600");
    }
    return shipped(file);
  }

  @Needs(Role.GUEST)
  @GetMapping("/api/pages/{id}/preview/fonts/{file}")
  ResponseEntity<byte[]> font(@PathVariable String file) {
    return shipped("fonts/" + file);
  }

  @Needs(Role.GUEST)
  @GetMapping("/api/pages/{id}/preview/media/{file}")
  ResponseEntity<Resource> media(@PathVariable String id, @PathVariable String file) {
    PageService.Head head = pages.head(id);
    String path = "media/" + file;
    return previews.answer(path, media.open(head.siteId(), path), "private, max-age=3600");
  }

  private ResponseEntity<byte[]> shipped(String path) {
    byte[] bytes = files.get(path);
    if (bytes == null) {
      throw new Gone("file", path);
    }
    return previews.answer(path, bytes, "private, max-age=3600");
  }
}
