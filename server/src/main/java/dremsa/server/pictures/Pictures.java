package dremsa.server.pictures;

import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import java.awt.image.SampleModel;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.Arrays;
import java.util.Iterator;
import java.util.concurrent.Semaphore;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import net.coobird.thumbnailator.Thumbnails;
import org.springframework.stereotype.Component;

/**
 * Draws photos anew before they are kept, turned upright and at most 1600 px wide or high: what a
 * camera writes beside a picture (place, device, time) never reaches the database.
 */
@Component
public class Pictures {
  private static final int LONGEST_PX = 1600;

  /**
   * A picture of more is refused before it is unpacked: it would fill the memory. 40 million dots
   * of three colours are as much as a good camera makes.
   */
  private static final long MOST_UNPACKED_BYTES = 120_000_000;

  /** One at a time is unpacked. */
  private final Semaphore desk = new Semaphore(1);

  /**
   * Draws a picture anew as JPEG. It waits for its turn in a file: many at once must not fill the
   * memory.
   *
   * @throws Problem when it is no JPEG or PNG, or too large once unpacked
   */
  public byte[] clean(InputStream picture) throws IOException {
    Path file = Files.createTempFile("photo", null);
    try {
      Files.copy(picture, file, StandardCopyOption.REPLACE_EXISTING);
      return clean(file);
    } finally {
      Files.deleteIfExists(file);
    }
  }

  private byte[] clean(Path picture) {
    desk.acquireUninterruptibly();
    try {
      checkSize(picture);
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      Thumbnails.of(picture.toFile())
          .size(LONGEST_PX, LONGEST_PX)
          .keepAspectRatio(true)
          .outputFormat("jpg")
          .outputQuality(0.82)
          .toOutputStream(out);
      return out.toByteArray();
    } catch (IOException | IllegalArgumentException e) {
      throw refused("This is no picture that can be read: a JPEG or a PNG is wanted.");
    } finally {
      desk.release();
    }
  }

  private static void checkSize(Path picture) throws IOException {
    try (ImageInputStream in = ImageIO.createImageInputStream(picture.toFile())) {
      Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
      if (!readers.hasNext()) {
        throw new IOException("no reader");
      }
      ImageReader reader = readers.next();
      try {
        reader.setInput(in, true, true);
        long dots = (long) reader.getWidth(0) * reader.getHeight(0);
        if (dots * bytesPerDot(reader) > MOST_UNPACKED_BYTES) {
          throw refused(
              "This picture is too large once unpacked: at most 40 million dots of three colours.");
        }
      } finally {
        reader.dispose();
      }
    }
  }

  /** As it is unpacked: eight for 16 bits of four colours, three for a photo. */
  private static int bytesPerDot(ImageReader reader) throws IOException {
    SampleModel samples = reader.getImageTypes(0).next().getSampleModel();
    return Math.max(1, Arrays.stream(samples.getSampleSize()).sum() / Byte.SIZE);
  }

  private static Problem refused(String words) {
    return Problem.invalid(FieldProblem.of("photo", null, words));
  }
}
