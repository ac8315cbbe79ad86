#!/usr/bin/env bash
# The prompt page in the browser: the longest task while dragging and scrolling, in a song of 2 000 cues and, as the
# baseline in the same run, one of 200. Needs what ./embrack test needs; deletes nothing.
set -euo pipefail
cd "$(dirname "$0")/.."
mvn -B -q -ntp -pl core,files,paper,app verify -Dtest=DragMeasurement -Dsurefire.failIfNoSpecifiedTests=false | grep ' cues: '
