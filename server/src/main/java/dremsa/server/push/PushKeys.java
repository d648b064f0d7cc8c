package dremsa.server.push;

import java.security.GeneralSecurityException;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.Provider;
import java.security.Security;
import java.util.Base64;
import java.util.List;
import nl.martijndwars.webpush.Utils;
import org.bouncycastle.jce.interfaces.ECPrivateKey;
import org.bouncycastle.jce.interfaces.ECPublicKey;
import org.bouncycastle.jce.provider.BouncyCastleProvider;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * The keys by which push services know this installation. Made once and kept in the database, so
 * that every instance signs alike; without them a browser would have to subscribe anew.
 */
@Component
class PushKeys {
  private static final Base64.Encoder BASE64 = Base64.getUrlEncoder().withoutPadding();

  private final JdbcTemplate jdbc;

  PushKeys(JdbcTemplate jdbc) {
    this.jdbc = jdbc;
  }

  /** A pair on P-256, as base64url: the public point uncompressed, the private number. */
  record Pair(String publicKey, String privateKey) {}

  /** The pair, made by whoever asks first. */
  Pair pair() {
    return kept().stream()
        .findFirst()
        .orElseGet(
            () -> {
              Pair made = make();
              // Another instance may have been quicker: the one that is kept counts.
              jdbc.update(
                  "insert ignore into push_key (id, public_key, private_key) values (1, ?, ?)",
                  made.publicKey(),
                  made.privateKey());
              return kept().get(0);
            });
  }

  private List<Pair> kept() {
    return jdbc.query(
        "select public_key, private_key from push_key where id = 1",
        (row, n) -> new Pair(row.getString(1), row.getString(2)));
  }

  private static Pair make() {
    try {
      KeyPairGenerator generator = KeyPairGenerator.getInstance("ECDH", provider());
      generator.initialize(org.bouncycastle.jce.ECNamedCurveTable.getParameterSpec("prime256v1"));
      KeyPair pair = generator.generateKeyPair();
      return new Pair(
          BASE64.encodeToString(Utils.encode((ECPublicKey) pair.getPublic())),
          BASE64.encodeToString(Utils.encode((ECPrivateKey) pair.getPrivate())));
    } catch (GeneralSecurityException e) {
      throw new IllegalStateException(e);
    }
  }

  /** The library asks for its provider by name. */
  static Provider provider() {
    Provider there = Security.getProvider(BouncyCastleProvider.PROVIDER_NAME);
    if (there != null) {
      return there;
    }
    Provider made = new BouncyCastleProvider();
    Security.addProvider(made);
    return made;
  }
}
