package dremsa.server.tables;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Predicate;

/** A table for a spreadsheet: it goes out as its package selects it, and can be read in again. */
public interface HouseholdTable {
  /** As in the address of the table. */
  String name();

  /** Its columns, as they are written out. */
  List<String> columns();

  /**
   * The SELECT that writes it out; its columns are named as the header shall be, and each of its
   * places is the household.
   */
  String query();

  /** Begins to read a file. */
  Taking begin(UUID household, Instant now);

  /** A file being read. */
  interface Taking {
    /**
     * Takes a line.
     *
     * @throws Row.WrongException when something in it is wrong; then nothing of the file is kept
     */
    Taken take(Row row);

    /** All lines are taken. */
    default void end() {}
  }

  /**
   * Finds the row that a line tells of, if it stands there already; each is met once, so that two
   * alike lines of a file stay two.
   *
   * @param there what stood there and was not met yet
   */
  static <T> Optional<T> meet(List<T> there, Predicate<T> alike) {
    for (int i = 0; i < there.size(); i++) {
      if (alike.test(there.get(i))) {
        return Optional.of(there.remove(i));
      }
    }
    return Optional.empty();
  }

  /**
   * What became of a line.
   *
   * @param why it was left out; empty for what was taken or stands there already
   */
  record Taken(boolean taken, String why) {
    public static final Taken NEW = new Taken(true, "");
    public static final Taken THERE = new Taken(false, "");

    /** Cannot be kept, and harms nothing by being left out. */
    public static Taken leftOut(String why) {
      return new Taken(false, why);
    }
  }
}
