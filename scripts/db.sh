#!/usr/bin/env bash
# A private PostgreSQL cluster on loopback: db.sh start|stop|kill|reset|url|owner-url|createdb NAME|psql
# DB_DIR names its folder (default .data/demo). DB_FAST=1 is for throw-away test data: it outlives a killed database, not
# a power cut.
# As root the server runs as user postgres; as anyone else, as that user.
set -euo pipefail
ROOT="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)"
OWNER=ponderis; APP=ponderis_app; PASSWORD=ponderis; HOST=127.0.0.1 # loopback only: the password is no secret
DB_NAME="${DB_NAME:-ponderis}"
BASE="${DB_DIR:-$ROOT/.data/demo}"

find_bin() { ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | while read -r d; do [ -x "$d/initdb" ] && echo "$d"; done | tail -1; }
BIN="$(find_bin || true)"
if [ -z "$BIN" ]; then
  [ "$(id -u)" = 0 ] || { echo "PostgreSQL is not installed. Ask an administrator to run: apt-get install postgresql" >&2; exit 1; }
  export DEBIAN_FRONTEND=noninteractive
  apt-get update -qq >&2
  apt-get install -y -qq -o DPkg::Lock::Timeout=300 --no-install-recommends postgresql >&2
  BIN="$(find_bin)"
fi
as_pg() { if [ "$(id -u)" = 0 ]; then (cd / && runuser -u postgres -- "$@"); else "$@"; fi; }
own() { [ "$(id -u)" != 0 ] || chown postgres: "$@"; }

HASH="$(printf '%s' "$BASE" | cksum | cut -d' ' -f1)"
mkdir -p "$BASE"
as_pg test -x "$BASE" || { BASE="/var/tmp/ponderis-db-$HASH"; mkdir -p "$BASE"; } # root's checkout below a private folder
DATA="$BASE/pg"; LOG="$BASE/pg.log"; PORT_FILE="$BASE/pg.port"
SOCK="/tmp/ponderis-pg-$(id -u)-$HASH" # socket paths hold 107 bytes at most
PORT="$(cat "$PORT_FILE" 2>/dev/null || echo "${DB_PORT:-54329}")"

busy() { (exec 3<>"/dev/tcp/$HOST/$1") 2>/dev/null; }
running() { [ -s "$DATA/PG_VERSION" ] && as_pg "$BIN/pg_ctl" -D "$DATA" status >/dev/null 2>&1; }
sql() { PGPASSWORD=$PASSWORD "$BIN/psql" -h "$HOST" -p "$PORT" -U "$OWNER" -v ON_ERROR_STOP=1 "$@"; }
url() { echo "postgresql://$1:$PASSWORD@$HOST:$PORT/$2"; }
ensure_db() { [ "$(sql -qAtd postgres -c "select 1 from pg_database where datname='$1'")" = 1 ] || sql -qd postgres -c "create database \"$1\""; }
# The application signs in as a role that owns nothing and is no superuser.
ensure_app_role() {
  [ "$(sql -qAtd postgres -c "select 1 from pg_roles where rolname='$APP'")" = 1 ] ||
    sql -qd postgres -c "create role $APP login nosuperuser nocreatedb nocreaterole password '$PASSWORD'"
}

make_cluster() { # under another name until it is whole
  local pw; pw="$(mktemp)"; echo "$PASSWORD" > "$pw"
  rm -rf "$DATA.new"; install -d -m 700 "$DATA.new"; own "$DATA.new" "$pw"
  as_pg "$BIN/initdb" -D "$DATA.new" -U "$OWNER" --pwfile="$pw" --auth-local=trust --auth-host=scram-sha-256 \
    --encoding=UTF8 --locale=C.UTF-8 >/dev/null || { rm -rf "$DATA.new" "$pw"; echo "PostgreSQL could not make its data folder in $BASE: is the disk full?" >&2; exit 1; }
  rm -f "$pw"; mv "$DATA.new" "$DATA"
}

start() {
  if ! running; then
    install -d -m 700 "$SOCK"; touch "$LOG"; own "$SOCK" "$LOG"
    [ -s "$DATA/PG_VERSION" ] || { rm -rf "$DATA"; make_cluster; }
    while busy "$PORT"; do PORT=$((PORT + 1)); done
    echo "$PORT" > "$PORT_FILE"
    local fast=""; [ "${DB_FAST:-0}" = 1 ] && fast="-c fsync=off -c full_page_writes=off"
    as_pg "$BIN/pg_ctl" -D "$DATA" -l "$LOG" -w -t 60 -s start \
      -o "-c listen_addresses=$HOST -c port=$PORT -c unix_socket_directories=$SOCK -c max_connections=60 $fast" </dev/null >/dev/null ||
      { echo "PostgreSQL did not start. The end of its log:" >&2; tail -20 "$LOG" >&2; exit 1; }
  fi
  ensure_app_role; ensure_db "$DB_NAME"
}

case "${1:-start}" in
  start) start ;;
  kill) if running; then as_pg "$BIN/pg_ctl" -D "$DATA" -m immediate -w -s stop; fi ;; # as if the power went
  stop) if running; then as_pg "$BIN/pg_ctl" -D "$DATA" -m fast -w -s stop; fi ;;
  reset) bash "$0" stop; rm -rf "$DATA" "$PORT_FILE"; exec bash "$0" start ;;
  url) url "$APP" "${2:-$DB_NAME}" ;;
  owner-url) url "$OWNER" "${2:-$DB_NAME}" ;;
  createdb) ensure_db "$2" ;;
  dropdb) sql -qd postgres -c "drop database if exists \"$2\" with (force)" ;;
  psql) shift; sql -d "$DB_NAME" "$@" ;;
  *) echo "usage: $0 start|stop|kill|reset|url|owner-url|createdb NAME|dropdb NAME|psql" >&2; exit 2 ;;
esac
