package embrack.core.line;

import embrack.core.gear.Board;
import embrack.core.gear.ShownMessage;
import embrack.core.midi.Message;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.switches.Moment;
import embrack.core.switches.SwitchAt;
import embrack.core.word.Fact;
import embrack.core.word.Phrase;
import java.util.List;

/** What a check found, to be said: in a word, as a sentence, and what to do at the box. */
public record Telling(Plan plan, Planned planned) {

    static final String ROOM = "core/line";

    /** In a word or two: "one low". */
    public Phrase brief(Amiss amiss) {
        return about("brief", amiss);
    }

    /** What came and what was planned. */
    public Phrase what(Amiss amiss, Came came) {
        List<Message> first =
                came.bursts().isEmpty() ? List.of() : came.bursts().getFirst().content();
        return about("what", amiss).with("came", lines(first)).with("planned", lines(planned.messages()));
    }

    /** What to do at the box, in a line. */
    public Phrase todo(Amiss amiss) {
        return about("do", amiss).with("planned", lines(planned.messages()));
    }

    /** What is pressed as it stands at the switch, with what is done beside pressing: "B 3", "3 hold". */
    public static String number(Plan plan, Task task) {
        String bank = plan.banks(task.box()) > 1 ? plan.bankName(task.at()) + " " : "";
        String how = task.how() == Moment.PRESS ? "" : " " + task.how().words();
        return bank + task.at().place() + how;
    }

    /** What stands on the tape of a switch; the switch itself where it wears none. */
    public static String tape(Plan plan, SwitchAt at) {
        return plan.switches().at(at).label().map(TapeLabel::text).orElse(at.words());
    }

    /** Both: "B 3, Harbour light". */
    public static String name(Plan plan, Task task) {
        return "%s, %s".formatted(number(plan, task), tape(plan, task.at()));
    }

    /** The messages as the box shows them: "ch 2 CC 40 127". */
    public List<String> lines(List<Message> messages) {
        Board board = plan.board(planned.task().at());
        return messages.stream()
                .map(message -> ShownMessage.on(board, message).line().replaceAll(" +", " "))
                .toList();
    }

    private String line(Message message) {
        return lines(List.of(message)).getFirst();
    }

    private Phrase about(String sort, Amiss amiss) {
        Phrase phrase = Phrase.of(ROOM, sort + "." + key(amiss))
                .with("at", name(plan, planned.task()))
                .with("box", planned.task().box());
        return switch (amiss) {
            case Amiss.OnChannel on ->
                phrase.with("channel", on.came().number())
                        .with("right", on.planned().number())
                        .with("listening", on.listening());
            case Amiss.OffBy off ->
                phrase.with("by", Math.abs(off.by()))
                        .with("side", Fact.word(off.by() > 0 ? "high" : "low"))
                        .with("sort", Fact.word(sort(planned.messages().getFirst())));
            case Amiss.WrongWay way -> phrase.with("value", line(way.came())).with("right", line(way.planned()));
            case Amiss.OtherValue value ->
                phrase.with("value", line(value.came())).with("right", line(value.planned()));
            case Amiss.OtherSwitch other -> phrase.with("other", name(plan, other.other()));
            case Amiss.Exchanged other -> phrase.with("other", name(plan, other.other()));
            case Amiss.BanksExchanged banks ->
                phrase.with("here", bank(banks.here())).with("there", bank(banks.there()));
            case Amiss.NoRelease up -> phrase.with("up", lines(up.planned()));
            case Amiss.More more -> phrase.with("extra", lines(more.extra()));
            case Amiss.Fewer fewer -> phrase.with("missing", lines(fewer.missing()));
            case Amiss.OtherType type -> phrase.with("value", line(type.came())).with("right", line(type.planned()));
            case Amiss.Waits waits -> phrase.with("millis", waits.came()).with("right", waits.planned());
            default -> phrase;
        };
    }

    private static String sort(Message message) {
        return switch (message) {
            case Message.ProgramChange m -> "program";
            case Message.NoteOn m -> "note";
            case Message.NoteOff m -> "note";
            default -> "controller";
        };
    }

    private String bank(int number) {
        return plan.bankName(planned.task().at().inBank(number)).text();
    }

    private static String key(Amiss amiss) {
        return switch (amiss) {
            case Amiss.Nothing n -> "nothing";
            case Amiss.OnChannel n -> "on-channel";
            case Amiss.OffBy n -> "off-by";
            case Amiss.WrongWay n -> "wrong-way";
            case Amiss.OtherValue n -> "other-value";
            case Amiss.OtherSwitch n -> "other-switch";
            case Amiss.Exchanged n -> "exchanged";
            case Amiss.BanksExchanged n -> "banks-exchanged";
            case Amiss.Doubled n -> "doubled";
            case Amiss.Alternates n -> "alternates";
            case Amiss.Momentary n -> "momentary";
            case Amiss.NeverTurns n -> "never-turns";
            case Amiss.NoRelease n -> "no-release";
            case Amiss.More n -> "more";
            case Amiss.Fewer n -> "fewer";
            case Amiss.Order n -> "order";
            case Amiss.OtherType n -> "other-type";
            case Amiss.Waits n -> "waits";
            case Amiss.Unlike n -> "unlike";
        };
    }
}
