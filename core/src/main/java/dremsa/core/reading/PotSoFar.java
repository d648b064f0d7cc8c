package dremsa.core.reading;

import dremsa.core.formula.Step;
import dremsa.core.formula.StepKind;
import dremsa.core.kitchen.VesselKind;
import dremsa.core.material.MaterialKind;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * The pot as a note has it so far: what is in it, whether it is hot, whether it was strained, and
 * the steps up to here.
 */
final class PotSoFar {
  final Larder larder;
  final Margin margin;
  final List<Clause> clauses;

  /** What each clause names. */
  final List<List<Line>> named;

  final List<Stage> stages = new ArrayList<>();
  final List<Line> inPot = new ArrayList<>();

  /** What was put down and waits to go in. */
  final List<Line> pending = new ArrayList<>();

  final List<Cook.Claim> claims = new ArrayList<>();
  @Nullable Clause putBy;

  /** What belongs to the step that comes next. */
  @Nullable Clause beforehand;

  @Nullable VesselKind vessel;

  /** Where water alone was put on, as long as nobody says what for. */
  @Nullable Clause boiledAlone;

  List<Line> boiledWater = List.of();
  boolean hot;
  boolean onHob;
  boolean strained;
  boolean bottled;

  /** Whether the writer says that it is not strained. */
  boolean neverStrained;

  @Nullable Boolean lidNext;
  @Nullable Boolean stirNext;
  Step.@Nullable Level levelNext;

  PotSoFar(Larder larder, Margin margin, List<Clause> clauses, List<List<Line>> named) {
    this.larder = larder;
    this.margin = margin;
    this.clauses = clauses;
    this.named = named;
  }

  @Nullable Clause clauseOf(Line line) {
    return clauses.stream()
        .filter(clause -> clause.from() <= line.from() && line.from() < clause.to())
        .findFirst()
        .orElse(null);
  }

  Stage add(StepKind kind, @Nullable Clause clause) {
    Stage stage = new Stage(kind).said(beforehand).said(clause);
    beforehand = null;
    stages.add(stage);
    return stage;
  }

  @Nullable Stage last() {
    return stages.isEmpty() ? null : stages.get(stages.size() - 1);
  }

  @Nullable Stage last(Predicate<Stage> which) {
    for (int i = stages.size() - 1; i >= 0; i--) {
      if (which.test(stages.get(i))) {
        return stages.get(i);
      }
    }
    return null;
  }

  static List<Line> things(List<Line> lines) {
    return lines.stream().filter(line -> line.is(m -> m.kind().isPlant())).toList();
  }

  static int sentenceOf(Stage stage) {
    return stage.clauses.isEmpty() ? -1 : stage.clauses.get(stage.clauses.size() - 1).sentence();
  }

  void vesselOf(Clause clause) {
    clause.word("vessel").ifPresent(v -> vessel = VesselKind.valueOf(v));
    if (clause.word("container").filter("JAR"::equals).isPresent() && inPot.isEmpty()) {
      vessel = VesselKind.JAR;
    }
  }

  void into(List<Line> lines) {
    lines.stream().filter(line -> !inPot.contains(line)).forEach(inPot::add);
    pending.clear();
    boiledWater = List.of();
    boiledAlone = null;
    putBy = null;
  }

  static boolean isHot(Line line) {
    return line.states().contains("hot");
  }

  static boolean saysHot(Clause clause) {
    return clause.words("state").contains("hot");
  }

  static boolean isLiquid(Line line) {
    return line.material() == null
        || line.is(
            m ->
                m.kind().role() == MaterialKind.Role.LIQUID
                    || m.kind().role() == MaterialKind.Role.OIL);
  }

  Optional<Line> water() {
    return larder.lines().stream()
        .filter(l -> l.is(m -> m.kind() == MaterialKind.WATER))
        .findFirst();
  }

  /** Whether the first step that names a thing is one that puts something in. */
  boolean namedToGoIn(Line line) {
    Act act = clauses.get(line.firstClause()).act().orElse(null);
    return act == Act.ADD
        || act == Act.MIX
        || act == Act.POUR
        || act == Act.STIR
        || act == Act.BLEND;
  }

  boolean isHeated() {
    return hot
        || IntStream.range(0, clauses.size()).anyMatch(this::heats)
        || larder.lines().stream().anyMatch(PotSoFar::isHot);
  }

  boolean heats(int i) {
    Act act = clauses.get(i).act().orElse(null);
    return act == Act.BOIL
        || act == Act.SIMMER
        || act == Act.BRING
        || act == Act.HEAT
        || act == Act.WARM
        || clauses.get(i).word("heat").isPresent();
  }

  boolean plantsLater(int i) {
    return larder.lines().stream()
        .anyMatch(
            line ->
                line.is(m -> m.kind().isPlant()) && line.firstClause() > i && namedToGoIn(line));
  }

  /** Whether a clause goes on where the one before it ends, without a comma or an "and". */
  boolean followsAtOnce(int i) {
    if (i == 0 || clauses.get(i - 1).sentence() != clauses.get(i).sentence()) {
      return false;
    }
    Clause before = clauses.get(i - 1);
    int end = before.verb().map(Item::to).orElse(before.to());
    return before.items().stream()
        .noneMatch(item -> item instanceof Item.Break && item.from() >= end);
  }

  /** What the writer looks for is the step's cue. */
  void manner(Clause clause, Stage stage) {
    if (clause.cueFrom() < clause.cueTo()) {
      String words = margin.words(clause.cueFrom(), clause.cueTo());
      stage.cue = words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1) + ".";
      stage.said(clause);
    }
  }

  boolean mostlyOil(int i) {
    List<Line> all = new ArrayList<>(inPot);
    all.addAll(pending);
    all.addAll(named.get(i));
    if (all.isEmpty()) {
      all.addAll(larder.lines());
    }
    return !all.isEmpty()
        && all.stream().noneMatch(line -> line.is(m -> m.kind() == MaterialKind.WATER))
        && all.stream().anyMatch(line -> line.is(m -> m.kind().role() == MaterialKind.Role.OIL));
  }

  Stage replaced(Stage old, StepKind kind) {
    Stage stage = new Stage(kind).with(old.lines);
    old.clauses.forEach(stage::said);
    stage.time = old.time;
    stages.set(stages.indexOf(old), stage);
    return stage;
  }

  static int shakes(Clause clause) {
    return clause.words("daily").contains("OFTEN") ? 3 : 1;
  }

  boolean strainsLater(int i) {
    return clauses.stream().skip(i + 1L).anyMatch(c -> c.is(Act.STRAIN) || c.is(Act.SQUEEZE));
  }
}
