package dremsa.server.formulas;

import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import dremsa.core.material.Materials;
import dremsa.core.material.Property;
import dremsa.core.measure.Figure;
import dremsa.core.measure.Provenance;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** The catalogue, to read. */
@RestController
class MaterialController {

  /** A material with what is known of it. */
  record MaterialView(
      String id,
      String name,
      String inci,
      MaterialKind kind,
      String kindWords,
      String note,
      List<FigureView> figures) {}

  /** A figure with its range and where it comes from. */
  record FigureView(
      Property property,
      double value,
      double low,
      double high,
      String unit,
      Provenance provenance,
      String source) {}

  @GetMapping("/api/materials")
  List<MaterialView> list() {
    return Materials.standard().all().stream().map(MaterialController::view).toList();
  }

  private static MaterialView view(Material material) {
    Map<Property, Figure> sorted = new TreeMap<>(material.figures());
    return new MaterialView(
        material.id(),
        material.name(),
        material.inci(),
        material.kind(),
        material.kind().words(),
        material.note(),
        sorted.entrySet().stream()
            .map(
                e ->
                    new FigureView(
                        e.getKey(),
                        e.getValue().value(),
                        e.getValue().low(),
                        e.getValue().high(),
                        e.getValue().unit(),
                        e.getValue().provenance(),
                        e.getValue().source()))
            .toList());
  }
}
