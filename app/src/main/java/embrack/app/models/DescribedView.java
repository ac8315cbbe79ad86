package embrack.app.models;

import embrack.app.frame.Spoken;
import embrack.core.edit.Refused;
import embrack.core.line.Described;
import embrack.core.midi.Decoder;
import embrack.core.midi.Message;
import embrack.core.word.Phrase;
import java.util.List;
import java.util.stream.Stream;

/**
 * A board as far as it was pressed.
 *
 * @param text the text of the box with these lines in it
 * @param problem what is wrong with what was typed; empty if nothing
 * @param next what is to be pressed now
 */
record DescribedView(String text, String problem, String next, String lines, List<String> remarks) {

    private static final String ROOM = "app/models";
    private static final String NOTHING = "-";
    private static final int MOST_GOES = 4_096;

    /**
     * What was pressed, as a browser tells it.
     *
     * @param goes a line for each time the foot moved: bytes in hexadecimal, a blank between messages, or "-"
     */
    record Asked(String switches, String columns, String banks, String goes, String box) {}

    static DescribedView of(Asked asked) {
        try {
            return of(described(asked), asked.box());
        } catch (Refused refused) {
            return new DescribedView(asked.box(), Spoken.words().say(refused.phrase()), "", "", List.of());
        }
    }

    private static Described described(Asked asked) {
        int switches = number("switches", asked.switches());
        int columns = number("columns", asked.columns());
        List<String> banks = Stream.of(asked.banks().split(","))
                .map(String::strip)
                .filter(bank -> !bank.isEmpty())
                .toList();
        Described.Layout layout = Refused.at("switches", () -> new Described.Layout(switches, columns, banks));
        return new Described(
                layout,
                asked.goes()
                        .lines()
                        .limit(MOST_GOES)
                        .filter(go -> !go.isBlank())
                        .map(DescribedView::go)
                        .toList());
    }

    private static int number(String field, String typed) {
        if (!typed.strip().matches("\\d{1,3}")) {
            throw Refused.text(field, "Write how many switches lie in a bank, and how many in a row.");
        }
        return Integer.parseInt(typed.strip());
    }

    private static List<Message> go(String line) {
        String bytes = line.replace(" ", "");
        boolean readable = bytes.matches("(?:[0-9a-fA-F]{2}){1,2048}");
        return line.strip().equals(NOTHING) || !readable
                ? List.of()
                : Decoder.hex(bytes).messages();
    }

    private static DescribedView of(Described described, String box) {
        return new DescribedView(
                described.into(box),
                "",
                described
                        .next()
                        .map(next -> say(Phrase.of(ROOM, next.again() ? "described.again" : "described.next")
                                .with("number", next.number())
                                .with("bank", described.layout().banks().get(next.bank() - 1))
                                .with("banks", described.layout().banks().size())))
                        .orElseGet(() -> say(Phrase.of(ROOM, "described.done"))),
                String.join("\n", described.lines()),
                described.remarks().stream().map(DescribedView::say).toList());
    }

    private static String say(Phrase phrase) {
        return Spoken.words().say(phrase);
    }
}
