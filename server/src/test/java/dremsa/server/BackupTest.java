package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** A household out into one file and back into an empty one. */
class BackupTest {
  private static final Pattern ID = Pattern.compile("[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}");

  private final Visitor owner = Visitor.withHousehold();

  /** Ids replaced by the order in which they first stand there. */
  private static String plain(String data) {
    Map<String, String> numbers = new LinkedHashMap<>();
    Matcher found = ID.matcher(data);
    StringBuilder plain = new StringBuilder();
    while (found.find()) {
      found.appendReplacement(
          plain, numbers.computeIfAbsent(found.group(), id -> "id-" + numbers.size()));
    }
    return found.appendTail(plain).toString();
  }

  /** All that stands in a file but its photos and the sums that change with the ids. */
  private static String told(byte[] zip) throws IOException {
    StringBuilder told = new StringBuilder();
    Parcel.unpacked(zip)
        .forEach(
            (name, content) -> {
              if (name.endsWith("json") && !name.equals("manifest.json")) {
                told.append(name)
                    .append("\n")
                    .append(new String(content, java.nio.charset.StandardCharsets.UTF_8));
              }
            });
    return plain(told.toString());
  }

  @Test
  void whatIsReadBackIsIdentical() throws Exception {
    byte[] file = Parcel.lived(owner);
    Visitor other = Visitor.withHousehold();
    Visitor.Answer read = other.upload("/api/restore", "application/zip", file);
    assertThat(read.status()).as(read.body().toString()).isEqualTo(200);
    byte[] again = other.file("/api/backup.zip").bytes();
    assertThat(told(again)).isEqualTo(told(file)).contains("batch_step", "message", "bottle_event");
    assertThat(photos(again))
        .hasSize(2)
        .usingElementComparator(java.util.Arrays::compare)
        .containsExactlyInAnyOrderElementsOf(photos(file));
    // It is alive: the same shelf, the same last days, the run goes on.
    assertThat(days(other)).isEqualTo(days(owner)).isNotEmpty();
    assertThat(other.get("/api/containers").at("/0/filter").asBoolean()).isTrue();
    // What was dried knows its lot still: it can be taken back there as well.
    Visitor.Answer dried = other.get("/api/leftovers");
    assertThat(
            other
                .post(
                    "/api/leftovers/" + dried.text("/0/id") + "/undo",
                    Map.of("version", dried.at("/0/version").asLong()))
                .status())
        .isEqualTo(200);
    assertThat(other.get("/api/batches/running").body().size()).isEqualTo(1);
    assertThat(owner.get("/api/batches/running").body().size()).isEqualTo(1);
  }

  private static java.util.List<byte[]> photos(byte[] zip) throws IOException {
    return Parcel.unpacked(zip).entrySet().stream()
        .filter(e -> e.getKey().startsWith("photos/"))
        .map(Map.Entry::getValue)
        .toList();
  }

