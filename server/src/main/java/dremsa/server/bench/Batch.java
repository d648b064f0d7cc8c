package dremsa.server.bench;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.OrderColumn;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * One brewing of a formula. Formula, kitchen and plan are kept as they were when it was measured
 * out, so that a later change of either leaves this batch as it is.
 */
@Entity
class Batch {
  /** Where a batch stands. */
  enum Status {
    /** Measured out for a later start. */
    PLANNED,
    RUNNING,
    /** Its parts go on by themselves. */
    DIVIDED,
    BOTTLED,
    GIVEN_UP
  }

  @Id private UUID id;
  private UUID householdId;
  private @Nullable UUID parentId;
  private String code;
  private String formulaId;
  private @Nullable Integer formulaVersion;
  private String formulaName;

  @Column(length = 16_000_000)
  private String formula;

  /** As it was before the run put steps in or changed them; null where it did not. */
  @Column(length = 16_000_000)
  private @Nullable String plannedFormula;

  @Column(length = 16_000_000)
  private String kitchen;

  @Column(length = 16_000_000)
  private String target;

  @Column(length = 16_000_000)
  private String plan;

  /** Null in a batch older than this column. */
  @Column(length = 16_000_000)
  private String surroundings;

  private int schemaVersion;
  private double scale;

  /** What the self-check called dangerous; null where it called nothing so. */
  private @Nullable String overridden;

  private @Nullable String overrideReason;

  @Enumerated(EnumType.STRING)
  @Column(columnDefinition = "varchar(20)")
  private Status status;

  private int step;

  /** Of a planned batch: when it shall start. */
  private Instant startedAt;

  private @Nullable Instant endedAt;
  private @Nullable Double bottledMl;
  @Version private @Nullable Long version;

  @ElementCollection(fetch = FetchType.LAZY)
  @CollectionTable(name = "batch_step", joinColumns = @JoinColumn(name = "batch_id"))
  @OrderColumn(name = "step_index")
  private List<StepDone> steps = new ArrayList<>();

  protected Batch() {}

  /**
   * What is kept of a formula, a kitchen, a target, a plan and its surroundings, as JSON.
   *
   * @param surroundings null in an old batch: the catalogue's materials
   */
  record Snapshot(
      String formula,
      String kitchen,
      String target,
      String plan,
      String surroundings,
      int schemaVersion) {}

  /** What it is called and where it comes from. */
  record Naming(
      String code, String formulaId, @Nullable Integer formulaVersion, String formulaName) {}

  /**
   * What a tap may change, as it was before it.
   *
   * @param formula null where the tap left it
   */
  record Memento(
      Status status,
      int step,
      Instant startedAt,
      @Nullable Instant endedAt,
      @Nullable Double bottledMl,
      List<StepDone.State> steps,
      @Nullable String formula,
      @Nullable String plan) {}

  Batch(
      UUID id, UUID householdId, Naming naming, Snapshot snapshot, double scale, Instant startsAt) {
    this.id = id;
    this.householdId = householdId;
    this.code = naming.code();
    this.formulaId = naming.formulaId();
    this.formulaVersion = naming.formulaVersion();
    this.formulaName = naming.formulaName();
    this.formula = snapshot.formula();
    this.kitchen = snapshot.kitchen();
    this.target = snapshot.target();
    this.plan = snapshot.plan();
    this.surroundings = snapshot.surroundings();
    this.schemaVersion = snapshot.schemaVersion();
    this.scale = scale;
    this.startedAt = startsAt;
    this.status = Status.PLANNED;
  }

  /** One way of a divided batch: it has come as far as the dividing, and goes on alone. */
  static Batch part(Batch whole, String letter, String name, String formula, Instant at) {
    Naming naming = new Naming(whole.code + letter, whole.formulaId, whole.formulaVersion, name);
    Snapshot snapshot =
        new Snapshot(
            formula,
            whole.kitchen,
            whole.target,
            whole.plan,
            whole.surroundings,
            whole.schemaVersion);
    Batch part =
        new Batch(
            UUID.randomUUID(), whole.householdId, naming, snapshot, whole.scale, whole.startedAt);
    part.parentId = whole.id;
    part.overridden = whole.overridden;
    part.overrideReason = whole.overrideReason;
    part.status = Status.RUNNING;
    whole.steps.forEach(step -> part.steps.add(StepDone.of(part.householdId, step.state())));
    // The dividing itself takes no time.
    StepDone divided = new StepDone(whole.householdId, at);
    divided.end(at, StepDone.Report.NOTHING);
    part.steps.add(divided);
    part.steps.add(new StepDone(whole.householdId, at));
    part.step = part.steps.size() - 1;
    return part;
  }

