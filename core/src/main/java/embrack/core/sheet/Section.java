package embrack.core.sheet;

import embrack.core.gear.ShownMessage;
import java.util.List;

/** A part of a sheet; each of its lines gets a box to tick. */
public sealed interface Section {

    String heading();

    /** All lines, in order. */
    List<? extends Line> lines();

    /** Something to do. */
    sealed interface Line {

        /** What the line is about, whatever is to be done with it: it stays the same when a number changes. */
        String key();

        /** What is to be done, complete: a line that was ticked with other words has to be done anew. */
        String words();

        /** Whether it takes time to do. */
        boolean isWork();
    }

    /**
     * Something to do, in a sentence.
     *
     * @param isWork false for what only has to be known
     */
    record Task(String key, String words, boolean isWork) implements Line {

        /** Something to do. */
        public Task(String key, String words) {
            this(key, words, true);
        }
    }

    /**
     * One message to program.
     *
     * @param number its place in the switch, counted from 1
     * @param message as the board shows it
     * @param does what it is for
     */
    record Program(String key, int number, ShownMessage message, String does) implements Line {

        @Override
        public boolean isWork() {
            return true;
        }

        @Override
        public String words() {
            return "%s, for %s".formatted(message.line().replaceAll(" +", " "), does);
        }
    }

    /** Things to do. */
    record Todo(String heading, List<Task> lines) implements Section {
        public Todo {
            lines = List.copyOf(lines);
        }
    }

    /** Messages to program into one switch, in order. */
    record Messages(String heading, List<Program> lines) implements Section {
        public Messages {
            lines = List.copyOf(lines);
        }
    }
}
