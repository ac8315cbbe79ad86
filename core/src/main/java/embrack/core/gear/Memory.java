package embrack.core.gear;

import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What a box remembers.
 *
 * @param settings ids unique
 * @param conditions what the box does only while settings are as they have to be
 * @param memories how many memories it has, 0 to 1000; settings of {@link Scope#MEMORY} are kept in each of its own
 * @param writing what must be done so that the box keeps what was programmed; empty when it keeps it at once
 * @param cueLine how it writes its timed messages, where it takes and gives them as text
 */
public record Memory(
        List<Setting> settings,
        List<Condition> conditions,
        int memories,
        Optional<String> writing,
        Optional<CueLine> cueLine) {

    public Memory {
        settings = List.copyOf(settings);
        conditions = List.copyOf(conditions);
        Set<SettingId> ids = new HashSet<>();
        Set<Purpose> purposes = EnumSet.noneOf(Purpose.class);
        for (Setting setting : settings) {
            if (!ids.add(setting.id())) {
                throw new IllegalArgumentException("the setting \"%s\" is there twice".formatted(setting.id()));
            }
            setting.purpose().filter(purpose -> !purposes.add(purpose)).ifPresent(purpose -> {
                throw new IllegalArgumentException("two settings are the %s".formatted(purpose.words()));
            });
            if (setting.scope() == Scope.MEMORY && memories < 1) {
                throw new IllegalArgumentException(
                        "the setting \"%s\" is kept in each memory, and the box has none".formatted(setting.id()));
            }
        }
        for (Condition condition : conditions) {
            Setting setting = settings.stream()
                    .filter(s -> s.id().equals(condition.setting()))
                    .findFirst()
                    .orElseThrow(() ->
                            new IllegalArgumentException("\"%s\" depends on the setting \"%s\", which is not there"
                                    .formatted(condition.ability().words(), condition.setting())));
            setting.checked(condition.value());
        }
        if (memories < 0 || memories > 1000) {
            throw new IllegalArgumentException("a box has 0 to 1000 memories, was " + memories);
        }
    }

    /** Settings on which nothing else depends. */
    public Memory(List<Setting> settings, int memories, Optional<String> writing) {
        this(settings, List.of(), memories, writing, Optional.empty());
    }

    /** Settings that hold for the whole box and are kept at once. */
    public static Memory of(Setting... settings) {
        return new Memory(List.of(settings), 0, Optional.empty());
    }

    /** The setting that is for something. */
    public Optional<Setting> setting(Purpose purpose) {
        return settings.stream().filter(setting -> setting.isFor(purpose)).findFirst();
    }

    public Optional<Setting> setting(SettingId id) {
        return settings.stream().filter(setting -> setting.id().equals(id)).findFirst();
    }
}
