package dremsa.server.accounts;

import dremsa.core.keep.School;
import dremsa.core.kitchen.Climate;
import dremsa.core.measure.MeasureSystem;
import dremsa.server.audit.Audit;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import io.swagger.v3.oas.annotations.Operation;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import org.hibernate.validator.constraints.Range;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Making a household and changing how it measures and keeps. */
@RestController
class HouseholdController {
  private final Households households;
  private final HouseholdRepository repository;
  private final Sessions sessions;
  private final Passwords passwords;
  private final KnownDevices devices;
  private final Accounts people;
  private final Doors doors;
  private final Audit audit;
  private final ApplicationEventPublisher events;

  HouseholdController(
      Households households,
      HouseholdRepository repository,
      Sessions sessions,
      Passwords passwords,
      KnownDevices devices,
      Accounts people,
      Doors doors,
      Audit audit,
      ApplicationEventPublisher events) {
    this.events = events;
    this.households = households;
    this.repository = repository;
    this.sessions = sessions;
    this.passwords = passwords;
    this.devices = devices;
    this.people = people;
    this.doors = doors;
    this.audit = audit;
  }

  /**
   * A new household with its first keeper.
   *
   * @param called how the others of the household will call the keeper; as they sign in, if nothing
   *     is said
   */
  record NewHousehold(
      @NotNull(message = "Give the household a name.")
          @Size(min = 1, max = 80, message = "A name has 1 to 80 characters.")
          String name,
      @NotNull(message = "Choose a sign-in name.")
          @Pattern(
              regexp = "[A-Za-z0-9._-]{2,40}",
              message = "2 to 40 letters, digits, dots, dashes or underscores.")
          String signIn,
      @Nullable @Size(min = 1, max = 40, message = "A name has 1 to 40 characters.") String called,
      @NotNull(message = "Choose a password.")
          @Size(min = 8, max = 100, message = "A password has 8 to 100 characters.")
          String password,
      @NotNull(message = "Choose your measures.") MeasureSystem measures,
      @NotNull(message = "Choose °C or °F.") Boolean fahrenheit,
      @NotNull(message = "Choose your time zone.") String timeZone,
      @Valid @Nullable NewKitchen kitchen) {}

  /** As much of a kitchen as the first brew needs; the rest is what a home usually has. */
  record NewKitchen(
      @NotNull(message = "Say how warm the room is.")
          @Range(
              min = Climate.COLDEST_ROOM_C,
              max = Climate.WARMEST_ROOM_C,
              message =
                  "A room is " + Climate.COLDEST_ROOM_C + " to " + Climate.WARMEST_ROOM_C + " °C.")
          Double roomC,
      @NotNull(message = "Say how cold the fridge is.")
          @Range(
              min = Climate.COLDEST_FRIDGE_C,
              max = Climate.WARMEST_FRIDGE_C,
              message =
                  "A fridge is "
                      + Climate.COLDEST_FRIDGE_C
                      + " to "
                      + Climate.WARMEST_FRIDGE_C
                      + " °C.")
          Double fridgeC,
      @NotNull(message = "Say what your largest jar holds.")
          @Range(min = 100, max = 10_000, message = "A jar holds 100 to 10000 mL.")
          Double largestJarMl) {}

  /** How a household measures and keeps. */
  record HouseholdChange(
      @NotNull(message = "Give the household a name.")
          @Size(min = 1, max = 80, message = "A name has 1 to 80 characters.")
          String name,
      @NotNull MeasureSystem measures,
      @NotNull Boolean fahrenheit,
      @NotNull String timeZone,
      @NotNull School school,
      @NotNull Long version) {}

  /** A household as its members see it. */
  record HouseholdView(
      String name,
      MeasureSystem measures,
      boolean fahrenheit,
      String timeZone,
      School school,
      boolean demo,
      Instant now,
      long version) {}

  @PostMapping("/api/households")
  @ResponseStatus(HttpStatus.CREATED)
  @Transactional
  HouseholdView create(
      @Valid @RequestBody NewHousehold wanted,
      HttpServletRequest request,
      HttpServletResponse response) {
    doors.requireSignUp();
    passwords.check(wanted.password(), List.of(wanted.signIn(), wanted.name()));
    Member member =
        households.create(
            wanted.name().strip(),
            wanted.measures(),
            wanted.fahrenheit(),
            zone(wanted.timeZone()),
            School.CAREFUL,
            false,
            wanted.called() == null ? wanted.signIn() : wanted.called(),
            wanted.signIn(),
            wanted.password());
    if (wanted.kitchen() != null) {
      NewKitchen kitchen = wanted.kitchen();
      events.publishEvent(
          new HouseholdMade(
              member.household(),
              wanted.measures(),
              kitchen.roomC(),
              kitchen.fridgeC(),
              kitchen.largestJarMl()));
    }
    audit.tell(
        Audit.What.HOUSEHOLD_MADE,
        member.household(),
        member.signIn(),
        request.getRemoteAddr(),
        wanted.name().strip());
    devices.met(member.accountId(), request, response);
    sessions.begin(member, request, response);
    return view(households.of(member.household()));
  }

  @GetMapping("/api/household")
  HouseholdView get(@AuthenticationPrincipal Member member) {
    return view(households.of(member.household()));
  }

  @PutMapping("/api/household")
  @Transactional
  HouseholdView change(
      @AuthenticationPrincipal Member member, @Valid @RequestBody HouseholdChange change) {
    Household household = households.of(member.household());
    if (household.version() != change.version()) {
      throw Problem.conflict(
          "Somebody changed the household meanwhile. Look at it again, then repeat.");
    }
    household.change(
        change.name().strip(),
        change.measures(),
        change.fahrenheit(),
        zone(change.timeZone()),
        change.school());
    repository.saveAndFlush(household);
    return view(household);
  }

  /** Proof that whoever asks is who they are. */
  record Proof(
      @NotNull(message = "Type your password.")
          @Size(max = 100, message = "At most 100 characters.")
          String password) {}

  @Operation(summary = "Delete the household with all that belongs to it")
  @PostMapping("/api/household/end")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  @Transactional
  void end(
      @AuthenticationPrincipal Member member,
      @Valid @RequestBody Proof proof,
      HttpServletRequest request) {
    people.prove(member, "password", proof.password(), request);
    String name = households.of(member.household()).name();
    people.of(member.household()).forEach(person -> sessions.endAll(person.id()));
    households.remove(member.household());
    audit.tell(
        Audit.What.HOUSEHOLD_DELETED,
        member.household(),
        member.signIn(),
        request.getRemoteAddr(),
        name);
  }

  private HouseholdView view(Household household) {
    return new HouseholdView(
        household.name(),
        household.measureSystem(),
        household.fahrenheit(),
        household.zone().getId(),
        household.school(),
        household.demo(),
        households.now(household),
        household.version());
  }

  private static ZoneId zone(String id) {
    try {
      return ZoneId.of(id);
    } catch (DateTimeException e) {
      throw Problem.invalid(FieldProblem.of("timeZone", id, "There is no time zone '" + id + "'."));
    }
  }
}
