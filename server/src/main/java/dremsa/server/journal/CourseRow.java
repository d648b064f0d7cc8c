package dremsa.server.journal;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A brew used in a rhythm for some weeks. */
@Entity
@Table(name = "course")
class CourseRow {
  @Id private UUID id;
  private UUID householdId;
  private UUID personId;
  private String formulaId;
  private String name;
  private LocalDate fromDay;
  private int weeks;
  private int everyDays;
  private @Nullable Instant endedAt;
  private String content;
  @Version private @Nullable Long version;

  protected CourseRow() {}

  CourseRow(
      UUID household,
      UUID person,
      String formula,
      String name,
      LocalDate from,
      int weeks,
      int everyDays,
      String content) {
    this.id = UUID.randomUUID();
    this.householdId = household;
    this.personId = person;
    this.formulaId = formula;
    this.name = name;
    this.fromDay = from;
    this.weeks = weeks;
    this.everyDays = everyDays;
    this.content = content;
  }

  void says(String now) {
    content = now;
  }

  void ended(@Nullable Instant at) {
    endedAt = at;
  }

  UUID id() {
    return id;
  }

  UUID householdId() {
    return householdId;
  }

  UUID personId() {
    return personId;
  }

  String formulaId() {
    return formulaId;
  }

  String name() {
    return name;
  }

  LocalDate fromDay() {
    return fromDay;
  }

  int weeks() {
    return weeks;
  }

  int everyDays() {
    return everyDays;
  }

  @Nullable Instant endedAt() {
    return endedAt;
  }

  String content() {
    return content;
  }

  long version() {
    return version == null ? 0 : version;
  }
}
