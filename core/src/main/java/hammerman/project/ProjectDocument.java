package hammerman.project;

import hammerman.project.UnreadableProject.Reason;
import hammerman.unit.InvalidValue;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.TokenStreamLocation;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.exc.UnrecognizedPropertyException;
import tools.jackson.databind.node.ObjectNode;

/**
 * The JSON document of a project.
 *
 * @param format always {@value #FORMAT}
 * @param version format version, from 1
 * @param project the project
 */
record ProjectDocument(String format, int version, Project project) {
  static final String FORMAT = "hammerman-project";
  static final int VERSION = 3;

  static byte[] write(Project project) {
    return JsonMapping.MAPPER.writeValueAsBytes(new ProjectDocument(FORMAT, VERSION, project));
  }

  /**
   * Reads a document.
   *
   * @param name what to call the file in messages
   */
  static Project read(byte[] bytes, String name) throws UnreadableProject {
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
    if (version < 2) {
      Migration.fromFirst((ObjectNode) tree);
    }
    if (version < VERSION) {
      Migration.fromSecond((ObjectNode) tree);
    }
    try {
      return JsonMapping.MAPPER.treeToValue(tree, ProjectDocument.class).project();
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
          "%s is damaged%s. Readable before that: %s. The file was left as it is; try its backup (.bak)."
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
    if (e instanceof UnrecognizedPropertyException unknown) {
      return "“%s” is not known here (in %s). Correct or remove it."
          .formatted(unknown.getPropertyName(), where);
    }
    String original = e.getOriginalMessage();
    String first = original == null ? "cannot be read" : original.lines().findFirst().orElse("");
    return (first.contains("Missing required creator property '")
            ? "“" + first.replaceAll(".*?property '([^']*)'.*", "$1") + "” is missing"
            : "the value cannot be used: " + first.replaceAll("hammerman\\.[\\w.$]*\\.", ""))
        + (where.isEmpty() ? "." : " (in " + where + ").");
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
