package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A household out into one file and back into an empty one. */
class BackupTest {
  private static final Pattern ID = Pattern.compile("[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}");

  private final Visitor owner = Visitor.withHousehold();

  /** A household in which something of everything happened. */
  private byte[] lived() throws Exception {
    owner.post(
        "/api/containers", Map.of("kind", "SPRAY", "sizeMl", 250, "owned", 3, "filter", true));
    Kitchenwork.bottled(owner, "hop-water-bath", 250);
    Visitor.Answer left = owner.get("/api/leftovers");
    owner.post(
        "/api/leftovers/" + left.text("/0/id") + "/end",
        Map.of("version", left.at("/0/version").asLong(), "outcome", "DRIED", "driedGrams", 9));
    UUID spray = Kitchenwork.bottled(owner, "lemon-balm-spray", 250);
    owner.moveClock(3600);
    event(spray, Map.of("what", "LEFT_OUT", "hours", 0.5));
    event(spray, Map.of("what", "FREEZE_PORTIONS", "portionMl", 30, "millilitres", 90));
    owner.post("/api/fridge", Map.of("what", "POWER_CUT", "hours", 4));
    Visitor.Answer own = owner.post("/api/formulas/fennel-seed-rinse/copy", Map.of("name", "Mine"));
    Visitor.Answer run =
        owner.post(
            "/api/batches",
            Map.of(
                "formulaId",
                own.status() == 200 ? own.text("/formula/id") : "fennel-seed-rinse",
                "target",
                Map.of("kind", "VOLUME", "amount", Map.of("value", 400, "unit", "ml"))));
    owner.post(
        "/api/batches/" + run.text("/id") + "/entries",
        Map.of("kind", "NOTE", "words", "green \"hay\"; ü"));
    java.awt.image.BufferedImage image = new java.awt.image.BufferedImage(40, 30, 1);
    ByteArrayOutputStream jpeg = new ByteArrayOutputStream();
    javax.imageio.ImageIO.write(image, "jpg", jpeg);
    owner.upload("/api/batches/" + run.text("/id") + "/photos", "image/jpeg", jpeg.toByteArray());
    Visitor.File file = owner.file("/api/backup.zip");
    assertThat(file.status()).isEqualTo(200);
    return file.bytes();
  }

  private void event(UUID bottle, Map<String, Object> more) {
    Map<String, Object> form = new LinkedHashMap<>(more);
    form.put("version", owner.get("/api/bottles/" + bottle).at("/bottle/version").asLong());
    assertThat(owner.post("/api/bottles/" + bottle + "/events", form).status()).isEqualTo(200);
  }

  private static Map<String, byte[]> unpacked(byte[] zip) throws IOException {
    Map<String, byte[]> entries = new LinkedHashMap<>();
    try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
      for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
        entries.put(e.getName(), in.readAllBytes());
      }
    }
    return entries;
  }

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
    unpacked(zip)
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
    byte[] file = lived();
    Visitor other = Visitor.withHousehold();
    Visitor.Answer read = other.upload("/api/restore", "application/zip", file);
    assertThat(read.status()).as(read.body().toString()).isEqualTo(200);
    byte[] again = other.file("/api/backup.zip").bytes();
    assertThat(told(again)).isEqualTo(told(file)).contains("batch_step", "message", "bottle_event");
    assertThat(photos(again)).singleElement().isEqualTo(photos(file).get(0));
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
    return unpacked(zip).entrySet().stream()
        .filter(e -> e.getKey().startsWith("photos/"))
        .map(Map.Entry::getValue)
        .toList();
  }

  /** What is to come is told in the new household as it is in the old one. */
  @Test
  void whatIsDueIsPlannedAgain() throws Exception {
    byte[] file = lived();
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
    Map<String, byte[]> entries = unpacked(lived());
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
    lived();
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
