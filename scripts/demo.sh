#!/usr/bin/env bash
# npm run demo [-- --fresh]: everything from a bare Debian machine with Node to a running app with the demo world.
set -euo pipefail
ROOT=$(cd "$(dirname "$0")/.." && pwd)
. "$ROOT/scripts/machine.sh"

need_node
mkdir -p "$ROOT/.data"
need_postgres
need_packages
home=$(database_home demo)
[ "${1:-}" != "--fresh" ] || forget_database "$home"
build_app
# Another demo on this folder may be running on the same database: who started it stops it.
ours=yes
database_runs "$home" && ours=no
server=""
leave() {
  [ -z "$server" ] || { kill "$server" 2>/dev/null; wait "$server" 2>/dev/null; }
  [ "$ours" = no ] || stop_database "$home"
}
trap 'set +e; leave' EXIT
trap 'exit 0' INT TERM
DATABASE_URL=$(start_database "$home" badger)
wanted=${PORT:-4173}
PORT=$(free_port "$wanted")
[ "$PORT" = "$wanted" ] || say "Port $wanted is taken, using $PORT."
export DATABASE_URL PORT
export SEED_DEMO=1 STATIC_DIR="$ROOT/apps/web/dist" LOG_LEVEL="${LOG_LEVEL:-warn}"
cd "$ROOT"
(as_plain_user node --import tsx apps/server/src/main.ts) &
server=$!
wait "$server"
