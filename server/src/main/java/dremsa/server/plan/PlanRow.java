package dremsa.server.plan;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A household's settings for its plans; its version is that of the plan. */
@Entity
@Table(name = "brew_plan")
class PlanRow {
  @Id private UUID householdId;
  private String settings;
  private @Nullable Instant takenAt;
  @Version private @Nullable Long version;

  protected PlanRow() {}

  PlanRow(UUID household, String settings) {
    this.householdId = household;
    this.settings = settings;
  }

  void settle(String now) {
    settings = now;
  }

  void taken(Instant at) {
    takenAt = at;
  }

  String settings() {
    return settings;
  }

  @Nullable Instant takenAt() {
    return takenAt;
  }

  long version() {
    return version == null ? 0 : version;
  }
}
