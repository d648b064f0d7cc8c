package dremsa.server.shelf;

import java.util.UUID;

/** Knows the names of those whose heads bottles are used on. */
public interface HeadNames {
  /**
   * The name of a person.
   *
   * @throws dremsa.server.http.Problem when there is nobody of this id in the household
   */
  String of(UUID household, UUID person);
}
