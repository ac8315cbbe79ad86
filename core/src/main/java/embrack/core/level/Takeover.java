package embrack.core.level;

import embrack.core.midi.DataByte;
import java.util.ArrayList;
import java.util.List;

/** What software does when a fader begins to move that stands elsewhere than its own value. */
public enum Takeover {
    /** The value goes to where the fader is, at once. */
    JUMP("at once"),
    /** Nothing until the fader passes the value; then it follows. */
    CATCH("when both meet"),
    /** Every move is shared out over the room that is left on its side, until both meet. */
    SCALED("closing in");

    /** Positions closer than this count as met: half a step of 127. */
    private static final double MET = 0.5 / 127;

    private final String words;

    Takeover(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    /** Where a fader and the value of the software are, both 0 to 1. */
    public record Position(double fader, double value) {

        public Position {
            if (!(fader >= 0 && fader <= 1 && value >= 0 && value <= 1)) {
                throw new IllegalArgumentException("positions are 0 to 1, were %s and %s".formatted(fader, value));
            }
        }

        /** Whether both are at the same place, so that the value follows from here on. */
        public boolean hasMet() {
            return Math.abs(fader - value) < MET;
        }
    }

    /**
     * Where both are after a move.
     *
     * @param fader where the fader is moved to, 0 to 1
     */
    public Position move(Position before, double fader) {
        return new Position(
                fader,
                switch (this) {
                    case JUMP -> fader;
                    case CATCH -> before.hasMet() || isPassed(before, fader) ? fader : before.value();
                    case SCALED -> before.hasMet() ? fader : scaled(before, fader);
                });
    }

    /**
     * The level that comes of a control that is moved.
     *
     * @param last where the control stood, 0 to 127
     * @param level the level before, 0 to 127
     * @param wanted where the control is moved to, 0 to 127
     */
    public int level(int last, int level, int wanted) {
        Position after = move(new Position(share(last), share(level)), share(wanted));
        return (int) Math.round(after.value() * DataByte.MAX);
    }

    private static double share(int level) {
        return level / (double) DataByte.MAX;
    }

    /** Where both are after each of several moves. */
    public List<Position> moves(Position start, List<Double> faders) {
        List<Position> positions = new ArrayList<>();
        Position now = start;
        for (double fader : faders) {
            now = move(now, fader);
            positions.add(now);
        }
        return positions;
    }

    /** How far the value goes at once when the fader is first touched, without moving: 0 unless it jumps. */
    public double jump(Position before) {
        return this == JUMP ? before.fader() - before.value() : 0;
    }

    private static boolean isPassed(Position before, double fader) {
        return Math.min(before.fader(), fader) <= before.value() && before.value() <= Math.max(before.fader(), fader);
    }

    private static double scaled(Position before, double fader) {
        double moved = fader < before.fader()
                ? before.value() * fader / before.fader()
                : fader > before.fader()
                        ? 1 - (1 - before.value()) * (1 - fader) / (1 - before.fader())
                        : before.value();
        return Math.clamp(moved, 0, 1);
    }
}
