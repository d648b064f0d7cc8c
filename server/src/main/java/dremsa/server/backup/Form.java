package dremsa.server.backup;

import dremsa.server.http.Problem;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Arrays;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What the values of a column look like in a file, and which are allowed. */
sealed interface Form {
  /** As it stands in the file; never asked for a null. */
  Object write(ResultSet row, String column) throws SQLException;

  /**
   * As the database takes it.
   *
   * @throws DamagedException when it is not allowed
   */
  @Nullable Object read(JsonNode value, Ids ids);

  /** Says in the words of JSON Schema what its values look like. */
  void describe(ObjectNode schema);

  /** A row's own id: a UUID, perhaps with a word before it. */
  record OwnId(String prefix) implements Form {
    @Override
    public void describe(ObjectNode schema) {
      schema.put("type", "string").put("pattern", "^" + prefix + Ids.ID.pattern() + "$");
    }

    @Override
    public Object write(ResultSet row, String column) throws SQLException {
      return row.getString(column);
    }

    @Override
    public Object read(JsonNode value, Ids ids) {
      return prefix + ids.anew(uuid(value, prefix));
    }

    UUID uuid(JsonNode value) {
      return uuid(value, prefix);
    }

    private static UUID uuid(JsonNode value, String prefix) {
      String text = string(value);
      if (!text.startsWith(prefix)) {
        throw new DamagedException("'" + text + "' is no id here");
      }
      return parse(text.substring(prefix.length()));
    }

    static UUID parse(String text) {
      if (!Ids.ID.matcher(text).matches()) {
        throw new DamagedException("'" + text + "' is no id");
      }
      return UUID.fromString(text);
    }
  }

  /**
   * The id of a row of the same file.
   *
   * @param known ids that need not stand in the file
   */
  record Reference(String table, Predicate<String> known) implements Form {
    @Override
    public void describe(ObjectNode schema) {
      schema.put("type", "string").put("description", "A row of '" + table + "' in this file.");
    }

    @Override
    public Object write(ResultSet row, String column) throws SQLException {
      return row.getString(column);
    }

    @Override
    public @Nullable Object read(JsonNode value, Ids ids) {
      String text = string(value);
      return known.test(text) ? text : ids.referred(table, text);
    }
  }

  /** What ties rows together that were changed by one act. */
  record Tie() implements Form {
    @Override
    public void describe(ObjectNode schema) {
      schema.put("type", "string").put("pattern", "^" + Ids.ID.pattern() + "$");
    }

    @Override
    public Object write(ResultSet row, String column) throws SQLException {
      return row.getString(column);
    }

    @Override
    public Object read(JsonNode value, Ids ids) {
      return ids.anew(OwnId.parse(string(value))).toString();
    }
  }

  /**
   * A text.
   *
   * @param pattern that it has to match as a whole; null for any
   * @param withIds whether ids of rows stand in it, which are given anew
   */
  record Text(int longest, @Nullable Pattern pattern, boolean withIds) implements Form {
    @Override
    public void describe(ObjectNode schema) {
      schema.put("type", "string").put("maxLength", longest);
      if (pattern != null) {
        schema.put("pattern", "^(" + pattern.pattern() + ")$");
      }
    }

    @Override
    public Object write(ResultSet row, String column) throws SQLException {
      return row.getString(column);
    }

    @Override
    public Object read(JsonNode value, Ids ids) {
      String text = string(value);
      if (text.length() > longest || (pattern != null && !pattern.matcher(text).matches())) {
        throw new DamagedException("'" + DamagedException.shorten(text) + "' is not allowed");
      }
      return withIds ? ids.anewIn(text) : text;
    }
  }

  /** One of some words. */
  record Word(Class<? extends Enum<?>> words) implements Form {
    @Override
    public void describe(ObjectNode schema) {
      schema.put("type", "string");
      ArrayNode all = schema.putArray("enum");
      Arrays.stream(words.getEnumConstants()).forEach(word -> all.add(word.name()));
    }

    @Override
    public Object write(ResultSet row, String column) throws SQLException {
      return row.getString(column);
    }

    @Override
    public Object read(JsonNode value, Ids ids) {
      String text = string(value);
      if (Arrays.stream(words.getEnumConstants()).noneMatch(word -> word.name().equals(text))) {
        throw new DamagedException("'" + DamagedException.shorten(text) + "' is not known");
      }
      return text;
    }
  }

  /** A number between two bounds. */
  record Number(double least, double most) implements Form {
    @Override
    public void describe(ObjectNode schema) {
      schema.put("type", "number").put("minimum", least).put("maximum", most);
    }

    @Override
    public Object write(ResultSet row, String column) throws SQLException {
      return row.getDouble(column);
    }

