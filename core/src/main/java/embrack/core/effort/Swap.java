package embrack.core.effort;

import embrack.core.chart.Chart;
import embrack.core.check.Impact;
import embrack.core.check.Report;
import embrack.core.edit.Edit;
import embrack.core.edit.FloorEdit;
import embrack.core.edit.GearEdit;
import embrack.core.gear.Model;
import embrack.core.gear.PortId;
import embrack.core.name.Words;
import embrack.core.offer.Needed;
import embrack.core.plan.Plan;
import embrack.core.power.PowerPlan;
import embrack.core.power.Programs;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.LinkKind;
import embrack.core.rig.Linking;
import embrack.core.rig.Rig;
import embrack.core.rig.SoundUse;
import embrack.core.sheet.Progress;
import embrack.core.sheet.Section;
import embrack.core.sheet.Sheet;
import embrack.core.sheet.Sheets;
import embrack.core.sim.Proof;
import embrack.core.sim.Verdict;
import embrack.core.switches.Assignment;
import embrack.core.switches.ControlAssignment;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * What it takes to have something else do the job of a box that died.
 *
 * @param edit what makes the plan so
 * @param fits gestures that do as they should afterwards
 * @param lost what is lost, each a sentence, switches by their tape
 * @param costs what the new box does in another way, and what that means
 * @param first what has to be done before the first song
 * @param later what can wait for a break
 */
public record Swap(Edit edit, Plan after, int fits, List<String> lost, List<String> costs, ToDo first, ToDo later) {

    /** How the keys of lines about a switch begin: box, bank, place. */
    private static final Pattern SWITCH = Pattern.compile("^[^/]+/\\d+/[^/]+(?=/)");

    public Swap {
        lost = List.copyOf(lost);
        costs = List.copyOf(costs);
    }

    /**
     * The swap for other hardware.
     *
     * @param secondsEach how long a line takes to program, s
     * @throws embrack.core.edit.Refused when the hardware cannot do the job at all
     */
    public static Swap of(Plan plan, DeviceId dead, Model model, int secondsEach) {
        return new Made(plan, dead, dead, edit(dead, model)).swap(secondsEach);
    }

    /** The swap for another board of the rig, which has to do both jobs from then on. */
    public static Swap of(Plan plan, DeviceId dead, DeviceId other, int secondsEach) {
        return new Made(plan, dead, other, edit(dead, other)).swap(secondsEach);
    }

    /** What has other hardware do the job. */
    public static Edit edit(DeviceId dead, Model model) {
        return model.surface().pressed().isEmpty()
                ? new GearEdit.SwapHardware(dead, model)
                : new FloorEdit.OtherBoard(dead, model);
    }

    /** What has another board of the rig do both jobs. */
    public static Edit edit(DeviceId dead, DeviceId other) {
        return new FloorEdit.TakeOver(dead, other);
    }

    /** All of it, in lines and hands. */
    public ToDo all() {
        return new ToDo(
                Stream.concat(first.hands().stream(), later.hands().stream()).toList(),
                Stream.concat(first.boxes().stream(), later.boxes().stream()).toList(),
                first.secondsEach());
    }

    /** A swap that was made on a copy of the plan. */
    private record Made(Plan before, DeviceId dead, DeviceId now, Edit edit, Plan after, Report report) {

        Made(Plan before, DeviceId dead, DeviceId now, Edit edit) {
            this(before, dead, now, edit, edit.apply(before));
        }

        private Made(Plan before, DeviceId dead, DeviceId now, Edit edit, Plan after) {
            this(before, dead, now, edit, after, Report.of(after));
        }

        Swap swap(int secondsEach) {
            Progress progress = Progress.of(Sheets.of(report), programmed());
            List<Sheet> left = progress.left().stream()
                    .filter(sheet -> sheet.job() == Sheet.Job.PROGRAM || sheet.job() == Sheet.Job.LEARN)
                    .toList();
            Predicate<Section.Line> waits = waits();
            int fits = (int) report.proofs().stream()
                    .filter(proof -> proof.at().board().equals(now) && isRight(proof))
                    .count();
            return new Swap(
                    edit,
                    after,
                    fits,
                    lost(),
                    costs(),
                    new ToDo(hands(), boxes(left, progress, waits.negate()), secondsEach),
                    new ToDo(List.of(), boxes(left, progress, waits), secondsEach));
        }

        /** What is programmed already: all of the old plan, but for the new box itself. */
        private List<Progress.Tick> programmed() {
            return Progress.allOf(Sheets.of(Report.of(before))).stream()
                    .filter(tick -> !now.equals(dead) || !tick.key().startsWith(dead + "/"))
                    .toList();
        }

