package embrack.core.run;

import embrack.core.chart.Aspect;
import embrack.core.chart.Chart;
import embrack.core.chart.Meaning;
import embrack.core.check.Report;
import embrack.core.compile.Compiler;
import embrack.core.gear.SwitchMode;
import embrack.core.music.Position;
import embrack.core.name.TapeLabel;
import embrack.core.offer.Vamp;
import embrack.core.plan.Plan;
import embrack.core.power.PowerPlan;
import embrack.core.rig.DeviceId;
import embrack.core.show.Book;
import embrack.core.show.Entry;
import embrack.core.show.Form;
import embrack.core.show.Running;
import embrack.core.show.Show;
import embrack.core.show.ShowId;
import embrack.core.show.Song;
import embrack.core.show.SongId;
import embrack.core.show.Transition;
import embrack.core.sim.Meant;
import embrack.core.switches.Assignment;
import embrack.core.switches.Duty;
import embrack.core.switches.Moment;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Engine;
import embrack.core.world.Place;
import embrack.core.world.Places;
import embrack.core.world.World;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What is to happen tonight, part by part: all that a run needs of a plan, worked out once. */
public final class Night {

    private final Plan plan;
    private final Engine engine;
    private final Meant meant;
    private final World start;
    private final Running running;
    private final PowerPlan power;
    private final List<Optional<Script>> scripts;
    private final Optional<SwitchAt> go;
    private final Set<Place> moved;
    private final Compiler compiler;
    private final Map<DeviceId, List<Place>> vamps = new ConcurrentHashMap<>();
    private final Map<DeviceId, Boolean> toldToVamp = new ConcurrentHashMap<>();
    private final Map<SwitchAt, Boolean> alternating = new ConcurrentHashMap<>();
    private final Map<SwitchAt, Set<DeviceId>> reaches = new ConcurrentHashMap<>();

    private Night(Report report) {
        plan = report.plan();
        engine = new Engine(plan, report.prover().ways());
        compiler = new Compiler(plan, report.prover().ways());
        Places places = new Places(plan.rig());
        meant = new Meant(plan.rig(), places);
        start = World.poweredOn(places);
        running = Running.of(plan.book(), tonight(plan.book()));
        power = new PowerPlan(plan.rig());
        Map<SongId, Script> bySong = new HashMap<>();
        report.book()
                .songs()
                .forEach(proof -> proof.player()
                        .ifPresent(player -> bySong.put(proof.song().id(), Script.of(proof, player))));
        scripts = running.parts().stream()
                .map(part -> part.entry().song().map(bySong::get))
                .toList();
        go = plan.switches().assignments().stream()
                .filter(assignment -> assignment.isFor(Duty.GO))
                .map(assignment -> assignment.at())
                .findFirst();
        moved = Stream.concat(
                        plan.switches().assignments().stream().flatMap(assignment -> assignment.steps().stream()),
                        plan.book().cues().stream().flatMap(cue -> cue.steps().stream()))
                .flatMap(step -> meant.targets(List.of(step)).stream())
                .collect(Collectors.toSet());
        plan.switches().controlAssignments().stream()
                .flatMap(control -> control.targets().stream())
                .forEach(target -> moved.add(new Place(target.device(), target.part(), Aspect.LEVEL)));
    }

    /** The night of a plan that was proven: tonight's show, or all songs one behind the other. */
    public static Night of(Report report) {
        return new Night(report);
    }

    private static Show tonight(Book book) {
        return book.tonight().orElseGet(() -> {
            List<Entry> order = new ArrayList<>();
            book.songs().forEach(song -> order.add(Entry.of(order.size() + 1, song)));
            return Show.empty(new ShowId("all-songs"), new TapeLabel("All songs"))
                    .withOrder(order.subList(0, Math.min(order.size(), Show.MAX_ENTRIES)));
        });
    }

    public Plan plan() {
        return plan;
    }

    /** What everything runs from. */
    PowerPlan power() {
        return power;
    }

    /** The order by the clock. */
    public Running running() {
        return running;
    }

    /** The parts of the order, with their planned times. */
    public List<Running.Part> parts() {
        return running.parts();
    }

    /** When the run reaches a moment of the show, as planned: the run begins with the first part of the order. */
    public long micros(long showMicros) {
        return parts().isEmpty() ? showMicros : showMicros - parts().getFirst().startMicros();
    }

    public Engine engine() {
        return engine;
    }

    /** The rig before the first press. */
    World start() {
        return start;
    }

    World intended(World before, List<Step> steps) {
        return before.after(meant.moves(steps));
    }

    /** Whether a switch does the other at every second press. */
    boolean alternates(SwitchAt at) {
        return alternating.computeIfAbsent(
                at, a -> compiler.compile(plan.switches().at(a)).mode() == SwitchMode.ALTERNATING);
    }

