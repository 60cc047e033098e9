#!/usr/bin/env bash
# scripts/withApp.sh SCRIPT.ts: runs a script beside the built app and a throw-away database.
set -euo pipefail
ROOT=$(cd "$(dirname "$0")/.." && pwd)
. "$ROOT/scripts/machine.sh"
need_node
mkdir -p "$ROOT/.data"
need_postgres
need_debian chromium-headless-shell chromium-headless-shell
need_packages
build_app
home=$(database_home bench)
TEST_DATABASE_URL=$(start_database "$home" badger)
export TEST_DATABASE_URL
trap 'stop_database "$home"' EXIT
cd "$ROOT"
node --import tsx "$@"
