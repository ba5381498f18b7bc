package hammerman.fit;

/** What groups are to be like, when several ways are possible. */
public enum Style {
  SHORT_LINKS("Short links", "many strips in the narrowest link, ends near the lead exit"),
  COMPACT("Compact groups", "cells of a group close together"),
  STRAIGHT("Straight strips", "groups in rows, for strips cut straight off the roll");

  private final String label;
  private final String aim;

  Style(String label, String aim) {
    this.label = label;
    this.aim = aim;
  }

  /** Returns the style in a word or two. */
  public String label() {
    return label;
  }

  /** Returns what it aims at. */
  public String aim() {
    return aim;
  }
}