  /** A table that is new is either in a backup, or left out here with its reason. */
  @Test
  void everyTableOfAHouseholdIsInItOrLeftOutOnPurpose() {
    java.util.Set<String> leftOut =
        java.util.Set.of(
            // Who signs in, and what lets a tap be sent again, belong to this server alone.
            "account",
            "invitation",
            "audit",
            "kept_backup",
            "idempotency",
            // An address that was given away; a device that stands in one kitchen.
            "feed",
            "batch_follow",
            // Browsers that subscribed at this server, and calls on their way to them.
            "push_subscription",
            "push_delivery",
            // A file that is being read in; what was taken in of it is there.
            "table_import",
            // A search for a better plan, asked for anew where it is wanted.
            "plan_search",
            // What follows from the batches, worked out anew from what is read in.
            "calibration",
            "taught_figure",
            // Planned anew from what is read in.
            "reminder");
    java.util.List<String> tables =
        TestServer.bean(org.springframework.jdbc.core.JdbcTemplate.class)
            .queryForList(
                "select c.table_name from information_schema.columns c"
                    + " join information_schema.tables t using (table_schema, table_name)"
                    + " where c.table_schema = database() and t.table_type = 'BASE TABLE'"
                    + " and c.column_name = 'household_id' order by c.table_name",
                String.class);
    JsonNode schema =
        JsonMapper.builder().build().readTree(owner.file("/schemas/backup-2.json").bytes());
    java.util.Set<String> inIt = new java.util.TreeSet<>(schema.get("$defs").propertyNames());
    inIt.removeAll(java.util.Set.of("head", "manifest"));
    assertThat(inIt)
        .containsExactlyElementsOf(
            tables.stream().filter(table -> !leftOut.contains(table)).sorted().toList());
    // Of each of them every column, but its household and the number that counts it.
    for (String table : inIt) {
      java.util.List<String> columns =
          TestServer.bean(org.springframework.jdbc.core.JdbcTemplate.class)
              .queryForList(
                  "select column_name from information_schema.columns where table_schema ="
                      + " database() and table_name = ? and column_name <> 'household_id'"
                      + " and extra <> 'auto_increment' and data_type <> 'mediumblob'",
                  String.class,
                  table);
      assertThat(schema.at("/$defs/" + table + "/properties").propertyNames())
          .as(table)
          .containsExactlyInAnyOrderElementsOf(columns);
    }
  }

  /** As earlier versions wrote it: all rows in one text, moments as the database writes them. */
  private static byte[] ofTheFirstForm(byte[] file) throws IOException {
    JsonMapper json = JsonMapper.builder().build();
    Map<String, byte[]> entries = Parcel.unpacked(file);
    ObjectNode data = (ObjectNode) json.readTree(entries.get("dremsa.json"));
    data.put("version", 1);
    ObjectNode tables = data.putObject("tables");
    Parcel parcel = Parcel.of(file);
    entries.keySet().stream()
        .filter(name -> name.startsWith("tables/") && !name.contains("message"))
        .map(name -> name.replaceAll("tables/|[.]ndjson", ""))
        .forEach(table -> parcel.rows(table).forEach(tables.withArray(table)::add));
    String text =
        json.writeValueAsString(data)
            .replaceAll("\"(\\d{4}-\\d{2}-\\d{2})T([0-9:.]+)Z\"", "\"$1 $2\"");
    java.io.ByteArrayOutputStream out = new java.io.ByteArrayOutputStream();
    try (java.util.zip.ZipOutputStream zip = new java.util.zip.ZipOutputStream(out)) {
      zip.putNextEntry(new java.util.zip.ZipEntry("household.json"));
      zip.write(text.getBytes(java.nio.charset.StandardCharsets.UTF_8));
      zip.closeEntry();
      for (Map.Entry<String, byte[]> entry : entries.entrySet()) {
        if (entry.getKey().startsWith("photos/")) {
          zip.putNextEntry(new java.util.zip.ZipEntry(entry.getKey()));
          zip.write(entry.getValue());
          zip.closeEntry();
        }
      }
    }
    return out.toByteArray();
  }

  @Test
  void aFileOfTheFirstFormIsReadStill() throws Exception {
    byte[] old = ofTheFirstForm(Parcel.lived(owner));
    Visitor other = Visitor.withHousehold();
    Visitor.Answer read = other.upload("/api/restore", "application/zip", old);
    assertThat(read.status()).as(read.body().toString()).isEqualTo(200);
    assertThat(days(other)).isEqualTo(days(owner)).isNotEmpty();
    assertThat(photos(other.file("/api/backup.zip").bytes())).hasSize(2);
    Visitor third = Visitor.withHousehold();
    byte[] half = java.util.Arrays.copyOf(old, old.length / 2);
    assertThat(third.upload("/api/restore", "application/zip", half).status()).isEqualTo(400);
  }

