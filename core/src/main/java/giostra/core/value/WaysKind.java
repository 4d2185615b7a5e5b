package giostra.core.value;

/**
 * Ways in which what was shown gives way to what comes.
 *
 * @param none whether there may be none of its own
 */
public record WaysKind(boolean none) implements Kind<Changes> {
  @Override
  public Changes read(String what, Object raw) {
    return Changes.parse(what, raw.toString(), none);
  }

  @Override
  public Object write(Changes value) {
    return value.written();
  }

  @Override
  public String allowed() {
    return Change.ALLOWED + (none ? "; or nothing, for those of the piece" : "");
  }
}
