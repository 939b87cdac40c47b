# Shared by bin/backup and bin/restore: what a copy of a shed is made of, and how it is compared with another.
# A copy is a tar with: shed.sql.gz (all rows), photos/, settings, files.sha256 (of the photos) and manifest.
# Sourced after shed.sh.

# The password goes by a file only its owner may read, never by the command line.
client() { # program, further arguments
    local program=$1 asked; shift
    asked=$(mktemp); chmod 600 "$asked"
    . "$run/secrets"
    printf '[client]\nuser=shed\npassword=%s\nhost=127.0.0.1\nport=%s\n' "$DB_PASSWORD" "$db_port" >"$asked"
    local status=0
    "$program" --defaults-extra-file="$asked" "$@" || status=$?
    rm -f "$asked"
    return $status
}

# One moment of the whole database, while it is used; every row in the order of its key, and nothing that differs from
# one dump of the same rows to the next. Triggers are whoever's who lays them out again.
dump() {
    client mariadb-dump --single-transaction --quick --no-tablespaces --order-by-primary --skip-comments --hex-blob --default-character-set=utf8mb4 "$1" \
        | sed -E '/^\/\*!50003 CREATE\*\//s#/\*!50017 DEFINER=`[^`]*`@`[^`]*`\*/ ?##'
}

digest() { sha256sum | cut -d' ' -f1; }

# The files of a folder with what is in them, in one order.
photo_digests() { (cd "$1" && find . -type f -name '*.jpg' -print0 | LC_ALL=C sort -z | xargs -0 -r sha256sum); }

of_manifest() { sed -n "s/^$2=//p" "$1"; }
