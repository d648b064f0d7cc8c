package dremsa.server.kitchens;

import dremsa.core.keep.Climates;
import dremsa.core.kitchen.Climate;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** How warm a household's places were set, from a moment on. Never changed. */
@Entity
@Table(name = "kitchen_climate")
class ClimateRow {
  /** Stands for all time before anything was changed. */
  static final Instant BEGINNING = Instant.parse("2000-01-02T00:00:00Z");

  @Id private UUID id;
  private UUID householdId;
  private Instant fromAt;
  private double roomCelsius;
  private double fridgeCelsius;
  private double freezerCelsius;
  private Instant madeAt;

  protected ClimateRow() {}

  ClimateRow(UUID householdId, Instant fromAt, Climate climate, Instant madeAt) {
    this.id = UUID.randomUUID();
    this.householdId = householdId;
    this.fromAt = fromAt;
    this.roomCelsius = climate.roomC();
    this.fridgeCelsius = climate.fridgeC();
    this.freezerCelsius = climate.freezerC();
    this.madeAt = madeAt;
  }

  UUID id() {
    return id;
  }

  Instant fromAt() {
    return fromAt;
  }

  Climate climate() {
    return new Climate(roomCelsius, fridgeCelsius, freezerCelsius);
  }

  Climates.Since since() {
    return new Climates.Since(fromAt, climate());
  }
}
