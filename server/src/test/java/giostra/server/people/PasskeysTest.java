package giostra.server.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import giostra.core.testing.Wild;
import giostra.core.value.Refused;
import giostra.server.site.Ids;
import giostra.server.testing.Giostra;
import giostra.server.web.Gone;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Consumer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.core.JacksonException;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** A device proves whose it is, and nothing else does: W3C WebAuthn, 7.1 and 7.2, step by step. */
@ExtendWith(Giostra.class)
class PasskeysTest {
  private static final String ORIGIN = "https://bench.studio.example";
  private static final String NAME = "bench.studio.example";

  private PeopleRows rows;
  private TransactionTemplate one;
  private Passkeys passkeys;
  private Duration later;
  private String person;

  @BeforeEach
  void somebody() {
    rows = Giostra.bean(PeopleRows.class);
    one = Giostra.bean(TransactionTemplate.class);
    later = Duration.ZERO;
    InstantSource now = () -> Instant.now().plus(later);
    Clock clock = now.withZone(ZoneOffset.UTC);
    passkeys = new Passkeys(rows, new Challenges(rows, clock), named(), clock);
    person = somebodyElse();
  }

  private static Who owner() {
    return new Who(PeopleService.OWNER, "Owner", true, Map.of(), true, true, null);
  }

  private static Passkeys.Called named() {
    return new Passkeys.Called() {
      @Override
      public Optional<String> name() {
        return Optional.of(NAME);
      }

      @Override
      public String origin() {
        return ORIGIN;
      }
    };
  }

  private String somebodyElse() {
    String id = Ids.chance();
    rows.addPerson(id, "Nives", id + "@studio.example", Instant.now());
    return id;
  }

  private Map<String, Object> wanted(String who) {
    return one.execute(_ -> passkeys.wanted(who));
  }

  private void keep(String who, Map<String, Object> made) {
    one.executeWithoutResult(_ -> passkeys.keep(who, "A telephone", made));
  }

  private PeopleRows.Person signIn(Map<String, Object> shown) {
    return one.execute(_ -> passkeys.signIn(shown));
  }

  private Authenticator kept() {
    var device = new Authenticator(NAME, ORIGIN);
    keep(person, device.make(wanted(person)));
    return device;
  }

  @Test
  void aDeviceIsSomebodys() {
    Authenticator device = kept();
    assertThat(signIn(device.show(passkeys.asked())).id()).isEqualTo(person);
    assertThat(passkeys.of(person))
        .singleElement()
        .satisfies(each -> {
          assertThat(each.id()).isEqualTo(Authenticator.url(device.id));
          assertThat(each.name()).isEqualTo("A telephone");
          assertThat(each.usedAt()).isNotNull();
          assertThat(each.copied()).isFalse();
        });
    // Another device of the same person is asked for beside it, and no device twice.
    var other = new Authenticator(NAME, ORIGIN);
    Map<String, Object> options = wanted(person);
    assertThat(String.valueOf(options.get("excludeCredentials")))
        .contains(Authenticator.url(device.id));
    keep(person, other.make(options));
    assertThat(signIn(other.show(passkeys.asked())).id()).isEqualTo(person);
    assertThat(signIn(device.show(passkeys.asked())).id()).isEqualTo(person);
    // What a device knows somebody by says nothing of who it is.
    assertThat(String.valueOf(options.get("user"))).doesNotContain(person + ",");
    passkeys.drop(person, Authenticator.url(device.id));
    refused(() -> signIn(device.show(passkeys.asked())));
    assertThat(signIn(other.show(passkeys.asked())).id()).isEqualTo(person);
  }

  /** What a browser says beyond the standard is not kept: no database keeps all of it. */
  @Test
  void waysThatNobodyKnowsAreLeftOut() {
    var device = new Authenticator(NAME, ORIGIN);
    device.transports = List.of("usb", "internal,x", "\u0000", "teleport");
    keep(person, device.make(wanted(person)));
    assertThat(signIn(device.show(passkeys.asked())).id()).isEqualTo(person);
    assertThat(rows.passkey(Authenticator.url(device.id)).orElseThrow().transports())
        .isEqualTo("usb");
  }

