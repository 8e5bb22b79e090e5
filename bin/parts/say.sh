# Messages of the commands: one clear line, then out.
say() { printf '%s\n' "$*"; }
stop_with() { printf '%s: %s\n' "$(basename "$0")" "$*" >&2; exit 1; }

# Runs a quiet step: its output goes to a log and is shown only when it fails.
# step NAME COMMAND...
step() {
  local name=$1; shift
  mkdir -p "${state:-$root/var}/log"
  local log="${state:-$root/var}/log/${name// /-}.log"
  if ! "$@" >"$log" 2>&1; then
    tail -n 40 "$log" >&2
    stop_with "$name failed; the whole output is in $log"
  fi
}

# A stamp remembers the digest of what a step was made from, so that the second start is quick.
# stale NAME DIGEST: true when the step has to run again.
stale() { [ "$(cat "${stamps:-$root/var/stamps}/$1" 2>/dev/null)" != "$2" ]; }
stamp() { mkdir -p "${stamps:-$root/var/stamps}"; printf '%s' "$2" >"${stamps:-$root/var/stamps}/$1"; }
digest_of() { find "$@" -type f ! -name schema.d.ts -print0 | LC_ALL=C sort -z | xargs -0 cat | sha256sum | cut -d' ' -f1; }
