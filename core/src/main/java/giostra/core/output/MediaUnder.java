package giostra.core.output;

import giostra.core.media.IconSprite;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * Pictures, clips, captions and fonts under another address; those of other places stay there.
 *
 * @param there whether a file is there, by its path before
 */
record MediaUnder(String base, Shipped.Media media, Predicate<String> there)
    implements Shipped.Media {
  @Override
  public Optional<Shipped.Picture> find(String id) {
    return media
        .find(id)
        .filter(picture -> picture.isRemote() || there.test(picture.path()))
        .map(picture -> picture.isRemote() ? picture : moved(picture));
  }

  private Shipped.Picture moved(Shipped.Picture picture) {
    return new Shipped.Picture(
        picture.id(),
        base + picture.path(),
        picture.type(),
        picture.width(),
        picture.height(),
        picture.alt(),
        picture.focus(),
        picture.smaller().stream()
            .filter(each -> there.test(each.path()))
            .map(each -> new Shipped.Rendition(each.width(), base + each.path()))
            .toList());
  }

  @Override
  public Optional<Shipped.Clip> clip(String id) {
    return media
        .clip(id)
        .filter(clip -> there.test(clip.path()))
        .map(clip ->
            new Shipped.Clip(
                clip.id(),
                base + clip.path(),
                clip.type(),
                clip.width(),
                clip.height(),
                clip.durationMs()));
  }

  @Override
  public Optional<IconSprite> sprite(String id) {
    return media.sprite(id);
  }

  @Override
  public Optional<Shipped.OwnFont> font(String id) {
    return media
        .font(id)
        .map(font -> new Shipped.OwnFont(font.id(), base + font.path(), font.said()));
  }

  @Override
  public Optional<Shipped.CaptionFile> captions(String id) {
    return media
        .captions(id)
        .filter(file -> there.test(file.path()))
        .map(file -> new Shipped.CaptionFile(file.id(), base + file.path(), file.text()));
  }
}
