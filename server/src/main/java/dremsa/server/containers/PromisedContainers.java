package dremsa.server.containers;

import dremsa.core.fill.ContainerSet;
import dremsa.core.kitchen.Container;
import java.util.List;
import java.util.UUID;

/** Tells which empty containers brews on the bench will be filled into; the bench knows. */
public interface PromisedContainers {
  /**
   * One that is promised to a brew.
   *
   * @param brew name of the brew
   */
  record Promised(UUID batch, String brew, Container kind, double sizeMl) {}

  /**
   * All that are promised, in the order in which their brews began.
   *
   * @param own what the household owns, with what stands filled
   */
  List<Promised> of(UUID household, List<ContainerSet> own);
}
