package embrack.app.gear;

import embrack.core.begin.Beginning;
import embrack.core.begin.Beginnings;
import embrack.core.offer.Missing;
import embrack.core.offer.Unjoined;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import java.util.List;

/**
 * What an empty rig asks for, and what of it is answered.
 *
 * @param senders tape of what is pressed or moved
 * @param receivers tape of what obeys
 * @param joins what could be joined now
 * @param isJoined whether something is
 * @param firstSwitch where to say what a switch does, behind the path of the rig; empty before anything is joined
 * @param ways ways of working to begin from; none once a box is there
 */
record FirstSteps(
        List<String> senders,
        List<String> receivers,
        List<Pair> joins,
        boolean isJoined,
        String firstSwitch,
        List<Way> ways) {

    /** As many are offered at once. */
    private static final int MOST_JOINS = 3;

    /** Two boxes that could be joined. */
    record Pair(String sender, String receiver, String words) {}

    /** A way of working. */
    record Way(String key, String title, String story) {}

    static FirstSteps of(Plan plan, List<Unjoined> unjoined) {
        List<DeviceId> senders = plan.rig().devices().stream()
                .map(device -> device.id())
                .filter(box -> plan.boards().contains(box) || plan.controllers().contains(box))
                .toList();
        List<String> receivers = plan.rig().devices().stream()
                .filter(device -> !senders.contains(device.id()))
                .filter(device -> !plan.rig().model(device.id()).parts().isEmpty())
                .map(device -> device.name().text())
                .toList();
        boolean joined = Missing.of(plan)
                .filter(missing -> missing.step() == Missing.Step.SAY)
                .isPresent();
        return new FirstSteps(
                senders.stream().map(box -> plan.rig().name(box).text()).toList(),
                receivers,
                unjoined.stream()
                        .limit(MOST_JOINS)
                        .map(pair -> pair(plan, pair))
                        .toList(),
                joined,
                joined ? "/switches" : "",
                plan.rig().devices().isEmpty()
                        ? Beginnings.all().stream().map(FirstSteps::way).toList()
                        : List.of());
    }

    private static Pair pair(Plan plan, Unjoined unjoined) {
        return new Pair(
                unjoined.sender().text(),
                unjoined.receiver().text(),
                "Join %s to %s"
                        .formatted(
                                plan.rig().name(unjoined.sender()), plan.rig().name(unjoined.receiver())));
    }

    private static Way way(Beginning way) {
        return new Way(way.key(), way.title(), way.story());
    }
}
