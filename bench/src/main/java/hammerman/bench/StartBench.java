package hammerman.bench;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;

/** From the command to the window drawn, as a whole process, with the script that users call. */
final class StartBench {
  private static final int RUNS = 7;

  private StartBench() {}

  static void run() throws IOException, InterruptedException {
    String script = System.getProperty("hammerman.script", "./hammerman");
    double[] seconds = new double[RUNS];
    for (int k = 0; k < RUNS; k++) {
      long started = System.nanoTime();
      ProcessBuilder builder = new ProcessBuilder(script, "--until-shown");
      builder.environment().put("HAMMERMAN_OFFSCREEN", "1");
      Process process = builder.redirectErrorStream(true).start();
      String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
      process.waitFor();
      seconds[k] = (System.nanoTime() - started) / 1e9;
      System.out.printf(
          "start %d: %.2f s for the whole process; %s%n", k + 1, seconds[k], said.strip());
    }
    Arrays.sort(seconds);
    System.out.printf(
        "command to window drawn and closed: median %.2f s, most %.2f s%n",
        seconds[RUNS / 2], seconds[RUNS - 1]);
  }
}
