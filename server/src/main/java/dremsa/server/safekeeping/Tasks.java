package dremsa.server.safekeeping;

import dremsa.core.keep.School;
import dremsa.core.measure.MeasureSystem;
import dremsa.server.accounts.Code;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Member;
import dremsa.server.audit.Audit;
import dremsa.server.backup.Backup;
import dremsa.server.backup.Restore;
import dremsa.server.http.Problem;
import dremsa.server.reminders.Repeated;
import java.io.IOException;
import java.io.InputStream;
import java.io.PrintStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.ZoneOffset;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** What whoever runs the server does from its command line, and then ends. */
@Component
class Tasks implements ApplicationRunner {
  private final Safekeeping safekeeping;
  private final Backup backup;
  private final Restore restore;
  private final Households households;
  private final TransactionTemplate transaction;
  private final Audit audit;
  private final ConfigurableApplicationContext context;
  private final Environment environment;

  Tasks(
      Safekeeping safekeeping,
      Backup backup,
      Restore restore,
      Households households,
      TransactionTemplate transaction,
      Audit audit,
      ConfigurableApplicationContext context,
      Environment environment) {
    this.safekeeping = safekeeping;
    this.backup = backup;
    this.restore = restore;
    this.households = households;
    this.transaction = transaction;
    this.audit = audit;
    this.context = context;
    this.environment = environment;
  }

  @Configuration
  static class Nightly {
    @Bean
    Repeated keepBackups(Safekeeping safekeeping) {
      return new Repeated("keep-backups", Duration.ofMinutes(10), safekeeping::keepDue);
    }
  }

  @Override
  public void run(ApplicationArguments arguments) throws IOException {
    String task = environment.getProperty("dremsa.task", "");
    if (task.isEmpty()) {
      return;
    }
    PrintStream out = System.out;
    boolean good;
    if (task.equals("backup")) {
      good = backUp(out);
    } else {
      good =
          restore(
              Path.of(environment.getRequiredProperty("dremsa.file")),
              environment.getRequiredProperty("dremsa.sign-in.as"),
              out);
    }
    // Ends when the caller lets go of it, so that nothing here waits for itself.
    Thread end =
        new Thread(() -> System.exit(SpringApplication.exit(context, () -> good ? 0 : 1)), "end");
    end.start();
  }

  boolean backUp(PrintStream out) {
    boolean good = true;
    int number = 0;
    for (UUID id : households.all()) {
      Household household = households.of(id);
      Optional<Path> kept = safekeeping.keep(household);
      out.println(
          kept.map(file -> "kept " + household.name() + ": " + file)
              .orElse("FAILED " + household.name() + ": " + safekeeping.state(id).why()));
      good &= kept.isPresent();
      number++;
    }
    if (number == 0) {
      out.println("There is no household yet but the demo, which is not backed up.");
    }
    return good;
  }

  /**
   * Reads a file into a new household, so that nothing that stands is overwritten.
   *
   * @param signIn by which its keeper will sign in
   */
  boolean restore(Path file, String signIn, PrintStream out) throws IOException {
    try {
      String name = backup.nameIn(file);
      // To be changed after the first sign-in.
      String password = Code.make();
      Member keeper =
          Objects.requireNonNull(
              transaction.execute(
                  status ->
                      households.create(
                          name,
                          MeasureSystem.METRIC,
                          false,
                          ZoneOffset.UTC,
                          School.CAREFUL,
                          false,
                          signIn,
                          signIn,
                          password)));
      try (InputStream in = Files.newInputStream(file)) {
        restore.read(keeper.household(), in);
      } catch (Problem e) {
        households.remove(keeper.household());
        throw e;
      }
      audit.tell(Audit.What.RESTORED, keeper.household(), signIn, null, "from the command line");
      out.println("restored " + name + ". Sign in as '" + signIn + "' with '" + password + "'.");
      return true;
    } catch (Problem e) {
      out.println("FAILED: " + Problem.why(e));
      return false;
    }
  }
}
