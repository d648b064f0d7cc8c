package dremsa.server.backup;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The first reading of a file: what stands in it, and whether it is whole. It writes nothing. */
final class Inspection implements Archive.Visitor {
  private final Tables tables;
  private final Map<String, Integer> rows = new HashMap<>();
  private final Set<UUID> photos = new HashSet<>();
  private Archive.@Nullable Head head;
  private @Nullable Ids ids;

  Inspection(Tables tables) {
    this.tables = tables;
  }

  @Override
  public void begin(Archive.Head begun) {
    head = begun;
    ids = new Ids(begun.version() == ArchiveForm1.VERSION);
  }

  @Override
  public void row(String name, ObjectNode row) {
    KeptTable table = tables.find(name);
    if (table == null) {
      throw new DamagedException(
          "there is no '" + DamagedException.shorten(name) + "' in a backup");
    }
    if (rows.merge(name, 1, Integer::sum) > table.most()) {
      throw new DamagedException("there is more than a household has of '" + name + "'");
    }
    Optional<Column> id = table.id();
    if (id.isPresent()) {
      JsonNode value = row.path(id.get().name());
      UUID own = ((Form.OwnId) id.get().form()).uuid(value);
      ids().stands(name, own);
      if (table.picture().isPresent()) {
        photos.add(own);
      }
    }
  }

  @Override
  public void photo(UUID id, byte[] content) {
    if (!photos.remove(id)) {
      throw new DamagedException("there is a photo in it that belongs to nothing");
    }
    Jpegs.check(content);
  }

  @Override
  public void end() {
    if (!photos.isEmpty()) {
      throw new DamagedException(photos.size() + " photos are missing");
    }
  }

  Archive.Head head() {
    return Objects.requireNonNull(head);
  }

  Ids ids() {
    return Objects.requireNonNull(ids);
  }
}
