package embrack.core.edit;

import embrack.core.music.Clock;
import embrack.core.music.Key;
import embrack.core.name.TapeLabel;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.show.Calls;
import embrack.core.show.Day;
import embrack.core.show.Entry;
import embrack.core.show.Item;
import embrack.core.show.Pad;
import embrack.core.show.Show;
import embrack.core.show.ShowId;
import embrack.core.show.Song;
import embrack.core.show.SongId;
import embrack.core.show.StemAt;
import embrack.core.show.TimeOfDay;
import embrack.core.show.Transition;
import embrack.core.switches.SwitchAt;
import embrack.core.word.Fact;
import embrack.core.word.Phrase;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.function.UnaryOperator;

/** Changes to shows and their order. */
public sealed interface OrderEdit extends Edit {

    /** Adds a show without parts. */
    record AddShow(String name) implements OrderEdit {
        @Override
        public Plan apply(Plan plan) {
            TapeLabel label = Typed.label("name", name);
            return plan.withBook(plan.book()
                    .with(Show.empty(
                            Typed.freeId(
                                    label,
                                    ShowId::new,
                                    id -> plan.book().find(id).isEmpty()),
                            label)));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("add-show").with("name", name.strip());
        }
    }

    /** Begins a show as another one was, with another name and day. */
    record CopyShow(ShowId show, String name, String day) implements OrderEdit {
        @Override
        public Plan apply(Plan plan) {
            Show old = find(plan, show);
            TapeLabel label = Typed.label("name", name);
            Optional<Day> date = Typed.optional("day", day, Day::parse);
            return plan.withBook(plan.book()
                    .with(new Show(
                            Typed.freeId(
                                    label,
                                    ShowId::new,
                                    id -> plan.book().find(id).isEmpty()),
                            label,
                            date,
                            old.start(),
                            old.slotMicros(),
                            old.order(),
                            old.present(),
                            old.turned(),
                            old.lastPart(),
                            old.absent(),
                            old.anyOrder(),
                            old.folder())));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("copy-show").with("name", name.strip());
        }
    }

    /** Takes a show out of the book. */
    record RemoveShow(ShowId show) implements OrderEdit {
        @Override
        public Plan apply(Plan plan) {
            find(plan, show);
            return plan.withBook(plan.book().without(show));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("remove-show")
                    .with(
                            "name",
                            before.book().find(show).map(s -> s.name().text()).orElse(""));
        }
    }

    /** Says when a show is and how long it may take, in fields as they were typed. */
    record DescribeShow(ShowId show, String name, String day, String start, String slot) implements OrderEdit {
        @Override
        public Plan apply(Plan plan) {
            TapeLabel label = Typed.label("name", name);
            Optional<Day> date = Typed.optional("day", day, Day::parse);
            Optional<TimeOfDay> time = Typed.optional("start", start, TimeOfDay::parse);
            long room = Typed.optional("slot", slot, Clock::parse).orElse(0L);
            return change(
                    plan,
                    show,
                    "slot",
                    old -> new Show(
                            show,
                            label,
                            date,
                            time,
                            room,
                            old.order(),
                            old.present(),
                            old.turned(),
                            old.lastPart(),
                            old.absent(),
                            old.anyOrder(),
                            old.folder()));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("describe-show").with("name", name.strip());
        }
    }

    /** Adds a song at the end of the order, by its id. */
    record AddSongTo(ShowId show, String song) implements OrderEdit {
        @Override
        public Plan apply(Plan plan) {
            Song known = SongEdit.find(plan, Refused.at("song", () -> new SongId(song)));
            return change(plan, show, "song", old -> old.withMore(Entry.of(old.nextNumber(), known)));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("add-song-to").with("song", SongEdit.titleOf(before, new SongId(song)));
        }
    }

    /** Adds anything but a song at the end of the order; {@code length} as it is typed, blank for not known. */
    record AddPart(ShowId show, Item item, String name, String length) implements OrderEdit {
        @Override
        public Plan apply(Plan plan) {
            TapeLabel label = Typed.label("name", name.isBlank() ? Words.capital(item.words()) : name);
            long micros = Typed.optional("length", length, Clock::parse).orElse(0L);
            return change(plan, show, "length", old -> old.withMore(Entry.of(old.nextNumber(), item, label, micros)));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("add-part").with("name", name.isBlank() ? Fact.word(item.words()) : name.strip());
        }
    }

    /** Moves a part in front of another one; {@code before} is that one's number, 0 for the end. */
    record MovePart(ShowId show, int part, int before) implements OrderEdit {
        @Override
        public Plan apply(Plan plan) {
            return change(plan, show, "part", old -> {
                Entry moved = partOf(old, part);
                if (part == before) {
                    return old;
                }
                List<Entry> others = new ArrayList<>(old.order());
                others.remove(moved);
                others.add(before == 0 ? others.size() : others.indexOf(partOf(old, before)), moved);
                return old.withOrder(others);
            });
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("move-part").with("part", partName(before, show, part));
        }
    }

