package hammerman.app.control;

import hammerman.app.session.Session;
import hammerman.finding.Station;
import hammerman.project.Project;
import hammerman.unit.InvalidValue;
import hammerman.unit.QuantityText;
import hammerman.unit.QuantityText.Reading;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.text.Font;
import org.jspecify.annotations.Nullable;

/**
 * A column of labelled fields bound to the session's project: each field reads its value from the
 * project and makes an edit when changed, so that undo and other fields keep in step.
 */
public final class Form {
  private static final Pattern TWO_SIZES = Pattern.compile("([^x×*]+)[x×*]([^x×*]+)");
  private static final double LABEL_WIDTH = 138;
  private static final double FIELD_WIDTH = 80;

  /** Width of the name before a field of words, which needs more room than a figure, px. */
  private static final double TEXT_LABEL = 92;

  /** Style of a field for a word, as wide as one for a figure. */
  private static final String SHORT = "short";

  /** A field of words grows with them to this width, px. */
  private static final double MOST_WORDS = 190;

  /** How the sheet of styles writes a choice. */
  private static final Font CHOSEN = Font.font("Chivo", 13);

  /** Room for the arrow of a choice and its rims, px. */
  private static final double ARROW = 44;

  private final Session session;
  private final Station station;
  private final VBox column = new VBox(3);
  private final List<Consumer<Project>> followers = new ArrayList<>();
  private final double labelWidth;
  private final double fieldWidth;

  /**
   * @param station where the edits are made
   */
  public Form(Session session, Station station) {
    this(session, station, LABEL_WIDTH, FIELD_WIDTH);
  }

  /**
   * Makes a form with columns of its own.
   *
   * @param station where the edits are made
   * @param labelWidth width of the names, px
   * @param fieldWidth width of the figures, px
   */
  public Form(Session session, Station station, double labelWidth, double fieldWidth) {
    this.session = session;
    this.station = station;
    this.labelWidth = labelWidth;
    this.fieldWidth = fieldWidth;
    Following.follow(column, session.projectProperty(), p -> followers.forEach(f -> f.accept(p)));
  }

  /** Returns the column to put on a page. */
  public VBox node() {
    return column;
  }

  /** Adds a heading. */
  public Form section(String title) {
    return sectionWhen(title, p -> true);
  }

  /** Adds a heading that is only shown while it applies. */
  public Form sectionWhen(String title, Predicate<Project> applies) {
    Label label = new Label(title);
    label.getStyleClass().add("section-title");
    label.setMaxWidth(Double.MAX_VALUE);
    VBox.setMargin(label, new Insets(column.getChildren().isEmpty() ? 0 : 8, 0, 0, 0));
    return addWhen(label, applies);
  }

  /** Adds any node, shown while it applies. */
  public Form addWhen(Node node, Predicate<Project> applies) {
    column.getChildren().add(node);
    follow(
        p -> {
          node.setVisible(applies.test(p));
          node.setManaged(applies.test(p));
        });
    return this;
  }

  /** Adds a field for a quantity in the core's unit. */
  public Form quantity(
      String name,
      Unit unit,
      Function<Project, Double> read,
      BiFunction<Project, Double, Project> write) {
    return quantityWhen(p -> true, name, unit, read, write);
  }

  /** Adds a field for a quantity that is only shown while it applies. */
  public Form quantityWhen(
      Predicate<Project> applies,
      String name,
      Unit unit,
      Function<Project, Double> read,
      BiFunction<Project, Double, Project> write) {
    field(
        name,
        unit,
        "",
        read,
        (p, v) -> {
          if (v == null) {
            throw new InvalidValue(name, "empty", "a value is needed", "Type one.");
          }
          return write.apply(p, v);
        },
        applies);
    return this;
  }

  /** Adds a field that may be left empty; its prompt is “any”. */
  public Form optional(
      String name,
      Unit unit,
      Function<Project, @Nullable Double> read,
      BiFunction<Project, @Nullable Double, Project> write) {
    return optionalWhen(p -> true, name, unit, "any", read, write);
  }

