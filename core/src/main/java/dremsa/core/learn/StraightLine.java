package dremsa.core.learn;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.hipparchus.distribution.continuous.TDistribution;

/** A straight line through points by least squares; several groups share one slope. */
final class StraightLine {
  /** A point so many of its own deviations off the line of the others is far off. */
  private static final double FAR_OFF = 4;

  private final List<List<Point>> groups;
  private final int points;
  private final double sxx;
  private final double slope;
  private final double rest;

  /** A point. */
  record Point(double x, double y) {}

  private StraightLine(List<List<Point>> groups) {
    this.groups = groups;
    points = groups.stream().mapToInt(List::size).sum();
    double xx = 0;
    double xy = 0;
    for (List<Point> group : groups) {
      double x = middleX(group);
      double y = middleY(group);
      for (Point point : group) {
        xx += (point.x - x) * (point.x - x);
        xy += (point.x - x) * (point.y - y);
      }
    }
    sxx = xx;
    slope = xx > 0 ? xy / xx : 0;
    double sum = 0;
    for (List<Point> group : groups) {
      for (Point point : group) {
        sum += off(group, point) * off(group, point);
      }
    }
    rest = sum;
  }

  /**
   * The line through some points.
   *
   * @param groups each with an intercept of its own, none of them empty
   */
  static StraightLine through(List<List<Point>> groups) {
    return new StraightLine(groups.stream().map(List::copyOf).toList());
  }

  static double middleX(List<Point> group) {
    return group.stream().mapToDouble(Point::x).average().orElse(0);
  }

  private static double middleY(List<Point> group) {
    return group.stream().mapToDouble(Point::y).average().orElse(0);
  }

  private double off(List<Point> group, Point point) {
    return point.y - middleY(group) - slope * (point.x - middleX(group));
  }

  /** Whether the points lie at different places, so that there is a slope. */
  boolean hasSlope() {
    return sxx > 0;
  }

  double slope() {
    return slope;
  }

  double intercept(int group) {
    return middleY(groups.get(group)) - slope * middleX(groups.get(group));
  }

  /** Degrees of freedom that are left; may be negative. */
  int free() {
    return points - groups.size() - 1;
  }

  /** Standard deviation around the line; needs a degree of freedom. */
  double error() {
    return Math.sqrt(rest / free());
  }

  /** Half of the interval that holds the slope at 95 %; needs a degree of freedom. */
  double half() {
    return half(free(), error(), sxx);
  }

  /** The same for a line that would be measured so well. */
  static double half(int free, double error, double sxx) {
    return new TDistribution(free).inverseCumulativeProbability(0.975) * error / Math.sqrt(sxx);
  }

  double at(int group, double x) {
    return intercept(group) + slope * x;
  }

  /** Half of the band in which the line of a group runs at a place, 95 %; 0 where nothing tells. */
  double band(int group, double x) {
    if (free() < 1 || !hasSlope()) {
      return 0;
    }
    double dx = x - middleX(groups.get(group));
    return half() * Math.sqrt(sxx / groups.get(group).size() + dx * dx);
  }

  /** The median of the slopes between any two points of a group (Theil-Sen); needs a slope. */
  double robust() {
    List<Double> slopes = new ArrayList<>();
    for (List<Point> group : groups) {
      for (int i = 0; i < group.size(); i++) {
        for (int j = i + 1; j < group.size(); j++) {
          double dx = group.get(j).x - group.get(i).x;
          if (dx != 0) {
            slopes.add((group.get(j).y - group.get(i).y) / dx);
          }
        }
      }
    }
    slopes.sort(null);
    int n = slopes.size();
    return (slopes.get((n - 1) / 2) + slopes.get(n / 2)) / 2;
  }

  /** The point furthest off the line that the others make, if it is far off. */
  Optional<Point> farOff() {
    if (free() < 3) {
      return Optional.empty();
    }
    Point furthest = null;
    double most = FAR_OFF;
    for (List<Point> group : groups) {
      for (Point point : group) {
        double dx = point.x - middleX(group);
        double leverage = Math.min(1 - 1e-9, 1.0 / group.size() + dx * dx / sxx);
        double off = Math.abs(off(group, point));
        double without = Math.max(0, rest - off * off / (1 - leverage));
        double deviation = Math.sqrt(without / (free() - 1) * (1 - leverage));
        if (off > 1e-9 && off > most * deviation) {
          most = deviation > 0 ? off / deviation : Double.MAX_VALUE;
          furthest = point;
        }
      }
    }
    return Optional.ofNullable(furthest);
  }

  /** How far the points of all groups but one spread. */
  double spreadBeside(int group) {
    double middle = middleX(groups.get(group));
    double own = 0;
    for (Point point : groups.get(group)) {
      own += (point.x - middle) * (point.x - middle);
    }
    return Math.max(0, sxx - own);
  }
}
