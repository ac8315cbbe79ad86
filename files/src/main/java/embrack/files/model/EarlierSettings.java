package embrack.files.model;

import embrack.core.gear.Ability;
import embrack.core.gear.Condition;
import embrack.core.gear.Setting;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Settings of a time when models could not say what depends on them: some ids were taken for it. */
final class EarlierSettings {

    private static final Map<String, Ability> MEANT = Map.of(
            "output-port", Ability.SENDS,
            "input-for-notes", Ability.HEARS_NOTES,
            "input-for-remote", Ability.HEARS_REMOTE,
            "input-for-sync", Ability.HEARS_SYNC);

    private EarlierSettings() {}

    /** What was guessed then: a box did it while the setting was on, not off. */
    static List<Condition> conditions(List<Setting> settings) {
        return settings.stream()
                .filter(setting -> setting.min() == 0 && setting.max() == 1)
                .flatMap(setting -> Optional.ofNullable(MEANT.get(setting.id().text()))
                        .map(ability -> new Condition(ability, setting.id(), 1))
                        .stream())
                .toList();
    }
}
