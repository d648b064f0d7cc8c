package dremsa.server.accounts;

import java.security.SecureRandom;
import java.util.Locale;
import org.apache.commons.codec.binary.Base32;
import org.apache.commons.codec.digest.DigestUtils;

/**
 * A secret that somebody reads aloud or writes off paper: twelve letters and digits, 60 bits, of
 * which only the hash is kept. In the alphabet none looks like another.
 */
public final class Code {
  private static final int BYTES = 10;

  /** Of five bits each, in the alphabet of RFC 4648, which has no 0, 1 and 8. */
  private static final int LENGTH = 12;

  private static final int GROUP = 4;
  private static final SecureRandom RANDOM = new SecureRandom();

  private Code() {}

  /** A new one, in groups of four. */
  public static String make() {
    byte[] bytes = new byte[BYTES];
    RANDOM.nextBytes(bytes);
    String letters = new Base32().encodeAsString(bytes).substring(0, LENGTH);
    return letters.replaceAll("(.{" + GROUP + "})(?!$)", "$1-");
  }

  /** What is kept of a code, however it was typed: small letters, spaces, 0 for O and 1 for I. */
  public static String hash(String typed) {
    String letters =
        typed
            .toUpperCase(Locale.ROOT)
            .replaceAll("[^A-Z0-9]", "")
            .replace('0', 'O')
            .replace('1', 'I')
            .replace('8', 'B');
    return DigestUtils.sha256Hex(letters);
  }
}
