package embrack.app.store.crew;

/** Somebody may do less than before, or more: whoever listens to anything is asked anew. */
public record DoorsMoved() {}
