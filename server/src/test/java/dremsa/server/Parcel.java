package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** A backup taken apart, changed by somebody who knows its form well, and put together again. */
final class Parcel {
  static final JsonMapper JSON = JsonMapper.builder().build();

  private final Map<String, byte[]> entries;

  /** Behind the rest, in any order and as often as wanted. */
  private final List<Map.Entry<String, byte[]>> more = new ArrayList<>();

  private boolean sealed = true;

  private Parcel(Map<String, byte[]> entries) {
    this.entries = entries;
  }

  static Parcel of(byte[] zip) throws IOException {
    return new Parcel(unpacked(zip));
  }

  /** A household in which something of everything happened. */
  static byte[] lived(Visitor owner) throws Exception {
    owner.post(
        "/api/containers", Map.of("kind", "SPRAY", "sizeMl", 250, "owned", 3, "filter", true));
    Kitchenwork.bottled(owner, "hop-water-bath", 250);
    Visitor.Answer left = owner.get("/api/leftovers");
    owner.post(
        "/api/leftovers/" + left.text("/0/id") + "/end",
        Map.of("version", left.at("/0/version").asLong(), "outcome", "DRIED", "driedGrams", 9));
    UUID spray = Kitchenwork.bottled(owner, "lemon-balm-spray", 250);
    owner.moveClock(3600);
    event(owner, spray, Map.of("what", "LEFT_OUT", "hours", 0.5));
    event(owner, spray, Map.of("what", "FREEZE_PORTIONS", "portionMl", 30, "millilitres", 90));
    owner.post("/api/fridge", Map.of("what", "POWER_CUT", "hours", 4));
    owner.post(
        "/api/bottles/" + spray + "/take",
        Map.of(
            "version",
            owner.get("/api/bottles/" + spray).at("/bottle/version").asLong(),
            "millilitres",
            20));
    owner.post(
        "/api/lots",
        Map.of(
            "material",
            "dried-nettle",
            "origin",
            "BOUGHT",
            "amount",
            Map.of("value", 50, "unit", "g")));
    washed(owner, spray);
    planned(owner);
    learned(owner, spray);
    measured(owner);
    Visitor.Answer own =
        owner.post("/api/formulas", Map.of("copyOf", "fennel-seed-rinse", "name", "Mine"));
    assertThat(own.status()).isEqualTo(201);
    owner.post("/api/formulas/" + own.text("/id") + "/versions", Map.of("note", "as it began"));
    owner.post("/api/formulas", Map.of("copyOf", own.text("/id"), "name", "Mine too"));
    Visitor.Answer run =
        owner.post(
            "/api/batches",
            Map.of(
                "formulaId",
                own.text("/id"),
                "target",
                Map.of("kind", "VOLUME", "amount", Map.of("value", 400, "unit", "ml"))));
    owner.post(
        "/api/batches/" + run.text("/id") + "/entries",
        Map.of("kind", "NOTE", "words", "green \"hay\"; ü"));
    java.awt.image.BufferedImage image = new java.awt.image.BufferedImage(40, 30, 1);
    ByteArrayOutputStream jpeg = new ByteArrayOutputStream();
    javax.imageio.ImageIO.write(image, "jpg", jpeg);
    owner.upload("/api/batches/" + run.text("/id") + "/photos", "image/jpeg", jpeg.toByteArray());
    String day = owner.get("/api/people").text("/today");
    assertThat(
            owner
                .upload(
                    "/api/people/"
                        + owner.get("/api/people").text("/people/0/id")
                        + "/days/"
                        + day
                        + "/photos",
                    "image/jpeg",
                    jpeg.toByteArray())
                .status())
        .isEqualTo(200);
    Visitor.File file = owner.file("/api/backup.zip");
    assertThat(file.status()).isEqualTo(200);
    return file.bytes();
  }

  /** Of a batch somebody said that it does not count. */
  private static void learned(Visitor owner, UUID bottle) {
    String batch = owner.get("/api/bottles/" + bottle).text("/bottle/batchId");
    Visitor.Answer said = owner.put("/api/calibration/batches/" + batch, Map.of("counts", false));
    assertThat(said.status()).as(said.body().toString()).isEqualTo(200);
  }

