package embrack.app.preflight;

import embrack.app.frame.FindingView;
import embrack.core.check.Report;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Topic;
import embrack.core.rig.DeviceId;
import embrack.core.switches.SwitchAt;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/**
 * What was found, one after another, each to be mended by oneself.
 *
 * @param at which one it is, counted from 1; 0 when nothing is left
 * @param of how many there are
 * @param found the finding; none when nothing is left
 * @param href where it is mended
 * @param room what that place is called
 */
record TourPage(int at, int of, List<FindingView> found, String href, String room) {

    private static final Set<Topic> BETWEEN_BOXES = EnumSet.of(Topic.WIRING, Topic.SOUND, Topic.POWER);

    static TourPage of(Report report, int wanted, String path) {
        List<Finding> all = report.findings();
        if (all.isEmpty()) {
            return new TourPage(0, 0, List.of(), path + "/sheets", "the programming sheets");
        }
        int at = Math.clamp(wanted, 1, all.size());
        Finding finding = all.get(at - 1);
        Place place = place(finding);
        return new TourPage(
                at, all.size(), List.of(FindingView.of(finding, report.plan())), path + place.href(), place.room());
    }

    public boolean isLast() {
        return at == of;
    }

    private record Place(String href, String room) {}

    /** Where it is mended: what is amiss in wiring, sound or power there, whatever switches fail by it. */
    private static Place place(Finding finding) {
        boolean isBetweenBoxes = BETWEEN_BOXES.contains(finding.rule().topic());
        if (!isBetweenBoxes && !finding.switches().isEmpty()) {
            SwitchAt at = finding.switches().getFirst();
            return new Place("/switches/%s/%d/%s".formatted(at.board(), at.bank(), at.place()), "the switch");
        }
        return switch (finding.rule().topic()) {
            case SONGS ->
                new Place(
                        finding.cues().isEmpty()
                                ? "/songs"
                                : "/songs/" + finding.cues().getFirst().song(),
                        "the song");
            case LIGHTS -> new Place("/lights", "Lights");
            case ORDER -> new Place("/order", "the order");
            case WIRING -> new Place("/wiring", "Wiring");
            case SOUND -> new Place("/wiring/sound", "Wiring, sound");
            case POWER -> new Place("/wiring/power", "Wiring, power");
            case CONTROLS, SWITCHES, PLACE -> new Place("/switches", "Switches");
            case GEAR, RIG ->
                new Place(
                        finding.devices().stream()
                                .findFirst()
                                .map(DeviceId::text)
                                .map("/gear/"::concat)
                                .orElse("/gear"),
                        "Gear");
        };
    }
}
