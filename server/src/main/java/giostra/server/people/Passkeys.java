package giostra.server.people;

import com.webauthn4j.util.exception.WebAuthnException;
import giostra.core.value.Refused;
import giostra.server.host.Ports;
import giostra.server.web.Gone;
import java.time.Clock;
import java.util.Arrays;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.web.webauthn.api.AuthenticatorAssertionResponse;
import org.springframework.security.web.webauthn.api.AuthenticatorAttestationResponse;
import org.springframework.security.web.webauthn.api.AuthenticatorResponse;
import org.springframework.security.web.webauthn.api.AuthenticatorSelectionCriteria;
import org.springframework.security.web.webauthn.api.AuthenticatorTransport;
import org.springframework.security.web.webauthn.api.Bytes;
import org.springframework.security.web.webauthn.api.PublicKeyCredential;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialRpEntity;
import org.springframework.security.web.webauthn.api.ResidentKeyRequirement;
import org.springframework.security.web.webauthn.api.UserVerificationRequirement;
import org.springframework.security.web.webauthn.jackson.WebauthnJacksonModule;
import org.springframework.security.web.webauthn.management.ImmutablePublicKeyCredentialCreationOptionsRequest;
import org.springframework.security.web.webauthn.management.ImmutablePublicKeyCredentialRequestOptionsRequest;
import org.springframework.security.web.webauthn.management.ImmutableRelyingPartyRegistrationRequest;
import org.springframework.security.web.webauthn.management.RelyingPartyAuthenticationRequest;
import org.springframework.security.web.webauthn.management.RelyingPartyPublicKey;
import org.springframework.security.web.webauthn.management.WebAuthnRelyingPartyOperations;
import org.springframework.security.web.webauthn.management.Webauthn4JRelyingPartyOperations;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;

/**
 * Passkeys: a device proves with a key of its own that it is somebody's, after it has made sure
 * that it is them who hold it; nothing that could be overheard or guessed goes over the net. The
 * ceremonies are those of W3C WebAuthn (7.1 and 7.2), by Spring Security.
 */
@Service
class Passkeys {
  /** Passkeys of one person. */
  static final int MOST = 20;

  /** Characters of what a browser answers, and of what it says of its own in it. */
  private static final int LONGEST = 32_000;

  private static final int DEEPEST = 20;

  /** By which a browser reaches what has a passkey. Source: W3C WebAuthn, 5.8.4. */
  private static final Set<String> WAYS =
      Arrays.stream(AuthenticatorTransport.values())
          .map(AuthenticatorTransport::getValue)
          .collect(Collectors.toUnmodifiableSet());

  private static final TypeReference<PublicKeyCredential<AuthenticatorAttestationResponse>> MADE =
      new TypeReference<>() {};
  private static final TypeReference<PublicKeyCredential<AuthenticatorAssertionResponse>> SHOWN =
      new TypeReference<>() {};
  private static final TypeReference<Map<String, Object>> PLAIN = new TypeReference<>() {};

  /** What is being asked, or was. */
  private static final ScopedValue<Bytes> CHALLENGE = ScopedValue.newInstance();

  private static final JsonMapper JSON =
      JsonMapper.builder(
              JsonFactory.builder()
                  .streamReadConstraints(
                      StreamReadConstraints.builder().maxNestingDepth(DEEPEST).build())
                  .build())
          .addModule(new WebauthnJacksonModule())
          .build();

  private final PeopleRows rows;
  private final Challenges challenges;
  private final Called called;
  private final Clock clock;
  private @Nullable WebAuthnRelyingPartyOperations made;

  /** What passkeys belong to. */
  interface Called {
    /** The name; none for a server that is called by a number. */
    Optional<String> name();

    /** The origin of the bench, where alone they are asked for. */
    String origin();
  }

  @Autowired
  Passkeys(PeopleRows rows, Challenges challenges, Ports ports, Clock clock) {
    this(rows, challenges, of(ports), clock);
  }

