package embrack.core.edit;

import embrack.core.chart.PartId;
import embrack.core.music.NoteLength;
import embrack.core.music.Position;
import embrack.core.music.Tempo;
import embrack.core.music.TempoMap;
import embrack.core.name.TapeLabel;
import embrack.core.offer.TempoTimes;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.show.Anchor;
import embrack.core.show.Capture;
import embrack.core.show.Cue;
import embrack.core.show.CueMerge;
import embrack.core.show.Form;
import embrack.core.show.Song;
import embrack.core.show.SongId;
import embrack.core.show.When;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.core.word.Fact;
import embrack.core.word.Phrase;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import java.util.function.UnaryOperator;

/** Changes to the cues of one song. */
public sealed interface CueEdit extends Edit {

    /** Farther than any cue can be moved, in ticks. */
    long MOST_TICKS = 100_000_000L;

    /** Where cues lie that are sent when the player loads the song. */
    Anchor ON_LOAD = new Anchor.Automatic(When.LOAD);

    SongId song();

    /**
     * Adds a cue; {@code at} as it is typed, see {@link Anchor#parse}. Steps may be none; then {@code foot} says which
     * switch is pressed.
     */
    record AddCue(SongId song, String at, List<Step> steps, Optional<SwitchAt> foot) implements CueEdit {

        public AddCue {
            steps = List.copyOf(steps);
        }

        @Override
        public Plan apply(Plan plan) {
            Song old = SongEdit.find(plan, song);
            Anchor anchor = Refused.at("at", () -> Anchor.parse(at, old.form()));
            if (steps.isEmpty() && foot.isEmpty()) {
                throw new Refused("step", Say.of("no.cue-does-nothing"));
            }
            return foot.isPresent()
                    ? with(plan, old.withCue(Cue.pressed(old.nextNumber(), anchor, foot.get())))
                    : with(plan, old.withCue(new Cue(old.nextNumber(), anchor, steps)));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("add-cue")
                    .with("song", SongEdit.titleOf(before, song))
                    .with("at", at.strip());
        }
    }

    /**
     * Sends a time on load, as long as a note is at the tempo that the song begins at; in the place of what is sent for
     * the same part then.
     */
    record SetTime(SongId song, DeviceId device, PartId part, NoteLength note) implements CueEdit {
        @Override
        public Plan apply(Plan plan) {
            Typed.device("time", plan, device);
            Song old = SongEdit.find(plan, song);
            Tempo tempo = old.form().tempoMap().tempo(0);
            Step step = TempoTimes.of(plan, old.form())
                    .taker(device, part)
                    .flatMap(taker -> taker.at(note, tempo))
                    .map(level -> new Step(device, level))
                    .orElseThrow(() -> new Refused(
                            "time",
                            Say.of("no.time")
                                    .with("device", plan.rig().name(device))
                                    .with("note", Fact.word(note.words()))
                                    .with("tempo", tempo.toString())));
            Song changed = old;
            for (Cue cue : old.cues()) {
                if (cue.at().equals(ON_LOAD) && cue.steps().stream().anyMatch(step::isAboutTheSame)) {
                    changed = changed.withCue(cue.withSteps(cue.steps().stream()
                            .map(s -> s.isAboutTheSame(step) ? step : s)
                            .toList()));
                }
            }
            return with(
                    plan, changed == old ? old.withCue(new Cue(old.nextNumber(), ON_LOAD, List.of(step))) : changed);
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("set-time")
                    .with("song", SongEdit.titleOf(before, song))
                    .with("device", before.rig().name(device))
                    .with("note", Fact.word(note.words()));
        }
    }

    /** Adds cues as they are, under numbers of their own. */
    record AddCues(SongId song, List<Cue> cues) implements CueEdit {

        public AddCues {
            cues = List.copyOf(cues);
        }

