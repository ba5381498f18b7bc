package hammerman.store;

import hammerman.finding.Station;
import hammerman.project.Project;
import hammerman.project.ProjectDocument;
import hammerman.project.UnreadableProject;
import java.nio.charset.StandardCharsets;
import java.time.Instant;

/**
 * The design as it was after an edit.
 *
 * @param id its number; later edits have higher ones
 * @param at when the edit was made
 * @param station where
 * @param what the edit in words
 * @param document the project's document then
 */
public record DesignState(long id, Instant at, Station station, String what, String document) {
  /** A state made of a project. */
  public static DesignState of(long id, Instant at, Station station, String what, Project project) {
    return new DesignState(
        id, at, station, what, new String(ProjectDocument.bytes(project), StandardCharsets.UTF_8));
  }

  /**
   * Reads its project.
   *
   * @throws UnreadableProject if the document cannot be used
   */
  public Project project() throws UnreadableProject {
    return ProjectDocument.parse(
        document.getBytes(StandardCharsets.UTF_8), "the state “" + what + "”");
  }
}
