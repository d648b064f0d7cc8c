package dremsa.server.stores;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.util.UUID;

/** Something that somebody put on the shopping list. */
@Entity
class ShoppingItem {
  @Id private UUID id;
  private UUID householdId;
  private String words;
  private boolean bought;

  protected ShoppingItem() {}

  ShoppingItem(UUID id, UUID householdId, String words) {
    this.id = id;
    this.householdId = householdId;
    this.words = words;
  }

  void bought(boolean is) {
    bought = is;
  }

  UUID id() {
    return id;
  }

  String words() {
    return words;
  }

  boolean bought() {
    return bought;
  }
}
