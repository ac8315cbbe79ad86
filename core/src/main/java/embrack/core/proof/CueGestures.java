package embrack.core.proof;

import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.show.Cue;
import embrack.core.show.Entry;
import embrack.core.show.Song;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The transitions of cues: one for all that send the same. They may come at any time: the order of the show is run
 * beside, since a song may be left out, repeated or begun again.
 */
final class CueGestures {

    private final Plan plan;
    private final Effects effects;

    CueGestures(Plan plan, Effects effects) {
        this.plan = plan;
        this.effects = effects;
    }

    /** What is sent in tonight's songs, or in all where there is no show, each with the first cue that does so. */
    Map<CueSent, Doing.Cue> sent() {
        Map<CueSent, Doing.Cue> sent = new LinkedHashMap<>();
        for (Song song : songs()) {
            Optional<DeviceId> player = plan.player(song);
            if (player.isPresent()) {
                plan.book().always().forEach(cue -> add(sent, player.get(), song, cue, true));
                song.cues().forEach(cue -> add(sent, player.get(), song, cue, false));
            }
        }
        return sent;
    }

    private Stream<Song> tonight() {
        return plan.book().tonight().stream()
                .flatMap(show -> show.order().stream())
                .flatMap((Entry entry) -> entry.song().stream())
                .distinct()
                .map(plan.book()::song);
    }

    private List<Song> songs() {
        List<Song> tonight = tonight().toList();
        return tonight.isEmpty() ? plan.book().songs() : tonight;
    }

    private static void add(Map<CueSent, Doing.Cue> sent, DeviceId player, Song song, Cue cue, boolean always) {
        if (cue.deeds() > 0) {
            sent.putIfAbsent(CueSent.of(player, cue), new Doing.Cue(song.id(), cue.number(), always));
        }
    }

    Transition transition(CueSent cue, Sent.ByCue sent, Doing.Cue doing) {
        List<Effect> actual = new ArrayList<>(effects.meant(cue.byItself()));
        actual.addAll(effects.arriving(sent.journey()));
        return new Transition(doing, List.of(), actual, effects.meant(cue.steps()), List.of());
    }
}