  /** Somebody's hair was measured, and cut. */
  private static void measured(Visitor owner) {
    String head = "/api/people/" + owner.get("/api/people").text("/people/0/id");
    assertThat(owner.post(head + "/lengths", Map.of("section", "BACK", "cm", 31.5)).status())
        .isEqualTo(200);
    assertThat(owner.post(head + "/cuts", Map.of()).status()).isEqualTo(200);
    Map<String, Object> trial =
        Map.of(
            "person",
            head.substring("/api/people/".length()),
            "products",
            List.of("Gel", "Oil"),
            "sections",
            List.of("LEFT", "RIGHT"),
            "blind",
            true);
    assertThat(owner.post("/api/trials", trial).status()).isEqualTo(200);
    assertThat(owner.post("/api/practices", Map.of("formula", "hop-soak")).status()).isEqualTo(200);
  }

  /** A plan was taken, with a jar for a friend in it. */
  private static void planned(Visitor owner) {
    String today = owner.get("/api/people").text("/today");
    String by = java.time.LocalDate.parse(today).plusDays(6).toString();
    Visitor.Answer plan =
        owner.post(
            "/api/plan/demands",
            Map.of(
                "formula", "linseed-gel", "millilitres", 250, "by", by, "words", "For a friend"));
    Map<String, Object> brew =
        Map.of("day", by, "formula", "linseed-gel", "millilitres", 250, "pinned", true);
    Visitor.Answer taken =
        owner.put(
            "/api/plan", Map.of("brews", List.of(brew), "version", plan.at("/version").asLong()));
    assertThat(taken.status()).as(taken.body().toString()).isEqualTo(200);
  }

  /** Somebody of whom everything is told, with a wash day done and one under way. */
  private static void washed(Visitor owner, UUID spray) {
    Visitor.Answer ada =
        owner.post(
            "/api/people",
            Map.of(
                "name",
                "Ada",
                "hair",
                Map.of(
                    "stretchedCm",
                    40,
                    "unstretchedCm",
                    30,
                    "pattern",
                    "CURLY",
                    "porosity",
                    "LOW")));
    assertThat(ada.status()).as(ada.body().toString()).isEqualTo(200);
    String id = ada.text("/person/id");
    owner.post("/api/people/" + id + "/tests", Map.of("material", "sage"));
    owner.post("/api/people/" + id + "/reactions", Map.of("bottle", spray, "sign", "BURNING"));
    String planned = ada.text("/routine/occasions/0/repeat/first");
    Map<String, Object> head = Map.of("person", id, "occasion", "wash", "planned", planned);
    Map<String, Object> done = new LinkedHashMap<>(head);
    done.put(
        "places",
        List.of(Map.of("place", 5, "takes", List.of(Map.of("bottle", spray, "millilitres", 15)))));
    Visitor.Answer kept = owner.post("/api/wash-days", Map.of("heads", List.of(done)));
    assertThat(kept.status()).as(kept.body().toString()).isEqualTo(200);
    Visitor.Answer run =
        owner.post("/api/wash-runs", Map.of("day", ada.text("/today"), "heads", List.of(head)));
    assertThat(run.status()).as(run.body().toString()).isEqualTo(200);
    owner.post("/api/wash-runs/" + run.text("/id") + "/steps", Map.of("head", 0, "step", 0));
  }

  private static void event(Visitor owner, UUID bottle, Map<String, Object> more) {
    Map<String, Object> form = new LinkedHashMap<>(more);
    form.put("version", owner.get("/api/bottles/" + bottle).at("/bottle/version").asLong());
    assertThat(owner.post("/api/bottles/" + bottle + "/events", form).status()).isEqualTo(200);
  }

