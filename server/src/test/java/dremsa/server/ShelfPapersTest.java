package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.client.j2se.BufferedImageLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import javax.imageio.ImageIO;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.pdfbox.text.TextPosition;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Labels, calendars and the waste record: what the shelf hands out. */
class ShelfPapersTest {
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("EEE d MMM yyyy", Locale.UK);

  private final Visitor owner = Visitor.withHousehold();
  private final UUID bottle = Kitchenwork.bottled(owner, "lemon-balm-spray", 250);

  private Map<String, Object> labels(String format, Object... more) {
    Map<String, Object> form = new HashMap<>(Map.of("bottles", List.of(bottle), "format", format));
    for (int i = 0; i < more.length; i += 2) {
      form.put((String) more[i], more[i + 1]);
    }
    return form;
  }

  private String text(byte[] pdf) throws Exception {
    try (PDDocument document = Loader.loadPDF(pdf)) {
      return new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
    }
  }

  private Visitor.Answer shown() {
    return owner.get("/api/bottles/" + bottle);
  }

  @ParameterizedTest
  @ValueSource(strings = {"A4_21", "A4_8", "LETTER_10", "A4_PLAIN", "LETTER_PLAIN"})
  void aLabelSaysWhatMustBeSaid(String format) throws Exception {
    Visitor.File file = owner.print("/api/labels", labels(format));
    assertThat(file.status()).isEqualTo(200);
    String text = text(file.bytes());
    LocalDate last = LocalDate.parse(shown().text("/keeping/lastDay"));
    assertThat(text)
        .contains("Lemon balm spray", shown().text("/code") + "/1", "Last day " + DAY.format(last))
        .contains("Keep cold", "Shake", "Patch test", "For hair only, not for drinking", "Melissa");
  }

  @Test
  void theCodeOpensTheBottlesPage() throws Exception {
    Visitor.File file = owner.print("/api/labels", labels("A4_8"));
    try (PDDocument pdf = Loader.loadPDF(file.bytes())) {
      BufferedImage page = new PDFRenderer(pdf).renderImageWithDPI(0, 300, ImageType.RGB);
      // The first label of the sheet.
      BufferedImage label = page.getSubimage(55, 155, 1170, 800);
      String read =
          new QRCodeReader()
              .decode(
                  new BinaryBitmap(new HybridBinarizer(new BufferedImageLuminanceSource(label))))
              .getText();
      assertThat(read).isEqualTo(TestServer.address() + "/keep/" + bottle);
    }
  }

  @Test
  void itIsSeenBeforeItIsPrintedAndSeeingKeepsNothing() throws Exception {
    Visitor.File seen =
        owner.file("/api/labels/seen?format=A4_21&name=Ivy%27s%20spray&bottle=" + bottle);
    assertThat(seen.status()).isEqualTo(200);
    BufferedImage label = ImageIO.read(new ByteArrayInputStream(seen.bytes()));
    assertThat((double) label.getWidth() / label.getHeight()).isCloseTo(63.5 / 38.1, within(0.02));
    assertThat(
            new QRCodeReader()
                .decode(
                    new BinaryBitmap(new HybridBinarizer(new BufferedImageLuminanceSource(label))))
                .getText())
        .isEqualTo(TestServer.address() + "/keep/" + bottle);
    assertThat(shown().at("/bottle/printedDay").isNull()).isTrue();
  }

  @ParameterizedTest
  @ValueSource(strings = {"A4_21", "A4_8", "LETTER_10", "A4_PLAIN", "LETTER_PLAIN"})
  void theLastDayIsWrittenLargest(String format) throws Exception {
    Map<String, Float> sizes = new HashMap<>();
    PDFTextStripper sizing =
        new PDFTextStripper() {
          @Override
          protected void writeString(String text, List<TextPosition> places) {
            sizes.merge(text.strip(), places.get(0).getFontSizeInPt(), Math::max);
          }
        };
    try (PDDocument pdf = Loader.loadPDF(owner.print("/api/labels", labels(format)).bytes())) {
      sizing.getText(pdf);
    }
    String last =
        sizes.keySet().stream().filter(t -> t.startsWith("Last day")).findFirst().orElseThrow();
    float rest =
        sizes.entrySet().stream()
            .filter(e -> !e.getKey().equals(last))
            .map(Map.Entry::getValue)
            .max(Float::compare)
            .orElseThrow();
    assertThat(sizes.get(last)).isGreaterThan(rest);
  }

