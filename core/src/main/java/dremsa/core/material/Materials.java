package dremsa.core.material;

import java.util.Collection;
import java.util.Collections;
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

  /**
   * @param forms ids of the materials that are one plant, by its name
   */
  Materials(Map<String, Material> byId, Map<String, List<String>> forms) {
    this.byId = byId;
    this.forms = forms;
  }

  /** The built-in catalogue. */
  public static Materials standard() {
    return STANDARD;
  }

  /** These materials and one more, which replaces one of the same id. */
  public Materials with(Material material) {
    Map<String, Material> changed = new LinkedHashMap<>(byId);
    changed.put(material.id(), material);
    return new Materials(changed, forms);
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
