# Backups by pgBackRest, shared by bin/backup and bin/restore. To be sourced after machine.sh.
# shellcheck shell=bash

STANZA=jolly

backup_home() {
  database_home
  BACKUP_DIR=$(home_of backup postgres)
  mkdir -p "$BACKUP_DIR"/{repo,log,lock}
  if is_root; then chown -R postgres: "$BACKUP_DIR"; fi
  chmod 700 "$BACKUP_DIR"
  cat >"$PG_DIR/pgbackrest.conf" <<CONF
[global]
repo1-path=$BACKUP_DIR/repo
repo1-retention-full=$(setting local BACKUPS_KEPT | grep . || echo 4)
repo1-bundle=y
log-path=$BACKUP_DIR/log
lock-path=$BACKUP_DIR/lock
log-level-console=warn
log-level-file=info
compress-type=lz4
process-max=2
start-fast=y
archive-timeout=60

[$STANZA]
pg1-path=$PG_DIR/data
pg1-port=$(cat "$PG_DIR/port" 2>/dev/null || echo 54117)
pg1-socket-path=$PG_DIR/socket
pg1-user=postgres
CONF
  if is_root; then chown postgres: "$PG_DIR/pgbackrest.conf"; fi
  chmod 600 "$PG_DIR/pgbackrest.conf"
}

pgbackrest_do() { as_postgres env -u PGPASSWORD pgbackrest --config="$PG_DIR/pgbackrest.conf" --stanza="$STANZA" "$@"; }

# Seasons as a list of what each is: id, revision and a sum over its document.
seasons_at() { PGPASSWORD=$(cat "$PG_DIR/postgres.password") psql -h 127.0.0.1 -p "$1" -U postgres -d jolly -qAt \
  -c 'SELECT id, revision, md5(document::text) FROM seasons ORDER BY id'; }