  @Test
  void whatMustBeThrownAwayGetsNoLabel() {
    owner.moveClock(60 * 86_400);
    assertThat(shown().text("/bottle/freshness")).isEqualTo("OVER");
    Visitor.File refused = owner.print("/api/labels", labels("A4_8"));
    assertThat(refused.status()).isEqualTo(400);
    assertThat(new String(refused.bytes(), StandardCharsets.UTF_8)).contains("thrown away");
  }

  @Test
  void aPrintedDateNeverMovesLater() {
    LocalDate printed = LocalDate.parse(shown().text("/keeping/lastDay"));
    owner.print("/api/labels", labels("TAPE"));
    Map<String, Object> practice =
        Map.of(
            "version",
            shown().at("/bottle/version").asLong(),
            "what",
            "SCHOOL",
            "school",
            "PRACTICE",
            "cleanWorking",
            true);
    Visitor.Answer kept = owner.post("/api/bottles/" + bottle + "/events", practice);
    assertThat(kept.text("/keeping/lastDay")).isEqualTo(printed.toString());
    assertThat(kept.at("/keeping/reasons").toString()).contains("never moves later");
    assertThat(kept.text("/bottle/printedDay")).isEqualTo(printed.toString());
    Map<String, Object> out =
        Map.of("version", kept.at("/bottle/version").asLong(), "what", "MOVE", "place", "ROOM");
    assertThat(
            LocalDate.parse(
                owner.post("/api/bottles/" + bottle + "/events", out).text("/keeping/lastDay")))
        .isBefore(printed);
  }

  @Test
  void namesOfAnyLengthAndDirectionComeOutClear() throws Exception {
    assertThat(owner.print("/api/labels", labels("A4_21", "name", "x".repeat(300))).status())
        .isEqualTo(400);
    String text = text(owner.print("/api/labels", labels("A4_21", "name", "W".repeat(80))).bytes());
    assertThat(text).contains("WWWW").contains("Last day");
    // Hebrew is written from right to left; what the typeface lacks becomes a box, not nothing.
    Visitor.File hebrew =
        owner.print("/api/labels", labels("A4_8", "name", "\u05E9\u05DE\u05DF 250"));
    assertThat(hebrew.status()).isEqualTo(200);
    assertThat(text(hebrew.bytes())).contains("\u05E9", "250");
    assertThat(
            owner.print("/api/labels", labels("A4_8", "name", "\u4F60\u597D\u202E gel")).status())
        .isEqualTo(200);
  }

  @Test
  void onlyItsOwnStandingBottlesArePrinted() {
    assertThat(Visitor.withHousehold().print("/api/labels", labels("A4_8")).status())
        .isEqualTo(404);
    owner.post(
        "/api/bottles/" + bottle + "/finish",
        Map.of("version", shown().at("/bottle/version").asLong()));
    assertThat(owner.print("/api/labels", labels("A4_8")).status()).isEqualTo(400);
  }

  private static Calendar calendar(Visitor.File file) throws Exception {
    assertThat(file.type()).startsWith("text/calendar");
    Calendar calendar =
        new CalendarBuilder()
            .build(new StringReader(new String(file.bytes(), StandardCharsets.UTF_8)));
    assertThat(calendar.validate().hasErrors()).isFalse();
    return calendar;
  }

