package embrack.app.switches;

import embrack.app.frame.StageView;
import embrack.app.store.Trial;
import embrack.core.chart.Aspect;
import embrack.core.chart.ChartWords;
import embrack.core.chart.Conventions;
import embrack.core.chart.Part;
import embrack.core.chart.PartId;
import embrack.core.gear.Board;
import embrack.core.gear.Gesture;
import embrack.core.gear.Kind;
import embrack.core.gear.Model;
import embrack.core.gear.ShownMessage;
import embrack.core.light.Look;
import embrack.core.live.DeskLight;
import embrack.core.midi.Message;
import embrack.core.midi.Wire;
import embrack.core.name.TapeLabel;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import embrack.core.show.Song;
import embrack.core.sim.Rehearsal;
import embrack.core.sim.Tread;
import embrack.core.stage.Sight;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Happened;
import embrack.core.world.Place;
import embrack.core.world.Reading;
import embrack.core.world.World;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What presses on this page do to the simulated boxes, and the message tape. */
record TrialView(boolean fromMuted, int presses, boolean isFull, Feet feet, List<Card> boxes, List<TapePress> tape) {

    /**
     * What feet can do with the chosen switch beside tapping it, each by its key.
     *
     * @param here the key of the switch
     * @param pressed whether a foot is on it
     * @param held the others that a foot is on, in words
     */
    record Feet(String here, boolean pressed, String down, String up, String hold, String twice, String held) {}

    /**
     * A box that reacts.
     *
     * @param noun what its parts are called: "strip", "part"
     * @param strips the parts that this plan names or uses, and any that is not as it began
     * @param others the rest
     * @param lit what is seen of it, of a desk that holds looks
     */
    record Card(String name, String noun, List<Strip> strips, List<Strip> others, Optional<Lit> lit) {
        public String othersSummary() {
            String count = Words.count(others.size(), strips.isEmpty() ? noun : "more " + noun);
            return others.stream().map(Strip::state).distinct().count() == 1 && others.size() > 1
                    ? "%s, all %s".formatted(count, others.getFirst().state())
                    : count;
        }
    }

    /**
     * What a desk shows.
     *
     * @param words "Storm", "dark; behind it Storm"
     */
    record Lit(String words, StageView stage) {

        private static Lit of(DeskLight light) {
            Sight sight = light.sight();
            String seen = sight.running()
                    .map(running -> running.chase().name())
                    .or(() -> sight.look().map(Look::name))
                    .map(TapeLabel::text)
                    .orElse("dark");
            return new Lit(
                    sight.isBlackedOut() ? "dark by blackout; behind it " + seen : seen,
                    StageView.of(light.plan().lights(), seenLook(light)));
        }

        /** What a still picture shows: of a chase its first look, in the dark nothing. */
        private static Optional<Look> seenLook(DeskLight light) {
            Sight sight = light.sight();
            return sight.isBlackedOut()
                    ? Optional.empty()
                    : sight.running()
                            .flatMap(running -> running.look(light.plan().lights(), sight.micros()))
                            .or(sight::look);
        }
    }

    /**
     * A part of a box.
     *
     * @param printed the name on the box, when the part wears tape with another
     * @param icon what its mark is: "muted", "tick" or "open"
     * @param stands whether it is muted, on, chosen or playing
     * @param moved whether the last press moved it
     */
    record Strip(String name, String printed, String state, String icon, boolean stands, boolean moved) {}

    /** One press on the message tape. */
    record TapePress(int number, String label, List<TapeLine> lines) {}

    /** A message on the tape; {@code time} in milliseconds since the press. */
    record TapeLine(String time, String way, String message, String bytes, String outcome, String tone) {}

    static TrialView of(Plan plan, SwitchAt at, Trial trial, Trials.Tried tried) {
        Rehearsal rehearsal = tried.rehearsal();
        World state = rehearsal.state();
        Set<Place> moved = rehearsal.before().differences(state);
        return new TrialView(
                trial.muted(),
                rehearsal.treads(),
                trial.isFull(),
                feet(plan, at, state),
                plan.rig().devices().stream()
                        .filter(d -> !plan.rig().model(d.id()).parts().isEmpty())
                        .sorted(Comparator.comparing(d -> !isMeant(plan, at.board(), d)))
                        .map(d -> card(plan, d, tried, moved))
                        .toList(),
                tape(plan, rehearsal));
    }