  /**
   * Adds such a field that is only shown while it applies.
   *
   * @param empty what stands in it while it is empty
   */
  public Form optionalWhen(
      Predicate<Project> applies,
      String name,
      Unit unit,
      String empty,
      Function<Project, @Nullable Double> read,
      BiFunction<Project, @Nullable Double, Project> write) {
    field(name, unit, empty, read, write, applies);
    return this;
  }

  /** Adds a field for a whole number. */
  public Form count(
      String name,
      Function<Project, Integer> read,
      BiFunction<Project, Integer, Project> write,
      Predicate<Project> applies) {
    return quantityWhen(
        applies,
        name,
        Unit.ONE,
        p -> read.apply(p).doubleValue(),
        (p, v) -> write.apply(p, whole(name, v)));
  }

  /** Adds a field for a short text. */
  public Form text(
      String name, Function<Project, String> read, BiFunction<Project, String, Project> write) {
    TypedField field =
        new TypedField(name, text -> edited(name, p -> write.apply(p, text.strip())));
    HBox.setHgrow(field, Priority.ALWAYS);
    field.widen(labelWidth + fieldWidth - TEXT_LABEL, MOST_WORDS);
    return typed(name, field, "", read);
  }

  /** Adds a field for a word or a sign that may be left out. */
  public Form word(
      String name,
      String prompt,
      Function<Project, @Nullable String> read,
      BiFunction<Project, @Nullable String, Project> write) {
    TypedField field =
        new TypedField(
            name, text -> edited(name, p -> write.apply(p, text.isBlank() ? null : text.strip())));
    field.setPromptText(prompt);
    field.getStyleClass().add(SHORT);
    field.widen(fieldWidth, fieldWidth);
    return typed(name, field, "", p -> Objects.requireNonNullElse(read.apply(p), ""));
  }

  /** Adds a choice among a few values. */
  public <T> Form choice(
      String name,
      List<T> values,
      Function<T, String> words,
      Function<Project, T> read,
      BiFunction<Project, T, Project> write) {
    return choiceWhen(p -> true, name, values, words, read, write);
  }

  /** Adds a choice that is only shown while it applies. */
  public <T> Form choiceWhen(
      Predicate<Project> applies,
      String name,
      List<T> values,
      Function<T, String> words,
      Function<Project, T> read,
      BiFunction<Project, T, Project> write) {
    ChoiceBox<T> box = new ChoiceBox<>();
    box.getItems().setAll(values);
    box.setAccessibleText(name);
    box.setId(id(name));
    box.setConverter(new InWords<>(words));
    box.setMaxWidth(Double.MAX_VALUE);
    HBox.setHgrow(box, Priority.ALWAYS);
    boolean[] showing = {false};
    box.valueProperty()
        .addListener(
            (o, was, is) -> {
              if (is != null) {
                // As wide as what is chosen; the widest of all would push others away.
                double wide = WordWidth.of(words.apply(is), CHOSEN) + ARROW;
                box.setMinWidth(wide);
                box.setPrefWidth(wide);
              }
              if (!showing[0] && is != null) {
                session.edit(name, station, p -> write.apply(p, is));
              }
            });
    row(name, box, "", complaint(), applies);
    follow(
        p -> {
          if (applies.test(p)) {
            showing[0] = true;
            T value = read.apply(p);
            // A value of the user's own joins the choice instead of showing as nothing.
            if (!box.getItems().contains(value)) {
              box.getItems().add(value);
            }
            box.setValue(value);
            showing[0] = false;
          }
        });
    return this;
  }

  /** Adds a field for two sizes typed as “0.15x8”, in mm. */
  public Form crossSection(String name, Function<Project, String> read, TwoSizes write) {
    TypedField field = new TypedField(name, text -> applySizes(name, text, write));
    field.getStyleClass().add("number");
    field.setAccessibleText(name + ", thickness by width in mm");
    field.setPrefWidth(fieldWidth);
    return typed(name, field, "mm", read);
  }