    /** Takes a part out of the order. */
    record RemovePart(ShowId show, int part) implements OrderEdit {
        @Override
        public Plan apply(Plan plan) {
            return change(plan, show, "part", old -> {
                Entry gone = partOf(old, part);
                return old.withOrder(old.order().stream()
                        .filter(entry -> !entry.equals(gone))
                        .toList());
            });
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("remove-part").with("part", partName(before, show, part));
        }
    }

    /** Has a part that is no song take another time, in microseconds. */
    record TakeAsLong(ShowId show, int part, long micros) implements OrderEdit {
        @Override
        public Plan apply(Plan plan) {
            return change(
                    plan, show, "length", old -> old.withEntry(partOf(old, part).withMicros(micros)));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("take-as-long")
                    .with("part", partName(before, show, part))
                    .with("length", micros);
        }
    }

    /** Has the next part come so long behind one, or fade or cross over with it for so long, in microseconds. */
    record GoOverIn(ShowId show, int part, long micros) implements OrderEdit {
        @Override
        public Plan apply(Plan plan) {
            return change(plan, show, "time", old -> {
                Entry now = partOf(old, part);
                return old.withEntry(
                        now.withTransition(new Transition(now.transition().way(), micros)));
            });
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("go-over-in")
                    .with("part", partName(before, show, part))
                    .with("length", micros);
        }
    }

    /**
     * Says what a part is, in fields as they were typed.
     *
     * @param item ignored for songs other than to make them response songs
     * @param padKey key of the pad; blank for the key of the song that follows
     * @param padLength blank for no pad
     * @param press the switch that begins it
     */
    record DescribePart(
            ShowId show,
            int part,
            Item item,
            String name,
            String length,
            String key,
            Transition.Way way,
            String time,
            String padKey,
            String padLength,
            Optional<SwitchAt> press)
            implements OrderEdit {
        @Override
        public Plan apply(Plan plan) {
            return change(plan, show, "name", old -> {
                Entry now = partOf(old, part);
                boolean plays = now.song().isPresent();
                TapeLabel label = plays && name.isBlank() ? now.name() : Typed.label("name", name);
                long micros = plays
                        ? 0
                        : Typed.optional("length", length, Clock::parse).orElse(0L);
                Optional<Key> tonight = plays ? Typed.optional("key", key, Key::parse) : Optional.empty();
                long lasts = way.takesTime()
                        ? Typed.optional("time", time, Clock::parse).orElse(0L)
                        : 0;
                Transition transition = Refused.at("time", () -> new Transition(way, lasts));
                Optional<Key> padIn = Typed.optional("padKey", padKey, Key::parse);
                Optional<Pad> pad = Typed.optional("padLength", padLength, text -> new Pad(padIn, Clock.parse(text)));
                if (pad.isEmpty() && padIn.isPresent()) {
                    pad = Optional.of(new Pad(padIn, Pad.USUAL_MICROS));
                }
                return old.withEntry(new Entry(
                        part,
                        plays == (item == Item.SONG || item == Item.RESPONSE) ? item : now.item(),
                        label,
                        now.song(),
                        tonight,
                        micros,
                        transition,
                        pad,
                        now.calls().withGo(press)));
            });
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("describe-part").with("part", partName(before, show, part));
        }
    }

    /**
     * Takes the pad under a part in another key.
     *
     * @param key as a person types it: "D"
     */
    record PadIn(ShowId show, int part, String key) implements OrderEdit {
        @Override
        public Plan apply(Plan plan) {
            Optional<Key> other = Typed.optional("padKey", key, Key::parse);
            return change(plan, show, "padKey", old -> {
                Entry now = partOf(old, part);
                return old.withEntry(now.withPad(now.pad().map(pad -> new Pad(other, pad.micros()))));
            });
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("pad-in").with("part", partName(before, show, part)).with("key", key.strip());
        }
    }

    /** Lays a pad of usual length under a part, in the key of the song that follows. */
    record LayPad(ShowId show, int part) implements OrderEdit {
        @Override
        public Plan apply(Plan plan) {
            return change(
                    plan,
                    show,
                    "padLength",
                    old -> old.withEntry(
                            partOf(old, part).withPad(Optional.of(new Pad(Optional.empty(), Pad.USUAL_MICROS)))));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("lay-pad").with("part", partName(before, show, part));
        }
    }

    /**
     * Plays a song of the order in a key tonight; its own key is what it is prepared in.
     *
     * @param key as a person types it: "D"
     */
    record PlayIn(ShowId show, int part, String key) implements OrderEdit {
        @Override
        public Plan apply(Plan plan) {
            Key tonight = Refused.at("key", () -> Key.parse(key));
            return change(plan, show, "key", old -> {
                Entry now = partOf(old, part);
                boolean isOwn = now.song()
                        .map(plan.book()::song)
                        .flatMap(Song::played)
                        .filter(tonight::equals)
                        .isPresent();
                return old.withEntry(now.withKey(isOwn ? Optional.empty() : Optional.of(tonight)));
            });
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("play-in").with("part", partName(before, show, part)).with("key", key.strip());
        }
    }

