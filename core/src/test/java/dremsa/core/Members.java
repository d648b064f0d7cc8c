package dremsa.core;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The members of a closed family, so that a test can say that it has an example of each. */
public final class Members {
  private Members() {}

  /** All concrete members, of inner families as well. */
  public static Set<Class<?>> of(Class<?> family) {
    return members(family).collect(Collectors.toSet());
  }

  private static Stream<Class<?>> members(Class<?> type) {
    return type.isSealed()
        ? Arrays.stream(type.getPermittedSubclasses()).flatMap(Members::members)
        : Stream.of(type);
  }

  /** Fails when a member of the family has no example. */
  public static void allIn(Class<?> family, List<?> examples) {
    assertThat(examples.stream().<Class<?>>map(Object::getClass).collect(Collectors.toSet()))
        .as("an example of every %s", family.getSimpleName())
        .isEqualTo(of(family));
  }
}
