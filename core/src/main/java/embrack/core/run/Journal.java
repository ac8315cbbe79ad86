package embrack.core.run;

import embrack.core.switches.Moment;
import embrack.core.world.Place;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.OptionalLong;
import java.util.Set;

/**
 * What is worth keeping of a run once it is over, with how the feet did. It is told from what people did in it, so that
 * it is the same whenever it is asked for.
 *
 * @param entries what happened, in the order in which it did; its times go back where the run did
 * @param score how the feet did, in all that was played
 * @param rescues what went wrong, and when all was right again
 * @param end how the run stood when it was left
 */
public record Journal(List<Entry> entries, Score score, List<Rescue> rescues, Run end) {

    /** For so long a run goes on before what happened is taken, so that none of it has left the tape, one second. */
    private static final long CHUNK_MICROS = 1_000_000;

    /**
     * One thing that happened.
     *
     * @param part in which part of the order, from 0
     */
    public record Entry(int part, Line line) {}

    /**
     * Something that went wrong, and what became of it.
     *
     * @param wrongAt when anything was wrong by it first, microseconds of the run; empty where nothing ever was
     * @param rightAt when all was right again; empty where it was not, before the run was left or went elsewhere
     */
    public record Rescue(int part, Line.Struck what, long at, OptionalLong wrongAt, OptionalLong rightAt) {

        Rescue wrong(long when) {
            return new Rescue(part, what, at, OptionalLong.of(when), OptionalLong.empty());
        }

        Rescue right(long when) {
            return new Rescue(part, what, at, wrongAt, OptionalLong.of(when));
        }

        /** How long something was wrong, microseconds; empty where nothing was, or it never was right again. */
        public OptionalLong tookMicros() {
            return wrongAt.isPresent() && rightAt.isPresent()
                    ? OptionalLong.of(rightAt.getAsLong() - wrongAt.getAsLong())
                    : OptionalLong.empty();
        }
    }

    public Journal {
        entries = List.copyOf(entries);
        rescues = List.copyOf(rescues);
    }

    /**
     * What went on.
     *
     * @param start the run as it began
     * @param acts what people did in it
     * @param until when it was left, microseconds of the run
     */
    public static Journal of(Run start, List<History.Done> acts, long until) {
        var telling = new Of(start);
        for (History.Done done : acts) {
            telling.until(done.at());
            telling.after(done.act());
        }
        telling.until(until);
        return telling.over();
    }

    /** A journal while it is told. */
    private static final class Of {
        private final List<Entry> entries = new ArrayList<>();
        private final List<Rescue> rescues = new ArrayList<>();
        /** Those of them that were left as they were. */
        private final Set<Integer> gone = new HashSet<>();

        private final Set<Place> amiss = new HashSet<>();
        private Score score = Score.NOTHING;
        private History history;
        private long told;
        private int part;
        private boolean isSilent;

        Of(Run start) {
            history = History.of(start);
            told = start.lines();
            part = start.part();
        }

        void until(long micros) {
            while (history.run().now() < micros && !history.run().isOver()) {
                history = history.until(Math.min(micros, history.run().now() + CHUNK_MICROS));
                take();
            }
        }

        void after(Act act) {
            Run before = history.run().until(history.run().now());
            history = history.after(act);
            if (act instanceof Act.Back || act instanceof Act.From) {
                score = score.and(Score.left(before, history.run()));
            }
            take();
        }

        /** What was wrong where the run was is another matter now. */
        private void elsewhere() {
            part = history.run().part();
            amiss.clear();
            isSilent = false;
            gone.addAll(open());
        }

        Journal over() {
            return new Journal(entries, score.and(Score.of(history.run())), rescues, history.run());
        }

        private void take() {
            for (Line line : history.run().tape()) {
                if (line.number() > told) {
                    told = line.number();
                    take(line);
                }
            }
        }

        private void take(Line line) {
            if (line.what() instanceof Line.Began began) {
                part = began.part();
            } else if (line.what() instanceof Line.WentBack) {
                elsewhere();
            }
            if (isWorthKeeping(line.what())) {
                entries.add(new Entry(part, line));
            }
            switch (line.what()) {
                case Line.Struck struck ->
                    rescues.add(new Rescue(part, struck, line.at(), OptionalLong.empty(), OptionalLong.empty()));
                case Line.Amiss one -> amiss.add(one.wrong().place());
                case Line.Righted one -> amiss.remove(one.place());
                case Line.Silent silent -> isSilent = true;
                case Line.Sounds sounds -> isSilent = false;
                default -> {
                    return;
                }
            }
            boolean isWell = amiss.isEmpty() && !isSilent;
            for (int index : open()) {
                Rescue rescue = rescues.get(index);
                if (!isWell && rescue.wrongAt().isEmpty()) {
                    rescues.set(index, rescue.wrong(since(line)));
                } else if (isWell && rescue.wrongAt().isPresent()) {
                    rescues.set(index, rescue.right(line.at()));
                }
            }
        }

        /** Which of what went wrong may still be mended, or do harm. */
        private List<Integer> open() {
            List<Integer> open = new ArrayList<>();
            for (int i = 0; i < rescues.size(); i++) {
                if (rescues.get(i).rightAt().isEmpty() && !gone.contains(i)) {
                    open.add(i);
                }
            }
            return open;
        }

        /** When what a line tells began: a while has to go by until something is taken for wrong. */
        private static long since(Line line) {
            return line.what() instanceof Line.Amiss amiss ? amiss.wrong().since() : line.at();
        }

        private static boolean isWorthKeeping(Line.What what) {
            return switch (what) {
                case Line.Trod trod -> !trod.byPlan() && trod.moment() != Moment.RELEASE;
                case Line.Began began -> true;
                case Line.Leapt leapt -> true;
                case Line.Did did -> true;
                case Line.Struck struck -> true;
                case Line.Repaired back -> true;
                case Line.Amiss amiss -> true;
                case Line.Righted righted -> true;
                case Line.Silent silent -> true;
                case Line.Sounds sounds -> true;
                case Line.Missed missed -> true;
                case Line.Marked marked -> true;
                case Line.WentBack back -> true;
                case Line.Ended ended -> false;
                case Line.InSection in -> false;
                case Line.Cued cued -> false;
                case Line.Travelled travelled -> false;
            };
        }
    }
}
