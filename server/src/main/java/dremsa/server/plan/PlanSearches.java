package dremsa.server.plan;

import dremsa.core.plan.BrewPlan;
import dremsa.core.plan.Effort;
import dremsa.core.plan.Planner;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Turns;
import dremsa.server.plan.PlanJson.Found;
import dremsa.server.plan.PlanJson.SearchState;
import dremsa.server.plan.PlanJson.SearchView;
import dremsa.server.reminders.Repeated;
import dremsa.server.wire.Stored;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Looks for better plans while nobody waits. What was asked for stands in the database; the
 * scheduler lets one instance at a time take it up, and what an instance that died was at is begun
 * again. Each better plan is kept and told to open pages by the household's revision.
 */
@Service
class PlanSearches {
  private static final Logger LOG = LoggerFactory.getLogger(PlanSearches.class);

  /** Nobody reads faster. */
  private static final Duration TELLS_EVERY = Duration.ofMillis(500);

  private static final int AT_ONCE = 20;

  private final JdbcTemplate jdbc;
  private final BrewPlans plans;
  private final Households households;
  private final Turns turns;
  private final Stored stored;
  private final Clock clock;
  private final TransactionTemplate reading;

  PlanSearches(
      JdbcTemplate jdbc,
      BrewPlans plans,
      Households households,
      Turns turns,
      Stored stored,
      Clock clock,
      PlatformTransactionManager manager) {
    this.clock = clock;
    this.jdbc = jdbc;
    this.plans = plans;
    this.households = households;
    this.turns = turns;
    this.stored = stored;
    reading = new TransactionTemplate(manager);
    reading.setReadOnly(true);
  }

  @Configuration
  static class Work {
    @Bean
    Repeated searchPlans(PlanSearches searches) {
      return new Repeated("search-plans", Duration.ofSeconds(1), searches::runDue);
    }
  }

  /**
   * A search as it stands.
   *
   * @param basis of which situation its answer is; empty while there is none
   */
  record Search(SearchView view, Optional<UUID> basis, Optional<Found> found) {}

  /** Asks for a better plan; one that runs is begun again. */
  @Transactional
  void ask(UUID household, int days, Instant now) {
    turns.require(household);
    jdbc.update(
        "insert into plan_search (household_id, state, days, asked_at, stopping)"
            + " values (?, 'ASKED', ?, ?, false) on duplicate key update"
            + " state = if(state = 'RUNNING', 'RUNNING', 'ASKED'), days = values(days),"
            + " asked_at = values(asked_at), ended_at = null, stopping = false,"
            + " basis = null, found = null",
        household.toString(),
        days,
        Timestamp.from(now));
  }

  /** Ends it; what was found so far stays. */
  @Transactional
  void stop(UUID household) {
    turns.require(household);
    jdbc.update(
        "update plan_search set stopping = true, state = if(state = 'ASKED', 'STOPPED', state)"
            + " where household_id = ? and state in ('ASKED', 'RUNNING')",
        household.toString());
  }

  /** The last search of a household. */
  Optional<Search> of(UUID household) {
    return jdbc
        .query(
            "select state, asked_at, basis, found from plan_search where household_id = ?",
            (row, n) -> {
              Optional<Found> found =
                  Optional.ofNullable(row.getString(4)).map(text -> stored.read(text, Found.class));
              return new Search(
                  new SearchView(
                      SearchState.valueOf(row.getString(1)),
                      row.getTimestamp(2).toInstant(),
                      found.map(Found::gap).orElse(null)),
                  Optional.ofNullable(row.getString(3)).map(UUID::fromString),
                  found);
            },
            household.toString())
        .stream()
        .findFirst();
  }

  /** Takes up all that was asked for, one after the other. Only ever run by one instance. */
  void runDue() {
    List<UUID> waiting =
        jdbc.query(
            "select household_id from plan_search where state in ('ASKED', 'RUNNING')"
                + " order by asked_at limit "
                + AT_ONCE,
            (row, n) -> UUID.fromString(row.getString(1)));
    waiting.forEach(this::run);
  }

  private void run(UUID household) {
    try {
      search(household);
    } catch (RuntimeException e) {
      LOG.warn("A search for a better plan failed.", e);
      turns.take(
          household,
          () ->
              jdbc.update(
                  "update plan_search set state = 'FAILED', basis = null, found = null,"
                      + " ended_at = now(6) where household_id = ?",
                  household.toString()));
    }
  }

  private void search(UUID household) {
    Asked asked =
        Objects.requireNonNull(
            jdbc.queryForObject(
                "select days, asked_at from plan_search where household_id = ?",
                (row, n) -> new Asked(household, row.getInt(1), row.getTimestamp(2)),
                household.toString()));
    turns.take(
        household,
        () ->
            jdbc.update(
                "update plan_search set state = 'RUNNING' where household_id = ?",
                household.toString()));
    Situations.Told told =
        reading.execute(
            status -> {
              Household keeper = households.of(household);
              return plans.situation(keeper, households.now(keeper), asked.days(), List.of());
            });
    if (told == null) {
      return;
    }
    UUID basis = told.basis();
    Watch watch = new Watch(asked);
    Effort effort =
        new Effort(
            Effort.USUAL.moves(), Effort.USUAL.longest(), Effort.USUAL.enough(), watch::stopped);
    BrewPlan plan =
        Planner.best(
            told.situation(),
            effort,
            better -> {
              if (watch.mayTell()) {
                write(asked, SearchState.RUNNING, basis, better);
              }
            });
    write(asked, watch.stopped() ? SearchState.STOPPED : SearchState.DONE, basis, plan);
  }

  /** What was found; nothing where it was asked for anew meanwhile, and then it runs again. */
  private void write(Asked asked, SearchState state, UUID basis, BrewPlan plan) {
    turns.take(
        asked.household(),
        () ->
            jdbc.update(
                "update plan_search set state = ?, basis = ?, found = ?,"
                    + " ended_at = if(? = 'RUNNING', null, now(6))"
                    + " where household_id = ? and asked_at = ?",
                state.name(),
                basis.toString(),
                stored.write(Found.of(plan)),
                state.name(),
                asked.household().toString(),
                asked.at()));
  }

  /** What a search was asked for. */
  private record Asked(UUID household, int days, Timestamp at) {}

  /** Looks now and then whether somebody wants it to end. */
  private final class Watch {
    private final Asked asked;
    private Instant told = clock.instant();
    private Instant looked = clock.instant();
    private boolean stopped;

    Watch(Asked asked) {
      this.asked = asked;
    }

    boolean mayTell() {
      Instant now = clock.instant();
      if (now.isBefore(told.plus(TELLS_EVERY))) {
        return false;
      }
      told = now;
      return true;
    }

    boolean stopped() {
      Instant now = clock.instant();
      if (!stopped && now.isAfter(looked.plus(TELLS_EVERY.dividedBy(2)))) {
        looked = now;
        stopped =
            jdbc
                .queryForList(
                    "select stopping or asked_at <> ? from plan_search where household_id = ?",
                    Boolean.class,
                    asked.at(),
                    asked.household().toString())
                .stream()
                .findFirst()
                .orElse(true);
      }
      return stopped;
    }
  }
}
