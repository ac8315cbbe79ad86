package embrack.app.frame;

import embrack.core.check.rule.Severity;
import embrack.core.sim.Verdict;
import embrack.core.word.Fact;

/**
 * A severity or verdict as it is drawn: a shape and a word, never a colour alone.
 *
 * @param shape "octagon", "triangle", "ring" or "tick"
 * @param tone the colour's name: "stop", "look", "note" or "exact"
 */
public record Mark(String shape, String tone, String words) {

    public static Mark of(Severity severity) {
        return of(severity, said(severity.words()));
    }

    public static Mark of(Verdict verdict) {
        return switch (verdict) {
            case EXACT -> new Mark("tick", "exact", said(verdict.words()));
            case TRIED, LATE, ALSO, SHOWN_NOTHING -> of(Severity.LOOK, said(verdict.words()));
            case PART, NOT_KNOWN, EVERY_OTHER, WRONG, DEAD, NO_WAY -> of(Severity.STOPS, said(verdict.words()));
        };
    }

    private static String said(String word) {
        return Spoken.words().say(Fact.word(word));
    }

    public static Mark of(Severity severity, String words) {
        return switch (severity) {
            case STOPS -> new Mark("octagon", "stop", words);
            case LOOK -> new Mark("triangle", "look", words);
            case NOTE -> new Mark("ring", "note", words);
        };
    }
}
