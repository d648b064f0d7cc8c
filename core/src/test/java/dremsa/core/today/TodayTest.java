package dremsa.core.today;

import static org.assertj.core.api.Assertions.assertThat;

import dremsa.core.today.Today.Kept;
import dremsa.core.today.Today.Pot;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What stands first is what cannot wait. */
class TodayTest {
  private static final Instant NOW = Instant.parse("2026-03-05T18:00:00Z");
  private static final LocalDate TODAY = LocalDate.parse("2026-03-05");

  private static Pot pot(String name, int minutes) {
    return new Pot(
        name, name, false, NOW.plusSeconds(minutes * 60L), Optional.empty(), "Has it drawn?");
  }

  private static Kept kept(String name, int days) {
    return new Kept(name, name, TODAY.plusDays(days), false);
  }

  private static List<String> words(List<Pot> pots, List<Kept> bottles) {
    return Today.of(pots, bottles, List.of(), List.of(), Optional.empty(), NOW, TODAY).stream()
        .map(Task::words)
        .toList();
  }

  @Test
  void aPotThatCallsComesBeforeABottleThatIsOver() {
    assertThat(
            words(
                List.of(pot("Sage decoction", -5), pot("Linseed gel", 40)),
                List.of(kept("Balm spray", 3), kept("Rosemary rinse", 0), kept("Aloe gel", -2))))
        .containsExactly(
            "Sage decoction: has it drawn?",
            "Throw the aloe gel away",
            "Use the rosemary rinse today",
            "Linseed gel: has it drawn?",
            "Use the balm spray first");
  }

  @Test
  void whatGoesWrongComesBeforeWhatHasWaitedLonger() {
    Pot late =
        new Pot(
            "l",
            "Fennel rinse",
            false,
            NOW.minusSeconds(1200),
            Optional.of(NOW.minusSeconds(60)),
            "Has it drawn?");
    assertThat(words(List.of(pot("Sage decoction", -90), late), List.of()))
        .containsExactly("Fennel rinse: has it drawn?", "Sage decoction: has it drawn?");
  }

  @Test
  void whatIsLaterSaysWhenAndWhatIsTomorrowIsNotForNow() {
    List<Task> tasks =
        Today.of(
            List.of(
                pot("Linseed gel", 40),
                pot("Barley water", 60 * 13),
                new Pot("b", "Balm spray", true, NOW.plusSeconds(3600), Optional.empty(), "Begin")),
            List.of(),
            List.of(),
            List.of(),
            Optional.empty(),
            NOW,
            TODAY);
    assertThat(tasks)
        .extracting(Task::words)
        .containsExactly("Linseed gel: has it drawn?", "Begin the balm spray");
    assertThat(tasks.get(0).at()).isEqualTo(Optional.of(NOW.plusSeconds(2400)));
    assertThat(tasks.get(1).kind()).isEqualTo(Task.Kind.BEGIN);
  }

  @Test
  void whatAStrainerHeldIsUsedWhileItIsGoodAndCompostAfter() {
    List<Task> tasks =
        Today.of(
            List.of(),
            List.of(kept("Aloe gel", -1)),
            List.of(
                new Today.Bowl("a", "Linseed", TODAY, "Use it as a mask"),
                new Today.Bowl("b", "Sage", TODAY.minusDays(1), "Draw it once more")),
            List.of(),
            Optional.empty(),
            NOW,
            TODAY);
    assertThat(tasks)
        .extracting(Task::words)
        .containsExactly(
            "Throw the aloe gel away",
            "Linseed: use it as a mask",
            "Compost what is left of the sage");
    assertThat(tasks.get(2).kind().thing()).isEqualTo(Task.Thing.BOWL);
  }

  @Test
  void whatWasForUseAtOnceIsForNowAndNothingIsNothing() {
    assertThat(words(List.of(), List.of(new Kept("a", "Banana mask", TODAY, true))))
        .containsExactly("Use the banana mask now");
    assertThat(words(List.of(), List.of())).isEmpty();
  }

  @Test
  void headsComeAfterWhatMustGoAndBeforeWhatIsLater() {
    List<Today.Head> heads =
        List.of(
            new Today.Head("Ada", "Wash day", NOW.plusSeconds(3600)),
            new Today.Head("Bo", "Wash day", NOW.plusSeconds(3600)));
    assertThat(
            Today.of(
                    List.of(pot("Linseed gel", 40)),
                    List.of(kept("Rosemary rinse", 0)),
                    List.of(),
                    heads,
                    Optional.empty(),
                    NOW,
                    TODAY)
                .stream()
                .map(Task::words))
        .containsExactly(
            "Use the rosemary rinse today", "Wash day: Ada and Bo", "Linseed gel: has it drawn?");
    List<Today.Head> mixed =
        List.of(new Today.Head("Ada", "Wash day", NOW), new Today.Head("Bo", "Scalp evening", NOW));
    assertThat(
            Today.of(List.of(), List.of(), List.of(), mixed, Optional.empty(), NOW, TODAY)
                .get(0)
                .words())
        .isEqualTo("Today's heads: Ada and Bo");
  }

  @Test
  void brewsOfTheDayComeBeforeAllOnceTheirTimeHasCome() {
    List<Today.Kept> over = List.of(kept("Aloe gel", -1));
    Today.Brews later = new Today.Brews(NOW.plusSeconds(3600), "Brew 300 mL of gel today");
    Today.Brews now = new Today.Brews(NOW, "Brew 300 mL of gel today");

    assertThat(words(over, later))
        .containsExactly("Throw the aloe gel away", "Brew 300 mL of gel today");
    assertThat(words(over, now))
        .containsExactly("Brew 300 mL of gel today", "Throw the aloe gel away");
  }

  private static List<String> words(List<Today.Kept> bottles, Today.Brews brews) {
    return Today.of(List.of(), bottles, List.of(), List.of(), Optional.of(brews), NOW, TODAY)
        .stream()
        .map(Task::words)
        .toList();
  }
}
