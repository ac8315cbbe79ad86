package embrack.core.light;

import embrack.core.colour.Chromaticity;
import embrack.core.colour.Colour;
import embrack.core.colour.Emitter;
import embrack.core.colour.Lab;
import embrack.core.colour.Mixture;
import embrack.core.colour.Xyz;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** A type of fixture in one of its modes: which numbers show what is asked for, and what numbers show. */
public record Lamp(FixtureType type, Mode mode) {

    /** Moving heads look straight ahead. */
    private static final int CENTRE = 128;

    /** A switch is on from here. */
    private static final int ON = 128;

    private static final int FINE = 256;

    /** What it is sent to show something, and what that looks like. */
    public Output shows(Optional<Colour> colour, int percent, Optional<Double> flashes) {
        Map<Use, Double> parts = new EnumMap<>(Use.class);
        double distance = 0;
        if (percent > 0) {
            List<Use> mixed = mixed();
            if (colour.isPresent() && !mixed.isEmpty()) {
                Mixture mixture = Mixture.of(emitters(mixed), colour.get().chromaticity());
                mixed.forEach(use -> parts.put(use, mixture.parts().get(mixed.indexOf(use))));
                distance = mixture.distance();
            } else {
                mixed.forEach(use -> parts.put(use, 1.0));
            }
        }
        Optional<FixedColour> fixed = mixed().isEmpty() ? colour.flatMap(this::nearest) : unfixed();
        List<Integer> slots = new ArrayList<>();
        for (Slot slot : mode.slots()) {
            slots.add(value(slot, parts, percent, fixed, flashes));
        }
        if (percent > 0 && mixed().isEmpty() && colour.isPresent() && type.isLamp()) {
            distance = apart(light(slots), colour.get().chromaticity());
        }
        return new Output(slots, light(slots), distance, flashes(slots));
    }

    private int value(
            Slot slot, Map<Use, Double> parts, int percent, Optional<FixedColour> fixed, Optional<Double> flashes) {
        double strength = percent / 100.0;
        boolean dims = mode.has(Use.DIMMER);
        return switch (slot.use()) {
            case DIMMER, HAZE, FAN -> coarse(strength, slot.use() == Use.DIMMER && mode.has(Use.DIMMER_FINE));
            case DIMMER_FINE -> (int) Math.round(strength * (FINE * FINE - 1)) % FINE;
            case COLOURS -> fixed.map(colour -> colour.values().middle()).orElse(0);
            case STROBE -> strobe(percent > 0 ? flashes : Optional.empty());
            case PAN, TILT -> CENTRE;
            case SWITCH -> percent > 0 ? Slot.FULL : 0;
            case PAN_FINE, TILT_FINE, SPEED, UNUSED -> 0;
            default -> (int) Math.round(parts.getOrDefault(slot.use(), 0.0) * (dims ? 1 : strength) * Slot.FULL);
        };
    }

    private static int coarse(double strength, boolean isFine) {
        return isFine ? (int) Math.round(strength * (FINE * FINE - 1)) / FINE : (int) Math.round(strength * Slot.FULL);
    }

    private int strobe(Optional<Double> flashes) {
        return flashes.flatMap(rate -> type.flickers().stream()
                        .filter(flicker -> !flicker.isSteady())
                        .min(Comparator.comparing((Flicker flicker) -> !flicker.reaches(rate))
                                .thenComparingDouble(flicker -> Math.abs(flicker.rate(flicker.value(rate)) - rate)))
                        .map(flicker -> flicker.value(rate)))
                .or(() -> type.flickers().stream()
                        .filter(Flicker::isSteady)
                        .findFirst()
                        .map(flicker -> flicker.values().from()))
                .orElse(0);
    }

    /** What can be mixed: emitters that have a slot in this mode. */
    private List<Use> mixed() {
        return type.emitters().keySet().stream().filter(mode::has).toList();
    }

    private List<Emitter> emitters(List<Use> uses) {
        return type.emitters().entrySet().stream()
                .filter(entry -> uses.contains(entry.getKey()))
                .map(Map.Entry::getValue)
                .toList();
    }

