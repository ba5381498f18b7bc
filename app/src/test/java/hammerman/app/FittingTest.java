package hammerman.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.chain.Layout;
import hammerman.finding.Station;
import hammerman.fit.Filling;
import hammerman.fit.Joining;
import hammerman.fit.Outline;
import hammerman.fit.Placing;
import hammerman.fit.Point;
import hammerman.fit.Style;
import hammerman.pack.Joint;
import hammerman.pack.TakeOff;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.geometry.VerticalDirection;
import javafx.scene.Node;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Slider;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.junit.jupiter.api.Test;

/** Drives station Fit offscreen. */
class FittingTest extends AtTheDesk {
  private void fit(String view) {
    desk.example();
    desk.view(Station.FIT, view);
    desk.until(() -> desk.text("#answer").startsWith("13S6P fits"));
  }

  private Layout layout() {
    return Desk.fx(() -> desk.session.forecastProperty().get().layout().orElseThrow());
  }

  /** Where a place of the floor is on the screen, for a sheet fitted into its picture. */
  private Point2D onScreen(Point p) {
    return Desk.fx(
        () -> {
          Node sheet = desk.stage.getScene().lookup("#fit-sheet");
          Bounds b = sheet.getLayoutBounds();
          Outline o = plan().boxes().getFirst().outline();
          double wide = o.corners().stream().mapToDouble(Point::x).max().orElseThrow();
          double high = o.corners().stream().mapToDouble(Point::y).max().orElseThrow();
          double scale = Math.min((b.getWidth() - 52) / wide, (b.getHeight() - 52 - 34) / high);
          double y0 = (b.getHeight() - 34 + high * scale) / 2;
          return sheet.localToScreen(26 + p.x() * scale, y0 - p.y() * scale);
        });
  }

  private Point place(int k) {
    return layout().arrangement().placing().places().get(k);
  }

  @Test
  void aTriangularPackIsBuiltFromNothing() {
    desk.go(Station.FIT);
    assertThat(desk.text("#answer")).startsWith("Not begun");
    desk.press("#begin-fit");
    desk.until(() -> desk.text("#answer").startsWith("10S4P fits"));
    desk.view(Station.FIT, "box");
    desk.type("#corners", "0 0; 260 0; 0 220");
    desk.until(() -> desk.text("#answer").contains("10S4P fits"));
    desk.type("#corners", "0 0; 90 0; 0 80");
    desk.until(() -> desk.text("#answer").contains("does not go in"));
    assertThat(desk.judgements()).contains("fit.room");
    desk.until(() -> desk.text("#fit-room").contains("All of them take"));
    desk.press("#undo");
    desk.until(() -> desk.text("#answer").startsWith("10S4P fits"));
    desk.type("#corners", "0 0; 260");
    assertThat(desk.text("#corners")).isEqualTo("0 0; 260");
    assertThat(desk.text("#box-said")).contains("each corner is x and y in mm");
    packIsMendedAndCut();
  }

  /** Goes on with a pack in its box: cells moved and moved back, better strip, templates. */
  private void packIsMendedAndCut() {
    desk.view(Station.FIT, "groups");
    int[] before = layout().arrangement().attempted().orElseThrow().group().clone();
    int first = layout().arrangement().attempted().orElseThrow().members(0)[0];
    int last = layout().arrangement().attempted().orElseThrow().members(9)[0];
    desk.robot
        .moveTo(onScreen(place(first)))
        .press(MouseButton.PRIMARY)
        .moveTo(onScreen(place(last)))
        .release(MouseButton.PRIMARY);
    desk.settle();
    assertThat(layout().arrangement().attempted().orElseThrow().at(first)).isEqualTo(9);
    desk.press("#undo");
    desk.until(() -> desk.text("#answer").startsWith("10S4P fits"));
    assertThat(layout().arrangement().attempted().orElseThrow().group()).isEqualTo(before);
    desk.view(Station.FIT, "strips");
    desk.until(() -> added() > 0);
    double nickel = added();
    desk.type("#strip-everywhere", "0.3x10 copper");
    desk.until(() -> added() < nickel / 3);
    desk.view(Station.FIT, "cut");
    Path svg = home.resolve("triangle.svg");
    desk.lay(svg);
    desk.press("#save-svg-strips");
    // The box is 260 by 220 mm, with margins of 12 mm and a foot of 16 mm.
    assertThat(svg).content().contains("width=\"284mm\"", "height=\"260mm\"", "strips, lower face");
  }

