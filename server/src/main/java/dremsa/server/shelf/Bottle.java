package dremsa.server.shelf;

import dremsa.core.keep.DiscardReason;
import dremsa.core.keep.KeepEvent;
import dremsa.core.keep.School;
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
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A container holding part of a batch. */
@Entity
class Bottle {
  /** Where a bottle is in its life. */
  enum Status {
    STANDING,
    FINISHED,
    DISCARDED
  }

  /** What a bottle may be short of its own label by eye, mL. */
  static final double EYE = 0.5;

  @Id private UUID id;
  private UUID householdId;
  private UUID batchId;
  private String formulaId;
  private String code;
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
  private @Nullable DiscardReason endReason;

  private @Nullable Instant endedAt;

  @Enumerated(EnumType.STRING)
  @Column(columnDefinition = "varchar(20)")
  private School school;

  private boolean cleanWorking;

  /** Its last day lies beyond the published figure. */
  private boolean marked;

  /** On a label that was printed; it never moves later. */
  private @Nullable LocalDate printedDay;

  /** Told by a table that was read in; it never moves later either. */
  private @Nullable LocalDate toldDay;

  @Enumerated(EnumType.STRING)
  @Column(columnDefinition = "varchar(20)")
  private Place firstPlace;

  /** The bottle that it was parted from; null for one filled from the pot. */
  private @Nullable UUID parentId;

  /** When the container was sterilised before it was filled; null where nobody said so. */
  private @Nullable Instant sterilisedAt;

  @Version private @Nullable Long version;

  protected Bottle() {}

  Bottle(
      UUID id,
      UUID householdId,
      UUID batchId,
      String formulaId,
      String code,
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
    this.formulaId = formulaId;
    this.code = code;
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
    this.marked = verdict.marked();
    this.school = verdict.school();
    this.firstPlace = Place.FRIDGE;
    this.status = Status.STANDING;
  }

  /** Its container had been sterilised. */
  void sterilised(Instant at) {
    sterilisedAt = at;
  }

  /** What a table tells of a bottle beside its filling. */
  record Told(
      double leftMl,
      Place place,
      Place firstPlace,
      School school,
      boolean cleanWorking,
      @Nullable LocalDate printedDay,
      @Nullable Instant sterilisedAt,
      @Nullable UUID parentId) {}

  /** It stood elsewhere before: this is how it is now. */
  void tell(Told told) {
    leftMl = told.leftMl();
    place = told.place();
    firstPlace = told.firstPlace();
    school = told.school();
    cleanWorking = told.cleanWorking();
    printedDay = told.printedDay();
    sterilisedAt = told.sterilisedAt();
    parentId = told.parentId();
  }

  /** It was told another last day once: an earlier one binds, as a printed one does. */
  void toldOnce(@Nullable LocalDate day) {
    toldDay = day;
  }

  /** Of a bottle that is gone: the last day that it had. */
  void hadLastDay(LocalDate day, boolean wasMarked) {
    lastDay = day;
    marked = wasMarked;
  }

  /** A part of a bottle, frozen in a container of its own; it has stood where that stood. */
  Bottle parted(int partNumber, Container into, double size, double millilitres) {
    Bottle part = new Bottle();
    part.id = UUID.randomUUID();
    part.householdId = householdId;
    part.batchId = batchId;
    part.formulaId = formulaId;
    part.code = code;
    part.number = partNumber;
    part.name = name;
    part.tint = tint;
    part.container = into;
    part.sizeMl = size;
    part.filledMl = millilitres;
    part.leftMl = millilitres;
    part.place = place;
    part.firstPlace = firstPlace;
    part.filledAt = filledAt;
    part.lastDay = lastDay;
    part.runsOut = runsOut;
    part.useNow = useNow;
    part.marked = marked;
    part.school = school;
    part.cleanWorking = cleanWorking;
    // What was promised of the bottle does not stand on its frozen portions.
    part.parentId = id;
    part.status = Status.STANDING;
    return part;
  }

  /** How long it keeps was reckoned anew. */
  void judged(Verdict verdict, Place stands) {
    lastDay = verdict.lastDay();
    runsOut = verdict.runsOut();
    useNow = verdict.useNow();
    marked = verdict.marked();
    place = stands;
  }

  void keepBy(KeepEvent.Rules rules) {
    school = rules.school();
    cleanWorking = rules.cleanWorking();
  }

  /** How it is kept now. */
  KeepEvent.Rules rules() {
    return new KeepEvent.Rules(school, cleanWorking);
  }

  /** A label was printed with its last day; an earlier print binds. */
  void printed() {
    if (printedDay == null || lastDay.isBefore(printedDay)) {
      printedDay = lastDay;
    }
  }

  /** Frozen it keeps by other rules: what its label said does not bind any more. */
  void unlabelled() {
    printedDay = null;
    toldDay = null;
  }

  /** It was not frozen after all: the label binds again. */
  void labelledAgain(LocalDate day) {
    printedDay = day;
  }

  void pourIn(double millilitres) {
    leftMl += millilitres;
    filledMl = Math.max(filledMl, leftMl);
  }

  void take(double millilitres) {
    leftMl = Math.max(0, leftMl - millilitres);
  }

  void putBack(double millilitres) {
    leftMl = Math.min(filledMl, leftMl + millilitres);
  }

  void end(Status how, @Nullable DiscardReason reason, Instant at) {
    status = how;
    endReason = reason;
    endedAt = at;
  }

  /** Taken empty, but for what nobody sees, it is finished. */
  void endIfEmpty(Instant at) {
    if (leftMl < EYE) {
      end(Status.FINISHED, null, at);
    }
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

  /** Of its batch. */
  String code() {
    return code;
  }

  /** Of the brew in it. */
  String formulaId() {
    return formulaId;
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

  @Nullable DiscardReason endReason() {
    return endReason;
  }

  @Nullable Instant endedAt() {
    return endedAt;
  }

  School school() {
    return school;
  }

  boolean cleanWorking() {
    return cleanWorking;
  }

  boolean marked() {
    return marked;
  }

  @Nullable LocalDate printedDay() {
    return printedDay;
  }

  /** No last day is later than this one; null where none was ever told. */
  @Nullable LocalDate promisedDay() {
    if (printedDay == null || toldDay == null) {
      return printedDay == null ? toldDay : printedDay;
    }
    return printedDay.isBefore(toldDay) ? printedDay : toldDay;
  }

  Place firstPlace() {
    return firstPlace;
  }

  @Nullable Instant sterilisedAt() {
    return sterilisedAt;
  }

  @Nullable UUID parentId() {
    return parentId;
  }

  long version() {
    return Objects.requireNonNull(version);
  }
}
