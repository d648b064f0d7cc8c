package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.node.ObjectNode;

/** Files made to harm: each is refused with its reason and leaves everything as it was. */
class HostileBackupTest {
  private static byte[] good;
  private static Visitor victim;
  private static Map<String, String> victims;
  private static Visitor stranger;

  private final JdbcTemplate jdbc = TestServer.bean(JdbcTemplate.class);

  @BeforeAll
  static void someHouseholds() throws Exception {
    good = Parcel.lived(Visitor.withHousehold());
    victim = Visitor.withHousehold();
    byte[] theirs = Parcel.lived(victim);
    victims = new LinkedHashMap<>();
    for (String table : List.of("batch", "bottle", "lot", "formula")) {
      victims.put(table, Parcel.of(theirs).rows(table).get(0).get("id").stringValue());
    }
    stranger = Visitor.withHousehold();
  }

  /** How a file is made out of a good one. */
  interface Craft {
    byte[] from(byte[] good) throws Exception;
  }

  private static Arguments file(String name, Craft craft) {
    return Arguments.of(name, craft);
  }

  /** A file whose sums are right but in which the first row of a table was changed. */
  private static Arguments row(String name, String table, Consumer<ObjectNode> change) {
    return file(name, good -> Parcel.of(good).row(table, change).zip());
  }

  /** A file whose sums are right but that was built otherwise. */
  private static Arguments built(String name, Building building) {
    return file(
        name,
        good -> {
          Parcel parcel = Parcel.of(good);
          building.change(parcel);
          return parcel.zip();
        });
  }

  interface Building {
    void change(Parcel parcel) throws Exception;
  }

  static Stream<Arguments> brokenFiles() {
    return Stream.of(
        file("nothing", good -> new byte[0]),
        file("no zip", good -> "no zip at all, but some words".getBytes(StandardCharsets.UTF_8)),
        file("the first half", good -> Arrays.copyOf(good, good.length / 2)),
        file("all but the last byte", good -> Arrays.copyOf(good, good.length - 1)),
        file("without the zip's directory", good -> Arrays.copyOf(good, good.length - 2000)),
        file(
            "something after the zip",
            good -> {
              byte[] more = Arrays.copyOf(good, good.length + 50);
              Arrays.fill(more, good.length, more.length, (byte) 'x');
              return more;
            }),
        file(
            "a byte changed on the way",
            good -> {
              byte[] changed = good.clone();
              changed[good.length / 2] ^= 0x41;
              return changed;
            }),
        built("without a manifest", p -> p.unsealed().without("manifest.json")),
        built(
            "a row less than its manifest says",
            p -> p.unsealed().rows("happening", p.rows("happening").subList(1, 3))),
        built(
            "a manifest of other sums",
            p ->
                p.unsealed()
                    .entry(
                        "manifest.json", p.text("manifest.json").replaceAll("[0-9a-f]{64}", "0"))),
        built("something behind its end", p -> p.behind("photos/x.jpg", new byte[9])),
        built("something that is no part of it", p -> p.entry("../evil.sh", new byte[9])),
        built("another first file", p -> p.without("dremsa.json")),
        built("another form", p -> p.head(h -> h.put("form", "groceries"))),
        built("a form of the future", p -> p.head(h -> h.put("version", 3))),
        built("no settings", p -> p.head(h -> h.putNull("household"))),
        built("settings of nothing", p -> p.head(h -> h.putObject("household"))),
        built("a field that nobody knows", p -> p.head(h -> h.put("admin", true))),
        built("measures of long ago", setting("measures", "CUBITS")),
        built("a time zone under the sea", setting("timeZone", "Europe/Atlantis")),
        built("a school that nobody founded", setting("school", "RECKLESS")));
  }

  private static Building setting(String name, String value) {
    return p -> p.head(h -> ((ObjectNode) h.get("household")).put(name, value));
  }

