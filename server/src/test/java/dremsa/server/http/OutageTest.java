package dremsa.server.http;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.orm.jpa.JpaSystemException;

/** What is taken for a database that is away, and what is not. */
class OutageTest {
  private final Outage outage = new Outage(null);

  static Stream<Throwable> away() {
    return Stream.of(
        new SQLTransientConnectionException("no connection within 2 s"),
        new SQLException("socket error", "08000", 1927),
        new RuntimeException(new SQLException("server has gone", "08S01", 2006)),
        new JpaSystemException(
            new RuntimeException("unable to roll back", new SQLException("Connection is closed"))));
  }

  @ParameterizedTest
  @MethodSource("away")
  void aLostConnectionIsOne(Throwable failure) {
    assertThat(outage.isOne(failure)).isTrue();
    assertThat(outage.began().getStatusCode().value()).isEqualTo(503);
    assertThat(outage.began().getHeaders().getFirst("Retry-After")).isEqualTo("2");
    assertThat(outage.lasts()).isTrue();
  }

  @Test
  void aStatementThatIsWrongIsNone() {
    assertThat(outage.isOne(new SQLException("no such column", "42S22", 1054))).isFalse();
    assertThat(outage.isOne(new IllegalStateException("a slip of ours"))).isFalse();
    assertThat(outage.lasts()).isFalse();
  }
}
