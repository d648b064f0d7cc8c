package dremsa.server.catalogue;

import dremsa.core.check.Belief;
import dremsa.core.check.Caution;
import dremsa.core.check.HardStop;
import dremsa.core.check.Wearer;
import dremsa.core.keep.KeepingClass;
import dremsa.core.keep.School;
import dremsa.core.kitchen.Parameter;
import dremsa.core.material.Material;
import dremsa.core.measure.Figure;
import dremsa.core.scale.Dose;
import dremsa.core.scale.Explained;
import dremsa.server.accounts.Member;
import dremsa.server.kitchens.Kitchens;
import dremsa.server.materials.HouseholdMaterials;
import dremsa.server.wire.FigureJson;
import io.swagger.v3.oas.annotations.Operation;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** What the model goes by, to read: nothing here is written down a second time. */
@RestController
class HandbookController {
  private final Kitchens kitchens;
  private final HouseholdMaterials materials;

  HandbookController(Kitchens kitchens, HouseholdMaterials materials) {
    this.kitchens = kitchens;
    this.materials = materials;
  }

  /** The handbook's data. */
  record Handbook(
      List<HardStopView> hardStops,
      List<BeliefView> beliefs,
      List<String> cautions,
      List<ClassView> keepingClasses,
      List<ParameterView> parameters,
      List<DoseView> doses,
      List<StrokeView> strokes,
      List<WearerView> wearers,
      List<ExplainedView> explained,
      List<String> sources) {}

  /** A figure that may be asked "why" of, with its equation in words. */
  record ExplainedView(String result, String title, String words, String source) {}

  /** A sign at which a brew is thrown away at any age. */
  record HardStopView(String words, boolean normalForFerment) {}

  /** What is often said, and the answer. */
  record BeliefView(String claim, String answer) {}

  /**
   * How long a kind of brew keeps; all figures in days, with range and source.
   *
   * @param freezer frozen
   */
  record ClassView(
      KeepingClass keepingClass, String words, List<KeepsView> schools, FigureJson freezer) {}

  /**
   * By a school.
   *
   * @param budget life at 5 °C; null when only the cap counts
   * @param cap no date later than this after straining
   * @param published the published beyond-use figure; null where there is none to go by
   * @param room at room temperature; null where that does not matter, 0 for use at once
   */
  record KeepsView(
      School school,
      @Nullable FigureJson budget,
      FigureJson cap,
      @Nullable FigureJson published,
      @Nullable FigureJson room) {}

  /** A parameter of the model, as it is for this household. */
  record ParameterView(Parameter id, String words, FigureJson figure, FigureJson standard) {}

  /** How much one use takes. */
  record DoseView(
      Dose.Use use,
      String words,
      Dose.Length length,
      Dose.Density density,
      FigureJson millilitres) {}

  /** What a sprayer gives. */
  record StrokeView(String words, FigureJson millilitres) {}

  /** Whose hair; the most essential oil for it, percent of the finished mass. */
  record WearerView(Wearer id, String words, double essentialPercent) {}

  @Operation(
      summary = "What the model goes by",
      description =
          "Hard stops, beliefs, cautions, keeping classes by school, the model's parameters with"
              + " range and source, doses.")
  @GetMapping("/api/handbook")
  Handbook handbook(@AuthenticationPrincipal Member member) {
    return new Handbook(
        Arrays.stream(HardStop.values())
            .map(stop -> new HardStopView(stop.words(), stop.normalForFerment()))
            .toList(),
        Arrays.stream(Belief.values()).map(b -> new BeliefView(b.claim(), b.answer())).toList(),
        Arrays.stream(Caution.values()).map(Caution::words).toList(),
        Arrays.stream(KeepingClass.values()).map(HandbookController::view).toList(),
        parameters(member),
        doses(),
        List.of(
            new StrokeView("fine mist", FigureJson.of(Dose.MIST_STROKE)),
            new StrokeView("trigger", FigureJson.of(Dose.TRIGGER_STROKE))),
        Arrays.stream(Wearer.values())
            .map(w -> new WearerView(w, w.words(), w.essentialPercent()))
            .toList(),
        Arrays.stream(Explained.values())
            .map(e -> new ExplainedView(e.result(), e.title(), e.words(), e.source()))
            .toList(),
        sources(member));
  }

  /** Every work that a figure in use names. */
  private List<String> sources(Member member) {
    Set<String> all = new TreeSet<>();
    for (Material material : materials.of(member.household()).all()) {
      material.figures().values().forEach(figure -> all.add(figure.source()));
    }
    for (Parameter parameter : Parameter.values()) {
      all.add(parameter.standard().source());
    }
    for (Explained explained : Explained.values()) {
      all.add(explained.source());
    }
    for (KeepingClass keepingClass : KeepingClass.values()) {
      for (School school : School.values()) {
        keepingClass.budget(school).ifPresent(figure -> all.add(figure.source()));
        all.add(keepingClass.cap(school).source());
        keepingClass.published(school).ifPresent(figure -> all.add(figure.source()));
      }
    }
    all.remove("");
    return List.copyOf(all);
  }

  private List<ParameterView> parameters(Member member) {
    var here = kitchens.of(member.household()).parameters();
    return Arrays.stream(Parameter.values())
        .map(
            p ->
                new ParameterView(
                    p, p.words(), FigureJson.of(here.figure(p)), FigureJson.of(p.standard())))
        .toList();
  }

  private static ClassView view(KeepingClass keepingClass) {
    return new ClassView(
        keepingClass,
        keepingClass.words(),
        Arrays.stream(School.values())
            .map(
                school ->
                    new KeepsView(
                        school,
                        json(keepingClass.budget(school)),
                        FigureJson.of(keepingClass.cap(school)),
                        json(keepingClass.published(school)),
                        json(keepingClass.room(school))))
            .toList(),
        FigureJson.of(keepingClass.freezer(School.CAREFUL)));
  }

  private static @Nullable FigureJson json(Optional<Figure> figure) {
    return figure.map(FigureJson::of).orElse(null);
  }

  private static List<DoseView> doses() {
    List<DoseView> all = new ArrayList<>();
    for (Dose.Use use : Dose.Use.values()) {
      for (Dose.Length length : Dose.Length.values()) {
        for (Dose.Density density : Dose.Density.values()) {
          all.add(
              new DoseView(
                  use, use.words(), length, density, FigureJson.of(Dose.of(use, length, density))));
        }
      }
    }
    return all;
  }
}