  private static void refused(Runnable act) {
    assertThatThrownBy(act::run).isInstanceOf(Refused.class).hasMessageContaining("passkey");
  }

  /** What is wrong with a device when it makes one. */
  @Test
  void whatIsMadeOtherwiseIsNotKept() {
    List<Consumer<Authenticator>> wrong =
        List.of(
            device -> device.origin = "http://" + NAME,
            device -> device.origin = ORIGIN + ":8443",
            device -> device.origin = "https://stage.studio.example",
            device -> device.name = "studio.example",
            device -> device.flags = Authenticator.PRESENT,
            device -> device.flags = Authenticator.VERIFIED,
            device -> device.made = "webauthn.get");
    for (Consumer<Authenticator> each : wrong) {
      var device = new Authenticator(NAME, ORIGIN);
      each.accept(device);
      refused(() -> keep(person, device.make(wanted(person))));
    }
    var device = new Authenticator(NAME, ORIGIN);
    // Asked of somebody else, to sign in, by nobody, or too long ago.
    refused(() -> keep(person, device.make(wanted(somebodyElse()))));
    refused(() -> keep(person, device.make(passkeys.asked())));
    refused(() -> keep(person, device.make(Map.of("challenge", Authenticator.url(new byte[56])))));
    refused(() -> keep(person, device.make(Map.of("challenge", ""))));
    refused(() -> keep(person, device.make(Map.of("challenge", 7))));
    Map<String, Object> options = wanted(person);
    later = Challenges.ANSWERED.plusSeconds(1);
    refused(() -> keep(person, device.make(options)));
    later = Duration.ZERO;
    keep(person, device.make(options));
    // One answer is one passkey, and a passkey is one person's.
    var again = new Authenticator(NAME, ORIGIN);
    refused(() -> keep(person, again.make(options)));
    String other = somebodyElse();
    refused(() -> keep(other, device.make(wanted(other))));
    assertThat(passkeys.of(person)).hasSize(1);
    assertThat(passkeys.of(other)).isEmpty();
  }

  /** Refused in words, and no fault of ours. */
  @Test
  void whatIsNotWholeIsRefused() {
    Authenticator known = kept();
    for (String part : List.of("clientDataJSON", "attestationObject")) {
      refused(() -> keep(person, without(part, known.make(wanted(person)))));
    }
    for (String part : List.of("clientDataJSON", "authenticatorData", "signature")) {
      refused(() -> signIn(without(part, known.show(passkeys.asked()))));
    }
    var odd = new Authenticator(NAME, ORIGIN);
    odd.extensions = new byte[] {1};
    refused(() -> keep(person, odd.make(wanted(person))));
    known.extensions = new byte[] {1};
    refused(() -> signIn(known.show(passkeys.asked())));
    // A map with nothing in it is what it has to be.
    known.extensions = new byte[] {(byte) 0xa0};
    assertThat(signIn(known.show(passkeys.asked())).id()).isEqualTo(person);
  }

  private static Map<String, Object> without(String part, Map<String, Object> answer) {
    var response = new HashMap<>((Map<?, ?>) Objects.requireNonNull(answer.get("response")));
    assertThat(response.remove(part)).as(part).isNotNull();
    var all = new HashMap<>(answer);
    all.put("response", response);
    return all;
  }

  /** What is wrong with a device when it shows one. */
  @Test
  void whatIsShownOtherwiseLetsNobodyIn() {
    List<Consumer<Authenticator>> wrong =
        List.of(
            device -> device.origin = "http://" + NAME,
            device -> device.origin = ORIGIN + ":8443",
            device -> device.origin = "https://stage.studio.example",
            device -> device.name = "studio.example",
            device -> device.flags = Authenticator.PRESENT,
            device -> device.flags = Authenticator.VERIFIED,
            device -> device.shown = "webauthn.create",
            device -> device.signs = Authenticator.another(),
            device -> device.id[0]++);
    for (Consumer<Authenticator> each : wrong) {
      Authenticator device = kept();
      each.accept(device);
      refused(() -> signIn(device.show(passkeys.asked())));
    }
    Authenticator device = kept();
    refused(() -> signIn(device.show(wanted(person))));
    refused(() -> signIn(device.show(Map.of("challenge", Authenticator.url(new byte[56])))));
    Map<String, Object> shown = device.show(passkeys.asked());
    later = Challenges.ANSWERED.plusSeconds(1);
    refused(() -> signIn(shown));
    later = Duration.ZERO;
    assertThat(signIn(shown).id()).isEqualTo(person);
    refused(() -> signIn(shown));
  }

