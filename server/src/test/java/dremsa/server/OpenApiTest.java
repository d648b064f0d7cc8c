package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** The committed document is the one that the code makes; the web client is made from it. */
class OpenApiTest {
  private static final Path COMMITTED = Path.of("openapi.json");
  private static final JsonMapper JSON =
      JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();

  @Test
  void theCommittedDocumentIsUpToDate() throws IOException {
    JsonNode made = new Visitor().get("/v3/api-docs").body();
    assertThat(made.at("/paths").size()).isGreaterThan(10);
    if (Boolean.getBoolean("dremsa.openapi.write")) {
      Files.writeString(COMMITTED, JSON.writeValueAsString(made) + "\n");
    }
    assertThat(JSON.readTree(Files.readString(COMMITTED)))
        .as("server/openapi.json; write it anew with -Ddremsa.openapi.write=true, then npm run api")
        .isEqualTo(made);
  }
}
