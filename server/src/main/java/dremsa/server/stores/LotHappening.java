package dremsa.server.stores;

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

/** Something that happened to a lot. */
@Entity
class LotHappening {
  /** What happened. */
  enum Kind {
    GOT,
    BREWED,
    TAKEN,
    WEIGHED,
    DRIED,
    ENDED
  }

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private @Nullable Long id;

  private UUID householdId;
  private UUID lotId;
  private @Nullable UUID batchId;
  private Instant happenedAt;

  @Enumerated(EnumType.STRING)
  @Column(columnDefinition = "varchar(20)")
  private Kind kind;

  /** Taken out; negative for what was put in. */
  private double grams;

  private String detail;
  private boolean undone;

  protected LotHappening() {}

  LotHappening(
      Lot lot, @Nullable UUID batchId, Instant happenedAt, Kind kind, double grams, String detail) {
    this.householdId = lot.householdId();
    this.lotId = lot.id();
    this.batchId = batchId;
    this.happenedAt = happenedAt;
    this.kind = kind;
    this.grams = grams;
    this.detail = detail.length() > 300 ? detail.substring(0, 300) : detail;
  }

  void undo() {
    undone = true;
  }

  Kind kind() {
    return kind;
  }

  Instant happenedAt() {
    return happenedAt;
  }

  double grams() {
    return grams;
  }

  String detail() {
    return detail;
  }

  boolean undone() {
    return undone;
  }
}
