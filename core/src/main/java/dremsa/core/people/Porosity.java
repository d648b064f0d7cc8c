package dremsa.core.people;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * How readily hair takes water up. Found by looking, not by floating a hair on water: that tells of
 * oil and trapped air, not of the hair. Common practice.
 */
public enum Porosity {
  LOW("low: water beads and stays"),
  NORMAL("normal"),
  HIGH("high: water soaks in at once"),
  UNSURE("not sure");

  private final String words;

  Porosity(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }

  /** Water sprayed on clean, dry hair without anything in it, looked at after a minute. */
  public enum Spray {
    BEADS_STAY("The beads stay", LOW),
    SOAKS_SLOWLY("They go in little by little", NORMAL),
    SOAKS_AT_ONCE("It soaks in at once", HIGH);

    private final String words;
    private final Porosity says;

    Spray(String words, Porosity says) {
      this.words = words;
      this.says = says;
    }

    public String words() {
      return words;
    }
  }

  /** How long it takes to dry in the air. */
  public enum Drying {
    OVER_6_H("More than 6 hours", LOW),
    BETWEEN("2 to 6 hours", NORMAL),
    UNDER_2_H("Less than 2 hours", HIGH);

    private final String words;
    private final Porosity says;

    Drying(String words, Porosity says) {
      this.words = words;
      this.says = says;
    }

    public String words() {
      return words;
    }
  }

  /** What becomes of a cream or oil. */
  public enum Products {
    SIT_ON_TOP("They sit on top", LOW),
    SINK_IN("They sink in after a while", NORMAL),
    VANISH("They are gone at once, the hair wants more", HIGH);

    private final String words;
    private final Porosity says;

    Products(String words, Porosity says) {
      this.words = words;
      this.says = says;
    }

    public String words() {
      return words;
    }
  }

  /**
   * What three answers say together: what two of them agree on; else, or with fewer than two
   * answers, not sure.
   */
  public static Porosity vote(
      Optional<Spray> spray, Optional<Drying> drying, Optional<Products> products) {
    Objects.requireNonNull(spray, "spray");
    List<Porosity> votes = new ArrayList<>();
    spray.ifPresent(answer -> votes.add(answer.says));
    drying.ifPresent(answer -> votes.add(answer.says));
    products.ifPresent(answer -> votes.add(answer.says));
    for (Porosity each : votes) {
      if (votes.stream().filter(each::equals).count() >= 2) {
        return each;
      }
    }
    return UNSURE;
  }
}
