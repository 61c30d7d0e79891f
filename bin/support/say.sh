# Words to the person at the terminal. Sourced by bin/start and bin/test.

say() { printf '%s\n' "$*"; }

# One clear line, then the end.
fail() {
  printf '%s: %s\n' "${0##*/}" "$*" >&2
  exit 1
}

# step "What is done" LOGFILE command…  Runs the command with its output in the log,
# shows that time passes, and the log's last lines where it fails.
step() {
  local what=$1 log=$2 began=$SECONDS
  shift 2
  printf '%s …' "$what"
  "$@" >"$log" 2>&1 &
  local job=$!
  while kill -0 "$job" 2>/dev/null; do
    sleep 1
    if [ -t 1 ]; then printf '\r%s … %d s' "$what" $((SECONDS - began)); fi
  done
  if wait "$job"; then
    if [ -t 1 ]; then printf '\r%s …' "$what"; fi
    printf ' done in %d s\n' $((SECONDS - began))
  else
    printf '\n'
    tail -n 5 "$log" >&2
    if grep -qi 'no space left on device' "$log"; then fail "the disk is full; free some space and start again (log: $log)"; fi
    fail "$what did not work; the whole log is $log"
  fi
}

# Refuses to begin where the disk is too full to finish. need_space MEGABYTES FOLDER
need_space() {
  local free
  free=$(($(df -Pk "$2" | awk 'NR == 2 { print $4 }') / 1024))
  if [ "$free" -lt "$1" ]; then fail "only $free MB free in $2, $1 MB are needed; nothing was begun"; fi
}
