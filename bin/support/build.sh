# Gems, npm packages and the built pages. Sourced by bin/start and bin/test.

export BUNDLE_GEMFILE=$ROOT/Gemfile BUNDLE_PATH=$CACHE/gems BUNDLE_FROZEN=true BUNDLE_JOBS=2 MAKEFLAGS=-j2
export BUNDLE_FORCE_RUBY_PLATFORM=true BUNDLE_BUILD__NOKOGIRI=--use-system-libraries
export BUNDLE_SILENCE_ROOT_WARNING=1

need_gems() {
  if bundle check >"$LOGS/gems.log" 2>&1; then return 0; fi
  step "Installing Ruby gems (compiles, about two minutes the first time)" "$LOGS/gems.log" bundle install
}

# jit MEGABYTES: options for Ruby's own compiler, with so much room for what it makes; none where this Ruby has none.
jit() { ruby --yjit -e '' 2>/dev/null && printf -- '--yjit --yjit-exec-mem-size=%s' "$1" || true; }

stamp_of() { cat "$@" | sha256sum | cut -d ' ' -f 1; }

need_npm_packages() {
  local stamp
  stamp=$(stamp_of "$ROOT/web/package-lock.json")
  if [ "$(cat "$ROOT/web/node_modules/.kippen-stamp" 2>/dev/null)" = "$stamp" ]; then return 0; fi
  step "Installing npm packages" "$LOGS/npm.log" npm ci --prefix "$ROOT/web"
  printf '%s' "$stamp" >"$ROOT/web/node_modules/.kippen-stamp"
}

# Builds the pages where anything they are made from has changed since.
need_pages() {
  local stamp
  stamp=$(cd "$ROOT/web" && find src index.html vite.config.ts package-lock.json -type f | LC_ALL=C sort | xargs sha256sum | sha256sum | cut -d ' ' -f 1)
  if [ -f "$ROOT/web/dist/index.html" ] && [ "$(cat "$ROOT/web/dist/.kippen-stamp" 2>/dev/null)" = "$stamp" ]; then return 0; fi
  need_npm_packages
  step "Building the pages" "$LOGS/build.log" npm run --prefix "$ROOT/web" build
  printf '%s' "$stamp" >"$ROOT/web/dist/.kippen-stamp"
}
