# A PostgreSQL cluster of Kippen's own, on loopback. Sourced by bin/start and bin/test.
# PG_HOME: its folder; PG_PORT: its port; both set by the caller.

PG_BIN=$(find /usr/lib/postgresql -maxdepth 2 -name bin -type d 2>/dev/null | sort -V | tail -n 1)

# initdb and the server refuse to run as root: then they run as the user postgres.
as_pg_user() {
  if [ "$(id -u)" -eq 0 ]; then (cd / && runuser -u postgres -- "$@"); else "$@"; fi
}

# Where Kippen's own cluster looks for a port: below those that systems give to connections as they are made, of
# which any may be in use for a moment though nobody listens there.
PG_FIRST_PORT=14310

port_taken() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

# The first free port from $1 on.
free_port() {
  local port=$1
  while port_taken "$port"; do port=$((port + 1)); done
  printf '%s' "$port"
}

pg_create() {
  [ -s "$PG_HOME/data/PG_VERSION" ] && return 0
  rm -rf "$PG_HOME"
  mkdir -p "$PG_HOME/socket"
  head -c 24 /dev/urandom | od -An -tx1 | tr -d ' \n' >"$PG_HOME/password"
  chmod 700 "$PG_HOME" "$PG_HOME/socket"
  chmod 600 "$PG_HOME/password"
  if [ "$(id -u)" -eq 0 ]; then chown -R postgres: "$PG_HOME"; fi
  as_pg_user test -x "$PG_HOME" || { echo "the user postgres can't reach $PG_HOME"; return 1; }
  # Into place only when it is whole.
  as_pg_user "$PG_BIN/initdb" -D "$PG_HOME/data.new" -U kippen --pwfile="$PG_HOME/password" --auth=scram-sha-256 \
    --encoding=UTF8 --locale=C.UTF-8 || return 1
  mv "$PG_HOME/data.new" "$PG_HOME/data"
}

# What clients are told of must not come into the log: no statements, no values. A file a weekday, so that
# nothing is kept longer than seven days.
PG_LOGS="-c logging_collector=on -c log_directory=../log -c log_filename=%a.log -c log_truncate_on_rotation=on
  -c log_rotation_age=1d -c log_rotation_size=0 -c log_error_verbosity=terse -c log_min_error_statement=panic
  -c log_statement=none -c log_min_duration_statement=-1 -c log_parameter_max_length=0 -c log_parameter_max_length_on_error=0"

pg_running() { as_pg_user "$PG_BIN/pg_ctl" -D "$PG_HOME/data" status >/dev/null 2>&1; }

# pg_start_there [further server options]: on PG_PORT, or not at all.
pg_start_there() {
  as_pg_user "$PG_BIN/pg_ctl" -D "$PG_HOME/data" -l "$PG_HOME/server.log" -w -t 30 \
    -o "-c listen_addresses=127.0.0.1 -p $PG_PORT -c unix_socket_directories=$PG_HOME/socket ${PG_LOGS//$'\n'/ } $*" start
}

# What PostgreSQL said last, at its start and in its log of today.
pg_last_words() { tail -q -n 3 "$PG_HOME/server.log" "$PG_HOME/log/$(LC_ALL=C date +%a).log" 2>/dev/null || true; }

# pg_start [further server options]. After a hard stop the old process may linger a moment; where
# somebody else has the port, listening or not, PG_PORT becomes the next.
pg_start() {
  local try
  pg_running && pg_stop
  as_pg_user mkdir -p "$PG_HOME/log"
  # Only of this start: what an earlier Kippen wrote there may tell of clients.
  as_pg_user truncate -s 0 "$PG_HOME/server.log"
  for try in 1 2 3; do
    pg_start_there "$@" && return 0
    pg_last_words
    sleep "$try"
    PG_PORT=$(free_port $((PG_PORT + 1)))
  done
  return 1
}

pg_stop() { as_pg_user "$PG_BIN/pg_ctl" -D "$PG_HOME/data" -m fast -w stop >/dev/null 2>&1; }

pg_url() { printf 'postgres://kippen:%s@127.0.0.1:%s/%s' "$(cat "$PG_HOME/password")" "$PG_PORT" "$1"; }

pg_database() {
  PGPASSWORD=$(cat "$PG_HOME/password") psql -X -q -h 127.0.0.1 -p "$PG_PORT" -U kippen -d postgres -tAc \
    "SELECT 1 FROM pg_database WHERE datname = '$1'" | grep -q 1 && return 0
  PGPASSWORD=$(cat "$PG_HOME/password") psql -X -q -h 127.0.0.1 -p "$PG_PORT" -U kippen -d postgres -c "CREATE DATABASE $1"
}
