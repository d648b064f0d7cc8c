package dremsa.server.backup;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Iterator;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;

/** Photos of a backup are as the application draws them: JPEG, at most 1600 dots wide or high. */
final class Jpegs {
  private static final int LONGEST_PX = 1600;

  private Jpegs() {}

  /**
   * Looks at a photo's beginning.
   *
   * @throws DamagedException when it is something else
   */
  static void check(byte[] content) {
    Iterator<ImageReader> readers = ImageIO.getImageReadersByFormatName("jpeg");
    ImageReader reader = readers.next();
    try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(content))) {
      reader.setInput(in, true, true);
      if (reader.getWidth(0) > LONGEST_PX || reader.getHeight(0) > LONGEST_PX) {
        throw new DamagedException("a photo in it is larger than any that was taken in");
      }
    } catch (IOException | RuntimeException e) {
      throw e instanceof DamagedException damaged
          ? damaged
          : new DamagedException("a photo in it is no JPEG");
    } finally {
      reader.dispose();
    }
  }
}
