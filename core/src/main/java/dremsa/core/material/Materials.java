package dremsa.core.material;

import dremsa.core.measure.Figure;
import java.util.Collection;
import java.util.Collections;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * All materials that a formula may name: the built-in catalogue, overlaid by a household's own.
 * Immutable; passed to whatever resolves a formula.
 */
public final class Materials {
  private static final Materials STANDARD = CatalogueReader.read();

  private final Map<String, Material> byId;
  private final Map<String, List<String>> forms;
  private final Map<MaterialKind, Map<Property, Figure>> kinds;

  /**
   * @param forms ids of the materials that are one plant, by its name
   * @param kinds figures that hold for a whole kind
   */
  Materials(
      Map<String, Material> byId,
      Map<String, List<String>> forms,
      Map<MaterialKind, Map<Property, Figure>> kinds) {
    this.byId = byId;
    this.forms = forms;
    this.kinds = kinds;
  }

  /** The built-in catalogue. */
  public static Materials standard() {
    return STANDARD;
  }

  /** These materials and one more, which replaces one of the same id. */
  public Materials with(Material material) {
    Map<String, Material> changed = new LinkedHashMap<>(byId);
    changed.put(material.id(), material);
    return new Materials(changed, forms, kinds);
  }

  /**
   * These materials overlaid by a household's own: what it does not say of its material is taken
   * from the one of the same id, then from the kind.
   */
  public Materials overlaid(Material own) {
    Map<Property, Figure> figures = new EnumMap<>(Property.class);
    figures.putAll(kinds.getOrDefault(own.kind(), Map.of()));
    find(own.id())
        .filter(known -> known.kind() == own.kind())
        .ifPresent(known -> figures.putAll(known.figures()));
    figures.putAll(own.figures());
    return with(
        new Material(
            own.id(), own.name(), own.inci(), own.kind(), own.tint(), own.note(), figures));
  }

  /** The other forms of the same plant: fresh, dried, powder; empty when it is the only one. */
  public List<Material> otherForms(String id) {
    return forms.values().stream()
        .filter(ids -> ids.contains(id))
        .flatMap(List::stream)
        .filter(other -> !other.equals(id))
        .map(this::get)
        .toList();
  }

  /**
   * The material with this id.
   *
   * @throws UnknownMaterialException when there is none
   */
  public Material get(String id) {
    return find(id).orElseThrow(() -> new UnknownMaterialException(id));
  }

  /** The material with this id, if there is one. */
  public Optional<Material> find(String id) {
    return Optional.ofNullable(byId.get(id));
  }

  /** All of them, in the order of the catalogue. */
  public Collection<Material> all() {
    return Collections.unmodifiableCollection(byId.values());
  }
}
