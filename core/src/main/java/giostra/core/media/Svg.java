package giostra.core.media;

import java.util.Locale;
import java.util.Set;

/**
 * What a drawing consists of: elements and attributes that draw, and none that run, fetch or embed.
 * Source: SVG 2, "Element index" and "Attribute index"; Filter Effects 1; CSS Masking 1.
 */
final class Svg {
  private static final Set<String> ELEMENTS =
      names(
          """
          svg g defs symbol use switch title desc style
          path rect circle ellipse line polyline polygon text tspan textpath
          lineargradient radialgradient stop pattern clippath mask marker
          filter feblend fecolormatrix fecomponenttransfer fecomposite feconvolvematrix
          fediffuselighting fedisplacementmap fedistantlight fedropshadow feflood fefunca fefuncb
          fefuncg fefuncr fegaussianblur femerge femergenode femorphology feoffset fepointlight
          fespecularlighting fespotlight fetile feturbulence
          """);

  private static final Set<String> ATTRIBUTES =
      names(
          """
          id class style lang xml:space xml:lang xmlns xmlns:xlink version type media role tabindex
          systemlanguage transform-box
          x y x1 y1 x2 y2 cx cy r rx ry fx fy fr dx dy d points pathlength width height viewbox
          preserveaspectratio transform transform-origin href xlink:href offset
          gradientunits gradienttransform spreadmethod clippathunits maskunits maskcontentunits
          patternunits patterncontentunits patterntransform markerunits markerwidth markerheight
          orient refx refy rotate textlength lengthadjust startoffset method spacing side
          filterunits primitiveunits in in2 result values mode stddeviation edgemode order
          kernelmatrix kernelunitlength divisor bias targetx targety preservealpha surfacescale
          diffuseconstant specularconstant specularexponent limitingconeangle pointsatx pointsaty
          pointsatz z scale xchannelselector ychannelselector operator k1 k2 k3 k4 radius
          basefrequency numoctaves seed stitchtiles azimuth elevation amplitude exponent intercept
          slope tablevalues
          alignment-baseline baseline-shift clip clip-path clip-rule color color-interpolation
          color-interpolation-filters direction display dominant-baseline fill fill-opacity
          fill-rule filter flood-color flood-opacity font font-family font-feature-settings
          font-kerning font-size font-size-adjust font-stretch font-style font-variant
          font-variation-settings font-weight glyph-orientation-vertical image-rendering isolation
          letter-spacing lighting-color marker marker-end marker-mid marker-start mask mask-type
          mix-blend-mode opacity overflow paint-order pointer-events shape-rendering stop-color
          stop-opacity stroke stroke-dasharray stroke-dashoffset stroke-linecap stroke-linejoin
          stroke-miterlimit stroke-opacity stroke-width text-anchor text-decoration text-rendering
          unicode-bidi vector-effect visibility white-space word-spacing writing-mode
          """);

  private Svg() {}

  private static Set<String> names(String all) {
    return Set.of(all.strip().split("\\s+"));
  }

  /** Whether an element draws. */
  static boolean draws(String element) {
    return ELEMENTS.contains(element.toLowerCase(Locale.ROOT));
  }

  /** Whether an attribute says how, or what it is to people. */
  static boolean isKnown(String attribute) {
    String name = attribute.toLowerCase(Locale.ROOT);
    return ATTRIBUTES.contains(name) || name.matches("aria-[a-z]{1,30}");
  }
}
