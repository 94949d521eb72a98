# Shared by start and test: installs packages when they are missing or older than the lock file.
root=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)
cd "$root" || exit 1

say() { printf '\n▸ %s\n' "$*"; }
fail() { printf '\n✗ %s\n' "$*" >&2; exit 1; }

need_node() {
  command -v node >/dev/null 2>&1 || fail 'Node.js 20 or newer is needed. On Debian: see your release notes for the nodejs package.'
  local major
  major=$(node -p 'process.versions.node.split(".")[0]')
  [ "$major" -ge 20 ] || fail "Node.js 20 or newer is needed; this is $(node --version)."
}

need_packages() {
  local stamp=node_modules/.omblet-installed
  if [ -f "$stamp" ] && cmp -s package-lock.json "$stamp"; then
    say 'Packages are installed.'
  else
    say 'Installing packages from the lock file…'
    npm ci --no-audit --no-fund || fail 'npm ci failed. Check the network and run it again.'
    cp package-lock.json "$stamp"
  fi
}
