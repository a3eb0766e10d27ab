# shellcheck shell=bash
# A PostgreSQL cluster of the project's own, on loopback, never run as root.
#
#   cluster_start      # starts it if it is not running; sets CLUSTER_STARTED and DATABASE_BASE
#   cluster_stop       # stops it if this script started it
CLUSTER_STARTED=no

cluster_bin() { ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -1; }

# PostgreSQL refuses to run as root, so root hands it to the user Debian's package made.
cluster_user() { [ "$(id -u)" = 0 ] && echo postgres || id -un; }
as_cluster_user() { if [ "$(id -u)" = 0 ]; then runuser -u postgres -- "$@"; else "$@"; fi; }

# That user may not be let into the checkout; then the data lies beside it, under /var/lib.
cluster_home() {
  if as_cluster_user test -x "$VAR"; then echo "$VAR/postgres"; else echo "/var/lib/veranda-$(printf %s "$VAR" | sha256sum | cut -c1-12)/postgres"; fi
}

free_port() { ruby -rsocket -e 's = TCPServer.new("127.0.0.1", 0); puts s.addr[1]'; }

cluster_create() {
  say "Making a PostgreSQL cluster in $CLUSTER"
  mkdir -p "$CLUSTER"
  [ -s "$VAR/postgres-password" ] || (umask 077; ruby -rsecurerandom -e 'print SecureRandom.alphanumeric(32)' >"$VAR/postgres-password")
  chown "$(cluster_user)" "$CLUSTER"
  chmod 700 "$CLUSTER"
  install -m 600 -o "$(cluster_user)" "$VAR/postgres-password" "$CLUSTER/password"
  as_cluster_user "$BIN/initdb" -D "$CLUSTER/data" -U veranda --auth=scram-sha-256 --pwfile="$CLUSTER/password" \
    --encoding=UTF8 --locale=C.UTF-8 >"$VAR/initdb.log" 2>&1 ||
    { tail -5 "$VAR/initdb.log"; fail "PostgreSQL could not make its cluster; $VAR/initdb.log says why."; }
  rm "$CLUSTER/password"
}

cluster_running() { as_cluster_user "$BIN/pg_ctl" -D "$CLUSTER/data" status >/dev/null 2>&1; }

cluster_start() {
  VAR=$(mkdir -p "${VERANDA_VAR:-var}" && cd "${VERANDA_VAR:-var}" && pwd)
  BIN=$(cluster_bin)
  CLUSTER=$(cluster_home)
  as_cluster_user test -s "$CLUSTER/data/PG_VERSION" || cluster_create
  if ! cluster_running; then
    free_port >"$VAR/postgres-port"
    say "Starting PostgreSQL on 127.0.0.1:$(cat "$VAR/postgres-port")"
    as_cluster_user "$BIN/pg_ctl" -D "$CLUSTER/data" -w -t 60 -l "$CLUSTER/log" \
      -o "-c listen_addresses=127.0.0.1 -c port=$(cat "$VAR/postgres-port") -c unix_socket_directories='' -c max_connections=200 ${CLUSTER_OPTIONS:-}" \
      start >/dev/null || { as_cluster_user tail -5 "$CLUSTER/log"; fail "PostgreSQL did not start."; }
    CLUSTER_STARTED=yes
  fi
  DATABASE_BASE="postgres://veranda:$(cat "$VAR/postgres-password")@127.0.0.1:$(cat "$VAR/postgres-port")"
}

cluster_stop() {
  [ "$CLUSTER_STARTED" = yes ] || return 0
  as_cluster_user "$BIN/pg_ctl" -D "$CLUSTER/data" -m fast -w stop >/dev/null 2>&1 || true
}

# Makes a database unless it is there.
database_ensure() {
  psql -q "$DATABASE_BASE/postgres" -tAc "SELECT 1 FROM pg_database WHERE datname = '$1'" | grep -q 1 ||
    psql -q "$DATABASE_BASE/postgres" -c "CREATE DATABASE \"$1\""
}
