package hammerman.app.station.build;

import hammerman.app.job.DeviceLink;
import hammerman.app.job.OwnStandIn;
import hammerman.build.OnePack;
import hammerman.design.Design;
import hammerman.watch.ChargeFrame;
import hammerman.watch.PackLine;
import hammerman.watch.SimulatedPack;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import org.jspecify.annotations.Nullable;

/** Talks to what is on the bench: the meter, the BMS and the charger's plug. */
final class PackDesk implements DeviceLink.Listener<PackLine> {
  /** Where a pack listens unless it is told otherwise. */
  static final int PORT = 7718;

  /** Seconds of a charge in each second of the stand-in. */
  private static final double SPEED = 120;

  private static final double START = 0.3;

  private final BuildState state;
  private final ReadOnlyStringWrapper standing =
      new ReadOnlyStringWrapper(this, "standing", "Nothing is connected.");
  private @Nullable DeviceLink<PackLine> link;
  private @Nullable OwnStandIn standIn;
  private boolean wanted;
  private BiConsumer<Integer, Double> volts = (contact, v) -> {};
  private Consumer<List<ChargeFrame>> frames = all -> {};
  private Runnable lost = () -> {};

  PackDesk(BuildState state) {
    this.state = state;
  }

  /** How it stands, in words. */
  ReadOnlyStringProperty standingProperty() {
    return standing.getReadOnlyProperty();
  }

  /** Takes the frames of a charge as they come, and is told when the connection is gone. */
  void watch(Consumer<List<ChargeFrame>> take, Runnable gone) {
    frames = take;
    lost = gone;
  }

  void connect(int port, Runnable then) {
    disconnect();
    wanted = true;
    standing.set("Connecting …");
    DeviceLink.open(
        "pack",
        port,
        PackLine::read,
        this,
        opened -> {
          link = opened;
          then.run();
        });
  }

  void disconnect() {
    wanted = false;
    if (link != null) {
      link.close();
      link = null;
    }
    closeStandIn();
    standing.set("Nothing is connected.");
  }

  private void closeStandIn() {
    if (standIn != null) {
      String trouble = standIn.close();
      standIn = null;
      if (!trouble.isEmpty()) {
        standing.set(trouble);
      }
    }
  }

  /** Connects to a stand-in of this program's own, with a fault if one is wanted. */
  void simulate(SimulatedPack.Fault fault, Runnable then) {
    OnePack on = state.onBench();
    if (on == null) {
      return;
    }
    disconnect();
    try {
      Design design = on.design();
      int at = Math.min(design.pack().series() - 1, design.pack().series() / 3);
      OwnStandIn own =
          OwnStandIn.start("pack", new SimulatedPack(design, START, fault, at, 1), SPEED);
      connect(own.port(), then);
      standIn = own;
    } catch (IOException e) {
      standing.set("The stand-in could not be started: " + e.getMessage());
    }
  }

  /** Has every contact of the balance plug read. */
  void readContacts(BiConsumer<Integer, Double> take) {
    volts = take;
    OnePack on = state.onBench();
    if (on == null) {
      return;
    }
    int leads = on.pack().series() + 1;
    Runnable ask =
        () -> {
          for (int k = 0; k < leads; k++) {
            say(new PackLine.Ask(k));
          }
        };
    if (link == null) {
      simulate(SimulatedPack.Fault.NONE, ask);
    } else {
      ask.run();
    }
  }

  /** Switches the charger's plug. */
  void plug(boolean on) {
    say(new PackLine.Plug(on));
  }

  private void say(PackLine line) {
    if (link != null) {
      link.say(PackLine.write(line));
    }
  }

  @Override
  public void said(List<PackLine> lines) {
    List<ChargeFrame> fresh = new ArrayList<>();
    for (PackLine line : lines) {
      switch (line) {
        case PackLine.Hello h ->
            standing.set("Connected: %s, %d groups.".formatted(h.name(), h.groups()));
        case PackLine.Volts v -> volts.accept(v.contact(), v.volts());
        case PackLine.Frame f -> fresh.add(f.frame());
        case PackLine.Nonsense n ->
            state.say("A message from the pack was not understood (" + n.why() + ").");
        case PackLine.Ask a -> {}
        case PackLine.Plug p -> {}
      }
    }
    if (!fresh.isEmpty()) {
      frames.accept(fresh);
    }
  }

  @Override
  public void lost(String why) {
    if (wanted) {
      link = null;
      standing.set(why);
      lost.run();
    }
  }
}
