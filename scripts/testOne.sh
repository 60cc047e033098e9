#!/usr/bin/env bash
# npm run test:one -- PATH [-t NAME]: one test file of any kind in seconds, or the tests beside a folder.
# Server tests and browser stories get a throw-away database, which stays up between runs; stories also the built app.
set -euo pipefail
ROOT=$(cd "$(dirname "$0")/.." && pwd)
. "$ROOT/scripts/machine.sh"
cd "$ROOT"
path=${1:-}
[ -n "$path" ] || die "Say which file: npm run test:one -- packages/core/src/gear/arcs.test.ts [-t NAME]"
[ -e "$path" ] || die "There is no $path."
shift
need_node
need_packages
path=$(realpath --relative-to="$ROOT" "$path")

with_database() {
  need_postgres
  mkdir -p "$ROOT/.data"
  local home
  home=$(database_home test-one)
  TEST_DATABASE_URL=$(start_database "$home" badger)
  export TEST_DATABASE_URL
}

case "$path" in
  packages/core/cases/*.json) exec npm run -s cases -- "$path" ;;
  packages/*) project=core ;;
  apps/server/*) project=server; with_database ;;
  apps/web/*) project=screens ;;
  e2e/*) project=browser; with_database; need_debian chromium-headless-shell chromium-headless-shell; build_app ;;
  *) die "$path is below none of packages, apps and e2e, where the tests are." ;;
esac
exec npx jest "$path" "$@" --selectProjects "$project"
