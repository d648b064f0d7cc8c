package dremsa.server.http;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.lang.reflect.Proxy;
import java.sql.SQLException;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotWritableException;
import org.springframework.web.context.request.WebRequest;

/** An answer that could not be written. */
class PageLeftTest {
  private static final WebRequest REQUEST =
      (WebRequest)
          Proxy.newProxyInstance(
              WebRequest.class.getClassLoader(),
              new Class<?>[] {WebRequest.class},
              (proxy, method, arguments) -> "uri=/api/plan");

  private final ProblemHandler handler = new ProblemHandler(new Outage(null));

  private ResponseEntity<Object> answer(Throwable cause) {
    return handler.handleHttpMessageNotWritable(
        new HttpMessageNotWritableException("could not write", cause),
        new HttpHeaders(),
        HttpStatus.INTERNAL_SERVER_ERROR,
        REQUEST);
  }

  @Test
  void aPageThatWasLeftIsNothingToRecord() {
    assertThat(answer(new IOException("Broken pipe"))).isNull();
  }

  @Test
  void aDatabaseThatIsAwayIsSaidAllTheSame() {
    Throwable gone = new SQLException("Broken pipe", "08S01", 2006, new IOException("Broken pipe"));

    assertThat(answer(gone).getStatusCode().value()).isEqualTo(503);
  }

  @Test
  void whatIsOurSlipHasItsNumber() {
    assertThat(answer(new IllegalStateException("a slip")).getStatusCode().value()).isEqualTo(500);
  }
}
