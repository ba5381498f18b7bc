package hammerman.app.station.build;

import hammerman.app.control.Column;
import hammerman.app.control.RecordTable;
import hammerman.build.Setting;
import java.util.List;
import javafx.scene.layout.StackPane;
import org.jspecify.annotations.Nullable;

/** The settings sheet for controller, charger, meter and BMS. */
final class SettingsView extends StackPane {
  private final RecordTable<Setting> table =
      new RecordTable<Setting>(
              "settings",
              "the settings",
              "The settings are being worked out.",
              List.of(
                  Column.<Setting>words("Device", 96, Setting::device).inLines(),
                  Column.<Setting>words("Setting", 120, Setting::name).inLines(),
                  Column.<Setting>words("Set to", 92, Setting::value).inLines(),
                  Column.<Setting>words("Because", 180, Setting::why).inLines()))
          .withoutFilter();

  SettingsView(BuildState state) {
    table.setMinHeight(260);
    getChildren().add(table);
    state.shownProperty().addListener((o, was, is) -> show(is));
    show(state.shown());
  }

  private void show(BuildState.@Nullable Shown s) {
    if (s != null) {
      table.show(s.settings());
    }
  }
}
