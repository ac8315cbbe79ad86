package embrack.app.frame;

import embrack.core.edit.Refused;
import jakarta.servlet.http.HttpServletRequest;
import java.util.HashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * What a person typed into a form that was refused, so that the page can show it again with the reason beside it.
 *
 * @param action the path that the form was sent to, empty when nothing was refused
 * @param field the field that is to blame
 * @param message what is wrong and what to do
 * @param typed all fields as typed
 */
public record Echo(String action, String field, String message, Map<String, String> typed) {

    /** Nothing was refused. */
    public static final Echo NONE = new Echo("", "", "", Map.of());

    public static Echo of(HttpServletRequest request, Refused refused) {
        Map<String, String> typed = new HashMap<>();
        request.getParameterMap().forEach((name, values) -> typed.put(name, values.length == 0 ? "" : values[0]));
        return new Echo(
                request.getRequestURI(), refused.field(), Spoken.words().say(refused.phrase()), Map.copyOf(typed));
    }

    /** What a field shows: what was typed into it, if its form was refused, or else the value that holds. */
    public String value(String form, String name, Object current) {
        return isFor(form) ? typed.getOrDefault(name, String.valueOf(current)) : String.valueOf(current);
    }

    /** The message at a field; null when there is none. */
    public @Nullable String at(String form, String name) {
        return isFor(form) && field.equals(name) ? message : null;
    }

    public boolean isFor(String form) {
        return !action.isEmpty() && action.equals(form);
    }
}
