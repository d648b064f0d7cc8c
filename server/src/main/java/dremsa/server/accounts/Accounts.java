package dremsa.server.accounts;

import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** The people who sign in to households: makes, changes and removes them. */
@Service
public class Accounts {
  /** A household is no club: more than this is a mistake or an attack. */
  static final int MOST = 30;

  private final AccountRepository repository;
  private final HouseholdRepository households;
  private final PasswordEncoder encoder;
  private final Passwords passwords;
  private final SignInThrottle throttle;
  private final KnownDevices devices;
  private final Sessions sessions;
  private final Turns turns;
  private final Clock clock;

  Accounts(
      AccountRepository repository,
      HouseholdRepository households,
      PasswordEncoder encoder,
      Passwords passwords,
      SignInThrottle throttle,
      KnownDevices devices,
      Sessions sessions,
      Turns turns,
      Clock clock) {
    this.repository = repository;
    this.households = households;
    this.encoder = encoder;
    this.passwords = passwords;
    this.throttle = throttle;
    this.devices = devices;
    this.sessions = sessions;
    this.turns = turns;
    this.clock = clock;
  }

  /**
   * Somebody who signs in.
   *
   * @param called how the others of the household call them
   */
  public record Person(UUID id, String signIn, String called, Role role, Instant since) {}

  private static Person person(Account account) {
    return new Person(
        account.id(), account.signIn(), account.called(), account.role(), account.createdAt());
  }

  /** All of a household, by name. */
  public List<Person> of(UUID household) {
    return repository.findByHouseholdIdOrderByCalled(household).stream()
        .map(Accounts::person)
        .toList();
  }

  /**
   * One of a household.
   *
   * @throws Problem 404 when there is none, or they belong elsewhere
   */
  public Person get(UUID household, UUID id) {
    return person(account(household, id));
  }

  /** Whoever signs in by this name, in small letters. */
  public Optional<Member> bySignIn(String signIn) {
    return repository.findBySignIn(signIn).map(Accounts::member);
  }

  /** Whoever has this account. */
  public Optional<Member> byId(UUID id) {
    return repository.findById(id).map(Accounts::member);
  }

  private static Member member(Account account) {
    return new Member(account.id(), account.householdId(), account.signIn());
  }

  private Account account(UUID household, UUID id) {
    return repository
        .findById(id)
        .filter(account -> account.householdId().equals(household))
        .orElseThrow(() -> Problem.notFound("person"));
  }

  /**
   * One more person in a household; their password is known to be good.
   *
   * @throws Problem when a name is taken, at its field
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public Member add(UUID household, Role role, String called, String signIn, String password) {
    turns.require(household);
    List<Person> others = of(household);
    if (others.size() >= MOST) {
      throw Problem.conflict("A household has at most " + MOST + " people who sign in.");
    }
    String name = called.strip();
    requireFree(others, name);
    String key = signIn.toLowerCase(Locale.ROOT);
    if (repository.findBySignIn(key).isPresent()) {
      throw Problem.invalid(
          FieldProblem.of("signIn", signIn, "This sign-in name is taken. Choose another."));
    }
    Account account =
        repository.saveAndFlush(
            new Account(
                UUID.randomUUID(),
                household,
                key,
                name,
                role,
                Objects.requireNonNull(encoder.encode(password)),
                clock.instant()));
    return new Member(account.id(), household, key);
  }

  private static void requireFree(List<Person> others, String called) {
    if (others.stream().anyMatch(other -> other.called().equalsIgnoreCase(called))) {
      throw Problem.invalid(
          FieldProblem.of(
              "called", called, "Somebody in this household is called that. Choose another."));
    }
  }

  /** Another name among the others of the household. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void rename(UUID household, UUID id, String called) {
    turns.require(household);
    String name = called.strip();
    requireFree(of(household).stream().filter(other -> !other.id().equals(id)).toList(), name);
    account(household, id).rename(name);
  }

  /**
   * Lets somebody do more or less; it holds from their next request on.
   *
   * @throws Problem 409 when no keeper would be left
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public void become(UUID household, UUID id, Role role) {
    turns.require(household);
    Account account = account(household, id);
    if (role != Role.KEEPER) {
      requireAnotherKeeper(household, id);
    }
    account.become(role);
  }

  /**
   * Takes somebody away, and signs them out wherever they are.
   *
   * @throws Problem 409 when no keeper would be left
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public void remove(UUID household, UUID id) {
    turns.require(household);
    Account account = account(household, id);
    requireAnotherKeeper(household, id);
    sessions.endAll(id);
    repository.delete(account);
  }

  private void requireAnotherKeeper(UUID household, UUID id) {
    boolean another =
        of(household).stream()
            .anyMatch(other -> other.role() == Role.KEEPER && !other.id().equals(id));
    if (!another) {
      throw Problem.conflict(
          "A household needs a keeper, and there is no other. Make somebody else a keeper first, or"
              + " delete the household.");
    }
  }

  /**
   * Makes sure that somebody knows their password, before what cannot be taken back. Tries are
   * counted like those at the door.
   *
   * @param field where the form holds the password
   * @throws Problem 400 at the field, 429 after too many tries, 409 in the demo kitchen
   */
  public void prove(Member member, String field, String password, HttpServletRequest request) {
    Account account =
        repository.findById(member.accountId()).orElseThrow(() -> Problem.notFound("person"));
    if (households.findById(account.householdId()).filter(Household::demo).isPresent()) {
      throw Problem.conflict("The demo kitchen is open to all: nobody's password counts here.");
    }
    String device = devices.of(account, request);
    throttle.count(account.signIn(), request.getRemoteAddr(), device);
    if (!encoder.matches(password, account.passwordHash())) {
      throw Problem.invalid(FieldProblem.of(field, null, "This is not the password as it is now."));
    }
    throttle.succeeded(account.signIn(), request.getRemoteAddr(), device);
  }

  /**
   * Makes sure that a password is not among the first that are guessed.
   *
   * @throws Problem 400 at the field {@code password}
   */
  public void requireGood(String password, String signIn, UUID household) {
    String name = households.findById(household).map(Household::name).orElse("");
    passwords.check(password, List.of(signIn, name));
  }

  /** Another password for somebody; they are signed out on all devices. */
  @Transactional
  public void renew(UUID id, String password) {
    repository.renewHash(id, Objects.requireNonNull(encoder.encode(password)));
    sessions.endAll(id);
  }
}
