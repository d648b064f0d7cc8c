package dremsa.server.people;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A person; what is told of them and their routine stand in it as forms. */
@Entity
@Table(name = "person")
class PersonRow {
  @Id private UUID id;
  private UUID householdId;
  private String name;
  private String profile;
  private String routine;
  private Instant madeAt;
  @Version private @Nullable Long version;

  protected PersonRow() {}

  PersonRow(UUID household, String name, String profile, String routine, Instant at) {
    this.id = UUID.randomUUID();
    this.householdId = household;
    this.name = name;
    this.profile = profile;
    this.routine = routine;
    this.madeAt = at;
  }

  void tell(String called, String told) {
    name = called;
    profile = told;
  }

  void keepTo(String newRoutine) {
    routine = newRoutine;
  }

  UUID id() {
    return id;
  }

  String name() {
    return name;
  }

  String profile() {
    return profile;
  }

  String routine() {
    return routine;
  }

  Instant madeAt() {
    return madeAt;
  }

  long version() {
    return Objects.requireNonNull(version);
  }
}
