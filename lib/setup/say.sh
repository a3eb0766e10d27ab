# shellcheck shell=bash
# One voice for all set-up scripts.
say() { printf '\033[36m▸\033[0m %s\n' "$*"; }
fail() { printf '\033[31m✗\033[0m %s\n' "$*" >&2; exit 1; }
as_root() { if [ "$(id -u)" = 0 ]; then "$@"; else sudo "$@"; fi; }

# A newer Node than Debian's, where bin/setup had to bring one.
if [ -x var/node/bin/node ]; then export PATH="$PWD/var/node/bin:$PATH"; fi
