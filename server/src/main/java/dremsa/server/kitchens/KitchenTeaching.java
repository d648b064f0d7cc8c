package dremsa.server.kitchens;

import dremsa.core.kitchen.Kitchen;
import java.util.UUID;

/** What was learned of a kitchen from what was brewed in it. */
public interface KitchenTeaching {
  /** The kitchen with what it taught over what was set up. */
  Kitchen over(UUID household, Kitchen kitchen);
}
