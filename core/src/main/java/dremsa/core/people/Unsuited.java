package dremsa.core.people;

import dremsa.core.material.Material;
import java.util.Objects;

/** What must not come on somebody's head. */
public sealed interface Unsuited {
  /** Whether a material is meant. */
  boolean holds(Material material);

  /**
   * One material.
   *
   * @param material its id
   */
  record One(String material) implements Unsuited {
    public One {
      Objects.requireNonNull(material, "material");
    }

    @Override
    public boolean holds(Material other) {
      return other.id().equals(material);
    }
  }

  /** All of a family. */
  record All(Family family) implements Unsuited {
    public All {
      Objects.requireNonNull(family, "family");
    }

    @Override
    public boolean holds(Material other) {
      return family.holds(other);
    }
  }
}
