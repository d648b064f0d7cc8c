package dremsa.server.journal;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;

/** A picture of a head on a day. */
@Entity
@Table(name = "journal_photo")
class HeadPhoto {
  @Id private UUID id;
  private UUID householdId;
  private UUID personId;

  @Column(name = "`day`")
  private LocalDate day;

  private Instant takenAt;
  private String caption;

  @Column(length = 16_000_000)
  private byte[] content;

  protected HeadPhoto() {}

  HeadPhoto(
      UUID household, UUID person, LocalDate day, Instant takenAt, String caption, byte[] content) {
    this.id = UUID.randomUUID();
    this.householdId = household;
    this.personId = person;
    this.day = day;
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
