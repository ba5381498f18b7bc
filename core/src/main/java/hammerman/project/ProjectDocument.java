package hammerman.project;

import hammerman.project.UnreadableProject.Reason;
import hammerman.unit.InvalidValue;
import hammerman.unit.Sentence;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.TokenStreamLocation;
import tools.jackson.core.exc.StreamReadException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.exc.InvalidFormatException;
import tools.jackson.databind.exc.InvalidTypeIdException;
import tools.jackson.databind.exc.MismatchedInputException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;
import tools.jackson.databind.node.ObjectNode;

/**
 * The document of a project: what a project's file holds of each state of the design, and the form
 * in which a design is exchanged ({@code .json}). Format: docs/file-format.md.
 */
public final class ProjectDocument {
  static final String FORMAT = "hammerman-project";
  static final int VERSION = 3;

  /** The largest document read, bytes. */
  public static final int LARGEST = 64 << 20;

  /** The entry of it in the container of the versions up to 3. */
  private static final String ENTRY = "project.json";

  private ProjectDocument() {}

  /**
   * The document as it is written.
   *
   * @param format always {@value ProjectDocument#FORMAT}
   * @param version format version, from 1
   * @param project the project
   */
  private record Written(String format, int version, Project project) {}

  /** Returns the document of a project, UTF-8. */
  public static byte[] bytes(Project project) {
    return JsonMapping.MAPPER.writeValueAsBytes(new Written(FORMAT, VERSION, project));
  }

  /**
   * Reads a document, or the ZIP container in which earlier versions put it.
   *
   * @param name what to call the file in messages
   * @throws UnreadableProject if it cannot be used, with one clear message
   */
  public static Project parse(byte[] bytes, String name) throws UnreadableProject {
    if (bytes.length == 0) {
      throw new UnreadableProject(Reason.EMPTY, name + " is empty (0 bytes). Choose another file.");
    }
    return read(isContainer(bytes) ? documentIn(bytes, name) : bytes, name);
  }

  /** Whether a file's first bytes are those of the container of earlier versions. */
  public static boolean isContainer(byte[] bytes) {
    return bytes.length > 3 && bytes[0] == 'P' && bytes[1] == 'K';
  }

