/**
 * Charts: what a box answers to. A {@link embrack.core.chart.Chart} is a text in a small language that a person types
 * from a manual page; reading it gives rows, each an action and the messages that make the box do it, with everything
 * that is wrong or worth a question at its line and column. The language is described in docs/formats.md.
 */
@NullMarked
package embrack.core.chart;

import org.jspecify.annotations.NullMarked;
