package giostra.server.release;

import giostra.server.host.Types;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * Rules for two common web servers, so that a bundle is served as the live page is: every file in
 * its type, those that are named by what is in them kept for good, the page asked for each time and
 * under its policy. Sources: RFC 8246, "immutable"; the servers' own documents (from memory), and
 * both servers themselves.
 */
final class ServingRules {
  /** The rules of the one, which stand in the folder itself. */
  static final String APACHE = ".htaccess";

  /** Those of the other, which its own settings take in. */
  static final String NGINX = "for-nginx.conf";

  /** The end of a path that says what is in the file: it never holds anything else. */
  private static final String NAMED_BY_CONTENT = "[0-9a-f]{12,64}(-[0-9A-Za-z-]+)?\\.[a-z0-9]+$";

  private static final String FOR_GOOD = "public, max-age=31536000, immutable";
  private static final String REFERRER = "strict-origin-when-cross-origin";

  private ServingRules() {}

  /**
   * The files of rules for a bundle, by name.
   *
   * @param paths of the files in it
   * @param policy that its page is under
   */
  static Map<String, String> of(Collection<String> paths, String policy) {
    var types = new LinkedHashMap<String, String>();
    for (String path : new TreeSet<>(paths)) {
      types.put(path.substring(path.lastIndexOf('.') + 1), Types.of(path).replaceFirst(";.*", ""));
    }
    return Map.of(APACHE, apache(types, policy), NGINX, nginx(types, policy));
  }

  private static boolean words(String type) {
    return type.startsWith("text/") || type.equals("image/svg+xml");
  }

  private static String apache(Map<String, String> types, String policy) {
    String added =
        types.entrySet().stream()
            .map(each -> "AddType " + each.getValue() + " ." + each.getKey())
            .collect(Collectors.joining("\n"));
    String texts =
        types.entrySet().stream()
            .filter(each -> each.getValue().startsWith("text/"))
            .map(each -> "." + each.getKey())
            .collect(Collectors.joining(" "));
    String packed =
        types.values().stream().filter(ServingRules::words).collect(Collectors.joining(" "));
    return """
    # For Apache, in the folder of the page.
    DirectoryIndex index.html
    %types%
    AddCharset utf-8 %texts%
    <IfModule mod_headers.c>
      Header set Cache-Control "no-cache"
      Header set Referrer-Policy "%referrer%"
      Header set X-Content-Type-Options "nosniff"
      <FilesMatch "\\.html$">
        Header set Content-Security-Policy "%policy%"
      </FilesMatch>
      # Named by what is in them.
      <FilesMatch "(^|\\.)%named%">
        Header set Cache-Control "%good%"
      </FilesMatch>
    </IfModule>
    <IfModule mod_deflate.c>
      AddOutputFilterByType DEFLATE %packed%
    </IfModule>
    <Files "%nginx%">
      Require all denied
    </Files>
    """
        .replace("%types%", added)
        .replace("%texts%", texts)
        .replace("%packed%", packed)
        .replace("%named%", NAMED_BY_CONTENT)
        .replace("%good%", FOR_GOOD)
        .replace("%referrer%", REFERRER)
        .replace("%nginx%", NGINX)
        .replace("%policy%", quoted(policy));
  }

  private static String nginx(Map<String, String> types, String policy) {
    Comparator<Map.Entry<String, String>> order = Map.Entry.comparingByKey();
    String all =
        types.entrySet().stream()
            .sorted(order)
            .map(each -> "    " + each.getValue() + " " + each.getKey() + ";")
            .collect(Collectors.joining("\n"));
    // It packs pages by itself, and takes no type twice.
    String packed =
        types.values().stream()
            .filter(ServingRules::words)
            .filter(each -> !each.equals("text/html"))
            .distinct()
            .collect(Collectors.joining(" "));
    String charset =
        types.values().stream()
            .filter(each -> each.startsWith("text/") && !each.equals("text/html"))
            .distinct()
            .collect(Collectors.joining(" "));
    return """
    # For nginx: "include" this in a server whose root is the folder of the page.
    location / {
      index index.html;
      types {
    %types%
      }
      charset utf-8;
      charset_types %charset%;
      gzip on;
      gzip_vary on;
      gzip_types %packed%;
      add_header Cache-Control "no-cache";
      add_header Content-Security-Policy "%policy%";
      add_header Referrer-Policy "%referrer%";
      add_header X-Content-Type-Options "nosniff";
      # Named by what is in them.
      location ~ "[./]%named%" {
        add_header Cache-Control "%good%";
        add_header Referrer-Policy "%referrer%";
        add_header X-Content-Type-Options "nosniff";
      }
      location ~ "/(%hidden%)$" {
        return 404;
      }
    }
    """
        .replace("%types%", all)
        .replace("%charset%", charset)
        .replace("%packed%", packed)
        .replace("%named%", NAMED_BY_CONTENT)
        .replace("%good%", FOR_GOOD)
        .replace("%referrer%", REFERRER)
        .replace("%hidden%", APACHE.replace(".", "\\.") + "|" + NGINX.replace(".", "\\."))
        .replace("%policy%", quoted(policy));
  }

  /** Within quotes; no policy has any of these, and none may end its line. */
  private static String quoted(String policy) {
    return policy.replaceAll("[\"\\\\$%\\p{Cntrl}]", "");
  }
}
