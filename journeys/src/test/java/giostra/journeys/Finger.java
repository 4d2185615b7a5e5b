package giostra.journeys;

import com.google.gson.JsonArray;
import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Page;

/**
 * A finger, or two, through the browser's own input protocol (Chrome DevTools Protocol,
 * "Input.dispatchTouchEvent"): what it does goes the whole way of a real touch. Its beat is in the
 * times of its events, so that a machine that is held up does not change how fast it was.
 */
final class Finger {
  private final CDPSession session;
  private final Page page;
  private double x;
  private double y;
  private double atMs;

  /** The least time between two events, ms: about what one takes to go there and come back. */
  private static final double BEAT = 32;

  Finger(Page page) {
    this.page = page;
    this.session = page.context().newCDPSession(page);
  }

  Finger down(double x, double y) {
    atMs = System.currentTimeMillis();
    return send("touchStart", x, y);
  }

  /** Moves in so many even steps, one about every so many ms. */
  Finger by(double dx, double dy, int steps, int everyMs) {
    double fromX = x;
    double fromY = y;
    for (int step = 1; step <= steps; step++) {
      pass(everyMs);
      send("touchMove", fromX + dx * step / steps, fromY + dy * step / steps);
      page.waitForTimeout(everyMs);
    }
    return this;
  }

  Finger rest(int ms) {
    page.waitForTimeout(ms);
    atMs += ms;
    return this;
  }

  Finger up() {
    pass(0);
    return dispatch("touchEnd", new JsonArray());
  }

  /** Puts a second finger down beside the first. */
  Finger second(double x2, double y2) {
    JsonArray both = points(x, y);
    both.add(point(x2, y2, 1));
    pass(0);
    return dispatch("touchStart", both);
  }

  /** Moves both apart. */
  Finger apart(double x2, double y2, double by, int steps) {
    for (int step = 1; step <= steps; step++) {
      JsonArray both = points(x - by * step / steps, y);
      both.add(point(x2 + by * step / steps, y2, 1));
      pass(16);
      dispatch("touchMove", both);
      page.waitForTimeout(16);
    }
    return this;
  }

  private void pass(double ms) {
    atMs += Math.max(BEAT, ms);
  }

  private Finger send(String type, double toX, double toY) {
    x = toX;
    y = toY;
    return dispatch(type, points(x, y));
  }

  private Finger dispatch(String type, JsonArray points) {
    var event = new JsonObject();
    event.addProperty("type", type);
    event.add("touchPoints", points);
    event.addProperty("timestamp", atMs / 1000);
    session.send("Input.dispatchTouchEvent", event);
    return this;
  }

  private static JsonArray points(double x, double y) {
    var points = new JsonArray();
    points.add(point(x, y, 0));
    return points;
  }

  private static JsonObject point(double x, double y, int id) {
    var point = new JsonObject();
    point.addProperty("x", x);
    point.addProperty("y", y);
    point.addProperty("id", id);
    return point;
  }
}
