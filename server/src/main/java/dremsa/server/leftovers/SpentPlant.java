package dremsa.server.leftovers;

import dremsa.core.keep.Leftover;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A leftover on the shelf. */
@Entity
@Table(name = "leftover")
class SpentPlant {
  /** What became of it. */
  enum Outcome {
    OPEN,
    USED,
    DRIED,
    COMPOSTED
  }

  @Id private UUID id;
  private UUID householdId;
  private UUID batchId;
  private String code;
  private String name;

  @Enumerated(EnumType.STRING)
  @Column(columnDefinition = "varchar(20)")
  private Leftover.Use purpose;

  private String why;

  /** The one plant that it is; null for a mixture. */
  private @Nullable String materialId;

  private double dryGrams;
  private double wetGrams;
  private Instant strainedAt;
  private LocalDate lastDay;

  @Enumerated(EnumType.STRING)
  @Column(columnDefinition = "varchar(20)")
  private Outcome outcome;

  private @Nullable Instant endedAt;

  /** The lot of the stores that it was dried to. */
  private @Nullable UUID lotId;

  @Version private @Nullable Long version;

  protected SpentPlant() {}

  SpentPlant(
      UUID householdId,
      UUID batchId,
      String code,
      String name,
      Leftover leftover,
      Instant strainedAt,
      LocalDate lastDay) {
    this.id = UUID.randomUUID();
    this.householdId = householdId;
    this.batchId = batchId;
    this.code = code;
    this.name = name;
    this.purpose = leftover.use();
    this.why = leftover.why();
    this.materialId = leftover.materials().size() == 1 ? leftover.materials().get(0).id() : null;
    this.dryGrams = leftover.dryGrams();
    this.wetGrams = leftover.wetGrams();
    this.strainedAt = strainedAt;
    this.lastDay = lastDay;
    this.outcome = Outcome.OPEN;
  }

  void end(Outcome how, Instant at, @Nullable UUID lot) {
    outcome = how;
    endedAt = at;
    lotId = lot;
  }

  void open() {
    outcome = Outcome.OPEN;
    endedAt = null;
    lotId = null;
  }

  UUID id() {
    return id;
  }

  UUID householdId() {
    return householdId;
  }

  UUID batchId() {
    return batchId;
  }

  String code() {
    return code;
  }

  String name() {
    return name;
  }

  Leftover.Use purpose() {
    return purpose;
  }

  String why() {
    return why;
  }

  @Nullable String materialId() {
    return materialId;
  }

  double dryGrams() {
    return dryGrams;
  }

  double wetGrams() {
    return wetGrams;
  }

  Instant strainedAt() {
    return strainedAt;
  }

  LocalDate lastDay() {
    return lastDay;
  }

  Outcome outcome() {
    return outcome;
  }

  @Nullable Instant endedAt() {
    return endedAt;
  }

  @Nullable UUID lotId() {
    return lotId;
  }

  long version() {
    return Objects.requireNonNull(version);
  }
}
