package giostra.server.archive;

import giostra.core.band.Refused;
import giostra.core.format.DocumentJson;
import giostra.core.output.Hash;
import giostra.core.page.Document;
import giostra.core.page.Renamed;
import giostra.server.content.Sources;
import giostra.server.media.MediaService;
import giostra.server.page.PageService;
import giostra.server.site.SiteEntity;
import giostra.server.stock.StockService;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Sites as archives. What comes in again is what went out: documents, media and their ids, as far
 * as the ids are free where it comes in; else they get others, in the documents too.
 */
@Service
class ArchiveService {
  private final PageService pages;
  private final MediaService media;
  private final StockService stock;
  private final Sources sources;
  private final JsonMapper json;

  ArchiveService(
      PageService pages, MediaService media, StockService stock, Sources sources, JsonMapper json) {
    this.pages = pages;
    this.media = media;
    this.stock = stock;
    this.sources = sources;
    this.json = json;
  }

  /** Writes a site out. */
  @Transactional(readOnly = true)
  public void write(String siteId, OutputStream out) throws IOException {
    SiteEntity site = pages.site(siteId);
    List<PageService.Head> heads = pages.pages(siteId);
    List<MediaService.Media> all = media.of(siteId);
    List<StockService.Kept> kept = stock.of(siteId);
    var manifest =
        new Manifest(
            Manifest.VERSION,
            DocumentJson.VERSION,
            siteId,
            site.name(),
            heads.stream().map(head -> new Manifest.OfPage(head.slug())).toList(),
            all.stream().map(ArchiveService::medium).toList(),
            kept.stream()
                .map(each ->
                    new Manifest.OfStock(each.id(), each.name(), each.homePage(), each.homeNode()))
                .toList(),
            sources.of(siteId).stream()
                .map(each -> new Manifest.OfSource(each.id(), each.name(), each.replacedBy()))
                .toList());
    try (var zip = new ZipOutputStream(out)) {
      put(zip, Manifest.ENTRY, json.writerWithDefaultPrettyPrinter().writeValueAsBytes(manifest));
      for (PageService.Head head : heads) {
        put(zip, "pages/" + head.slug() + ".json", pretty(DocumentJson.write(head.document())));
      }
      for (StockService.Kept each : kept) {
        put(zip, "stock/" + each.id() + ".json", pretty(each.node()));
      }
      for (Manifest.OfSource each : manifest.sources()) {
        put(zip, "sources/" + each.id(), sources.bytes(each.id()));
      }
      for (MediaService.Media each : all) {
        put(zip, each.path(), media.bytes(siteId, each.path()));
      }
    }
  }

  private static Manifest.OfMedium medium(MediaService.Media each) {
    return new Manifest.OfMedium(
        each.id(),
        each.path().substring("media/".length()),
        each.hash(),
        each.name(),
        each.alt(),
        each.decorative(),
        each.focus(),
        each.tags());
  }

  private static byte[] pretty(JsonNode node) {
    return node.toPrettyString().getBytes(StandardCharsets.UTF_8);
  }

  private static void put(ZipOutputStream zip, String name, byte[] bytes) throws IOException {
    var entry = new ZipEntry(name);
    // The same site is the same archive, whenever it is written.
    entry.setTime(0);
    zip.putNextEntry(entry);
    zip.write(bytes);
    zip.closeEntry();
  }

  /**
   * Takes a site in, whole or not at all; its id.
   *
   * @throws Refused saying what is wrong with the archive, and where
   */
  @Transactional
  public String read(InputStream in) throws IOException {
    try (var entries = new Entries(in)) {
      return new Reading(entries).run();
    }
  }

  private final class Reading {
    private final Entries entries;
    private final Map<String, String> ids = new HashMap<>();
    private final Map<String, Document> documents = new HashMap<>();
    private final Map<String, JsonNode> nodes = new HashMap<>();
    private final Set<String> missing = new LinkedHashSet<>();

    Reading(Entries entries) {
      this.entries = entries;
    }

