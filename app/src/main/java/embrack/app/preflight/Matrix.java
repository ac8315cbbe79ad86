package embrack.app.preflight;

import embrack.app.frame.Mark;
import embrack.core.check.Report;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.sim.CueProof;
import embrack.core.sim.Proof;
import embrack.core.sim.SongProof;
import embrack.core.sim.Verdict;
import embrack.core.switches.Moment;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Place;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.stream.Stream;

/**
 * Gestures and the cues of songs against boxes.
 *
 * @param boxes the names of the boxes that any of them is about or changes
 * @param tiers whether cues say when switches are pressed, so that as played and any time may differ
 */
record Matrix(List<String> boxes, List<Row> rows, boolean tiers) {

    /**
     * A switch or a song.
     *
     * @param label its tape; what it is called otherwise
     * @param cells one for each box
     */
    record Row(String label, String where, String href, List<Cell> cells) {}

    /**
     * What it does to a box.
     *
     * @param anyTime nothing where it is not about the box
     * @param asPlayed where that is another
     */
    record Cell(Optional<Mark> anyTime, Optional<Mark> asPlayed, String says) {

        static final Cell NOTHING = new Cell(Optional.empty(), Optional.empty(), "");
    }

    static Matrix of(Report report, String path) {
        Plan plan = report.plan();
        SortedSet<DeviceId> touched = new TreeSet<>();
        for (Proof proof : report.proofs()) {
            proof.targets().forEach(place -> touched.add(place.device()));
            proof.seen().forEach(seen -> touched.add(seen.place().device()));
        }
        report.book().songs().stream()
                .flatMap(song -> song.cues().stream())
                .forEach(cue -> Stream.concat(cue.targets().stream(), cue.wrongPlaces().stream())
                        .map(Place::device)
                        .forEach(touched::add));
        List<DeviceId> boxes = plan.rig().devices().stream()
                .map(device -> device.id())
                .filter(touched::contains)
                .toList();
        List<Row> rows = new ArrayList<>();
        report.proofs().forEach(proof -> rows.add(row(report, proof, boxes, path)));
        report.book().songs().stream()
                .filter(song -> !song.cues().isEmpty())
                .forEach(song -> rows.add(row(plan, song, boxes, path)));
        return new Matrix(
                boxes.stream().map(box -> plan.rig().name(box).text()).toList(),
                rows,
                !report.book().run().feet().isEmpty());
    }

    private static Row row(Report report, Proof proof, List<DeviceId> boxes, String path) {
        Plan plan = report.plan();
        SwitchAt at = proof.at();
        String gesture =
                proof.moment() == Moment.PRESS ? "" : ", " + proof.moment().words();
        String where = plan.words(at) + gesture;
        String label = plan.switches().at(at).label().map(Object::toString).orElse(where);
        boolean rightAsPlayed =
                proof.moment() == Moment.PRESS && report.book().run().isRightAsPlayed(at);
        return new Row(
                label,
                where,
                "%s/switches/%s/%d/%s".formatted(path, at.board(), at.bank(), at.place()),
                boxes.stream()
                        .map(box -> proof.on(box)
                                .map(verdict -> cell(verdict, rightAsPlayed, label, plan, box))
                                .orElse(Cell.NOTHING))
                        .toList());
    }

    private static Cell cell(Verdict verdict, boolean rightAsPlayed, String label, Plan plan, DeviceId box) {
        boolean differs = rightAsPlayed && !verdict.isRight();
        String says = "%s, %s: %s%s"
                .formatted(label, plan.rig().name(box), differs ? "exact as played, any time " : "", verdict.words());
        return new Cell(
                Optional.of(Mark.of(verdict)), differs ? Optional.of(Mark.of(Verdict.EXACT)) : Optional.empty(), says);
    }

    private static Row row(Plan plan, SongProof song, List<DeviceId> boxes, String path) {
        String title = song.song().title().text();
        return new Row(
                title,
                song.cues().size() == 1
                        ? "song, 1 cue"
                        : "song, %d cues".formatted(song.cues().size()),
                "%s/songs/%s".formatted(path, song.song().id()),
                boxes.stream()
                        .map(box -> song.cues().stream()
                                .flatMap(cue -> verdict(cue, box).stream())
                                .reduce((a, b) -> b.compareTo(a) > 0 ? b : a)
                                .map(verdict -> new Cell(
                                        Optional.of(Mark.of(verdict)),
                                        Optional.empty(),
                                        "%s, %s: %s".formatted(title, plan.rig().name(box), verdict.words())))
                                .orElse(Cell.NOTHING))
                        .toList());
    }

    private static Optional<Verdict> verdict(CueProof cue, DeviceId box) {
        boolean isWrong =
                cue.wrongPlaces().stream().anyMatch(place -> place.device().equals(box));
        boolean isMeant =
                cue.targets().stream().anyMatch(place -> place.device().equals(box));
        return isWrong || isMeant && cue.verdict() == Verdict.NO_WAY
                ? Optional.of(cue.verdict())
                : isMeant
                        ? Optional.of(cue.verdict() == Verdict.LATE ? Verdict.LATE : Verdict.EXACT)
                        : Optional.empty();
    }
}
