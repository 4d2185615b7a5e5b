package giostra.core.value;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.look.Part;
import giostra.core.page.NodeType;
import java.util.Arrays;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class KindTest {
  /** The bench draws each by its name: another one leaves a setting without its field. */
  @Test
  void eachHasTheNameThatItHasInTheApi() {
    Stream<Kind<?>> settings =
        Arrays.stream(NodeType.values())
            .flatMap(type -> type.settings().stream())
            .map(Setting::kind);
    Stream<Kind<?>> styles =
        Arrays.stream(NodeType.values())
            .flatMap(type -> type.parts().stream())
            .flatMap((Part part) -> part.properties().stream().map(part::setting))
            .map(Setting::kind);
    assertThat(Stream.concat(settings, styles).map(Kind::word).distinct().sorted())
        .containsExactly(
            "address",
            "advance",
            "captionfile",
            "clip",
            "code",
            "corners",
            "decimal",
            "ends",
            "fonts",
            "framing",
            "hue",
            "icon",
            "language",
            "letters",
            "markup",
            "moved",
            "pace",
            "paint",
            "pick",
            "picture",
            "point",
            "ratio",
            "rich",
            "several",
            "shade",
            "sides",
            "size",
            "sprite",
            "stylesheet",
            "tall",
            "tilt",
            "time",
            "toggle",
            "token",
            "under",
            "ways",
            "whole",
            "words",
            "zone");
  }
}
