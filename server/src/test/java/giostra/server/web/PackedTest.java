package giostra.server.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Objects;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;

class PackedTest {
  private static final byte[] BYTES = "what everybody asks for".getBytes(StandardCharsets.UTF_8);

  /** Source: RFC 9110, 12.5.3 "Accept-Encoding". */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "gzip | true",
        "gzip, deflate, br | true",
        "br;q=1.0, GZIP;q=0.8 | true",
        "gzip;q=0 | false",
        "gzip; q=0.000, br | false",
        "br | false",
        "x-gzip | false",
        "'' | false",
      })
  void itIsPackedForWhoCanReadIt(String encodings, boolean packed) throws IOException {
    ResponseEntity<byte[]> answer = new Packed(BYTES).answer(ResponseEntity.ok(), encodings);
    byte[] body = Objects.requireNonNull(answer.getBody());
    assertThat(answer.getHeaders().getVary()).contains(HttpHeaders.ACCEPT_ENCODING);
    if (packed) {
      assertThat(answer.getHeaders().getFirst(HttpHeaders.CONTENT_ENCODING)).isEqualTo("gzip");
      assertThat(new GZIPInputStream(new ByteArrayInputStream(body)).readAllBytes())
          .isEqualTo(BYTES);
    } else {
      assertThat(answer.getHeaders().getFirst(HttpHeaders.CONTENT_ENCODING)).isNull();
      assertThat(body).isEqualTo(BYTES);
    }
  }
}
