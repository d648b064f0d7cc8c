package dremsa.server.learning;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Products side by side on one head. */
@Entity
@Table(name = "section_trial")
class TrialRow {
  @Id private UUID id;
  private UUID householdId;
  private UUID personId;
  private Instant begunAt;
  private @Nullable Instant endedAt;
  private String content;
  @Version private @Nullable Long version;

  protected TrialRow() {}

  TrialRow(UUID household, UUID person, Instant at, String content) {
    this.id = UUID.randomUUID();
    this.householdId = household;
    this.personId = person;
    this.begunAt = at;
    this.content = content;
  }

  void says(String now) {
    content = now;
  }

  void ended(Instant at) {
    endedAt = at;
  }

  UUID id() {
    return id;
  }

  UUID householdId() {
    return householdId;
  }

  UUID personId() {
    return personId;
  }

  Instant begunAt() {
    return begunAt;
  }

  @Nullable Instant endedAt() {
    return endedAt;
  }

  String content() {
    return content;
  }

  long version() {
    return version == null ? 0 : version;
  }
}
