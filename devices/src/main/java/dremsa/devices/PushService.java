package dremsa.devices;

import java.math.BigInteger;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.AlgorithmParameters;
import java.security.GeneralSecurityException;
import java.security.KeyFactory;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.SecureRandom;
import java.security.Signature;
import java.security.interfaces.ECPublicKey;
import java.security.spec.ECGenParameterSpec;
import java.security.spec.ECParameterSpec;
import java.security.spec.ECPoint;
import java.security.spec.ECPublicKeySpec;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import javax.crypto.Cipher;
import javax.crypto.KeyAgreement;
import javax.crypto.Mac;
import javax.crypto.spec.GCMParameterSpec;
import javax.crypto.spec.SecretKeySpec;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Stands in for a browser and its push service: hands out subscriptions with keys of their own,
 * takes calls as RFC 8030 says, checks who signed them (RFC 8292) and reads them (RFC 8291).
 * Written from the RFCs alone, so that it also holds what is sent against them.
 */
final class PushService {
  private static final Base64.Encoder BASE64 = Base64.getUrlEncoder().withoutPadding();
  private static final Base64.Decoder UNBASE64 = Base64.getUrlDecoder();
  private static final int POINT = 65;
  private static final int SECRET = 16;
  private static final int SALT = 16;
  private static final int HEADER = SALT + 4 + 1;
  private static final int COORDINATE = 32;

  /** How a service fails when it is told to. */
  enum Failure {
    NONE,
    BUSY,
    GONE
  }

  /** What a browser tells a page of its subscription. */
  record Subscription(String endpoint, Map<String, String> keys) {}

  /** A call that arrived. */
  record Arrived(Instant at, int ttl, String urgency, JsonNode message) {}

  /** An answer of the service. */
  record Answer(int status, String words) {}

  private static final class Browser {
    private final KeyPair keys;
    private final byte[] secret;
    private final List<Arrived> arrived = new ArrayList<>();
    private Failure failure = Failure.NONE;

    Browser(KeyPair keys, byte[] secret) {
      this.keys = keys;
      this.secret = secret;
    }
  }

  private final JsonMapper json = JsonMapper.builder().build();
  private final Clock clock;
  private final SecureRandom random = new SecureRandom();
  private final Map<String, Browser> browsers = new ConcurrentHashMap<>();

  PushService(Clock clock) {
    this.clock = clock;
  }

  /** A browser subscribes. */
  Subscription subscribe(String base) {
    try {
      KeyPairGenerator generator = KeyPairGenerator.getInstance("EC");
      generator.initialize(new ECGenParameterSpec("secp256r1"));
      byte[] secret = new byte[SECRET];
      random.nextBytes(secret);
      Browser browser = new Browser(generator.generateKeyPair(), secret);
      byte[] id = new byte[SECRET];
      random.nextBytes(id);
      String name = BASE64.encodeToString(id);
      browsers.put(name, browser);
      return new Subscription(
          base + "/push/" + name,
          Map.of(
              "p256dh", BASE64.encodeToString(point((ECPublicKey) browser.keys.getPublic())),
              "auth", BASE64.encodeToString(secret)));
    } catch (GeneralSecurityException e) {
      throw new IllegalStateException(e);
    }
  }

  /** What arrived at a browser; empty when there is no such browser. */
  Optional<List<Arrived>> arrived(String id) {
    return Optional.ofNullable(browsers.get(id)).map(browser -> List.copyOf(browser.arrived));
  }

  /** Lets a browser's service fail from now on. */
  boolean fail(String id, Failure failure) {
    Browser browser = browsers.get(id);
    if (browser != null) {
      browser.failure = failure;
    }
    return browser != null;
  }

  /** A call for a browser. */
  Answer take(String id, Map<String, String> headers, byte[] body, String origin) {
    Browser browser = browsers.get(id);
    if (browser == null || browser.failure == Failure.GONE) {
      return new Answer(410, "gone");
    } else if (browser.failure == Failure.BUSY) {
      return new Answer(503, "busy");
    } else if (!"aes128gcm".equals(headers.get("content-encoding"))) {
      return new Answer(415, "not encrypted as RFC 8188 says");
    }
    try {
      if (!signed(headers.getOrDefault("authorization", ""), origin)) {
        return new Answer(403, "not signed as RFC 8292 says");
      }
      JsonNode message = json.readTree(new String(open(browser, body), StandardCharsets.UTF_8));
      browser.arrived.add(
          new Arrived(
              clock.instant(),
              Integer.parseInt(headers.getOrDefault("ttl", "")),
              headers.getOrDefault("urgency", "normal"),
              message));
      return new Answer(201, "created");
    } catch (GeneralSecurityException | RuntimeException e) {
      return new Answer(400, "cannot be read: " + e.getMessage());
    }
  }