  static Map<String, byte[]> unpacked(byte[] zip) throws IOException {
    Map<String, byte[]> entries = new LinkedHashMap<>();
    try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
      for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
        entries.put(e.getName(), in.readAllBytes());
      }
    }
    return entries;
  }

  String text(String entry) {
    return new String(entries.get(entry), StandardCharsets.UTF_8);
  }

  List<ObjectNode> rows(String table) {
    return text("tables/" + table + ".ndjson")
        .lines()
        .map(line -> (ObjectNode) JSON.readTree(line))
        .toList();
  }

  /** The ids of all that has an address of its own. */
  List<String> ids() {
    return java.util.stream.Stream.of(
            "batch",
            "bottle",
            "lot",
            "formula",
            "leftover",
            "container_set",
            "fridge_event",
            "person",
            "patch_test",
            "reaction",
            "wash_day",
            "wash_run")
        .flatMap(table -> rows(table).stream())
        .map(row -> row.get("id").stringValue())
        .toList();
  }

  /** Changes the first row of a table. */
  Parcel row(String table, Consumer<ObjectNode> change) {
    List<ObjectNode> rows = new ArrayList<>(rows(table));
    change.accept(rows.get(0));
    return rows(table, rows);
  }

  Parcel rows(String table, List<ObjectNode> rows) {
    StringBuilder lines = new StringBuilder();
    rows.forEach(row -> lines.append(JSON.writeValueAsString(row)).append('\n'));
    return entry("tables/" + table + ".ndjson", lines.toString());
  }

  Parcel entry(String name, String text) {
    return entry(name, text.getBytes(StandardCharsets.UTF_8));
  }

  /** Replaces an entry, or adds one before the manifest. */
  Parcel entry(String name, byte[] content) {
    entries.put(name, content);
    return this;
  }

  Parcel head(Consumer<ObjectNode> change) {
    ObjectNode head = (ObjectNode) JSON.readTree(entries.get("dremsa.json"));
    change.accept(head);
    return entry("dremsa.json", JSON.writeValueAsString(head));
  }

  Parcel without(String name) {
    entries.remove(name);
    return this;
  }

  String photo() {
    return entries.keySet().stream().filter(n -> n.startsWith("photos/")).findFirst().orElseThrow();
  }

  /** An entry after the manifest. */
  Parcel behind(String name, byte[] content) {
    more.add(Map.entry(name, content));
    return this;
  }

  /** The manifest stays as it is, whatever the rest says. */
  Parcel unsealed() {
    sealed = false;
    return this;
  }

  byte[] zip() throws IOException {
    byte[] manifest = sealed ? manifest() : entries.get("manifest.json");
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(out)) {
      // Tables first, then photos, as the form wants it.
      for (String part : List.of("dremsa.json", "tables/", "photos/", "")) {
        for (Map.Entry<String, byte[]> e : entries.entrySet()) {
          boolean other =
              part.isEmpty() && !e.getKey().matches("(dremsa|manifest)[.]json|(tables|photos)/.*");
          if (other || (!part.isEmpty() && e.getKey().startsWith(part))) {
            put(zip, e.getKey(), e.getValue());
          }
        }
      }
      if (manifest != null) {
        put(zip, "manifest.json", manifest);
      }
      for (Map.Entry<String, byte[]> e : more) {
        put(zip, e.getKey(), e.getValue());
      }
    }
    return out.toByteArray();
  }

  private static void put(ZipOutputStream zip, String name, byte[] content) throws IOException {
    zip.putNextEntry(new ZipEntry(name));
    zip.write(content);
    zip.closeEntry();
  }

  private byte[] manifest() {
    ObjectNode manifest = JSON.createObjectNode();
    manifest.put("form", "dremsa-backup").put("version", 2);
    ObjectNode tables = manifest.putObject("tables");
    ByteArrayOutputStream photos = new ByteArrayOutputStream();
    int count = 0;
    for (Map.Entry<String, byte[]> e : entries.entrySet()) {
      if (e.getKey().startsWith("tables/")) {
        String name = e.getKey().replaceAll("tables/|[.]ndjson", "");
        long lines = new String(e.getValue(), StandardCharsets.UTF_8).lines().count();
        part(tables.putObject(name), lines, e.getValue());
      } else if (e.getKey().startsWith("photos/")) {
        photos.writeBytes(e.getValue());
        count++;
      }
    }
    part(manifest.putObject("photos"), count, photos.toByteArray());
    return JSON.writeValueAsBytes(manifest);
  }

  private static void part(ObjectNode part, long count, byte[] content) {
    try {
      part.put("count", count)
          .put("bytes", content.length)
          .put(
              "sha256",
              HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(content)));
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }
}
