package embrack.core.gear;

import embrack.core.chart.Action;
import embrack.core.chart.Aspect;
import embrack.core.chart.Chart;
import embrack.core.chart.ChartRow;
import embrack.core.chart.ChartWriter;
import embrack.core.chart.LearnableId;
import embrack.core.chart.Learned;
import embrack.core.chart.MessageMemory;
import embrack.core.chart.Part;
import embrack.core.chart.PartId;
import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SortedMap;
import java.util.stream.Stream;

/**
 * What a box answers to.
 *
 * @param chart which message makes it do what: what the manual says, and what is sent
 * @param reality what it really does when a message arrives, in the same language; empty when it obeys its chart
 */
public record Implementation(Chart chart, Chart reality, Quirks quirks) {

    /** A box that answers to nothing. */
    public static final Implementation NOTHING = new Implementation(Chart.EMPTY, Chart.EMPTY, Quirks.NONE);

    private static final Channel ANY = new Channel(Channel.FIRST);

    /** A box that obeys its chart. */
    public static Implementation of(Chart chart) {
        return new Implementation(chart, Chart.EMPTY, Quirks.NONE);
    }

    /** As this, with habits. */
    public Implementation with(Quirks others) {
        return new Implementation(chart, reality, others);
    }

    /** What can be acted on, in the order of the chart. */
    public List<Part> parts() {
        if (reality.isEmpty()) {
            return chart.parts();
        }
        Map<PartId, Part> parts = new LinkedHashMap<>();
        Stream.concat(chart.parts().stream(), reality.parts().stream())
                .forEach(part -> parts.putIfAbsent(part.id(), part));
        return List.copyOf(parts.values());
    }

    /** What can differ about a part. */
    public Set<Aspect> aspects(PartId part) {
        if (reality.isEmpty()) {
            return chart.aspects(part);
        }
        Set<Aspect> aspects = EnumSet.noneOf(Aspect.class);
        aspects.addAll(chart.aspects(part));
        aspects.addAll(reality.aspects(part));
        return aspects;
    }

    /**
     * What the box does when a message arrives.
     *
     * @param heard what it heard before
     * @param onItsChannel whether the message is on the channel that the box listens to; system messages always are
     */
    public List<Action> reactionsTo(Message message, MessageMemory heard, boolean onItsChannel) {
        return message.isRelease() && !quirks.actsOnNoteOff()
                ? List.of()
                : obeyed().reactionsTo(taken(message), heard, onItsChannel);
    }

    /** What the box remembers when one more message has come. */
    public MessageMemory remember(MessageMemory heard, Message message) {
        return obeyed().remember(heard, taken(message));
    }

    /** What the box may do when a message arrives, whatever came before. */
    public List<Action> possibleReactionsTo(Message message, boolean onItsChannel) {
        return message.isRelease() && !quirks.actsOnNoteOff()
                ? List.of()
                : obeyed().possibleReactionsTo(taken(message), onItsChannel);
    }

    /** What of what came before decides what a message means to the box. */
    public Set<MessageMemory.Key> decidedBy(Message message, boolean onItsChannel) {
        return message.isRelease() && !quirks.actsOnNoteOff()
                ? Set.of()
                : obeyed().decidedBy(taken(message), onItsChannel);
    }

    /** What a message may change of what the box remembers. */
    public Set<MessageMemory.Key> changedBy(Message message) {
        return obeyed().changedBy(taken(message));
    }

    /** What the box takes a message for: a release for a note, where it acts on releases. */
    private Message taken(Message message) {
        return quirks.actsOnNoteOff() && message.isRelease() && message instanceof Message.Voice release
                ? new Message.NoteOn(release.channel(), release.data1(), 127)
                : message;
    }

    /**
     * What the box really does with the messages that its chart gives for an action; just the action, if the chart is
     * right.
     */
    public List<Action> reactionsToChart(Action action) {
        MessageMemory heard = MessageMemory.NOTHING;
        List<Action> done = List.of();
        for (Message message : chart.messagesFor(action, ANY).orElse(List.of())) {
            done = reactionsTo(message, heard, true);
            heard = remember(heard, message);
        }
        return done;
    }

    /** The actions whose messages make the box do something else, or nothing. */
    public List<Action> contradictedActions() {
        return reality.isEmpty()
                ? List.of()
                : chart.rows().stream()
                        .flatMap(row -> row.actions().stream())
                        .filter(action -> !reactionsToChart(action).equals(List.of(action)))
                        .toList();
    }

    /** How the line of the chart for an action misses what the box obeys. */
    public Slip slip(Action action) {
        return Slip.of(
                chart.messagesFor(action, ANY).orElse(List.of()),
                reality.messagesFor(action, ANY).orElse(List.of()));
    }

    /**
     * With the rows of the chart replaced by those that the box obeys; rows that it obeys in no way stay as they are.
     */
    public Implementation corrected() {
        List<ChartRow> rows = chart.rows().stream()
                .map(row -> reality.rows().stream()
                        .filter(real -> real.verb() == row.verb()
                                && real.part().id().equals(row.part().id()))
                        .findFirst()
                        .map(real -> new ChartRow(row.verb(), row.part(), real.triggers()))
                        .orElse(row))
                .toList();
        return new Implementation(
                rows.equals(chart.rows())
                        ? chart
                        : Chart.of(ChartWriter.write(chart.conventions(), rows, chart.learnables(), chart.beside())),
                reality,
                quirks);
    }

    /** As this, of a box that has learned. */
    public Implementation taught(Map<LearnableId, Learned> learned) {
        return learned.isEmpty() ? this : new Implementation(chart.taught(learned), reality.taught(learned), quirks);
    }

    /** As this, of a box whose program table was edited; by the program as sent. */
    public Implementation edited(SortedMap<Integer, PartId> table) {
        return table.isEmpty() ? this : new Implementation(chart.edited(table), reality.edited(table), quirks);
    }

    /** Whether what came before can decide what a message means to the box. */
    public boolean remembers() {
        return obeyed().remembers();
    }

    private Chart obeyed() {
        return reality.isEmpty() ? chart : reality;
    }
}
