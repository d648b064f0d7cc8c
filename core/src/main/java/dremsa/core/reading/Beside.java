package dremsa.core.reading;

import dremsa.core.keep.Verdict;
import dremsa.core.kitchen.Place;
import dremsa.core.measure.Said;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;

/** What the writer says of its keeping, set beside what the model says, with why they differ. */
public final class Beside {
  private Beside() {}

  /**
   * One or two sentences.
   *
   * @param claim of the writer
   * @param verdict of the brew in the fridge
   * @param made the day on which it is bottled
   */
  public static String words(Reading.Claim claim, Verdict verdict, LocalDate made) {
    String written =
        "Written: " + claim.words().strip().replaceAll("\\s+", " ").replaceAll("[.;,]$", "") + ". ";
    if (claim.place() == Place.FREEZER) {
      return written + "In the freezer it keeps longer; the date here is that of the fridge.";
    }
    long days = ChronoUnit.DAYS.between(made, verdict.lastDay());
    String ours =
        verdict.useNow()
            ? "Dremsa: for use at once"
            : Said.of("Dremsa: %s in the fridge", days == 1 ? "1 day" : days + " days");
    String why = verdict.reasons().isEmpty() ? "." : ". " + verdict.reasons().get(0).words();
    if (claim.days() == null) {
      return written + ours + why;
    }
    boolean cupboard = claim.place() == Place.ROOM;
    double off = claim.days() - Math.max(0, days);
    if (cupboard) {
      return written + ours + ", and not on the counter" + why;
    }
    if (off > 0.5) {
      return written + ours + ": the shorter counts" + why;
    }
    return off < -0.5
        ? written + ours + ". The writer is more careful: keep to that if you like."
        : written + ours + ", the same.";
  }
}
