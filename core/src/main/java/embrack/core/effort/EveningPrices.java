package embrack.core.effort;

import embrack.core.gear.Kind;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.rig.LinkKind;
import embrack.core.show.Anchor;
import embrack.core.show.Cue;
import embrack.core.show.Song;
import embrack.core.switches.Practice;
import java.util.List;
import java.util.stream.Stream;

/** What answers about songs, the evening and its safety cost. */
final class EveningPrices {

    private final Plan plan;
    private final int songs;
    private final int cues;
    private final int cueMessages;
    private final int players;
    private final int lightCues;

    EveningPrices(Plan plan) {
        this.plan = plan;
        this.songs = plan.book().songs().size();
        List<Cue> inside = plan.book().songs().stream()
                .flatMap(song -> song.cues().stream())
                .filter(cue -> cue.foot().isEmpty())
                .toList();
        this.cues = inside.size();
        this.cueMessages = inside.stream().mapToInt(cue -> cue.steps().size()).sum();
        this.players = Math.max(1, plan.players().size());
        this.lightCues = (int) inside.stream()
                .flatMap(cue -> cue.steps().stream())
                .filter(step -> plan.rig().model(step.device()).kind() == Kind.LIGHT_DESK)
                .count();
    }

    List<Price> of(Practice practice) {
        List<Cost> costs = costs(practice);
        return Stream.iterate(0, i -> i < costs.size(), i -> i + 1)
                .map(i -> costs.get(i).price(practice.answers().get(i)))
                .toList();
    }

    /** A price without the name of its answer. */
    private record Cost(int switches, int presses, int messages, int links, String risk) {
        Price price(String answer) {
            return new Price(answer, switches, presses, messages, links, risk);
        }
    }

