package dremsa.server.accounts;

import dremsa.server.http.Problem;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Signing in and out. */
@RestController
class SessionController {
  private final AccountRepository accounts;
  private final Households households;
  private final PasswordEncoder passwords;
  private final SignInThrottle throttle;
  private final Sessions sessions;
  private final KnownDevices devices;
  private final @Nullable String nobodysHash;

  SessionController(
      AccountRepository accounts,
      Households households,
      PasswordEncoder passwords,
      SignInThrottle throttle,
      Sessions sessions,
      KnownDevices devices) {
    this.accounts = accounts;
    this.households = households;
    this.passwords = passwords;
    this.throttle = throttle;
    this.sessions = sessions;
    this.devices = devices;
    this.nobodysHash = passwords.encode("nobody");
  }

  /** Name and password. */
  record SignIn(
      @NotNull(message = "Type your sign-in name.")
          @Size(max = 40, message = "At most 40 characters.")
          String signIn,
      @NotNull(message = "Type your password.")
          @Size(max = 100, message = "At most 100 characters.")
          String password) {}

  /**
   * Whether somebody is signed in, and what the door offers.
   *
   * @param signIn null when nobody is
   * @param demo whether the demo kitchen can be entered
   */
  record SessionView(@Nullable String signIn, boolean demo) {}

  @GetMapping("/api/session")
  SessionView get(@AuthenticationPrincipal Member member) {
    return new SessionView(member == null ? null : member.signIn(), households.demo().isPresent());
  }

  @PostMapping("/api/session")
  SessionView signIn(
      @Valid @RequestBody SignIn form, HttpServletRequest request, HttpServletResponse response) {
    String key = form.signIn().strip().toLowerCase(Locale.ROOT);
    Optional<Account> account = accounts.findBySignIn(key);
    String address = request.getRemoteAddr();
    String device = devices.of(account.orElse(null), request);
    throttle.count(key, address, device);
    // A hash is compared even for an unknown name, so that the time of the answer tells nothing.
    String hash = account.map(Account::passwordHash).orElse(nobodysHash);
    if (!passwords.matches(form.password(), hash) || account.isEmpty()) {
      throw new Problem(
          HttpStatus.UNAUTHORIZED, "wrong-password", "Name and password do not match.", List.of());
    }
    throttle.succeeded(key, address, device);
    if (passwords.upgradeEncoding(hash)) {
      accounts.renewHash(
          account.get().id(), Objects.requireNonNull(passwords.encode(form.password())));
    }
    Member member = new Member(account.get().id(), account.get().householdId(), key);
    devices.met(member.accountId(), request, response);
    sessions.begin(member, request, response);
    return new SessionView(key, true);
  }

  @PostMapping("/api/session/demo")
  SessionView demo(HttpServletRequest request, HttpServletResponse response) {
    Member member = households.demo().orElseThrow(() -> Problem.notFound("demo kitchen"));
    sessions.begin(member, request, response);
    return new SessionView(member.signIn(), true);
  }

  @DeleteMapping("/api/session")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void signOut(HttpServletRequest request) {
    HttpSession session = request.getSession(false);
    if (session != null) {
      session.invalidate();
    }
  }
}
