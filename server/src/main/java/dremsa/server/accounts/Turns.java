package dremsa.server.accounts;

import dremsa.server.http.Problem;
import java.sql.SQLException;
import java.time.Duration;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.Lock;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.retry.RetryPolicy;
import org.springframework.core.retry.RetryTemplate;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionStatus;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Lets a household's writers go one after another. A turn is a transaction whose first statement
 * takes the household's row, alone, and with it bumps the revision that open pages watch. Whatever
 * else a writer locks it locks after that, so no two of one household ever wait for each other in a
 * ring; and as nothing was read before, it sees all that the writer before it did.
 *
 * <p>Every writing request is in its turn already ({@link TurnOfEachWriter}); work that begins
 * elsewhere takes one itself.
 */
@Component
public class Turns {
  private static final Logger LOG = LoggerFactory.getLogger(Turns.class);

  /** Deadlock, lock wait over, row changed meanwhile: the same work may succeed when repeated. */
  private static final Set<Integer> PASSING = Set.of(1213, 1205, 1020);

  /** SQL's own word for a transaction that lost against another one (lost certification too). */
  private static final String SERIALIZATION_FAILURE = "40001";

  private static final int QUEUES = 64;
  private static final Duration LONGEST_WAIT = Duration.ofSeconds(8);

  private final JdbcTemplate jdbc;
  private final TransactionTemplate transaction;
  private final RetryTemplate retry;
  private final ThreadLocal<@Nullable Turn> present = new ThreadLocal<>();

  /**
   * Writers of one household wait here rather than each at a connection of its own: a busy
   * household must not use up the connections of all. Two households in one queue wait a little
   * longer, no more.
   */
  private final Lock[] queues =
      Stream.generate(() -> new ReentrantLock(true)).limit(QUEUES).toArray(Lock[]::new);

  Turns(JdbcTemplate jdbc, PlatformTransactionManager manager) {
    this.jdbc = jdbc;
    this.transaction = new TransactionTemplate(manager);
    this.retry =
        new RetryTemplate(
            RetryPolicy.builder()
                .maxRetries(6)
                .delay(Duration.ofMillis(20))
                .multiplier(2)
                .jitter(Duration.ofMillis(15))
                .maxDelay(Duration.ofMillis(500))
                .predicate(Turns::passing)
                .build());
  }

  private record Turn(UUID household, TransactionStatus status) {}

  /**
   * Does work in the household's turn, which it waits for; within one it is simply done.
   *
   * @param work may be done more than once: what it did before is rolled back then
   * @throws Problem 503 when the household is busy for too long, 404 when it is gone
   * @throws IllegalStateException within a transaction that is no turn of this household
   */
  public <T> T take(UUID household, Supplier<T> work) {
    if (present.get() != null) {
      require(household);
      return work.get();
    }
    if (TransactionSynchronizationManager.isActualTransactionActive()) {
      throw new IllegalStateException("A turn is taken before anything is read or written.");
    }
    Lock queue = queues[Math.floorMod(household.hashCode(), QUEUES)];
    await(queue);
    try {
      return retry.invoke(() -> transaction.execute(status -> inTurn(household, status, work)));
    } catch (RuntimeException e) {
      if (passing(e)) {
        LOG.warn("A household's turn was lost again and again.", e);
        throw Problem.busy();
      }
      throw e;
    } finally {
      queue.unlock();
    }
  }

  /** As {@link #take(UUID, Supplier)}, for work without a result. */
  public void take(UUID household, Runnable work) {
    take(
        household,
        () -> {
          work.run();
          return true;
        });
  }

  /**
   * Does work in the household's turn if nobody else has it; on another node of a cluster that
   * shows only at the end.
   *
   * @return whether it was done
   */
  public boolean takeIfFree(UUID household, Runnable work) {
    try {
      return takenIfFree(household, work);
    } catch (RuntimeException e) {
      if (passing(e)) {
        return false;
      }
      throw e;
    }
  }

  private boolean takenIfFree(UUID household, Runnable work) {
    return Boolean.TRUE.equals(
        transaction.execute(
            status -> {
              boolean free =
                  !jdbc.queryForList(
                          "select id from household where id = ? for update skip locked",
                          String.class,
                          household.toString())
                      .isEmpty();
              if (free) {
                inTurn(
                    household,
                    status,
                    () -> {
                      work.run();
                      return true;
                    });
              }
              return free;
            }));
  }

  private <T> T inTurn(UUID household, TransactionStatus status, Supplier<T> work) {
    int found =
        jdbc.update(
            "update household set revision = revision + 1 where id = ?", household.toString());
    if (found == 0) {
      throw Problem.notFound("household");
    }
    present.set(new Turn(household, status));
    try {
      return work.get();
    } finally {
      present.remove();
    }
  }

  /** The transaction that makes a household has its row already: the rest of it is its turn. */
  void begunBy(UUID household, TransactionStatus status) {
    present.set(new Turn(household, status));
    TransactionSynchronizationManager.registerSynchronization(
        new TransactionSynchronization() {
          @Override
          public void afterCompletion(int how) {
            present.remove();
          }
        });
  }

  /**
   * Makes sure that this is the household's turn.
   *
   * @throws IllegalStateException when it is not
   */
  public void require(UUID household) {
    Turn turn = present.get();
    if (turn == null || !turn.household().equals(household)) {
      throw new IllegalStateException("This is written in the household's turn only.");
    }
  }

  /** Leaves nothing of what this turn has done and will do; its answer is given all the same. */
  public void leaveNothing() {
    Turn turn = present.get();
    if (turn == null) {
      throw new IllegalStateException("There is no turn.");
    }
    turn.status().setRollbackOnly();
  }

  private static void await(Lock queue) {
    try {
      if (!queue.tryLock(LONGEST_WAIT.toMillis(), TimeUnit.MILLISECONDS)) {
        throw Problem.busy();
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw Problem.busy();
    }
  }

  /** Whether repeating the same work may succeed. */
  static boolean passing(Throwable failure) {
    for (Throwable t = failure; t != null; t = t.getCause()) {
      if (t instanceof SQLException sql
          && (PASSING.contains(sql.getErrorCode())
              || SERIALIZATION_FAILURE.equals(sql.getSQLState()))) {
        return true;
      }
    }
    return false;
  }
}
