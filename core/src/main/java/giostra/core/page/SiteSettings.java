package giostra.core.page;

import giostra.core.anatomy.Tone;
import giostra.core.value.FontsKind;
import giostra.core.value.Length;
import giostra.core.value.Setting;
import giostra.core.value.SizeKind;
import giostra.core.value.SpriteKind;
import giostra.core.value.Step;
import giostra.core.value.Typeface;
import giostra.core.value.WordsKind;
import giostra.core.value.ZoneKind;
import java.time.ZoneId;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** What can be set on a site: its name, its icons, its widths. */
public final class SiteSettings {
  public static final Setting<String> NAME =
      Setting.once("name", "Name", new WordsKind(120, false), "");

  /** The content width of its pages. */
  public static final Setting<Length> MEASURE =
      Setting.byBand("measure", "Page measure", new SizeKind(200, 2560), Length.px(1120));

  /** Space between the content and the edge of the screen; sections may depart from it. */
  public static final Setting<Length> PADDING =
      Setting.byBand("padding", "Side padding", new SizeKind(0, 400), Length.px(40));

  /** Icons of its own, which take the place of those that ship, name by name. */
  public static final Setting<String> ICONS =
      Setting.once("icons", "Icon sprite", new SpriteKind(), "");

  /** The zone whose clocks seasons go by. Source: the IANA time zone database. */
  public static final Setting<ZoneId> ZONE =
      Setting.once("zone", "Time zone", new ZoneKind(), ZoneId.of("UTC"));

  /** What its own tones are called; one without a name is not there. */
  public static final List<Setting<String>> TONES =
      IntStream.rangeClosed(1, Tone.OWN.size())
          .mapToObj(at ->
              Setting.once("tone" + at, "Name of own tone " + at, new WordsKind(40, false), "")
                  .in(Step.DRESS))
          .toList();

  /** The files that its own families are made of; one without files is not there. */
  public static final List<Setting<String>> FONTS =
      IntStream.rangeClosed(1, Typeface.OWN.size())
          .mapToObj(at ->
              Setting.once("font" + at, "Files of own family " + at, new FontsKind(), "")
                  .in(Step.DRESS))
          .toList();

  static final List<Setting<?>> ALL =
      Stream.of(
              List.of(NAME, ZONE, ICONS, MEASURE, PADDING, ProofSettings.OWN_CSS),
              CodeSettings.ALL,
              TONES,
              FONTS)
          .<Setting<?>>flatMap(List::stream)
          .toList();

  private SiteSettings() {}
}
