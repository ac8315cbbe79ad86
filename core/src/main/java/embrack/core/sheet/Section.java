package embrack.core.sheet;

import embrack.core.gear.ShownMessage;
import java.util.List;

/** A part of a sheet; each of its lines gets a box to tick. */
public sealed interface Section {

    String heading();

    /** Things to do, each a sentence. */
    record Todo(String heading, List<String> lines) implements Section {
        public Todo {
            lines = List.copyOf(lines);
        }
    }

    /** Messages to program into one switch, in order. */
    record Messages(String heading, List<Line> lines) implements Section {

        public Messages {
            lines = List.copyOf(lines);
        }

        /**
         * One message.
         *
         * @param number its place in the switch, counted from 1
         * @param message as the board shows it
         * @param does what it is for
         */
        public record Line(int number, ShownMessage message, String does) {
        }
    }
}
