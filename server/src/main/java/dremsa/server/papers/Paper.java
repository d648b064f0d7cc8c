package dremsa.server.papers;

import java.awt.Color;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.text.Bidi;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.apache.pdfbox.pdmodel.graphics.state.RenderingMode;
import org.jspecify.annotations.Nullable;

/**
 * Pages of a PDF, measured in points from the top left corner. One embedded typeface writes Latin,
 * Greek, Cyrillic and Hebrew; a letter that it lacks is written as a box, never left out.
 */
public final class Paper implements AutoCloseable {
  /** Points in a millimetre. */
  public static final float MM = 72 / 25.4f;

  /** A4, in points. */
  public static final Size A4 = new Size(210 * MM, 297 * MM);

  /** US Letter, in points. */
  public static final Size LETTER = new Size(612, 792);

  /** Width and height, in points. */
  public record Size(float width, float height) {}

  /** Regular or heavy. */
  public enum Weight {
    REGULAR,
    HEAVY
  }

  private static final String FACE = "/org/apache/pdfbox/resources/ttf/LiberationSans-Regular.ttf";

  /** What stands for a letter that the typeface lacks. */
  private static final String BOX = "\u25A1";

  private final PDDocument document = new PDDocument();
  private final Size size;
  private final PDFont face;
  private final Map<Integer, Boolean> known = new HashMap<>();
  private @Nullable PDPageContentStream open;

  /** An empty document; call {@link #page} before writing. */
  public Paper(Size size, String title) {
    this.size = size;
    document.getDocumentInformation().setTitle(title);
    document.getDocumentInformation().setProducer("Dremsa");
    try (InputStream in = PDFont.class.getResourceAsStream(FACE)) {
      face = PDType0Font.load(document, in, true);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  public Size size() {
    return size;
  }

  /** Begins a page. */
  public void page() {
    try {
      endPage();
      PDPage page = new PDPage(new PDRectangle(size.width(), size.height()));
      document.addPage(page);
      open = new PDPageContentStream(document, page);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private void endPage() throws IOException {
    if (open != null) {
      open.close();
      open = null;
    }
  }

  /** The page that was begun last. */
  private PDPageContentStream content() {
    return Objects.requireNonNull(open, "begin a page first");
  }

  /** Writes one line; y is its base line. */
  public void text(float x, float y, float points, Weight weight, String words) {
    try {
      content().beginText();
      content().setFont(face, points);
      // The typeface comes in one weight: a drawn outline makes it heavy.
      boolean heavy = weight == Weight.HEAVY;
      content().setRenderingMode(heavy ? RenderingMode.FILL_STROKE : RenderingMode.FILL);
      content().setLineWidth(heavy ? points / 28 : 0);
      content().setStrokingColor(Color.BLACK);
      content().newLineAtOffset(x, size.height() - y);
      content().showText(writable(words));
      content().endText();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** How wide a line is, in points. */
  public float width(float points, String words) {
    try {
      return face.getStringWidth(writable(words)) / 1000 * points;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Words broken into lines of a width; a word that is too long is broken anywhere. */
  public List<String> wrapped(float points, float width, String words) {
    List<String> lines = new ArrayList<>();
    StringBuilder line = new StringBuilder();
    for (String word : words.strip().split("\\s+")) {
      String rest = word;
      while (width(points, rest) > width && rest.length() > 1) {
        int fits = rest.length() - 1;
        while (fits > 1 && width(points, rest.substring(0, fits)) > width) {
          fits--;
        }
        if (line.length() > 0) {
          lines.add(line.toString());
          line.setLength(0);
        }
        lines.add(rest.substring(0, fits));
        rest = rest.substring(fits);
      }
      String longer = line.length() == 0 ? rest : line + " " + rest;
      if (line.length() > 0 && width(points, longer) > width) {
        lines.add(line.toString());
        line.setLength(0);
        line.append(rest);
      } else {
        line.setLength(0);
        line.append(longer);
      }
    }
    if (line.length() > 0) {
      lines.add(line.toString());
    }
    return lines;
  }

  /** A line as long as it fits, the rest left off with an ellipsis. */
  public String fitted(float points, float width, String words) {
    if (width(points, words) <= width) {
      return words;
    }
    int end = words.length();
    while (end > 1 && width(points, words.substring(0, end) + "…") > width) {
      end--;
    }
    return words.substring(0, end).strip() + "…";
  }

  public void line(float x1, float y1, float x2, float y2, float thick) {
    try {
      content().setStrokingColor(Color.BLACK);
      content().setLineWidth(thick);
      content().moveTo(x1, size.height() - y1);
      content().lineTo(x2, size.height() - y2);
      content().stroke();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** A frame; y is its top. */
  public void frame(float x, float y, float width, float height, float thick) {
    try {
      content().setStrokingColor(Color.BLACK);
      content().setLineWidth(thick);
      content().addRect(x, size.height() - y - height, width, height);
      content().stroke();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** A black square; y is its top. */
  public void fill(float x, float y, float width, float height) {
    try {
      content().setNonStrokingColor(Color.BLACK);
      content().addRect(x, size.height() - y - height, width, height);
      content().fill();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** In the order of seeing, with what cannot be written as boxes. */
  private String writable(String words) {
    StringBuilder out = new StringBuilder();
    visual(words)
        .codePoints()
        .filter(c -> !Character.isISOControl(c) && Character.getType(c) != Character.FORMAT)
        .forEach(
            c -> {
              if (known.computeIfAbsent(c, this::has)) {
                out.appendCodePoint(c);
              } else if (known.computeIfAbsent(BOX.codePointAt(0), this::has)) {
                out.append(BOX);
              } else {
                out.append('?');
              }
            });
    return out.toString();
  }

  /** Runs that are written from right to left are turned, as a PDF writes by place. */
  private static String visual(String words) {
    if (!Bidi.requiresBidi(words.toCharArray(), 0, words.length())) {
      return words;
    }
    Bidi bidi = new Bidi(words, Bidi.DIRECTION_DEFAULT_LEFT_TO_RIGHT);
    int runs = bidi.getRunCount();
    byte[] levels = new byte[runs];
    Object[] parts = new Object[runs];
    for (int i = 0; i < runs; i++) {
      levels[i] = (byte) bidi.getRunLevel(i);
      String part = words.substring(bidi.getRunStart(i), bidi.getRunLimit(i));
      parts[i] = levels[i] % 2 == 0 ? part : new StringBuilder(part).reverse().toString();
    }
    Bidi.reorderVisually(levels, 0, parts, 0, runs);
    StringBuilder seen = new StringBuilder();
    for (Object part : parts) {
      seen.append(part);
    }
    return seen.toString();
  }

  private boolean has(int codePoint) {
    try {
      face.encode(new String(Character.toChars(codePoint)));
      return true;
    } catch (IOException | IllegalArgumentException e) {
      return false;
    }
  }

  /** The finished file. */
  public byte[] bytes() {
    try {
      endPage();
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      document.save(out);
      return out.toByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  @Override
  public void close() {
    try {
      document.close();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
