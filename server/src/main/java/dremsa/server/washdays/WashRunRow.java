package dremsa.server.washdays;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A wash day under way: what was asked for and which step ended when, as forms. */
@Entity
@Table(name = "wash_run")
class WashRunRow {
  @Id private UUID id;
  private UUID householdId;

  @jakarta.persistence.Column(name = "`day`")
  private LocalDate day;

  private Instant beganAt;
  private String asked;
  private String taps;
  @Version private @Nullable Long version;

  protected WashRunRow() {}

  WashRunRow(UUID household, LocalDate day, Instant at, String asked, String taps) {
    this.id = UUID.randomUUID();
    this.householdId = household;
    this.day = day;
    this.beganAt = at;
    this.asked = asked;
    this.taps = taps;
  }

  void tapped(String now) {
    taps = now;
  }

  void ask(String otherwise) {
    asked = otherwise;
  }

  UUID id() {
    return id;
  }

  Instant beganAt() {
    return beganAt;
  }

  String asked() {
    return asked;
  }

  String taps() {
    return taps;
  }

  long version() {
    return Objects.requireNonNull(version);
  }
}
