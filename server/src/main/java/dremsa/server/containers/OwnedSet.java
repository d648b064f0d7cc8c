package dremsa.server.containers;

import dremsa.core.fill.ContainerSet;
import dremsa.core.kitchen.Container;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Containers of one kind and size, as a household wrote them down. */
@Entity
@Table(name = "container_set")
class OwnedSet {
  @Id private UUID id;
  private UUID householdId;

  @Enumerated(EnumType.STRING)
  @Column(columnDefinition = "varchar(20)")
  private Container kind;

  private double sizeMl;
  private boolean filter;
  private int owned;

  /** Sterilised at the last time, and not filled since. */
  private int sterilised;

  private @Nullable Instant sterilisedAt;
  @Version private @Nullable Long version;

  protected OwnedSet() {}

  OwnedSet(UUID householdId, Container kind, double sizeMl, boolean filter, int owned) {
    this.id = UUID.randomUUID();
    this.householdId = householdId;
    this.kind = kind;
    this.sizeMl = sizeMl;
    change(filter, owned);
  }

  void change(boolean newFilter, int newOwned) {
    filter = newFilter && kind.sprays();
    owned = newOwned;
    sterilised = Math.min(sterilised, owned);
  }

  void sterilised(int count, @Nullable Instant at) {
    sterilised = count;
    sterilisedAt = at;
  }

  ContainerSet toCore(int full) {
    return new ContainerSet(
        kind,
        sizeMl,
        filter,
        owned,
        full,
        sterilised,
        sterilisedAt == null ? ContainerSet.NEVER : sterilisedAt);
  }

  UUID id() {
    return id;
  }

  int sterilised() {
    return sterilised;
  }

  @Nullable Instant sterilisedAt() {
    return sterilisedAt;
  }

  long version() {
    return Objects.requireNonNull(version);
  }
}
