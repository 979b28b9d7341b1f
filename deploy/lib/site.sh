# A site of three machines in network namespaces, for the drill. To be sourced.
# shellcheck shell=bash

HERE=$JOLLY_DRILL/here
declare -A ADDRESS_OF=([one]=10.77.0.11 [two]=10.77.0.12 [three]=10.77.0.13)
declare -A INIT_OF=()
export PATH=$PATH:/usr/sbin:/sbin
now() { date +%s.%3N; }
say() { printf '%4d s  %s\n' "$SECONDS" "$*"; }
fail() {
  echo "The drill stops here. The ends of the logs:" >&2
  for log in "$JOLLY_DRILL"/*/log/*.log; do echo "== ${log#"$JOLLY_DRILL"/}"; tail -n "${LOG_LINES:-8}" "$log"; done >&2
  exit 1
}

# wait_until SECONDS WHAT COMMAND…
wait_until() {
  local until=$((SECONDS + $1)) what=$2; shift 2
  until "$@" >/dev/null 2>&1; do
    if [ "$SECONDS" -ge "$until" ]; then echo "Waited in vain for $what." >&2; return 1; fi
    sleep 0.3
  done
}

make_network() {
  mkdir -p /run/netns && mount -t tmpfs none /run/netns
  ip link set lo up
  ip link add bridge0 type bridge
  ip addr add 10.77.0.1/24 dev bridge0
  ip link set bridge0 up
  local machine
  for machine in one two three; do
    ip netns add "$machine"
    ip link add "to-$machine" type veth peer name eth0 netns "$machine"
    ip link set "to-$machine" master bridge0 up
    ip -n "$machine" addr add "${ADDRESS_OF[$machine]}/24" dev eth0
    ip -n "$machine" link set eth0 up
    ip -n "$machine" link set lo up
    mkdir -p "$JOLLY_DRILL/$machine"/{etc,data,run,log,web} "$HERE"
    # Its folders have the same names on every machine, and no machine sees another's processes.
    # shellcheck disable=SC2016
    ip netns exec "$machine" unshare --mount --pid --fork --mount-proc \
      bash -c 'mount --bind "$0" "$1" && touch "$0/run/up"; while true; do sleep 5; done' "$JOLLY_DRILL/$machine" "$HERE" &
    disown
    wait_until 5 "machine $machine" test -f "$JOLLY_DRILL/$machine/run/up" || fail
    INIT_OF[$machine]=$(pgrep -P $!)
  done
  chmod 755 "$JOLLY_DRILL"
}

secret() { head -c 18 /dev/urandom | base64 | tr -d '/+='; }
make_settings() {
  cp "$here/site.env.example" "$JOLLY_DRILL/site.env"
  local setting
  for setting in ONE="${ADDRESS_OF[one]}" TWO="${ADDRESS_OF[two]}" THREE="${ADDRESS_OF[three]}" NETWORK=10.77.0.0/24 \
    ADDRESS="http://${ADDRESS_OF[three]}" 'FRONT_BIND=*:80' POSTGRES_PASSWORD="$(secret)" REPLICATION_PASSWORD="$(secret)" \
    DATABASE_PASSWORD="$(secret)" ${redis:+STATE=redis LIMITS=redis} APP_KEY="base64:$(head -c 32 /dev/urandom | base64)"; do
    set_in "$JOLLY_DRILL/site.env" "${setting%%=*}" "${setting#*=}"
  done
  for setting in ETC=etc DATA=data RUN=run LOG=log; do sed -i "s|^${setting%%=*}=.*|${setting%%=*}=$HERE/${setting#*=}|" "$JOLLY_DRILL/site.env"; done
}

render_all() { local machine; for machine in one two three; do on "$machine" "$here/render" "$JOLLY_DRILL/site.env" "$machine" || fail; done; }

make_certificates() {
  "$here/certificates" "$JOLLY_DRILL/site.env" "$JOLLY_DRILL/tls" || fail
  local machine
  for machine in one two three; do
    mkdir -p "$JOLLY_DRILL/$machine/etc/tls"
    cp "$JOLLY_DRILL/tls"/{ca.crt,"$machine".crt,"$machine".key} "$JOLLY_DRILL/$machine/etc/tls/"
    chown -R postgres: "$JOLLY_DRILL/$machine/etc/tls"
  done
}

# on MACHINE COMMAND…: there.
on() {
  local machine=$1; shift
  nsenter -t "${INIT_OF[$machine]}" --net --mount --pid -- env JOLLY_ETC="$HERE/etc" JOLLY_HOME="$HERE/web" "$@"
}

# begin MACHINE PART: as systemd would: again a second after it ends, until the machine is killed.
begin() {
  local machine=$1 part=$2
  (
    while true; do
      on "$machine" "$here/part" "$part" >>"$JOLLY_DRILL/$machine/log/$part.log" 2>&1
      sleep 1
    done
  ) &
  # Its end is no news.
  disown
  echo $! >"$JOLLY_DRILL/$machine/run/$part.keeper"
}

keeper() { cat "$JOLLY_DRILL/$1/run/$2.keeper" 2>/dev/null; }
running() { kill -0 "$(keeper "$1" "$2")" 2>/dev/null; }

# children PID: it and all below.
tree() { local child; echo "$1"; for child in $(pgrep -P "$1"); do tree "$child"; done; }
# named MACHINE PATTERN: processes there whose command line says so.
named() { local pid; for pid in $(ip netns pids "$1"); do grep -qaE "$2" "/proc/$pid/cmdline" 2>/dev/null && echo "$pid"; done; }

# kill_part MACHINE PART: with its keeper, as where the machine has lost its power.
kill_part() {
  local pid; pid=$(keeper "$1" "$2")
  kill -STOP "$pid" 2>/dev/null
  # shellcheck disable=SC2046
  kill -KILL $(tree "$pid") 2>/dev/null
}
kill_web() { kill_part "$1" web; kill_all "$1" 'runsv|svlogd|nginx|php|deploy/web|deploy/part web'; }
kill_database() { kill_part "$1" patroni; kill_all "$1" 'patroni|postgres'; }
kill_all() { local pids; pids=$(named "$1" "$2"); [ -z "$pids" ] || kill -KILL $pids 2>/dev/null; }
kill_9() { kill -KILL "$(named "$1" "$2" | tail -n 1)" 2>/dev/null; }
kill_worker() { kill -KILL "$(named "$1" 'queue:work --queue=work' | tail -n 1)" 2>/dev/null; }
stop_web() { local pid; pid=$(keeper "$1" web); kill -STOP "$pid"; kill -TERM "$(named "$1" 'deploy/web.run' | head -n 1)"; sleep 6; kill_web "$1"; }
cut_off() { ip link set "to-$1" down; }
join_again() { ip link set "to-$1" up; }
other() { [ "$1" = one ] && echo two || echo one; }

role() { curl -sf --max-time 2 -o /dev/null "http://${ADDRESS_OF[$1]}:8008/$2"; }
is_primary() { role "$1" primary; }
is_synchronous() { role "$1" synchronous; }
primary_is() { is_primary one && echo one || echo two; }
taken_over() { is_primary "$(other "$1")"; }
answers() { curl -sf --max-time 3 -o /dev/null "http://${ADDRESS_OF[three]}/up"; }
host_answers() { curl -sf --max-time 3 -o /dev/null -H "Host: ${ADDRESS_OF[three]}" "http://${ADDRESS_OF[$1]}:8080/up"; }
both_hosts() { host_answers one && host_answers two; }
whole() { both_hosts && answers && { { is_primary one && is_synchronous two; } || { is_primary two && is_synchronous one; }; }; }
etcd_leader() {
  local m
  for m in one two three; do curl -s --max-time 2 -X POST "http://${ADDRESS_OF[$m]}:2379/v3/maintenance/status" -d '{}' | perl -ne '
    my ($own) = /"member_id":"(\d+)"/; my ($leads) = /"leader":"(\d+)"/; exit($own && $own eq $leads ? 0 : 1)' && { echo "$m"; return; }; done
}

setting_of() { sed -n "s/^$1=//p" "$JOLLY_DRILL/site.env"; }
in_database() { PGPASSWORD=$(setting_of POSTGRES_PASSWORD) on one psql -h 127.0.0.1 -p 5000 -U postgres -qAt -v ON_ERROR_STOP=1 "$@"; }
# A router that has just begun takes every server for one that is up until it has looked twice: one answer may be luck.
leads_to_the_primary() {
  local look
  for look in 1 2 3 4 5 6; do
    [ "$(in_database -d postgres -c 'SELECT NOT pg_is_in_recovery()')" = t ] || return 1
    sleep 0.3
  done
}
make_database() {
  wait_until 30 "the way to the primary" leads_to_the_primary || return 1
  # The password goes by standard input, not as an argument that every user of the machine can read.
  { printf "\\\\set pw '%s'\\n" "$(setting_of DATABASE_PASSWORD)"; cat "$here/lib/database.sql"; } | in_database -d postgres
}
make_backup() {
  local log=$JOLLY_DRILL/three/log/backup.log backrest=(chpst -u postgres pgbackrest --config="$HERE/etc/pgbackrest-repository.conf" --stanza=jolly)
  { on three "${backrest[@]}" stanza-create && on three "${backrest[@]}" backup --type=full && on three "${backrest[@]}" check; } >>"$log" 2>&1
}

# upgrade: code that is new in nothing but its name, one host after the other.
upgrade() {
  local machine
  export JOLLY_RELEASE_NAME=upgraded
  on one "$here/web" upgrade --migrate >>"$JOLLY_DRILL/one/log/upgrade.log" 2>&1 || echo "The upgrade of one failed." >&2
  wait_until 20 "the first host" both_hosts
  sleep 2
  on two "$here/web" upgrade >>"$JOLLY_DRILL/two/log/upgrade.log" 2>&1 || echo "The upgrade of two failed." >&2
}

gardeners_begin() {
  : >"$JOLLY_DRILL/events"
  node "$here/lib/gardeners.mjs" "http://${ADDRESS_OF[three]}" "$1" "$JOLLY_DRILL" >"$JOLLY_DRILL/gardeners.log" 2>&1 &
  GARDENERS=$!
  wait_until 60 "the gardeners" test -f "$JOLLY_DRILL/arrived" || { cat "$JOLLY_DRILL/gardeners.log" >&2; fail; }
}
throughput() { event "$1: throughput" sleep "$2"; event "$1: throughput ends" true; }
gardeners_end() {
  touch "$JOLLY_DRILL/enough"
  wait "$GARDENERS"
  local code=$?
  cat "$JOLLY_DRILL/gardeners.log"
  return "$code"
}
