#!/usr/bin/env bash
# A private PostgreSQL cluster on loopback: db.sh start|stop|kill|reset|url|owner-url|super-url|createdb NAME [LIKE]|dropdb NAME|backup FILE [NAME]|restore [--drill] FILE [NAME|--to URL]|schema NAME|log|psql
# DB_DIR names its folder (default .data/demo). DB_FAST=1 is for throw-away test data: it outlives a killed database, not
# a power cut.
# As root the server runs as user postgres; as anyone else, as that user.
#
# Three roles: the superuser signs in by the socket alone, in a folder that only the server's user may enter; the owner
# owns the tables and migrates them; the application owns nothing. Both passwords are made here, for this cluster alone.
set -euo pipefail
ROOT="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)"
OWNER=ponderis_owner; APP=ponderis_app; HOST=127.0.0.1
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
DATA="$BASE/pg"; LOG="$BASE/pg.log"; PORT_FILE="$BASE/pg.port"; PASSWORDS="$BASE/passwords"; SUPER_FILE="$BASE/superuser"
SOCK="/tmp/ponderis-pg-$(id -u)-$HASH" # socket paths hold 107 bytes at most
PORT="$(cat "$PORT_FILE" 2>/dev/null || echo "${DB_PORT:-54329}")"
SUPER="$(cat "$SUPER_FILE" 2>/dev/null || echo ponderis)" # clusters of the first releases

busy() { (exec 3<>"/dev/tcp/$HOST/$1") 2>/dev/null; }
# a folder copied while its server ran carries that server's pid: it is not ours
running() { [ -s "$DATA/PG_VERSION" ] && [ "$(sed -n 2p "$DATA/postmaster.pid" 2>/dev/null)" = "$DATA" ] && as_pg "$BIN/pg_ctl" -D "$DATA" status >/dev/null 2>&1; }
sql() { "$BIN/psql" -h "$SOCK" -p "$PORT" -U "$SUPER" -v ON_ERROR_STOP=1 "$@"; }
password() { sed -n "s/^$1=//p" "$PASSWORDS"; }
url() { echo "postgresql://$1:$(password "$1")@$HOST:$PORT/$2"; }
secret() { head -c 24 /dev/urandom | od -An -tx1 | tr -d ' \n'; }

ensure_role() { # NAME OPTIONS
  [ "$(sql -qAtd postgres -c "select 1 from pg_roles where rolname='$1'")" = 1 ] || sql -qd postgres -c "create role $1"
  sql -qd postgres -c "alter role $1 login nosuperuser nocreatedb nocreaterole nobypassrls password '$(password "$1")'"
}
ensure_roles() {
  [ -s "$PASSWORDS" ] || (umask 077; printf '%s=%s\n' "$OWNER" "$(secret)" "$APP" "$(secret)" > "$PASSWORDS")
  ensure_role "$OWNER"; ensure_role "$APP"
  # one stuck query or forgotten transaction holds nobody up for long
  sql -qd postgres -c "alter role $APP set statement_timeout = '15s'" -c "alter role $APP set lock_timeout = '5s'" \
    -c "alter role $APP set idle_in_transaction_session_timeout = '15s'"
  [ "$SUPER" != ponderis ] || sql -qd postgres -c "alter role ponderis password null"
}
ensure_db() { # NAME [LIKE]
  if [ "$(sql -qAtd postgres -c "select 1 from pg_database where datname='$1'")" != 1 ]; then
    sql -qd postgres -c "create database \"$1\" owner $OWNER ${2:+template \"$2\"}"
    # a copied sequence counts on unlogged until the next checkpoint: a crash before it would give its numbers a second time
    [ -z "${2:-}" ] || sql -qd postgres -c checkpoint
  fi
  [ "$(sql -qAtd postgres -c "select pg_get_userbyid(datdba) from pg_database where datname='$1'")" = "$OWNER" ] || take_over "$1"
}
take_over() { # a database of the first releases, where the superuser owned the tables
  sql -qd postgres -c "alter database \"$1\" owner to $OWNER"
  sql -qd "$1" -c "do \$\$ declare o record; begin
    for o in select format('%I.%I', n.nspname, c.relname) as name from pg_class c join pg_namespace n on n.oid = c.relnamespace where n.nspname = 'public' and c.relkind in ('r', 'v') loop
      execute 'alter table ' || o.name || ' owner to $OWNER'; end loop;
    for o in select p.oid::regprocedure::text as name from pg_proc p join pg_namespace n on n.oid = p.pronamespace where n.nspname = 'public' loop
      execute 'alter function ' || o.name || ' owner to $OWNER'; end loop; end \$\$"
}

