# shellcheck shell=bash
# The front end: npm packages, types from the contracts, and the built pages in web/dist.
NODE_WANTED=20

# Debian's own Node may be older than the build needs; then a newer one comes as an npm package.
install_node() {
  local major arch
  major=$(node -p 'process.versions.node.split(".")[0]' 2>/dev/null || echo 0)
  [ "$major" -ge "$NODE_WANTED" ] && return 0
  arch=$(uname -m | sed 's/x86_64/x64/; s/aarch64/arm64/')
  say "Installing Node $NODE_WANTED from npm (Debian's is $major)"
  npm install --no-audit --no-fund --loglevel=error --prefix var/node "node-linux-$arch@$NODE_WANTED" >/dev/null ||
    fail "Node $NODE_WANTED could not be installed. Check the network and start again."
  mkdir -p var/node/bin
  ln -sf "$PWD/var/node/node_modules/node-linux-$arch/bin/node" var/node/bin/node
  export PATH="$PWD/var/node/bin:$PATH"
}

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
