package dremsa.server.plan;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Something wanted for nobody's routine. */
@Entity
@Table(name = "plan_demand")
class PlanDemandRow {
  @Id private UUID id;
  private UUID householdId;
  private LocalDate byDay;
  private String formulaId;
  private double millilitres;
  private String words;
  @Version private @Nullable Long version;

  protected PlanDemandRow() {}

  PlanDemandRow(UUID household, LocalDate byDay, String formula, double millilitres, String words) {
    this.id = UUID.randomUUID();
    this.householdId = household;
    this.byDay = byDay;
    this.formulaId = formula;
    this.millilitres = millilitres;
    this.words = words;
  }

  UUID id() {
    return id;
  }

  UUID householdId() {
    return householdId;
  }

  LocalDate byDay() {
    return byDay;
  }

  String formula() {
    return formulaId;
  }

  double millilitres() {
    return millilitres;
  }

  String words() {
    return words;
  }
}
