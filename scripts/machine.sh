# What the other scripts share: what must be on the machine, and a PostgreSQL of our own on loopback.
# Sourced, not run. Expects ROOT to be the checkout.

say() { printf '%s\n' "$*" >&2; }
die() { say "$*"; exit 1; }

need_node() {
  command -v node >/dev/null || die "Node.js is not on this machine. Version 20 or newer is needed."
  node -e 'process.exit(Number(process.versions.node.split(".")[0]) >= 20 ? 0 : 1)' || die "Node.js 20 or newer is needed, this is $(node -v)."
}

# need_debian COMMAND-OR-PATH PACKAGE…: installs the packages where the command is missing.
need_debian() {
  local command=$1; shift
  command -v "$command" >/dev/null && return
  command -v apt-get >/dev/null || die "$command is missing and this is no Debian machine: install $* by hand."
  local sudo=""
  if [ "$(id -u)" != 0 ]; then
    command -v sudo >/dev/null || die "$command is missing: install $* as root, then run this again."
    sudo=sudo
  fi
  say "Installing $* …"
  $sudo apt-get update -qq >/dev/null || true
  $sudo env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "$@" >/dev/null 2>&1 || die "Debian would not install $*."
}

need_postgres() {
  [ -n "$(pg_bin)" ] || need_debian initdb-for-badger postgresql
  [ -n "$(pg_bin)" ] || die "PostgreSQL was installed, but its initdb is nowhere to be found."
}

pg_bin() { ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -n 1; }

need_packages() {
  local stamp="$ROOT/node_modules/.package-lock.json"
  if [ ! -e "$stamp" ] || [ "$ROOT/package-lock.json" -nt "$stamp" ]; then
    say "Installing the packages of the project (about a minute) …"
    (cd "$ROOT" && npm ci --no-audit --no-fund --loglevel=error) >&2 || die "npm could not install the packages."
    touch "$stamp"
  fi
}

free_port() {
  # The wanted port where it is free, any other where it is not.
  node -e '
    const net = require("node:net");
    const attempt = (port) => net.createServer().once("error", () => attempt(0)).listen(port, "127.0.0.1", function () {
      const { port } = this.address();
      this.close(() => console.log(port));
    });
    attempt(Number(process.argv[1]));' "$1"
}

# PostgreSQL refuses root: as root its files belong to the system user "postgres".
as_database_user() {
  if [ "$(id -u)" = 0 ]; then (cd / && runuser -u postgres -- "$@"); else "$@"; fi
}

# as_plain_user COMMAND…: in place of this shell, and where it runs as root as somebody who owns nothing, if that
# user can reach the checkout and Node. What answers people needs no more.
as_plain_user() {
  local drop=(setpriv --reuid=nobody --regid=nogroup --clear-groups)
  if [ "$(id -u)" = 0 ] && "${drop[@]}" test -r "$ROOT/node_modules/tsx/package.json" && "${drop[@]}" node --version >/dev/null 2>&1; then
    exec "${drop[@]}" "$@"
  fi
  exec "$@"
}

# database_home NAME: a folder that the database user can reach. A checkout below a closed home is not one.
database_home() {
  local home="$ROOT/.data/$1"
  mkdir -p "$home"
  if [ "$(id -u)" = 0 ] && ! as_database_user test -x "$home"; then
    home="/var/tmp/patient-badger-$(printf %s "$ROOT" | cksum | cut -d' ' -f1)/$1"
    mkdir -p "$home"
  fi
  [ "$(id -u)" = 0 ] && chown postgres "$home"
  printf %s "$home"
}

database_runs() {
  as_database_user "$(pg_bin)/pg_ctl" -D "$1/cluster" status >/dev/null 2>&1
}

new_password() { node -e 'console.log(require("node:crypto").randomBytes(24).toString("hex"))'; }

