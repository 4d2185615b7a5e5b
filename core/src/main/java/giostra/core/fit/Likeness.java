package giostra.core.fit;

import giostra.core.value.Require;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;

/**
 * How much two pictures of the same size are alike. What is drawn and what is ground are counted
 * apart, since most of any page is ground, which is alike at once. Drawn is each px that in either
 * picture differs from one within two px of it. A px is alike when the other picture has its colour
 * within one px, and the other way round, and where one is drawn something is drawn in the other,
 * too: letters are drawn a little different by each machine.
 *
 * @param drawn px of what is drawn
 * @param drawnAlike how many of these are alike
 * @param ground px of the rest
 * @param groundAlike how many of these are alike
 * @param regions squares with something drawn, those least alike first
 */
public record Likeness(
    long drawn, long drawnAlike, long ground, long groundAlike, List<Region> regions) {
  /** Px on a side of a region. */
  public static final int SIDE = 64;

  /** Px of a picture at the most. */
  public static final int MOST = 6_000_000;

  /** Levels of 255 by which colours may differ. */
  private static final int LEVELS = 24;

  private static final int AROUND = 2;

  /**
   * A part of the pictures.
   *
   * @param x px from the left end
   * @param y px from the top
   * @param wide px
   * @param high px
   * @param drawn px of what is drawn in it
   * @param alike how many of these are alike
   */
  public record Region(int x, int y, int wide, int high, int drawn, int alike) {
    /** Which share of what is drawn is alike, 0 to 1. */
    public double share() {
      return (double) alike / drawn;
    }
  }

  /** Colours of a picture as 0xRRGGBB, row by row; what stands above these 24 bits has no say. */
  public record Picture(int wide, int high, int[] colours) {
    public Picture {
      Require.within(1, MOST, "px of a picture", (double) wide * high);
      Require.within(wide * high, wide * high, "colours of a picture", colours.length);
    }
  }

  public Likeness {
    regions = List.copyOf(regions);
  }

  /** Which share of what is drawn is alike, 0 to 1; of nothing all is. */
  public double share() {
    return drawn == 0 ? 1 : (double) drawnAlike / drawn;
  }

  /** Which share of the ground is alike, 0 to 1. */
  public double groundShare() {
    return ground == 0 ? 1 : (double) groundAlike / ground;
  }

  /**
   * Of two pictures.
   *
   * @throws giostra.core.value.Refused when they are not of one size
   */
  public static Likeness of(Picture one, Picture other) {
    Require.within(one.wide(), one.wide(), "width of a picture (px)", other.wide());
    Require.within(one.high(), one.high(), "height of a picture (px)", other.high());
    return new Comparison(one, other).all();
  }

  /** Two pictures with what is drawn in them, and what has been counted so far. */
  private static final class Comparison {
    private final Picture one;
    private final Picture other;
    private final BitSet inOne;
    private final BitSet inOther;
    private final List<Region> regions = new ArrayList<>();
    private long drawn;
    private long drawnAlike;
    private long ground;
    private long groundAlike;

    Comparison(Picture one, Picture other) {
      this.one = one;
      this.other = other;
      this.inOne = drawn(one);
      this.inOther = drawn(other);
    }

    Likeness all() {
      for (int top = 0; top < one.high(); top += SIDE) {
        for (int left = 0; left < one.wide(); left += SIDE) {
          region(left, top);
        }
      }
      regions.sort(Comparator.comparingDouble(Region::share));
      return new Likeness(drawn, drawnAlike, ground, groundAlike, regions);
    }

    private void region(int left, int top) {
      int right = Math.min(left + SIDE, one.wide());
      int below = Math.min(top + SIDE, one.high());
      int here = 0;
      int alike = 0;
      for (int y = top; y < below; y++) {
        for (int x = left; x < right; x++) {
          boolean same = has(other, x, y, at(one, x, y)) && has(one, x, y, at(other, x, y));
          int place = y * one.wide() + x;
          if (inOne.get(place) || inOther.get(place)) {
            here++;
            alike += same && isNear(inOne, x, y) && isNear(inOther, x, y) ? 1 : 0;
          } else {
            ground++;
            groundAlike += same ? 1 : 0;
          }
        }
      }
      drawn += here;
      drawnAlike += alike;
      if (here > 0) {
        regions.add(new Region(left, top, right - left, below - top, here, alike));
      }
    }

    /** Whether something is drawn within a px. */
    private boolean isNear(BitSet in, int x, int y) {
      for (int v = Math.max(0, y - 1); v <= Math.min(one.high() - 1, y + 1); v++) {
        int row = v * one.wide();
        int next = in.nextSetBit(row + Math.max(0, x - 1));
        if (next >= 0 && next <= row + Math.min(one.wide() - 1, x + 1)) {
          return true;
        }
      }
      return false;
    }
  }

  private static BitSet drawn(Picture picture) {
    var drawn = new BitSet(picture.wide() * picture.high());
    for (int y = 0; y < picture.high(); y++) {
      for (int x = 0; x < picture.wide(); x++) {
        drawn.set(y * picture.wide() + x, drawnAt(picture, x, y));
      }
    }
    return drawn;
  }

  private static int at(Picture picture, int x, int y) {
    return picture.colours()[y * picture.wide() + x];
  }

  private static boolean drawnAt(Picture picture, int x, int y) {
    int colour = at(picture, x, y);
    for (int v = Math.max(0, y - AROUND); v <= Math.min(picture.high() - 1, y + AROUND); v++) {
      for (int u = Math.max(0, x - AROUND); u <= Math.min(picture.wide() - 1, x + AROUND); u++) {
        if (!near(colour, at(picture, u, v))) {
          return true;
        }
      }
    }
    return false;
  }

  private static boolean has(Picture picture, int x, int y, int colour) {
    for (int v = Math.max(0, y - 1); v <= Math.min(picture.high() - 1, y + 1); v++) {
      for (int u = Math.max(0, x - 1); u <= Math.min(picture.wide() - 1, x + 1); u++) {
        if (near(colour, at(picture, u, v))) {
          return true;
        }
      }
    }
    return false;
  }

  private static boolean near(int one, int other) {
    return Math.abs((one >> 16 & 255) - (other >> 16 & 255)) <= LEVELS
        && Math.abs((one >> 8 & 255) - (other >> 8 & 255)) <= LEVELS
        && Math.abs((one & 255) - (other & 255)) <= LEVELS;
  }
}
