package giostra.core.value;

/** Where a link leads: http, https, mailto, tel, a path, or a place on the page. Nothing else. */
public record AddressKind() implements Kind<String> {
  private static final String SCHEME = "(?i)(https?://|mailto:|tel:)\\S+";

  @Override
  public String read(String what, Object raw) {
    String text = raw.toString().strip();
    boolean relative = text.matches("[^\\s:]*") || text.matches("[/#?]\\S*");
    if (text.length() > 2000 || !(text.matches(SCHEME) || relative)) {
      throw new Refused(what, text, allowed());
    }
    return text;
  }

  @Override
  public Object write(String value) {
    return value;
  }

  @Override
  public String allowed() {
    return "an address (https, http, mailto, tel), a path or #place, without spaces";
  }
}