  static Stream<Arguments> bombs() {
    return Stream.of(
        built(
            "60 MB of empty rows",
            p -> p.entry("tables/happening.ndjson", "{}\n".repeat(20_000_000))),
        built(
            "rows of one letter",
            p ->
                p.entry(
                    "tables/happening.ndjson",
                    ("{\"detail\":\"" + "x".repeat(4_000_000) + "\"}\n").repeat(12))),
        built("a row of 5 MB", rowOf("x".repeat(5_000_000))),
        built(
            "a row without an end",
            p -> p.entry("tables/happening.ndjson", "{\"detail\":\"" + "x".repeat(6_000_000))),
        built(
            "a row as deep as a well",
            p ->
                p.entry(
                    "tables/happening.ndjson",
                    "{\"detail\":" + "[".repeat(50_000) + "]".repeat(50_000) + "}\n")),
        built(
            "a number as long as a road",
            p ->
                p.entry(
                    "tables/happening.ndjson", "{\"millilitres\":" + "9".repeat(90_000) + "}\n")),
        built("a photo of 5 MB", p -> p.entry(p.photo(), new byte[5_000_000])),
        built(
            "120 photos of nothing",
            p -> {
              for (int i = 0; i < 120; i++) {
                p.entry("photos/" + UUID.randomUUID() + ".jpg", new byte[4_000_000]);
              }
            }),
        built("a photo that is none", p -> p.entry(p.photo(), "<svg onload='x'/>")),
        built("a photo of 9000 dots", p -> p.entry(p.photo(), jpeg(9000, 10))),
        built("a photo less", p -> p.without(p.photo())),
        built(
            "a photo that belongs to nothing",
            p -> p.entry("photos/" + UUID.randomUUID() + ".jpg", jpeg(20, 20))),
        built("a photo outside its place", p -> p.entry("photos/../../evil.jpg", jpeg(20, 20))),
        built("two kitchens", p -> p.rows("kitchen", twice(p.rows("kitchen")))),
        built("a table that nobody has", p -> p.entry("tables/account.ndjson", "{}\n")),
        built("a table of sessions", p -> p.entry("tables/SPRING_SESSION.ndjson", "{}\n")),
        built("a line that is no row", p -> p.entry("tables/happening.ndjson", "[1,2]\n")),
        built("a line that is no JSON", p -> p.entry("tables/happening.ndjson", "{'kind':1}\n")),
        built(
            "a cell twice in a row",
            p ->
                p.entry(
                    "tables/store_minimum.ndjson",
                    "{\"material_id\":\"a\",\"grams\":1,\"grams\":2}\n")));
  }

  private static Building rowOf(String detail) {
    return p -> p.row("happening", r -> r.put("detail", detail));
  }

  private static <T> List<T> twice(List<T> rows) {
    List<T> all = new ArrayList<>(rows);
    all.addAll(rows);
    return all;
  }

