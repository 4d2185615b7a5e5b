package giostra.core.media;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Share addresses of invented hosts: their forms are those that hosts commonly have. */
class ClipHostTest {
  private static final ClipHost FALENA =
      new ClipHost(
          "Falena",
          List.of(
              "https://falena.example/watch/{id}",
              "https://falena.example/watch?clip={id}",
              "https://fal.example/{id}",
              "https://falena.example/embed/{id}"),
          "https://falena.example/embed/{id}?autoplay=1",
          "start",
          "https://falena.example/oembed");

  private static final ClipHost OTHER =
      new ClipHost(
          "Other",
          List.of("http://127.0.0.1:8482/w/{id}"),
          "http://127.0.0.1:8482/player/{id}",
          "t",
          "");

  private static final List<ClipHost> HOSTS = List.of(FALENA, OTHER);

  @ParameterizedTest
  @CsvSource(
      delimiter = '~',
      quoteCharacter = '`',
      value = {
        "https://falena.example/watch/Moth_s-1 ~ Moth_s-1 ~ 0",
        "http://falena.example/watch/moths ~ moths ~ 0",
        "https://www.falena.example/watch/moths ~ moths ~ 0",
        "HTTPS://FALENA.example/watch/moths ~ moths ~ 0",
        "falena.example/watch/moths ~ moths ~ 0",
        "https://falena.example/watch/moths/ ~ moths ~ 0",
        "https://falena.example//watch/moths ~ moths ~ 0",
        "https://falena.example/watch?clip=moths ~ moths ~ 0",
        "https://falena.example/watch?list=x&clip=moths ~ moths ~ 0",
        "https://falena.example/watch?clip=moths&from=mail ~ moths ~ 0",
        "https://fal.example/moths ~ moths ~ 0",
        "https://fal.example/moths?t=90 ~ moths ~ 90",
        "https://fal.example/moths?t=90s ~ moths ~ 90",
        "https://fal.example/moths?t=1m30s ~ moths ~ 90",
        "https://fal.example/moths?t=1h1m1s ~ moths ~ 3661",
        "https://fal.example/moths?t=2m ~ moths ~ 120",
        "https://fal.example/moths?start=15 ~ moths ~ 15",
        "https://fal.example/moths#t=1:30 ~ moths ~ 90",
        "https://fal.example/moths#t=1:00:05 ~ moths ~ 3605",
        "https://fal.example/moths?t=soon ~ moths ~ 0",
        "https://falena.example/watch/moths?x=1#t=12 ~ moths ~ 12",
        "https://falena.example/embed/moths ~ moths ~ 0",
        "https://falena.example/embed/moths?autoplay=1&start=8 ~ moths ~ 8",
        "`<iframe width=\"560\" src=\"https://falena.example/embed/moths?x=1&amp;start=8\" allow=\"fullscreen\"></iframe>` ~ moths ~ 8",
        "  https://falena.example/watch/moths   ~ moths ~ 0",
        "http://127.0.0.1:8482/w/lamps ~ lamps ~ 0",
      })
  void addressesThatPeopleShareAreKnown(String address, String id, double start) {
    ClipHost.Share share = ClipHost.find(HOSTS, address).orElseThrow();
    assertThat(share.id()).isEqualTo(id);
    assertThat(share.start()).isEqualTo(start);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '~',
      value = {
        "https://elsewhere.example/watch/moths",
        "https://falena.example/",
        "https://falena.example/watch",
        "https://falena.example/watch/moths/more",
        "https://falena.example/watch?clip=",
        "https://falena.example/list/moths",
        "https://falena.example.evil.example/watch/moths",
        "https://evil.example/?https://falena.example/watch/moths",
        "https://user@falena.example/watch/moths",
        "https://falena.example:81/watch/moths",
        "http://127.0.0.1:8481/w/lamps",
        "javascript:alert(1)//falena.example/watch/moths",
        "https://falena.example/watch/<script>",
        "not an address at all",
      })
  void othersAreNot(String address) {
    assertThat(ClipHost.find(HOSTS, address)).isEmpty();
  }

  @Test
  void thePlayerIsThatOfTheConfiguration() {
    ClipHost.Share share = ClipHost.find(HOSTS, "https://fal.example/moths").orElseThrow();
    assertThat(share.page()).isEqualTo("https://falena.example/watch/moths");
    assertThat(share.player(0)).isEqualTo("https://falena.example/embed/moths?autoplay=1");
    assertThat(share.player(12.5))
        .isEqualTo("https://falena.example/embed/moths?autoplay=1&start=12.5");
    assertThat(share.origin()).isEqualTo("https://falena.example");
    Optional<ClipHost.Share> other = ClipHost.find(HOSTS, "http://127.0.0.1:8482/w/lamps");
    assertThat(other.orElseThrow().player(3)).isEqualTo("http://127.0.0.1:8482/player/lamps?t=3");
    assertThat(other.orElseThrow().origin()).isEqualTo("http://127.0.0.1:8482");
  }
}
