package giostra.server.web;

/** Bytes that cannot be kept, or brought, just now; nothing of them was. */
public final class CannotKeep extends RuntimeException {
  private static final long serialVersionUID = 1L;

  private final boolean full;

  private CannotKeep(String why, boolean full, Throwable cause) {
    super(why, cause);
    this.full = full;
  }

  /** Where there is no room. */
  public static CannotKeep noRoom(Throwable cause) {
    return new CannotKeep(
        "There is no room left on the server for these bytes. Nothing of them was kept, and what was"
            + " there stays; whoever runs the server can make room.",
        true,
        cause);
  }

  /** Where the store of bytes does not answer. */
  public static CannotKeep away(Throwable cause) {
    return new CannotKeep(
        "The store of files cannot be reached just now. Nothing was changed; try again in a moment.",
        false,
        cause);
  }

  /** Whether it is for want of room, which waiting does not make. */
  public boolean isFull() {
    return full;
  }
}
