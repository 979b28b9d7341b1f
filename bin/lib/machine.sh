# Shared by bin/start and bin/test: everything a fresh Debian machine needs, each step once. To be sourced.
# shellcheck shell=bash

ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/../.." && pwd)
VAR=$ROOT/var
PG_BIN=/usr/lib/postgresql/15/bin
export COMPOSER_ALLOW_SUPERUSER=1 COMPOSER_NO_INTERACTION=1 DEBIAN_FRONTEND=noninteractive

as_root() { if [ "$(id -u)" = 0 ]; then "$@"; else sudo "$@"; fi; }

# step NAME LOG COMMAND…: runs quietly; a failure names the step, shows the end of its log and stops.
step() {
  local name=$1 log=$2; shift 2
  mkdir -p "$(dirname "$log")"
  if ! "$@" >"$log" 2>&1; then
    printf '\nThis step failed: %s\nThe end of its log (%s):\n\n' "$name" "${log#"$ROOT"/}" >&2
    tail -n 25 "$log" >&2
    declare -F on_failure >/dev/null && on_failure
    exit 1
  fi
}

port_taken() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }
free_port() { local p=$1; while port_taken "$p"; do p=$((p + 1)); done; echo "$p"; }
fingerprint() { cat "$@" 2>/dev/null | sha256sum | cut -d' ' -f1; }
# stamped NAME FINGERPRINT: true where the step was last done for just this.
stamped() { [ "$(cat "$VAR/stamps/$1" 2>/dev/null)" = "$2" ]; }
stamp() { mkdir -p "$VAR/stamps"; echo "$2" >"$VAR/stamps/$1"; }

install_packages() {
  local missing=() p
  for p in "$@"; do
    dpkg-query -W -f='${Status}' "$p" 2>/dev/null | grep -q 'ok installed' || missing+=("$p")
  done
  [ "${#missing[@]}" = 0 ] && return
  echo "Installing from Debian: ${missing[*]}"
  install_missing() { as_root apt-get update && as_root env RUNLEVEL=1 apt-get install -y --no-install-recommends "${missing[@]}"; }
  step "installing Debian packages" "$VAR/log/apt.log" install_missing
}

debian_packages() {
  local node_packages=()
  command -v npm >/dev/null || node_packages=(nodejs npm)
  command -v composer >/dev/null || node_packages+=(composer)
  install_packages curl unzip ca-certificates postgresql-15 nginx-light php-league-config php8.2-cli php8.2-fpm php8.2-pgsql php8.2-curl \
    php8.2-bcmath php8.2-zip php8.2-gd php8.2-intl php8.2-mbstring php8.2-xml "${node_packages[@]}" "$@"
}

php_requirements() {
  local print; print=$(fingerprint "$ROOT/composer.json")
  if [ -f "$ROOT/vendor/autoload.php" ] && stamped composer "$print"; then return; fi
  echo "Installing PHP requirements"
  step "installing PHP requirements" "$VAR/log/composer.log" composer install --working-dir="$ROOT" --no-progress --prefer-dist
  chmod -R a+rX "$ROOT/vendor"
  stamp composer "$print"
}

# The build needs Node 20.19 or later; an older one is left alone, ours comes from npm into var/.
node_runtime() {
  local own=$VAR/node/node_modules/node/bin
  if [ -x "$own/node" ]; then PATH=$own:$PATH; return; fi
  if node -e 'const [a,b]=process.versions.node.split(".").map(Number);process.exit(a>22||(a===22&&b>=12)||(a===20&&b>=19)?0:1)' 2>/dev/null; then return; fi
  echo "Fetching a newer Node"
  mkdir -p "$VAR/node"
  step "fetching Node" "$VAR/log/node.log" npm install --prefix "$VAR/node" --no-save --no-audit --no-fund node@22
  PATH=$own:$PATH
}

npm_requirements() {
  node_runtime
  local print; print=$(fingerprint "$ROOT/package-lock.json" "$ROOT/package.json")
  if [ -d "$ROOT/node_modules" ] && stamped npm "$print"; then return; fi
  echo "Installing npm requirements"
  step "installing npm requirements" "$VAR/log/npm.log" npm ci --prefix "$ROOT" --no-audit --no-fund
  stamp npm "$print"
}

