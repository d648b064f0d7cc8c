package dremsa.server.accounts;

import dremsa.server.audit.Audit;
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
  private final Accounts people;
  private final Doors doors;
  private final Audit audit;
  private final @Nullable String nobodysHash;

  SessionController(
      AccountRepository accounts,
      Households households,
      PasswordEncoder passwords,
      SignInThrottle throttle,
      Sessions sessions,
      KnownDevices devices,
      Accounts people,
      Doors doors,
      Audit audit) {
    this.accounts = accounts;
    this.households = households;
    this.passwords = passwords;
    this.throttle = throttle;
    this.sessions = sessions;
    this.devices = devices;
    this.people = people;
    this.doors = doors;
    this.audit = audit;
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
   * @param called how the others of the household call them
   * @param role what they may do in it
   * @param demo whether the demo kitchen can be entered
   * @param signUp whether a household can be made
   */
  record SessionView(
      @Nullable String signIn,
      @Nullable String called,
      @Nullable Role role,
      boolean demo,
      boolean signUp) {}

  @GetMapping("/api/session")
  SessionView get(@AuthenticationPrincipal Member member) {
    return member == null
        ? new SessionView(null, null, null, doors.demo(), doors.signUp())
        : view(member);
  }

  private SessionView view(Member member) {
    Accounts.Person person = people.get(member.household(), member.accountId());
    return new SessionView(
        person.signIn(), person.called(), person.role(), doors.demo(), doors.signUp());
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
    if (!passwords.matches(form.password(), hash) || account.isEmpty() || shut(account.get())) {
      audit.tell(
          Audit.What.WRONG_PASSWORD,
          account.map(Account::householdId).orElse(null),
          key,
          address,
          device == null ? "" : "on a device known before");
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
    audit.tell(Audit.What.SIGNED_IN, member.household(), key, address, "");
    return view(member);
  }

  /** The demo's door is shut, and this is its key. */
  private boolean shut(Account account) {
    return !doors.demoOpen() && households.of(account.householdId()).demo();
  }

  @PostMapping("/api/session/demo")
  SessionView demo(HttpServletRequest request, HttpServletResponse response) {
    Member member =
        households
            .demo()
            .filter(demo -> doors.demoOpen())
            .orElseThrow(() -> Problem.notFound("demo kitchen"));
    sessions.begin(member, request, response);
    return view(member);
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