    String run() {
      Manifest manifest = manifest();
      String site = pages.addSite(manifest.site(), manifest.name()).id();
      expect(manifest);
      for (Entries.Entry entry = entries.next(); entry != null; entry = entries.next()) {
        take(manifest, site, entry);
      }
      if (!missing.isEmpty()) {
        throw new Refused("The archive", "without " + String.join(", ", missing), "whole");
      }
      sources.chain(
          manifest.sources().stream()
              .filter(each -> each.replacedBy() != null)
              .map(each -> Map.entry(id(each.id()), id(Objects.requireNonNull(each.replacedBy()))))
              .toList());
      for (Manifest.OfStock each : manifest.stock()) {
        String taken = stock.reserve(each.id());
        ids.put(each.id(), taken);
      }
      Map<String, String> pageIds = new HashMap<>();
      for (Manifest.OfPage each : manifest.pages()) {
        Document document = Renamed.of(Objects.requireNonNull(documents.get(each.slug())), ids);
        String id = pages.importPage(site, each.slug(), document).id();
        pageIds.put(manifest.site() + "-" + each.slug(), id);
      }
      for (Manifest.OfStock each : manifest.stock()) {
        stock.restore(
            site,
            id(each.id()),
            each.name(),
            pageIds.getOrDefault(each.page(), each.page()),
            each.node(),
            Objects.requireNonNull(nodes.get(each.id())));
      }
      return site;
    }

    private String id(String old) {
      return ids.getOrDefault(old, old);
    }

    private Manifest manifest() {
      Entries.Entry first = entries.next();
      if (first == null || !first.name().equals(Manifest.ENTRY)) {
        throw new Refused(
            "The first entry of the archive",
            first == null ? "none" : first.name(),
            Manifest.ENTRY);
      }
      JsonNode node;
      try {
        node = json.readTree(first.bytes());
      } catch (JacksonException e) {
        throw new Refused(Manifest.ENTRY, "no JSON", "what an archive has in it, as JSON");
      }
      int version = node.path("archive").asInt(0);
      if (version != Manifest.VERSION) {
        throw new Refused(
            "Version of the archive",
            Integer.toString(version),
            Integer.toString(Manifest.VERSION));
      }
      try {
        return json.treeToValue(node, Manifest.class);
      } catch (JacksonException e) {
        throw new Refused(
            Manifest.ENTRY, "not as it should be (" + e.getOriginalMessage() + ")", "a whole list");
      }
    }

    private void expect(Manifest manifest) {
      manifest.pages().forEach(each -> missing.add("pages/" + each.slug() + ".json"));
      manifest.media().forEach(each -> missing.add("media/" + each.file()));
      manifest.stock().forEach(each -> missing.add("stock/" + each.id() + ".json"));
      manifest.sources().forEach(each -> missing.add("sources/" + each.id()));
    }

    private void take(Manifest manifest, String site, Entries.Entry entry) {
      if (!missing.remove(entry.name())) {
        throw new Refused(
            "Entry of the archive", entry.name(), "one that " + Manifest.ENTRY + " lists, once");
      }
      String name = entry.name().substring(entry.name().indexOf('/') + 1);
      String text = new String(entry.bytes(), StandardCharsets.UTF_8);
      switch (entry.name().substring(0, entry.name().indexOf('/'))) {
        case "pages" -> documents.put(name.replace(".json", ""), document(entry.name(), text));
        case "stock" -> nodes.put(name.replace(".json", ""), parsed(entry.name(), text));
        case "sources" ->
            manifest.sources().stream()
                .filter(each -> each.id().equals(name))
                .forEach(each ->
                    ids.put(
                        each.id(), sources.restore(site, each.id(), each.name(), entry.bytes())));
        default ->
            manifest.media().stream()
                .filter(each -> each.file().equals(name))
                .forEach(each -> medium(site, each, entry.bytes()));
      }
    }

    private Document document(String entry, String text) {
      try {
        return DocumentJson.read(text);
      } catch (DocumentJson.Faults e) {
        throw e.all().getFirst().at(entry);
      }
    }

    private JsonNode parsed(String entry, String text) {
      try {
        return DocumentJson.parse(text);
      } catch (DocumentJson.Faults e) {
        throw e.all().getFirst().at(entry);
      }
    }

    private void medium(String site, Manifest.OfMedium each, byte[] bytes) {
      if (!Hash.full(bytes).equals(each.hash())) {
        throw new Refused(
            "Entry media/" + each.file(),
            "other bytes than the list says",
            "those of " + each.hash());
      }
      MediaService.Media added = media.add(site, each.id(), each.name(), each.alt(), bytes);
      media.say(
          added.id(),
          new MediaService.Said(each.alt(), each.decorative(), each.focus(), each.tags()));
      ids.put(each.id(), added.id());
    }
  }
}
