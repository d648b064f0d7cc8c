package dremsa.server.journal;

import dremsa.core.brew.Thickness;
import dremsa.core.learn.Confounder;
import dremsa.core.learn.Criterion;
import dremsa.core.measure.Said;
import dremsa.server.accounts.Households;
import dremsa.server.bench.Runs;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.journal.JournalJson.EntryForm;
import dremsa.server.journal.JournalJson.EntryView;
import dremsa.server.journal.JournalJson.KeptEntry;
import dremsa.server.journal.JournalJson.ScoreLine;
import dremsa.server.people.People;
import dremsa.server.wire.Stored;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What makers write down: entries are written, changed and read here. */
@Service
public class Journal {
  static final int MOST = 40_000;

  /** Nothing was brewed with Dremsa before. */
  private static final LocalDate FIRST = LocalDate.of(2000, 1, 1);

  private final JournalRepository repository;
  private final Runs runs;
  private final People people;
  private final Households households;
  private final Stored stored;
  private final ApplicationEventPublisher events;

  Journal(
      JournalRepository repository,
      Runs runs,
      People people,
      Households households,
      Stored stored,
      ApplicationEventPublisher events) {
    this.events = events;
    this.repository = repository;
    this.runs = runs;
    this.people = people;
    this.households = households;
    this.stored = stored;
  }

  KeptEntry kept(EntryRow row) {
    return stored.read(row.content(), KeptEntry.class);
  }

  /** An entry as it is shown. */
  EntryView view(EntryRow row, Map<UUID, String> names, String code) {
    KeptEntry kept = kept(row);
    return new EntryView(
        row.id(),
        row.version(),
        row.day(),
        row.personId(),
        row.personId() == null ? "" : names.getOrDefault(row.personId(), ""),
        row.batchId(),
        code,
        kept.words(),
        new TreeMap<>(kept.scores())
            .entrySet().stream()
                .map(each -> new ScoreLine(each.getKey(), each.getValue()))
                .toList(),
        kept.beside(),
        kept.thickness());
  }

  /** What was written down of a batch. */
  @Transactional(readOnly = true)
  List<EntryView> ofBatch(UUID household, UUID batch) {
    List<Runs.Brewed> found = runs.brewed(household, List.of(batch));
    if (found.isEmpty()) {
      throw Problem.notFound("batch");
    }
    Map<UUID, String> names = people.names(household);
    return repository
        .findByHouseholdIdAndBatchIdInOrderByDayAscId(household, List.of(batch))
        .stream()
        .map(row -> view(row, names, found.get(0).code()))
        .toList();
  }

  /** How thick batches were found when cold, the last that was said of each. */
  @Transactional(readOnly = true)
  public Map<UUID, Thickness> found(UUID household, List<UUID> batches) {
    Map<UUID, Thickness> all = new HashMap<>();
    repository
        .findByHouseholdIdAndBatchIdInOrderByDayAscId(household, batches)
        .forEach(
            row -> {
              Thickness thickness = kept(row).thickness();
              if (thickness != null && row.batchId() != null) {
                all.put(row.batchId(), thickness);
              }
            });
    return all;
  }

  /** Scores of these batches, by what was scored. */
  Map<Criterion, List<Double>> scores(UUID household, List<UUID> batches) {
    Map<Criterion, List<Double>> all = new EnumMap<>(Criterion.class);
    repository
        .findByHouseholdIdAndBatchIdInOrderByDayAscId(household, batches)
        .forEach(
            row ->
                kept(row)
                    .scores()
                    .forEach(
                        (criterion, score) ->
                            all.computeIfAbsent(criterion, key -> new ArrayList<>()).add(score)));
    return all;
  }

  /** What somebody's head was judged by. */
  List<EntryRow> ofPerson(UUID household, UUID person) {
    return repository.findByHouseholdIdAndPersonIdOrderByDayAscId(household, person);
  }

  /**
   * Writes down how something was.
   *
   * @param person on whose head; null for nobody's
   * @param batch of which; null for none
   */
  @Transactional
  public void judge(
      UUID household,
      LocalDate day,
      @Nullable UUID person,
      @Nullable UUID batch,
      String words,
      Map<Criterion, Double> scores,
      List<Confounder> beside) {
    write(household, new EntryForm(null, day, person, batch, words, scores, beside, null));
  }

  /** Writes something down. */
  @Transactional
  UUID write(UUID household, EntryForm form) {
    if (repository.countByHouseholdId(household) >= MOST) {
      throw Problem.conflict("The journal holds " + MOST + " entries already.");
    }
    LocalDate today = households.today(household);
    LocalDate day = form.day() == null ? today : form.day();
    if (day.isAfter(today) || day.isBefore(FIRST)) {
      throw Problem.invalid(
          FieldProblem.of("day", day, "Write of a day that was: today or before."));
    }
    if (form.person() != null) {
      people.get(household, form.person());
    }
    if (form.batch() != null && runs.brewed(household, List.of(form.batch())).isEmpty()) {
      throw Problem.notFound("batch");
    }
    EntryRow row =
        repository.saveAndFlush(
            new EntryRow(household, day, form.person(), form.batch(), stored.write(told(form))));
    tell(household, form.thickness() != null);
    return row.id();
  }

  /** Writes something anew. */
  @Transactional
  void rewrite(UUID household, UUID id, EntryForm form) {
    EntryRow row = row(household, id);
    if (form.version() == null || form.version() != row.version()) {
      throw Problem.conflict("Somebody was quicker. Look at this entry again.");
    }
    boolean thick = form.thickness() != null || kept(row).thickness() != null;
    row.says(stored.write(told(form)));
    repository.saveAndFlush(row);
    tell(household, thick);
  }

  private static KeptEntry told(EntryForm form) {
    Map<Criterion, Double> scores = form.scores() == null ? Map.of() : form.scores();
    scores.forEach(
        (criterion, score) -> {
          if (score == null || !criterion.holds(score)) {
            throw Problem.invalid(
                FieldProblem.range(
                    "scores." + criterion,
                    score,
                    Said.of(
                        "This is scored from %.0f to %.0f.", criterion.least(), criterion.most()),
                    criterion.least(),
                    criterion.most()));
          }
        });
    String words = form.words() == null ? "" : form.words().strip();
    List<Confounder> beside =
        form.beside() == null ? List.of() : form.beside().stream().distinct().sorted().toList();
    Thickness thickness = form.thickness();
    if (thickness != null && form.batch() == null) {
      throw Problem.invalid(FieldProblem.of("thickness", thickness, "Say of which batch that is."));
    }
    if (words.isEmpty() && scores.isEmpty() && thickness == null) {
      throw Problem.invalid(
          FieldProblem.of("words", words, "Write something, or score something."));
    }
    return new KeptEntry(words, scores, beside, thickness);
  }

  /** Takes an entry away. */
  @Transactional
  public void remove(UUID household, UUID id) {
    EntryRow row = row(household, id);
    repository.delete(row);
    repository.flush();
    tell(household, kept(row).thickness() != null);
  }

  private void tell(UUID household, boolean thick) {
    if (thick) {
      events.publishEvent(new ThicknessFound(household));
    }
  }

  private EntryRow row(UUID household, UUID id) {
    return repository
        .findByIdAndHouseholdId(id, household)
        .orElseThrow(() -> Problem.notFound("entry"));
  }
}
