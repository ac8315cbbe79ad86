package embrack.core.edit;

import embrack.core.gear.PortId;
import embrack.core.gear.Sound;
import embrack.core.gear.SoundRoute;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Length;
import embrack.core.rig.Rig;
import embrack.core.rig.Send;
import embrack.core.rig.Socket;
import embrack.core.rig.SoundUse;
import embrack.core.word.Fact;
import embrack.core.word.Phrase;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.UnaryOperator;

/** Changes to what a rig makes of its sockets for sound. */
public sealed interface SoundEdit extends Edit {

    /** The box that is changed. */
    DeviceId device();

    /** What is made of it. */
    SoundUse of(Device device);

    /** The field where a refusal is said. */
    String field();

    @Override
    default Plan apply(Plan plan) {
        Typed.device(field(), plan, device());
        UnaryOperator<Device> change = d -> d.withSound(of(d));
        return Refused.at(field(), () -> plan.withRig(plan.rig().withDeviceChanged(device(), change)));
    }

    /**
     * Sets how much of one thing is in another: decibels, or off.
     *
     * @param level as it was typed
     */
    record SetSend(DeviceId device, SoundRoute route, String level) implements SoundEdit {
        @Override
        public SoundUse of(Device device) {
            return device.sound().withSend(route, Send.parse(level));
        }

        @Override
        public String field() {
            return "level";
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("sound.send")
                    .with(
                            "from",
                            before.rig().words(new Socket(device, route.from().port())))
                    .with(
                            "to",
                            before.rig().name(device) + " "
                                    + port(before.rig(), device, route.to().port()))
                    .with("level", level.isBlank() ? "off" : level.strip());
        }
    }

    /** Switches 48 V on or off at an input. */
    record SwitchPhantom(DeviceId device, PortId input, boolean on) implements SoundEdit {
        @Override
        public SoundUse of(Device device) {
            return device.sound().withPhantom(input, on);
        }

        @Override
        public String field() {
            return "phantom";
        }

        @Override
        public Phrase summary(Plan before) {
            Fact at = Fact.of(before.rig().words(new Socket(device, input)));
            return on
                    ? Say.of("sound.phantom.on").with("input", at)
                    : Say.of("sound.phantom.off").with("input", at);
        }
    }

    /** Turns the polarity of an input round, or back. */
    record TurnPolarity(DeviceId device, PortId input, boolean inverted) implements SoundEdit {
        @Override
        public SoundUse of(Device device) {
            return device.sound().withInverted(input, inverted);
        }

        @Override
        public String field() {
            return "inverted";
        }

        @Override
        public Phrase summary(Plan before) {
            Fact at = Fact.of(before.rig().words(new Socket(device, input)));
            return inverted
                    ? Say.of("sound.polarity.on").with("input", at)
                    : Say.of("sound.polarity.off").with("input", at);
        }
    }

    /**
     * Says what whoever hears a box cannot play without, and how far their ears are from it.
     *
     * @param away as it was typed, in metres; empty for ears that wear it
     */
    record Listen(DeviceId device, Set<Sound> wants, String away) implements SoundEdit {

        public Listen {
            wants = Set.copyOf(wants);
        }

        @Override
        public SoundUse of(Device device) {
            Optional<Length> distance = away.isBlank() ? Optional.empty() : Optional.of(Length.parse(away));
            return device.sound().withWants(new TreeSet<>(wants)).withAway(distance);
        }

        @Override
        public String field() {
            return "away";
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("sound.listen").with("device", before.rig().name(device));
        }
    }

    private static String port(Rig rig, DeviceId device, PortId port) {
        return rig.model(device).port(port).map(p -> p.name().text()).orElse(port.text());
    }
}
