package dremsa.server.learning;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;

/** A figure that a kitchen taught. */
@Entity
@Table(name = "taught_figure")
class TaughtRow {
  @Id private UUID id;
  private UUID householdId;
  private String knob;
  private String content;

  protected TaughtRow() {}

  TaughtRow(UUID household, String knob, String content) {
    this.id = UUID.randomUUID();
    this.householdId = household;
    this.knob = knob;
    this.content = content;
  }

  UUID householdId() {
    return householdId;
  }

  String knob() {
    return knob;
  }

  String content() {
    return content;
  }
}
