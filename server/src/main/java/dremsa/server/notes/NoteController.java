package dremsa.server.notes;

import dremsa.core.formula.Formula;
import dremsa.core.formula.Method;
import dremsa.core.formula.Step;
import dremsa.core.measure.Said;
import dremsa.core.reading.NoteReader;
import dremsa.core.reading.Reading;
import dremsa.core.reading.Stretch;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Member;
import dremsa.server.accounts.WithoutTurn;
import dremsa.server.http.Idempotency;
import dremsa.server.wire.FormulaJson;
import dremsa.server.wire.PredictionJson;
import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
class NoteController {
  private final Notes notes;
  private final OwnWords words;
  private final Households households;
  private final Idempotency idempotency;

  NoteController(Notes notes, OwnWords words, Households households, Idempotency idempotency) {
    this.notes = notes;
    this.words = words;
    this.households = households;
    this.idempotency = idempotency;
  }

  /**
   * A note.
   *
   * @param answers what was settled so far, by the keys of the stretches
   */
  record NoteForm(
      @NotNull(message = "There is no note.")
          @Size(max = NoteReader.LONGEST, message = "A note has at most 4000 characters.")
          String text,
      @Size(max = 200, message = "At most 200 answers.") @Nullable Map<String, String> answers) {
    Map<String, String> settled() {
      return answers == null ? Map.of() : answers;
    }
  }

  /**
   * A note to brew from.
   *
   * @param name instead of the one that was read
   */
  record NoteToKeep(
      @NotNull(message = "Give the note.") @Valid NoteForm note,
      @Size(max = 120, message = "A name has 1 to 120 characters.") @Nullable String name) {}

  /**
   * What a stretch of a note was taken for.
   *
   * @param target index of the ingredient or of the step; -1 for neither
   * @param key under which it is settled; empty where there is nothing to ask
   */
  record StretchJson(
      int from,
      int to,
      Stretch.Certainty certainty,
      Stretch.About about,
      int target,
      String taken,
      String key,
      List<OptionJson> options) {
    static StretchJson of(Stretch stretch) {
      return new StretchJson(
          stretch.from(),
          stretch.to(),
          stretch.certainty(),
          stretch.about(),
          stretch.target(),
          stretch.taken(),
          stretch.key(),
          stretch.options().stream().map(o -> new OptionJson(o.value(), o.words())).toList());
    }
  }

  /** Something that a stretch could be. */
  record OptionJson(String value, String words) {}

  /**
   * An ingredient as it was read.
   *
   * @param amount as written; empty where none is
   * @param measured whether it is in the formula
   */
  record TakenJson(String material, String name, String amount, boolean measured) {}

  /**
   * A step as it was read.
   *
   * @param words what is done, with its time
   * @param filledIn whether the method fills it in
   * @param open what of it the method fills in; empty where the note says all
   */
  record ReadStepJson(String words, boolean filledIn, String open) {}

  /** A method that the note may follow. */
  record MayBeJson(Method method, String words) {}

  /**
   * What a note was read as.
   *
   * @param formula null as long as nothing of it could be read
   * @param guesses how many taps would settle it
   * @param beside what the writer says of its keeping, beside the date here
   * @param asWritten how it goes with the amounts that are written
   * @param notes what stays beside the formula
   * @param tint of the brew, six hexadecimal digits; empty where nothing can be drawn
   * @param newMaterials that the household would have to keep
   */
  record NoteRead(
      String name,
      List<StretchJson> stretches,
      MayBeJson method,
      List<MayBeJson> otherMethods,
      @Nullable FormulaJson formula,
      int guesses,
      List<TakenJson> ingredients,
      List<ReadStepJson> steps,
      List<String> beside,
      List<String> notes,
      List<String> newMaterials,
      String tint,
      @Nullable PredictionJson asWritten) {}

