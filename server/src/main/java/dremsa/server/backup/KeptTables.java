package dremsa.server.backup;

import java.time.Instant;
import java.util.List;
import java.util.UUID;

/**
 * What a package keeps of a household, for backups: its tables with the checks that each value has
 * to pass, and how it makes sure that what was read in can be opened. Every package that keeps rows
 * of a household has a bean of this type.
 */
public interface KeptTables {
  List<KeptTable> tables();

  /** Takes away what a household has from its beginning, where a file brings it anew. */
  default void makeRoom(UUID household) {}

  /**
   * Opens all that was read in as its screens would; called within the household's turn, before
   * anything is kept for good.
   *
   * @throws RuntimeException when something of it cannot be opened; the file is refused then
   */
  default void open(UUID household, Instant now) {}

  /** Plans anew what will be due; called when everything has been opened. */
  default void planAgain(UUID household, Instant now) {}
}
