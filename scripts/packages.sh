# What the machine must have. Sourced, not run.

# need_tools: the tools that the user brings.
need_tools() {
  local missing=()
  command -v java >/dev/null && command -v javac >/dev/null || missing+=("a JDK, 17 or newer (Debian: openjdk-17-jdk)")
  command -v mvn >/dev/null || missing+=("Maven (Debian: maven)")
  command -v node >/dev/null || missing+=("Node.js, 20 or newer (Debian: nodejs)")
  command -v npm >/dev/null || missing+=("npm")
  if [ "${#missing[@]}" -gt 0 ]; then
    printf 'dremsa: missing on this machine: %s\n' "${missing[@]}" >&2
    exit 1
  fi
  local major
  major=$(java -version 2>&1 | sed -n 's/.*version "\([0-9]*\).*/\1/p' | head -n 1)
  [ "${major:-0}" -ge 17 ] || fail "Java ${major:-?} is too old: 17 or newer is needed."
  major=$(node --version | sed 's/^v\([0-9]*\).*/\1/')
  [ "${major:-0}" -ge 20 ] || fail "Node.js $major is too old: 20 or newer is needed."
}

# need_packages COMMAND:PACKAGE ...: installs the Debian packages whose command is missing,
# when we may; otherwise says exactly what to install.
need_packages() {
  local wanted=() pair runner=()
  for pair in "$@"; do
    PATH="$PATH:/usr/sbin:/sbin" command -v "${pair%%:*}" >/dev/null 2>&1 || wanted+=("${pair#*:}")
  done
  [ "${#wanted[@]}" -eq 0 ] && return 0
  command -v apt-get >/dev/null || fail "Please install: ${wanted[*]} (names of Debian's packages), then run this again."
  if [ "$(id -u)" -ne 0 ]; then
    if command -v sudo >/dev/null && sudo -n true 2>/dev/null; then runner=(sudo -n)
    else fail "Some packages are missing and may not be installed by you. Please run: sudo apt-get install ${wanted[*]}"; fi
  fi
  say "Installing ${wanted[*]} ..."
  local log="$HOME_DIR/install.log"
  # A package that starts a service of its own is kept from doing so: we run ours on our own port.
  if ! { "${runner[@]}" apt-get update -qq &&
         "${runner[@]}" env DEBIAN_FRONTEND=noninteractive RUNLEVEL=1 apt-get install -y -qq --no-install-recommends "${wanted[@]}"; } >"$log" 2>&1; then
    tail -n 5 "$log" >&2
    fail "Installing failed; the whole record is in $log. By hand: apt-get install ${wanted[*]}"
  fi
}

DATABASE_PACKAGES=(mariadbd:mariadb-server mariadb-install-db:mariadb-server mariadb-admin:mariadb-client)
BROWSER_PACKAGES=(chromium:chromium chromedriver:chromium-driver)
# The database comes with all that a cluster needs but this, by which a node fetches the whole state.
CLUSTER_PACKAGES=(rsync:rsync)
# A program that knows the sizes of measures; a test asks it.
REFERENCE_PACKAGES=(units:units)
