#!/usr/bin/env bash
# From a press in a run to the page of another with 200 who watch, against two, in the same run. Needs ./embrack start and
# ./embrack bench (which builds) before.
set -euo pipefail
home="$(cd "$(dirname "$0")/.." && pwd)"
port="$(cat "$home/.data/port" 2>/dev/null || echo 8340)"
java="$(ls -d /usr/lib/jvm/*/bin/java | while read -r j; do "$j" -version 2>&1 | grep -qE '"(2[1-9]|[3-9][0-9])' && echo "$j"; done | tail -1)"
"$java" -cp "$home/bench/target/classes:$home/bench/target/lib/*" embrack.bench.Watchers "$port" "${1:-/rigs/1}" 200
