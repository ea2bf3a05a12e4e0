# Shared by bin/start and bin/test: preparing the machine, and MariaDB with a data folder of its own.
# shellcheck shell=bash
set -euo pipefail
export PATH=$PATH:/usr/sbin:/sbin
ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)
cd "$ROOT"
VAR=${PACE_VAR:-$ROOT/var} # another folder runs a second shop beside the first
STORAGE=$ROOT/storage
[ -z "${PACE_VAR:-}" ] || STORAGE=$VAR/storage
export PACE_STORAGE=$STORAGE
mkdir -p "$VAR" "$STORAGE"/{app,logs} "$STORAGE"/framework/{cache/data,sessions,views} bootstrap/cache
export COMPOSER_ALLOW_SUPERUSER=1 DEBIAN_FRONTEND=noninteractive

say() { printf '%s\n' "$*"; }
# last FILE LINES: the end of a log, if there is one
last() { [ ! -f "$1" ] || tail -n "$2" "$1" >&2; }
fail() { printf 'Keep Pace cannot start: %s\n' "$*" >&2; exit 1; }
# failed LOG LINES WORDS: the end of the log, and what it comes to
failed() { last "$1" "$2"; fail "$3"; }

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
        if [ "$pause" != 0 ]; then
            say "  that failed ($(grep -m1 -iE 'error|timeout|fail|err!' "$log" | cut -c1-120)); again in $pause s"
            sleep "$pause"
        fi
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
    patiently "$VAR/apt.log" apt_install "${missing[@]}" \
        || failed "$VAR/apt.log" 5 "these Debian packages could not be installed: ${missing[*]}."
}

# what is installed is not started by the system: bin/start runs its own
apt_install() {
    local policy=/usr/sbin/policy-rc.d mine=no done=0
    if [ ! -e $policy ]; then
        mine=yes
        printf '#!/bin/sh\nexit 101\n' > $policy
        chmod 755 $policy
    fi
    apt-get -o DPkg::Lock::Timeout=120 update -qq \
        && apt-get -o DPkg::Lock::Timeout=120 install -y -qq --no-install-recommends "$@" || done=$?
    [ $mine = no ] || rm -f $policy
    return $done
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
    patiently "$VAR/composer.log" composer install --no-interaction --no-progress --quiet \
        || failed "$VAR/composer.log" 15 'the PHP packages could not be installed.'
}

install_assets() {
    say 'Installing what the pages load'
    patiently "$VAR/npm.log" npm install --no-audit --no-fund --silent \
        || failed "$VAR/npm.log" 15 'the packages of the pages could not be installed.'
    rm -rf public/assets; mkdir -p public/assets/fonts
    cp node_modules/bootstrap/dist/css/bootstrap.min.css node_modules/htmx.org/dist/htmx.min.js public/assets/
    local weight figures=sofia-sans-semi-condensed text=public-sans
    for weight in 400 500 600 700; do
        cp "node_modules/@fontsource/$figures/files/$figures-latin-$weight-normal.woff2" \
            "public/assets/fonts/figures-$weight.woff2"
    done
    for weight in 400 600; do
        cp "node_modules/@fontsource/$text/files/$text-latin-$weight-normal.woff2" \
            "public/assets/fonts/text-$weight.woff2"
    done
}

prepare() {
    need_disk
    need_packages php=php8.2-cli composer=composer npm=npm mariadbd=mariadb-server mariadb-install-db=mariadb-server \
        ext:pdo_mysql=php8.2-mysql ext:mbstring=php8.2-mbstring ext:intl=php8.2-intl ext:dom=php8.2-xml \
        ext:bcmath=php8.2-bcmath ext:curl=php8.2-curl ext:zip=php8.2-zip ext:gd=php8.2-gd "$@"
    [ -d vendor ] || rm -f "$VAR/stamp-php"
    [ -d node_modules ] && [ -d public/assets ] || rm -f "$VAR/stamp-assets"
    unless_same php composer.json -- install_php
    unless_same assets package.json bin/lib.sh -- install_assets
    if [ ! -f .env ]; then
        key=$(head -c 32 /dev/urandom | base64)
        (umask 077; printf 'APP_ENV=production\nAPP_DEBUG=false\nAPP_KEY=base64:%s\n' "$key" > .env)
    fi
    chmod 600 .env
}

