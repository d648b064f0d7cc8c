package dremsa.server.washdays;

import dremsa.core.people.Due;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** What somebody said of an occasion of one day. */
@Entity
@Table(name = "wash_day")
class WashDayRow {
  @Id private UUID id;
  private UUID householdId;
  private UUID personId;

  /** Its key in the routine. */
  private String occasion;

  private String name;
  private LocalDate planned;

  /** The day it was put on, or done on; null where it is left out. */
  private @Nullable LocalDate movedTo;

  private boolean done;
  private @Nullable Instant doneAt;
  private String note;
  @Version private @Nullable Long version;

  protected WashDayRow() {}

  WashDayRow(UUID household, UUID person, String occasion, String name, LocalDate planned) {
    this.id = UUID.randomUUID();
    this.householdId = household;
    this.personId = person;
    this.occasion = occasion;
    this.name = name;
    this.planned = planned;
    this.note = "";
  }

  void put(@Nullable LocalDate on) {
    movedTo = on;
  }

  void finish(LocalDate on, Instant at, String words) {
    movedTo = on;
    done = true;
    doneAt = at;
    note = words;
  }

  Due.Said toCore() {
    return new Due.Said(occasion, planned, Optional.ofNullable(movedTo), done);
  }

  UUID id() {
    return id;
  }

  UUID personId() {
    return personId;
  }

  String occasion() {
    return occasion;
  }

  LocalDate planned() {
    return planned;
  }

  boolean done() {
    return done;
  }

  @Nullable Instant doneAt() {
    return doneAt;
  }

  String note() {
    return note;
  }
}
