package dremsa.core.practice;

import static org.assertj.core.api.Assertions.assertThat;

import dremsa.core.brew.PotNow;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Consumer;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;

/** Each exercise can be done, and the mistake that it is for is what it tells of. */
class ExercisesTest {
  private static final Map<String, Consumer<Hand>> GOOD = new TreeMap<>();
  private static final Map<String, Consumer<Hand>> MISTAKE = new TreeMap<>();

  /** The step at which the mistake is made. */
  private static final Map<String, String> DEAREST =
      Map.ofEntries(
          Map.entry("too-soon", "boil"),
          Map.entry("looks-like-water", "boil"),
          Map.entry("to-the-bottom", "boil"),
          Map.entry("thirsty-seed", "combine"),
          Map.entry("through-paper", "strain"),
          Map.entry("hot-glass", "combine"),
          Map.entry("oil-while-hot", "cool"),
          Map.entry("preservative-while-hot", "cool"),
          Map.entry("before-you-go", "steep"),
          Map.entry("cold-room", "ferment"),
          Map.entry("yellow-sap", "prepare"),
          Map.entry("spoon-for-teaspoon", "add"),
          Map.entry("under-the-lid", "boil"),
          Map.entry("while-it-runs", "strain"));

  static {
    GOOD.put("too-soon", hand -> hand.upTo("boil").heat(Hand.MOVING).stirs(6).next().rest());
    GOOD.put(
        "to-the-bottom",
        hand ->
            hand.upTo("boil")
                .heat(Hand.MOVING)
                .stirs(2)
                .heat(0)
                .waits(3.6)
                .heat(Hand.FULL)
                .until(PotNow::boils, true)
                .heat(Hand.MOVING)
                .stirs(4)
                .next()
                .rest());
    // Oats froth and catch on the way to the boil already: open, and stirred.
    GOOD.put(
        "oil-while-hot",
        hand -> hand.upTo("heat").heat(Hand.FULL).until(PotNow::boils, true).next().rest());
    GOOD.put("thirsty-seed", hand -> hand.does(Act.Kind.WEIGH, "water", 900).rest());
    GOOD.put("before-you-go", hand -> hand.upTo("steep").waits(150).next().rest());
    GOOD.put(
        "spoon-for-teaspoon",
        hand -> hand.upTo("add").does(Act.Kind.WEIGH, "potassium-sorbate", 1.9).rest());

    MISTAKE.put("too-soon", hand -> hand.upTo("boil").heat(Hand.MOVING).stirs(1).next().rest());
    MISTAKE.put(
        "looks-like-water", hand -> hand.upTo("boil").heat(Hand.MOVING).stirs(12).next().rest());
    MISTAKE.put("to-the-bottom", hand -> hand.upTo("boil").heat(Hand.FULL).waits(6).next().rest());
    MISTAKE.put("thirsty-seed", Hand::rest);
    MISTAKE.put("through-paper", hand -> hand.upTo("strain").well().choose("once").next().rest());
    MISTAKE.put("hot-glass", hand -> hand.choose("shelf").waits(3).next().rest());
    MISTAKE.put(
        "oil-while-hot",
        hand ->
            hand.upTo("heat")
                .heat(Hand.FULL)
                .until(PotNow::boils, true)
                .next()
                .upTo("cool")
                .waits(2)
                .next()
                .rest());
    MISTAKE.put("preservative-while-hot", hand -> hand.upTo("cool").waits(3).next().rest());
    MISTAKE.put(
        "before-you-go", hand -> hand.upTo("steep").waits(125 + 30 + 12 * 60 + 5).next().rest());
    MISTAKE.put("cold-room", hand -> hand.upTo("ferment").waits(60 * 60).next().rest());
    MISTAKE.put("yellow-sap", hand -> hand.waits(2).next().rest());
    MISTAKE.put("spoon-for-teaspoon", Hand::rest);
    MISTAKE.put(
        "under-the-lid",
        hand -> hand.upTo("boil").heat(Hand.FULL).lid(false).waits(15).next().rest());
    MISTAKE.put("while-it-runs", hand -> hand.upTo("strain").waits(60).next().rest());
  }

  @Test
  void thereAreAtLeastTwelveEachWithATaskAndALesson() {
    assertThat(Exercises.all()).hasSizeGreaterThanOrEqualTo(12);
    assertThat(Exercises.all())
        .allSatisfy(
            exercise -> {
              assertThat(exercise.task()).isNotBlank();
              assertThat(exercise.lesson()).isNotBlank();
              assertThat(exercise.aims()).hasSizeGreaterThanOrEqualTo(2);
            });
    Set<String> ids = new HashSet<>(Exercises.all().stream().map(Exercise::id).toList());
    assertThat(ids).hasSameSizeAs(Exercises.all()).isEqualTo(MISTAKE.keySet());
  }

  @TestFactory
  List<DynamicTest> doneWellItReachesWhatIsAsked() {
    return Exercises.all().stream()
        .map(
            exercise ->
                DynamicTest.dynamicTest(
                    exercise.id(),
                    () -> {
                      Hand hand = new Hand(exercise);
                      GOOD.getOrDefault(exercise.id(), Hand::rest).accept(hand);
                      assertThat(missed(hand)).isEmpty();
                    }))
        .toList();
  }

  @TestFactory
  List<DynamicTest> theMistakeIsTold() {
    return Exercises.all().stream()
        .map(
            exercise ->
                DynamicTest.dynamicTest(
                    exercise.id(),
                    () -> {
                      Hand hand = new Hand(exercise);
                      MISTAKE.get(exercise.id()).accept(hand);
                      assertThat(missed(hand)).as(hand.debrief().reached().toString()).isNotEmpty();
                      Debrief debrief = hand.debrief();
                      int dearest = debrief.differences().get(0).step();
                      assertThat(exercise.formula().steps().get(dearest).kind().key())
                          .isEqualTo(DEAREST.get(exercise.id()));
                    }))
        .toList();
  }

  private static List<String> missed(Hand hand) {
    return hand.debrief().reached().stream()
        .filter(reached -> !reached.ok())
        .map(
            reached ->
                reached.aim().what()
                    + " "
                    + reached.aim().told(reached.value())
                    + ", wanted "
                    + reached.aim().wanted())
        .toList();
  }
}
