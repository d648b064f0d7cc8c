package dremsa.server.learning;

import dremsa.core.learn.Criterion;
import dremsa.core.learn.HeadSection;
import dremsa.core.learn.SectionTrial;
import dremsa.core.learn.TrialVerdict;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.learning.TrialJson.CriterionView;
import dremsa.server.learning.TrialJson.Kept;
import dremsa.server.learning.TrialJson.OnSection;
import dremsa.server.learning.TrialJson.ProductsVerdict;
import dremsa.server.learning.TrialJson.ScoreView;
import dremsa.server.learning.TrialJson.TrialView;
import dremsa.server.learning.TrialJson.TrialsView;
import dremsa.server.learning.TrialJson.VerdictLine;
import dremsa.server.people.People;
import dremsa.server.reminders.Due;
import dremsa.server.reminders.Reminders;
import dremsa.server.wire.Stored;
import java.security.SecureRandom;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps trials of products on sections of a head, and asks the model what they say together. */
@Service
public class Trials {
  static final int MOST = 500;

  private final TrialRepository repository;
  private final People people;
  private final Reminders reminders;
  private final Stored stored;
  private final Random lots = new SecureRandom();

  Trials(TrialRepository repository, People people, Reminders reminders, Stored stored) {
    this.repository = repository;
    this.reminders = reminders;
    this.people = people;
    this.stored = stored;
  }

  /** All of a household. */
  @Transactional(readOnly = true)
  public TrialsView all(UUID household) {
    Map<UUID, String> names = people.names(household);
    List<TrialRow> rows = repository.findByHouseholdIdOrderByBegunAtDesc(household);
    return new TrialsView(
        rows.stream().map(row -> view(row, names.getOrDefault(row.personId(), ""))).toList(),
        verdicts(rows),
        Arrays.stream(Criterion.values())
            .map(each -> new CriterionView(each, each.least(), each.most(), each.lessIsBetter()))
            .toList());
  }

  private Kept kept(TrialRow row) {
    return stored.read(row.content(), Kept.class);
  }

  private TrialView view(TrialRow row, String name) {
    Kept kept = kept(row);
    boolean hidden = kept.blind() && row.endedAt() == null;
    List<ScoreView> scores = new ArrayList<>();
    new TreeMap<>(kept.scores())
        .forEach(
            (criterion, each) ->
                new TreeMap<>(each)
                    .forEach((jar, score) -> scores.add(new ScoreView(criterion, jar, score))));
    return new TrialView(
        row.id(),
        row.version(),
        row.personId(),
        name,
        row.begunAt(),
        row.endedAt(),
        kept.blind(),
        kept.products().size(),
        hidden ? List.of() : kept.products(),
        new TreeMap<>(kept.on())
            .entrySet().stream()
                .map(each -> new OnSection(each.getKey(), each.getValue()))
                .toList(),
        scores);
  }

  /** Ended trials of the same products, whoever they were on, are judged together. */
  private List<ProductsVerdict> verdicts(List<TrialRow> rows) {
    Map<List<String>, List<SectionTrial>> same =
        new TreeMap<>(Comparator.comparing(List::toString));
    for (TrialRow row : rows) {
      if (row.endedAt() != null) {
        SectionTrial trial = kept(row).toCore();
        same.computeIfAbsent(trial.products().stream().sorted().toList(), key -> new ArrayList<>())
            .add(trial);
      }
    }
    List<ProductsVerdict> all = new ArrayList<>();
    same.forEach(
        (products, trials) -> {
          List<TrialVerdict> verdicts = TrialVerdict.of(products, trials);
          all.add(
              new ProductsVerdict(
                  products,
                  trials.size(),
                  verdicts.size(),
                  verdicts.stream()
                      .map(
                          each ->
                              new VerdictLine(
                                  each.criterion(), each.words(each.leader()), each.settled()))
                      .toList()));
        });
    return all;
  }

