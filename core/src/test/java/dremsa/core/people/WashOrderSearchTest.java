package dremsa.core.people;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** The order of a wash day, looked for by the solver of the brew day. */
class WashOrderSearchTest {
  private static List<WashStep> head(Random dice) {
    List<WashStep> steps = new ArrayList<>();
    for (int s = 0; s < 3 + dice.nextInt(4); s++) {
      double least = 2 + dice.nextInt(10);
      Optional<Contact> rest =
          dice.nextInt(2) == 0
              ? Optional.of(new Contact(least, least + 5, least + 10 + dice.nextInt(20), ""))
              : Optional.empty();
      steps.add(new WashStep(s, "step " + s, 3 + dice.nextInt(12), rest));
    }
    return steps;
  }

  @Test
  void itIsNeverWorseThanWhatTryingFinds() {
    Random dice = new Random(5);
    for (int round = 0; round < 12; round++) {
      List<List<WashStep>> heads = new ArrayList<>();
      List<WashOrder.Progress> none = new ArrayList<>();
      for (int h = 0; h < 2 + dice.nextInt(3); h++) {
        heads.add(head(dice));
        none.add(WashOrder.Progress.NONE);
      }
      WashOrder tried = WashOrder.of(heads);
      WashOrder found = WashOrder.searched(heads, none, 0);
      assertThat(found.overrun()).isLessThanOrEqualTo(tried.overrun() + 1e-6);
      assertThat(found.minutes()).isLessThanOrEqualTo(tried.minutes() + 1e-6);
      assertThat(found.items()).hasSize(heads.stream().mapToInt(List::size).sum());
      double busy = 0;
      List<WashOrder.Item> byTime =
          found.items().stream().sorted(Comparator.comparingDouble(WashOrder.Item::start)).toList();
      for (WashOrder.Item item : byTime) {
        assertThat(item.start()).isGreaterThanOrEqualTo(busy - 1e-6);
        busy = item.end();
      }
    }
  }

  @Test
  void underWayItGoesOnFromWhereItIs() {
    Random dice = new Random(8);
    List<List<WashStep>> heads = List.of(head(dice), head(dice));
    List<WashOrder.Progress> progress =
        List.of(new WashOrder.Progress(1, 12), WashOrder.Progress.NONE);

    WashOrder order = WashOrder.searched(heads, progress, 15);

    assertThat(order.items()).allMatch(item -> item.start() >= 15 - 1e-9);
    assertThat(order.items()).noneMatch(item -> item.head() == 0 && item.step() == 0);
    assertThat(order.items()).hasSize(heads.get(0).size() - 1 + heads.get(1).size());
  }

  @Test
  void oneHeadNeedsNoSearch() {
    List<List<WashStep>> one = List.of(head(new Random(2)));
    assertThat(WashOrder.searched(one, List.of(WashOrder.Progress.NONE), 0))
        .isEqualTo(WashOrder.of(one));
  }
}
