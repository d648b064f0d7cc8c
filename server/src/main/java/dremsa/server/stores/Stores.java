package dremsa.server.stores;

import dremsa.core.material.Material;
import dremsa.core.material.Materials;
import dremsa.core.measure.Said;
import dremsa.server.accounts.Households;
import dremsa.server.bench.MeasuredOut;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.materials.HouseholdMaterials;
import dremsa.server.predictions.LotPrices;
import java.time.Instant;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Keeps the lots: what comes in, what is taken, what is left. */
@Service
public class Stores implements LotPrices {
  static final int MOST_LOTS = 5000;
  private static final int MOST_ITEMS = 200;

  /** What is less than this is crumbs, g. */
  private static final double CRUMBS = 0.05;

  /** Weighing out by a kitchen scale may take a little more than the record says is left, g. */
  private static final double SCALE = 0.5;

  private final LotRepository lots;
  private final LotHappeningRepository happenings;
  private final MinimumRepository minimums;
  private final ShoppingRepository shopping;
  private final Households households;
  private final HouseholdMaterials materials;

  Stores(
      LotRepository lots,
      LotHappeningRepository happenings,
      MinimumRepository minimums,
      ShoppingRepository shopping,
      Households households,
      HouseholdMaterials materials) {
    this.lots = lots;
    this.happenings = happenings;
    this.minimums = minimums;
    this.shopping = shopping;
    this.households = households;
    this.materials = materials;
  }

  /** How something was got. */
  public enum Got {
    BOUGHT("bought"),
    HARVESTED("harvested");

    private final String words;

    Got(String words) {
      this.words = words;
    }

    /** As in a list: {@code "bought"}. */
    public String words() {
      return words;
    }
  }

  /**
   * What comes in.
   *
   * @param price for all of it; null when it is not known
   */
  public record Incoming(
      String material,
      Got got,
      double grams,
      LocalDate on,
      @Nullable Double price,
      String place,
      String note) {}

  @Transactional
  public UUID add(UUID household, Incoming in, Instant at) {
    if (lots.countByHouseholdId(household) >= MOST_LOTS) {
      throw Problem.conflict("There are " + MOST_LOTS + " lots already.");
    }
    known(household, in.material());
    Lot.Origin origin = in.got() == Got.BOUGHT ? Lot.Origin.BOUGHT : Lot.Origin.HARVESTED;
    Lot.Told told = new Lot.Told(in.on(), null, in.price(), in.place(), in.note());
    return put(household, in.material(), origin, in.grams(), told, null, at).id();
  }

  private Lot put(
      UUID household,
      String material,
      Lot.Origin origin,
      double grams,
      Lot.Told told,
      @Nullable UUID driedFrom,
      Instant at) {
    Lot lot =
        lots.saveAndFlush(
            new Lot(UUID.randomUUID(), household, material, origin, grams, driedFrom, told));
    note(lot, null, at, LotHappening.Kind.GOT, -grams, "");
    return lot;
  }

  /** A lot as a table tells it: some of it may be gone. */
  void take(UUID household, Lot lot, double leftGrams, @Nullable Instant ended, Instant at) {
    if (lots.countByHouseholdId(household) >= MOST_LOTS) {
      throw Problem.conflict("There are " + MOST_LOTS + " lots already.");
    }
    lot.take(lot.grams() - leftGrams);
    lot.end(ended);
    lots.saveAndFlush(lot);
    note(lot, null, at, LotHappening.Kind.GOT, -leftGrams, "");
  }

  private Material known(UUID household, String material) {
    return materials
        .of(household)
        .find(material)
        .orElseThrow(
            () ->
                Problem.invalid(
                    FieldProblem.of(
                        "material", material, "There is no material '" + material + "'.")));
  }

  @Transactional
  public void tell(UUID household, UUID id, long version, Lot.Told told) {
    Lot lot = standing(household, id, version);
    lot.tell(told);
    lots.saveAndFlush(lot);
  }

