package dremsa.server.backup;

import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** Counts and sums up a part of a file while it goes by. */
final class Tally {
  private final MessageDigest digest;
  private long count;
  private long bytes;

  Tally() {
    try {
      digest = MessageDigest.getInstance("SHA-256");
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }

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
    return new Manifest.Part(count, bytes, HexFormat.of().formatHex(digest.digest()));
  }
}
