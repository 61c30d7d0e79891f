# What is to be run. Sourced by bin/test; ROOT, WORK, CHOSEN, AREAS and CACHE are set. Sets AREAS; a file AREA.files in
# CHOSEN has the files to load where not all are, AREA.only what of them is run; and WHOLE=no where that is not everything.

# What is kept of this clone from run to run.
KEPT=$CACHE/tests/$(printf '%s' "$ROOT" | cksum | cut -d ' ' -f 1)

wanted() { [[ " ${AREAS[*]} " == *" $1 "* ]]; }

tests() { find "$ROOT/$1" -name '*_test.rb' | LC_ALL=C sort; }

files_of() {
  if [ -s "$CHOSEN/$1.files" ]; then cat "$CHOSEN/$1.files"; return; fi
  case $1 in
    core | server) tests "$1/test" ;;
    system) tests test ;;
    marked) sed "s#^#$ROOT/#" "$ROOT/test/system/marked.txt" ;;
  esac
}

area_of() {
  case $1 in
    core/test/*) echo core ;;
    server/test/*) echo server ;;
    test/*) echo system ;;
    web/src/*) echo web ;;
    *) return 1 ;;
  esac
}

# choose_named [AREA|FILE…]
choose_named() {
  local what found file areas=()
  [ $# -gt 0 ] || return 0
  WHOLE=no
  for what in "$@"; do
    if wanted "$what"; then areas+=("$what"); continue; fi
    what=${what#"$ROOT"/}
    found=$(cd "$ROOT" && find core/test server/test test web/src -type f \( -name '*_test.rb' -o -name '*.test.ts' -o -name '*.test.tsx' \) |
      awk -v what="$what" '{ base = $0; sub(/.*\//, "", base); name = base; sub(/(_test)?\.rb$|\.test\.tsx?$/, "", name)
        stem = base; sub(/\.[a-z.]+$/, "", stem); if ($0 == what || base == what || name == what || stem == what) print }')
    [ -n "$found" ] || fail "no area and no file of tests is called $what; areas are ${AREAS[*]}"
    for file in $found; do
      areas+=("$(area_of "$file")")
      if [ "$(area_of "$file")" = web ]; then echo "${file#web/}" >>"$CHOSEN/web.only"; else echo "$ROOT/$file" >>"$CHOSEN/$(area_of "$file").files"; fi
    done
  done
  mapfile -t AREAS < <(printf '%s\n' "${areas[@]}" | sort -u)
}

# What all files hold just now, also those that are new, as git names it.
tree_now() {
  local index=$WORK/index
  cp "$(git -C "$ROOT" rev-parse --git-path index 2>/dev/null)" "$index" 2>/dev/null || true
  GIT_INDEX_FILE=$index git -C "$ROOT" add -A 2>/dev/null && GIT_INDEX_FILE=$index git -C "$ROOT" write-tree 2>/dev/null
}

# choose_changed [REVISION]
choose_changed() {
  local since=$1
  if [ -z "$since" ]; then since=$(cat "$KEPT/green" 2>/dev/null) || fail "no whole run was green here yet; name a revision: --changed main~3"; fi
  git -C "$ROOT" rev-parse --verify --quiet "$since^{tree}" >/dev/null || fail "git knows no revision $since"
  if [ ! -s "$KEPT/record.json" ]; then
    say "What touches what was not written down here yet (bin/test --record): everything is run."
    return 0
  fi
  WHOLE=no
  bundle exec ruby "$SUPPORT/changed.rb" "$ROOT" "$KEPT/record.json" "$since" "$(tree_now)" "$CHOSEN" || fail "what changed could not be found out"
  mapfile -t AREAS <"$CHOSEN/areas"
  if [ ${#AREAS[@]} -eq 0 ]; then
    say "Nothing of what changed can touch a test: nothing was run."
    exit 3
  fi
}

# After a whole run that was green.
remember() {
  mkdir -p "$KEPT"
  if [ -s "$WORK/tree" ]; then cp "$WORK/tree" "$KEPT/green"; fi
  if [ "$RECORDING" = yes ]; then bundle exec ruby "$SUPPORT/record.rb" "$RECORD" "$(cat "$WORK/tree")" "$KEPT/record.json"; fi
  if [ "$MEASURING" = yes ]; then ruby "$SUPPORT/shared.rb" "$TIMES"; fi
  say "All of it is green."
}
