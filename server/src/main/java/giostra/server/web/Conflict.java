package giostra.server.web;

import java.util.Map;

/** An edit that another one has overtaken; the newer state travels with it. */
public final class Conflict extends RuntimeException {
  private static final long serialVersionUID = 1L;
  private final transient Map<String, Object> newer;

  /** With what the caller needs to go on. */
  public Conflict(String message, Map<String, Object> newer) {
    super(message);
    this.newer = Map.copyOf(newer);
  }

  Map<String, Object> newer() {
    return newer;
  }
}
