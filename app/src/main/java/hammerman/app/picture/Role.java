package hammerman.app.picture;

import java.util.Locale;

/** What a colour of a picture means; the theme says which colour it is. */
public enum Role {
  PAPER,
  INK,
  SOFT,
  RULE,
  FAINT,
  HOT,
  HOT_WASH,
  AMBER,
  AMBER_WASH,
  COOL,
  COOL_WASH;

  /** Returns the CSS property that sets it. */
  String property() {
    return "-hm-picture-" + name().toLowerCase(Locale.ROOT).replace('_', '-');
  }
}
