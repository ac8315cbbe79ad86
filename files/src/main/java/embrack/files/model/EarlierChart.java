package embrack.files.model;

import embrack.core.chart.Action;
import embrack.core.chart.Chart;
import embrack.core.chart.ChartWriter;
import embrack.core.chart.Meaning;
import embrack.core.chart.Part;
import embrack.core.chart.PartId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Charts of a time when they could not say what parts are to a show: their names were taken for it. */
final class EarlierChart {

    private EarlierChart() {}

    /** The chart with the lines that say what was guessed then. */
    static Chart filledIn(Chart chart) {
        Map<PartId, Meaning> guessed = new LinkedHashMap<>();
        for (Action action : chart.actions()) {
            Meaning.suggestedBy(action.part(), action.verb())
                    .ifPresent(meaning -> guessed.putIfAbsent(action.part(), meaning));
        }
        List<String> lines = new ArrayList<>(chart.text().lines().toList());
        for (Meaning meaning : Meaning.values()) {
            List<Part> parts = chart.parts().stream()
                    .filter(part -> guessed.get(part.id()) == meaning)
                    .toList();
            lines.addAll(ChartWriter.meanings(meaning, meaning == Meaning.SONG ? fromTheFirst(parts) : parts));
        }
        return guessed.isEmpty() ? chart : Chart.of(String.join("\n", lines));
    }

    /** Songs by their number, as long as none is missing. */
    private static List<Part> fromTheFirst(List<Part> songs) {
        List<Part> inOrder = new ArrayList<>();
        for (Part song : songs) {
            if (!song.id().text().equals("song-" + (inOrder.size() + 1))) {
                return inOrder;
            }
            inOrder.add(song);
        }
        return inOrder;
    }
}
