package dremsa.server;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The published document of the API: its operations, and requests of the form that it asks for. */
final class PublishedApi {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  private final JsonNode document;
  private final Random dice;
  private final List<String> ids;

  private PublishedApi(JsonNode document, Random dice, List<String> ids) {
    this.document = document;
    this.dice = dice;
    this.ids = ids;
  }

  /**
   * Reads it.
   *
   * @param ids that stand where the document asks for one
   */
  static PublishedApi read(Random dice, List<String> ids) throws IOException {
    return new PublishedApi(JSON.readTree(Files.readString(Path.of("openapi.json"))), dice, ids);
  }

  /** One operation of the document. */
  record Operation(String method, String path, JsonNode told) {
    boolean writes() {
      return !method.equals("GET");
    }

    /** What its body is; missing where it has none. */
    JsonNode content() {
      return told.path("requestBody").path("content");
    }
  }

  List<Operation> operations() {
    List<Operation> all = new ArrayList<>();
    document
        .get("paths")
        .properties()
        .forEach(
            path ->
                path.getValue()
                    .properties()
                    .forEach(
                        op ->
                            all.add(
                                new Operation(
                                    op.getKey().toUpperCase(Locale.ROOT),
                                    path.getKey(),
                                    op.getValue()))));
    return all;
  }

  /** Something of this form, with values of chance. */
  JsonNode example(JsonNode schema) {
    return example(schema, 0);
  }

  /** Something of the form that the document asks for, with values of chance. */
  private JsonNode example(JsonNode schema, int depth) {
    if (schema.has("$ref")) {
      return example(document.at(schema.get("$ref").stringValue().substring(1)), depth + 1);
    }
    for (String choice : List.of("oneOf", "anyOf", "allOf")) {
      if (schema.has(choice)) {
        return example(schema.get(choice).get(0), depth + 1);
      }
    }
    if (schema.has("enum")) {
      return schema.get("enum").get(dice.nextInt(schema.get("enum").size()));
    }
    String type =
        schema.path("type").isArray()
            ? schema.get("type").get(0).stringValue()
            : schema.path("type").asString("object");
    return switch (type) {
      case "integer" -> JSON.getNodeFactory().numberNode(dice.nextInt(4));
      case "number" ->
          JSON.getNodeFactory()
              .numberNode(dice.nextInt(3) == 0 ? dice.nextInt(500) : dice.nextDouble());
      case "boolean" -> JSON.getNodeFactory().booleanNode(dice.nextBoolean());
      case "array" -> {
        ArrayNode list = JSON.createArrayNode();
        for (int i = dice.nextInt(3); i > 0 && depth < 8; i--) {
          list.add(example(schema.path("items"), depth + 1));
        }
        yield list;
      }
      case "string" -> JSON.getNodeFactory().stringNode(text(schema.path("format").asString("")));
      default -> object(schema, depth);
    };
  }

  private String text(String format) {
    return switch (format) {
      case "uuid" -> pick(ids);
      case "date" -> "2030-03-0" + (1 + dice.nextInt(9));
      case "date-time" -> "2030-03-05T10:0" + dice.nextInt(9) + ":00Z";
      default -> pick(List.of("g", "ml", "lemon-balm-spray", "dried-nettle", "note", pick(ids)));
    };
  }

  private ObjectNode object(JsonNode schema, int depth) {
    ObjectNode object = JSON.createObjectNode();
    if (depth > 8) {
      return object;
    }
    schema
        .path("properties")
        .properties()
        .forEach(
            property -> {
              if (dice.nextInt(4) > 0) {
                object.set(property.getKey(), example(property.getValue(), depth + 1));
              }
            });
    if (schema.path("additionalProperties").isObject() && dice.nextBoolean()) {
      object.set(
          pick(List.of("0", "dried-nettle", "x", "")),
          example(schema.get("additionalProperties"), depth + 1));
    }
    return object;
  }

  private <T> T pick(List<T> from) {
    return from.get(dice.nextInt(from.size()));
  }
}