  /** Its length stands before it: whoever gets less of it knows that it is not whole. */
  @Test
  void aFileTellsItsLengthAndEndsWithItsManifest() throws Exception {
    byte[] file = Parcel.lived(owner);
    assertThat(Parcel.unpacked(file).keySet()).last().isEqualTo("manifest.json");
    assertThat(owner.file("/api/backup.zip").length()).isEqualTo(file.length);
  }

  /** What is to come is told in the new household as it is in the old one. */
  @Test
  void whatIsDueIsPlannedAgain() throws Exception {
    byte[] file = Parcel.lived(owner);
    Visitor other = Visitor.withHousehold();
    // The old household's clock has gone on.
    other.moveClock(3600);
    assertThat(other.get("/api/messages").at("/coming").size()).isZero();
    assertThat(other.upload("/api/restore", "application/zip", file).status()).isEqualTo(200);
    assertThat(coming(other)).isEqualTo(coming(owner)).hasSizeGreaterThan(5);
  }

  private static java.util.List<String> coming(Visitor visitor) {
    return visitor
        .get("/api/messages")
        .at("/coming")
        .valueStream()
        .map(c -> c.get("at").asString() + c.get("title").asString() + c.get("words").asString())
        .toList();
  }

  private static String days(Visitor visitor) {
    StringBuilder days = new StringBuilder();
    visitor
        .get("/api/bottles")
        .at("/bottles")
        .forEach(b -> days.append(b.get("name")).append(b.get("lastDay")).append(b.get("leftMl")));
    return days.toString();
  }

  @Test
  void itFitsThePublishedSchema() throws Exception {
    JsonMapper json = JsonMapper.builder().build();
    JsonNode schema = json.readTree(owner.file("/schemas/backup-2.json").bytes());
    Map<String, byte[]> entries = Parcel.unpacked(Parcel.lived(owner));
    for (Map.Entry<String, byte[]> entry : entries.entrySet()) {
      String name = entry.getKey();
      if (name.startsWith("photos/")) {
        continue;
      }
      String definition =
          name.equals("dremsa.json") ? "head" : name.replaceAll("tables/|[.].*", "");
      var form =
          JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
              .getSchema(schema.at("/$defs/" + definition).toString());
      String text = new String(entry.getValue(), java.nio.charset.StandardCharsets.UTF_8);
      for (String line : name.startsWith("tables/") ? text.split("\n") : new String[] {text}) {
        if (!line.isEmpty()) {
          assertThat(form.validate(line, com.networknt.schema.InputFormat.JSON)).as(name).isEmpty();
        }
      }
    }
    assertThat(entries).hasSizeGreaterThan(20);
  }

  @org.junit.jupiter.params.ParameterizedTest
  @org.junit.jupiter.params.provider.CsvSource({
    "batches, code, 2",
    "bottles, last_day, 2",
    "events, kind, 6",
    "readings, words, 1",
    "stores, material, 0"
  })
  void tablesComeAsCsvThatALibraryReadsBack(String table, String column, int least)
      throws Exception {
    Parcel.lived(owner);
    Visitor.File file = owner.file("/api/tables/" + table + ".csv");
    assertThat(file.type()).startsWith("text/csv");
    var lines =
        org.apache.commons.csv.CSVFormat.RFC4180
            .builder()
            .setHeader()
            .setSkipHeaderRecord(true)
            .get()
            .parse(
                new java.io.StringReader(
                    new String(file.bytes(), java.nio.charset.StandardCharsets.UTF_8)))
            .getRecords();
    assertThat(lines).hasSizeGreaterThanOrEqualTo(least);
    assertThat(lines).allSatisfy(l -> assertThat(l.isMapped(column)).isTrue());
    if (table.equals("readings")) {
      assertThat(lines.get(0).get("words")).isEqualTo("green \"hay\"; ü");
    }
    assertThat(Visitor.withHousehold().file("/api/tables/secrets.csv").status()).isEqualTo(404);
  }
}
