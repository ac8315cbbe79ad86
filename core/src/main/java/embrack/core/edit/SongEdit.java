package embrack.core.edit;

import embrack.core.chart.Action;
import embrack.core.chart.Chart;
import embrack.core.chart.Part;
import embrack.core.chart.PartId;
import embrack.core.music.Clock;
import embrack.core.music.Key;
import embrack.core.music.Tempo;
import embrack.core.name.TapeLabel;
import embrack.core.offer.Offer;
import embrack.core.offer.Offers;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.show.Anchor;
import embrack.core.show.Book;
import embrack.core.show.Cue;
import embrack.core.show.Form;
import embrack.core.show.Section;
import embrack.core.show.Show;
import embrack.core.show.ShowId;
import embrack.core.show.Song;
import embrack.core.show.SongId;
import embrack.core.show.When;
import embrack.core.show.text.SongReading;
import embrack.core.switches.Step;
import embrack.core.word.Phrase;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/** Changes to songs as wholes. */
public sealed interface SongEdit extends Edit {

    /**
     * Adds a song of which no more than the title is known; {@code how} may say how it goes, as {@link SongReading}
     * reads it.
     */
    record AddSong(String title, String how) implements SongEdit {
        @Override
        public Plan apply(Plan plan) {
            TapeLabel label = Typed.label("title", title);
            requireFree(plan.book(), label, Optional.empty());
            Song song = Song.blank(
                    Typed.freeId(label, SongId::new, id -> plan.book().find(id).isEmpty()),
                    label,
                    Math.min(
                            999,
                            plan.book().songs().stream()
                                            .mapToInt(Song::place)
                                            .max()
                                            .orElse(0)
                                    + 1));
            return plan.withBook(Refused.at("title", () -> plan.book().with(how.isBlank() ? song : told(song, how))));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("add-song").with("title", title.strip());
        }
    }

    /**
     * Adds songs and puts them into tonight's order, one a line: "Herring Lights, D, 96", its title with its key and
     * tempo as far as they are known, in either order; a song that is in the book already is only put into the order.
     */
    record SetList(String typed) implements SongEdit {

        /** What the order is called where there is none yet. */
        private static final String SHOW = "Tonight";

        @Override
        public Plan apply(Plan plan) {
            List<String> lines =
                    typed.lines().map(String::strip).filter(l -> !l.isEmpty()).toList();
            if (lines.isEmpty()) {
                throw new Refused("songs", Say.of("no.no-songs"));
            }
            Plan listed = plan.book().tonight().isPresent() ? plan : new OrderEdit.AddShow(SHOW).apply(plan);
            for (int i = 0; i < lines.size(); i++) {
                try {
                    listed = withLine(listed, lines.get(i));
                } catch (Refused refused) {
                    throw new Refused(
                            "songs",
                            Say.of("no.set-list-line").with("line", i + 1).with("why", refused.phrase()));
                }
            }
            return listed;
        }

        private static Plan withLine(Plan plan, String line) {
            List<String> fields = List.of(line.split("\\s*[,;\\t]\\s*"));
            TapeLabel title = Typed.label("title", fields.getFirst());
            Plan known = plan;
            if (plan.book().songs().stream().noneMatch(song -> song.title().sameAs(title))) {
                known = new AddSong(title.text(), "").apply(plan);
                SongId song = known.book().songs().getLast().id();
                for (String field : fields.subList(1, fields.size())) {
                    Song bare = find(known, song);
                    Song told = isTempo(field)
                            ? atTempo(bare, Refused.at("tempo", () -> Tempo.parse(field)))
                            : bare.withPlayed(Optional.of(Refused.at("key", () -> Key.parse(field))));
                    known = known.withBook(known.book().with(told));
                }
            }
            SongId song = known.book().songs().stream()
                    .filter(one -> one.title().sameAs(title))
                    .findFirst()
                    .orElseThrow()
                    .id();
            return new OrderEdit.AddSongTo(known.book().tonight().orElseThrow().id(), song.text()).apply(known);
        }

        private static boolean isTempo(String field) {
            return !field.isEmpty() && Character.isDigit(field.charAt(0));
        }

        private static Song atTempo(Song song, Tempo tempo) {
            double factor = tempo.bpm() / song.form().tempoMap().tempo(0).bpm();
            return song.withForm(song.form().withTempoMap(song.form().tempoMap().atTempoTimes(factor)));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("set-list").with("number", (int)
                    typed.lines().filter(l -> !l.isBlank()).count());
        }
    }

