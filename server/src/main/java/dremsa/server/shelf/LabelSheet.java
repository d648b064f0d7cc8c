package dremsa.server.shelf;

import static dremsa.server.papers.Paper.MM;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import dremsa.core.kitchen.Place;
import dremsa.server.papers.Paper;
import dremsa.server.papers.Paper.Weight;
import dremsa.server.papers.Picture;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** Lays labels out on a sheet, black on white. */
final class LabelSheet {
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("EEE d MMM yyyy", Locale.UK);
  private static final float PAD = 2.2f * MM;

  /** Dots per inch of a picture: small letters stay readable on a screen. */
  private static final float DPI = 220;

  private LabelSheet() {}

  /** Sizes that are sold as sticky sheets, and plain paper to cut; common practice. */
  enum Format {
    A4_21("63.5 × 38.1 mm, 21 on A4", Paper.A4, 3, 7, 63.5f, 38.1f, 7.2f, 15.15f, 2.5f, 0),
    A4_8("99.1 × 67.7 mm, 8 on A4", Paper.A4, 2, 4, 99.1f, 67.7f, 4.65f, 13.1f, 2.5f, 0),
    LETTER_10("4 × 2 in, 10 on Letter", Paper.LETTER, 2, 5, 101.6f, 50.8f, 4.0f, 12.7f, 4.8f, 0),
    A4_PLAIN("plain A4, to cut", Paper.A4, 2, 5, 90, 52, 12, 14, 6, 3),
    LETTER_PLAIN("plain Letter, to cut", Paper.LETTER, 2, 4, 90, 58, 14, 14, 6, 3),
    /** Lines to write on by hand, for tape. */
    TAPE("to write off, for tape", Paper.A4, 2, 12, 90, 19, 12, 12, 6, 3);

    private final String words;
    private final Paper.Size paper;
    private final int columns;
    private final int rows;
    private final float width;
    private final float height;
    private final float left;
    private final float top;
    private final float gapX;
    private final float gapY;

    Format(
        String words,
        Paper.Size paper,
        int columns,
        int rows,
        float widthMm,
        float heightMm,
        float leftMm,
        float topMm,
        float gapXMm,
        float gapYMm) {
      this.words = words;
      this.paper = paper;
      this.columns = columns;
      this.rows = rows;
      this.width = widthMm * MM;
      this.height = heightMm * MM;
      this.left = leftMm * MM;
      this.top = topMm * MM;
      this.gapX = gapXMm * MM;
      this.gapY = gapYMm * MM;
    }

    String words() {
      return words;
    }

    int columns() {
      return columns;
    }

    int rows() {
      return rows;
    }

    /** Width of a label through its height. */
    float shape() {
      return width / height;
    }

    /** Whether it is cut by hand, along a frame. */
    boolean plain() {
      return gapY > 0 && this != TAPE;
    }
  }

  /**
   * What a label says.
   *
   * @param contents common and INCI names, the most first
   * @param marks that early or late ends of its steps left on it: {@code "weak, 21 %"}
   * @param warning that it was brewed against, and why; empty where there was none
   * @param link the bottle's page; null for a label without a code
   */
  record Label(
      String name,
      String code,
      LocalDate made,
      LocalDate lastDay,
      boolean useNow,
      boolean marked,
      Place place,
      String contents,
      String marks,
      String warning,
      String link) {}

  /** The first label of a sheet as it will print, as a PNG. */
  static byte[] picture(Label label, Format format) {
    return Picture.png(
        pdf(List.of(label), format, 0),
        DPI,
        new Picture.Cut(format.left, format.top, format.width, format.height));
  }

  /** The sheet; it begins at a place, so that a started sheet can be used up. */
  static byte[] pdf(List<Label> labels, Format format, int skip) {
    try (Paper paper = new Paper(format.paper, "Labels")) {
      int onPage = format.columns * format.rows;
      for (int i = 0; i < labels.size(); i++) {
        int place = (i + skip) % onPage;
        if (i == 0 || place == 0) {
          paper.page();
        }
        float x = format.left + (place % format.columns) * (format.width + format.gapX);
        float y = format.top + (place / format.columns) * (format.height + format.gapY);
        if (format == Format.TAPE) {
          tape(paper, labels.get(i), x, y, format);
        } else {
          label(paper, labels.get(i), x, y, format);
        }
      }
      return paper.bytes();
    }
  }

  /** A line of a label with how it is written. */
  private record Line(String words, float points, Weight weight) {
    float high() {
      return points * 1.24f;
    }
  }

  /** The largest and the smallest letters of what is read close up, in points. */
  private static final float LARGEST = 11;

  private static final float SMALLEST = 5.2f;

