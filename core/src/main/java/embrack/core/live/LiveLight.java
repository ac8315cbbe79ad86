package embrack.core.live;

import embrack.core.chart.Verb;
import embrack.core.gear.Direction;
import embrack.core.light.Pace;
import embrack.core.light.Stepping;
import embrack.core.midi.Message;
import embrack.core.midi.RealTime;
import embrack.core.music.Tempo;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Socket;
import embrack.core.stage.Onstage;
import embrack.core.stage.Running;
import embrack.core.stage.Sight;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Engine;
import embrack.core.world.Happened;
import embrack.core.world.Journey;
import embrack.core.world.Outcome;
import embrack.core.world.Reading;
import embrack.core.world.World;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The light of a desk while messages come to it: what it shows at any time, at the tempo of the clock that it hears.
 *
 * @param world how the rig stands by now
 * @param light what the desk shows by now
 * @param sights what it showed since, the newest last
 * @param beats when the last clocks came, microseconds
 * @param lastTap when its tempo was tapped last, microseconds
 * @param tempo the beat of the clock that came, or of the taps; empty before
 * @param told what came to the desk last, the newest last
 */
public record LiveLight(
        World world,
        DeskLight light,
        List<Sight> sights,
        List<Long> beats,
        Optional<Long> lastTap,
        Optional<Tempo> tempo,
        List<Told> told) {

    /** Clocks to the quarter (MIDI 1.0, system real time messages). */
    private static final int CLOCKS = 24;

    private static final int KEPT_SIGHTS = 16;
    private static final int KEPT_TOLD = 8;
    private static final double MICROS_PER_MINUTE = 60_000_000;

    public LiveLight {
        sights = List.copyOf(sights);
        beats = List.copyOf(beats);
        told = List.copyOf(told);
    }

    /** What came to the desk at a time, microseconds. */
    public record Told(long micros, Happened.Arrived arrived) {}

    /** A desk of a rig that has just been switched on. */
    public static LiveLight of(Plan plan, DeviceId desk) {
        return new LiveLight(
                World.poweredOn(plan.rig()),
                DeskLight.dark(plan, desk),
                List.of(),
                List.of(),
                Optional.empty(),
                Optional.empty(),
                List.of());
    }

    /** What is on stage. */
    public Onstage onstage() {
        return new Onstage(light.plan(), sights);
    }

    /** After a switch of the rig was pressed and let go, so many microseconds after the beginning. */
    public LiveLight pressed(Engine engine, SwitchAt at, long micros) {
        return after(engine.tap(world, engine.standing(world, at)), micros);
    }

    /** After a message came in at the desk itself, so many microseconds after the beginning. */
    public LiveLight heard(Engine engine, Message message, long micros) {
        if (message.equals(RealTime.CLOCK)) {
            return clocked(micros);
        }
        return input().map(socket -> new Journey(List.of(), List.of(new Journey.Delivery(0, socket, message))))
                .map(journey -> after(engine.play(world, journey), micros))
                .orElse(this);
    }

    /** Where messages come in at the desk. */
    private Optional<Socket> input() {
        return light.plan().rig().model(light.desk()).ports().stream()
                .filter(port -> port.carriesMidi() && port.direction() != Direction.OUT)
                .map(port -> new Socket(light.desk(), port.id()))
                .findFirst();
    }

    /** After something was done; what is told late counts from what is seen already. */
    private LiveLight after(Outcome done, long when) {
        long micros = Math.max(when, light.sight().micros());
        DeskLight next = light.after(world, done, micros, tempo.orElse(Pace.ANY_TEMPO));
        List<Told> more = new ArrayList<>(told);
        done.trace().stream()
                .filter(Happened.Arrived.class::isInstance)
                .map(Happened.Arrived.class::cast)
                .filter(arrived -> arrived.socket().device().equals(light.desk()))
                .forEach(arrived -> more.add(new Told(micros, arrived)));
        return new LiveLight(
                        done.after(),
                        next,
                        next.sight().equals(light.sight()) ? sights : newest(sights, next.sight(), KEPT_SIGHTS),
                        beats,
                        lastTap,
                        tempo,
                        more.subList(Math.max(0, more.size() - KEPT_TOLD), more.size()))
                .tapped(done, micros);
    }

    /** A tap more on the tempo of the desk: a quarter lasts from the one before it to this. */
    private LiveLight tapped(Outcome done, long micros) {
        boolean isTap = done.trace().stream()
                .anyMatch(happened -> happened instanceof Happened.Arrived arrived
                        && arrived.socket().device().equals(light.desk())
                        && arrived.reading() instanceof Reading.Acts acts
                        && acts.actions().stream().anyMatch(action -> action.verb() == Verb.TAP));
        if (!isTap) {
            return this;
        }
        Optional<Tempo> now = lastTap.flatMap(last -> tempo(micros - last));
        LiveLight tapped = new LiveLight(world, light, sights, beats, Optional.of(micros), now.or(() -> tempo), told);
        return now.map(beat -> tapped.at(beat, micros)).orElse(tapped);
    }

    /** The tempo of a quarter so long, microseconds; empty for one that nobody plays. */
    private static Optional<Tempo> tempo(long quarter) {
        double thousandths = MICROS_PER_MINUTE * 1_000 / Math.max(1, quarter);
        return thousandths < Tempo.SLOWEST || thousandths > Tempo.FASTEST
                ? Optional.empty()
                : Optional.of(Tempo.ofMicrosPerQuarter(quarter));
    }

    /** A clock more: the tempo is that of the last quarter, and what runs by the beat goes on at it. */
    private LiveLight clocked(long micros) {
        List<Long> all = newest(beats, micros, CLOCKS + 1);
        if (all.size() <= CLOCKS) {
            return new LiveLight(world, light, sights, all, lastTap, tempo, told);
        }
        Optional<Tempo> now = tempo(micros - all.getFirst());
        LiveLight clocked = new LiveLight(
                world, light, sights, now.isEmpty() ? List.of(micros) : all, lastTap, now.or(() -> tempo), told);
        return now.equals(tempo)
                ? clocked
                : now.map(beat -> clocked.at(beat, micros)).orElse(clocked);
    }

    /** What runs by the beat, or as it is tapped, goes on where it is, at another tempo. */
    private LiveLight at(Tempo now, long when) {
        long micros = Math.max(when, light.sight().micros());
        Optional<Running> running = light.sight()
                .running()
                .filter(chase -> !(chase.chase().pace() instanceof Pace.Timed)
                        && !(chase.chase().pace() instanceof Pace.BySound));
        if (running.isEmpty()) {
            return this;
        }
        Stepping steps = running.get().steps();
        Pace pace = running.get().chase().pace();
        long each = pace instanceof Pace.Tapped ? Math.round(now.microsPerQuarter()) : pace.micros(now);
        long step = steps.stepAt(micros);
        double part = (micros - steps.startOf(step)) / (double) (steps.startOf(step + 1) - steps.startOf(step));
        long from = micros - Math.round((step + part) * each);
        Sight sight =
                light.sight().running(micros, new Running(running.get().chase(), new Stepping.Steady(from, each)));
        DeskLight next = new DeskLight(light.plan(), light.desk(), light.bank(), sight);
        List<Sight> earlier = sights.subList(0, Math.max(0, sights.size() - 1));
        return new LiveLight(world, next, newest(earlier, sight, KEPT_SIGHTS), beats, lastTap, tempo, told);
    }

    private static <T> List<T> newest(List<T> before, T next, int most) {
        return Stream.concat(before.stream(), Stream.of(next))
                .skip(Math.max(0, before.size() + 1L - most))
                .toList();
    }
}
