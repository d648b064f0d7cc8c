package dremsa.server.reminders;

import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.SchedulerName;
import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import java.time.Duration;
import java.util.List;
import java.util.UUID;
import javax.sql.DataSource;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * The persistent scheduler: its tasks stand in the database, one instance picks each up, and an
 * instance that dies loses its task to another.
 */
@Configuration
@ConditionalOnProperty(name = "dremsa.scheduler", havingValue = "true", matchIfMissing = true)
class SchedulerConfig {
  /** What is due reaches a pocket within five seconds: looked for this often. */
  private static final Duration POLL = Duration.ofMillis(400);

  /**
   * An instance that was not heard of for six of these is taken for dead: what it was at when it
   * was killed goes on elsewhere, or after its restart, within three quarters of a minute.
   */
  private static final Duration HEARTBEAT = Duration.ofSeconds(5);

  @Bean(destroyMethod = "stop", initMethod = "start")
  Scheduler scheduler(DataSource source, List<Repeated> repeated) {
    List<RecurringTask<Void>> tasks =
        repeated.stream()
            .map(
                work ->
                    Tasks.recurring(work.name(), FixedDelay.of(work.every()))
                        .execute((instance, context) -> work.run()))
            .toList();
    return Scheduler.create(source)
        .startTasks(tasks)
        .schedulerName(new SchedulerName.Fixed("dremsa-" + UUID.randomUUID()))
        // One for each, so that a long one (a table, a backup, a search) holds up no reminder.
        .threads(tasks.size() + 1)
        .pollingInterval(POLL)
        .heartbeatInterval(HEARTBEAT)
        .shutdownMaxWait(Duration.ofSeconds(5))
        .build();
  }

  @Bean
  Repeated writeMessages(Reminders reminders) {
    return new Repeated("write-messages", Duration.ofMillis(500), reminders::writeDue);
  }
}