        @Override
        public Plan apply(Plan plan) {
            Song changed = SongEdit.find(plan, song);
            for (Cue cue : cues) {
                Song before = changed;
                changed = Refused.at("cues", () -> before.withCue(cue.withNumber(before.nextNumber())));
            }
            return with(plan, changed);
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("add-cues").with("count", cues.size()).with("song", SongEdit.titleOf(before, song));
        }
    }

    /** Takes the cues of a list in. */
    record MergeCues(SongId song, List<Cue> cues, CueMerge.How how) implements CueEdit {

        public MergeCues {
            cues = List.copyOf(cues);
        }

        @Override
        public Plan apply(Plan plan) {
            Song before = SongEdit.find(plan, song);
            return with(
                    plan,
                    Refused.at("cues", () -> CueMerge.of(before, cues, how)).song());
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("merge-cues").with("count", cues.size()).with("song", SongEdit.titleOf(before, song));
        }
    }

    /** Keeps what was captured while a song ran. */
    record KeepCaptured(SongId song, Capture capture) implements CueEdit {
        @Override
        public Plan apply(Plan plan) {
            List<Cue> cues = capture.cues(1);
            if (cues.isEmpty()) {
                throw new Refused("cues", Say.of("no.nothing-captured"));
            }
            return new AddCues(song, cues).apply(plan);
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("keep-captured")
                    .with("count", capture.cues(1).size())
                    .with("song", SongEdit.titleOf(before, song));
        }
    }

    /** Ties a cue to another moment, as it is typed. */
    record PlaceCue(SongId song, int cue, String at) implements CueEdit {
        @Override
        public Plan apply(Plan plan) {
            Song old = SongEdit.find(plan, song);
            Anchor anchor = Refused.at("at", () -> Anchor.parse(at, old.form()));
            return change(plan, song, cue, c -> c.withAnchor(anchor));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("place-cue")
                    .with("song", SongEdit.titleOf(before, song))
                    .with("at", at.strip());
        }
    }

    /**
     * Moves cues together. What is tied to a bar moves by ticks and stays on bars; what is tied to the clock, by the
     * clock. They keep their distances: none comes before the start, the first is put there at most.
     *
     * @param ticks how far, {@link Position#TICKS_PER_QUARTER} to the quarter, for cues on bars and sections
     * @param micros how far, for cues on the clock; 0 for as long as the ticks take there
     */
    record MoveCues(SongId song, Collection<Integer> cues, long ticks, long micros) implements CueEdit {
        @Override
        public Plan apply(Plan plan) {
            Song old = SongEdit.find(plan, song);
            Form form = old.form();
            List<Cue> moving = new TreeSet<>(cues)
                    .stream().map(number -> find(old, number)).toList();
            long first = moving.stream().mapToLong(cue -> now(form, cue)).min().orElse(0);
            long byTicks = Math.clamp(ticks, -(long) Math.floor(form.tempoMap().exactTickAt(first)), MOST_TICKS);
            long byMicros = Math.clamp(micros, -first, Anchor.MAX_MICROS);
            if ((ticks != 0 ? byTicks : byMicros) == 0) {
                return plan;
            }
            return Refused.at("cues", () -> {
                Song changed = old;
                for (Cue cue : moving) {
                    changed = changed.withCue(cue.withAnchor(
                            ticks != 0 ? moved(form, cue, byTicks) : new Anchor.OnClock(now(form, cue) + byMicros)));
                }
                return with(plan, changed);
            });
        }

        private static Anchor moved(Form form, Cue cue, long by) {
            TempoMap tempoMap = form.tempoMap();
            if (cue.at() instanceof Anchor.OnClock at) {
                return new Anchor.OnClock(
                        Math.max(0, Math.round(tempoMap.exactMicros(tempoMap.exactTickAt(at.micros()) + by))));
            }
            return new Anchor.OnBar(tempoMap.position(cue.at().tick(form).orElseThrow() + by));
        }

        private static long now(Form form, Cue cue) {
            return cue.at().micros(form).orElseThrow(() -> new Refused("cues", Say.of("no.no-place")));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("move-cues").with("count", cues.size()).with("song", SongEdit.titleOf(before, song));
        }
    }

