package dremsa.core.learn;

import dremsa.core.measure.Said;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.hipparchus.stat.inference.AlternativeHypothesis;
import org.hipparchus.stat.inference.BinomialTest;

/**
 * What several trials of the same products say together of one criterion.
 *
 * @param criterion what was scored
 * @param trials in which all products were scored
 * @param leader the product that did best; the first of those that did as well
 * @param wins trials in which no other was as good
 * @param ties trials in which the best were equal
 * @param chance how often chance alone would make a difference as large, 0 to 1; exact
 * @param threshold the chance below which it counts as settled, shared out over all criteria (Holm)
 * @param more trials that would settle it if the leader won them all; 0 where it is settled
 */
public record TrialVerdict(
    Criterion criterion,
    int trials,
    String leader,
    int wins,
    int ties,
    double chance,
    double threshold,
    int more) {
  private static final double LEVEL = 0.05;
  private static final int MOST_MORE = 30;

  /** Whether chance alone is no good explanation. */
  public boolean settled() {
    return chance <= threshold;
  }

  /** All criteria, as far as they were scored. */
  public static List<TrialVerdict> of(List<String> products, Collection<SectionTrial> trials) {
    List<TrialVerdict> raw = new ArrayList<>();
    for (Criterion criterion : Criterion.values()) {
      List<double[]> scores =
          trials.stream()
              .map(trial -> trial.of(criterion, products))
              .filter(each -> !each.isEmpty())
              .map(each -> each.stream().mapToDouble(score -> goodness(criterion, score)).toArray())
              .toList();
      if (!scores.isEmpty()) {
        raw.add(verdict(criterion, products, scores));
      }
    }
    return shared(raw);
  }

  private static double goodness(Criterion criterion, double score) {
    return criterion.lessIsBetter() ? -score : score;
  }

  private static TrialVerdict verdict(
      Criterion criterion, List<String> products, List<double[]> scores) {
    int[] doubled = doubledRankSums(scores);
    int best = 0;
    for (int i = 1; i < doubled.length; i++) {
      best = doubled[i] > doubled[best] ? i : best;
    }
    int wins = 0;
    int ties = 0;
    for (double[] trial : scores) {
      double top = Arrays.stream(trial).max().orElseThrow();
      boolean alone = Arrays.stream(trial).filter(score -> score == top).count() == 1;
      wins += alone && trial[best] == top ? 1 : 0;
      ties += alone ? 0 : 1;
    }
    return new TrialVerdict(
        criterion, scores.size(), products.get(best), wins, ties, chance(scores), LEVEL, 0);
  }

  /** Holm: the smallest chance against the level over all, the next over one fewer, and so on. */
  private static List<TrialVerdict> shared(List<TrialVerdict> raw) {
    List<TrialVerdict> sorted =
        raw.stream().sorted(Comparator.comparingDouble(TrialVerdict::chance)).toList();
    Map<Criterion, Double> thresholds = new HashMap<>();
    boolean open = true;
    for (int i = 0; i < sorted.size(); i++) {
      double threshold = open ? LEVEL / (sorted.size() - i) : 0;
      thresholds.put(sorted.get(i).criterion, threshold);
      open &= sorted.get(i).chance <= threshold;
    }
    return raw.stream()
        .map(
            each -> {
              double threshold = Objects.requireNonNull(thresholds.get(each.criterion));
              double wanted = threshold > 0 ? threshold : LEVEL / raw.size();
              return new TrialVerdict(
                  each.criterion,
                  each.trials,
                  each.leader,
                  each.wins,
                  each.ties,
                  each.chance,
                  threshold,
                  each.chance <= threshold ? 0 : more(each, wanted));
            })
        .toList();
  }

  /** Trials that the leader would have to win in a row; by the sign test. */
  private static int more(TrialVerdict of, double wanted) {
    int losses = of.trials - of.wins - of.ties;
    for (int more = 1; more <= MOST_MORE; more++) {
      if (sign(of.wins + more, losses) <= wanted) {
        return more;
      }
    }
    return MOST_MORE;
  }

  /**
   * How often chance alone makes a difference at least as large: the exact sign test for two
   * products, for more the exact distribution of Friedman's statistic over all ways to deal the
   * ranks of each trial out, ties kept.
   */
  static double chance(List<double[]> scores) {
    if (scores.get(0).length > 2) {
      return friedman(scores);
    }
    int wins = (int) scores.stream().filter(trial -> trial[0] > trial[1]).count();
    int losses = (int) scores.stream().filter(trial -> trial[0] < trial[1]).count();
    return sign(wins, losses);
  }

  private static double sign(int wins, int losses) {
    int n = wins + losses;
    return n == 0
        ? 1
        : Math.min(
            1,
            new BinomialTest()
                .binomialTest(n, Math.max(wins, losses), 0.5, AlternativeHypothesis.TWO_SIDED));
  }

  /** Twice the rank of each within a trial, the best highest; equals share their ranks. */
  static int[] doubledRanks(double[] trial) {
    int[] ranks = new int[trial.length];
    for (int i = 0; i < trial.length; i++) {
      for (double other : trial) {
        ranks[i] += other < trial[i] ? 2 : other == trial[i] ? 1 : 0;
      }
      ranks[i] += 1;
    }
    return ranks;
  }

  private static int[] doubledRankSums(List<double[]> scores) {
    int[] sums = new int[scores.get(0).length];
    for (double[] trial : scores) {
      int[] ranks = doubledRanks(trial);
      for (int i = 0; i < sums.length; i++) {
        sums[i] += ranks[i];
      }
    }
    return sums;
  }

  private static double friedman(List<double[]> scores) {
    Map<List<Integer>, Double> dealt = new HashMap<>();
    dealt.put(Collections.nCopies(scores.get(0).length, 0), 1.0);
    for (double[] trial : scores) {
      List<int[]> ways = permutations(doubledRanks(trial));
      Map<List<Integer>, Double> next = new HashMap<>();
      dealt.forEach(
          (sums, share) -> {
            for (int[] way : ways) {
              List<Integer> more = new ArrayList<>(sums);
              for (int i = 0; i < way.length; i++) {
                more.set(i, more.get(i) + way[i]);
              }
              next.merge(more, share / ways.size(), Double::sum);
            }
          });
      dealt = next;
    }
    double seen = spread(Arrays.stream(doubledRankSums(scores)).boxed().toList());
    return Math.min(
        1,
        dealt.entrySet().stream()
            .filter(each -> spread(each.getKey()) >= seen - 1e-9)
            .mapToDouble(Map.Entry::getValue)
            .sum());
  }

  /** Friedman's statistic grows with the squares of the rank sums. */
  private static double spread(List<Integer> sums) {
    double middle = sums.stream().mapToInt(Integer::intValue).average().orElse(0);
    return sums.stream().mapToDouble(sum -> (sum - middle) * (sum - middle)).sum();
  }

  private static List<int[]> permutations(int[] of) {
    if (of.length <= 1) {
      return List.of(of);
    }
    List<int[]> all = new ArrayList<>();
    for (int first = 0; first < of.length; first++) {
      int[] rest = new int[of.length - 1];
      for (int i = 0, j = 0; i < of.length; i++) {
        if (i != first) {
          rest[j++] = of[i];
        }
      }
      for (int[] tail : permutations(rest)) {
        int[] way = new int[of.length];
        way[0] = of[first];
        System.arraycopy(tail, 0, way, 1, tail.length);
        all.add(way);
      }
    }
    return all;
  }

  /**
   * As a sentence for the maker.
   *
   * @param name of the leader, or the number of its jar while nobody is to know
   */
  public String words(String name) {
    String what =
        Said.of(
            "%s %s in %d of %d %s",
            name, criterion.better(), wins, trials, trials == 1 ? "trial" : "trials");
    String equal = ties == 0 ? "" : Said.of(" (%d equal)", ties);
    return what
        + equal
        + "; by chance alone that happens "
        + often(chance)
        + (settled()
            ? ": settled."
            : Said.of(": not settled. %d more won in a row would settle it.", more));
  }

  private static String often(double chance) {
    if (chance > 0.9) {
      return "nearly always";
    }
    if (chance > 0.4) {
      return "about every second time";
    }
    return Said.of("about one time in %d", Math.round(1 / chance));
  }
}