  /** W3C WebAuthn, 7.2: a counter that does not go on is one of a copy. */
  @Test
  void aCopyThatWasLeftBehindIsNone() {
    Authenticator device = kept();
    device.uses = 5;
    signIn(device.show(passkeys.asked()));
    device.uses = 5;
    refused(() -> signIn(device.show(passkeys.asked())));
    device.uses = 0;
    refused(() -> signIn(device.show(passkeys.asked())));
    device.uses = 6;
    assertThat(signIn(device.show(passkeys.asked())).id()).isEqualTo(person);
  }

  @Test
  void whoIsEndedOrRestoredHasNone() {
    Parts parts = Giostra.bean(Parts.class);
    Authenticator device = kept();
    parts.restore(person, owner());
    refused(() -> signIn(device.show(passkeys.asked())));
    Authenticator another = kept();
    parts.end(person);
    refused(() -> signIn(another.show(passkeys.asked())));
  }

  @Test
  void thereAreSoManyAtMost() {
    for (int i = 0; i < Passkeys.MOST; i++) {
      kept();
    }
    assertThatThrownBy(this::kept).isInstanceOf(Refused.class).hasMessageContaining("at most 20");
    Authenticator of = new Authenticator(NAME, ORIGIN);
    assertThatThrownBy(() -> passkeys.drop(somebodyElse(), Authenticator.url(of.id)))
        .isInstanceOf(Gone.class);
    String mine = passkeys.of(person).getFirst().id();
    assertThatThrownBy(() -> passkeys.drop(somebodyElse(), mine)).isInstanceOf(Gone.class);
    assertThat(passkeys.of(person)).hasSize(Passkeys.MOST);
  }

  /** Whatever a browser sends is refused in words, and costs no more than reading it. */
  @Test
  void whateverComesIsRefused() throws InterruptedException {
    Authenticator device = kept();
    JsonMapper json = JsonMapper.builder().build();
    var type = new TypeReference<Map<String, Object>>() {};
    byte[] made = json.writeValueAsBytes(new Authenticator(NAME, ORIGIN).make(wanted(person)));
    byte[] shown = json.writeValueAsBytes(device.show(passkeys.asked()));
    Consumer<byte[]> reads =
        bytes -> {
          Map<String, Object> answer;
          try {
            answer = json.readValue(bytes, type);
          } catch (JacksonException e) {
            return;
          }
          if (answer == null) {
            return;
          }
          tried(() -> keep(person, answer));
          tried(() -> signIn(answer));
        };
    new Wild(
            "answers of passkeys",
            List.of(made, shown),
            List.of("rawId", "response", "null", "[]", "{}", "\"\"", "attestationObject"),
            20_000,
            reads)
        .go(60, 1);
    // The attestation inside, which is CBOR and in base64url no mutation of the text keeps whole.
    Map<String, Object> whole = new Authenticator(NAME, ORIGIN).make(wanted(person));
    @SuppressWarnings("unchecked")
    var response = (Map<String, Object>) Objects.requireNonNull(whole.get("response"));
    byte[] object =
        java.util.Base64.getUrlDecoder().decode(String.valueOf(response.get("attestationObject")));
    new Wild(
            "attestations of passkeys",
            List.of(object),
            List.of("fmt", "attStmt", "authData", "packed", "none", "\u00bf\u00ff"),
            20_000,
            bytes -> {
              var other = new HashMap<>(response);
              other.put("attestationObject", Authenticator.url(bytes));
              var answer = new HashMap<>(whole);
              answer.put("response", other);
              tried(() -> keep(person, answer));
            })
        .go(60, 1);
    assertThat(new String(shown, StandardCharsets.UTF_8)).contains("authenticatorData");
  }

  private static void tried(Runnable act) {
    try {
      act.run();
    } catch (Refused e) {
      assertThat(e.getMessage()).isNotBlank();
    }
  }
}
