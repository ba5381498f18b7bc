package hammerman.project;

import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Brings a document of an earlier format to the present one. */
final class Migration {
  private Migration() {}

  /**
   * From format 1: strips had no overlay; a fit had one box and two choices of conductors.
   * Exchanges of cells by hand were counted from places that are numbered otherwise now, so they
   * go.
   */
  static void fromFirst(ObjectNode document) {
    document.put("version", ProjectDocument.VERSION);
    for (JsonNode variant : document.path("project").path("variants")) {
      if (variant.path("fit") instanceof ObjectNode fit && fit.has("container")) {
        fit(fit);
      }
    }
  }

  private static void fit(ObjectNode fit) {
    ArrayNode boxes = fit.putArray("boxes");
    boxes.add(fit.remove("container"));
    fit.put("style", "SHORT_LINKS");
    fit.put("joining", "TOUCHING");
    fit.putArray("locked");
    ObjectNode conductors = fit.putObject("conductors");
    conductors.set("takeOff", fit.remove("takeOff"));
    conductors.put("joint", "WELDED");
    ObjectNode link = conductors.putObject("link");
    link.put("material", "COPPER");
    link.put("thickness_mm", 1);
    link.put("width_mm", 10);
    link.put("layers", 1);
    conductors.putArray("special");
    fit.remove("swaps");
  }
}
