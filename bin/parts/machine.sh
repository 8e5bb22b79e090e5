# What the machine must offer before anything else is tried: room, rights, Ruby, Node, Debian packages.
least_free_megabytes=700
node_least_major=20

need_room_and_rights() {
  mkdir -p "$root/var" "${state:-$root/var}" 2>/dev/null || stop_with "cannot write in $root: give this user the right to write there, or clone it elsewhere"
  [ -w "$root/var" ] || stop_with "cannot write in $root/var: it belongs to $(stat -c %U "$root/var"); run as that user, or remove the folder"
  local free
  free=$(df -Pm "$root/var" | awk 'NR == 2 { print $4 }')
  [ "$free" -ge "$least_free_megabytes" ] ||
    stop_with "only $free MB free under $root; $least_free_megabytes MB are needed: make room and start again"
}

# Installs the Debian packages whose command is missing; as an ordinary user it can only name them.
# need_commands 'command:package' ...
need_commands() {
  local missing=() pair
  for pair in "$@"; do
    [ -e "${pair%%:*}" ] || command -v "${pair%%:*}" >/dev/null 2>&1 || missing+=("${pair##*:}")
  done
  [ "${#missing[@]}" -eq 0 ] && return
  local as_root=()
  if [ "$(id -u)" -ne 0 ]; then
    sudo -n true 2>/dev/null || stop_with "Debian packages are missing; run as root: apt-get install ${missing[*]}"
    as_root=(sudo -n)
  fi
  say "Installing Debian packages: ${missing[*]}"
  step 'package list' "${as_root[@]}" apt-get update
  step 'Debian packages' "${as_root[@]}" env DEBIAN_FRONTEND=noninteractive apt-get install -y --no-install-recommends "${missing[@]}"
}

need_ruby() {
  command -v ruby >/dev/null || stop_with 'Ruby is missing: install Debian package ruby-full (3.1 or later)'
  ruby -e 'exit(RUBY_VERSION >= "3.1" && RUBY_VERSION < "3.4")' ||
    stop_with "Ruby $(ruby -e 'print RUBY_VERSION') is here; 3.1, 3.2 or 3.3 is needed"
}

node_major() { node --version 2>/dev/null | sed 's/^v\([0-9]*\).*/\1/'; }

# Debian 12 has Node 18, which is too old for the build: the npm package "node" ships a newer binary.
need_node() {
  PATH="$root/var/node/node_modules/node/bin:$PATH"
  local major
  major=$(node_major)
  [ -n "$major" ] && [ "$major" -ge "$node_least_major" ] && return
  command -v npm >/dev/null || need_commands npm:npm
  say 'Fetching Node 20 from the npm registry'
  mkdir -p "$root/var/node"
  step 'node' npm install --prefix "$root/var/node" --no-save node@20
  hash -r
  major=$(node_major)
  [ -n "$major" ] && [ "$major" -ge "$node_least_major" ] || stop_with "Node $node_least_major or later is needed, found ${major:-none}"
}

need_base_packages() {
  need_commands ruby:ruby-full bundle:bundler gcc:build-essential pg_config:libpq-dev npm:npm \
    /usr/share/doc/postgresql-15/copyright:postgresql-15 /usr/lib/x86_64-linux-gnu/libyaml.so:libyaml-dev
}

# Gems and front end side by side: neither needs the other. Two starts in one folder take turns.
install_packages() {
  local turn
  exec {turn}>"$root/var/install.lock"
  flock "$turn"
  install_all
  exec {turn}>&-
}

install_all() {
  export BUNDLE_PATH="$root/vendor/bundle" BUNDLE_GEMFILE="$root/Gemfile" BUNDLE_FROZEN=true BUNDLE_SILENCE_ROOT_WARNING=true
  install_gems &
  local gems=$!
  install_node_packages web 'front end'
  install_node_packages drawing 'program that draws'
  build_front_end
  wait "$gems"
}

install_gems() {
  local digest
  digest=$(cat "$root/Gemfile" "$root/Gemfile.lock" <(ruby --version) | sha256sum | cut -d' ' -f1)
  stale gems "$digest" || return 0
  say 'Installing gems (about two minutes the first time)'
  # Nokogiri builds its own libxml2 in more than a minute where Debian's is not at hand.
  if pkg-config --exists libxml-2.0 libxslt libexslt 2>/dev/null; then export NOKOGIRI_USE_SYSTEM_LIBRARIES=true; fi
  step gems bundle install --jobs 2
  stamp gems "$digest"
}

# install_node_packages FOLDER WHAT: the packages of one of the two Node folders, as its lock file names them.
install_node_packages() {
  local folder=$1 what=$2 digest
  digest=$(cat "$root/$folder/package.json" "$root/$folder/package-lock.json" | sha256sum | cut -d' ' -f1)
  if ! stale "$folder-packages" "$digest" && [ -d "$root/$folder/node_modules" ]; then return 0; fi
  say "Installing packages of the $what"
  step "packages of the $what" npm install --prefix "$root/$folder" --no-save
  [ "$digest" = "$(cat "$root/$folder/package.json" "$root/$folder/package-lock.json" | sha256sum | cut -d' ' -f1)" ] ||
    stop_with "npm changed $folder/package-lock.json: commit the lock file that belongs to package.json"
  stamp "$folder-packages" "$digest"
}

build_front_end() {
  local digest
  digest=$(digest_of "$root/web/src" "$root/drawing/lib/symbols" "$root/web/index.html" "$root/web/vite.config.ts" "$root/web/package-lock.json" "$root/server/openapi.yml")
  if ! stale front-end "$digest" && [ -f "$root/web/dist/index.html" ]; then return 0; fi
  say 'Building the front end'
  step 'front end types' npm run --prefix "$root/web" types
  step 'front end' npm run --prefix "$root/web" build
  stamp front-end "$digest"
}
