package giostra.server.media;

import giostra.core.media.IconSprite;
import giostra.core.output.Compiler;
import giostra.core.value.Colour;
import giostra.core.value.Refused;
import giostra.server.people.Needs;
import giostra.server.people.Role;
import java.io.IOException;
import java.net.URI;
import java.util.ArrayList;
import java.util.List;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

@RestController
class MediaController {
  /** Colours of a picture that are told. */
  private static final int MOST_COLOURS = 7;

  private final MediaService media;

  MediaController(MediaService media) {
    this.media = media;
  }

  @GetMapping("/api/sites/{siteId}/media")
  List<MediaService.Media> list(@PathVariable String siteId) {
    return media.of(siteId);
  }

  @Needs(Role.WRITER)
  @PostMapping(path = "/api/sites/{siteId}/media", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  MediaService.Media add(
      @PathVariable String siteId,
      @RequestPart("file") MultipartFile file,
      @RequestParam(defaultValue = "") String alt)
      throws IOException {
    if (file.isEmpty()) {
      throw new Refused("File " + name(file), "empty", "a file with something in it");
    }
    return media.add(siteId, name(file), alt, file.getBytes());
  }

  /** What is asked for by address. */
  record AddressBody(String address) {}

  /** A picture that stands elsewhere. */
  @Needs(Role.WRITER)
  @PostMapping("/api/sites/{siteId}/media/address")
  MediaService.Media addRemote(@PathVariable String siteId, @RequestBody AddressBody body) {
    return media.addRemote(siteId, body.address());
  }

  /**
   * An icon of a sprite.
   *
   * @param odd what is strange about it; empty for nothing
   */
  record SymbolReply(String name, String box, String draw, String odd) {}

  /**
   * What an icon sprite has.
   *
   * @param missing names that pieces ask for and that it does not have; those that ship stand in
   */
  record SpriteReply(List<SymbolReply> symbols, List<String> missing) {}

  @GetMapping("/api/sites/{siteId}/media/{id}/symbols")
  SpriteReply symbols(@PathVariable String siteId, @PathVariable String id) {
    IconSprite sprite = media.sprite(siteId, id);
    var all = new ArrayList<SymbolReply>();
    sprite
        .symbols()
        .forEach((name, each) ->
            all.add(
                new SymbolReply(
                    name, each.box(), each.draw(), sprite.odd().getOrDefault(name, ""))));
    sprite
        .odd()
        .forEach((name, why) -> {
          if (!sprite.symbols().containsKey(name)) {
            all.add(new SymbolReply(name, "", "", why));
          }
        });
    return new SpriteReply(all, sprite.missing(Compiler.ownIcons()));
  }

  /**
   * The main colours of a picture, those that most of it has first; none where none can be told.
   */
  @GetMapping("/api/sites/{siteId}/media/{id}/colours")
  List<String> colours(@PathVariable String siteId, @PathVariable String id) {
    return media
        .sizes(siteId)
        .seen(id)
        .map(seen -> seen.samples().main(MOST_COLOURS).stream().map(Colour::css).toList())
        .orElse(List.of());
  }

  /** Says what it shows, where its focal point is, what it is found by. */
  @Needs(Role.WRITER)
  @PutMapping("/api/sites/{siteId}/media/{id}")
  MediaService.Media say(
      @PathVariable String siteId, @PathVariable String id, @RequestBody MediaService.Said said) {
    return media.say(siteId, id, said);
  }

  /** Some frames of a clip, one under the other in a PNG, as a browser draws them. */
  @Needs(Role.WRITER)
  @PostMapping(
      path = "/api/sites/{siteId}/media/{id}/frames",
      consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  MediaService.Media frames(
      @PathVariable String siteId,
      @PathVariable String id,
      @RequestParam int frames,
      @RequestPart("file") MultipartFile file)
      throws IOException {
    return media.frames(siteId, id, frames, file.getBytes());
  }

  /** Puts another file in its place, everywhere. */
  @Needs(Role.WRITER)
  @PostMapping(
      path = "/api/sites/{siteId}/media/{id}/file",
      consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  MediaService.Media replace(
      @PathVariable String siteId, @PathVariable String id, @RequestPart("file") MultipartFile file)
      throws IOException {
    return media.replace(siteId, id, name(file), file.getBytes());
  }

  @GetMapping("/api/sites/{siteId}/media/{id}/file")
  ResponseEntity<Resource> file(@PathVariable String siteId, @PathVariable String id) {
    MediaService.File file = media.file(siteId, id);
    if (!file.address().isEmpty()) {
      return ResponseEntity.status(HttpStatus.FOUND).location(URI.create(file.address())).build();
    }
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType(file.type()))
        .cacheControl(CacheControl.noCache())
        .eTag(file.hash())
        // A vector picture opened by itself is a document: it may not run anything.
        .header("Content-Security-Policy", "default-src 'none'; style-src 'unsafe-inline'")
        .header("X-Content-Type-Options", "nosniff")
        // The stage shows it, on a port of its own; nobody else's page does.
        .header("Cross-Origin-Resource-Policy", "same-site")
        .body(file.bytes());
  }

  private static String name(MultipartFile file) {
    String name = file.getOriginalFilename();
    return name == null || name.isBlank() ? "file" : name;
  }
}
