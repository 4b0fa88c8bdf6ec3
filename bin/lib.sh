# What bin/start and bin/test share: finding out what is missing and installing it. Sourced, not run.

cd "$(dirname "${BASH_SOURCE[0]}")/.."
export COMPOSER_ALLOW_SUPERUSER=1 COMPOSER_NO_INTERACTION=1

say() { printf '%s\n' "$*"; }
fail() { printf 'Gimbo: %s\n' "$*" >&2; exit 1; }

# The folder for what only counts while a Gimbo runs, one for each database.
run_folder() {
  local database run
  database=$(realpath -m -- "${GIMBO_DATABASE:-storage/gimbo.sqlite}")
  run="${TMPDIR:-/tmp}/gimbo-$(id -u)-$(printf '%s' "$database" | cksum | cut -d' ' -f1)"
  mkdir -p -m 700 "$run" && [ -O "$run" ] || fail "the folder $run is somebody else’s."
  printf '%s' "$run"
}

# Debian's servers and PHP's process manager live in sbin.
PATH=$PATH:/usr/sbin:/sbin

# Some packages bring a service of their own and start it. Gimbo runs what it needs itself: a service that was not there
# before is neither started nor left to start with the machine.
without_services() {
  local policy=/usr/sbin/policy-rc.d is_ours=
  if [ ! -e "$policy" ]; then
    printf '#!/bin/sh\nexit 101\n' >"$policy" && chmod 755 "$policy" && is_ours=1
  fi
  "$@"
  local status=$?
  [ -z "$is_ours" ] || rm -f "$policy"
  return $status
}

leave_service_off() {
  if [ -d /run/systemd/system ]; then
    systemctl disable --now --quiet "$1" >/dev/null 2>&1 || true
  else
    rm -f "/etc/systemd/system/multi-user.target.wants/$1.service"
  fi
  update-rc.d "$1" disable >/dev/null 2>&1 || true
}

# need_packages DEBIAN_PACKAGE=WHAT…: installs the packages whose program, php:extension or python:module is not there.
need_packages() {
  is_missing "$@" && return 0
  if ! command -v apt-get >/dev/null 2>&1 || [ "$(id -u)" != 0 ]; then
    fail "these packages are missing and may not be installed from here. As root, run: apt-get install -y --no-install-recommends ${missing[*]}"
  fi
  install_missing
}

# is_missing …: fails, and sets `missing`, where a package is.
is_missing() {
  missing=()
  local pair package program
  for pair in "$@"; do
    package=${pair%%=*} program=${pair#*=}
    case $program in
      # Read whole first: a grep that leaves early would make the pipe fail.
      file:*) [ -e "${program#file:}" ] || missing+=("$package") ;;
      php:*) grep -qix "${program#php:}" <<<"$(php -m 2>/dev/null)" || missing+=("$package") ;;
      python:*) /usr/bin/python3 -c "import ${program#python:}" 2>/dev/null || missing+=("$package") ;;
      *) command -v "$program" >/dev/null 2>&1 || missing+=("$package") ;;
    esac
  done
  [ ${#missing[@]} -eq 0 ]
}

install_missing() {
  local install="apt-get install -y --no-install-recommends ${missing[*]}" package
  say "Installing ${missing[*]} …"
  local log
  log=$(mktemp)
  if ! { apt-get update -qq && DEBIAN_FRONTEND=noninteractive without_services $install -qq; } >"$log" 2>&1; then
    tail -n 15 "$log" >&2
    fail "could not install. By hand, as root: $install"
  fi
  rm -f "$log"
  for package in "${missing[@]}"; do
    case $package in
      nginx*) leave_service_off nginx ;;
      php*-fpm) leave_service_off "$package" ;;
    esac
  done
}

# changed STAMP FILE…: whether any file is newer than the last time the stamp was made from them.
changed() {
  local stamp=storage/framework/$1.stamp
  shift
  [ -f "$stamp" ] && [ "$(cat "$stamp")" = "$(cat "$@" | cksum)" ] && return 1
  return 0
}

stamp() {
  local stamp=storage/framework/$1.stamp
  shift
  cat "$@" | cksum >"$stamp"
}

install_php_packages() {
  if [ ! -d vendor ] || changed composer composer.json; then
    say 'Installing PHP packages …'
    composer install --quiet --no-scripts || fail 'composer install did not succeed.'
    stamp composer composer.json
  fi
}

install_core_test_packages() {
  if [ ! -d core/vendor ] || changed core core/composer.json; then
    say 'Installing what the core is tested with …'
    composer install --quiet --working-dir=core || fail 'composer install in core/ did not succeed.'
    stamp core core/composer.json
  fi
}

install_node_packages() {
  if [ ! -d node_modules ] || changed npm package-lock.json; then
    say 'Installing front-end packages …'
    PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD=1 npm ci --silent --no-audit --no-fund || fail 'npm ci did not succeed.'
    stamp npm package-lock.json
  fi
}

front_end_sources() { find resources lang api vite.config.ts vite.onefile.config.ts -type f ! -name schema.ts | LC_ALL=C sort; }

build_front_end() {
  local sources
  mapfile -t sources < <(front_end_sources)
  if [ ! -f public/build/manifest.json ] || changed build "${sources[@]}"; then
    say 'Building the screens …'
    npm run --silent types >/dev/null || fail 'the browser’s types could not be made from api/openapi.json.'
    npx vite build --logLevel warn && npx vite build --config vite.onefile.config.ts --logLevel warn || fail 'the build did not succeed.'
    stamp build "${sources[@]}"
  fi
}
