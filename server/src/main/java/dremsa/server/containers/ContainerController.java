package dremsa.server.containers;

import dremsa.core.fill.ContainerSet;
import dremsa.core.kitchen.Container;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Member;
import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.hibernate.validator.constraints.Range;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What is owned to fill brews into. */
@RestController
@RequestMapping("/api/containers")
@Transactional
class ContainerController {
  private final Containers containers;
  private final Households households;

  ContainerController(Containers containers, Households households) {
    this.containers = containers;
    this.households = households;
  }

  /**
   * A sort of container.
   *
   * @param promised the brews on the bench that empty ones are kept for, one for each
   * @param free how many are empty and promised to none
   * @param ready how many of the empty ones are sterilised and still count as it
   * @param thickestMpas the thickest brew that it gives out; null where any comes out
   * @param fillShare how full it is filled at most
   */
  record ContainerLine(
      UUID id,
      long version,
      Container kind,
      double sizeMl,
      boolean filter,
      int owned,
      int full,
      List<String> promised,
      int free,
      int ready,
      @Nullable Instant sterilisedAt,
      @Nullable Double thickestMpas,
      double fillShare) {
    private static ContainerLine of(Containers.Kept kept, Instant now) {
      ContainerSet set = kept.set();
      double thickest = set.kind().thickestMpas();
      return new ContainerLine(
          kept.id(),
          kept.version(),
          set.kind(),
          set.sizeMl(),
          set.filter(),
          set.owned(),
          set.full(),
          kept.promised().stream().map(PromisedContainers.Promised::brew).toList(),
          kept.left().free(),
          set.ready(now),
          set.sterilisedAt().equals(ContainerSet.NEVER) ? null : set.sterilisedAt(),
          Double.isInfinite(thickest) ? null : thickest,
          set.kind().fill());
    }
  }

  /** A sort that is written down. */
  record NewContainers(
      @NotNull(message = "Say what it is.") Container kind,
      @NotNull(message = "Say what one holds.")
          @Range(
              min = (long) ContainerSet.LEAST_ML,
              max = (long) ContainerSet.MOST_ML,
              message = "One holds 5 to 5000 mL.")
          Double sizeMl,
      boolean filter,
      @NotNull(message = "Say how many there are.")
          @Range(min = 1, max = ContainerSet.MOST_OWNED, message = "1 to 200 of a sort.")
          Integer owned) {}

  /** What is put right about a sort. */
  record ContainersForm(
      @NotNull(message = "Say which version you saw.") Long version,
      boolean filter,
      @NotNull(message = "Say how many there are.")
          @Range(min = 1, max = ContainerSet.MOST_OWNED, message = "1 to 200 of a sort.")
          Integer owned) {}

  /** So many were sterilised just now; 0 takes it back. */
  record Sterilised(
      @NotNull(message = "Say which version you saw.") Long version,
      @NotNull(message = "Say how many.") @Range(min = 0, max = 200, message = "0 to 200.")
          Integer count) {}

  @GetMapping
  List<ContainerLine> list(@AuthenticationPrincipal Member member) {
    Instant now = households.now(member.household());
    return containers.kept(member.household()).stream()
        .map(kept -> ContainerLine.of(kept, now))
        .toList();
  }

  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  List<ContainerLine> add(
      @AuthenticationPrincipal Member member, @Valid @RequestBody NewContainers form) {
    containers.add(member.household(), form.kind(), form.sizeMl(), form.filter(), form.owned());
    return list(member);
  }

  @PutMapping("/{id}")
  List<ContainerLine> change(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody ContainersForm form) {
    containers.change(member.household(), id, form.version(), form.filter(), form.owned());
    return list(member);
  }

  @Operation(summary = "So many empty ones were sterilised just now")
  @PostMapping("/{id}/sterilised")
  List<ContainerLine> sterilised(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody Sterilised form) {
    containers.sterilised(
        member.household(), id, form.version(), form.count(), households.now(member.household()));
    return list(member);
  }

  @DeleteMapping("/{id}")
  List<ContainerLine> remove(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    containers.remove(member.household(), id);
    return list(member);
  }
}