    /** Adds a song that was read from a file; numbered when another one is called that. */
    record ImportSong(Song song) implements SongEdit {
        @Override
        public Plan apply(Plan plan) {
            TapeLabel title = song.title();
            for (int n = 2; isTaken(plan.book(), title); n++) {
                String tail = " " + n;
                title = new TapeLabel(song.title()
                                .text()
                                .substring(
                                        0, Math.min(song.title().text().length(), TapeLabel.MAX_LENGTH - tail.length()))
                                .strip()
                        + tail);
            }
            Song fresh = new Song(
                    Typed.freeId(title, SongId::new, id -> plan.book().find(id).isEmpty()),
                    title,
                    song.place(),
                    song.played(),
                    song.original(),
                    song.recorded(),
                    song.trims(),
                    song.leadInBars(),
                    song.form(),
                    song.stems(),
                    song.notes(),
                    song.player(),
                    song.cues(),
                    0);
            return Refused.at(
                    "file", () -> plan.withBook(plan.book().with(fresh)).settled());
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("import-song").with("title", song.title());
        }
    }

    /**
     * Adds a song of another rig, with what this rig has the boxes for: those of the same name and hardware.
     *
     * @param from the rig that it is of
     */
    record CopySong(Song song, Rig from) implements SongEdit {

        /** The song as it is for another rig: without what that one has no box for. */
        public Song fitted(Rig to) {
            Song fitted = song;
            for (Device device : from.devices()) {
                fitted = isAlike(device.id(), to) ? fitted : fitted.without(device.id());
            }
            return fitted;
        }

        private boolean isAlike(DeviceId device, Rig to) {
            return to.find(device)
                    .flatMap(there ->
                            from.find(device).filter(here -> here.model().equals(there.model())))
                    .isPresent();
        }

        @Override
        public Plan apply(Plan plan) {
            return Refused.at("rig", () -> new ImportSong(fitted(plan.rig())).apply(plan));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("copy-song").with("title", song.title());
        }
    }

    /** Takes a song out of the book and out of every show. */
    record RemoveSong(SongId song) implements SongEdit {
        @Override
        public Plan apply(Plan plan) {
            find(plan, song);
            return plan.withBook(plan.book().without(song)).settled();
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("remove-song").with("song", titleOf(before, song));
        }
    }

    /**
     * Says what a song is, in fields as they were typed.
     *
     * @param player the id of the device that plays it; blank for the first of the rig
     */
    record DescribeSong(
            SongId song,
            String title,
            String played,
            String original,
            String place,
            String trimStart,
            String trimEnd,
            String leadIn,
            String player,
            String notes)
            implements SongEdit {
        @Override
        public Plan apply(Plan plan) {
            Song old = find(plan, song);
            TapeLabel label = Typed.label("title", title);
            requireFree(plan.book(), label, Optional.of(song));
            Optional<Key> playedKey = Typed.optional("played", played, Key::parse);
            Optional<Key> originalKey = Typed.optional("original", original, Key::parse);
            int number = place.isBlank() ? old.place() : Typed.number("place", place);
            long start = Typed.optional("trimStart", trimStart, Clock::parse).orElse(0L);
            long end = Typed.optional("trimEnd", trimEnd, Clock::parse).orElse(0L);
            int bars = leadIn.isBlank() ? 0 : Typed.number("leadIn", leadIn);
            Optional<DeviceId> device = Typed.optional("player", player, DeviceId::new);
            device.ifPresent(id -> requirePlayer(plan, id));
            Song changed = Refused.at(
                    start + end >= old.form().lengthMicros()
                            ? "trimEnd"
                            : bars > 16 || bars < 0 ? "leadIn" : notes.length() > Song.MAX_NOTES ? "notes" : "place",
                    () -> new Song(
                            song,
                            label,
                            number,
                            playedKey,
                            originalKey,
                            old.recorded(),
                            new Song.Trims(start, end),
                            bars,
                            old.form(),
                            old.stems(),
                            notes.strip(),
                            device,
                            old.cues(),
                            old.lastCue()));
            return Refused.at(
                    "title", () -> plan.withBook(plan.book().with(changed)).settled());
        }

        private static void requirePlayer(Plan plan, DeviceId id) {
            Typed.device("player", plan, id);
            if (!plan.players().contains(id)) {
                throw new Refused(
                        "player",
                        Say.of("no.plays-no-songs").with("box", plan.rig().name(id)));
            }
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("describe-song").with("song", titleOf(before, song));
        }
    }

