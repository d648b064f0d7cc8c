package dremsa.server.bench;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Reading;
import dremsa.core.check.Finding;
import dremsa.core.check.SelfCheck;
import dremsa.core.formula.Branch;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Ingredient;
import dremsa.core.formula.Step;
import dremsa.core.formula.Window;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import dremsa.server.accounts.Households;
import dremsa.server.formulas.Formulas;
import dremsa.server.history.Happening;
import dremsa.server.http.Problem;
import dremsa.server.kitchens.Kitchens;
import dremsa.server.predictions.Plan;
import dremsa.server.predictions.Planner;
import dremsa.server.predictions.When;
import dremsa.server.wire.FormulaJson;
import dremsa.server.wire.KitchenJson;
import dremsa.server.wire.Stored;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Starts batches, ends their steps, and ends them. Every method is told what time it is. */
@Service
public class Bench {
  private final BatchRepository repository;
  private final Runs runs;
  private final Log log;
  private final Kitchens kitchens;
  private final Formulas formulas;
  private final Planner planner;
  private final Stored stored;
  private final ApplicationEventPublisher events;
  private final Households households;
  private final Endings endings;

  Bench(
      BatchRepository repository,
      Runs runs,
      Log log,
      Kitchens kitchens,
      Formulas formulas,
      Planner planner,
      Stored stored,
      ApplicationEventPublisher events,
      Households households,
      Endings endings) {
    this.endings = endings;
    this.households = households;
    this.repository = repository;
    this.runs = runs;
    this.log = log;
    this.kitchens = kitchens;
    this.formulas = formulas;
    this.planner = planner;
    this.stored = stored;
    this.events = events;
  }

  /** Starts a batch now. */
  @Transactional
  public UUID start(UUID household, Plan plan, Instant at) {
    return start(household, plan, When.NOW, at);
  }

  /** Starts a batch, or keeps it measured out for its time. */
  @Transactional
  public UUID start(UUID household, Plan plan, When when, Instant at) {
    Planner.Planned planned = planner.solveFree(household, plan, kitchens.of(household), when, at);
    Kitchen kitchen = planned.kitchen();
    Brew brew = planned.reached().brew();
    Formula formula = brew.formula();
    Instant starts = when.starts(planned.reached().prediction(), at);
    Batch batch =
        new Batch(
            UUID.randomUUID(),
            household,
            new Batch.Naming(
                code(household, formula),
                formula.id(),
                formulas.keepForBatch(household, formula.id(), at).orElse(null),
                formula.name()),
            new Batch.Snapshot(
                stored.write(FormulaJson.of(formula)),
                stored.write(KitchenJson.of(kitchen)),
                stored.write(plan.target()),
                stored.write(minutes(plan)),
                stored.write(planned.surroundings()),
                Stored.VERSION),
            planned.reached().scale(),
            starts);
    Deliberate deliberate = Deliberate.of(errors(household, planned), plan.override());
    if (deliberate != null) {
      batch.override(deliberate);
    }
    if (starts.isAfter(at)) {
      log.saved(batch, at);
      log.note(batch, at, Happening.Kind.PLANNED, null, formula.name());
    } else {
      begin(batch, at);
    }
    return batch.id();
  }

  private List<Finding> errors(UUID household, Planner.Planned planned) {
    return SelfCheck.errors(
        planned.reached().brew(),
        planned.reached().scale(),
        planned.facts(),
        planned.reached().prediction(),
        households.of(household).school());
  }

  /** Begins a batch that was planned. */
  @Transactional
  public void begin(UUID household, UUID id, long version, Instant at) {
    Batch batch = log.find(household, id, version);
    if (batch.status() != Batch.Status.PLANNED) {
      throw Problem.conflict("This brew has begun already.");
    }
    begin(batch, at);
  }

  /** Puts a planned start off, or brings it forward. */
  @Transactional
  public void putOff(UUID household, UUID id, long version, When when, Instant at) {
    Batch batch = log.find(household, id, version);
    if (batch.status() != Batch.Status.PLANNED) {
      throw Problem.conflict("This brew has begun already.");
    }
    batch.putOff(when.starts(runs.planned(batch).prediction(), at));
    log.saved(batch, at);
  }

