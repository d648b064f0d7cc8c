package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.persistence.Entity;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.hibernate.annotations.Immutable;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/**
 * Each table is read and written by its own package alone: by its entities, and by what SQL and
 * JPQL stands in its sources. What others may read are the views that the owner shows.
 */
class SqlAtHomeTest {
  private static final Path SOURCES = Path.of("src/main/java/dremsa/server");
  private static final Path MIGRATIONS = Path.of("src/main/resources/db/migration");

  /** Tables without an entity. */
  private static final Map<String, String> OWNERS =
      Map.ofEntries(
          Map.entry("batch_step", "bench"),
          Map.entry("batch_follow", "bench"),
          Map.entry("plan_search", "plan"),
          Map.entry("calibration", "learning"),
          Map.entry("reminder", "reminders"),
          Map.entry("message", "reminders"),
          Map.entry("push_key", "push"),
          Map.entry("push_subscription", "push"),
          Map.entry("push_delivery", "push"),
          Map.entry("scheduled_tasks", "reminders"),
          Map.entry("feed", "shelf"),
          Map.entry("idempotency", "http"),
          Map.entry("invitation", "members"),
          Map.entry("recovery_code", "members"),
          Map.entry("user_entities", "passkeys"),
          Map.entry("user_credentials", "passkeys"),
          Map.entry("audit", "audit"),
          Map.entry("table_import", "tables"),
          Map.entry("kept_backup", "safekeeping"),
          Map.entry("known_device", "accounts"),
          Map.entry("sign_in_try", "accounts"),
          Map.entry("sign_in_failure", "accounts"),
          Map.entry("spring_session", "accounts"),
          Map.entry("spring_session_attributes", "accounts"));

  /** For everybody to read. */
  private static final Set<String> SHOWN =
      Set.of(
          "household_state",
          "live_session",
          "batch_name",
          "happening_line",
          "lot_cost",
          "person_name");

  private static final Pattern STRING =
      Pattern.compile("\"\"\"(.*?)\"\"\"|\"((?:[^\"\\\\\\n]|\\\\.)*)\"", Pattern.DOTALL);
  private static final Pattern SQL =
      Pattern.compile("(?i)\\b(select|insert|update|delete|replace)\\b|^\\s*(from|join)\\b");
  private static final Pattern NAMED =
      Pattern.compile("(?i)\\b(?:from|join|update|into)\\s+`?([A-Za-z_]+)`?");

  private static final Map<String, String> owners = new HashMap<>(OWNERS);

  /** A file's package and name, with its text. */
  private record Source(String room, String file, String text) {}

  private static List<Source> sources() {
    try (Stream<Path> files = Files.walk(SOURCES)) {
      List<Source> all = new ArrayList<>();
      for (Path file : files.filter(f -> f.toString().endsWith(".java")).toList()) {
        Path below = SOURCES.relativize(file);
        all.add(
            new Source(
                below.getNameCount() > 1 ? below.getName(0).toString() : "",
                below.toString(),
                Files.readString(file)));
      }
      return all;
    } catch (IOException e) {
      throw new AssertionError(e);
    }
  }

  @BeforeAll
  static void findOwners() throws ClassNotFoundException {
    for (Source source : sources()) {
      if (source.text().contains("@Entity")) {
        String name = source.file().replace(".java", "").replace('/', '.');
        Class<?> type = Class.forName("dremsa.server." + name);
        if (type.isAnnotationPresent(Entity.class) && !type.isAnnotationPresent(Immutable.class)) {
          jakarta.persistence.Table table = type.getAnnotation(jakarta.persistence.Table.class);
          String inDatabase =
              table == null || table.name().isEmpty()
                  ? type.getSimpleName().replaceAll("(?<=[a-z])(?=[A-Z])", "_")
                  : table.name();
          owners.put(inDatabase.toLowerCase(Locale.ROOT), source.room());
          owners.put(type.getSimpleName().toLowerCase(Locale.ROOT), source.room());
        }
      }
    }
  }

  private static Set<String> made(String what) throws IOException {
    Set<String> names = new TreeSet<>();
    try (Stream<Path> files = Files.list(MIGRATIONS)) {
      for (Path file : files.toList()) {
        Matcher create =
            Pattern.compile("(?i)create " + what + " (?:if not exists )?(\\w+)")
                .matcher(Files.readString(file));
        while (create.find()) {
          names.add(create.group(1).toLowerCase(Locale.ROOT));
        }
      }
    }
    return names;
  }

  @Test
  void everyTableHasAnOwnerAndEveryViewIsShown() throws IOException {
    assertThat(owners.keySet()).containsAll(made("table"));
    assertThat(made("view")).isEqualTo(new TreeSet<>(SHOWN));
  }

  @Test
  void nobodyReadsOrWritesWhatIsNotTheirs() {
    List<String> strangers = new ArrayList<>();
    int found = 0;
    for (Source source : sources()) {
      Matcher string = STRING.matcher(source.text());
      while (string.find()) {
        String text = string.group(1) == null ? string.group(2) : string.group(1);
        if (!SQL.matcher(text).find()) {
          continue;
        }
        Matcher named = NAMED.matcher(text);
        while (named.find()) {
          String owner = owners.get(named.group(1).toLowerCase(Locale.ROOT));
          found += owner == null ? 0 : 1;
          if (owner != null && !owner.equals(source.room())) {
            strangers.add(source.file() + " reaches into " + named.group(1) + " of " + owner);
          }
        }
      }
    }
    assertThat(strangers).isEmpty();
    assertThat(found).as("names of tables in the sources").isGreaterThan(60);
  }
}
