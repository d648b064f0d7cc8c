package dremsa.core.reading;

import dremsa.core.formula.Branch;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Guide;
import dremsa.core.formula.Ingredient;
import dremsa.core.formula.InvalidFormulaException;
import dremsa.core.formula.Method;
import dremsa.core.formula.Proportion;
import dremsa.core.formula.Purpose;
import dremsa.core.formula.Step;
import dremsa.core.formula.Window;
import dremsa.core.kitchen.Container;
import dremsa.core.kitchen.StrainTool;
import dremsa.core.kitchen.VesselKind;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * Reads back what {@link NoteWriter} wrote, to the letter. A text of which a single line is not of
 * that form is no such note, and is read as anybody's.
 */
final class WrittenNote {
  private static final String NUMBER = "([0-9.]+(?:E-?[0-9]+)?)";
  private static final Pattern GRAMS = Pattern.compile("- " + NUMBER + " g (.+)");
  private static final Pattern PERCENT = Pattern.compile("- " + NUMBER + " % (.+)");
  private static final Pattern DROPS = Pattern.compile("- " + NUMBER + " drops to 100 mL (.+)");
  private static final Pattern STEP = Pattern.compile("[0-9]+\\. (.+)\\.");
  private static final Pattern BRANCH = Pattern.compile("Then " + NUMBER + " % (.+)");
  private static final Pattern KEY = Pattern.compile("(.+) \\[([^\\[\\]]+)]");
  private static final String SPAN = NUMBER + " (min|h|d)";
  private static final Pattern TIMED =
      Pattern.compile("(.+), " + SPAN + " \\(" + SPAN + " to " + SPAN + "\\)");
  private static final Pattern COOL =
      Pattern.compile("Cool to " + NUMBER + " °C (.+), (covered|open)");
  private static final Pattern BELOW = Pattern.compile("Stir in below " + NUMBER + " °C");
  private static final Pattern SHAKEN = Pattern.compile("(.+), shaken every ([0-9]+) d");
  private static final Pattern PORTIONS =
      Pattern.compile("Freeze in portions of " + NUMBER + " mL");

  private final Function<String, Optional<String>> idOf;
  private final List<Ingredient> ingredients = new ArrayList<>();
  private final List<Step> steps = new ArrayList<>();
  private final List<Branch> branches = new ArrayList<>();
  private List<Step> into = steps;

  private WrittenNote(Function<String, Optional<String>> idOf) {
    this.idOf = idOf;
  }

  /** A line that is not as the writer would write it. */
  private static final class OtherwiseException extends RuntimeException {
    private static final long serialVersionUID = 1L;
  }

  /**
   * The formula of a written note; empty when it is none.
   *
   * @param idOf the id of a material or brew by its whole name
   */
  static Optional<Formula> read(String text, Function<String, Optional<String>> idOf) {
    try {
      return Optional.of(new WrittenNote(idOf).whole(text));
    } catch (OtherwiseException | InvalidFormulaException e) {
      return Optional.empty();
    } catch (IllegalArgumentException e) {
      // A number that no formula takes: read as anybody's note it is told where.
      return Optional.empty();
    }
  }

  private Formula whole(String text) {
    List<String> lines =
        Arrays.stream(text.split("\n"))
            .map(String::stripTrailing)
            .filter(l -> !l.isBlank())
            .toList();
    if (lines.size() < 5) {
      throw new OtherwiseException();
    }
    Method method = byWords(Method.values(), Method::words, after(lines.get(1), NoteWriter.METHOD));
    Set<Purpose> purposes = EnumSet.noneOf(Purpose.class);
    int at = 2;
    if (lines.get(at).startsWith(NoteWriter.PURPOSES)) {
      for (String words : after(lines.get(at), NoteWriter.PURPOSES).split(", ")) {
        purposes.add(byWords(Purpose.values(), Purpose::words, words));
      }
      at++;
    }
    String about = "";
    if (lines.get(at).startsWith(NoteWriter.ABOUT)) {
      about = after(lines.get(at), NoteWriter.ABOUT);
      at++;
    }
    at = past(lines, at, NoteWriter.TAKE);
    while (at < lines.size() && lines.get(at).startsWith("- ")) {
      ingredients.add(ingredient(lines.get(at++)));
    }
    at = past(lines, at, NoteWriter.DO);
    @Nullable String branch = null;
    double share = 0;
    for (; at < lines.size(); at++) {
      Matcher then = BRANCH.matcher(lines.get(at));
      if (then.matches()) {
        close(branch, share);
        branch = then.group(2);
        share = Double.parseDouble(then.group(1)) / 100;
        into = new ArrayList<>();
        continue;
      }
      at = step(lines, at);
    }
    close(branch, share);
    return new Formula("", lines.get(0), method, purposes, about, ingredients, steps, branches);
  }

