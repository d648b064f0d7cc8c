package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.StringReader;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** Tables for a spreadsheet, out and in. */
class TablesTest {
  private static final List<String> TABLES =
      List.of("stores", "batches", "bottles", "events", "readings");

  private final Visitor owner = Visitor.withHousehold();
  private final Visitor other = Visitor.withHousehold();

  private static String csv(Visitor visitor, String table) {
    return new String(
        visitor.file("/api/tables/" + table + ".csv").bytes(), StandardCharsets.UTF_8);
  }

  private static Visitor.Answer read(Visitor visitor, String table, String csv) {
    return visitor.upload(
        "/api/tables/" + table, "text/csv;charset=UTF-8", csv.getBytes(StandardCharsets.UTF_8));
  }

  private static Visitor.Answer look(Visitor visitor, String table, String csv) {
    return visitor.upload(
        "/api/tables/" + table + "?look=true",
        "text/csv;charset=UTF-8",
        csv.getBytes(StandardCharsets.UTF_8));
  }

  private static Visitor.Answer ok(Visitor.Answer answer) {
    assertThat(answer.status()).as(answer.body().toString()).isLessThan(300);
    return answer;
  }

  private static List<CSVRecord> records(String csv) throws IOException {
    return CSVFormat.RFC4180
        .builder()
        .setHeader()
        .setSkipHeaderRecord(true)
        .get()
        .parse(new StringReader(csv))
        .getRecords();
  }

  private JsonNode bottle(UUID id) {
    return owner.get("/api/bottles/" + id).body();
  }

  private void event(UUID id, Map<String, Object> said) {
    Map<String, Object> form = new HashMap<>(said);
    form.put("version", bottle(id).at("/bottle/version").asLong());
    ok(owner.post("/api/bottles/" + id + "/events", form));
  }

  private void act(UUID id, String what, Map<String, Object> said) {
    Map<String, Object> form = new HashMap<>(said);
    form.put("version", bottle(id).at("/bottle/version").asLong());
    ok(owner.post("/api/bottles/" + id + "/" + what, form));
  }

  /** A week on a shelf in which much happened, with a warm fridge and a mixture. */
  private void lived() {
    ok(
        owner.post(
            "/api/lots",
            Map.of(
                "material",
                "sage",
                "origin",
                "BOUGHT",
                "amount",
                Map.of("value", 100, "unit", "g"),
                "price",
                4.5,
                "note",
                "a \"good\" one, dry")));
    UUID spray = Kitchenwork.bottled(owner, "lemon-balm-spray", 250);
    UUID second = Kitchenwork.bottled(owner, "lemon-balm-spray", 250);
    UUID gel = Kitchenwork.bottled(owner, "linseed-gel", 250);
    owner.moveClock(20 * 3600);
    event(spray, Map.of("what", "LEFT_OUT", "hours", 4));
    event(gel, Map.of("what", "OPEN"));
    act(spray, "take", Map.of("millilitres", 40));
    owner.moveClock(3600);
    act(second, "take", Map.of("millilitres", 90));
    event(spray, Map.of("what", "POUR", "into", second, "millilitres", 50));
    owner.moveClock(3600);
    event(gel, Map.of("what", "FREEZE_PORTIONS", "portionMl", 30, "millilitres", 90));
    ok(owner.post("/api/fridge", Map.of("what", "POWER_CUT", "hours", 6)));
    owner.moveClock(9 * 3600);
    event(second, Map.of("what", "SCHOOL", "school", "PRACTICE"));
    act(gel, "undo", Map.of());
    act(gel, "discard", Map.of("reason", "SMELL", "note", "sour, \"putrid\""));
  }

