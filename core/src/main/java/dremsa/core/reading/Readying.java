package dremsa.core.reading;

import dremsa.core.formula.Step.Treatment;
import dremsa.core.formula.StepKind;
import dremsa.core.material.MaterialKind;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What is done to a thing before it goes in: washed, chopped, dried, drained. */
final class Readying {
  private final Cook cook;
  private final PotSoFar pot;

  Readying(Cook cook, PotSoFar pot) {
    this.cook = cook;
    this.pot = pot;
  }

  /** What is chopped or crushed by what its line says. */
  void beforehand() {
    for (Line line : pot.larder.lines()) {
      for (String state : line.states()) {
        Treatment treatment =
            switch (state) {
              case "chopped" -> Treatment.CHOP;
              case "crushed" -> Treatment.CRUSH;
              default -> null;
            };
        if (treatment != null && line.is(m -> m.kind().isPlant())) {
          Stage stage = pot.add(StepKind.PREPARE, pot.clauseOf(line)).with(List.of(line));
          stage.treatment = treatment;
        }
      }
    }
  }

  void prepare(StepKind kind, Clause clause, List<Line> lines, @Nullable Treatment treatment) {
    boolean jars = treatment == Treatment.STERILISE;
    Stage again =
        pot.last(
            s ->
                s.kind == kind
                    && s.treatment == treatment
                    && (lines.isEmpty() || s.lines.containsAll(lines)));
    if (again != null) {
      again.said(clause);
      return;
    }
    if (lines.isEmpty() && !jars) {
      if (kind == StepKind.WASH) {
        List<Line> all =
            pot.larder.lines().stream().filter(l -> l.is(m -> m.kind().isPlant())).toList();
        if (pot.inPot.isEmpty() && !all.isEmpty()) {
          pot.add(kind, clause).with(all);
        }
        return;
      }
      List<Line> all =
          pot.larder.lines().stream()
              .filter(l -> l.is(m -> m.kind().isPlant()) && !pot.inPot.contains(l))
              .toList();
      if (all.isEmpty()) {
        return;
      }
      Stage stage = pot.add(kind, clause).with(all);
      stage.treatment = treatment;
      return;
    }
    Stage stage = pot.add(kind, clause).with(lines);
    stage.treatment = treatment;
    clause.first(Item.Span.class).ifPresent(span -> stage.time = span);
  }

  /** What is fresh is ground in a blender, and becomes no powder. */
  void grind(int i, Clause clause, List<Line> lines) {
    boolean wet =
        clause.words("vessel").contains("BLENDER")
            || lines.stream().anyMatch(line -> line.is(m -> m.kind().isFresh()));
    if (wet) {
      cook.parting.blend(i, clause, lines);
    } else {
      prepare(StepKind.PREPARE, clause, lines, Treatment.POWDER);
    }
  }

  /** The ends of an aloe leaf are cut so that it drains: that is no chopping. */
  void chop(Clause clause, List<Line> lines) {
    boolean leaf = lines.stream().anyMatch(l -> l.is(m -> m.kind() == MaterialKind.ALOE_LEAF));
    if (leaf) {
      pot.beforehand = clause;
    } else {
      prepare(StepKind.PREPARE, clause, lines, Treatment.CHOP);
    }
  }

  void dry(Clause clause, List<Line> lines) {
    if (!PotSoFar.things(lines).isEmpty() || pot.inPot.isEmpty()) {
      prepare(StepKind.PREPARE, clause, PotSoFar.things(lines), Treatment.DRY);
    }
  }

  void soak(int i, Clause clause, List<Line> lines) {
    boolean leaf =
        !lines.isEmpty()
            && lines.stream().allMatch(l -> l.is(m -> m.kind() == MaterialKind.ALOE_LEAF));
    Stage last = pot.last();
    if (pot.inPot.isEmpty() && last != null && last.treatment == Treatment.DRAIN_LATEX) {
      last.said(clause);
    } else if (pot.inPot.isEmpty() && leaf) {
      drain(clause, lines);
    } else {
      cook.standing.stand(i, clause, true);
    }
  }

  void drain(Clause clause, List<Line> lines) {
    boolean aloe =
        pot.larder.lines().stream().anyMatch(l -> l.is(m -> m.kind() == MaterialKind.ALOE_LEAF));
    if (aloe && pot.inPot.isEmpty()) {
      List<Line> leaf =
          pot.larder.lines().stream()
              .filter(l -> l.is(m -> m.kind() == MaterialKind.ALOE_LEAF))
              .toList();
      Stage stage = pot.add(StepKind.PREPARE, clause).with(leaf);
      stage.treatment = Treatment.DRAIN_LATEX;
      clause.first(Item.Span.class).ifPresent(span -> stage.time = span);
    } else if (!pot.inPot.isEmpty() && !pot.strained) {
      cook.parting.strain(clause);
    }
  }
}
