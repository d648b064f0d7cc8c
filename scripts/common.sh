# Shared by the dremsa script: speaking, ports, locks. Sourced, not run.

say() { printf '%s\n' "$*"; }
fail() { printf 'dremsa: %s\n' "$*" >&2; exit 1; }

port_taken() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

# free_port FIRST: the first port from FIRST on that nobody answers at; the application's own is not free.
free_port() {
  local port=$1 last=$(($1 + 200))
  while [ "$port" -le "$last" ]; do
    [ "$port" = "$PORT" ] || port_taken "$port" || { printf '%s' "$port"; return 0; }
    port=$((port + 1))
  done
  fail "No free port between $1 and $last."
}

# running PID: there is such a process, and it is more than a name waiting to be collected.
running() {
  local state
  state=$(sed 's/.*) //' "/proc/$1/stat" 2>/dev/null | cut -c1) || return 1
  [ -n "$state" ] && [ "$state" != Z ]
}

# alive FILE WORD: the process whose id is in FILE runs, and its command line holds WORD.
# The word guards against a stale file whose number was given to another program.
alive() {
  local pid
  pid=$(cat "$1" 2>/dev/null) || return 1
  [ -n "$pid" ] && running "$pid" && grep -aqF -- "$2" "/proc/$pid/cmdline" 2>/dev/null
}

make_home() {
  mkdir -p "$HOME_DIR" 2>/dev/null || fail "Cannot make $HOME_DIR. Choose another place with DREMSA_HOME=/path."
  [ -w "$HOME_DIR" ] || fail "Cannot write to $HOME_DIR. Choose another place with DREMSA_HOME=/path."
}

# Only one start, test set-up or stop at a time works on the same home.
take_lock() {
  exec 9>"$HOME_DIR/lock"
  # What a killed command was waiting for may hold on to it for a moment more.
  flock -w 3 9 || fail "Another ./dremsa command is at work in $HOME_DIR. Wait for it, or end it with ./dremsa stop."
}
