#!/usr/bin/env bash
# Pages, edits and database of the demo rig after 20 000 edits (or as many as are said) against after 20, on a server and a
# database of its own in a folder that is thrown away. Needs ./embrack bench (which builds) before; takes some minutes.
set -euo pipefail
home="$(cd "$(dirname "$0")/.." && pwd)"
java="$(ls -d /usr/lib/jvm/*/bin/java | while read -r j; do "$j" -version 2>&1 | grep -qE '"(2[1-9]|[3-9][0-9])' && echo "$j"; done | tail -1)"
EMBRACK_DATA="$(mktemp -d)"; export EMBRACK_DATA EMBRACK_PORT=8460
chmod 755 "$EMBRACK_DATA"
trap '"$home/embrack" stop >/dev/null; rm -rf "$EMBRACK_DATA"' EXIT
"$home/embrack" start | tail -n 1
size() { du -sb "$EMBRACK_DATA/cluster/base" | cut -f1; }
edits="${1:-20000}"
before="$(size)"
"$java" -cp "$home/bench/target/classes:$home/bench/target/lib/*" embrack.bench.ManyEdits "$(cat "$EMBRACK_DATA/port")" /rigs/1 "$edits"
after="$(size)"
printf 'database: %d bytes an edit, all files of it together\n' "$(((after - before) / edits))"
