package embrack.core.gear;

import embrack.core.name.Words;
import java.util.ArrayList;
import java.util.List;

/** A model in few words: what decides whether it can do a job. */
public final class Facts {

    private Facts() {}

    /** What it sends and what it answers to, in one line without a full stop. */
    public static String line(Model model) {
        List<String> facts = new ArrayList<>();
        model.board()
                .ifPresent(board -> facts.add("%s, sends %s, %s a press"
                        .formatted(
                                Words.count(board.switches(), "switch"),
                                board.sendsWords(),
                                Words.count(board.messagesPerPress(), "message"))));
        model.surface()
                .groups()
                .forEach(group ->
                        facts.add(Words.count(group.count(), group.type().words())));
        int rows = model.chart().rows().size();
        if (rows > 0) {
            facts.add("answers to %s on %s"
                    .formatted(
                            Words.count(rows, "message"),
                            Words.count(model.parts().size(), part(model))));
        }
        if (!model.chart().learnables().isEmpty()) {
            facts.add(
                    "learns %s".formatted(Words.count(model.chart().learnables().size(), "message")));
        }
        return facts.isEmpty()
                ? Words.count(
                                (int) model.ports().stream()
                                        .filter(p -> p.connector().carriesMidi())
                                        .count(),
                                "port") + " to pass messages on"
                : String.join("; ", facts);
    }

    private static String part(Model model) {
        return model.kind() == Kind.MIXER ? "strip" : "part";
    }
}