  /** Where a place is in the mirrored face of both, the second of two equal parts of the sheet. */
  private Point2D onLowerFace(Point p) {
    return Desk.fx(
        () -> {
          Node sheet = desk.stage.getScene().lookup("#fit-sheet");
          double w = sheet.getLayoutBounds().getWidth();
          double h = sheet.getLayoutBounds().getHeight();
          Outline o = plan().boxes().getFirst().outline();
          double wide = o.corners().stream().mapToDouble(Point::x).max().orElseThrow();
          double high = o.corners().stream().mapToDouble(Point::y).max().orElseThrow();
          double over = Math.min((w - 20) / wide, (h / 2 - 20 - 34) / high);
          double beside = Math.min((w / 2 - 20) / wide, (h - 20 - 34) / high);
          double scale = Math.max(over, beside);
          double middle = beside > over ? 0.75 * w : 0.5 * w;
          double top = beside > over ? 0 : h / 2;
          double bottom = top + (h - top - 34 + high * scale) / 2;
          return sheet.localToScreen(middle - (p.x() - wide / 2) * scale, bottom - p.y() * scale);
        });
  }

  @Test
  void bothFacesAreSeenAtOnceAndAnswerAlike() {
    fit("groups");
    desk.press("#face-both");
    for (int g : new int[] {0, 5, 12}) {
      int cell = layout().arrangement().grouping().orElseThrow().members(g)[1];
      desk.robot.clickOn(onLowerFace(place(cell)));
      assertThat(desk.text("#fit-cell")).startsWith("Group " + (g + 1));
    }
    int a = layout().arrangement().grouping().orElseThrow().members(3)[0];
    int b = layout().arrangement().grouping().orElseThrow().members(4)[0];
    desk.robot
        .moveTo(onLowerFace(place(a)))
        .press(MouseButton.PRIMARY)
        .moveTo(onLowerFace(place(b)))
        .release(MouseButton.PRIMARY);
    desk.settle();
    assertThat(layout().arrangement().attempted().orElseThrow().at(a)).isEqualTo(4);
    desk.press("#undo");
    desk.until(() -> desk.text("#answer").startsWith("13S6P fits"));
    desk.view(Station.FIT, "strips");
    desk.until(() -> desk.text("#fit-plate").contains("of what it carries"));
    assertThat(Desk.fx(() -> desk.find("#face-both", ToggleButton.class).isSelected())).isTrue();
  }

  @Test
  void shapesKeepOutsAndBoxesAreEdited() {
    fit("box");
    for (String shape : List.of("rectangle", "triangle", "corner", "trapezoid")) {
      desk.press("#shape-" + shape);
    }
    desk.press("#add-keep-out");
    assertThat(plan().boxes().getFirst().keepOuts()).hasSize(2);
    assertThat(desk.text("#fit-shape")).isEqualTo("keep-out 2");
    desk.type("#corners", "10 10; 60 10; 60 40; 10 40");
    assertThat(plan().boxes().getFirst().keepOuts().get(1).area()).isCloseTo(1.5e-3, within(1e-9));
    desk.press("#shape-after");
    assertThat(desk.text("#fit-shape")).isEqualTo("outline");
    desk.press("#remove-keep-out");
    assertThat(desk.text("#box-said")).contains("The outline stays");
    desk.press("#shape-before");
    desk.press("#remove-keep-out");
    assertThat(plan().boxes().getFirst().keepOuts()).hasSize(1);
    desk.press("#add-box");
    assertThat(plan().boxes()).hasSize(2);
    desk.press("#next-sheet");
    assertThat(desk.text("#fit-shape")).isEqualTo("Box 2: outline");
    desk.press("#remove-box");
    assertThat(plan().boxes()).hasSize(1);
    desk.press("#remove-box");
    assertThat(desk.text("#box-said")).contains("The only box stays");
  }