  /** RFC 8292: "vapid t=token, k=key"; the token names this service and is not over. */
  private boolean signed(String authorization, String origin) throws GeneralSecurityException {
    Map<String, String> parts = new ConcurrentHashMap<>();
    for (String part : authorization.replaceFirst("^vapid ", "").split(",")) {
      String[] pair = part.strip().split("=", 2);
      if (pair.length == 2) {
        parts.put(pair[0], pair[1]);
      }
    }
    if (!authorization.startsWith("vapid ") || !parts.containsKey("t") || !parts.containsKey("k")) {
      return false;
    }
    String[] token = parts.get("t").split("\\.");
    Signature check = Signature.getInstance("SHA256withECDSAinP1363Format");
    check.initVerify(publicKey(UNBASE64.decode(parts.get("k"))));
    check.update((token[0] + "." + token[1]).getBytes(StandardCharsets.US_ASCII));
    JsonNode claims = json.readTree(UNBASE64.decode(token[1]));
    Instant until = Instant.ofEpochSecond(claims.get("exp").asLong());
    return check.verify(UNBASE64.decode(token[2]))
        // Signers differ on whether a port that is not the usual one belongs to the audience.
        && (claims.get("aud").asString().equals(origin)
            || claims.get("aud").asString().equals(origin.replaceFirst(":\\d+$", "")))
        && until.isAfter(clock.instant())
        && until.isBefore(clock.instant().plusSeconds(24 * 3600 + 60));
  }

  /** RFC 8291, section 3.4, and RFC 8188 for one record. */
  private static byte[] open(Browser browser, byte[] body) throws GeneralSecurityException {
    byte[] salt = Arrays.copyOf(body, SALT);
    int length = body[HEADER - 1] & 0xff;
    byte[] sender = Arrays.copyOfRange(body, HEADER, HEADER + length);
    KeyAgreement agreement = KeyAgreement.getInstance("ECDH");
    agreement.init(browser.keys.getPrivate());
    agreement.doPhase(publicKey(sender), true);
    byte[] info =
        joined(
            "WebPush: info\0".getBytes(StandardCharsets.US_ASCII),
            point((ECPublicKey) browser.keys.getPublic()),
            sender);
    byte[] material = expand(mac(browser.secret, agreement.generateSecret()), info, 32);
    byte[] pseudo = mac(salt, material);
    byte[] key =
        expand(pseudo, "Content-Encoding: aes128gcm\0".getBytes(StandardCharsets.US_ASCII), 16);
    byte[] nonce =
        expand(pseudo, "Content-Encoding: nonce\0".getBytes(StandardCharsets.US_ASCII), 12);
    Cipher cipher = Cipher.getInstance("AES/GCM/NoPadding");
    cipher.init(
        Cipher.DECRYPT_MODE, new SecretKeySpec(key, "AES"), new GCMParameterSpec(128, nonce));
    byte[] padded = cipher.doFinal(body, HEADER + length, body.length - HEADER - length);
    int end = padded.length - 1;
    while (padded[end] == 0) {
      end--;
    }
    if (padded[end] != 2) {
      throw new GeneralSecurityException("the last record ends with 2");
    }
    return Arrays.copyOf(padded, end);
  }

  private static byte[] mac(byte[] key, byte[] data) throws GeneralSecurityException {
    Mac mac = Mac.getInstance("HmacSHA256");
    mac.init(new SecretKeySpec(key, "HmacSHA256"));
    return mac.doFinal(data);
  }

  private static byte[] expand(byte[] key, byte[] info, int length)
      throws GeneralSecurityException {
    return Arrays.copyOf(mac(key, joined(info, new byte[] {1})), length);
  }

  private static byte[] joined(byte[]... parts) {
    ByteBuffer all = ByteBuffer.allocate(Arrays.stream(parts).mapToInt(p -> p.length).sum());
    Arrays.stream(parts).forEach(all::put);
    return all.array();
  }

  private static byte[] point(ECPublicKey key) {
    byte[] point = new byte[POINT];
    point[0] = 4;
    coordinate(key.getW().getAffineX(), point, 1);
    coordinate(key.getW().getAffineY(), point, 1 + COORDINATE);
    return point;
  }

  private static void coordinate(BigInteger value, byte[] into, int at) {
    byte[] bytes = value.toByteArray();
    int from = Math.max(0, bytes.length - COORDINATE);
    int length = bytes.length - from;
    System.arraycopy(bytes, from, into, at + COORDINATE - length, length);
  }

  private static ECPublicKey publicKey(byte[] point) throws GeneralSecurityException {
    AlgorithmParameters curve = AlgorithmParameters.getInstance("EC");
    curve.init(new ECGenParameterSpec("secp256r1"));
    ECPoint at =
        new ECPoint(
            new BigInteger(1, Arrays.copyOfRange(point, 1, 1 + COORDINATE)),
            new BigInteger(1, Arrays.copyOfRange(point, 1 + COORDINATE, POINT)));
    return (ECPublicKey)
        KeyFactory.getInstance("EC")
            .generatePublic(new ECPublicKeySpec(at, curve.getParameterSpec(ECParameterSpec.class)));
  }
}
