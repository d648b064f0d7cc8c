package dremsa.server.backup;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** All tables of a household, each after those it refers to. */
@Component
class Tables {
  private final List<KeptTables> keepers;
  private final List<KeptTable> ordered;
  private final Map<String, KeptTable> byName = new HashMap<>();

  Tables(List<KeptTables> keepers) {
    this.keepers = keepers;
    keepers.stream()
        .flatMap(keeper -> keeper.tables().stream())
        .forEach(table -> byName.put(table.name(), table));
    this.ordered = ordered();
  }

  private List<KeptTable> ordered() {
    List<KeptTable> left =
        new ArrayList<>(
            byName.values().stream().sorted(Comparator.comparing(KeptTable::name)).toList());
    List<KeptTable> order = new ArrayList<>();
    Set<String> placed = new HashSet<>();
    while (!left.isEmpty()) {
      KeptTable next =
          left.stream()
              .filter(
                  table ->
                      table.refersTo().stream()
                          .allMatch(to -> to.equals(table.name()) || placed.contains(to)))
              .findFirst()
              .orElseThrow(() -> new IllegalStateException("tables refer to each other in a ring"));
      left.remove(next);
      order.add(next);
      placed.add(next.name());
    }
    return List.copyOf(order);
  }

  List<KeptTables> keepers() {
    return keepers;
  }

  List<KeptTable> all() {
    return ordered;
  }

  List<KeptTable> counted() {
    return ordered.stream().filter(KeptTable::counted).toList();
  }

  @Nullable KeptTable find(String name) {
    return byName.get(name);
  }
}
