package dremsa.server.backup;

import io.swagger.v3.oas.annotations.Hidden;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * The published form of a backup, as JSON Schema: made from the columns that are really written and
 * read, so that it is never wrong.
 */
@RestController
@Hidden
class BackupSchema {
  private final ObjectNode schema;

  BackupSchema(Tables tables) {
    this.schema = of(tables);
  }

  @GetMapping(path = "/schemas/backup-2.json", produces = "application/schema+json")
  ObjectNode get() {
    return schema;
  }

  private static ObjectNode of(Tables tables) {
    ObjectNode schema = Archive.JSON.createObjectNode();
    schema.put("$schema", "https://json-schema.org/draft/2020-12/schema");
    schema.put("$id", "urn:dremsa:schema:backup-2");
    schema.put("title", "A household of Dremsa, whole");
    schema.put(
        "description",
        "A zip with dremsa.json ($defs/head), tables/{name}.ndjson with one row of $defs/{name} to a"
            + " line, photos/{id}.jpg for each row of batch_photo in their order, and at its end"
            + " manifest.json ($defs/manifest): counts, unpacked bytes and SHA-256 of each table and"
            + " of all photos as if they were one. A file without its manifest was cut short."
            + " Moments are in UTC; ids are given anew on reading.");
    ObjectNode definitions = schema.putObject("$defs");
    head(definitions.putObject("head"));
    manifest(definitions.putObject("manifest"));
    tables.all().forEach(table -> row(table, definitions.putObject(table.name())));
    return schema;
  }

  private static void head(ObjectNode head) {
    ObjectNode properties = object(head, "form", "version", "household");
    properties.putObject("form").put("const", Archive.FORM);
    properties.putObject("version").put("const", ArchiveForm2.VERSION);
    ObjectNode household =
        object(
            properties.putObject("household"),
            "name",
            "measures",
            "fahrenheit",
            "timeZone",
            "school");
    household.putObject("name").put("type", "string").put("maxLength", 80);
    household.putObject("measures").put("type", "string");
    household.putObject("fahrenheit").put("type", "boolean");
    household.putObject("timeZone").put("type", "string");
    household.putObject("school").put("type", "string");
  }

  private static void manifest(ObjectNode manifest) {
    ObjectNode properties = object(manifest, "form", "version", "tables", "photos");
    properties.putObject("form").put("const", Archive.FORM);
    properties.putObject("version").put("const", ArchiveForm2.VERSION);
    part(properties.putObject("tables").put("type", "object").putObject("additionalProperties"));
    part(properties.putObject("photos"));
  }

  private static void part(ObjectNode part) {
    ObjectNode properties = object(part, "count", "bytes", "sha256");
    properties.putObject("count").put("type", "integer").put("minimum", 0);
    properties.putObject("bytes").put("type", "integer").put("minimum", 0);
    properties.putObject("sha256").put("type", "string").put("pattern", "^[0-9a-f]{64}$");
  }

  private static void row(KeptTable table, ObjectNode row) {
    ObjectNode properties =
        object(row, table.inLine().stream().map(Column::name).toArray(String[]::new));
    for (Column column : table.inLine()) {
      ObjectNode cell = properties.putObject(column.name());
      if (column.nullable()) {
        ArrayNode either = cell.putArray("anyOf");
        column.form().describe(either.addObject());
        either.addObject().put("type", "null");
      } else {
        column.form().describe(cell);
      }
    }
  }

  /** An object that has these properties and no others. */
  private static ObjectNode object(ObjectNode schema, String... names) {
    schema.put("type", "object").put("additionalProperties", false);
    ArrayNode required = schema.putArray("required");
    for (String name : names) {
      required.add(name);
    }
    return schema.putObject("properties");
  }
}
