package dremsa.server.backup;

import dremsa.server.wire.Stored;
import java.util.function.Consumer;
import java.util.regex.Pattern;

/**
 * A column of a backup.
 *
 * @param nullable whether a row may leave it empty
 * @param form what its values look like, and which are allowed
 */
public record Column(String name, boolean nullable, Form form) {
  /** Ids of materials, and of ingredients of a formula. */
  private static final Pattern MATERIAL = Pattern.compile("[\\p{L}\\p{N}:._-]{1,80}");

  /** The row's own id; given anew. */
  public static Column id() {
    return new Column("id", false, new Form.OwnId(""));
  }

  /** The row's own id, with a word before it; given anew. */
  public static Column id(String prefix) {
    return new Column("id", false, new Form.OwnId(prefix));
  }

  /** The id of a row that stands in the same file. */
  public static Column reference(String name, String table) {
    return new Column(name, false, new Form.Reference(table, id -> false));
  }

  /** The id of a row that stands in the same file, or one that is known without it. */
  public static Column reference(
      String name, String table, java.util.function.Predicate<String> known) {
    return new Column(name, false, new Form.Reference(table, known));
  }

  /** A number of chance that ties rows together; given anew. */
  public static Column tie(String name) {
    return new Column(name, false, new Form.Tie());
  }

  public static Column text(String name, int longest) {
    return new Column(name, false, new Form.Text(longest, null, false));
  }

  public static Column text(String name, String pattern) {
    return new Column(name, false, new Form.Text(400, Pattern.compile(pattern), false));
  }

  /** A text in which ids of rows stand; they are given anew there too. */
  public static Column withIds(String name, int longest, String pattern) {
    return new Column(name, false, new Form.Text(longest, Pattern.compile(pattern), true));
  }

  public static Column material(String name) {
    return new Column(name, false, new Form.Text(80, MATERIAL, true));
  }

  public static Column word(String name, Class<? extends Enum<?>> words) {
    return new Column(name, false, new Form.Word(words));
  }

  public static Column number(String name, double least, double most) {
    return new Column(name, false, new Form.Number(least, most));
  }

  public static Column whole(String name, long least, long most) {
    return new Column(name, false, new Form.Whole(least, most));
  }

  /** The version by which two writers find out about each other. */
  public static Column version() {
    return whole("version", 0, 1L << 40);
  }

  /** The version of the forms in the row; a row of a later one is not read. */
  public static Column schema() {
    return whole("schema_version", 1, Stored.VERSION);
  }

  public static Column yesNo(String name) {
    return new Column(name, false, new Form.YesNo());
  }

  public static Column moment(String name) {
    return new Column(name, false, new Form.Moment());
  }

  public static Column day(String name) {
    return new Column(name, false, new Form.Day());
  }

  /**
   * A text that is JSON itself.
   *
   * @param check throws when it is not what it has to be
   */
  public static Column json(String name, Consumer<String> check) {
    return new Column(name, false, new Form.Json(check));
  }

  /** A photo; it stands in a file of its own. */
  public static Column picture(String name) {
    return new Column(name, false, new Form.Picture());
  }

  /** The same column, which a row may leave empty. */
  public Column orNull() {
    return new Column(name, true, form);
  }
}
