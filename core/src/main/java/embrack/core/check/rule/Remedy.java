package embrack.core.check.rule;

import embrack.core.edit.Edit;

/**
 * An edit that mends a finding.
 *
 * @param label what a button for it says, beginning with a verb
 */
public record Remedy(String label, Edit edit) {}