  /**
   * What was written out and read in is written out the same; the last days of the bottles too,
   * which are reckoned anew from what happened.
   */
  @Test
  void aHouseholdReadInTableByTableIsWrittenOutTheSame() throws Exception {
    lived();
    other.moveClock(60 * 24 * 3600);
    for (String table : TABLES) {
      Visitor.Answer read = ok(read(other, table, csv(owner, table)));
      assertThat(read.at("/kept").asBoolean()).as(read.body().toString()).isTrue();
      assertThat(read.at("/leftOut").asInt()).as(read.body().toString()).isZero();
      assertThat(read.at("/unknown").size()).isZero();
    }
    for (String table : TABLES) {
      assertThat(csv(other, table).lines().sorted().toList())
          .as(table)
          .isEqualTo(csv(owner, table).lines().sorted().toList());
    }
    assertThat(records(csv(other, "events")))
        .anySatisfy(r -> assertThat(r.get("kind")).isEqualTo("POURED_IN"))
        .anySatisfy(r -> assertThat(r.get("kind")).isEqualTo("FRIDGE"))
        .anySatisfy(r -> assertThat(r.get("undone")).isEqualTo("true"));
  }

  /** Earlier tables had one column for three things, and reasons as words of the detail. */
  @Test
  void aTableOfAnEarlierVersionTellsTheSame() throws Exception {
    lived();
    other.moveClock(60 * 24 * 3600);
    ok(read(other, "batches", csv(owner, "batches")));
    ok(read(other, "bottles", csv(owner, "bottles")));
    StringBuilder earlier = new StringBuilder(String.join(",", EARLIER_COLUMNS) + "\n");
    for (CSVRecord line : records(csv(owner, "events"))) {
      earlier.append(earlier(line)).append("\n");
    }
    Visitor.Answer read = ok(read(other, "events", earlier.toString()));
    assertThat(read.at("/kept").asBoolean()).as(read.body().toString()).isTrue();
    assertThat(told(other)).isEqualTo(told(owner));
    assertThat(told(other)).anySatisfy(line -> assertThat(line).contains("SMELL"));
  }

  private static final List<String> EARLIER_COLUMNS =
      List.of(
          ("time,kind,code,bottle,millilitres,detail,undone,silent,change,place,hours,celsius,"
                  + "cause,own_ml,other")
              .split(","));

  private static String earlier(CSVRecord line) {
    Map<String, String> cells = new HashMap<>(line.toMap());
    if (line.get("kind").equals("DISCARDED")) {
      cells.put("detail", line.get("detail").replace("smell", "SMELL"));
    }
    if (!line.get("promised").isEmpty()) {
      cells.put("cause", line.get("promised"));
    }
    if (!line.get("school_before").isEmpty()) {
      cells.put(
          "cause", line.get("school_before") + (line.get("clean_before").isEmpty() ? "" : "+"));
    }
    return EARLIER_COLUMNS.stream()
        .map(column -> '"' + cells.get(column).replace("\"", "\"\"") + '"')
        .collect(Collectors.joining(","));
  }

  /** All lines, but for what earlier tables could not tell. */
  private static List<String> told(Visitor whose) throws IOException {
    return records(csv(whose, "events")).stream()
        .map(
            line -> {
              Map<String, String> cells = new TreeMap<>(line.toMap());
              cells.remove("school");
              if (!line.get("kind").equals("DISCARDED")) {
                cells.remove("told");
              }
              return cells.toString();
            })
        .sorted()
        .toList();
  }

  /** The fridge is still cooling down then: some of its record lies ahead. */
  @Test
  void aPowerCutThatIsJustOverIsReadInToo() {
    Kitchenwork.bottled(owner, "lemon-balm-spray", 250);
    owner.moveClock(10 * 3600);
    ok(owner.post("/api/fridge", Map.of("what", "POWER_CUT", "hours", 8)));
    Visitor.Answer again = ok(read(owner, "events", csv(owner, "events")));
    assertThat(again.at("/wrong").size()).as(again.body().toString()).isZero();
    assertThat(again.at("/taken").asInt()).isZero();
    assertThat(
            ok(read(
                    owner,
                    "events",
                    "time,kind,detail,hours,celsius\n2030-03-09 10:00,FRIDGE,cut,3,12\n"))
                .at("/wrong/0/column")
                .asString())
        .isEqualTo("time");
  }

