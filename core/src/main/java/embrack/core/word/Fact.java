package embrack.core.word;

import embrack.core.chart.PartId;
import embrack.core.name.TapeLabel;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.Socket;
import embrack.core.show.Anchor;
import embrack.core.show.Cue;
import embrack.core.show.Song;
import embrack.core.show.SongId;
import embrack.core.switches.ControlAt;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.core.switches.Target;
import java.util.Collection;
import java.util.List;
import java.util.TreeMap;
import java.util.stream.Collectors;

/** One thing that something said is about. Two facts are equal when they are about the same, whatever it is called. */
public sealed interface Fact {

    /** A box of the rig. */
    record Box(DeviceId device) implements Fact {}

    /** A part of a box. Style {@code name}: its name alone. */
    record PartOf(DeviceId device, PartId part) implements Fact {}

    /** The level of a part of a box. */
    record Level(DeviceId device, PartId part) implements Fact {}

    /** Switches, in the order of the board. */
    record Switches(List<SwitchAt> all) implements Fact {

        public Switches {
            all = all.stream().distinct().sorted().toList();
        }
    }

    /** A treadle, fader or knob. Style {@code name}: as it is said on its box. */
    record Control(ControlAt at) implements Fact {}

    /** Something that a box is to do. */
    record Deed(Step step) implements Fact {}

    /** A song of the book. */
    record SongOf(SongId song) implements Fact {}

    /** A moment of a song. Style {@code name}: without the song. */
    record Moment(SongId song, Anchor at) implements Fact {}

    /** A socket of a box. */
    record Plug(Socket socket) implements Fact {}

    /** What joins two sockets. */
    record Joined(Socket from, Socket to) implements Fact {}

    /**
     * A whole number. Styles for times in microseconds: {@code millis} "3.2 ms", {@code clock} "1:23.456", {@code
     * brief} "1:23", {@code shift} "+12 ms"; {@code tenths}: a tenth of it, "8.5".
     */
    record Number(long value) implements Fact {}

    /** What a person or a manual calls something, or a box shows for it. */
    record Name(String text) implements Fact {}

    /** A word of Embrack's own, by which patterns may choose; said as it is where a language has no other for it. */
    record Word(String key) implements Fact {}

    /** Something said within something said. */
    record Said(Phrase phrase) implements Fact {}

    /** Several things, said one after the other; counted by plural patterns. Styles: {@code commas}, {@code
     * semicolons}, {@code then}. */
    record Many(List<Fact> all) implements Fact {

        public Many {
            all = List.copyOf(all);
        }
    }

    /** The fact in one line, the same for equal facts, in the order of ids. */
    default String key() {
        return switch (this) {
            case Box box -> box.device().text();
            case PartOf part -> part.device().text() + "/" + part.part().text();
            case Level level -> level.device().text() + "/" + level.part().text();
            case Switches switches ->
                switches.all().stream()
                        .map(at -> "%s/%02d/%s%03d"
                                .formatted(
                                        at.board().text(),
                                        at.bank(),
                                        at.of().map(of -> of.name()).orElse(""),
                                        at.number()))
                        .collect(Collectors.joining(","));
            case Control control -> {
                ControlAt at = control.at();
                yield "%s/%02d/%s/%03d"
                        .formatted(at.box().text(), at.bank(), at.type().name(), at.number());
            }
            case Deed deed ->
                "%s/%s/%s"
                        .formatted(
                                deed.step().device().text(),
                                deed.step().action().verb().key(),
                                deed.step().action().part().text());
            case SongOf song -> song.song().text();
            case Moment moment -> moment.song().text() + "/" + key(moment.at());
            case Plug plug ->
                plug.socket().device().text() + "/" + plug.socket().port().text();
            case Joined link -> new Plug(link.from()).key() + ">" + new Plug(link.to()).key();
            case Number number -> String.valueOf(number.value());
            case Name name -> name.text();
            case Word word -> word.key();
            case Said said ->
                said.phrase().key()
                        + new TreeMap<>(said.phrase().facts())
                                .values().stream().map(Fact::key).collect(Collectors.joining(",", "(", ")"));
            case Many many -> many.all().stream().map(Fact::key).collect(Collectors.joining(","));
        };
    }

    /**
     * The fact that a value of the core stands for.
     *
     * @throws IllegalArgumentException when it is a type that nothing is said of
     */
    static Fact of(Object value) {
        return switch (value) {
            case Fact fact -> fact;
            case DeviceId device -> new Box(device);
            case Device device -> new Box(device.id());
            case SwitchAt at -> new Switches(List.of(at));
            case ControlAt at -> new Control(at);
            case Step step -> new Deed(step);
            case Target target -> new Level(target.device(), target.part());
            case Song song -> new SongOf(song.id());
            case SongId song -> new SongOf(song);
            case Socket socket -> new Plug(socket);
            case Link link -> new Joined(link.from(), link.to());
            case Integer number -> new Number(number);
            case Long number -> new Number(number);
            case TapeLabel name -> new Name(name.text());
            case String name -> new Name(name);
            case Phrase phrase -> new Said(phrase);
            case Collection<?> all
            when !all.isEmpty() && all.stream().allMatch(SwitchAt.class::isInstance) ->
                new Switches(all.stream().map(SwitchAt.class::cast).toList());
            case Collection<?> all -> new Many(all.stream().<Fact>map(Fact::of).toList());
            default ->
                throw new IllegalArgumentException(
                        "nothing is said of a " + value.getClass().getSimpleName());
        };
    }

    private static String key(Anchor at) {
        return switch (at) {
            case Anchor.OnBar bar ->
                "bar/%05d/%05d".formatted(bar.at().bar(), bar.at().tick());
            case Anchor.OnClock clock -> "clock/%011d".formatted(clock.micros());
            case Anchor.AtSection section -> "section/%s/%s".formatted(section.section(), section.end());
            case Anchor.Automatic automatic -> "on/" + automatic.when();
        };
    }

    /** A moment of a song at which a cue comes. */
    static Fact of(Song song, Cue cue) {
        return new Moment(song.id(), cue.at());
    }

    /** A word of Embrack's own. */
    static Fact word(String key) {
        return new Word(key);
    }
}