        /**
         * Lines about switches that nobody needs up to the end of the first song, what is learned for these, and names
         * on displays.
         */
        private Predicate<Section.Line> waits() {
            Needed needed = Needed.tonight(after);
            Set<String> early = new LinkedHashSet<>();
            Set<String> late = new LinkedHashSet<>();
            for (Assignment assignment : after.switches().assignments()) {
                SwitchAt at = assignment.at();
                Set<String> keys = needed.isNeededFirst(at) ? early : late;
                keys.add("%s/%d/%s/".formatted(at.board(), at.bank(), at.place()));
                for (Step step : assignment.steps()) {
                    keys.add("%s/learn/%s:%s"
                            .formatted(
                                    step.device(),
                                    step.action().verb().key(),
                                    step.action().part()));
                }
            }
            late.removeAll(early);
            return line ->
                    line.key().endsWith("/name") || late.stream().anyMatch(key -> (line.key() + "/").startsWith(key));
        }

        private List<ToDo.Box> boxes(List<Sheet> left, Progress progress, Predicate<Section.Line> wanted) {
            return left.stream()
                    .map(sheet -> sheet.only(line -> line.isWork() && wanted.test(line)))
                    .filter(sheet -> !sheet.sections().isEmpty())
                    .map(sheet -> new ToDo.Box(
                            sheet.title(),
                            Stream.concat(
                                            cleared(sheet),
                                            sheet.sections().stream().flatMap(section -> lines(section, progress)))
                                    .toList()))
                    .toList();
        }

        private static Stream<ToDo.Line> lines(Section section, Progress progress) {
            return section.lines().stream()
                    .map(line -> new ToDo.Line(
                            subject(line, section),
                            section.heading(),
                            line.words(),
                            progress.tick(line).map(Progress.Tick::words).orElse("")));
        }

        /** A box that learns clears first what it learned from the one that died. */
        private Stream<ToDo.Line> cleared(Sheet sheet) {
            return sheet.job() != Sheet.Job.LEARN
                    ? Stream.empty()
                    : Stream.of(new ToDo.Line(
                            "before",
                            "Before",
                            "Clear there what it learned from %s for these: an old link stays, and two things obey."
                                    .formatted(before.rig().name(dead)),
                            ""));
        }

        /** The switch that a line is about, else its section. */
        private static String subject(Section.Line line, Section section) {
            return SWITCH.matcher(line.key())
                    .results()
                    .findFirst()
                    .map(MatchResult::group)
                    .orElse(section.heading());
        }

        private List<ToDo.Deed> hands() {
            Rig rig = after.rig();
            List<ToDo.Deed> deeds = new ArrayList<>();
            before.rig().links().stream()
                    .filter(link -> !rig.links().contains(link) && isPlugged(before.rig(), link))
                    .forEach(link ->
                            deeds.add(new ToDo.Deed("Pull " + words(before.rig(), link) + ".", ToDo.PLUG_SECONDS)));
            List<Link> fresh = rig.links().stream()
                    .filter(link -> !before.rig().links().contains(link) || isReplugged(link))
                    .filter(link -> isPlugged(rig, link))
                    .toList();
            fresh.forEach(link -> deeds.add(new ToDo.Deed(
                    rig.kind(link) == LinkKind.WIRELESS || Linking.isSession(rig, link)
                            ? "Connect %s with %s."
                                    .formatted(
                                            rig.name(link.from().device()),
                                            rig.name(link.to().device()))
                            : "Plug in %s%s."
                                    .formatted(
                                            words(rig, link),
                                            Linking.adapter(rig, link)
                                                    .map(adapter -> ", with a " + adapter)
                                                    .orElse("")),
                    ToDo.PLUG_SECONDS)));
            if (now.equals(dead) && !rig.model(now).isApp()) {
                deeds.add(new ToDo.Deed("Give it power: %s.".formatted(power(rig)), ToDo.POWER_SECONDS));
            }
            if (now.equals(dead)) {
                deeds.addAll(mix(rig));
            }
            rig.devices().stream()
                    .map(Device::id)
                    .filter(app -> Programs.looksAtStart(rig, app) && finds(rig, app, fresh))
                    .forEach(app -> deeds.add(new ToDo.Deed(
                            "Start %s again once all is plugged in: it looks for ports only when it starts."
                                    .formatted(rig.name(app)),
                            ToDo.RESTART_SECONDS)));
            return deeds;
        }

        /** What of the sound is set on the new box by hand, with levels down. */
        private List<ToDo.Deed> mix(Rig rig) {
            SoundUse use = rig.device(now).sound();
            List<ToDo.Deed> deeds = new ArrayList<>();
            if (!use.sends().isEmpty()) {
                deeds.add(new ToDo.Deed(
                        "Set its mix by the console list, with levels down: %s."
                                .formatted(Words.count(use.sends().size(), "send")),
                        ToDo.KNOB_SECONDS * use.sends().size()));
            }
            if (!use.phantom().isEmpty()) {
                deeds.add(new ToDo.Deed(
                        "Switch 48 V on at %s.".formatted(inputs(rig, use.phantom())),
                        ToDo.KNOB_SECONDS * use.phantom().size()));
            }
            if (!use.inverted().isEmpty()) {
                deeds.add(new ToDo.Deed(
                        "Turn the polarity at %s.".formatted(inputs(rig, use.inverted())),
                        ToDo.KNOB_SECONDS * use.inverted().size()));
            }
            return deeds;
        }

