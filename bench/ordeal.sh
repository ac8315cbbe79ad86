#!/usr/bin/env bash
# Server and database are ended without warning, at random, while eight clients make 1 000 acknowledged edits: none is lost,
# none is made twice. On a server and a database of its own in a folder that is thrown away; ends by itself within 15
# minutes. Needs ./embrack bench (which builds) before. Arguments: edits, seed.
set -euo pipefail
home="$(cd "$(dirname "$0")/.." && pwd)"
java="$(ls -d /usr/lib/jvm/*/bin/java | while read -r j; do "$j" -version 2>&1 | grep -qE '"(2[1-9]|[3-9][0-9])' && echo "$j"; done | tail -1)"
EMBRACK_DATA="$(mktemp -d)"; export EMBRACK_DATA EMBRACK_PORT=8480
chmod 755 "$EMBRACK_DATA"
trap '"$home/embrack" stop >/dev/null; rm -rf "$EMBRACK_DATA"' EXIT
"$java" -cp "$home/bench/target/classes:$home/bench/target/lib/*" embrack.bench.Ordeal "$EMBRACK_DATA" "$home/embrack" "${1:-1000}" "${2:-1}"
