package embrack.core.line;

import embrack.core.midi.Message;
import embrack.core.rig.DeviceId;

/**
 * A message that came from a real box.
 *
 * @param atMicros when, by a clock that all that is heard shares, in microseconds
 * @param from the box at whose port it came in
 */
public record Heard(long atMicros, DeviceId from, Message message) {}
