package dremsa.server.passkeys;

import com.webauthn4j.util.exception.WebAuthnException;
import dremsa.server.accounts.Accounts;
import dremsa.server.accounts.Member;
import dremsa.server.http.BaseAddress;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.web.webauthn.api.AuthenticatorAssertionResponse;
import org.springframework.security.web.webauthn.api.AuthenticatorAttestationResponse;
import org.springframework.security.web.webauthn.api.AuthenticatorSelectionCriteria;
import org.springframework.security.web.webauthn.api.CredentialRecord;
import org.springframework.security.web.webauthn.api.ImmutablePublicKeyCredentialUserEntity;
import org.springframework.security.web.webauthn.api.PublicKeyCredential;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialCreationOptions;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialRequestOptions;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialRpEntity;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialUserEntity;
import org.springframework.security.web.webauthn.api.ResidentKeyRequirement;
import org.springframework.security.web.webauthn.api.UserVerificationRequirement;
import org.springframework.security.web.webauthn.jackson.WebauthnJacksonModule;
import org.springframework.security.web.webauthn.management.ImmutablePublicKeyCredentialCreationOptionsRequest;
import org.springframework.security.web.webauthn.management.ImmutablePublicKeyCredentialRequestOptionsRequest;
import org.springframework.security.web.webauthn.management.ImmutableRelyingPartyRegistrationRequest;
import org.springframework.security.web.webauthn.management.JdbcPublicKeyCredentialUserEntityRepository;
import org.springframework.security.web.webauthn.management.JdbcUserCredentialRepository;
import org.springframework.security.web.webauthn.management.PublicKeyCredentialUserEntityRepository;
import org.springframework.security.web.webauthn.management.RelyingPartyAuthenticationRequest;
import org.springframework.security.web.webauthn.management.RelyingPartyPublicKey;
import org.springframework.security.web.webauthn.management.UserCredentialRepository;
import org.springframework.security.web.webauthn.management.Webauthn4JRelyingPartyOperations;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.JacksonException;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/**
 * The passkeys of people, by the security framework's own WebAuthn. A passkey belongs to the name
 * that the server was asked by, as browsers want it; one made under another name is not offered
 * there. It stands for a password, so whoever uses it has to show their device that it is them.
 */
@Component
class Passkeys {
  /** More than devices in a drawer. */
  static final int MOST = 20;

  private static final String OURS = "Dremsa";

  private final PublicKeyCredentialUserEntityRepository people;
  private final UserCredentialRepository credentials;
  private final Accounts accounts;
  private final BaseAddress base;
  private final JsonMapper json =
      JsonMapper.builder().addModule(new WebauthnJacksonModule()).build();

  Passkeys(JdbcTemplate jdbc, Accounts accounts, BaseAddress base) {
    this.people = new JdbcPublicKeyCredentialUserEntityRepository(jdbc);
    this.credentials = new JdbcUserCredentialRepository(jdbc);
    this.accounts = accounts;
    this.base = base;
  }

  /** Somebody's, the newest first. */
  List<CredentialRecord> of(Member member) {
    PublicKeyCredentialUserEntity known = people.findByUsername(member.getName());
    return known == null
        ? List.of()
        : credentials.findByUserId(known.getId()).stream()
            .sorted(Comparator.comparing(CredentialRecord::getCreated).reversed())
            .toList();
  }

  /**
   * What a device has to be asked to make one.
   *
   * @throws Problem 409 when they have too many
   */
  @Transactional
  public PublicKeyCredentialCreationOptions ask(Member member, HttpServletRequest request) {
    if (of(member).size() >= MOST) {
      throw Problem.conflict("You have " + MOST + " passkeys. Take one away first.");
    }
    Webauthn4JRelyingPartyOperations party = party(request);
    party.setCustomizeCreationOptions(options -> provingTheOwner(options).user(shown(member)));
    return party.createPublicKeyCredentialCreationOptions(
        new ImmutablePublicKeyCredentialCreationOptionsRequest(
            UsernamePasswordAuthenticationToken.authenticated(member, null, List.of())));
  }

