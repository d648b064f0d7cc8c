package dremsa.server.learning;

import dremsa.core.learn.HeadSection;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** How long hair was, or that it was cut. */
@Entity
@Table(name = "hair_length")
class LengthRow {
  @Id private UUID id;
  private UUID householdId;
  private UUID personId;

  @Column(name = "`day`")
  private LocalDate day;

  @Enumerated(EnumType.STRING)
  @Column(columnDefinition = "varchar(20)")
  private @Nullable HeadSection section;

  private @Nullable Double cm;
  private @Nullable Double looseCm;
  private @Nullable String withProduct;
  @Version private @Nullable Long version;

  protected LengthRow() {}

  private LengthRow(
      UUID household,
      UUID person,
      LocalDate day,
      @Nullable HeadSection section,
      @Nullable Double cm) {
    this.id = UUID.randomUUID();
    this.householdId = household;
    this.personId = person;
    this.day = day;
    this.section = section;
    this.cm = cm;
  }

  static LengthRow reading(
      UUID household, UUID person, LocalDate day, HeadSection section, double cm) {
    return new LengthRow(household, person, day, section, cm);
  }

  /** The same, as long as it is left to itself, with what was on it. */
  LengthRow loose(@Nullable Double looselyCm, @Nullable String product) {
    looseCm = looselyCm;
    withProduct = product;
    return this;
  }

  /** All of it was cut. */
  static LengthRow cut(UUID household, UUID person, LocalDate day) {
    return new LengthRow(household, person, day, null, null);
  }

  UUID id() {
    return id;
  }

  @Nullable Double looseCm() {
    return looseCm;
  }

  @Nullable String withProduct() {
    return withProduct;
  }

  UUID householdId() {
    return householdId;
  }

  UUID personId() {
    return personId;
  }

  LocalDate day() {
    return day;
  }

  @Nullable HeadSection section() {
    return section;
  }

  @Nullable Double cm() {
    return cm;
  }
}
