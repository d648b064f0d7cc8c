package dremsa.server.shelf;

import dremsa.core.formula.Purpose;
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

/** Some of a bottle that was used on a head. Never changed but for the mark that it was undone. */
@Entity
class BottleUse {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private @Nullable Long id;

  private UUID householdId;
  private UUID bottleId;
  private Instant usedAt;
  private double millilitres;
  private @Nullable String who;

  /** Whose head it was; null where nobody said, or where they are known here no more. */
  private @Nullable UUID personId;

  @Enumerated(EnumType.STRING)
  @Column(columnDefinition = "varchar(20)")
  private @Nullable Purpose purpose;

  /** By it others know this use; null in rows of before there was one. */
  private @Nullable UUID mark;

  private boolean undone;

  protected BottleUse() {}

  /**
   * @param told what is said of it
   */
  BottleUse(Bottle bottle, Instant usedAt, double millilitres, Uses.Told told) {
    this.householdId = bottle.householdId();
    this.bottleId = bottle.id();
    this.usedAt = usedAt;
    this.millilitres = millilitres;
    this.who = told.who();
    this.purpose = told.purpose();
    this.personId = told.person();
    this.mark = UUID.randomUUID();
  }

  /** Nobody is named any more; how much it was stays. */
  void forgetWho() {
    who = null;
    personId = null;
  }

  void undo() {
    undone = true;
  }

  @Nullable Long id() {
    return id;
  }

  UUID householdId() {
    return householdId;
  }

  @Nullable UUID mark() {
    return mark;
  }

  UUID bottleId() {
    return bottleId;
  }

  boolean undone() {
    return undone;
  }

  /** What was said of it. */
  Uses.Told told() {
    return new Uses.Told(who, purpose, personId);
  }

  Instant usedAt() {
    return usedAt;
  }

  double millilitres() {
    return millilitres;
  }
}
