package giostra.core.anatomy;

import static giostra.core.anatomy.Initially.letters;
import static giostra.core.anatomy.Initially.rem;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import giostra.core.band.Band;
import giostra.core.band.Bands;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.look.StyleKey;
import giostra.core.look.Styles;
import giostra.core.value.DecimalKind;
import giostra.core.value.Family;
import giostra.core.value.LetterCase;
import giostra.core.value.PickKind;
import giostra.core.value.TypeSize;
import giostra.core.value.TypeStyle;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/**
 * Styles of type, which a site says and parts with words are set in. What a site says of a style
 * holds for all parts of it as if the site had said it of each; what is said of a part itself goes
 * before. Whoever sets a part in another style says all of that style's letters with it. Nothing
 * else knows of styles: layers are asked for what they say once it is spelled out.
 */
public final class TypeStyles {
  /** What a style says. */
  public static final List<Property<?>> LETTERS =
      List.of(
          Property.FAMILY,
          Property.WEIGHT,
          Property.TEXT_SIZE,
          Property.LEADING,
          Property.SPACING,
          Property.WORD_SPACING,
          Property.SLANT,
          Property.CASE);

  private static final Map<TypeStyle, Part> PARTS = parts();

  /** The parts that styles are, in the order in which people see them. */
  public static final List<Part> ALL = List.copyOf(PARTS.values());

  private TypeStyles() {}

  private static Map<TypeStyle, Part> parts() {
    var all = new EnumMap<TypeStyle, Part>(TypeStyle.class);
    TypeSize heading = PageParts.fluid(1.75, 1.4, 1.5, 2.5);
    put(all, TypeStyle.TITLE, Family.DISPLAY, 500, PageParts.fluid(2.5, 1.6, 4, 4.25), 1.15);
    put(all, TypeStyle.HEADING, Family.DISPLAY, 500, heading, 1.15);
    put(all, TypeStyle.SUBHEADING, Family.DISPLAY, 500, TypeSize.of(rem(1.25)), 1.2);
    put(all, TypeStyle.TEXT, Family.TEXT, 400, TypeSize.of(rem(1)), 1.6);
    put(all, TypeStyle.SMALL, Family.TEXT, 400, TypeSize.of(rem(0.9375)), 1.5);
    put(all, TypeStyle.KICKER, Family.TEXT, 650, TypeSize.of(rem(0.8125)), 1.6);
    put(all, TypeStyle.FIGURE, Family.DISPLAY, 500, TypeSize.of(rem(3)), 1.1);
    put(all, TypeStyle.BUTTON, Family.TEXT, 600, TypeSize.of(rem(1)), 1.3);
    all.compute(
        TypeStyle.KICKER,
        (_, part) ->
            Objects.requireNonNull(part)
                .with(Property.SPACING, new DecimalKind(-0.1, 0.5), 0.08)
                .with(Property.CASE, new PickKind<>(LetterCase.class), LetterCase.CAPITALS));
    return all;
  }

  private static void put(
      Map<TypeStyle, Part> all,
      TypeStyle style,
      Family family,
      int weight,
      TypeSize size,
      double leading) {
    Part part = Part.of("type." + PickKind.word(style), style.label());
    all.put(style, letters(part, family, weight, size, leading));
  }

  /** The part that a style is. */
  public static Part part(TypeStyle style) {
    return Objects.requireNonNull(PARTS.get(style));
  }

  /** The style that a part is, where it is one. */
  public static Optional<TypeStyle> of(Part part) {
    return PARTS.entrySet().stream()
        .filter(each -> each.getValue().equals(part))
        .map(Map.Entry::getKey)
        .findFirst();
  }

  /** Whether a key speaks of a style itself. */
  public static boolean is(StyleKey key) {
    return PARTS.values().stream().anyMatch(part -> part.id().equals(key.part()));
  }

  /** The parts that are set in a style where nobody says another. */
  public static List<Part> setIn(TypeStyle style) {
    return Typed.PARTS.stream()
        .filter(part -> part.setting(Property.TYPE).initial() == style)
        .toList();
  }

  /** All parts that are set in a style; asked for late, since kinds of piece have parts too. */
  private static final class Typed {
    static final List<Part> PARTS =
        Anatomy.EVERY.stream().filter(part -> part.has(Property.TYPE)).toList();
  }

  /** What was spelled out of styles, and with what. */
  private record Spelled(Styles site, Bands bands, Styles all) {}

