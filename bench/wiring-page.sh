#!/usr/bin/env bash
# From a change to the drawn wiring page, for rigs of 15, 30, 60 and 120 devices: median of the last 9 of 24 edits, and
# the ratio to 15 devices in the same run. Needs ./embrack start and ./embrack bench (which builds) before; deletes nothing.
set -euo pipefail
home="$(cd "$(dirname "$0")/.." && pwd)"
address="http://127.0.0.1:$(cat "$home/.data/port" 2>/dev/null || echo 8340)"
work="$(mktemp -d)"
trap 'rm -rf "$work"' EXIT
java="$(ls -d /usr/lib/jvm/*/bin/java | while read -r j; do "$j" -version 2>&1 | grep -qE '"(2[1-9]|[3-9][0-9])' && echo "$j"; done | tail -1)"
"$java" -cp "$home/bench/target/classes:$home/bench/target/lib/*" embrack.bench.TourRig 15 30 60 120 "$work"
jar="$work/cookies"
token() { curl -s -b "$jar" -c "$jar" "$address$1" | grep -o 'name="_csrf" value="[^"]*"' | head -1 | sed 's/.*value="//;s/"$//'; }
token / >/dev/null
base=""
printf '%8s %10s %8s\n' devices "ms" ratio
for n in 15 30 60 120; do
  t="$(token /)"
  rig="$(curl -s -o /dev/null -w '%{redirect_url}' -b "$jar" -F "_csrf=$t" -F "file=@$work/$n.json" "$address/rigs/import" | grep -o '/rigs/[0-9]*')"
  t="$(token "$rig/wiring")"
  times=""
  for i in $(seq 1 24); do
    area=$([ $((i % 2)) = 0 ] && echo FLOOR || echo DESK)
    times="$times$(curl -s -L -o /dev/null -w '%{time_total}' -b "$jar" -c "$jar" -d "_csrf=$t" -d "area=$area" "$address$rig/wiring/devices/board-1/area")
"
  done
  ms="$(printf '%s' "$times" | tail -9 | sort -n | sed -n 5p | awk '{printf "%.0f", $1 * 1000}')"
  base="${base:-$ms}"
  printf '%8s %10s %8s\n' "$n" "$ms" "$(awk -v a="$ms" -v b="$base" 'BEGIN { printf "%.1f", a / b }')"
done
