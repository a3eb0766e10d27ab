# shellcheck shell=bash
# The front end: npm packages, types from the contracts, and the built pages in web/dist.
install_npm() {
  local stamp=web/node_modules/.installed
  [ -e "$stamp" ] && [ ! web/package-lock.json -nt "$stamp" ] && return 0
  say "Installing npm packages"
  (cd web && npm ci --no-audit --no-fund --loglevel=error) || fail "npm packages could not be installed. Check the network and start again."
  touch "$stamp"
}

build_web() {
  local stamp=web/dist/.built
  [ -e "$stamp" ] && [ -z "$(find web/src web/public web/index.html web/vite.config.ts web/package-lock.json -newer "$stamp" -print -quit)" ] && return 0
  say "Building the front end"
  (cd web && npm run --silent build -- --logLevel warn) || fail "The front end did not build."
  touch "$stamp"
}
