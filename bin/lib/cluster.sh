# Shared by bin/cluster and its tests: three nodes of one database, two web servers and HAProxy before both, each in a
# run folder of its own below one folder. Sourced after shed.sh, with SHED_RUN_DIR naming that folder.

cluster=$run
source=$project
base_port=${SHED_CLUSTER_PORT:-8500}
nodes='1 2 3'
webs='1 2'
galera=/usr/lib/galera/libgalera_smm.so

# Of node n: pages, database, gauge stand-in, talk between the databases, what a node missed, a whole copy, the database
# as its web server asks for it.
port() { printf '%d' $((base_port + 10 * $1 + $2)); } # node, which

# Everything of shed.sh that follows is about this node.
enter() { # node
    run=$cluster/$1
    export SHED_RUN_DIR=$run
    http_port=$(port "$1" 0); db_port=$(port "$1" 1)
    # There is one gauge on the bench, and one address for everybody, whichever web server answers.
    gauge_port=$(port 1 2) public_port=$base_port database_at=127.0.0.1:$(port "$1" 7)/shed
    db_options=() db_begins=yes db_first=()
    # What a web server serves is what it was started with, whatever is built meanwhile.
    project=$source
    if [ -s "$run/release" ]; then project=$(cat "$run/release"); fi
}

# What is here now, built in a place of its own, as each machine has its own: prints where. Libraries are linked, not
# copied; what building writes into is not.
release() {
    local place=$cluster/releases/$(fingerprint | cut -d' ' -f1)
    if [ ! -e "$place/built" ]; then
        rm -rf "$place"; mkdir -p "$place"
        (cd "$source" && tar -c --exclude=./run --exclude=./var --exclude=./.git --exclude=./vendor --exclude=./node_modules --exclude=./packages --exclude=./public/assets .) | tar -x -C "$place"
        cp -al "$source/vendor" "$source/node_modules" "$source/packages" "$place"
        rm -rf "$place/vendor/composer"; cp -a "$source/vendor/composer" "$place/vendor/composer"
        (project=$place; build) >&2
        touch "$place/built"
    fi
    printf '%s' "$place"
}

among() { local node list=''; for node in $nodes; do list+=,127.0.0.1:$(port "$node" 4); done; printf '%s' "${list#,}"; }

lay_out_node() { # node
    enter "$1"
    mkdir -p "$run"
    # One shed: what one node signed, the others must know.
    if [ "$1" != 1 ] && [ ! -s "$run/secrets" ]; then install -m 600 "$cluster/1/secrets" "$run/secrets"; fi
    SHED_SHARED=1 SHED_DB_PATIENCE=4 SHED_TRUSTED_PROXIES=127.0.0.1 SHED_PHOTOS=$(pictures) make_run_folder
}

# In a folder all of them see, or in a bucket that was asked for at the first start.
pictures() {
    if [ -s "$cluster/bucket.secret" ]; then printf 's3://shed:%s@127.0.0.1:%d/pictures' "$(cat "$cluster/bucket.secret")" $((base_port + 2))
    else printf '%s/photos' "$cluster"; fi
}

runs_anywhere() { local node; for node in $nodes; do if runs "$cluster/$node/db/mariadb.pid" mariadbd; then return 0; fi; done; return 1; }

# Whether any of them still does its work, as part of the most of them.
works() {
    local node
    for node in $nodes; do
        if [ "$(of_node "$node" "SELECT VARIABLE_VALUE FROM information_schema.GLOBAL_STATUS WHERE VARIABLE_NAME = 'WSREP_CLUSTER_STATUS'" 2>/dev/null)" = Primary ]; then return 0; fi
    done
    return 1
}

# How far the node of this folder was when it ended, "uuid:number"; a killed one has it only in its tables.
position() {
    mariadbd --no-defaults --user="$(database_user)" --datadir="$run/mariadb" --socket="$(sockets)/db/recover.sock" --skip-networking \
        --wsrep-on=ON --wsrep-provider="$galera" --wsrep-cluster-address="gcomm://$(among)" --binlog-format=ROW --innodb-autoinc-lock-mode=2 --wsrep-recover 2>&1 | sed -n 's/.*Recovered position: *\([^ ]*\).*/\1/p' | tail -n 1 || true
}

