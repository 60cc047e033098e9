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
if [ "${1:-}" = "--fresh" ]; then
  stop_database "$home"
  rm -rf "${home:?}/cluster"
fi
build_app
trap 'stop_database "$home"' EXIT
DATABASE_URL=$(start_database "$home" badger)
wanted=${PORT:-4173}
PORT=$(free_port "$wanted")
[ "$PORT" = "$wanted" ] || say "Port $wanted is taken, using $PORT."
export DATABASE_URL PORT
export SEED_DEMO=1 STATIC_DIR="$ROOT/apps/web/dist" LOG_LEVEL="${LOG_LEVEL:-warn}"
cd "$ROOT"
node --import tsx apps/server/src/main.ts &
server=$!
trap 'kill "$server" 2>/dev/null; wait "$server" 2>/dev/null; stop_database "$home"' EXIT
trap 'exit 0' INT TERM
wait "$server"
