package dremsa.server;

import java.time.Clock;
import java.time.ZoneOffset;
import java.util.TimeZone;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.security.autoconfigure.UserDetailsServiceAutoConfiguration;
import org.springframework.context.annotation.Bean;
import org.springframework.scheduling.annotation.EnableScheduling;

/** The server: HTTP, storage, accounts and live runs. It computes nothing about a brew. */
// Accounts are ours: without this an unused one with a random password would be made.
@SpringBootApplication(exclude = UserDetailsServiceAutoConfiguration.class)
@EnableScheduling
public class Application {
  static {
    // Moments are written to the database in UTC, by whatever part of the program.
    TimeZone.setDefault(TimeZone.getTimeZone(ZoneOffset.UTC));
  }

  public static void main(String[] args) {
    SpringApplication.run(Application.class, args);
  }

  @Bean
  Clock clock() {
    // The database keeps microseconds: what was written must read back the same.
    return Clock.tickMillis(ZoneOffset.UTC);
  }
}
