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
import org.jspecify.annotations.Nullable;

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
  private @Nullable Long id;

  private UUID householdId;
  private UUID batchId;
  private @Nullable UUID bottleId;

  /** What belongs together is undone together; null where it stands alone. */
  private @Nullable UUID changeId;

  private Instant happenedAt;

  @Enumerated(EnumType.STRING)
  @Column(columnDefinition = "varchar(30)")
  private Kind kind;

  private @Nullable Double millilitres;
  private String detail = "";

  /** What was told, as data; null where it is words alone. */
  private @Nullable String told;

  private boolean undone;

  /** As the household called them then; null where nobody is known. */
  private @Nullable String doneBy;

  protected Happening() {}

  Happening(
      UUID householdId,
      UUID batchId,
      @Nullable UUID bottleId,
      @Nullable UUID changeId,
      Instant happenedAt,
      Kind kind,
      @Nullable Double millilitres) {
    this.householdId = householdId;
    this.batchId = batchId;
    this.bottleId = bottleId;
    this.changeId = changeId;
    this.happenedAt = happenedAt;
    this.kind = kind;
    this.millilitres = millilitres;
  }

  /** What it tells, in words and as it is kept. */
  void tells(String words, @Nullable String json) {
    detail = words;
    told = json;
  }

  /** Tells no more than this; what was told before is gone. */
  public void tells(String words) {
    tells(words, null);
  }

  void doneBy(@Nullable String called) {
    doneBy = called;
  }

  /** A table that is read in knows better how much it was. */
  void putRight(@Nullable Double betterMillilitres) {
    millilitres = betterMillilitres;
  }

  /** Marks it as undone; it stays readable. */
  public void undo() {
    undone = true;
  }

  public @Nullable Long id() {
    return id;
  }

  public UUID batchId() {
    return batchId;
  }

  public @Nullable UUID bottleId() {
    return bottleId;
  }

  public @Nullable UUID changeId() {
    return changeId;
  }

  public Instant happenedAt() {
    return happenedAt;
  }

  public Kind kind() {
    return kind;
  }

  public @Nullable Double millilitres() {
    return millilitres;
  }

  /** In words. */
  public String detail() {
    return detail;
  }

  @Nullable String told() {
    return told;
  }

  public boolean undone() {
    return undone;
  }

  /** Who did it, as the household called them then; null where nobody is known. */
  public @Nullable String doneBy() {
    return doneBy;
  }
}
