package embrack.app.wiring;

import embrack.core.midi.FrameRate;
import embrack.core.midi.Wire;
import embrack.core.way.Delay;
import embrack.core.way.WireLoad;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What a person asks about a 5-pin cable: what if this runs on it all the time?
 *
 * @param bpm tempo of a clock as typed, or empty
 * @param frames the constant of a time code, or empty
 */
record LoadForm(String bpm, String frames, boolean treadle) {

    static final LoadForm NONE = new LoadForm("", "", false);

    /** The answer; {@code problem} empty when there is one. */
    record Answer(String problem, List<String> lines, String percent, String delay) {}

    /** The rates to choose from. */
    static List<FrameRate> rates() {
        return List.of(FrameRate.values());
    }

    boolean isAsked() {
        return !bpm.isBlank() || !frames.isBlank() || treadle;
    }

    Answer answer() {
        if (!bpm.isBlank() && !bpm.strip().matches("\\d{1,3}")) {
            return new Answer("A tempo is a whole number of beats a minute, 1 to 999.", List.of(), "", "");
        }
        try {
            var load = new WireLoad(
                    bpm.isBlank() ? Optional.empty() : Optional.of(Integer.valueOf(bpm.strip())),
                    Stream.of(FrameRate.values())
                            .filter(rate -> rate.name().equals(frames))
                            .findFirst(),
                    treadle);
            return new Answer(
                    "",
                    load.words(),
                    String.format(Locale.ROOT, "%.2f", load.percent()),
                    "%s ms; alone it waits for nothing and takes %s ms itself"
                            .formatted(Delay.millis(load.pressDelayMicros()), Delay.millis(Wire.micros(3))));
        } catch (IllegalArgumentException e) {
            return new Answer(String.valueOf(e.getMessage()), List.of(), "", "");
        }
    }
}
