package embrack.app.store;

import embrack.core.edit.Edit;
import java.lang.reflect.RecordComponent;
import java.util.Collection;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What was meant by an edit, in one line for the history: its kind and what it was about, however much it carries. */
final class Intent {

    private static final int MAX_WORDS = 60;

    private Intent() {}

    /** The line: {@code CueEdit.AddCue song=ebb at=5 steps=2}. */
    static String of(Edit edit) {
        Class<?> kind = edit.getClass();
        String outer =
                kind.getEnclosingClass() == null ? "" : kind.getEnclosingClass().getSimpleName() + ".";
        return outer
                + kind.getSimpleName()
                + Stream.of(kind.getRecordComponents())
                        .map(component -> " %s=%s".formatted(component.getName(), words(value(component, edit))))
                        .collect(Collectors.joining());
    }

    private static Object value(RecordComponent component, Edit edit) {
        try {
            return component.getAccessor().invoke(edit);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(e);
        }
    }

    private static String words(Object value) {
        return switch (value) {
            case Optional<?> optional -> optional.map(Intent::words).orElse("");
            case Collection<?> several -> String.valueOf(several.size());
            case String text -> clipped(text);
            case Number number -> number.toString();
            case Boolean truth -> truth.toString();
            case Enum<?> one -> one.name();
            case Record small when isSmall(small) -> clipped(small.toString());
            default -> value.getClass().getSimpleName();
        };
    }

    /** An identifier or a place, not a document. */
    private static boolean isSmall(Record value) {
        return Stream.of(value.getClass().getRecordComponents())
                .allMatch(c -> c.getType().isPrimitive()
                        || c.getType() == String.class
                        || c.getType().getSimpleName().endsWith("Id"));
    }

    private static String clipped(String text) {
        return text.length() <= MAX_WORDS ? text : text.substring(0, MAX_WORDS) + "...";
    }
}
