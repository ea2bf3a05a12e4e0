# Shared by bin/start and bin/test: preparing the machine, and MariaDB with a data folder of its own.
# shellcheck shell=bash
set -euo pipefail
ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)
cd "$ROOT"
VAR=${PACE_VAR:-$ROOT/var} # another folder runs a second shop beside the first
mkdir -p "$VAR" storage/app storage/logs storage/framework/{cache/data,sessions,views} bootstrap/cache
export COMPOSER_ALLOW_SUPERUSER=1 DEBIAN_FRONTEND=noninteractive

say() { printf '%s\n' "$*"; }
# last FILE LINES: the end of a log, if there is one
last() { [ ! -f "$1" ] || tail -n "$2" "$1" >&2; }
fail() { printf 'Keep Pace cannot start: %s\n' "$*" >&2; exit 1; }

need_disk() {
    local free
    free=$(df -Pm "$ROOT" | awk 'NR==2 {print $4}')
    [ "$free" -ge 1500 ] || fail "only ${free} MB are free on this disk, 1500 MB are needed. Make room and start again."
}

# patiently LOG COMMAND...: a registry may not answer for a while, so what is fetched is asked for five times
patiently() {
    local log=$1 pause; shift
    for pause in 5 15 30 60 0; do
        if "$@" > "$log" 2>&1; then return 0; fi
        [ "$pause" = 0 ] || { say "  that failed ($(grep -m1 -iE 'error|timeout|fail|err!' "$log" | cut -c1-120)); again in $pause s"; sleep "$pause"; }
    done
    return 1
}

