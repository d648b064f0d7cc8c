package dremsa.server.journal;

import dremsa.core.brew.Thickness;
import dremsa.core.learn.Confounder;
import dremsa.core.learn.Criterion;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.bench.Runs;
import dremsa.server.journal.JournalJson.KeptEntry;
import dremsa.server.people.People;
import dremsa.server.tables.HouseholdTable;
import dremsa.server.tables.Row;
import dremsa.server.wire.Stored;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** The journal for a spreadsheet; a line names its person and its batch. */
@Component
class JournalTable implements HouseholdTable {
  private static final String QUERY =
      """
      select e.`day`, p.name as person, b.code as batch, b.formula_name as formula,
        json_value(e.content, '$.words') as words,
        replace(replace(replace(replace(json_compact(json_query(e.content, '$.scores')), '{', ''), '}', ''), '"', ''), ',', ' ') as scores,
        replace(replace(replace(replace(json_compact(json_query(e.content, '$.beside')), '[', ''), ']', ''), '"', ''), ',', ' ') as beside,
        json_value(e.content, '$.thickness') as thickness
      from journal_entry e left join person_name p on p.id = e.person_id
        left join batch_name b on b.id = e.batch_id
      where e.household_id = ? order by e.`day`, e.id
      """;

  private static final int MOST_TEXT = 1000;

  private final JournalRepository repository;
  private final People people;
  private final Runs runs;
  private final Households households;
  private final Stored stored;

  JournalTable(
      JournalRepository repository,
      People people,
      Runs runs,
      Households households,
      Stored stored) {
    this.repository = repository;
    this.people = people;
    this.runs = runs;
    this.households = households;
    this.stored = stored;
  }

  @Override
  public String name() {
    return "journal";
  }

  @Override
  public List<String> columns() {
    return List.of("day", "person", "batch", "formula", "words", "scores", "beside", "thickness");
  }

  @Override
  public String query() {
    return QUERY;
  }

  @Override
  public Taking begin(UUID household, Instant now) {
    Household keeper = households.of(household);
    LocalDate today = keeper.day(now);
    Map<String, UUID> names = people.byName(household);
    Set<String> there = new HashSet<>();
    repository
        .findByHouseholdIdAndDayBetweenOrderByDayDescId(household, LocalDate.EPOCH, today)
        .forEach(
            row ->
                there.add(
                    key(
                        row.day(),
                        row.personId(),
                        row.batchId(),
                        stored.read(row.content(), KeptEntry.class))));
    return row -> take(household, keeper.zone(), today, names, there, row);
  }

  private static String key(
      LocalDate day, @Nullable UUID person, @Nullable UUID batch, KeptEntry kept) {
    return day
        + "/"
        + person
        + "/"
        + batch
        + "/"
        + kept.words()
        + "/"
        + new TreeMap<>(kept.scores())
        + kept.thickness();
  }

  private Taken take(
      UUID household,
      ZoneId zone,
      LocalDate today,
      Map<String, UUID> names,
      Set<String> there,
      Row row) {
    row.needed("day", 40);
    LocalDate day = row.day("day");
    if (day == null || day.isAfter(today)) {
      throw new Row.WrongException("day", "That is still to come.");
    }
    String name = row.text("person", 60);
    UUID person = name.isEmpty() ? null : names.get(name);
    if (person == null && !name.isEmpty()) {
      return Taken.leftOut("There is nobody called " + name + " here.");
    }
    String code = row.text("batch", 20);
    UUID batch = code.isEmpty() ? null : runs.byCode(household, code).orElse(null);
    if (batch == null && !code.isEmpty()) {
      return Taken.leftOut("There is no batch " + code + " here.");
    }
    KeptEntry kept =
        new KeptEntry(
            row.text("words", JournalJson.MOST_WORDS),
            scores(row),
            beside(row),
            row.text("thickness", MOST_TEXT).isEmpty()
                ? null
                : row.choice("thickness", Thickness.class, null));
    if (kept.words().isBlank() && kept.scores().isEmpty() && kept.thickness() == null) {
      throw new Row.WrongException("words", "Nothing is written or scored here.");
    }
    if (!there.add(key(day, person, batch, kept))) {
      return Taken.THERE;
    }
    repository.save(new EntryRow(household, day, person, batch, stored.write(kept)));
    return Taken.NEW;
  }

  /** {@code SLIP:4 HOLD:3}, as it is written out. */
  private static Map<Criterion, Double> scores(Row row) {
    Map<Criterion, Double> all = new HashMap<>();
    String text = row.text("scores", MOST_TEXT).strip();
    for (String pair : text.isEmpty() ? new String[0] : text.split("\\s+")) {
      String[] parts = pair.split(":", 2);
      try {
        Criterion criterion = Criterion.valueOf(parts[0]);
        double score = Double.parseDouble(parts[1]);
        if (!criterion.holds(score)) {
          throw new Row.WrongException("scores", pair + " is outside its scale.");
        }
        all.put(criterion, score);
      } catch (IllegalArgumentException | ArrayIndexOutOfBoundsException e) {
        throw new Row.WrongException(
            "scores", "Write scores as they are written out: SLIP:4 HOLD:3.");
      }
    }
    return all;
  }

  private static List<Confounder> beside(Row row) {
    List<Confounder> all = new ArrayList<>();
    String text = row.text("beside", MOST_TEXT).strip();
    for (String word : text.isEmpty() ? new String[0] : text.split("\\s+")) {
      try {
        all.add(Confounder.valueOf(word));
      } catch (IllegalArgumentException e) {
        throw new Row.WrongException("beside", "'" + word + "' is not known here.");
      }
    }
    return all;
  }
}
