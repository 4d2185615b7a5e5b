package giostra.core.page;

import giostra.core.value.AddressKind;
import giostra.core.value.CaptionFileKind;
import giostra.core.value.ClipKind;
import giostra.core.value.DecimalKind;
import giostra.core.value.LanguageKind;
import giostra.core.value.PickKind;
import giostra.core.value.Setting;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** What can be said of the clip of an item. */
public final class ClipSettings {
  /** Where a clip comes from. */
  public enum From {
    /** A file of the site. */
    OWN,
    /** A file somewhere else. */
    ADDRESS,
    /** A page of a host of clips. */
    HOST
  }

  public static final Setting<From> FROM =
      Setting.once("clipFrom", "Clip from", new PickKind<>(From.class), From.OWN);
  public static final Setting<String> CLIP = Setting.once("clip", "Clip", new ClipKind(), "");
  public static final Setting<String> CLIP_2 =
      Setting.once("clip2", "Second format", new ClipKind(), "");
  public static final Setting<String> ADDRESS =
      Setting.once("clipAddress", "Clip’s address", new AddressKind(), "");

  /** The same clip in the second format. */
  public static final Setting<String> ADDRESS_2 =
      Setting.once("clipAddress2", "Second format’s address", new AddressKind(), "");

  /** Where it starts, in seconds. */
  public static final Setting<Double> START =
      Setting.once("clipStart", "Starts at, s", new DecimalKind(0, 86_400), 0.0);

  /** Where it ends, in seconds; 0 is its own end. */
  public static final Setting<Double> END =
      Setting.once("clipEnd", "Ends at, s", new DecimalKind(0, 86_400), 0.0);

  /** Captions in one language. */
  public record Captions(Setting<String> file, Setting<String> language) {}

  public static final List<Captions> CAPTIONS =
      List.of(captions("", ""), captions("2", " 2"), captions("3", " 3"));

  private static Captions captions(String id, String label) {
    return new Captions(
        Setting.once("captions" + id, "Captions" + label, new CaptionFileKind(), ""),
        Setting.once(
            "captions" + id + "Language",
            "Language of captions" + label,
            new LanguageKind(),
            "en"));
  }

  static final List<Setting<?>> ALL = all();

  private static List<Setting<?>> all() {
    var all =
        new ArrayList<Setting<?>>(List.of(FROM, CLIP, CLIP_2, ADDRESS, ADDRESS_2, START, END));
    CAPTIONS.forEach(each -> all.addAll(List.of(each.file(), each.language())));
    return List.copyOf(all);
  }

  /**
   * Where each of these that is not always asked for is: forms leave out what does not matter for
   * the choice that was made.
   */
  public static final Map<Setting<?>, Set<From>> ONLY = only();

  private static Map<Setting<?>, Set<From>> only() {
    var only = new java.util.LinkedHashMap<Setting<?>, Set<From>>();
    only.put(CLIP, Set.of(From.OWN));
    only.put(CLIP_2, Set.of(From.OWN));
    only.put(ADDRESS, Set.of(From.ADDRESS, From.HOST));
    only.put(ADDRESS_2, Set.of(From.ADDRESS));
    for (Captions each : CAPTIONS) {
      only.put(each.file(), Set.of(From.OWN, From.ADDRESS));
      only.put(each.language(), Set.of(From.OWN, From.ADDRESS));
    }
    only.put(END, Set.of(From.OWN, From.ADDRESS));
    return java.util.Collections.unmodifiableMap(only);
  }

  private ClipSettings() {}
}
