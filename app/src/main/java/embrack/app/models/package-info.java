/**
 * Models of gear: those that ship and the crew's own; what can do what; their pages, their charts to print, the editor.
 */
@NullMarked
package embrack.app.models;

import org.jspecify.annotations.NullMarked;
