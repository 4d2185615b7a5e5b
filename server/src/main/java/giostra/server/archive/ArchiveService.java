package giostra.server.archive;

import giostra.core.format.DocumentJson;
import giostra.core.format.Upgrade;
import giostra.core.output.Hash;
import giostra.core.page.Document;
import giostra.core.page.Node;
import giostra.core.page.Renamed;
import giostra.core.value.Refused;
import giostra.server.content.Sources;
import giostra.server.media.MediaService;
import giostra.server.page.PageService;
import giostra.server.site.SiteRows;
import giostra.server.stock.StockService;
import giostra.server.web.Required;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Sites as archives. What comes in again is what went out: documents, media, what is kept, with
 * their ids, which are those of a site.
 */
@Service
class ArchiveService {
  private final PageService pages;
  private final MediaService media;
  private final StockService stock;
  private final Sources sources;
  private final JsonMapper json;
  private final TransactionTemplate transaction;

  ArchiveService(
      PageService pages,
      MediaService media,
      StockService stock,
      Sources sources,
      JsonMapper json,
      PlatformTransactionManager transactions) {
    this.pages = pages;
    this.media = media;
    this.stock = stock;
    this.sources = sources;
    this.json = json;
    this.transaction = new TransactionTemplate(transactions);
  }

  /** Entries of an archive but for the bytes of media, which are read as they are written. */
  record Ready(String site, Manifest manifest, Map<String, byte[]> entries, List<String> media) {}

  /** Makes a site ready to be written out, so that nothing is held while somebody takes it. */
  Ready ready(String siteId) {
    return Objects.requireNonNull(transaction.execute(_ -> gathered(siteId)));
  }

  /** Writes a site out. */
  void write(Ready ready, OutputStream out) throws IOException {
    try (var zip = new ZipOutputStream(out)) {
      byte[] list = json.writerWithDefaultPrettyPrinter().writeValueAsBytes(ready.manifest);
      put(zip, Manifest.ENTRY, list);
      for (Map.Entry<String, byte[]> each : ready.entries.entrySet()) {
        put(zip, each.getKey(), each.getValue());
      }
      for (String path : ready.media) {
        put(zip, path, media.bytes(ready.site, path));
      }
    }
  }

