package dremsa.core.fill;

import dremsa.core.brew.Finished;
import dremsa.core.kitchen.Container;
import dremsa.core.measure.Said;
import dremsa.core.scale.Target;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Containers proposed for a brew.
 *
 * @param filled in the order of filling; together they hold the brew
 * @param advice what to do or to know first; may be empty
 */
public record Filling(List<Filled> filled, List<String> advice) {
  /** Sizes that are sold everywhere, mL; proposed where none of the household's own is free. */
  private static final List<Double> USUAL_ML = List.of(50.0, 100.0, 150.0, 250.0, 500.0, 1000.0);

  /** What is less than this is not worth a container of its own, mL. */
  private static final double DREGS_ML = 2;

  /** Of what is written on a container the eye is off by this much. */
  private static final double EYE = 0.005;

  public Filling {
    filled = List.copyOf(filled);
    advice = List.copyOf(advice);
  }

  /**
   * One container.
   *
   * @param sizeMl what is written on it
   * @param millilitres what goes into it
   * @param owned one of the household's own, free now
   */
  public record Filled(Container kind, double sizeMl, double millilitres, boolean owned) {}

  /**
   * Proposes containers: those that the brew was measured for, else the fewest of the household's
   * own that hold it.
   *
   * @param wanted what the formula fills
   * @param target what was measured for; bottles of a size are taken as asked
   * @param own what the household owns; empty when it wrote none down
   */
  public static Filling of(
      Container wanted, Finished brew, Target target, List<ContainerSet> own, Instant now) {
    return new Proposal(brew, own, now).propose(wanted, target);
  }

  private static final class Proposal {
    private final Finished brew;
    private final List<ContainerSet> own;
    private final Instant now;
    private final Map<ContainerSet, Integer> taken = new LinkedHashMap<>();
    private final List<Filled> filled = new ArrayList<>();
    private final Set<String> advice = new LinkedHashSet<>();
    private double left;

    private Proposal(Finished brew, List<ContainerSet> own, Instant now) {
      this.brew = brew;
      this.own = own;
      this.now = now;
      this.left = Math.floor(brew.millilitres() + 1e-6);
    }

    private Filling propose(Container wanted, Target target) {
      Container kind = suited(wanted);
      if (target instanceof Target.Bottles bottles && kind == wanted) {
        asAsked(kind, bottles);
      } else {
        fewest(kind);
      }
      sterilising();
      return new Filling(filled, List.copyOf(advice));
    }

    /** The wanted kind, or the thinnest-nozzled one that the brew still comes out of. */
    private Container suited(Container wanted) {
      boolean filter = own.stream().anyMatch(s -> s.kind() == wanted && s.filter() && s.free() > 0);
      if (Suiting.against(wanted, filter, brew).isEmpty()) {
        if (filter && Suiting.against(wanted, false, brew).isPresent()) {
          advice.add(
              "Bits are left in it: fill the one with a filter on its tube, and rinse that"
                  + " filter after use.");
        }
        return wanted;
      }
      Suiting.Objection no = Suiting.against(wanted, filter, brew).orElseThrow();
      for (Container other : Container.values()) {
        if (other != Container.CUBES && Suiting.against(other, false, brew).isEmpty()) {
          advice.add(no.what() + " Fill a " + other.words() + " instead.");
          return other;
        }
      }
      return Container.JAR;
    }

    private void asAsked(Container kind, Target.Bottles bottles) {
      for (int i = 0; i < bottles.count() && left >= DREGS_ML; i++) {
        fill(kind, bottles.sizeMl(), Math.min(bottles.sizeMl() * kind.fill(), left));
      }
      // A little over what was asked for goes to the last one's neck, not into one more.
      if (left >= Math.max(DREGS_ML, bottles.sizeMl() * EYE * 4)) {
        fewest(kind);
      }
    }

    private void fewest(Container kind) {
      List<Double> sizes =
          own.stream()
              .filter(set -> set.kind() == kind && set.free() > 0 && suits(set))
              .map(ContainerSet::sizeMl)
              .sorted()
              .toList();
      while (left >= DREGS_ML) {
        List<Double> free = sizes.stream().filter(size -> left(kind, size) > 0).toList();
        if (free.isEmpty() && !own.isEmpty()) {
          advice.add(Said.of("No %s of yours is free for %.0f mL.", kind.words(), left));
        }
        double size = smallestFor(free.isEmpty() ? USUAL_ML : free, kind);
        fill(kind, size, Math.min(left, size * kind.fill()));
      }
    }

    private boolean suits(ContainerSet set) {
      return Suiting.against(set.kind(), set.filter(), brew).isEmpty();
    }

    /** The smallest that holds what is left, or the largest there is. */
    private double smallestFor(List<Double> sizes, Container kind) {
      return sizes.stream()
          .filter(size -> size * kind.fill() >= left * (1 - EYE))
          .findFirst()
          .orElseGet(() -> sizes.stream().max(Comparator.naturalOrder()).orElseThrow());
    }

    private int left(Container kind, double size) {
      return own.stream()
          .filter(set -> set.is(kind, size))
          .mapToInt(set -> set.free() - taken.getOrDefault(set, 0))
          .sum();
    }

    private void fill(Container kind, double size, double millilitres) {
      boolean free = left(kind, size) > 0;
      if (free) {
        own.stream()
            .filter(set -> set.is(kind, size) && set.free() > taken.getOrDefault(set, 0))
            .findFirst()
            .ifPresent(set -> taken.merge(set, 1, Integer::sum));
      } else if (own.stream().anyMatch(set -> set.is(kind, size))) {
        advice.add(
            Said.of(
                "All your %ss of %.0f mL are taken: wash one, or fill another.",
                kind.words(), size));
      }
      filled.add(new Filled(kind, size, Math.floor(millilitres + 1e-6), free));
      left -= millilitres;
    }

    private void sterilising() {
      taken.forEach(
          (set, count) -> {
            int more = count - set.ready(now);
            if (more > 0) {
              advice.add(
                  Said.of(
                      "Sterilise %d %s%s of %.0f mL first.",
                      more, set.kind().words(), more == 1 ? "" : "s", set.sizeMl()));
            }
          });
    }
  }
}
