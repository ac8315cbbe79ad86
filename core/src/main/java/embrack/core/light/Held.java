package embrack.core.light;

import embrack.core.rig.DeviceId;

/** What a desk has stored: a look in one of its scenes. */
public record Held(DeviceId desk, Scenes.Place place, LookId look) {}
