package dremsa.server.stores;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Some of a material, got at one time. */
@Entity
class Lot {
  /** How it was got. */
  enum Origin {
    HARVESTED,
    BOUGHT,
    /** From a harvest that has dried. */
    DRIED
  }

  @Id private UUID id;
  private UUID householdId;
  private String materialId;

  @Enumerated(EnumType.STRING)
  @Column(columnDefinition = "varchar(20)")
  private Origin origin;

  private double grams;
  private double leftGrams;
  private LocalDate gotOn;
  private @Nullable LocalDate openedOn;
  private @Nullable Double price;
  private String place = "";
  private String note = "";
  private @Nullable UUID driedFrom;
  private @Nullable Instant endedAt;
  @Version private @Nullable Long version;

  protected Lot() {}

  /** What is told of a lot and may be put right later. */
  record Told(
      LocalDate gotOn,
      @Nullable LocalDate openedOn,
      @Nullable Double price,
      String place,
      String note) {}

  Lot(
      UUID id,
      UUID householdId,
      String materialId,
      Origin origin,
      double grams,
      @Nullable UUID driedFrom,
      Told told) {
    this.id = id;
    this.householdId = householdId;
    this.materialId = materialId;
    this.origin = origin;
    this.grams = grams;
    this.leftGrams = grams;
    this.driedFrom = driedFrom;
    this.gotOn = told.gotOn();
    tell(told);
  }

  void tell(Told told) {
    gotOn = told.gotOn();
    openedOn = told.openedOn();
    price = told.price();
    place = told.place();
    note = told.note();
  }

  /** Takes some out, or puts some back where {@code taken} is negative. */
  void take(double taken) {
    leftGrams = Math.max(0, leftGrams - taken);
  }

  void end(@Nullable Instant at) {
    endedAt = at;
  }

  void opened(LocalDate on) {
    if (openedOn == null) {
      openedOn = on;
    }
  }

  UUID id() {
    return id;
  }

  UUID householdId() {
    return householdId;
  }

  String materialId() {
    return materialId;
  }

  Origin origin() {
    return origin;
  }

  double grams() {
    return grams;
  }

  double leftGrams() {
    return leftGrams;
  }

  LocalDate gotOn() {
    return gotOn;
  }

  @Nullable LocalDate openedOn() {
    return openedOn;
  }

  @Nullable Double price() {
    return price;
  }

  String place() {
    return place;
  }

  String note() {
    return note;
  }

  @Nullable UUID driedFrom() {
    return driedFrom;
  }

  @Nullable Instant endedAt() {
    return endedAt;
  }

  long version() {
    return Objects.requireNonNull(version);
  }
}