  /** Takes some out by hand. */
  @Transactional
  public void take(UUID household, UUID id, long version, double grams, Instant at) {
    Lot lot = standing(household, id, version);
    if (!(grams > 0 && grams <= lot.leftGrams() + SCALE)) {
      throw Problem.invalid(
          FieldProblem.range(
              "amount.value",
              String.valueOf(grams),
              Said.of("There are %.1f g in it.", lot.leftGrams()),
              0,
              lot.leftGrams()));
    }
    takeOut(lot, null, Math.min(grams, lot.leftGrams()), at, LotHappening.Kind.TAKEN, "");
  }

  private void takeOut(
      Lot lot,
      @Nullable UUID batch,
      double grams,
      Instant at,
      LotHappening.Kind kind,
      String detail) {
    lot.take(grams);
    lot.opened(households.of(lot.householdId()).day(at));
    note(lot, batch, at, kind, grams, detail);
    if (lot.leftGrams() < CRUMBS) {
      lot.end(at);
    }
    lots.saveAndFlush(lot);
  }

  /** It was weighed: the record follows the scale. */
  @Transactional
  public void weigh(UUID household, UUID id, long version, double grams, Instant at) {
    Lot lot = standing(household, id, version);
    double gone = lot.leftGrams() - grams;
    lot.take(gone);
    note(lot, null, at, LotHappening.Kind.WEIGHED, gone, "");
    if (lot.leftGrams() < CRUMBS) {
      lot.end(at);
    }
    lots.saveAndFlush(lot);
  }

  /** Some of a harvest has dried: it becomes a lot of the dried plant. */
  @Transactional
  public UUID dry(
      UUID household,
      UUID id,
      long version,
      double freshGrams,
      String driedMaterial,
      double driedGrams,
      Instant at) {
    Lot lot = standing(household, id, version);
    Materials all = materials.of(household);
    Material becomes = known(household, driedMaterial);
    if (all.otherForms(lot.materialId()).stream().noneMatch(m -> m.id().equals(becomes.id()))
        || becomes.kind().isFresh()) {
      throw Problem.invalid(
          FieldProblem.of(
              "material", becomes.id(), becomes.name() + " is not the dried form of this plant."));
    }
    if (!(freshGrams > 0 && freshGrams <= lot.leftGrams() + SCALE)) {
      throw Problem.invalid(
          FieldProblem.range(
              "fresh.value",
              String.valueOf(freshGrams),
              Said.of("There are %.1f g in it.", lot.leftGrams()),
              0,
              lot.leftGrams()));
    }
    if (!(driedGrams > 0 && driedGrams < freshGrams)) {
      throw Problem.invalid(
          FieldProblem.range(
              "dried.value",
              String.valueOf(driedGrams),
              "Dried it weighs less than fresh.",
              0,
              freshGrams));
    }
    double out = Math.min(freshGrams, lot.leftGrams());
    takeOut(lot, null, out, at, LotHappening.Kind.DRIED, Said.of("%.1f g dried", driedGrams));
    LocalDate today = households.of(household).day(at);
    return put(
            household,
            driedMaterial,
            Lot.Origin.DRIED,
            driedGrams,
            new Lot.Told(today, null, null, lot.place(), ""),
            lot.id(),
            at)
        .id();
  }

  /** What a brew left over was dried for another use. */
  @Transactional
  public UUID spentAndDried(
      UUID household, String material, double grams, String note, Instant at) {
    LocalDate today = households.of(household).day(at);
    Lot.Told told = new Lot.Told(today, null, null, "", note);
    return put(household, material, Lot.Origin.DRIED, grams, told, null, at).id();
  }

  /** What was dried is taken back; refused once some of it was used. */
  @Transactional
  public void takeBackDried(UUID household, UUID id, Instant at) {
    Lot lot = get(household, id);
    if (lot.endedAt() != null || lot.leftGrams() < lot.grams()) {
      throw Problem.conflict("Some of what was dried is used already.");
    }
    end(household, id, lot.version(), "not dried after all", at);
  }

  /** It is gone, whatever the record says is left. */
  @Transactional
  public void end(UUID household, UUID id, long version, String why, Instant at) {
    Lot lot = standing(household, id, version);
    note(lot, null, at, LotHappening.Kind.ENDED, lot.leftGrams(), why);
    lot.take(lot.leftGrams());
    lot.end(at);
    lots.saveAndFlush(lot);
  }