    /** Says how a song goes, as a text. Cues tied to sections that are gone stay on their bars. */
    record TellForm(SongId song, String how) implements SongEdit {
        @Override
        public Plan apply(Plan plan) {
            return plan.withBook(plan.book().with(told(find(plan, song), how)));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("tell-form").with("song", titleOf(before, song));
        }
    }

    /** Has a vamp go round so often as a rule; {@code section} counted from 0. */
    record PlayVamp(SongId song, int section, int passes) implements SongEdit {
        @Override
        public Plan apply(Plan plan) {
            Song old = find(plan, song);
            List<Section> sections = new ArrayList<>(old.form().sections());
            if (section < 0 || section >= sections.size()) {
                throw new Refused("how", Say.of("no.section-gone"));
            }
            sections.set(section, Refused.at("how", () -> sections.get(section).withPasses(passes)));
            return plan.withBook(
                    plan.book().with(old.withForm(new Form(old.form().tempoMap(), sections))));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("play-vamp").with("song", titleOf(before, song)).with("passes", passes);
        }
    }

    /** Trims the end of a song by so much, in microseconds. */
    record TrimEnd(SongId song, long micros) implements SongEdit {
        @Override
        public Plan apply(Plan plan) {
            Song old = find(plan, song);
            return plan.withBook(plan.book()
                    .with(Refused.at(
                            "trimEnd",
                            () -> old.withTrims(new Song.Trims(old.trims().startMicros(), micros)))));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("trim-end").with("song", titleOf(before, song)).with("length", micros);
        }
    }

    /**
     * Numbers the songs in the player's list as a show has them in its order, those that it does not play behind them.
     * What jumps to a song or loads it goes along.
     */
    record NumberSongs(ShowId show) implements SongEdit {
        @Override
        public Plan apply(Plan plan) {
            Show order = plan.book().find(show).orElseThrow(() -> new Refused("show", Say.of("no.show-gone")));
            Set<SongId> songs = new LinkedHashSet<>();
            order.order().forEach(entry -> entry.song().ifPresent(songs::add));
            plan.book().songs().stream()
                    .sorted(Comparator.comparingInt(Song::place))
                    .map(Song::id)
                    .forEach(songs::add);
            List<SongId> list = List.copyOf(songs);
            UnaryOperator<Step> along = step -> plan.songOf(step)
                    .map(song -> new Step(
                            step.device(),
                            new Action(step.action().verb(), listed(plan, step.device(), list.indexOf(song.id()) + 1)),
                            step.waitMillis()))
                    .orElse(step);
            UnaryOperator<List<Step>> all = steps -> steps.stream().map(along).toList();
            Book book = plan.book().withSteps(all);
            for (Song song : List.copyOf(book.songs())) {
                book = book.with(song.moved(song.id(), list.indexOf(song.id()) + 1));
            }
            return plan.withSwitches(plan.switches().withSteps(all))
                    .withBook(book)
                    .settled();
        }

        private static PartId listed(Plan plan, DeviceId player, int place) {
            Chart chart = plan.rig().chart(player);
            return chart.parts().stream()
                    .map(Part::id)
                    .filter(part -> chart.placeOfSong(part).orElse(0) == place)
                    .findFirst()
                    .orElseThrow(() -> new Refused(
                            "show",
                            Say.of("no.no-list-place")
                                    .with("place", place)
                                    .with("player", plan.rig().name(player))));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("number-songs")
                    .with(
                            "show",
                            before.book().find(show).map(s -> s.name().text()).orElse(""));
        }
    }

    /**
     * Plays a song at another tempo: all its tempos in proportion. Cues on bars go along; those on the clock stay
     * unless {@code clock} says that they go along too.
     */
    record NewTempo(SongId song, String tempo, boolean clock) implements SongEdit {
        @Override
        public Plan apply(Plan plan) {
            Song old = find(plan, song);
            Tempo now = old.form().tempoMap().tempo(0);
            Tempo wanted = Refused.at("tempo", () -> Tempo.parse(tempo));
            double factor = wanted.bpm() / now.bpm();
            Song.Trims trims = new Song.Trims(
                    Math.round(old.trims().startMicros() / factor),
                    Math.round(old.trims().endMicros() / factor));
            Tempo recorded = old.recorded().orElse(now);
            return Refused.at("tempo", () -> {
                Song faster = old.withTrims(Song.Trims.NONE)
                        .withForm(old.form().withTempoMap(old.form().tempoMap().atTempoTimes(factor)))
                        .withTrims(trims)
                        .withRecorded(recorded.equals(wanted) ? Optional.empty() : Optional.of(recorded));
                return plan.withBook(plan.book()
                        .with(
                                clock
                                        ? faster.withCues(old.cues().stream()
                                                .map(cue -> scaled(cue, factor))
                                                .toList())
                                        : faster));
            });
        }

