package dremsa.server.backup;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.node.ObjectNode;

/**
 * A table of which a backup holds a household's rows.
 *
 * @param name as the database knows it; it has a column {@code household_id}
 * @param order that does not depend on ids made by chance, so that the same household gives the
 *     same file
 * @param counted whether its id is a running number: it stays out of the file and is given anew
 * @param most rows that a household can have of it
 * @param columns all that the file holds; no others are taken
 * @param fits whether the values of one row go together
 * @param lift brings a row that an earlier version wrote into the present form, in its place
 */
public record KeptTable(
    String name,
    String order,
    boolean counted,
    int most,
    List<Column> columns,
    Predicate<Map<String, @Nullable Object>> fits,
    Consumer<ObjectNode> lift) {
  /** Of what nobody counts, more than a household could ever do. */
  public static final int MANY = 1_000_000;

  public KeptTable {
    columns = List.copyOf(columns);
  }

  /** A table whose rows carry an id of their own, or none. */
  public static KeptTable of(String name, String order, Column... columns) {
    return new KeptTable(name, order, false, MANY, List.of(columns), row -> true, row -> {});
  }

  /** A table whose rows are counted; they stand in the order of their numbers. */
  public static KeptTable counted(String name, Column... columns) {
    return new KeptTable(name, "id", true, MANY, List.of(columns), row -> true, row -> {});
  }

  /** The same table, of which a household has no more than so many rows. */
  public KeptTable atMost(int rows) {
    return new KeptTable(name, order, counted, rows, columns, fits, lift);
  }

  /** The same table, of which a row's values have to go together like this. */
  public KeptTable where(Predicate<Map<String, @Nullable Object>> rowFits) {
    return new KeptTable(name, order, counted, most, columns, rowFits, lift);
  }

  /** The same table, whose rows looked otherwise before. */
  public KeptTable lifted(Consumer<ObjectNode> rowLift) {
    return new KeptTable(name, order, counted, most, columns, fits, rowLift);
  }

  /** The column that other rows refer to, if there is one. */
  Optional<Column> id() {
    return columns.stream().filter(column -> column.form() instanceof Form.OwnId).findFirst();
  }

  /** The column whose content stands in a file of its own, if there is one. */
  Optional<Column> picture() {
    return columns.stream().filter(column -> column.form() instanceof Form.Picture).findFirst();
  }

  /** The columns that stand in a row's line. */
  List<Column> inLine() {
    return columns.stream().filter(column -> !(column.form() instanceof Form.Picture)).toList();
  }

  /** What it refers to; these tables come before it, but for itself. */
  List<String> refersTo() {
    return columns.stream()
        .filter(column -> column.form() instanceof Form.Reference)
        .map(column -> ((Form.Reference) column.form()).table())
        .toList();
  }

  String select() {
    return "select "
        + String.join(", ", inLine().stream().map(Column::name).toList())
        + " from "
        + name
        + " where household_id = ? order by "
        + order;
  }
}
