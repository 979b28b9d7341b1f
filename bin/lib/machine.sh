# Shared by the commands in bin/: everything a fresh Debian machine needs, each step once. To be sourced.
# shellcheck shell=bash

# What is made here is its owner's alone, unless a step below opens it to the web server's group or to everybody (served code).
umask 077
ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/../.." && pwd)
VAR=${JOLLY_HOME:-$ROOT/var}
PG_BIN=/usr/lib/postgresql/15/bin
export COMPOSER_ALLOW_SUPERUSER=1 COMPOSER_NO_INTERACTION=1 DEBIAN_FRONTEND=noninteractive
. "$ROOT/bin/lib/settings-file.sh"
. "$ROOT/bin/lib/database.sh"
. "$ROOT/bin/lib/services.sh"
. "$ROOT/bin/lib/lan.sh"

as_root() { if [ "$(id -u)" = 0 ]; then "$@"; else sudo "$@"; fi; }
is_root() { [ "$(id -u)" = 0 ]; }

# step NAME LOG COMMAND…: runs quietly; a failure names the step, shows the end of its log and stops.
step() {
  local name=$1 log=$2; shift 2
  (umask 077; mkdir -p "$(dirname "$log")")
  if ! "$@" >"$log" 2>&1; then
    printf '\nThis step failed: %s\nThe end of its log (%s):\n\n' "$name" "${log#"$ROOT"/}" >&2
    tail -n 25 "$log" >&2
    declare -F on_failure >/dev/null && on_failure
    exit 1
  fi
}

# one_at_a_time NAME: waits for another that does the same; held until this command ends.
one_at_a_time() {
  mkdir -p "$VAR"
  exec 9>"$VAR/$1.lock"
  flock -n 9 || { echo "Waiting for another $1 to end"; flock 9; }
}

# close_to_others: what an older version, or a tool with habits of its own, has left readable for every user of the machine. Served code,
# what phones are shown, the database's own files and sockets are looked after where they are made.
close_to_others() {
  [ -d "$VAR" ] || return 0
  find "$VAR" -mindepth 1 \( -path '*/releases' -o -path '*/releases/*' -o -path '*/lan/trust' -o -path "$VAR/postgres" -o -path "$VAR/postgres/data" \
    -o -path "$VAR/postgres/socket" -o -path "$VAR/node" \) -prune -o ! -type l ! -type s -perm /0007 -exec chmod o-rwx {} +
  [ ! -d "$VAR/postgres" ] || find "$VAR/postgres" -mindepth 1 -maxdepth 1 -type f -perm /0007 -exec chmod o-rwx {} +
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
  if ! is_root && ! command -v sudo >/dev/null; then
    printf 'These Debian packages are missing, and only root can install them (there is no sudo here):\n' >&2
    printf '  %s\n' "${missing[@]}" >&2
    printf 'Ask whoever looks after this machine to run:\n  apt-get install --no-install-recommends %s\nThen start again.\n' "${missing[*]}" >&2
    exit 1
  fi
  echo "Installing from Debian: ${missing[*]}"
  install_missing() { as_root apt-get update && as_root env RUNLEVEL=1 apt-get install -y --no-install-recommends "${missing[@]}"; }
  step "installing Debian packages" "$VAR/log/apt.log" install_missing
}

debian_packages() {
  local node_packages=()
  command -v npm >/dev/null || node_packages=(nodejs npm)
  command -v composer >/dev/null || node_packages+=(composer)
  install_packages curl unzip openssl ca-certificates postgresql-15 nginx-light runit php-league-config php-bacon-qr-code php-dasprid-enum php8.2-cli php8.2-fpm php8.2-pgsql \
    php8.2-apcu php8.2-curl php8.2-zip php8.2-gd php8.2-intl php8.2-mbstring php8.2-xml "${node_packages[@]}" "$@"
}

# Chromium without windows and menus, of the same sources and version: the browser's tests take a third less
# work in it. Where Debian's copy has none, they are run in the whole one.
light_browser() {
  [ ! -x /usr/lib/chromium/chromium-headless-shell ] || return 0
  echo "Installing from Debian: chromium-headless-shell"
  mkdir -p "$VAR/log"
  { as_root apt-get update && as_root apt-get install -y --no-install-recommends --no-remove chromium chromium-driver chromium-headless-shell; } \
    >"$VAR/log/apt-light-browser.log" 2>&1 || echo "It is not to be had here: the browser's tests take longer."
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
  print=$(cd "$ROOT" && { find web -type f -print0 | sort -z | xargs -0 cat; cat package-lock.json antd-styles.ts vite.config.ts tsconfig.json; } \
    | sha256sum | cut -d' ' -f1)
  if [ -f "$ROOT/public/build/manifest.json" ] && [ -f "$ROOT/public/sw.js" ] && stamped web "$print"; then return; fi
  echo "Building the front end"
  step "building the front end" "$VAR/log/build.log" npm --prefix "$ROOT" run build
  # Packed once as small as it goes, instead of quickly at every request.
  find "$ROOT/public/build/assets" \( -name '*.js' -o -name '*.css' \) -exec gzip -9 -k -f {} +
  stamp web "$print"
}

