/**
 * Levels: how a number from 0 to 127 stands for decibels or percent, how a movement becomes a number, and what a fader
 * does that stands elsewhere than the software.
 */
@NullMarked
package embrack.core.level;

import org.jspecify.annotations.NullMarked;
