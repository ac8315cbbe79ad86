package embrack.core.gear;

/**
 * What a box needs for doing something: "sends only while Surface mode is external".
 *
 * @param value of the setting, while which it does
 */
public record Condition(Ability ability, SettingId setting, int value) {}
