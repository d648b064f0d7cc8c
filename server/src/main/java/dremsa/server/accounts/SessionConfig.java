package dremsa.server.accounts;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.session.config.SessionRepositoryCustomizer;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;

@Configuration
class SessionConfig {
  /**
   * Every request says when its session was last used. Kept to the minute the row stays the same
   * within it, and the database has nothing to flush: a question during a drag costs no disk write.
   */
  @Bean
  SessionRepositoryCustomizer<JdbcIndexedSessionRepository> toTheMinute() {
    return repository ->
        repository.setUpdateSessionQuery(
            """
            UPDATE %TABLE_NAME%
            SET SESSION_ID = ?, LAST_ACCESS_TIME = (? DIV 60000) * 60000,
                MAX_INACTIVE_INTERVAL = ?, EXPIRY_TIME = (? DIV 60000 + 1) * 60000,
                PRINCIPAL_NAME = ?
            WHERE PRIMARY_ID = ?
            """);
  }
}