  /** It is brewed although the self-check called it dangerous. */
  void override(Deliberate deliberate) {
    overridden = deliberate.what();
    overrideReason = deliberate.reason();
  }

  /** What was dangerous and brewed on purpose; null where nothing was. */
  @Nullable Deliberate override() {
    return overridden == null || overrideReason == null
        ? null
        : new Deliberate(overridden, overrideReason);
  }

  /** The first step begins. */
  void begin(Instant at) {
    status = Status.RUNNING;
    startedAt = at;
    steps.add(new StepDone(householdId, at));
  }

  void putOff(Instant to) {
    startedAt = to;
  }

  /** Ends the present step; the next one begins at the same moment. */
  void finishStep(StepDone.Report report, Instant at, boolean last) {
    present().end(at, report);
    if (!last) {
      next();
    }
  }

  /** Leaves the present step out. */
  void skipStep(Instant at, String reason) {
    present().skip(at, reason);
    next();
  }

  private void next() {
    steps.add(new StepDone(householdId, Objects.requireNonNull(present().endedAt())));
    step++;
  }

  /** What was measured as a step ended is put in afterwards. */
  void measured(int index, StepDone.Report report) {
    StepDone done = steps.get(index);
    done.end(Objects.requireNonNull(done.endedAt()), report);
  }

  StepDone present() {
    return steps.get(step);
  }

  /** The run changes its steps; what was planned first is kept. */
  void change(String changedFormula, String changedPlan) {
    if (plannedFormula == null) {
      plannedFormula = formula;
    }
    formula = changedFormula;
    plan = changedPlan;
  }

  void bottled(double millilitres, Instant at) {
    status = Status.BOTTLED;
    bottledMl = millilitres;
    endedAt = at;
  }

  void divided(Instant at) {
    status = Status.DIVIDED;
    endedAt = at;
  }

  void giveUp(Instant at) {
    status = Status.GIVEN_UP;
    endedAt = at;
  }

  /**
   * What it is now.
   *
   * @param withSteps whether the tap will change formula and plan
   */
  Memento memento(boolean withSteps) {
    return new Memento(
        status,
        step,
        startedAt,
        endedAt,
        bottledMl,
        steps.stream().map(StepDone::state).toList(),
        withSteps ? formula : null,
        withSteps ? plan : null);
  }

  /** Takes a tap back. */
  void restore(Memento before) {
    status = before.status();
    step = before.step();
    startedAt = before.startedAt();
    endedAt = before.endedAt();
    bottledMl = before.bottledMl();
    steps.clear();
    before.steps().forEach(state -> steps.add(StepDone.of(householdId, state)));
    if (before.formula() != null) {
      formula = before.formula();
      plan = Objects.requireNonNull(before.plan());
    }
  }

  UUID id() {
    return id;
  }

  UUID householdId() {
    return householdId;
  }

  /** The batch that it is a part of; null for a whole one. */
  @Nullable UUID parentId() {
    return parentId;
  }

  String code() {
    return code;
  }

  String formulaId() {
    return formulaId;
  }

  /** The kept state it was brewed from; null for a built-in formula. */
  @Nullable Integer formulaVersion() {
    return formulaVersion;
  }

  String formulaName() {
    return formulaName;
  }

  Snapshot snapshot() {
    return new Snapshot(formula, kitchen, target, plan, surroundings, schemaVersion);
  }

  /** As it was measured out, before the run changed it. */
  String plannedFormula() {
    return plannedFormula == null ? formula : plannedFormula;
  }

  double scale() {
    return scale;
  }

  Status status() {
    return status;
  }

  int step() {
    return step;
  }

  Instant startedAt() {
    return startedAt;
  }

  @Nullable Instant endedAt() {
    return endedAt;
  }

  @Nullable Double bottledMl() {
    return bottledMl;
  }

  long version() {
    return Objects.requireNonNull(version);
  }

  /** The steps that have begun. */
  List<StepDone.State> steps() {
    return steps.stream().map(StepDone::state).toList();
  }
}
