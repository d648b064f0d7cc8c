package dremsa.server.http;

import com.fasterxml.jackson.databind.JavaType;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.core.util.Json;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.Operation;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.ArraySchema;
import io.swagger.v3.oas.models.media.Content;
import io.swagger.v3.oas.models.media.IntegerSchema;
import io.swagger.v3.oas.models.media.MediaType;
import io.swagger.v3.oas.models.media.NumberSchema;
import io.swagger.v3.oas.models.media.ObjectSchema;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import io.swagger.v3.oas.models.responses.ApiResponse;
import java.lang.reflect.RecordComponent;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * The OpenAPI document made from the code: fields that may be missing say so, errors have a form.
 */
@Configuration
class ApiDocument {
  private static final String PROBLEM = "Problem";

  @Bean
  @Nullable OpenApiCustomizer problems(List<Words> lists) {
    return api -> {
      api.info(
          new Info()
              .title("Dremsa")
              .version("0.1")
              .description(
                  "The workbench of a person who brews hair care at home. Masses in g, volumes in mL,"
                      + " temperatures in °C, times in minutes unless a name says otherwise."));
      api.servers(null);
      api.getComponents().addSchemas(PROBLEM, problemSchema());
      api.getPaths()
          .values()
          .forEach(path -> path.readOperations().forEach(ApiDocument::addProblem));
      sortSchemas(api);
      Map<String, Object> words = new java.util.TreeMap<>();
      lists.forEach(list -> words.put(list.name(), list.words()));
      api.addExtension("x-words", words);
    };
  }

  private static void sortSchemas(OpenAPI api) {
    // A stable order keeps the committed document comparable.
    api.getComponents().setSchemas(new java.util.TreeMap<>(api.getComponents().getSchemas()));
    io.swagger.v3.oas.models.Paths sorted = new io.swagger.v3.oas.models.Paths();
    new java.util.TreeMap<>(api.getPaths()).forEach(sorted::addPathItem);
    api.setPaths(sorted);
  }

  private static void addProblem(Operation operation) {
    operation
        .getResponses()
        .addApiResponse(
            "default",
            new ApiResponse()
                .description("A problem detail (RFC 9457)")
                .content(
                    new Content()
                        .addMediaType(
                            "application/problem+json",
                            new MediaType()
                                .schema(new Schema<>().$ref("#/components/schemas/" + PROBLEM)))));
  }

  private static @Nullable Schema<?> problemSchema() {
    Schema<?> field = new ObjectSchema();
    field.addProperty("field", new StringSchema());
    field.addProperty("value", new Schema<>());
    field.addProperty("message", new StringSchema());
    field.addProperty("low", new NumberSchema());
    field.addProperty("high", new NumberSchema());
    field.setRequired(List.of("field", "message"));
    Schema<?> problem = new ObjectSchema();
    problem.addProperty("type", new StringSchema());
    problem.addProperty("title", new StringSchema());
    problem.addProperty("status", new IntegerSchema());
    problem.addProperty("detail", new StringSchema());
    problem.addProperty("errors", new ArraySchema().items(field));
    problem.setRequired(List.of("type", "title", "status", "detail"));
    return problem;
  }

  /** Marks every component of a record as required that is not {@link Nullable}. */
  @Bean
  ModelConverter requiredComponents() {
    return new ModelConverter() {
      @Override
      public @Nullable Schema<?> resolve(
          AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> chain) {
        Schema<?> schema = chain.hasNext() ? chain.next().resolve(type, context, chain) : null;
        JavaType java = Json.mapper().constructType(type.getType());
        if (schema != null && java != null && java.getRawClass().isRecord()) {
          Schema<?> model =
              schema.get$ref() == null
                  ? schema
                  : context.getDefinedModels().get(schema.get$ref().replaceAll(".*/", ""));
          if (model != null && model.getProperties() != null) {
            for (RecordComponent component : java.getRawClass().getRecordComponents()) {
              boolean optional = component.getAnnotatedType().isAnnotationPresent(Nullable.class);
              boolean named =
                  model.getRequired() != null && model.getRequired().contains(component.getName());
              if (!optional && !named && model.getProperties().containsKey(component.getName())) {
                model.addRequiredItem(component.getName());
              }
            }
          }
        }
        return schema;
      }
    };
  }
}