  private void begin(Batch batch, Instant at) {
    batch.begin(at);
    log.saved(batch, at);
    Runs.Run run = runs.planned(batch);
    log.note(
        batch,
        at,
        Happening.Kind.STARTED,
        run.prediction().finished().millilitres(),
        batch.formulaName());
    pour(batch, run, at);
    events.publishEvent(
        new MeasuredOut(batch.householdId(), batch.id(), batch.code(), weighed(run), at));
  }

  /** Grams of each material; water comes from the tap, brews from the shelf. */
  private static Map<String, Double> weighed(Runs.Run run) {
    Map<String, Double> grams = new LinkedHashMap<>();
    List<Material> materials = run.brew().materials();
    for (int i = 0; i < materials.size(); i++) {
      Material material = materials.get(i);
      Double amount =
          run.prediction().amounts().get(run.brew().formula().ingredients().get(i).key());
      if (amount != null
          && material.kind() != MaterialKind.WATER
          && material.kind() != MaterialKind.BREW) {
        grams.merge(material.id(), amount, Double::sum);
      }
    }
    return grams;
  }

  private static Map<Integer, Double> minutes(Plan plan) {
    Map<Integer, Double> minutes = new LinkedHashMap<>();
    if (plan.steps() != null) {
      plan.steps().forEach(step -> minutes.put(step.index(), step.minutes()));
    }
    return minutes;
  }

  /** What is poured in from bottles of the shelf is taken out of them. */
  private void pour(Batch batch, Runs.Run run, Instant at) {
    Map<String, UUID> bottles = runs.bottles(batch);
    List<Ingredient> ingredients = run.brew().formula().ingredients();
    for (int i = 0; i < ingredients.size(); i++) {
      UUID bottle = bottles.get(ingredients.get(i).material());
      Double grams = run.prediction().amounts().get(ingredients.get(i).key());
      if (bottle != null && grams != null) {
        events.publishEvent(
            new BrewPoured(
                batch.householdId(),
                batch.id(),
                batch.code(),
                bottle,
                grams / run.brew().materials().get(i).density(),
                at));
      }
    }
  }

  /** Initials and a running number: short enough to write on tape. */
  private String code(UUID household, Formula formula) {
    StringBuilder initials = new StringBuilder();
    for (String word : formula.name().split("[^\\p{L}]+")) {
      if (!word.isEmpty() && initials.length() < 3) {
        initials.appendCodePoint(word.codePointAt(0));
      }
    }
    String letters = initials.toString().toUpperCase(Locale.ROOT) + "-";
    long number = repository.countByHouseholdId(household) + 1;
    // Batches read in from a table bring codes of their own.
    while (repository.findByHouseholdIdAndCode(household, letters + number).isPresent()) {
      number++;
    }
    return letters + number;
  }

  /**
   * What the maker says when a step is done; empty fields were not said.
   *
   * @param sure what was read is right, however surprising
   * @param anyway it is ended now, however early
   */
  public record Done(
      boolean cueSeen,
      Map<Reading, Double> readings,
      @Nullable String note,
      List<BatchBottled.Filled> bottles,
      boolean sure,
      boolean anyway) {
    /** Done, with nothing to say but that. */
    public static Done plainly(boolean cueSeen) {
      return new Done(cueSeen, Map.of(), "", List.of(), false, true);
    }
  }

