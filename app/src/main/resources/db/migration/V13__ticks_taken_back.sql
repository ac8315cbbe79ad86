-- A tick that is taken back stays as such: what was made on a device without the server comes late, and the newer counts.
alter table sheet_tick add column done boolean not null default true;
