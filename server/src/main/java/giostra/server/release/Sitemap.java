package giostra.server.release;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.time.temporal.ChronoUnit;
import java.util.List;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;
import org.springframework.web.util.UriUtils;

/**
 * The live pages of a site for search engines. Source: the Sitemaps protocol 0.9 of sitemaps.org
 * (from memory): at most 50 000 addresses a file.
 */
final class Sitemap {
  static final int MOST = 50_000;
  private static final String SPACE = "http://www.sitemaps.org/schemas/sitemap/0.9";

  private Sitemap() {}

  /**
   * As XML in UTF-8.
   *
   * @param folder the address that addresses of pages begin with, with the stroke at its end
   */
  static byte[] of(String folder, List<ReleaseRows.Live> pages) {
    var out = new ByteArrayOutputStream();
    try {
      XMLStreamWriter xml =
          XMLOutputFactory.newFactory().createXMLStreamWriter(out, StandardCharsets.UTF_8.name());
      xml.writeStartDocument(StandardCharsets.UTF_8.name(), "1.0");
      xml.writeStartElement("urlset");
      xml.writeDefaultNamespace(SPACE);
      for (ReleaseRows.Live page : pages.stream().limit(MOST).toList()) {
        xml.writeStartElement("url");
        element(
            xml,
            "loc",
            folder + UriUtils.encodePathSegment(page.slug(), StandardCharsets.UTF_8) + "/");
        element(xml, "lastmod", page.since().truncatedTo(ChronoUnit.SECONDS).toString());
        xml.writeEndElement();
      }
      xml.writeEndElement();
      xml.writeEndDocument();
      xml.close();
    } catch (XMLStreamException e) {
      throw new IllegalStateException(e);
    }
    return out.toByteArray();
  }

  private static void element(XMLStreamWriter xml, String name, String text)
      throws XMLStreamException {
    xml.writeStartElement(name);
    xml.writeCharacters(text);
    xml.writeEndElement();
  }
}