port_is_free() { ! (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }
free_port() { local port=$1; until port_is_free "$port"; do port=$((port + 1)); done; printf '%s' "$port"; }

# As root the database and PHP each run as a user of their own, who can neither log in nor read what is the other's.
DB_USER=$(id -un) WEB_USER=$(id -un)
own_users() {
    local user
    [ "$(id -u)" = 0 ] || return 0
    for user in keep-pace keep-pace-db; do
        id "$user" > /dev/null 2>&1 \
            || useradd --system --user-group --no-create-home --home-dir /nonexistent --shell /usr/sbin/nologin "$user"
    done
    chmod 711 "$VAR"
    if runuser -u keep-pace -- test -r "$ROOT/artisan" && runuser -u keep-pace-db -- test -x "$VAR"; then
        DB_USER=keep-pace-db WEB_USER=keep-pace
        # some packages come with files only their owner can read
        chmod -R a+rX vendor app core bootstrap config database demo lang public resources routes
    else
        say 'Nobody but root can enter this folder, so all of it runs as root.' \
            'Put it in /srv or /opt for users of their own.'
    fi
}

# own OWNER PATH...: gives files to a user, as root
own() { [ "$(id -u)" != 0 ] || chown -R "$1" "${@:2}"; }
# as_web COMMAND...: runs it as the user PHP runs as
as_web() { if [ "$WEB_USER" = "$(id -un)" ]; then "$@"; else runuser -u "$WEB_USER" -- "$@"; fi; }

DB_HOME=$VAR # where data folders lie
# ports_of BASE: where this folder begins to look for a port, that two which begin at once do not find the same;
# below those the system gives to clients
ports_of() { printf '%s' $(($1 + $(printf '%s' "$VAR" | cksum | cut -d' ' -f1) % 900)); }

# db_prepare NAME PORT: a data folder in var/NAME and a free loopback port from PORT on; sets DB_PORT, DB_SOCKET,
# DB_COMMAND
db_prepare() {
    local dir=$DB_HOME/$1 tmp=$DB_HOME/$1-tmp run pid file
    own_users
    run=/run/keep-pace-$(printf '%s' "$dir" | cksum | cut -d' ' -f1)
    [ -w /run ] || run=/tmp/keep-pace-$(id -u)-$(printf '%s' "$dir" | cksum | cut -d' ' -f1)
    mkdir -p "$run"; chmod 755 "$run"; own "$DB_USER" "$run"
    DB_SOCKET=$run/db.sock
    pid=$(cat "$dir/mariadbd.pid" 2>/dev/null || true)
    if [ -n "$pid" ] && kill -0 "$pid" 2>/dev/null && grep -qa mariadbd "/proc/$pid/cmdline"; then
        fail "it is running already from this folder (process $pid). End that one first."
    fi
    # a MariaDB that starts takes the temporary tables of others out of a folder it shares with them
    mkdir -p "$tmp"; chmod 700 "$tmp"; own "$DB_USER" "$tmp"
    if [ ! -f "$dir/ready" ]; then
        rm -rf "$dir"
        mkdir -p "$dir"; own "$DB_USER" "$dir"
        mariadb-install-db --no-defaults --skip-test-db --datadir="$dir" --tmpdir="$tmp" --user="$DB_USER" \
            --auth-root-authentication-method=socket --auth-root-socket-user="$(id -un)" \
            > "$VAR/$1-install.log" 2>&1 \
            || failed "$VAR/$1-install.log" 5 'the data folder of MariaDB could not be made.'
        touch "$dir/ready"
    fi
    own "$DB_USER" "$dir"
    DB_PASSWORD_FILE=$VAR/$1.password WEB_PASSWORD_FILE=$VAR/$1-web.password
    for file in "$DB_PASSWORD_FILE" "$WEB_PASSWORD_FILE"; do
        [ -s "$file" ] || (umask 077; head -c 48 /dev/urandom | base64 | tr -dc A-Za-z0-9 > "$file")
        chmod 600 "$file"; own "$WEB_USER" "$file"
    done
    DB_PORT=$(free_port "$2")
    DB_COMMAND=(
        mariadbd --no-defaults --datadir="$dir" --tmpdir="$tmp" --user="$DB_USER"
        --bind-address=127.0.0.1 --port="$DB_PORT" --socket="$DB_SOCKET"
        --pid-file="$dir/mariadbd.pid" --log-error="$dir/mariadbd.log" --skip-log-bin
        --innodb-buffer-pool-size=512M --innodb-log-file-size=256M
        --character-set-server=utf8mb4 --max-connections=100 "${@:3}"
    )
    export DB_PORT DB_SOCKET DB_PASSWORD_FILE
}

# db_answers NAME COMMAND...: waits until it does, as long as the command says that it runs
db_answers() {
    local dir=$DB_HOME/$1 i; shift
    for i in $(seq 1 150); do
        mariadb-admin --no-defaults --socket="$DB_SOCKET" --user="$(id -un)" ping > /dev/null 2>&1 && return 0
        # a data folder of before had a root without a password
        mariadb-admin --no-defaults --socket="$DB_SOCKET" --user=root ping > /dev/null 2>&1 && return 0
        "$@" || failed "$dir/mariadbd.log" 5 "MariaDB ended at once; its log is $dir/mariadbd.log."
        sleep 0.2
    done
    fail "MariaDB does not answer after 30 s; its log is $dir/mariadbd.log."
}

# db_accounts: the administrator by the socket only, the application with its password, nobody else
db_accounts() {
    local me other
    me=$(id -un)
    if ! sql 'SELECT 1' > /dev/null 2>&1; then
        mariadb --no-defaults --socket="$DB_SOCKET" --user=root \
            -e "CREATE USER IF NOT EXISTS \`$me\`@localhost IDENTIFIED VIA unix_socket;
                GRANT ALL ON *.* TO \`$me\`@localhost WITH GRANT OPTION;"
    fi
    sql "ALTER USER \`$me\`@localhost IDENTIFIED VIA unix_socket;
        CREATE USER IF NOT EXISTS keep_pace@'127.0.0.1' IDENTIFIED BY '$(cat "$DB_PASSWORD_FILE")';
        ALTER USER keep_pace@'127.0.0.1' IDENTIFIED BY '$(cat "$DB_PASSWORD_FILE")';
        GRANT ALL ON \`keep\\_pace%\`.* TO keep_pace@'127.0.0.1';"
    sql "SELECT CONCAT(QUOTE(user), '@', QUOTE(host)) FROM mysql.user WHERE NOT ((user = '$me' AND host = 'localhost')
        OR (user = 'keep_pace' AND host = '127.0.0.1') OR user = 'mariadb.sys' OR is_role = 'Y')" -N |
        while read -r other; do
            sql "DROP USER IF EXISTS $other"
        done
}

# web_account DATABASE: what serves may read all, and change all but what is written once
web_account() {
    local table may who="keep_pace_web@'127.0.0.1'"
    sql "DROP USER IF EXISTS $who; CREATE USER $who IDENTIFIED BY '$(cat "$WEB_PASSWORD_FILE")'"
    sql 'SHOW TABLES' -N "$1" | while read -r table; do
        may='SELECT, INSERT, UPDATE, DELETE'
        ! grep -qx "$table" database/written-once.txt || may='SELECT, INSERT'
        echo "GRANT $may ON \`$1\`.\`$table\` TO $who;"
    done | mariadb --no-defaults --socket="$DB_SOCKET" --user="$(id -un)"
}

# db_up NAME FIRST_PORT: a MariaDB of this script; sets DB_PORT and DB_PID
db_up() {
    db_prepare "$@"
    "${DB_COMMAND[@]}" > /dev/null 2>&1 &
    DB_PID=$!
    db_answers "$1" kill -0 "$DB_PID" 2>/dev/null
    db_accounts
}

# db_gone: ends the MariaDB of this script; the folder of its socket goes too
db_gone() {
    end "${DB_PID:-}"
    [ -z "${DB_SOCKET:-}" ] || rmdir "$(dirname "$DB_SOCKET")" 2>/dev/null || true
}

sql() { mariadb --no-defaults --socket="$DB_SOCKET" --user="$(id -un)" "${@:2}" -e "$1"; }

# dump DATABASE FILE: a dump, read back into another database and dumped again from there, before it gets its name
dump() {
    local database=$1 file=$2 copy=keep_pace_readback
    mkdir -p "$(dirname "$file")"
    (umask 077; dumped "$database" | gzip > "$file.part") || return 1
    sql "DROP DATABASE IF EXISTS $copy; CREATE DATABASE $copy CHARACTER SET utf8mb4"
    gunzip -c "$file.part" | mariadb --no-defaults --socket="$DB_SOCKET" --user="$(id -un)" "$copy" || return 1
    cmp -s <(gunzip -c "$file.part") <(dumped "$copy") || return 1
    sql "DROP DATABASE $copy"
    mv "$file.part" "$file"
}

dumped() {
    mariadb-dump --no-defaults --socket="$DB_SOCKET" --user="$(id -un)" --single-transaction --routines --triggers \
        --order-by-primary --skip-comments --default-character-set=utf8mb4 "$1"
}

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
