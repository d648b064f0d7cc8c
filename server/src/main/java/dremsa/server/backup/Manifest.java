package dremsa.server.backup;

import java.util.Map;

/**
 * What a file must hold, written at its end: a file that was cut short has none.
 *
 * @param tables by name
 * @param photos all of them in their order, as if they were one
 */
record Manifest(String form, int version, Map<String, Part> tables, Part photos) {
  static final String NAME = "manifest.json";

  /**
   * A part of the file.
   *
   * @param count rows or photos
   * @param bytes unpacked
   * @param sha256 of those bytes, in hexadecimal digits
   */
  record Part(long count, long bytes, String sha256) {}
}