  /** Java writes what is below a thousandth or above ten millions so; spreadsheets do too. */
  @ParameterizedTest
  @CsvSource({"1.5E-2, 0.015", "2e1, 20", "'1,5E+1', 15", "'12,5', 12.5", "12.5 g, 12.5", "+3, 3"})
  void numbersAreReadAsTheyAreWritten(String written, double grams) {
    ok(read(owner, "stores", "material;grams;got_on\nsage;%s;2030-01-01\n".formatted(written)));
    assertThat(csv(owner, "stores")).contains("sage,BOUGHT,%s,%s,".formatted(grams, grams));
  }

  @Test
  void readTwiceItIsThereOnce() {
    lived();
    for (String table : TABLES) {
      String csv = csv(owner, table);
      Visitor.Answer again = ok(read(owner, table, csv));
      assertThat(again.at("/taken").asInt()).as(again.body().toString()).isZero();
      assertThat(again.at("/there").asInt()).isEqualTo(again.at("/lines").asInt());
      assertThat(csv(owner, table)).isEqualTo(csv);
    }
  }

  @Test
  void lookingKeepsNothing() {
    lived();
    for (String table : TABLES) {
      String before = csv(other, table);
      Visitor.Answer seen = ok(look(other, table, csv(owner, table)));
      assertThat(seen.at("/kept").asBoolean()).isFalse();
      assertThat(csv(other, table)).isEqualTo(before);
    }
  }

  @Test
  void aListKeptByHandIsEnough() {
    ok(
        read(
            owner,
            "batches",
            "code;name;started;bottled_ml\nA-1;Lemon balm spray;12.02.2030 18:00;240\n"));
    ok(
        read(
            owner,
            "bottles",
            "code;number;container;size_ml;filled_ml;filled;left_ml\n"
                + "A-1;1;spray;250;240;12.02.2030 22:00;\n"));
    JsonNode bottle = owner.get("/api/bottles").at("/bottles/0");
    assertThat(bottle.get("leftMl").asDouble()).isEqualTo(240);
    // Made on 12 February with seven days of life: it is over by March.
    assertThat(bottle.get("freshness").asString()).isEqualTo("OVER");
    assertThat(owner.get("/api/history").body().toString()).contains("STARTED", "BOTTLED");
    Visitor.Answer next = Kitchenwork.atBottling(owner, "lemon-balm-spray", 250);
    assertThat(next.text("/code")).isNotEqualTo("A-1").isNotEmpty();
  }

  /** A night on the counter is billed to its life, although nobody told of it but by the hours. */
  @Test
  void aBrewThatStoodLongerKeepsShorter() {
    for (String ended : List.of("2030-03-04 13:00", "2030-03-04 22:00")) {
      String code = "B-" + ended.substring(11, 13);
      ok(
          read(
              owner,
              "batches",
              "code,formula,started,ended,bottled_ml\n%s,lemon-balm-spray,2030-03-04 09:30,%s,240\n"
                  .formatted(code, ended)));
      ok(
          read(
              owner,
              "bottles",
              "code,number,container,size_ml,filled_ml,filled\n%s,1,SPRAY,250,240,%s\n"
                  .formatted(code, ended)));
    }
    List<String> days =
        owner
            .get("/api/bottles")
            .at("/bottles")
            .valueStream()
            .map(b -> b.get("code").asString() + " " + b.get("lastDay").asString())
            .sorted()
            .toList();
    assertThat(days).containsExactly("B-13 2030-03-09", "B-22 2030-03-08");
  }

