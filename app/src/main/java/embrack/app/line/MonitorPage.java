package embrack.app.line;

import embrack.app.frame.Messages;
import embrack.app.frame.Spoken;
import embrack.core.line.Account;
import embrack.core.line.Pulse;
import embrack.core.line.Telling;
import embrack.core.midi.Message;
import embrack.core.midi.Message.NoteOn;
import embrack.core.midi.Message.Voice;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.word.Phrase;
import embrack.files.csv.CsvWriter;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * All that comes in, in words of the plan.
 *
 * @param box from which box alone; empty for all
 * @param strange what is out of the ordinary
 */
record MonitorPage(long turn, String box, List<Source> boxes, List<String> strange, List<Row> rows) {

    private static final int MOST = 80;
    private static final long STUCK_SECONDS = 10;
    private static final String ROOM = "app/line";
    private static final DateTimeFormatter CLOCK =
            DateTimeFormatter.ofPattern("HH:mm:ss.SSS").withZone(ZoneId.systemDefault());

    /** A box to look at alone. */
    record Source(String key, String name) {}

    /**
     * A message.
     *
     * @param sender what is pressed for it; empty where nobody planned it
     * @param effect what it does where it arrives
     */
    record Row(String clock, String from, String message, String bytes, String more, String sender, String effect) {}

    static MonitorPage of(Plan plan, LineChecks.Standing standing, String box) {
        Account.Of accounts = new Account.Of(standing.check().walk());
        List<LineChecks.Arrived> shown = standing.tape().stream()
                .filter(arrived -> box.isEmpty()
                        || arrived.from()
                                .filter(from -> from.text().equals(box))
                                .isPresent())
                .limit(MOST)
                .toList();
        Map<Asked, Account> known = shown.stream()
                .filter(arrived -> arrived.from().isPresent())
                .map(arrived ->
                        new Asked(arrived.from().orElseThrow(), arrived.line().message()))
                .distinct()
                .collect(Collectors.toMap(asked -> asked, asked -> accounts.account(asked.from(), asked.message())));
        return new MonitorPage(
                standing.turn(),
                box,
                plan.controllers().stream()
                        .map(one -> new Source(one.text(), plan.rig().name(one).text()))
                        .toList(),
                strange(plan, standing),
                shown.stream().map(arrived -> row(plan, known, arrived)).toList());
    }

    private record Asked(DeviceId from, Message message) {}

    private static Row row(Plan plan, Map<Asked, Account> known, LineChecks.Arrived arrived) {
        Message message = arrived.line().message();
        Optional<Account> account =
                arrived.from().flatMap(from -> Optional.ofNullable(known.get(new Asked(from, message))));
        return new Row(
                CLOCK.format(arrived.at()),
                arrived.from().map(from -> plan.rig().name(from).text()).orElse(arrived.port()),
                Messages.words(message),
                message.hex(),
                more(arrived),
                account.map(one -> one.senders().isEmpty()
                                ? say(Phrase.of(ROOM, "not-planned"))
                                : one.senders().stream()
                                        .map(task -> Telling.name(plan, task))
                                        .collect(Collectors.joining("; ")))
                        .orElseGet(() -> say(Phrase.of(ROOM, "not-of-this-rig"))),
                account.map(one -> effect(plan, one)).orElse(""));
    }

    private static String more(LineChecks.Arrived arrived) {
        int count = arrived.line().count();
        String times = count > 1 ? say(Phrase.of(ROOM, "times").with("count", count)) : "";
        String again = arrived.isAgain() ? say(Phrase.of(ROOM, "heard-again").with("port", arrived.port())) : "";
        return (times + " " + again).strip();
    }

    private static String effect(Plan plan, Account account) {
        return account.effects().isEmpty()
                ? say(Phrase.of(ROOM, "nobody-obeys"))
                : account.effects().stream()
                        .map(effect -> plan.rig().name(effect.device()) + ": "
                                + effect.reading().words(plan.rig(), effect.device()))
                        .collect(Collectors.joining("; "));
    }

    private static List<String> strange(Plan plan, LineChecks.Standing standing) {
        List<String> strange = new ArrayList<>();
        standing.clocks()
                .forEach((port, pulse) -> pulse.tempo().ifPresent(tempo -> strange.add(clock(port, pulse, tempo))));
        if (standing.clocks().size() > 1) {
            strange.add(say(Phrase.of(ROOM, "two-clocks")
                    .with("ports", List.copyOf(standing.clocks().keySet()))));
        }
        standing.silent()
                .forEach(port -> strange.add(say(Phrase.of(ROOM, "fell-silent").with("port", port))));
        standing.odd()
                .forEach((port, hex) -> strange.add(say(
                        Phrase.of(ROOM, "odd").with("port", port).with("bytes", hex.replaceAll("..(?=.)", "$0 ")))));
        stuck(standing)
                .forEach(arrived -> strange.add(say(Phrase.of(ROOM, "stuck")
                        .with("note", Messages.words(arrived.line().message()))
                        .with(
                                "box",
                                arrived.from()
                                        .map(from -> plan.rig().name(from).text())
                                        .orElse(arrived.port())))));
        return strange;
    }

    private static String clock(String port, Pulse pulse, double tempo) {
        return say(Phrase.of(ROOM, "clock")
                .with("port", port)
                .with("tempo", String.format(Locale.ROOT, "%.1f", tempo))
                .with("jitter", String.format(Locale.ROOT, "%.1f", pulse.jitterMicros() / 1e3)));
    }

    /** Notes that were struck, not released since, and long ago, at ports that release notes at all. */
    private static List<LineChecks.Arrived> stuck(LineChecks.Standing standing) {
        List<LineChecks.Arrived> stuck = new ArrayList<>();
        Set<String> heard = new HashSet<>();
        Set<String> released = new HashSet<>();
        standing.tape().stream()
                .filter(arrived -> arrived.line().message().isRelease())
                .forEach(arrived -> released.add(arrived.port()));
        Instant longAgo = Instant.now().minusSeconds(STUCK_SECONDS);
        for (LineChecks.Arrived arrived : standing.tape()) {
            if (arrived.line().message() instanceof Voice voice
                    && (voice instanceof NoteOn || voice.isRelease())
                    && heard.add(arrived.port() + " " + voice.channel() + " " + voice.data1())
                    && !voice.isRelease()
                    && released.contains(arrived.port())
                    && arrived.at().isBefore(longAgo)) {
                stuck.add(arrived);
            }
        }
        return stuck;
    }

    /** All of it as a list to keep. */
    String csv() {
        var sheet = new CsvWriter(List.of("at", "from", "message", "bytes", "pressed", "does"));
        rows.forEach(row ->
                sheet.line(List.of(row.clock(), row.from(), row.message(), row.bytes(), row.sender(), row.effect())));
        return sheet.text();
    }

    private static String say(Phrase phrase) {
        return Spoken.words().say(phrase);
    }
}