front_end() {
  local print
  print=$(cd "$ROOT" && { find web -type f -print0 | sort -z | xargs -0 cat; cat package-lock.json vite.config.ts tsconfig.json; } | sha256sum | cut -d' ' -f1)
  if [ -f "$ROOT/public/build/manifest.json" ] && stamped web "$print"; then return; fi
  echo "Building the front end"
  step "building the front end" "$VAR/log/build.log" npm --prefix "$ROOT" run build
  stamp web "$print"
}

# PostgreSQL's programs must not run as root.
as_postgres() { if [ "$(id -u)" = 0 ]; then runuser -u postgres -- "$@"; else "$@"; fi; }

postgres_running() { [ -f "$VAR/pg/postmaster.pid" ] && as_postgres "$PG_BIN/pg_ctl" -D "$(readlink -f "$VAR/pg")" status >/dev/null 2>&1; }

create_cluster() {
  mkdir -p "$VAR"
  if [ "$(id -u)" = 0 ] && ! runuser -u postgres -- test -x "$VAR"; then
    # The checkout lies where PostgreSQL's user may not look: keep the data beside it and point there.
    local elsewhere=/var/lib/postgresql/jolly-penny-$(echo "$ROOT" | sha256sum | cut -c1-12)
    mkdir -p "$elsewhere" && ln -sfn "$elsewhere" "$VAR/pg"
  else
    mkdir -p "$VAR/pg"
  fi
  [ "$(id -u)" = 0 ] && chown postgres: "$(readlink -f "$VAR/pg")"
  [ -f "$VAR/pg.password" ] || (umask 077; head -c 18 /dev/urandom | base64 | tr -d '/+=' >"$VAR/pg.password")
  local pw; pw=$(mktemp) && cat "$VAR/pg.password" >"$pw" && { [ "$(id -u)" != 0 ] || chown postgres: "$pw"; }
  (cd / && as_postgres "$PG_BIN/initdb" -D "$(readlink -f "$VAR/pg")" -U jolly --pwfile="$pw" -A scram-sha-256 -E UTF8 --locale=C.UTF-8)
  local done=$?
  rm -f "$pw"
  return "$done"
}

run_postgres() {
  local data; data=$(readlink -f "$VAR/pg")
  (cd / && as_postgres "$PG_BIN/pg_ctl" -D "$data" -w -t 60 -l "$data/server.log" \
    -o "-p $1 -c listen_addresses=127.0.0.1 -c unix_socket_directories='' -c max_connections=120" start)
}

# Our own cluster on a port of ours; sets PG_PORT and PG_STARTED.
start_postgres() {
  PG_STARTED=no
  [ -f "$VAR/pg/PG_VERSION" ] || { echo "Creating the database cluster"; step "creating the database cluster" "$VAR/log/initdb.log" create_cluster; }
  if postgres_running; then
    PG_PORT=$(sed -n 4p "$VAR/pg/postmaster.pid")
  else
    PG_PORT=$(free_port 54117)
    step "starting PostgreSQL" "$VAR/log/postgres.log" run_postgres "$PG_PORT"
    PG_STARTED=yes
  fi
}

stop_postgres() { postgres_running && (cd / && as_postgres "$PG_BIN/pg_ctl" -D "$(readlink -f "$VAR/pg")" -m fast stop >/dev/null); return 0; }

pg() { PGPASSWORD=$(cat "$VAR/pg.password") psql -h 127.0.0.1 -p "$PG_PORT" -U jolly -v ON_ERROR_STOP=1 -qAt "$@"; }

ensure_database() { [ "$(pg -d postgres -c "SELECT 1 FROM pg_database WHERE datname = '$1'")" = 1 ] || pg -d postgres -c "CREATE DATABASE \"$1\""; }