    /** The fixed colour that comes nearest, the lamp's own where the slot chooses none. */
    private Optional<FixedColour> nearest(Colour wanted) {
        return mode.has(Use.COLOURS)
                ? type.colours().stream()
                        .min(Comparator.comparingDouble(fixed -> apart(light(fixed), wanted.chromaticity())))
                : Optional.empty();
    }

    private Optional<FixedColour> unfixed() {
        return type.colours().stream().filter(fixed -> fixed.colour().isEmpty()).findFirst();
    }

    private static double apart(Xyz light, Chromaticity wanted) {
        Xyz asked = wanted.brightest();
        return light.y() <= 0 ? 0 : Lab.of(asked).distance(Lab.of(light.times(asked.y() / light.y())));
    }

    /** What it shows when it is sent numbers, one for each of its slots. */
    public Output showing(List<Integer> slots) {
        return new Output(slots, light(slots), 0, flashes(slots));
    }

    /** What light numbers give, cells together; full white of this lamp has luminance 1. */
    public Xyz light(List<Integer> slots) {
        Optional<FixedColour> chosen = chosen(slots);
        boolean isFixed = chosen.flatMap(FixedColour::colour).isPresent();
        Xyz all = isFixed ? light(chosen.get()) : mixed().isEmpty() ? own() : sum(slots);
        double full = own().y();
        return full <= 0 ? Xyz.DARK : all.times(strength(slots) / full);
    }

    private Xyz sum(List<Integer> slots) {
        Xyz sum = Xyz.DARK;
        for (int i = 0; i < slots.size(); i++) {
            Slot slot = mode.slots().get(i);
            Emitter emitter = type.emitters().get(slot.use());
            if (emitter != null) {
                double share = slots.get(i) / (double) Slot.FULL / (slot.cell() == 0 ? 1 : mode.cells());
                sum = sum.plus(emitter.full().times(share));
            }
        }
        return sum;
    }

    /** All that it has. */
    private Xyz own() {
        return type.emitters().values().stream().map(Emitter::full).reduce(Xyz.DARK, Xyz::plus);
    }

    /** What a fixed colour gives: what the emitters can mix of it, or what a filter lets through. */
    private Xyz light(FixedColour fixed) {
        if (fixed.colour().isEmpty()) {
            return own();
        }
        Chromaticity colour = fixed.colour().get().chromaticity();
        List<Emitter> all = List.copyOf(type.emitters().values());
        return all.size() >= 3
                ? Mixture.of(all, colour).light()
                : colour.at(own().y() * colour.brightest().y());
    }

    private Optional<FixedColour> chosen(List<Integer> slots) {
        return mode.first(Use.COLOURS).isEmpty()
                ? Optional.empty()
                : type.colours().stream()
                        .filter(fixed -> fixed.values()
                                .holds(slots.get(mode.first(Use.COLOURS).getAsInt())))
                        .findFirst();
    }

    private double strength(List<Integer> slots) {
        if (mode.first(Use.SWITCH).isPresent()) {
            return slots.get(mode.first(Use.SWITCH).getAsInt()) >= ON ? 1 : 0;
        }
        if (mode.first(Use.DIMMER).isEmpty()) {
            return 1;
        }
        int coarse = slots.get(mode.first(Use.DIMMER).getAsInt());
        return mode.first(Use.DIMMER_FINE).isPresent()
                ? (coarse * FINE + slots.get(mode.first(Use.DIMMER_FINE).getAsInt())) / (double) (FINE * FINE - 1)
                : coarse / (double) Slot.FULL;
    }

    /** How often it flashes a second with these numbers; 0 for steady light. */
    public double flashes(List<Integer> slots) {
        return mode.first(Use.STROBE).isEmpty()
                ? 0
                : type.flickers().stream()
                        .filter(flicker -> flicker.values()
                                .holds(slots.get(mode.first(Use.STROBE).getAsInt())))
                        .findFirst()
                        .map(flicker ->
                                flicker.rate(slots.get(mode.first(Use.STROBE).getAsInt())))
                        .orElse(0.0);
    }
}
