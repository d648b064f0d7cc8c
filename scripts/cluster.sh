# Three MariaDB nodes that hold the same data (Galera), all on loopback. Sourced by ./dremsa, or run by itself:
#
#   bash scripts/cluster.sh start FOLDER [FIRST PORT]    makes what is missing, starts all three, prints how to connect
#   bash scripts/cluster.sh stop FOLDER                  stops what runs
#   bash scripts/cluster.sh kill FOLDER NODE             kills a node (1, 2 or 3) as kill -9 does
#   bash scripts/cluster.sh rejoin FOLDER NODE           starts a node again; it fetches what it missed
#
# Each node has four ports from FIRST PORT on, ten apart: replication, incremental and whole state transfer, clients.

GALERA=/usr/lib/galera/libgalera_smm.so
CLUSTER_NODES=3

cluster_first_port() { cat "$1/first-port"; }
cluster_base() { printf '%s' "$(($(cluster_first_port "$1") + 10 * ($2 - 1)))"; }
cluster_client_port() { printf '%s' "$(($(cluster_base "$1" "$2") + 3))"; }
cluster_socket() { printf '/tmp/dremsa-galera-%s-%s.sock' "$(cluster_first_port "$1")" "$2"; }

cluster_owner() { if [ "$(id -u)" -eq 0 ]; then printf mysql; else id -un; fi; }

# cluster_node FOLDER NODE [--wsrep-new-cluster]: starts a node in the background.
cluster_node() {
  local folder=$1 node=$2 base address="" n
  base=$(cluster_base "$folder" "$node")
  for n in $(seq 1 $CLUSTER_NODES); do address="$address${address:+,}127.0.0.1:$(cluster_base "$folder" "$n")"; done
  # Short timeouts, as all is on one machine: a node that died is given up after two seconds, not five.
  setsid "$MARIADBD" --no-defaults --user="$(cluster_owner)" --basedir=/usr --datadir="$folder/node$node" \
    --bind-address=127.0.0.1 --port="$((base + 3))" --socket="$(cluster_socket "$folder" "$node")" --pid-file="$folder/node$node.pid" \
    --skip-name-resolve --character-set-server=utf8mb4 --collation-server=utf8mb4_unicode_ci --max-allowed-packet=64M \
    --log-error="$folder/node$node.log" --binlog-format=ROW --default-storage-engine=InnoDB --innodb-autoinc-lock-mode=2 \
    --innodb-flush-log-at-trx-commit=1 --max-connections=200 --wsrep-on=ON --wsrep-provider="$GALERA" --wsrep-cluster-name=dremsa \
    --wsrep-cluster-address="gcomm://$address" --wsrep-node-address="127.0.0.1:$base" --wsrep-node-name="node$node" \
    --wsrep-sst-method=rsync --wsrep-sst-receive-address="127.0.0.1:$((base + 2))" --wsrep-slave-threads=2 \
    --wsrep-provider-options="gmcast.listen_addr=tcp://127.0.0.1:$base;ist.recv_addr=127.0.0.1:$((base + 1));evs.keepalive_period=PT0.5S;evs.inactive_check_period=PT0.25S;evs.suspect_timeout=PT2S;evs.inactive_timeout=PT4S;gmcast.peer_timeout=PT2S;gcache.size=64M" \
    ${3:-} >/dev/null 2>&1 9>&- &
}

# cluster_synced FOLDER NODE: waits until the node has all that the others have.
cluster_synced() {
  local tries=0 state=""
  until [ "$state" = Synced ]; do
    tries=$((tries + 1))
    [ "$tries" -le 600 ] || { tail -n 8 "$1/node$2.log" >&2; fail "Node $2 did not join; see $1/node$2.log."; }
    sleep 0.2
    state=$(mariadb --no-defaults -S "$(cluster_socket "$1" "$2")" -N -e "show status like 'wsrep_local_state_comment'" 2>/dev/null | cut -f2) || true
  done
}

