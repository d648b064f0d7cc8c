package dremsa.server.stores;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;

/** What the brews that are agreed on will take. */
public interface PlannedMaterials {
  /**
   * So much of a material.
   *
   * @param day of the first brew that takes it
   * @param brew its name
   */
  record Wanted(String material, String name, double grams, LocalDate day, String brew) {}

  /** All of it, by material. */
  List<Wanted> planned(UUID household, Instant now);
}
