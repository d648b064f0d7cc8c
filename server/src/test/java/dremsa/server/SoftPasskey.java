package dremsa.server;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.Signature;
import java.security.interfaces.ECPublicKey;
import java.security.spec.ECGenParameterSpec;
import java.util.Arrays;
import java.util.Base64;
import java.util.HashMap;
import java.util.Map;
import org.apache.commons.codec.digest.DigestUtils;

/**
 * A device that holds one passkey, written after the bytes of W3C, Web Authentication, Level 2,
 * sections 6.1 (authenticator data) and 6.5 (attestation), and of RFC 9052 (a key in CBOR).
 */
final class SoftPasskey {
  private static final int PRESENT = 0x01;
  private static final int VERIFIED = 0x04;
  private static final int WITH_KEY = 0x40;

  private final KeyPair keys;
  private final byte[] id = new byte[32];
  private final String origin;
  private final String rpId;
  private boolean verifies = true;
  private int uses;
  private String owner = "";

  /**
   * @param origin of the page that asks it, as a browser tells it
   */
  SoftPasskey(String origin, String rpId) throws GeneralSecurityException {
    KeyPairGenerator generator = KeyPairGenerator.getInstance("EC");
    generator.initialize(new ECGenParameterSpec("secp256r1"));
    this.keys = generator.generateKeyPair();
    new java.security.SecureRandom().nextBytes(id);
    this.origin = origin;
    this.rpId = rpId;
  }

  /** From now on it asks its owner for nothing, like one that lies about. */
  void asksNobody() {
    verifies = false;
  }

  /** What its browser sends when the server asked for a new passkey. */
  Map<String, Object> made(Visitor.Answer options) {
    owner = options.text("/user/id");
    byte[] data = told(WITH_KEY, cat(new byte[16], new byte[] {0, (byte) id.length}, id, cose()));
    byte[] attestation =
        cat(
            new byte[] {(byte) 0xA3, 0x63},
            utf8("fmt"),
            new byte[] {0x64},
            utf8("none"),
            new byte[] {0x67},
            utf8("attStmt"),
            new byte[] {(byte) 0xA0, 0x68},
            utf8("authData"),
            new byte[] {0x58, (byte) data.length},
            data);
    return credential(
        Map.of(
            "attestationObject", text(attestation),
            "clientDataJSON", text(client("webauthn.create", options.text("/challenge"))),
            "transports", new String[] {"internal"}));
  }

  /** What its browser sends when the server asked who is there. */
  Map<String, Object> answer(Visitor.Answer options) throws GeneralSecurityException {
    uses++;
    byte[] data = told(0, new byte[0]);
    byte[] client = client("webauthn.get", options.text("/challenge"));
    Signature signature = Signature.getInstance("SHA256withECDSA");
    signature.initSign(keys.getPrivate());
    signature.update(data);
    signature.update(DigestUtils.sha256(client));
    return credential(
        Map.of(
            "authenticatorData", text(data),
            "clientDataJSON", text(client),
            "signature", text(signature.sign()),
            "userHandle", owner));
  }

  private Map<String, Object> credential(Map<String, Object> response) {
    Map<String, Object> credential = new HashMap<>();
    credential.put("id", text(id));
    credential.put("rawId", text(id));
    credential.put("type", "public-key");
    credential.put("authenticatorAttachment", "platform");
    credential.put("clientExtensionResults", Map.of());
    credential.put("response", response);
    return Map.of("credential", credential);
  }

  private byte[] told(int flags, byte[] more) {
    int all = PRESENT | (verifies ? VERIFIED : 0) | flags;
    return cat(
        DigestUtils.sha256(rpId),
        new byte[] {(byte) all},
        ByteBuffer.allocate(4).putInt(uses).array(),
        more);
  }

  private byte[] client(String type, String challenge) {
    return utf8(
        """
        {"type":"%s","challenge":"%s","origin":"%s","crossOrigin":false}"""
            .formatted(type, challenge, origin));
  }

  /** An elliptic key, ES256, on P-256. */
  private byte[] cose() {
    ECPublicKey key = (ECPublicKey) keys.getPublic();
    return cat(
        new byte[] {(byte) 0xA5, 0x01, 0x02, 0x03, 0x26, 0x20, 0x01, 0x21, 0x58, 0x20},
        fixed(key.getW().getAffineX().toByteArray()),
        new byte[] {0x22, 0x58, 0x20},
        fixed(key.getW().getAffineY().toByteArray()));
  }

  /** Of 32 bytes, whatever sign or noughts a number is written with. */
  private static byte[] fixed(byte[] number) {
    byte[] out = new byte[32];
    int length = Math.min(32, number.length);
    System.arraycopy(number, number.length - length, out, 32 - length, length);
    return out;
  }

  private static byte[] cat(byte[]... parts) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    Arrays.stream(parts).forEach(out::writeBytes);
    return out.toByteArray();
  }

  private static byte[] utf8(String text) {
    return text.getBytes(StandardCharsets.UTF_8);
  }

  private static String text(byte[] bytes) {
    return Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
  }
}
