package embrack.core.way;

import embrack.core.rig.DeviceId;
import java.util.Optional;

/**
 * One part of the time that a way takes.
 *
 * @param where the link or box that takes it, in words
 * @param what what is waited for: "USB frame"
 * @param sort what sort of wait it is
 * @param device the box whose setting decides about it, where one does
 * @param shorter what would make it shorter, a sentence
 */
public record Share(String where, String what, Delay delay, Wait sort, Optional<DeviceId> device, String shorter) {}