  @Operation(
      summary = "Read a note in plain words as a formula; keeps nothing",
      description =
          "Every stretch of the text is read, a guess with what else it could be, or not read."
              + " The same text with the same answers always reads the same.")
  @WithoutTurn
  @PostMapping("/api/notes/read")
  NoteRead read(@AuthenticationPrincipal Member member, @Valid @RequestBody NoteForm form) {
    Household household = households.of(member.household());
    Instant now = households.now(household);
    Notes.Read read = notes.read(household, form.text(), form.settled(), now);
    Reading reading = read.reading();
    return new NoteRead(
        reading.name(),
        reading.stretches().stream().map(StretchJson::of).toList(),
        mayBe(reading.method()),
        reading.otherMethods().stream().map(NoteController::mayBe).toList(),
        reading.formula().map(FormulaJson::of).orElse(null),
        reading.doubtful().size(),
        reading.lines().stream()
            .map(l -> new TakenJson(l.material(), l.name(), l.amount(), l.measured()))
            .toList(),
        reading.formula().map(formula -> steps(formula, reading)).orElse(List.of()),
        read.beside(),
        reading.notes(),
        reading.made().stream().map(m -> m.name() + ", " + m.kind().words()).toList(),
        read.tint(),
        read.asWritten().orElse(null));
  }

  private static MayBeJson mayBe(Method method) {
    return new MayBeJson(method, method.words());
  }

  private static List<ReadStepJson> steps(Formula formula, Reading reading) {
    List<ReadStepJson> all = new ArrayList<>();
    for (int i = 0; i < formula.steps().size(); i++) {
      Step step = formula.steps().get(i);
      Reading.Source source = reading.steps().get(i);
      List<String> things =
          step.ingredients().stream()
              .flatMap(key -> reading.lines().stream().filter(l -> l.key().equals(key)))
              .map(Reading.Taken::name)
              .toList();
      String words =
          step.headline()
              + (things.isEmpty() ? "" : ": " + String.join("; ", things))
              + step.window().map(w -> ", " + Said.duration(w.usual())).orElse("");
      all.add(new ReadStepJson(words, source.filledIn(), source.open()));
    }
    return all;
  }

  /** The formula that was kept. */
  record NoteKept(String id) {}

  @Operation(summary = "Keep the formula of a note; refused as long as there are guesses in it")
  @PostMapping("/api/notes")
  @ResponseStatus(HttpStatus.CREATED)
  NoteKept keep(
      @AuthenticationPrincipal Member member,
      @RequestHeader(name = "Idempotency-Key", required = false) String key,
      @Valid @RequestBody NoteToKeep wanted) {
    Household household = households.of(member.household());
    return new NoteKept(
        idempotency.once(
            household.id(),
            key,
            wanted,
            String.class,
            () ->
                notes.keep(
                    household,
                    wanted.note().text(),
                    wanted.note().settled(),
                    wanted.name() == null ? "" : wanted.name(),
                    households.now(household))));
  }

  @Operation(summary = "A formula as a note in plain words; reading it gives the formula back")
  @GetMapping("/api/formulas/{id}/note")
  NoteText note(@AuthenticationPrincipal Member member, @PathVariable String id) {
    return new NoteText(notes.write(households.of(member.household()), id));
  }

  /** A formula in plain words, lines ended by a line feed. */
  record NoteText(String text) {}

  /**
   * A word that the household uses in its own way.
   *
   * @param word as it is kept: what it was asked about and the word
   */
  record OwnWordJson(String word, String says, String means) {}

  @Operation(summary = "What this household means by its words")
  @GetMapping("/api/notes/words")
  List<OwnWordJson> words(@AuthenticationPrincipal Member member) {
    return words.all(member.household()).stream()
        .map(
            word ->
                new OwnWordJson(
                    word.word(),
                    word.word().substring(word.word().indexOf(':') + 1),
                    notes.means(member.household(), word.meaning())))
        .toList();
  }

  @Operation(summary = "Forget what a word means here; it is asked about again")
  @DeleteMapping("/api/notes/words")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void forget(@AuthenticationPrincipal Member member, @RequestParam String word) {
    words.forget(member.household(), word);
  }
}
