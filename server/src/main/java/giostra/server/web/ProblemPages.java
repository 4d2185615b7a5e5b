package giostra.server.web;

import java.io.IOException;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpInputMessage;
import org.springframework.http.HttpOutputMessage;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.stereotype.Component;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/**
 * Writes the problem of a controller as a page where one is asked for, as by a frame of the bench
 * in which a page would stand.
 */
@Component
class ProblemPages implements HttpMessageConverter<ProblemDetail> {
  @Override
  public boolean canRead(Class<?> type, @Nullable MediaType media) {
    return false;
  }

  /** Never for a request that names no pages: to one that takes anything it would come first. */
  @Override
  public boolean canWrite(Class<?> type, @Nullable MediaType media) {
    return ProblemDetail.class.isAssignableFrom(type)
        && (media == null || ProblemPage.TYPE.isCompatibleWith(media))
        && RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes asked
        && ProblemPage.isAskedFor(asked.getRequest());
  }

  @Override
  public List<MediaType> getSupportedMediaTypes() {
    return List.of(ProblemPage.TYPE);
  }

  @Override
  public ProblemDetail read(Class<? extends ProblemDetail> type, HttpInputMessage message) {
    throw new HttpMessageNotReadableException("no page is read", message);
  }

  @Override
  public void write(ProblemDetail problem, @Nullable MediaType media, HttpOutputMessage to)
      throws IOException {
    HttpHeaders headers = to.getHeaders();
    byte[] body =
        ProblemPage.of(
            String.valueOf(problem.getTitle()),
            String.valueOf(problem.getDetail()),
            headers.getFirst(HttpHeaders.RETRY_AFTER));
    headers.setContentType(ProblemPage.TYPE);
    headers.setContentLength(body.length);
    headers.setVary(List.of(HttpHeaders.ACCEPT));
    ProblemPage.HEADERS.forEach(headers::set);
    to.getBody().write(body);
  }
}
