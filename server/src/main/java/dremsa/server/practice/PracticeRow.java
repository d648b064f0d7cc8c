package dremsa.server.practice;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Duration;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A practice, and the clock of its pot. */
@Entity
@Table(name = "practice")
class PracticeRow {
  /** Nobody did anything for so long: the pot's time is held. */
  static final Duration LONGEST_ALONE = Duration.ofHours(1);

  @Id private UUID id;
  private UUID householdId;
  private @Nullable UUID personId;
  private String exercise;
  private Instant begunAt;
  private @Nullable Instant endedAt;
  private Instant atMoment;
  private double atSecond;
  private double pace;
  private @Nullable Integer reached;
  private int asked;
  private String content;
  @Version private @Nullable Long version;

  protected PracticeRow() {}

  PracticeRow(
      UUID household,
      @Nullable UUID person,
      String exercise,
      int asked,
      Instant at,
      String content) {
    this.id = UUID.randomUUID();
    this.householdId = household;
    this.personId = person;
    this.exercise = exercise;
    this.asked = asked;
    this.begunAt = at;
    this.atMoment = at;
    this.pace = 1;
    this.content = content;
  }

  /** The second of the pot's time at a moment. */
  double second(Instant now) {
    Duration passed = Duration.between(atMoment, now);
    if (endedAt != null || passed.isNegative()) {
      return atSecond;
    }
    Duration counted = passed.compareTo(LONGEST_ALONE) > 0 ? LONGEST_ALONE : passed;
    return atSecond + pace * counted.toMillis() / 1000.0;
  }

  /** Whether it was left alone for so long that its time is held. */
  boolean leftAlone(Instant now) {
    return endedAt == null && pace > 0 && atMoment.plus(LONGEST_ALONE).isBefore(now);
  }

  /** A hand is at the pot: its time goes on from here, this fast. */
  void goesOn(double second, double newPace, Instant now) {
    atSecond = second;
    atMoment = now;
    pace = newPace;
  }

  void says(String now) {
    content = now;
  }

  void ended(Instant at, int howMuch) {
    endedAt = at;
    reached = howMuch;
  }

  UUID id() {
    return id;
  }

  UUID householdId() {
    return householdId;
  }

  @Nullable UUID personId() {
    return personId;
  }

  String exercise() {
    return exercise;
  }

  Instant begunAt() {
    return begunAt;
  }

  @Nullable Instant endedAt() {
    return endedAt;
  }

  double pace() {
    return pace;
  }

  @Nullable Integer reached() {
    return reached;
  }

  int asked() {
    return asked;
  }

  String content() {
    return content;
  }

  long version() {
    return version == null ? 0 : version;
  }
}
