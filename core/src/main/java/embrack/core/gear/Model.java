package embrack.core.gear;

import embrack.core.chart.Action;
import embrack.core.chart.Aspect;
import embrack.core.chart.Chart;
import embrack.core.chart.Part;
import embrack.core.chart.PartId;
import embrack.core.chart.Standing;
import embrack.core.chart.Trigger;
import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.name.TapeLabel;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * A kind of hardware, as its manual describes it.
 *
 * @param sockets what can be plugged in
 * @param surface what hands and feet find on it
 * @param memory what it remembers: settings, memories, how they are kept
 * @param answers what it answers to
 * @param power what it runs from, if that is known
 */
public record Model(
        ModelId id,
        TapeLabel name,
        Kind kind,
        Sockets sockets,
        Surface surface,
        Memory memory,
        Implementation implementation,
        Optional<Power> power) {

    public Model {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(name, "name");
        Objects.requireNonNull(kind, "kind");
        if (surface.board()
                .filter(b -> b.sendChannel() == SendChannel.ONE_FOR_THE_BOX)
                .isPresent()) {
            requireChannel(memory, Purpose.SEND_CHANNEL, "its switches send on the one channel of the box");
        }
        if (listensOnAChannel(implementation.chart()) || listensOnAChannel(implementation.reality())) {
            requireChannel(memory, Purpose.RECEIVE_CHANNEL, "its chart is for the channel that the box is set to");
        }
    }

    public List<Port> ports() {
        return sockets.ports();
    }

    public Optional<Port> port(PortId port) {
        return sockets.port(port);
    }

    /** Ports that take a 5-pin or TRS cable, of one direction. */
    public List<Port> ports(Direction direction) {
        return cablePorts().stream().filter(p -> p.direction() == direction).toList();
    }

    /** Whether it is a program that lives in a computer or tablet: it has ports inside one. */
    public boolean isApp() {
        return ports().stream().anyMatch(p -> p.connector() == Connector.VIRTUAL);
    }

    /** Its sound outputs, in order. */
    public List<Port> outputs() {
        return ports().stream()
                .filter(p -> p.isSoundSocket() && p.direction().isSending())
                .toList();
    }

    /** Its sound inputs, in order. */
    public List<Port> inputs() {
        return ports().stream()
                .filter(p -> p.isSoundSocket() && p.direction().isReceiving())
                .toList();
    }

    /** What it does with sound. */
    public SoundInside sound() {
        return sockets.sound();
    }

    /** Whether sound is all that it is about: nothing else can be plugged in but power, and no message moves it. */
    public boolean isForSoundAlone() {
        return !isApp()
                && kind != Kind.HOST
                && midiPorts().isEmpty()
                && ports().stream().anyMatch(Port::isSoundSocket);
    }

    /** Ports that messages pass. */
    public List<Port> midiPorts() {
        return ports().stream().filter(Port::carriesMidi).toList();
    }

    /** Ports that take a 5-pin or TRS cable. */
    public List<Port> cablePorts() {
        return ports().stream().filter(p -> p.connector().isSerial()).toList();
    }

    public Optional<Board> board() {
        return surface.board();
    }

    public List<Setting> settings() {
        return memory.settings();
    }

    /** The setting that is for something. */
    public Optional<Setting> setting(Purpose purpose) {
        return memory.setting(purpose);
    }

    public Optional<Setting> setting(SettingId setting) {
        return memory.setting(setting);
    }

    /** What must be done so that the box keeps what was programmed; empty when it keeps it at once. */
    public Optional<String> writing() {
        return memory.writing();
    }

    /** How it writes its timed messages, where it takes and gives them as text. */
    public Optional<CueLine> cueLine() {
        return memory.cueLine();
    }

    public Chart chart() {
        return implementation.chart();
    }

    /** How its parts come to stand as they do, whatever messages say. */
    public Standing standing() {
        return chart().beside().standing();
    }

    /** Whether it is a host of sounds that are played by knobs: each patch with its own, or a layer for all. */
    public boolean isPlayedByKnobs() {
        return kind == Kind.INSTRUMENT_HOST
                && parts().stream()
                        .anyMatch(part -> implementation.aspects(part.id()).contains(Aspect.LEVEL));
    }

    /** Whether its patches have knobs of their own, which controls are linked straight to. */
    public boolean isLinkedStraight() {
        return isPlayedByKnobs() && !standing().within().isEmpty();
    }

    /** What can be acted on, in the order of the chart. */
    public List<Part> parts() {
        return implementation.parts();
    }

    public Optional<Part> part(PartId part) {
        return chart().part(part).or(() -> implementation.reality().part(part));
    }

    /** An action in the words of the box: "mute Input 1". */
    public String words(Action action) {
        return action.words(part(action.part()).<Object>map(Part::name).orElse(action.part()));
    }

    /** Everything the chart can make it do, verb by verb, part by part. */
    public List<Action> actions() {
        return chart().actions();
    }

    /** The messages that the chart gives for an action on a channel, in order; empty when it has no row for it. */
    public Optional<List<Message>> messagesFor(Action action, Channel channel) {
        return chart().messagesFor(action, channel);
    }

    /** The actions whose messages make the box do something else, or nothing. */
    public List<Action> contradictedActions() {
        return implementation.contradictedActions();
    }

    /** This model with a chart that the box obeys. */
    public Model withChartCorrected() {
        return withImplementation(implementation.corrected());
    }

    public Model withImplementation(Implementation others) {
        return new Model(id, name, kind, sockets, surface, memory, others, power);
    }

    public Model withSurface(Surface other) {
        return new Model(id, name, kind, sockets, other, memory, implementation, power);
    }

    /** The same hardware under another id and name, as a model of one's own begins. */
    public Model copied(ModelId otherId, TapeLabel otherName) {
        return new Model(otherId, otherName, kind, sockets, surface, memory, implementation, power);
    }

    /** Whether the channel that the box is set to decides what it hears. */
    private static boolean listensOnAChannel(Chart chart) {
        return chart.rows().stream()
                .flatMap(row -> row.triggers().stream())
                .anyMatch(
                        p -> p instanceof Trigger.Voice voice && voice.channel().isEmpty());
    }

    private static void requireChannel(Memory memory, Purpose needed, String why) {
        Setting setting = memory.setting(needed)
                .orElseThrow(() -> new IllegalArgumentException(
                        "a setting for the %s is missing: %s".formatted(needed.words(), why)));
        if (setting.min() < 1 || setting.max() > 16) {
            throw new IllegalArgumentException("the setting \"%s\" is a channel: 1 to 16, was %d to %d"
                    .formatted(setting.name(), setting.min(), setting.max()));
        }
    }
}