    private static Feet feet(Plan plan, SwitchAt at, World state) {
        Set<Gesture> knows = plan.board(at).gestures();
        return new Feet(
                at.key(),
                state.isHeld(at),
                new Tread.OnSwitch(Tread.Foot.DOWN, at).key(),
                new Tread.OnSwitch(Tread.Foot.UP, at).key(),
                knows.contains(Gesture.HOLD) ? new Tread.OnSwitch(Tread.Foot.HOLD, at).key() : "",
                knows.contains(Gesture.DOUBLE_PRESS) ? new Tread.OnSwitch(Tread.Foot.TWICE, at).key() : "",
                Words.list(state.heldSwitches().stream()
                        .filter(other -> !other.equals(at))
                        .map(plan::words)
                        .toList()));
    }

    /** Whether any switch of the board is about the device: those boxes are looked at first. */
    private static boolean isMeant(Plan plan, DeviceId board, Device device) {
        return plan.switches().of(board).stream().anyMatch(assignment -> assignment.uses(device.id()));
    }

    private static Card card(Plan plan, Device device, Trials.Tried tried, Set<Place> moved) {
        Rehearsal rehearsal = tried.rehearsal();
        World state = rehearsal.state();
        Model model = plan.rig().model(device.id());
        Set<PartId> used = plan.switches().assignments().stream()
                .flatMap(a -> a.steps().stream())
                .filter(step -> step.device().equals(device.id()))
                .map(step -> step.action().part())
                .collect(Collectors.toSet());
        Map<Boolean, List<Strip>> byInterest = model.parts().stream()
                .map(Part::id)
                .collect(Collectors.partitioningBy(
                        part -> used.contains(part)
                                || device.labels().containsKey(part)
                                || places(model, device, part)
                                        .anyMatch(place -> state.value(place)
                                                        != rehearsal.start().value(place)
                                                || moved.contains(place)),
                        Collectors.mapping(
                                part -> strip(plan.rig(), device, part, state, moved), Collectors.toList())));
        String noun = model.kind() == Kind.MIXER ? "strip" : "part";
        return new Card(
                device.name().text(),
                noun,
                byInterest.getOrDefault(true, List.of()),
                byInterest.getOrDefault(false, List.of()),
                tried.lights().stream()
                        .filter(light -> light.desk().equals(device.id()))
                        .findFirst()
                        .map(Lit::of));
    }

    private static Stream<Place> places(Model model, Device device, PartId part) {
        return model.implementation().aspects(part).stream().map(aspect -> new Place(device.id(), part, aspect));
    }

    /** A part in the words of all that can differ about it; counts and levels that nothing touched are left out. */
    private static Strip strip(Rig rig, Device device, PartId part, World state, Set<Place> moved) {
        Model model = rig.model(device.id());
        String printed = device.labels().containsKey(part)
                ? model.part(part).map(p -> p.name().text()).orElse("")
                : "";
        List<Place> places = places(model, device, part).toList();
        List<Place> telling = places.stream()
                .filter(place -> places.size() == 1 || place.aspect().size() < 10 || state.value(place) != 0)
                .toList();
        Optional<Place> mute =
                places.stream().filter(place -> place.aspect() == Aspect.MUTED).findFirst();
        boolean isMuted = mute.filter(place -> state.value(place) == 1).isPresent();
        boolean isOn = mute.isEmpty() && places.stream().anyMatch(place -> state.value(place) != 0);
        return new Strip(
                rig.partName(device.id(), part).text(),
                printed,
                telling.stream()
                        .map(place -> place.word(rig, state.value(place)))
                        .collect(Collectors.joining(", ")),
                isMuted ? "muted" : isOn ? "tick" : "open",
                isMuted || isOn,
                places.stream().anyMatch(moved::contains));
    }

    private static List<TapePress> tape(Plan plan, Rehearsal rehearsal) {
        return rehearsal.last().reversed().stream()
                .map(played -> press(plan, played))
                .toList();
    }

    private static TapePress press(Plan plan, Rehearsal.Played played) {
        return new TapePress(
                played.number(),
                words(plan, played.tread()),
                played.outcome().trace().stream()
                        .flatMap(event -> line(plan, board(plan, played.tread()), event))
                        .toList());
    }

