package dremsa.server.backup;

import java.io.BufferedInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.HashMap;
import java.util.Map;
import java.util.zip.ZipEntry;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Form 2: a head, a file of lines for each table, the photos, and a manifest that counts and sums
 * up all of it. Nothing may stand anywhere else.
 */
final class ArchiveForm2 {
  static final int VERSION = 2;
  static final String HEAD = "dremsa.json";
  static final String TABLES = "tables/";
  static final String LINES = ".ndjson";
  private static final int HEAD_BYTES = 64 * 1024;
  private static final int MANIFEST_BYTES = 64 * 1024;

  private final Archive.Entries entries;
  private final Archive.Visitor visitor;
  private final Map<String, Manifest.Part> tables = new HashMap<>();
  private final Tally photos = new Tally();

  ArchiveForm2(Archive.Entries entries, Archive.Visitor visitor) {
    this.entries = entries;
    this.visitor = visitor;
  }

  void read() throws IOException {
    visitor.begin(head(entries.whole(HEAD_BYTES), VERSION));
    ZipEntry entry = entries.next();
    for (; entry != null && entry.getName().startsWith(TABLES); entry = entries.next()) {
      String name = entry.getName();
      if (!name.endsWith(LINES)) {
        throw new DamagedException(
            "there is something in it that belongs to no backup: "
                + DamagedException.shorten(name));
      }
      table(name.substring(TABLES.length(), name.length() - LINES.length()));
    }
    for (; entry != null && !entry.getName().equals(Manifest.NAME); entry = entries.next()) {
      if (photos.count() >= Limits.PHOTOS) {
        throw new DamagedException("there are more than " + Limits.PHOTOS + " photos in it");
      }
      byte[] content = entries.whole(Limits.PHOTO_BYTES);
      photos.one(content);
      visitor.photo(Archive.photo(entry.getName()), content);
    }
    if (entry == null) {
      throw new DamagedException("its manifest is missing: it was cut short");
    }
    Manifest told = Archive.JSON.readValue(entries.whole(MANIFEST_BYTES), Manifest.class);
    if (!new Manifest(Archive.FORM, VERSION, tables, photos.done()).equals(told)) {
      throw new DamagedException("it does not hold what its manifest says");
    }
    if (entries.next() != null) {
      throw new DamagedException("something stands behind its end");
    }
    visitor.end();
  }

  static Archive.Head head(byte[] json, int version) {
    Archive.Head head = Archive.JSON.readValue(json, Archive.Head.class);
    if (head == null || !Archive.FORM.equals(head.form())) {
      throw new DamagedException("it is no backup of Dremsa");
    }
    if (head.version() != version) {
      throw new DamagedException(
          "it has form " + head.version() + "; this Dremsa reads forms 1 and " + VERSION);
    }
    if (head.household() == null) {
      throw new DamagedException("it says nothing of its household");
    }
    return head;
  }

  private void table(String name) throws IOException {
    Tally tally = new Tally();
    InputStream lines = new BufferedInputStream(entries.content(), 1 << 16);
    for (byte[] line = line(lines); line != null; line = line(lines)) {
      if (tally.count() >= Limits.ROWS) {
        throw new DamagedException("there are too many rows in it");
      }
      tally.one(line);
      JsonNode row = Archive.JSON.readTree(line);
      if (!(row instanceof ObjectNode object)) {
        throw new DamagedException("a line of '" + DamagedException.shorten(name) + "' is no row");
      }
      visitor.row(name, object);
    }
    if (tables.put(name, tally.done()) != null) {
      throw new DamagedException("'" + DamagedException.shorten(name) + "' stands in it twice");
    }
  }

  /** The next line with its end; null after the last. */
  private static byte @Nullable [] line(InputStream in) throws IOException {
    ByteArrayOutputStream line = new ByteArrayOutputStream(1024);
    for (int b = in.read(); b >= 0; b = in.read()) {
      line.write(b);
      if (b == '\n') {
        return line.toByteArray();
      }
      if (line.size() > Limits.ROW_BYTES) {
        throw new DamagedException("a row in it is larger than " + Limits.ROW_BYTES + " bytes");
      }
    }
    if (line.size() > 0) {
      throw new DamagedException("a line in it has no end");
    }
    return null;
  }
}
