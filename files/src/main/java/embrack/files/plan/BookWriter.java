package embrack.files.plan;

import embrack.core.midi.Message;
import embrack.core.music.Clock;
import embrack.core.music.TempoMap;
import embrack.core.show.Book;
import embrack.core.show.Cue;
import embrack.core.show.Entry;
import embrack.core.show.Show;
import embrack.core.show.Song;
import embrack.core.show.text.SongText;
import embrack.core.switches.SwitchAt;
import embrack.files.model.FileWords;
import java.util.List;
import java.util.stream.IntStream;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Writes a prompt book into the fields of a plan. */
final class BookWriter {

    private BookWriter() {}

    static void write(ObjectNode file, Book book) {
        PlanWriter.list(file, "songs", book.songs(), BookWriter::song);
        if (!book.always().isEmpty()) {
            TempoMap none = new TempoMap(List.of(), List.of());
            PlanWriter.list(file, "everySong", book.always(), (f, cue) -> cue(f, cue, none));
        }
        last(file, "lastEverySong", book.lastAlways(), book.always().stream().mapToInt(Cue::number));
        if (!book.shows().isEmpty()) {
            PlanWriter.list(file, "shows", book.shows(), BookWriter::show);
        }
    }

    private static void song(ObjectNode f, Song song) {
        f.put("id", song.id().text()).put("title", song.title().text()).put("place", song.place());
        song.played().ifPresent(key -> f.put("played", key.toString()));
        song.original().ifPresent(key -> f.put("original", key.toString()));
        song.recorded().ifPresent(tempo -> f.put("recordedTempo", tempo.toString()));
        if (song.trims().startMicros() > 0) {
            f.put("trimStart", Clock.exact(song.trims().startMicros()));
        }
        if (song.trims().endMicros() > 0) {
            f.put("trimEnd", Clock.exact(song.trims().endMicros()));
        }
        f.put("leadInBars", song.leadInBars());
        ArrayNode how = f.putArray("how");
        SongText.of(song.form(), song.stems()).lines().forEach(how::add);
        if (!song.notes().isEmpty()) {
            f.put("notes", song.notes());
        }
        song.player().ifPresent(player -> f.put("player", player.text()));
        last(f, "lastCue", song.lastCue(), song.cues().stream().mapToInt(Cue::number));
        PlanWriter.list(
                f, "cues", song.cues(), (c, cue) -> cue(c, cue, song.form().tempoMap()));
    }

    /** The highest number that was ever given, where what had it is gone. */
    private static void last(ObjectNode f, String name, int last, IntStream there) {
        if (last > there.max().orElse(0)) {
            f.put(name, last);
        }
    }

    private static void cue(ObjectNode f, Cue cue, TempoMap tempoMap) {
        f.put("number", cue.number());
        cue.name().ifPresent(name -> f.put("name", name.text()));
        CuePlace.write(f, cue.at(), tempoMap);
        if (!cue.steps().isEmpty()) {
            PlanWriter.list(f, "steps", cue.steps(), PlanWriter::step);
        }
        if (!cue.raw().isEmpty()) {
            ArrayNode raw = f.putArray("messages");
            cue.raw().stream().map(Message::hex).forEach(raw::add);
        }
        cue.foot().ifPresent(at -> switchAt(f.putObject("foot"), at));
        if (cue.early()) {
            f.put("early", true);
        }
        if (cue.leavesOff()) {
            f.put("leavesOff", true);
        }
    }

    private static void switchAt(ObjectNode f, SwitchAt at) {
        f.put("board", at.board().text()).put("bank", at.bank()).put("switch", at.number());
    }

    private static void show(ObjectNode f, Show show) {
        f.put("id", show.id().text()).put("name", show.name().text());
        show.day().ifPresent(day -> f.put("day", day.toString()));
        show.start().ifPresent(start -> f.put("start", start.toString()));
        if (show.slotMicros() > 0) {
            f.put("slot", Clock.exact(show.slotMicros()));
        }
        last(f, "lastPart", show.lastPart(), show.order().stream().mapToInt(Entry::number));
        PlanWriter.list(f, "order", show.order(), BookWriter::entry);
        if (!show.present().isEmpty()) {
            ArrayNode present = f.putArray("playingLive");
            show.present().forEach(part -> present.add(part.text()));
        }
        if (!show.turned().isEmpty()) {
            PlanWriter.list(
                    f,
                    "turnedStems",
                    show.turned(),
                    (s, stem) -> s.put("song", stem.song().text())
                            .put("stem", stem.stem().text()));
        }
    }

    private static void entry(ObjectNode f, Entry entry) {
        f.put("number", entry.number())
                .put("item", FileWords.word(entry.item()))
                .put("name", entry.name().text());
        entry.song().ifPresent(song -> f.put("song", song.text()));
        entry.key().ifPresent(key -> f.put("key", key.toString()));
        if (entry.micros() > 0) {
            f.put("length", Clock.exact(entry.micros()));
        }
        f.put("transition", FileWords.word(entry.transition().way()));
        if (entry.transition().micros() > 0) {
            f.put("transitionTime", Clock.exact(entry.transition().micros()));
        }
        entry.pad().ifPresent(pad -> {
            ObjectNode p = f.putObject("pad");
            pad.key().ifPresent(key -> p.put("key", key.toString()));
            p.put("length", Clock.exact(pad.micros()));
        });
        entry.press().ifPresent(at -> switchAt(f.putObject("press"), at));
    }
}
