package hammerman.bench;

import java.io.BufferedReader;
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
    double[] drawn = new double[RUNS];
    for (int k = 0; k < RUNS; k++) {
      long started = System.nanoTime();
      ProcessBuilder builder = new ProcessBuilder(script, "--until-shown");
      builder.environment().put("HAMMERMAN_OFFSCREEN", "1");
      Process process = builder.redirectErrorStream(true).start();
      StringBuilder said = new StringBuilder();
      try (BufferedReader lines = process.inputReader(StandardCharsets.UTF_8)) {
        for (String line = lines.readLine(); line != null; line = lines.readLine()) {
          if (line.startsWith("shown")) {
            drawn[k] = (System.nanoTime() - started) / 1e9;
          } else {
            said.append(line);
          }
        }
      }
      process.waitFor();
      if (drawn[k] == 0) {
        throw new IOException("no window was shown: " + said);
      }
      seconds[k] = (System.nanoTime() - started) / 1e9;
      System.out.printf(
          "start %d: %.2f s to the window drawn, %.2f s for the whole process%n",
          k + 1, drawn[k], seconds[k]);
    }
    Arrays.sort(seconds);
    Arrays.sort(drawn);
    System.out.printf(
        "command to window drawn: median %.2f s, most %.2f s; and closed: median %.2f s%n",
        drawn[RUNS / 2], drawn[RUNS - 1], seconds[RUNS / 2]);
  }
}
