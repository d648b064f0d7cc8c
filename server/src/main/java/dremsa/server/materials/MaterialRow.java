package dremsa.server.materials;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.io.Serializable;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

@Entity
@Table(name = "household_material")
class MaterialRow {
  /** Which material of which household. */
  @Embeddable
  record Key(UUID householdId, String materialId) implements Serializable {}

  @EmbeddedId private Key key;

  @Column(length = 16_000_000)
  private String content;

  private int schemaVersion;
  @Version private @Nullable Long version;

  protected MaterialRow() {}

  MaterialRow(UUID household, String material, String content, int schemaVersion) {
    this.key = new Key(household, material);
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

  /** Counted up with each change. */
  long version() {
    return version == null ? 0 : version;
  }

  String material() {
    return key.materialId();
  }

  int schemaVersion() {
    return schemaVersion;
  }
}