    /**
     * Drags cues along with one of them.
     *
     * @param held the one that is dragged
     * @param micros where it is let go, from bar 1
     * @param grid it snaps to so many ticks; 0 to the millisecond, which ties it to the clock
     */
    record DragCues(SongId song, Collection<Integer> cues, int held, long micros, int grid) implements CueEdit {
        @Override
        public Plan apply(Plan plan) {
            Song old = SongEdit.find(plan, song);
            Anchor at = find(old, held).at();
            long now = at.micros(old.form()).orElseThrow(() -> new Refused("cues", Say.of("no.no-place")));
            TempoMap tempoMap = old.form().tempoMap();
            long there = Math.clamp(micros, 0, Anchor.MAX_MICROS);
            if (grid == 0 || at instanceof Anchor.OnClock) {
                long target =
                        grid == 0 ? Math.round(there / 1_000.0) * 1_000 : tempoMap.micros(tempoMap.snap(there, grid));
                return target == now ? plan : new MoveCues(song, cues, 0, target - now).apply(plan);
            }
            long tick = at.tick(old.form()).orElseThrow();
            long by = tempoMap.snap(there, grid) - tick;
            return by == 0 ? plan : new MoveCues(song, cues, by, 0).apply(plan);
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("drag-cues").with("count", cues.size()).with("song", SongEdit.titleOf(before, song));
        }
    }

    /** Copies cues that lie in one section into all sections of its sort, to the same bar and beat of each. */
    record CopyToAlike(SongId song, Collection<Integer> cues) implements CueEdit {
        @Override
        public Plan apply(Plan plan) {
            Song old = SongEdit.find(plan, song);
            Form form = old.form();
            Song changed = old;
            int copied = 0;
            for (int number : new TreeSet<>(cues)) {
                Cue cue = find(old, number);
                long tick = cue.at().tick(form).orElseThrow(() -> new Refused("cues", Say.of("no.no-section")));
                int section = form.sectionOf(form.tempoMap().position(tick).bar());
                long inside = tick - form.tempoMap().tick(Position.bar(form.firstBar(section)));
                for (int other = 0; other < form.sections().size(); other++) {
                    long there = form.tempoMap().tick(Position.bar(form.firstBar(other))) + inside;
                    boolean fits = there < form.tempoMap().tick(Position.bar(form.lastBar(other) + 1));
                    if (other != section
                            && fits
                            && form.sections().get(other).isLike(form.sections().get(section))
                            && isFree(changed, there, cue)) {
                        changed = changed.withCue(cue.withNumber(changed.nextNumber())
                                .withAnchor(new Anchor.OnBar(form.tempoMap().position(there))));
                        copied++;
                    }
                }
            }
            if (copied == 0) {
                throw new Refused("cues", Say.of("no.nothing-alike"));
            }
            return with(plan, changed);
        }

        private static boolean isFree(Song song, long tick, Cue cue) {
            return song.cues().stream()
                    .noneMatch(c -> c.steps().equals(cue.steps())
                            && c.foot().equals(cue.foot())
                            && c.at().micros(song.form())
                                    .filter(at -> at == song.form().tempoMap().micros(tick))
                                    .isPresent());
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("copy-to-alike").with("count", cues.size()).with("song", SongEdit.titleOf(before, song));
        }
    }

    /** Takes cues away. */
    record RemoveCues(SongId song, Collection<Integer> cues) implements CueEdit {
        @Override
        public Plan apply(Plan plan) {
            Song old = SongEdit.find(plan, song);
            cues.forEach(number -> find(old, number));
            return with(
                    plan,
                    old.withCues(old.cues().stream()
                            .filter(cue -> !cues.contains(cue.number()))
                            .toList()));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("remove-cues").with("count", cues.size()).with("song", SongEdit.titleOf(before, song));
        }
    }

