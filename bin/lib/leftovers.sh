# Ends what a killed process has left behind. To be sourced by services.sh and by each service.
# shellcheck shell=bash

ends() { case $(cat "/proc/$1/comm" 2>/dev/null) in nginx | php-fpm* | php | php8.2 | postgres) kill -KILL "$1" 2>/dev/null ;; esac; }

# Since the machine's start, in clock ticks: proc(5), field 22, counted behind the name, which may hold blanks.
started_at() { sed 's/.*) //' "/proc/$1/stat" 2>/dev/null | cut -d' ' -f20; }
boot() { cat /proc/sys/kernel/random/boot_id; }

# remember_group FILE: notes this process's group, with when its leader started and in which boot of the machine.
remember_group() {
  local group; group=$(ps -o pgid= -p $$ | tr -d ' ')
  echo "$group $(started_at "$group") $(boot)" >"$1"
}

# is_remembered FILE: whether the group in the file is still the one that was noted. Numbers are used again: after a reboot, or once
# the leader is gone and another process has its number, the group is somebody else's.
is_remembered() {
  local group start boot
  read -r group start boot <"$1" 2>/dev/null && [ -n "$boot" ] && [ "$boot" = "$(boot)" ] || return 1
  [ ! -e "/proc/$group" ] || [ "$(started_at "$group")" = "$start" ]
}

# end_leftovers FILE [NAMED]: the group of processes that is noted in the file, and those named so.
end_leftovers() {
  local pid
  if [ -s "$1" ] && is_remembered "$1"; then for pid in $(pgrep -g "$(cut -d' ' -f1 "$1")"); do [ "$pid" = $$ ] || ends "$pid"; done; fi
  [ -z "${2:-}" ] || end_named "$2"
}

end_named() { local pid; for pid in $(pgrep -f "^$1"); do ends "$pid"; done; }
