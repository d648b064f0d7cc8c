package dremsa.server.backup;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.RandomAccessFile;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.apache.commons.io.input.BoundedInputStream;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * A backup in a file, read from its beginning to its end under the limits of {@link Limits}. It can
 * be read more than once; every reading tells a {@link Visitor} the same things in the same order.
 */
final class Archive {
  static final String FORM = "dremsa-backup";
  static final String PHOTOS = "photos/";
  private static final int END_OF_ZIP_BYTES = 22;
  private static final int END_OF_ZIP = 0x504B0506;

  static final JsonMapper JSON =
      JsonMapper.builder(
              JsonFactory.builder()
                  .streamReadConstraints(
                      StreamReadConstraints.builder()
                          .maxNestingDepth(Limits.DEPTH + 2)
                          .maxStringLength(Limits.ROW_BYTES)
                          .maxNumberLength(40)
                          .maxNameLength(100)
                          .build())
                  .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
                  .build())
          .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
          .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
          .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
          .build();

  private final Path file;

  Archive(Path file) {
    this.file = file;
  }

  /** The household's own settings. */
  record Settings(
      String name, String measures, boolean fahrenheit, String timeZone, String school) {}

  /** What stands first in the file. */
  record Head(String form, int version, Settings household) {}

  /** Is told what stands in the file; what it throws ends the reading. */
  interface Visitor {
    void begin(Head head);

    void row(String table, ObjectNode row);

    void photo(UUID id, byte[] content);

    /** The file is whole. */
    void end();
  }

  /**
   * Reads the file.
   *
   * @throws DamagedException when it is no backup, or not whole
   */
  void read(Visitor visitor) throws IOException {
    if (!endsAsZip()) {
      throw new DamagedException("its end is missing");
    }
    try (Entries entries = new Entries(Files.newInputStream(file))) {
      ZipEntry first = entries.next();
      if (first == null) {
        throw new DamagedException("it is no zip file");
      }
      switch (first.getName()) {
        case ArchiveForm2.HEAD -> new ArchiveForm2(entries, visitor).read();
        case ArchiveForm1.DATA -> new ArchiveForm1(entries, visitor).read();
        default -> throw new DamagedException("it is no backup of Dremsa");
      }
    } catch (JacksonException e) {
      throw new DamagedException("a part of it is not such JSON as a backup has");
    } catch (IllegalArgumentException | java.io.EOFException | java.util.zip.ZipException e) {
      throw new DamagedException("it ends too early, or was changed");
    }
  }

  private boolean endsAsZip() throws IOException {
    try (RandomAccessFile bytes = new RandomAccessFile(file.toFile(), "r")) {
      if (bytes.length() < END_OF_ZIP_BYTES) {
        return false;
      }
      bytes.seek(bytes.length() - END_OF_ZIP_BYTES);
      return bytes.readInt() == END_OF_ZIP;
    }
  }

  /** The zip's entries one after another, none of them larger than it may be. */
  static final class Entries implements AutoCloseable {
    private final BoundedInputStream packed;
    private final ZipInputStream zip;
    private final BoundedInputStream unpacked;

    Entries(InputStream in) throws IOException {
      packed = counting(in);
      zip = new ZipInputStream(new BufferedInputStream(packed, 1 << 16));
      unpacked = counting(zip);
    }

    /** Without a bound it counts what is read. */
    private static BoundedInputStream counting(InputStream in) throws IOException {
      return BoundedInputStream.builder().setInputStream(in).get();
    }

    ZipEntry next() throws IOException {
      return zip.getNextEntry();
    }

    /** The present entry, which need not be small. */
    InputStream content() {
      return new InputStream() {
        @Override
        public int read() throws IOException {
          int b = unpacked.read();
          check();
          return b;
        }

        @Override
        public int read(byte[] buffer, int offset, int length) throws IOException {
          int n = unpacked.read(buffer, offset, length);
          check();
          return n;
        }
      };
    }

    private void check() {
      Limits.checkRatio(packed.getCount(), unpacked.getCount());
    }

    /** The present entry whole. */
    byte[] whole(int most) throws IOException {
      byte[] content = content().readNBytes(most + 1);
      if (content.length > most) {
        throw new DamagedException("something in it is larger than " + most + " bytes");
      }
      return content;
    }

    @Override
    public void close() throws IOException {
      zip.close();
    }
  }

  /** The id in a photo's name. */
  static UUID photo(String name) {
    if (!name.startsWith(PHOTOS) || !name.endsWith(".jpg")) {
      throw new DamagedException(
          "there is something in it that belongs to no backup: " + DamagedException.shorten(name));
    }
    return Form.OwnId.parse(name.substring(PHOTOS.length(), name.length() - 4));
  }
}
