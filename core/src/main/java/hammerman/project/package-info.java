/**
 * Projects and their files: {@link hammerman.project.Project} holds one duty and its variants;
 * {@link hammerman.project.ProjectFile} reads and saves it (format: docs/file-format.md).
 */
@NullMarked
package hammerman.project;

import org.jspecify.annotations.NullMarked;
