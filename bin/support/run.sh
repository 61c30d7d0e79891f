# What bin/start runs, and keeps running. Sourced by bin/start; DATA, ROOT, LOGS, PORT and DATABASE_URL are set.

# So that what a start that was killed has left behind is known again.
export KIPPEN_RUN_BY=$DATA

# Processes of an earlier start on these data that are still there.
left_behind() {
  local file pid
  for file in "$DATA"/run/*.pid; do
    [ -e "$file" ] || continue
    pid=$(cat "$file")
    if [[ $pid =~ ^[0-9]+$ ]] && grep -qzxF "KIPPEN_RUN_BY=$DATA" "/proc/$pid/environ" 2>/dev/null; then printf '%s\n' "$pid"; fi
  done
}

# Ends them, gently at first. Call it only with the lock held.
end_what_was_left() {
  local left pid
  left=$(left_behind)
  [ -n "$left" ] || return 0
  say "An earlier start was cut off; ending what is left of it."
  for pid in $left; do kill -TERM "$pid" 2>/dev/null || true; done
  for _ in $(seq 50); do
    [ -n "$(left_behind)" ] || break
    sleep 0.2
  done
  for pid in $(left_behind); do kill -KILL "$pid" 2>/dev/null || true; done
  rm -f "$DATA"/run/*.pid
}

# run NAME LOG COMMAND…: in the background, remembered by its name. Sets RUN_PID.
run() {
  local name=$1 log=$2
  shift 2
  mkdir -p "$DATA/run"
  "$@" >>"$log" 2>&1 9>&- &
  RUN_PID=$!
  printf '%s' "$RUN_PID" >"$DATA/run/$name.pid"
}

# end_child PID SECONDS: ends one that was started here, and waits for it. It is told again every so many seconds: what is told
# while it becomes another program (nice, bundle, ruby) may be told to nobody.
end_child() {
  local pid=$1 again=$2 looks=0
  [ -n "$pid" ] || return 0
  while kill -0 "$pid" 2>/dev/null; do
    if [ $((looks % (again * 10))) -eq 0 ]; then kill -TERM "$pid" 2>/dev/null || true; fi
    looks=$((looks + 1))
    sleep 0.1
  done
  wait "$pid" 2>/dev/null || true
}

# With an arena of memory for every thread, as glibc has it, a process keeps far more than it uses.
start_server() {
  MALLOC_ARENA_MAX=2 RUBYOPT="$(jit 32) ${RUBYOPT:-}" run server "$LOGS/server.log" bundle exec puma -C "$ROOT/server/puma.rb"
  SERVER=$RUN_PID
}

# The worker for what nobody waits for; whoever presses goes before it.
start_worker() {
  MALLOC_ARENA_MAX=2 RUBYOPT="$(jit 32) ${RUBYOPT:-}" run worker "$LOGS/worker.log" nice -n 15 bundle exec ruby "$ROOT/server/jobs/worker.rb"
  WORKER=$RUN_PID
}

# Asks a server's health question by bash alone: is all well?
answers() {
  local address=${2:-127.0.0.1}
  (exec 3<>"/dev/tcp/$address/$1" && printf 'GET /api/health HTTP/1.0\r\nHost: %s\r\n\r\n' "$address" >&3 && head -n 1 <&3 | grep -q ' 200') 2>/dev/null
}

# The way in for clients' own devices: a second server, at the address that stands in "wanted" (see server/way_in.rb).
WAY_IN= OUTSIDE=
stop_outside() {
  [ -n "$OUTSIDE" ] || return 0
  end_child "$OUTSIDE" 15
  rm -f "$DATA/run/outside.pid" "$DATA/way-in/open"
  OUTSIDE= WAY_IN=
}

start_outside() {
  WAY_IN=$1
  KIPPEN_LISTEN=$1:$PORT KIPPEN_WORKERS=0 run outside "$LOGS/outside.log" bundle exec puma -C "$ROOT/server/puma.rb"
  OUTSIDE=$RUN_PID
}

# Opens, keeps and closes it as is wanted.
watch_way_in() {
  local wanted
  wanted=$(head -c 64 "$DATA/way-in/wanted" 2>/dev/null) || true
  [[ $wanted =~ ^[0-9]{1,3}(\.[0-9]{1,3}){3}$ ]] || wanted=
  if [ "$wanted" != "$WAY_IN" ]; then
    if [ -n "$OUTSIDE" ]; then stop_outside && say "Devices of clients can't join from other machines any more."; fi
    if [ -n "$wanted" ]; then start_outside "$wanted"; fi
  elif [ -n "$OUTSIDE" ] && ! kill -0 "$OUTSIDE" 2>/dev/null; then
    grep -m 1 -o 'Address already in use\|Cannot assign requested address' <(tail -n 20 "$LOGS/outside.log") >"$DATA/way-in/failed" ||
      echo "it ended by itself" >"$DATA/way-in/failed"
    rm -f "$DATA/way-in/wanted"
    wanted=$WAY_IN
    stop_outside
    say "The way in at $wanted could not be kept open ($(cat "$DATA/way-in/failed")); log: $LOGS/outside.log"
  elif [ -n "$OUTSIDE" ] && [ ! -e "$DATA/way-in/open" ] && answers "$PORT" "$WAY_IN"; then
    printf '%s:%s' "$WAY_IN" "$PORT" >"$DATA/way-in/open"
    say "Devices of clients join by code at http://$WAY_IN:$PORT/join"
  fi
}

# Below so much the pages say so and nothing is saved: PostgreSQL must never meet a full disk.
LEAST_MB=200
watch_room() {
  local free
  # Nothing of this may end the watch, least of all on a disk that is full.
  free=$(df -Pm "$DATA" 2>/dev/null | awk 'NR == 2 { print $4 }') || true
  if [ "${free:-$LEAST_MB}" -lt "$LEAST_MB" ]; then
    [ -e "$DATA/no-room" ] || say "Only $free MB are left on the disk of $DATA: nothing is saved until there is room again."
    : 2>/dev/null >"$DATA/no-room" || true
  elif [ -e "$DATA/no-room" ]; then
    rm -f "$DATA/no-room"
    say "There is room on the disk again."
  fi
}

# Kippen's own logs: the newest part, and the one before. Who writes them appends, so they go on at the beginning.
MOST_LOG_MB=10
trim_logs() {
  local log
  find "$LOGS" -maxdepth 1 -name '*.log' -size "+${MOST_LOG_MB}M" 2>/dev/null | while read -r log; do
    tail -c 1M "$log" >"$log.before" 2>/dev/null || true
    : 2>/dev/null >"$log" || true
  done
}

# What ends by itself is started again; what ends again and again before all was well is not.
MOST_AGAIN=5
again() {
  AGAIN=$((AGAIN + 1))
  if [ "$AGAIN" -gt "$MOST_AGAIN" ]; then fail "$1 ends again and again; log: $2"; fi
  say "$1 has ended by itself; it is started again."
}

# What it was doing may take a moment to end.
pg_start_again() {
  local try
  for try in 1 2 3 4 5 6 7 8; do
    pg_start_there 9>&- >>"$LOGS/postgres.log" 2>&1 && return 0
    sleep "$try" 9>&-
  done
  fail "the database could not be started again; log: $LOGS/postgres.log"
}

watch() {
  AGAIN=0
  while true; do
    # Nothing that outlives this may hold the lock.
    sleep 1 9>&- &
    wait $! || true
    watch_room
    trim_logs || true
    watch_way_in || true
    if [ "$AGAIN" -gt 0 ] && answers "$PORT"; then AGAIN=0; fi
    if [ "$PG_STARTED" = yes ] && ! pg_running; then
      again "The database" "$LOGS/postgres.log"
      pg_start_again
    fi
    if ! kill -0 "$SERVER" 2>/dev/null; then
      again "The server" "$LOGS/server.log"
      start_server
    fi
    if ! kill -0 "$WORKER" 2>/dev/null; then
      # It ends whenever the database does, which has been told.
      sleep 1
      start_worker
    fi
  done
}
