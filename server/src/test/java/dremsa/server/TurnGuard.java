package dremsa.server;

import java.lang.reflect.Method;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Queue;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.sql.DataSource;
import net.ttddyy.dsproxy.ExecutionInfo;
import net.ttddyy.dsproxy.QueryInfo;
import net.ttddyy.dsproxy.listener.MethodExecutionContext;
import net.ttddyy.dsproxy.listener.MethodExecutionListener;
import net.ttddyy.dsproxy.listener.QueryExecutionListener;
import net.ttddyy.dsproxy.support.ProxyDataSourceBuilder;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * Sits between the application and the database while the tests run: whatever writes a row of a
 * household in a transaction that did not take the household's row as its first statement fails
 * there and then. So a writer that forgets its turn is found by the first test that comes by.
 */
@Configuration(proxyBeanMethods = false)
class TurnGuard {
  private static final Pattern TURN =
      Pattern.compile(
          "update household set revision = revision \\+ 1.*|select id from household.* for update.*"
              + "|insert into household .*");
  private static final Pattern WRITE =
      Pattern.compile(
          "(?:insert(?: ignore)? into|replace into|delete(?: \\w+)? from|update) `?(\\w+)`?.*");

  /** Of these no household's page shows anything, or they sweep all households. */
  private static final Set<String> FREE =
      Set.of(
          "household",
          "spring_session",
          "spring_session_attributes",
          "scheduled_tasks",
          "sign_in_try",
          "known_device",
          "push_key",
          "push_subscription",
          "push_delivery",
          "recovery_code",
          "user_entities",
          "user_credentials",
          "audit",
          "account");

  /** Per connection that writes: whether its present transaction is a turn. */
  private static final Map<String, Boolean> TURNS = new ConcurrentHashMap<>();

  /** Migrations before it write as they like. */
  private static volatile boolean watching;

  private static final Set<String> BEGUN = ConcurrentHashMap.newKeySet();

  private static final Queue<String> STATEMENTS = new ConcurrentLinkedQueue<>();

  /**
   * What is asked of the database, the household's own session left out, while something is done.
   */
  static List<String> statements(Runnable work) {
    STATEMENTS.clear();
    work.run();
    return STATEMENTS.stream()
        .filter(sql -> !sql.toLowerCase(Locale.ROOT).contains("spring_session"))
        .filter(sql -> !sql.startsWith("select a.role, h.demo from account"))
        .toList();
  }

  /**
   * A question to the database as it was asked.
   *
   * @param parameters in their order; a moment as the driver was given it
   */
  record Asked(String sql, List<Object> parameters) {}

  private static final Queue<Asked> QUESTIONS = new ConcurrentLinkedQueue<>();

  /** What is selected from the database while something is done. */
  static List<Asked> questions(Runnable work) {
    QUESTIONS.clear();
    work.run();
    return List.copyOf(QUESTIONS);
  }

  private static void note(QueryInfo query) {
    String sql = query.getQuery().strip();
    if (sql.toLowerCase(Locale.ROOT).startsWith("select")
        && query.getParametersList().size() == 1) {
      QUESTIONS.add(
          new Asked(
              sql,
              query.getParametersList().get(0).stream()
                  .sorted(java.util.Comparator.comparing(set -> (Integer) set.getArgs()[0]))
                  .map(set -> set.getMethod().getName().equals("setNull") ? null : set.getArgs()[1])
                  .collect(java.util.stream.Collectors.toCollection(java.util.ArrayList::new))));
    }
  }

  /** The application has started. */
  static void watch() {
    watching = true;
  }

  /** Another application starts, and migrates a database of its own. */
  static <T> T lookingAway(Supplier<T> start) {
    boolean before = watching;
    watching = false;
    try {
      return start.get();
    } finally {
      watching = before;
    }
  }

  @Bean
  static BeanPostProcessor guardedDataSource() {
    return new BeanPostProcessor() {
      @Override
      public Object postProcessAfterInitialization(Object bean, String name) {
        return bean instanceof DataSource source
            ? ProxyDataSourceBuilder.create(source)
                .listener(new Statements())
                .methodListener(new Ends())
                .build()
            : bean;
      }
    };
  }

  private static final class Statements implements QueryExecutionListener {
    @Override
    public void beforeQuery(ExecutionInfo execution, List<QueryInfo> queries) {
      queries.forEach(TurnGuard::note);
      queries.forEach(query -> STATEMENTS.add(query.getQuery().strip().replaceAll("\\s+", " ")));
      if (!watching) {
        return;
      }
      String connection = execution.getConnectionId();
      for (QueryInfo query : queries) {
        String sql = query.getQuery().strip().replaceAll("\\s+", " ").toLowerCase(Locale.ROOT);
        boolean first = BEGUN.add(connection);
        if (TURN.matcher(sql).matches()) {
          boolean makes = sql.startsWith("insert");
          if (!first && !makes && !TURNS.getOrDefault(connection, false)) {
            throw new IllegalStateException("The household's row is not taken first: " + sql);
          }
          TURNS.put(connection, true);
        }
        Matcher write = WRITE.matcher(sql);
        if (write.matches()
            && !FREE.contains(write.group(1))
            && !TURNS.getOrDefault(connection, false)
            && !sql.startsWith("delete from idempotency where created_at")) {
          throw new IllegalStateException("This is written outside its household's turn: " + sql);
        }
      }
    }

    @Override
    public void afterQuery(ExecutionInfo execution, List<QueryInfo> queries) {
      // Nothing to say after it.
    }
  }

  /** A transaction ends with it, or a connection is given back. */
  private static final class Ends implements MethodExecutionListener {
    private static final Set<String> ENDS = Set.of("commit", "rollback", "close", "setAutoCommit");

    @Override
    public void beforeMethod(MethodExecutionContext context) {
      Method method = context.getMethod();
      if (context.getTarget() instanceof java.sql.Connection && ENDS.contains(method.getName())) {
        String connection = context.getConnectionInfo().getConnectionId();
        TURNS.remove(connection);
        BEGUN.remove(connection);
      }
    }

    @Override
    public void afterMethod(MethodExecutionContext context) {
      // Nothing to say after it.
    }
  }
}