  @Test
  void theOutlineIsDrawnWithTheMouseAndTheKeys() {
    fit("box");
    Point corner = plan().boxes().getFirst().outline().corners().get(1);
    Point2D from = onScreen(corner);
    Point2D to = onScreen(new Point(0.2612, 0.0007));
    desk.robot.moveTo(from).press(MouseButton.PRIMARY).moveTo(to).release(MouseButton.PRIMARY);
    desk.settle();
    Point moved = plan().boxes().getFirst().outline().corners().get(1);
    assertThat(moved.x()).as("snapped to 5 mm").isCloseTo(0.26, within(1e-9));
    assertThat(moved.y()).isCloseTo(0, within(1e-9));
    desk.keys(KeyCode.RIGHT);
    assertThat(plan().boxes().getFirst().outline().corners().get(1).x())
        .isCloseTo(0.265, within(1e-9));
    desk.keys(KeyCode.SHIFT, KeyCode.UP);
    assertThat(plan().boxes().getFirst().outline().corners().get(1).y())
        .isCloseTo(0.001, within(1e-9));
    desk.keys(KeyCode.PAGE_DOWN);
    desk.keys(KeyCode.DELETE);
    assertThat(plan().boxes().getFirst().outline().corners()).hasSize(4);
    Outline before = plan().boxes().getFirst().outline();
    Point2D side = onScreen(new Point(0.1, 0.178));
    desk.robot.moveTo(side).clickOn(MouseButton.PRIMARY).clickOn(MouseButton.PRIMARY);
    desk.settle();
    assertThat(plan().boxes().getFirst().outline().corners().size())
        .isGreaterThanOrEqualTo(before.corners().size());
  }

  @Test
  void anOutlineComesFromAFile() throws Exception {
    fit("box");
    Path file = home.resolve("box.svg");
    Files.writeString(
        file,
        "<svg width='300mm' viewBox='0 0 300 190'><rect width='300' height='190'/>"
            + "<rect x='10' y='10' width='40' height='20'/></svg>");
    desk.lay(file);
    desk.press("#import-outline");
    desk.until(() -> desk.text("#answer").startsWith("13S6P fits"));
    assertThat(plan().boxes().getFirst().outline().area()).isCloseTo(0.057, within(1e-9));
    assertThat(plan().boxes().getFirst().keepOuts()).hasSize(1);
    Files.writeString(file, "nothing of use");
    desk.press("#import-outline");
    assertThat(desk.text("#box-said")).contains("no closed shape");
    assertThat(plan().boxes().getFirst().outline().area()).isCloseTo(0.057, within(1e-9));
    desk.lay(home.resolve("gone.svg"));
    desk.press("#import-outline");
    assertThat(desk.text("#box-said")).contains("cannot be read");
  }

  @Test
  void anotherWayToFormGroupsIsTakenAndUndone() {
    fit("groups");
    desk.until(() -> texts("#fit-ways").contains("Compact groups"));
    assertThat(texts("#fit-ways")).contains("Short links", "Straight strips");
    desk.press("#fit-ways-1");
    assertThat(plan().style()).isEqualTo(Style.COMPACT);
    desk.until(() -> desk.text("#answer").startsWith("13S6P fits"));
    desk.press("#undo");
    assertThat(plan().style()).isEqualTo(Style.SHORT_LINKS);
    desk.choose("#joined-by", Joining.WIRED);
    desk.until(() -> desk.text("#answer").contains("are joined"));
    assertThat(layout().continuous().orElseThrow().links()).hasSize(12);
  }

  @Test
  void cellsAreExchangedByKeysAndTheHarmIsSaid() {
    fit("groups");
    focusSheet();
    for (int k = 0; k < 9 && !desk.text("#fit-cell").startsWith("Group"); k++) {
      desk.keys(KeyCode.RIGHT);
    }
    assertThat(desk.text("#fit-cell")).startsWith("Group").contains("an equal share is");
    desk.until(() -> desk.text("#fit-cell").contains("in the duty"));
    for (int k = 0; k < 8; k++) {
      desk.keys(KeyCode.SHIFT, KeyCode.UP);
    }
    desk.keys(KeyCode.ENTER);
    assertThat(plan().byHand()).isNotNull();
    desk.until(() -> desk.text("#fit-said").contains("in pieces"));
    assertThat(desk.judgements()).contains("fit.moves");
    desk.press("#unswap-cells");
    desk.until(() -> desk.text("#fit-said").isEmpty());
    assertThat(plan().byHand()).isNull();
  }

  private void focusSheet() {
    Desk.fx(
        () -> {
          desk.stage.getScene().lookup("#fit-sheet").requestFocus();
          return null;
        });
    desk.until(() -> desk.find("#fit-sheet", Node.class).isFocused());
  }

