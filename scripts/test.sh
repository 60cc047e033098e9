#!/usr/bin/env bash
# npm test: everything, from a fresh clone on a Debian machine with Node only. Ends with "N passed, N failed".
set -uo pipefail
ROOT=$(cd "$(dirname "$0")/.." && pwd)
. "$ROOT/scripts/machine.sh"
cd "$ROOT" || exit 1

need_node
mkdir -p "$ROOT/.data" "$ROOT/test-output"
need_postgres
need_debian chromium chromium
need_packages

home=$(database_home test)
forget_database "$home"
trap 'stop_database "$home"' EXIT
TEST_DATABASE_URL=$(start_database "$home" badger) || exit 1
export TEST_DATABASE_URL

passed=0
failed=0
count() { passed=$((passed + $1)); failed=$((failed + $2)); }

# check NAME COMMAND…: one thing that holds or does not.
check() {
  local name=$1; shift
  if "$@" >"$ROOT/test-output/$name.log" 2>&1; then
    printf 'ok    %s\n' "$name"; count 1 0
  else
    printf 'FAIL  %s\n' "$name"; tail -n 60 "$ROOT/test-output/$name.log"; count 0 1
  fi
}

# jest_projects NAME…: (browser stories one after another: two at once starve each other on a small machine)
# counts the tests of these projects, and a suite that would not start as a failure.
jest_projects() {
  local out="$ROOT/test-output/$1.json"
  rm -f "$out"
  npx jest $( [ "$1" = browser ] && echo --runInBand ) --selectProjects "$@" --json --outputFile="$out" 2>&1 | grep -vE '^npm warn' || true
  if [ -e "$out" ]; then
    # shellcheck disable=SC2046
    count $(node -e '
      const r = JSON.parse(require("fs").readFileSync(process.argv[1], "utf8"));
      console.log(r.numPassedTests, r.numFailedTests + r.numRuntimeErrorTestSuites + (r.numTotalTests === 0 ? 1 : 0));' "$out")
  else
    printf 'FAIL  jest would not run for %s\n' "$*"; count 0 1
  fi
}

check types npm run -s typecheck
check lint npm run -s lint
check format npm run -s format:check
check unused npm run -s unused

jest_projects core server screens
build_app && jest_projects browser || count 0 1

printf '\n%s passed, %s failed\n' "$passed" "$failed"
[ "$failed" = 0 ]
