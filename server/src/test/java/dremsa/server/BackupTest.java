package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;

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

  private static byte[] packed(Map<String, byte[]> entries) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(out)) {
      for (Map.Entry<String, byte[]> e : entries.entrySet()) {
        zip.putNextEntry(new ZipEntry(e.getKey()));
        zip.write(e.getValue());
        zip.closeEntry();
      }
    }
    return out.toByteArray();
  }

  /** Ids replaced by the order in which they first stand there. */
  private static String plain(byte[] data) {
    Map<String, String> numbers = new LinkedHashMap<>();
    Matcher found = ID.matcher(new String(data, java.nio.charset.StandardCharsets.UTF_8));
    StringBuilder plain = new StringBuilder();
    while (found.find()) {
      found.appendReplacement(
          plain, numbers.computeIfAbsent(found.group(), id -> "id-" + numbers.size()));
    }
    return found.appendTail(plain).toString();
  }

  @Test
  void whatIsReadBackIsIdentical() throws Exception {
    byte[] file = lived();
    Visitor other = Visitor.withHousehold();
    Visitor.Answer read = other.upload("/api/restore", "application/zip", file);
    assertThat(read.status()).as(read.body().toString()).isEqualTo(200);
    Map<String, byte[]> before = unpacked(file);
    Map<String, byte[]> after = unpacked(other.file("/api/backup.zip").bytes());
    assertThat(plain(after.get("household.json"))).isEqualTo(plain(before.get("household.json")));
    assertThat(after).hasSameSizeAs(before).hasSizeGreaterThan(1);
    String photoBefore =
        before.keySet().stream().filter(n -> n.startsWith("photos")).findFirst().orElseThrow();
    String photoAfter =
        after.keySet().stream().filter(n -> n.startsWith("photos")).findFirst().orElseThrow();
    assertThat(after.get(photoAfter)).isEqualTo(before.get(photoBefore));
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
    String data =
        new String(
            unpacked(lived()).get("household.json"), java.nio.charset.StandardCharsets.UTF_8);
    String schema =
        new String(
            owner.file("/schemas/backup-1.json").bytes(), java.nio.charset.StandardCharsets.UTF_8);
    assertThat(
            JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
                .getSchema(schema)
                .validate(data, com.networknt.schema.InputFormat.JSON))
        .isEmpty();
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

  @Test
  void whatIsNoBackupChangesNothing() throws Exception {
    byte[] file = lived();
    Visitor other = Visitor.withHousehold();
    Map<String, byte[]> entries = unpacked(file);
    byte[] half = Arrays.copyOf(file, file.length / 2);
    Map<String, byte[]> lacking = new LinkedHashMap<>(entries);
    lacking.keySet().removeIf(n -> n.startsWith("photos"));
    Map<String, byte[]> more = new LinkedHashMap<>(entries);
    more.put("photos/../evil.sh", new byte[9]);
    Map<String, byte[]> bomb = new LinkedHashMap<>();
    bomb.put("household.json", new byte[80_000_000]);
    Map<String, byte[]> odd = new LinkedHashMap<>(entries);
    odd.put(
        "household.json",
        new String(entries.get("household.json"), java.nio.charset.StandardCharsets.UTF_8)
            .replaceFirst("\"formula_name\"", "\"password\"")
            .getBytes(java.nio.charset.StandardCharsets.UTF_8));
    Map<String, byte[]> unset = new LinkedHashMap<>(entries);
    unset.put(
        "household.json",
        new String(entries.get("household.json"), java.nio.charset.StandardCharsets.UTF_8)
            .replaceFirst("\"METRIC\"", "\"CUBITS\"")
            .getBytes(java.nio.charset.StandardCharsets.UTF_8));
    for (byte[] wrong :
        new byte[][] {
          half,
          new byte[0],
          "no zip".getBytes(),
          packed(lacking),
          packed(more),
          packed(bomb),
          packed(odd),
          packed(unset)
        }) {
      Visitor.Answer no = other.upload("/api/restore", "application/zip", wrong);
      assertThat(no.status()).as(no.body().toString()).isEqualTo(400);
      assertThat(no.fields()).containsExactly("file");
    }
    assertThat(other.get("/api/bottles").at("/bottles").size()).isZero();
    assertThat(other.get("/api/history").at("/lines").size()).isZero();
    assertThat(owner.upload("/api/restore", "application/zip", file).status())
        .as("a household that is not empty")
        .isEqualTo(409);
  }
}