make_cluster() { # under another name until it is whole
  rm -rf "$DATA.new" "$PASSWORDS"; install -d -m 700 "$DATA.new"; own "$DATA.new"
  as_pg "$BIN/initdb" -D "$DATA.new" -U postgres --auth-local=trust --auth-host=scram-sha-256 --encoding=UTF8 --locale=C.UTF-8 >/dev/null ||
    { rm -rf "$DATA.new"; echo "PostgreSQL could not make its data folder in $BASE: is the disk full?" >&2; exit 1; }
  mv "$DATA.new" "$DATA"; SUPER=postgres; echo postgres > "$SUPER_FILE"
}

start() {
  if ! running; then
    install -d -m 700 "$SOCK"; touch "$LOG"; chmod 600 "$LOG"; own "$SOCK" "$LOG"
    [ -s "$DATA/PG_VERSION" ] || { rm -rf "$DATA"; make_cluster; }
    while busy "$PORT"; do PORT=$((PORT + 1)); done
    echo "$PORT" > "$PORT_FILE"
    local fast=""; [ "${DB_FAST:-0}" = 1 ] && fast="-c fsync=off -c full_page_writes=off"
    # its log tells of faults, never of what a statement said
    as_pg "$BIN/pg_ctl" -D "$DATA" -l "$LOG" -W -s start -o "-c listen_addresses=$HOST -c port=$PORT -c unix_socket_directories=$SOCK -c max_connections=60 \
      -c log_min_error_statement=panic -c log_parameter_max_length_on_error=0 -c log_error_verbosity=terse -c log_statement=none $fast" </dev/null >/dev/null
    until_ready
  fi
  ensure_roles; ensure_db "$DB_NAME"
}
until_ready() { # as long as it needs, and says so; what does not come up is stopped
  for ((s = 0; s < 6000; s++)); do
    "$BIN/pg_isready" -q -h "$SOCK" -p "$PORT" && return
    if ((s % 10 == 9)) && ! as_pg "$BIN/pg_ctl" -D "$DATA" status >/dev/null 2>&1; then break; fi
    ((s == 0 || s % 100 != 0)) || echo "  PostgreSQL is still starting, $((s / 10)) s" >&2
    sleep 0.1
  done
  as_pg "$BIN/pg_ctl" -D "$DATA" -m immediate -s stop >/dev/null 2>&1 || true
  echo "PostgreSQL did not start. The end of its log:" >&2; tail -20 "$LOG" >&2; exit 1
}

backup() { # FILE [NAME]: everything, in one file that only its maker may read
  [ -n "${1:-}" ] || { echo "Where to? npm run backup -- FILE" >&2; exit 2; }
  running || { echo "The database is not running: start the studio first." >&2; exit 1; }
  (umask 077; "$BIN/pg_dump" -Fc -h "$SOCK" -p "$PORT" -U "$SUPER" -f "$1.part" "${2:-$DB_NAME}") && mv "$1.part" "$1"
  echo "$1: $(du -h "$1" | cut -f1)"
}
schema() { # NAME: its tables, rules and rights, and which migrations made them, as one text for a new database
  "$BIN/pg_dump" --schema-only --no-owner --schema=public -h "$SOCK" -p "$PORT" -U "$SUPER" "$1" |
    sed -E '/^(--|SET |SELECT pg_catalog|\\(un)?restrict|$)/d; /^(CREATE SCHEMA public|COMMENT ON SCHEMA public)/d'
  sql -qAtd "$1" -c "select format('INSERT INTO public.mikro_orm_migrations (name) VALUES (%L);', name) from mikro_orm_migrations order by id"
}
readable() { # FILE
  [ -s "${1:-}" ] || { echo "No such backup: ${1:-}. npm run restore -- FILE" >&2; exit 2; }
  "$BIN/pg_restore" -l "$1" >/dev/null 2>&1 || { echo "$1 is no backup that can be read. Nothing was changed." >&2; exit 1; }
}
restore() { # FILE [NAME]: into an empty database alone
  readable "${1:-}"
  local name="${2:-$DB_NAME}"
  start; ensure_db "$name"
  [ "$(sql -qAtd "$name" -c "select count(*) from pg_tables where schemaname = 'public'")" = 0 ] ||
    { echo "The database $name holds something already. Restore into an empty one: nothing was changed." >&2; exit 1; }
  "$BIN/pg_restore" -h "$SOCK" -p "$PORT" -U "$SUPER" -d "$name" --exit-on-error --single-transaction "$1"
  echo "$name: $(sql -qAtd "$name" -c "select count(*) from client") clients"
}

