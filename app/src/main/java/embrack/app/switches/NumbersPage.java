package embrack.app.switches;

import embrack.core.chart.LearnableId;
import embrack.core.chart.Learned;
import embrack.core.check.Report;
import embrack.core.edit.NumberEdit;
import embrack.core.effort.Writing;
import embrack.core.gear.Purpose;
import embrack.core.midi.Channel;
import embrack.core.numbers.Channels;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.text.Numbers;
import embrack.core.way.Ways;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Numbers and channels of a rig.
 *
 * @param senders boxes with switches or controls, a row each
 * @param channelChanges what would change if every receiver got its own, each a sentence
 * @param learners devices that have learned, with what
 * @param renumbered what would change if all were chosen anew, each a sentence
 */
record NumbersPage(
        List<Receiver> receivers,
        List<Sender> senders,
        List<String> channelChanges,
        List<Learner> learners,
        List<String> renumbered) {

    /** A column. {@code proposed} is empty when the channel is as it should be. */
    record Receiver(String name, String channel, String proposed) {}

    /** A row: the word and the tone of each cell. */
    record Sender(String name, List<Cell> cells) {}

    /** Whether a receiver hears a sender and is meant by it. */
    record Cell(String words, boolean isMeant, boolean isHeard) {}

    /**
     * A device that learns.
     *
     * @param inputs how many inputs it has to assign; 0 when it learns as many as it can do
     * @param memories how many memories the show uses, and how many there are; both 0 for none
     * @param writing what writing the inputs into them takes, a line for each way
     */
    record Learner(
            String id,
            String name,
            boolean hasChannel,
            int inputs,
            String inShow,
            String taken,
            int memories,
            List<String> writing,
            List<Row> rows) {}

    /** Something learned. */
    record Row(
            String learnable,
            String words,
            String type,
            String channel,
            int number,
            boolean isPinned,
            boolean alternating,
            String low,
            String high) {}

    static NumbersPage of(Report report) {
        Plan plan = report.plan();
        var matrix = Channels.Matrix.of(plan.rig(), new Ways(plan.rig()), plan.controllers());
        Map<DeviceId, Set<DeviceId>> meant = plan.meant();
        Map<DeviceId, Channel> proposed = Channels.proposed(plan.rig(), meant, plan.sendsOn());
        List<Receiver> receivers = matrix.receivers().stream()
                .map(id -> receiver(plan, id, Optional.ofNullable(proposed.get(id))))
                .toList();
        return new NumbersPage(
                receivers,
                matrix.senders().stream()
                        .map(sender -> new Sender(
                                plan.rig().name(sender).text(),
                                matrix.receivers().stream()
                                        .map(receiver -> cell(
                                                matrix.hears(receiver, sender),
                                                meant.getOrDefault(sender, Set.of())
                                                        .contains(receiver)))
                                        .toList()))
                        .toList(),
                proposed.entrySet().stream()
                        .filter(e -> differs(plan, e.getKey(), e.getValue()))
                        .map(e -> "%s: channel %d becomes %d."
                                .formatted(
                                        plan.rig().name(e.getKey()),
                                        plan.rig()
                                                .setting(e.getKey(), Purpose.RECEIVE_CHANNEL)
                                                .orElseThrow(),
                                        e.getValue().number()))
                        .toList(),
                plan.rig().devices().stream()
                        .filter(d ->
                                !plan.rig().model(d.id()).chart().learnables().isEmpty())
                        .map(d -> learner(plan, d))
                        .toList(),
                renumbered(plan));
    }

    private static Receiver receiver(Plan plan, DeviceId id, Optional<Channel> proposed) {
        boolean all = plan.rig().implementation(id).quirks().hearsAllChannels();
        return new Receiver(
                plan.rig().name(id).text(),
                all
                        ? "all"
                        : plan.rig()
                                .setting(id, Purpose.RECEIVE_CHANNEL)
                                .map(c -> "ch " + c)
                                .orElse("as learned"),
                proposed.filter(channel -> differs(plan, id, channel))
                        .map(c -> String.valueOf(c.number()))
                        .orElse(""));
    }

    private static boolean differs(Plan plan, DeviceId id, Channel channel) {
        return plan.rig()
                .setting(id, Purpose.RECEIVE_CHANNEL)
                .filter(set -> set == channel.number())
                .isEmpty();
    }

    private static Cell cell(boolean hears, boolean meant) {
        return new Cell(meant && hears ? "meant" : hears ? "hears" : meant ? "not reached" : "", meant, hears);
    }

    private static Learner learner(Plan plan, Device device) {
        DeviceId id = device.id();
        int inputs = plan.rig().model(id).implementation().quirks().assignableInputs();
        Writing writing = Writing.of(plan.rig(), id);
        List<String> lines = inputs == 0 || writing.slots() == 0
                ? List.of()
                : List.of(
                        "Template first: %d inputs of %d settings, %d in all, and %d writes: %s."
                                .formatted(
                                        writing.slotsByTemplate(),
                                        Writing.SETTINGS_EACH,
                                        writing.settingsByTemplate(),
                                        writing.writes(),
                                        writing.byTemplate().words()),
                        "Memory by memory: %d inputs, %d settings in all, and %d writes: %s."
                                .formatted(
                                        writing.slotsByMemory(),
                                        writing.settingsByMemory(),
                                        writing.writes(),
                                        writing.byMemory().words()));
        return new Learner(
                id.text(),
                device.name().text(),
                plan.rig().model(id).setting(Purpose.RECEIVE_CHANNEL).isPresent(),
                inputs,
                Numbers.text(device.memories().inShow()),
                Numbers.text(device.memories().taken()),
                plan.rig().model(id).memory().memories(),
                lines,
                device.learned().entrySet().stream()
                        .map(e -> row(plan, device, e.getKey(), e.getValue()))
                        .toList());
    }

    private static Row row(Plan plan, Device device, LearnableId learnable, Learned learned) {
        return new Row(
                learnable.key(),
                words(plan, device, learnable),
                learned.type().name(),
                learned.channel().map(c -> String.valueOf(c.number())).orElse(""),
                learned.number(),
                learned.pinned(),
                learned.response().alternating(),
                plan.shown(device.id(), learnable, learned.response().low()),
                plan.shown(device.id(), learnable, learned.response().high()));
    }

    private static String words(Plan plan, Device device, LearnableId learnable) {
        return "%s %s".formatted(learnable.verb().words(), plan.rig().partName(device.id(), learnable.part()));
    }

    private static List<String> renumbered(Plan plan) {
        Plan anew = new NumberEdit.Renumber().apply(plan);
        List<String> lines = new ArrayList<>();
        for (Device device : plan.rig().devices()) {
            Map<LearnableId, Learned> after = anew.rig().device(device.id()).learned();
            device.learned().forEach((learnable, learned) -> {
                Learned now = after.getOrDefault(learnable, learned);
                if (!now.equals(learned)) {
                    lines.add("%s, %s: %s %d becomes %s %d."
                            .formatted(
                                    device.name(),
                                    words(plan, device, learnable),
                                    learned.type().shortName(),
                                    learned.number(),
                                    now.type().shortName(),
                                    now.number()));
                }
            });
        }
        return lines;
    }
}
