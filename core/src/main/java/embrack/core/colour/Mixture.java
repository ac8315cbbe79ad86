package embrack.core.colour;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Emitters mixed to a colour.
 *
 * @param parts how strong each is, 0 to 1, in their order; the strongest mixture of that colour
 * @param light what all of them give together
 * @param distance how far the colour is from the one that was asked for, both equally bright; CIEDE2000
 */
public record Mixture(List<Double> parts, Xyz light, double distance) {

    private static final double NOTHING = 1e-9;
    private static final int STEPS = 256;

    /** A show asks for a few colours of a few lamps, again and again. */
    private static final int MOST_KNOWN = 2_000;

    private static final Map<Asked, Mixture> KNOWN = new ConcurrentHashMap<>();

    private record Asked(List<Emitter> emitters, Chromaticity wanted) {}

    public Mixture {
        parts = List.copyOf(parts);
    }

    /**
     * The strongest light of a colour. Where the emitters cannot give it, the mixture of two whose colour is nearest.
     * Of n emitters two are in between and the others off or full, as any best solution of a linear program with as
     * many equations has it; so all of these are tried: n²·2ⁿ.
     *
     * @param emitters at least one, at most ten
     */
    public static Mixture of(List<Emitter> emitters, Chromaticity wanted) {
        if (emitters.isEmpty() || emitters.size() > 10) {
            throw new IllegalArgumentException("A lamp has 1 to 10 emitters, not " + emitters.size() + ".");
        }
        if (KNOWN.size() >= MOST_KNOWN) {
            KNOWN.clear();
        }
        return KNOWN.computeIfAbsent(new Asked(List.copyOf(emitters), wanted), Mixture::worked);
    }

    private static Mixture worked(Asked asked) {
        List<Double> best = exact(asked.emitters(), asked.wanted().at(1));
        return made(
                asked.emitters(), best.isEmpty() ? nearest(asked.emitters(), asked.wanted()) : best, asked.wanted());
    }

    private static Mixture made(List<Emitter> emitters, List<Double> parts, Chromaticity wanted) {
        Xyz light = sum(emitters, parts);
        return new Mixture(parts, light, distance(light, wanted));
    }

    private static double distance(Xyz light, Chromaticity wanted) {
        Xyz asked = wanted.brightest();
        return Lab.of(asked).distance(Lab.of(light.times(asked.y() / light.y())));
    }

    private static Xyz sum(List<Emitter> emitters, List<Double> parts) {
        Xyz sum = Xyz.DARK;
        for (int i = 0; i < parts.size(); i++) {
            sum = sum.plus(emitters.get(i).full().times(parts.get(i)));
        }
        return sum;
    }

    /** The brightest parts whose light has just that colour; empty when none have. */
    private static List<Double> exact(List<Emitter> emitters, Xyz wanted) {
        List<Double> best = List.of();
        double brightest = NOTHING;
        int n = emitters.size();
        for (int i = 0; i < n; i++) {
            for (int j = i + 1; j < n; j++) {
                for (int full = 0; full < 1 << n; full++) {
                    if ((full & (1 << i | 1 << j)) == 0) {
                        double[] solved = solved(emitters, i, j, full, wanted);
                        if (isPart(solved[0]) && isPart(solved[1]) && solved[2] > brightest) {
                            brightest = solved[2];
                            best = parts(n, i, j, full, solved);
                        }
                    }
                }
            }
        }
        return n == 1 && isSame(emitters.getFirst().full(), wanted) ? List.of(1.0) : best;
    }

    private static boolean isSame(Xyz one, Xyz other) {
        return Math.abs(one.x() / one.y() - other.x() / other.y()) < NOTHING
                && Math.abs(one.z() / one.y() - other.z() / other.y()) < NOTHING;
    }

    private static boolean isPart(double part) {
        return part >= -NOTHING && part <= 1 + NOTHING;
    }

    private static List<Double> parts(int n, int i, int j, int full, double[] solved) {
        List<Double> parts = new ArrayList<>(Collections.nCopies(n, 0.0));
        for (int k = 0; k < n; k++) {
            parts.set(k, (full & 1 << k) != 0 ? 1.0 : 0.0);
        }
        parts.set(i, Math.clamp(solved[0], 0, 1));
        parts.set(j, Math.clamp(solved[1], 0, 1));
        return parts;
    }

    /** The parts of two emitters and the luminance with which, beside those that are full, they give the colour. */
    private static double[] solved(List<Emitter> emitters, int i, int j, int full, Xyz wanted) {
        Xyz rest = Xyz.DARK;
        for (int k = 0; k < emitters.size(); k++) {
            rest = (full & 1 << k) == 0 ? rest : rest.plus(emitters.get(k).full());
        }
        Xyz a = emitters.get(i).full();
        Xyz b = emitters.get(j).full();
        double whole = determinant(a, b, wanted);
        return Math.abs(whole) < NOTHING * NOTHING
                ? new double[] {-1, -1, -1}
                : new double[] {
                    -determinant(rest, b, wanted) / whole,
                    -determinant(a, rest, wanted) / whole,
                    determinant(a, b, rest) / whole
                };
    }

    private static double determinant(Xyz a, Xyz b, Xyz c) {
        return a.x() * (b.y() * c.z() - b.z() * c.y())
                - b.x() * (a.y() * c.z() - a.z() * c.y())
                + c.x() * (a.y() * b.z() - a.z() * b.y());
    }

    /** The mixture of one or two whose colour is least far away, as strong as it can be. */
    private static List<Double> nearest(List<Emitter> emitters, Chromaticity wanted) {
        List<Double> best = List.of();
        double least = Double.MAX_VALUE;
        int n = emitters.size();
        for (int i = 0; i < n; i++) {
            for (int j = i; j < n; j++) {
                for (int step = 0; step <= (i == j ? 0 : STEPS); step++) {
                    List<Double> parts = new ArrayList<>(Collections.nCopies(n, 0.0));
                    parts.set(i, Math.min(1, 2 - 2.0 * step / STEPS));
                    parts.set(j, i == j ? 1.0 : Math.min(1, 2.0 * step / STEPS));
                    double distance = distance(sum(emitters, parts), wanted);
                    if (distance < least) {
                        least = distance;
                        best = parts;
                    }
                }
            }
        }
        return best;
    }
}
