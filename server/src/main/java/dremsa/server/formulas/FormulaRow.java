package dremsa.server.formulas;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A formula of a household's own. */
@Entity
@Table(name = "formula")
class FormulaRow {
  @Id private String id;
  private UUID householdId;

  @Column(length = 16_000_000)
  private String content;

  private int schemaVersion;
  private @Nullable String copiedFrom;
  private Instant changedAt;
  private @Nullable Instant goneAt;
  @Version private @Nullable Long version;

  protected FormulaRow() {}

  FormulaRow(
      String id,
      UUID householdId,
      String content,
      int schemaVersion,
      @Nullable String copiedFrom,
      Instant changedAt) {
    this.id = id;
    this.householdId = householdId;
    this.content = content;
    this.schemaVersion = schemaVersion;
    this.copiedFrom = copiedFrom;
    this.changedAt = changedAt;
  }

  void replace(String newContent, int newSchemaVersion, Instant at) {
    content = newContent;
    schemaVersion = newSchemaVersion;
    changedAt = at;
  }

  void goneAt(@Nullable Instant at) {
    goneAt = at;
  }

  String id() {
    return id;
  }

  UUID householdId() {
    return householdId;
  }

  String content() {
    return content;
  }

  int schemaVersion() {
    return schemaVersion;
  }

  @Nullable String copiedFrom() {
    return copiedFrom;
  }

  Instant changedAt() {
    return changedAt;
  }

  boolean gone() {
    return goneAt != null;
  }

  long version() {
    return Objects.requireNonNull(version);
  }
}
