#!/usr/bin/env bash
# The pages of the demo against a static file, in turn, in the same run: the 95th of 60 visits each, and the ratio to
# the file. Needs ./embrack start before; reads only.
set -euo pipefail
home="$(cd "$(dirname "$0")/.." && pwd)"
address="${1:-http://127.0.0.1:$(cat "$home/.data/port" 2>/dev/null || echo 8340)}"
visits=60
pages=(/ /rigs/1/gear /rigs/1/gear/vocal-mixer /rigs/1/wiring /rigs/1/wiring/table /rigs/1/wiring/power
  /rigs/1/wiring/sound /rigs/1/wiring/failures /rigs/1/wiring/lists /rigs/1/switches/choir-board/1/3
  /rigs/1/switches/quay-board/1/3 /rigs/1/switches/numbers /rigs/1/switches/schools /rigs/1/songs
  /rigs/1/songs/lanterns-on-the-sill /rigs/1/songs/the-slow-boats/how "/rigs/1/cues?device=lantern-desk"
  /rigs/1/order /rigs/1/preflight /rigs/1/sheets /rigs/1/card /models /models/loop-table-five-tracks)
file="$(curl -s "$address/" | grep -o 'href="[^"]*frame.css"' | head -1 | sed 's/href="//;s/"$//')"
work="$(mktemp -d)"
trap 'rm -rf "$work"' EXIT
# The pages take turns, so that what else the machine does hits all alike; each visit is a connection of its own.
visit() { curl -s -L --compressed -o /dev/null -w '%{time_total}\n' "$address$1"; }
for path in "$file" "${pages[@]}"; do visit "$path" >/dev/null; visit "$path" >/dev/null; done
for _ in $(seq 1 "$visits"); do
  i=0
  for path in "$file" "${pages[@]}"; do
    visit "$path" >>"$work/$i"
    i=$((i + 1))
  done
done
at95() { sort -n "$work/$1" | sed -n "$((visits * 95 / 100))p"; }
base="$(at95 0)"
printf '%-44s %8s %6s\n' page "95th ms" ratio
i=0
for path in "$file" "${pages[@]}"; do
  awk -v p="$path" -v t="$(at95 "$i")" -v b="$base" 'BEGIN { printf "%-44s %8.1f %6.1f\n", p, t * 1000, t / b }'
  i=$((i + 1))
done
