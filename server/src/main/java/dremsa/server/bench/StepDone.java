package dremsa.server.bench;

import dremsa.core.brew.Reading;
import dremsa.core.formula.Window;
import jakarta.persistence.Column;
import jakarta.persistence.Convert;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.time.Instant;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** What really happened at one step of a batch. */
@Embeddable
class StepDone {
  private UUID householdId;
  private Instant startedAt;
  private @Nullable Instant endedAt;

  @Enumerated(EnumType.STRING)
  @Column(columnDefinition = "varchar(10)")
  private Window.@Nullable Timing timing;

  private boolean cueSeen;

  /** Taken at its end. */
  @Convert(converter = ReadingsColumn.class)
  private Map<Reading, Double> readings = Map.of();

  private String note = "";
  private boolean skipped;
  private double extendedMin;
  private double waterMl;

  @Column(name = "water_c")
  private double waterC = 20;

  protected StepDone() {}

  StepDone(UUID householdId, Instant startedAt) {
    this.householdId = householdId;
    this.startedAt = startedAt;
  }

  /** All of it, for taking a tap back. */
  record State(
      Instant startedAt,
      @Nullable Instant endedAt,
      Window.@Nullable Timing timing,
      boolean cueSeen,
      Map<Reading, Double> readings,
      String note,
      boolean skipped,
      double extendedMin,
      double waterMl,
      double waterC) {}

  /** What the maker says when a step ends; empty fields were not said. */
  record Report(
      Window.@Nullable Timing timing,
      boolean cueSeen,
      Map<Reading, Double> readings,
      @Nullable String note) {
    static final Report NOTHING = new Report(null, false, Map.of(), "");
  }

  static StepDone of(UUID householdId, State state) {
    StepDone step = new StepDone(householdId, state.startedAt());
    step.endedAt = state.endedAt();
    step.timing = state.timing();
    step.cueSeen = state.cueSeen();
    step.readings = state.readings();
    step.note = state.note();
    step.skipped = state.skipped();
    step.extendedMin = state.extendedMin();
    step.waterMl = state.waterMl();
    step.waterC = state.waterC();
    return step;
  }

  State state() {
    return new State(
        startedAt, endedAt, timing, cueSeen, readings, note, skipped, extendedMin, waterMl, waterC);
  }

  /** Ends it; a clock that went back does not end it before it began. */
  void end(Instant at, Report report) {
    endedAt = at.isBefore(startedAt) ? startedAt : at;
    timing = report.timing();
    cueSeen = report.cueSeen();
    readings = report.readings();
    note = report.note() == null ? "" : report.note();
  }

  void skip(Instant at, String reason) {
    endedAt = at.isBefore(startedAt) ? startedAt : at;
    skipped = true;
    note = reason;
  }

  void extend(double minutes) {
    extendedMin += minutes;
  }

  /** More water; what was poured before and now is taken at its mean temperature. */
  void pour(double millilitres, double celsius) {
    waterC = (waterMl * waterC + millilitres * celsius) / (waterMl + millilitres);
    waterMl += millilitres;
  }

  Instant startedAt() {
    return startedAt;
  }

  @Nullable Instant endedAt() {
    return endedAt;
  }
}
