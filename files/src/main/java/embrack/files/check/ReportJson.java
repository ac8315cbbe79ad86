package embrack.files.check;

import embrack.core.check.Healing;
import embrack.core.check.Report;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Told;
import embrack.core.gear.ShownMessage;
import embrack.core.midi.Message;
import embrack.core.music.Clock;
import embrack.core.plan.Plan;
import embrack.core.sim.Proof;
import embrack.core.sim.SongProof;
import embrack.core.sim.Story;
import embrack.core.word.Language;
import embrack.files.plan.CuePlace;
import java.math.BigDecimal;
import java.util.List;
import java.util.Locale;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** A report for another program, as docs/formats.md describes it. */
public final class ReportJson {

    private ReportJson() {}

    public static String of(Report report, Language language) {
        ObjectNode root = JsonNodeFactory.instance.objectNode();
        root.put("rig", report.plan().rig().name().text()).put("stopsTheShow", report.stopsTheShow());
        ArrayNode findings = root.putArray("findings");
        Healing healing = report.healingOfTheFirst();
        report.findings().forEach(finding -> finding(findings.addObject(), healing.told(finding, language), finding));
        ArrayNode proofs = root.putArray("proofs");
        report.proofs().forEach(proof -> proof(proofs.addObject(), report.plan(), proof));
        ArrayNode controls = root.putArray("controls");
        report.controlAssignments()
                .forEach(proof -> controls.addObject()
                        .put("control", report.plan().words(proof.at()))
                        .put("verdict", proof.verdict().key()));
        ArrayNode songs = root.putArray("songs");
        report.book().songs().forEach(song -> song(songs.addObject(), report.plan(), song));
        return new JsonMapper().writerWithDefaultPrettyPrinter().writeValueAsString(root) + "\n";
    }

    private static void finding(ObjectNode f, Told told, Finding finding) {
        f.put("code", finding.code())
                .put("severity", finding.severity().name().toLowerCase(Locale.ROOT))
                .put("where", told.where())
                .put("what", told.what())
                .put("why", told.why())
                .put("fix", told.fix());
        told.button().ifPresent(mends -> f.put("mends", mends));
        FactJson.put(f.putObject("facts"), finding.facts());
    }

    private static void proof(ObjectNode f, Plan plan, Proof proof) {
        Story story = Story.of(plan, proof);
        f.put("trigger", plan.words(proof.at()) + ReportText.gesture(proof))
                .put("verdict", proof.verdict().key())
                .put("states", proof.states());
        if (!story.failing().isEmpty()) {
            texts(f.putArray("story"), story.failing());
        }
        texts(f.putArray("intended"), story.intended());
        texts(f.putArray("actual"), story.actual());
        ArrayNode messages = f.putArray("messages");
        proof.compiled().sent(proof.moment()).forEach(message -> {
            ShownMessage shown = ShownMessage.on(plan.board(proof.at()), message);
            ObjectNode m = messages.addObject().put("type", shown.type());
            if (!shown.channel().isEmpty()) {
                m.put("channel", Integer.parseInt(shown.channel()));
            }
            m.put("number", shown.number()).put("value", shown.value()).put("bytes", shown.bytes());
        });
        texts(f.putArray("path"), story.path());
        f.put("worstMs", BigDecimal.valueOf(proof.worstMicros(), 3));
    }

    private static void song(ObjectNode f, Plan plan, SongProof song) {
        f.put("title", song.song().title().text())
                .put("length", Clock.exact(song.song().usualLengthMicros()));
        ArrayNode cues = f.putArray("cues");
        song.cues().forEach(cue -> {
            ObjectNode c = cues.addObject();
            CuePlace place = CuePlace.of(cue.cue().at(), song.song().form().tempoMap());
            place.bar().ifPresent(bar -> c.put("bar", bar));
            place.beat().ifPresent(beat -> c.put("beat", beat));
            place.at().ifPresent(at -> c.put("at", at));
            c.put("verdict", cue.verdict().key());
            cue.sentMicros().ifPresent(sent -> c.put("sent", Clock.exact(sent)));
            texts(
                    c.putArray("does"),
                    cue.cue()
                            .foot()
                            .map(foot -> List.of("foot: " + plan.words(foot)))
                            .orElseGet(() ->
                                    cue.cue().steps().stream().map(plan::words).toList()));
            texts(c.putArray("bytes"), cue.messages().stream().map(Message::hex).toList());
            c.put("worstMs", BigDecimal.valueOf(cue.worstMicros(), 3));
        });
    }

    private static void texts(ArrayNode array, List<String> texts) {
        texts.forEach(array::add);
    }
}
