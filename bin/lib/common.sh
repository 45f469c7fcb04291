# Shared by the scripts in bin/. Sourced, not run.

set -euo pipefail
ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/../.." && pwd)
export COMPOSER_ALLOW_SUPERUSER=1 PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD=1 DEBIAN_FRONTEND=noninteractive

say() { printf '%s\n' "$*"; }
die() { printf 'Cannot go on: %s\n' "$*" >&2; exit 1; }

is_root() { [ "$(id -u)" = 0 ]; }

# No worker runs as root: the web side as www-data, the database as postgres,
# or all as the person who calls where that is not root.
web_user() { is_root && echo www-data || id -un; }
database_user() { is_root && echo postgres || id -un; }
as_user() { local user=$1; shift; if is_root; then runuser -u "$user" -- "$@"; else "$@"; fi; }

port_is_busy() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

free_port() {
    local port
    for _ in $(seq 200); do
        port=$((20000 + RANDOM % 20000))
        port_is_busy "$port" || port_is_busy $((port + 1)) || { echo "$port"; return; }
    done
    die "no free port was found on this computer."
}

# A file that fills or is filled: megabytes free where a folder is or will be.
free_megabytes() {
    local dir=$1
    while [ ! -d "$dir" ]; do dir=$(dirname "$dir"); done
    df -Pm "$dir" | awk 'NR == 2 { print $4 }'
}

need_room() {
    local free; free=$(free_megabytes "$1")
    [ "$free" -ge "$2" ] || die "the disk of $1 has $free MB left and $2 MB are needed. Make room and start again."
}
