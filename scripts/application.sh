# The commands of ./dremsa. Sourced, not run.

APP_MARK="-Ddremsa.home=$HOME_DIR"

# Everything the jar is made of; newer than the last build means: build.
sources_changed() {
  [ -f "$JAR" ] && [ -f "$HOME_DIR/built" ] || return 0
  [ -n "$(find "$ROOT/pom.xml" "$ROOT"/{core,web,server}/pom.xml "$ROOT"/{core,server}/src/main "$ROOT"/web/{src,public,index.html,package.json,package-lock.json,vite.config.ts,build.sh} \
      -newer "$HOME_DIR/built" -print -quit 2>/dev/null)" ]
}

build() {
  if sources_changed; then
    say "Building (the first time takes some minutes; the record is in $HOME_DIR/build.log) ..."
    touch "$HOME_DIR/building"
    (cd "$ROOT" && mvn -B -q -DskipTests -Dspotless.check.skip=true -Djacoco.skip=true -pl core,web,server package) \
      >"$HOME_DIR/build.log" 2>&1 || { tail -n 15 "$HOME_DIR/build.log" >&2; fail "The build failed; see $HOME_DIR/build.log."; }
    rm -rf "$HOME_DIR/app"
    mv "$HOME_DIR/building" "$HOME_DIR/built"
  fi
  # Unpacked it starts faster. (An archive of loaded classes, made at exit, crashed JDK 17 now and then.)
  if [ ! -f "$HOME_DIR/app/complete" ]; then
    rm -rf "$HOME_DIR/app"
    java -Djarmode=tools -jar "$JAR" extract --destination "$HOME_DIR/app" >/dev/null
    : > "$HOME_DIR/app/complete"
  fi
}

# run_app ARGUMENT ...: starts the application in the background; its process id goes to APP_PID and app.pid.
run_app() {
  DREMSA_DB_URL="$DB_URL" DREMSA_DB_USER="$DB_USER" DREMSA_DB_PASSWORD="$DB_PASSWORD" \
    setsid java "$APP_MARK" -Xmx512m \
    -jar "$HOME_DIR/app/server-$VERSION-exec.jar" "$@" >"$HOME_DIR/app.log" 2>&1 9>&- &
  APP_PID=$!
  printf '%s' "$APP_PID" > "$HOME_DIR/app.pid"
}

stop_app() {
  alive "$HOME_DIR/app.pid" "$APP_MARK" || { rm -f "$HOME_DIR/app.pid"; return 0; }
  local pid tries=0
  pid=$(cat "$HOME_DIR/app.pid")
  kill -TERM "$pid" 2>/dev/null || true
  while [ -d "/proc/$pid" ] && [ "$(sed 's/.*) //' "/proc/$pid/stat" 2>/dev/null | cut -c1)" != Z ] && [ "$tries" -lt 300 ]; do sleep 0.1; tries=$((tries + 1)); done
  rm -f "$HOME_DIR/app.pid"
}

# use_database: the user's own by environment, else the private one.
use_database() {
  if [ -n "${DREMSA_DB_URL:-}" ]; then
    DB_URL=$DREMSA_DB_URL; DB_USER=${DREMSA_DB_USER:-dremsa}; DB_PASSWORD=${DREMSA_DB_PASSWORD:-}
    OWN_DATABASE=no
  else
    need_packages "${DATABASE_PACKAGES[@]}"
    OWN_DATABASE=yes
    db_up db 33061
  fi
}

answers() { curl_health "$1" | grep -q '"UP"'; }
curl_health() {
  # No curl needed: one plain request over bash's own socket.
  { exec 3<>"/dev/tcp/127.0.0.1/$1" && printf 'GET /actuator/health HTTP/1.0\r\nHost: 127.0.0.1\r\n\r\n' >&3 && timeout 5 cat <&3; exec 3>&-; } 2>/dev/null || true
}

# wait_for_app PORT: until it answers, or says why not.
wait_for_app() {
  local tries=0
  until answers "$1"; do
    alive "$HOME_DIR/app.pid" "$APP_MARK" || {
      grep -E 'APPLICATION FAILED|Description:|Caused by|ERROR' "$HOME_DIR/app.log" | tail -n 4 >&2
      fail "The application ended while starting; the whole record is in $HOME_DIR/app.log."
    }
    tries=$((tries + 1)); [ "$tries" -lt 600 ] || fail "The application does not answer; see $HOME_DIR/app.log."
    sleep 0.2
  done
}

