package embrack.core.gear.library;

import static embrack.core.gear.Kind.INTERFACE;
import static embrack.core.gear.Kind.LISTENING;
import static embrack.core.gear.Kind.MIXER;
import static embrack.core.gear.Kind.SOUND_BOX;
import static embrack.core.gear.Kind.SOUND_SOURCE;

import embrack.core.gear.Model;
import java.util.List;

/** What sound begins in, goes through and is heard from. */
final class Sounds {

    private static final Model STAGE_MICROPHONE =
            Shipped.model("stage-microphone", "Stage microphone", SOUND_SOURCE, """
            port Out: XLR out, at -50 dBu
            makes microphone at Out
            """, "");

    private static final Model CHOIR_MICROPHONE =
            Shipped.model("choir-microphone", "Choir microphone, condenser", SOUND_SOURCE, """
            port Out: XLR out, at -38 dBu, needs 48 V
            makes microphone at Out
            """, "");

    private static final Model STRING_INSTRUMENT =
            Shipped.model("instrument-with-pickup", "Instrument with a pickup", SOUND_SOURCE, """
            port Out: mono jack out, at -20 dBu
            makes instrument at Out
            """, "");

    private static final Model PASSIVE_DI = Shipped.model("di-passive", "DI box, passive", SOUND_BOX, """
            # A transformer: what comes out shares no ground with what goes in.
            port In: mono jack in, at -30..+10 dBu
            port Out: XLR out, at -50..-10 dBu
            sound In to Out: -20 dB; isolated
            """, "");

    private static final Model DOUBLE_DI =
            Shipped.model("di-passive-2", "DI box, passive, two channels", SOUND_BOX, """
            port In 1..2: mono jack in, at -30..+10 dBu
            port Out 1..2: XLR out, at -50..-10 dBu
            sound In 1..2 to Out 1..2: -20 dB; isolated
            """, "");

    private static final Model ACTIVE_DI = Shipped.model("di-active", "DI box, active", SOUND_BOX, """
            port In: mono jack in, at -40..+4 dBu
            port Out: XLR out, at -40..+4 dBu, needs 48 V
            sound In to Out
            """, "");

    private static final Model HEADPHONE_SPLIT =
            Shipped.model("headphone-split", "Headphone split, one plug to two", SOUND_BOX, """
            # One stereo plug; each of its two sides comes out for itself.
            port Plug left: audio in
            port Plug right: audio in
            port Left: mono jack out
            port Right: mono jack out
            sound Plug left to Left
            sound Plug right to Right
            """, "");

    private static final Model STEREO_SPLIT =
            Shipped.model("stereo-jack-split", "Stereo jack split, one plug to two", SOUND_BOX, """
            port Plug: stereo jack in
            port Left: mono jack out
            port Right: mono jack out
            sound Plug/left to Left
            sound Plug/right to Right
            """, "");

    private static final Model SUMMING_LEAD =
            Shipped.model("summing-box", "Summing box, two to one", SOUND_BOX, """
            # Each side goes through a resistor; a plain Y lead would short two outputs against each other.
            port In left: mono jack in, at -30..+10 dBu
            port In right: mono jack in, at -30..+10 dBu
            port Out: mono jack out, at -36..+4 dBu
            sound In left, In right to Out: -6 dB
            """, "");

    private static final Model MICROPHONE_SPLIT =
            Shipped.model("microphone-split", "Microphone split, one to two", SOUND_BOX, """
            # 48 V comes from the console on the direct side only.
            port In: XLR in, at -60..+10 dBu
            port Direct: XLR out, at -60..+10 dBu
            port Isolated: XLR out, at -60..+10 dBu
            sound In to Direct
            sound In to Isolated: isolated
            """, "");

    private static final Model LOOM = Shipped.model("loom-12", "Loom, 12 ways", SOUND_BOX, """
            # Twelve balanced leads in one sleeve.
            port In 1..12: balanced jack in
            port Out 1..12: XLR out
            sound In 1..12 to Out 1..12
            """, "");

    private static final Model STAGE_BOX =
            Shipped.model("stage-box-16-by-8", "Stage box, 16 in, 8 out", SOUND_BOX, """
            port Input 1..16: XLR in, at -60..+20 dBu, gives 48 V
            port Output 1..8: XLR out, at +4 dBu
            port Network out: sound network out, 16 channels
            port Network in: sound network in, 8 channels
            sound Input 1..16 to Network out/1..16: 0.5 ms late
            sound Network in/1..8 to Output 1..8: 0.5 ms late
            setting Sample rate: 48 kHz, 96 kHz; factory 48 kHz, not about messages: sound alone
            power: mains
            """, "");

