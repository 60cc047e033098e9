#!/usr/bin/env bash
# npm test: everything, from a fresh clone on a Debian machine with Node only. Ends with "N passed, N failed".
set -uo pipefail
ROOT=$(cd "$(dirname "$0")/.." && pwd)
. "$ROOT/scripts/machine.sh"
cd "$ROOT" || exit 1

need_node
mkdir -p "$ROOT/.data" "$ROOT/test-output"
# Debian's packages and npm's come from two places: neither waits for the other.
need_packages & packages=$!
need_postgres
need_debian chromium-headless-shell chromium-headless-shell
wait "$packages" || exit 1
printf 'ready after %s s\n' "$SECONDS"

home=$(database_home test)
forget_database "$home"
trap 'stop_database "$home"' EXIT
TEST_DATABASE_URL=$(start_database "$home" badger) || exit 1
export TEST_DATABASE_URL
# Long sweeps take a share that differs from commit to commit; all of them with THOROUGH=1.
COMMIT=$(git -C "$ROOT" rev-parse HEAD 2>/dev/null || true)
export COMMIT

passed=0
failed=0
count() { passed=$((passed + $1)); failed=$((failed + $2)); }

# begin NAME COMMAND…: one thing that holds or does not, beside what else runs; `finish NAME…` waits for it and counts.
begin() {
  local name=$1; shift
  rm -f "$ROOT/test-output/$name.rc"
  (SECONDS=0; "$@" >"$ROOT/test-output/$name.log" 2>&1; echo $? >"$ROOT/test-output/$name.rc"; echo $SECONDS >"$ROOT/test-output/$name.seconds") &
  pids[$name]=$!
}
finish() {
  local name
  for name in "$@"; do
    wait "${pids[$name]}" 2>/dev/null || true
    if [ "$(cat "$ROOT/test-output/$name.rc" 2>/dev/null)" = 0 ]; then
      printf 'ok    %s (%s s)\n' "$name" "$(cat "$ROOT/test-output/$name.seconds")"; count 1 0
    else
      printf 'FAIL  %s\n' "$name"; tail -n 60 "$ROOT/test-output/$name.log"; count 0 1
    fi
  done
}
declare -A pids

# jest_projects NAME…: two files at once, stories in the browser too;
# counts the tests of these projects, and a suite that would not start as a failure.
jest_projects() {
  local out="$ROOT/test-output/$1.json"
  rm -f "$out"
  npx jest --maxWorkers=2 --selectProjects "$@" --json --outputFile="$out" 2>&1 | grep -vE '^npm warn' || true
  if [ -e "$out" ]; then
    # shellcheck disable=SC2046
    count $(node -e '
      const r = JSON.parse(require("fs").readFileSync(process.argv[1], "utf8"));
      console.log(r.numPassedTests, r.numFailedTests + r.numRuntimeErrorTestSuites + (r.numTotalTests === 0 ? 1 : 0));' "$out")
  else
    printf 'FAIL  jest would not run for %s\n' "$*"; count 0 1
  fi
}

# Two at once on two cores; each alone leaves the other core idle.
beside() {
  while [ "$(jobs -rp | wc -l)" -ge 2 ]; do wait -n || true; done
  begin "$@"
}
beside types npm run -s typecheck
beside format npm run -s format:check
beside build build_app
# Once the types of the routes are written: lint goes on beside the first tests.
beside lint npm run -s lint
finish types format build

jest_projects core server screens
begin unused npm run -s unused
finish lint unused
if [ "$(cat "$ROOT/test-output/build.rc")" = 0 ]; then jest_projects browser; else count 0 1; fi

printf '\nafter %s s\n%s passed, %s failed\n' "$SECONDS" "$passed" "$failed"
[ "$failed" = 0 ]
