#!/usr/bin/env bash
# Asks the registries what is known against the libraries. What is known fails; a registry that gives no answer to such
# questions is said, and holds nothing up.
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/../.."

printf '\n== Known weaknesses of what is installed\n'
judge() { # name, the answer as JSON on standard input
    php -r '
        $name = $argv[1];
        $answer = json_decode((string) stream_get_contents(STDIN), true);
        $known = match (true) {
            is_array($answer["advisories"] ?? null) => array_sum(array_map(count(...), $answer["advisories"])),
            is_array($answer["metadata"]["vulnerabilities"] ?? null) => $answer["metadata"]["vulnerabilities"]["high"] + $answer["metadata"]["vulnerabilities"]["critical"],
            default => null,
        };
        echo "  $name: ", null === $known ? "the registry gave no answer" : (0 === $known ? "nothing is known" : "$known known"), "\n";
        if ($known > 0) { echo json_encode($answer["advisories"] ?? $answer["vulnerabilities"] ?? [], JSON_PRETTY_PRINT), "\n"; exit(1); }
    ' "$1"
}
{ COMPOSER_ALLOW_SUPERUSER=1 composer audit --format=json --no-interaction 2>/dev/null || true; } | judge 'PHP libraries'
{ npm audit --json 2>/dev/null || true; } | judge 'npm packages'
