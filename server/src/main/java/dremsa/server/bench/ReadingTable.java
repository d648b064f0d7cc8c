package dremsa.server.bench;

import dremsa.core.brew.Reading;
import dremsa.server.tables.HouseholdTable;
import dremsa.server.tables.Row;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What was read, measured and noted while a batch was brewed. */
@Component
class ReadingTable implements HouseholdTable {
  /** The log of the runs, and what was measured as a step ended. */
  private static final String QUERY =
      """
      select time, code, step, kind, amount, subject, words, source
      from (
        select e.entered_at as time, b.code, e.step_index + 1 as step, e.kind, e.amount, e.subject,
          e.words, e.source, e.id as n
        from batch_entry e join batch b on b.id = e.batch_id where e.household_id = ?
        union all
        select s.ended_at, b.code, s.step_index + 1, concat('MEASURED_', k.kind),
          json_value(s.readings, concat('$.', k.kind)), null, '', 'typed', 0
        from batch_step s join batch b on b.id = s.batch_id,
          json_table(json_keys(s.readings), '$[*]' columns (kind varchar(20) path '$')) k
        where b.household_id = ? and k.kind <> 'schemaVersion'
      ) all_of_it
      order by time, code, step, n, kind
      """;

  private static final double MOST = 100_000;
  private static final int WORDS = 400;

  private final BatchRepository repository;
  private final EntryRepository entries;

  ReadingTable(BatchRepository repository, EntryRepository entries) {
    this.repository = repository;
    this.entries = entries;
  }

  /** Before the kind of what was measured as a step ended. */
  static final String MEASURED = "MEASURED_";

  @Override
  public String name() {
    return "readings";
  }

  @Override
  public List<String> columns() {
    return List.of("time", "code", "step", "kind", "amount", "subject", "words", "source");
  }

  @Override
  public String query() {
    return QUERY;
  }

  @Override
  public Taking begin(UUID household, Instant now) {
    return new Lines(household, now);
  }

  private final class Lines implements Taking {
    private final UUID household;
    private final Instant now;
    private final Map<String, Optional<Batch>> batches = new HashMap<>();

    /** What stood there before the file, each to be met once. */
    private final Map<UUID, List<BatchEntry>> there = new HashMap<>();

    private Lines(UUID household, Instant now) {
      this.household = household;
      this.now = now;
    }

    @Override
    public Taken take(Row row) {
      String code = row.needed("code", BatchTable.CODE);
      Optional<Batch> found =
          batches.computeIfAbsent(code, c -> repository.findByHouseholdIdAndCode(household, c));
      if (found.isEmpty()) {
        return Taken.leftOut("There is no batch " + code + " here.");
      }
      Batch batch = found.get();
      int step = (int) row.neededNumber("step", 1, batch.steps().size()) - 1;
      Double amount = row.number("amount", -100, MOST);
      String word = EarlierReadings.inTable(row.text("kind", 40).toUpperCase(Locale.ROOT));
      if (word.startsWith(MEASURED)) {
        return measured(batch, step, reading(word.substring(MEASURED.length())), amount);
      }
      BatchEntry.Kind kind = row.choice("kind", BatchEntry.Kind.class, null);
      Instant at = row.past("time", now);
      String subject = row.text("subject", 80);
      String source = row.text("source", 80);
      BatchEntry.What what =
          new BatchEntry.What(
              kind,
              amount,
              subject.isEmpty() ? null : subject,
              row.text("words", WORDS),
              source.isEmpty() ? BatchEntry.TYPED : source);
      List<BatchEntry> before =
          there.computeIfAbsent(
              batch.id(), id -> new ArrayList<>(entries.findByBatchIdOrderByEnteredAtAscIdAsc(id)));
      if (HouseholdTable.meet(
              before,
              e ->
                  e.stepIndex() == step
                      && e.what().equals(what)
                      && second(e.enteredAt()).equals(second(at)))
          .isPresent()) {
        return Taken.THERE;
      }
      entries.save(new BatchEntry(batch, step, at, what));
      return Taken.NEW;
    }

    private Reading reading(String word) {
      return Arrays.stream(Reading.values())
          .filter(kind -> kind.name().equals(word))
          .findFirst()
          .orElseThrow(
              () -> new Row.WrongException("kind", "'" + word + "' is nothing that is read."));
    }

    private Taken measured(Batch batch, int step, Reading kind, @Nullable Double amount) {
      if (amount == null) {
        throw new Row.WrongException("amount", "This is missing.");
      }
      StepDone.State state = batch.steps().get(step);
      if (amount.equals(state.readings().get(kind))) {
        return Taken.THERE;
      }
      Map<Reading, Double> readings = new HashMap<>(state.readings());
      readings.put(kind, amount);
      batch.measured(
          step, new StepDone.Report(state.timing(), state.cueSeen(), readings, state.note()));
      repository.save(batch);
      return Taken.NEW;
    }

    @Override
    public void end() {
      entries.flush();
      repository.flush();
    }
  }

  private static Instant second(Instant at) {
    return at.truncatedTo(ChronoUnit.SECONDS);
  }
}
