# The parts of bin/test and what each needs. To be sourced by bin/test after machine.sh.
# shellcheck shell=bash

# What needs nothing of the others: tests of PHP, which are dealt to two processes, and what mostly works with one. Hostile waits for
# feature and answers, so that these come before core, the longest; but not at once, when the drill's machines begin.
DEALT=(reference feature answers core)
READ=(style types web)
ALL=("${DEALT[@]}" "${READ[@]}" drill browser hostile)
# Processes that a part's tests are dealt to; each has a database, and for the browser an application, of its own.
PROCESSES=2

wants() { local p; for p in "$@"; do [[ " ${parts[*]} " == *" $p "* ]] && return 0; done; return 1; }

# touched_in PART: the test files of a part that bin/test --changed has found.
touched_in() { printf '%s\n' "${touched[@]}" | grep -i "^tests/$1/" ; }

# test_database INSTANCE: its settings, and a database of its own with empty tables.
test_database() {
  step "creating the database of $1" "$VAR/log/database.log" ensure_database "jolly_$1"
  write_settings "$1" "jolly_$1" "$2"
  step "preparing the tables of $1" "$VAR/log/migrate-$1.log" artisan_in "$ROOT" "$1" migrate:fresh --force
}

# serve_for_tests INSTANCE PORT: an application for the browser's tests on this port or the next that is free; sets PORT.
serve_for_tests() {
  PORT=$(free_port "$2")
  test_database "$1" "$PORT"
  stop_services "$1"
  # All instances serve the same code.
  local release; release=$(make_release test)
  step "gathering the settings" "$VAR/log/prepare-$1.log" prepare_release "$1" "$release"
  use_release "$1" "$release"
  web_services "$1" "$PORT"
  start_services "$1"
  step "waiting for the page" "$VAR/log/page-$1.log" wait_for_page "$PORT"
}

prepare_parts() {
  local more=()
  if wants browser; then more+=(chromium chromium-driver); fi
  # The ledger's workbook is recomputed by another program, labels are measured on the PDF and their codes read back.
  if wants feature; then more+=(libreoffice-calc-nogui zbar-tools); fi
  if wants feature answers; then more+=(poppler-utils); fi
  debian_packages "${more[@]}"
  if wants browser; then light_browser; fi
  php_requirements
  if wants style reference feature answers web browser drill hostile; then npm_requirements; fi
  if wants feature answers browser hostile; then start_postgres; fi
  # Pages name the files of the built front end.
  if wants feature answers browser drill hostile; then front_end; fi
  if wants feature answers; then test_database feature 8117; test_database feature2 8117; fi
  if wants browser hostile; then
    serve_for_tests test 8117; export JOLLY_URL=http://127.0.0.1:$PORT
    if wants browser; then serve_for_tests test2 8217; export JOLLY_URL2=http://127.0.0.1:$PORT; fi
  fi
  # Who deals tests to several processes starts the application, also where none of them needs it. Settings it found would stand before
  # those of each process, so its instance has none.
  export JOLLY_INSTANCE=dealing
  mkdir -p "$VAR/dealing/cache/$(basename "$ROOT")"
}

# touched_suite PART: settings in which a part is only what changes touch; who deals tests to processes takes no list of files.
touched_suite() {
  local suite; suite=$(touched_in "$1" | sed 's#.*#<file>&</file>#' | tr -d '\n')
  sed -E -e "s#<directory>tests/$1</directory>#$suite#I" -e "s#(bootstrap=\"|cacheDirectory=\"|<directory>|<file>)#&$ROOT/#g" phpunit.xml
}

# pest PART [processes…]: a part's tests, or those of them that changes touch, in this run's order.
pest() {
  local part=$1 options=(--colors=never --order-by=random --random-order-seed="$SEED"); shift
  if [ "$changed" = yes ]; then touched_suite "$part" >"$VAR/touched-$part.xml"; options+=(--configuration="$VAR/touched-$part.xml"); fi
  php -d memory_limit=1G vendor/bin/pest --testsuite "$part" "${options[@]}" ${FILTER:+--filter="$FILTER"} "$@"
}
dealt=(--parallel --processes="$PROCESSES")
# The processes have databases already; Laravel's own way of making some needs a right that the application's role has not.
export LARAVEL_PARALLEL_TESTING_WITHOUT_DATABASES=1

stan() { vendor/bin/phpstan analyse -c "phpstan.$1.neon" --no-progress --memory-limit=1G; }
all_stan() { stan core && stan app && stan tools; }
web_checks() {
  npm run --silent types || return 1
  if [ "$changed" = yes ]; then npx vitest run --root . --changed "${ref:-HEAD}"; else npm run --silent test -- --sequence.shuffle --sequence.seed="$SEED"; fi
}
# What parts before wrote as root has to be the web server's now.
for_the_web() {
  local one
  for one in test test2; do
    if is_root && [ -d "$(storage_of "$one")" ]; then chown -R "$(web_user)": "$(storage_of "$one")"; fi
  done
}

# A page may be slow where the machine is busy with somebody else's work: what failed is tried once more by itself, and named in the
# summary. Each is worth asking why, because slowness has shown faults of ours; more than a few are no accident.
in_the_browser() {
  local report=$VAR/log/browser.xml failed
  rm -f "$report"
  pest browser "${dealt[@]}" --log-junit "$report" && return 0
  failed=$(php bin/lib/failed-tests.php "$report") || return 1
  printf '\nOnce more, by themselves: %s\n' "${failed#* }"
  printf 'a second time: %s\n' "${failed#* }" >>"$summary"
  rm -f "$report"
  FILTER=${failed#* } pest browser --log-junit "$report" || return 1
  # A filter that finds nothing is no success.
  [ "$(grep -o '<testcase ' "$report" | wc -l)" -ge "${failed%% *}" ]
}

# answers: the stories of the answer book, every second one in a process of its own.
answers() {
  local half processes=() verdict=0
  for half in $(seq "$PROCESSES"); do
    JOLLY_HALF=$half TEST_TOKEN=$half php -d memory_limit=1G vendor/bin/pest tests/Answers --colors=never --order-by=random \
      --random-order-seed="$SEED" &
    processes+=($!)
  done
  for half in "${processes[@]}"; do wait "$half" || verdict=1; done
  return "$verdict"
}

run_part() {
  local part=$1 began=$SECONDS verdict=FAILED
  printf '\n== %s\n' "$part"
  case $part in
    style) bin/packages; vendor/bin/pint --test && npm run --silent format && npm run --silent lint ;;
    types) all_stan ;;
    web) web_checks ;;
    answers) answers ;;
    core | reference | feature) pest "$part" "${dealt[@]}" ;;
    browser) for_the_web; in_the_browser ;;
    drill) pest drill ;;
    hostile) for_the_web; pest hostile ;;
  esac && verdict=passed
  printf '%-10s %-7s %4d s\n' "$part" "$verdict" $((SECONDS - began)) >>"$summary"
}
run_parts() { local part; for part in "$@"; do if wants "$part"; then run_part "$part"; fi; done; }
