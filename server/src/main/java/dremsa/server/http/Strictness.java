package dremsa.server.http;

import com.fasterxml.jackson.annotation.JsonSetter;
import com.fasterxml.jackson.annotation.Nulls;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.deser.std.StdScalarDeserializer;
import tools.jackson.databind.module.SimpleModule;

/**
 * What no request means, wherever it stands in one: nothing as an item of a list or a map, and
 * numbers beyond all numbers. Said at their place, once for all forms.
 */
@Configuration(proxyBeanMethods = false)
class Strictness {
  @Bean
  JsonMapperBuilderCustomizer strict() {
    SimpleModule numbers = new SimpleModule("finite numbers");
    numbers.addDeserializer(Double.class, new Finite(Double.class));
    numbers.addDeserializer(double.class, new Finite(double.class));
    return builder ->
        builder
            .addModule(numbers)
            .changeDefaultNullHandling(
                present -> present.withOverrides(JsonSetter.Value.forContentNulls(Nulls.FAIL)));
  }

  private static final class Finite extends StdScalarDeserializer<Double> {
    Finite(Class<Double> type) {
      super(type);
    }

    @Override
    public Double deserialize(JsonParser parser, DeserializationContext context) {
      double number = _parseDoublePrimitive(parser, context);
      if (!Double.isFinite(number)) {
        throw context.weirdStringException(
            parser.getString(), Double.class, "it must be a number that can be written down");
      }
      return number;
    }

    @Override
    public @Nullable Object getNullValue(DeserializationContext context) {
      return handledType() == double.class
          ? context.reportInputMismatch(this, "a number is missing")
          : null;
    }
  }
}
