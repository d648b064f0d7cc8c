package dremsa.server.formulas;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.time.Instant;
import java.util.UUID;

/** A state of a formula that was kept. */
@Entity
@Table(name = "formula_version")
class FormulaVersionRow {
  /** Which state of which formula; numbers count from 1. */
  @Embeddable
  record Key(String formulaId, int number) implements Serializable {}

  @EmbeddedId private Key key;
  private UUID householdId;

  @Column(length = 16_000_000)
  private String content;

  private int schemaVersion;
  private Instant keptAt;
  private String note;

  protected FormulaVersionRow() {}

  FormulaVersionRow(
      Key key, UUID householdId, String content, int schemaVersion, Instant keptAt, String note) {
    this.key = key;
    this.householdId = householdId;
    this.content = content;
    this.schemaVersion = schemaVersion;
    this.keptAt = keptAt;
    this.note = note;
  }

  int number() {
    return key.number();
  }

  String content() {
    return content;
  }

  int schemaVersion() {
    return schemaVersion;
  }

  Instant keptAt() {
    return keptAt;
  }

  String note() {
    return note;
  }
}
