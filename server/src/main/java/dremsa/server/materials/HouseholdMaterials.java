package dremsa.server.materials;

import dremsa.core.material.ImpossibleFigureException;
import dremsa.core.material.Material;
import dremsa.core.material.Materials;
import dremsa.core.material.Property;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.wire.FigureJson;
import dremsa.server.wire.MaterialJson;
import dremsa.server.wire.Stored;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The materials a household brews with. */
@Service
public class HouseholdMaterials {
  /** A household has no need of more; the list is read whole. */
  static final int MOST = 500;

  private final MaterialRepository repository;
  private final Stored stored;
  private final MaterialTeaching teaching;

  HouseholdMaterials(MaterialRepository repository, Stored stored, MaterialTeaching teaching) {
    this.teaching = teaching;
    this.repository = repository;
    this.stored = stored;
  }

  /** As it brews with them: the catalogue, its own over it, and what its kitchen taught. */
  @Transactional(readOnly = true)
  public Materials of(UUID household) {
    return teaching.over(household, untaught(household));
  }

  /** The catalogue with a household's own materials over it. */
  @Transactional(readOnly = true)
  public Materials untaught(UUID household) {
    Materials all = Materials.standard();
    for (MaterialRow row : repository.findByKeyHouseholdIdOrderByKeyMaterialId(household)) {
      all = all.overlaid(stored.material(row.content(), row.schemaVersion()));
    }
    return all;
  }

  /** The materials that the household added or changed: the version of each by its id. */
  @Transactional(readOnly = true)
  public Map<String, Long> own(UUID household) {
    return repository.findByKeyHouseholdIdOrderByKeyMaterialId(household).stream()
        .collect(Collectors.toMap(MaterialRow::material, MaterialRow::version));
  }

  /**
   * Adds a material, or changes what the household knows of one.
   *
   * @throws Problem 409 when it says which version it was made from, and that is not the present
   *     one
   */
  @Transactional
  public void put(UUID household, MaterialJson json) {
    Material own = core(json);
    MaterialRow.Key key = new MaterialRow.Key(household, own.id());
    String content = stored.write(MaterialJson.of(own, true));
    repository
        .findById(key)
        .ifPresentOrElse(
            row -> {
              if (json.version() != null && json.version() != row.version()) {
                throw Problem.conflict(
                    "Somebody changed this material meanwhile. Look at it again, then repeat.");
              }
              row.replace(content, Stored.VERSION);
              repository.save(row);
            },
            () -> {
              if (repository.countByKeyHouseholdId(household) >= MOST) {
                throw Problem.conflict("There are " + MOST + " own materials already.");
              }
              repository.save(new MaterialRow(household, own.id(), content, Stored.VERSION));
            });
  }

  private static Material core(MaterialJson json) {
    try {
      Material own = json.toCore("");
      Materials.standard().overlaid(own);
      return own;
    } catch (ImpossibleFigureException e) {
      throw Problem.invalid(
          FieldProblem.range(
              "figures." + e.property().name() + ".value",
              refused(json, e.property()),
              Problem.why(e),
              e.property().least(),
              e.property().most()));
    }
  }

  /** Forgets what the household said of a material: the catalogue's figures hold again. */
  @Transactional
  public void forget(UUID household, String material) {
    MaterialRow.Key key = new MaterialRow.Key(household, material);
    if (!repository.existsById(key)) {
      throw Problem.notFound("own material");
    }
    repository.deleteById(key);
  }

  private static @Nullable Double refused(MaterialJson json, Property property) {
    @Nullable FigureJson figure = json.figures() == null ? null : json.figures().get(property);
    return figure == null ? null : figure.value();
  }
}
