package embrack.core.music;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/** Metres and tempos anywhere, some gliding. */
public final class RandomTempoMaps {

    private RandomTempoMaps() {}

    /** A random score of forty bars. */
    public static TempoMap of(Random random) {
        List<MetreChange> metres = new ArrayList<>();
        List<TempoChange> tempos = new ArrayList<>();
        for (int i = 0; i < 1 + random.nextInt(5); i++) {
            metres.add(
                    new MetreChange(1 + random.nextInt(40), new Metre(1 + random.nextInt(12), 2 << random.nextInt(3))));
        }
        TempoMap bars = new TempoMap(metres, List.of());
        for (int i = 0; i < 1 + random.nextInt(6); i++) {
            tempos.add(new TempoChange(
                    bars.position(random.nextInt(300) * 240L),
                    new Tempo(40_000 + random.nextInt(200_000)),
                    random.nextBoolean()));
        }
        return new TempoMap(metres, tempos);
    }
}