  /** By the styles themselves, not by what is in them: layers are asked very often. */
  private static final Cache<Styles, Spelled> SPELLED =
      Caffeine.newBuilder().weakKeys().maximumSize(2_000).build();

  /**
   * What a layer says, with what it says by styles of type.
   *
   * @param own what it says itself
   * @param site what the site says of the styles; where that is what the layer says itself, it
   *     speaks of all parts by speaking of their styles
   */
  public static Styles spelled(Styles own, Styles site, Bands bands) {
    if (own.set().isEmpty()) {
      return own;
    }
    Spelled known = SPELLED.getIfPresent(own);
    if (known != null && known.site == site && known.bands == bands) {
      return known.all;
    }
    Styles all = says(own, own == site) ? anew(own, site, bands) : own;
    SPELLED.put(own, new Spelled(site, bands, all));
    return all;
  }

  private static boolean says(Styles own, boolean whole) {
    return own.set().keySet().stream()
        .anyMatch(key -> key.property().equals(Property.TYPE) || (whole && is(key)));
  }

  private static Styles anew(Styles own, Styles site, Bands bands) {
    var all = new TreeMap<StyleKey, Map<String, Object>>(own.set());
    for (Part part : Typed.PARTS) {
      for (State state : part.states()) {
        // The style that a part is set in where nobody says one is that of rest.
        boolean usual = own == site && state == State.REST;
        if (usual || own.speaksOf(part.key(Property.TYPE, state))) {
          for (Property<?> property : LETTERS) {
            if (part.has(property)) {
              var said = new Said(part, property, state, own, site, bands);
              all.put(part.key(property, state), said.byBand());
            }
          }
        }
      }
    }
    return Styles.of(all);
  }

  /** What a layer says of a property of a part in a state, of itself or by a style. */
  private record Said(
      Part part, Property<?> property, State state, Styles own, Styles site, Bands bands) {
    Map<String, Object> byBand() {
      var said = new LinkedHashMap<String, Object>();
      StyleKey key = part.key(property, state);
      Object before = null;
      for (Band band : bands.widestFirst()) {
        Object value = value(band);
        // What is said of the part itself stays where it was said.
        if (value != null && (!value.equals(before) || own.own(key, band.id()) != null)) {
          said.put(band.id(), value);
        }
        before = value;
      }
      return said;
    }

    /** Whether the nearest that is said in the band or a wider one is said of the part itself. */
    private @Nullable Object itself(Band band) {
      for (Band each : bands.fromThenWider(band)) {
        Object itself = own.own(part.key(property, state), each.id());
        if (itself != null) {
          return itself;
        }
        if (own.own(part.key(Property.TYPE, state), each.id()) != null) {
          return null;
        }
      }
      return null;
    }

    /**
     * The style by which it is said; nothing where it is said of the part itself, or not at all.
     */
    Optional<TypeStyle> style(Band band) {
      if (itself(band) != null) {
        return Optional.empty();
      }
      Object said = at(part.key(Property.TYPE, state), own, bands, band);
      if (said != null) {
        return Optional.of((TypeStyle) said);
      }
      TypeStyle usual = part.setting(Property.TYPE).initial();
      boolean spoken =
          at(TypeStyles.part(usual).key(property, State.REST), site, bands, band) != null;
      return own == site && state == State.REST && spoken ? Optional.of(usual) : Optional.empty();
    }

    /** The nearest that is said; nothing where nobody does. */
    private @Nullable Object value(Band band) {
      Optional<TypeStyle> style = style(band);
      if (style.isEmpty()) {
        return itself(band);
      }
      Part of = TypeStyles.part(style.get());
      Object said = at(of.key(property, State.REST), site, bands, band);
      return said == null ? of.setting(property).initial() : said;
    }
  }

  /**
   * The style by which a layer says a property of a part in a band; nothing where it says that of
   * the part itself, or does not say it.
   *
   * @param own what the layer says itself
   */
  public static Optional<TypeStyle> saying(
      Styles own, Styles site, Part part, StyleKey key, Bands bands, Band band) {
    return LETTERS.contains(key.property()) && part.has(Property.TYPE)
        ? new Said(part, key.property(), key.state(), own, site, bands).style(band)
        : Optional.empty();
  }

  private static @Nullable Object at(StyleKey key, Styles styles, Bands bands, Band band) {
    for (Band each : bands.fromThenWider(band)) {
      Object said = styles.own(key, each.id());
      if (said != null) {
        return said;
      }
    }
    return null;
  }
}
