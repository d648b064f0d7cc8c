package dremsa.server.kitchens;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

@Entity
@Table(name = "kitchen")
class KitchenRow {
  @Id private UUID householdId;

  @Column(length = 16_000_000)
  private String content;

  private int schemaVersion;
  @Version private @Nullable Long version;

  protected KitchenRow() {}

  KitchenRow(UUID householdId, String content, int schemaVersion) {
    this.householdId = householdId;
    this.content = content;
    this.schemaVersion = schemaVersion;
  }

  void replace(String newContent, int newSchemaVersion) {
    content = newContent;
    schemaVersion = newSchemaVersion;
  }

  String content() {
    return content;
  }

  int schemaVersion() {
    return schemaVersion;
  }

  long version() {
    return Objects.requireNonNull(version);
  }
}
