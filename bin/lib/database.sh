# The PostgreSQL of our own: made, asked, ended. To be sourced by machine.sh.
# shellcheck shell=bash

# PostgreSQL's programs must not run as root.
as_postgres() { if is_root; then (cd / && runuser -u postgres -- "$@"); else "$@"; fi; }

# Sets PG_DIR, where the cluster (data), its socket and the passwords lie.
database_home() { PG_DIR=$(home_of postgres postgres); }

secret_file() { [ -f "$1" ] || (umask 077; head -c 18 /dev/urandom | base64 | tr -d '/+=' >"$1"); }

create_cluster() {
  mkdir -p "$PG_DIR"/{data,socket}
  if is_root; then chown postgres: "$PG_DIR"/{data,socket}; chmod 711 "$PG_DIR"; fi
  chmod 700 "$PG_DIR"/{data,socket}
  secret_file "$PG_DIR/postgres.password"
  local pw; pw=$(mktemp) && cat "$PG_DIR/postgres.password" >"$pw" && { ! is_root || chown postgres: "$pw"; }
  as_postgres "$PG_BIN/initdb" -D "$PG_DIR/data" -U postgres --pwfile="$pw" -A scram-sha-256 --auth-local=peer -E UTF8 --locale=C.UTF-8
  local done=$?
  rm -f "$pw"
  # The socket's folder is this user's alone: whoever reaches it is who it says.
  is_root || sed -i 's/^local.*/local all all trust/' "$PG_DIR/data/pg_hba.conf"
  return "$done"
}

# The superuser, for making databases and roles; never the application's.
pg() { PGPASSWORD=$(cat "$PG_DIR/postgres.password") psql -h 127.0.0.1 -p "$PG_PORT" -U postgres -v ON_ERROR_STOP=1 -qAt "$@"; }

postgres_answers() { [ -f "$PG_DIR/port" ] && PG_PORT=$(cat "$PG_DIR/port") && pg -d postgres -c 'SELECT 1' >/dev/null 2>&1; }

wait_for_postgres() { local _; for _ in $(seq 240); do postgres_answers && return 0; sleep 0.25; done; return 1; }

# The cluster on a port of its own, looked after by the supervisor; sets PG_DIR, PG_PORT and PG_STARTED.
start_postgres() {
  PG_STARTED=no
  database_home
  [ -f "$PG_DIR/data/PG_VERSION" ] || { echo "Creating the database cluster"; step "creating the database cluster" "$VAR/log/initdb.log" create_cluster; }
  if postgres_answers; then return; fi
  PG_PORT=$(cat "$PG_DIR/port" 2>/dev/null || free_port 54117)
  if port_taken "$PG_PORT" && ! service_running database postgres; then PG_PORT=$(free_port "$PG_PORT"); fi
  echo "$PG_PORT" >"$PG_DIR/port"
  service database postgres "$(postgres_run)"
  start_services database
  PG_STARTED=yes
  step "starting PostgreSQL" "$VAR/log/postgres.log" wait_for_postgres
}

# Archiving is on from the first day, so that backups can begin without a restart; until then it archives nothing.
postgres_run() {
  local drop=''; is_root && drop='chpst -u postgres'
  echo "cd /; exec $drop $PG_BIN/postgres -D '$PG_DIR/data' -p $PG_PORT -c listen_addresses=127.0.0.1 \
-c unix_socket_directories='$PG_DIR/socket' -c max_connections=120 -c archive_mode=on -c wal_level=replica"
}

stop_postgres() { database_home; stop_services database; }

# The application's role owns its database and nothing else.
ensure_database() {
  secret_file "$PG_DIR/jolly.password"
  local pw; pw=$(cat "$PG_DIR/jolly.password")
  [ "$(pg -d postgres -c "SELECT 1 FROM pg_roles WHERE rolname = 'jolly'")" = 1 ] || pg -d postgres -c 'CREATE ROLE jolly LOGIN NOSUPERUSER NOCREATEDB NOCREATEROLE'
  # By standard input: an argument would be shown to every user of the machine.
  pg -d postgres <<<"ALTER ROLE jolly PASSWORD '$pw'"
  [ "$(pg -d postgres -c "SELECT 1 FROM pg_database WHERE datname = '$1'")" = 1 ] && return
  pg -d postgres -c "CREATE DATABASE \"$1\" OWNER jolly" -c "REVOKE ALL ON DATABASE \"$1\" FROM PUBLIC"
}