    private List<Cost> costs(Practice practice) {
        return switch (practice) {
            case PROGRAMMING ->
                List.of(
                        new Cost(used(), 0, 0, 0, "A preset also sends where nothing is planned: keep feet away."),
                        new Cost(
                                used(),
                                0,
                                stepsOnSwitches(),
                                0,
                                "Every message is typed: %s at the usual rate."
                                        .formatted(Work.of(stepsOnSwitches()).words())));
            case ADAPTS ->
                List.of(
                        new Cost(0, 0, 0, Math.min(learned(), stepsOnSwitches()), "Both ends have something to set."),
                        new Cost(
                                0, 0, 0, learned(), "Only what learns can adapt; the others stay as their charts say."),
                        new Cost(0, 0, stepsOnSwitches(), 0, "A board that sends fixed numbers cannot obey a chart."));
            case LINK ->
                List.of(
                        new Cost(0, 0, 0, wired(), "Cables cross where people walk: tape or ramp them."),
                        new Cost(
                                0,
                                0,
                                0,
                                wireless(),
                                "Later by a connection interval, and strangers may join what still offers itself."));
            case CUES ->
                List.of(
                        new Cost(0, 0, cueMessages, 0, "A wrong tempo moves all of them."),
                        new Cost(
                                0,
                                cues,
                                cueMessages,
                                0,
                                "The hand is as exact as the hand; the nearest beat is offered afterwards."),
                        new Cost(
                                0,
                                0,
                                cueMessages,
                                0,
                                "A round second is no downbeat, and a new tempo moves it: %s to type again."
                                        .formatted(Words.count(cues, "cue"))));
            case AUTOMATIC ->
                List.of(
                        new Cost(0, 0, automatic(), 0, "A song that was forgotten sends nothing."),
                        new Cost(
                                0,
                                0,
                                Math.max(1, plan.book().always().size()) * Math.max(1, songs),
                                0,
                                "With a message of the song's own both are sent."));
            case AUTOMATION ->
                List.of(
                        new Cost(
                                0,
                                0,
                                cueMessages,
                                0,
                                "The band has to follow the tracks; give feet a vamp and a skip."),
                        new Cost(distinctCues(), perSong(), cueMessages, 0, "Hands and head are busy when it counts."));
            case PLAYER ->
                List.of(
                        new Cost(3, songs, songs, players, "One socket for power, controller and sound."),
                        new Cost(2, songs, songs, players, "It stands at the side, and somebody has to look after it."),
                        new Cost(
                                Math.min(8, Math.max(1, songs)),
                                songs,
                                songs,
                                players,
                                "A row that is launched late comes late by a bar."));
            case START ->
                List.of(
                        new Cost(1, songs, songs, 0, "The wrong song is heard at once."),
                        new Cost(
                                2,
                                2 * songs,
                                2 * songs,
                                0,
                                "Two presses: a foot that forgets the second waits in silence."));
            case STOP ->
                List.of(
                        new Cost(1, 1, 1, 0, "It goes on for as long as the fade takes."),
                        new Cost(1, 1, 1, 0, "A cut in the middle of a word."),
                        new Cost(
                                1,
                                1,
                                1,
                                0,
                                "Feedback 50 %, decay 4.5 s (common practice, no source); set too high, it rings on."));
            case PADS ->
                List.of(
                        new Cost(2, pads(), pads(), 1, "A foot has to know the next key; the order says it."),
                        new Cost(0, 0, pads(), 1, "The booth hears late that a song is over."),
                        new Cost(0, pads(), pads(), 1, "A call, a screen that goes dark, a battery."));
            case DESK ->
                List.of(
                        new Cost(0, 0, lightCues, 1, "Who works the desk and a cue may both call one: say who has it."),
                        new Cost(0, lightCues, 0, 0, "Nobody knows afterwards what stood when."),
                        new Cost(0, 0, lightCues, 1, "When the computer fails, it stays as it is."));
            case REDUNDANCY ->
                List.of(
                        new Cost(0, 0, 0, 0, "When it fails, people play without."),
                        new Cost(1, 1, 0, players, "Somebody has to see it, and change over in front of people."),
                        new Cost(
                                0,
                                0,
                                0,
                                2 * players,
                                "Both must be alike and started together; mains and interface stay single."));
            default -> throw new IllegalArgumentException(practice + " is no question about the evening");
        };
    }

    private int used() {
        return (int) plan.switches().assignments().stream()
                .filter(a -> !a.steps().isEmpty())
                .count();
    }

    private int stepsOnSwitches() {
        return plan.switches().assignments().stream()
                .mapToInt(a -> a.steps().size())
                .sum();
    }

    private int learned() {
        return plan.rig().devices().stream().mapToInt(d -> d.learned().size()).sum();
    }

    private int wired() {
        return (int) plan.rig().links().stream()
                .filter(link ->
                        plan.rig().kind(link).isCable() && plan.rig().kind(link).carriesMidi())
                .count();
    }

    private int wireless() {
        return (int) plan.rig().links().stream()
                .filter(link -> plan.rig().kind(link) == LinkKind.WIRELESS)
                .count();
    }

    private int automatic() {
        return (int) plan.book().songs().stream()
                .flatMap(song -> song.cues().stream())
                .filter(cue -> cue.at() instanceof Anchor.Automatic)
                .count();
    }

    /** Switches that feet would need: one for each thing that cues do. */
    private int distinctCues() {
        return (int) plan.book().songs().stream()
                .flatMap(song -> song.cues().stream())
                .map(Cue::steps)
                .filter(steps -> !steps.isEmpty())
                .distinct()
                .count();
    }

    private int perSong() {
        return songs == 0
                ? 0
                : (int) Math.ceil(plan.book().songs().stream()
                                .map(Song::cues)
                                .mapToInt(List::size)
                                .sum()
                        / (double) songs);
    }

    private int pads() {
        return Math.max(1, (int) plan.book().tonight().stream()
                .flatMap(show -> show.order().stream())
                .filter(entry -> entry.pad().isPresent())
                .count());
    }
}