    /** Writes on a cue's tape; without a name, takes it off. */
    record NameCue(SongId song, int cue, String name) implements CueEdit {
        @Override
        public Plan apply(Plan plan) {
            Optional<TapeLabel> label = name.isBlank() ? Optional.empty() : Optional.of(Typed.label("name", name));
            return change(plan, song, cue, c -> c.withName(label));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("name-cue").with("song", SongEdit.titleOf(before, song));
        }
    }

    /** Has a cue sent ahead by what its way usually takes, or not. */
    record SendEarly(SongId song, int cue, boolean early) implements CueEdit {
        @Override
        public Plan apply(Plan plan) {
            return change(plan, song, cue, c -> c.withEarly(early));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("send-early")
                    .with("song", SongEdit.titleOf(before, song))
                    .with("early", Fact.word(early ? "early" : "on its beat"));
        }
    }

    /** Says whether what a cue toggles is meant to be off afterwards. */
    record LeaveOff(SongId song, int cue, boolean off) implements CueEdit {
        @Override
        public Plan apply(Plan plan) {
            return change(plan, song, cue, c -> c.leavingOff(off));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("leave-off")
                    .with("song", SongEdit.titleOf(before, song))
                    .with("off", Fact.word(off ? "off" : "on"));
        }
    }

    /** Has a cue do more, behind what it does already. */
    record AddToCue(SongId song, int cue, List<Step> steps) implements CueEdit {

        public AddToCue {
            steps = List.copyOf(steps);
        }

        @Override
        public Plan apply(Plan plan) {
            return change(plan, song, cue, c -> {
                if (c.foot().isPresent()) {
                    throw new Refused("step", Say.of("no.foot-cue"));
                }
                List<Step> more = new ArrayList<>(c.steps());
                more.addAll(steps);
                return c.withSteps(more);
            });
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("add-to-cue").with("song", SongEdit.titleOf(before, song));
        }
    }

    /** Takes one thing away from what a cue does; {@code step} is what stood at {@code index}, counted from 0. */
    record TakeFromCue(SongId song, int cue, int index, Step step) implements CueEdit {
        @Override
        public Plan apply(Plan plan) {
            Song old = SongEdit.find(plan, song);
            Cue now = find(old, cue);
            if (index < 0
                    || index >= now.steps().size()
                    || !now.steps().get(index).equals(step)) {
                throw new Refused("step", Say.of("no.steps-changed"));
            }
            List<Step> fewer = new ArrayList<>(now.steps());
            fewer.remove(index);
            return fewer.isEmpty() && now.raw().isEmpty()
                    ? new RemoveCues(song, List.of(cue)).apply(plan)
                    : with(plan, old.withCue(now.withSteps(fewer)));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("take-from-cue").with("song", SongEdit.titleOf(before, song));
        }
    }

    /** Has a cue wait before one of its steps; as {@link TakeFromCue}. */
    record WaitInCue(SongId song, int cue, int index, Step step, String millis) implements CueEdit {
        @Override
        public Plan apply(Plan plan) {
            int wait = millis.isBlank() ? 0 : Typed.number("millis", millis);
            return change(plan, song, cue, c -> {
                if (index < 0
                        || index >= c.steps().size()
                        || !c.steps().get(index).equals(step)) {
                    throw new Refused("millis", Say.of("no.steps-changed"));
                }
                List<Step> changed = new ArrayList<>(c.steps());
                changed.set(index, Refused.at("millis", () -> step.withWait(wait)));
                return c.withSteps(changed);
            });
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("wait-in-cue").with("song", SongEdit.titleOf(before, song));
        }
    }

    private static Cue find(Song song, int number) {
        return song.cue(number).orElseThrow(() -> new Refused("cues", Say.of("no.cue-gone")));
    }

    private static Plan change(Plan plan, SongId song, int number, UnaryOperator<Cue> change) {
        Song old = SongEdit.find(plan, song);
        return with(plan, Refused.at("step", () -> old.withCue(change.apply(find(old, number)))));
    }

    private static Plan with(Plan plan, Song song) {
        return Refused.at("step", () -> plan.withBook(plan.book().with(song)).settled());
    }
}
