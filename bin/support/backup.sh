# Back-ups by PostgreSQL's own tools. Sourced; PG_BIN, PG_HOME and PG_PORT are set, the cluster runs.

sql() { PGOPTIONS="-c client_min_messages=warning" PGPASSWORD=$(cat "$PG_HOME/password") psql -X -q -v ON_ERROR_STOP=1 -h 127.0.0.1 -p "$PG_PORT" -U kippen -d "$1" -tAc "$2"; }

with_tool() {
  local tool=$1
  shift
  PGPASSWORD=$(cat "$PG_HOME/password") "$PG_BIN/$tool" -h 127.0.0.1 -p "$PG_PORT" -U kippen "$@"
}

# What is counted to know that a copy is whole, as "clients revisions accounts".
holdings() { sql "$1" "SELECT (SELECT count(*) FROM clients), (SELECT count(*) FROM revisions), (SELECT count(*) FROM accounts)" | tr '|' ' '; }

# As of one moment, whatever is saved meanwhile: back_up FILE. It is there whole or not at all; what is
# told was read back out of it. Sets HELD.
back_up() {
  local file=$1 part=$1.part counted
  (umask 077 && : >"$part") || return 1
  with_tool pg_dump -Fc -d kippen >"$part" || { rm -f "$part"; return 1; }
  sql postgres "DROP DATABASE IF EXISTS kippen_check" && sql postgres "CREATE DATABASE kippen_check" || return 1
  with_tool pg_restore --exit-on-error --no-owner -d kippen_check <"$part" || { rm -f "$part"; return 1; }
  counted=$(holdings kippen_check) || return 1
  sql postgres "DROP DATABASE kippen_check" || return 1
  sync "$part" && mv "$part" "$file" || return 1
  HELD=$counted
}

# "2 clients, 7 revisions, 3 accounts"
in_words() { printf '%s clients, %s revisions, %s accounts' $1; }
