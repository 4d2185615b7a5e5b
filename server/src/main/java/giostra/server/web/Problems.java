package giostra.server.web;

import giostra.core.format.DocumentJson;
import giostra.core.value.Refused;
import jakarta.servlet.http.HttpServletRequest;
import java.sql.SQLException;
import java.sql.SQLTransientException;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.TypeMismatchException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.exc.InvalidFormatException;
import tools.jackson.databind.exc.MismatchedInputException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;

/**
 * Problems as problem details (RFC 9457). Refusals carry {@code faults}: what, found, allowed,
 * where.
 */
@RestControllerAdvice
class Problems extends ResponseEntityExceptionHandler {
  private static final Logger LOG = LoggerFactory.getLogger(Problems.class);

  /** What is away for a moment is asked again after this. */
  private static final int AWAY_SECONDS = 10;

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
  ProblemDetail notAllowed(NotAllowed e) {
    ProblemDetail problem = problem(HttpStatus.FORBIDDEN, "Not allowed", e.getMessage());
    // Who is in stays in: the same again would be refused again.
    problem.setProperty("needs", "role");
    return problem;
  }

  @ExceptionHandler
  ResponseEntity<ProblemDetail> later(Later e) {
    HttpStatus status =
        e.isElsewhere() ? HttpStatus.SERVICE_UNAVAILABLE : HttpStatus.TOO_MANY_REQUESTS;
    return ResponseEntity.status(status)
        .header(HttpHeaders.RETRY_AFTER, Integer.toString(e.seconds()))
        .body(problem(status, "Not now", e.getMessage()));
  }

  @ExceptionHandler
  ResponseEntity<ProblemDetail> cannotKeep(CannotKeep e) {
    LOG.warn("bytes cannot be kept or brought: {}", String.valueOf(e.getCause()));
    if (e.isFull()) {
      return ResponseEntity.status(HttpStatus.INSUFFICIENT_STORAGE)
          .body(problem(HttpStatus.INSUFFICIENT_STORAGE, "No room", e.getMessage()));
    }
    return ResponseEntity.status(HttpStatus.SERVICE_UNAVAILABLE)
        .header(HttpHeaders.RETRY_AFTER, Integer.toString(AWAY_SECONDS))
        .body(problem(HttpStatus.SERVICE_UNAVAILABLE, "Not now", e.getMessage()));
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
    ProblemDetail problem =
        switch (e.getMostSpecificCause()) {
          case Refused refused -> faults(List.of(refused));
          case DatabindException wrong -> faults(List.of(misfit(wrong)));
          case JacksonException broken ->
              problem(
                  HttpStatus.BAD_REQUEST, "Not JSON", "The request's body is no JSON" + at(broken));
          default ->
              problem(
                  HttpStatus.BAD_REQUEST,
                  "Not JSON",
                  "The request's body is missing, cut off, or no JSON.");
        };
    return ResponseEntity.status(problem.getStatus()).body(problem);
  }

  /** Of a value that does not fit, the field and what it has to be; never the name of a class. */
  private static Refused misfit(DatabindException wrong) {
    var place = new StringBuilder();
    String field = "body";
    for (JacksonException.Reference each : wrong.getPath()) {
      String name = each.getPropertyName();
      field = name == null ? Integer.toString(each.getIndex()) : name;
      place.append('/').append(field);
    }
    String wanted = "of the type that the description of the API says";
    String found = "something else";
    if (wrong instanceof MismatchedInputException misfit && misfit.getTargetType() != null) {
      wanted = wanted(misfit.getTargetType());
    }
    if (wrong instanceof InvalidFormatException format && format.getValue() != null) {
      found = String.valueOf(format.getValue());
    }
    if (wrong instanceof UnrecognizedPropertyException) {
      wanted = "one of the fields that there are";
      found = "not known";
    }
    return new Refused(field, found, wanted).at(place.isEmpty() ? "/" : place.toString());
  }

  private static String wanted(Class<?> type) {
    if (type == String.class) {
      return "text";
    }
    if (type == boolean.class || type == Boolean.class) {
      return "true or false";
    }
    if (type.isPrimitive() || Number.class.isAssignableFrom(type)) {
      return type == int.class || type == Integer.class || type == long.class || type == Long.class
          ? "a whole number"
          : "a number";
    }
    if (Collection.class.isAssignableFrom(type)) {
      return "a list";
    }
    return type.isEnum()
        ? "one of "
            + String.join(
                ", ", Arrays.stream(type.getEnumConstants()).map(String::valueOf).toList())
        : "an object";
  }

