-- A port is that of one browser: on another computer one of the same name may lead to another box. What was said before
-- that counts wherever nobody has said anything since.
alter table line_port add column place text not null default '' check (length(place) <= 60);
alter table line_port drop constraint line_port_pkey;
alter table line_port add primary key (rig, place, port, outward);
