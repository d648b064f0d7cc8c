package dremsa.server.backup;

import java.security.MessageDigest;
import org.apache.commons.codec.binary.Hex;
import org.apache.commons.codec.digest.DigestUtils;

/** Counts and sums up a part of a file while it goes by. */
final class Tally {
  private final MessageDigest digest = DigestUtils.getSha256Digest();
  private long count;
  private long bytes;

  void one(byte[] content) {
    one(content, content.length);
  }

  void one(byte[] buffer, int length) {
    digest.update(buffer, 0, length);
    bytes += length;
    count++;
  }

  long count() {
    return count;
  }

  Manifest.Part done() {
    return new Manifest.Part(count, bytes, Hex.encodeHexString(digest.digest()));
  }
}
