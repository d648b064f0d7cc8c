package dremsa.server.shelf;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Contents;
import dremsa.core.brew.CyclicFormulasException;
import dremsa.core.brew.Facts;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.Stock;
import dremsa.core.formula.Formula;
import dremsa.core.keep.KeepEvent;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.kitchen.Place;
import dremsa.core.material.Materials;
import dremsa.core.material.UnknownMaterialException;
import dremsa.core.people.Product;
import dremsa.core.people.Sheet;
import dremsa.core.people.Standing;
import dremsa.server.bench.BatchRecord;
import dremsa.server.bench.Brewing;
import dremsa.server.bench.Runs;
import dremsa.server.formulas.Formulas;
import dremsa.server.kitchens.Kitchens;
import dremsa.server.materials.HouseholdMaterials;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.PageRequest;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The bottles of the shelf and the brews of the bench, as those see them who put them on heads. */
@Service
public class HeadBottles {
  private final BottleRepository repository;
  private final Judging judging;
  private final Shelf shelf;
  private final Runs runs;
  private final Brewing brewing;
  private final Formulas formulas;
  private final Kitchens kitchens;
  private final HouseholdMaterials materials;

  HeadBottles(
      BottleRepository repository,
      Judging judging,
      Shelf shelf,
      Runs runs,
      Brewing brewing,
      Formulas formulas,
      Kitchens kitchens,
      HouseholdMaterials materials) {
    this.repository = repository;
    this.judging = judging;
    this.shelf = shelf;
    this.runs = runs;
    this.brewing = brewing;
    this.formulas = formulas;
    this.kitchens = kitchens;
    this.materials = materials;
  }

  /** All that stands, the first to go first. */
  @Transactional(readOnly = true)
  public List<Standing> standing(UUID household, Instant now) {
    List<Bottle> bottles =
        repository.findByHouseholdIdAndStatusOrderByLastDayAscRunsOutAscNumberAsc(
            household, Bottle.Status.STANDING, PageRequest.of(0, BottleController.MOST_STANDING));
    Judging.Round round = judging.round(household, bottles);
    Finder finder = new Finder(household);
    return bottles.stream()
        .map(bottle -> standing(bottle, finder.of(round.known(bottle), now)))
        .toList();
  }

  private static Standing standing(Bottle bottle, Product product) {
    return new Standing(
        bottle.id().toString(),
        bottle.number() > 1 ? bottle.name() + " " + bottle.number() : bottle.name(),
        product,
        bottle.leftMl(),
        bottle.lastDay(),
        bottle.leftMl() < bottle.filledMl(),
        bottle.place(),
        bottle.container());
  }

  /** What is in one bottle, standing or gone. */
  @Transactional(readOnly = true)
  public Product of(UUID household, UUID id, Instant now) {
    return new Finder(household).of(judging.known(shelf.get(household, id)), now);
  }

  /** The batch's code and the bottle's number: {@code "LB-0412 2"}. */
  @Transactional(readOnly = true)
  public String code(UUID household, UUID id) {
    Bottle bottle = shelf.get(household, id);
    return bottle.code() + " " + bottle.number();
  }

  /** What a formula would be, brewed in this kitchen; empty where it cannot be brewed. */
  @Transactional(readOnly = true)
  public Optional<Product> ofFormula(UUID household, String formula) {
    return new Finder(household).formula(formula);
  }

  /** What every formula would be; those that cannot be brewed here are left out. */
  @Transactional(readOnly = true)
  public List<Product> ofFormulas(UUID household) {
    Finder finder = new Finder(household);
    return formulas.all(household).stream()
        .flatMap(formula -> finder.formula(formula.id()).stream())
        .toList();
  }

  /** What the bench will bring. */
  @Transactional(readOnly = true)
  public List<Sheet.Coming> coming(UUID household, Instant now) {
    Finder finder = new Finder(household);
    return brewing.of(household, now).stream()
        .map(
            each -> {
              BatchRecord batch = each.batch();
              Standing bottle =
                  new Standing(
                      "brew:" + batch.id(),
                      batch.formulaName(),
                      finder.of(batch, batch.prediction().contents()),
                      batch.prediction().finished().millilitres(),
                      shelf.judge(household, batch, each.ready()).lastDay(),
                      false,
                      Place.FRIDGE,
                      batch.brew().formula().container());
              return new Sheet.Coming(bottle, each.ready());
            })
        .toList();
  }

  /** Finds what brews are made of, each once. */
  private final class Finder {
    private final UUID household;
    private final Map<String, Optional<Product>> formulasSeen = new HashMap<>();

    Finder(UUID household) {
      this.household = household;
    }

    Product of(Judging.Known known, Instant now) {
      Product product = of(known.batch(), known.judge(now).contents());
      for (KeepEvent event : known.keeping().events()) {
        if (event instanceof KeepEvent.Joined joined) {
          product = joined(product, joined.other().name());
        }
      }
      return product;
    }

    /** What was poured in says its name and, at its end, the code of its batch. */
    private Product joined(Product product, String name) {
      String code = name.substring(name.lastIndexOf(' ') + 1);
      return runs.bottled(household, code)
          .map(batch -> product.mixedWith(of(batch, batch.prediction().contents())))
          .orElseGet(() -> product.mixedWith(name));
    }

    Product of(BatchRecord batch, Contents contents) {
      // An own formula that was changed since keeps its id on what was brewed from it.
      return Product.of(batch.brew(), batch.prediction(), contents, this::inside)
          .ofFormula(batch.formulaId(), batch.formulaName());
    }

    private Optional<Product> inside(String material) {
      return Stock.isBrew(material)
          ? formula(material.substring(Stock.PREFIX.length()))
          : Optional.empty();
    }

    Optional<Product> formula(String id) {
      Optional<Product> seen = formulasSeen.get(id);
      if (seen == null) {
        // Where formulas go round in a circle it is not known what is in them.
        formulasSeen.put(id, Optional.empty());
        seen = formulas.find(household, id).flatMap(this::brewed);
        formulasSeen.put(id, seen);
      }
      return seen;
    }

    private Optional<Product> brewed(Formula formula) {
      try {
        Kitchen kitchen = kitchens.of(household);
        Materials known = materials.of(household);
        Stock stock = Stock.planned(formula, kitchen, known, id -> formulas.find(household, id));
        Brew brew = Brew.of(formula, kitchen, known, stock);
        double scale = Math.min(1, brew.largestScale());
        Prediction prediction = brew.predict(scale, Facts.NONE);
        return Optional.of(Product.of(brew, prediction, prediction.contents(), this::inside));
      } catch (CyclicFormulasException | UnknownMaterialException e) {
        return Optional.empty();
      }
    }
  }
}
