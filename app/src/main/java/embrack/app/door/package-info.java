/**
 * Who may knock: the names that the server answers to, the pages that may post to it, and tablets of this network
 * behind a passphrase.
 */
@NullMarked
package embrack.app.door;

import org.jspecify.annotations.NullMarked;
