# Processes under Debian's runit, which starts each again within a second or two. To be sourced by machine.sh.
# shellcheck shell=bash

# Reckoning is arithmetic: compiled it takes two thirds of the time.
JIT='-d opcache.jit=tracing -d opcache.jit_buffer_size=64M'

services_of() { echo "$VAR/$1/service"; }

# shellcheck source=bin/lib/leftovers.sh
. "$ROOT/bin/lib/leftovers.sh"

# Where it is noted which processes a service has: in a folder that a reboot clears.
left_file() {
  local dir=/run; is_root || dir=${XDG_RUNTIME_DIR:-/tmp}
  dir=$dir/jolly-penny-$(id -u)-$(echo "$VAR" | sha256sum | cut -c1-8)
  mkdir -p "$dir"
  echo "$dir/$1-$2"
}

# service GROUP NAME COMMANDS [STOP-SIGNAL]: one supervised process. What a killed one has left behind is ended first:
# its group of processes, if they still are what they were.
service() {
  local dir; dir=$(services_of "$1")/$2
  mkdir -p "$dir/log" "$VAR/$1/log/$2"
  cat >"$dir/run" <<RUN
#!/usr/bin/env bash
exec 2>&1
cd "$dir"
. "$ROOT/bin/lib/leftovers.sh"
end_leftovers "$(left_file "$1" "$2")"
remember_group "$(left_file "$1" "$2")"
$3
RUN
  printf '#!/bin/sh\nexec svlogd -tt %s\n' "'$VAR/$1/log/$2'" >"$dir/log/run"
  printf 's1000000\nn10\n' >"$VAR/$1/log/$2/config"
  if [ -n "${4:-}" ]; then mkdir -p "$dir/control"; printf '#!/bin/sh\nkill -%s "$(cat supervise/pid)"\n' "$4" >"$dir/control/t"; chmod 700 "$dir/control/t"; fi
  chmod 700 "$dir/run" "$dir/log/run"
}

supervisor_pid() {
  local pid; pid=$(cat "$VAR/$1/supervisor.pid" 2>/dev/null) || return 1
  [ "$(cat "/proc/$pid/comm" 2>/dev/null)" = runsvdir ] && grep -qzF "$(services_of "$1")" "/proc/$pid/cmdline" && echo "$pid"
}

start_services() {
  (umask 077; mkdir -p "$VAR/$1")
  if ! supervisor_pid "$1" >/dev/null; then
    # In a session of its own, each service in a group of its own, so that what one leaves behind can be told.
    setsid runsvdir -P "$(services_of "$1")" >/dev/null 2>&1 </dev/null 9>&- &
    echo $! >"$VAR/$1/supervisor.pid"
    disown
  fi
}

service_running() { sv status "$(services_of "$1")/$2" 2>/dev/null | grep -q '^run:'; }