  private static byte[] documentIn(byte[] bytes, String name) throws UnreadableProject {
    byte[] document = null;
    try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(bytes))) {
      for (ZipEntry e = zip.getNextEntry(); e != null; e = zip.getNextEntry()) {
        if (!e.getName().equals(ENTRY)) {
          throw new UnreadableProject(
              Reason.NEWER,
              "%s holds “%s”, which this version does not know and would lose. Use a newer Hammerman; the file was left as it is."
                  .formatted(name, Sentence.printable(e.getName())));
        }
        document = zip.readNBytes(LARGEST + 1);
        if (document.length > LARGEST) {
          throw new UnreadableProject(
              Reason.NOT_A_PROJECT,
              name + " holds more than 64 MiB, which no project does. Choose another file.");
        }
      }
    } catch (UnreadableProject e) {
      throw e;
    } catch (IOException | IllegalArgumentException e) {
      throw new UnreadableProject(
          Reason.DAMAGED,
          "%s is damaged: the container breaks off (%s). Readable before that: nothing. The file was left as it is."
              .formatted(name, e.getMessage()));
    }
    if (document == null) {
      throw new UnreadableProject(
          Reason.NOT_A_PROJECT,
          name + " is a ZIP file without " + ENTRY + ", not a Hammerman project.");
    }
    return document;
  }

  private static Project read(byte[] bytes, String name) throws UnreadableProject {
    JsonNode tree = tree(bytes, name);
    if (!tree.isObject() || !tree.path("format").asString("").equals(FORMAT)) {
      throw new UnreadableProject(
          Reason.NOT_A_PROJECT,
          name
              + " is JSON but not a Hammerman project: “format” must be “"
              + FORMAT
              + "”. Choose another file.");
    }
    int version = tree.path("version").asInt(0);
    if (version > VERSION) {
      throw new UnreadableProject(
          Reason.NEWER,
          "%s was written by a newer Hammerman (format %d; this one reads up to %d). Use the newer version; the file was left as it is."
              .formatted(name, version, VERSION));
    }
    if (version < 1) {
      throw new UnreadableProject(
          Reason.INVALID, name + ": “version” must be a whole number from 1 to " + VERSION + ".");
    }
    refuseNulls(tree, "", name);
    Migration.from(version, (ObjectNode) tree);
    try {
      return JsonMapping.MAPPER.treeToValue(tree, Written.class).project();
    } catch (JacksonException e) {
      throw new UnreadableProject(Reason.INVALID, name + ": " + inWords(e));
    }
  }

  private static JsonNode tree(byte[] bytes, String name) throws UnreadableProject {
    try {
      return JsonMapping.MAPPER.readTree(bytes);
    } catch (JacksonException e) {
      List<String> whole = readableParts(bytes);
      if (whole.isEmpty()) {
        throw new UnreadableProject(
            Reason.NOT_A_PROJECT, name + " is not a Hammerman project. Choose another file.");
      }
      TokenStreamLocation at = e.getLocation();
      throw new UnreadableProject(
          Reason.DAMAGED,
          "%s is damaged%s. Readable before that: %s. The file was left as it is."
              .formatted(
                  name,
                  at == null ? "" : " at line " + at.getLineNr() + ", column " + at.getColumnNr(),
                  String.join(", ", whole)));
    }
  }

  /** Names of the parts that can be read whole before the damage. */
  private static List<String> readableParts(byte[] bytes) {
    List<String> whole = new ArrayList<>();
    try (JsonParser in = JsonMapping.MAPPER.createParser(bytes)) {
      int depth = 0;
      String part = "";
      for (JsonToken t = in.nextToken(); t != null; t = in.nextToken()) {
        if (t == JsonToken.PROPERTY_NAME && depth <= 2) {
          part = in.currentName();
        } else if (t.isStructStart()) {
          depth++;
        } else if (t.isStructEnd()) {
          depth--;
          if (depth == 2) {
            whole.add(part(in, part));
          }
        } else if (t.isScalarValue() && depth <= 2) {
          whole.add(part);
        }
      }
    } catch (JacksonException e) {
      return whole;
    }
    return whole;
  }

  private static String part(JsonParser in, String fallback) {
    String name = in.currentName();
    return name == null ? fallback : name;
  }

  private static void refuseNulls(JsonNode node, String path, String name)
      throws UnreadableProject {
    if (node.isNull()) {
      throw new UnreadableProject(
          Reason.INVALID,
          "%s: %s is null. Give it a value, or leave it out if it is optional."
              .formatted(name, path));
    }
    for (Map.Entry<String, JsonNode> e : node.properties()) {
      refuseNulls(e.getValue(), path.isEmpty() ? e.getKey() : path + "." + e.getKey(), name);
    }
    for (int k = 0; node.isArray() && k < node.size(); k++) {
      refuseNulls(node.get(k), path + "[" + k + "]", name);
    }
  }

  /** Says in one line what is wrong and where. */
  static String inWords(JacksonException e) {
    String path =
        e.getPath().stream()
            .map(
                r ->
                    r.getPropertyName() != null
                        ? "." + r.getPropertyName()
                        : "[" + r.getIndex() + "]")
            .collect(Collectors.joining());
    String where = path.startsWith(".") ? path.substring(1) : path;
    InvalidValue invalid = invalidIn(e);
    if (invalid != null) {
      return invalid.getMessage() + " (in " + (where.isEmpty() ? "project" : where) + ")";
    }
    String at = where.isEmpty() ? "." : " (in " + where + ").";
    return switch (e) {
      case UnrecognizedPropertyException unknown ->
          "“%s” is not known here (in %s). Correct or remove it."
              .formatted(Sentence.printable(unknown.getPropertyName()), where);
      case InvalidTypeIdException kind -> kindInWords(kind) + at;
      case InvalidFormatException wrong ->
          "“%s” is not %s%s"
              .formatted(
                  Sentence.printable(String.valueOf(wrong.getValue())),
                  wanted(wrong.getTargetType()),
                  at);
      case MismatchedInputException wrong when missing(wrong) != null ->
          "“" + missing(wrong) + "” is missing" + at;
      case MismatchedInputException wrong ->
          "%s is needed%s".formatted(Sentence.beginning(wanted(wrong.getTargetType())), at);
      case StreamReadException garbled ->
          "what is written there is not JSON, or twice the same"
              + (garbled.getLocation() == null
                  ? ""
                  : ", at line " + garbled.getLocation().getLineNr())
              + at;
      default -> "the value cannot be used" + at;
    };
  }

  private static @Nullable String missing(MismatchedInputException e) {
    String message = String.valueOf(e.getOriginalMessage());
    return message.contains("Missing required creator property '")
        ? message.lines().findFirst().orElse("").replaceAll(".*?property '([^']*)'.*", "$1")
        : null;
  }

  private static String kindInWords(InvalidTypeIdException e) {
    Class<?> base = e.getBaseType() == null ? null : e.getBaseType().getRawClass();
    Class<?>[] cases = base == null ? null : base.getPermittedSubclasses();
    String known =
        cases == null
            ? ""
            : Arrays.stream(cases)
                .map(c -> Sentence.within(c.getSimpleName()))
                .collect(Collectors.joining(", ", "; it must be one of ", ""));
    return (e.getTypeId() == null
            ? "“kind” is missing"
            : "“" + Sentence.printable(e.getTypeId()) + "” is not a kind known here")
        + known;
  }

  /** What a type of ours is written as. */
  private static String wanted(@Nullable Class<?> type) {
    if (type == null) {
      return "another value";
    }
    if (type == Double.class || type == double.class) {
      return "a number";
    }
    if (type == Integer.class || type == int.class || type == Long.class || type == long.class) {
      return "a whole number";
    }
    if (type == Boolean.class || type == boolean.class) {
      return "true or false";
    }
    if (type == String.class) {
      return "a text in quotes";
    }
    if (type.isEnum()) {
      return Arrays.stream(type.getEnumConstants())
          .map(String::valueOf)
          .collect(Collectors.joining(", ", "one of ", ""));
    }
    return Iterable.class.isAssignableFrom(type) || type.isArray()
        ? "a list, [ ... ]"
        : "a group of named values, { ... }";
  }

  private static @Nullable InvalidValue invalidIn(Throwable e) {
    for (Throwable t = e; t != null; t = t.getCause()) {
      if (t instanceof InvalidValue v) {
        return v;
      }
    }
    return null;
  }
}
