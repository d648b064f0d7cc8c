package dremsa.server.backup;

/**
 * What a file may hold at most. Rows and photos are read one at a time, so none of these but the
 * first two says how much memory a reading takes.
 */
final class Limits {
  /** One row, as JSON. */
  static final int ROW_BYTES = 4 * 1024 * 1024;

  /** One photo: they are drawn anew at most 1600 dots wide when they come in. */
  static final int PHOTO_BYTES = 4 * 1024 * 1024;

  static final int PHOTOS = 100_000;

  /** All rows of all tables. */
  static final int ROWS = 3_000_000;

  /** A JSON text in a row, and how deep the row itself may be: its cells are plain values. */
  static final int DEPTH = 4;

  /**
   * Rows are much alike and pack well; a file that unpacks to still more is made to fill a disk.
   */
  private static final int RATIO = 300;

  private static final long FREE_BYTES = 16L * 1024 * 1024;

  private Limits() {}

  /** Refuses what unpacks to far more than it is. */
  static void checkRatio(long packed, long unpacked) {
    if (unpacked > FREE_BYTES + RATIO * packed) {
      throw new DamagedException("it unpacks to far more than a backup has");
    }
  }
}
