package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.CRC32;
import java.util.zip.DeflaterOutputStream;
import javax.imageio.ImageIO;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.validate.ValidationResult;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What a run hands out and takes in as files. */
class RunFilesTest {
  private final Visitor owner = Visitor.withHousehold();
  private Visitor.Answer run = start("lemon-balm-spray");

  private Visitor.Answer start(String formula) {
    return owner.post(
        "/api/batches",
        Map.of(
            "formulaId",
            formula,
            "target",
            Map.of("kind", "VOLUME", "amount", Map.of("value", 400, "unit", "ml"))));
  }

  private String path(String more) {
    return "/api/batches/" + run.text("/id") + more;
  }

  private void finish() {
    run =
        owner.post(
            path("/steps/" + run.text("/step") + "/finish"),
            Map.of("version", run.at("/version").asLong(), "cueSeen", true, "anyway", true));
    assertThat(run.status()).as(run.body().toString()).isEqualTo(200);
  }

  private void enter(Map<String, Object> entry) {
    assertThat(owner.post(path("/entries"), entry).status()).isEqualTo(200);
  }

  @Test
  void readingsComeAsCsvThatALibraryReadsBack() throws Exception {
    finish();
    enter(Map.of("kind", "TEMPERATURE", "amount", 88.5, "sure", true));
    enter(Map.of("kind", "NOTE", "words", "smells \"green\", of lemon\nand hay; ü"));
    Visitor.File csv = owner.file(path("/readings.csv"));
    assertThat(csv.type()).startsWith("text/csv");
    List<CSVRecord> lines =
        CSVFormat.RFC4180
            .builder()
            .setHeader()
            .setSkipHeaderRecord(true)
            .get()
            .parse(new StringReader(new String(csv.bytes(), StandardCharsets.UTF_8)))
            .getRecords();
    assertThat(lines).hasSize(3);
    assertThat(lines).extracting(l -> l.get("kind")).contains("STEP_DONE", "TEMPERATURE", "NOTE");
    assertThat(lines)
        .filteredOn(l -> l.get("kind").equals("NOTE"))
        .extracting(l -> l.get("words"))
        .containsExactly("smells \"green\", of lemon\nand hay; ü");
    assertThat(lines)
        .filteredOn(l -> l.get("kind").equals("TEMPERATURE"))
        .extracting(l -> l.get("amount") + l.get("unit"))
        .containsExactly("88.5°C");
  }

