package embrack.core.gear.question;

import embrack.core.chart.ChartRow;
import embrack.core.chart.ChartWords;
import embrack.core.chart.Learnable;
import embrack.core.chart.Verb;
import embrack.core.gear.Board;
import embrack.core.gear.Connector;
import embrack.core.gear.ControlGroup;
import embrack.core.gear.ControlType;
import embrack.core.gear.Gesture;
import embrack.core.gear.Model;
import embrack.core.gear.Port;
import embrack.core.gear.Power;
import embrack.core.midi.MessageType;
import embrack.core.name.Words;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** One thing that a box should be able to do, before it is bought, hired or taken along. */
public sealed interface Question {

    /**
     * Whether a model can do it, and by what, or why not.
     *
     * @param known all models that are known; what a sender needs to send is what they answer to
     */
    Answer answer(Model model, Collection<Model> known);

    /** The question in words, as it can be typed: "mute by control change". */
    String words();

    /** Has a box done something, or does it itself. {@code by} narrows it to one type of message. */
    record Does(Verb verb, Optional<MessageType> by) implements Question {

        @Override
        public String words() {
            return verb.phrase()
                    + by.map(type -> " by " + type.plural().replaceFirst("s$", ""))
                            .orElse("");
        }

        @Override
        public Answer answer(Model model, Collection<Model> known) {
            Optional<ChartRow> row = rows(model)
                    .filter(r -> by.isEmpty() || r.last().type() == by.get())
                    .findFirst();
            if (row.isPresent()) {
                return Answer.yes("Answers to it: %s is \"%s %s\"."
                        .formatted(
                                ChartWords.of(row.get().last(), model.chart().conventions()),
                                row.get().verb().phrase(),
                                row.get().part().name()));
            }
            Optional<Learnable> learnable = model.chart().learnables().stream()
                    .filter(l -> isMeant(l.verb()))
                    .filter(l -> by.isEmpty() || l.types().contains(by.get()))
                    .findFirst();
            if (learnable.isPresent()) {
                return Answer.yes("Learns it for \"%s %s\"."
                        .formatted(
                                learnable.get().verb().phrase(),
                                learnable.get().part().name()));
            }
            Set<MessageType> sends = sends(model);
            return sends.isEmpty() ? Answer.no(deaf(model)) : sender(sends, known);
        }

        /** A box that sends can have it done if what it sends makes any box that is known do it. */
        private Answer sender(Set<MessageType> sends, Collection<Model> known) {
            Set<MessageType> needed = by.map(type -> (Set<MessageType>) new TreeSet<>(Set.of(type)))
                    .orElseGet(() -> known.stream()
                            .flatMap(this::rows)
                            .map(r -> r.last().type())
                            .collect(Collectors.toCollection(TreeSet::new)));
            Set<MessageType> fitting = new TreeSet<>(needed);
            fitting.retainAll(sends);
            String sent = Words.list(sends.stream().map(MessageType::plural).toList());
            if (fitting.isEmpty()) {
                return Answer.no(
                        needed.isEmpty()
                                ? "No box that is known answers to a message for it."
                                : "Sends %s only; for this %s are needed."
                                        .formatted(
                                                sent,
                                                Words.list(needed.stream()
                                                        .map(MessageType::plural)
                                                        .toList())));
            }
            return Answer.byAnother("Can have it done: sends %s."
                    .formatted(
                            Words.list(fitting.stream().map(MessageType::plural).toList())));
        }

        private String deaf(Model model) {
            Optional<ChartRow> other = rows(model).findFirst();
            return other.isPresent() && by.isPresent()
                    ? "Answers to %s for that, not to %s."
                            .formatted(
                                    other.get().last().type().plural(), by.get().plural())
                    : model.chart().isEmpty()
                            ? "Answers to nothing and sends nothing of its own."
                            : "Its chart has no line for it.";
        }

        private Stream<ChartRow> rows(Model model) {
            return model.chart().rows().stream().filter(row -> isMeant(row.verb()));
        }

        /** The verb itself, or the one that does it and its opposite by turns. */
        private boolean isMeant(Verb found) {
            return found == verb || verb.alternating().filter(found::equals).isPresent();
        }
    }

    /** Sends a type of message. */
    record Sends(MessageType type) implements Question {

        @Override
        public String words() {
            return "sends " + type.plural();
        }

