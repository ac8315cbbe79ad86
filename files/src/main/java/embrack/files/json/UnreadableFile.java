package embrack.files.json;

import java.util.List;

/** A file that cannot be read, with everything that is wrong with it. */
public final class UnreadableFile extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final transient List<Problem> problems;

    /**
     * One thing that is wrong.
     *
     * @param where the field, as {@code devices[1].name}, or the line and column
     * @param what what must hold and what was there
     */
    public record Problem(String where, String what) {
        @Override
        public String toString() {
            return where + ": " + what;
        }
    }

    public UnreadableFile(List<Problem> problems) {
        super(problems.getFirst().toString());
        this.problems = List.copyOf(problems);
    }

    /** At least one. */
    public List<Problem> problems() {
        return problems;
    }
}
