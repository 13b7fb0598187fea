# Shared by bin/demo and bin/test: what the machine must have, and the installed packages. Sourced, not run.
set -euo pipefail
ROOT="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)"
LOCAL="$ROOT/.local"
export NEXT_TELEMETRY_DISABLED=1
export npm_config_update_notifier=false

say() { printf '%s\n' "$*" >&2; }
fail() { say "$*"; exit 1; }

need_node() {
  command -v node >/dev/null || fail "Node.js 20.19 or later is needed and not found. Install it, then run this again."
  node -e 'const [a,b]=process.versions.node.split(".").map(Number);process.exit(a>20||(a===20&&b>=19)?0:1)' || fail "Node.js 20.19 or later is needed; this is $(node --version)."
}

postgres_bin() { ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -1; }

# need_debian COMMAND-TEST PACKAGE ...: installs what is missing as root, tells an ordinary user exactly what to ask for.
need_debian() {
  local missing=("$@")
  [ ${#missing[@]} -eq 0 ] && return
  if [ "$(id -u)" -ne 0 ]; then
    fail "Missing Debian packages: ${missing[*]}. Ask an administrator to run: apt-get install -y ${missing[*]}"
  fi
  say "Installing ${missing[*]} ..."
  # Our cluster is private; Debian's own, on the usual port, is not wanted.
  if [ ! -e /etc/postgresql-common/createcluster.conf ]; then
    mkdir -p /etc/postgresql-common && echo 'create_main_cluster = false' > /etc/postgresql-common/createcluster.conf
  fi
  { apt-get update -qq && DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends -o Dpkg::Options::=--force-confold "${missing[@]}"; } >"$LOCAL/apt.log" 2>&1 \
    || fail "apt-get could not install ${missing[*]}; see $LOCAL/apt.log"
}

need_packages() {
  local lock stamp
  lock="$(cat "$ROOT/package-lock.json" "$ROOT/package.json" "$ROOT"/core/package.json "$ROOT"/web/package.json | sha256sum | cut -d' ' -f1)"
  stamp="$ROOT/node_modules/.echo-loom-lock"
  [ -f "$stamp" ] && [ "$(cat "$stamp")" = "$lock" ] && return
  say "Installing npm packages ..."
  # `npm ci` takes exactly what the lock says. A registry that leaves out other systems' binaries makes it refuse; `npm install` then keeps to the
  # lock for all it does offer, and the lock is put back as it was: installing never changes the checkout.
  cp "$ROOT/package-lock.json" "$LOCAL/package-lock.before"
  if ! (cd "$ROOT" && npm ci --loglevel=error >"$LOCAL/npm.log" 2>&1); then
    say "npm ci was refused (see $LOCAL/npm.log); trying npm install ..."
    (cd "$ROOT" && npm install --loglevel=error >>"$LOCAL/npm.log" 2>&1) || { cp "$LOCAL/package-lock.before" "$ROOT/package-lock.json"; fail "npm install failed; see $LOCAL/npm.log"; }
    cp "$LOCAL/package-lock.before" "$ROOT/package-lock.json"
  fi
  echo "$lock" > "$stamp"
}

# Builds the application unless the last build was made from the very same sources.
need_build() {
  local sources stamp
  sources="$(cd "$ROOT" && find core/src web package-lock.json -type f -not -path '*/node_modules/*' -not -path 'web/.next/*' -not -name '*.tsbuildinfo' -not -name next-env.d.ts -print0 | sort -z | xargs -0 sha256sum | sha256sum | cut -d' ' -f1)"
  stamp="$ROOT/web/.next/echo-loom-build"
  [ -f "$stamp" ] && [ "$(cat "$stamp")" = "$sources" ] && return
  say "Building the application ..."
  rm -f "$stamp"
  (cd "$ROOT/web" && node "$ROOT/node_modules/next/dist/bin/next" build >"$LOCAL/build.log" 2>&1) || { tail -40 "$LOCAL/build.log" >&2; fail "The build failed; see $LOCAL/build.log"; }
  echo "$sources" > "$stamp"
}
mkdir -p "$LOCAL" 2>/dev/null || true

# What installs, builds and keeps data needs a checkout that can be written to.
need_writable() {
  [ -w "$LOCAL" ] && [ -w "$ROOT/web" ] \
    || fail "$ROOT cannot be written to. Echo Loom keeps its packages, build and data there; copy it to a folder of your own and start it from there."
}
