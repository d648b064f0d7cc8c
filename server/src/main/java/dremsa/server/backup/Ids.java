package dremsa.server.backup;

import java.nio.ByteBuffer;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.commons.codec.digest.DigestUtils;
import org.jspecify.annotations.Nullable;

/**
 * The ids of a file that is read in. Each is given anew from a secret made for this reading, so
 * that the same old id always becomes the same new one and none can be made to hit a row that
 * exists.
 */
final class Ids {
  static final Pattern ID =
      Pattern.compile("[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}");

  /** Stands before the ids of a household's own formulas. */
  static final String OWN = "own-";

  /** So many fit into the memory that a reading may use. */
  private static final int MOST = 400_000;

  private final byte[] secret = new byte[32];
  private final MessageDigest digest = DigestUtils.getSha256Digest();
  private final Map<String, Set<UUID>> standing = new HashMap<>();

  /** Form 1 could refer to what was gone: such a reference is dropped where it may be empty. */
  private final boolean mayDangle;

  private int number;

  Ids(boolean mayDangle) {
    this.mayDangle = mayDangle;
    new SecureRandom().nextBytes(secret);
  }

  /** A row with this id stands in the file. */
  void stands(String table, UUID id) {
    if (++number > MOST) {
      throw new DamagedException("there are more than " + MOST + " things in it");
    }
    if (!standing.computeIfAbsent(table, t -> new HashSet<>()).add(id)) {
      throw new DamagedException("there are two of the id " + id);
    }
  }

  boolean has(String table, UUID id) {
    return standing.getOrDefault(table, Set.of()).contains(id);
  }

  UUID anew(UUID old) {
    digest.reset();
    digest.update(secret);
    digest.update(
        ByteBuffer.allocate(16)
            .putLong(old.getMostSignificantBits())
            .putLong(old.getLeastSignificantBits())
            .array());
    ByteBuffer hash = ByteBuffer.wrap(digest.digest());
    // As random ones look: version 4, variant 2.
    long high = (hash.getLong() & ~0xF000L) | 0x4000L;
    long low = (hash.getLong() & 0x3FFF_FFFF_FFFF_FFFFL) | 0x8000_0000_0000_0000L;
    return new UUID(high, low);
  }

  /** A text in which every id is given anew, known or not: none of them points outside the file. */
  String anewIn(String text) {
    Matcher found = ID.matcher(text);
    StringBuilder changed = new StringBuilder();
    while (found.find()) {
      found.appendReplacement(changed, anew(UUID.fromString(found.group())).toString());
    }
    return found.appendTail(changed).toString();
  }

  /**
   * The new id of a row that is referred to.
   *
   * @return null where the reference may dangle, and does
   */
  @Nullable String referred(String table, String text) {
    Matcher found = ID.matcher(text);
    if (!found.find()
        || found.end() != text.length()
        || !(found.start() == 0 || text.startsWith(OWN) && found.start() == OWN.length())) {
      throw new DamagedException("'" + DamagedException.shorten(text) + "' is no id");
    }
    if (!has(table, UUID.fromString(found.group()))) {
      if (mayDangle) {
        return null;
      }
      throw new DamagedException("'" + text + "' does not stand in this file");
    }
    return anewIn(text);
  }
}
