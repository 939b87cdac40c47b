#!/usr/bin/env bash
# A shed is kept, closed with age, put into an empty place, and found whole there; it is laid over nothing, and a folder
# that lacks its marks keeps what it holds. Run by bin/test.
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/../.."
unset SHED_HTTP_PORT SHED_DB_PORT SHED_GAUGE_PORT
export APP_ENV=prod
scratch=$(mktemp -d /tmp/awake-shed-keeping-XXXXXX)
chmod 755 "$scratch"
ports() { local from; from=$(shuf -i 20000-44000 -n 1); export SHED_HTTP_PORT=$from SHED_DB_PORT=$((from + 1)) SHED_GAUGE_PORT=$((from + 2)); }
trap 'for place in a moved b; do SHED_RUN_DIR=$scratch/$place bin/stop >/dev/null 2>&1 || true; done; rm -rf "$scratch"' EXIT
wrong() { printf '%s\n' "Wrong: $1" >&2; exit 1; }
holds() { SHED_RUN_DIR=$scratch/$1 php bin/console shed:demo --holds; }

ports
SHED_RUN_DIR=$scratch/a bin/start >"$scratch/log" 2>&1 || { cat "$scratch/log"; wrong 'it did not start'; }
before=$(holds a)
[ "$before" = "${before#0 jobs}" ] || wrong 'there is no demo to keep'
age-keygen -o "$scratch/key" 2>"$scratch/public"
recipient=$(grep -o 'age1[a-z0-9]*' "$scratch/public")
SHED_RUN_DIR=$scratch/a bin/backup --to "$scratch/copies" --encrypt-to "$recipient" --nightly >>"$scratch/log" 2>&1 || { cat "$scratch/log"; wrong 'the backup failed'; }
copy=$(ls "$scratch"/copies/*.age)
if tar -tf "$copy" >/dev/null 2>&1; then wrong 'the copy is not closed'; fi
if SHED_RUN_DIR=$scratch/a bin/restore "$copy" --identity "$scratch/key" >>"$scratch/log" 2>&1; then wrong 'a copy was laid over a shed'; fi

# What a missing mark once cost: the demo over everything.
rm -f "$scratch/a/demo" "$scratch/a/migrated"
SHED_RUN_DIR=$scratch/a bin/start >>"$scratch/log" 2>&1
[ "$(holds a)" = "$before" ] || wrong 'a start without its marks changed what the shed holds'
if printf 'no\n' | SHED_RUN_DIR=$scratch/a bin/start --reset >>"$scratch/log" 2>&1; then wrong 'it was emptied without the word'; fi
[ "$(holds a)" = "$before" ] || wrong 'a refused reset changed what the shed holds'

# Moved as a whole, it is the same shed.
SHED_RUN_DIR=$scratch/a bin/stop >>"$scratch/log"
mv "$scratch/a" "$scratch/moved"
SHED_RUN_DIR=$scratch/moved bin/start >>"$scratch/log" 2>&1 || { tail -n 20 "$scratch/log"; wrong 'a moved shed does not start'; }
[ "$(holds moved)" = "$before" ] || wrong 'a moved shed lost something'
ports
SHED_RUN_DIR=$scratch/b bin/restore "$copy" --identity "$scratch/key" >>"$scratch/log" 2>&1 || { tail -n 20 "$scratch/log"; wrong 'the restore failed'; }
SHED_RUN_DIR=$scratch/b bin/start >>"$scratch/log" 2>&1 || { tail -n 20 "$scratch/log"; wrong 'what was restored does not start'; }
[ "$(holds b)" = "$before" ] || wrong "restored: $(holds b), kept: $before"
printf '  kept, closed, restored and found whole: %s\n' "$before"