  /** Takes back the last thing that happened to a lot. */
  @Transactional
  public void undo(UUID household, UUID id, long version) {
    Lot lot = get(household, id);
    if (lot.version() != version) {
      throw Problem.conflict("Somebody was quicker. Look at the lot again.");
    }
    LotHappening last =
        happenings
            .findFirstByLotIdAndUndoneFalseOrderByIdDesc(id)
            .orElseThrow(() -> Problem.conflict("There is nothing to take back here."));
    switch (last.kind()) {
      case GOT -> lot.end(last.happenedAt());
      case DRIED -> throw Problem.conflict("What has dried stays dry: end the dried lot instead.");
      default -> {
        lot.take(-last.grams());
        lot.end(null);
      }
    }
    last.undo();
    lots.saveAndFlush(lot);
  }

  /**
   * What a brew takes is deducted, from the oldest lot first. Too little on record stops nobody:
   * the scale knows better than the record.
   */
  @EventListener
  @Transactional(propagation = Propagation.MANDATORY)
  public void measuredOut(MeasuredOut event) {
    event
        .grams()
        .forEach(
            (material, grams) -> {
              double left = grams;
              for (Lot lot :
                  lots.findByHouseholdIdAndMaterialIdAndEndedAtIsNullOrderByGotOn(
                      event.household(), material)) {
                double out = Math.min(left, lot.leftGrams());
                if (out > 0) {
                  takeOut(
                      lot, event.batch(), out, event.at(), LotHappening.Kind.BREWED, event.code());
                }
                left -= out;
              }
            });
  }

  /** Below how much a material is running out; 0 takes the minimum away. */
  @Transactional
  public void minimum(UUID household, String material, double grams) {
    known(household, material);
    StoreMinimum.Key key = new StoreMinimum.Key(household, material);
    if (grams > 0) {
      minimums.save(new StoreMinimum(key, grams));
    } else if (minimums.existsById(key)) {
      minimums.deleteById(key);
    }
    minimums.flush();
  }

  /** Puts something on the shopping list. */
  @Transactional
  public void wanted(UUID household, String words) {
    if (shopping.countByHouseholdId(household) >= MOST_ITEMS) {
      throw Problem.conflict("The list has " + MOST_ITEMS + " lines already.");
    }
    shopping.saveAndFlush(new ShoppingItem(UUID.randomUUID(), household, words.strip()));
  }

  /** What is left of each material, g. */
  @Transactional(readOnly = true)
  public Map<String, Double> left(UUID household) {
    Map<String, Double> left = new HashMap<>();
    lots.findByHouseholdIdAndEndedAtIsNullOrderByGotOn(household)
        .forEach(lot -> left.merge(lot.materialId(), lot.leftGrams(), Double::sum));
    return left;
  }

  @Override
  @Transactional(readOnly = true)
  public Map<String, Double> perGram(UUID household) {
    Map<String, Double> prices = new HashMap<>();
    lots.findByHouseholdIdAndEndedAtIsNullOrderByGotOn(household).stream()
        .filter(lot -> lot.price() != null)
        .forEach(lot -> prices.putIfAbsent(lot.materialId(), lot.price() / lot.grams()));
    return prices;
  }

  Lot get(UUID household, UUID id) {
    return lots.findByIdAndHouseholdId(id, household).orElseThrow(() -> Problem.notFound("lot"));
  }

  private Lot standing(UUID household, UUID id, long version) {
    Lot lot = get(household, id);
    if (lot.version() != version) {
      throw Problem.conflict(
          Said.of("Somebody was quicker: there are now %.1f g in it.", lot.leftGrams()));
    }
    if (lot.endedAt() != null) {
      throw Problem.conflict("This lot is used up.");
    }
    return lot;
  }

  List<LotHappening> happenings(UUID lot) {
    return happenings.findFirst50ByLotIdOrderByIdDesc(lot);
  }

  private void note(
      Lot lot,
      @Nullable UUID batch,
      Instant at,
      LotHappening.Kind kind,
      double grams,
      String detail) {
    happenings.save(new LotHappening(lot, batch, at, kind, grams, detail));
  }
}