# start_database HOME DATABASE: starts (and at first makes) a cluster in HOME; prints its URL.
start_database() {
  local home=$1 name=$2 bin port
  bin=$(pg_bin)
  if [ ! -e "$home/cluster/PG_VERSION" ]; then
    as_database_user "$bin/initdb" -D "$home/cluster" -U keeper -A peer --auth-host=scram-sha-256 -E UTF8 --locale=C.UTF-8 >/dev/null || die "PostgreSQL could not make its folder."
    # The app's own role may make databases and no more. Who runs the cluster reaches it as its keeper, over the socket alone.
    new_password >"$home/password"
    chmod 600 "$home/password"
    printf 'cluster %s keeper\n' "$(as_database_user id -un)" | as_database_user tee "$home/cluster/pg_ident.conf" >/dev/null
    printf 'local all keeper peer map=cluster\nhost all badger 127.0.0.1/32 scram-sha-256\n' | as_database_user tee "$home/cluster/pg_hba.conf" >/dev/null
  fi
  if database_runs "$home"; then
    port=$(as_database_user sed -n 4p "$home/cluster/postmaster.pid")
  else
    port=$(free_port "$(cat "$home/port" 2>/dev/null || echo 54329)")
    # A cleaner at work in a throw-away database belongs to the keeper, and would keep the app's role from dropping it.
    # What is thrown away after the tests need not outlive a power cut; what a bench times does.
    local throwaway=""
    case "$(basename "$home")" in
      test*) throwaway="-c autovacuum=off -c fsync=off" ;;
      bench*) throwaway="-c autovacuum=off" ;;
    esac
    as_database_user "$bin/pg_ctl" -w -D "$home/cluster" -l "$home/log" \
      -o "-c listen_addresses=127.0.0.1 -p $port -c unix_socket_directories=$home $throwaway" start >/dev/null || die "PostgreSQL did not start; see $home/log."
  fi
  if [ ! -e "$home/password" ]; then
    # A folder from before the app had a role of its own.
    as_database_user "$bin/psql" -h 127.0.0.1 -p "$port" -U badger -d postgres -tAc "SELECT 1 FROM pg_database WHERE datname = '$name'" | grep -q 1 ||
      as_database_user "$bin/createdb" -h 127.0.0.1 -p "$port" -U badger "$name"
    printf 'postgres://badger@127.0.0.1:%s/%s' "$port" "$name"
    return
  fi
  local password
  password=$(cat "$home/password")
  as_keeper() { as_database_user "$bin/psql" -h "$home" -p "$port" -U keeper -d postgres -qtA "$@"; }
  as_keeper -c "SELECT 1 FROM pg_roles WHERE rolname = 'badger'" | grep -q 1 ||
    as_keeper -c "CREATE ROLE badger LOGIN CREATEDB PASSWORD '$password'" >/dev/null
  as_keeper -c "SELECT 1 FROM pg_database WHERE datname = '$name'" | grep -q 1 || as_keeper -c "CREATE DATABASE $name OWNER badger" >/dev/null
  printf 'postgres://badger:%s@127.0.0.1:%s/%s' "$password" "$port" "$name"
}

# crash_database HOME: the database as it is after a power cut; `start_database` brings it back on the same port.
crash_database() {
  local home=$1 port
  port=$(as_database_user sed -n 4p "$home/cluster/postmaster.pid")
  as_database_user "$(pg_bin)/pg_ctl" -D "$home/cluster" -m immediate stop >/dev/null 2>&1 || true
  printf '%s' "$port" | as_database_user tee "$home/port" >/dev/null
}

stop_database() {
  as_database_user "$(pg_bin)/pg_ctl" -D "$1/cluster" -m fast stop >/dev/null 2>&1 || true
}

forget_database() {
  stop_database "$1"
  rm -rf "${1:?}/cluster"
}

# built_since STAMP PATH…: whether nothing below these paths is newer than the stamp.
built_since() {
  local stamp=$1; shift
  [ -e "$stamp" ] && [ -z "$(find "$@" "$ROOT/package-lock.json" \
    -path '*/dist' -prune -o -path '*/node_modules' -prune -o -path '*/.expo' -prune -o -type f -newer "$stamp" -print -quit)" ]
}

# build_app: exports the app and puts the server together where their sources are newer than what was built last.
build_app() {
  build_server
  build_screens
}

build_server() {
  built_since "$ROOT/apps/server/dist/main.js" "$ROOT/apps/server" "$ROOT/packages" "$ROOT/scripts/buildServer.ts" && return
  (cd "$ROOT" && node --import tsx scripts/buildServer.ts) >&2 || die "The server could not be built."
}

build_screens() {
  local out="$ROOT/apps/web/dist" stamp="$ROOT/apps/web/dist/.built"
  built_since "$stamp" "$ROOT/apps/web" "$ROOT/packages" && return
  say "Building the app (a minute or two the first time) …"
  rm -rf "$out"
  (cd "$ROOT/apps/web" && EXPO_NO_TELEMETRY=1 EXPO_OFFLINE=1 CI=1 npx expo export --platform web --output-dir dist) >"$ROOT/.data/build.log" 2>&1 ||
    { tail -n 40 "$ROOT/.data/build.log" >&2; die "The app could not be built."; }
  (cd "$ROOT" && node scripts/serviceWorker.js "$out") >>"$ROOT/.data/build.log" 2>&1 || { tail -n 20 "$ROOT/.data/build.log" >&2; die "The offline worker could not be built."; }
  (cd "$ROOT" && node scripts/pack.js "$out") >>"$ROOT/.data/build.log" 2>&1 || { tail -n 20 "$ROOT/.data/build.log" >&2; die "The app could not be packed."; }
  touch "$stamp"
}