  private static String at(JacksonException broken) {
    var location = broken.getLocation();
    return location == null || location.getLineNr() < 1
        ? "."
        : String.format(
            Locale.ROOT, " (line %d, column %d).", location.getLineNr(), location.getColumnNr());
  }

  /** A parameter of the address that does not fit. */
  @Override
  protected @Nullable ResponseEntity<Object> handleTypeMismatch(
      TypeMismatchException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
    String name =
        e instanceof MethodArgumentTypeMismatchException argument
            ? argument.getName()
            : String.valueOf(e.getPropertyName());
    Class<?> type = e.getRequiredType();
    var refused =
        new Refused(
            name, String.valueOf(e.getValue()), type == null ? "of another type" : wanted(type));
    ProblemDetail problem = faults(List.of(refused));
    problem.setStatus(HttpStatus.BAD_REQUEST);
    return ResponseEntity.badRequest().body(problem);
  }

  /** A form with files that was cut off, or that has none. */
  @ExceptionHandler
  ProblemDetail multipart(MultipartException e) {
    return problem(
        HttpStatus.BAD_REQUEST,
        "Not a form with a file",
        "The request's body is no whole form (multipart/form-data) with a part named file.");
  }

  /** The database is away: nothing was changed, and the same again works when it is back. */
  private static ResponseEntity<ProblemDetail> away(Exception e) {
    LOG.warn("the database cannot be asked: {}", e.getMessage());
    return ResponseEntity.status(HttpStatus.SERVICE_UNAVAILABLE)
        .header(HttpHeaders.RETRY_AFTER, "2")
        .body(
            problem(
                HttpStatus.SERVICE_UNAVAILABLE,
                "Not now",
                "The database cannot be reached. Nothing was changed; try again in a moment."));
  }

  /**
   * Whether it is the database that is away or gives up, as its connections say. Source:
   * PostgreSQL, "Appendix A. PostgreSQL Error Codes": 08 connection exceptions, 40 rollbacks, 53
   * insufficient resources, 57P operator intervention.
   */
  private static boolean ofDatabase(Throwable e) {
    for (Throwable at = e; at != null; at = at.getCause()) {
      if (at instanceof SQLTransientException || at instanceof CannotCreateTransactionException) {
        return true;
      }
      if (at instanceof SQLException sql) {
        String state = sql.getSQLState();
        // The pool says of a connection that broke no more than that it is closed.
        return state == null
            || state.startsWith("08")
            || state.startsWith("40")
            || state.startsWith("53")
            || state.startsWith("57P");
      }
    }
    return false;
  }

  /** Whether it is the disk of the database that is full. Source: as above, 53100. */
  private static boolean isFull(Throwable e) {
    for (Throwable at = e; at != null; at = at.getCause()) {
      if (at instanceof SQLException sql && "53100".equals(sql.getSQLState())) {
        return true;
      }
    }
    return false;
  }

  /** Whatever nobody thought of. The log has it; the answer names no classes. */
  @ExceptionHandler
  ResponseEntity<ProblemDetail> unexpected(Exception e, HttpServletRequest request) {
    if (isFull(e)) {
      LOG.error("the database has no room: {}", e.getMessage());
      return ResponseEntity.status(HttpStatus.INSUFFICIENT_STORAGE)
          .body(
              problem(
                  HttpStatus.INSUFFICIENT_STORAGE,
                  "No room",
                  "The database has no room left on its disk. Nothing was changed; whoever runs"
                      + " Giostra makes some."));
    }
    if (ofDatabase(e)) {
      return away(e);
    }
    LOG.error("{} {}", request.getMethod(), request.getRequestURI(), e);
    return ResponseEntity.internalServerError()
        .body(
            problem(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "Something went wrong here",
                "It is no fault of what was sent, and it is written down. Nothing was changed."));
  }

  /** Faults that are told of one request. */
  private static final int MOST_FAULTS = 50;

  private static ProblemDetail faults(List<Refused> faults) {
    List<Refused> told = faults.subList(0, Math.min(MOST_FAULTS, faults.size()));
    String detail = String.join("; ", told.stream().map(Refused::getMessage).toList());
    if (told.size() < faults.size()) {
      detail += "; and " + (faults.size() - told.size()) + " more";
    }
    ProblemDetail problem = problem(HttpStatus.UNPROCESSABLE_CONTENT, "Cannot be taken", detail);
    problem.setProperty(
        "faults",
        told.stream()
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
