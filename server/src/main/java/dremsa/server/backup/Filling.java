package dremsa.server.backup;

import dremsa.core.measure.Said;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A later reading of a file, which checks every value and writes the rows into a household. */
final class Filling implements Archive.Visitor {
  /** Rows that go to the database together. */
  private static final int TOGETHER = 200;

  private final JdbcTemplate jdbc;
  private final Tables tables;
  private final String household;
  private final Ids ids;
  private final Predicate<KeptTable> which;

  private @Nullable KeptTable present;
  private final List<Object[]> waiting = new ArrayList<>();

  /** References to rows of the same table, which may stand further down in it: set at its end. */
  private final List<Object[]> within = new ArrayList<>();

  /** Rows whose photo is still to come, by its new id. */
  private final Map<UUID, Waiting> withPhoto = new HashMap<>();

  /** A row that waits for its photo. */
  private record Waiting(KeptTable table, Object[] values) {}

  /**
   * @param which tables are written; rows of others are passed over
   */
  Filling(JdbcTemplate jdbc, Tables tables, UUID household, Ids ids, Predicate<KeptTable> which) {
    this.jdbc = jdbc;
    this.tables = tables;
    this.household = household.toString();
    this.ids = ids;
    this.which = which;
  }

  @Override
  public void begin(Archive.Head head) {
    // Its settings were taken before.
  }

  @Override
  public void row(String name, ObjectNode row) {
    KeptTable table = Objects.requireNonNull(tables.find(name));
    if (!which.test(table)) {
      return;
    }
    if (present != table) {
      finishTable();
      present = table;
    }
    Object[] values = values(table, row);
    if (table.picture().isPresent()) {
      withPhoto.put(UUID.fromString((String) values[0]), new Waiting(table, values));
    } else {
      waiting.add(values);
      if (waiting.size() == TOGETHER) {
        flush();
      }
    }
  }

  /** The values of a row in the order of its columns, its household last. */
  private Object[] values(KeptTable table, ObjectNode row) {
    try {
      table.lift().accept(row);
    } catch (RuntimeException e) {
      // Written by an earlier version it would lift; this was not.
      throw new DamagedException("a row of '" + table.name() + "' is none of ours");
    }
    List<Object> values = new ArrayList<>();
    Map<String, JsonNode> left = new LinkedHashMap<>();
    row.properties().forEach(cell -> left.put(cell.getKey(), cell.getValue()));
    Map<String, Object> all = new HashMap<>();
    Object own = null;
    for (Column column : table.inLine()) {
      JsonNode cell = left.remove(column.name());
      Object value = value(table, column, cell);
      all.put(column.name(), value);
      if (column.form() instanceof Form.OwnId) {
        own = value;
      }
      if (value != null
          && column.form() instanceof Form.Reference reference
          && reference.table().equals(table.name())) {
        within.add(new Object[] {column.name(), value, own});
        value = null;
      }
      values.add(value);
    }
    if (!left.isEmpty()) {
      throw new DamagedException(
          Said.of(
              "there is no '%s' in '%s'",
              DamagedException.shorten(left.keySet().iterator().next()), table.name()));
    }
    if (!table.fits().test(all)) {
      throw new DamagedException(
          "the values of a row of '" + table.name() + "' contradict each other");
    }
    values.add(household);
    return values.toArray();
  }

  private @Nullable Object value(KeptTable table, Column column, JsonNode cell) {
    String at = "'" + column.name() + "' of '" + table.name() + "'";
    Object value;
    try {
      value = cell == null || cell.isNull() ? null : column.form().read(cell, ids);
    } catch (DamagedException e) {
      throw new DamagedException(at + ": " + e.getMessage());
    }
    if (value == null && !column.nullable()) {
      throw new DamagedException(at + " is missing");
    }
    return value;
  }

  private void flush() {
    if (!waiting.isEmpty()) {
      jdbc.batchUpdate(insert(Objects.requireNonNull(present), ""), waiting);
      waiting.clear();
    }
  }

  private static String insert(KeptTable table, String more) {
    List<String> names = new ArrayList<>(table.inLine().stream().map(Column::name).toList());
    names.add("household_id");
    if (!more.isEmpty()) {
      names.add(more);
    }
    return Said.of(
        "insert into %s (%s) values (%s)",
        table.name(),
        String.join(", ", names),
        String.join(", ", java.util.Collections.nCopies(names.size(), "?")));
  }

  private void finishTable() {
    flush();
    for (Iterator<Object[]> i = within.iterator(); i.hasNext(); i.remove()) {
      Object[] reference = i.next();
      jdbc.update(
          "update "
              + Objects.requireNonNull(present).name()
              + " set "
              + reference[0]
              + " = ? where id = ?",
          reference[1],
          reference[2]);
    }
  }

  @Override
  public void photo(UUID id, byte[] content) {
    finishTable();
    Waiting row = withPhoto.remove(ids.anew(id));
    if (row == null) {
      return;
    }
    Object[] values = java.util.Arrays.copyOf(row.values(), row.values().length + 1);
    values[row.values().length] = content;
    jdbc.update(insert(row.table(), row.table().picture().orElseThrow().name()), values);
  }

  @Override
  public void end() {
    finishTable();
  }
}
