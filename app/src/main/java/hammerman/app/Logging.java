package hammerman.app;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.LoggerContext;
import ch.qos.logback.classic.encoder.PatternLayoutEncoder;
import ch.qos.logback.classic.spi.Configurator;
import ch.qos.logback.classic.spi.ConfiguratorRank;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.ConsoleAppender;
import ch.qos.logback.core.rolling.FixedWindowRollingPolicy;
import ch.qos.logback.core.rolling.RollingFileAppender;
import ch.qos.logback.core.rolling.SizeBasedTriggeringPolicy;
import ch.qos.logback.core.spi.ContextAwareBase;
import ch.qos.logback.core.util.FileSize;
import java.nio.file.Path;
import org.slf4j.Logger;

/**
 * What goes wrong inside goes to the standard error stream, and into a file of at most 1 MB in the
 * program's folder, which the property {@value #FOLDER} names. Set here, not in a document: the
 * window waits for the first logger, and reading a document takes longer than making it.
 */
@ConfiguratorRank(ConfiguratorRank.CUSTOM_HIGH_PRIORITY)
public final class Logging extends ContextAwareBase implements Configurator {
  /** The system property that names the folder for the log; without it there is none. */
  public static final String FOLDER = "hammerman.log";

  private static final String LINE = "%d{HH:mm:ss} %-5level %logger{0}: %msg%n";

  @Override
  public ExecutionStatus configure(LoggerContext context) {
    PatternLayoutEncoder encoder = new PatternLayoutEncoder();
    encoder.setContext(context);
    encoder.setPattern(LINE);
    encoder.start();
    ConsoleAppender<ILoggingEvent> console = new ConsoleAppender<>();
    console.setContext(context);
    console.setTarget("System.err");
    console.setEncoder(encoder);
    console.start();
    ch.qos.logback.classic.Logger root = context.getLogger(Logger.ROOT_LOGGER_NAME);
    root.setLevel(Level.INFO);
    root.addAppender(console);
    String folder = System.getProperty(FOLDER);
    if (folder != null) {
      root.addAppender(file(context, Path.of(folder).resolve("hammerman.log")));
    }
    return ExecutionStatus.DO_NOT_INVOKE_NEXT_IF_ANY;
  }

  private RollingFileAppender<ILoggingEvent> file(LoggerContext context, Path log) {
    PatternLayoutEncoder encoder = new PatternLayoutEncoder();
    encoder.setContext(context);
    encoder.setPattern("%d{yyyy-MM-dd} " + LINE);
    encoder.start();
    RollingFileAppender<ILoggingEvent> file = new RollingFileAppender<>();
    file.setContext(context);
    file.setFile(log.toString());
    file.setEncoder(encoder);
    FixedWindowRollingPolicy window = new FixedWindowRollingPolicy();
    window.setContext(context);
    window.setParent(file);
    window.setFileNamePattern(log + ".%i");
    window.setMinIndex(1);
    window.setMaxIndex(1);
    window.start();
    SizeBasedTriggeringPolicy<ILoggingEvent> size = new SizeBasedTriggeringPolicy<>();
    size.setContext(context);
    size.setMaxFileSize(FileSize.valueOf("1MB"));
    size.start();
    file.setRollingPolicy(window);
    file.setTriggeringPolicy(size);
    file.start();
    return file;
  }
}
