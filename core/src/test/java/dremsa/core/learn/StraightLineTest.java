package dremsa.core.learn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dremsa.core.learn.StraightLine.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.hipparchus.stat.regression.OLSMultipleLinearRegression;
import org.hipparchus.stat.regression.SimpleRegression;
import org.junit.jupiter.api.Test;

class StraightLineTest {
  /** Response and predictor, in pairs. */
  private static final double[] NORRIS = {
    0.1, 0.2, 338.8, 337.4, 118.1, 118.2, 888.0, 884.6, 9.2, 10.1, 228.1, 226.5, 668.5, 666.3,
    998.5, 996.3, 449.1, 448.6, 778.9, 777.0, 559.2, 558.2, 0.3, 0.4, 0.1, 0.6, 778.1, 775.5,
    668.8, 666.9, 339.3, 338.0, 448.9, 447.5, 10.8, 11.6, 557.7, 556.0, 228.3, 228.1, 998.0, 995.8,
    888.8, 887.6, 119.6, 120.2, 0.3, 0.3, 0.6, 0.3, 557.6, 556.8, 339.3, 339.1, 888.0, 887.2,
    998.5, 999.0, 778.9, 779.0, 10.2, 11.1, 117.6, 118.3, 228.9, 229.2, 668.4, 669.1, 449.2, 448.9,
    0.2, 0.5
  };

  /** NIST Statistical Reference Datasets, linear regression: Norris; certified values. */
  @Test
  void norris() {
    List<Point> points = new ArrayList<>();
    for (int i = 0; i < NORRIS.length; i += 2) {
      points.add(new Point(NORRIS[i + 1], NORRIS[i]));
    }

    StraightLine line = StraightLine.through(List.of(points));

    assertThat(line.slope()).isCloseTo(1.00211681802045, within(1e-13));
    assertThat(line.intercept(0)).isCloseTo(-0.262323073774029, within(1e-11));
    assertThat(line.error()).isCloseTo(0.884796396144373, within(1e-12));
    assertThat(line.free()).isEqualTo(34);
  }

  /** Against the simple regression of the numerics library. */
  @Test
  void theIntervalIsThatOfTheLibrary() {
    Random dice = new Random(5);
    SimpleRegression library = new SimpleRegression();
    List<Point> points = new ArrayList<>();
    for (int i = 0; i < 12; i++) {
      Point point = new Point(i * 0.7 + dice.nextDouble(), 30 + i + dice.nextGaussian());
      points.add(point);
      library.addData(point.x(), point.y());
    }

    StraightLine line = StraightLine.through(List.of(points));

    assertThat(line.slope()).isCloseTo(library.getSlope(), within(1e-9));
    assertThat(line.half()).isCloseTo(library.getSlopeConfidenceInterval(0.05), within(1e-9));
    assertThat(line.at(0, 3)).isCloseTo(library.predict(3), within(1e-9));
  }

  /** Against the multiple regression of the numerics library, with a column for each group. */
  @Test
  void groupsShareASlope() {
    Random dice = new Random(8);
    List<List<Point>> groups = List.of(new ArrayList<>(), new ArrayList<>(), new ArrayList<>());
    double[] y = new double[15];
    double[][] x = new double[15][4];
    for (int i = 0; i < 15; i++) {
      int group = i / 5;
      y[i] = 20 - 7 * group + i + dice.nextGaussian();
      x[i][group] = 1;
      x[i][3] = i;
      groups.get(group).add(new Point(i, y[i]));
    }
    OLSMultipleLinearRegression library = new OLSMultipleLinearRegression();
    library.setNoIntercept(true);
    library.newSampleData(y, x);

    StraightLine line = StraightLine.through(groups);

    double[] found = library.estimateRegressionParameters();
    assertThat(line.slope()).isCloseTo(found[3], within(1e-9));
    for (int group = 0; group < 3; group++) {
      assertThat(line.intercept(group)).isCloseTo(found[group], within(1e-9));
    }
    assertThat(line.error()).isCloseTo(Math.sqrt(library.estimateErrorVariance()), within(1e-9));
    assertThat(line.half())
        .isCloseTo(
            StraightLine.half(
                11, 1, 1 / Math.pow(library.estimateRegressionParametersStandardErrors()[3], 2)),
            within(1e-9));
  }

  @Test
  void onePointFarOffMovesTheLineButNotTheRobustOne() {
    List<Point> points = new ArrayList<>();
    for (int i = 0; i < 9; i++) {
      points.add(new Point(i, 30 + i + (i % 2 == 0 ? 0.1 : -0.1)));
    }
    assertThat(StraightLine.through(List.of(points)).farOff()).isEmpty();
    Point wrong = new Point(7.5, 50);
    points.add(wrong);

    StraightLine line = StraightLine.through(List.of(points));

    assertThat(line.farOff()).contains(wrong);
    assertThat(line.slope()).isGreaterThan(1.3);
    assertThat(line.robust()).isCloseTo(1, within(0.1));
  }

  @Test
  void pointsAtOnePlaceHaveNoSlope() {
    StraightLine line = StraightLine.through(List.of(List.of(new Point(1, 3), new Point(1, 5))));

    assertThat(line.hasSlope()).isFalse();
    assertThat(StraightLine.through(List.of()).hasSlope()).isFalse();
  }
}
