package embrack.core.chart;

import embrack.core.midi.NoteNaming;
import embrack.core.midi.ProgramCounting;
import embrack.core.midi.ProgramTable;
import java.util.Optional;

/** How a manual counts: what its chart says at its top. Empty where it does not say. */
public record Conventions(
        Optional<ProgramCounting> programs, Optional<NoteNaming> notes, Optional<ProgramTable> table) {

    public static final Conventions UNSAID = new Conventions(Optional.empty(), Optional.empty(), Optional.empty());

    /** How programs are shown where the manual does not say: from 1, as most boxes do. */
    public ProgramCounting shownPrograms() {
        return programs.orElse(ProgramCounting.FROM_ONE);
    }

    /** How notes are named where the manual does not say. */
    public NoteNaming shownNotes() {
        return notes.orElse(NoteNaming.C4);
    }
}
