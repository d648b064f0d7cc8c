package dremsa.server.papers;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;

/** Shows on a screen what a page will be on paper: drawn from the same PDF. */
public final class Picture {
  private static final float POINTS_PER_INCH = 72;

  private Picture() {}

  /** A part of a page, in points from its top left corner. */
  public record Cut(float x, float y, float width, float height) {}

  /**
   * A part of the first page as a PNG in greys.
   *
   * @param dpi dots per inch
   */
  public static byte[] png(byte[] pdf, float dpi, Cut cut) {
    try (PDDocument document = Loader.loadPDF(pdf)) {
      BufferedImage page = new PDFRenderer(document).renderImageWithDPI(0, dpi, ImageType.GRAY);
      float dots = dpi / POINTS_PER_INCH;
      int x = Math.round(cut.x() * dots);
      int y = Math.round(cut.y() * dots);
      BufferedImage part =
          page.getSubimage(
              x,
              y,
              Math.min(page.getWidth() - x, Math.round(cut.width() * dots)),
              Math.min(page.getHeight() - y, Math.round(cut.height() * dots)));
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      ImageIO.write(part, "png", out);
      return out.toByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