  @Test
  void aCellIsDraggedOntoAnother() {
    fit("groups");
    int[] before = layout().arrangement().attempted().orElseThrow().group().clone();
    int a = 0;
    int b = 0;
    Placing placing = layout().arrangement().placing();
    for (int k = 0; k < before.length; k++) {
      for (int m : placing.neighbours().get(k)) {
        if (before[k] >= 0 && before[m] >= 0 && before[k] != before[m]) {
          a = k;
          b = m;
        }
      }
    }
    desk.robot
        .moveTo(onScreen(place(a)))
        .press(MouseButton.PRIMARY)
        .moveTo(onScreen(place(b)))
        .release(MouseButton.PRIMARY);
    desk.settle();
    int[] after = layout().arrangement().attempted().orElseThrow().group();
    assertThat(after[a]).isEqualTo(before[b]);
    assertThat(after[b]).isEqualTo(before[a]);
    desk.press("#undo");
    assertThat(layout().arrangement().attempted().orElseThrow().group()).isEqualTo(before);
  }

  @Test
  void aLockedGroupStaysWhenTheRestIsArrangedAnew() {
    fit("groups");
    int cell = layout().arrangement().grouping().orElseThrow().members(2)[0];
    desk.robot.clickOn(onScreen(place(cell)));
    assertThat(desk.text("#lock-group")).isEqualTo("Lock group 3");
    desk.press("#lock-group");
    assertThat(plan().locked()).containsExactly(2);
    int[] members = layout().arrangement().grouping().orElseThrow().members(2);
    desk.press("#arrange-anew");
    desk.until(() -> !desk.session.busyProperty().get());
    desk.settle();
    assertThat(layout().arrangement().attempted().orElseThrow().members(2)).isEqualTo(members);
    assertThat(desk.text("#lock-group")).isEqualTo("Unlock group 3");
    desk.press("#lock-group");
    assertThat(plan().locked()).isEmpty();
  }

  @Test
  void betterStripAndABarLoseLess() {
    fit("strips");
    desk.until(() -> added() > 0);
    double asBuilt = added();
    desk.choose("#leads-from", TakeOff.ONE_CELL);
    desk.until(() -> added() > asBuilt);
    double before = added();
    desk.type("#strip-everywhere", "3 x 0.15 x 8");
    desk.until(() -> added() < before / 1.5);
    double three = added();
    desk.choose("#leads-from", TakeOff.WHOLE_GROUP);
    desk.until(() -> added() < three);
    double bar = added();
    desk.choose("#terminals", Joint.SCREWED);
    desk.until(() -> added() < bar);
    desk.type("#strip-everywhere", "gold leaf");
    assertThat(desk.text("#strip-everywhere")).isEqualTo("gold leaf");
    assertThat(desk.session.project().variant().pack().strip().layers()).isEqualTo(3);
  }

  @Test
  void onePlateHasAStripOfItsOwnAndThenItsWholeFace() {
    fit("strips");
    desk.until(() -> desk.text("#fit-plate").contains("of what it carries"));
    assertThat(desk.text("#fit-plate")).contains("lower face");
    desk.type("#strip-of-plate", "0.3x10 copper");
    assertThat(plan().conductors().special()).hasSize(1);
    desk.press("#plate-to-face");
    assertThat(plan().conductors().special()).hasSize(7);
    assertThat(plan().conductors().special()).allMatch(s -> s.plate() % 2 == 0);
    desk.press("#undo");
    desk.press("#plate-as-usual");
    assertThat(plan().conductors().special()).isEmpty();
    desk.type("#strip-of-links", "2x12 copper");
    assertThat(plan().conductors().link().width()).isCloseTo(12e-3, within(1e-12));
  }

  @Test
  void whatMendsTheWorstPlaceIsTaken() {
    fit("strips");
    assertThat(desk.judgements()).contains("strip.current");
    desk.until(() -> texts("#fit-remedies").size() > 8);
    desk.press("#fit-remedies-0");
    desk.until(() -> !desk.judgements().contains("strip.current"));
    desk.press("#undo");
    desk.until(() -> desk.judgements().contains("strip.current"));
  }

  /** The resistance that the strips add to the cells', mΩ. */
  private double added() {
    String milliohms = fact("#fit-facts", "Strips add");
    return Double.parseDouble(milliohms.replace(" mΩ", ""));
  }

