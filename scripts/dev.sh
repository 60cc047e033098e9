#!/usr/bin/env bash
# npm run dev [-- --fresh]: the loop of who works on it. A database of its own, the server started anew at each
# change, and Expo's dev server, which shows a changed screen at once and passes /api on to the server.
set -euo pipefail
ROOT=$(cd "$(dirname "$0")/.." && pwd)
. "$ROOT/scripts/machine.sh"

need_node
mkdir -p "$ROOT/.data"
need_postgres
need_packages
home=$(database_home dev)
[ "${1:-}" != "--fresh" ] || forget_database "$home"
children=()
leave() {
  [ ${#children[@]} = 0 ] || kill "${children[@]}" 2>/dev/null
  wait
  stop_database "$home"
}
trap 'set +e; leave' EXIT
trap 'exit 0' INT TERM
DATABASE_URL=$(start_database "$home" badger)
API_PORT=$(free_port 4174)
WEB_PORT=$(free_port "${PORT:-4173}")
cd "$ROOT"
DATABASE_URL=$DATABASE_URL PORT=$API_PORT SEED_DEMO=1 LOG_LEVEL="${LOG_LEVEL:-warn}" \
  "$ROOT/node_modules/.bin/tsx" watch --clear-screen=false apps/server/src/main.ts &
children+=($!)
say "Screens at http://127.0.0.1:$WEB_PORT (the first page takes a minute to bundle, a change seconds)."
(cd apps/web && API_PORT=$API_PORT EXPO_NO_TELEMETRY=1 EXPO_OFFLINE=1 BROWSER=none exec "$ROOT/node_modules/.bin/expo" start --web --port "$WEB_PORT") </dev/null &
children+=($!)
wait -n