  private Form typed(String name, TypedField field, String unit, Function<Project, String> read) {
    field.setId(id(name));
    Label complaint = complaint();
    complaint.textProperty().bind(field.complaintProperty());
    row(name, field, unit, complaint, p -> true);
    follow(p -> field.show(read.apply(p)));
    return this;
  }

  /** Makes an edit; returns an empty text, or why it was refused. */
  private String edited(String name, UnaryOperator<Project> change) {
    try {
      session.edit(name, station, change);
      return "";
    } catch (InvalidValue e) {
      return String.valueOf(e.getMessage());
    }
  }

  /** Takes a thickness and a width, in m. */
  @FunctionalInterface
  public interface TwoSizes {
    Project apply(Project project, double thickness, double width);
  }

  private String applySizes(String name, String text, TwoSizes write) {
    Matcher sizes = TWO_SIZES.matcher(text.strip());
    if (!sizes.matches()
        || !(QuantityText.read(sizes.group(1), Unit.MILLIMETRE) instanceof Reading.Understood a)
        || !(QuantityText.read(sizes.group(2), Unit.MILLIMETRE) instanceof Reading.Understood b)) {
      return "“" + text + "” is not a strip size; type thickness × width, such as “0.15x8”.";
    }
    return edited(name, p -> write.apply(p, a.core(), b.core()));
  }

  private void field(
      String name,
      Unit unit,
      String empty,
      Function<Project, @Nullable Double> read,
      BiFunction<Project, @Nullable Double, Project> write,
      Predicate<Project> applies) {
    QuantityField field =
        new QuantityField(
            name, unit, !empty.isEmpty(), v -> session.edit(name, station, p -> write.apply(p, v)));
    field.setId(id(name));
    field.setPrefWidth(fieldWidth);
    field.setMinWidth(fieldWidth);
    field.setPromptText(empty);
    Label complaint = complaint();
    complaint.textProperty().bind(field.complaintProperty());
    row(name, field, unit.symbol(), complaint, applies);
    follow(
        p -> {
          if (applies.test(p)) {
            field.show(read.apply(p));
          } else {
            // What is half typed is of no use once there is nothing that it could change.
            field.forget();
          }
        });
  }

  private void row(
      String name, Node field, String unit, Label complaint, Predicate<Project> applies) {
    Label label = new Label(name);
    label.getStyleClass().add("field-label");
    boolean words =
        field instanceof ChoiceBox
            || (field instanceof TypedField
                && !field.getStyleClass().contains("number")
                && !field.getStyleClass().contains(SHORT));
    label.setMinWidth(words ? TEXT_LABEL : labelWidth);
    label.setPrefWidth(words ? TEXT_LABEL : labelWidth);
    label.setLabelFor(field);
    Explained.by(label);
    HBox row = new HBox(label, field);
    if (!unit.isEmpty()) {
      Label unitLabel = new Label(unit);
      unitLabel.getStyleClass().add("fact-name");
      unitLabel.setMinWidth(Region.USE_PREF_SIZE);
      row.getChildren().add(unitLabel);
    }
    row.getStyleClass().add("field-row");
    row.setAlignment(Pos.CENTER_LEFT);
    VBox both = new VBox(2, row, complaint);
    addWhen(both, applies);
  }

  private void follow(Consumer<Project> follower) {
    followers.add(follower);
    follower.accept(session.project());
  }

  private Label complaint() {
    Words label = new Words("complaint");
    label.setMaxWidth(labelWidth + fieldWidth + 40);
    return label;
  }

  static int whole(String name, double value) {
    if (value != Math.rint(value) || Math.abs(value) > 1e9) {
      throw new InvalidValue(
          name, String.valueOf(value), "it must be a whole number", "Type a count.");
    }
    return (int) value;
  }

  /** Returns the id that a field of this name has in the scene. */
  public static String id(String name) {
    return name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-");
  }
}
