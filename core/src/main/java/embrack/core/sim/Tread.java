package embrack.core.sim;

import embrack.core.chart.Aspect;
import embrack.core.chart.PartId;
import embrack.core.compile.CompiledSwitch;
import embrack.core.compile.Compiler;
import embrack.core.gear.ControlType;
import embrack.core.plan.Plan;
import embrack.core.proof.Broken;
import embrack.core.proof.Doing;
import embrack.core.rig.DeviceId;
import embrack.core.show.SongId;
import embrack.core.switches.ControlAt;
import embrack.core.switches.Moment;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Place;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** One thing that is done to a world that is tried. */
public sealed interface Tread {

    /** What a foot does with a switch. */
    enum Foot {
        /** It presses and lets go. */
        TAP,
        /** It goes down, and stays. */
        DOWN,
        /** It stays down so long that the board takes it for a hold. */
        HOLD,
        /** It lets go. */
        UP,
        /** It presses twice, fast. */
        TWICE;

        private String key() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** A foot does something with a switch. */
    record OnSwitch(Foot foot, SwitchAt at) implements Tread {}

    /** A control is moved to a position, 0 to 127. */
    record OnControl(ControlAt at, int position) implements Tread {}

    /** Somebody sets a part at its box. */
    record ByHand(Place place, int value) implements Tread {}

    /** A player sends a cue of a song, or one that every song sends. */
    record ByCue(SongId song, int number, boolean every) implements Tread {}

    /** In one word for links and files: {@code tap.quay-board.1.3}. */
    default String key() {
        return switch (this) {
            case OnSwitch tread -> tread.foot.key() + "." + tread.at.key();
            case OnControl move ->
                "move.%s.%s.%d.%d.%d"
                        .formatted(
                                move.at.box(), move.at.type().key(), move.at.bank(), move.at.number(), move.position);
            case ByCue cue -> "%s.%s.%d".formatted(cue.every ? "every" : "cue", cue.song, cue.number);
            case ByHand hand ->
                "hand.%s.%s.%s.%d"
                        .formatted(
                                hand.place.device(),
                                hand.place.part(),
                                hand.place.aspect().name().toLowerCase(Locale.ROOT),
                                hand.value);
        };
    }

    /** The tread that {@link #key()} wrote; empty when it is none. */
    static Optional<Tread> parse(String key) {
        String[] words = key.split("\\.", -1);
        try {
            return switch (words[0]) {
                case "move" ->
                    Optional.of(new OnControl(
                            new ControlAt(
                                    new DeviceId(words[1]),
                                    ControlType.valueOf(words[2].toUpperCase(Locale.ROOT)),
                                    Integer.parseInt(words[3]),
                                    Integer.parseInt(words[4])),
                            within(words[5], 128)));
                case "cue", "every" ->
                    Optional.of(new ByCue(new SongId(words[1]), Integer.parseInt(words[2]), words[0].equals("every")));
                case "hand" -> {
                    Aspect aspect = Aspect.valueOf(words[3].toUpperCase(Locale.ROOT));
                    yield Optional.of(new ByHand(
                            new Place(new DeviceId(words[1]), new PartId(words[2]), aspect),
                            within(words[4], aspect.size())));
                }
                default ->
                    Stream.of(Foot.values())
                            .filter(foot -> foot.key().equals(words[0]) && key.length() > words[0].length())
                            .findFirst()
                            .flatMap(foot -> SwitchAt.parse(key.substring(words[0].length() + 1))
                                    .map(at -> new OnSwitch(foot, at)));
            };
        } catch (IllegalArgumentException | ArrayIndexOutOfBoundsException e) {
            return Optional.empty();
        }
    }

    private static int within(String text, int size) {
        int value = Integer.parseInt(text);
        if (value < 0 || value >= size) {
            throw new IllegalArgumentException("0 to %d, was %d".formatted(size - 1, value));
        }
        return value;
    }

    /** Whether it can be done in a plan: the switch, the control or the part is there. */
    default boolean isPossible(Plan plan) {
        return switch (this) {
            case OnSwitch tread -> plan.has(tread.at);
            case OnControl move -> plan.has(move.at);
            case ByCue cue ->
                plan.book().cue(cue.song, cue.number, cue.every).isPresent()
                        && plan.book().find(cue.song).isPresent();
            case ByHand hand ->
                plan.rig().find(hand.place.device()).isPresent()
                        && plan.rig()
                                .model(hand.place.device())
                                .implementation()
                                .aspects(hand.place.part())
                                .contains(hand.place.aspect());
        };
    }

    /** What is done in a story, one list for each thing that it tells. */
    static List<List<Tread>> of(Plan plan, Broken broken) {
        Compiler compiler = new Compiler(plan);
        List<Doing> doings = broken.doings();
        List<List<Tread>> treads = new ArrayList<>();
        for (int i = 0; i < doings.size(); i++) {
            treads.add(
                    switch (doings.get(i)) {
                        case Doing.Foot foot ->
                            of(compiler.compile(plan.switches().at(foot.at())), foot);
                        case Doing.Moved moved -> List.of(new OnControl(moved.at(), moved.position()));
                        case Doing.Cue cue -> List.of(new ByCue(cue.song(), cue.number(), cue.always()));
                        case Doing.ByHand hand -> List.of(new ByHand(hand.place(), hand.value()));
                        case Doing.Left left -> List.of(new ByHand(left.place(), left.value()));
                    });
        }
        return treads;
    }

    private static List<Tread> of(CompiledSwitch compiled, Doing.Foot foot) {
        boolean releases = !compiled.sendings(Moment.RELEASE).isEmpty()
                || !compiled.steps(Moment.RELEASE).isEmpty();
        return switch (foot.moment()) {
            case PRESS, AGAIN -> List.of(new OnSwitch(releases ? Foot.DOWN : Foot.TAP, foot.at()));
            case RELEASE -> List.of(new OnSwitch(Foot.UP, foot.at()));
            case DOUBLE_PRESS -> List.of(new OnSwitch(Foot.TWICE, foot.at()));
            case HOLD ->
                compiled.pressAlsoWhenHeld() && releases
                        ? List.of(new OnSwitch(Foot.HOLD, foot.at()))
                        : List.of(new OnSwitch(Foot.HOLD, foot.at()), new OnSwitch(Foot.UP, foot.at()));
        };
    }
}
