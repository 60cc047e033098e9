#!/usr/bin/env bash
# npm run screenshots: takes the pictures in docs/screenshots anew, from the demo data.
set -euo pipefail
ROOT=$(cd "$(dirname "$0")/.." && pwd)
. "$ROOT/scripts/machine.sh"
need_node
mkdir -p "$ROOT/.data"
need_postgres
need_debian chromium chromium
need_packages
build_app
home=$(database_home test)
TEST_DATABASE_URL=$(start_database "$home" badger)
export TEST_DATABASE_URL
trap 'stop_database "$home"' EXIT
cd "$ROOT"
node --import tsx scripts/screenshots.ts