  private Ready gathered(String siteId) {
    SiteRows.SiteLine site = pages.site(siteId);
    var heads = new ArrayList<PageService.Head>();
    var left = new ArrayList<Manifest.Left>();
    for (PageService.Shown each : pages.shelf(siteId)) {
      PageService.Head head = each.head();
      if (head == null) {
        left.add(new Manifest.Left(each.slug(), each.said()));
      } else {
        heads.add(head);
      }
    }
    var slugs = new HashMap<String, String>();
    heads.forEach(head -> slugs.put(head.id(), head.slug()));
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
                    new Manifest.OfStock(
                        each.id(),
                        each.name(),
                        slugs.getOrDefault(each.homePage(), ""),
                        each.homeNode()))
                .toList(),
            sources.of(siteId).stream()
                .map(each -> new Manifest.OfSource(each.id(), each.name(), each.replacedBy()))
                .toList(),
            left);
    var entries = new LinkedHashMap<String, byte[]>();
    heads.forEach(head ->
        entries.put("pages/" + head.slug() + ".json", pretty(DocumentJson.write(head.document()))));
    kept.forEach(each -> entries.put("stock/" + each.id() + ".json", pretty(each.node())));
    manifest
        .sources()
        .forEach(each -> entries.put("sources/" + each.id(), sources.bytes(siteId, each.id())));
    List<String> paths = all.stream().map(MediaService.Media::path).distinct().toList();
    return new Ready(siteId, manifest, entries, paths);
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
   * @param in from a file that is here as a whole
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

    /** Ids that media have here where the same bytes were there twice. */
    private final Map<String, String> mediaIds = new HashMap<>();

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
      Map<String, String> homes = new HashMap<>();
      for (Manifest.OfPage each : manifest.pages()) {
        Document document =
            Renamed.of(Objects.requireNonNull(documents.get(each.slug())), mediaIds);
        homes.put(each.slug(), pages.importPage(site, each.slug(), document).id());
      }
      Set<String> bands = DocumentJson.ids(pages.shared(site).bands());
      for (Manifest.OfStock each : manifest.stock()) {
        stock.restore(
            site,
            each.id(),
            each.name(),
            homes.getOrDefault(each.page(), ""),
            each.node(),
            Renamed.of(kept(each, manifest.documents(), bands), mediaIds));
      }
      return site;
    }

    private Node kept(Manifest.OfStock each, int version, Set<String> bands) {
      String entry = "stock/" + each.id() + ".json";
      try {
        return DocumentJson.readNode(
            Upgrade.node(Objects.requireNonNull(nodes.get(each.id())), version), bands);
      } catch (DocumentJson.Faults e) {
        throw e.all().getFirst().at(entry);
      }
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
      int version = node.path("archive").isInt() ? node.path("archive").asInt() : 0;
      if (version < 1 || version > Manifest.VERSION) {
        throw new Refused(
            "Version of the archive", node.path("archive").toString(), "1 to " + Manifest.VERSION);
      }
      Manifest manifest;
      try {
        manifest = json.treeToValue(version == 1 ? second(node) : node, Manifest.class);
      } catch (JacksonException e) {
        throw new Refused(Manifest.ENTRY, "not as it should be", "a whole list of what is in it");
      }
      Required.check(manifest, Manifest.ENTRY);
      if (manifest.documents() < 1 || manifest.documents() > DocumentJson.VERSION) {
        throw new Refused(
                "documents", Integer.toString(manifest.documents()), "1 to " + DocumentJson.VERSION)
            .at(Manifest.ENTRY);
      }
      manifest.check();
      return manifest;
    }

    /**
     * Version 1 named the home of what is kept by the id of its page: the site's, then its slug.
     */
    private static JsonNode second(JsonNode first) {
      if (!(first.deepCopy() instanceof ObjectNode copy)) {
        return first;
      }
      copy.put("archive", 2);
      copy.putArray("left");
      String start = copy.path("site").asString("") + "-";
      var slugs = new HashMap<String, String>();
      for (JsonNode page : copy.path("pages")) {
        String slug = page.path("slug").asString("");
        slugs.put(start + slug, slug);
      }
      for (JsonNode each : copy.path("stock")) {
        if (each instanceof ObjectNode own) {
          own.put("page", slugs.getOrDefault(own.path("page").asString(""), ""));
        }
      }
      return copy;
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
      switch (entry.name().substring(0, entry.name().indexOf('/'))) {
        case "pages" -> documents.put(name.replace(".json", ""), document(entry));
        case "stock" -> nodes.put(name.replace(".json", ""), parsed(entry));
        case "sources" ->
            manifest.sources().stream()
                .filter(each -> each.id().equals(name))
                .forEach(each ->
                    sources.restore(
                        site, each.id(), each.name(), each.replacedBy(), entry.bytes()));
        default ->
            manifest.media().stream()
                .filter(each -> each.file().equals(name))
                .forEach(each -> medium(site, each, entry.bytes()));
      }
    }

    private Document document(Entries.Entry entry) {
      try {
        return DocumentJson.read(parsed(entry));
      } catch (DocumentJson.Faults e) {
        throw e.all().getFirst().at(entry.name());
      }
    }

    private JsonNode parsed(Entries.Entry entry) {
      try {
        return DocumentJson.parse(new String(entry.bytes(), StandardCharsets.UTF_8));
      } catch (DocumentJson.Faults e) {
        throw e.all().getFirst().at(entry.name());
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
          site,
          added.id(),
          new MediaService.Said(each.alt(), each.decorative(), each.focus(), each.tags()));
      if (!added.id().equals(each.id())) {
        mediaIds.put(each.id(), added.id());
      }
    }
  }
}
