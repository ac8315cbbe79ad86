package embrack.core.edit;

import embrack.core.plan.Plan;
import embrack.core.word.Phrase;

/**
 * One change that a person makes to a plan. An edit is small and says what was meant, so that it can be applied to the
 * newest plan whoever changed it in between. Text arrives as it was typed.
 */
public sealed interface Edit
        permits GearEdit,
                HandEdit,
                WiringEdit,
                SwitchEdit,
                DutyEdit,
                FloorEdit,
                ControlEdit,
                RowEdit,
                NumberEdit,
                WalkEdit,
                SongEdit,
                CueEdit,
                OrderEdit,
                FixtureEdit,
                FolderEdit,
                LookEdit,
                ChaseEdit,
                DeskEdit,
                SoundEdit,
                PastEdit,
                InTurn {

    /**
     * The plan with this change.
     *
     * @throws Refused when it cannot be made; the plan is then as it was
     */
    Plan apply(Plan plan);

    /** What it does in a few words, for the list of changes: "Add Vocal mixer". Called with the plan before. */
    Phrase summary(Plan before);
}
