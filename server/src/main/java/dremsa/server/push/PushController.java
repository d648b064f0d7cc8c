package dremsa.server.push;

import dremsa.server.accounts.Member;
import dremsa.server.accounts.WithoutTurn;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Which devices of a household are called, and by which key a browser subscribes. */
@RestController
@RequestMapping("/api/push")
class PushController {
  private final Subscriptions subscriptions;
  private final Deliveries deliveries;
  private final PushAddress addresses;

  PushController(Subscriptions subscriptions, Deliveries deliveries, PushAddress addresses) {
    this.subscriptions = subscriptions;
    this.deliveries = deliveries;
    this.addresses = addresses;
  }

  /**
   * A device that is called.
   *
   * @param host of its push service
   * @param problem why the last call did not arrive; null when it did
   */
  record Called(
      UUID id,
      String name,
      String host,
      Instant since,
      @Nullable Instant lastAt,
      @Nullable String problem) {}

  /**
   * What a browser needs to subscribe, and what is subscribed.
   *
   * @param publicKey of this installation, base64url
   */
  record PushView(String publicKey, List<Called> devices) {}

  /**
   * What a browser says of its subscription.
   *
   * @param endpoint address of its push service; https and public
   * @param publicKey its P-256 point, uncompressed, base64url
   * @param secret its 16 bytes, base64url
   * @param name as the household calls the device
   */
  record Subscribe(
      @NotBlank(message = "Say where to call it.")
          @Size(max = 1000, message = "At most 1000 characters.")
          String endpoint,
      @NotNull(message = "Say its key.")
          @Pattern(regexp = "[A-Za-z0-9_-]{86,88}={0,2}", message = "That is no key of a browser.")
          String publicKey,
      @NotNull(message = "Say its secret.")
          @Pattern(regexp = "[A-Za-z0-9_-]{22}={0,2}", message = "That is no secret of a browser.")
          String secret,
      @NotBlank(message = "Say which device it is.")
          @Size(max = 60, message = "At most 60 characters.")
          String name) {}

  @GetMapping
  PushView get(@AuthenticationPrincipal Member member) {
    return new PushView(subscriptions.publicKey(), subscriptions.of(member.household()));
  }

  /**
   * Calls this device from now on; the same address again renews it. Its name is looked up, which
   * may take long: nobody of the household waits for that.
   */
  @WithoutTurn
  @PostMapping("/devices")
  PushView subscribe(@AuthenticationPrincipal Member member, @Valid @RequestBody Subscribe form) {
    addresses
        .refused(form.endpoint())
        .ifPresent(
            why -> {
              throw Problem.invalid(FieldProblem.of("endpoint", form.endpoint(), why));
            });
    subscriptions.keep(member, form);
    return get(member);
  }

  /** Sends a call at once, to hear whether it arrives. */
  @PostMapping("/devices/{id}/try")
  PushView tryIt(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    deliveries.tryOut(member.household(), subscriptions.get(member.household(), id));
    return get(member);
  }

  @DeleteMapping("/devices/{id}")
  PushView unsubscribe(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    subscriptions.forget(member.household(), subscriptions.get(member.household(), id));
    return get(member);
  }
}
