package dremsa.server.materials;

import dremsa.core.material.Materials;
import java.util.UUID;

/** What was learned of materials from what was brewed with them. */
public interface MaterialTeaching {
  /** The materials with what was learned over what is believed of them. */
  Materials over(UUID household, Materials materials);
}