restore_to() { # FILE URL: into an empty database elsewhere, by its owner; $APP must be there, and owns nothing
  readable "${1:-}"
  local there=("$BIN/psql" -qAt -v ON_ERROR_STOP=1 "${2:-}")
  [ "$("${there[@]}" -c "select count(*) from pg_tables where schemaname = 'public'")" = 0 ] ||
    { echo "That database holds something already. Restore into an empty one: nothing was changed." >&2; exit 1; }
  [ "$("${there[@]}" -c "select count(*) from pg_roles where rolname = '$APP'")" = 1 ] ||
    { echo "The role $APP is missing there: create role $APP login. Nothing was changed." >&2; exit 1; }
  "$BIN/pg_restore" -d "$2" --no-owner --exit-on-error --single-transaction "$1"
  echo "Restored. Start the studio with DATABASE_OWNER_URL and DATABASE_URL of that database."
}
drill() { # FILE: whether it could be restored, without touching anything that is in use
  readable "${1:-}"
  local name="${DB_NAME}_drill" pairs
  start; bash "$0" dropdb "$name"; trap 'bash "$0" dropdb "'"$name"'" >/dev/null 2>&1' EXIT
  restore "$1" "$name" >/dev/null
  echo "Made $("$BIN/pg_restore" -l "$1" | sed -n 's/^; Archive created at //p'); the last thing written in it is of $(sql -qAtd "$name" -c "select coalesce(to_char(max(created_at) at time zone 'UTC', 'YYYY-MM-DD HH24:MI') || ' UTC, ' || (now()::date - max(created_at)::date) || ' days ago', 'no day') from audit_event")."
  sql -qAtd "$name" -c "select (select count(*) from studio) || ' studios, ' || (select count(*) from client) || ' clients, ' || (select count(*) from training_session) || ' sessions, ' || (select count(*) from performed_set where not voided) || ' sets'"
  pairs="$(sql -qAtd "$name" -c "select studio_id || ':' || id from client order by random() limit 10")"
  # shellcheck disable=SC2086
  (cd "$ROOT" && DATABASE_URL="$(url "$APP" "$name")" node_modules/.bin/tsx src/data/run-drill.ts $pairs)
}

case "${1:-start}" in
  start) start ;;
  kill) if running; then as_pg "$BIN/pg_ctl" -D "$DATA" -m immediate -w -s stop; fi ;; # as if the power went
  stop) if running; then as_pg "$BIN/pg_ctl" -D "$DATA" -m fast -w -s stop; fi ;;
  reset) bash "$0" stop; rm -rf "$DATA" "$PORT_FILE" "$PASSWORDS" "$SUPER_FILE"; exec bash "$0" start ;;
  url) url "$APP" "${2:-$DB_NAME}" ;;
  owner-url) url "$OWNER" "${2:-$DB_NAME}" ;;
  super-url) echo "postgresql://$SUPER@/${2:-$DB_NAME}?host=$SOCK&port=$PORT" ;; # for tests that look behind every policy
  createdb) ensure_db "$2" "${3:-}" ;;
  dropdb) sql -qd postgres -c "drop database if exists \"$2\" with (force)" ;;
  backup) backup "${2:-}" "${3:-}" ;;
  restore)
    if [ "${2:-}" = --drill ]; then drill "${3:-}"; elif [ "${3:-}" = --to ]; then restore_to "$2" "${4:-}"; else restore "${2:-}" "${3:-}"; fi ;;
  schema) schema "$2" ;;
  log) echo "$LOG" ;;
  psql) shift; sql -d "$DB_NAME" "$@" ;;
  *) echo "usage: $0 start|stop|kill|reset|url|owner-url|super-url|createdb NAME [LIKE]|dropdb NAME|backup FILE [NAME]|restore [--drill] FILE [NAME|--to URL]|schema NAME|log|psql" >&2; exit 2 ;;
esac
