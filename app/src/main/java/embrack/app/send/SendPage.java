package embrack.app.send;

import embrack.app.frame.Mark;
import embrack.app.frame.Messages;
import embrack.app.frame.Spoken;
import embrack.app.store.LineStore;
import embrack.core.chart.ChartWords;
import embrack.core.chart.LearnableId;
import embrack.core.check.rule.Severity;
import embrack.core.midi.Identity;
import embrack.core.midi.Message;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.send.Answer;
import embrack.core.send.Asking;
import embrack.core.send.Caution;
import embrack.core.send.Halving;
import embrack.core.send.Mishap;
import embrack.core.send.OneByOne;
import embrack.core.send.Probe;
import embrack.core.send.Search;
import embrack.core.send.Teaching;
import embrack.core.way.Delay;
import embrack.core.way.Timing;
import embrack.core.way.Ways;
import embrack.core.word.Phrase;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What boxes are asked, as its page shows it.
 *
 * @param turn counts what happened to it, so that a page knows whether it is behind
 * @param boxes those that are asked
 * @param boxKey the one that is looked at
 * @param identity who it says that it is; empty while it was not asked
 * @param before what to mind before anything is sent to it
 * @param rows what it is asked
 * @param todos what to do at it, for what it did not do
 * @param lessons what it learns; nothing for most
 * @param search what is looked for at it; empty when nothing is
 * @param loops how long messages took
 * @param choices what else can move
 */
