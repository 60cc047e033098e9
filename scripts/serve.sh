#!/usr/bin/env bash
# npm start: everything from a bare Debian machine with Node to a running app for a shop of one's own.
# npm run demo [-- --fresh]: the same with the demo world, on a database of its own.
# Settings are in docs/running.md; DATABASE_URL given here means a PostgreSQL that somebody else looks after.
set -euo pipefail
ROOT=$(cd "$(dirname "$0")/.." && pwd)
. "$ROOT/scripts/machine.sh"

what=$1
shift
need_node
mkdir -p "$ROOT/.data"
need_packages
home=""
ours=no
if [ "$what" = demo ] || [ -z "${DATABASE_URL:-}" ]; then
  need_postgres
  home=$(database_home "$what")
  case "${1:-}" in
    --fresh)
      [ "$what" = demo ] || die "--fresh is for the demo: what a shop has written is not thrown away by a start."
      forget_database "$home"
      ;;
  esac
  # Another start on this folder may be running on the same database: who started it stops it.
  database_runs "$home" || ours=yes
fi
build_app
server=""
leave() {
  [ -z "$server" ] || { kill "$server" 2>/dev/null; wait "$server" 2>/dev/null; }
  [ "$ours" = no ] || stop_database "$home"
}
trap 'set +e; leave' EXIT
trap 'exit 0' INT TERM
[ -z "$home" ] || DATABASE_URL=$(start_database "$home" badger)
wanted=${PORT:-4173}
if [ "$what" = demo ]; then
  PORT=$(free_port "$wanted")
  [ "$PORT" = "$wanted" ] || say "Port $wanted is taken, using $PORT."
  export SEED_DEMO=1
else
  # Phones know the shop by its address: it does not move to another by itself.
  PORT=$wanted
  [ "$(free_port "$wanted")" = "$wanted" ] || die "Port $wanted is taken. Stop what has it, or start with another PORT."
fi
[ -z "$home" ] || export DATA_DIR="$home"
export DATABASE_URL PORT
export STATIC_DIR="$ROOT/apps/web/dist" LOG_LEVEL="${LOG_LEVEL:-warn}"
cd "$ROOT"
(as_plain_user node --enable-source-maps apps/server/dist/main.js) &
server=$!
wait "$server"