  /** For the framework somebody is their account's id; their device shows what they know. */
  private PublicKeyCredentialUserEntity shown(Member member) {
    return ImmutablePublicKeyCredentialUserEntity.builder()
        .id(Objects.requireNonNull(people.findByUsername(member.getName())).getId())
        .name(member.signIn())
        .displayName(accounts.get(member.household(), member.accountId()).called())
        .build();
  }

  private static PublicKeyCredentialCreationOptions.PublicKeyCredentialCreationOptionsBuilder
      provingTheOwner(
          PublicKeyCredentialCreationOptions.PublicKeyCredentialCreationOptionsBuilder options) {
    return options.authenticatorSelection(
        AuthenticatorSelectionCriteria.builder()
            .residentKey(ResidentKeyRequirement.REQUIRED)
            .userVerification(UserVerificationRequirement.REQUIRED)
            .build());
  }

  /**
   * Keeps what a device made.
   *
   * @param label what its owner knows it by
   * @throws Problem 400 when it does not answer what was asked
   */
  @Transactional
  public void add(
      PublicKeyCredentialCreationOptions asked,
      Map<String, Object> made,
      String label,
      HttpServletRequest request) {
    try {
      party(request)
          .registerCredential(
              new ImmutableRelyingPartyRegistrationRequest(
                  asked,
                  new RelyingPartyPublicKey(
                      json.convertValue(
                          made,
                          new TypeReference<
                              PublicKeyCredential<AuthenticatorAttestationResponse>>() {}),
                      label)));
    } catch (WebAuthnException | JacksonException | IllegalArgumentException e) {
      throw Problem.invalid(
          FieldProblem.of("credential", null, "This is not the passkey that was asked for."));
    }
  }

  /**
   * Takes one away; the device may still hold it, but it opens nothing.
   *
   * @return what its owner knew it by
   * @throws Problem 404 when they have no such one
   */
  @Transactional
  public String remove(Member member, String id) {
    CredentialRecord found =
        of(member).stream()
            .filter(one -> one.getCredentialId().toBase64UrlString().equals(id))
            .findFirst()
            .orElseThrow(() -> Problem.notFound("passkey"));
    credentials.delete(found.getCredentialId());
    return found.getLabel();
  }

  /** What a device has to be asked at the door, whosever it is. */
  PublicKeyCredentialRequestOptions ask(HttpServletRequest request) {
    return party(request)
        .createCredentialRequestOptions(
            new ImmutablePublicKeyCredentialRequestOptionsRequest(null));
  }

  /** Whose device gave this answer; nobody's when it is not the answer to what was asked. */
  @Transactional
  public Optional<Member> owner(
      @Nullable PublicKeyCredentialRequestOptions asked,
      Map<String, Object> answer,
      HttpServletRequest request) {
    if (asked == null) {
      return Optional.empty();
    }
    try {
      PublicKeyCredentialUserEntity person =
          party(request)
              .authenticate(
                  new RelyingPartyAuthenticationRequest(
                      asked,
                      json.convertValue(
                          answer,
                          new TypeReference<
                              PublicKeyCredential<AuthenticatorAssertionResponse>>() {})));
      return accounts.byId(UUID.fromString(person.getName()));
    } catch (WebAuthnException | JacksonException | IllegalArgumentException e) {
      return Optional.empty();
    }
  }

  /** As browsers take it. */
  Map<String, Object> asJson(Object options) {
    return json.convertValue(options, new TypeReference<Map<String, Object>>() {});
  }

  /** The server, by the name that it was asked by; names not its own are refused at the door. */
  private Webauthn4JRelyingPartyOperations party(HttpServletRequest request) {
    Webauthn4JRelyingPartyOperations party =
        new Webauthn4JRelyingPartyOperations(
            people,
            credentials,
            PublicKeyCredentialRpEntity.builder().id(request.getServerName()).name(OURS).build(),
            new HashSet<>(List.of(origin(request), base.of(request))));
    party.setCustomizeRequestOptions(
        options -> options.userVerification(UserVerificationRequirement.REQUIRED));
    return party;
  }

  /** As a browser writes it: without the port that goes without saying. */
  private static String origin(HttpServletRequest request) {
    int usual = request.isSecure() ? 443 : 80;
    String port = request.getServerPort() == usual ? "" : ":" + request.getServerPort();
    return request.getScheme() + "://" + request.getServerName() + port;
  }
}
