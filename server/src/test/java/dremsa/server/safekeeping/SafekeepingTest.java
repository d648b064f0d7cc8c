package dremsa.server.safekeeping;

import static org.assertj.core.api.Assertions.assertThat;

import dremsa.server.TestServer;
import dremsa.server.Visitor;
import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.core.JdbcTemplate;

/** Backups by themselves: made at night, verified, rotated, and missed when they do not come. */
class SafekeepingTest {
  private static final int HOUR = 3600;
  private static final int DAY = 24 * HOUR;

  /** It is Tuesday, 10 o'clock. */
  private final Visitor owner = Visitor.withHousehold();

  private final JdbcTemplate jdbc = TestServer.bean(JdbcTemplate.class);
  private final Safekeeping safekeeping = TestServer.bean(Safekeeping.class);
  private final UUID household =
      jdbc.queryForObject(
          "select household_id from account where sign_in = ?", UUID.class, owner.name());

  private List<String> days() {
    return owner
        .get("/api/backups")
        .at("/files")
        .valueStream()
        .map(file -> file.get("day").asString())
        .toList();
  }

  private List<String> warnings() {
    return owner
        .get("/api/messages")
        .at("/messages")
        .valueStream()
        .map(message -> message.get("title").asString())
        .filter(title -> title.contains("backup"))
        .toList();
  }

  private Path folder() {
    return TestServer.BACKUPS.resolve("test-kitchen-" + household.toString().substring(0, 8));
  }

  @Test
  void oneIsMadeEachNightAndNoMore() {
    safekeeping.keepIfDue(household);
    assertThat(days()).as("the first at once").containsExactly("2030-03-05");
    owner.moveClock(2 * HOUR);
    safekeeping.keepIfDue(household);
    owner.moveClock(12 * HOUR);
    safekeeping.keepIfDue(household);
    assertThat(days()).as("at midnight nobody is done yet").containsExactly("2030-03-05");
    owner.moveClock(4 * HOUR);
    safekeeping.keepIfDue(household);
    safekeeping.keepIfDue(household);
    assertThat(days()).containsExactly("2030-03-06", "2030-03-05");
  }

  @Test
  void aNightThatWasSleptThroughIsMadeUpFor() {
    safekeeping.keepIfDue(household);
    owner.moveClock(2 * DAY + 5 * HOUR);
    safekeeping.keepIfDue(household);
    assertThat(days()).containsExactly("2030-03-07", "2030-03-05");
  }

  @Test
  void overFiveWeeksSevenDaysAndFourWeeksStay() throws Exception {
    Files.createDirectories(folder());
    Path foreign = Files.writeString(folder().resolve("notes.txt"), "mine");
    Path odd = Files.writeString(folder().resolve("old.zip"), "mine too");
    for (int i = 0; i < 36; i++) {
      safekeeping.keepIfDue(household);
      owner.moveClock(DAY);
    }
    assertThat(days())
        .containsExactly(
            "2030-04-09",
            "2030-04-08",
            "2030-04-07",
            "2030-04-06",
            "2030-04-05",
            "2030-04-04",
            "2030-04-03",
            "2030-04-01",
            "2030-03-25",
            "2030-03-18");
    assertThat(foreign).exists();
    assertThat(odd).exists();
    assertThat(warnings()).isEmpty();
  }

  @Test
  void whatDoesNotReadBackIsSaidAndTriedAgainInAnHour() throws Exception {
    safekeeping.keepIfDue(household);
    // A file stands where the folder should be.
    for (Path file : Files.list(folder()).toList()) {
      Files.delete(file);
    }
    Files.delete(folder());
    Files.writeString(folder(), "in the way");
    owner.moveClock(DAY);
    safekeeping.keepIfDue(household);
    Visitor.Answer bad = owner.get("/api/backups");
    assertThat(bad.text("/why")).isNotBlank();
    assertThat(bad.text("/goodAt")).startsWith("2030-03-05");
    Files.delete(folder());
    owner.moveClock(HOUR / 2);
    safekeeping.keepIfDue(household);
    assertThat(days()).as("too soon").isEmpty();
    owner.moveClock(HOUR);
    safekeeping.keepIfDue(household);
    assertThat(days()).containsExactly("2030-03-06");
    assertThat(owner.get("/api/backups").at("/why").isNull()).isTrue();
  }

  /** It comes even when nothing that makes backups runs any more. */
  @Test
  void threeDaysWithoutAGoodOneAreToldInTheTray() {
    safekeeping.keepIfDue(household);
    owner.moveClock(3 * DAY - 60);
    assertThat(warnings()).isEmpty();
    owner.moveClock(120);
    assertThat(warnings()).containsExactly("No good backup for three days");
    safekeeping.keepIfDue(household);
    owner.moveClock(2 * DAY);
    assertThat(warnings()).as("once").hasSize(1);
  }

  private static String said(Work work) throws Exception {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    work.to(new PrintStream(bytes, true, StandardCharsets.UTF_8));
    return bytes.toString(StandardCharsets.UTF_8);
  }

  private interface Work {
    void to(PrintStream out) throws Exception;
  }

  @Test
  void aFileIsRestoredIntoANewHouseholdFromTheCommandLine() throws Exception {
    owner.put(
        "/api/household",
        Map.of(
            "name",
            "Büchel & Söhne",
            "measures",
            "US",
            "fahrenheit",
            true,
            "timeZone",
            "America/Denver",
            "school",
            "PRACTICE",
            "version",
            owner.get("/api/household").at("/version").asLong()));
    safekeeping.keepIfDue(household);
    Path file = Files.list(folderNamed("buchel-sohne")).findFirst().orElseThrow();
    Tasks tasks = TestServer.bean(Tasks.class);
    String name = "r" + UUID.randomUUID().toString().substring(0, 10);
    String words = said(out -> assertThat(tasks.restore(file, name, out)).isTrue());
    Matcher told = Pattern.compile("as '(.+)' with '(.+)'").matcher(words);
    assertThat(told.find()).as(words).isTrue();
    Visitor restored = new Visitor();
    assertThat(
            restored
                .post("/api/session", Map.of("signIn", told.group(1), "password", told.group(2)))
                .status())
        .isEqualTo(200);
    Visitor.Answer there = restored.get("/api/household");
    assertThat(there.text("/name")).isEqualTo("Büchel & Söhne");
    assertThat(there.text("/timeZone")).isEqualTo("America/Denver");
    // The same name again is refused, and leaves nothing behind.
    long before = households();
    assertThat(said(out -> assertThat(tasks.restore(file, name, out)).isFalse()))
        .startsWith("FAILED: This sign-in name is taken");
    assertThat(households()).isEqualTo(before);
  }

  @Test
  void aDamagedFileIsNotRestored(@TempDir Path temp) throws Exception {
    safekeeping.keepIfDue(household);
    Path good = Files.list(folder()).findFirst().orElseThrow();
    byte[] bytes = Files.readAllBytes(good);
    Path cut = Files.write(temp.resolve("cut.zip"), java.util.Arrays.copyOf(bytes, 900));
    long before = households();
    Tasks tasks = TestServer.bean(Tasks.class);
    assertThat(said(out -> assertThat(tasks.restore(cut, "nobody-else", out)).isFalse()))
        .startsWith("FAILED");
    assertThat(households()).isEqualTo(before);
  }

  private Path folderNamed(String name) {
    return TestServer.BACKUPS.resolve(name + "-" + household.toString().substring(0, 8));
  }

  private long households() {
    return jdbc.queryForObject("select count(*) from household", Long.class);
  }
}