  /** Begins a trial: lots are drawn for the jars and for the sections. */
  @Transactional
  public UUID begin(
      UUID household,
      UUID person,
      List<String> named,
      List<HeadSection> sections,
      boolean blind,
      List<Integer> lookHours,
      Instant now) {
    people.get(household, person);
    if (repository.countByHouseholdId(household) >= MOST) {
      throw Problem.conflict("There are " + MOST + " trials already.");
    }
    List<String> products = new ArrayList<>(named.stream().map(String::strip).toList());
    if (new HashSet<>(products).size() < products.size()) {
      throw Problem.invalid(
          FieldProblem.of("products", products, "The same product on two jars tells nothing."));
    }
    if (new HashSet<>(sections).size() < products.size()) {
      throw Problem.invalid(
          FieldProblem.of("sections", sections, "Each product needs a section of its own."));
    }
    Collections.shuffle(products, lots);
    Kept kept =
        new Kept(
            products,
            SectionTrial.lots(products.size(), sections.stream().distinct().toList(), lots),
            blind,
            Map.of(),
            lookHours.stream().distinct().sorted().toList());
    TrialRow row =
        repository.saveAndFlush(new TrialRow(household, person, now, stored.write(kept)));
    remind(row, now);
    return row.id();
  }

  /** Says when a trial under way is to be looked at again; of one that is over nothing is said. */
  private void remind(TrialRow row, Instant now) {
    Kept kept = kept(row);
    List<Due> dues = new ArrayList<>();
    if (row.endedAt() == null && kept.lookHours() != null) {
      String jars = "Score the jars on the head: " + kept.products().size() + " of them.";
      for (int hours : kept.lookHours()) {
        Instant at = row.begunAt().plus(Duration.ofHours(hours));
        if (at.isAfter(now)) {
          dues.add(
              new Due(
                  subject(row.id()) + ":" + hours,
                  at,
                  Due.Kind.NOW,
                  "Look at the trial",
                  jars,
                  "/learn/trials"));
        }
      }
    }
    reminders.replace(row.householdId(), subject(row.id()), dues);
  }

  private static String subject(UUID trial) {
    return "trial/" + trial;
  }

  /** After a backup was read in: reminders are told anew. */
  void remindOfAll(UUID household, Instant now) {
    repository.findByHouseholdIdOrderByBegunAtDesc(household).forEach(row -> remind(row, now));
  }

  /** What is in which jar. */
  @Transactional(readOnly = true)
  public List<String> jars(UUID household, UUID id) {
    return kept(row(household, id)).products();
  }

  /** Scores all jars anew. */
  @Transactional
  public void score(
      UUID household, UUID id, long version, Map<Criterion, Map<Integer, Double>> scores) {
    TrialRow row = open(household, id, version);
    Kept kept = kept(row);
    scores.forEach(
        (criterion, each) ->
            each.forEach(
                (jar, score) -> {
                  String at = "scores." + criterion + "." + jar;
                  if (jar < 0 || jar >= kept.products().size()) {
                    throw Problem.invalid(FieldProblem.of(at, jar, "There is no such jar."));
                  }
                  if (score == null || !criterion.holds(score)) {
                    throw Problem.invalid(
                        FieldProblem.range(
                            at,
                            score,
                            "This is scored from "
                                + Math.round(criterion.least())
                                + " to "
                                + Math.round(criterion.most())
                                + ".",
                            criterion.least(),
                            criterion.most()));
                  }
                }));
    row.says(stored.write(kept.with(scores)));
    repository.saveAndFlush(row);
  }

  /** Ends a trial: what is in the jars is told. */
  @Transactional
  public void end(UUID household, UUID id, long version, Instant now) {
    TrialRow row = open(household, id, version);
    if (kept(row).scores().isEmpty()) {
      throw Problem.conflict("Nothing was scored yet.");
    }
    row.ended(now);
    repository.saveAndFlush(row);
    remind(row, now);
  }

  /** Takes a trial away. */
  @Transactional
  public void remove(UUID household, UUID id) {
    reminders.replace(household, subject(id), List.of());
    repository.delete(row(household, id));
    repository.flush();
  }

  private TrialRow row(UUID household, UUID id) {
    return repository
        .findByIdAndHouseholdId(id, household)
        .orElseThrow(() -> Problem.notFound("trial"));
  }

  private TrialRow open(UUID household, UUID id, long version) {
    TrialRow row = row(household, id);
    if (row.version() != version) {
      throw Problem.conflict("Somebody was quicker. Look at the trial again.");
    }
    if (row.endedAt() != null) {
      throw Problem.conflict("This trial is over: what is in the jars is known.");
    }
    return row;
  }
}