  @Test
  void comingStepsComeAsACalendarThatALibraryValidates() throws Exception {
    finish();
    Visitor.File file = owner.file(path("/steps.ics"));
    assertThat(file.type()).startsWith("text/calendar");
    Calendar calendar =
        new CalendarBuilder()
            .build(new StringReader(new String(file.bytes(), StandardCharsets.UTF_8)));
    ValidationResult valid = calendar.validate();
    assertThat(valid.hasErrors()).as(valid.toString()).isFalse();
    List<VEvent> events = calendar.getComponents("VEVENT");
    assertThat(events).hasSizeGreaterThanOrEqualTo(3);
    assertThat(events).extracting(e -> e.getUid().orElseThrow().getValue()).doesNotHaveDuplicates();
    assertThat(events.toString()).contains("Strain");
    // The same run gives the same events: a calendar moves them instead of doubling them.
    Calendar again =
        new CalendarBuilder()
            .build(
                new StringReader(
                    new String(owner.file(path("/steps.ics")).bytes(), StandardCharsets.UTF_8)));
    List<VEvent> same = again.getComponents("VEVENT");
    assertThat(same)
        .extracting(e -> e.getUid().orElseThrow().getValue())
        .containsExactlyElementsOf(
            events.stream().map(e -> e.getUid().orElseThrow().getValue()).toList());
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"lemon-balm-spray", "linseed-gel", "aloe-juice-fresh", "rosemary-tincture"})
  void theSheetIsOnePageWithAllThatIsDone(String formula) throws Exception {
    run = start(formula);
    Visitor.File file = owner.file(path("/sheet.pdf"));
    assertThat(file.type()).isEqualTo("application/pdf");
    try (PDDocument pdf = Loader.loadPDF(file.bytes())) {
      assertThat(pdf.getNumberOfPages()).isEqualTo(1);
      String text = new PDFTextStripper().getText(pdf).replaceAll("\\s+", " ");
      assertThat(text).contains(run.text("/code")).contains(run.text("/name"));
      run.at("/prediction/steps")
          .valueStream()
          .forEach(s -> assertThat(text).contains(s.get("headline").asString()));
      run.at("/prediction/amounts")
          .valueStream()
          .forEach(a -> assertThat(text).contains(a.get("name").asString()));
    }
  }

  private static byte[] picture(String format, int width, int height) throws Exception {
    BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    g.setColor(Color.GREEN);
    g.fillRect(0, 0, width / 2, height);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, format, out);
    return out.toByteArray();
  }

  /** A JPEG with a block of EXIF before its picture, as a phone writes where it was taken. */
  private static byte[] withPlace(byte[] jpeg) {
    byte[] place = "Exif\0\0GPS 53.35N 6.26W".getBytes(StandardCharsets.ISO_8859_1);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    out.write(jpeg, 0, 2);
    out.write(0xFF);
    out.write(0xE1);
    out.write((place.length + 2) >> 8);
    out.write((place.length + 2) & 0xFF);
    out.writeBytes(place);
    out.write(jpeg, 2, jpeg.length - 2);
    return out.toByteArray();
  }

  @Test
  void aPhotoIsKeptSmallAndWithoutItsPlace() throws Exception {
    byte[] taken = withPlace(picture("jpg", 2400, 1200));
    assertThat(new String(taken, StandardCharsets.ISO_8859_1)).contains("GPS");
    Visitor.Answer kept = owner.upload(path("/photos?caption=froth"), "image/jpeg", taken);
    assertThat(kept.status()).as(kept.body().toString()).isEqualTo(200);
    assertThat(kept.text("/photos/0/caption")).isEqualTo("froth");
    String at = path("/photos/" + kept.text("/photos/0/id"));
    Visitor.File photo = owner.file(at);
    assertThat(photo.type()).isEqualTo("image/jpeg");
    assertThat(new String(photo.bytes(), StandardCharsets.ISO_8859_1)).doesNotContain("GPS");
    BufferedImage seen = ImageIO.read(new ByteArrayInputStream(photo.bytes()));
    assertThat(seen.getWidth()).isEqualTo(1600);
    assertThat(seen.getHeight()).isEqualTo(800);
    assertThat(Visitor.withHousehold().file(at).status()).isEqualTo(404);
    assertThat(owner.delete(at).at("/photos").size()).isZero();
  }

  @Test
  void whatIsNoPhotoOrTooMuchIsRefusedWithAReason() throws Exception {
    Visitor.Answer huge = owner.upload(path("/photos"), "image/jpeg", new byte[40_000_000]);
    assertThat(huge.status()).isEqualTo(413);
    Visitor.Answer none =
        owner.upload(path("/photos"), "image/jpeg", "no picture at all".getBytes());
    assertThat(none.fields()).containsExactly("photo");
    Visitor.Answer wide = owner.upload(path("/photos"), "image/png", picture("png", 9000, 5000));
    assertThat(wide.fields()).containsExactly("photo");
    // Few dots for a camera, but each of eight bytes: 312 MB once unpacked, from a third of one.
    Visitor.Answer deep = owner.upload(path("/photos"), "image/png", deepPng(7000, 5700));
    assertThat(deep.fields()).containsExactly("photo");
    assertThat(deep.text("/detail")).contains("too large once unpacked");
    byte[] small = picture("png", 20, 20);
    for (int i = 0; i < 12; i++) {
      assertThat(owner.upload(path("/photos"), "image/png", small).status()).isEqualTo(200);
    }
    assertThat(owner.upload(path("/photos"), "image/png", small).status()).isEqualTo(409);
    assertThat(owner.get(path("")).at("/photos").size()).isEqualTo(12);
  }

  /** A PNG of 16 bits for each of four colours, all black, written by the book (ISO/IEC 15948). */
  private static byte[] deepPng(int width, int height) throws IOException {
    ByteArrayOutputStream png = new ByteArrayOutputStream();
    png.write(new byte[] {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1a, '\n'});
    ByteArrayOutputStream header = new ByteArrayOutputStream();
    DataOutputStream fields = new DataOutputStream(header);
    fields.writeInt(width);
    fields.writeInt(height);
    fields.write(new byte[] {16, 6, 0, 0, 0});
    chunk(png, "IHDR", header.toByteArray());
    ByteArrayOutputStream packed = new ByteArrayOutputStream();
    try (DeflaterOutputStream rows = new DeflaterOutputStream(packed)) {
      byte[] row = new byte[1 + width * 8];
      for (int y = 0; y < height; y++) {
        rows.write(row);
      }
    }
    chunk(png, "IDAT", packed.toByteArray());
    chunk(png, "IEND", new byte[0]);
    return png.toByteArray();
  }

  private static void chunk(ByteArrayOutputStream png, String type, byte[] content)
      throws IOException {
    CRC32 sum = new CRC32();
    sum.update(type.getBytes(StandardCharsets.US_ASCII));
    sum.update(content);
    DataOutputStream out = new DataOutputStream(png);
    out.writeInt(content.length);
    out.write(type.getBytes(StandardCharsets.US_ASCII));
    out.write(content);
    out.writeInt((int) sum.getValue());
  }

  @Test
  void devicesReadAtATapAndFailWithWords() throws Exception {
    finish();
    assertThat(owner.get("/api/devices").at("/devices").size()).isEqualTo(4);
    Visitor.Answer read = read("probe-1", false);
    assertThat(read.status()).as(read.body().toString()).isEqualTo(200);
    assertThat(read.at("/log/0/amount").asDouble()).isBetween(80.0, 98.0);
    assertThat(read.text("/log/0/source")).isEqualTo("probe-1");
    fail("probe-1", "NO_READING");
    Visitor.Answer silent = read("probe-1", false);
    assertThat(silent.status()).isEqualTo(503);
    assertThat(silent.text("/detail")).contains("gives no reading");
    fail("probe-1", "WILD");
    assertThat(read("probe-1", true).status()).as("400 °C").isEqualTo(400);
    fail("probe-1", "SLOW");
    assertThat(read("probe-1", false).status()).isEqualTo(503);
    fail("probe-1", "NONE");
    assertThat(read("nobody", false).status()).isEqualTo(503);
    assertThat(owner.get(path("")).at("/log").size()).isEqualTo(1);
  }

  @Test
  void aFollowedProbeWritesOnItsOwnAndItsFaultsAreTold() throws Exception {
    finish();
    fail("probe-1", "NONE");
    Visitor.Answer run = owner.post(path("/following"), Map.of("device", "probe-1"));
    assertThat(run.text("/following/problem")).isEmpty();
    assertThat(run.at("/log").size()).isEqualTo(1);
    Runnable readAll = TestServer.work("readDevices");
    readAll.run();
    assertThat(owner.get(path("")).at("/log").size()).as("not twice a minute").isEqualTo(1);
    owner.moveClock(120);
    readAll.run();
    assertThat(owner.get(path("")).at("/log").size()).isEqualTo(2);
    fail("probe-1", "STUCK");
    for (int i = 0; i < 5; i++) {
      owner.moveClock(180);
      readAll.run();
    }
    assertThat(owner.get(path("")).text("/following/problem")).contains("stuck");
    fail("probe-1", "BATTERY_LOW");
    for (int i = 0; i < 2; i++) {
      owner.moveClock(120);
      readAll.run();
    }
    assertThat(owner.get(path("")).text("/following/problem")).contains("battery");
    fail("probe-1", "NONE");
    assertThat(owner.delete(path("/following")).at("/following").isNull()).isTrue();
  }

  private Visitor.Answer read(String device, boolean sure) {
    Map<String, Object> form = new HashMap<>(Map.of("device", device));
    form.put("sure", sure);
    return owner.post(path("/device-reading"), form);
  }

  private static void fail(String device, String mode) throws Exception {
    java.net.http.HttpClient.newHttpClient()
        .send(
            java.net.http.HttpRequest.newBuilder(
                    java.net.URI.create(
                        TestServer.DEVICES + "/stand-in/devices/" + device + "/failure"))
                .PUT(
                    java.net.http.HttpRequest.BodyPublishers.ofString(
                        "{\"mode\":\"" + mode + "\"}"))
                .build(),
            java.net.http.HttpResponse.BodyHandlers.discarding());
  }
}
