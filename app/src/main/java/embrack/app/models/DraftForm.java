package embrack.app.models;

import org.jspecify.annotations.Nullable;

/** The fields of the editor as they arrive; those that are missing are empty. */
record DraftForm(@Nullable String name, @Nullable String kind, @Nullable String box, @Nullable String chart, @Nullable String reality,
        @Nullable String pressed, @Nullable String arrived) {

    EditorPage.Draft draft() {
        return new EditorPage.Draft(text(name), text(kind), lines(box), lines(chart), lines(reality));
    }

    String press() {
        return text(pressed);
    }

    String arrive() {
        return text(arrived);
    }

    /** Browsers send line ends as two characters. */
    private static String lines(@Nullable String value) {
        return text(value).replace("\r\n", "\n");
    }

    private static String text(@Nullable String value) {
        return value == null ? "" : value;
    }
}
