package dremsa.server.plan;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A brew that was agreed on. */
@Entity
@Table(name = "planned_brew")
class PlannedBrewRow {
  @Id private UUID id;
  private UUID householdId;

  @Column(name = "`day`")
  private LocalDate day;

  private String formulaId;
  private String name;
  private double millilitres;
  private boolean pinned;
  private @Nullable UUID batchId;
  @Version private @Nullable Long version;

  protected PlannedBrewRow() {}

  PlannedBrewRow(
      UUID household,
      LocalDate day,
      String formula,
      String name,
      double millilitres,
      boolean pinned) {
    this.id = UUID.randomUUID();
    this.householdId = household;
    this.day = day;
    this.formulaId = formula;
    this.name = name;
    this.millilitres = millilitres;
    this.pinned = pinned;
  }

  void begun(UUID batch) {
    batchId = batch;
  }

  UUID householdId() {
    return householdId;
  }

  LocalDate day() {
    return day;
  }

  String formula() {
    return formulaId;
  }

  String name() {
    return name;
  }

  double millilitres() {
    return millilitres;
  }

  boolean pinned() {
    return pinned;
  }

  @Nullable UUID batch() {
    return batchId;
  }
}
