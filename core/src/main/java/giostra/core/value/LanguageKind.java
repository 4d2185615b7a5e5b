package giostra.core.value;

/** A language tag per BCP 47 (its shape; whether anybody speaks it is not asked). */
public record LanguageKind() implements Kind<String> {
  /** Source: BCP 47 (RFC 5646), 4.4.1: longer ones are not in use. */
  private static final int LONGEST = 35;

  @Override
  public String read(String what, Object raw) {
    String tag = raw.toString().strip();
    if (tag.length() > LONGEST || !tag.matches("[A-Za-z]{2,3}(-[A-Za-z0-9]{2,8})*")) {
      throw new Refused(what, tag, allowed());
    }
    return tag;
  }

  @Override
  public Object write(String value) {
    return value;
  }

  @Override
  public String allowed() {
    return "a language tag such as en or de-AT (BCP 47)";
  }
}
