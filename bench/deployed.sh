#!/usr/bin/env bash
# What stands in deploy/ at work: two servers on one database behind the proxy of deploy/proxy.conf, all on loopback, in a
# folder that is thrown away. A person signs in through it, edits and listens, and one of the servers is stopped while pages
# are asked for. Needs the package nginx-light, and ./embrack start once, which builds; ends by itself within 5 minutes.
set -euo pipefail
home="$(cd "$(dirname "$0")/.." && pwd)"
java="$(ls -d /usr/lib/jvm/*/bin/java | while read -r j; do "$j" -version 2>&1 | grep -qE '"(2[1-9]|[3-9][0-9])' && echo "$j"; done | tail -1)"
nginx="$(PATH="$PATH:/usr/sbin" command -v nginx)" || { echo "Install nginx-light first."; exit 1; }
EMBRACK_DATA="$(mktemp -d)"; export EMBRACK_DATA EMBRACK_PORT=8480
chmod 755 "$EMBRACK_DATA"; cd "$EMBRACK_DATA"
here=$EMBRACK_DATA; mkdir proxy tls
began=()
done_with_it() {
  for process in ${began[@]+"${began[@]}"}; do kill "$process" 2>/dev/null || true; done
  wait || true
  "$home/embrack" stop >/dev/null || true
  rm -rf "$EMBRACK_DATA"
}
trap done_with_it EXIT
well() { echo "well: $1"; }
wrong() { echo "WRONG: $1"; tail -q -n 5 "$here"/*.log | cut -c1-300; exit 1; }
# until WORDS COMMAND...: waits a minute at most.
until_so() { local words=$1 i; shift; for i in $(seq 300); do if "$@"; then well "$words"; return; fi; sleep 0.2; done; wrong "not $words"; }

"$home/embrack" start >/dev/null
EMBRACK_DB_PASSWORD=$(cat database.password)
EMBRACK_DB="jdbc:postgresql://127.0.0.1:$(sed -n 4p cluster/postmaster.pid | tr -d ' ')/embrack"
export EMBRACK_DB EMBRACK_DB_PASSWORD EMBRACK_DEMO=false
printf 'quay-lantern-harp-9\n' | EMBRACK_PORT=8481 EMBRACK_FIRST_ACCOUNT=Mira \
  "$java" -jar "$home/app/target/run/embrack.jar" >first.log || wrong "no first account"
export EMBRACK_PROXY=https://rigs.example EMBRACK_HOSTS=127.0.0.2,127.0.0.3 EMBRACK_PORT=8340
for at in 127.0.0.2 127.0.0.3; do
  EMBRACK_ADDRESS=$at "$java" -Xmx512m -XX:+UseSerialGC -jar "$home/app/target/run/embrack.jar" >"$at.log" 2>&1 &
  began+=($!)
done
for at in 127.0.0.2 127.0.0.3; do
  until_so "a server is ready at $at" curl -fsS -o /dev/null "http://$at:8340/actuator/health/readiness" 2>/dev/null
done

openssl req -x509 -newkey rsa:2048 -nodes -days 2 -subj /CN=rigs.example -addext subjectAltName=DNS:rigs.example \
  -keyout tls/key.pem -out tls/cert.pem 2>/dev/null
sed -e 's/rigs-a:/127.0.0.2:/; s/rigs-b:/127.0.0.3:/; s/listen 443/listen 127.0.0.1:8443/' -e "s,/etc/tls,$here/tls," \
  -e "s,^http {,&\n  log_format to '\$uri \$upstream_addr \$status'; access_log $here/access.txt to;," "$home/deploy/proxy.conf" >proxy/proxy.conf
"$nginx" -e "$here/proxy/errors" -p "$here/proxy" -c proxy.conf -g "daemon off; pid $here/proxy/pid;" >proxy.log 2>&1 &
began+=($!)
ask() { curl -s --cacert tls/cert.pem --connect-to rigs.example:443:127.0.0.1:8443 -b cookies -c cookies -H "Accept: text/html" "$@"; }
status() { ask -o body -D heads -w '%{http_code}' "$@"; }
is() { [ "$(status "${@:2}")" = "$1" ]; }
token() { grep -o 'name="_csrf" value="[^"]*"' body | head -1 | sed 's/.*value="//; s/"$//'; }

until_so "the proxy answers" is 200 -L https://rigs.example/
grep -qi '^strict-transport-security:' heads || wrong "no Strict-Transport-Security"
grep -q 'action="/sign-in"' body || wrong "the first page is not the one to sign in at"
is 404 https://rigs.example/actuator/prometheus || wrong "what the server counts is seen from outside"
is 404 https://rigs.example/actuator/health || wrong "its health is seen from outside"
well "nothing is seen before somebody signs in"
ask -o body -L https://rigs.example/sign-in; form=(-d "name=Mira" -d "password=quay-lantern-harp-9" --data-urlencode "_csrf=$(token)")
is 403 -H "Origin: https://elsewhere.example" "${form[@]}" https://rigs.example/sign-in || wrong "a form of another site is taken"
is 302 -H "Origin: https://rigs.example" "${form[@]}" https://rigs.example/sign-in || wrong "Mira cannot sign in: $(cat heads)"
grep -i '^set-cookie:' heads | grep -qi 'secure' || wrong "the session is not kept to TLS"
is 200 https://rigs.example/rigs/1/gear/vocal-mixer || wrong "no page of the rig"
well "somebody signs in and sees a rig"

ask -N --max-time 60 -H "Accept: text/event-stream" https://rigs.example/rigs/1/changes >told 2>/dev/null & began+=($!)
heard() { grep -q "$1" told; }
until_so "a page listens through the proxy" heard '^data:'
before=$(grep -c '^data:' told)
rename() { is "${2:-302}" -H "Origin: https://rigs.example" -d "name=$1" --data-urlencode "_csrf=$(token)" https://rigs.example/rigs/1/gear/vocal-mixer/name; }
rename "Mixer beyond" || wrong "an edit was answered so: $(cat heads)"
told_more() { [ "$(grep -c '^data:' told)" -gt "$before" ]; }
until_so "it hears of an edit" told_more

for room in gear wiring switches songs preflight sheets; do is 200 -L "https://rigs.example/rigs/1/$room" || wrong "no $room"; done
at=$(grep '^/rigs/1/' access.txt | cut -d' ' -f2 | sort -u)
[ "$(wc -l <<<"$at")" = 1 ] || wrong "a rig is worked on at two servers: $at"
well "a rig is worked on at one server, $at"
n=0; [ "$at" = 127.0.0.2:8340 ] || n=1
kill -TERM "${began[$n]}"
ended() { ! kill -0 "${began[$n]}" 2>/dev/null; }
asked=0
while ! ended; do
  is 200 https://rigs.example/rigs/1/songs || wrong "a page was answered with $(head -1 heads) while a server stops"
  asked=$((asked + 1)); [ "$asked" -lt 1000 ] || wrong "it does not stop"
done
for i in $(seq 20); do is 200 https://rigs.example/rigs/1/songs || wrong "a page was answered with $(head -1 heads) after it"; done
is 200 https://rigs.example/rigs/1/gear/vocal-mixer && grep -q "Mixer beyond" body || wrong "the edit is gone"
rename "Mixer again" || wrong "no edit at the other server: $(cat heads)"
well "the other server goes on: $((asked + 20)) pages while one was stopped and after it, none refused"
