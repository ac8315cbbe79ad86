package embrack.app.songs;

import embrack.app.frame.FindingView;
import embrack.app.frame.Mark;
import embrack.app.frame.Spoken;
import embrack.core.check.Report;
import embrack.core.check.rule.Finding;
import embrack.core.compile.CompiledStep;
import embrack.core.compile.Obstacle;
import embrack.core.midi.Message;
import embrack.core.midi.Wire;
import embrack.core.music.Clock;
import embrack.core.music.TempoMap;
import embrack.core.offer.Offers;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.show.Anchor;
import embrack.core.show.Cue;
import embrack.core.show.CueAt;
import embrack.core.show.Form;
import embrack.core.show.Song;
import embrack.core.sim.BookProver;
import embrack.core.sim.CueProof;
import embrack.core.sim.Queue;
import embrack.core.sim.SongProof;
import embrack.core.switches.Assignment;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * What stands beside a prompt page: the chosen cue, or a new one, and what was found about the song.
 *
 * @param feet switches that somebody could press
 * @param hasPlayer whether anything in the rig could send cues
 */
record CuePanel(
        Head cue,
        Place place,
        Optional<Mark> mark,
        Does does,
        Sending sending,
        Search search,
        List<Choice> feet,
        Found found,
        boolean hasPlayer) {

    /** The cue. */
    record Head(String path, int number, boolean isNew, String name) {}

    /**
     * When it comes.
     *
     * @param at bar and beat of the chosen cue, or the moment of a new one as it is typed
     * @param clock the same by the clock; empty where only the player knows
     * @param tie what it stays with
     */
    record Place(String at, String clock, String tie) {}

    /** What happens then. */
    record Does(List<StepRow> steps, List<String> raw, String foot) {}

    /**
     * How it is sent.
     *
     * @param times when it is sent and when its last effect has come
     * @param turns whether any of its steps turns something round
     */
    record Sending(List<String> times, boolean early, boolean canBeEarly, boolean turns, boolean leavesOff) {}

    /** What is searched for and found. */
    record Search(String find, List<OfferRow> offers, int moreOffers) {}

    /** What the checks say of it. */
    record Found(List<FindingView> findings, int otherFindings, List<String> cautions) {}

    private static final int OFFERS_SHOWN = 8;

    /** A step with its messages. */
    record StepRow(
            int index,
            String device,
            String deviceKey,
            String words,
            String key,
            int waited,
            String messages,
            String obstacle) {}

    /** An action that can be added. */
    record OfferRow(String words, String device, String key, String along, String messages, String obstacle) {}

    /** Something to choose. */
    record Choice(String key, String words) {}

    static CuePanel of(Report report, Song song, PromptLook look, String path) {
        Plan plan = report.plan();
        Optional<CueProof> chosen =
                look.chosen().flatMap(number -> report.book().song(song.id()).flatMap(proof -> proof.cue(number)));
        Optional<Cue> cue = look.chosen().flatMap(song::cue);
        List<Finding> all = report.findings(song.id());
        List<FindingView> about = FindingView.all(
                all.stream()
                        .filter(f -> cue.isEmpty()
                                || f.cues()
                                        .contains(new CueAt(song.id(), cue.get().number()))),
                plan);
        Optional<DeviceId> player = plan.player(song);
        boolean foot = cue.flatMap(Cue::foot).isPresent();
        String search = look.find().isBlank() && !look.on().isBlank()
                ? plan.rig()
                        .find(new DeviceId(look.on()))
                        .map(device -> device.name().text())
                        .orElse("")
                : look.find();
        List<OfferRow> offers = player.isEmpty() || search.isBlank() || foot
                ? List.of()
                : new Offers(plan)
                        .find(player.get(), search).stream()
                                .map(offer -> new OfferRow(
                                        offer.words(),
                                        offer.step().device().text(),
                                        offer.step().action().key(),
                                        offer.along().stream()
                                                .map(step -> step.action().key())
                                                .collect(Collectors.joining(",")),
                                        messages(offer.compiled()),
                                        obstacle(plan, offer.compiled())))
                                .toList();
        List<StepRow> steps = new ArrayList<>();
        chosen.ifPresent(proof -> {
            for (int i = 0; i < proof.steps().size(); i++) {
                CompiledStep step = proof.steps().get(i);
                steps.add(new StepRow(
                        i,
                        plan.rig().name(step.step().device()).text(),
                        step.step().device().text(),
                        plan.deed(step.step()),
                        step.step().action().key(),
                        step.step().waitMillis(),
                        messages(step),
                        obstacle(plan, step)));
            }
        });
        return new CuePanel(
                new Head(
                        path,
                        cue.map(Cue::number).orElse(0),
                        cue.isEmpty(),
                        cue.flatMap(Cue::name).map(Object::toString).orElse("")),
                new Place(
                        cue.map(c -> music(c, song.form())).orElse(look.at()),
                        cue.flatMap(c -> c.at().micros(song.form()))
                                .map(Clock::text)
                                .orElse(""),
                        cue.map(c -> tie(c, song.form().tempoMap())).orElse("")),
                chosen.map(proof -> Mark.of(proof.verdict())),
                new Does(
                        steps,
                        cue.map(c -> c.raw().stream()
                                        .map(message -> message.hex())
                                        .toList())
                                .orElse(List.of()),
                        cue.flatMap(Cue::foot).map(plan::words).orElse("")),
                new Sending(
                        chosen.map(proof -> times(report, song, proof)).orElse(List.of()),
                        cue.filter(Cue::early).isPresent(),
                        cue.filter(c -> !(c.at() instanceof Anchor.Automatic) && !foot)
                                .isPresent(),
                        cue.filter(c -> c.steps().stream()
                                        .anyMatch(step -> step.action().verb().turnsRound()))
                                .isPresent(),
                        cue.filter(Cue::leavesOff).isPresent()),
                new Search(
                        search,
                        offers.subList(0, Math.min(OFFERS_SHOWN, offers.size())),
                        Math.max(0, offers.size() - OFFERS_SHOWN)),
                feet(plan),
                new Found(
                        about,
                        all.size() - about.size(),
                        cue.map(c -> c.steps().stream()
                                        .flatMap(
                                                step -> plan.rig().chart(step.device()).caution(step.action()).stream())
                                        .distinct()
                                        .toList())
                                .orElse(List.of())),
                player.isPresent());
    }

    /** Bar and beat of a cue, whatever it is tied to; what the player does for one without a place. */
    private static String music(Cue cue, Form form) {
        TempoMap tempoMap = form.tempoMap();
        return cue.at()
                .tick(form)
                .map(tick -> tempoMap.text(tempoMap.position(tick)))
                .orElseGet(() -> cue.at().text(tempoMap));
    }

    private static String tie(Cue cue, TempoMap tempoMap) {
        return cue.at().tie()
                + (cue.at() instanceof Anchor.AtSection ? ", " + cue.at().text(tempoMap) : "");
    }

    private static List<Choice> feet(Plan plan) {
        List<Choice> feet = new ArrayList<>();
        for (Assignment assignment : plan.switches().assignments()) {
            feet.add(new Choice(
                    assignment.at().key(),
                    "%s %s%s%s"
                            .formatted(
                                    plan.rig().name(assignment.at().board()),
                                    plan.board(assignment.at()).banks().size() > 1
                                            ? plan.bankName(assignment.at()) + "/"
                                            : "",
                                    assignment.at().of().isEmpty()
                                            ? assignment.at().number()
                                            : assignment.at().words(),
                                    assignment
                                            .label()
                                            .map(label -> ", " + label)
                                            .orElse(""))));
        }
        return feet;
    }

    private static List<String> times(Report report, Song song, CueProof proof) {
        List<String> lines = new ArrayList<>();
        if (proof.cue().foot().isPresent()) {
            return lines;
        }
        proof.sentMicros()
                .ifPresent(sent -> lines.add("Sent at %s%s"
                        .formatted(
                                Clock.text(sent),
                                proof.leadMicros() > 0
                                        ? ", %s ahead of its moment (at most %s)"
                                                .formatted(
                                                        Wire.millis(proof.leadMicros()),
                                                        Wire.millis(BookProver.MAX_LEAD_MICROS))
                                        : "")));
        lines.add("Its way usually takes %s, at worst %s"
                .formatted(Wire.millis(proof.usualMicros()), Wire.millis(proof.worstMicros())));
        Optional<Queue> queue = report.book().song(song.id()).map(SongProof::queues).stream()
                .flatMap(List::stream)
                .filter(q -> q.cues().contains(proof.cue().number()))
                .findFirst();
        queue.ifPresent(q -> lines.add("%d messages at this moment: the last waits %s and is at %s after %s"
                .formatted(
                        q.messages(),
                        Wire.millis(q.waitMicros()),
                        report.plan().rig().words(q.at()),
                        Wire.millis(q.lastMicros()))));
        return lines;
    }

    private static String messages(CompiledStep step) {
        return step.messages().isEmpty()
                ? step.obstacle().isEmpty() ? "the player does it itself" : ""
                : step.messages().stream().map(CuePanel::words).collect(Collectors.joining("; "));
    }

    /** A message in a line, programs counted from 1, with its bytes. */
    private static String words(Message message) {
        if (!(message instanceof Message.Voice voice)) {
            return message.hex();
        }
        boolean program = message instanceof Message.ProgramChange;
        return "ch %d %s %s  %s"
                .formatted(
                        voice.channel().number(),
                        message.type().shortName(),
                        program ? String.valueOf(message.data1() + 1) : message.data1() + " " + message.data2(),
                        message.hex());
    }

    private static String obstacle(Plan plan, CompiledStep step) {
        return step.obstacle()
                .map(obstacle -> switch (obstacle) {
                    case Obstacle.NothingLearned learned -> "nothing learned yet";
                    case Obstacle.KeptBack kept -> Spoken.of(plan).say(kept.where());
                    case Obstacle.NoPath path -> "no link leads there from the player";
                    default -> "its chart has no line for it";
                })
                .orElse("");
    }
}
