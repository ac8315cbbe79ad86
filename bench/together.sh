#!/usr/bin/env bash
# Long work of two servers with a core each, against that of one: nights are drawn in parts. All in a folder that is
# thrown away; ends by itself. Argument: how many nights, 400 if none is given.
set -euo pipefail
home="$(cd "$(dirname "$0")/.." && pwd)"
java="$(ls -d /usr/lib/jvm/*/bin/java | while read -r j; do "$j" -version 2>&1 | grep -qE '"(2[1-9]|[3-9][0-9])' && echo "$j"; done | tail -1)"
EMBRACK_DATA="$(mktemp -d)"; export EMBRACK_DATA EMBRACK_PORT=8484
chmod 755 "$EMBRACK_DATA"
done_with_it() {
  "$home/embrack" stop >/dev/null || true
  rm -rf "$EMBRACK_DATA"
}
trap done_with_it EXIT
first="$EMBRACK_DATA/first"
printf '#!/bin/sh\nexec taskset -c 0 "%s/embrack" "$@"\n' "$home" >"$first"
chmod 755 "$first"
cd "$home"
"$java" -cp "$home/bench/target/classes:$home/bench/target/lib/*" embrack.bench.Together "$EMBRACK_DATA" "$first" "${1:-400}" \
  taskset -c 1 "$java" -Xmx512m -XX:+UseSerialGC -jar "$home/app/target/run/embrack.jar"
