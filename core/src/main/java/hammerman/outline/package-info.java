/**
 * Outlines of boxes out of files: {@link hammerman.outline.OutlineFile#read} takes an SVG drawing,
 * DXF text or a table of points and gives the outline with its keep-outs. Curves become short
 * straight pieces, loose lines are joined where their ends meet.
 */
@NullMarked
package hammerman.outline;

import org.jspecify.annotations.NullMarked;
