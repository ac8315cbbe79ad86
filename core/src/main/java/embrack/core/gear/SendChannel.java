package embrack.core.gear;

/** How a board chooses the channel it sends on. */
public enum SendChannel {
    /** One setting for the whole box, {@link SettingId#SEND_CHANNEL}. */
    ONE_FOR_THE_BOX,
    /** Every message is programmed with its own. */
    EACH_MESSAGE
}
