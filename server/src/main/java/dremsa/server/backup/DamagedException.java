package dremsa.server.backup;

/** What a file says cannot be; the words tell the person why. */
final class DamagedException extends RuntimeException {
  private static final long serialVersionUID = 1L;
  private static final int LONGEST = 120;

  DamagedException(String words) {
    super(words);
  }

  static String shorten(String text) {
    return text.length() > LONGEST ? text.substring(0, LONGEST) + "…" : text;
  }
}
