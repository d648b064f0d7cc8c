package dremsa.server.bench;

import dremsa.core.formula.Step;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Member;
import dremsa.server.accounts.Turns;
import dremsa.server.accounts.WithoutTurn;
import dremsa.server.bench.RunJson.CoolingView;
import dremsa.server.bench.RunJson.RunView;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Idempotency;
import dremsa.server.http.Problem;
import dremsa.server.pictures.Pictures;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.time.Instant;
import java.util.Map;
import java.util.UUID;
import org.hibernate.validator.constraints.Range;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.InputStreamResource;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What departs from the plan at a step, and what is entered while it lasts. */
@RestController
@RequestMapping("/api/batches/{id}")
class StepController {
  private final StepTaps taps;
  private final Log log;
  private final Entries entries;
  private final Photos photos;
  private final Pictures pictures;
  private final Follows follows;
  private final CoolingWays cooling;
  private final RunViews views;
  private final Households households;
  private final Idempotency idempotency;
  private final Turns turns;
  private final TransactionTemplate transaction;

  StepController(
      StepTaps taps,
      Log log,
      Entries entries,
      Photos photos,
      Pictures pictures,
      Follows follows,
      CoolingWays cooling,
      RunViews views,
      Households households,
      Idempotency idempotency,
      Turns turns,
      TransactionTemplate transaction) {
    this.taps = taps;
    this.log = log;
    this.entries = entries;
    this.photos = photos;
    this.pictures = pictures;
    this.follows = follows;
    this.cooling = cooling;
    this.views = views;
    this.households = households;
    this.idempotency = idempotency;
    this.turns = turns;
    this.transaction = transaction;
  }

  /** A step left out. */
  record Skip(
      @NotNull(message = "Say which version you saw.") Long version,
      @NotBlank(message = "Say why.") @Size(max = 400, message = "At most 400 characters.")
          String reason,
      @Range(min = 0, max = Log.LONGEST_AGO_S, message = "At most a week ago.")
          @Nullable Long secondsAgo) {}

  /** More time. */
  record Extend(
      @NotNull(message = "Say which version you saw.") Long version,
      @NotNull(message = "Say how many minutes.") Double minutes,
      @Size(max = 400, message = "At most 400 characters.") @Nullable String reason) {}

  /** The step before once more. */
  record Again(
      @NotNull(message = "Say which version you saw.") Long version,
      @Size(max = 400, message = "At most 400 characters.") @Nullable String reason) {}

  /** Water poured in. */
  record PourWater(
      @NotNull(message = "Say which version you saw.") Long version,
      @NotNull(message = "Say how much.") Double millilitres,
      @NotNull(message = "Say how warm.") Double celsius,
      @Size(max = 400, message = "At most 400 characters.") @Nullable String reason) {}

  /** Another way to cool. */
  record CoolBy(
      @NotNull(message = "Say which version you saw.") Long version,
      @NotNull(message = "Say where.") Step.CoolingWay way,
      @NotNull(message = "Say whether the lid is on.") Boolean cover) {}

  /**
   * A line for the log.
   *
   * @param amount °C, g, mL or pH, by its kind
   * @param subject the ingredient's key, for what was weighed in
   */
  record NewEntry(
      @NotNull(message = "Say what it is.") BatchEntry.Kind kind,
      @Nullable Double amount,
      @Size(max = 80, message = "At most 80 characters.") @Nullable String subject,
      @Size(max = 400, message = "At most 400 characters.") @Nullable String words,
      @Range(min = 0, max = Log.LONGEST_AGO_S, message = "At most a week ago.")
          @Nullable Long secondsAgo,
      @Nullable Boolean sure) {}

  /** A reading to be taken from a device. */
  record FromDevice(
      @NotBlank(message = "Say which device.") @Size(max = 60, message = "At most 60 characters.")
          String device,
      @Nullable Boolean sure) {}

  private RunView once(Member member, UUID id, String key, Object form, Runnable work) {
    idempotency.once(
        member.household(),
        key,
        Map.of("batch", id, "form", form),
        Boolean.class,
        () -> {
          work.run();
          return true;
        });
    return views.view(member.household(), id);
  }

  private StepTaps.At at(Member member, UUID id, int index, long version, @Nullable Long ago) {
    Instant now = households.now(member.household());
    Instant at = log.at(member.household(), id, now, ago);
    return new StepTaps.At(member.household(), id, index, version, at);
  }

  @PostMapping("/steps/{index}/skip")
  RunView skip(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @PathVariable int index,
      @RequestHeader(name = "Idempotency-Key", required = false) String key,
      @Valid @RequestBody Skip form) {
    return once(
        member,
        id,
        key,
        Map.of("skip", index, "version", form.version(), "reason", form.reason()),
        () -> taps.skip(at(member, id, index, form.version(), form.secondsAgo()), form.reason()));
  }