  Passkeys(PeopleRows rows, Challenges challenges, Called called, Clock clock) {
    this.rows = rows;
    this.challenges = challenges;
    this.called = called;
    this.clock = clock;
  }

  private static Called of(Ports ports) {
    return new Called() {
      @Override
      public Optional<String> name() {
        return ports.named();
      }

      @Override
      public String origin() {
        return ports.bench();
      }
    };
  }

  /** Whether there can be any: they belong to a name, and this server may have none. */
  boolean possible() {
    return called.name().isPresent();
  }

  List<PeopleRows.PasskeyLine> of(String person) {
    return rows.passkeyLines(person);
  }

  /** What a browser is asked to make one by, as W3C WebAuthn writes it in JSON. */
  @Transactional
  Map<String, Object> wanted(String person) {
    var challenge = new Bytes(challenges.drawn(making(person)));
    return plain(
        asking(
            challenge,
            operations ->
                operations.createPublicKeyCredentialCreationOptions(
                    new ImmutablePublicKeyCredentialCreationOptionsRequest(is(person)))));
  }

  /**
   * Keeps one that a browser has made.
   *
   * @param name what its owner calls it
   * @param answer the credential, as W3C WebAuthn writes it in JSON
   * @throws Refused where it is not what was asked for
   */
  @Transactional
  void keep(String person, String name, Map<String, Object> answer) {
    String called = Parts.name(name);
    rows.lock(person);
    PublicKeyCredential<AuthenticatorAttestationResponse> made = read(answer, MADE);
    Bytes challenge = challenge(made.getResponse(), making(person));
    proven(
        challenge,
        operations ->
            operations.registerCredential(
                new ImmutableRelyingPartyRegistrationRequest(
                    operations.createPublicKeyCredentialCreationOptions(
                        new ImmutablePublicKeyCredentialCreationOptionsRequest(is(person))),
                    new RelyingPartyPublicKey(made, called))));
    challenges.use(challenge.getBytes());
  }

  void drop(String person, String id) {
    if (rows.dropPasskey(person, id) == 0) {
      throw new Gone("passkey", id);
    }
  }

  /** What a browser is asked to show one by, whosever it is. */
  Map<String, Object> asked() {
    var challenge = new Bytes(challenges.drawn(ENTERING));
    return plain(
        asking(
            challenge,
            operations ->
                operations.createCredentialRequestOptions(
                    new ImmutablePublicKeyCredentialRequestOptionsRequest(null))));
  }

  /**
   * Whose passkey it is that a browser shows.
   *
   * @throws Refused where it proves nothing
   */
  @Transactional
  PeopleRows.Person signIn(Map<String, Object> answer) {
    PublicKeyCredential<AuthenticatorAssertionResponse> shown = read(answer, SHOWN);
    Bytes challenge = challenge(shown.getResponse(), ENTERING);
    String handle =
        proven(
            challenge,
            operations ->
                operations
                    .authenticate(
                        new RelyingPartyAuthenticationRequest(
                            operations.createCredentialRequestOptions(
                                new ImmutablePublicKeyCredentialRequestOptionsRequest(null)),
                            shown))
                    .getId()
                    .toBase64UrlString());
    challenges.use(challenge.getBytes());
    return rows.handled(handle).orElseThrow(() -> refused("none that is known here"));
  }

  private static final String ENTERING = "enter";

  private static String making(String person) {
    return "make " + person;
  }

  private static Authentication is(String person) {
    return UsernamePasswordAuthenticationToken.authenticated(person, null, List.of());
  }

  /** Does something with the ceremonies, all of it about one challenge. */
  private <T> T asking(Bytes challenge, Function<WebAuthnRelyingPartyOperations, T> does) {
    WebAuthnRelyingPartyOperations with = operations();
    return ScopedValue.where(CHALLENGE, challenge).call(() -> does.apply(with));
  }

  /** Those of this server; they take a while to make, and its name is known when it listens. */
  private synchronized WebAuthnRelyingPartyOperations operations() {
    @Nullable WebAuthnRelyingPartyOperations there = made;
    if (there == null) {
      there = make();
      made = there;
    }
    return there;
  }

