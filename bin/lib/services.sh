# The data folder of an instance and the processes that serve it. Sourced, not run.

PG_BIN=/usr/lib/postgresql/15/bin

fill_template() {
    sed -e "s#{{DATA}}#$DATA#g" -e "s#{{ROOT}}#$ROOT#g" -e "s#{{PORT}}#$PORT#g" -e "s#{{DB_PORT}}#$DB_PORT#g" \
        -e "s#{{PG_BIN}}#$PG_BIN#g" -e "s#{{WEB_USER}}#$(web_user)#g" -e "s#{{DATABASE_USER}}#$(database_user)#g" \
        -e "s#{{USER_LINE_WEB}}#$(is_root && echo "user=$(web_user)")#g" \
        -e "s#{{USER_LINE_DATABASE}}#$(is_root && echo "user=$(database_user)")#g" \
        -e "s#{{CAMERA_PORT}}#$CAMERA_PORT#g" -e "s#{{LAN_PORT}}#${LAN_PORT:-}#g" -e "s#{{NCHAN}}#$NCHAN_MODULE#g" "$ROOT/deploy/local/$1" >"$DATA/conf/$1"
}

make_data_folder() {
    mkdir -p "$DATA" 2>/dev/null || die "the data folder $DATA cannot be made. Choose another with --data, or change the rights."
    [ -w "$DATA" ] || die "the data folder $DATA is not writable for $(id -un). Choose another with --data, or change the rights."
    DATA=$(cd "$DATA" && pwd)
    [ ${#DATA} -le 80 ] || die "the path of the data folder is too long for the sockets in it ($DATA). Choose a shorter one with --data."
    case "$DATA" in *[!A-Za-z0-9/._-]*) die "the path of the data folder ($DATA) may have letters, digits, dots, dashes and slashes only. Choose another with --data." ;; esac
    need_room "$DATA" 400
    mkdir -p "$DATA"/{conf,run,log,tmp} "$DATA"/storage/{app,logs,media,stills,uploads,framework/{cache/data,sessions,views}}
    if is_root; then
        chown www-data:www-data "$DATA"/run "$DATA"/log "$DATA"/tmp
        chown -R www-data:www-data "$DATA/storage"
        local user
        for user in www-data postgres; do
            runuser -u $user -- test -x "$DATA" || die "$user may not enter $DATA, because a folder above it is closed to others. Choose another with --data, or open it with chmod o+x."
        done
        runuser -u www-data -- test -r "$ROOT/public/index.php" || die "the web server's user www-data may not read $ROOT. Put the checkout where others may read it (not under /root), or open it with chmod o+x."
    fi
}

make_environment() {
    local file="$DATA/.env"
    if [ ! -f "$file" ]; then
        local key password
        key=$(head -c 32 /dev/urandom | base64 -w0)
        password=$(head -c 24 /dev/urandom | base64 -w0 | tr -d '+/=')
        (umask 027; cat >"$file" <<ENV
APP_NAME=Rhetorix
APP_ENV=demo
APP_DEBUG=false
APP_KEY=base64:$key
DB_CONNECTION=pgsql
DB_HOST=127.0.0.1
DB_DATABASE=rhetorix
DB_USERNAME=rhetorix
DB_PASSWORD=$password
SESSION_DRIVER=file
SESSION_LIFETIME=720
CACHE_STORE=file
QUEUE_CONNECTION=sync
LOG_CHANNEL=single
LOG_LEVEL=warning
RHETORIX_PUBLISH_SOCKET=$DATA/run/publish.sock
ENV
        )
    fi
    sed -i -e '/^APP_URL=/d' -e '/^DB_PORT=/d' -e '/^SESSION_COOKIE=/d' -e '/^RHETORIX_CAMERA_PORT=/d' -e '/^RHETORIX_LAN_URL=/d' "$file"
    printf 'APP_URL=http://127.0.0.1:%s\nDB_PORT=%s\nSESSION_COOKIE=rhetorix_%s\nRHETORIX_CAMERA_PORT=%s\n' "$PORT" "$DB_PORT" "$PORT" "$CAMERA_PORT" >>"$file"
    [ -z "${LAN_PORT:-}" ] || printf 'RHETORIX_LAN_URL=https://%s:%s\n' "$LAN_ADDRESS" "$LAN_PORT" >>"$file"
    ! is_root || chown root:www-data "$file"
    DB_PASSWORD=$(sed -n 's/^DB_PASSWORD=//p' "$file")
}

# The port of the simulated network camera: chosen once, kept with the data.
choose_camera_port() {
    CAMERA_PORT=$(cat "$DATA/run/camera-port" 2>/dev/null || true)
    [ -n "$CAMERA_PORT" ] || CAMERA_PORT=$(free_port)
    echo "$CAMERA_PORT" >"$DATA/run/camera-port"
}

# --lan: the same site for the network, over TLS, since phones give their camera only to secure pages.
# The certificate is made here for the addresses of this computer, so a phone asks once whether to trust it.
make_lan_site() {
    [ -n "${LAN_PORT:-}" ] || { : >"$DATA/conf/lan.conf"; return 0; }
    local names="DNS:localhost,IP:127.0.0.1" address
    LAN_ADDRESS=""
    for address in $(hostname -I 2>/dev/null); do
        case "$address" in *:*) continue ;; esac
        LAN_ADDRESS=${LAN_ADDRESS:-$address}
        names="$names,IP:$address"
    done
    [ -n "$LAN_ADDRESS" ] || die "this computer is in no network, so nobody could reach it. Join a network and start again with --lan, or start without it."
    if [ "$(cat "$DATA/conf/tls.names" 2>/dev/null)" != "$names" ]; then
        openssl req -x509 -newkey ec -pkeyopt ec_paramgen_curve:prime256v1 -nodes -days 365 -subj "/CN=Rhetorix on $LAN_ADDRESS" -addext "subjectAltName=$names" \
            -keyout "$DATA/conf/tls.key" -out "$DATA/conf/tls.pem" >"$DATA/log/openssl.log" 2>&1 || die "the certificate for the network could not be made; see $DATA/log/openssl.log."
        ! is_root || chown www-data "$DATA/conf/tls.key"
        chmod 600 "$DATA/conf/tls.key"
        echo "$names" >"$DATA/conf/tls.names"
    fi
    fill_template lan.conf
}