finish() {
  trap - INT TERM EXIT
  say ""
  say "Stopping ..."
  stop_app
  [ "${OWN_DATABASE:-no}" = yes ] && db_down db
  say "Stopped. Your data is kept in $HOME_DIR."
}

command_start() {
  case "$PORT" in ''|*[!0-9]*) fail "DREMSA_PORT must be a number from 1 to 65535, not '$PORT'." ;; esac
  { [ "$PORT" -ge 1 ] && [ "$PORT" -le 65535 ]; } || fail "DREMSA_PORT must be a number from 1 to 65535, not '$PORT'."
  need_tools
  make_home
  if alive "$HOME_DIR/app.pid" "$APP_MARK"; then fail "Dremsa runs already (process $(cat "$HOME_DIR/app.pid")). Stop it with ./dremsa stop."; fi
  take_lock
  port_taken "$PORT" && fail "Port $PORT is taken by another program. Choose another: DREMSA_PORT=$((PORT + 1)) ./dremsa start"
  build
  trap 'finish; exit 0' INT TERM
  trap finish EXIT
  use_database
  run_app --server.port="$PORT" --dremsa.demo=load
  wait_for_app "$PORT"
  say ""
  say "Dremsa is ready at http://127.0.0.1:$PORT"
  say "Demo household: press 'Look around the demo kitchen', or sign in as 'sorrel' with 'allotment-31'."
  say "Ctrl-C stops it."
  wait "$APP_PID" || true
}

command_stop() {
  make_home
  local was=no
  if alive "$HOME_DIR/app.pid" "$APP_MARK"; then was=yes; stop_app; fi
  if command -v mariadb-admin >/dev/null; then
    db_place db
    if db_answers; then was=yes; db_down db; fi
  fi
  if [ "$was" = yes ]; then say "Stopped. Your data is kept."; else say "Dremsa was not running."; fi
}

command_reset_demo() {
  need_tools
  make_home
  alive "$HOME_DIR/app.pid" "$APP_MARK" && fail "Dremsa is running. Stop it first with ./dremsa stop, then reset the demo."
  take_lock
  build
  trap finish EXIT
  use_database
  local port
  port=$(free_port 18080)
  run_app --server.port="$port" --dremsa.demo=reset
  wait_for_app "$port"
  say "The demo household was laid out afresh. ./dremsa start shows it."
}

test_database() {
  HOME_DIR="$HOME_DIR/test-$$"
  make_home
  trap 'db_down db; rm -rf "$HOME_DIR" "$DB_DIR"' EXIT
  trap 'exit 130' INT TERM
  db_up db 33361
  export DREMSA_TEST_DB_URL="$DB_URL" DREMSA_TEST_DB_USER="$DB_USER" DREMSA_TEST_DB_PASSWORD="$DB_PASSWORD"
}

command_test() {
  need_tools
  make_home
  need_packages "${DATABASE_PACKAGES[@]}" "${BROWSER_PACKAGES[@]}" "${REFERENCE_PACKAGES[@]}"
  test_database
  (cd "$ROOT" && mvn -B -ntp verify)
}

command_screenshots() {
  need_tools
  make_home
  need_packages "${DATABASE_PACKAGES[@]}" "${BROWSER_PACKAGES[@]}"
  test_database
  (cd "$ROOT" && mvn -B -q -ntp -pl core,web,server,journeys verify -Dspotless.check.skip=true -Dweb.test.skip=true \
    -Dtest=ScreenshotsTest -Dsurefire.failIfNoSpecifiedTests=false -Ddremsa.screenshots=true)
  say "docs/screenshots was made anew."
}

command_bench() {
  need_tools
  make_home
  # One call, so that bench finds core in this build and nothing has to be installed.
  (cd "$ROOT" && mvn -B -q -ntp -pl core,bench -DskipTests -Dspotless.check.skip=true package dependency:build-classpath \
    -Dmdep.outputFile="$HOME_DIR/bench.cp" -Dmdep.includeScope=runtime)
  java -cp "$ROOT/bench/target/classes:$ROOT/core/target/classes:$(cat "$HOME_DIR/bench.cp")" org.openjdk.jmh.Main "${DREMSA_BENCH:-.*}"
}
