-- Whose notes wait is asked at the list of rigs, of all rigs at once.
create index rig_note_waiting on rig_note (whom) where done_at is null;