    private static final Model SOUND_INTERFACE =
            Shipped.model("sound-interface-8-by-8", "Sound interface, 8 in, 8 out", INTERFACE, """
            port USB: USB device both ways
            port Input 1..8: XLR in, at -60..+10 dBu, gives 48 V
            port Output 1..8: balanced jack out, at +4 dBu
            port Play 1..8: computer sound in
            port Record 1..8: computer sound out
            sound Play 1..8 to Output 1..8
            sound Input 1..8 to Record 1..8
            setting Sample rate: 44.1 kHz, 48 kHz, 96 kHz; factory 48 kHz, not about messages: sound alone
            power: mains
            """, "");

    private static final Model CONSOLE =
            Shipped.model("house-console-24", "House console, 24 channels", MIXER, """
            # Comes with the venue. Groups lie behind the channels; the matrix takes the main once more for the stream.
            port Input 1..24: XLR in, at -60..+20 dBu, gives 48 V
            port Group 1..4: bus both ways
            port Mix left: bus both ways
            port Mix right: bus both ways
            port Main left: XLR out, at +4 dBu
            port Main right: XLR out, at +4 dBu
            port Matrix left: XLR out, at +4 dBu
            port Matrix right: XLR out, at +4 dBu
            port Aux 1..8: XLR out, at +4 dBu
            sound Input 1..24 to each Mix left, Mix right: own level
            sound Input 1..24 to each Group 1..4: own level, off
            sound Group 1..4 to each Mix left, Mix right: own level
            sound Mix left, Mix right to Main left, Main right
            sound Mix left, Mix right to Matrix left, Matrix right: own level
            sound Group 1..4 to each Matrix left, Matrix right: own level, off
            sound Input 1..24 to each Aux 1..8: own level, off
            power: mains
            """, "");

    private static final Model IN_EARS =
            Shipped.model("in-ears-wireless", "In-ears, wireless, stereo", LISTENING, """
            # Sent and received as numbers: about 3 ms is typical of such sets (common practice, no source).
            port In left: balanced jack in, at -10..+10 dBu
            port In right: balanced jack in, at -10..+10 dBu
            port Pack left: bus both ways
            port Pack right: bus both ways
            sound In left to Pack left: 3 ms late
            sound In right to Pack right: 3 ms late
            heard at Pack left by in-ears
            heard at Pack right by in-ears
            power: a supply of its own, 500 mA
            """, "");

    private static final Model WIRED_EARS = Shipped.model("in-ears-wired", "In-ears, wired, mono", LISTENING, """
            port In: XLR in, at -10..+10 dBu
            heard at In by in-ears
            power: batteries, 60 mA, lasts 20 h
            """, "");

    private static final Model WEDGE = Shipped.model("floor-wedge", "Floor wedge, powered", LISTENING, """
            port In: XLR in, at -10..+20 dBu
            heard at In by wedge
            power: mains
            """, "");

    private static final Model HOUSE =
            Shipped.model("house-speakers", "House loudspeakers, powered", LISTENING, """
            port In left: XLR in, at -10..+20 dBu
            port In right: XLR in, at -10..+20 dBu
            heard at In left by house
            heard at In right by house
            power: mains
            """, "");

    private static final Model STREAM = Shipped.model("stream-encoder", "Stream encoder", LISTENING, """
            port In left: phono in, at -20..+6 dBV
            port In right: phono in, at -20..+6 dBV
            heard at In left by stream
            heard at In right by stream
            power: a supply of its own, 800 mA
            """, "");

    private static final Model RECORDER = Shipped.model("recorder-2", "Recorder, two tracks", LISTENING, """
            port In 1..2: XLR in, at -40..+10 dBu, gives 48 V
            heard at In 1 by recording
            heard at In 2 by recording
            power: batteries or USB, 300 mA, lasts 8 h
            """, "");

    static final List<Model> ALL = List.of(
            STAGE_MICROPHONE,
            CHOIR_MICROPHONE,
            STRING_INSTRUMENT,
            PASSIVE_DI,
            DOUBLE_DI,
            ACTIVE_DI,
            HEADPHONE_SPLIT,
            STEREO_SPLIT,
            SUMMING_LEAD,
            MICROPHONE_SPLIT,
            LOOM,
            STAGE_BOX,
            SOUND_INTERFACE,
            CONSOLE,
            IN_EARS,
            WIRED_EARS,
            WEDGE,
            HOUSE,
            STREAM,
            RECORDER);

    private Sounds() {}
}
