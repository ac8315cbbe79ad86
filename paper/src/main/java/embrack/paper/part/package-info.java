/** What each part of the folder says, part by part: made of a report, as data. */
@NullMarked
package embrack.paper.part;

import org.jspecify.annotations.NullMarked;
