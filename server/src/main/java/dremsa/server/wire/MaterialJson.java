package dremsa.server.wire;

import com.fasterxml.jackson.annotation.JsonInclude;
import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import dremsa.core.material.OtherNames;
import dremsa.core.material.Property;
import dremsa.core.measure.Figure;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/**
 * A material with what is known of it.
 *
 * @param id lower case with hyphens
 * @param inci name in the international nomenclature of cosmetic ingredients; may be empty
 * @param kindWords read only
 * @param tint colour of a brew made from it, six hexadecimal digits
 * @param figures by property
 * @param own read only: whether it is the household's own or changed by it
 * @param alsoCalled read only: its other names; not kept
 * @param version of what the household says of it; the one that a change was made from
 */
public record MaterialJson(
    @NotNull(message = "A material needs an id.")
        @Pattern(
            regexp = "[a-z0-9]+(-[a-z0-9]+)*",
            message = "An id is of small letters, digits and single hyphens.")
        @Size(max = 80, message = "At most 80 characters.")
        String id,
    @NotNull(message = "A material needs a name.")
        @Size(min = 1, max = 120, message = "A name has 1 to 120 characters.")
        String name,
    @Size(max = 200, message = "At most 200 characters.") @Nullable String inci,
    @NotNull(message = "Say what kind it is.") MaterialKind kind,
    @Nullable String kindWords,
    @Pattern(regexp = "[0-9a-fA-F]{6}", message = "Six hexadecimal digits.") @Nullable String tint,
    @Size(max = 500, message = "At most 500 characters.") @Nullable String note,
    @Nullable Map<Property, @Valid FigureJson> figures,
    @Nullable Boolean own,
    @JsonInclude(JsonInclude.Include.NON_EMPTY) @Nullable List<String> alsoCalled,
    @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable Long version) {
  private static final String PLAIN = "d9cfb0";

  public static MaterialJson of(Material material, boolean own) {
    Map<Property, FigureJson> figures = new TreeMap<>();
    material.figures().forEach((property, figure) -> figures.put(property, FigureJson.of(figure)));
    return new MaterialJson(
        material.id(),
        material.name(),
        material.inci(),
        material.kind(),
        material.kind().words(),
        material.tint(),
        material.note(),
        figures,
        own,
        null,
        null);
  }

  /** The same with its version, where it is the household's own. */
  public MaterialJson withVersion(@Nullable Long its) {
    return new MaterialJson(
        id, name, inci, kind, kindWords, tint, note, figures, own, alsoCalled, its);
  }

  /** The same with what it is called besides. */
  public MaterialJson withOtherNames() {
    return new MaterialJson(
        id, name, inci, kind, kindWords, tint, note, figures, own, OtherNames.of(id), version);
  }

  /**
   * The core's material.
   *
   * @param at path of this material in the request; empty when it is the whole body
   */
  public Material toCore(String at) {
    Map<Property, Figure> known = new EnumMap<>(Property.class);
    if (figures != null) {
      figures.forEach(
          (property, figure) ->
              known.put(
                  property, figure.toCore(at + "figures." + property.name(), property.unit())));
    }
    return new Material(
        id,
        name,
        inci == null ? "" : inci,
        kind,
        tint == null ? PLAIN : tint.toLowerCase(java.util.Locale.ROOT),
        note == null ? "" : note,
        known);
  }
}
