package dremsa.server.shelf;

import dremsa.core.keep.KeepEvent;
import dremsa.server.wire.KeepEventJson;
import dremsa.server.wire.Stored;
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

/** Something that happened to a bottle and counts for how long it keeps. */
@Entity
class BottleEvent {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private @Nullable Long id;

  private UUID householdId;
  private UUID bottleId;
  private UUID changeId;
  private Instant happenedAt;

  /** Stands in {@link #said} too; here to be asked for. */
  @Enumerated(EnumType.STRING)
  @Column(columnDefinition = "varchar(20)")
  private KeepEvent.Kind kind;

  /** A {@link KeepEventJson}. */
  @Column(length = 16_000_000)
  private String said;

  private boolean undone;

  protected BottleEvent() {}

  private BottleEvent(Bottle bottle, UUID changeId, Instant at, KeepEvent.Kind kind, String said) {
    this.householdId = bottle.householdId();
    this.bottleId = bottle.id();
    this.changeId = changeId;
    this.happenedAt = at;
    this.kind = kind;
    this.said = said;
  }

  BottleEvent(Bottle bottle, UUID changeId, KeepEvent event, Stored stored) {
    this(bottle, changeId, event.at(), event.kind(), stored.write(KeepEventJson.of(event)));
  }

  /** The same event in the life of a part of this bottle. */
  BottleEvent of(Bottle part) {
    return new BottleEvent(part, changeId, happenedAt, kind, said);
  }

  /** What happened. */
  KeepEvent event(Stored stored) {
    return stored.read(said, KeepEventJson.class).toCore(happenedAt);
  }

  void undo() {
    undone = true;
  }

  UUID bottleId() {
    return bottleId;
  }

  Instant happenedAt() {
    return happenedAt;
  }

  KeepEvent.Kind kind() {
    return kind;
  }
}
