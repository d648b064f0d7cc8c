package dremsa.server.bench;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;

/** A picture taken while a step lasted, without what the camera wrote beside it. */
@Entity
class BatchPhoto {
  @Id private UUID id;
  private UUID householdId;
  private UUID batchId;
  private int stepIndex;
  private Instant takenAt;
  private String caption;

  @Column(length = 16_000_000)
  private byte[] content;

  protected BatchPhoto() {}

  BatchPhoto(Batch batch, Instant takenAt, String caption, byte[] content) {
    this.id = UUID.randomUUID();
    this.householdId = batch.householdId();
    this.batchId = batch.id();
    this.stepIndex = batch.step();
    this.takenAt = takenAt;
    this.caption = caption;
    this.content = content.clone();
  }

  UUID id() {
    return id;
  }

  byte[] content() {
    return content.clone();
  }
}
