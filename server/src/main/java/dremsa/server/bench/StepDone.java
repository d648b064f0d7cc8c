package dremsa.server.bench;

import dremsa.core.formula.Window;
import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.time.Instant;

/** What really happened at one step of a batch. */
@Embeddable
class StepDone {
  private Instant startedAt;
  private Instant endedAt;

  @Enumerated(EnumType.STRING)
  @Column(columnDefinition = "varchar(10)")
  private Window.Timing timing;

  private boolean cueSeen;
  private Double measuredMl;

  @Column(name = "measured_c")
  private Double measuredC;

  private String note = "";

  protected StepDone() {}

  StepDone(Instant startedAt) {
    this.startedAt = startedAt;
  }

  /** What the maker says when a step ends; empty fields were not said. */
  record Report(
      Window.Timing timing, boolean cueSeen, Double measuredMl, Double measuredC, String note) {}

  void end(Instant at, Report report) {
    endedAt = at;
    timing = report.timing();
    cueSeen = report.cueSeen();
    measuredMl = report.measuredMl();
    measuredC = report.measuredC();
    note = report.note() == null ? "" : report.note();
  }

  void reopen() {
    endedAt = null;
    timing = null;
    cueSeen = false;
    measuredMl = null;
    measuredC = null;
    note = "";
  }

  Instant startedAt() {
    return startedAt;
  }

  Instant endedAt() {
    return endedAt;
  }

  Window.Timing timing() {
    return timing;
  }

  boolean cueSeen() {
    return cueSeen;
  }

  Double measuredMl() {
    return measuredMl;
  }

  Double measuredC() {
    return measuredC;
  }

  String note() {
    return note;
  }
}