  @PostMapping("/steps/{index}/extend")
  RunView extend(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @PathVariable int index,
      @RequestHeader(name = "Idempotency-Key", required = false) String key,
      @Valid @RequestBody Extend form) {
    return once(
        member,
        id,
        key,
        form,
        () ->
            taps.extend(
                at(member, id, index, form.version(), null), form.minutes(), form.reason()));
  }

  @PostMapping("/steps/{index}/again")
  RunView again(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @PathVariable int index,
      @RequestHeader(name = "Idempotency-Key", required = false) String key,
      @Valid @RequestBody Again form) {
    return once(
        member,
        id,
        key,
        form,
        () -> taps.again(at(member, id, index, form.version(), null), form.reason()));
  }

  @PostMapping("/steps/{index}/water")
  RunView water(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @PathVariable int index,
      @RequestHeader(name = "Idempotency-Key", required = false) String key,
      @Valid @RequestBody PourWater form) {
    return once(
        member,
        id,
        key,
        form,
        () ->
            taps.pourWater(
                at(member, id, index, form.version(), null),
                form.millilitres(),
                form.celsius(),
                form.reason()));
  }

  /** The ways to cool at the present or next cooling, with what each does. */
  @GetMapping("/cooling")
  CoolingView cooling(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    return transaction.execute(t -> cooling.of(member.household(), id));
  }

  @PostMapping("/steps/{index}/cooling")
  RunView cool(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @PathVariable int index,
      @RequestHeader(name = "Idempotency-Key", required = false) String key,
      @Valid @RequestBody CoolBy form) {
    return once(
        member,
        id,
        key,
        form,
        () -> taps.cool(at(member, id, index, form.version(), null), form.way(), form.cover()));
  }

  @PostMapping("/entries")
  RunView enter(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @RequestHeader(name = "Idempotency-Key", required = false) String key,
      @Valid @RequestBody NewEntry form) {
    BatchEntry.What what =
        new BatchEntry.What(
            form.kind(),
            form.amount(),
            form.subject(),
            form.words() == null ? "" : form.words().strip(),
            BatchEntry.TYPED);
    return once(
        member,
        id,
        key,
        what,
        () ->
            entries.add(
                member.household(),
                id,
                what,
                Boolean.TRUE.equals(form.sure()),
                log.at(
                    member.household(),
                    id,
                    households.now(member.household()),
                    form.secondsAgo())));
  }

  @DeleteMapping("/entries/{entry}")
  RunView takeOut(
      @AuthenticationPrincipal Member member, @PathVariable UUID id, @PathVariable long entry) {
    entries.remove(member.household(), id, entry, households.now(member.household()));
    return view(member, id);
  }

  private RunView view(Member member, UUID id) {
    return transaction.execute(t -> views.view(member.household(), id));
  }

  @WithoutTurn
  @PostMapping("/device-reading")
  RunView readDevice(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody FromDevice form) {
    follows.readOnce(member.household(), id, form.device(), Boolean.TRUE.equals(form.sure()));
    return view(member, id);
  }

  /** Takes a reading a minute from now on, for as long as it runs. */
  @WithoutTurn
  @PostMapping("/following")
  RunView follow(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody FromDevice form) {
    follows.follow(member.household(), id, form.device(), households.now(member.household()));
    return view(member, id);
  }

  @DeleteMapping("/following")
  RunView unfollow(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    follows.stop(member.household(), id);
    return view(member, id);
  }

  /** A photo, as JPEG or PNG; at most 12 MB and 12 of a run. */
  @WithoutTurn
  @PostMapping(
      path = "/photos",
      consumes = {MediaType.IMAGE_JPEG_VALUE, MediaType.IMAGE_PNG_VALUE})
  RunView addPhoto(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @RequestParam(defaultValue = "") String caption,
      @RequestBody InputStreamResource picture)
      throws IOException {
    if (caption.length() > 200) {
      throw Problem.invalid(FieldProblem.of("caption", null, "At most 200 characters."));
    }
    // Drawn anew before the turn: others of the household need not wait for it.
    byte[] clean = pictures.clean(picture.getInputStream());
    return turns.take(
        member.household(),
        () -> {
          Instant now = households.now(member.household());
          photos.add(member.household(), id, clean, caption.strip(), now);
          return views.view(member.household(), id);
        });
  }

  @GetMapping(path = "/photos/{photo}", produces = MediaType.IMAGE_JPEG_VALUE)
  ResponseEntity<byte[]> photo(
      @AuthenticationPrincipal Member member, @PathVariable UUID id, @PathVariable UUID photo) {
    return ResponseEntity.ok()
        .header("Cache-Control", "private, max-age=604800, immutable")
        .contentType(MediaType.IMAGE_JPEG)
        .body(photos.content(member.household(), photo));
  }

  @DeleteMapping("/photos/{photo}")
  RunView removePhoto(
      @AuthenticationPrincipal Member member, @PathVariable UUID id, @PathVariable UUID photo) {
    photos.remove(member.household(), photo);
    return view(member, id);
  }
}
