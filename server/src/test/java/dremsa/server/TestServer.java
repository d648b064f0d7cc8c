package dremsa.server;

import dremsa.devices.Main;
import dremsa.server.reminders.Repeated;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.Consumer;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ApplicationEvent;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.PayloadApplicationEvent;

/** The application, started once for all tests on a port of its own against a real MariaDB. */
public final class TestServer {
  private TestServer() {}

  /** Wrong passwords that an address is free to try; more than all tests together do by mistake. */
  public static final int TRIES_BY_ADDRESS = 40;

  /** Where the stand-in devices answer. */
  public static final String DEVICES = devices();

  /** Where backups are kept; nothing is, unless a test asks for it. */
  public static final Path BACKUPS = Path.of("target", "backups").toAbsolutePath();

  private static final ConfigurableApplicationContext CONTEXT = start();

  private static String devices() {
    try {
      return "http://127.0.0.1:" + Main.start(0, 5).getAddress().getPort();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static ConfigurableApplicationContext start() {
    String url = System.getenv("DREMSA_TEST_DB_URL");
    if (url == null) {
      throw new IllegalStateException(
          "These tests need a MariaDB: run ./dremsa test, which starts one.");
    }
    ConfigurableApplicationContext context = on(url);
    TurnGuard.watch();
    return context;
  }

  /**
   * The application on a database; the caller closes it.
   *
   * @param settings that it shall have besides or instead, as {@code --name=value}
   */
  public static ConfigurableApplicationContext on(String url, String... settings) {
    List<String> all =
        new ArrayList<>(
            List.of(
                "--server.port=0",
                "--dremsa.movable-clock=true",
                "--dremsa.sign-up=open",
                "--dremsa.backups=" + BACKUPS,
                "--dremsa.scheduler=false",
                "--dremsa.devices.url=" + DEVICES,
                "--dremsa.sign-in.tries-by-address=" + TRIES_BY_ADDRESS,
                "--springdoc.api-docs.enabled=true",
                "--spring.datasource.url=" + url,
                "--spring.datasource.username=" + System.getenv("DREMSA_TEST_DB_USER"),
                "--spring.datasource.password=" + System.getenv("DREMSA_TEST_DB_PASSWORD"),
                "--logging.level.root=warn"));
    all.removeIf(
        one -> Arrays.stream(settings).anyMatch(s -> s.startsWith(one.replaceAll("=.*", "="))));
    all.addAll(List.of(settings));
    return new SpringApplicationBuilder(Application.class, TurnGuard.class)
        .run(all.toArray(String[]::new));
  }

  public static String address() {
    return "http://127.0.0.1:" + CONTEXT.getEnvironment().getProperty("local.server.port");
  }

  /** Work that the scheduler would repeat, run by hand. */
  public static Runnable work(String bean) {
    return CONTEXT.getBean(bean, Repeated.class).work();
  }

  /** Hears what packages tell each other, within the change that they tell it in. */
  public static <T> void listen(Class<T> event, Consumer<T> listener) {
    CONTEXT.addApplicationListener(
        (ApplicationEvent told) -> {
          if (told instanceof PayloadApplicationEvent<?> payload
              && event.isInstance(payload.getPayload())) {
            listener.accept(event.cast(payload.getPayload()));
          }
        });
  }

  public static <T> T bean(Class<T> type) {
    return CONTEXT.getBean(type);
  }
}
