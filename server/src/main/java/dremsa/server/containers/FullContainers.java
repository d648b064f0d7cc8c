package dremsa.server.containers;

import dremsa.core.kitchen.Container;
import java.util.List;
import java.util.UUID;

/** Tells which containers are in use; the shelf knows. */
public interface FullContainers {
  /** So many of a kind and size stand filled. */
  record Full(Container kind, double sizeMl, long count) {}

  List<Full> of(UUID household);
}
