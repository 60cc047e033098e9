#!/usr/bin/env bash
# npm run backup | restore | export | import | passphrase [-- FILE or NAME]: on the shop's own database, or on DATABASE_URL.
set -euo pipefail
ROOT=$(cd "$(dirname "$0")/.." && pwd)
. "$ROOT/scripts/machine.sh"
command=$1
about=${2:-}
# Files are named from where the command was given, not from the checkout.
case "$command" in
  passphrase) ;;
  *) [ -z "$about" ] || about=$(cd "${INIT_CWD:-$PWD}" && realpath -m "$about") ;;
esac
need_node
mkdir -p "$ROOT/.data"
need_packages
need_postgres
home=""
ours=no
if [ -z "${DATABASE_URL:-}" ]; then
  home=$(database_home shop)
  database_runs "$home" || ours=yes
  trap '[ "$ours" = no ] || stop_database "$home"' EXIT
  DATABASE_URL=$(start_database "$home" badger)
  export DATABASE_URL
fi
[ -n "$about" ] || cd "${INIT_CWD:-$PWD}"
node --import "$(node -p 'require.resolve("tsx", { paths: [process.argv[1]] })' "$ROOT")" "$ROOT/apps/server/src/keeping/cli.ts" "$command" ${about:+"$about"}
