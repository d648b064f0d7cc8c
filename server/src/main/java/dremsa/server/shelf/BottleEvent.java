package dremsa.server.shelf;

import dremsa.core.kitchen.Place;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Something that happened to a bottle and counts for how long it keeps. */
@Entity
class BottleEvent {
  /** What happened. */
  enum Kind {
    MOVED,
    WARMED,
    OPENED,
    JOINED,
    /** It is kept by another school; the one before is the cause, for taking it back. */
    SCHOOL
  }

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private UUID householdId;
  private UUID bottleId;
  private UUID changeId;
  private Instant happenedAt;

  @Enumerated(EnumType.STRING)
  @Column(columnDefinition = "varchar(20)")
  private Kind kind;

  @Enumerated(EnumType.STRING)
  @Column(columnDefinition = "varchar(20)")
  private Place place;

  private Double hours;
  private Double celsius;
  private String cause = "";
  private Double ownMl;

  @Column(length = 16_000_000)
  private String other;

  private boolean undone;

  protected BottleEvent() {}

  private BottleEvent(Bottle bottle, UUID changeId, Instant at, Kind kind) {
    this.householdId = bottle.householdId();
    this.bottleId = bottle.id();
    this.changeId = changeId;
    this.happenedAt = at;
    this.kind = kind;
  }

  static BottleEvent moved(Bottle bottle, UUID change, Instant at, Place to) {
    BottleEvent event = new BottleEvent(bottle, change, at, Kind.MOVED);
    event.place = to;
    return event;
  }

  /**
   * It was frozen.
   *
   * @param promised the last day that its label said until then; null without one
   */
  static BottleEvent frozen(Bottle bottle, UUID change, Instant at, @Nullable LocalDate promised) {
    BottleEvent event = moved(bottle, change, at, Place.FREEZER);
    event.cause = promised == null ? "" : promised.toString();
    return event;
  }

  /** The last day that a label said before it was frozen; empty where none did. */
  Optional<LocalDate> promised() {
    return kind == Kind.MOVED && !cause.isEmpty()
        ? Optional.of(LocalDate.parse(cause))
        : Optional.empty();
  }

  static BottleEvent warmed(
      Bottle bottle, UUID change, Instant at, double hours, double celsius, String cause) {
    BottleEvent event = new BottleEvent(bottle, change, at, Kind.WARMED);
    event.hours = hours;
    event.celsius = celsius;
    event.cause = cause;
    return event;
  }

  static BottleEvent opened(Bottle bottle, UUID change, Instant at) {
    return new BottleEvent(bottle, change, at, Kind.OPENED);
  }

  static BottleEvent joined(
      Bottle bottle, UUID change, Instant at, double ownMl, String otherJson) {
    BottleEvent event = new BottleEvent(bottle, change, at, Kind.JOINED);
    event.ownMl = ownMl;
    event.other = otherJson;
    return event;
  }

  static BottleEvent school(Bottle bottle, UUID change, Instant at) {
    BottleEvent event = new BottleEvent(bottle, change, at, Kind.SCHOOL);
    event.cause = bottle.school().name() + (bottle.cleanWorking() ? "+" : "");
    return event;
  }

  /**
   * An event as a table says it.
   *
   * @param told which of them counts depends on the kind
   */
  static BottleEvent told(Bottle bottle, UUID change, Instant at, Kind kind, Told told) {
    BottleEvent event = new BottleEvent(bottle, change, at, kind);
    event.place = told.place();
    event.hours = told.hours();
    event.celsius = told.celsius();
    event.cause = told.cause();
    event.ownMl = told.ownMl();
    event.other = told.other();
    return event;
  }

  /** What is told of an event. */
  record Told(
      @Nullable Place place,
      @Nullable Double hours,
      @Nullable Double celsius,
      String cause,
      @Nullable Double ownMl,
      @Nullable String other) {}

  /** The same event in the life of a part of this bottle. */
  BottleEvent of(Bottle part) {
    BottleEvent event = new BottleEvent(part, changeId, happenedAt, kind);
    event.place = place;
    event.hours = hours;
    event.celsius = celsius;
    event.cause = cause;
    event.ownMl = ownMl;
    event.other = other;
    return event;
  }

  void undo() {
    undone = true;
  }

  UUID bottleId() {
    return bottleId;
  }

  Instant happenedAt() {
    return happenedAt;
  }

  Kind kind() {
    return kind;
  }

  Place place() {
    return place;
  }

  double hours() {
    return hours;
  }

  double celsius() {
    return celsius;
  }

  String cause() {
    return cause;
  }

  double ownMl() {
    return ownMl;
  }

  String other() {
    return other;
  }
}
