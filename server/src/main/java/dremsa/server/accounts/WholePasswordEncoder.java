package dremsa.server.accounts;

import java.util.Base64;
import java.util.Objects;
import org.apache.commons.codec.digest.DigestUtils;
import org.springframework.security.crypto.password.AbstractValidatingPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;

/**
 * Takes a password whole, however long. bcrypt reads no more than 72 bytes, which fifty letters
 * with accents have already; so it is given the password's SHA-256, in 44 characters without a zero
 * byte.
 */
final class WholePasswordEncoder extends AbstractValidatingPasswordEncoder {
  private final PasswordEncoder slow;

  WholePasswordEncoder(PasswordEncoder slow) {
    this.slow = slow;
  }

  @Override
  protected String encodeNonNullPassword(String password) {
    return Objects.requireNonNull(slow.encode(digest(password)));
  }

  @Override
  protected boolean matchesNonNull(String password, String encoded) {
    return slow.matches(digest(password), encoded);
  }

  private static String digest(String password) {
    return Base64.getEncoder().encodeToString(DigestUtils.sha256(password));
  }
}
