package embrack.files.lists;

import embrack.core.light.Address;
import embrack.core.light.Fixture;
import embrack.core.light.Lights;
import embrack.core.loss.SinglePoints;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.rig.Rig;
import embrack.core.sheet.CableList;
import embrack.core.sheet.PackList;
import embrack.files.csv.CsvWriter;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;

/** Lists as CSV with a line of headings; the same rig always gives the same text. */
public final class ListCsv {

    private ListCsv() {}

    /** The cable list. */
    public static String cables(Rig rig) {
        return csv(
                List.of("number", "kind", "length", "from", "to", "label at from", "label at to", "adapter"),
                CableList.of(rig).rows().stream()
                        .map(r -> List.of(
                                r.number(),
                                r.kind(),
                                r.length(),
                                r.from(),
                                r.to(),
                                r.fromLabel(),
                                r.toLabel(),
                                r.adapter())));
    }

    /** The pack list. */
    public static String packing(Plan plan) {
        return csv(
                List.of("case", "count", "what", "note"),
                PackList.of(plan).cases().stream()
                        .flatMap(c -> c.items().stream().map(i -> List.of(c.name(), i.count(), i.what(), i.note()))));
    }

    /** A label for each end of each cable. */
    public static String labels(Rig rig) {
        return csv(
                List.of("cable", "end", "label"),
                CableList.of(rig).rows().stream()
                        .flatMap(r -> Stream.of(
                                List.of(r.number(), "from", r.fromLabel()), List.of(r.number(), "to", r.toLabel()))));
    }

    /** What each single failure takes away, worst first. */
    public static String singlePoints(Plan plan) {
        return csv(
                List.of("fails", "switches lost", "which"),
                SinglePoints.of(plan).stream()
                        .map(l -> List.of(
                                l.failure().words(plan.rig()), l.switches().size(), plan.words(l.switches()))));
    }

    /** Fixtures with the slots that they read, in their order; empty where one has no address yet. */
    public static String patch(Lights lights) {
        return csv(
                List.of("fixture", "group", "type", "mode", "universe", "from", "to", "switches on"),
                lights.fixtures().stream()
                        .map(fixture -> List.of(
                                fixture.name(),
                                fixture.group(),
                                lights.type(fixture).name(),
                                fixture.mode(),
                                of(fixture, Address::universe),
                                of(fixture, Address::start),
                                of(
                                        fixture,
                                        at -> at.last(
                                                lights.lamp(fixture).mode().footprint())),
                                of(fixture, at -> Words.list(at.dipSwitches())))));
    }

    private static String of(Fixture fixture, Function<Address, Object> what) {
        return fixture.at().map(what).map(Object::toString).orElse("");
    }

    private static String csv(List<String> headings, Stream<? extends List<?>> rows) {
        var sheet = new CsvWriter(headings);
        rows.forEach(sheet::line);
        return sheet.text();
    }
}