    /** Plays a part in the key that its song is prepared in. */
    record PlayAsPrepared(ShowId show, int part) implements OrderEdit {
        @Override
        public Plan apply(Plan plan) {
            return change(
                    plan, show, "key", old -> old.withEntry(partOf(old, part).withKey(Optional.empty())));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("play-as-prepared").with("part", partName(before, show, part));
        }
    }

    /**
     * Says who begins a part and who ends it.
     *
     * @param arm the switch that is pressed before it begins; empty for one press
     * @param end the switch that ends it, if it ends by foot
     */
    record CallPart(ShowId show, int part, Optional<SwitchAt> arm, Calls.Ending ending, Optional<SwitchAt> end)
            implements OrderEdit {
        @Override
        public Plan apply(Plan plan) {
            arm.ifPresent(at -> Refused.at("arm", () -> Plan.requireOnBoard(plan.rig(), at)));
            end.ifPresent(at -> Refused.at("end", () -> Plan.requireOnBoard(plan.rig(), at)));
            return change(plan, show, "part", old -> {
                Entry now = partOf(old, part);
                boolean byFoot = ending == Calls.Ending.FOOT;
                return old.withEntry(now.withCalls(Refused.at(
                        byFoot && end.isEmpty() ? "end" : "arm",
                        () -> new Calls(arm, now.press(), ending, end.filter(at -> byFoot)))));
            });
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("call-part").with("part", partName(before, show, part));
        }
    }

    /** Says whether songs are called on the night, whatever comes after what. */
    record CallOnTheNight(ShowId show, boolean anyOrder) implements OrderEdit {
        @Override
        public Plan apply(Plan plan) {
            return change(plan, show, "anyOrder", old -> old.inAnyOrder(anyOrder));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("call-on-the-night").with("any", Fact.word(anyOrder ? "any" : "fixed"));
        }
    }

    /** Says which boxes of the rig are there tonight; {@code here} has their ids, as they were typed. */
    record BringGear(ShowId show, Collection<String> here) implements OrderEdit {
        @Override
        public Plan apply(Plan plan) {
            SortedSet<DeviceId> absent = new TreeSet<>();
            plan.rig().devices().stream()
                    .map(Device::id)
                    .filter(id -> !here.contains(id.text()))
                    .forEach(absent::add);
            return change(plan, show, "here", old -> old.withAbsent(absent));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("bring-gear");
        }
    }

    /** Says which parts somebody plays live tonight. */
    record SetRoster(ShowId show, Collection<String> present) implements OrderEdit {
        @Override
        public Plan apply(Plan plan) {
            SortedSet<TapeLabel> parts = new TreeSet<>();
            present.stream().filter(name -> !name.isBlank()).forEach(name -> parts.add(Typed.label("present", name)));
            return change(plan, show, "present", old -> old.withPresent(parts));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("set-roster");
        }
    }

    /**
     * Has a stem be the other way round than the roster says, or, not {@code round}, as it says again; {@code name} as
     * typed.
     */
    record TurnStem(ShowId show, SongId of, String name, boolean round) implements OrderEdit {
        @Override
        public Plan apply(Plan plan) {
            Song song = SongEdit.find(plan, of);
            StemAt stem = new StemAt(of, Typed.label("stem", name));
            if (song.stems().stream().noneMatch(s -> s.name().equals(stem.stem()))) {
                throw new Refused("stem", Say.of("no.no-such-stem").with("title", song.title()));
            }
            return change(plan, show, "stem", old -> {
                SortedSet<StemAt> turned = new TreeSet<>(old.turned());
                turned.remove(stem);
                if (round) {
                    turned.add(stem);
                }
                return old.withTurned(turned);
            });
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("turn-stem")
                    .with("name", name.strip())
                    .with("song", SongEdit.titleOf(before, of))
                    .with("round", Fact.word(round ? "round" : "back"));
        }
    }

    static Show find(Plan plan, ShowId id) {
        return plan.book().find(id).orElseThrow(() -> new Refused("show", Say.of("no.show-gone")));
    }

    private static Entry partOf(Show show, int number) {
        return show.entry(number).orElseThrow(() -> new Refused("part", Say.of("no.entry-gone")));
    }

    private static String partName(Plan plan, ShowId show, int part) {
        return plan.book()
                .find(show)
                .flatMap(s -> s.entry(part))
                .map(entry -> entry.name().text())
                .orElse("a part");
    }

    private static Plan change(Plan plan, ShowId show, String field, UnaryOperator<Show> change) {
        Show old = find(plan, show);
        return Refused.at(field, () -> plan.withBook(plan.book().with(change.apply(old))));
    }
}