make_database_cluster() {
    [ ! -f "$DATA/postgres/.made" ] || return 0
    if [ -e "$DATA/postgres" ]; then
        say "An earlier start stopped while it made the database; making it anew."
        rm -rf "$DATA/postgres"
    fi
    say "Making the database"
    mkdir -p "$DATA/postgres"
    ! is_root || chown postgres:postgres "$DATA/postgres"
    local secret; secret=$(mktemp); printf '%s' "$DB_PASSWORD" >"$secret"
    ! is_root || chown postgres "$secret"
    as_user "$(database_user)" "$PG_BIN/initdb" -D "$DATA/postgres" -U rhetorix -A scram-sha-256 --pwfile="$secret" -E UTF8 --locale=C.UTF-8 >"$DATA/log/initdb.log" 2>&1 \
        || { rm -f "$secret"; die "the database could not be made; see $DATA/log/initdb.log."; }
    rm -f "$secret"
    as_user "$(database_user)" touch "$DATA/postgres/.made"
}

artisan() { as_user "$(web_user)" env RHETORIX_DATA="$DATA" php "$ROOT/artisan" "$@"; }

supervisor() { supervisorctl -c "$DATA/conf/supervisord.conf" "$@"; }

is_running() { [ -S "$DATA/run/supervisor.sock" ] && supervisor pid >/dev/null 2>&1; }

wait_for_database() {
    for _ in $(seq 100); do
        "$PG_BIN/pg_isready" -q -h 127.0.0.1 -p "$DB_PORT" && return 0
        sleep 0.1
    done
    tail -3 "$DATA/log/postgres.log" >&2 || true
    die "the database did not start within 10 s; its last words are above, all of them are in $DATA/log/postgres.log."
}

make_database() {
    export PGPASSWORD=$DB_PASSWORD
    local psql=(psql -q -h 127.0.0.1 -p "$DB_PORT" -U rhetorix -d postgres -tA)
    [ "$("${psql[@]}" -c "select 1 from pg_database where datname = 'rhetorix'")" = 1 ] || "${psql[@]}" -c 'create database rhetorix'
    unset PGPASSWORD
}

wait_until_healthy() {
    local answer=000
    for _ in $(seq 150); do
        answer=$(curl -s -o "$DATA/tmp/up.json" -w '%{http_code}' "http://127.0.0.1:$PORT/up" || true)
        [ "$answer" = 200 ] && return 0
        sleep 0.2
    done
    cat "$DATA/tmp/up.json" >&2 2>/dev/null || true
    die "the server did not become healthy within 30 s (it answered $answer). See $DATA/log and $DATA/storage/logs."
}
