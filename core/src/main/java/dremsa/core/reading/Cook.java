package dremsa.core.reading;

import dremsa.core.formula.Step;
import dremsa.core.formula.Step.Level;
import dremsa.core.formula.Step.Treatment;
import dremsa.core.formula.StepKind;
import dremsa.core.kitchen.Container;
import dremsa.core.kitchen.Place;
import dremsa.core.kitchen.StrainTool;
import dremsa.core.kitchen.VesselKind;
import dremsa.core.material.MaterialKind;
import dremsa.core.reading.Stretch.About;
import dremsa.core.reading.Stretch.Option;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Follows a note with a pot in mind: what is in it, whether it is hot, whether it was strained. So
 * it knows which step a verb asks for: to let stand is to steep what is hot, to soak what is cold,
 * and to macerate what stands in spirit.
 */
final class Cook {
  /** Cool, where no temperature is said, °C. */
  static final double COOL_C = 30;

  /** What must not be boiled goes in below this, °C. */
  static final double ADD_BELOW_C = 40;

  /** Water so warm was poured hot, °C; the model knows just-boiled water, which is the hotter. */
  private static final double HOT_C = 60;

  /** Longer than this in water on the counter grain begins to sour, min; common practice. */
  private static final double SOURS_MINUTES = 18 * 60;

  /** What is kept so long in the fridge is kept, and does not draw there, min. */
  private static final double KEPT_MINUTES = 36 * 60;

  private final Larder larder;
  private final Margin margin;
  private final List<Clause> clauses;
  private final List<List<Line>> named;
  private final List<Stage> stages = new ArrayList<>();
  private final List<Line> inPot = new ArrayList<>();
  private final List<Line> pending = new ArrayList<>();
  private final List<Claim> claims = new ArrayList<>();
  private @Nullable Clause putBy;
  private @Nullable Clause beforehand;
  private @Nullable VesselKind vessel;
  private @Nullable Clause boiledAlone;
  private List<Line> boiledWater = List.of();
  private boolean hot;
  private boolean onHob;
  private boolean strained;
  private boolean bottled;
  private @Nullable Boolean lidNext;
  private @Nullable Boolean stirNext;
  private Step.@Nullable Level levelNext;

  Cook(Larder larder, Margin margin, List<Clause> clauses, List<List<Line>> named) {
    this.larder = larder;
    this.margin = margin;
    this.clauses = clauses;
    this.named = named;
  }

  /**
   * How long the writer keeps it.
   *
   * @param to the token after its words
   * @param minutes null where no time is said
   */
  record Claim(Clause clause, int to, @Nullable Place place, @Nullable Double minutes) {}

  List<Claim> claims() {
    return claims;
  }

  /** The steps that the note asks for, in its order. */
  List<Stage> cook() {
    beforehand();
    for (int i = 0; i < clauses.size(); i++) {
      Clause clause = clauses.get(i);
      Act act = clause.act().orElse(null);
      if (clause.negated()) {
        negated(clause);
      } else if (act == null) {
        bare(i, clause);
      } else {
        act(i, clause, act);
      }
    }
    if (!pending.isEmpty()) {
      vessel = vessel == null ? VesselKind.BOWL : vessel;
      flush(clauses.size() - 1);
    }
    return stages;
  }

  /** What is chopped or crushed by what its line says. */
  private void beforehand() {
    for (Line line : larder.lines()) {
      for (String state : line.states()) {
        Treatment treatment =
            switch (state) {
              case "chopped" -> Treatment.CHOP;
              case "crushed" -> Treatment.CRUSH;
              default -> null;
            };
        if (treatment != null && line.is(m -> m.kind().isPlant())) {
          Stage stage = add(StepKind.PREPARE, clauseOf(line)).with(List.of(line));
          stage.treatment = treatment;
        }
      }
    }
  }

  private @Nullable Clause clauseOf(Line line) {
    return clauses.stream()
        .filter(clause -> clause.from() <= line.from() && line.from() < clause.to())
        .findFirst()
        .orElse(null);
  }

  private void negated(Clause clause) {
    margin.read(clause.from(), clause.to(), About.WORDS, -1, "what is not to be done");
    Stage last = last();
    if (clause.is(Act.COVER) && last != null) {
      last.lid = false;
    }
  }

  /** A line of a list; or a time, a tool, a bottle without a verb. */
  private void bare(int i, Clause clause) {
    boolean things = !named.get(i).isEmpty();
    if (things && !waits(clause)) {
      return;
    }
    if (clause.word("tool").isPresent()) {
      strain(clause);
    } else if (clause.word("heat").isPresent() && clause.first(Item.Span.class).isPresent()) {
      boil(i, clause, Level.SIMMER);
    } else if (waits(clause)) {
      stand(i, clause, false);
    } else if (clause.word("heat").isPresent() && !larder.lines().isEmpty() && !strained) {
      heat(i, clause);
    } else if (clause.word("until").isPresent()) {
      cool(clause);
    } else if (clause.word("container").isPresent() && !inPot.isEmpty()) {
      bottle(clause);
    }
  }

  private boolean waits(Clause clause) {
    return clause.first(Item.Span.class).isPresent()
        && larder.lines().stream().anyMatch(line -> line.from() < clause.from());
  }

  private void act(int i, Clause clause, Act act) {
    if (clause.has("after")) {
      clause.first(Item.Span.class).ifPresent(span -> waited(i, clause, span));
    }
    List<Line> lines = named.get(i);
    switch (act) {
      case WASH -> prepare(StepKind.WASH, clause, things(lines), null);
      case CHOP -> chop(clause, things(lines));
      case CRUSH -> prepare(StepKind.PREPARE, clause, things(lines), Treatment.CRUSH);
      case GRIND -> prepare(StepKind.PREPARE, clause, things(lines), Treatment.POWDER);
      case PEEL -> prepare(StepKind.PREPARE, clause, things(lines), Treatment.PEEL);
      case PICK -> prepare(StepKind.PREPARE, clause, things(lines), Treatment.PICK);
      case DRY -> dry(clause, lines);
      case STERILISE -> prepare(StepKind.PREPARE, clause, List.of(), Treatment.STERILISE);
      case DRAIN -> drain(clause, lines);
      case ADD -> put(i, clause, lines);
      case POUR -> pour(i, clause, lines);
      case MIX -> mix(i, clause, lines);
      case STIR -> stir(i, clause, lines);
      case BOIL -> boil(i, clause, null);
      case SIMMER -> boil(i, clause, Level.SIMMER);
      case BRING, HEAT -> heat(i, clause);
      case WARM -> warm(i, clause);
      case BATH -> bath(i, clause);
      case OFF -> off(i, clause);
      case STEEP -> steep(i, clause);
      case WAIT -> await(i, clause);
      case SOAK -> soak(i, clause, lines);
      case COVER -> cover(i, clause, true);
      case UNCOVER -> cover(i, clause, false);
      case SHAKE -> shake(clause);
      case FERMENT -> ferment(i, clause);
      case MACERATE -> macerate(i, clause);
      case COOL -> cool(clause);
      case STRAIN -> strain(clause);
      case SQUEEZE -> squeeze(i, clause, lines);
      case BLEND -> blend(i, clause, lines);
      case BOTTLE -> fill(i, clause, lines);
      case CHILL -> chill(i, clause);
      case FREEZE -> freeze(clause);
      case KEEP -> keep(i, clause);
      case DISCARD -> discard(clause);
      case USE -> {
        // On the head; told when the clauses were parted.
      }
    }
  }

