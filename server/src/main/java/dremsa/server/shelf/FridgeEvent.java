package dremsa.server.shelf;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;

/** Something that happened to the whole fridge: a power cut, a warm spell, a logger's record. */
@Entity
class FridgeEvent {
  @Id private UUID id;
  private UUID householdId;
  private Instant fromAt;
  private Instant toAt;
  private String words;

  /** Hours warmer than 5 °C, as JSON. */
  @Column(length = 16_000_000)
  private String pieces;

  private Instant madeAt;
  private boolean undone;

  protected FridgeEvent() {}

  FridgeEvent(
      UUID id,
      UUID householdId,
      Instant fromAt,
      Instant toAt,
      String words,
      String pieces,
      Instant madeAt) {
    this.id = id;
    this.householdId = householdId;
    this.fromAt = fromAt;
    this.toAt = toAt;
    this.words = words;
    this.pieces = pieces;
    this.madeAt = madeAt;
  }

  void undo() {
    undone = true;
  }

  UUID id() {
    return id;
  }

  Instant fromAt() {
    return fromAt;
  }

  Instant toAt() {
    return toAt;
  }

  String words() {
    return words;
  }

  String pieces() {
    return pieces;
  }

  boolean undone() {
    return undone;
  }
}