cluster_up() {
  local folder=$1 node
  [ -f "$GALERA" ] || fail "Galera is missing: it comes with MariaDB's server package (galera-4)."
  mkdir -p "$folder"
  [ -f "$folder/first-port" ] || printf '%s' "${2:-34110}" > "$folder/first-port"
  if [ ! -f "$folder/made" ]; then
    [ "$(id -u)" -ne 0 ] || chown mysql "$folder"
    for node in $(seq 1 $CLUSTER_NODES); do
      rm -rf "$folder/node$node"
      mariadb-install-db --no-defaults --user="$(cluster_owner)" --basedir=/usr --datadir="$folder/node$node" \
        --auth-root-authentication-method=socket --auth-root-socket-user="$(id -un)" --skip-test-db >"$folder/install.log" 2>&1 ||
        { tail -n 5 "$folder/install.log" >&2; fail "A node could not be set up; see $folder/install.log."; }
    done
    (umask 077; head -c 24 /dev/urandom | od -An -tx1 | tr -d ' \n' > "$folder/password")
    : > "$folder/made"
  fi
  # Whichever was stopped last knows all; after a crash of all three it is taken from what they wrote down.
  local first=1 best=-2 seqno
  for node in $(seq 1 $CLUSTER_NODES); do
    seqno=$(sed -n 's/^seqno: *//p' "$folder/node$node/grastate.dat" 2>/dev/null || true)
    if [ "${seqno:--1}" -gt "$best" ]; then best=${seqno:--1}; first=$node; fi
  done
  [ ! -f "$folder/node$first/grastate.dat" ] || sed -i 's/^safe_to_bootstrap:.*/safe_to_bootstrap: 1/' "$folder/node$first/grastate.dat"
  cluster_node "$folder" "$first" --wsrep-new-cluster
  cluster_synced "$folder" "$first"
  for node in $(seq 1 $CLUSTER_NODES); do
    [ "$node" = "$first" ] || { cluster_node "$folder" "$node"; cluster_synced "$folder" "$node"; }
  done
  mariadb --no-defaults -S "$(cluster_socket "$folder" "$first")" <<SQL || fail "The cluster could not be prepared."
CREATE DATABASE IF NOT EXISTS dremsa CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;
CREATE USER IF NOT EXISTS 'dremsa'@'127.0.0.1' IDENTIFIED BY '$(cat "$folder/password")';
GRANT ALL ON dremsa.* TO 'dremsa'@'127.0.0.1';
GRANT RELOAD ON *.* TO 'dremsa'@'127.0.0.1';
SQL
}

# cluster_url FOLDER NODE: where an instance that prefers a node finds the data; with that node gone it goes to the next.
# It reads what any node has acknowledged (wsrep_sync_wait).
cluster_url() {
  local hosts="" i node
  for i in $(seq 0 $((CLUSTER_NODES - 1))); do
    node=$((($2 - 1 + i) % CLUSTER_NODES + 1))
    hosts="$hosts${hosts:+,}127.0.0.1:$(cluster_client_port "$1" "$node")"
  done
  printf 'jdbc:mariadb:sequential://%s/dremsa?sessionVariables=wsrep_sync_wait=1&transactionReplay=false&connectTimeout=2000' "$hosts"
}

cluster_down() {
  local folder=$1 node pid tries
  for node in $(seq $CLUSTER_NODES -1 1); do
    pid=$(cat "$folder/node$node.pid" 2>/dev/null) || continue
    grep -aqF -- "--datadir=$folder/node$node" "/proc/$pid/cmdline" 2>/dev/null || { rm -f "$folder/node$node.pid"; continue; }
    kill -TERM "$pid" 2>/dev/null || true
    tries=0
    while running "$pid" && [ "$tries" -lt 300 ]; do sleep 0.1; tries=$((tries + 1)); done
    running "$pid" && kill -KILL "$pid" 2>/dev/null || true
  done
}

cluster_kill() {
  local pid
  pid=$(cat "$1/node$2.pid") || fail "Node $2 does not run."
  grep -aqF -- "--datadir=$1/node$2" "/proc/$pid/cmdline" || fail "Node $2 does not run."
  kill -KILL "$pid"
}

cluster_main() {
  local folder
  [ $# -ge 2 ] || fail "Say what and where: start, stop, kill or rejoin, and a folder."
  folder=$(realpath -m "$2")
  case "$1" in
    start)
      cluster_up "$folder" "${3:-}"
      local node
      for node in $(seq 1 $CLUSTER_NODES); do printf 'url%s %s\n' "$node" "$(cluster_url "$folder" "$node")"; done
      printf 'user dremsa\npassword %s\n' "$(cat "$folder/password")"
      ;;
    stop) cluster_down "$folder" ;;
    kill) cluster_kill "$folder" "$3" ;;
    rejoin) cluster_node "$folder" "$3"; cluster_synced "$folder" "$3" ;;
    *) fail "There is no '$1': start, stop, kill or rejoin." ;;
  esac
}

if [ "${BASH_SOURCE[0]}" = "$0" ]; then
  set -euo pipefail
  PORT=${DREMSA_PORT:-8080}
  # shellcheck source=common.sh
  . "$(dirname "${BASH_SOURCE[0]}")/common.sh"
  MARIADBD=$(PATH="$PATH:/usr/sbin:/sbin" command -v mariadbd || printf /usr/sbin/mariadbd)
  cluster_main "$@"
fi
