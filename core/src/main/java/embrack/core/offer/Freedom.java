package embrack.core.offer;

import embrack.core.chart.Action;
import embrack.core.chart.Verb;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.show.Song;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import java.util.List;
import java.util.Set;
import java.util.function.BiPredicate;
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
        REPEAT("repeat a section", (action, song) -> action.verb() == Verb.REPEAT),
        VAMP(
                "vamp until it is let go",
                (action, song) -> Set.of(Verb.ON, Verb.OFF, Verb.TOGGLE).contains(action.verb())
                        && action.part().text().contains("loop")),
        SKIP(
                "skip ahead",
                (action, song) -> action.verb() == Verb.NEXT
                        || action.verb() == Verb.JUMP && action.part().text().startsWith("section")),
        FADE("stop with a fade", (action, song) -> action.verb() == Verb.FADE_OUT),
        JUMP(
                "jump to this song",
                (action, song) -> Set.of(Verb.JUMP, Verb.LOAD, Verb.GO).contains(action.verb())
                        && action.part().text().equals("song-" + song.place()));

        private final String words;
        private final BiPredicate<Action, Song> test;

        Kind(String words, BiPredicate<Action, Song> test) {
            this.words = words;
            this.test = test;
        }

        public String words() {
            return words;
        }

        boolean is(Action action, Song song) {
            return test.test(action, song);
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
                                    .anyMatch(action -> kind.is(action, song)));
                    List<SwitchAt> switches = plan.switches().assignments().stream()
                            .filter(a -> a.steps().stream()
                                    .anyMatch((Step step) ->
                                            player.contains(step.device()) && kind.is(step.action(), song)))
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
