# A PostgreSQL cluster of the product's own, on loopback, under var/. Two roles: app_owner migrates, app reads and writes.
# cluster_start DIR [tests] sets owner_url and app_url, which differ in role and password; cluster_stop DIR stops it only if this
# run started it. The owner's url is for migrations, backup and restore: no program that serves is given it.
cluster_started_here=

pg_bin() {
  local dir
  dir=$(ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -n 1)
  [ -n "$dir" ] || dir=$(pg_config --bindir 2>/dev/null)
  [ -x "$dir/initdb" ] || stop_with 'the PostgreSQL server is missing: install Debian package postgresql'
  printf '%s' "$dir"
}

# PostgreSQL refuses root: as root the server runs as postgres (or nobody), which may need the right to pass a root-only folder.
cluster_user() {
  [ "$(id -u)" -eq 0 ] || return 0
  if id postgres >/dev/null 2>&1; then printf postgres; else printf nobody; fi
}

as_cluster_user() {
  local user
  user=$(cluster_user)
  if [ -z "$user" ]; then "$@"; return; fi
  local group caps=()
  group=$(id -gn "$user")
  setpriv --reuid="$user" --regid="$group" --init-groups test -x "$cluster_dir" 2>/dev/null ||
    caps=(--inh-caps=+dac_read_search --ambient-caps=+dac_read_search)
  (cd / && setpriv --reuid="$user" --regid="$group" --init-groups "${caps[@]}" "$@")
}

free_port() { ruby -rsocket -e 's = TCPServer.new("127.0.0.1", 0); print s.addr[1]; s.close'; }

# password_in FILE: what it holds, made at first use.
password_in() {
  [ -s "$1" ] || (umask 077; ruby -rsecurerandom -e 'print SecureRandom.hex(24)' >"$1")
  cat "$1"
}

cluster_create() {
  local password
  rm -rf "$cluster_dir" "$cluster_dir.password"
  password=$(password_in "$cluster_dir.password")
  mkdir -p "$cluster_dir"
  chmod 700 "$cluster_dir"
  (umask 077; printf '%s\n' "$password" >"$cluster_dir.pwfile")
  local user
  user=$(cluster_user)
  [ -z "$user" ] || chown "$user" "$cluster_dir" "$cluster_dir.pwfile"
  step 'database cluster' as_cluster_user "$(pg_bin)/initdb" -D "$cluster_dir" -U app_owner -A scram-sha-256 \
    -E UTF8 --locale=C.UTF-8 -N --pwfile="$cluster_dir.pwfile"
  rm -f "$cluster_dir.pwfile"
}

# A dead postmaster can leave its pid file, a zombie or busy children behind: only a process that works in the folder counts.
cluster_alive() {
  local pid
  pid=$(head -n 1 "$cluster_dir/postmaster.pid" 2>/dev/null) || return 1
  [ -n "$pid" ] && [ "$(readlink "/proc/$pid/cwd" 2>/dev/null)" = "$(readlink -f "$cluster_dir")" ]
}

cluster_clear_wreck() {
  local proc
  for proc in /proc/[0-9]*; do
    [ "$(readlink "$proc/cwd" 2>/dev/null)" = "$(readlink -f "$cluster_dir")" ] || continue
    kill -TERM "${proc#/proc/}" 2>/dev/null || true
    timeout 10 tail --pid="${proc#/proc/}" -f /dev/null 2>/dev/null || true
  done
  rm -f "$cluster_dir/postmaster.pid"
}

cluster_start() {
  cluster_dir=$1
  local for_tests=${2:-} port options
  [ -f "$cluster_dir/PG_VERSION" ] && [ -f "$cluster_dir.password" ] || cluster_create
  if ! cluster_alive; then
    cluster_clear_wreck
    port=${cluster_port:-$(free_port)} # one that died comes back where it was: who serves knows it there
    options="-p $port -k '' -c listen_addresses=127.0.0.1 -c max_connections=60 -c log_min_error_statement=panic -c jit=off"
    [ -z "$for_tests" ] || options="$options -c fsync=off -c synchronous_commit=off -c full_page_writes=off"
    cluster_started_here=yes # said first: a signal during the start must find it so
    as_cluster_user env -u WATTOMNEUM_STATE "$(pg_bin)/pg_ctl" start -w -s -D "$cluster_dir" -l "$cluster_dir/server.log" -o "$options" 9>&- >/dev/null ||
      stop_with "PostgreSQL did not start; its own words are in $cluster_dir/server.log"
  fi
  port=$(sed -n 4p "$cluster_dir/postmaster.pid")
  cluster_port=$port
  owner_url="postgres://app_owner:$(cat "$cluster_dir.password")@127.0.0.1:$port"
  app_url="postgres://app:$(password_in "$cluster_dir.app-password")@127.0.0.1:$port"
}

cluster_stop() {
  [ -n "$cluster_started_here" ] || return 0
  cluster_dir=$1
  as_cluster_user "$(pg_bin)/pg_ctl" stop -m fast -s -D "$cluster_dir" >/dev/null 2>&1 || true
}
