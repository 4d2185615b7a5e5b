package giostra.core.piece.video;

import giostra.core.fit.Flow;
import giostra.core.fit.Piecewise;
import giostra.core.layout.BlockFlows;
import giostra.core.layout.GridRoom;
import giostra.core.layout.Heights;
import giostra.core.layout.PictureSizes.Size;
import giostra.core.layout.PictureWidths;
import giostra.core.look.Part;
import giostra.core.look.Values;
import giostra.core.output.Where;
import giostra.core.output.Writing;
import giostra.core.output.Written;
import giostra.core.page.Document;
import giostra.core.page.Fields.Field;
import giostra.core.page.Item;
import giostra.core.page.Starters.Starter;
import giostra.core.snag.Asked;
import giostra.core.snag.Judged;
import giostra.core.snag.Looked;
import giostra.core.snag.Rule;
import giostra.core.snag.Snag;
import giostra.core.value.Length;
import giostra.core.value.Setting;
import java.util.List;
import java.util.Map;

/** All that video pieces are. */
public final class VideoRoom implements GridRoom<Video>, Written<Video>, Judged<Video> {
  @Override
  public String word() {
    return "video";
  }

  @Override
  public List<Setting<?>> settings() {
    return VideoSettings.ALL;
  }

  @Override
  public List<Part> parts() {
    return VideoParts.ALL;
  }

  @Override
  public Video piece(String id, Values values, List<Item> items) {
    return new Video(id, values, items);
  }

  @Override
  public List<Field> fields(Values values) {
    return VideoFields.ALL;
  }

  @Override
  public List<Starter> starters() {
    return VideoStarters.all();
  }

  @Override
  public Flow item(Video piece, Item item, BlockFlows blocks) {
    return new ClipFlow(blocks).clip(piece, item);
  }

  @Override
  public Map<Heights.Part, Flow> parts(Video piece, Item item, BlockFlows blocks) {
    return Map.of(Heights.Part.CLIP, item(piece, item, blocks));
  }

  @Override
  public String widthsAre() {
    return "Clip width";
  }

  @Override
  public List<Setting<Length>> comfort() {
    return List.of(VideoSettings.COMFORT_FROM, VideoSettings.COMFORT_TO);
  }

  @Override
  public Piecewise picture(Video piece, Item item, Size size, PictureWidths widths) {
    return words(piece, widths);
  }

  @Override
  public void write(Video piece, Writing writing) {
    var video = new VideoOutput(writing, piece);
    video.html();
    video.css();
  }

  @Override
  public String sharedSheet() {
    return "grid";
  }

  @Override
  public String script() {
    return "clips";
  }

  @Override
  public List<String> icons() {
    return VideoOutput.ICONS;
  }

  @Override
  public void idle(Video piece, Asked asked) {
    VideoEffects.find(asked, piece);
  }

  @Override
  public List<Snag> found(Rule rule, Video piece, Looked at) {
    return switch (rule) {
      case CLIP -> Clips.of(piece, at);
      case CONTRAST -> PlayerContrast.snags(at.document(), piece);
      default -> List.of();
    };
  }

  @Override
  public List<PlayerContrast> contrasts(Document document, Video piece) {
    return PlayerContrast.of(document, piece);
  }

  /** What a clip lacks is told by a rule of its own. */
  @Override
  public boolean showsAnyway() {
    return true;
  }

  @Override
  public void places(Where.Places to) {
    to.at("video.start-button", ".g-start&>.g-start-sign");
    to.at("video.bar", ".g-controls&");
    to.at(
        "video.bar-button",
        ".g-controls>:is(button,select)&",
        ".g-controls>:is(button,select)[data-pressed]");
    to.at("video.track", ".g-controls input&");
    to.at("video.time", ".g-time");
    to.at("video.controls", ".g-controls");
    to.at("video.choice", ".g-controls>select");
    to.at("video.option", ".g-controls>select>option");
    to.at("video.hint", ".g-scrub>output");
    to.at("video.place", ".g-place");
    to.at("video.beside", ".g-place>:is(iframe,.g-media[data-played])");
    to.at("video.poster-shade", ".g-start::before");
    to.at("video.empty", ".g-empty");
    to.at("video.figure", ".g-clip");
    to.at("video.words", ".g-of-clip");
    to.at("video.heading", ".g-of-clip>" + Where.HEADINGS);
    VideoParts.PLAYER.forEach(part -> to.variables(part.id().id()));
  }
}
