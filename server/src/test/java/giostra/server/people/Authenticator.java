package giostra.server.people;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.security.Signature;
import java.security.interfaces.ECPublicKey;
import java.security.spec.ECGenParameterSpec;
import java.util.Arrays;
import java.util.Base64;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import tools.jackson.databind.json.JsonMapper;

/**
 * A device with one passkey, and the browser before it. Written after W3C WebAuthn, 6.1
 * (authenticator data), 6.5 (attested credential data, "none"), 5.8.1 (client data), RFC 9052 (keys
 * in COSE) and RFC 8949 (CBOR), and not after what reads it. Each of its fields can be set wrong.
 */
final class Authenticator {
  static final int PRESENT = 0x01;
  static final int VERIFIED = 0x04;
  private static final int ATTESTED = 0x40;
  private static final int EXTENDED = 0x80;

  final KeyPair keys = pair();
  final byte[] id = new byte[32];
  String origin;
  String name;
  int flags = PRESENT | VERIFIED;
  int uses;

  /** What it adds of its own, in CBOR: a map, where it is one of the standard. */
  byte[] extensions = new byte[0];

  String made = "webauthn.create";
  String shown = "webauthn.get";
  KeyPair signs = keys;
  List<String> transports = List.of("internal", "hybrid");

  Authenticator(String name, String origin) {
    new SecureRandom().nextBytes(id);
    this.name = name;
    this.origin = origin;
  }

  private static KeyPair pair() {
    try {
      KeyPairGenerator generator = KeyPairGenerator.getInstance("EC");
      generator.initialize(new ECGenParameterSpec("secp256r1"));
      return generator.generateKeyPair();
    } catch (GeneralSecurityException e) {
      throw new IllegalStateException(e);
    }
  }

  /** Another key, of nobody's. */
  static KeyPair another() {
    return pair();
  }

  static String url(byte[] bytes) {
    return Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
  }

  private static byte[] sha256(byte[] bytes) {
    try {
      return MessageDigest.getInstance("SHA-256").digest(bytes);
    } catch (GeneralSecurityException e) {
      throw new IllegalStateException(e);
    }
  }

  static byte[] join(byte[]... parts) {
    var all = new ByteArrayOutputStream();
    for (byte[] each : parts) {
      all.writeBytes(each);
    }
    return all.toByteArray();
  }

  private static byte[] head(int major, int length) {
    if (length < 24) {
      return new byte[] {(byte) (major << 5 | length)};
    }
    return length < 256
        ? new byte[] {(byte) (major << 5 | 24), (byte) length}
        : new byte[] {(byte) (major << 5 | 25), (byte) (length >> 8), (byte) length};
  }

  private static byte[] text(String text) {
    byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
    return join(head(3, bytes.length), bytes);
  }

  private static byte[] bytes(byte[] bytes) {
    return join(head(2, bytes.length), bytes);
  }

  /** A coordinate in 32 bytes. */
  private static byte[] coordinate(java.math.BigInteger number) {
    byte[] written = number.toByteArray();
    var all = new byte[32];
    int length = Math.min(32, written.length);
    System.arraycopy(written, written.length - length, all, 32 - length, length);
    return all;
  }

  /** The public key: EC2, ES256, P-256. */
  private byte[] cose() {
    var point = ((ECPublicKey) keys.getPublic()).getW();
    return join(
        head(5, 5),
        new byte[] {0x01, 0x02, 0x03, 0x26, 0x20, 0x01, 0x21},
        bytes(coordinate(point.getAffineX())),
        new byte[] {0x22},
        bytes(coordinate(point.getAffineY())));
  }

  private byte[] data(int part, byte[] rest) {
    int more = extensions.length == 0 ? part : part | EXTENDED;
    return join(
        sha256(name.getBytes(StandardCharsets.UTF_8)),
        new byte[] {(byte) (flags | more)},
        ByteBuffer.allocate(4).putInt(uses).array(),
        rest,
        extensions);
  }

  private static Object asked(Map<String, Object> options) {
    return Objects.requireNonNull(options.get("challenge"));
  }

  private byte[] client(String type, Object challenge) {
    var said = new HashMap<String, Object>();
    said.put("type", type);
    said.put("challenge", challenge);
    said.put("origin", origin);
    said.put("crossOrigin", false);
    return JsonMapper.builder().build().writeValueAsBytes(said);
  }

  private Map<String, Object> credential(Map<String, Object> response) {
    return Map.of(
        "id",
        url(id),
        "rawId",
        url(id),
        "type",
        "public-key",
        "authenticatorAttachment",
        "platform",
        "clientExtensionResults",
        Map.of(),
        "response",
        response);
  }

  /** What it answers to what it is asked to make one by. */
  Map<String, Object> make(Map<String, Object> options) {
    byte[] attested =
        join(new byte[16], ByteBuffer.allocate(2).putShort((short) id.length).array(), id, cose());
    byte[] object =
        join(
            head(5, 3),
            text("fmt"),
            text("none"),
            text("attStmt"),
            head(5, 0),
            text("authData"),
            bytes(data(ATTESTED, attested)));
    return credential(
        Map.of(
            "clientDataJSON",
            url(client(made, asked(options))),
            "attestationObject",
            url(object),
            "transports",
            transports));
  }

  /** What it answers to what it is asked to show one by. */
  Map<String, Object> show(Map<String, Object> options) {
    byte[] client = client(shown, asked(options));
    byte[] data = data(0, new byte[0]);
    try {
      Signature signature = Signature.getInstance("SHA256withECDSA");
      signature.initSign(signs.getPrivate());
      signature.update(join(data, sha256(client)));
      return credential(
          Map.of(
              "clientDataJSON",
              url(client),
              "authenticatorData",
              url(data),
              "signature",
              url(signature.sign()),
              "userHandle",
              url(Arrays.copyOf(id, 8))));
    } catch (GeneralSecurityException e) {
      throw new IllegalStateException(e);
    }
  }
}
