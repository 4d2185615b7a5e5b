package giostra.server.web;

import giostra.core.band.Refused;
import giostra.core.format.DocumentJson;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;

/**
 * Problems as problem details (RFC 9457). Refusals carry {@code faults}: what, found, allowed,
 * where.
 */
@RestControllerAdvice
class Problems extends ResponseEntityExceptionHandler {

  @ExceptionHandler
  ProblemDetail refused(Refused e) {
    return faults(List.of(e));
  }

  @ExceptionHandler
  ProblemDetail refused(DocumentJson.Faults e) {
    return faults(e.all());
  }

  @ExceptionHandler
  ProblemDetail gone(Gone e) {
    return problem(HttpStatus.NOT_FOUND, "Not there", e.getMessage());
  }

  @ExceptionHandler
  ProblemDetail conflict(Conflict e) {
    ProblemDetail problem = problem(HttpStatus.CONFLICT, "Changed meanwhile", e.getMessage());
    e.newer().forEach(problem::setProperty);
    return problem;
  }

  @Override
  protected @Nullable ResponseEntity<Object> handleMaxUploadSizeExceededException(
      MaxUploadSizeExceededException e,
      HttpHeaders headers,
      HttpStatusCode status,
      WebRequest request) {
    return ResponseEntity.status(HttpStatus.CONTENT_TOO_LARGE)
        .body(
            problem(
                HttpStatus.CONTENT_TOO_LARGE,
                "Too large",
                "The file is over 64 MB; it must be 64 MB or less."));
  }

  @Override
  protected @Nullable ResponseEntity<Object> handleHttpMessageNotReadable(
      HttpMessageNotReadableException e,
      HttpHeaders headers,
      HttpStatusCode status,
      WebRequest request) {
    String detail =
        "The request's body cannot be read as JSON: " + e.getMostSpecificCause().getMessage();
    return ResponseEntity.badRequest().body(problem(HttpStatus.BAD_REQUEST, "Not JSON", detail));
  }

  private static ProblemDetail faults(List<Refused> faults) {
    String detail = String.join("; ", faults.stream().map(Refused::getMessage).toList());
    ProblemDetail problem = problem(HttpStatus.UNPROCESSABLE_CONTENT, "Cannot be taken", detail);
    problem.setProperty(
        "faults",
        faults.stream()
            .map(f ->
                Map.of(
                    "what",
                    f.what(),
                    "found",
                    f.found(),
                    "allowed",
                    f.allowed(),
                    "where",
                    f.where()))
            .toList());
    return problem;
  }

  private static ProblemDetail problem(HttpStatus status, String title, @Nullable String detail) {
    ProblemDetail problem =
        ProblemDetail.forStatusAndDetail(status, detail == null ? title : detail);
    problem.setTitle(title);
    return problem;
  }
}