  @Test
  void shelfLabelCalendarAndPageAgreeThroughAllThatHappens() throws Exception {
    for (int day = 0; day < 4; day++) {
      owner.moveClock(20 * 3600);
      Map<String, Object> event =
          day == 0
              ? Map.of("what", "LEFT_OUT", "hours", 3)
              : day == 1 ? Map.of("what", "OPEN") : Map.of("what", "LEFT_OUT", "hours", 5);
      Map<String, Object> form = new HashMap<>(event);
      form.put("version", shown().at("/bottle/version").asLong());
      assertThat(owner.post("/api/bottles/" + bottle + "/events", form).status()).isEqualTo(200);
      String page = shown().text("/keeping/lastDay");
      assertThat(owner.get("/api/bottles").text("/bottles/0/lastDay")).isEqualTo(page);
      VEvent inCalendar =
          calendar(owner.file("/api/shelf.ics")).<VEvent>getComponents("VEVENT").stream()
              .filter(e -> e.getUid().orElseThrow().getValue().startsWith(bottle.toString()))
              .findFirst()
              .orElseThrow();
      assertThat(inCalendar.getDateTimeStart().getDate()).isEqualTo(LocalDate.parse(page));
      assertThat(text(owner.print("/api/labels", labels("A4_8")).bytes()))
          .contains(DAY.format(LocalDate.parse(page)));
    }
  }

  /** By RFC 5545 a whole day begins at midnight: 8 o'clock two days before is 40 hours earlier. */
  @Test
  void aCalendarRingsInTheMorningTwoDaysBeforeTheLastDayAndOnIt() throws Exception {
    VEvent lastDay =
        calendar(owner.file("/api/shelf.ics")).<VEvent>getComponents("VEVENT").stream()
            .filter(e -> e.getUid().orElseThrow().getValue().startsWith(bottle.toString()))
            .findFirst()
            .orElseThrow();
    assertThat(lastDay.getAlarms())
        .extracting(alarm -> alarm.getRequiredProperty("TRIGGER").getValue())
        .containsExactlyInAnyOrder("-P1DT16H", "PT8H");
  }

  @Test
  void thePrivateAddressAnswersWhoKnowsItUntilItIsRevoked() throws Exception {
    assertThat(owner.get("/api/feed").at("/made").asBoolean()).isFalse();
    String path = owner.post("/api/feed", Map.of()).text("/path");
    Visitor stranger = new Visitor();
    assertThat(calendar(stranger.file(path)).<VEvent>getComponents("VEVENT")).isNotEmpty();
    assertThat(stranger.file("/feed/guessed-token.ics").status()).isEqualTo(404);
    String next = owner.post("/api/feed", Map.of()).text("/path");
    assertThat(stranger.file(path).status()).as("an earlier address").isEqualTo(404);
    assertThat(stranger.file(next).status()).isEqualTo(200);
    owner.delete("/api/feed");
    assertThat(stranger.file(next).status()).isEqualTo(404);
  }

  @Test
  void theWasteRecordAddsUp() {
    owner.post(
        "/api/bottles/" + bottle + "/take",
        Map.of("version", shown().at("/bottle/version").asLong(), "millilitres", 45));
    owner.post(
        "/api/bottles/" + bottle + "/discard",
        Map.of("version", shown().at("/bottle/version").asLong(), "reason", "DATE"));
    Visitor.Answer waste = owner.get("/api/waste?months=3");
    assertThat(waste.at("/months").size()).isEqualTo(3);
    assertThat(waste.at("/brewedMl").asDouble()).isCloseTo(245, within(0.1));
    assertThat(waste.at("/usedMl").asDouble()).isCloseTo(45, within(0.1));
    assertThat(waste.at("/thrownMl").asDouble()).isCloseTo(200, within(0.1));
    assertThat(waste.text("/formulas/0/advice")).contains("freeze");
    assertThat(waste.text("/formulas/0/reasons/0/reason")).isEqualTo("DATE");
    assertThat(owner.get("/api/waste?months=0").fields()).containsExactly("months");
  }
}