    /** All parts of boxes that a switch, a cue or a control of the plan ever moves. */
    public Set<Place> moved() {
        return moved;
    }

    /** What a press means, by the side at which its switch is. */
    List<Step> meantBy(SwitchAt at, World ideal) {
        Assignment what = plan.switches().at(at);
        List<Step> again = what.steps(Moment.AGAIN);
        return alternates(at) && ideal.isTurned(at) && !again.isEmpty() ? again : what.steps(Moment.PRESS);
    }

    /** As it is meant to be once a switch was pressed and let go, and all has waited that waits. */
    World pressed(World ideal, SwitchAt at) {
        World turned = alternates(at) ? ideal.turning(at) : ideal;
        World down = intended(turned, meantBy(at, ideal));
        return intended(down, plan.switches().at(at).steps(Moment.RELEASE));
    }

    /** The boxes to which what a switch sends could come, with every link and box in order. */
    Set<DeviceId> reach(SwitchAt at) {
        return reaches.computeIfAbsent(
                at,
                a -> engine.journey(compiler.compile(plan.switches().at(a)), Moment.PRESS, 0).deliveries().stream()
                        .map(delivery -> delivery.to().device())
                        .collect(Collectors.toSet()));
    }

    Optional<Script> script(int part) {
        return part < scripts.size() ? scripts.get(part) : Optional.empty();
    }

    /** The song of a part. */
    public Optional<Song> song(int part) {
        return part < parts().size() ? parts().get(part).entry().song().flatMap(plan.book()::find) : Optional.empty();
    }

    /** The player of the songs: of that part, or of the next one that has one. */
    Optional<DeviceId> player(int part) {
        return scripts.stream()
                .skip(part)
                .flatMap(Optional::stream)
                .map(Script::player)
                .findFirst();
    }

    /** The switch that begins a part: its own, or the one for "go" where a song waits for a press. */
    public Optional<SwitchAt> start(int part) {
        Entry entry = parts().get(part).entry();
        boolean waits = part > 0
                && parts().get(part - 1).entry().transition().way() == Transition.Way.ON_DEMAND
                && entry.song().isPresent();
        return entry.press().or(() -> waits ? go : Optional.empty());
    }

    /** Whether a part does not begin before its player was told to: by a switch that begins it. */
    boolean isBegunByPlayer(int part) {
        return script(part)
                .flatMap(script -> start(part)
                        .map(at -> plan.switches().at(at).steps(Moment.PRESS).stream()
                                .anyMatch(step -> step.device().equals(script.player()) && begins(step))))
                .orElse(false);
    }

    private boolean begins(Step step) {
        return Leap.of(chart(step.device()), step.action(), true)
                .filter(leap -> leap instanceof Leap.Play || leap instanceof Leap.ToSong)
                .isPresent();
    }

    Chart chart(DeviceId device) {
        return plan.rig().chart(device);
    }

    /** What a player goes round by while it is on. */
    List<Place> vamps(DeviceId player) {
        return vamps.computeIfAbsent(
                player,
                p -> chart(p).parts().stream()
                        .filter(part -> chart(p).isMeant(part.id(), Meaning.VAMP))
                        .map(part -> new Place(p, part.id(), Aspect.SWITCHED))
                        .toList());
    }

    /** Whether a switch or cue ever tells a player to go round: else it does so by itself, or people play it again. */
    boolean isVampWorked(DeviceId player) {
        return toldToVamp.computeIfAbsent(player, p -> Vamp.isBegunByCues(plan, p) || Vamp.isBegunByFeet(plan, p));
    }

    /** Whether a press lets go what a player goes round by. */
    boolean letsGo(SwitchAt at, DeviceId player) {
        return plan.switches().at(at).steps(Moment.PRESS).stream()
                .anyMatch(step -> step.device().equals(player)
                        && Leap.of(chart(player), step.action(), true)
                                .filter(Leap.LetGo.class::isInstance)
                                .isPresent());
    }

    /** The part of the order that a song of a player's list is, the next one from {@code part} on, else any. */
    Optional<Integer> partOf(DeviceId player, int place, int part) {
        return Stream.concat(
                        Stream.iterate(part, i -> i < scripts.size(), i -> i + 1),
                        Stream.iterate(0, i -> i < part, i -> i + 1))
                .filter(i -> script(i)
                        .filter(script ->
                                script.player().equals(player) && script.song().place() == place)
                        .isPresent())
                .findFirst();
    }

    /** How long the bars before a bar last that people get to be ready, microseconds. */
    static long leadInMicros(Song song, long from) {
        Form form = song.form();
        int bar = form.tempoMap()
                .position(form.tempoMap().tickAt(Math.max(0, from)))
                .bar();
        long bars =
                form.tempoMap().micros(Position.bar(bar + 1)) - form.tempoMap().micros(Position.bar(bar));
        return song.leadInBars() * bars;
    }
}
