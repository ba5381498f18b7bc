import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.TreeMap;
import java.util.jar.JarEntry;
import java.util.jar.JarFile;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * Writes what is shipped with the program and under which licence, out of the jars themselves: name
 * and licence from the description each carries of its project, the texts of licences and notices
 * as they lie in it. Run as a program of one file: folder of the jars, folder to write into.
 */
final class Notices {
  private static final Pattern LICENCE =
      Pattern.compile("<license>.*?<name>(.*?)</name>.*?</license>", Pattern.DOTALL);
  private static final Pattern TEXT =
      Pattern.compile("(META-INF/)?(.*/)?(LICEN[CS]E|NOTICE|COPYING|COPYRIGHT|OFL)[^/]*");

  /** Licences that a jar does not say, by the beginning of its name; from the project's own pages. */
  private static final TreeMap<String, String> KNOWN = new TreeMap<>();

  static {
    KNOWN.put("javafx-", "GPL v2 with the classpath exception");
    KNOWN.put("atlantafx", "MIT");
    KNOWN.put("ojalgo", "MIT");
    KNOWN.put("jts-core", "Eclipse Public License 2.0 or Eclipse Distribution License 1.0");
    KNOWN.put("sqlite-jdbc", "Apache License 2.0");
    KNOWN.put("logback", "Eclipse Public License 1.0 or LGPL 2.1");
    KNOWN.put("slf4j", "MIT");
    KNOWN.put("pdfbox", "Apache License 2.0");
    KNOWN.put("fontbox", "Apache License 2.0");
    KNOWN.put("xmpbox", "Apache License 2.0");
    KNOWN.put("jackson", "Apache License 2.0");
    KNOWN.put("fastcsv", "MIT");
    KNOWN.put("hipparchus", "Apache License 2.0");
    KNOWN.put("picocli", "Apache License 2.0");
    KNOWN.put("jspecify", "Apache License 2.0");
    KNOWN.put("directories", "Mozilla Public License 2.0");
    KNOWN.put("biweekly", "BSD 2-Clause");
    KNOWN.put("vinnie", "MIT");
    KNOWN.put("core-3", "Apache License 2.0");
    KNOWN.put("commons-", "Apache License 2.0");
    KNOWN.put("batik", "Apache License 2.0");
    KNOWN.put("xml-apis", "Apache License 2.0");
  }

  private Notices() {}

  public static void main(String[] args) throws IOException {
    Path from = Path.of(args[0]);
    Path to = Path.of(args[1]);
    List<Path> jars;
    try (Stream<Path> all = Files.list(from)) {
      jars =
          all.filter(p -> p.toString().endsWith(".jar"))
              .filter(p -> !p.getFileName().toString().startsWith("hammerman-"))
              .sorted()
              .toList();
    }
    StringBuilder list =
        new StringBuilder(
            "What is shipped with Hammerman, and under which licence. The texts lie beside this"
                + " file, one folder for each library that has them in its jar.\n\n");
    List<String> unknown = new ArrayList<>();
    for (Path jar : jars) {
      String name = jar.getFileName().toString().replaceFirst("\\.jar$", "");
      String licence;
      try (JarFile file = new JarFile(jar.toFile())) {
        licence = licence(file, name);
        texts(file, to.resolve(name));
      }
      if (licence.isEmpty()) {
        unknown.add(name);
      }
      list.append("%-44s %s%n".formatted(name, licence.isEmpty() ? "see its folder" : licence));
    }
    list.append("%nFonts Chivo and Sometype Mono: SIL Open Font License 1.1%n".formatted());
    Files.createDirectories(to);
    Files.writeString(to.resolve("THIRD-PARTY.txt"), list.toString(), StandardCharsets.UTF_8);
    for (String name : unknown) {
      if (!Files.isDirectory(to.resolve(name))) {
        throw new IllegalStateException(
            name + " says no licence and carries none; look it up and name it in Notices.java");
      }
    }
    System.err.println("hammerman: notices of " + jars.size() + " libraries.");
  }

  private static String licence(JarFile jar, String name) throws IOException {
    List<String> found = new ArrayList<>();
    for (JarEntry e : jar.stream().filter(x -> x.getName().matches("META-INF/maven/.*/pom.xml")).toList()) {
      Matcher m = LICENCE.matcher(text(jar, e));
      while (m.find()) {
        found.add(m.group(1).strip().replaceAll("\\s+", " "));
      }
    }
    if (found.isEmpty() && jar.getManifest() != null) {
      String said = jar.getManifest().getMainAttributes().getValue("Bundle-License");
      if (said != null) {
        found.add(said.split(",", 2)[0].replace("\"", "").strip());
      }
    }
    if (found.isEmpty()) {
      KNOWN.forEach(
          (begin, licence) -> {
            if (name.toLowerCase(Locale.ROOT).startsWith(begin) && found.isEmpty()) {
              found.add(licence);
            }
          });
    }
    return String.join("; ", found.stream().distinct().toList());
  }

  private static void texts(JarFile jar, Path to) throws IOException {
    for (JarEntry e : jar.stream().filter(x -> !x.isDirectory()).toList()) {
      if (TEXT.matcher(e.getName()).matches() && !e.getName().endsWith(".class")) {
        Files.createDirectories(to);
        String file = e.getName().replaceFirst("^META-INF/", "").replace('/', '-');
        Files.writeString(to.resolve(file), text(jar, e), StandardCharsets.UTF_8);
      }
    }
  }

  private static String text(JarFile jar, JarEntry e) throws IOException {
    try (InputStream in = jar.getInputStream(e)) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    }
  }
}
