package dremsa.core.reading;

import dremsa.core.formula.StepKind;
import dremsa.core.kitchen.StrainTool;
import dremsa.core.kitchen.VesselKind;
import java.util.List;
import java.util.Locale;

/** What parts a brew from its plants, and what makes it smooth. */
final class Parting {
  private final Cook cook;
  private final PotSoFar pot;

  Parting(Cook cook, PotSoFar pot) {
    this.cook = cook;
    this.pot = pot;
  }

  /** A hot blender bursts open, °C; common practice. */
  private static final double BLEND_BELOW_C = 50;

  void strain(Clause clause) {
    if (pot.inPot.isEmpty()) {
      cook.puttingIn.flush(pot.clauses.indexOf(clause));
    }
    if (pot.inPot.isEmpty()) {
      return;
    }
    if (clause.words("until").contains("COLD") && pot.hot) {
      cook.standing.cool(clause);
    }
    List<String> tools = tools(clause);
    Stage last = pot.last();
    Stage stage =
        last != null
                && last.kind == StepKind.STRAIN
                && (tools.isEmpty() || last.tool == null && !clause.has("another"))
            ? last.said(clause)
            : pot.add(StepKind.STRAIN, clause);
    stage.tool = null;
    if (!tools.isEmpty()) {
      // "A sieve lined with cloth" strains as the cloth does.
      stage.tool =
          tools.stream()
              .map(StrainTool::valueOf)
              .reduce((a, b) -> a.ordinal() > b.ordinal() ? a : b)
              .orElseThrow();
    }
    pot.strained = true;
    pot.onHob = false;
    if (clause.word("container").isPresent() && clause.word("vessel").isEmpty()) {
      cook.ending.bottle(clause);
    }
  }

  /** The tools that a clause names; to sieve is to strain through a sieve. */
  private List<String> tools(Clause clause) {
    List<String> tools = clause.words("tool");
    String verb =
        clause
            .verb()
            .map(v -> pot.margin.words(v.from(), v.to()))
            .orElse("")
            .toLowerCase(Locale.ROOT);
    return tools.isEmpty()
            && (verb.startsWith("sieve") || verb.startsWith("siev") || verb.startsWith("plunge"))
        ? List.of(StrainTool.SIEVE.name())
        : tools;
  }

  void squeeze(int i, Clause clause, List<Line> lines) {
    boolean juice = lines.stream().anyMatch(line -> !pot.inPot.contains(line));
    if (juice) {
      cook.puttingIn.put(i, clause, lines);
      return;
    }
    if (pot.inPot.isEmpty()) {
      cook.puttingIn.flush(i);
    }
    if (pot.inPot.isEmpty()) {
      return;
    }
    Stage last = pot.last();
    Stage stage =
        last != null
                && last.kind == StepKind.STRAIN
                && (clause.word("tool").isEmpty()
                    || last.tool == null
                    || clause.words("tool").contains(last.tool.name()))
            ? last.said(clause)
            : pot.add(StepKind.STRAIN, clause);
    stage.squeeze = true;
    clause.words("tool").stream()
        .map(StrainTool::valueOf)
        .reduce((a, b) -> a.ordinal() > b.ordinal() ? a : b)
        .ifPresent(tool -> stage.tool = tool);
    if (stage.tool == null || !stage.tool.soaksUp()) {
      stage.tool = StrainTool.CLOTH;
    }
    pot.strained = true;
    pot.onHob = false;
  }

  void blend(int i, Clause clause, List<Line> lines) {
    List<Line> more =
        lines.stream().filter(l -> !pot.inPot.contains(l) && !pot.pending.contains(l)).toList();
    if (pot.inPot.isEmpty()) {
      pot.vessel = VesselKind.BLENDER;
      cook.puttingIn.flush(i);
    } else if (!more.isEmpty()) {
      boolean plants = more.stream().anyMatch(line -> line.is(m -> m.kind().isPlant()));
      if (plants && !pot.strained) {
        Stage stage = pot.add(StepKind.COMBINE, clause).with(more);
        stage.vessel = VesselKind.BLENDER;
        pot.inPot.addAll(more);
      } else {
        cook.puttingIn.addAtTheEnd(clause, more);
      }
    }
    if (pot.inPot.isEmpty()) {
      return;
    }
    if (pot.hot) {
      Stage cool = pot.add(StepKind.COOL, null);
      cool.celsius = BLEND_BELOW_C;
      pot.hot = false;
      pot.onHob = false;
    }
    Stage last = pot.last();
    Stage stage =
        last != null && last.kind == StepKind.BLEND
            ? last.said(clause)
            : pot.add(StepKind.BLEND, clause);
    clause
        .first(Item.Span.class)
        .filter(s -> !clause.has("after"))
        .ifPresent(span -> stage.time = span);
  }
}
