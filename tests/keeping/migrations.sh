#!/usr/bin/env bash
# Every migration goes down and up, and down again, with the demo's data in the tables. Run by bin/test, on its database.
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/../.."
php bin/console shed:demo --yes --quiet
for version in $(ls migrations | sed 's/\.php$//' | sort -r); do
    for way in down up down; do
        php bin/console doctrine:migrations:execute --no-interaction --quiet "--$way" "AwakeShed\\Migrations\\$version" || { printf '%s\n' "$version does not go $way on data." >&2; exit 1; }
    done
done
php bin/console doctrine:migrations:migrate --no-interaction --quiet
php bin/console doctrine:schema:validate --quiet
printf '  every migration goes down and up on data\n'