        private String inputs(Rig rig, Set<PortId> inputs) {
            return Words.list(inputs.stream()
                    .map(input -> rig.model(now).port(input).orElseThrow().name())
                    .toList());
        }

        /** Whether a plug of the box that is exchanged goes into the new one. */
        private boolean isReplugged(Link link) {
            return now.equals(dead)
                    && (link.from().device().equals(now) || link.to().device().equals(now));
        }

        private static boolean isPlugged(Rig rig, Link link) {
            return rig.kind(link) != LinkKind.INSIDE && rig.kind(link) != LinkKind.SOUND_INSIDE;
        }

        private static String words(Rig rig, Link link) {
            return "the %s cable from %s to %s"
                    .formatted(rig.kind(link).words(), rig.words(link.from()), rig.words(link.to()));
        }

        private String power(Rig rig) {
            return new PowerPlan(rig)
                    .feedings().stream()
                            .filter(feeding -> feeding.device().equals(now) && feeding.isFed())
                            .findFirst()
                            .map(feeding -> "from " + feeding.how(rig))
                            .orElse("nothing in the plan feeds it yet; bring its supply");
        }

        /** Whether a plug went into the computer on which an app looks for ports. */
        private static boolean finds(Rig rig, DeviceId app, List<Link> fresh) {
            Set<DeviceId> there = Set.of(rig.box(app));
            return fresh.stream()
                    .anyMatch(link -> there.contains(link.from().device())
                            || there.contains(link.to().device()));
        }

        private List<String> lost() {
            List<String> lost = new ArrayList<>();
            if (before.switches().of(dead).isEmpty()) {
                lost.addAll(Impact.lost(before, after));
            }
            List<String> homeless = homeless();
            if (!homeless.isEmpty()) {
                lost.add("No room for %s.".formatted(Words.list(homeless)));
            }
            int sends = before.rig().device(dead).sound().sends().size()
                    - (now.equals(dead)
                            ? after.rig().device(now).sound().sends().size()
                            : 0);
            if (sends > 0) {
                lost.add("It has no place for %s of the mix.".formatted(Words.count(sends, "send")));
            }
            List<String> still = controls();
            if (!still.isEmpty()) {
                lost.add("Nothing moves what %s moved.".formatted(Words.list(still)));
            }
            report.proofs().stream()
                    .filter(proof -> proof.at().board().equals(now) && !isRight(proof))
                    .forEach(proof -> lost.add("%s: %s."
                            .formatted(after.words(proof.at()), proof.verdict().words())));
            return lost;
        }

        /** What the dead board did and nothing does any more, by its tape. */
        private List<String> homeless() {
            List<Assignment> there = new ArrayList<>(after.switches().of(now));
            if (!now.equals(dead)) {
                there.removeAll(before.switches().of(now));
            }
            List<String> homeless = new ArrayList<>();
            for (Assignment assignment : before.switches().of(dead)) {
                Optional<Assignment> home = there.stream()
                        .filter(other -> other.label().equals(assignment.label())
                                && other.moments().equals(assignment.moments()))
                        .findFirst();
                home.ifPresent(there::remove);
                if (home.isEmpty() && !assignment.isBlank()) {
                    homeless.add(assignment
                            .label()
                            .map(label ->
                                    "%s (%s)".formatted(label, assignment.at().words()))
                            .orElse(assignment.at().words()));
                }
            }
            return homeless;
        }

        private List<String> controls() {
            Set<List<?>> moved = new LinkedHashSet<>();
            after.switches().travelsOf(now).forEach(control -> moved.add(control.targets()));
            return before.switches().travelsOf(dead).stream()
                    .filter(control -> !control.targets().isEmpty() && !moved.contains(control.targets()))
                    .map(Made::words)
                    .toList();
        }

        private static String words(ControlAssignment control) {
            return control.label()
                    .map(label -> "%s (%s)".formatted(label, control.at().words()))
                    .orElse(control.at().words());
        }

        /** States that the new box can only turn round, where the old one took them as they were said. */
        private List<String> costs() {
            Chart old = before.rig().chart(dead);
            Chart young = after.rig().chart(now);
            List<String> parts = Stream.concat(
                            before.switches().assignments().stream().flatMap(a -> a.steps().stream()),
                            before.book().cues().stream().flatMap(cue -> cue.steps().stream()))
                    .filter(step -> step.device().equals(dead))
                    .filter(step -> young.isByToggle(step.action()) && !old.isByToggle(step.action()))
                    .map(step -> after.rig().partName(now, step.action().part()).text())
                    .distinct()
                    .toList();
            return parts.isEmpty()
                    ? List.of()
                    : List.of(("%s can only be toggled on it: a second press of the same switch undoes the first, "
                                    + "and after a lost message or a hand at the box it stands the other way. "
                                    + "Look at it after each press; one more press puts it right.")
                            .formatted(Words.list(parts)));
        }

        private static boolean isRight(Proof proof) {
            return proof.verdict().compareTo(Verdict.LATE) <= 0;
        }
    }
}