# The node that saw most, where none runs and none was closed as the last one.
furthest() {
    local node best=1 most=-2 seen
    for node in $nodes; do
        enter "$node"
        [ -d "$run/mariadb" ] || continue
        if grep -q '^safe_to_bootstrap: 1' "$run/mariadb/grastate.dat" 2>/dev/null; then printf '%s' "$node"; return; fi
        seen=$(position); seen=${seen##*:}
        if [ "${seen:--1}" -gt "$most" ]; then most=${seen:--1}; best=$node; fi
    done
    printf '%s' "$best"
}

# A node alone in the world begins the cluster; every other one joins, and takes a copy or what it missed.
start_node() { # node [first]
    enter "$1"
    runs "$run/db/mariadb.pid" mariadbd && return
    db_options=(
        --wsrep-on=ON --wsrep-provider="$galera" --wsrep-cluster-name=awake-shed --wsrep-cluster-address="gcomm://$(among)"
        --wsrep-node-name="node$1" --wsrep-node-address=127.0.0.1 --wsrep-node-incoming-address="127.0.0.1:$db_port"
        --wsrep-sst-method=rsync --wsrep-sst-receive-address="127.0.0.1:$(port "$1" 6)"
        # A node that is gone is given up after two seconds: so long nobody's commit is answered. Sooner, and busy ones are
        # given up as well.
        --wsrep-provider-options="gmcast.listen_addr=tcp://127.0.0.1:$(port "$1" 4);ist.recv_addr=127.0.0.1:$(port "$1" 5);evs.keepalive_period=PT0.2S;evs.inactive_check_period=PT0.2S;evs.suspect_timeout=PT2S;evs.inactive_timeout=PT6S;gcache.size=64M"
        # Triggers count machines: what they do goes to the others as rows.
        --log-bin-trust-function-creators=ON
        # Whoever reads sees what was answered for before, at whatever node; a single statement that lost is tried again.
        --wsrep-sync-wait=1 --wsrep-retry-autocommit=4 --binlog-format=ROW --innodb-autoinc-lock-mode=2 --innodb-buffer-pool-size=128M
    )
    # Three of them share a machine with everything else here, and take whoever does not answer in time for dead.
    if [ "$(id -u)" -eq 0 ]; then db_first=(nice -n -10); fi
    db_begins=''
    if [ "${2:-}" = first ]; then
        db_options+=(--wsrep-new-cluster) db_begins=yes
        if [ -f "$run/mariadb/grastate.dat" ]; then sed -i 's/^safe_to_bootstrap: 0/safe_to_bootstrap: 1/' "$run/mariadb/grastate.dat"; fi
    else
        # Under the name a killed node had, the others would first have to forget it, and lose each other over it. Where
        # nobody works, that name is what they find together again by.
        if works; then rm -f "$run/mariadb/gvwstate.dat"; fi
        if grep -q '^seqno: *-1' "$run/mariadb/grastate.dat" 2>/dev/null; then
            # With it the others send what it missed; without, all there is, and one of them stands still meanwhile.
            local from; from=$(position)
            if [ -n "$from" ]; then db_options+=(--wsrep-start-position="$from"); fi
        fi
    fi
    start_database
}

start_nodes() {
    local node first
    if ! runs_anywhere; then first=$(furthest); start_node "$first" first; fi
    for node in $nodes; do start_node "$node"; done
}

start_server() { # node [release]
    enter "$1"
    if [ -n "${2:-}" ] && ! { runs "$run/php-fpm.pid" php-fpm && runs "$run/nginx.pid" nginx; }; then printf '%s' "$2" >"$run/release"; project=$2; fi
    start_web
    runs "$run/relay.pid" shed:relay-news && return
    beside "$run/relay.pid" "$run/log/relay.log" php "$project/bin/console" shed:relay-news
}

start_bucket() {
    [ -s "$cluster/bucket.secret" ] || return 0
    runs "$cluster/bucket.pid" bucket.php && return
    mkdir -p "$cluster/bucket"
    if drops_root; then chown www-data "$cluster/bucket"; fi
    SHED_BUCKET=$cluster/bucket SHED_BUCKET_KEY=shed SHED_BUCKET_SECRET=$(cat "$cluster/bucket.secret") \
        beside "$cluster/bucket.pid" "$cluster/bucket.log" php -S "127.0.0.1:$((base_port + 2))" "$project/bin/lib/bucket.php"
}

start_proxy() {
    . "$cluster/1/secrets"
    (umask 077; printf '[client]\nuser=shed\npassword=%s\n' "$DB_PASSWORD" >"$cluster/asks.cnf")
    # Beside what it signs in with: HAProxy tells it nothing but ports.
    install -m 755 "$project/bin/lib/node-is-synced" "$cluster/node-is-synced"
    # Where neither web server answers, in the shed's own words.
    { printf 'HTTP/1.1 503 Service Unavailable\r\nContent-Type: text/html; charset=utf-8\r\nCache-Control: private, no-store\r\nRetry-After: 5\r\n'
      printf "Content-Security-Policy: default-src 'none'; style-src 'self'; img-src 'self'; font-src 'self'; frame-ancestors 'none'\r\nX-Content-Type-Options: nosniff\r\nX-Frame-Options: DENY\r\nConnection: close\r\n\r\n"
      cat "$(cat "$cluster/1/release")/var/server-pages/busy.html"; } >"$cluster/busy.http"
    local node other servers='' checks='' databases=''
    for node in $webs; do servers+="    server web$node 127.0.0.1:$(port "$node" 0) check"$'\n'; done
    # Each node is asked once, for all who use it. The third has no web server, but whoever asks something of it from the
    # command line comes the same way.
    for node in $nodes; do
        checks+="    server node$node 127.0.0.1:$(port "$node" 1) check"$'\n'
        databases+=$'\n'"listen database$node"$'\n'"    bind 127.0.0.1:$(port "$node" 7)"$'\n'"    server node$node 127.0.0.1:$(port "$node" 1) track nodes/node$node on-marked-down shutdown-sessions"$'\n'
        for other in $nodes; do [ "$other" = "$node" ] || databases+="    server node$other 127.0.0.1:$(port "$other" 1) track nodes/node$other backup on-marked-down shutdown-sessions"$'\n'; done
    done
    awk -v cluster="$cluster" -v project="$project" -v listen="127.0.0.1:$base_port" -v servers="$servers" -v checks="$checks" -v databases="$databases" '{
        gsub(/@CLUSTER@/, cluster); gsub(/@PROJECT@/, project); gsub(/@LISTEN@/, listen); gsub(/@SERVERS@/, servers); gsub(/@CHECKS@/, checks); gsub(/@DATABASES@/, databases); print }' "$project/config/server/haproxy.cfg" >"$cluster/haproxy.cfg"
    runs "$cluster/haproxy.pid" haproxy && return
    port_taken "$base_port" && fail "port $base_port, meant for the pages, is taken." "SHED_CLUSTER_PORT=$((base_port + 100)) bin/cluster"
    haproxy -D -f "$cluster/haproxy.cfg" -p "$cluster/haproxy.pid" >>"$cluster/haproxy.log" 2>&1 || fail 'HAProxy did not start.' "look into $cluster/haproxy.log"
}

# One that is "drained" gets no new requests and ends those it has.
tell_proxy() { printf '%s\n' "$*" | php -r '$s = stream_socket_client("unix://".$argv[1], $e, $m, 3); fwrite($s, stream_get_contents(STDIN)); echo stream_get_contents($s);' "$cluster/haproxy.sock"; }

of_node() { # node, SQL
    enter "$1"
    . "$run/secrets"
    MYSQL_PWD=$DB_PASSWORD mariadb --no-defaults -N -h 127.0.0.1 -P "$db_port" -u shed shed -e "$2"
}

as_root() { mariadb --no-defaults -S "$(sockets)/db/db.sock" -u root -e "$1"; } # SQL, of the node that was entered

# What was kept as the last one to close may begin again by itself: so the first is closed last.
stop_cluster() {
    local node
    stop_at "$cluster" haproxy.pid haproxy TERM
    stop_at "$cluster" bucket.pid bucket.php TERM
    for node in 3 2 1; do
        enter "$node"
        stop_one relay.pid shed:relay-news TERM
        stop_all
    done
    run=$cluster
}
stop_at() { run=$1; shift; stop_one "$@"; }
