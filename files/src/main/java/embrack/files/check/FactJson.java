package embrack.files.check;

import embrack.core.rig.Socket;
import embrack.core.show.Anchor;
import embrack.core.switches.ControlAt;
import embrack.core.switches.SwitchAt;
import embrack.core.word.Fact;
import java.util.Locale;
import java.util.Map;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The facts of a finding for another program, as docs/formats.md describes them. */
final class FactJson {

    private FactJson() {}

    static void put(ObjectNode f, Map<String, Fact> facts) {
        facts.forEach((name, fact) -> put(f, name, fact));
    }

    private static void put(ObjectNode f, String name, Fact fact) {
        switch (fact) {
            case Fact.Number number -> f.put(name, number.value());
            case Fact.Name text -> f.put(name, text.text());
            case Fact.Word word -> f.put(name, word.key());
            case Fact.Many many -> {
                ArrayNode all = f.putArray(name);
                many.all().forEach(one -> add(all, one));
            }
            case Fact.Switches switches -> {
                ArrayNode all = f.putArray(name);
                switches.all().forEach(at -> at(all.addObject(), at));
            }
            default -> object(f.putObject(name), fact);
        }
    }

    private static void add(ArrayNode all, Fact fact) {
        switch (fact) {
            case Fact.Number number -> all.add(number.value());
            case Fact.Name text -> all.add(text.text());
            case Fact.Word word -> all.add(word.key());
            case Fact.Switches switches -> switches.all().forEach(at -> at(all.addObject(), at));
            default -> object(all.addObject(), fact);
        }
    }

    private static void object(ObjectNode f, Fact fact) {
        switch (fact) {
            case Fact.Box box -> f.put("device", box.device().text());
            case Fact.PartOf part ->
                f.put("device", part.device().text()).put("part", part.part().text());
            case Fact.Level level ->
                f.put("device", level.device().text()).put("part", level.part().text());
            case Fact.Control control -> at(f, control.at());
            case Fact.Deed deed ->
                f.put("device", deed.step().device().text())
                        .put("verb", deed.step().action().verb().key())
                        .put("part", deed.step().action().part().text());
            case Fact.SongOf song -> f.put("song", song.song().text());
            case Fact.Moment moment -> {
                f.put("song", moment.song().text());
                at(f, moment.at());
            }
            case Fact.Plug plug -> socket(f, plug.socket());
            case Fact.Joined link -> {
                socket(f.putObject("from"), link.from());
                socket(f.putObject("to"), link.to());
            }
            case Fact.Said said ->
                put(f.put("says", said.phrase().key()), said.phrase().facts());
            default -> put(f, "value", fact);
        }
    }

    private static void at(ObjectNode f, SwitchAt at) {
        f.put("board", at.board().text()).put("bank", at.bank()).put("switch", at.number());
        at.of().ifPresent(of -> f.put("of", of.key()));
    }

    private static void at(ObjectNode f, ControlAt at) {
        f.put("device", at.box().text())
                .put("bank", at.bank())
                .put("control", at.type().name().toLowerCase(Locale.ROOT))
                .put("number", at.number());
    }

    private static void at(ObjectNode f, Anchor at) {
        switch (at) {
            case Anchor.OnBar bar ->
                f.put("bar", bar.at().bar()).put("tick", bar.at().tick());
            case Anchor.OnClock clock -> f.put("micros", clock.micros());
            case Anchor.AtSection section ->
                f.put("section", section.section().text()).put("end", section.end());
            case Anchor.Automatic automatic ->
                f.put("when", automatic.when().name().toLowerCase(Locale.ROOT));
        }
    }

    private static void socket(ObjectNode f, Socket socket) {
        f.put("device", socket.device().text()).put("port", socket.port().text());
    }
}
