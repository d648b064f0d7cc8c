package dremsa.server.bench;

import dremsa.core.brew.Reading;
import dremsa.server.wire.Stored;
import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Converter;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.stereotype.Component;

/** Readings in a column of a row: a new kind of reading changes no table. */
@Component
@Converter
class ReadingsColumn implements AttributeConverter<Map<Reading, Double>, String> {
  private final Stored stored;

  ReadingsColumn(Stored stored) {
    this.stored = stored;
  }

  @Override
  public String convertToDatabaseColumn(Map<Reading, Double> readings) {
    return stored.write(new TreeMap<>(readings));
  }

  @Override
  public Map<Reading, Double> convertToEntityAttribute(String column) {
    return stored.readings(column);
  }
}
