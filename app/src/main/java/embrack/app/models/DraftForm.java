package embrack.app.models;

import jakarta.servlet.http.HttpServletRequest;
import org.jspecify.annotations.Nullable;

/** The fields of the editor as they arrive; those that are missing are empty. */
record DraftForm(
        @Nullable String name,
        @Nullable String kind,
        @Nullable String box,
        @Nullable String chart,
        @Nullable String reality,
        @Nullable String pressed,
        @Nullable String arrived,
        @Nullable String basedOn) {

    /** The fields of a request whose handling was refused. */
    static DraftForm of(HttpServletRequest request) {
        return new DraftForm(
                request.getParameter("name"),
                request.getParameter("kind"),
                request.getParameter("box"),
                request.getParameter("chart"),
                request.getParameter("reality"),
                request.getParameter("pressed"),
                request.getParameter("arrived"),
                request.getParameter("basedOn"));
    }

    EditorPage.Draft draft() {
        return new EditorPage.Draft(text(name), text(kind), lines(box), lines(chart), lines(reality));
    }

    /** The revision that was the newest when the editor was shown; 0 when the form does not say. */
    int basedOnNumber() {
        return text(basedOn).matches("\\d{1,9}") ? Integer.parseInt(text(basedOn)) : 0;
    }

    String basedOnText() {
        return text(basedOn);
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
