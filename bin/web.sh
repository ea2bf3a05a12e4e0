# The web server: nginx and PHP behind it, and how PHP runs beside it. For bin/start and bench/run.
# shellcheck shell=bash
WEB_PACKAGES=(nginx=nginx php-fpm8.2=php8.2-fpm)
JIT=(-d opcache.jit_buffer_size=64M -d opcache.jit=tracing)
PHP=(php -d opcache.enable_cli=1 "${JIT[@]}" -d memory_limit=256M)

# web_prepare PORT: what they are told, in var/web; sets SOCKETS; FPM, NGINX, NGINX_USER: what to run, and as whom;
# WEB_ENV: what all that serves is told besides where its database is: settings and routes are read from one file each
web_prepare() {
    local port=$1 web=$VAR/web name workers test=(as_web)
    SOCKETS=$(dirname "$DB_SOCKET")-web
    workers=$(($(nproc) * 3))
    mkdir -p "$web"/{body,answers,unused,files} "$SOCKETS"
    for name in nginx php-fpm; do
        sed -e "s|@WEB@|$web|g; s|@PORT@|$port|g; s|@ROOT@|$ROOT|g; s|@STORAGE@|$STORAGE|g" \
            -e "s|@SOCKET@|$SOCKETS/php.sock|g; s|@WORKERS@|$((workers < 4 ? 4 : workers > 16 ? 16 : workers))|g" \
            "etc/$name.conf" > "$web/$name.conf"
    done
    own "$WEB_USER" "$web" "$SOCKETS"
    WEB_ENV=(
        PACE_PLANNER=beside DB_USERNAME=keep_pace_web "DB_PASSWORD_FILE=$WEB_PASSWORD_FILE"
        "APP_CONFIG_CACHE=$STORAGE/framework/settings.php" "APP_ROUTES_CACHE=$STORAGE/framework/routes.php"
    )
    NGINX_USER=$WEB_USER
    NGINX=(nginx -e stderr -c "$web/nginx.conf")
    FPM=(php-fpm8.2 -F -O -y "$web/php-fpm.conf" "${JIT[@]}")
    # only root may listen below 1024
    [ "$port" -ge 1024 ] || NGINX_USER=$(id -un) test=()
    if [ "$NGINX_USER" = root ]; then sed -i "1i user $WEB_USER;" "$web/nginx.conf"; fi
    if [ "$WEB_USER" = root ]; then
        FPM+=(-R)
        printf 'user = root\ngroup = root\n' >> "$web/php-fpm.conf"
    fi
    "${test[@]}" "${NGINX[@]}" -t -q > "$VAR/web.log" 2>&1 \
        || failed "$VAR/web.log" 5 'the web server does not take what it is told.'
}

# web_cached: these files, made with each start; they hold the password of the database
web_cached() {
    rm -f "$STORAGE"/framework/{settings,routes}.php
    (
        umask 077
        for what in config route; do as_web env "${WEB_ENV[@]}" php artisan "$what:cache"; done
    ) > "$VAR/web.log" 2>&1 || failed "$VAR/web.log" 5 'the settings could not be put together.'
}
