package giostra.server.cantina;

import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;

/**
 * A request to a store of objects, as it is signed. Source: the specification of Signature Version
 * 4, from memory; the client that signs is the reference.
 *
 * @param path as it is sent, percent-encoded
 * @param query as it is sent; empty for none
 * @param headers by their names in small letters
 */
record Signed(String method, String path, String query, Map<String, String> headers) {
  private static final Pattern SAID =
      Pattern.compile(
          "AWS4-HMAC-SHA256 Credential=([^/]+)/(\\d{8})/([^/]+)/([^/]+)/aws4_request,\\s*"
              + "SignedHeaders=([^,]+),\\s*Signature=([0-9a-f]{64})");

  /** Whether an account with a secret signed it. */
  boolean isBy(String account, String secret) {
    Matcher said = SAID.matcher(headers.getOrDefault("authorization", ""));
    if (!said.matches() || !said.group(1).equals(account)) {
      return false;
    }
    String signature =
        signature(
            secret, said.group(2), said.group(3), said.group(4), List.of(said.group(5).split(";")));
    return MessageDigest.isEqual(
        signature.getBytes(StandardCharsets.UTF_8), said.group(6).getBytes(StandardCharsets.UTF_8));
  }

  private String signature(
      String secret, String day, String region, String service, List<String> signed) {
    String asked =
        String.join(
            "\n",
            method,
            path,
            sorted(query),
            signed.stream()
                    .map(name ->
                        name + ":" + headers.getOrDefault(name, "").strip().replaceAll(" +", " "))
                    .collect(Collectors.joining("\n"))
                + "\n",
            String.join(";", signed),
            headers.getOrDefault("x-amz-content-sha256", ""));
    String toSign =
        String.join(
            "\n",
            "AWS4-HMAC-SHA256",
            headers.getOrDefault("x-amz-date", ""),
            String.join("/", day, region, service, "aws4_request"),
            HexFormat.of().formatHex(hash(asked.getBytes(StandardCharsets.UTF_8))));
    byte[] key = ("AWS4" + secret).getBytes(StandardCharsets.UTF_8);
    for (String each : List.of(day, region, service, "aws4_request", toSign)) {
      key = mac(key, each);
    }
    return HexFormat.of().formatHex(key);
  }

  private static String sorted(String query) {
    if (query.isEmpty()) {
      return "";
    }
    var by = new TreeMap<String, String>();
    Stream.of(query.split("&"))
        .map(each -> each.split("=", 2))
        .forEach(each -> by.put(each[0], each.length > 1 ? each[1] : ""));
    return by.entrySet().stream()
        .map(each -> each.getKey() + "=" + each.getValue())
        .collect(Collectors.joining("&"));
  }

  /** The SHA-256 of bytes. */
  static byte[] hash(byte[] bytes) {
    try {
      return MessageDigest.getInstance("SHA-256").digest(bytes);
    } catch (GeneralSecurityException e) {
      throw new IllegalStateException(e);
    }
  }

  private static byte[] mac(byte[] key, String text) {
    try {
      Mac mac = Mac.getInstance("HmacSHA256");
      mac.init(new SecretKeySpec(key, "HmacSHA256"));
      return mac.doFinal(text.getBytes(StandardCharsets.UTF_8));
    } catch (GeneralSecurityException e) {
      throw new IllegalStateException(e);
    }
  }
}
