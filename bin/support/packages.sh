# Debian packages, and a Node that is new enough. Sourced by bin/start and bin/test.

PACKAGES_RUN=(ca-certificates ruby ruby-dev bundler build-essential pkg-config libpq-dev libyaml-dev libffi-dev postgresql)
PACKAGES_TEST=(libxml2-dev libxslt1-dev chromium chromium-headless-shell chromium-driver xvfb xdotool procps linux-libc-dev usb.ids poppler-utils python3-jsonschema python3-evemu libinput-tools python3-libevdev python3-yaml udev r-base-core glpk-utils android-platform-frameworks-native-headers)
NODE_NEEDED=20.19

installed() { dpkg-query -W -f='${db:Status-Abbrev}' "$1" 2>/dev/null | grep -q '^ii'; }

# Installs what is missing as root; names the one line to run otherwise.
need_packages() {
  local missing=() package
  for package in "$@"; do installed "$package" || missing+=("$package"); done
  command -v node >/dev/null || missing+=(nodejs)
  command -v npm >/dev/null || missing+=(npm)
  [ "${#missing[@]}" -gt 0 ] || return 0
  if [ "$(id -u)" -ne 0 ]; then
    fail "packages are missing; run this once, then start again: sudo apt-get install -y ${missing[*]}"
  fi
  export DEBIAN_FRONTEND=noninteractive
  step "Reading Debian's package lists" "$LOGS/apt-update.log" apt-get -o DPkg::Lock::Timeout=300 update
  step "Installing ${#missing[@]} Debian packages (${missing[*]})" "$LOGS/apt-install.log" \
    apt-get -o DPkg::Lock::Timeout=300 install -y --no-install-recommends "${missing[@]}"
}

new_enough() { [ "$(printf '%s\n' "$NODE_NEEDED" "$1" | sort -V | head -n 1)" = "$NODE_NEEDED" ]; }

node_version() { "$1" --version 2>/dev/null | tr -d v; }

# Debian 12's own Node is older than the front end's tools need: then a newer one is
# taken from the npm registry into the cache, for Kippen alone.
need_node() {
  local found own=$CACHE/node/node_modules/node/bin
  found=$(node_version node || true)
  if new_enough "${found:-0}"; then return 0; fi
  if [ ! -x "$own/node" ]; then
    (step "Node ${found:-none} found, $NODE_NEEDED needed: fetching a newer one" "$LOGS/node.log" \
      npm install --prefix "$CACHE/node" --no-audit --no-fund node@22) || true
  fi
  if ! new_enough "$(node_version "$own/node" || echo 0)"; then
    fail "Node $NODE_NEEDED or newer is needed to build the pages; found ${found:-none}"
  fi
  PATH=$own:$PATH
}
