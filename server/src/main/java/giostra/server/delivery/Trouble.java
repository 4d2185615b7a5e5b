package giostra.server.delivery;

/** What kept something from being sent, in words for whoever asked. */
final class Trouble extends Exception {
  private static final long serialVersionUID = 1;

  private final boolean passing;

  private Trouble(String message, boolean passing) {
    super(message);
    this.passing = passing;
  }

  /** One that may be over by and by. */
  static Trouble passing(String message) {
    return new Trouble(message, true);
  }

  /** One that stays until somebody does something. */
  static Trouble lasting(String message) {
    return new Trouble(message, false);
  }

  /** Of an answer that was no yes: what asks for rights or is wrong stays so. */
  static Trouble answer(int status, String what) {
    String said = "It answered " + status + " to " + what + ".";
    boolean passing = status == 408 || status == 423 || status == 429 || status >= 500;
    return new Trouble(said, passing && status != 501 && status != 507);
  }

  /** Whether to try again makes sense. */
  boolean isPassing() {
    return passing;
  }
}
