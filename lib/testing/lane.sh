#!/usr/bin/env bash
# One lane of specs: a network, a database cluster and files of its own, so that several run side by side and never meet.
#   lib/testing/lane.sh NAME RSPEC-ARGUMENTS…
set -euo pipefail
cd "$(dirname "$0")/../.."
NAME=$1
if [ "${VERANDA_NETWORK:-}" = own ]; then
  ip link set lo up
# Sound and picture cannot go over loopback: where that may be made, all runs in a network of its own.
elif [ "$(id -u)" = 0 ] && unshare --net true 2>/dev/null; then
  VERANDA_NETWORK=own exec unshare --net -- "$PWD/lib/testing/lane.sh" "$@"
fi
. lib/setup/say.sh
. lib/setup/cluster.sh
shift

# Its data is thrown away, so it need not survive a power cut.
export VERANDA_VAR=var/$NAME
CLUSTER_OPTIONS="-c fsync=off -c full_page_writes=off"
trap cluster_stop EXIT
cluster_start
export VERANDA_VAR=$VAR
DATABASE="veranda_test_$$"
trap 'psql -q "$DATABASE_BASE/postgres" -c "DROP DATABASE IF EXISTS \"$DATABASE\" WITH (FORCE)" || true; cluster_stop' EXIT
database_ensure "$DATABASE"
export DATABASE_URL="$DATABASE_BASE/$DATABASE"
bundle exec ruby demo/load.rb http://127.0.0.1 >/dev/null
bundle exec rspec "$@"
