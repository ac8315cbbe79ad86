package embrack.paper.part;

import embrack.core.music.Clock;
import embrack.core.music.Key;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.rig.Rig;
import embrack.core.sheet.ConsoleList;
import embrack.core.show.Show;
import embrack.core.show.Song;
import embrack.core.show.Stem;
import embrack.core.sound.SoundPaths;
import embrack.paper.page.Block;
import embrack.paper.page.Body;
import embrack.paper.page.Column;
import embrack.paper.page.Part;
import embrack.paper.page.Row;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What front of house and monitors need: what is on which output, stems, keys and trims, cues; and the input list. */
final class SoundLeaf {

    private final Contents contents;
    private final Plan plan;
    private final Rig rig;

    SoundLeaf(Contents contents) {
        this.contents = contents;
        this.plan = contents.plan();
        this.rig = contents.rig();
    }

    Part sound() {
        List<Block> blocks = new ArrayList<>();
        blocks.add(Block.of("What is on which output", feeds()));
        blocks.add(Block.of("Songs", songs()));
        blocks.addAll(CueLeaf.sound(contents));
        return new Part(
                "sound",
                "Sound",
                "feeds, stems, cues",
                Part.Form.HALVES,
                blocks.stream().filter(block -> !block.isEmpty()).toList());
    }

    private Body.Table feeds() {
        Map<List<String>, List<String>> alike = new LinkedHashMap<>();
        rig.devices()
                .forEach(device -> device.feeds().forEach((id, feed) -> {
                    if (feed.isUsed()) {
                        String output = rig.model(device.id())
                                .port(id)
                                .map(port -> port.name().text())
                                .orElse(id.text());
                        alike.computeIfAbsent(List.of(output, feed.words()), key -> new ArrayList<>())
                                .add(device.name().text());
                    }
                }));
        List<Row> rows = alike.entrySet().stream()
                .map(feed -> Row.of(
                        "%s %s"
                                .formatted(
                                        Words.list(feed.getValue()),
                                        feed.getKey().getFirst()),
                        feed.getKey().getLast()))
                .toList();
        return new Body.Table(List.of(Column.words("Output", 40), Column.words("Carries", 60)), rows);
    }

    private Body.Table songs() {
        return new Body.Table(
                List.of(
                        Column.words("Song", 26),
                        Column.words("Key, from", 20),
                        Column.words("Trims", 16),
                        Column.words("Stems", 38)),
                contents.songs().stream()
                        .map(song -> Row.of(song.title(), keys(song), trims(song), stems(song)))
                        .toList());
    }

    private static String keys(Song song) {
        String played = song.played().map(Object::toString).orElse("");
        return song.transposition()
                .filter(semitones -> !semitones.equals(List.of(0)))
                .map(semitones ->
                        "%s, from %s: %s".formatted(played, song.original().orElseThrow(), Key.words(semitones)))
                .orElse(played);
    }

    private static String trims(Song song) {
        return Stream.of(
                        song.trims().startMicros() == 0
                                ? ""
                                : "first %s off"
                                        .formatted(Clock.text(song.trims().startMicros())),
                        song.trims().endMicros() == 0
                                ? ""
                                : "last %s off"
                                        .formatted(Clock.text(song.trims().endMicros())))
                .filter(text -> !text.isEmpty())
                .collect(Collectors.joining(", "));
    }

    private String stems(Song song) {
        Optional<Show> show = contents.show();
        List<String> heard = new ArrayList<>();
        List<String> muted = new ArrayList<>();
        for (Stem stem : song.stems()) {
            boolean sounds =
                    show.map(evening -> evening.sounds(song.id(), stem)).orElse(true);
            String level = stem.level().isEmpty() ? "" : " " + stem.level();
            (sounds ? heard : muted)
                    .add(stem.name()
                            + (sounds
                                    ? level
                                    : stem.player()
                                            .map(player -> " (" + player + " plays)")
                                            .orElse("")));
        }
        return Stream.of(heard.isEmpty() ? "" : Words.list(heard), muted.isEmpty() ? "" : "muted: " + Words.list(muted))
                .filter(text -> !text.isEmpty())
                .collect(Collectors.joining("; "));
    }

    Part console() {
        SoundPaths paths = new SoundPaths(rig);
        List<Block> blocks = new ArrayList<>();
        ConsoleList.consoles(paths).stream()
                .map(console -> ConsoleList.of(paths, console))
                .forEach(list -> {
                    blocks.add(new Block(
                            contents.name(list.console()),
                            rig.model(list.console()).name().text(),
                            inputs(list)));
                    blocks.add(new Block("", "", outputs(list)));
                });
        return new Part("console", "Input list", "", Part.Form.WHOLE, blocks);
    }

    private static Body.Table inputs(ConsoleList list) {
        return new Body.Table(
                List.of(
                        Column.figures("No.", 4),
                        Column.words("Socket", 10),
                        Column.words("Source", 22),
                        Column.words("Over", 18),
                        Column.words("Lead", 12),
                        Column.words("48 V", 9),
                        Column.words("Comes at", 9),
                        Column.words("Heard by", 16)),
                list.inputs().stream()
                        .map(input -> Row.of(
                                input.number(),
                                input.socket(),
                                input.words(),
                                input.over(),
                                input.lead(),
                                input.phantom(),
                                input.level(),
                                input.who().size() > 4
                                        ? "%d, %s first"
                                                .formatted(
                                                        input.who().size(),
                                                        input.who().getFirst())
                                        : String.join(", ", input.who())))
                        .toList());
    }

    private static Body.Table outputs(ConsoleList list) {
        return new Body.Table(
                List.of(Column.words("Output", 14), Column.words("Goes to", 26), Column.words("In it", 60)),
                list.outputs().stream()
                        .map(output -> Row.of(output.socket(), output.to(), String.join(", ", output.mix())))
                        .toList());
    }
}
