package giostra.server.review;

import giostra.server.people.Needs;
import giostra.server.people.Role;
import giostra.server.people.Who;
import io.swagger.v3.oas.annotations.Parameter;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Remarks, and links for those who leave them. */
@RestController
class ReviewController {
  private final ReviewService reviews;

  ReviewController(ReviewService reviews) {
    this.reviews = reviews;
  }

  /** What is looked at: by a guest the page of their link. */
  @Needs(Role.GUEST)
  @GetMapping("/api/pages/{id}/review")
  ReviewService.Reviewed reviewed(
      @PathVariable String id, @Parameter(hidden = true) @AuthenticationPrincipal Who who) {
    return reviews.reviewed(id, who);
  }

  @Needs(Role.GUEST)
  @GetMapping("/api/pages/{id}/remarks")
  List<ReviewRows.RemarkLine> remarks(
      @PathVariable String id, @Parameter(hidden = true) @AuthenticationPrincipal Who who) {
    return reviews.remarks(id, who);
  }

  /**
   * A remark.
   *
   * @param name of a guest; others have their own
   * @param node that it hangs on
   * @param width of the screen that it was seen at, in CSS px
   */
  record RemarkBody(@Nullable String name, String node, int width, String text) {}

  @Needs(Role.GUEST)
  @PostMapping("/api/pages/{id}/remarks")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remark(
      @PathVariable String id,
      @RequestBody RemarkBody body,
      @Parameter(hidden = true) @AuthenticationPrincipal Who who) {
    String name = body.name() == null ? "" : body.name();
    reviews.remark(id, who, name, body.node(), body.width(), body.text());
  }

  /** Whether a remark is seen to. */
  record DoneBody(boolean done) {}

  @Needs(Role.WRITER)
  @PutMapping("/api/pages/{id}/remarks/{remark}/done")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void tick(
      @PathVariable String id,
      @PathVariable long remark,
      @RequestBody DoneBody body,
      @Parameter(hidden = true) @AuthenticationPrincipal Who who) {
    reviews.tick(id, remark, body.done(), who);
  }

  @Needs(Role.REVIEWER)
  @DeleteMapping("/api/pages/{id}/remarks/{remark}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void drop(
      @PathVariable String id,
      @PathVariable long remark,
      @Parameter(hidden = true) @AuthenticationPrincipal Who who) {
    reviews.drop(id, remark, who);
  }

  @Needs(Role.DESIGNER)
  @GetMapping("/api/pages/{id}/review-links")
  List<ReviewRows.LinkLine> links(@PathVariable String id) {
    return reviews.links(id);
  }

  /**
   * A link that is wanted.
   *
   * @param name whom it is for
   * @param release number of the release that it shows; nothing for the page as it stands
   */
  record LinkBody(String name, int days, @Nullable Integer release) {}

  @PostMapping("/api/pages/{id}/review-links")
  @ResponseStatus(HttpStatus.CREATED)
  ReviewService.LinkMade makeLink(@PathVariable String id, @RequestBody LinkBody body) {
    return reviews.makeLink(id, body.name(), body.days(), body.release());
  }

  @DeleteMapping("/api/pages/{id}/review-links/{link}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void dropLink(@PathVariable String id, @PathVariable String link) {
    reviews.dropLink(id, link);
  }
}
