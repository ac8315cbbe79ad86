package embrack.app.run;

import embrack.core.offer.Freedom;
import embrack.core.plan.Plan;
import embrack.core.run.Act;
import embrack.core.run.Leap;
import embrack.core.run.Run;
import embrack.core.run.text.ActText;
import embrack.core.show.Song;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What can be done with the song that plays, beside playing on: by a switch, at the player, or not at all. */
final class NightDeeds {

    private NightDeeds() {}

    static List<RunPage.Deed> of(Run run) {
        List<RunPage.Deed> deeds = new ArrayList<>();
        Optional<Song> song = run.song();
        if (song.isEmpty() || run.songMicros().isEmpty() && !run.isStopped()) {
            return deeds;
        }
        Plan plan = run.night().plan();
        for (Freedom freedom : Freedom.of(plan, song.get())) {
            leap(freedom.kind()).ifPresent(leap -> deeds.add(deed(plan, freedom, leap)));
        }
        if (run.isStopped()) {
            deeds.add(new RunPage.Deed(ActText.write(new Act.AtPlayer(new Leap.Play())), "start again", ""));
        }
        return deeds;
    }

    private static Optional<Leap> leap(Freedom.Kind kind) {
        return switch (kind) {
            case REPEAT -> Optional.of(new Leap.Again());
            case VAMP -> Optional.of(new Leap.LetGo());
            case SKIP -> Optional.of(new Leap.BySections(1));
            case FADE -> Optional.of(new Leap.Fade());
            case JUMP -> Optional.empty();
        };
    }

    private static RunPage.Deed deed(Plan plan, Freedom freedom, Leap leap) {
        String words =
                freedom.kind() == Freedom.Kind.VAMP ? "let go" : freedom.kind().words();
        return freedom.isOnASwitch()
                ? new RunPage.Deed(
                        "tap " + freedom.switches().getFirst().key(),
                        "%s (%s)"
                                .formatted(
                                        words,
                                        RunPage.name(plan, freedom.switches().getFirst())),
                        "")
                : freedom.can()
                        ? new RunPage.Deed(ActText.write(new Act.AtPlayer(leap)), words + " (at the player)", "")
                        : new RunPage.Deed("", words, "the player cannot");
    }
}