# Who serves: www-data where root starts it, otherwise whoever does. Root itself never serves.
web_user() { if is_root; then echo www-data; else id -un; fi; }
web_group() { if is_root; then echo www-data; else id -gn; fi; }

# Where served code, data and backups lie: under var/, or, where the servers' users may not look there, beside PostgreSQL's.
home_of() {
  local name=$1 user=$2
  mkdir -p "$VAR"
  # Others may pass through to what is theirs, and see no list of what is there.
  if is_root; then chmod 711 "$VAR"; fi
  if is_root && ! runuser -u "$user" -- test -x "$VAR"; then
    local elsewhere=/var/lib/jolly-penny/$(echo "$ROOT" | sha256sum | cut -c1-12)/$name
    mkdir -p "$elsewhere"
    echo "$elsewhere"
  else
    echo "$VAR/$name"
  fi
}

# setting INSTANCE KEY: what the settings say. default_setting: written where it is not there; managed_setting: always.
setting() { sed -n "s/^$2=//p" "$VAR/$1/.env" 2>/dev/null | tail -n 1; }
default_setting() { grep -q "^$2=" "$VAR/$1/.env" 2>/dev/null || echo "$2=$3" >>"$VAR/$1/.env"; }
managed_setting() {
  local file=$VAR/$1/.env; touch "$file"
  [ "$(setting "$1" "$2")" = "$3" ] || set_in "$file" "$2" "$3"
}

# write_settings INSTANCE DATABASE PORT: the instance's settings under var/. What somebody has set by hand stays.
write_settings() {
  local instance=$1 dir=$VAR/$1
  (umask 077; mkdir -p "$dir")
  (umask 077; touch "$dir/.env")
  default_setting "$instance" APP_ENV production
  default_setting "$instance" APP_KEY "base64:$(head -c 32 /dev/urandom | base64)"
  case $(setting "$instance" APP_URL) in '' | http://127.0.0.1:*) managed_setting "$instance" APP_URL "http://127.0.0.1:$3" ;; esac
  managed_setting "$instance" DB_HOST 127.0.0.1
  managed_setting "$instance" DB_PORT "$PG_PORT"
  managed_setting "$instance" DB_DATABASE "$2"
  managed_setting "$instance" DB_USERNAME jolly
  managed_setting "$instance" DB_PASSWORD "$(cat "$PG_DIR/jolly.password")"
  default_setting "$instance" DB_PERSISTENT true
  default_setting "$instance" CACHE_STORE database
  default_setting "$instance" CACHE_LIMITER apc
  default_setting "$instance" QUEUE_CONNECTION "$(case $instance in test* | feature*) echo sync ;; *) echo database ;; esac)"
  default_setting "$instance" JOLLY_MAILBOX true
  default_setting "$instance" JOLLY_MAILBOX_WORD "$(head -c 12 /dev/urandom | base64 | tr -d '/+=')"
  default_setting "$instance" JOLLY_METRICS_TOKEN "$(head -c 24 /dev/urandom | base64 | tr -d '/+=')"
  default_setting "$instance" LOG_CHANNEL daily
  instance_folders "$instance"
}

# instance_folders INSTANCE: what lies beside its settings, and who may read and write it.
instance_folders() {
  local instance=$1 dir=$VAR/$1 storage; storage=$(storage_of "$1")
  mkdir -p "$storage"/{app,logs,framework/{views,cache,sessions}} "$dir/cache/$(basename "$ROOT")"
  if is_root; then
    chown root:"$(web_group)" "$dir" "$dir/.env" "$dir/cache" && chmod 750 "$dir" "$dir/cache" && chmod 640 "$dir/.env"
    # The checkout's own code is run by whoever develops it; what is served has its settings made ready (prepare_release).
    chown -R "$(web_user)": "$storage" "$dir/cache/$(basename "$ROOT")" && chmod 700 "$storage"
  fi
}

storage_of() { echo "$VAR/$1/storage"; }

# artisan INSTANCE …: as the web's user, on the served code where there is one.
artisan() {
  local instance=$1 code; shift
  code=$(readlink -f "$(home_of releases www-data)/$instance" 2>/dev/null || true)
  [ -f "$code/artisan" ] || code=$ROOT
  artisan_in "$code" "$instance" "$@"
}

artisan_in() {
  local code=$1 instance=$2; shift 2
  local run=(env JOLLY_INSTANCE="$instance" JOLLY_VAR="$VAR" php "$code/artisan" "$@")
  if is_root; then (cd / && runuser -u "$(web_user)" -- "${run[@]}"); else "${run[@]}"; fi
}
