package embrack.app.switches;

import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.SwitchAt;
import embrack.core.world.World;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The presses made on the page so far, as they travel in a link: {@code 0.1.3} is the first board's bank 1, switch 3.
 * What is no longer on any board is passed over.
 *
 * @param fromMuted whether all began muted; else all began open, as at power-on
 */
record Played(boolean fromMuted, List<SwitchAt> presses) {

    /** Stands first in a link when all began muted. */
    static final String MUTED = "muted";

    /** More than this would not fit into a link; the oldest state would have to be forgotten. */
    static final int MOST = 250;

    private static final Pattern PRESS = Pattern.compile("(\\d{1,3})\\.(\\d{1,3})\\.(\\d{1,3})");

    static Played parse(Plan plan, String played, String press) {
        List<SwitchAt> presses = new ArrayList<>();
        Stream.concat(Stream.of(played.split("_")), Stream.of(press))
                .flatMap(text -> press(plan, text).stream())
                .limit(MOST)
                .forEach(presses::add);
        return new Played(played.startsWith(MUTED), presses);
    }

    World start(Plan plan) {
        return fromMuted ? World.opposite(plan.rig()) : World.poweredOn(plan.rig());
    }

    boolean isFull() {
        return presses.size() >= MOST;
    }

    String text(Plan plan) {
        return Stream.concat(
                        fromMuted ? Stream.of(MUTED) : Stream.of(),
                        presses.stream().map(at -> text(plan, at)))
                .collect(Collectors.joining("_"));
    }

    static String text(Plan plan, SwitchAt at) {
        return "%d.%d.%d".formatted(plan.boards().indexOf(at.board()), at.bank(), at.number());
    }

    private static Optional<SwitchAt> press(Plan plan, String text) {
        Matcher matcher = PRESS.matcher(text);
        List<DeviceId> boards = plan.boards();
        if (!matcher.matches() || Integer.parseInt(matcher.group(1)) >= boards.size()) {
            return Optional.empty();
        }
        DeviceId board = boards.get(Integer.parseInt(matcher.group(1)));
        int bank = Integer.parseInt(matcher.group(2));
        int number = Integer.parseInt(matcher.group(3));
        boolean exists = bank >= 1
                && bank <= plan.board(board).banks().size()
                && number >= 1
                && number <= plan.board(board).switches();
        return exists ? Optional.of(new SwitchAt(board, bank, number)) : Optional.empty();
    }
}
