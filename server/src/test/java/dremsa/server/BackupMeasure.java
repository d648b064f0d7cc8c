package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;

import dremsa.server.accounts.Turns;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.lang.management.ManagementFactory;
import java.lang.management.MemoryPoolMXBean;
import java.lang.management.MemoryType;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * Measures how long a household with many photos takes out and in, and how much memory it holds on
 * the way; {@code ./dremsa bench} runs it. It asserts that all of it comes back, and reports the
 * rest: figures of this machine, no verdict.
 */
@EnabledIfSystemProperty(named = "dremsa.measure", matches = "true")
class BackupMeasure {
  private static final int PHOTOS = Integer.getInteger("dremsa.measure.photos", 600);

  private final JdbcTemplate jdbc = TestServer.bean(JdbcTemplate.class);

  @Test
  void aHouseholdWithManyPhotos() throws Exception {
    Visitor owner = Visitor.withHousehold();
    String batch =
        owner
            .post(
                "/api/batches",
                Map.of(
                    "formulaId",
                    "lemon-balm-spray",
                    "target",
                    Map.of("kind", "VOLUME", "amount", Map.of("value", 400, "unit", "ml"))))
            .text("/id");
    owner.upload("/api/batches/" + batch + "/photos", "image/jpeg", photo());
    String household =
        jdbc.queryForObject(
            "select household_id from account where sign_in = ?", String.class, owner.name());
    TestServer.bean(Turns.class)
        .take(
            UUID.fromString(household),
            () -> {
              jdbc.update(
                  "insert into batch_photo (id, household_id, batch_id, step_index, taken_at,"
                      + " caption, content) select uuid(), household_id, batch_id, 0, taken_at,"
                      + " seq, content from batch_photo join seq_1_to_"
                      + (PHOTOS - 1)
                      + " where household_id = ?",
                  household);
            });
    Path file = Files.createTempFile("measure", ".zip");
    try {
      // What setting it up left over is no part of it.
      System.gc();
      long idle = held();
      long begin = System.nanoTime();
      owner.fileInto("/api/backup.zip", file);
      report("out", Files.size(file), begin, held() - idle);
      Visitor other = Visitor.withHousehold();
      begin = System.nanoTime();
      assertThat(other.upload("/api/restore", "application/zip", file).status()).isEqualTo(200);
      report("in", Files.size(file), begin, held() - idle);
      assertThat(other.get("/api/batches").at("/batches").size()).isEqualTo(1);
    } finally {
      Files.delete(file);
    }
  }

  /** Bytes in use after the last collection, at their highest since the last question. */
  private static long held() {
    long most = 0;
    for (MemoryPoolMXBean pool : ManagementFactory.getMemoryPoolMXBeans()) {
      if (pool.getType() == MemoryType.HEAP && pool.getCollectionUsage() != null) {
        most += pool.getCollectionUsage().getUsed();
      }
    }
    return most;
  }

  private static void report(String way, long bytes, long begin, long held) {
    System.out.printf(
        Locale.ROOT,
        "Backup %s: %.0f MB with %d photos in %.1f s; %.0f MB more held after a collection.%n",
        way,
        bytes / 1e6,
        PHOTOS,
        (System.nanoTime() - begin) / 1e9,
        held / 1e6);
  }

  private static byte[] photo() throws Exception {
    BufferedImage noise = new BufferedImage(1600, 1200, BufferedImage.TYPE_INT_RGB);
    Random dice = new Random(7);
    for (int y = 0; y < noise.getHeight(); y++) {
      for (int x = 0; x < noise.getWidth(); x++) {
        noise.setRGB(x, y, dice.nextInt(1 << 24) & 0x7F7F7F);
      }
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(noise, "jpg", out);
    return out.toByteArray();
  }
}