# need_packages COMMAND-OR-FILE=PACKAGE ...
need_packages() {
    local missing=() pair modules
    modules=$(php -m 2>/dev/null || true) # whole first: grep -q leaves early, and pipefail would call that a failure
    for pair in "$@"; do
        local probe=${pair%%=*}
        case $probe in
            ext:*) grep -qix "${probe#ext:}" <<< "$modules" || missing+=("${pair#*=}") ;;
            *) command -v "$probe" >/dev/null 2>&1 || missing+=("${pair#*=}") ;;
        esac
    done
    [ ${#missing[@]} -eq 0 ] && return 0
    [ "$(id -u)" = 0 ] || fail "these Debian packages are missing: ${missing[*]}. Install them, or run this as root."
    say "Installing Debian packages: ${missing[*]}"
    patiently "$VAR/apt.log" apt_install "${missing[@]}" || { last "$VAR/apt.log" 5; fail "these Debian packages could not be installed: ${missing[*]}."; }
}

apt_install() {
    apt-get -o DPkg::Lock::Timeout=120 update -qq && apt-get -o DPkg::Lock::Timeout=120 install -y -qq --no-install-recommends "$@"
}

# unless_same NAME FILES... -- COMMAND...: runs the command unless it succeeded for these very files before
unless_same() {
    local name=$1 files=() sum; shift
    while [ "$1" != -- ]; do files+=("$1"); shift; done; shift
    sum=$(cat "${files[@]}" | cksum)
    [ "$(cat "$VAR/stamp-$name" 2>/dev/null)" = "$sum" ] && return 0
    "$@"
    printf '%s' "$sum" > "$VAR/stamp-$name"
}

install_php() {
    say 'Installing PHP packages'
    patiently "$VAR/composer.log" composer install --no-interaction --no-progress --quiet || { last "$VAR/composer.log" 15; fail 'the PHP packages could not be installed.'; }
}

install_assets() {
    say 'Installing what the pages load'
    patiently "$VAR/npm.log" npm install --no-audit --no-fund --silent || { last "$VAR/npm.log" 15; fail 'the packages of the pages could not be installed.'; }
    rm -rf public/assets; mkdir -p public/assets/fonts
    cp node_modules/bootstrap/dist/css/bootstrap.min.css node_modules/htmx.org/dist/htmx.min.js public/assets/
    local weight
    for weight in 400 500 600 700; do
        cp node_modules/@fontsource/sofia-sans-semi-condensed/files/sofia-sans-semi-condensed-latin-$weight-normal.woff2 public/assets/fonts/figures-$weight.woff2
    done
    for weight in 400 600; do
        cp node_modules/@fontsource/public-sans/files/public-sans-latin-$weight-normal.woff2 public/assets/fonts/text-$weight.woff2
    done
}

prepare() {
    need_disk
    need_packages php=php8.2-cli composer=composer npm=npm mariadbd=mariadb-server mariadb-install-db=mariadb-server \
        ext:pdo_mysql=php8.2-mysql ext:mbstring=php8.2-mbstring ext:intl=php8.2-intl ext:dom=php8.2-xml \
        ext:bcmath=php8.2-bcmath ext:curl=php8.2-curl ext:zip=php8.2-zip "$@"
    [ -d vendor ] || rm -f "$VAR/stamp-php"
    [ -d node_modules ] && [ -d public/assets ] || rm -f "$VAR/stamp-assets"
    unless_same php composer.json -- install_php
    unless_same assets package.json bin/lib.sh -- install_assets
    [ -f .env ] || printf 'APP_ENV=production\nAPP_DEBUG=false\nAPP_KEY=base64:%s\n' "$(head -c 32 /dev/urandom | base64)" > .env
}

port_is_free() { ! (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }
free_port() { local port=$1; until port_is_free "$port"; do port=$((port + 1)); done; printf '%s' "$port"; }

# db_up NAME FIRST_PORT: a MariaDB in var/NAME on a free loopback port; sets DB_PORT and DB_PID
db_up() {
    local dir=$VAR/$1 i
    DB_SOCKET=/run/keep-pace-$(printf '%s' "$dir" | cksum | cut -d' ' -f1).sock
    [ -w /run ] || DB_SOCKET=$(mktemp -u /tmp/keep-pace-XXXXXXXX.sock)
    if [ -f "$dir.pid" ] && kill -0 "$(cat "$dir.pid")" 2>/dev/null && grep -qa mariadbd "/proc/$(cat "$dir.pid")/cmdline"; then
        fail "it is running already from this folder (process $(cat "$dir.pid")). End that one first."
    fi
    if [ ! -f "$dir/ready" ]; then
        rm -rf "$dir"
        mariadb-install-db --no-defaults --auth-root-authentication-method=normal --skip-test-db --datadir="$dir" --user="$(id -un)" > "$VAR/$1-install.log" 2>&1 \
            || { last "$VAR/$1-install.log" 5; fail 'the data folder of MariaDB could not be made.'; }
        touch "$dir/ready"
    fi
    DB_PORT=$(free_port "$2")
    mariadbd --no-defaults --datadir="$dir" --user="$(id -un)" --bind-address=127.0.0.1 --port="$DB_PORT" --socket="$DB_SOCKET" \
        --pid-file="$dir.pid" --log-error="$VAR/$1.log" --skip-log-bin --innodb-buffer-pool-size=512M --innodb-log-file-size=256M \
        --character-set-server=utf8mb4 --max-connections=100 "${@:3}" > /dev/null 2>&1 &
    DB_PID=$!
    for i in $(seq 1 150); do
        mariadb-admin --no-defaults --socket="$DB_SOCKET" --user=root ping > /dev/null 2>&1 && break
        kill -0 "$DB_PID" 2>/dev/null || { last "$VAR/$1.log" 5; fail "MariaDB ended at once; its log is var/$1.log."; }
        [ "$i" = 150 ] && { kill "$DB_PID"; fail "MariaDB does not answer after 30 s; its log is var/$1.log."; }
        sleep 0.2
    done
    export DB_PORT DB_SOCKET
    sql "CREATE USER IF NOT EXISTS keep_pace@'127.0.0.1' IDENTIFIED BY ''; GRANT ALL ON \`keep\\_pace%\`.* TO keep_pace@'127.0.0.1';"
}

sql() { mariadb --no-defaults --socket="$DB_SOCKET" --user=root -e "$1"; }

# end PID...: ends processes this script started, and waits for them
end() {
    local pid child
    for pid in "$@"; do
        [ -n "$pid" ] || continue
        # PHP's built-in server does not end its workers: they are asked by name before their parent is gone
        for child in $(cat "/proc/$pid/task/$pid/children" 2>/dev/null); do kill "$child" 2>/dev/null || true; done
        kill "$pid" 2>/dev/null || true
    done
    for pid in "$@"; do [ -n "$pid" ] && wait "$pid" 2>/dev/null || true; done
}
