package dremsa.server.journal;

import dremsa.server.accounts.Households;
import dremsa.server.accounts.Member;
import dremsa.server.accounts.Turns;
import dremsa.server.accounts.WithoutTurn;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.journal.JournalController.WrittenView;
import dremsa.server.people.People;
import dremsa.server.pictures.Pictures;
import io.swagger.v3.oas.annotations.Operation;
import java.io.IOException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.springframework.core.io.InputStreamResource;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Photos of a head on a day; those of batches stand with the bench. */
@RestController
class HeadPhotoController {
  /** Of a head on a day. */
  static final int MOST = 12;

  private static final int LONGEST_CAPTION = 200;

  private final HeadPhotoRepository repository;
  private final Pictures pictures;
  private final People people;
  private final Households households;
  private final Turns turns;

  HeadPhotoController(
      HeadPhotoRepository repository,
      Pictures pictures,
      People people,
      Households households,
      Turns turns) {
    this.repository = repository;
    this.pictures = pictures;
    this.people = people;
    this.households = households;
    this.turns = turns;
  }

  @Operation(summary = "A photo of a head on a day, as JPEG or PNG; at most 12 MB and 12 of a day")
  @WithoutTurn
  @PostMapping(
      path = "/api/people/{id}/days/{day}/photos",
      consumes = {MediaType.IMAGE_JPEG_VALUE, MediaType.IMAGE_PNG_VALUE})
  WrittenView add(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @PathVariable LocalDate day,
      @RequestParam(defaultValue = "") String caption,
      @RequestBody InputStreamResource picture)
      throws IOException {
    if (caption.length() > LONGEST_CAPTION) {
      throw Problem.invalid(FieldProblem.of("caption", null, "At most 200 characters."));
    }
    people.get(member.household(), id);
    // Drawn anew before the turn: others of the household need not wait for it.
    byte[] clean = pictures.clean(picture.getInputStream());
    return turns.take(
        member.household(),
        () -> {
          people.get(member.household(), id);
          Instant now = households.now(member.household());
          if (day.isAfter(households.today(member.household()))) {
            throw Problem.invalid(FieldProblem.of("day", day, "That day has not come yet."));
          }
          if (repository.countByHouseholdIdAndPersonIdAndDay(member.household(), id, day) >= MOST) {
            throw Problem.conflict("A day keeps at most " + MOST + " photos. Take one out first.");
          }
          HeadPhoto photo = new HeadPhoto(member.household(), id, day, now, caption.strip(), clean);
          return new WrittenView(repository.saveAndFlush(photo).id());
        });
  }

  @Operation(summary = "A photo of a head")
  @GetMapping(path = "/api/journal/photos/{id}", produces = MediaType.IMAGE_JPEG_VALUE)
  ResponseEntity<byte[]> photo(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    return ResponseEntity.ok()
        .header("Cache-Control", "private, max-age=604800, immutable")
        .contentType(MediaType.IMAGE_JPEG)
        .body(found(member, id).content());
  }

  @Operation(summary = "Take a photo of a head away")
  @DeleteMapping("/api/journal/photos/{id}")
  @Transactional
  public WrittenView remove(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    repository.delete(found(member, id));
    return new WrittenView(id);
  }

  private HeadPhoto found(Member member, UUID id) {
    return repository
        .findByIdAndHouseholdId(id, member.household())
        .orElseThrow(() -> Problem.notFound("photo"));
  }
}