        private static Cue scaled(Cue cue, double factor) {
            return cue.at() instanceof Anchor.OnClock at
                    ? cue.withAnchor(new Anchor.OnClock(Math.round(at.micros() / factor)))
                    : cue;
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("new-tempo").with("song", titleOf(before, song)).with("tempo", tempo.strip());
        }
    }

    /** Has every song send, at a moment, the first thing that a search finds. */
    record SendAlways(When when, String find) implements SongEdit {
        @Override
        public Plan apply(Plan plan) {
            DeviceId player =
                    plan.players().stream().findFirst().orElseThrow(() -> new Refused("find", Say.of("no.no-player")));
            if (find.isBlank()) {
                throw new Refused("find", Say.of("no.send-what"));
            }
            Offer offer = new Offers(plan)
                    .find(player, find).stream()
                            .findFirst()
                            .orElseThrow(() -> new Refused("find", Say.of("no.nothing-found")));
            Book book = plan.book();
            List<Cue> cues = new ArrayList<>(book.always());
            cues.add(new Cue(book.lastAlways() + 1, new Anchor.Automatic(when), offer.steps()));
            return Refused.at("find", () -> plan.withBook(book.withAlways(cues)).settled());
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("send-always").with("find", find.strip()).with("when", when.words());
        }
    }

    /** Has songs no longer send by themselves what was given that number. */
    record SendNoMore(int number) implements SongEdit {
        @Override
        public Plan apply(Plan plan) {
            List<Cue> left = plan.book().always().stream()
                    .filter(cue -> cue.number() != number)
                    .toList();
            if (left.size() == plan.book().always().size()) {
                throw new Refused("find", Say.of("no.sent-no-more"));
            }
            return plan.withBook(plan.book().withAlways(left)).settled();
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("send-no-more")
                    .with(
                            "steps",
                            before.book().always().stream()
                                    .filter(cue -> cue.number() == number)
                                    .flatMap(cue -> cue.steps().stream())
                                    .map(before::words)
                                    .collect(Collectors.joining(", ")));
        }
    }

    private static Song told(Song song, String how) {
        SongReading reading = SongReading.of(how);
        Form form = reading.form()
                .orElseThrow(() -> new Refused(
                        "how",
                        Say.text(String.join(
                                " ",
                                reading.problems().stream()
                                        .map(p -> "Line %d: %s".formatted(p.line(), p.words()))
                                        .toList()))));
        UnaryOperator<Cue> kept = cue -> cue.at() instanceof Anchor.AtSection at
                        && form.find(at.section()).isEmpty()
                ? cue.withAnchor(new Anchor.OnBar(song.form()
                        .tempoMap()
                        .position(song.form()
                                .tempoMap()
                                .tickAt(cue.at().micros(song.form()).orElse(0L)))))
                : cue;
        return Refused.at(
                "how",
                () -> song.withForm(form)
                        .withStems(reading.stems())
                        .withCues(song.cues().stream().map(kept).toList()));
    }

    static Song find(Plan plan, SongId id) {
        return plan.book().find(id).orElseThrow(() -> new Refused("song", Say.of("no.song-gone")));
    }

    static String titleOf(Plan plan, SongId id) {
        return plan.book().find(id).map(song -> song.title().text()).orElse("a song");
    }

    private static boolean isTaken(Book book, TapeLabel title) {
        return book.songs().stream().anyMatch(other -> other.title().sameAs(title));
    }

    private static void requireFree(Book book, TapeLabel title, Optional<SongId> except) {
        book.songs().stream()
                .filter(song -> except.filter(song.id()::equals).isEmpty()
                        && song.title().sameAs(title))
                .findFirst()
                .ifPresent(song -> {
                    throw new Refused("title", Say.of("no.title-taken").with("title", song.title()));
                });
    }
}
