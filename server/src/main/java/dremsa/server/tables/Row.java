package dremsa.server.tables;

import dremsa.core.measure.Said;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/** One line of a table, read column by column; what cannot be read names its column. */
public final class Row {
  /** What is wrong with a line, at its place. */
  public static final class WrongException extends RuntimeException {
    private static final long serialVersionUID = 1;
    private final String column;

    public WrongException(String column, String why) {
      super(why);
      this.column = column;
    }

    /** The column, or an empty text for the whole line. */
    public String column() {
      return column;
    }
  }

  private final Map<String, String> cells;
  private final ZoneId zone;

  Row(Map<String, String> cells, ZoneId zone) {
    this.cells = cells;
    this.zone = zone;
  }

  /** What stands there; empty where nothing does. */
  public String text(String column, int most) {
    String text = cells.getOrDefault(column, "");
    if (text.length() > most) {
      throw new WrongException(column, "At most " + most + " characters.");
    }
    return text;
  }

  /** What must stand there. */
  public String needed(String column, int most) {
    String text = text(column, most);
    if (text.isEmpty()) {
      throw new WrongException(column, "This is missing.");
    }
    return text;
  }

  /** A number within a range; null where nothing stands. */
  public @Nullable Double number(String column, double low, double high) {
    String text = text(column, 40);
    if (text.isEmpty()) {
      return null;
    }
    double value =
        CsvText.number(text)
            .orElseThrow(() -> new WrongException(column, "'" + text + "' is no number."));
    if (!(value >= low && value <= high)) {
      throw new WrongException(column, Said.of("%s is not within %.0f to %.0f.", text, low, high));
    }
    return value;
  }

  /** A number that must be there. */
  public double neededNumber(String column, double low, double high) {
    needed(column, 40);
    return Objects.requireNonNull(number(column, low, high));
  }

  /** A moment, in the household's own time unless it has an offset; null where nothing stands. */
  public @Nullable Instant moment(String column) {
    String text = text(column, 40);
    if (text.isEmpty()) {
      return null;
    }
    return CsvText.time(text, zone)
        .or(() -> CsvText.day(text).map(day -> day.atTime(12, 0).atZone(zone).toInstant()))
        .orElseThrow(
            () ->
                new WrongException(
                    column, "'" + text + "' is no time: write it like 2026-03-31 18:30."));
  }

  /** A moment that must be there and is not still to come. */
  public Instant past(String column, Instant now) {
    needed(column, 40);
    Instant at = Objects.requireNonNull(moment(column));
    if (at.isAfter(now)) {
      throw new WrongException(column, "That is still to come.");
    }
    return at;
  }

  /** A day; null where nothing stands. */
  public @Nullable LocalDate day(String column) {
    String text = text(column, 40);
    if (text.isEmpty()) {
      return null;
    }
    return CsvText.day(text)
        .or(() -> CsvText.time(text, zone).map(at -> at.atZone(zone).toLocalDate()))
        .orElseThrow(
            () ->
                new WrongException(column, "'" + text + "' is no day: write it like 2026-03-31."));
  }

  /** Yes or no; no where nothing stands. */
  public boolean yes(String column) {
    String text = text(column, 10).toLowerCase(Locale.ROOT);
    return switch (text) {
      case "true", "yes", "1", "x" -> true;
      case "", "false", "no", "0" -> false;
      default -> throw new WrongException(column, "'" + text + "' is neither yes nor no.");
    };
  }

  /** One of some words; the given one where nothing stands. */
  public <E extends Enum<E>> E choice(String column, Class<E> words, @Nullable E otherwise) {
    String text = text(column, 40);
    if (text.isEmpty() && otherwise != null) {
      return otherwise;
    }
    for (E word : words.getEnumConstants()) {
      if (word.name().equalsIgnoreCase(text)) {
        return word;
      }
    }
    StringBuilder all = new StringBuilder();
    for (E word : words.getEnumConstants()) {
      all.append(all.isEmpty() ? "" : ", ").append(word.name());
    }
    throw new WrongException(column, "'" + text + "' is none of " + all + ".");
  }
}