# Who serves: www-data where it can read the checkout, otherwise whoever runs this.
web_user() {
  if [ -z "${WEB_USER:-}" ]; then
    WEB_USER=$(id -un)
    if [ "$WEB_USER" = root ] && runuser -u www-data -- php -r "require '$ROOT/vendor/autoload.php'; require '$ROOT/core/Units/Penny.php'; fopen('$ROOT/app/Models/User.php', 'r') || exit(1);" >/dev/null 2>&1; then
      WEB_USER=www-data
    fi
  fi
  echo "$WEB_USER"
}

# write_settings INSTANCE DATABASE PORT: the instance's settings and folders under var/.
write_settings() {
  local dir=$VAR/$1
  mkdir -p "$dir"/storage/{app,logs,framework/{views,cache,sessions}} "$dir"/{run,tmp}
  local key; key=$(sed -n 's/^APP_KEY=//p' "$dir/.env" 2>/dev/null)
  [ -n "$key" ] || key=base64:$(head -c 32 /dev/urandom | base64)
  cat >"$dir/.env" <<ENV
APP_ENV=production
APP_KEY=$key
APP_URL=http://127.0.0.1:$3
DB_HOST=127.0.0.1
DB_PORT=$PG_PORT
DB_DATABASE=$2
DB_USERNAME=jolly
DB_PASSWORD=$(cat "$VAR/pg.password")
CACHE_STORE=database
DB_PERSISTENT=true
QUEUE_CONNECTION=$([ "$1" = test ] && echo sync || echo database)
JOLLY_MAILBOX=true
LOG_CHANNEL=single
APP_PACKAGES_CACHE=$dir/storage/framework/packages.php
APP_SERVICES_CACHE=$dir/storage/framework/services.php
ENV
  chmod 640 "$dir/.env"
  if [ "$(id -u)" = 0 ]; then chown -R "$(web_user)": "$dir"; fi
}

artisan() {
  local instance=$1 user; shift; user=$(web_user)
  if [ "$user" = "$(id -un)" ]; then JOLLY_INSTANCE=$instance php "$ROOT/artisan" "$@"
  else runuser -u "$user" -- env JOLLY_INSTANCE="$instance" php "$ROOT/artisan" "$@"; fi
}

# Settings and routes in one file each, which the web server's processes read instead of many.
cache_settings() {
  local dir=$VAR/$1/storage/framework
  rm -f "$dir/config.php" "$dir/routes.php"
  APP_CONFIG_CACHE=$dir/config.php artisan "$1" config:cache && APP_ROUTES_CACHE=$dir/routes.php artisan "$1" route:cache
}

