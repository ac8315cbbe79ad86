/** What a rig was before: who changed what and when, two revisions beside each other, things brought back. */
@NullMarked
package embrack.app.past;

import org.jspecify.annotations.NullMarked;
