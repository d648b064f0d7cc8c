package dremsa.server.demo;

import dremsa.core.formula.Change;
import dremsa.core.formula.Formula;
import dremsa.core.kitchen.Container;
import dremsa.server.containers.Containers;
import dremsa.server.formulas.Formulas;
import dremsa.server.stores.Stores;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/**
 * What the demo household keeps in its cupboard and its book: lots of an allotment, bottles to
 * fill, own formulas.
 */
@Component
class DemoCupboard {
  private final Stores stores;
  private final Formulas formulas;
  private final Containers containers;

  DemoCupboard(Stores stores, Formulas formulas, Containers containers) {
    this.stores = stores;
    this.formulas = formulas;
    this.containers = containers;
  }

  /** Laid in before anything was brewed. */
  void fill(UUID household, Instant now) {
    harvested(household, now, "lemon-balm", 420, 160, "paper bag, top shelf");
    harvested(household, now, "calendula", 260, 140, "jar by the window");
    harvested(household, now, "nettle-leaf", 90, 395, "tin");
    harvested(household, now, "sage", 260, 170, "bunch in the shed");
    harvested(household, now, "birch-leaf", 380, 190, "paper bag");
    harvested(household, now, "rosemary-fresh", 85, 1, "glass on the sill");
    bought(household, now, "linseed", 2500, 210, 9.80, "bucket with a lid");
    bought(household, now, "fennel-seed", 700, 205, 11.40, "tin");
    bought(household, now, "nettle-powder", 300, 220, 8.60, "tub with its scoop");
    bought(household, now, "sunflower-oil", 920, 120, 3.10, "dark cupboard");
    bought(household, now, "jojoba-oil", 100, 300, 14.50, "dark cupboard");
    bought(household, now, "potassium-sorbate", 50, 260, 6.20, "");
    bought(household, now, "rice", 1000, 60, 2.40, "");
    containers.add(household, Container.SPRAY, 150, false, 3);
    containers.add(household, Container.SPRAY, 250, false, 5);
    containers.add(household, Container.TRIGGER, 500, true, 1);
    containers.add(household, Container.APPLICATOR, 500, false, 3);
    containers.add(household, Container.JAR, 250, false, 4);
    stores.minimum(household, "linseed", 600);
    stores.minimum(household, "nettle-powder", 60);
    stores.minimum(household, "lemon-balm", 150);
    stores.wanted(household, "Two spray bottles, fine mist");
  }

  private void harvested(
      UUID household, Instant now, String material, double grams, int daysAgo, String place) {
    stores.add(
        household,
        new Stores.Incoming(
            material, Stores.Got.HARVESTED, grams, day(now, daysAgo), null, place, "own bed"),
        at(now, daysAgo));
  }

  private void bought(
      UUID household,
      Instant now,
      String material,
      double grams,
      int daysAgo,
      double price,
      String place) {
    stores.add(
        household,
        new Stores.Incoming(
            material, Stores.Got.BOUGHT, grams, day(now, daysAgo), price, place, ""),
        at(now, daysAgo));
  }

  private static Instant at(Instant now, int daysAgo) {
    return now.minus(Duration.ofDays(daysAgo));
  }

  private static LocalDate day(Instant now, int daysAgo) {
    return at(now, daysAgo).atZone(DemoHistory.ZONE).toLocalDate();
  }

  /**
   * A formula of their own, as it was first.
   *
   * @return its id
   */
  String spray(UUID household, Instant now) {
    Formula base = formulas.get(household, "lemon-balm-spray");
    Formula first =
        new Change.Instead("lemon-balm", "sage", 0.6).apply(base).named("Shed-door spray");
    String id = formulas.add(household, List.of(first), base.id(), at(now, 90)).get(0);
    formulas.keep(household, id, "first try, a little sharp", at(now, 90));
    return id;
  }

  /** The same with less of the herb. */
  void betterSpray(UUID household, String id, Instant now) {
    Formula second = new Change.Times("lemon-balm", 0.75).apply(formulas.get(household, id));
    formulas.save(household, id, second, 0, at(now, 60));
    formulas.keep(household, id, "better; stains less", at(now, 60));
  }
}