  private Stage add(StepKind kind, @Nullable Clause clause) {
    Stage stage = new Stage(kind).said(beforehand).said(clause);
    beforehand = null;
    stages.add(stage);
    return stage;
  }

  private @Nullable Stage last() {
    return stages.isEmpty() ? null : stages.get(stages.size() - 1);
  }

  private @Nullable Stage last(Predicate<Stage> which) {
    for (int i = stages.size() - 1; i >= 0; i--) {
      if (which.test(stages.get(i))) {
        return stages.get(i);
      }
    }
    return null;
  }

  // What is readied.

  private void prepare(
      StepKind kind, Clause clause, List<Line> lines, @Nullable Treatment treatment) {
    boolean jars = treatment == Treatment.STERILISE;
    Stage again =
        last(
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
            larder.lines().stream().filter(l -> l.is(m -> m.kind().isPlant())).toList();
        if (inPot.isEmpty() && !all.isEmpty()) {
          add(kind, clause).with(all);
        }
        return;
      }
      List<Line> all =
          larder.lines().stream()
              .filter(l -> l.is(m -> m.kind().isPlant()) && !inPot.contains(l))
              .toList();
      if (all.isEmpty()) {
        return;
      }
      Stage stage = add(kind, clause).with(all);
      stage.treatment = treatment;
      return;
    }
    Stage stage = add(kind, clause).with(lines);
    stage.treatment = treatment;
    clause.first(Item.Span.class).ifPresent(span -> stage.time = span);
  }

  /** The ends of an aloe leaf are cut so that it drains: that is no chopping. */
  private void chop(Clause clause, List<Line> lines) {
    boolean leaf = lines.stream().anyMatch(l -> l.is(m -> m.kind() == MaterialKind.ALOE_LEAF));
    if (leaf) {
      beforehand = clause;
    } else {
      prepare(StepKind.PREPARE, clause, lines, Treatment.CHOP);
    }
  }

  private static List<Line> things(List<Line> lines) {
    return lines.stream().filter(line -> line.is(m -> m.kind().isPlant())).toList();
  }

  private void dry(Clause clause, List<Line> lines) {
    if (!things(lines).isEmpty() || inPot.isEmpty()) {
      prepare(StepKind.PREPARE, clause, things(lines), Treatment.DRY);
    }
  }

  private void soak(int i, Clause clause, List<Line> lines) {
    boolean leaf =
        !lines.isEmpty()
            && lines.stream().allMatch(l -> l.is(m -> m.kind() == MaterialKind.ALOE_LEAF));
    Stage last = last();
    if (inPot.isEmpty() && last != null && last.treatment == Treatment.DRAIN_LATEX) {
      last.said(clause);
    } else if (inPot.isEmpty() && leaf) {
      drain(clause, lines);
    } else {
      stand(i, clause, true);
    }
  }

  private void drain(Clause clause, List<Line> lines) {
    boolean aloe =
        larder.lines().stream().anyMatch(l -> l.is(m -> m.kind() == MaterialKind.ALOE_LEAF));
    if (aloe && inPot.isEmpty()) {
      List<Line> leaf =
          larder.lines().stream()
              .filter(l -> l.is(m -> m.kind() == MaterialKind.ALOE_LEAF))
              .toList();
      Stage stage = add(StepKind.PREPARE, clause).with(leaf);
      stage.treatment = Treatment.DRAIN_LATEX;
      clause.first(Item.Span.class).ifPresent(span -> stage.time = span);
    } else if (!inPot.isEmpty() && !strained) {
      strain(clause);
    }
  }

  // What goes in.

  private void put(int i, Clause clause, List<Line> lines) {
    List<Line> more = lines.stream().filter(line -> !inPot.contains(line)).toList();
    vesselOf(clause);
    if (more.isEmpty()) {
      if (clause.word("container").isPresent() && !inPot.isEmpty() && (strained || hot)) {
        bottle(clause);
      } else if (clause.word("tool").isPresent() && !inPot.isEmpty()) {
        strain(clause);
      } else if (clause.word("place").isPresent() || clause.first(Item.Span.class).isPresent()) {
        await(i, clause);
      }
      return;
    }
    if (!strained && inPot.isEmpty() && boiledAlone == null) {
      pending.addAll(more.stream().filter(line -> !pending.contains(line)).toList());
      putBy = clause;
      boolean stays =
          clause.first(Item.Span.class).isPresent()
              && !clause.has("after")
              && pending.stream().anyMatch(Cook::isLiquid);
      if (stays) {
        stand(i, clause, false);
      }
      return;
    }
    boolean plants = more.stream().anyMatch(line -> line.is(m -> m.kind().isPlant()));
    boolean late = more.stream().allMatch(Line::isStirredIn);
    if (boiledAlone != null) {
      flush(i);
    }
    if (strained || late && !plants) {
      addAtTheEnd(clause, more);
      return;
    }
    Stage again = last();
    if (again != null && again.kind == StepKind.COMBINE && clause.sentence() == sentenceOf(again)) {
      again.with(more).said(clause);
    } else {
      Stage stage = add(StepKind.COMBINE, clause).with(more);
      stage.vessel = vessel == null ? VesselKind.POT : vessel;
    }
    inPot.addAll(more);
    clause.word("to").ifPresent(to -> heat(i, clause));
    clause
        .first(Item.Span.class)
        .filter(span -> !clause.has("after"))
        .ifPresent(span -> waitHere(i, clause));
  }

  /** {@code add the sprigs for 5 minutes}: what it did goes on so long. */
  private void waitHere(int i, Clause clause) {
    if (onHob) {
      boil(i, clause, levelNext == null ? Level.SIMMER : levelNext);
    } else {
      stand(i, clause, false);
    }
  }

  private static int sentenceOf(Stage stage) {
    return stage.clauses.isEmpty() ? -1 : stage.clauses.get(stage.clauses.size() - 1).sentence();
  }

  private void addAtTheEnd(Clause clause, List<Line> more) {
    Stage again = last();
    if (again != null && again.kind == StepKind.ADD && again.celsius == null) {
      again.with(more).said(clause);
    } else {
      if (hot) {
        add(StepKind.COOL, null);
        hot = false;
      }
      Stage stage = add(StepKind.ADD, clause).with(more);
      clause.first(Item.Warmth.class).ifPresent(w -> stage.celsius = w.celsius());
    }
    inPot.addAll(more);
    onHob = false;
  }

  private void vesselOf(Clause clause) {
    clause.word("vessel").ifPresent(v -> vessel = VesselKind.valueOf(v));
    if (clause.word("container").filter("JAR"::equals).isPresent() && inPot.isEmpty()) {
      vessel = VesselKind.JAR;
    }
  }

  private void pour(int i, Clause clause, List<Line> lines) {
    if (clause.word("tool").isPresent() && !inPot.isEmpty()) {
      strain(clause);
      return;
    }
    boolean more = lines.stream().anyMatch(line -> !inPot.contains(line)) || !pending.isEmpty();
    if (!more && boiledAlone == null) {
      if (clause.word("container").isPresent() || strained) {
        bottle(clause);
      }
      return;
    }
    vesselOf(clause);
    boolean boiled = boiledAlone != null || saysHot(clause) || lines.stream().anyMatch(Cook::isHot);
    if (!inPot.isEmpty() && !boiled) {
      put(i, clause, lines);
      return;
    }
    List<Line> all = new ArrayList<>(pending);
    all.addAll(boiledWater);
    lines.stream().filter(l -> !all.contains(l) && !inPot.contains(l)).forEach(all::add);
    if (all.stream().noneMatch(Cook::isLiquid)) {
      water().filter(l -> !inPot.contains(l)).ifPresent(all::add);
    }
    if (all.stream().noneMatch(line -> line.is(m -> m.kind().isPlant()))) {
      unnamed(i).stream().filter(line -> line.is(m -> m.kind().isPlant())).forEach(all::add);
    }
    boolean watery = all.stream().anyMatch(line -> line.is(m -> m.kind() == MaterialKind.WATER));
    Stage stage = add(StepKind.COMBINE, boiledAlone).said(putBy).said(clause).with(all);
    stage.justBoiled = watery && (boiled || pouredHot(i, clause, all));
    stage.vessel = vessel == null ? VesselKind.JAR : vessel;
    into(all);
    hot = stage.justBoiled;
    onHob = false;
    if (clause.first(Item.Span.class).isPresent() && !clause.has("after")) {
      stand(i, clause, false);
    }
  }

  /**
   * Whether water of which the note does not say is poured boiling: over herbs that draw it is, the
   * hotter pot; over grain, over seed that gels, over what soaks it is not. It is asked.
   */
  private boolean pouredHot(int i, Clause clause, List<Line> all) {
    boolean cold =
        clause.words("state").contains("cold")
            || all.stream().anyMatch(l -> l.states().contains("cold"))
            || coldLater(i)
            || all.stream()
                .anyMatch(
                    l ->
                        l.is(
                            m ->
                                m.kind() == MaterialKind.GRAIN
                                    || m.kind() == MaterialKind.GUM_SEED));
    boolean covered = clause.is(Act.COVER) && !steepsNext(i);
    if (cold || clause.verb().isEmpty()) {
      return false;
    }
    Item.Verb verb = clause.verb().orElseThrow();
    String key = margin.key("pour", verb.from(), verb.to());
    String value = margin.answer(key).orElse(covered ? "ROOM" : "JUST_BOILED");
    margin.asked(
        verb.from(),
        verb.to(),
        About.STEP,
        stages.size(),
        value.equals("ROOM") ? "Pour cold water over" : "Pour just-boiled water over",
        key,
        value,
        List.of(new Option("JUST_BOILED", "just-boiled water"), new Option("ROOM", "cold water")));
    return value.equals("JUST_BOILED");
  }

  private boolean steepsNext(int i) {
    return clauses.stream().skip(i + 1L).limit(3).anyMatch(c -> c.is(Act.STEEP));
  }

  /** Whether what comes after it is a soak or the hob, so that it was poured cold. */
  private boolean coldLater(int i) {
    for (int k = i + 1; k < clauses.size(); k++) {
      Act act = clauses.get(k).act().orElse(null);
      if (act == Act.SOAK
          || act == Act.BOIL
          || act == Act.SIMMER
          || act == Act.BRING
          || act == Act.HEAT
          || act == Act.FERMENT
          || act == Act.BATH) {
        return true;
      }
      if (act == Act.STEEP || act == Act.STRAIN) {
        return false;
      }
    }
    return false;
  }

  private void into(List<Line> lines) {
    lines.stream().filter(line -> !inPot.contains(line)).forEach(inPot::add);
    pending.clear();
    boiledWater = List.of();
    boiledAlone = null;
    putBy = null;
  }

  private static boolean isHot(Line line) {
    return line.states().contains("hot");
  }

  private static boolean saysHot(Clause clause) {
    return clause.words("state").contains("hot");
  }

  private static boolean isLiquid(Line line) {
    return line.material() == null
        || line.is(
            m ->
                m.kind().role() == MaterialKind.Role.LIQUID
                    || m.kind().role() == MaterialKind.Role.OIL);
  }

  private Optional<Line> water() {
    return larder.lines().stream()
        .filter(l -> l.is(m -> m.kind() == MaterialKind.WATER))
        .findFirst();
  }

  /** Ingredients that no step names from here on, and that are not kept for the end. */
  private List<Line> unnamed(int clause) {
    return larder.lines().stream()
        .filter(line -> !inPot.contains(line) && !pending.contains(line))
        .filter(
            line -> line.firstClause() < 0 || line.firstClause() <= clause || !namedToGoIn(line))
        .filter(line -> !larder.isLate(line, isHeated()) || nothingElse())
        .toList();
  }

  /** Whether the first step that names a thing is one that puts something in. */
  private boolean namedToGoIn(Line line) {
    Act act = clauses.get(line.firstClause()).act().orElse(null);
    return act == Act.ADD
        || act == Act.MIX
        || act == Act.POUR
        || act == Act.STIR
        || act == Act.BLEND;
  }

  private boolean isHeated() {
    return hot
        || IntStream.range(0, clauses.size()).anyMatch(this::heats)
        || larder.lines().stream().anyMatch(Cook::isHot);
  }

  private boolean nothingElse() {
    return larder.lines().stream().allMatch(Line::isStirredIn);
  }

  /** Puts together what waits to go in, with what no other step names. */
  private void flush(int i) {
    List<Line> all = new ArrayList<>(pending);
    all.addAll(boiledWater);
    if (boiledAlone == null) {
      named.get(i).stream()
          .filter(l -> !all.contains(l) && !inPot.contains(l) && !(strained && l.isStirredIn()))
          .forEach(all::add);
    }
    boolean bare =
        inPot.isEmpty()
            && (all.stream().noneMatch(Cook::isLiquid)
                || all.stream().noneMatch(l -> l.is(m -> m.kind().isPlant()))
                    && boiledAlone == null
                    && !plantsLater(i));
    if (bare) {
      unnamed(i).stream().filter(l -> !all.contains(l)).forEach(all::add);
    }
    if (all.isEmpty()) {
      return;
    }
    Stage stage = add(StepKind.COMBINE, putBy).said(boiledAlone);
    if (stage.filledIn()) {
      stage.said(clauses.get(i));
    }
    stage.with(all);
    boolean grain = vessel == null && !onHob && !heats(i);
    stage.vessel = vessel == null ? grain ? VesselKind.JAR : VesselKind.POT : vessel;
    boolean wasBoiled = boiledAlone != null;
    boolean warmed =
        clauses.get(i).first(Item.Warmth.class).filter(w -> w.celsius() >= HOT_C).isPresent();
    boolean allHot = (warmed || all.stream().anyMatch(Cook::isHot)) && !heats(i);
    stage.justBoiled =
        allHot && all.stream().anyMatch(line -> line.is(m -> m.kind() == MaterialKind.WATER));
    into(all);
    if (wasBoiled) {
      stage.vessel = VesselKind.POT;
      Stage heat = add(StepKind.HEAT, stage.clauses.get(0));
      heat.lid = true;
      hot = true;
      onHob = true;
    } else if (stage.justBoiled) {
      hot = true;
    }
  }

  private boolean heats(int i) {
    Act act = clauses.get(i).act().orElse(null);
    return act == Act.BOIL
        || act == Act.SIMMER
        || act == Act.BRING
        || act == Act.HEAT
        || act == Act.WARM
        || clauses.get(i).word("heat").isPresent();
  }

  private boolean plantsLater(int i) {
    return larder.lines().stream()
        .anyMatch(
            line ->
                line.is(m -> m.kind().isPlant()) && line.firstClause() > i && namedToGoIn(line));
  }

  private void mix(int i, Clause clause, List<Line> lines) {
    if (lines.stream().anyMatch(line -> !inPot.contains(line) && !pending.contains(line))) {
      put(i, clause, lines);
    } else if (inPot.isEmpty() && !pending.isEmpty()) {
      putBy = putBy == null ? clause : putBy;
    } else {
      Stage last = last();
      if (last != null) {
        last.said(clause);
      }
    }
  }

  private void stir(int i, Clause clause, List<Line> lines) {
    List<Line> more =
        lines.stream().filter(l -> !inPot.contains(l) && !pending.contains(l)).toList();
    if (!more.isEmpty() && clause.first(Item.Span.class).isEmpty()) {
      put(i, clause, lines);
      return;
    }
    Stage last = last(s -> s.kind == StepKind.BOIL || s.kind == StepKind.HEAT);
    Stage latest = last();
    if (last != null && (latest == last || onHob)) {
      last.stir = true;
      last.said(clause);
      if (clause.first(Item.Span.class).isPresent() && last.time == null) {
        stirNext = true;
        boil(i, clause, levelNext);
      }
    } else if (latest != null) {
      latest.said(clause);
    }
    if (inPot.isEmpty()) {
      stirNext = true;
    }
  }

  // The hob.

  private void boil(int i, Clause clause, @Nullable Level level) {
    List<Line> lines = named.get(i);
    boolean alone =
        inPot.isEmpty()
            && pending.isEmpty()
            && !lines.isEmpty()
            && lines.stream().allMatch(l -> l.is(m -> m.kind() == MaterialKind.WATER))
            && clause.first(Item.Span.class).isEmpty()
            && (plantsLater(i) || pouredLater(i));
    boolean kettle = inPot.isEmpty() && pending.isEmpty() && lines.isEmpty() && saysWater(clause);
    if (alone || kettle) {
      boiledAlone = clause;
      boiledWater = kettle ? water().map(List::of).orElse(List.of()) : lines;
      vesselOf(clause);
      return;
    }
    if (strained && inPot.isEmpty()) {
      return;
    }
    vesselOf(clause);
    flush(i);
    Level wanted =
        clause.word("heat").map(Level::valueOf).orElse(level != null ? level : levelNext);
    boolean toBoil = clause.words("to").contains("BOIL");
    Optional<Item.Span> time = clause.first(Item.Span.class).filter(span -> !clause.has("after"));
    if (!onHob) {
      Stage heat = add(StepKind.HEAT, clause);
      heat.lid = lidNext;
      heat.stir = stirNext;
      manner(clause, heat);
      hot = true;
      onHob = true;
      if (toBoil && time.isEmpty() && level == null) {
        return;
      }
    }
    Stage before = last();
    Stage stage;
    if (before != null && before.kind == StepKind.BOIL && (before.time == null || time.isEmpty())) {
      stage = before.said(clause);
    } else {
      if (before != null
          && before.kind == StepKind.COMBINE
          && time.isEmpty()
          && toBoil
          && level == null) {
        before.said(clause);
        return;
      }
      stage = add(StepKind.BOIL, clause);
      stage.lid = lidNext;
      stage.stir = stirNext;
    }
    time.ifPresent(span -> stage.time = span);
    if (wanted != null) {
      stage.level = wanted;
    }
    manner(clause, stage);
    lidNext = null;
    stirNext = null;
    levelNext = null;
    strained = false;
  }

  private boolean saysWater(Clause clause) {
    return clause.words("vessel").contains("POT")
        && water().isPresent()
        && clause.first(Item.Span.class).isEmpty()
        && margin.words(clause.from(), clause.to()).toLowerCase(Locale.ROOT).contains("kettle");
  }

  private boolean pouredLater(int i) {
    for (int k = i + 1; k < clauses.size(); k++) {
      if (clauses.get(k).is(Act.POUR) && clauses.get(k).word("container").isEmpty()) {
        return true;
      }
    }
    return false;
  }

  /** What the writer looks for is the step's cue. */
  private void manner(Clause clause, Stage stage) {
    if (clause.cueFrom() < clause.cueTo()) {
      String words = margin.words(clause.cueFrom(), clause.cueTo());
      stage.cue = words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1) + ".";
      stage.said(clause);
    }
  }

  private void heat(int i, Clause clause) {
    List<String> to = clause.words("to");
    Level level = clause.word("heat").map(Level::valueOf).orElse(null);
    if (clause.is(Act.HEAT) && mostlyOil(i)) {
      warm(i, clause);
      return;
    }
    if (clause.first(Item.Span.class).isPresent() && !clause.has("after")) {
      boil(i, clause, level == null && to.contains("SIMMER") ? Level.SIMMER : level);
      return;
    }
    if (to.contains("SIMMER")) {
      levelNext = Level.SIMMER;
    } else if (level != null) {
      levelNext = level;
    }
    List<Line> lines = named.get(i);
    boolean alone =
        inPot.isEmpty()
            && pending.isEmpty()
            && !lines.isEmpty()
            && lines.stream().allMatch(l -> l.is(m -> m.kind() == MaterialKind.WATER))
            && (plantsLater(i) || pouredLater(i));
    if (alone) {
      boiledAlone = clause;
      boiledWater = lines;
      return;
    }
    vesselOf(clause);
    flush(i);
    if (onHob) {
      Stage last = last();
      if (last != null) {
        last.said(clause);
      }
      return;
    }
    Stage stage = add(StepKind.HEAT, clause);
    stage.lid = lidNext;
    stage.stir = stirNext;
    lidNext = null;
    hot = true;
    onHob = true;
  }

  private boolean mostlyOil(int i) {
    List<Line> all = new ArrayList<>(inPot);
    all.addAll(pending);
    all.addAll(named.get(i));
    return !all.isEmpty()
        && all.stream().noneMatch(line -> line.is(m -> m.kind() == MaterialKind.WATER))
        && all.stream().anyMatch(line -> line.is(m -> m.kind().role() == MaterialKind.Role.OIL));
  }

  /** Oil and butter are warmed in a water bath, whatever the note stands them on. */
  private void warm(int i, Clause clause) {
    if (mostlyOil(i) && !strained) {
      bath(i, clause);
    } else if (!strained) {
      heat(i, clause);
    }
  }

  private void bath(int i, Clause clause) {
    Stage last = last();
    if (last != null && last.kind == StepKind.WATER_BATH) {
      last.said(clause);
      clause.first(Item.Span.class).ifPresent(span -> last.time = span);
      return;
    }
    if (vessel == null || vessel == VesselKind.POT) {
      vessel = VesselKind.JAR;
    }
    flush(i);
    Stage stage = add(StepKind.WATER_BATH, clause);
    clause
        .first(Item.Span.class)
        .filter(s -> !clause.has("after"))
        .ifPresent(span -> stage.time = span);
    hot = true;
    onHob = true;
  }

  private void off(int i, Clause clause) {
    onHob = false;
    if (boiledAlone != null) {
      hot = true;
    }
    if (clause.first(Item.Span.class).isPresent() && !clause.has("after") && !inPot.isEmpty()) {
      stand(i, clause, false);
    }
  }

  private void cover(int i, Clause clause, boolean lid) {
    List<Line> poured =
        named.get(i).stream().filter(Cook::isLiquid).filter(l -> !inPot.contains(l)).toList();
    if (lid && !poured.isEmpty()) {
      pour(i, clause, named.get(i));
      return;
    }
    if (clause.first(Item.Span.class).isPresent()) {
      if (onHob && levelNext != null && last(s -> s.kind == StepKind.BOIL) == null) {
        lidNext = lid;
        boil(i, clause, levelNext);
        return;
      }
      Stage waiting = last();
      if (waiting != null
          && waiting.time == null
          && waiting.timeLeftOpen()
          && waiting.kind != StepKind.BOIL
          && clause.sentence() == sentenceOf(waiting)) {
        waiting.lid = lid;
        waiting.time = clause.first(Item.Span.class).orElseThrow();
        waiting.said(clause);
        return;
      }
      onHob = false;
      stand(i, clause, false);
      Stage stage = last();
      if (stage != null) {
        stage.lid = lid;
      }
      return;
    }
    Stage last = last();
    if (last != null
        && clause.sentence() - sentenceOf(last) <= 1
        && (last.kind == StepKind.BOIL || last.kind == StepKind.HEAT || last.kind == StepKind.STEEP)
        && !nextIsHob(i)) {
      last.lid = lid;
      last.said(clause);
    } else {
      lidNext = lid;
    }
  }

  private boolean nextIsHob(int i) {
    return i + 1 < clauses.size()
        && clauses.get(i + 1).sentence() == clauses.get(i).sentence()
        && heats(i + 1);
  }

  // What stands.

  /** A time before a verb: {@code after 3 hours, strain}. */
  private void waited(int i, Clause clause, Item.Span span) {
    Stage last = last();
    if (last != null && last.time == null && last.timeLeftOpen()) {
      last.time = span;
      last.said(clause);
    } else if (onHob) {
      Stage stage = add(StepKind.BOIL, clause);
      stage.time = span;
      stage.level = levelNext;
      stage.stir = last == null ? stirNext : last.stir;
    } else if (!inPot.isEmpty() || !pending.isEmpty()) {
      stand(i, clause, false);
    }
  }

  /** "Infuse until cool" tells no time, but when it is done. */
  private void steep(int i, Clause clause) {
    if (clause.words("until").contains("COLD")
        && clause.first(Item.Span.class).isEmpty()
        && hot
        && !inPot.isEmpty()) {
      cool(clause);
    } else {
      stand(i, clause, false);
    }
  }

  private void await(int i, Clause clause) {
    if (clause.words("until").contains("COLD") && clause.first(Item.Span.class).isEmpty()) {
      cool(clause);
      return;
    }
    boolean next =
        i + 1 < clauses.size()
            && clauses.get(i + 1).sentence() == clause.sentence()
            && !clauses.get(i + 1).act().map(Act::isManner).orElse(true)
            && clause.first(Item.Span.class).isEmpty()
            && STANDS.contains(clauses.get(i + 1).act().orElse(Act.USE));
    if (next) {
      return; // "let it cool", "leave to infuse": the next verb says it.
    }
    if (clause.first(Item.Span.class).isEmpty()
        && clause.word("place").isEmpty()
        && (strained || !hot)) {
      if (clause.word("container").isPresent() && strained) {
        bottle(clause);
      }
      return;
    }
    stand(i, clause, false);
  }

  private static final Set<Act> STANDS =
      Set.of(
          Act.COOL,
          Act.STEEP,
          Act.SOAK,
          Act.FERMENT,
          Act.MACERATE,
          Act.BOIL,
          Act.SIMMER,
          Act.DRAIN,
          Act.CHILL,
          Act.DRY,
          Act.BATH,
          Act.FREEZE,
          Act.STRAIN);

  private void stand(int i, Clause clause, boolean soak) {
    Optional<Item.Span> time = clause.first(Item.Span.class);
    Place place = clause.word("place").map(Place::valueOf).orElse(null);
    vesselOf(clause);
    flush(i);
    if (inPot.isEmpty()) {
      return;
    }
    Stage last = last();
    if (last != null
        && (last.kind == StepKind.STEEP
            || last.kind == StepKind.SOAK
            || last.kind == StepKind.MACERATE
            || last.kind == StepKind.FERMENT)
        && (last.time == null || time.isEmpty())) {
      time.ifPresent(span -> last.time = span);
      last.said(clause);
      if (place != null) {
        last.place = place;
      }
      manner(clause, last);
      return;
    }
    if (bottled) {
      return;
    }
    StepKind kind = standing(clause, time.orElse(null), soak);
    if (kind == StepKind.COOL) {
      Stage stage = add(StepKind.COOL, clause);
      stage.way = place == Place.FRIDGE ? Step.CoolingWay.FRIDGE : null;
      hot = false;
      return;
    }
    Stage stage = add(kind, clause);
    stage.time = time.orElse(null);
    stage.place = place;
    stage.lid = lidNext;
    lidNext = null;
    if (clause.has("daily")) {
      stage.shakeEveryDays = shakes(clause);
    }
    manner(clause, stage);
    onHob = false;
    if (time.isPresent() && time.get().low() >= 4 * 60) {
      hot = false;
    }
  }

  private StepKind standing(Clause clause, Item.@Nullable Span time, boolean soak) {
    boolean water =
        inPot.stream()
            .anyMatch(
                line ->
                    line.is(
                        m -> m.kind() == MaterialKind.WATER || m.kind() == MaterialKind.HYDROLAT));
    boolean spirit = inPot.stream().anyMatch(line -> line.is(m -> m.kind() == MaterialKind.SPIRIT));
    boolean oil =
        !water
            && inPot.stream()
                .anyMatch(line -> line.is(m -> m.kind().role() == MaterialKind.Role.OIL));
    boolean grain = inPot.stream().anyMatch(line -> line.is(m -> m.kind() == MaterialKind.GRAIN));
    if ((spirit || oil || vinegarOnly(water)) && !strained) {
      return StepKind.MACERATE;
    }
    if (grain && time != null && time.high() >= SOURS_MINUTES) {
      return asked(clause, StepKind.FERMENT, StepKind.SOAK);
    }
    if (hot) {
      return StepKind.STEEP;
    }
    if (strained && !soak) {
      return StepKind.COOL;
    }
    return StepKind.SOAK;
  }

  private boolean vinegarOnly(boolean water) {
    return !water
        && inPot.stream().anyMatch(line -> line.is(m -> m.kind() == MaterialKind.ACID))
        && inPot.stream().anyMatch(line -> line.is(m -> m.kind().isPlant()));
  }

  /** A step that could be another: a guess, and one tap settles it. */
  private StepKind asked(Clause clause, StepKind likely, StepKind other) {
    int from = clause.verb().map(Item::from).orElse(clause.from());
    int to = clause.verb().map(Item::to).orElse(clause.to());
    String key = margin.key("step", from, to);
    StepKind taken = margin.answer(key).filter(other.name()::equals).isPresent() ? other : likely;
    margin.asked(
        from,
        to,
        About.STEP,
        stages.size(),
        taken.words(),
        key,
        taken.name(),
        List.of(
            new Option(likely.name(), likely.words()), new Option(other.name(), other.words())));
    return taken;
  }

  private void ferment(int i, Clause clause) {
    flush(i);
    Stage last = last();
    if (last != null
        && (last.kind == StepKind.FERMENT || last.kind == StepKind.SOAK && last.time == null)) {
      Stage stage = last.kind == StepKind.FERMENT ? last : replaced(last, StepKind.FERMENT);
      stage.said(clause);
      clause.first(Item.Span.class).ifPresent(span -> stage.time = span);
      return;
    }
    if (inPot.isEmpty()) {
      return;
    }
    Stage stage = add(StepKind.FERMENT, clause);
    clause.first(Item.Span.class).ifPresent(span -> stage.time = span);
    hot = false;
  }

  private Stage replaced(Stage old, StepKind kind) {
    Stage stage = new Stage(kind).with(old.lines);
    old.clauses.forEach(stage::said);
    stage.time = old.time;
    stages.set(stages.indexOf(old), stage);
    return stage;
  }

  private void macerate(int i, Clause clause) {
    flush(i);
    Stage last = last();
    if (last != null && last.kind == StepKind.MACERATE) {
      last.said(clause);
      clause.first(Item.Span.class).ifPresent(span -> last.time = span);
      return;
    }
    if (inPot.isEmpty() || strained) {
      if (strained) {
        keep(i, clause);
      }
      return;
    }
    boolean watery =
        inPot.stream().anyMatch(line -> line.is(m -> m.kind() == MaterialKind.WATER))
            && inPot.stream().noneMatch(line -> line.is(m -> m.kind() == MaterialKind.SPIRIT));
    if (watery) {
      stand(i, clause, true);
      return;
    }
    Stage stage = add(StepKind.MACERATE, clause);
    clause.first(Item.Span.class).ifPresent(span -> stage.time = span);
    if (clause.has("daily")) {
      stage.shakeEveryDays = shakes(clause);
    }
  }

  private static int shakes(Clause clause) {
    return clause.words("daily").contains("OFTEN") ? 3 : 1;
  }

  private void shake(Clause clause) {
    Stage last = last(s -> s.kind == StepKind.MACERATE);
    if (last != null && !strained) {
      last.shakeEveryDays = clause.has("daily") ? shakes(clause) : 1;
      last.said(clause);
      clause
          .first(Item.Span.class)
          .filter(s -> last.time == null)
          .ifPresent(span -> last.time = span);
    } else if (!inPot.isEmpty()) {
      Stage latest = last();
      if (latest != null) {
        latest.said(clause);
      }
    }
  }

  private void cool(Clause clause) {
    if (inPot.isEmpty()) {
      return;
    }
    Stage last = last();
    Optional<Item.Span> time = clause.first(Item.Span.class).filter(s -> !clause.has("after"));
    if (last != null && last.kind == StepKind.COOL) {
      last.said(clause);
      clause.first(Item.Warmth.class).ifPresent(w -> last.celsius = w.celsius());
      return;
    }
    if (time.isPresent() && hot && clause.word("place").filter("FRIDGE"::equals).isEmpty()) {
      Stage stage = add(StepKind.STEEP, clause);
      stage.time = time.get();
      stage.lid = lidNext;
      onHob = false;
      return;
    }
    Stage stage = add(StepKind.COOL, clause);
    clause
        .first(Item.Warmth.class)
        .ifPresent(w -> stage.celsius = Math.max(5, Math.min(95, w.celsius())));
    if (clause.word("place").filter("FRIDGE"::equals).isPresent()) {
      stage.way = Step.CoolingWay.FRIDGE;
    }
    if (lidNext != null) {
      stage.lid = lidNext;
      lidNext = null;
    }
    hot = stage.celsius != null && stage.celsius > ADD_BELOW_C;
    onHob = false;
  }

  // What parts it.

  private void strain(Clause clause) {
    if (inPot.isEmpty()) {
      flush(clauses.indexOf(clause));
    }
    if (inPot.isEmpty()) {
      return;
    }
    if (clause.words("until").contains("COLD") && hot) {
      cool(clause);
    }
    List<String> tools = tools(clause);
    Stage last = last();
    Stage stage =
        last != null
                && last.kind == StepKind.STRAIN
                && (tools.isEmpty() || last.tool == null && !clause.has("another"))
            ? last.said(clause)
            : add(StepKind.STRAIN, clause);
    stage.tool = null;
    if (!tools.isEmpty()) {
      // "A sieve lined with cloth" strains as the cloth does.
      stage.tool =
          tools.stream()
              .map(StrainTool::valueOf)
              .reduce((a, b) -> a.ordinal() > b.ordinal() ? a : b)
              .orElseThrow();
    }
    strained = true;
    onHob = false;
    if (clause.word("container").isPresent() && clause.word("vessel").isEmpty()) {
      bottle(clause);
    }
  }

  /** The tools that a clause names; to sieve is to strain through a sieve. */
  private List<String> tools(Clause clause) {
    List<String> tools = clause.words("tool");
    String verb =
        clause.verb().map(v -> margin.words(v.from(), v.to())).orElse("").toLowerCase(Locale.ROOT);
    return tools.isEmpty()
            && (verb.startsWith("sieve") || verb.startsWith("siev") || verb.startsWith("plunge"))
        ? List.of(StrainTool.SIEVE.name())
        : tools;
  }

  private void squeeze(int i, Clause clause, List<Line> lines) {
    boolean juice = lines.stream().anyMatch(line -> !inPot.contains(line));
    if (juice) {
      put(i, clause, lines);
      return;
    }
    if (inPot.isEmpty()) {
      flush(i);
    }
    if (inPot.isEmpty()) {
      return;
    }
    Stage last = last();
    Stage stage =
        last != null
                && last.kind == StepKind.STRAIN
                && (clause.word("tool").isEmpty()
                    || last.tool == null
                    || clause.words("tool").contains(last.tool.name()))
            ? last.said(clause)
            : add(StepKind.STRAIN, clause);
    stage.squeeze = true;
    clause.words("tool").stream()
        .map(StrainTool::valueOf)
        .reduce((a, b) -> a.ordinal() > b.ordinal() ? a : b)
        .ifPresent(tool -> stage.tool = tool);
    if (stage.tool == null || !stage.tool.soaksUp()) {
      stage.tool = StrainTool.CLOTH;
    }
    strained = true;
    onHob = false;
  }

  private void blend(int i, Clause clause, List<Line> lines) {
    List<Line> more =
        lines.stream().filter(l -> !inPot.contains(l) && !pending.contains(l)).toList();
    if (inPot.isEmpty()) {
      vessel = VesselKind.BLENDER;
      flush(i);
    } else if (!more.isEmpty()) {
      boolean plants = more.stream().anyMatch(line -> line.is(m -> m.kind().isPlant()));
      if (plants && !strained) {
        Stage stage = add(StepKind.COMBINE, clause).with(more);
        stage.vessel = VesselKind.BLENDER;
        inPot.addAll(more);
      } else {
        addAtTheEnd(clause, more);
      }
    }
    if (inPot.isEmpty()) {
      return;
    }
    if (hot) {
      Stage cool = add(StepKind.COOL, null);
      cool.celsius = BLEND_BELOW_C;
      hot = false;
      onHob = false;
    }
    Stage last = last();
    Stage stage =
        last != null && last.kind == StepKind.BLEND
            ? last.said(clause)
            : add(StepKind.BLEND, clause);
    clause
        .first(Item.Span.class)
        .filter(s -> !clause.has("after"))
        .ifPresent(span -> stage.time = span);
  }

  /** A hot blender bursts open, °C; common practice. */
  private static final double BLEND_BELOW_C = 50;

  // What becomes of it.

  private void fill(int i, Clause clause, List<Line> lines) {
    boolean more = lines.stream().anyMatch(line -> !inPot.contains(line));
    if (more && !(strained && lines.stream().allMatch(line -> line.firstClause() < i))) {
      put(i, clause, lines);
      return;
    }
    if (clause.word("tool").isPresent()) {
      strain(clause);
    }
    if (clause.word("vessel").filter(v -> v.equals("BLENDER")).isPresent()) {
      return;
    }
    boolean vesselOnly = clause.word("container").isEmpty() && clause.word("vessel").isPresent();
    if (!vesselOnly) {
      bottle(clause);
    }
  }

  private void bottle(Clause clause) {
    if (inPot.isEmpty()) {
      flush(clauses.indexOf(clause));
    }
    if (inPot.isEmpty()) {
      return;
    }
    Stage last = last(s -> s.kind == StepKind.BOTTLE);
    String verb = clause.verb().map(v -> margin.words(v.from(), v.to())).orElse("");
    Container container =
        clause
            .word("container")
            .map(Container::valueOf)
            .orElse(verb.toLowerCase(Locale.ROOT).startsWith("jar") ? Container.JAR : null);
    if (last != null) {
      last.said(clause);
      if (last.container == null) {
        last.container = container;
      }
      return;
    }
    if (container == Container.CUBES) {
      freeze(clause);
      return;
    }
    Stage stage = add(StepKind.BOTTLE, clause);
    stage.container = container;
    bottled = true;
    claim(clause);
  }

  private void chill(int i, Clause clause) {
    Optional<Item.Span> time = clause.first(Item.Span.class);
    boolean keeps =
        strained
            || bottled
            || time.isEmpty() && !strainsLater(i) && !hot
            || clause.words("to").contains("UPTO")
            || time.isPresent() && time.get().low() >= KEPT_MINUTES && !soaks();
    if (!keeps && !inPot.isEmpty() || !keeps && !pending.isEmpty()) {
      Stage last = last();
      if (last != null && (last.kind == StepKind.SOAK || last.kind == StepKind.STEEP)) {
        last.place = Place.FRIDGE;
        last.said(clause);
        time.filter(s -> last.time == null).ifPresent(span -> last.time = span);
        return;
      }
      flush(i);
      Stage stage =
          time.isPresent() && !hot ? add(StepKind.SOAK, clause) : add(StepKind.COOL, clause);
      stage.place = Place.FRIDGE;
      stage.way = Step.CoolingWay.FRIDGE;
      stage.time = time.orElse(null);
      hot = false;
      onHob = false;
      return;
    }
    if (strained
        && !bottled
        && time.isPresent()
        && time.get().high() <= 14 * 60
        && !clause.words("to").contains("UPTO")) {
      Stage stage = add(StepKind.COOL, clause);
      stage.way = Step.CoolingWay.FRIDGE;
      hot = false;
      return;
    }
    claim(clause, Place.FRIDGE, time.map(Item.Span::high).orElse(null));
    clause.word("container").filter(c -> !bottled && strained).ifPresent(c -> bottle(clause));
    told(clause);
  }

  /** Whether what stands is still to be strained, so that days in the fridge are a soak. */
  private boolean soaks() {
    return clauses.stream().anyMatch(c -> c.is(Act.STRAIN) || c.is(Act.SQUEEZE)) && !strained;
  }

  private void freeze(Clause clause) {
    if (inPot.isEmpty() && pending.isEmpty() || last(s -> s.kind == StepKind.FREEZE) != null) {
      claims.add(
          new Claim(
              clause,
              clause.to(),
              Place.FREEZER,
              clause.first(Item.Span.class).map(Item.Span::high).orElse(null)));
      told(clause);
      return;
    }
    boolean cubes = clause.words("container").contains("CUBES");
    boolean later =
        clause.has("optional")
            || bottled
            || clause.has("or")
            || clause.words("to").contains("UPTO");
    if (cubes && !bottled || !later && clause.first(Item.Span.class).isEmpty()) {
      add(StepKind.FREEZE, clause);
      bottled = true;
    }
    if (clause.first(Item.Span.class).isPresent() || later) {
      claims.add(
          new Claim(
              clause,
              clause.to(),
              Place.FREEZER,
              clause.first(Item.Span.class).map(Item.Span::high).orElse(null)));
      told(clause);
    }
  }

  private void keep(int i, Clause clause) {
    Optional<Item.Span> time = clause.first(Item.Span.class);
    boolean stands =
        !strained
            && !bottled
            && (!inPot.isEmpty() || !pending.isEmpty())
            && strainsLater(i)
            && time.isPresent();
    if (stands) {
      stand(i, clause, false);
      return;
    }
    Place place = clause.word("place").map(Place::valueOf).orElse(null);
    if (time.isPresent() || place != null) {
      claim(clause, place, time.map(Item.Span::high).orElse(null));
      told(clause);
    }
    if (clause.word("container").isPresent() && !inPot.isEmpty() && !bottled) {
      bottle(clause);
    }
  }

  private boolean strainsLater(int i) {
    return clauses.stream().skip(i + 1L).anyMatch(c -> c.is(Act.STRAIN) || c.is(Act.SQUEEZE));
  }

  private void claim(Clause clause) {
    clause
        .first(Item.Span.class)
        .filter(span -> span.high() >= 12 * 60)
        .ifPresent(
            span -> {
              Place place = clause.word("place").map(Place::valueOf).orElse(null);
              claims.add(new Claim(clause, clause.to(), place, span.high()));
            });
  }

  /** One claim a sentence: "keeps a week", "in the fridge" belong together. */
  private void claim(Clause clause, @Nullable Place place, @Nullable Double minutes) {
    Claim last = claims.isEmpty() ? null : claims.get(claims.size() - 1);
    boolean same =
        last != null
            && last.clause.sentence() == clause.sentence()
            && (last.place == null || place == null)
            && (last.minutes == null || minutes == null);
    if (last != null && same) {
      claims.set(
          claims.size() - 1,
          new Claim(
              last.clause,
              clause.to(),
              last.place == null ? place : last.place,
              last.minutes == null ? minutes : last.minutes));
    } else {
      claims.add(new Claim(clause, clause.to(), place, minutes));
    }
  }

  private void told(Clause clause) {
    margin.read(clause.from(), clause.to(), About.KEEPING, -1, "how long the writer keeps it");
  }

  private void discard(Clause clause) {
    Stage last = last();
    if (last != null) {
      last.said(clause);
    } else {
      margin.read(clause.from(), clause.to(), About.WORDS, -1, "left out");
    }
  }
}