# start_web INSTANCE PORT: nginx and php-fpm with configuration of our own.
start_web() {
  local instance=$1 port=$2 dir=$VAR/$1 user run_as_root=()
  user=$(web_user)
  [ "$user" = root ] && run_as_root=(-R)
  cat >"$dir/php-fpm.conf" <<CONF
[global]
pid = $dir/run/php-fpm.pid
error_log = $dir/storage/logs/php-fpm.log
[www]
$([ "$(id -u)" = 0 ] && printf 'user = %s\ngroup = %s\nlisten.owner = %s\n' "$user" "$user" "$user")
listen = $dir/run/php-fpm.sock
pm = static
pm.max_children = 8
pm.max_requests = 2000
env[JOLLY_INSTANCE] = $instance
env[APP_PACKAGES_CACHE] = $dir/storage/framework/packages.php
env[APP_SERVICES_CACHE] = $dir/storage/framework/services.php
env[APP_CONFIG_CACHE] = $dir/storage/framework/config.php
env[APP_ROUTES_CACHE] = $dir/storage/framework/routes.php
php_admin_value[memory_limit] = 256M
php_admin_value[display_errors] = 0
php_admin_value[expose_php] = 0
php_admin_value[opcache.enable] = 1
php_admin_value[opcache.revalidate_freq] = 1
php_admin_value[opcache.max_accelerated_files] = 20000
CONF
  cat >"$dir/nginx.conf" <<CONF
$([ "$(id -u)" = 0 ] && echo "user $user;")
worker_processes 2;
pid $dir/run/nginx.pid;
error_log $dir/storage/logs/nginx.log warn;
events { worker_connections 512; }
http {
  include /etc/nginx/mime.types;
  access_log off;
  server_tokens off;
  client_max_body_size 6m;
  client_body_temp_path $dir/tmp/body;
  proxy_temp_path $dir/tmp/proxy;
  fastcgi_temp_path $dir/tmp/fastcgi;
  uwsgi_temp_path $dir/tmp/uwsgi;
  scgi_temp_path $dir/tmp/scgi;
  gzip on;
  gzip_types text/css application/javascript application/json application/problem+json image/svg+xml;
  fastcgi_buffers 16 64k;
  fastcgi_buffer_size 64k;
  server {
    listen 127.0.0.1:$port;
    root $ROOT/public;
    index index.php;
    location /build/ { expires 1y; add_header Cache-Control "public, immutable"; }
    location / { try_files \$uri /index.php?\$query_string; }
    location = /index.php {
      include /etc/nginx/fastcgi_params;
      fastcgi_param SCRIPT_FILENAME \$document_root/index.php;
      fastcgi_read_timeout 130s;
      fastcgi_pass unix:$dir/run/php-fpm.sock;
    }
  }
}
CONF
  step "starting php-fpm" "$VAR/log/php-fpm.log" php-fpm8.2 "${run_as_root[@]}" -y "$dir/php-fpm.conf"
  step "starting nginx" "$VAR/log/nginx.log" /usr/sbin/nginx -p "$dir" -c "$dir/nginx.conf"
  echo "$port" >"$dir/run/port"
  step "waiting for the page" "$VAR/log/page.log" curl -fsS --retry 40 --retry-delay 1 --retry-all-errors -o /dev/null "http://127.0.0.1:$port/up"
}

# The queue's worker and the scheduler, each with its process id under run/.
start_workers() {
  local instance=$1 dir=$VAR/$1 name user command
  user=$(web_user)
  for name in queue schedule; do
    command=(php "$ROOT/artisan" "$name:work")
    [ "$name" = queue ] && command+=(--tries=3 --sleep=3 --max-time=3600)
    worker_running "$instance" "$name" && continue
    # The queue's worker ends after an hour, against leaks, and is started again.
    (
      trap 'kill "$child" 2>/dev/null; exit 0' TERM INT
      while :; do
        if [ "$user" = "$(id -un)" ]; then JOLLY_INSTANCE=$instance "${command[@]}" & else runuser -u "$user" -- env JOLLY_INSTANCE="$instance" "${command[@]}" & fi
        child=$!
        wait "$child"
        sleep 2
      done
    ) >>"$VAR/log/$name.log" 2>&1 </dev/null &
    echo $! >"$dir/run/$name.pid"
    disown
  done
}

worker_running() { [ -f "$VAR/$1/run/$2.pid" ] && kill -0 "$(cat "$VAR/$1/run/$2.pid")" 2>/dev/null; }

stop_workers() {
  local name pid
  for name in queue schedule; do
    worker_running "$1" "$name" || continue
    pid=$(cat "$VAR/$1/run/$name.pid")
    pkill -TERM -P "$pid" 2>/dev/null
    kill -TERM "$pid" 2>/dev/null
    rm -f "$VAR/$1/run/$name.pid"
  done
}

web_running() { [ -f "$VAR/$1/run/nginx.pid" ] && kill -0 "$(cat "$VAR/$1/run/nginx.pid")" 2>/dev/null && kill -0 "$(cat "$VAR/$1/run/php-fpm.pid" 2>/dev/null)" 2>/dev/null; }

stop_web() {
  local name pid
  for name in nginx php-fpm; do
    pid=$(cat "$VAR/$1/run/$name.pid" 2>/dev/null) || continue
    kill -QUIT "$pid" 2>/dev/null
    for _ in $(seq 50); do kill -0 "$pid" 2>/dev/null || break; sleep 0.1; done
    rm -f "$VAR/$1/run/$name.pid"
  done
  return 0
}
