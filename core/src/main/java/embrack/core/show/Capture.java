package embrack.core.show;

import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What was set by hand while a song ran, made tidy.
 *
 * @param taken in the order of time
 */
public record Capture(List<Taken> taken) {

    /**
     * Two of the same closer together than this, in microseconds, are one: a bounce of a key or foot. Common practice,
     * no source.
     */
    public static final long DOUBLE_MICROS = 60_000;

    public Capture {
        taken = List.copyOf(taken);
    }

    /**
     * One press while the song ran.
     *
     * @param micros when, from bar 1
     * @param deed what it sets
     * @param release whether it is the release of a key, which recorders write as a note-off
     */
    public record Hit(long micros, Deed deed, boolean release) {}

    /** What a press sets: a step that the player is to send, or a switch that somebody is to press. */
    public record Deed(Optional<Step> step, Optional<SwitchAt> foot) {}

    /**
     * One press, as it would be kept.
     *
     * @param at when it was
     * @param anchor where it is put
     * @param micros when that is
     * @param dropped why it is not kept; empty when it is
     */
    public record Taken(long at, Anchor anchor, long micros, Deed deed, Optional<String> dropped) {

        /** How far it is moved, microseconds; negative when earlier. */
        public long shift() {
            return micros - at;
        }
    }

    /**
     * Presses made tidy.
     *
     * @param grid snap to so many ticks; 0 keeps the time as it was, tied to the clock
     * @param strip whether releases are left out
     */
    public static Capture of(Form form, List<Hit> hits, int grid, boolean strip) {
        List<Taken> taken = new ArrayList<>();
        for (Hit hit :
                hits.stream().sorted(Comparator.comparingLong(Hit::micros)).toList()) {
            Anchor anchor = Anchor.near(form, hit.micros(), grid);
            long micros = anchor.micros(form).orElse(hit.micros());
            Optional<String> dropped = hit.release() && strip
                    ? Optional.of("release, a note-off")
                    : isDouble(taken, hit, micros) ? Optional.of("the same twice") : Optional.empty();
            taken.add(new Taken(hit.micros(), anchor, micros, hit.deed(), dropped));
        }
        return new Capture(taken);
    }

    private static boolean isDouble(List<Taken> before, Hit hit, long micros) {
        return before.stream()
                .anyMatch(other -> other.dropped().isEmpty()
                        && other.deed().equals(hit.deed())
                        && (hit.micros() - other.at() < DOUBLE_MICROS || other.micros() == micros));
    }

    /** The cues that it gives, numbered from one; what happens at one moment is one cue. */
    public List<Cue> cues(int firstNumber) {
        List<Cue> cues = new ArrayList<>();
        for (Taken one : taken) {
            if (one.dropped().isPresent()) {
                continue;
            }
            Optional<Cue> same = one.deed()
                    .step()
                    .flatMap(step -> cues.stream()
                            .filter(cue -> cue.foot().isEmpty() && cue.at().equals(one.anchor()))
                            .findFirst());
            if (same.isPresent()) {
                List<Step> more = new ArrayList<>(same.get().steps());
                more.add(one.deed().step().orElseThrow());
                cues.set(cues.indexOf(same.get()), same.get().withSteps(more));
            } else {
                int number = firstNumber + cues.size();
                cues.add(one.deed()
                        .foot()
                        .map(at -> Cue.pressed(number, one.anchor(), at))
                        .orElseGet(() -> new Cue(
                                number, one.anchor(), one.deed().step().stream().toList())));
            }
        }
        return cues;
    }
}
