package dremsa.server.people;

import dremsa.core.people.HeadUse;
import dremsa.core.people.Product;
import dremsa.core.people.SlotKind;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.tables.HouseholdTable;
import dremsa.server.tables.Row;
import dremsa.server.wire.Stored;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * What came on heads. A line names its person; what was in it stands with it, so that limits count
 * it. It takes nothing from a bottle: that stands in the table of events.
 */
@Component
class UseTable implements HouseholdTable {
  private static final String QUERY =
      """
      select u.used_at as time, p.name as person, u.slot, u.name as product, u.bottle_code as bottle,
        u.millilitres, u.minutes, u.formula_id as formula, json_value(u.told, '$.protein') as protein,
        if(json_value(u.told, '$.spirit') = 1, 'true', '') as spirit,
        if(json_value(u.told, '$.ferment') = 1, 'true', '') as ferment,
        replace(replace(replace(json_query(u.told, '$.materials'), '["', ''), '"]', ''), '","', ' ') as materials,
        json_query(u.told, '$.essential') as essential, if(u.undone, 'true', 'false') as undone
      from head_use u join person p on p.id = u.person_id
      where u.household_id = ? order by u.used_at, p.name, u.id
      """;

  private static final int MATERIALS = 8000;
  private static final double MOST_ML = 20_000;

  private final People people;
  private final HeadUseRepository uses;
  private final Households households;
  private final JdbcTemplate jdbc;
  private final Stored stored;

  UseTable(
      People people,
      HeadUseRepository uses,
      Households households,
      JdbcTemplate jdbc,
      Stored stored) {
    this.people = people;
    this.uses = uses;
    this.households = households;
    this.jdbc = jdbc;
    this.stored = stored;
  }

  @Override
  public String name() {
    return "uses";
  }

  @Override
  public List<String> columns() {
    return List.of(
        "time",
        "person",
        "slot",
        "product",
        "bottle",
        "millilitres",
        "minutes",
        "formula",
        "protein",
        "spirit",
        "ferment",
        "materials",
        "essential",
        "undone");
  }

  @Override
  public String query() {
    return QUERY;
  }

  @Override
  public Taking begin(UUID household, Instant now) {
    Household keeper = households.of(household);
    Map<String, UUID> byName = people.byName(household);
    Set<String> there = new HashSet<>(known(household));
    return row -> take(keeper, byName, there, row, now);
  }

  /** What stands there already: who, when to the second, what and how much. */
  private List<String> known(UUID household) {
    return jdbc.query(
        "select person_id, used_at, name, millilitres from head_use where household_id = ?",
        (row, n) ->
            key(
                UUID.fromString(row.getString(1)),
                row.getTimestamp(2).toInstant(),
                row.getString(3),
                row.getDouble(4)),
        household.toString());
  }

  private static String key(UUID person, Instant at, String product, double millilitres) {
    return person + "@" + at.truncatedTo(ChronoUnit.SECONDS) + "@" + product + "@" + millilitres;
  }

  private Taken take(
      Household household, Map<String, UUID> byName, Set<String> there, Row row, Instant now) {
    String name = row.needed("person", 60);
    UUID person = byName.get(name);
    if (person == null) {
      return Taken.leftOut("There is nobody called " + name + " here.");
    }
    Instant at = row.past("time", now.plusSeconds(1));
    String product = row.needed("product", 120);
    double ml = row.neededNumber("millilitres", 0, MOST_ML);
    if (!there.add(key(person, at, product, ml))) {
      return Taken.THERE;
    }
    Double minutes = row.number("minutes", 0, 100_000);
    String materials = row.text("materials", MATERIALS);
    HeadUse use =
        new HeadUse(
            at,
            household.day(at),
            row.choice("slot", SlotKind.class, null),
            row.text("formula", 80),
            product,
            ml,
            minutes == null ? OptionalDouble.empty() : OptionalDouble.of(minutes),
            materials.isBlank()
                ? Set.of()
                : Arrays.stream(materials.split(" +")).collect(Collectors.toSet()),
            row.choice("protein", Product.Protein.class, Product.Protein.NONE),
            row.yes("spirit"),
            row.yes("ferment"),
            essential(row));
    HeadUseRow line = new HeadUseRow(household.id(), person, use, row.text("bottle", 20), stored);
    if (row.yes("undone")) {
      line.undo();
    }
    uses.save(line);
    return Taken.NEW;
  }

  /** {@code {"lavender-essential":0.4}}, as it is written out. */
  private static Map<String, Double> essential(Row row) {
    Map<String, Double> all = new LinkedHashMap<>();
    String text = row.text("essential", MATERIALS).replaceAll("[{}\"\\s]", "");
    for (String pair : text.isEmpty() ? new String[0] : text.split(",")) {
      int colon = pair.lastIndexOf(':');
      try {
        double percent = Double.parseDouble(pair.substring(colon + 1));
        if (colon < 1 || !(percent >= 0 && percent <= 100)) {
          throw new NumberFormatException(pair);
        }
        all.put(pair.substring(0, colon), percent);
      } catch (NumberFormatException e) {
        throw new Row.WrongException("essential", "Each oil with its percent, as written out.");
      }
    }
    return all;
  }
}