# stop_services GROUP [NAME…]: all of a group with its supervisor, or some.
stop_services() {
  local group=$1 dir pid name; shift
  dir=$(services_of "$group")
  [ -d "$dir" ] || return 0
  if [ $# -gt 0 ]; then for name in "$@"; do [ -d "$dir/$name" ] && sv -w 20 force-stop "$dir/$name" >/dev/null 2>&1; done; return 0; fi
  for name in "$dir"/*/; do sv -w 20 force-stop "$name" >/dev/null 2>&1; done
  # What has lost its supervisor is ended all the same.
  for name in "$dir"/*/; do end_leftovers "$(left_file "$group" "$(basename "$name")")" "$(cat "$name/named" 2>/dev/null)"; done
  if pid=$(supervisor_pid "$group"); then
    kill -HUP "$pid" 2>/dev/null
    for _ in $(seq 50); do kill -0 "$pid" 2>/dev/null || break; sleep 0.1; done
  fi
  for name in "$dir"/*/; do sv -w 5 exit "$name" >/dev/null 2>&1; done
  rm -rf "$VAR/$group/supervisor.pid" "$dir"
  return 0
}

# make_release INSTANCE: the code as it is now, in a folder of its own that the web's user can read; prints it.
make_release() {
  local home print release
  home=$(home_of releases www-data)
  # A name makes another release of the same code: the drill upgrades to one.
  print=$(cd "$ROOT" && { echo "${JOLLY_RELEASE_NAME:-}"; git rev-parse HEAD 2>/dev/null
    find bin/lib app bootstrap catalogue compat config core database public routes web/views artisan \
    composer.json docs/openapi.json vendor/composer/installed.json -type f -newermt 1970-01-02 -printf '%p %s %T@\n' | sort; } | sha256sum | cut -c1-16)
  release=$home/$1-$print
  if [ ! -f "$release/complete" ]; then
    rm -rf "$release"; mkdir -p "$release/web" "$release/docs"
    (cd "$ROOT" && tar cf - app bootstrap catalogue compat config core database public routes artisan composer.json vendor web/views docs/openapi.json) | tar xf - -C "$release"
    rm -rf "$release/bootstrap/cache"
    without_development "$release" || return 1
    chmod -R a+rX,go-w "$release" && chmod a+rx "$home"
    touch "$release/complete"
  fi
  echo "$release"
}

# What only development needs is not served.
without_development() {
  php -r '$all = json_decode(file_get_contents($argv[1]), true); foreach ($all["dev-package-names"] ?? [] as $name) { echo $name, "\n"; }' "$1/vendor/composer/installed.json" |
    while read -r package; do [ -n "$package" ] && rm -rf "${1:?}/vendor/$package"; done
  # Laravel looks there for what is to be started with it.
  php -r '$all = json_decode(file_get_contents($argv[1]), true);
    $all["packages"] = array_values(array_filter($all["packages"], fn ($package) => ! in_array($package["name"], $all["dev-package-names"], true)));
    $all["dev-package-names"] = [];
    file_put_contents($argv[1], json_encode($all, JSON_UNESCAPED_SLASHES));' "$1/vendor/composer/installed.json" || return 1
  composer dump-autoload --working-dir="$1" --no-dev --optimize --no-scripts --quiet 2>/dev/null
}

# use_release INSTANCE RELEASE: from now on this is served; the one before is kept, older ones go.
use_release() {
  local home; home=$(home_of releases www-data)
  ln -sfn "$2" "$home/$1.next" && mv -Tf "$home/$1.next" "$home/$1"
  find "$home" -maxdepth 1 -type d -name "$1-*" -printf '%T@ %p\n' | sort -rn | tail -n +3 | cut -d' ' -f2- | while read -r old; do
    [ "$old" = "$2" ] || rm -rf "$old"
  done
}

# prepare_release INSTANCE RELEASE: settings and routes in one file each, which the web's user can read and not write.
prepare_release() {
  local instance=$1 release=$2 cache=$VAR/$1/cache/$(basename "$2")
  mkdir -p "$cache"
  rm -f "$cache"/*.php
  local run=(env JOLLY_INSTANCE="$instance" JOLLY_VAR="$VAR" APP_CONFIG_CACHE="$cache/config.php" APP_ROUTES_CACHE="$cache/routes.php"
    APP_PACKAGES_CACHE="$cache/packages.php" APP_SERVICES_CACHE="$cache/services.php" php "$release/artisan")
  (cd / && umask 027 && "${run[@]}" package:discover --quiet && "${run[@]}" config:cache && "${run[@]}" route:cache) || return 1
  if is_root; then chgrp -R "$(web_group)" "$cache" && chmod 750 "$cache" && chmod 640 "$cache"/*.php && chown -R "$(web_user)": "$(storage_of "$instance")"; fi
}

# locations DIR: what each of nginx's servers answers with.
locations() {
  cat <<CONF
    error_page 502 504 = @away;
    location @away { internal; default_type application/problem+json; add_header Retry-After 5 always;
      return 503 '{"type":"about:blank","title":"Away","status":503,"detail":"The server is coming back. What you typed is still here: try again then."}'; }
    error_page 413 = @large;
    location @large { internal; default_type application/problem+json;
      return 413 '{"type":"about:blank","title":"Too large","status":413,"detail":"This is larger than 6 MB. Take a smaller file."}'; }
    # While it is drained the front sends nobody here.
    location = /up { if (-f $1/drain) { return 404; } rewrite ^ /index.php last; }
    # Browsers and phones ask for these by themselves, without cookies: an answer by the application would begin a session beside one's own.
    location ~ ^/(favicon\.ico|robots\.txt|apple-touch-icon[a-z0-9-]*\.png)\$ { try_files \$uri =204; }
    location /build/ { expires 1y; add_header Cache-Control "public, immutable"; }
    location = /sw.js { add_header Cache-Control no-cache; }
    location = /build/manifest.webmanifest { types {} default_type application/manifest+json; add_header Cache-Control no-cache; }
    location / { try_files \$uri /index.php?\$query_string; }
    location = /index.php {
      include /etc/nginx/fastcgi_params;
      # Debian's own leaves out the port since 1.22.1-9+deb12u11, and then links in letters and feeds lead nowhere. The name stays nginx's.
      fastcgi_param HTTP_HOST \$host\$asked_port;
      fastcgi_param SCRIPT_FILENAME \$realpath_root/index.php;
      fastcgi_param DOCUMENT_ROOT \$realpath_root;
      fastcgi_read_timeout 40s;
      fastcgi_pass unix:$1/run/\$pool.sock;
    }
CONF
}

# web_services INSTANCE PORT: nginx before php-fpm, and what works beside.
web_services() {
  local instance=$1 port=$2 dir=$VAR/$1 user group code storage named hash log name
  user=$(web_user) group=$(web_group) storage=$(storage_of "$1")
  code=$(home_of releases www-data)/$instance
  hash=$(echo "$ROOT" | sha256sum | cut -c1-8)
  named="php-fpm: pool (edits|reckoning|uploads)-$instance-$hash"
  mkdir -p "$dir/run" "$dir/tmp"
  # Connections left open to nginx's user only; nothing but sockets lies here.
  if is_root; then chown root:"$group" "$dir/run" "$dir/tmp"; chmod 750 "$dir/run"; chmod 770 "$dir/tmp"; fi
  for name in php-fpm nginx; do if [ -f "$dir/$name.conf" ]; then cp "$dir/$name.conf" "$dir/$name.conf.before"; fi; done
  pool() {
    cat <<CONF
[$1-$instance-$hash]
$(is_root && printf 'user = %s\ngroup = %s\nlisten.owner = %s\nlisten.group = %s' "$user" "$group" "$user" "$group")
listen = $dir/run/$1.sock
pm = static
pm.max_children = $2
pm.max_requests = 2000
$(is_root && echo "process.priority = $4")
request_terminate_timeout = $3s
env[JOLLY_INSTANCE] = $instance
env[JOLLY_VAR] = $VAR
php_admin_value[memory_limit] = 160M
php_admin_value[max_execution_time] = $3
php_admin_value[display_errors] = 0
php_admin_value[expose_php] = 0
php_admin_value[opcache.enable] = 1
php_admin_value[opcache.validate_timestamps] = 0
php_admin_value[opcache.max_accelerated_files] = 20000
CONF
  }
  {
    printf '[global]\nerror_log = /dev/stderr\ndaemonize = no\nprocess_control_timeout = 20s\n'
    # What reckons a whole season has few processes of its own, so that it never takes those that answer edits.
    pool edits 6 20 0
    pool reckoning 2 30 15
    # Pictures and workbooks take the most memory for their size: no more than two at a time.
    pool uploads 2 30 15
  } >"$dir/php-fpm.conf"
  log="error_log stderr warn;"
  cat >"$dir/nginx.conf" <<CONF
$(is_root && echo "user $user $group;")
daemon off;
worker_processes 2;
pid $dir/run/nginx.pid;
$log
# A request that is sent by halves holds a connection until its time is over: room for many, and little time.
worker_rlimit_nofile 10240;
events { worker_connections 4096; }
http {
  include /etc/nginx/mime.types;
  access_log off;
  server_tokens off;
  client_max_body_size 6m;
  client_header_timeout 8s;
  client_body_timeout 15s;
  send_timeout 20s;
  keepalive_timeout 30s;
  reset_timedout_connection on;
  # More at once than the pages of a household open from their one address; a site's front counts for all it lets through.
  limit_conn_zone \$binary_remote_addr zone=address:2m;
  limit_conn address ${CONNECTIONS:-200};
  limit_conn_status 503;
  client_body_temp_path $dir/tmp/body;
  proxy_temp_path $dir/tmp/proxy;
  fastcgi_temp_path $dir/tmp/fastcgi;
  uwsgi_temp_path $dir/tmp/uwsgi;
  scgi_temp_path $dir/tmp/scgi;
  gzip on;
  gzip_static on;
  gzip_comp_level 4;
  gzip_types text/css application/javascript application/json application/problem+json image/svg+xml;
  fastcgi_buffers 16 64k;
  fastcgi_buffer_size 64k;
  map \$http_host \$asked_port { default ''; "~(:[0-9]+)\$" \$1; }
  map "\$request_method \$request_uri" \$pool { default edits; "~^(PUT /api/seasons/[0-9]+/photos/|POST /api/seasons/[0-9]+/workbook)" uploads;
    "~^[A-Z]+ /api/seasons/[0-9]+/(compare|years|difference|setups/[^/]+/(calendar|workbook|labels|reckoning|crops/[^/]+/sow-again))" reckoning; }
  server {
    listen ${LISTEN:-127.0.0.1}:$port;
    root $code/public;
    index index.php;
$(locations "$dir")
  }
$(lan_server "$instance" "$code" "$dir")
}
CONF
  # The master leaves its supervisor's group, so that it is known by its name alone.
  service "$instance" php-fpm "end_named 'php-fpm: master process .$dir/php-fpm.conf'; end_named '$named'
rm -f '$dir/run/edits.sock' '$dir/run/reckoning.sock' '$dir/run/uploads.sock'
exec php-fpm8.2 -F $JIT -y '$dir/php-fpm.conf'" QUIT
  echo "$named" >"$(services_of "$instance")/php-fpm/named"
  service "$instance" nginx "exec /usr/sbin/nginx -p '$dir' -c '$dir/nginx.conf'" QUIT
  # Other settings than those it runs with: it is started again with them.
  for name in php-fpm nginx; do
    if [ -f "$dir/$name.conf.before" ] && ! cmp -s "$dir/$name.conf" "$dir/$name.conf.before"; then sv -w 20 force-restart "$(services_of "$instance")/$name" >/dev/null 2>&1; fi
    rm -f "$dir/$name.conf.before"
  done
}

work_services() {
  local instance=$1 drop='' code
  code=$(home_of releases www-data)/$instance
  is_root && drop="chpst -u $(web_user)"
  local php="cd /; exec $drop env JOLLY_INSTANCE=$instance JOLLY_VAR='$VAR' php"
  # The queue's workers end after an hour, against leaks, and are started again.
  service "$instance" letters "$php \"\$(readlink -f '$code')/artisan\" queue:work --queue=default --tries=8 --sleep=3 --max-time=3600"
  # One worker takes only what is short (app/Work/Turn.php).
  local queue
  for queue in work quick; do
    service "$instance" "$queue" "$php -d memory_limit=512M -d opcache.enable_cli=1 $JIT \
\"\$(readlink -f '$code')/artisan\" queue:work --queue=$queue --sleep=0.2 --timeout=320 --max-time=3600"
  done
  service "$instance" schedule "$php \"\$(readlink -f '$code')/artisan\" schedule:work"
}

page_answers() { curl -fsS --max-time 10 -o /dev/null ${PAGE_HOST:+-H "Host: $PAGE_HOST"} "http://${LISTEN:-127.0.0.1}:$1/up"; }
wait_for_page() { local _; for _ in $(seq 80); do page_answers "$1" 2>/dev/null && return 0; sleep 0.25; done; page_answers "$1"; }
web_running() { service_running "$1" nginx && service_running "$1" php-fpm; }
