package dremsa.server.backup;

import java.io.FilterInputStream;
import java.io.IOException;
import java.util.HashSet;
import java.util.Set;
import java.util.UUID;
import java.util.zip.ZipEntry;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.databind.node.ObjectNode;

/**
 * Form 1, which earlier versions wrote: all rows in one JSON text, the photos beside it, no
 * manifest. That it is whole is seen by its text's end and by a photo for each of its rows.
 */
final class ArchiveForm1 {
  static final int VERSION = 1;
  static final String DATA = "household.json";
  private static final Set<String> PHOTO_TABLES = Set.of("batch_photo", "journal_photo");

  private final Archive.Entries entries;
  private final Archive.Visitor visitor;
  private final Set<UUID> wanted = new HashSet<>();

  ArchiveForm1(Archive.Entries entries, Archive.Visitor visitor) {
    this.entries = entries;
    this.visitor = visitor;
  }

  void read() throws IOException {
    FilterInputStream text =
        new FilterInputStream(entries.content()) {
          @Override
          public void close() {
            // The zip goes on after this entry.
          }
        };
    try (JsonParser parser = Archive.JSON.createParser(text)) {
      ObjectNode head = Archive.JSON.createObjectNode();
      expect(parser.nextToken(), JsonToken.START_OBJECT);
      while (parser.nextToken() == JsonToken.PROPERTY_NAME) {
        String name = parser.currentName();
        parser.nextToken();
        if (name.equals("tables")) {
          visitor.begin(ArchiveForm2.head(Archive.JSON.writeValueAsBytes(head), VERSION));
          tables(parser);
        } else if (head.size() > 3) {
          throw new DamagedException("it holds more than a backup does");
        } else {
          head.set(name, (tools.jackson.databind.JsonNode) parser.readValueAsTree());
        }
      }
      expect(parser.currentToken(), JsonToken.END_OBJECT);
    }
    for (ZipEntry entry = entries.next(); entry != null; entry = entries.next()) {
      UUID id = Archive.photo(entry.getName());
      byte[] content = entries.whole(Limits.PHOTO_BYTES);
      if (!wanted.remove(id)) {
        throw new DamagedException("there is a photo in it that belongs to nothing");
      }
      visitor.photo(id, content);
    }
    if (!wanted.isEmpty()) {
      throw new DamagedException(wanted.size() + " photos are missing");
    }
    visitor.end();
  }

  private void tables(JsonParser parser) {
    expect(parser.currentToken(), JsonToken.START_OBJECT);
    int rows = 0;
    while (parser.nextToken() == JsonToken.PROPERTY_NAME) {
      String table = parser.currentName();
      expect(parser.nextToken(), JsonToken.START_ARRAY);
      while (parser.nextToken() == JsonToken.START_OBJECT) {
        if (++rows > Limits.ROWS) {
          throw new DamagedException("there are too many rows in it");
        }
        ObjectNode row = parser.readValueAsTree();
        if (PHOTO_TABLES.contains(table) && row.path("id").isString()) {
          wanted.add(Form.OwnId.parse(row.get("id").stringValue()));
        }
        visitor.row(table, row);
      }
      expect(parser.currentToken(), JsonToken.END_ARRAY);
    }
    expect(parser.currentToken(), JsonToken.END_OBJECT);
  }

  private static void expect(JsonToken found, JsonToken wanted) {
    if (found != wanted) {
      throw new DamagedException("its JSON is not built as a backup's is");
    }
  }
}
