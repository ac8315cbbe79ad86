package embrack.app.preflight;

import embrack.core.sheet.Progress;
import java.util.List;

/**
 * The sheets with what is done.
 *
 * @param onlyLeft whether what is done is left out
 * @param gone what was ticked, and is on no sheet any more: to be taken out of its box
 */
record SheetPage(List<SheetView> sheets, boolean onlyLeft, String done, List<Gone> gone) {

    /** Something that was programmed and is not wanted any more. */
    record Gone(String key, String words) {}

    static SheetPage of(Progress progress, boolean onlyLeft) {
        return new SheetPage(
                (onlyLeft ? progress.left() : progress.sheets())
                        .stream().map(sheet -> SheetView.of(progress, sheet)).toList(),
                onlyLeft,
                progress.words(),
                progress.gone().stream()
                        .map(tick -> new Gone(
                                tick.key(), "%s: %s".formatted(tick.key().replace('/', ' '), tick.words())))
                        .toList());
    }
}
