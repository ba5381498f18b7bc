package hammerman.bench;

import hammerman.chain.Chain;
import hammerman.project.Shipped;
import hammerman.prove.MeterLine;
import hammerman.prove.MeterLog;
import hammerman.tester.Hearing;
import hammerman.tester.TesterLine;
import hammerman.watch.ChargeWatch;
import hammerman.watch.PackLine;
import java.nio.charset.StandardCharsets;

/** Lines of every device, as changed as a bad lead changes them. */
final class DeviceLines {
  /** Sound ones. */
  static final byte[] WHOLE =
      """
      {"kind":"hello","name":"pack","groups":13}
      {"kind":"frame","time_s":10,"groups_V":[3.7,3.7,3.7,3.7,3.7,3.7,3.7,3.7,3.7,3.7,3.7,3.7,3.7],"pack_V":[48.1],"current_A":8,"temperatures_C":[25]}
      {"kind":"volts","contact":3,"voltage_V":11.1}
      {"kind":"samples","number":0,"rows":[0,47.1,12,25,0.02,47,13,25]}
      {"kind":"end","number":2}
      {"kind":"hello","name":"tester","bays":4}
      {"kind":"reading","test":17,"bay":2,"number":3,"phase":"charge","time_s":40,"voltage_V":3.9,"current_A":1,"discharged_Ah":0}
      {"kind":"done","test":17,"bay":2,"capacity_Ah":2.4,"resistance_mOhm":41,"rested_V":3.6}
      {"kind":"failed","test":17,"bay":2,"again":true,"why":"contact lost"}
      """
          .getBytes(StandardCharsets.UTF_8);

  private DeviceLines() {}

  /** Has each device's lines understood, whatever they are. */
  static void read(byte[] bytes) {
    ChargeWatch watch = ChargeWatch.of(Chain.of(Shipped.terraceBarrow().design()), 0.3, 0);
    MeterLog log = new MeterLog();
    Hearing hearing = new Hearing();
    hearing.expect(17, 2);
    double now = 0;
    for (String line : new String(bytes, StandardCharsets.UTF_8).lines().toList()) {
      now += 10;
      if (PackLine.read(line) instanceof PackLine.Frame f) {
        watch.take(f.frame(), now);
      }
      if (MeterLine.read(line) instanceof MeterLine.Samples s) {
        log.take(s);
      }
      hearing.hear(TesterLine.read(line));
    }
  }
}