  private static byte[] jpeg(int width, int height) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB), "jpg", out);
    return out.toByteArray();
  }

  static Stream<Arguments> reachingOut() {
    return Stream.of(
        row("a number for a counter", "happening", r -> r.put("id", Long.MAX_VALUE)),
        row("a number for another counter", "batch_tap", r -> r.put("id", Long.MAX_VALUE)),
        row(
            "a household of its own choice",
            "bottle",
            r -> r.put("household_id", victims.get("batch"))),
        row("a column of passwords", "batch", r -> r.put("password_hash", "x")),
        row("a bottle of their batch", "bottle", r -> r.put("batch_id", victims.get("batch"))),
        row("a step of their batch", "batch_step", r -> r.put("batch_id", victims.get("batch"))),
        row("a tap of their batch", "batch_tap", r -> r.put("batch_id", victims.get("batch"))),
        row("an entry of their batch", "batch_entry", r -> r.put("batch_id", victims.get("batch"))),
        row("a photo of their batch", "batch_photo", r -> r.put("batch_id", victims.get("batch"))),
        row("a part of their batch", "batch", r -> r.put("parent_id", victims.get("batch"))),
        row("a portion of their bottle", "bottle", r -> r.put("parent_id", victims.get("bottle"))),
        row(
            "an event of their bottle",
            "bottle_event",
            r -> r.put("bottle_id", victims.get("bottle"))),
        row(
            "a happening of their bottle",
            "happening",
            r -> r.put("bottle_id", victims.get("bottle"))),
        row(
            "a happening of their batch",
            "happening",
            r -> r.put("batch_id", victims.get("batch"))),
        row(
            "what happened to their lot",
            "lot_happening",
            r -> r.put("lot_id", victims.get("lot"))),
        row("what their batch took", "lot_happening", r -> r.put("batch_id", victims.get("batch"))),
        row("dried from their lot", "lot", r -> r.put("dried_from", victims.get("lot"))),
        row("a leftover of their batch", "leftover", r -> r.put("batch_id", victims.get("batch"))),
        row("a leftover in their lot", "leftover", r -> r.put("lot_id", victims.get("lot"))),
        row("brewed from their formula", "batch", r -> r.put("formula_id", victims.get("formula"))),
        row(
            "a copy of their formula",
            "formula",
            r -> r.put("copied_from", victims.get("formula"))),
        row(
            "a state of their formula",
            "formula_version",
            r -> r.put("formula_id", victims.get("formula"))),
        row(
            "their bottle poured in",
            "batch",
            r -> r.put("surroundings", poured(r, victims.get("bottle")))),
        row("an id that is none", "bottle", r -> r.put("id", "x' or '1'='1")),
        built(
            "two of one id",
            p ->
                p.row(
                    "bottle", r -> r.put("id", p.rows("bottle").get(1).get("id").stringValue()))));
  }

  private static Arguments event(String name, String kind, String said) {
    return row(name, "bottle_event", r -> r.put("kind", kind).put("said", said.replace('\'', '"')));
  }

  /** A row as versions wrote it that had a column for everything. */
  private static Arguments earlierEvent(String name, Consumer<ObjectNode> change) {
    return row(
        name,
        "bottle_event",
        r -> {
          r.remove("said");
          r.put("cause", "");
          change.accept(r);
        });
  }

  private static ObjectNode moved(ObjectNode row) {
    return row.put("kind", "MOVED").put("place", "ROOM");
  }

  /** The surroundings of a batch into which a bottle was poured. */
  private static String poured(ObjectNode batch, String bottle) {
    ObjectNode surroundings =
        (ObjectNode) Parcel.JSON.readTree(batch.get("surroundings").stringValue());
    ObjectNode brew =
        ((tools.jackson.databind.node.ArrayNode) surroundings.get("poured")).addObject();
    brew.put("material", "brew:linseed-gel")
        .put("bottle", bottle)
        .put("name", "Gel")
        .put("tint", "aabbcc");
    brew.set(
        "contents",
        Parcel.JSON.readTree(
            "{\"water\":95,\"ethanol\":0,\"glycerin\":0,\"oil\":0,\"juice\":0,\"other\":0,\"solids\":2,"
                + "\"acid\":0,\"gums\":[],\"preservatives\":[],\"traits\":[]}"));
    return Parcel.JSON.writeValueAsString(surroundings);
  }

  static Stream<Arguments> wrongValues() {
    return Stream.of(
        row("a scale below nothing", "batch", r -> r.put("scale", -1)),
        row(
            "an endless scale",
            "batch",
            r ->
                r.set(
                    "scale",
                    Parcel.JSON.getNodeFactory().numberNode(new java.math.BigDecimal("1e400")))),
        row("a status that nobody has", "batch", r -> r.put("status", "EXPLODED")),
        row("a beginning some time ago", "batch", r -> r.put("started_at", "yesterday")),
        row(
            "a beginning after all history",
            "batch",
            r -> r.put("started_at", "9999-12-31T00:00:00Z")),
        row("a code as long as a letter", "batch", r -> r.put("code", "X".repeat(40))),
        row("a step far behind the last", "batch", r -> r.put("step", 99)),
        row("a version below nothing", "batch", r -> r.put("version", -5)),
        row("a form of another time", "batch", r -> r.put("schema_version", 7)),
        row("no name", "batch", r -> r.putNull("formula_name")),
        row("a number for a name", "batch", r -> r.put("formula_name", 12)),
        row("a formula that is none", "batch", r -> r.put("formula", "{\"steps\":[]}")),
        row("a formula of words", "formula", r -> r.put("content", "pour and stir")),
        row("a formula that is null", "formula", r -> r.put("content", "null")),
        row("a plan of a million years", "batch", r -> r.put("plan", "{\"0\":1e12}")),
        row("a plan for no step", "batch", r -> r.put("plan", "{\"-4\":10}")),
        row("a wish that nobody knows", "batch", r -> r.put("target", "{\"kind\":\"EVERYTHING\"}")),
        row(
            "a kitchen in a volcano",
            "kitchen",
            r ->
                r.put(
                    "content",
                    r.get("content")
                        .stringValue()
                        .replaceFirst("\"roomC\":[0-9.]+", "\"roomC\":900"))),
        row(
            "a kitchen without pots",
            "kitchen",
            r ->
                r.put(
                    "content",
                    r.get("content")
                        .stringValue()
                        .replaceFirst("\"vessels\":\\[[^]]*]", "\"vessels\":[]"))),
        row(
            "surroundings of nothing",
            "batch",
            r -> r.put("surroundings", "{\"materials\":null,\"poured\":null}")),
        row("a step that began nowhere", "batch_step", r -> r.put("step_index", 55)),
        row(
            "a pot hotter than the sun",
            "batch_step",
            r -> r.put("readings", "{\"TEMPERATURE\":5600}")),
        row("a reading of the stars", "batch_step", r -> r.put("readings", "{\"STARS\":1}")),
        row("a reading of nothing", "batch_step", r -> r.put("readings", "{\"PH\":null}")),
        row(
            "once a pot hotter than the sun",
            "batch_step",
            r -> {
              r.remove("readings");
              r.put("measured_c", 5600);
            }),
        row("a tap back to nothing", "batch_tap", r -> r.put("state", "{}")),
        row(
            "a reading of nothing",
            "batch_entry",
            r -> r.put("kind", "TEMPERATURE").putNull("amount")),
        row("a tint with a script in it", "bottle", r -> r.put("tint", "<b>")),
        row("a day that is none", "bottle", r -> r.put("last_day", "2030-02-30")),
        row("a place on the moon", "bottle", r -> r.put("place", "MOON")),
        row("more left than the sea", "bottle", r -> r.put("left_ml", 1e12)),
        row(
            "thrown away at no time",
            "bottle",
            r -> r.put("status", "DISCARDED").putNull("ended_at")),
        event("moved nowhere", "MOVED", "{'kind':'MOVED'}"),
        event("poured in from nothing", "JOINED", "{'kind':'JOINED','ownMl':3}"),
        event("kept by no school", "SCHOOL", "{'kind':'SCHOOL','before':{'school':'NONE'}}"),
        event("kept by nothing", "SCHOOL", "{'kind':'SCHOOL'}"),
        event("warm for ages", "WARMED", "{'kind':'WARMED','hours':1e9,'celsius':20}"),
        event("hotter than steam", "WARMED", "{'kind':'WARMED','hours':1,'celsius':300}"),
        event("one thing and another", "OPENED", "{'kind':'MOVED','place':'ROOM'}"),
        event("no form at all", "OPENED", "[]"),
        earlierEvent("once moved nowhere", r -> r.put("kind", "MOVED").putNull("place")),
        earlierEvent("once moved on a day that is none", r -> moved(r).put("cause", "2030-02-30")),
        earlierEvent("once poured in from nothing", r -> r.put("kind", "JOINED")),
        earlierEvent("once poured in from a number", r -> r.put("kind", "JOINED").put("other", 4)),
        earlierEvent("once kept by no school", r -> r.put("kind", "SCHOOL").put("cause", "NONE")),
        row(
            "thrown away for no reason",
            "happening",
            r -> r.put("kind", "DISCARDED").put("millilitres", 5).putNull("told")),
        row("told by nobody", "happening", r -> r.put("told", "{\"kind\":\"SUNG\"}")),
        row("told without its data", "happening", r -> r.put("told", "{\"kind\":\"MOVED\"}")),
        row("a warm fridge of nothing", "fridge_event", r -> r.put("pieces", "{\"pieces\":null}")),
        row("a warm fridge of null", "fridge_event", r -> r.put("pieces", "{\"pieces\":[null]}")),
        row("taken, but how much", "happening", r -> r.put("kind", "TAKEN").putNull("millilitres")),
        row("a link that runs", "message", r -> r.put("link", "javascript:alert(1)")),
        row("a link to elsewhere", "message", r -> r.put("link", "//elsewhere.example/keep")),
        row("a price beyond money", "lot", r -> r.put("price", 1e18)),
        row("fewer than no bottles", "container_set", r -> r.put("owned", -3)),
        built(
            "a material that weighs nothing",
            p ->
                p.entry(
                    "tables/household_material.ndjson",
                    "{\"material_id\":\"x\",\"content\":\"{}\",\"schema_version\":1,\"version\":0}\n")),
        built(
            "two batches of one code",
            p ->
                p.row(
                    "batch",
                    r -> r.put("code", p.rows("batch").get(1).get("code").stringValue()))));
  }

  @ParameterizedTest(name = "{0}")
  @MethodSource({"brokenFiles", "bombs", "reachingOut", "wrongValues"})
  void isRefusedAndChangesNothing(String name, Craft craft) throws Exception {
    byte[] file = craft.from(good);
    Map<String, Long> before = counters();
    String settings =
        stranger.get("/api/household").body().toString().replaceAll("\"now\":\"[^\"]*\"", "");
    Visitor.Answer no = stranger.upload("/api/restore", "application/zip", file);
    assertThat(no.status()).as(no.body().toString()).isEqualTo(400);
    assertThat(no.fields()).containsExactly("file");
    assertThat(no.text("/detail")).startsWith("This file was not read in: ");
    assertThat(counters()).as("a counter moved").isEqualTo(before);
    assertThat(
            stranger.get("/api/household").body().toString().replaceAll("\"now\":\"[^\"]*\"", ""))
        .isEqualTo(settings);
    assertThat(stranger.get("/api/history").at("/lines").size()).isZero();
    assertThat(stranger.get("/api/kitchen").status()).isEqualTo(200);
  }

  /** Where each counted table stands: nothing rolls that back. */
  private Map<String, Long> counters() {
    Map<String, Long> counters = new LinkedHashMap<>();
    jdbc.query(
        "select table_name, auto_increment from information_schema.tables"
            + " where table_schema = database() and auto_increment is not null order by 1",
        row -> {
          counters.put(row.getString(1), row.getLong(2));
        });
    assertThat(counters).containsKeys("happening", "batch_tap", "reminder", "message");
    return counters;
  }

  /** What every file above is made from is taken: it is the change that is refused. */
  @Test
  void theGoodOnePutTogetherAgainIsTaken() throws Exception {
    Visitor other = Visitor.withHousehold();
    Visitor.Answer read = other.upload("/api/restore", "application/zip", Parcel.of(good).zip());
    assertThat(read.status()).as(read.body().toString()).isEqualTo(200);
    assertThat(other.get("/api/bottles").at("/bottles").size()).isPositive();
  }

  @Test
  void afterAllOfThemEverybodyWritesStill() throws Exception {
    Visitor other = Visitor.withHousehold();
    assertThat(other.upload("/api/restore", "application/zip", good).status()).isEqualTo(200);
    assertThat(other.upload("/api/restore", "application/zip", good).status())
        .as("a household that is not empty")
        .isEqualTo(409);
    Visitor.Answer running = victim.get("/api/batches/running");
    String path = "/api/batches/" + running.text("/0/id") + "/entries";
    assertThat(victim.post(path, Map.of("kind", "NOTE", "words", "still here")).status())
        .isEqualTo(200);
  }
}
