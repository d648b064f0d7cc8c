package dremsa.server.accounts;

import dremsa.core.keep.School;
import dremsa.core.measure.MeasureSystem;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.UUID;

/** A household: whatever belongs to it is seen by its members only. */
@Entity
public class Household {
  @Id private UUID id;
  private String name;

  @Enumerated(EnumType.STRING)
  @Column(columnDefinition = "varchar(20)")
  private MeasureSystem measureSystem;

  private boolean fahrenheit;
  private String timeZone;

  @Enumerated(EnumType.STRING)
  @Column(columnDefinition = "varchar(20)")
  private School school;

  private boolean demo;

  /** Bumped by SQL in every writing transaction; never written through this entity. */
  @Column(updatable = false)
  private long revision;

  private long clockOffsetSeconds;
  private Instant createdAt;
  @Version private long version;

  protected Household() {}

  Household(
      UUID id,
      String name,
      MeasureSystem measureSystem,
      boolean fahrenheit,
      ZoneId zone,
      School school,
      boolean demo,
      Instant createdAt) {
    this.id = id;
    this.name = name;
    this.measureSystem = measureSystem;
    this.fahrenheit = fahrenheit;
    this.timeZone = zone.getId();
    this.school = school;
    this.demo = demo;
    this.createdAt = createdAt;
  }

  void change(
      String newName,
      MeasureSystem newSystem,
      boolean newFahrenheit,
      ZoneId newZone,
      School newSchool) {
    name = newName;
    measureSystem = newSystem;
    fahrenheit = newFahrenheit;
    timeZone = newZone.getId();
    school = newSchool;
  }

  void moveClock(long seconds) {
    clockOffsetSeconds = seconds;
  }

  public UUID id() {
    return id;
  }

  public String name() {
    return name;
  }

  public MeasureSystem measureSystem() {
    return measureSystem;
  }

  public boolean fahrenheit() {
    return fahrenheit;
  }

  public ZoneId zone() {
    return ZoneId.of(timeZone);
  }

  /** The day that it is in the household at a moment. */
  public LocalDate day(Instant moment) {
    return moment.atZone(zone()).toLocalDate();
  }

  public School school() {
    return school;
  }

  boolean demo() {
    return demo;
  }

  long revision() {
    return revision;
  }

  long clockOffsetSeconds() {
    return clockOffsetSeconds;
  }

  long version() {
    return version;
  }
}
