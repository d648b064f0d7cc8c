package dremsa.core.check;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Prediction;
import dremsa.core.check.Finding.Code;
import dremsa.core.check.Finding.Severity;
import dremsa.core.keep.Classifier;
import dremsa.core.keep.KeepingClass;
import dremsa.core.keep.Preservation;
import dremsa.core.keep.School;
import dremsa.core.material.MaterialKind;
import java.util.ArrayList;
import java.util.List;

/** Whether what shall preserve a brew does, and whether something is taken for it that does not. */
final class Preserving {
  private Preserving() {}

  static List<Finding> of(Brew brew, Prediction prediction, School school) {
    List<Finding> findings = new ArrayList<>();
    List<Preservation> all = Preservation.in(prediction.contents(), school);
    for (Preservation preservation : all) {
      for (Preservation.Fault fault : preservation.faults()) {
        boolean tooMuch = fault == Preservation.Fault.TOO_MUCH;
        findings.add(
            new Finding(
                Code.PRESERVATIVE_NOT_WORKING,
                Severity.WARNING,
                "ingredients",
                preservation.material().name()
                    + (tooMuch ? ": " : " does not work here: ")
                    + words(fault)
                    + ".",
                tooMuch
                    ? "It keeps no longer for it, and irritates sooner."
                    : "The brew then keeps only as long as without it.",
                cure(fault)));
      }
    }
    boolean watery = prediction.finished().waterShare() > 0.3;
    // Strong vinegar keeps by its acid: there it would be wrong to say that it does not.
    if (all.isEmpty()
        && watery
        && Classifier.classify(prediction.contents(), school).keepingClass()
            != KeepingClass.VINEGAR) {
      for (int i = 0; i < brew.formula().ingredients().size(); i++) {
        MaterialKind kind = brew.materials().get(i).kind();
        if (kind == MaterialKind.ESSENTIAL_OIL || kind == MaterialKind.ACID) {
          findings.add(
              new Finding(
                  Code.NOT_A_PRESERVATIVE,
                  Severity.NOTE,
                  "ingredients[" + i + "]",
                  brew.materials().get(i).name() + " does not preserve.",
                  "Scents, vitamins and sour juices do not stop mould and bacteria at these amounts.",
                  "Go by the date on the bottle."));
        }
      }
    }
    return findings;
  }

  private static String words(Preservation.Fault fault) {
    return switch (fault) {
      case NOT_KNOWN -> "its dose or the pH at which it works is not written down";
      case TOO_LITTLE -> "too little of it";
      case TOO_MUCH -> "more than its range";
      case WRONG_PH -> "not at this pH";
      case UNSURE_PH -> "perhaps not at this pH, which is only estimated";
      case PH_NOT_READ -> "the careful school wants its pH measured";
      case TOO_HOT -> "stirred in too hot";
      case PLANT_LEFT_IN -> "plant is left in";
    };
  }

  private static String cure(Preservation.Fault fault) {
    return switch (fault) {
      case NOT_KNOWN -> "Write both down, from its data sheet, among the materials.";
      case TOO_LITTLE, TOO_MUCH -> "Weigh its dose of the finished mass.";
      case PH_NOT_READ, UNSURE_PH -> "Measure the pH when all is stirred in, and enter it.";
      case WRONG_PH -> "Measure the pH and bring it into its range, or choose another.";
      case TOO_HOT -> "Let the brew cool first.";
      case PLANT_LEFT_IN -> "Strain fine.";
    };
  }
}