  private void close(@Nullable String branch, double share) {
    if (branch != null) {
      branches.add(new Branch(branch, share, into));
    }
  }

  /** Reads a step and what the maker is told of it; answers the last line taken. */
  private int step(List<String> lines, int at) {
    Matcher matcher = STEP.matcher(lines.get(at));
    if (!matcher.matches()) {
      throw new OtherwiseException();
    }
    int last = at;
    String[] told = {"", "", "", ""};
    String[] labels = {NoteWriter.HOW, NoteWriter.UNTIL, NoteWriter.EARLY, NoteWriter.LATE};
    for (int i = 0; i < labels.length; i++) {
      if (last + 1 < lines.size() && lines.get(last + 1).startsWith(labels[i])) {
        told[i] = after(lines.get(++last), labels[i]);
      }
    }
    into.add(sentence(matcher.group(1), new Guide(told[0], told[1], told[2], told[3])));
    return last;
  }

  private Step sentence(String whole, Guide guide) {
    int colon = whole.indexOf(": ");
    String words = colon < 0 ? whole : whole.substring(0, colon);
    List<String> keys = colon < 0 ? List.of() : keys(whole.substring(colon + 2));
    Matcher timed = TIMED.matcher(words);
    if (timed.matches()) {
      Window window =
          new Window(
              minutes(timed.group(4), timed.group(5)),
              minutes(timed.group(2), timed.group(3)),
              minutes(timed.group(6), timed.group(7)));
      return timed(timed.group(1), keys, window, guide);
    }
    return untimed(words, keys, guide);
  }

  private static Step timed(String words, List<String> keys, Window window, Guide guide) {
    for (Step.Treatment treatment : Step.Treatment.values()) {
      if (treatment.headline().equals(words)) {
        return new Step.Prepare(keys, treatment, window, guide);
      }
    }
    for (Step.Level level : Step.Level.values()) {
      for (boolean lid : new boolean[] {true, false}) {
        for (boolean stir : new boolean[] {true, false}) {
          if (words.equals(level.headline() + lid(lid) + stir(stir))) {
            return new Step.Boil(level, lid, stir, window, guide);
          }
        }
      }
    }
    for (var place : Step.Soak.places().entrySet()) {
      if (words.equals("Soak " + place.getValue())) {
        return new Step.Soak(place.getKey(), window, guide);
      }
    }
    Matcher shaken = SHAKEN.matcher(words);
    if (shaken.matches()) {
      return new Step.Macerate(Integer.parseInt(shaken.group(2)), window, guide);
    }
    return switch (words) {
      case "Stand the jar in simmering water" -> new Step.WaterBath(window, guide);
      case "Steep, covered" -> new Step.Steep(true, window, guide);
      case "Steep, open" -> new Step.Steep(false, window, guide);
      case "Let it ferment" -> new Step.Ferment(window, guide);
      case "Blend smooth" -> new Step.Blend(window, guide);
      default -> throw new OtherwiseException();
    };
  }

