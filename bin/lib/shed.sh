# Shared by bin/start, bin/stop, bin/test and bin/bench: where things run, and how they are started and stopped.
# Sourced, not run. Everything the shed makes at run time lies in one folder, SHED_RUN_DIR.

project=$(cd "$(dirname "${BASH_SOURCE[0]}")/../.." && pwd)
run=${SHED_RUN_DIR:-$project/run}
case $run in /*) ;; *) run=$project/$run ;; esac
export SHED_RUN_DIR=$run
# The run folder says where things are; what a caller's shell still holds of another one must not.
unset DATABASE_URL APP_SECRET SHED_GAUGE
http_port=${SHED_HTTP_PORT:-8420}
db_port=${SHED_DB_PORT:-8421}
gauge_port=${SHED_GAUGE_PORT:-8422}
share_port=${SHED_SHARE_PORT:-8443}
app_env=${APP_ENV:-prod}
# Under TLS on the local network, as chosen at the last start; a file, so that every later start does the same.
is_shared() { [ -e "$run/share" ]; }
export APP_ENV=$app_env

say() { printf '%s\n' "  $*"; }
fail() { printf '\n%s\n' "Stopped: $1" >&2; [ -n "${2:-}" ] && printf '%s\n' "Remedy:  $2" >&2; exit 1; }

# Started as root, nothing that talks to a network runs as root: the workers are www-data, the database is mysql. Where
# those may not even read the project's folder (it lies in somebody's closed home), that is said, and root it stays.
drops_root() { [ "$(id -u)" -eq 0 ] && [ -z "${SHED_STAY_ROOT:-}" ] && id www-data mysql >/dev/null 2>&1 && as_user www-data test -r "$project/public/index.php" -a -x "$(dirname "$run")"; }
# Becomes the other, instead of standing between: so its number is the one that is noted and stopped.
as_user() { local user=$1; shift; setpriv --reuid="$user" --regid="$user" --init-groups -- "$@"; }
web_user() { if drops_root; then printf www-data; else id -un; fi; }
database_user() { if drops_root; then printf mysql; else id -un; fi; }
as_web() { if drops_root; then as_user www-data "$@"; else "$@"; fi; }
console() { as_web php "$project/bin/console" "$@"; }

# A slow step: its name first, its last words only when it fails.
step() {
    local name=$1 log; shift
    log=$(mktemp)
    printf '  %s ... ' "$name"
    local from=$SECONDS
    if "$@" >"$log" 2>&1; then
        printf 'done (%d s)\n' $((SECONDS - from)); rm -f "$log"
    else
        printf 'failed\n\n'; tail -n 25 "$log" >&2; rm -f "$log"
        fail "\"$name\" did not work; its last lines stand above." "mend what they name and run the same command again: what is done already is kept"
    fi
}

# Unix sockets have a short limit on their path, so a deep project folder gets its own under /tmp.
sockets() {
    if [ ${#run} -lt 80 ]; then printf '%s' "$run"; else
        local short=/tmp/awake-shed-$(id -u)-$(printf '%s' "$run" | cksum | cut -d' ' -f1)
        mkdir -p -m 711 "$short" "$short/db"
        if drops_root; then chown mysql "$short/db"; fi
        printf '%s' "$short"
    fi
}

alive() { [ -s "$1" ] && kill -0 "$(cat "$1")" 2>/dev/null; }

# A pid file outlives a machine that was switched off; its number may be somebody else's by now.
runs() { alive "$1" && tr '\0' ' ' <"/proc/$(cat "$1")/cmdline" 2>/dev/null | grep -q "$2"; }

# A master killed outright leaves its workers behind, and nginx's go on holding the port. Both daemons lead a process
# group of their own, so its number is the master's.
reap() { # pid file, what
    [ -s "$run/$1" ] || return 0
    runs "$run/$1" "$2" && return 0
    local group process; group=$(cat "$run/$1")
    for process in /proc/[0-9]*; do
        if [ "$(cut -d' ' -f5 "$process/stat" 2>/dev/null)" = "$group" ] && tr '\0' ' ' <"$process/cmdline" 2>/dev/null | grep -q "$2"; then
            kill -KILL "${process#/proc/}" 2>/dev/null || true
        fi
    done
    rm -f "$run/$1"
}

port_taken() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

free_port() {
    local port
    for port in $(shuf -i 20000-45000 -n 50); do port_taken "$port" || { printf '%s' "$port"; return; }; done
    fail 'no free port was found.' 'close what listens on this machine'
}

secret() { od -An -N24 -tx1 /dev/urandom | tr -d ' \n'; }

install_packages() {
    local missing=() package
    for package in mariadb-server nginx php8.2-cli php8.2-fpm php8.2-mysql php8.2-intl php8.2-gd php8.2-curl php8.2-zip php8.2-mbstring php8.2-xml composer nodejs openssl "$@"; do
        case $package in
            composer) command -v composer >/dev/null || missing+=(composer) ;;
            nodejs) command -v npm >/dev/null || missing+=(nodejs npm) ;;
            *) dpkg-query -W -f='${Status}' "$package" 2>/dev/null | grep -q 'install ok installed' || missing+=("$package") ;;
        esac
    done
    [ ${#missing[@]} -eq 0 ] && return
    if [ "$(id -u)" -ne 0 ]; then
        fail "these Debian packages are missing: ${missing[*]}" "as root: apt-get install --no-install-recommends ${missing[*]}"
    fi
    step 'Reading the list of Debian packages' apt-get update -q
    # The packages' own services are not wanted: the shed starts its own, on its own ports.
    step "Installing ${missing[*]}" env DEBIAN_FRONTEND=noninteractive RUNLEVEL=1 apt-get install -y -q --no-install-recommends "${missing[@]}"
}

# By the pinned versions; where the registry has dropped one of them, by the lines in composer.json, and that is said.
fetch_php_libraries() {
    composer update -d "$project" --no-progress --no-scripts $(php "$project/bin/lib/pins.php" with) || composer update -d "$project" --no-progress --no-scripts
}

install_libraries() {
    local mark=$run/installed now
    now=$(cat "$project/composer.json" "$project/packages/symfony/composer.json" "$project/package.json" "$project/package-lock.json" "$project/packages/php-libraries.json" | cksum)
    if [ "$(cat "$mark" 2>/dev/null)" = "$now" ] && [ -d "$project/vendor" ] && [ -d "$project/node_modules" ]; then return; fi
    if [ -d "$project/vendor" ] && [ -d "$project/node_modules" ] && [ "$(cat "$project/vendor/.awake-shed" 2>/dev/null)" = "$now" ]; then
        printf '%s' "$now" >"$mark"; return
    fi
    export COMPOSER_ALLOW_SUPERUSER=1 COMPOSER_NO_INTERACTION=1
    step 'Fetching the Symfony source' composer install -d "$project/packages/symfony" --no-progress --no-scripts --no-autoloader
    step 'Fetching PHP libraries' fetch_php_libraries
    php "$project/bin/lib/pins.php" check || fail 'a PHP library is not what it was when its version was pinned.' 'rm -rf vendor and try again; if it stays so, ask whoever keeps the project before you use it'
    # Some packages come with files only their owner may read, and their owner is not who serves them.
    chmod -R a+rX "$project/vendor"
    step 'Fetching styles, scripts and fonts' npm --prefix "$project" ci --no-audit --no-fund --ignore-scripts
    printf '%s' "$now" >"$project/vendor/.awake-shed"
    printf '%s' "$now" >"$mark"
}

make_run_folder() {
    local folder
    mkdir -p "$run/log" "$run/tmp" "$run/sessions" "$run/photos" "$run/state" "$run/outbox" "$run/news" "$run/db"
    # Letters of a shed from before there were several shops in one.
    if compgen -G "$run/outbox/*.eml" >/dev/null; then mkdir -p -m 700 "$run/outbox/1"; mv "$run"/outbox/*.eml "$run/outbox/1/"; fi
    if [ ! -s "$run/secrets" ]; then
        (umask 077; printf 'APP_SECRET=%s\nDB_PASSWORD=%s\n' "$(secret)" "$(secret)" >"$run/secrets.new"; mv "$run/secrets.new" "$run/secrets")
    fi
    . "$run/secrets"
    (umask 077
    cat >"$run/env.new" <<ENV
APP_SECRET=$APP_SECRET
DATABASE_URL=mysql://shed:$DB_PASSWORD@${database_at:-localhost/shed?unix_socket=$(sockets)/db/db.sock}
SHED_GAUGE=127.0.0.1:$gauge_port
SHED_TIMEZONE=${SHED_TIMEZONE:-$(cat /etc/timezone 2>/dev/null || echo UTC)}
SHED_ADDRESS=$(address)
SHED_MAIL=${SHED_MAIL:-outbox://default}
SHED_MAIL_FROM=${SHED_MAIL_FROM:-shed@localhost}
SHED_TRUSTED_PROXIES=${SHED_TRUSTED_PROXIES:-}
SHED_PHOTOS=${SHED_PHOTOS:-}
SHED_SHARED=${SHED_SHARED:-0}
SHED_DB_PATIENCE=${SHED_DB_PATIENCE:-0}
ENV
    mv "$run/env.new" "$run/env")
    # The database's socket lies there, for whoever has the password; what else does is its own user's.
    chmod 711 "$run/db"
    chmod 700 "$run" "$run/photos" "$run/sessions" "$run/state" "$run/outbox" "$run/news"
    if drops_root; then
        # Others may pass through to what is theirs, and see nothing on the way.
        chmod 711 "$run"; chown root:root "$run" "$run/secrets"; chmod 600 "$run/secrets"
        chown root:www-data "$run/env"; chmod 640 "$run/env"
        for folder in log tmp sessions photos state outbox news; do chown -R www-data:www-data "$run/$folder"; done
        chown mysql:mysql "$run/db"
        if [ -d "$run/mariadb" ] && [ "$(stat -c %U "$run/mariadb")" != mysql ]; then chown -R mysql:mysql "$run/mariadb"; fi
    elif [ "$(id -u)" -eq 0 ] && [ -z "${SHED_STAY_ROOT:-}" ]; then
        say 'Started as root, and the users it should become cannot read this folder: everything runs as root.'
        say 'Remedy: put the project where others may read it, or start it as an ordinary user.'
    fi
}

# Where the pages are, as others must type it.
address() { if is_shared; then printf 'https://%s:%s' "$(share_names | head -n 1)" "$share_port"; else printf 'http://127.0.0.1:%s' "${public_port:-$http_port}"; fi; }

# The addresses and the name of this machine on the local network.
share_names() { { hostname -I 2>/dev/null | tr ' ' '\n' | grep -E '^[0-9.]+$' | grep -v '^127\.'; hostname 2>/dev/null; } | awk 'NF && !seen[$0]++'; }

make_certificate() {
    local names alt=() name
    names=$(share_names)
    if [ -s "$run/tls/shed.crt" ] && [ "$(cat "$run/tls/names" 2>/dev/null)" = "$names" ] && openssl x509 -checkend 2592000 -noout -in "$run/tls/shed.crt" >/dev/null; then return; fi
    mkdir -p -m 700 "$run/tls"
    for name in $names localhost 127.0.0.1; do
        case $name in *[!0-9.]*) alt+=("DNS:$name") ;; *) alt+=("IP:$name") ;; esac
    done
    step 'Making a certificate for the local network' openssl req -x509 -newkey ec -pkeyopt ec_paramgen_curve:P-256 -nodes -days 397 -subj '/CN=Awake Shed' \
        -addext "subjectAltName=$(IFS=,; printf '%s' "${alt[*]}")" -addext 'extendedKeyUsage=serverAuth' -keyout "$run/tls/shed.key" -out "$run/tls/shed.crt"
    chmod 600 "$run/tls/shed.key"
    printf '%s' "$names" >"$run/tls/names"
}

# Of a node among several: more words for its command line, whether it lays out what the others will find, and by what it is started ("nice").
db_options=() db_begins=yes db_first=()
start_database() {
    if runs "$run/db/mariadb.pid" mariadbd; then return; fi
    port_taken "$db_port" && fail "port $db_port, meant for the database, is taken." "SHED_DB_PORT=$((db_port + 10)) bin/start"
    local as=(); [ "$(id -u)" -eq 0 ] && as=(--user="$(database_user)")
    if [ ! -d "$run/mariadb" ]; then
        rm -rf "$run/mariadb.new"
        step 'Laying out the database' mariadb-install-db --no-defaults --datadir="$run/mariadb.new" --auth-root-authentication-method=socket --skip-test-db "${as[@]}"
        mv "$run/mariadb.new" "$run/mariadb"
    fi
    . "$run/secrets"
    # Read at every start, so that a start cut short half way is made good by the next one.
    (umask 077; cat >"$run/db/init.sql" <<SQL
CREATE DATABASE IF NOT EXISTS shed CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;
CREATE USER IF NOT EXISTS 'shed'@'127.0.0.1' IDENTIFIED BY '$DB_PASSWORD';
ALTER USER 'shed'@'127.0.0.1' IDENTIFIED BY '$DB_PASSWORD';
GRANT ALL ON \`shed\`.* TO 'shed'@'127.0.0.1';
GRANT ALL ON \`shed\_%\`.* TO 'shed'@'127.0.0.1';
CREATE USER IF NOT EXISTS 'shed'@'localhost' IDENTIFIED BY '$DB_PASSWORD';
ALTER USER 'shed'@'localhost' IDENTIFIED BY '$DB_PASSWORD';
GRANT ALL ON \`shed\`.* TO 'shed'@'localhost';
GRANT ALL ON \`shed\_%\`.* TO 'shed'@'localhost';
SQL
    )
    drops_root && chown mysql:mysql "$run/db/init.sql"
    local begins=(); [ -z "$db_begins" ] || begins=(--init-file="$run/db/init.sql")
    printf '  Starting the database ... '
    "${db_first[@]}" mariadbd --no-defaults "${as[@]}" --datadir="$run/mariadb" --bind-address=127.0.0.1 --port="$db_port" --socket="$(sockets)/db/db.sock" \
        --pid-file="$run/db/mariadb.pid" "${begins[@]}" --skip-name-resolve --innodb-buffer-pool-size=256M \
        --innodb-lock-wait-timeout=4 --max-connections=200 \
        --innodb-flush-log-at-trx-commit="${SHED_DB_FLUSH:-1}" --character-set-server=utf8mb4 "${db_options[@]}" >>"$run/log/mariadb.log" 2>&1 </dev/null &
    disown
    local tries
    for tries in $(seq 150); do
        if port_taken "$db_port" && php -r 'try{new PDO("mysql:host=127.0.0.1;port='"$db_port"';dbname=shed","shed","'"$DB_PASSWORD"'");}catch(Throwable){exit(1);}'; then printf 'done\n'; return; fi
        sleep 0.2
    done
    printf 'failed\n\n'; tail -n 15 "$run/log/mariadb.log" >&2
    fail 'the database did not come up in 30 s; its last lines stand above.' "look into $run/log/mariadb.log"
}

# Of the project in the working folder: a database that only its migrations have made.
from_nothing() {
    php bin/console doctrine:database:drop --if-exists --force --quiet
    php bin/console doctrine:database:create --quiet
    php bin/console doctrine:migrations:migrate --no-interaction --allow-no-migration --quiet
}

# Whoever counts lines is let in only while it counts: beside it nothing is compiled.
install_line_counter() {
    install_packages php8.2-pcov
    [ "$(id -u)" -ne 0 ] || phpdismod pcov
}

# Long runs of PHP, and whatever PHP they start.
quick_php() {
    local settings=":$project/bin/lib/quick"
    if [ "$(PHP_INI_SCAN_DIR=$settings php -r 'echo (opcache_get_status(false)["jit"]["on"] ?? false) ? "yes" : "no";' 2>/dev/null)" = yes ]; then
        PHP_INI_SCAN_DIR=$settings php "$@"
    else
        php "$@"
    fi
}

# PHPUnit, noting which lines are run.
covered() { php -d extension=pcov -d pcov.enabled=1 -d pcov.directory="$PWD" -d pcov.exclude='#/(vendor|var|tests)/#' -d memory_limit=-1 vendor/bin/phpunit --no-progress "$@"; }

fill_in() { # template, target, pool, patience in seconds
    local user='' pool_user='' names='' share='' modules='' compression=''
    # Smaller by a sixth than gzip, where this machine's nginx can do it (Debian: libnginx-mod-http-brotli-filter).
    local brotli=/usr/lib/nginx/modules/ngx_http_brotli_filter_module.so
    if [ -e "$brotli" ]; then
        modules="load_module $brotli;"
        compression='    brotli on; brotli_comp_level 5; brotli_min_length 512; brotli_types text/css application/javascript image/svg+xml application/json;'
    fi
    if [ "$(id -u)" -eq 0 ]; then
        user="user $(web_user);"
        pool_user="user = $(web_user)\\nlisten.owner = $(web_user)"
    fi
    if is_shared; then
        names=$(share_names | sed 's/^/ /' | tr -d '\n')
        [ "$1" = "$project/config/server/nginx.conf" ] && { fill_in "$project/config/server/nginx-share.conf" "$run/nginx-share.conf"; share="include $run/nginx-share.conf;"; }
    fi
    awk -v run="$run" -v project="$project" -v sockets="$(sockets)" -v listen="127.0.0.1:$http_port" -v share_port="$share_port" -v env="$app_env" \
        -v user="$user" -v pool_user="$pool_user" -v names="$names" -v share="$share" -v modules="$modules" -v compression="$compression" -v pool="${3:-}" -v patience="${4:-}" '{
        gsub(/@RUN@/, run); gsub(/@PROJECT@/, project); gsub(/@SOCKETS@/, sockets); gsub(/@HTTP_LISTEN@/, listen); gsub(/@SHARE_PORT@/, share_port); gsub(/@APP_ENV@/, env)
        gsub(/@NGINX_USER@/, user); gsub(/@POOL_USER@/, pool_user); gsub(/@NAMES@/, names); gsub(/@SHARE@/, share); gsub(/@MODULES@/, modules); gsub(/@COMPRESSION@/, compression); gsub(/@POOL@/, pool); gsub(/@PATIENCE@/, patience); print }' "$1" >"$2"
}

# What a bucket for the pictures needs; larger than everything else together, so only where one is asked for.
fetch_s3() {
    [ -d "$project/packages/s3/vendor/aws" ] && return
    step 'Fetching what speaks S3' env COMPOSER_ALLOW_SUPERUSER=1 composer install -d "$project/packages/s3" --no-progress --no-scripts --no-interaction
    chmod -R a+rX "$project/packages/s3/vendor"
}

# What the application is made of, as one number: when it changes, caches and assets are made anew. Without what is
# written down by the making itself.
fingerprint() {
    { cd "$project" && find assets config core src templates translations public/index.php package.json composer.json migrations -type f -not -path 'assets/built/*' -not -path config/reference.php -printf '%p %s %T@\n' | sort; printf '%s' "$app_env"; } | cksum
}

build() {
    local mark=$project/var/built-$app_env now
    now=$(fingerprint)
    [ "$(cat "$mark" 2>/dev/null)" = "$now" ] && [ -d "$project/public/assets" ] && [ -d "$project/var/cache/$app_env" ] && [ -d "$project/var/server-pages" ] && return
    mkdir -p "$project/var" "$project/assets/built"
    # The class map is drawn up once and believed from then on: classes that came, went or moved need a new one.
    step 'Listing the classes' env COMPOSER_ALLOW_SUPERUSER=1 composer dump-autoload -d "$project" --optimize --no-scripts
    step 'Building the styles' npm --prefix "$project" run --silent build
    # Whoever still serves the old build would look for what is gone, and write into the new one; moved away at once, the
    # old one can be taken apart whoever else is at it. A build in another place, as a cluster makes them, is nobody's yet.
    if [ "$project" -ef "$(dirname "${BASH_SOURCE[0]}")/../.." ]; then stop_one php-fpm.pid php-fpm QUIT; fi
    local old; mkdir -p "$project/var/cache"; old=$(mktemp -d "$project/var/cache/old.XXXXXX")
    if [ -d "$project/var/cache/$app_env" ]; then mv "$project/var/cache/$app_env" "$old"; fi
    rm -rf "$old" "$project/public/assets"
    step 'Warming the caches' php "$project/bin/console" cache:warmup
    step 'Laying out the assets' php "$project/bin/console" asset-map:compile
    step 'Writing the pages of the web server' php "$project/bin/console" shed:server-pages "$project/var/server-pages"
    if drops_root; then chown -R www-data:www-data "$project/var/cache/$app_env"; fi
    printf '%s' "$now" >"$mark"
}

# Fills the web server's files in; true when they say something else than before.
configure_web() {
    local before; before=$(cat "$run"/nginx*.conf "$run/php-fpm.conf" "$run/tls/names" 2>/dev/null | cksum)
    fill_in "$project/config/server/php-fpm.conf" "$run/php-fpm.conf"
    fill_in "$project/config/server/nginx.conf" "$run/nginx.conf"
    fill_in "$project/config/server/nginx-shed.conf" "$run/nginx-shed.conf"
    fill_in "$project/config/server/nginx-php.conf" "$run/nginx-php.conf" php 70
    fill_in "$project/config/server/nginx-php.conf" "$run/nginx-live.conf" live 700
    [ "$before" != "$(cat "$run"/nginx*.conf "$run/php-fpm.conf" "$run/tls/names" 2>/dev/null | cksum)" ]
}

start_web() {
    local fpm; fpm=$(command -v php-fpm8.2 || command -v php-fpm) || fail 'php-fpm is missing.' 'as root: apt-get install php8.2-fpm'
    local nginx; nginx=$(command -v nginx || echo /usr/sbin/nginx)
    if is_shared; then make_certificate; fi
    reap php-fpm.pid php-fpm
    reap nginx.pid nginx
    if configure_web; then stop_one nginx.pid nginx QUIT; stop_one php-fpm.pid php-fpm QUIT; fi
    # What runs may be of an older build, whoever made the new one: it is told by what it was started with.
    local now; now=$(fingerprint)
    if runs "$run/php-fpm.pid" php-fpm && [ "$(cat "$run/served" 2>/dev/null)" != "$now" ]; then stop_one php-fpm.pid php-fpm QUIT; fi
    if ! runs "$run/php-fpm.pid" php-fpm; then
        # Its master must be root to become the workers' user; only where that cannot be do they stay root, and say so.
        local as=(); [ "$(id -u)" -eq 0 ] && ! drops_root && as=(-R)
        # A build is read once and believed; where code is worked on, every file is looked at again (bin/dev).
        local code_cache=(-d opcache.validate_timestamps=0 -d opcache.preload="$project/config/preload.php" -d opcache.preload_user="$(web_user)")
        [ "$app_env" = dev ] && code_cache=(-d opcache.revalidate_freq=0)
        # The code cache is laid out before any pool is read, so its size can only be said here.
        "$fpm" "${as[@]}" -d opcache.memory_consumption=192 -d opcache.interned_strings_buffer=16 -d opcache.max_accelerated_files=20000 \
            "${code_cache[@]}" -y "$run/php-fpm.conf" >>"$run/log/php-fpm.log" 2>&1 || fail 'php-fpm did not start.' "look into $run/log/php-fpm.log"
        printf '%s' "$now" >"$run/served"
    fi
    if ! runs "$run/nginx.pid" nginx; then
        port_taken "$http_port" && fail "port $http_port, meant for the pages, is taken." "SHED_HTTP_PORT=$((http_port + 10)) bin/start"
        if is_shared && port_taken "$share_port"; then fail "port $share_port, meant for the local network, is taken." "SHED_SHARE_PORT=$((share_port + 10)) bin/start --share"; fi
        "$nginx" -c "$run/nginx.conf" -e "$run/log/nginx.log" 2>>"$run/log/nginx.log" || fail 'nginx did not start.' "look into $run/log/nginx.log"
    fi
}

# The stand-in for a gauge; without it only live recording is missing, so it never keeps the shed closed.
start_gauge() {
    runs "$run/gauge.pid" shed:gauge && return
    if port_taken "$gauge_port"; then say "port $gauge_port is taken: no gauge stand-in (SHED_GAUGE_PORT names another)"; return; fi
    beside "$run/gauge.pid" "$run/log/gauge.log" php "$project/bin/console" shed:gauge
}

# As the web server's user, for as long as it runs. A command, not a function of ours: that would stay behind as a shell,
# and hold the lock of whoever started it.
beside() { # pid file, log, command ...
    local pid=$1 log=$2 as=(); shift 2
    if drops_root; then as=(setpriv --reuid=www-data --regid=www-data --init-groups --); fi
    "${as[@]}" "$@" >>"$log" 2>&1 </dev/null &
    printf '%s' $! >"$pid"
    disown
}

# Each night: a backup, and what is kept by a rule let go. Nothing else on this machine is asked to remember it.
start_nightly() {
    runs "$run/nightly.pid" nightly.sh && return
    setsid bash "$project/bin/lib/nightly.sh" >>"$run/log/nightly.log" 2>&1 </dev/null &
    printf '%s' $! >"$run/nightly.pid"
    disown
}

stop_one() { # pid file, what, signal
    runs "$run/$1" "$2" || { rm -f "$run/$1"; return 0; }
    local pid tries; pid=$(cat "$run/$1")
    kill -"$3" "$pid" 2>/dev/null
    for tries in $(seq 100); do kill -0 "$pid" 2>/dev/null || { rm -f "$run/$1"; return 0; }; sleep 0.1; done
    kill -KILL "$pid" 2>/dev/null; rm -f "$run/$1"
}

stop_all() {
    stop_one nightly.pid nightly.sh TERM
    stop_one gauge.pid shed:gauge TERM
    stop_one nginx.pid nginx QUIT
    stop_one php-fpm.pid php-fpm QUIT
    stop_one db/mariadb.pid mariadbd TERM
    # Of a shed that was started before the database had a folder of its own.
    stop_one mariadb.pid mariadbd TERM
}
