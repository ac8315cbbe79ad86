#!/usr/bin/env bash
# Sixty people in eight crews at two servers, who think for 5 s between pages, with 20 edits a second for two minutes,
# after four minutes of the same; and pages with 3 000 rigs of 200 revisions each in the database beside pages with ten.
# On servers and a database of its own in a folder that is thrown away; ends by itself within 20 minutes. Needs
# ./embrack ordeal once, or ./embrack start and ./embrack bench, which build. Arguments: seconds, rigs.
set -euo pipefail
home="$(cd "$(dirname "$0")/.." && pwd)"
java="$(ls -d /usr/lib/jvm/*/bin/java | while read -r j; do "$j" -version 2>&1 | grep -qE '"(2[1-9]|[3-9][0-9])' && echo "$j"; done | tail -1)"
EMBRACK_DATA="$(mktemp -d)"; export EMBRACK_DATA EMBRACK_PORT=8480 EMBRACK_MEMORY=1536m
chmod 755 "$EMBRACK_DATA"
second=""
done_with_it() {
  [ -z "$second" ] || kill "$second" 2>/dev/null || true
  "$home/embrack" stop >/dev/null || true
  rm -rf "$EMBRACK_DATA"
}
trap done_with_it EXIT
cd "$home"
"$home/embrack" start
port=$(cat "$EMBRACK_DATA/port")
PGPASSWORD=$(cat "$EMBRACK_DATA/database.password"); export PGPASSWORD
database=$(sed -n 4p "$EMBRACK_DATA/cluster/postmaster.pid" | tr -d ' ')
EMBRACK_PORT=$((port + 1)) EMBRACK_DEMO=false EMBRACK_DB="jdbc:postgresql://127.0.0.1:$database/embrack" EMBRACK_DB_PASSWORD=$PGPASSWORD \
  "$java" -Xmx"$EMBRACK_MEMORY" -XX:+UseSerialGC -jar "$home/app/target/run/embrack.jar" >"$EMBRACK_DATA/second.log" 2>&1 &
second=$!
until curl -fsS -o /dev/null "http://127.0.0.1:$((port + 1))/actuator/health" 2>/dev/null; do kill -0 "$second"; sleep 0.5; done

load() { "$java" -cp "$home/bench/target/classes:$home/bench/target/lib/*" embrack.bench.Load "$port" $((port + 1)) "$@"; }
sql() { psql -h 127.0.0.1 -p "$database" -U embrack -q -v ON_ERROR_STOP=1 embrack; }
# rigs FROM TO: as the first one, with its history, ten a crew.
rigs() {
  sql <<SQL
insert into crew (name) select 'Crew ' || c from generate_series((select max(id) + 1 from crew), ($2 + 9) / 10) c;
create temporary table made as
  with new as (insert into rig (newest, name, boxes, models, crew)
    select newest, 'Rig ' || g, boxes, models, (g - 1) / 10 + 1 from rig, generate_series($1, $2) g where rig.id = 1 returning id)
  select id from new;
insert into rig_revision (rig, n, whole, body, author, at, summary, intent, undo_to, redo_to)
  select made.id, n, whole, body, author, at, summary, intent, undo_to, redo_to from rig_revision, made where rig = 1;
SQL
}
load prepare
rigs 2 10
sql <<<"vacuum analyze"
load pages "$EMBRACK_DATA/ten" >/dev/null; rm "$EMBRACK_DATA/ten" # warms up
echo "Ten rigs:"; load pages "$EMBRACK_DATA/ten"
rigs 11 "${2:-3000}"
sql <<SQL
insert into account (name, folded, password)
  select 'Person ' || p, 'person ' || p, password from account, generate_series(2, 60) p where account.id = 1;
insert into crew_member (crew, account, role) select (id - 1) % 8 + 1, id, 'planner' from account where id > 1;
SQL
sql <<<"vacuum analyze"
well=0
echo "${2:-3000} rigs of 200 revisions each:"; load pages "$EMBRACK_DATA/ten" || well=1
load told || well=1
echo "60 people in 8 crews at two servers, for ${1:-120} s:"; load people 60 8 "${1:-120}" || well=1
sql <<<"\pset tuples_only on
select 'Bytes a rig with 200 revisions: ' || pg_database_size('embrack') / (select count(*) from rig)"
exit "$well"
