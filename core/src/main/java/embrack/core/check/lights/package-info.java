/** Rules about lights: addresses, what scenes hold, what looks show, how often the picture flashes. */
@NullMarked
package embrack.core.check.lights;

import org.jspecify.annotations.NullMarked;
