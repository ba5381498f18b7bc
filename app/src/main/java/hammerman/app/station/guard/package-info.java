/** Station Guard: what protects it. */
@NullMarked
package hammerman.app.station.guard;

import org.jspecify.annotations.NullMarked;
