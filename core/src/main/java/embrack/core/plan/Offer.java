package embrack.core.plan;

import embrack.core.switches.Step;

/**
 * An action that a person can pick for a switch.
 *
 * @param words the action as people say it: "Vocal mixer: mute Vocal mic"
 * @param compiled what it would take
 */
public record Offer(String words, Step step, CompiledStep compiled) {
}
