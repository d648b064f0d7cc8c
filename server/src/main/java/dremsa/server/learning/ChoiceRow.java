package dremsa.server.learning;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** What somebody said of a figure or of a batch: whether it counts. */
@Entity
@Table(name = "learning_choice")
class ChoiceRow {
  @Id private UUID id;
  private UUID householdId;
  private @Nullable String knob;
  private @Nullable UUID batchId;
  private boolean counts;
  @Version private @Nullable Long version;

  protected ChoiceRow() {}

  private ChoiceRow(UUID household, @Nullable String knob, @Nullable UUID batch, boolean counts) {
    this.id = UUID.randomUUID();
    this.householdId = household;
    this.knob = knob;
    this.batchId = batch;
    this.counts = counts;
  }

  /** A figure is put back to what was believed before. */
  static ChoiceRow putBack(UUID household, String knob) {
    return new ChoiceRow(household, knob, null, false);
  }

  static ChoiceRow of(UUID household, UUID batch, boolean counts) {
    return new ChoiceRow(household, null, batch, counts);
  }

  void counts(boolean now) {
    counts = now;
  }

  UUID householdId() {
    return householdId;
  }

  @Nullable String knob() {
    return knob;
  }

  @Nullable UUID batch() {
    return batchId;
  }

  boolean counts() {
    return counts;
  }
}
