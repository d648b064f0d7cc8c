package dremsa.server.formulas;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;

/** A formula of a household's own. */
@Entity
@Table(name = "formula")
class FormulaRow {
  @Id private String id;
  private UUID householdId;

  @Column(length = 16_000_000)
  private String content;

  private int schemaVersion;
  private String copiedFrom;
  private Instant changedAt;
  private Instant goneAt;
  @Version private Long version;

  protected FormulaRow() {}

  FormulaRow(
      String id,
      UUID householdId,
      String content,
      int schemaVersion,
      String copiedFrom,
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

  void goneAt(Instant at) {
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

  String copiedFrom() {
    return copiedFrom;
  }

  Instant changedAt() {
    return changedAt;
  }

  boolean gone() {
    return goneAt != null;
  }

  long version() {
    return version;
  }
}
