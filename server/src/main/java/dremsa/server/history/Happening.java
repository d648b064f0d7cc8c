package dremsa.server.history;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;

/** One thing that happened. Never changed but for the mark that it was undone. */
@Entity
public class Happening {
  /** What sort of thing. */
  public enum Kind {
    PLANNED,
    STARTED,
    STEP_DONE,
    STEP_SKIPPED,
    STEP_EXTENDED,
    STEP_AGAIN,
    STEP_UNDONE,
    WATER_ADDED,
    COOLING_CHANGED,
    DIVIDED,
    BOTTLED,
    GIVEN_UP,
    TAKEN,
    LEFT_OUT,
    MOVED,
    OPENED,
    FROZEN,
    THAWED,
    POURED_OUT,
    POURED_IN,
    SCHOOL_CHANGED,
    FRIDGE_WARM,
    LABELLED,
    LEFTOVER,
    FINISHED,
    DISCARDED
  }

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private UUID householdId;
  private UUID batchId;
  private UUID bottleId;

  /** What belongs together is undone together; null where it stands alone. */
  private UUID changeId;

  private Instant happenedAt;

  @Enumerated(EnumType.STRING)
  @Column(columnDefinition = "varchar(30)")
  private Kind kind;

  private Double millilitres;
  private String detail;
  private boolean undone;

  protected Happening() {}

  public Happening(
      UUID householdId,
      UUID batchId,
      UUID bottleId,
      UUID changeId,
      Instant happenedAt,
      Kind kind,
      Double millilitres,
      String detail) {
    this.householdId = householdId;
    this.batchId = batchId;
    this.bottleId = bottleId;
    this.changeId = changeId;
    this.happenedAt = happenedAt;
    this.kind = kind;
    this.millilitres = millilitres;
    this.detail = detail;
  }

  /** A table that is read in knows better how much it was, and what. */
  public void putRight(Double betterMillilitres, String betterDetail) {
    millilitres = betterMillilitres;
    detail = betterDetail;
  }

  /** Marks it as undone; it stays readable. */
  public void undo() {
    undone = true;
  }

  public Long id() {
    return id;
  }

  public UUID batchId() {
    return batchId;
  }

  public UUID bottleId() {
    return bottleId;
  }

  public UUID changeId() {
    return changeId;
  }

  public Instant happenedAt() {
    return happenedAt;
  }

  public Kind kind() {
    return kind;
  }

  public Double millilitres() {
    return millilitres;
  }

  public String detail() {
    return detail;
  }

  public boolean undone() {
    return undone;
  }
}