  @Test
  void temperaturesGoThroughTheDutyWithTheSlider() {
    fit("heat");
    desk.until(() -> texts("#heat-facts").size() > 6);
    String end = desk.text("#heat-moment");
    assertThat(fact("#heat-facts", "Full effort until the limit")).isNotBlank();
    Desk.fx(
        () -> {
          Slider slider = desk.find("#heat-time", Slider.class);
          slider.requestFocus();
          slider.setValue(0);
          return null;
        });
    desk.until(() -> desk.text("#heat-moment").startsWith("After 0"));
    assertThat(desk.text("#heat-moment")).isNotEqualTo(end).contains("38.0 °C to 38.0 °C");
  }

  @Test
  void whatWouldCoolItIsShownAndTaken() {
    fit("heat");
    desk.until(() -> texts("#fit-changes").contains("Foam"));
    assertThat(texts("#fit-changes")).contains("A fan", "Aluminium plate", "Potting");
    int row = List.of("Plastic holders", "Foam", "Potting").indexOf("Potting");
    desk.press("#fit-changes-" + row);
    assertThat(plan().filling()).isEqualTo(Filling.POTTING);
    desk.choose("#between", Filling.PLATE);
    assertThat(plan().filling()).isEqualTo(Filling.PLATE);
  }

  @Test
  void templatesAndListsAreWritten() throws Exception {
    fit("cut");
    assertThat(fact("#fit-sizes", "Mass of cells, strips")).startsWith("5.46 kg");
    assertThat(texts("#cut-list")).contains("0.15 × 8 mm nickel");
    assertThat(desk.text("#fit-leads"))
        .matches("14 leads, from the most negative on: (\\d+, ){13}\\d+ mm\\. .*");
    desk.press("#face-lower");
    Path svg = home.resolve("face.svg");
    desk.lay(svg);
    desk.press("#save-svg-strips");
    // The box is 285 by 178 mm, with margins of 12 mm and a foot of 16 mm.
    assertThat(Files.readString(svg))
        .contains("width=\"309mm\"", "height=\"218mm\"", "lower face", "12,210 112,210");
    desk.press("#save-svg-drill");
    desk.press("#save-svg-insulation");
    Path pdf = home.resolve("templates.pdf");
    desk.lay(pdf);
    desk.press("#save-pdf-a4");
    try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
      assertThat(document.getNumberOfPages()).isEqualTo(10);
    }
    Path csv = home.resolve("lists.csv");
    desk.lay(csv);
    desk.press("#save-lists");
    List<String> lines = Files.readAllLines(csv);
    assertThat(lines).filteredOn(l -> l.startsWith("cell,")).hasSize(78);
    assertThat(lines).filteredOn(l -> l.startsWith("balance lead,")).hasSize(14);
    desk.lay(home.resolve("no").resolve("such.csv"));
    desk.press("#save-lists");
    assertThat(desk.text("#cut-said")).startsWith("Not saved");
  }

  @Test
  void theSheetIsEnlargedMovedAndFittedInAgain() {
    fit("groups");
    focusSheet();
    int cell = layout().arrangement().grouping().orElseThrow().members(0)[0];
    desk.keys(KeyCode.EQUALS);
    desk.keys(KeyCode.EQUALS);
    desk.keys(KeyCode.MINUS);
    desk.robot.scroll(2, VerticalDirection.UP);
    desk.keys(KeyCode.DIGIT0);
    desk.robot.clickOn(onScreen(place(cell)));
    assertThat(desk.text("#fit-cell")).startsWith("Group 1:");
    for (String o : List.of("share", "strips", "heat", "groups")) {
      Desk.fx(
          () -> {
            desk.find("#overlay-" + o, ButtonBase.class).fire();
            return null;
          });
      desk.settle();
    }
  }

  @Test
  void aDeepBoxIsSeenLayerByLayer() {
    fit("box");
    desk.type("#corners", "0 0; 190 0; 190 150; 0 150");
    desk.type("#depth", "150");
    desk.until(() -> desk.text("#answer").contains("are joined"));
    assertThat(desk.text("#next-sheet")).isEqualTo("layer 1 of 2 ›");
    desk.press("#next-sheet");
    assertThat(desk.text("#next-sheet")).isEqualTo("layer 2 of 2 ›");
    assertThat(layout().continuous().orElseThrow().links()).hasSize(1);
  }
}