  private WebAuthnRelyingPartyOperations make() {
    String name =
        called
            .name()
            .orElseThrow(() ->
                new Refused(
                    "passkey",
                    "asked for at " + called.origin(),
                    "a server that is called by a name, with https (GIOSTRA_BENCH_ORIGIN)"));
    var kept = new KeptPasskeys(rows, clock);
    var operations =
        new Webauthn4JRelyingPartyOperations(
            kept,
            kept,
            PublicKeyCredentialRpEntity.builder().id(name).name("Giostra").build(),
            Set.of(called.origin()));
    // The device makes sure who holds it: that, and having it, are the two that there are.
    operations.setCustomizeCreationOptions(options ->
        options
            .challenge(CHALLENGE.get())
            .timeout(Challenges.ANSWERED)
            .authenticatorSelection(
                AuthenticatorSelectionCriteria.builder()
                    .residentKey(ResidentKeyRequirement.REQUIRED)
                    .userVerification(UserVerificationRequirement.REQUIRED)
                    .build()));
    operations.setCustomizeRequestOptions(options ->
        options
            .challenge(CHALLENGE.get())
            .timeout(Challenges.ANSWERED)
            .userVerification(UserVerificationRequirement.REQUIRED));
    return operations;
  }

  private static Map<String, Object> plain(Object options) {
    return JSON.convertValue(options, PLAIN);
  }

  private static <R extends AuthenticatorResponse> PublicKeyCredential<R> read(
      Map<String, Object> answer, TypeReference<PublicKeyCredential<R>> type) {
    try {
      JsonNode plain = JSON.valueToTree(answer);
      // A newer browser knows ways that its standard adds: what nobody here knows is left out.
      if (plain.path("response").path("transports") instanceof ArrayNode ways) {
        ways.removeIf(way -> !WAYS.contains(way.asString("")));
      }
      String written = plain.toString();
      if (written.length() > LONGEST) {
        throw refused(written.length() + " characters long");
      }
      PublicKeyCredential<R> read = JSON.readValue(written, type);
      @Nullable R response = read.getResponse();
      if (read.getRawId() == null || response == null || !isWhole(response)) {
        throw refused("incomplete");
      }
      return read;
    } catch (JacksonException | IllegalArgumentException e) {
      throw e instanceof Refused said ? said : refused("not what a browser answers");
    }
  }

  /** Whether all is there that the ceremonies take to be there. */
  private static boolean isWhole(AuthenticatorResponse response) {
    return response.getClientDataJSON() != null
        && switch (response) {
          case AuthenticatorAttestationResponse made -> made.getAttestationObject() != null;
          case AuthenticatorAssertionResponse shown ->
              shown.getAuthenticatorData() != null && shown.getSignature() != null;
          default -> false;
        };
  }

  /** What a browser says that it was asked, when it was asked here. */
  private Bytes challenge(AuthenticatorResponse response, String what) {
    byte[] challenge;
    try {
      challenge =
          Base64.getUrlDecoder()
              .decode(
                  JSON.readTree(response.getClientDataJSON().getBytes())
                      .path("challenge")
                      .asString(""));
    } catch (JacksonException | IllegalArgumentException e) {
      throw refused("not what a browser answers");
    }
    challenges.check(challenge, what);
    return new Bytes(challenge);
  }

  private <T> T proven(Bytes challenge, Function<WebAuthnRelyingPartyOperations, T> ceremony) {
    try {
      return asking(challenge, ceremony);
    } catch (Refused e) {
      throw e;
    } catch (WebAuthnException
        | JacksonException
        | IllegalArgumentException
        | ClassCastException e) {
      // The last: the library takes extensions that are no map to be one.
      throw refused("one that proves nothing here");
    }
  }

  static Refused refused(String found) {
    return new Refused(
        "passkey", found, "one that was made at this address and has not been ended since");
  }
}
