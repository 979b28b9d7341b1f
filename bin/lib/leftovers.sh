# Ends what a killed process has left behind. To be sourced by services.sh and by each service.
# shellcheck shell=bash

ends() { case $(cat "/proc/$1/comm" 2>/dev/null) in nginx | php-fpm* | php | php8.2 | postgres) kill -KILL "$1" 2>/dev/null ;; esac; }

# end_leftovers FILE [NAMED]: the group of processes whose number is in the file, as far as they still are what they were, and
# those named so.
end_leftovers() {
  local pid
  if [ -s "$1" ]; then for pid in $(pgrep -g "$(cat "$1")"); do [ "$pid" = $$ ] || ends "$pid"; done; fi
  [ -z "${2:-}" ] || end_named "$2"
}

end_named() { local pid; for pid in $(pgrep -f "^$1"); do ends "$pid"; done; }
