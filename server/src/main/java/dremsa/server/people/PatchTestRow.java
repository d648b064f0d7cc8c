package dremsa.server.people;

import dremsa.core.people.PatchTest;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A test on the inner arm. */
@Entity
@Table(name = "patch_test")
class PatchTestRow {
  @Id private UUID id;
  private UUID householdId;
  private UUID personId;
  private String materialId;
  private Instant startedAt;

  @Enumerated(EnumType.STRING)
  @Column(columnDefinition = "varchar(20)")
  private PatchTest.@Nullable Result result;

  private @Nullable Instant seenAt;
  @Version private @Nullable Long version;

  protected PatchTestRow() {}

  PatchTestRow(UUID household, UUID person, String material, Instant at) {
    this.id = UUID.randomUUID();
    this.householdId = household;
    this.personId = person;
    this.materialId = material;
    this.startedAt = at;
  }

  /** What came of it; null where it is open again. */
  void seen(PatchTest.@Nullable Result what, Instant at) {
    result = what;
    seenAt = what == null ? null : at;
  }

  PatchTest toCore() {
    return new PatchTest(materialId, startedAt, Optional.ofNullable(result));
  }

  UUID id() {
    return id;
  }

  UUID personId() {
    return personId;
  }

  long version() {
    return Objects.requireNonNull(version);
  }
}
