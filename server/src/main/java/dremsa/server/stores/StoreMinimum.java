package dremsa.server.stores;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import java.io.Serializable;
import java.util.UUID;

/** Below this amount a material is running out. */
@Entity
class StoreMinimum {
  /** Which material of which household. */
  @Embeddable
  record Key(UUID householdId, String materialId) implements Serializable {}

  @EmbeddedId private Key key;
  private double grams;

  protected StoreMinimum() {}

  StoreMinimum(Key key, double grams) {
    this.key = key;
    this.grams = grams;
  }

  String materialId() {
    return key.materialId();
  }

  double grams() {
    return grams;
  }
}
