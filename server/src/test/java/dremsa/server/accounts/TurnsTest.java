package dremsa.server.accounts;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dremsa.server.TestServer;
import dremsa.server.Visitor;
import dremsa.server.http.Problem;
import java.sql.SQLException;
import java.util.UUID;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.springframework.dao.CannotAcquireLockException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.orm.jpa.JpaSystemException;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** A household's turns: what is repeated, what is not, and who has to wait. */
class TurnsTest {
  private final Turns turns = TestServer.bean(Turns.class);
  private final JdbcTemplate jdbc = TestServer.bean(JdbcTemplate.class);
  private final UUID household = household(Visitor.withHousehold());

  private UUID household(Visitor visitor) {
    return UUID.fromString(
        jdbc.queryForObject(
            "select household_id from account where sign_in = ?", String.class, visitor.name()));
  }

  private long revision() {
    return jdbc.queryForObject(
        "select revision from household where id = ?", Long.class, household.toString());
  }

  private static RuntimeException deadlock() {
    return new CannotAcquireLockException(
        "lost", new SQLException("Deadlock found", "40001", 1213));
  }

  /** A cluster's node says at the commit that another one was first. */
  private static RuntimeException lostCertification() {
    return new JpaSystemException(
        new RuntimeException("commit", new SQLException("Deadlock found", "40001", 1213)));
  }

  @Test
  void whatLostAgainstAnotherIsRepeatedAndCountsOnce() {
    long before = revision();
    AtomicInteger tries = new AtomicInteger();
    String answer =
        turns.take(
            household,
            () -> {
              switch (tries.incrementAndGet()) {
                case 1 -> throw deadlock();
                case 2 -> throw lostCertification();
                default -> {
                  return "done";
                }
              }
            });
    assertThat(answer).isEqualTo("done");
    assertThat(tries).hasValue(3);
    assertThat(revision()).isEqualTo(before + 1);
  }

  @Test
  void whatLosesAgainAndAgainIsToldToComeLater() {
    AtomicInteger tries = new AtomicInteger();
    assertThatThrownBy(
            () ->
                turns.take(
                    household,
                    () -> {
                      tries.incrementAndGet();
                      throw new CannotAcquireLockException(
                          "waited", new SQLException("Lock wait timeout", "HY000", 1205));
                    }))
        .isInstanceOfSatisfying(
            Problem.class, problem -> assertThat(problem.status().value()).isEqualTo(503));
    assertThat(tries).hasValue(7);
  }

  @Test
  void whatIsWrongIsNotRepeated() {
    long before = revision();
    AtomicInteger tries = new AtomicInteger();
    assertThatThrownBy(
            () ->
                turns.take(
                    household,
                    () -> {
                      tries.incrementAndGet();
                      throw Problem.conflict("somebody was quicker");
                    }))
        .hasMessage("somebody was quicker");
    assertThat(tries).hasValue(1);
    assertThat(revision()).as("rolled back").isEqualTo(before);
  }

  @Test
  void aTurnIsTakenBeforeAnythingElseAndForOneHousehold() {
    UUID other = household(Visitor.withHousehold());
    assertThatThrownBy(() -> turns.take(household, () -> turns.take(other, () -> {})))
        .isInstanceOf(IllegalStateException.class);
    assertThatThrownBy(() -> turns.require(household)).isInstanceOf(IllegalStateException.class);
    TransactionTemplate plain =
        new TransactionTemplate(TestServer.bean(PlatformTransactionManager.class));
    assertThatThrownBy(() -> plain.executeWithoutResult(status -> turns.take(household, () -> {})))
        .isInstanceOf(IllegalStateException.class);
    assertThatThrownBy(() -> turns.take(UUID.randomUUID(), () -> {})).isInstanceOf(Problem.class);
  }

  @Test
  void whoWillNotWaitPassesABusyHouseholdBy() throws Exception {
    CountDownLatch taken = new CountDownLatch(1);
    CountDownLatch enough = new CountDownLatch(1);
    Thread writer =
        new Thread(
            () ->
                turns.take(
                    household,
                    () -> {
                      taken.countDown();
                      try {
                        enough.await();
                      } catch (InterruptedException e) {
                        Thread.currentThread().interrupt();
                      }
                    }));
    writer.start();
    taken.await();
    assertThat(turns.takeIfFree(household, () -> {})).isFalse();
    enough.countDown();
    writer.join();
    assertThat(turns.takeIfFree(household, () -> {})).isTrue();
  }
}
