/**
 * Text tables as devices and spreadsheets write them: any delimiter, decimal comma or point, with
 * or without a head. Start with {@link hammerman.table.TableFile#open}, which looks at the
 * beginning; {@link hammerman.table.TableFile#rows} then goes through all of it.
 */
@NullMarked
package hammerman.table;

import org.jspecify.annotations.NullMarked;
