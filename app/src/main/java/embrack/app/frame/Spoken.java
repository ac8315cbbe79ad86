package embrack.app.frame;

import embrack.core.plan.Plan;
import embrack.core.word.Language;
import embrack.core.word.Wording;
import org.springframework.context.i18n.LocaleContextHolder;

/** The language of whoever asks for a page, as the browser says it; English where Embrack does not speak that. */
public final class Spoken {

    private Spoken() {}

    public static Language language() {
        String tag = LocaleContextHolder.getLocale().getLanguage();
        if (tag.isEmpty()) {
            return Language.ENGLISH;
        }
        Language asked = Language.of(tag);
        return asked.isSpoken() ? asked : Language.ENGLISH;
    }

    /** What is said of a plan to whoever asks. */
    public static Wording of(Plan plan) {
        return new Wording(plan.rig(), plan.book(), plan.switches(), language());
    }

    /** What is said to whoever asks, where nothing has a name. */
    public static Wording words() {
        return Wording.without(language());
    }
}