  /**
   * Ends the present step.
   *
   * @param index that the maker saw; another one means that somebody else was quicker
   * @param version that the maker saw
   * @param at when it was done; not before the step began
   */
  @Transactional
  public void finish(UUID household, UUID id, int index, long version, Done done, Instant at) {
    Batch batch = log.present(household, id, version, index, at);
    Runs.Run run = runs.of(batch, at);
    Formula formula = run.brew().formula();
    Step step = formula.steps().get(index);
    Claims.check(run, index, done);
    if (!done.anyway()) {
      endings.ask(batch, run, done, at);
    }
    boolean last = index == formula.steps().size() - 1;
    boolean divides = last && !formula.branches().isEmpty();
    if (last && !divides) {
      Claims.checkBottles(run, done.bottles());
    }
    StepDone.State present = batch.steps().get(index);
    double minutes = Happened.minutes(present.startedAt(), at);
    Window.Timing timing =
        step.window().map(w -> w.judge(minutes - late(present, w, minutes))).orElse(null);
    log.tapped(batch, "Done: " + step.headline(), false);
    batch.finishStep(
        new StepDone.Report(timing, done.cueSeen(), done.readings(), done.note()), at, last);
    log.note(
        batch,
        at,
        Happening.Kind.STEP_DONE,
        done.readings().get(Reading.VOLUME),
        words(step, timing, done));
    if (divides) {
      divide(batch, formula, at);
    } else if (last) {
      bottle(batch, done, at);
    } else {
      log.saved(batch, at);
    }
  }

  /** Minutes that the maker added count as right, not as late; they never make it early. */
  private static double late(StepDone.State step, Window window, double minutes) {
    return minutes > window.longest() ? Math.min(step.extendedMin(), minutes - window.usual()) : 0;
  }

  private void bottle(Batch batch, Done done, Instant at) {
    double millilitres =
        done.bottles().stream().mapToDouble(BatchBottled.Filled::millilitres).sum();
    batch.bottled(millilitres, at);
    log.saved(batch, at);
    log.note(
        batch,
        at,
        Happening.Kind.BOTTLED,
        millilitres,
        done.bottles().size() == 1 ? "1 bottle" : done.bottles().size() + " bottles");
    events.publishEvent(
        new BatchBottled(batch.householdId(), runs.record(batch, at), done.bottles(), at));
  }

  private void divide(Batch batch, Formula formula, Instant at) {
    batch.divided(at);
    log.saved(batch, at);
    log.note(batch, at, Happening.Kind.DIVIDED, null, formula.branches().size() + " parts");
    char letter = 'a';
    for (Branch branch : formula.branches()) {
      Formula way = formula.way(branch);
      Batch part =
          Batch.part(
              batch, String.valueOf(letter++), way.name(), stored.write(FormulaJson.of(way)), at);
      log.saved(part, at);
    }
  }

  private static String words(Step step, Window.@Nullable Timing timing, Done done) {
    StringBuilder words = new StringBuilder(step.headline());
    if (timing != null && timing != Window.Timing.RIGHT) {
      words.append(timing == Window.Timing.EARLY ? ", early" : ", late");
    }
    if (done.cueSeen()) {
      words.append(", cue seen");
    }
    if (done.note() != null && !done.note().isBlank()) {
      words.append(": ").append(done.note());
    }
    return words.toString();
  }

  /** Takes the last tap back. */
  @Transactional
  public void undo(UUID household, UUID id, long version, Instant at) {
    Batch batch = log.find(household, id, version);
    if (batch.status() == Batch.Status.BOTTLED) {
      events.publishEvent(
          new BottlingUndone(household, id, batch.parentId() == null ? id : batch.parentId()));
    } else if (batch.status() == Batch.Status.DIVIDED) {
      log.removeParts(batch);
    }
    String words = log.takeBack(batch);
    log.saved(batch, at);
    log.note(batch, at, Happening.Kind.STEP_UNDONE, null, words);
  }

  /** Ends a run without bottles. */
  @Transactional
  public void giveUp(UUID household, UUID id, long version, String reason, Instant at) {
    Batch batch = log.find(household, id, version);
    if (batch.status() != Batch.Status.RUNNING && batch.status() != Batch.Status.PLANNED) {
      throw Problem.conflict("This brew is over already.");
    }
    log.tapped(batch, "Given up", false);
    batch.giveUp(at);
    log.saved(batch, at);
    log.note(batch, at, Happening.Kind.GIVEN_UP, null, reason);
  }
}
