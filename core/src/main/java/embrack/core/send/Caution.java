package embrack.core.send;

import embrack.core.chart.Action;
import embrack.core.chart.Meaning;
import embrack.core.chart.Verb;
import embrack.core.gear.Kind;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.word.Phrase;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/**
 * What can hurt somebody when a box is made to do something from afar.
 *
 * <p>Which actions are meant is common practice, no source.
 */
public enum Caution {
    /** Something becomes louder, or may: a strip opens, a level goes up. */
    LOUDER,
    /** Sound begins by itself. */
    SOUND,
    /** Light may flash. */
    FLASHES,
    /** All light goes. */
    DARK,
    /** All of it ends at once, while people may be moving in it. */
    ALL_OFF,
    /** Lamps may turn. */
    MOVES;

    private static final Set<Verb> LOUD = EnumSet.of(Verb.OPEN, Verb.TOGGLE_MUTE);
    private static final Set<Verb> SOUNDS = EnumSet.of(
            Verb.PLAY, Verb.TOGGLE_PLAY, Verb.RECORD, Verb.JUMP, Verb.NEXT, Verb.PREVIOUS, Verb.REPEAT, Verb.USE);
    private static final Set<Verb> DARKENS = EnumSet.of(Verb.ON, Verb.TOGGLE);

    /** Whether it is not sent before somebody says yes once more. */
    public boolean isAskedTwice() {
        return this != SOUND && this != MOVES;
    }

    /** What to mind, as a sentence. */
    public Phrase words() {
        return Phrase.of(
                Probe.ROOM, "caution." + name().toLowerCase(Locale.ROOT).replace('_', '-'));
    }

    /** What an action of a device can do to people. */
    public static Set<Caution> of(Plan plan, DeviceId device, Action action) {
        Set<Caution> all = EnumSet.noneOf(Caution.class);
        boolean isDesk = plan.rig().model(device).kind() == Kind.LIGHT_DESK;
        boolean isLevelUp = action.amount().filter(amount -> amount > 0).isPresent();
        if (!isDesk && (LOUD.contains(action.verb()) || isLevelUp)) {
            all.add(LOUDER);
        }
        if (!isDesk && SOUNDS.contains(action.verb())) {
            all.add(SOUND);
        }
        if (plan.rig().chart(device).isMeant(action.part(), Meaning.BLACKOUT) && DARKENS.contains(action.verb())) {
            all.add(DARK);
        }
        if (action.verb() == Verb.STOP_ALL) {
            all.add(ALL_OFF);
        }
        if (isDesk && (action.verb() == Verb.RUN || action.verb() == Verb.TAP)) {
            all.add(FLASHES);
        }
        if (isDesk && action.verb().isExclusive()) {
            all.add(MOVES);
        }
        return all;
    }

    /** What to mind before anything is sent to a device at all. */
    public static List<Phrase> before(Plan plan, DeviceId device) {
        return switch (plan.rig().model(device).kind()) {
            case LIGHT_DESK -> List.of(Phrase.of(Probe.ROOM, "before.light"));
            case MIXER, TRACK_PLAYER, INSTRUMENT_HOST, LOOPER, SOUND_SWITCHER, PLAYBACK_PAIR ->
                List.of(Phrase.of(Probe.ROOM, "before.sound"));
            default -> List.of(Phrase.of(Probe.ROOM, "before.any"));
        };
    }
}
