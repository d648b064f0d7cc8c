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
import java.util.UUID;

/**
 * One brewing of a formula. Formula, kitchen and plan are kept as they were when it was measured
 * out, so that a later change of either leaves this batch as it is.
 */
@Entity
class Batch {
  /** Where a batch stands. */
  enum Status {
    RUNNING,
    BOTTLED,
    GIVEN_UP
  }

  @Id private UUID id;
  private UUID householdId;
  private String code;
  private String formulaId;
  private Integer formulaVersion;
  private String formulaName;

  @Column(length = 16_000_000)
  private String formula;

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

  @Enumerated(EnumType.STRING)
  @Column(columnDefinition = "varchar(20)")
  private Status status;

  private int step;
  private Instant startedAt;
  private Instant endedAt;
  private Double bottledMl;
  @Version private Long version;

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

  Batch(
      UUID id,
      UUID householdId,
      String code,
      String formulaId,
      Integer formulaVersion,
      String formulaName,
      Snapshot snapshot,
      double scale,
      Instant startedAt) {
    this.id = id;
    this.householdId = householdId;
    this.code = code;
    this.formulaId = formulaId;
    this.formulaVersion = formulaVersion;
    this.formulaName = formulaName;
    this.formula = snapshot.formula();
    this.kitchen = snapshot.kitchen();
    this.target = snapshot.target();
    this.plan = snapshot.plan();
    this.surroundings = snapshot.surroundings();
    this.schemaVersion = snapshot.schemaVersion();
    this.scale = scale;
    this.startedAt = startedAt;
    this.status = Status.RUNNING;
    steps.add(new StepDone(startedAt));
  }

  /** Ends the present step; the next one begins at the same moment. */
  void finishStep(StepDone.Report report, Instant at, boolean last) {
    steps.get(step).end(at, report);
    if (!last) {
      step++;
      steps.add(new StepDone(at));
    }
  }

  void bottled(double millilitres, Instant at) {
    status = Status.BOTTLED;
    bottledMl = millilitres;
    endedAt = at;
  }

  void giveUp(Instant at) {
    status = Status.GIVEN_UP;
    endedAt = at;
  }

  /** Takes the last tap back: the step that it ended is the present one again. */
  void reopen() {
    if (status == Status.BOTTLED) {
      status = Status.RUNNING;
      bottledMl = null;
      endedAt = null;
    } else {
      steps.remove(step);
      step--;
    }
    steps.get(step).reopen();
  }

  UUID id() {
    return id;
  }

  UUID householdId() {
    return householdId;
  }

  String code() {
    return code;
  }

  String formulaId() {
    return formulaId;
  }

  /** The kept state it was brewed from; null for a built-in formula. */
  Integer formulaVersion() {
    return formulaVersion;
  }

  String formulaName() {
    return formulaName;
  }

  Snapshot snapshot() {
    return new Snapshot(formula, kitchen, target, plan, surroundings, schemaVersion);
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

  Instant endedAt() {
    return endedAt;
  }

  Double bottledMl() {
    return bottledMl;
  }

  long version() {
    return version;
  }

  List<StepDone> steps() {
    return List.copyOf(steps);
  }
}
