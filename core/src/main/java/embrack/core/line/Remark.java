package embrack.core.line;

/** What is to be told about what came last. */
public sealed interface Remark {

    /** The task whose turn it was is done; {@code right} or not. */
    record Done(Task task, boolean right) implements Remark {}

    /** It is right so far, and pressed once more to be sure. */
    record OnceMore(Task task) implements Remark {}

    /** That is planned for another switch: it was that one, or this one sends it. Pressed again, it is told which. */
    record ThatIs(Task other) implements Remark {}

    /** The switch before was pressed again. */
    record Again(Task task) implements Remark {}
}
