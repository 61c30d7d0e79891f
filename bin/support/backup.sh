# Back-ups by PostgreSQL's own tools. Sourced; PG_BIN, PG_HOME and PG_PORT are set, the cluster runs.

sql() { PGOPTIONS="-c client_min_messages=warning" PGPASSWORD=$(cat "$PG_HOME/password") psql -X -q -v ON_ERROR_STOP=1 -h 127.0.0.1 -p "$PG_PORT" -U kippen -d "$1" -tAc "$2"; }

with_tool() {
  local tool=$1
  shift
  PGPASSWORD=$(cat "$PG_HOME/password") "$PG_BIN/$tool" -h 127.0.0.1 -p "$PG_PORT" -U kippen "$@"
}

# What is counted to know that a copy is whole, as "clients revisions accounts".
holdings() { sql "$1" "SELECT (SELECT count(*) FROM clients), (SELECT count(*) FROM revisions), (SELECT count(*) FROM accounts)" | tr '|' ' '; }

# The same of a back-up, read from its first to its last row; nothing is put anywhere.
held_in() {
  "$PG_BIN/pg_restore" -f - "$1" | LC_ALL=C awk '
    /^COPY public\.(clients|revisions|accounts) / { split($2, parts, "."); table = parts[2]; next }
    /^\\\.$/ { table = "" }
    table { rows[table]++ }
    END { print rows["clients"] + 0, rows["revisions"] + 0, rows["accounts"] + 0 }'
}

# One back-up or restore at a time in this data folder. The lock is held until fd 8 is closed.
one_at_a_time() {
  exec 8>"$DATA/backup.lock"
  flock -n 8 || fail "another back-up or restore is at work in $DATA; wait for it"
}

# Half a file that was written when it ended.
drop_unfinished() {
  if [ -s "$DATA/unfinished" ]; then rm -f -- "$(cat "$DATA/unfinished")"; fi
  rm -f "$DATA/unfinished"
}

# Whatever was left behind where one was ended hard: half a file, a copy beside what is there. What was erased since
# still stands in them. At each start, back-up and restore; the lock is held.
tidy_up() {
  local left
  drop_unfinished
  for left in kippen_check kippen_restored kippen_before; do sql postgres "DROP DATABASE IF EXISTS $left" || return 1; done
}

megabytes_of() { sql postgres "SELECT pg_database_size('$1') / 1048576 + 1"; }

# As of one moment, whatever is saved meanwhile: back_up FILE. It is there whole or not at all; what is
# told was read back out of it. Sets HELD. Room for it is looked for before.
back_up() {
  local file=$1 part=$1.part counted
  need_space $(($(megabytes_of kippen) + 100)) "$(dirname "$file")"
  printf '%s' "$part" >"$DATA/unfinished"
  if (umask 077 && : >"$part") && with_tool pg_dump -Fc -d kippen >"$part" && counted=$(held_in "$part") && sync "$part" && mv "$part" "$file"; then
    rm -f "$DATA/unfinished"
    HELD=$counted
  else
    drop_unfinished
    return 1
  fi
}

# "2 clients, 7 revisions, 3 accounts"
in_words() { printf '%s clients, %s revisions, %s accounts' $1; }
