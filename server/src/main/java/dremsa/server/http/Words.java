package dremsa.server.http;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Function;

/**
 * What a person calls the members of a list that requests and answers name by their constants, in
 * the order in which they are offered. Every package that has such a list has a bean of it; they
 * stand in the API's document, and the interface takes them from there.
 *
 * @param name of the list
 * @param words by what stands in requests and answers
 */
public record Words(String name, Map<String, String> words) {
  /** Of an enumeration, by the names of its constants. */
  public static <E extends Enum<E>> Words of(
      String name, Class<E> type, Function<E, String> words) {
    return of(name, type, Enum::name, words);
  }

  /** Of an enumeration that requests and answers name otherwise. */
  public static <E extends Enum<E>> Words of(
      String name, Class<E> type, Function<E, String> key, Function<E, String> words) {
    Map<String, String> all = new LinkedHashMap<>();
    Arrays.stream(type.getEnumConstants()).forEach(e -> all.put(key.apply(e), words.apply(e)));
    return new Words(name, all);
  }

  /** Of some members of an enumeration, in its order. */
  public static <E extends Enum<E>> Words some(String name, Class<E> type, Map<E, String> words) {
    Map<String, String> all = new LinkedHashMap<>();
    Arrays.stream(type.getEnumConstants())
        .filter(words::containsKey)
        .forEach(e -> all.put(e.name(), words.get(e)));
    return new Words(name, all);
  }
}
