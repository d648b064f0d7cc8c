package dremsa.server.shelf;

import dremsa.core.keep.Verdict;
import dremsa.core.kitchen.Container;
import dremsa.core.kitchen.Place;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;

/** A container holding part of a batch. */
@Entity
class Bottle {
  /** Where a bottle is in its life. */
  enum Status {
    STANDING,
    FINISHED,
    DISCARDED
  }

  @Id private UUID id;
  private UUID householdId;
  private UUID batchId;
  private int number;
  private String name;

  @Column(columnDefinition = "char(6)")
  private String tint;

  @Enumerated(EnumType.STRING)
  @Column(columnDefinition = "varchar(20)")
  private Container container;

  private double sizeMl;
  private double filledMl;
  private double leftMl;

  @Enumerated(EnumType.STRING)
  @Column(columnDefinition = "varchar(20)")
  private Place place;

  private Instant filledAt;
  private LocalDate lastDay;
  private Instant runsOut;
  private boolean useNow;

  @Enumerated(EnumType.STRING)
  @Column(columnDefinition = "varchar(20)")
  private Status status;

  @Enumerated(EnumType.STRING)
  @Column(columnDefinition = "varchar(20)")
  private DiscardReason endReason;

  private Instant endedAt;
  @Version private Long version;

  protected Bottle() {}

  Bottle(
      UUID id,
      UUID householdId,
      UUID batchId,
      int number,
      String name,
      String tint,
      Container container,
      double sizeMl,
      double filledMl,
      Instant filledAt,
      Verdict verdict) {
    this.id = id;
    this.householdId = householdId;
    this.batchId = batchId;
    this.number = number;
    this.name = name;
    this.tint = tint;
    this.container = container;
    this.sizeMl = sizeMl;
    this.filledMl = filledMl;
    this.leftMl = filledMl;
    this.place = Place.FRIDGE;
    this.filledAt = filledAt;
    this.lastDay = verdict.lastDay();
    this.runsOut = verdict.runsOut();
    this.useNow = verdict.useNow();
    this.status = Status.STANDING;
  }

  void take(double millilitres) {
    leftMl = Math.max(0, leftMl - millilitres);
  }

  void putBack(double millilitres) {
    leftMl = Math.min(filledMl, leftMl + millilitres);
  }

  void end(Status how, DiscardReason reason, Instant at) {
    status = how;
    endReason = reason;
    endedAt = at;
  }

  void standAgain() {
    status = Status.STANDING;
    endReason = null;
    endedAt = null;
  }

  boolean untouched() {
    return status == Status.STANDING && leftMl == filledMl;
  }

  UUID id() {
    return id;
  }

  UUID householdId() {
    return householdId;
  }

  UUID batchId() {
    return batchId;
  }

  int number() {
    return number;
  }

  String name() {
    return name;
  }

  String tint() {
    return tint;
  }

  Container container() {
    return container;
  }

  double sizeMl() {
    return sizeMl;
  }

  double filledMl() {
    return filledMl;
  }

  double leftMl() {
    return leftMl;
  }

  Place place() {
    return place;
  }

  Instant filledAt() {
    return filledAt;
  }

  LocalDate lastDay() {
    return lastDay;
  }

  Instant runsOut() {
    return runsOut;
  }

  boolean useNow() {
    return useNow;
  }

  Status status() {
    return status;
  }

  DiscardReason endReason() {
    return endReason;
  }

  Instant endedAt() {
    return endedAt;
  }

  long version() {
    return version;
  }
}
