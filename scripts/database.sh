# A private MariaDB on loopback. Sourced, not run.
#
# As an ordinary user the server runs as that user, data below the project's .dremsa folder.
# As root it runs as the user 'mysql', who must be able to walk down to the data; where that
# cannot be (a checkout below /root, say), the data goes to /var/lib/dremsa-<hash of the path>.

MARIADBD=$(PATH="$PATH:/usr/sbin:/sbin" command -v mariadbd || printf /usr/sbin/mariadbd)

db_owner() { if [ "$(id -u)" -eq 0 ]; then printf mysql; else id -un; fi; }

# db_place NAME: sets DB_DIR (data and notes) and DB_SOCKET (short: such a path must stay below 108 characters).
db_place() {
  local name=$1 hash owner
  owner=$(db_owner)
  hash=$(printf '%s' "$HOME_DIR" | sha256sum | cut -c1-10)
  DB_DIR="$HOME_DIR/$name"
  if [ "$(id -u)" -eq 0 ]; then
    mkdir -p "$DB_DIR"
    if ! setpriv --reuid=mysql --regid=mysql --clear-groups test -x "$DB_DIR" 2>/dev/null; then
      rmdir "$DB_DIR" 2>/dev/null || true
      DB_DIR="/var/lib/dremsa-$hash/$name"
    fi
  fi
  mkdir -p "$DB_DIR" "/tmp/dremsa-$(id -u)-$hash"
  DB_SOCKET="/tmp/dremsa-$(id -u)-$hash/$name.sock"
  chmod 0711 "/tmp/dremsa-$(id -u)-$hash"
  [ "$(id -u)" -ne 0 ] || chown "$owner" "$DB_DIR" "/tmp/dremsa-$(id -u)-$hash"
}

# db_alive: the server's process runs, whether it answers yet or not.
db_alive() { alive "$DB_DIR/data/server.pid" "--datadir=$DB_DIR/data"; }

db_answers() { mariadb-admin --no-defaults -S "$DB_SOCKET" ping >/dev/null 2>&1; }

# db_up NAME FIRST_PORT: makes the data directory once, starts the server, sets DB_URL, DB_USER, DB_PASSWORD.
db_up() {
  local owner
  db_place "$1"
  owner=$(db_owner)
  if [ ! -e "$DB_DIR/made" ]; then
    # Without the mark an earlier set-up was cut short: nothing of worth can be in it yet.
    rm -rf "$DB_DIR/data"
    mariadb-install-db --no-defaults --user="$owner" --basedir=/usr --datadir="$DB_DIR/data" \
      --auth-root-authentication-method=socket --auth-root-socket-user="$(id -un)" --skip-test-db \
      >"$DB_DIR/install.log" 2>&1 || { tail -n 5 "$DB_DIR/install.log" >&2; fail "The database could not be set up; see $DB_DIR/install.log."; }
    (umask 077; head -c 24 /dev/urandom | od -An -tx1 | tr -d ' \n' > "$DB_DIR/password")
    : > "$DB_DIR/made"
  fi
  # One that was just told to end, or is just starting, is waited for: two servers cannot share their files.
  local waited=0
  while db_alive && ! db_answers && [ "$waited" -lt 600 ]; do sleep 0.1; waited=$((waited + 1)); done
  if ! db_answers; then
    local port
    port=$(cat "$DB_DIR/port" 2>/dev/null || true)
    if [ -z "$port" ] || port_taken "$port"; then port=$(free_port "$2"); printf '%s' "$port" > "$DB_DIR/port"; fi
    # The lock's descriptor is closed for the server, or it would hold the lock for as long as it lives.
    setsid "$MARIADBD" --no-defaults --user="$owner" --basedir=/usr --datadir="$DB_DIR/data" \
      --bind-address=127.0.0.1 --port="$port" --socket="$DB_SOCKET" --pid-file="$DB_DIR/data/server.pid" \
      --skip-name-resolve --character-set-server=utf8mb4 --collation-server=utf8mb4_unicode_ci \
      --innodb-flush-log-at-trx-commit=1 --max-allowed-packet=64M --log-error="$DB_DIR/data/server.log" \
      >/dev/null 2>&1 9>&- &
    local tries=0 pid=$!
    # After a kill it first reads its log again, which takes as long as it takes; when it has ended it says why.
    until db_answers; do
      tries=$((tries + 1))
      { [ "$tries" -le 1200 ] && running "$pid"; } || { tail -n 5 "$DB_DIR/data/server.log" >&2; fail "The database did not start; see $DB_DIR/data/server.log."; }
      sleep 0.1
    done
  fi
  DB_USER=dremsa
  DB_PASSWORD=$(cat "$DB_DIR/password")
  DB_URL="jdbc:mariadb://127.0.0.1:$(cat "$DB_DIR/port")/dremsa"
  mariadb --no-defaults -S "$DB_SOCKET" <<SQL || fail "The database could not be prepared."
CREATE DATABASE IF NOT EXISTS dremsa CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;
CREATE USER IF NOT EXISTS 'dremsa'@'127.0.0.1' IDENTIFIED BY '$DB_PASSWORD';
GRANT ALL ON dremsa.* TO 'dremsa'@'127.0.0.1';
GRANT ALL ON \`dremsa\\_%\`.* TO 'dremsa'@'127.0.0.1';
SQL
}

# db_down NAME: stops the server, if it runs, and waits until its process has ended: it answers no more long
# before it has written all, and a server started meanwhile would find its files locked.
db_down() {
  db_place "$1"
  db_alive || db_answers || return 0
  mariadb-admin --no-defaults -S "$DB_SOCKET" shutdown >/dev/null 2>&1 || true
  local tries=0
  while { db_alive || db_answers; } && [ "$tries" -lt 600 ]; do sleep 0.1; tries=$((tries + 1)); done
}