record SendPage(
        long turn,
        int done,
        int count,
        boolean isAllRight,
        List<BoxTab> boxes,
        String boxKey,
        String box,
        String place,
        String identity,
        List<String> before,
        List<Row> rows,
        List<String> todos,
        List<Lesson> lessons,
        Optional<Looking> search,
        List<Loop> loops,
        List<Choice> choices) {

    private static final String ROOM = "app/send";

    /** A box that is asked. {@code checked} who answered last, and when; empty while nobody did. */
    record BoxTab(String key, String name, String place, String figure, int amiss, String checked, boolean isHere) {}

    /**
     * Something a box is asked.
     *
     * @param words "mute Return 2"
     * @param mark empty while it is to do
     * @param prompt what is asked, where it is this one's turn
     */
    record Row(
            String key,
            String words,
            List<String> messages,
            Optional<Mark> mark,
            String state,
            Optional<Prompt> prompt) {}

    /**
     * What is sent, then asked.
     *
     * @param question "Did Vocal mixer mute Return 2?"
     * @param cautions what of it can hurt somebody
     * @param again whether it goes only when somebody says yes to just this
     * @param isSent whether it was sent, so that it can be answered
     */
    record Prompt(String question, List<String> cautions, boolean again, boolean isSent) {}

    /** What a box learns. {@code isDone} whether somebody ticked that it has learned it, as it is planned now. */
    record Lesson(String key, String words, String message, boolean isDone) {}

    /**
     * What is looked for.
     *
     * @param words how far it is, or what was found
     * @param next what the button sends
     * @param isAsked whether what was sent can be answered
     * @param line of a chart, for what was found; empty before
     */
    record Looking(
            String words,
            String next,
            boolean isOneByOne,
            boolean isAskingBack,
            boolean isAsked,
            boolean isOver,
            String line) {}

    /**
     * How long messages took, and what was worked out, in ms.
     *
     * @param taken what of it the plan has taken over; empty when nothing
     */
    record Loop(String sender, String heard, String way, String measured, String computed, String who, String taken) {}

    /** A part of a box that may have moved instead. */
    record Choice(String key, String words) {}

    /** {@code taught} the keys of what sheets say of learning that is ticked. */
    static SendPage of(
            Plan plan,
            Sendings.Standing standing,
            Map<String, LineStore.Told> kept,
            List<LineStore.Loop> loops,
            Map<DeviceId, LineStore.Known> identities,
            Set<String> taught) {
        Asking asking = standing.asking();
        List<Probe> all = asking.probes().all();
        Optional<DeviceId> box = asking.where();
        int done = (int)
                all.stream().filter(probe -> !asking.result(probe).isToDo()).count();
        return new SendPage(
                standing.turn(),
                done,
                all.size(),
                done == all.size() && asking.amiss().isEmpty() && done > 0,
                asking.probes().boxes().stream()
                        .map(one -> tab(
                                plan, asking, kept, one, box.filter(one::equals).isPresent()))
                        .toList(),
                box.map(DeviceId::text).orElse(""),
                box.map(one -> plan.rig().name(one).text()).orElse(""),
                box.map(one -> plan.rig().area(one).words()).orElse(""),
                box.flatMap(one -> Optional.ofNullable(identities.get(one)))
                        .map(SendPage::identity)
                        .orElse(""),
                box.map(one -> Caution.before(plan, one).stream()
                                .map(SendPage::say)
                                .toList())
                        .orElse(List.of()),
                box.map(one -> rows(plan, asking, one)).orElse(List.of()),
                box.map(one -> todos(plan, asking, one)).orElse(List.of()),
                box.map(one -> lessons(plan, one, taught)).orElse(List.of()),
                standing.search()
                        .filter(search -> box.filter(search.box()::equals).isPresent())
                        .map(search -> looking(plan, search)),
                loops(plan, loops),
                choices(plan, asking));
    }

    private static BoxTab tab(
            Plan plan, Asking asking, Map<String, LineStore.Told> kept, DeviceId box, boolean isHere) {
        List<Probe> probes = asking.probes().of(box);
        int done = (int)
                probes.stream().filter(probe -> !asking.result(probe).isToDo()).count();
        return new BoxTab(
                box.text(),
                plan.rig().name(box).text(),
                plan.rig().area(box).words(),
                say(Phrase.of(ROOM, "of").with("done", done).with("count", probes.size())),
                (int) probes.stream()
                        .filter(probe -> asking.result(probe) == Asking.Result.WRONG)
                        .count(),
                probes.stream()
                        .flatMap(probe -> Optional.ofNullable(kept.get(probe.key())).stream())
                        .reduce((first, last) -> last)
                        .map(last -> say(Phrase.of(ROOM, "answered")
                                .with("when", last.when())
                                .with("who", last.who())
                                .with("revision", last.revision())))
                        .orElse(""),
                isHere);
    }

    private static List<Row> rows(Plan plan, Asking asking, DeviceId box) {
        List<Row> rows = new ArrayList<>();
        for (Probe probe : asking.probes().of(box)) {
            boolean isNext = asking.at().filter(probe::equals).isPresent();
            rows.add(new Row(
                    probe.key(),
                    words(plan, probe),
                    words(probe.messages()),
                    mark(asking.result(probe), asking, probe),
                    say(Phrase.of(ROOM, "state." + asking.result(probe).name().toLowerCase(Locale.ROOT))),
                    isNext ? Optional.of(prompt(plan, asking, probe)) : Optional.empty()));
        }
        return rows;
    }

    private static Optional<Mark> mark(Asking.Result result, Asking asking, Probe probe) {
        return switch (result) {
            case RIGHT -> Optional.of(new Mark("tick", "exact", say(Phrase.of(ROOM, "does-it"))));
            case WRONG ->
                Optional.of(Mark.of(
                        Severity.STOPS,
                        say(Phrase.of(
                                ROOM,
                                asking.answer(probe)
                                                .filter(Answer.Nothing.class::isInstance)
                                                .isPresent()
                                        ? "does-nothing"
                                        : "does-other"))));
            case TO_DO, CHANGED -> Optional.empty();
        };
    }

    private static Prompt prompt(Plan plan, Asking asking, Probe probe) {
        return new Prompt(
                say(Phrase.of(ROOM, "question")
                        .with("box", plan.rig().name(probe.device()).text())
                        .with("action", plan.rig().words(probe.device(), probe.action()))
                        .with("memory", probe.memory().orElse(0))),
                probe.cautions().stream()
                        .sorted()
                        .map(caution -> say(caution.words()))
                        .toList(),
                probe.isAskedTwice(),
                asking.isSent());
    }

    /** What is asked, with the memory where it is tried in one. */
    static String words(Plan plan, Probe probe) {
        return say(Phrase.of(ROOM, "action")
                .with("action", plan.rig().words(probe.device(), probe.action()))
                .with("memory", probe.memory().orElse(0)));
    }

    private static List<String> todos(Plan plan, Asking asking, DeviceId box) {
        return asking.probes().of(box).stream()
                .flatMap(probe -> Mishap.of(asking, probe).stream()
                        .map(mishap -> Spoken.of(plan).say(mishap.words(plan, probe))))
                .distinct()
                .toList();
    }

    private static List<Lesson> lessons(Plan plan, DeviceId box, Set<String> taught) {
        List<Lesson> lessons = new ArrayList<>();
        for (Map.Entry<LearnableId, Message> one : Teaching.of(plan, box).entrySet()) {
            LearnableId id = one.getKey();
            lessons.add(new Lesson(
                    id.key(),
                    "%s %s".formatted(id.verb().words(), plan.rig().partName(box, id.part())),
                    Messages.words(one.getValue()),
                    taught.contains(Teaching.line(box, id))));
        }
        return lessons;
    }

    private static Looking looking(Plan plan, Search search) {
        int next = search.how().next().size();
        boolean back = search.how().isAskingBack();
        String key = search.how().found().isPresent()
                ? "search.found"
                : search.how().isOver() ? "search.none" : back ? "search.back" : "search.among";
        int left = search.how() instanceof Halving<Message> halving
                ? halving.left().size()
                : search.how() instanceof OneByOne<Message> one ? one.all().size() - one.count() : 0;
        String which = search.how()
                .found()
                .or(() -> back ? Optional.of(search.how().next().getFirst()) : Optional.empty())
                .map(Messages::words)
                .orElse("");
        return new Looking(
                say(Phrase.of(ROOM, key).with("left", left).with("which", which)),
                say(Phrase.of(ROOM, back ? "search.send-one" : search.isOneByOne() ? "search.start" : "search.send")
                        .with("count", next)),
                search.isOneByOne(),
                back,
                search.isSent(),
                search.how().isOver(),
                search.how()
                        .found()
                        .map(found -> ChartWords.line(
                                found, plan.rig().chart(search.box()).conventions()))
                        .orElse(""));
    }

    /** Who a box is, and whether it was another before: another one stands there, or it has another version. */
    private static String identity(LineStore.Known known) {
        String key = known.before().isEmpty()
                ? "identity"
                : known.before().get().equals(known.identity()) ? "identity.same" : "identity.other";
        return say(Phrase.of(ROOM, key)
                .with("is", words(known.identity()))
                .with("was", known.before().map(SendPage::words).orElse(""))
                .with("when", known.when())
                .with("who", known.who()));
    }

    private static String words(Identity identity) {
        return say(Phrase.of(ROOM, "identity.words")
                .with("maker", "%02X".formatted(identity.maker()))
                .with("family", identity.family())
                .with("member", identity.member())
                .with("version", identity.version()));
    }

    private static List<Loop> loops(Plan plan, List<LineStore.Loop> loops) {
        Ways ways = new Ways(plan.rig());
        Timing timing = new Timing(ways);
        return loops.stream()
                .filter(loop -> plan.rig().find(loop.sender()).isPresent()
                        && plan.rig().find(loop.heard()).isPresent())
                .map(loop -> new Loop(
                        loop.sender().text(),
                        loop.heard().text(),
                        "%s \u2192 %s"
                                .formatted(
                                        plan.rig().name(loop.sender()),
                                        plan.rig().name(loop.heard())),
                        say(Phrase.of(ROOM, "loop.measured")
                                .with("count", loop.times().micros().size())
                                .with("least", Delay.millis(loop.times().least()))
                                .with("median", Delay.millis(loop.times().median()))
                                .with("most", Delay.millis(loop.times().percentile(95)))
                                .with("worst", Delay.millis(loop.times().worst()))),
                        ways.between(loop.sender(), loop.heard())
                                .map(way -> timing.travel(way, 3).words())
                                .orElse(""),
                        "%s, %s".formatted(loop.who(), loop.when()),
                        ways.between(loop.sender(), loop.heard()).stream()
                                .flatMap(way -> way.links().stream())
                                .filter(link -> link.measured().isPresent())
                                .findFirst()
                                .map(link -> say(Phrase.of(ROOM, "loop.taken")
                                        .with("link", plan.rig().words(link))))
                                .orElse("")))
                .toList();
    }

    /** All parts of the box that is asked, then those of others that the show asks anything of. */
    private static List<Choice> choices(Plan plan, Asking asking) {
        Optional<DeviceId> here = asking.where();
        Stream<Choice> own = here.stream()
                .flatMap(device -> plan.rig().chart(device).parts().stream()
                        .map(part -> new Choice(
                                "%s/%s".formatted(device, part.id()),
                                plan.rig().partName(device, part.id()).text())));
        Stream<Choice> others = asking.probes().all().stream()
                .filter(probe -> here.filter(probe.device()::equals).isEmpty())
                .map(probe -> new Choice(
                        "%s/%s".formatted(probe.device(), probe.action().part()),
                        "%s: %s"
                                .formatted(
                                        plan.rig().name(probe.device()),
                                        plan.rig()
                                                .partName(
                                                        probe.device(),
                                                        probe.action().part()))));
        return Stream.concat(own, others).distinct().toList();
    }

    private static List<String> words(List<Message> messages) {
        return messages.stream().map(Messages::words).toList();
    }

    private static String say(Phrase phrase) {
        return Spoken.words().say(phrase);
    }
}
