package dremsa.journeys;

import java.io.IOException;
import java.io.InputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.net.URI;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/** The line between a server and its database, which can be cut and mended. */
final class DatabaseLine implements AutoCloseable {
  private final InetSocketAddress database;
  private final int port;
  private final String url;
  private final Set<Socket> sockets = ConcurrentHashMap.newKeySet();
  private ServerSocket door;

  private DatabaseLine(String url) throws IOException {
    URI target = URI.create(url.substring("jdbc:".length()));
    this.database = new InetSocketAddress(target.getHost(), target.getPort());
    try (ServerSocket free = new ServerSocket(0)) {
      this.port = free.getLocalPort();
    }
    this.url = "jdbc:mariadb://127.0.0.1:" + port + target.getPath();
    mend();
  }

  static DatabaseLine open() throws IOException {
    return new DatabaseLine(ServerProcess.Database.ofTheTests().url());
  }

  String url() {
    return url;
  }

  /** From now on it can be reached. */
  void mend() throws IOException {
    door = new ServerSocket(port, 100, InetAddress.getLoopbackAddress());
    ServerSocket present = door;
    start(() -> accept(present));
  }

  /** From now on nothing goes through, and nobody is let in. */
  void cut() throws IOException {
    door.close();
    for (Socket socket : sockets) {
      socket.close();
    }
    sockets.clear();
  }

  private void accept(ServerSocket present) {
    try {
      while (true) {
        Socket here = present.accept();
        Socket there = new Socket();
        there.connect(database);
        sockets.add(here);
        sockets.add(there);
        start(() -> carry(here, there));
        start(() -> carry(there, here));
      }
    } catch (IOException e) {
      // It was cut.
    }
  }

  private void carry(Socket from, Socket to) {
    try (from;
        to) {
      InputStream in = from.getInputStream();
      in.transferTo(to.getOutputStream());
    } catch (IOException e) {
      // It was cut, or one end is gone.
    } finally {
      sockets.remove(from);
      sockets.remove(to);
    }
  }

  private static void start(Runnable work) {
    Thread thread = new Thread(work, "database line");
    thread.setDaemon(true);
    thread.start();
  }

  @Override
  public void close() throws IOException {
    cut();
  }
}
