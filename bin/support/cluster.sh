# Kippen's own cluster, for the scripts beside bin/start: found where it runs, else started for as long as it is
# needed. Sourced after say.sh and postgres.sh; sets DATA, PG_HOME, PG_PORT.

if [ "$(id -u)" -eq 0 ]; then DATA=${KIPPEN_DATA:-/var/lib/kippen}; else DATA=${KIPPEN_DATA:-${XDG_DATA_HOME:-$HOME/.local/share}/kippen}; fi
PG_HOME=$DATA/postgres STARTED_HERE=no

end_cluster() { if [ "$STARTED_HERE" = yes ]; then pg_stop || true; fi; }

need_cluster() {
  [ -n "$PG_BIN" ] || fail "PostgreSQL is not installed here; bin/start installs it"
  trap end_cluster EXIT
  trap 'exit 130' INT TERM HUP
  if [ -s "$PG_HOME/data/PG_VERSION" ] && pg_running; then
    PG_PORT=$(sed -n 4p "$PG_HOME/data/postmaster.pid")
    return 0
  fi
  PG_PORT=$(free_port "$PG_FIRST_PORT")
  pg_create >/dev/null 2>&1 || fail "PostgreSQL's data folder could not be made in $PG_HOME"
  STARTED_HERE=yes
  pg_start 8>&- 9>&- >/dev/null 2>&1 || fail "PostgreSQL could not be started; log: $PG_HOME/server.log"
}
