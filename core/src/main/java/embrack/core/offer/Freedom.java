package embrack.core.offer;

import embrack.core.chart.Action;
import embrack.core.chart.Chart;
import embrack.core.chart.Meaning;
import embrack.core.chart.Verb;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.show.Song;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import java.util.EnumSet;
import java.util.List;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Something that can be done on the night, beside playing on.
 *
 * @param can whether the player of the song can do it at all
 * @param switches who does it; none when it is not on a switch
 */
public record Freedom(Kind kind, boolean can, List<SwitchAt> switches) {

    /** The sorts of freedom that bands want. */
    public enum Kind {
        REPEAT("repeat a section"),
        VAMP("vamp until it is let go"),
        SKIP("skip ahead"),
        FADE("stop with a fade"),
        JUMP("jump to this song");

        private static final Set<Verb> TURNS = EnumSet.of(Verb.ON, Verb.OFF, Verb.TOGGLE);
        private static final Set<Verb> LEADS = EnumSet.of(Verb.JUMP, Verb.LOAD, Verb.GO);

        private final String words;

        Kind(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }

        /** Whether an action of a player gives this freedom with a song. */
        boolean is(Action action, Chart player, Song song) {
            return switch (this) {
                case REPEAT -> action.verb() == Verb.REPEAT;
                case VAMP -> TURNS.contains(action.verb()) && player.isMeant(action.part(), Meaning.VAMP);
                case SKIP ->
                    action.verb() == Verb.NEXT
                            || action.verb() == Verb.JUMP && player.isMeant(action.part(), Meaning.SECTION);
                case FADE -> action.verb() == Verb.FADE_OUT;
                case JUMP ->
                    LEADS.contains(action.verb())
                            && player.placeOfSong(action.part()).equals(OptionalInt.of(song.place()));
            };
        }
    }

    public Freedom {
        switches = List.copyOf(switches);
    }

    /** What can be done with a song: by its player, as its model says, and by which switch. */
    public static List<Freedom> of(Plan plan, Song song) {
        return Stream.of(Kind.values())
                .map(kind -> {
                    List<DeviceId> player = plan.player(song).stream().toList();
                    boolean can = player.stream()
                            .anyMatch(device -> plan.rig().chart(device).actions().stream()
                                    .anyMatch(
                                            action -> kind.is(action, plan.rig().chart(device), song)));
                    List<SwitchAt> switches = plan.switches().assignments().stream()
                            .filter(a -> a.steps().stream()
                                    .anyMatch((Step step) -> player.contains(step.device())
                                            && kind.is(step.action(), plan.rig().chart(step.device()), song)))
                            .map(a -> a.at())
                            .toList();
                    return new Freedom(kind, can, switches);
                })
                .toList();
    }

    public boolean isOnASwitch() {
        return !switches.isEmpty();
    }
}
