package dremsa.server.bench;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A tap that can be taken back: the batch as it was before it. */
@Entity
class BatchTap {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private @Nullable Long id;

  private UUID householdId;
  private UUID batchId;
  private String words;

  @Column(length = 16_000_000)
  private String state;

  protected BatchTap() {}

  BatchTap(Batch batch, String words, String state) {
    this.householdId = batch.householdId();
    this.batchId = batch.id();
    this.words = words;
    this.state = state;
  }

  /** What was tapped, for the button that takes it back. */
  String words() {
    return words;
  }

  String state() {
    return state;
  }
}
