package dremsa.server.accounts;

import dremsa.core.keep.School;
import dremsa.core.measure.MeasureSystem;
import dremsa.server.http.Problem;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.interceptor.TransactionAspectSupport;

/** Makes and finds households; knows what time it is for one. */
@Service
public class Households {
  private final HouseholdRepository households;
  private final Accounts accounts;
  private final JdbcTemplate jdbc;
  private final Clock clock;
  private final boolean movableClock;
  private final Turns turns;

  Households(
      HouseholdRepository households,
      Accounts accounts,
      JdbcTemplate jdbc,
      Clock clock,
      @Value("${dremsa.movable-clock}") boolean movableClock,
      Turns turns) {
    this.households = households;
    this.accounts = accounts;
    this.jdbc = jdbc;
    this.clock = clock;
    this.movableClock = movableClock;
    this.turns = turns;
  }

  /**
   * A household and its first keeper.
   *
   * @param called how the keeper is called in it
   */
  @Transactional
  public Member create(
      String name,
      MeasureSystem system,
      boolean fahrenheit,
      ZoneId zone,
      School school,
      boolean demo,
      String called,
      String signIn,
      String password) {
    Instant now = clock.instant();
    Household household =
        households.saveAndFlush(
            new Household(UUID.randomUUID(), name, system, fahrenheit, zone, school, demo, now));
    turns.begunBy(household.id(), TransactionAspectSupport.currentTransactionStatus());
    return accounts.add(household.id(), Role.KEEPER, called, signIn, password);
  }

  /** The household of a member. */
  public Household of(UUID household) {
    return households.findById(household).orElseThrow(() -> Problem.notFound("household"));
  }

  /** The demo household's first member, when the demo was loaded. */
  @Transactional(readOnly = true)
  public Optional<Member> demo() {
    return households
        .findFirstByDemoTrue()
        .flatMap(
            household ->
                jdbc
                    .query(
                        "select id, sign_in from account where household_id = ?",
                        (row, n) ->
                            new Member(
                                UUID.fromString(row.getString(1)),
                                household.id(),
                                row.getString(2)),
                        household.id().toString())
                    .stream()
                    .findFirst());
  }

  /** Whether a household was made here already; the demo is none. */
  public boolean any() {
    return households.existsByDemoFalse();
  }

  /** All households that people made, by id; the demo is none. */
  public List<UUID> all() {
    return jdbc.queryForList("select id from household where not demo order by id", UUID.class);
  }

  /** Gives a household the settings that a backup brings. */
  @Transactional
  public void settle(
      UUID household, MeasureSystem system, boolean fahrenheit, ZoneId zone, School school) {
    jdbc.update(
        "update household set measure_system = ?, fahrenheit = ?, time_zone = ?, school = ?,"
            + " version = version + 1 where id = ?",
        system.name(),
        fahrenheit,
        zone.getId(),
        school.name(),
        household.toString());
  }

  /** Takes a household away with all that belongs to it. */
  @Transactional
  public void remove(UUID household) {
    jdbc.update("delete from household where id = ?", household.toString());
  }

  /**
   * How far a household has come, and what time it is there.
   *
   * @param revision another after every turn of a writer; the same means that nothing was written
   */
  public record Moment(long revision, Instant now) {}

  /** In one question, for those who have the rest of the answer already. */
  public Moment moment(UUID household) {
    return jdbc
        .query(
            "select revision, clock_offset_seconds from household where id = ?",
            (row, n) -> new Moment(row.getLong(1), now(row.getLong(2))),
            household.toString())
        .stream()
        .findFirst()
        .orElseThrow(() -> Problem.notFound("household"));
  }

  private Instant now(long offsetSeconds) {
    Instant now = clock.instant();
    return movableClock ? now.plusSeconds(offsetSeconds) : now;
  }

  /** What day it is in a household. */
  public LocalDate today(Household household) {
    return household.day(now(household));
  }

  /** What day it is in a household. */
  public LocalDate today(UUID household) {
    return today(of(household));
  }

  /** The time for a household: the clock's, moved where a test moved it. */
  public Instant now(Household household) {
    return now(household.clockOffsetSeconds());
  }

  public Instant now(UUID household) {
    return movableClock ? now(of(household)) : clock.instant();
  }
}
