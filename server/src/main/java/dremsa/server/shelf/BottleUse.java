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

  @Enumerated(EnumType.STRING)
  @Column(columnDefinition = "varchar(20)")
  private @Nullable Purpose purpose;

  private boolean undone;

  protected BottleUse() {}

  /**
   * @param who used it; null where nobody said
   * @param purpose what for; null where nobody said
   */
  BottleUse(
      Bottle bottle,
      Instant usedAt,
      double millilitres,
      @Nullable String who,
      @Nullable Purpose purpose) {
    this.householdId = bottle.householdId();
    this.bottleId = bottle.id();
    this.usedAt = usedAt;
    this.millilitres = millilitres;
    this.who = who;
    this.purpose = purpose;
  }

  void undo() {
    undone = true;
  }

  @Nullable Long id() {
    return id;
  }

  Instant usedAt() {
    return usedAt;
  }

  double millilitres() {
    return millilitres;
  }
}
