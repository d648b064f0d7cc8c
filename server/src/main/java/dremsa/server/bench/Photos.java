package dremsa.server.bench;

import dremsa.server.accounts.Households;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.Instant;
import java.util.Iterator;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.Semaphore;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import net.coobird.thumbnailator.Thumbnails;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Keeps photos of a run. Every picture is drawn anew, turned upright and at most 1600 px wide or
 * high: what a camera writes beside it (place, device, time) never reaches the database.
 */
@Service
class Photos {
  static final int MOST = 12;
  private static final int LONGEST_PX = 1600;

  /** A picture of more is refused before it is unpacked: it would fill the memory. */
  private static final long MOST_PIXELS = 40_000_000;

  /** One at a time is unpacked. */
  private final Semaphore desk = new Semaphore(1);

  private final PhotoRepository repository;
  private final Log log;
  private final Households households;

  Photos(PhotoRepository repository, Log log, Households households) {
    this.repository = repository;
    this.log = log;
    this.households = households;
  }

  /**
   * Draws a picture anew as JPEG.
   *
   * @throws Problem when it is no JPEG or PNG, or has too many pixels
   */
  byte[] clean(byte[] picture) {
    desk.acquireUninterruptibly();
    try {
      checkSize(picture);
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      Thumbnails.of(new ByteArrayInputStream(picture))
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

  private static void checkSize(byte[] picture) throws IOException {
    try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(picture))) {
      Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
      if (!readers.hasNext()) {
        throw new IOException("no reader");
      }
      ImageReader reader = readers.next();
      try {
        reader.setInput(in, true, true);
        long pixels = (long) reader.getWidth(0) * reader.getHeight(0);
        if (pixels > MOST_PIXELS) {
          throw refused("This picture has too many dots: at most 40 million.");
        }
      } finally {
        reader.dispose();
      }
    }
  }

  private static Problem refused(String words) {
    return Problem.invalid(FieldProblem.of("photo", null, words));
  }

  @Transactional
  UUID add(UUID household, UUID id, byte[] clean, String caption, Instant at) {
    households.changed(household);
    Batch batch = log.get(household, id);
    if (repository.countByBatchId(id) >= MOST) {
      throw new Problem(
          HttpStatus.CONFLICT,
          "full",
          "A run keeps at most " + MOST + " photos. Take one out first.",
          List.of());
    }
    BatchPhoto photo = new BatchPhoto(batch, at, caption, clean);
    return repository.save(photo).id();
  }

  @Transactional(readOnly = true)
  byte[] content(UUID household, UUID photo) {
    return repository
        .findByIdAndHouseholdId(photo, household)
        .orElseThrow(() -> Problem.notFound("photo"))
        .content();
  }

  @Transactional
  void remove(UUID household, UUID photo) {
    households.changed(household);
    repository.delete(
        repository
            .findByIdAndHouseholdId(photo, household)
            .orElseThrow(() -> Problem.notFound("photo")));
  }
}