  /** A date that was told once never moves later, wherever it was told. */
  @Test
  void anEarlierLastDayOfTheFileBinds() {
    ok(
        read(
            owner,
            "batches",
            "code,formula,started,bottled_ml\nC-1,lemon-balm-spray,2030-03-04 09:00,240\n"));
    ok(
        read(
            owner,
            "bottles",
            "code,number,container,size_ml,filled_ml,filled,last_day\n"
                + "C-1,1,SPRAY,250,240,2030-03-04 13:00,2030-03-06\n"
                + "C-1,2,SPRAY,250,240,2030-03-04 13:00,2031-03-06\n"));
    List<String> days =
        owner
            .get("/api/bottles")
            .at("/bottles")
            .valueStream()
            .map(b -> b.get("lastDay").asString())
            .toList();
    assertThat(days).containsExactly("2030-03-06", "2030-03-09");
  }

  @Test
  void aCodeThatATableBroughtIsNotGivenAgain() {
    ok(
        read(
            owner,
            "batches",
            "code,formula,started,bottled_ml\nLBS-2,lemon-balm-spray,2030-03-04 09:00,240\n"));
    assertThat(Kitchenwork.atBottling(owner, "lemon-balm-spray", 250).text("/code"))
        .isEqualTo("LBS-3");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "batches | code,formula,started | X-1,no-such-formula,2030-03-01 10:00 | formula",
        "batches | code,formula,started | X-1,lemon-balm-spray,yesterday | started",
        "batches | code,formula,started | X-1,lemon-balm-spray,2030-03-09 10:00 | started",
        "batches | code,formula,started | ,lemon-balm-spray,2030-03-01 10:00 | code",
        "batches | code,formula,started | ABCDEFGHIJKLMNO,lemon-balm-spray,2030-03-01 10:00 | code",
        "batches | code,formula,started,status | X-1,lemon-balm-spray,2030-03-01,DRUNK | status",
        "batches | code,formula,started,ended | X-1,lemon-balm-spray,2030-03-01,2030-02-01 | ended",
        "batches | code,formula,started,bottled_ml | X-1,lemon-balm-spray,2030-03-01,lots | bottled_ml",
        "bottles | code,number,container,size_ml,filled_ml,filled | K,1,SPRAY,250,260,2030-03-05 | filled_ml",
        "bottles | code,number,container,size_ml,filled_ml,filled | K,1,BUCKET,250,200,2030-03-05 | container",
        "bottles | code,number,container,size_ml,filled_ml,filled | K,1,SPRAY,250,200,2030-02-05 | filled",
        "bottles | code,number,container,size_ml,filled_ml,filled,status | K,1,SPRAY,250,200,2030-03-05 09:59,FINISHED | ended",
        "bottles | code,number,container,size_ml,filled_ml,filled,parted_from | K,2,SPRAY,250,200,2030-03-05 09:59,1 | parted_from",
        "events | time,kind,code | 2030-03-05 09:00,EXPLODED,K | kind",
        "events | time,kind,code | 2031-03-05 09:00,TAKEN,K | time",
        "events | time,kind,code,silent | 2030-03-05 09:00,WARMED,K,yes | bottle",
        "events | time,kind,hours,celsius,detail | 2030-03-05 09:00,FRIDGE,3,400,cut | celsius",
        "events | time,kind,hours,celsius,detail | 2030-03-05 09:00,FRIDGE,,12,cut | hours",
        "readings | time,code,step,kind,amount | 2030-03-05 09:00,K,99,PH,4 | step",
        "readings | time,code,step,kind,amount | 2030-03-05 09:00,K,1,TASTE,4 | kind",
        "stores | material,grams,got_on | unobtainium,20,2030-01-01 | material",
        "stores | material,grams,got_on | sage,-3,2030-01-01 | grams",
        "stores | material,grams,got_on | sage,20,then | got_on",
        "stores | material,grams,left_grams,got_on | sage,20,21,2030-01-01 | left_grams"
      })
  void aWrongLineNamesItsPlaceAndNothingIsKept(
      String table, String header, String line, String column) {
    ok(
        read(
            owner,
            "batches",
            "code,formula,started,bottled_ml\nK,lemon-balm-spray,2030-03-05 03:00,240\n"));
    String before = String.join("", TABLES.stream().map(t -> csv(owner, t)).toList());
    Visitor.Answer read = ok(read(owner, table, header + "\n" + line + "\n"));
    assertThat(read.at("/kept").asBoolean()).isFalse();
    assertThat(read.at("/wrong/0/column").asString()).as(read.body().toString()).isEqualTo(column);
    assertThat(read.at("/wrong/0/line").asInt()).isEqualTo(2);
    assertThat(String.join("", TABLES.stream().map(t -> csv(owner, t)).toList())).isEqualTo(before);
  }

  @Test
  void goodLinesBesideAWrongOneAreNotKept() {
    String file =
        "material,grams,got_on\nsage,50,2030-01-01\nsage,nothing,2030-01-02\nsage,40,2030-01-03\n";
    Visitor.Answer read = ok(read(owner, "stores", file));
    assertThat(read.at("/taken").asInt()).isEqualTo(2);
    assertThat(read.at("/kept").asBoolean()).isFalse();
    assertThat(read.at("/wrong").size()).isEqualTo(1);
    assertThat(owner.get("/api/stores").at("/lots").size()).isZero();
  }

  @Test
  void whatATableCannotTellIsLeftOutWithItsReason() {
    Kitchenwork.atBottling(owner, "lemon-balm-spray", 250);
    Visitor.Answer batches = ok(read(other, "batches", csv(owner, "batches")));
    assertThat(batches.at("/leftOut").asInt()).isEqualTo(1);
    assertThat(batches.at("/left/0/why").asString()).contains("backup");
    Visitor.Answer bottles =
        ok(
            read(
                other,
                "bottles",
                "code,number,container,size_ml,filled_ml,filled\nZZ-9,1,JAR,100,90,2030-03-05\n"));
    assertThat(bottles.at("/left/0/why").asString()).contains("ZZ-9");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "colour,shape\nred,round\n",
        "code,formula,started\n\"X-1,lemon-balm-spray,2030-03-01\n"
      })
  void whatIsNoTableIsRefused(String file) {
    Visitor.Answer refused = read(owner, "batches", file);
    assertThat(refused.status()).isEqualTo(400);
  }

  @Test
  void aColumnThatIsNotKnownIsNamedAndPassedOver() {
    Visitor.Answer read =
        ok(read(owner, "stores", "material\tgrams\tgot_on\tmood\nsage\t12,5\t2030-01-01\tfine\n"));
    assertThat(read.at("/unknown/0").asString()).isEqualTo("mood");
    assertThat(read.at("/kept").asBoolean()).isTrue();
    assertThat(csv(owner, "stores")).contains("sage,BOUGHT,12.5,12.5,2030-01-01");
    assertThat(read(owner, "secrets", "a\nb\n").status()).isEqualTo(404);
  }

  /** As spreadsheets save it on one machine or another. */
  @ParameterizedTest
  @ValueSource(strings = {"UTF-8", "UTF-16LE", "windows-1252"})
  void lettersAreReadHoweverTheyWereSaved(String charset) {
    String text = "material\tgrams\tgot_on\tnote\nsage\t20\t2030-01-01\tgrün, étagère\n";
    byte[] bytes =
        (charset.equals("UTF-16LE") ? "\uFEFF" + text : text).getBytes(Charset.forName(charset));
    ok(owner.upload("/api/tables/stores", "text/csv", bytes));
    assertThat(csv(owner, "stores")).contains("grün, étagère");
  }

  @Test
  void tooManyLinesAreRefused() {
    char[] lines = new char[20_001];
    Arrays.fill(lines, '\n');
    String file =
        "material,grams,got_on\n" + new String(lines).replace("\n", "sage,1,2030-01-01\n");
    assertThat(read(owner, "stores", file).status()).isEqualTo(400);
  }
}