    @Override
    public Object read(JsonNode value, Ids ids) {
      double number = value.isNumber() ? value.doubleValue() : Double.NaN;
      if (!(number >= least && number <= most)) {
        throw new DamagedException("it must be a number from " + least + " to " + most);
      }
      return number;
    }
  }

  /** A whole number between two bounds. */
  record Whole(long least, long most) implements Form {
    @Override
    public void describe(ObjectNode schema) {
      schema.put("type", "integer").put("minimum", least).put("maximum", most);
    }

    @Override
    public Object write(ResultSet row, String column) throws SQLException {
      return row.getLong(column);
    }

    @Override
    public Object read(JsonNode value, Ids ids) {
      if (!value.isIntegralNumber()
          || !value.canConvertToLong()
          || value.longValue() < least
          || value.longValue() > most) {
        throw new DamagedException("it must be a whole number from " + least + " to " + most);
      }
      return value.longValue();
    }
  }

  /** True or false. */
  record YesNo() implements Form {
    @Override
    public void describe(ObjectNode schema) {
      schema.put("type", "boolean");
    }

    @Override
    public Object write(ResultSet row, String column) throws SQLException {
      return row.getBoolean(column);
    }

    @Override
    public Object read(JsonNode value, Ids ids) {
      if (!value.isBoolean()) {
        throw new DamagedException("it must be true or false");
      }
      return value.booleanValue();
    }
  }

  /** A moment in UTC, to the microsecond; 1990 to 2199. */
  record Moment() implements Form {
    private static final DateTimeFormatter STORED =
        DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm:ss.SSSSSS", java.util.Locale.ROOT);

    @Override
    public void describe(ObjectNode schema) {
      schema.put("type", "string").put("format", "date-time");
    }

    @Override
    public Object write(ResultSet row, String column) throws SQLException {
      // As the database holds it: no clock of this machine has a say in it.
      return row.getString(column).replace(' ', 'T') + "Z";
    }

    @Override
    public Object read(JsonNode value, Ids ids) {
      // Files of form 1 wrote moments as the database does.
      String text = string(value).replace(' ', 'T');
      try {
        LocalDateTime moment =
            LocalDateTime.parse(text.endsWith("Z") ? text.substring(0, text.length() - 1) : text);
        within(moment.toLocalDate());
        return STORED.format(moment);
      } catch (DateTimeException e) {
        throw new DamagedException("'" + DamagedException.shorten(text) + "' is no moment");
      }
    }

    static void within(LocalDate day) {
      if (day.getYear() < 1990 || day.getYear() > 2199) {
        throw new DamagedException(day + " is no day of this work");
      }
    }
  }

  /** A day; 1990 to 2199. */
  record Day() implements Form {
    @Override
    public void describe(ObjectNode schema) {
      schema.put("type", "string").put("format", "date");
    }

    @Override
    public Object write(ResultSet row, String column) throws SQLException {
      return row.getString(column);
    }

    @Override
    public Object read(JsonNode value, Ids ids) {
      String text = string(value);
      try {
        Moment.within(LocalDate.parse(text));
        return text;
      } catch (DateTimeException e) {
        throw new DamagedException("'" + DamagedException.shorten(text) + "' is no day");
      }
    }
  }

  /** A text that is JSON itself. */
  record Json(Consumer<String> check) implements Form {
    @Override
    public void describe(ObjectNode schema) {
      schema.put("type", "string").put("contentMediaType", "application/json");
    }

    @Override
    public Object write(ResultSet row, String column) throws SQLException {
      return row.getString(column);
    }

    @Override
    public Object read(JsonNode value, Ids ids) {
      // Checked with its new ids: they are all that it can refer to.
      String text = ids.anewIn(string(value));
      try {
        check.accept(text);
      } catch (DamagedException e) {
        throw e;
      } catch (IllegalArgumentException | Problem e) {
        throw new DamagedException(
            "its content is not allowed: "
                + DamagedException.shorten(String.valueOf(e.getMessage())));
      } catch (RuntimeException e) {
        throw new DamagedException("its content cannot be read");
      }
      return text;
    }
  }

  /** A photo; it stands in a file of its own. */
  record Picture() implements Form {
    @Override
    public void describe(ObjectNode schema) {
      throw new IllegalStateException("a photo stands in no line");
    }

    @Override
    public Object write(ResultSet row, String column) {
      throw new IllegalStateException("a photo stands in no line");
    }

    @Override
    public Object read(JsonNode value, Ids ids) {
      throw new IllegalStateException("a photo stands in no line");
    }
  }

  private static String string(JsonNode value) {
    if (!value.isString()) {
      throw new DamagedException("it must be a text");
    }
    return value.stringValue();
  }
}
