#!/usr/bin/env bash
# Waits for the night, again and again, as long as the shed is open; bin/start keeps one running.
set -u
. "$(dirname "${BASH_SOURCE[0]}")/shed.sh"
at=${SHED_NIGHTLY_AT:-03:10}
trap 'kill $(jobs -p) 2>/dev/null; exit 0' TERM INT
while :; do
    seconds=$(($(date -d "today $at" +%s) - $(date +%s)))
    [ "$seconds" -gt 0 ] || seconds=$(($(date -d "tomorrow $at" +%s) - $(date +%s)))
    sleep "$seconds" & wait $!
    printf '\n%s\n' "$(date '+%F %T') the nightly round"
    "$project/bin/backup" --nightly || printf 'The backup failed; the others of %s/backups stay.\n' "$run"
    console shed:forget-keys
    console shed:forget-notes
    console shed:mend-photos --yes
    console cache:pool:prune
    console shed:replan
done
