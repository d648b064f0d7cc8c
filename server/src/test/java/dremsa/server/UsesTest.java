package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dremsa.core.formula.Purpose;
import dremsa.server.shelf.UseTakenBack;
import dremsa.server.shelf.Used;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CopyOnWriteArrayList;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;

/** What is used of a bottle is kept in rows and told to those who reckon with it. */
class UsesTest {
  private static final List<Used> TOLD = new CopyOnWriteArrayList<>();
  private static final List<UseTakenBack> TAKEN_BACK = new CopyOnWriteArrayList<>();

  private final Visitor owner = Visitor.withHousehold();
  private UUID bottle;

  @BeforeAll
  static void listen() {
    TestServer.listen(Used.class, TOLD::add);
    TestServer.listen(UseTakenBack.class, TAKEN_BACK::add);
  }

  @BeforeEach
  void fill() {
    Kitchenwork.bottled(owner, "lemon-balm-spray", 300);
    bottle = UUID.fromString(owner.get("/api/bottles").text("/bottles/0/id"));
  }

  private List<Used> told() {
    return TOLD.stream().filter(u -> u.bottle().equals(bottle)).toList();
  }

  private List<Map<String, Object>> rows() {
    return TestServer.bean(JdbcTemplate.class)
        .queryForList(
            "select millilitres, who, purpose, undone from bottle_use where bottle_id = ? order by id",
            bottle);
  }

  private Visitor.Answer tap(String what, Map<String, Object> said) {
    Map<String, Object> form = new java.util.HashMap<>(said);
    form.put("version", owner.get("/api/bottles/" + bottle).body().at("/bottle/version").asLong());
    return owner.post("/api/bottles/" + bottle + "/" + what, form);
  }

  @Test
  void aUseSaysHowMuchOfWhatByWhomAndWhatFor() {
    Visitor.Answer answer =
        tap("take", Map.of("millilitres", 40, "who", " Ada ", "purpose", "RINSE"));
    assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
    assertThat(rows())
        .containsExactly(
            Map.of("millilitres", 40.0, "who", "Ada", "purpose", "RINSE", "undone", false));
    assertThat(told()).hasSize(1);
    Used used = told().get(0);
    assertThat(used.millilitres()).isEqualTo(40);
    assertThat(used.contents().millilitres()).isCloseTo(40, within(0.01));
    assertThat(used.who()).contains("Ada");
    assertThat(used.purpose()).contains(Purpose.RINSE);
    assertThat(answer.text("/happenings/0/detail")).isEqualTo("Ada, rinse");
  }

  @Test
  void nobodyHasToSayMoreThanHowMuch() {
    tap("take", Map.of("amount", "2 tbsp"));
    assertThat(told()).hasSize(1);
    assertThat(told().get(0).who()).isEmpty();
    assertThat(told().get(0).purpose()).isEmpty();
  }

  @Test
  void whatIsUsedUpWasUsedAndWhatIsThrownAwayWasNot() {
    tap("take", Map.of("millilitres", 40));
    double left = owner.get("/api/bottles/" + bottle).body().at("/bottle/leftMl").asDouble();
    tap("finish", Map.of());
    assertThat(told()).extracting(Used::millilitres).containsExactly(40.0, left);
    tap("undo", Map.of());
    tap("discard", Map.of("reason", "SMELL"));
    assertThat(told()).as("thrown away").hasSize(2);
  }

  @Test
  void takingItBackTakesTheUseBack() {
    tap("take", Map.of("millilitres", 40));
    tap("take", Map.of("millilitres", 25));
    tap("undo", Map.of());
    assertThat(rows()).extracting(row -> row.get("undone")).containsExactly(false, true);
    assertThat(TAKEN_BACK.stream().filter(t -> t.bottle().equals(bottle)).map(UseTakenBack::use))
        .containsExactly(told().get(1).use());
    tap("undo", Map.of());
    assertThat(rows()).extracting(row -> row.get("undone")).containsExactly(true, true);
  }

  @Test
  void aRefusedUseIsNone() {
    Visitor.Answer refused = tap("take", Map.of("millilitres", 9000));
    assertThat(refused.fields()).containsExactly("millilitres");
    assertThat(tap("take", Map.of("millilitres", 10, "who", "x".repeat(81))).fields())
        .containsExactly("who");
    assertThat(told()).isEmpty();
    assertThat(rows()).isEmpty();
  }

  @Test
  void aBackupOfBeforeTheyWereRowsTellsOfThemInItsRecord() {
    tap("take", Map.of("millilitres", 40));
    tap("take", Map.of("millilitres", 25));
    tap("undo", Map.of());
    JdbcTemplate jdbc = TestServer.bean(JdbcTemplate.class);
    TurnGuard.lookingAway(() -> jdbc.update("delete from bottle_use where bottle_id = ?", bottle));
    byte[] backup = owner.file("/api/backup.zip").bytes();
    Visitor other = Visitor.withHousehold();
    assertThat(other.upload("/api/restore", "application/zip", backup).status()).isLessThan(300);
    bottle = UUID.fromString(other.get("/api/bottles").text("/bottles/0/id"));
    assertThat(rows()).extracting(row -> row.get("millilitres")).containsExactly(40.0, 25.0);
    assertThat(rows()).extracting(row -> row.get("undone")).containsExactly(false, true);
  }

  @Test
  void aBackupKeepsThem() {
    tap("take", Map.of("millilitres", 40, "who", "Ada", "purpose", "RINSE"));
    byte[] backup = owner.file("/api/backup.zip").bytes();
    Visitor other = Visitor.withHousehold();
    assertThat(other.upload("/api/restore", "application/zip", backup).status()).isLessThan(300);
    List<Map<String, Object>> before = rows();
    bottle = UUID.fromString(other.get("/api/bottles").text("/bottles/0/id"));
    assertThat(rows()).isEqualTo(before);
  }
}
