package embrack.core.gear;

import embrack.core.chart.Part;
import embrack.core.chart.PartId;
import embrack.core.chart.Standing;
import embrack.core.name.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

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
        if (model.isForSoundAlone()) {
            facts.add(sound(model));
        }
        return facts.isEmpty()
                ? Words.count(
                                (int) model.ports().stream()
                                        .filter(p -> p.connector().carriesMidi())
                                        .count(),
                                "port") + " to pass messages on"
                : String.join("; ", facts);
    }

    /** How large it is: "10 switches, 1 expression pedal", "24 strips"; of a box that passes on, its ports. */
    public static String size(Model model) {
        List<String> facts = new ArrayList<>();
        model.board().ifPresent(board -> facts.add(Words.count(board.switches(), "switch")));
        model.surface()
                .groups()
                .forEach(group ->
                        facts.add(Words.count(group.count(), group.type().words())));
        if (facts.isEmpty() && !model.parts().isEmpty()) {
            facts.add(model.kind() == Kind.MIXER ? Words.count(model.parts().size(), "strip") : firstFamily(model));
        }
        if (facts.isEmpty() && !model.isApp()) {
            long in = model.midiPorts().stream()
                    .filter(port -> port.direction().isReceiving())
                    .count();
            long out = model.midiPorts().stream()
                    .filter(port -> port.direction().isSending())
                    .count();
            facts.add(
                    in + out > 0
                            ? "%d in, %d out".formatted(in, out)
                            : model.isForSoundAlone()
                                    ? sound(model)
                                    : model.kind().words());
        }
        return String.join(", ", facts);
    }

    /** What of sound goes into it and comes out. */
    private static String sound(Model model) {
        return Words.list(Stream.of(
                        Words.count(model.inputs().size(), "sound input"),
                        Words.count(model.outputs().size(), "sound output"))
                .filter(count -> !count.startsWith("0 "))
                .toList());
    }

    private static String firstFamily(Model model) {
        List<PartId> memories =
                model.standing().loading().map(Standing.Loading::memories).orElse(List.of());
        List<String> families = model.parts().stream()
                .filter(part -> !memories.contains(part.id()))
                .map(Part::family)
                .toList();
        String family = families.stream()
                .filter(name -> families.indexOf(name) != families.lastIndexOf(name))
                .findFirst()
                .orElse(model.parts().getFirst().family());
        return Words.count(
                (int) model.parts().stream()
                        .filter(part -> part.family().equals(family))
                        .count(),
                family.toLowerCase(Locale.ROOT));
    }

    private static String part(Model model) {
        return model.kind() == Kind.MIXER ? "strip" : "part";
    }
}
