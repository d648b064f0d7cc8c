package dremsa.server.push;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpRequest;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.time.Duration;
import java.util.Map;
import nl.martijndwars.webpush.AbstractPushService;
import nl.martijndwars.webpush.Encoding;
import nl.martijndwars.webpush.Notification;
import nl.martijndwars.webpush.Urgency;
import org.jose4j.lang.JoseException;

/** Encrypts a message for one browser, and signs that it comes from this installation. */
final class Sealing extends AbstractPushService<Sealing> {
  /** A pot does not wait longer: what a phone gets later only confuses. */
  static final Duration WORTH = Duration.ofHours(1);

  private static final Duration PATIENCE = Duration.ofSeconds(8);

  static {
    // The library asks for it by name, also where the keys were made by an earlier process.
    PushKeys.provider();
  }

  Sealing(PushKeys.Pair keys, String subject) throws GeneralSecurityException {
    super(keys.publicKey(), keys.privateKey(), subject);
  }

  /**
   * The request that delivers a message.
   *
   * @param publicKey of the browser, base64url
   * @param secret that it shares, base64url
   * @param urgent whether it may wake the device
   */
  HttpRequest request(
      String endpoint, String publicKey, String secret, String payload, boolean urgent)
      throws GeneralSecurityException, IOException, JoseException {
    Notification notification =
        Notification.builder()
            .endpoint(endpoint)
            .userPublicKey(publicKey)
            .userAuth(secret)
            .payload(payload.getBytes(StandardCharsets.UTF_8))
            .ttl((int) WORTH.toSeconds())
            .urgency(urgent ? Urgency.HIGH : Urgency.NORMAL)
            .build();
    nl.martijndwars.webpush.HttpRequest sealed = prepareRequest(notification, Encoding.AES128GCM);
    HttpRequest.Builder request =
        HttpRequest.newBuilder(URI.create(endpoint))
            .timeout(PATIENCE)
            .POST(HttpRequest.BodyPublishers.ofByteArray(sealed.getBody()));
    for (Map.Entry<String, String> header : sealed.getHeaders().entrySet()) {
      request.header(header.getKey(), header.getValue());
    }
    return request.build();
  }
}
