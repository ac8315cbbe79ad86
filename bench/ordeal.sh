#!/usr/bin/env bash
# Eight people at two servers on one database make 1 000 acknowledged edits, while servers and database are ended without
# warning, the database is away for a minute and its disc is full for a while: none is lost, none is made twice, none by
# half. One server's clock is an hour behind where the package faketime is there. All in a folder that is thrown away, of
# limited size where this is root; ends by itself within 20 minutes. Arguments: edits, seed.
set -euo pipefail
home="$(cd "$(dirname "$0")/.." && pwd)"
java="$(ls -d /usr/lib/jvm/*/bin/java | while read -r j; do "$j" -version 2>&1 | grep -qE '"(2[1-9]|[3-9][0-9])' && echo "$j"; done | tail -1)"
EMBRACK_DATA="$(mktemp -d)"; export EMBRACK_DATA EMBRACK_PORT=8480
may_fill=false
if [ "$(id -u)" -eq 0 ] && mount -t tmpfs -o size=400m embrack-ordeal "$EMBRACK_DATA" 2>/dev/null; then may_fill=true; fi
[ "$may_fill" = true ] || echo "The disc is not filled: that needs root."
chmod 755 "$EMBRACK_DATA"
done_with_it() {
  "$home/embrack" stop >/dev/null || true
  [ "$may_fill" = false ] || umount "$EMBRACK_DATA" || umount -l "$EMBRACK_DATA"
  rm -rf "$EMBRACK_DATA"
}
trap done_with_it EXIT
behind=()
if command -v faketime >/dev/null; then behind=(faketime -f -1h); else echo "No clock is set back: that needs the package faketime."; fi
cd "$home"
"$java" -cp "$home/bench/target/classes:$home/bench/target/lib/*" embrack.bench.Ordeal "$EMBRACK_DATA" "$home/embrack" "${1:-1000}" "${2:-1}" \
  "$may_fill" ${behind[@]+"${behind[@]}"} "$java" -Xmx512m -XX:+UseSerialGC -jar "$home/app/target/run/embrack.jar"