        @Override
        public Answer answer(Model model, Collection<Model> known) {
            Set<MessageType> sends = sends(model);
            return sends.contains(type)
                    ? Answer.yes("Sends %s.".formatted(type.plural()))
                    : Answer.no(
                            sends.isEmpty()
                                    ? "Sends nothing of its own."
                                    : "Sends %s only."
                                            .formatted(Words.list(sends.stream()
                                                    .map(MessageType::plural)
                                                    .toList())));
        }
    }

    /** Sends so many messages in one press. */
    record PerPress(int atLeast) implements Question {

        @Override
        public String words() {
            return "at least %s a press".formatted(Words.count(atLeast, "message"));
        }

        @Override
        public Answer answer(Model model, Collection<Model> known) {
            return onBoard(
                    model,
                    board -> Answer.of(
                            board.messagesPerPress() >= atLeast,
                            "Sends %s a press.".formatted(Words.count(board.messagesPerPress(), "message"))));
        }
    }

    /** Has so many switches in a bank. */
    record Switches(int atLeast) implements Question {

        @Override
        public String words() {
            return "at least %s".formatted(Words.count(atLeast, "switch"));
        }

        @Override
        public Answer answer(Model model, Collection<Model> known) {
            return onBoard(
                    model,
                    board -> Answer.of(
                            board.switches() >= atLeast, "Has %s.".formatted(Words.count(board.switches(), "switch"))));
        }
    }

    /** Tells a gesture apart from a press. */
    record Tells(Gesture gesture) implements Question {

        @Override
        public String words() {
            return "tells a %s".formatted(gesture.words());
        }

        @Override
        public Answer answer(Model model, Collection<Model> known) {
            return onBoard(
                    model,
                    board -> Answer.of(
                            board.gestures().contains(gesture),
                            "Knows %s."
                                    .formatted(Words.list(board.gestures().stream()
                                            .map(Gesture::words)
                                            .toList()))));
        }
    }

    /** Has controls of a type. */
    record Has(ControlType type) implements Question {

        @Override
        public String words() {
            return "has " + type.plural();
        }

        @Override
        public Answer answer(Model model, Collection<Model> known) {
            return model.surface().groups().stream()
                    .filter(group -> group.type() == type)
                    .findFirst()
                    .map(group -> Answer.yes("Has %s.".formatted(Words.count(group.count(), type.words()))))
                    .orElseGet(() -> Answer.no("Has no %s.".formatted(type.plural())));
        }
    }

    /** Is selected by programs, a run of at least eight. */
    record ProgramTable() implements Question {

        private static final int A_TABLE = 8;

        @Override
        public String words() {
            return "program table";
        }

        @Override
        public Answer answer(Model model, Collection<Model> known) {
            List<ChartRow> programs = model.chart().rows().stream()
                    .filter(row -> row.last().type() == MessageType.PROGRAM_CHANGE)
                    .toList();
            return programs.size() >= A_TABLE
                    ? Answer.yes("%d programs, %s to %s."
                            .formatted(
                                    programs.size(),
                                    programs.getFirst().part().name(),
                                    programs.getLast().part().name()))
                    : Answer.no(
                            programs.isEmpty()
                                    ? "Answers to no program change."
                                    : "Answers to %s only.".formatted(Words.count(programs.size(), "program change")));
        }
    }

    /** Has a port of a kind. */
    record Joins(Connector connector) implements Question {

        @Override
        public String words() {
            return "has " + connector.words();
        }

        @Override
        public Answer answer(Model model, Collection<Model> known) {
            List<Port> ports = model.ports().stream()
                    .filter(port -> port.connector() == connector)
                    .toList();
            return ports.isEmpty()
                    ? Answer.no("Has no %s port.".formatted(connector.words()))
                    : Answer.yes("Has %s."
                            .formatted(Words.list(ports.stream().map(Port::name).toList())));
        }
    }

    /** Runs from a source. */
    record RunsFrom(Power.Source source) implements Question {

        @Override
        public String words() {
            return "runs from " + source.words();
        }

        @Override
        public Answer answer(Model model, Collection<Model> known) {
            return model.power()
                    .map(power -> Answer.of(power.sources().contains(source), "Runs from %s.".formatted(power.words())))
                    .orElseGet(() -> Answer.no("What it runs from is not known, or it lives in a computer."));
        }
    }

    private static Answer onBoard(Model model, Function<Board, Answer> answer) {
        return model.board().map(answer).orElseGet(() -> Answer.no("Has no switches to press."));
    }

    private static Set<MessageType> sends(Model model) {
        Set<MessageType> types = new TreeSet<>();
        model.board().ifPresent(board -> types.addAll(board.sends()));
        model.surface().groups().stream().map(ControlGroup::sends).forEach(types::addAll);
        return types;
    }
}