  private static Step untimed(String words, List<String> keys, Guide guide) {
    if (words.equals("Wash and drain")) {
      return new Step.Wash(keys, guide);
    }
    for (VesselKind vessel : VesselKind.values()) {
      if (words.equals("Pour just-boiled water over in the " + vessel.words())) {
        return new Step.Combine(vessel, keys, Step.LiquidHeat.JUST_BOILED, guide);
      }
      if (words.equals("Put together cold in the " + vessel.words())) {
        return new Step.Combine(vessel, keys, Step.LiquidHeat.ROOM, guide);
      }
    }
    for (boolean lid : new boolean[] {true, false}) {
      for (boolean stir : new boolean[] {true, false}) {
        if (words.equals("Bring to the boil" + lid(lid) + stir(stir))) {
          return new Step.Heat(lid, stir, guide);
        }
      }
    }
    Matcher cool = COOL.matcher(words);
    if (cool.matches()) {
      return new Step.Cool(
          Double.parseDouble(cool.group(1)),
          byWords(Step.CoolingWay.values(), Step.CoolingWay::words, cool.group(2)),
          cool.group(3).equals("covered"),
          guide);
    }
    Matcher below = BELOW.matcher(words);
    if (below.matches()) {
      return new Step.Add(keys, Double.parseDouble(below.group(1)), guide);
    }
    for (StrainTool tool : StrainTool.values()) {
      for (boolean squeeze : new boolean[] {true, false}) {
        Step strain = new Step.Strain(tool, squeeze, guide);
        if (strain.headline().equals(words)) {
          return strain;
        }
      }
    }
    for (Container container : Container.values()) {
      Step bottle = new Step.Bottle(container, guide);
      if (bottle.headline().equals(words)) {
        return bottle;
      }
    }
    Matcher portions = PORTIONS.matcher(words);
    if (portions.matches()) {
      return new Step.Freeze(Double.parseDouble(portions.group(1)), guide);
    }
    throw new OtherwiseException();
  }

  private static String lid(boolean lid) {
    return lid ? ", lid on" : ", lid off";
  }

  private static String stir(boolean stir) {
    return stir ? ", stirring" : "";
  }

  private Ingredient ingredient(String line) {
    for (var form :
        List.of(
            Map.entry(GRAMS, (Function<Double, Proportion>) Proportion.Parts::new),
            Map.entry(PERCENT, (Function<Double, Proportion>) Proportion.PercentOfFinished::new),
            Map.entry(DROPS, (Function<Double, Proportion>) Proportion.DropsPer100Ml::new))) {
      Matcher matcher = form.getKey().matcher(line);
      if (matcher.matches()) {
        Matcher named = KEY.matcher(matcher.group(2));
        String id = id(named.matches() ? named.group(1) : matcher.group(2));
        return new Ingredient(
            named.matches() ? named.group(2) : id,
            id,
            form.getValue().apply(Double.parseDouble(matcher.group(1))));
      }
    }
    throw new OtherwiseException();
  }

  private List<String> keys(String names) {
    List<String> keys = new ArrayList<>();
    for (String name : names.split("; ")) {
      Matcher named = KEY.matcher(name);
      keys.add(named.matches() ? named.group(2) : id(name));
    }
    return keys;
  }

  private String id(String name) {
    return idOf.apply(name).orElseThrow(OtherwiseException::new);
  }

  private static double minutes(String number, String unit) {
    double factor =
        switch (unit) {
          case "h" -> 60;
          case "d" -> 1440;
          default -> 1;
        };
    return Double.parseDouble(number) * factor;
  }

  private static String after(String line, String label) {
    if (!line.startsWith(label)) {
      throw new OtherwiseException();
    }
    return line.substring(label.length());
  }

  private static int past(List<String> lines, int at, String heading) {
    if (at >= lines.size() || !lines.get(at).equals(heading)) {
      throw new OtherwiseException();
    }
    return at + 1;
  }

  private static <T> T byWords(T[] all, Function<T, String> words, String said) {
    return Arrays.stream(all)
        .filter(one -> words.apply(one).equals(said))
        .findFirst()
        .orElseThrow(OtherwiseException::new);
  }
}
