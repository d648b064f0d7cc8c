package dremsa.core.material;

import java.util.Collection;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/**
 * All materials that a formula may name: the built-in catalogue, overlaid by a household's own.
 * Immutable; passed to whatever resolves a formula.
 */
public final class Materials {
  private static final Materials STANDARD = CatalogueReader.read();

  private final Map<String, Material> byId;

  Materials(Map<String, Material> byId) {
    this.byId = byId;
  }

  /** The built-in catalogue. */
  public static Materials standard() {
    return STANDARD;
  }

  /** These materials and one more, which replaces one of the same id. */
  public Materials with(Material material) {
    Map<String, Material> changed = new LinkedHashMap<>(byId);
    changed.put(material.id(), material);
    return new Materials(changed);
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