    private static String words(Plan plan, Tread tread) {
        return switch (tread) {
            case Tread.OnSwitch foot ->
                plan.words(foot.at())
                        + plan.switches()
                                .at(foot.at())
                                .label()
                                .map(label -> " (" + label + ")")
                                .orElse("")
                        + switch (foot.foot()) {
                            case TAP -> "";
                            case DOWN -> ", foot down";
                            case HOLD -> ", held";
                            case UP -> ", let go";
                            case TWICE -> ", pressed twice";
                        };
            case Tread.OnControl move -> "%s to %d".formatted(plan.words(move.at()), move.position());
            case Tread.ByCue cue ->
                plan.book()
                        .cue(cue.song(), cue.number(), cue.every())
                        .map(found -> {
                            Song song = plan.book().song(cue.song());
                            return "%s, %s"
                                    .formatted(
                                            song.title(),
                                            found.at().text(song.form().tempoMap()));
                        })
                        .orElseThrow();
            case Tread.ByHand hand ->
                "By hand: %s of %s is %s"
                        .formatted(
                                plan.rig()
                                        .partName(
                                                hand.place().device(),
                                                hand.place().part()),
                                plan.rig().name(hand.place().device()),
                                hand.place().word(plan.rig(), hand.value()));
        };
    }

    private static Optional<Board> board(Plan plan, Tread tread) {
        return switch (tread) {
            case Tread.OnSwitch foot -> Optional.of(plan.board(foot.at()));
            case Tread.OnControl move -> plan.rig().model(move.at().box()).board();
            case Tread.ByCue cue -> Optional.empty();
            case Tread.ByHand hand -> Optional.empty();
        };
    }

    private static Stream<TapeLine> line(Plan plan, Optional<Board> board, Happened event) {
        String message = board.map(
                        b -> ShownMessage.on(b, event.message()).line().replaceAll(" +", " "))
                .orElseGet(() -> ChartWords.of(event.message()));
        return switch (event) {
            case Happened.Sent sent -> Stream.empty();
            case Happened.Lost lost ->
                Stream.of(new TapeLine(
                        Wire.millis(lost.atMicros()),
                        way(plan, lost.socket()),
                        message,
                        event.message().hex(),
                        "nothing is plugged in here",
                        "stop"));
            case Happened.Failed failed ->
                Stream.of(new TapeLine(
                        Wire.millis(failed.atMicros()),
                        way(plan, failed.socket()),
                        message,
                        event.message().hex(),
                        "lost: the link is out, or what it leads to is off",
                        "stop"));
            case Happened.KeptBack kept ->
                Stream.of(new TapeLine(
                        Wire.millis(kept.atMicros()),
                        way(plan, kept.socket()),
                        message,
                        event.message().hex(),
                        "kept back: it " + kept.filter().words(),
                        "note"));
            case Happened.CameRound round ->
                Stream.of(new TapeLine(
                        Wire.millis(round.atMicros()),
                        way(plan, round.socket()),
                        message,
                        event.message().hex(),
                        "comes round again, and would for ever",
                        "stop"));
            case Happened.Arrived arrived ->
                Stream.of(new TapeLine(
                        Wire.millis(arrived.atMicros()),
                        way(plan, arrived.socket()),
                        counted(plan, board, arrived, message),
                        event.message().hex(),
                        arrived.reading().words(plan.rig(), arrived.socket().device()),
                        arrived.reading() instanceof Reading.Acts ? "exact" : "note"));
        };
    }

    /** A message that arrives, with what the box calls the program where the board counts otherwise. */
    private static String counted(Plan plan, Optional<Board> board, Happened.Arrived arrived, String message) {
        Conventions theirs = plan.rig().chart(arrived.socket().device()).conventions();
        boolean differs = arrived.message() instanceof Message.ProgramChange
                && theirs.programs()
                        .filter(counting ->
                                board.filter(b -> b.programs() == counting).isEmpty())
                        .isPresent();
        String there = ChartWords.of(arrived.message(), theirs);
        return !differs ? message : board.isPresent() ? "%s (%s there)".formatted(message, there) : there;
    }

    private static String way(Plan plan, Socket socket) {
        return plan.rig().words(socket);
    }
}