  private static void label(Paper paper, Label label, float x, float y, Format format) {
    if (format.plain()) {
      paper.frame(x, y, format.width, format.height, 0.5f);
    }
    float code = Math.min(22 * MM, format.height - 2 * PAD - 9 * MM);
    float right = x + format.width - PAD;
    float bottom = y + format.height - PAD;
    float wide = format.width - 2 * PAD;
    float beside = label.link() == null ? wide : wide - code - PAD;
    // As large as the label takes: nothing that has to be read stays small beside an empty half.
    float points = LARGEST;
    while (points > SMALLEST
        && high(lines(paper, label, points, wide, beside)) > format.height - 2 * PAD) {
      points -= 0.2f;
    }
    if (label.link() != null) {
      qr(paper, label.link(), right - code, bottom - code, code);
    }
    float at = y + PAD;
    for (Line line : lines(paper, label, points, wide, beside)) {
      at += line.high();
      if (at > bottom + 0.5f) {
        break;
      }
      paper.text(x + PAD, at - line.points() * 0.24f, line.points(), line.weight(), line.words());
    }
  }

  private static float high(List<Line> lines) {
    float high = 0;
    for (Line line : lines) {
      high += line.high();
    }
    return high;
  }

  /** The last day above all, then what it is, what is the matter with it, and the rest. */
  private static List<Line> lines(
      Paper paper, Label label, float points, float wide, float beside) {
    List<Line> lines = new ArrayList<>();
    String last =
        label.useNow()
            ? "USE NOW, keep nothing"
            : "Last day " + DAY.format(label.lastDay()) + (label.marked() ? " (marked)" : "");
    add(paper, lines, last, points * 1.75f, Weight.HEAVY, wide);
    List<String> named = paper.wrapped(points * 1.4f, wide, label.name());
    for (int i = 0; i < Math.min(2, named.size()); i++) {
      String fits =
          i == 1 && named.size() > 2
              ? paper.fitted(points * 1.4f, wide, named.get(i) + " …")
              : named.get(i);
      lines.add(new Line(fits, points * 1.4f, Weight.HEAVY));
    }
    add(paper, lines, label.marks(), points, Weight.HEAVY, beside);
    add(paper, lines, label.warning(), points, Weight.HEAVY, beside);
    String small =
        label.code()
            + " · made "
            + DAY.format(label.made())
            + ". "
            + keep(label.place())
            + "Shake. Patch test first. For hair only, not for drinking."
            + (label.marked()
                ? " Marked: beyond the published date, only with clean working."
                : "");
    add(paper, lines, small, points, Weight.REGULAR, beside);
    add(paper, lines, label.contents(), points * 0.86f, Weight.REGULAR, beside);
    return lines;
  }

  private static void add(
      Paper paper, List<Line> lines, String words, float points, Weight weight, float wide) {
    if (!words.isEmpty()) {
      paper.wrapped(points, wide, words).forEach(w -> lines.add(new Line(w, points, weight)));
    }
  }

  private static String keep(Place place) {
    return switch (place) {
      case FREEZER -> "Keep frozen, thaw in the fridge. ";
      case FRIDGE -> "Keep cold. ";
      case ROOM -> "Keep dark, in the cupboard. ";
      case BATHROOM -> "Stands out in the bathroom. ";
    };
  }

  private static void tape(Paper paper, Label label, float x, float y, Format format) {
    paper.frame(x, y, format.width, format.height, 0.5f);
    paper.text(
        x + PAD,
        y + 6 * MM,
        11,
        Weight.HEAVY,
        paper.fitted(11, format.width - 2 * PAD, label.name()));
    paper.text(
        x + PAD,
        y + 11.5f * MM,
        9,
        Weight.REGULAR,
        label.code()
            + "  made "
            + DAY.format(label.made())
            + (label.marks().isEmpty() ? "" : "  " + label.marks()));
    paper.text(
        x + PAD,
        y + 16.5f * MM,
        9,
        Weight.HEAVY,
        label.useNow()
            ? "USE NOW"
            : "last day "
                + DAY.format(label.lastDay())
                + (label.marked() ? " (marked)" : "")
                + (label.warning().isEmpty() ? "" : "  against a warning"));
  }

  private static void qr(Paper paper, String words, float x, float y, float size) {
    try {
      BitMatrix code =
          new QRCodeWriter()
              .encode(
                  words,
                  BarcodeFormat.QR_CODE,
                  0,
                  0,
                  Map.of(
                      EncodeHintType.MARGIN,
                      0,
                      EncodeHintType.ERROR_CORRECTION,
                      ErrorCorrectionLevel.M));
      float dot = size / code.getWidth();
      for (int row = 0; row < code.getHeight(); row++) {
        int from = -1;
        for (int column = 0; column <= code.getWidth(); column++) {
          boolean dark = column < code.getWidth() && code.get(column, row);
          if (dark && from < 0) {
            from = column;
          } else if (!dark && from >= 0) {
            // One bar for dots in a row: no hair lines between them.
            paper.fill(x + from * dot, y + row * dot, (column - from) * dot, dot * 1.02f);
            from = -1;
          }
        }
      }
    } catch (WriterException e) {
      throw new IllegalStateException(e);
    }
  }
}
