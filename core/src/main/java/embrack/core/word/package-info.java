/**
 * What is said to people: facts and phrases made of them, and the message files of each language that words come from.
 * Patterns are written in ICU's message syntax and lie in {@code words.properties} beside the classes that need them.
 */
@NullMarked
package embrack.core.word;

import org.jspecify.annotations.NullMarked;
