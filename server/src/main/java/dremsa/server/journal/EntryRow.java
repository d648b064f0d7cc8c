package dremsa.server.journal;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** What somebody wrote down. */
@Entity(name = "JournalEntry")
@Table(name = "journal_entry")
class EntryRow {
  @Id private UUID id;
  private UUID householdId;
  private LocalDate day;
  private @Nullable UUID personId;
  private @Nullable UUID batchId;
  private String content;
  @Version private @Nullable Long version;

  protected EntryRow() {}

  EntryRow(
      UUID household, LocalDate day, @Nullable UUID person, @Nullable UUID batch, String content) {
    this.id = UUID.randomUUID();
    this.householdId = household;
    this.day = day;
    this.personId = person;
    this.batchId = batch;
    this.content = content;
  }

  void says(String now) {
    content = now;
  }

  UUID id() {
    return id;
  }

  UUID householdId() {
    return householdId;
  }

  LocalDate day() {
    return day;
  }

  @Nullable UUID personId() {
    return personId;
  }

  @Nullable UUID batchId() {
    return batchId;
  }

  String content() {
    return content;
  }

  long version() {
    return version == null ? 0 : version;
  }
}
