package dremsa.server.history;

import dremsa.core.keep.DiscardReason;

/**
 * Lines that earlier versions wrote, in tables and backups, tell in words alone: the two of them
 * that others reckon with are read from there. No line of today is read so.
 */
final class EarlierWords {
  private static final String POURED_INTO = "poured into ";

  private EarlierWords() {}

  static Told told(Happening.Kind kind, String detail) {
    if (kind == Happening.Kind.DISCARDED) {
      String[] parts = detail.split(": ", 2);
      for (DiscardReason reason : DiscardReason.values()) {
        if (reason.name().equals(parts[0])) {
          return new Told.Discarded(reason, parts.length > 1 ? parts[1] : "");
        }
      }
      return new Told.Discarded(DiscardReason.OTHER, detail);
    }
    return kind == Happening.Kind.TAKEN && detail.startsWith(POURED_INTO)
        ? new Told.Brewed(detail.substring(POURED_INTO.length()))
        : new Told.Words(detail);
  }
}
