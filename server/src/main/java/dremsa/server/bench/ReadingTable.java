package dremsa.server.bench;

import dremsa.server.tables.HouseholdTable;
import dremsa.server.tables.Row;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
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
        select s.ended_at, b.code, s.step_index + 1, 'MEASURED_ML', s.measured_ml, null, '',
          'typed', 0
        from batch_step s join batch b on b.id = s.batch_id
        where b.household_id = ? and s.measured_ml is not null
        union all
        select s.ended_at, b.code, s.step_index + 1, 'MEASURED_C', s.measured_c, null, '', 'typed', 0
        from batch_step s join batch b on b.id = s.batch_id
        where b.household_id = ? and s.measured_c is not null
        union all
        select s.ended_at, b.code, s.step_index + 1, 'MEASURED_G', s.measured_g, null, '', 'typed', 0
        from batch_step s join batch b on b.id = s.batch_id
        where b.household_id = ? and s.measured_g is not null
        union all
        select s.ended_at, b.code, s.step_index + 1, 'MEASURED_PH', s.measured_ph, null, '',
          'typed', 0
        from batch_step s join batch b on b.id = s.batch_id
        where b.household_id = ? and s.measured_ph is not null
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

  /** Lines of the log, and what was measured as a step ended. */
  private enum Kind {
    TEMPERATURE,
    WEIGHT,
    VOLUME,
    PH,
    INGREDIENT,
    SMELL,
    SHAKEN,
    NOTE,
    MEASURED_ML,
    MEASURED_C,
    MEASURED_G,
    MEASURED_PH
  }

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
    return new Reading(household, now);
  }

  private final class Reading implements Taking {
    private final UUID household;
    private final Instant now;
    private final Map<String, Optional<Batch>> batches = new HashMap<>();

    /** What stood there before the file, each to be met once. */
    private final Map<UUID, List<BatchEntry>> there = new HashMap<>();

    private Reading(UUID household, Instant now) {
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
      Kind kind = row.choice("kind", Kind.class, null);
      Double amount = row.number("amount", -100, MOST);
      if (kind.ordinal() >= Kind.MEASURED_ML.ordinal()) {
        return measured(batch, step, kind, amount);
      }
      Instant at = row.past("time", now);
      String subject = row.text("subject", 80);
      String source = row.text("source", 80);
      BatchEntry.What what =
          new BatchEntry.What(
              BatchEntry.Kind.valueOf(kind.name()),
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

    private Taken measured(Batch batch, int step, Kind kind, Double amount) {
      if (amount == null) {
        throw new Row.WrongException("amount", "This is missing.");
      }
      StepDone.State state = batch.steps().get(step);
      Double before =
          switch (kind) {
            case MEASURED_ML -> state.measuredMl();
            case MEASURED_C -> state.measuredC();
            case MEASURED_G -> state.measuredG();
            default -> state.measuredPh();
          };
      if (Objects.equals(before, amount)) {
        return Taken.THERE;
      }
      batch.measured(
          step,
          new StepDone.Report(
              state.timing(),
              state.cueSeen(),
              kind == Kind.MEASURED_ML ? amount : state.measuredMl(),
              kind == Kind.MEASURED_C ? amount : state.measuredC(),
              kind == Kind.MEASURED_G ? amount : state.measuredG(),
              kind == Kind.MEASURED_PH ? amount : state.measuredPh(),
              state.note()));
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
