package embrack.paper.part;

import embrack.core.live.Soundscape;
import embrack.core.name.Slug;
import embrack.core.name.TapeLabel;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.sheet.CueSheet;
import embrack.core.show.Cue;
import embrack.core.show.Entry;
import embrack.core.show.Reader;
import embrack.core.show.Running;
import embrack.core.show.Show;
import embrack.core.show.Song;
import embrack.core.show.Stem;
import embrack.core.sound.Heard;
import embrack.core.sound.Listener;
import embrack.core.sound.SoundPaths;
import embrack.core.switches.SwitchAt;
import embrack.paper.page.Block;
import embrack.paper.page.Body;
import embrack.paper.page.Column;
import embrack.paper.page.Line;
import embrack.paper.page.Part;
import embrack.paper.page.Row;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What one player has before them: their songs, what their feet do in each, what they hear. Large. */
final class PlayerLeaf {

    private final Contents contents;
    private final Plan plan;
    private final Reader player;

    PlayerLeaf(Contents contents, Reader player) {
        this.contents = contents;
        this.plan = contents.plan();
        this.player = player;
    }

    Part part() {
        List<Block> blocks = new ArrayList<>();
        blocks.add(songs());
        blocks.add(Block.of("Your switches", switches()));
        blocks.add(Block.of("You hear", hears()));
        blocks.add(Block.of("Not on the tracks, since you play it", muted()));
        return new Part(
                "player-" + Slug.of(player.name().text()),
                player.name().text(),
                contents.show().map(show -> show.name().text()).orElse(""),
                Part.Form.LARGE,
                blocks.stream().filter(block -> !block.isEmpty()).toList());
    }

    private Block songs() {
        List<Row> rows = contents.running()
                .map(running -> running.parts().stream()
                        .flatMap(part -> row(part).stream())
                        .toList())
                .orElseGet(() -> contents.songs().stream()
                        .map(song ->
                                row(song, song.played().map(Object::toString).orElse("")))
                        .toList());
        return Block.of(
                "",
                new Body.Table(
                        List.of(
                                Column.words("Song", 28),
                                Column.words("Key", 9),
                                Column.words("Tempo", 15),
                                Column.words("Your feet", 48)),
                        rows));
    }

    /** A song, or another part in which this player presses something. */
    private Optional<Row> row(Running.Part part) {
        Entry entry = part.entry();
        String presses = entry.calls().presses().stream()
                .filter(this::isOwn)
                .map(this::pressed)
                .collect(Collectors.joining(", "));
        String key = part.key().map(Object::toString).orElse("");
        if (entry.song().isEmpty()) {
            return presses.isEmpty()
                    ? Optional.empty()
                    : Optional.of(Row.of(entry.name(), "", entry.item().words(), presses));
        }
        Song song = plan.book().song(entry.song().get());
        Row row = row(song, key);
        List<String> cells = new ArrayList<>(row.cells());
        cells.set(
                3,
                Stream.of(presses.isEmpty() ? "" : "to begin: " + presses, cells.get(3))
                        .filter(text -> !text.isEmpty())
                        .collect(Collectors.joining("; ")));
        return Optional.of(Row.of(cells.toArray()).strong(false));
    }

    private Row row(Song song, String key) {
        return Row.of(
                song.title(),
                key,
                song.form().words(),
                song.cues().stream()
                        .filter(cue -> cue.foot().filter(this::isOwn).isPresent())
                        .map(cue -> "%s: %s"
                                .formatted(moment(song, cue), pressed(cue.foot().orElseThrow())))
                        .collect(Collectors.joining("; ")));
    }

    private static String moment(Song song, Cue cue) {
        CueSheet.When when =
                CueSheet.When.of(cue, cue.at().micros(song.form()), song.form().tempoMap());
        return (when.at().isEmpty() ? "bar " : "") + Whens.place(when);
    }

    private boolean isOwn(SwitchAt at) {
        return player.boards().contains(at.board());
    }

    private String pressed(SwitchAt at) {
        return (player.boards().size() > 1 || plan.banks(at.board()) > 1 ? plan.words(at) : at.words())
                + plan.switches().at(at).label().map(label -> " " + label).orElse("");
    }

    private List<Line> switches() {
        return plan.switches().assignments().stream()
                .filter(assignment ->
                        isOwn(assignment.at()) && !assignment.steps().isEmpty())
                .map(assignment -> Line.of("%s. %s".formatted(pressed(assignment.at()), Deeds.of(plan, assignment))))
                .toList();
    }

    private List<Line> hears() {
        SoundPaths paths = new SoundPaths(contents.rig());
        Optional<Listener> ears = paths.listeners().stream()
                .filter(listener ->
                        player.ears().isPresent() && listener.device().equals(player.ears()))
                .findFirst();
        if (ears.isEmpty()) {
            return List.of();
        }
        Heard heard = new Soundscape(plan, paths).open();
        return paths.sources().stream()
                .filter(source -> heard.arrival(source, ears.get()).isHeard())
                .map(source -> Line.of("%s, %s"
                        .formatted(
                                Words.capital(source.words(contents.rig())),
                                heard.arrival(source, ears.get()).gain().words())))
                .toList();
    }

    private List<Line> muted() {
        Show show = contents.show().orElse(null);
        if (show == null || !show.present().contains(player.name())) {
            return List.of();
        }
        TapeLabel name = player.name();
        return contents.songs().stream()
                .flatMap(song -> song.stems().stream()
                        .filter(stem -> stem.player().filter(name::equals).isPresent() && !show.sounds(song.id(), stem))
                        .map(Stem::name)
                        .map(stem -> Line.of("%s: %s".formatted(song.title(), stem))))
                .toList();
    }
}
