# The commands of ./dremsa. Sourced, not run.

APP_MARK="-Ddremsa.home=$HOME_DIR"
DEVICES_MARK="-Ddremsa.devices-of=$HOME_DIR"

# Everything the jar is made of; newer than the last build means: build.
sources_changed() {
  [ -f "$JAR" ] && [ -f "$HOME_DIR/built" ] || return 0
  [ -n "$(find "$ROOT/pom.xml" "$ROOT"/{core,devices,web,server}/pom.xml "$ROOT"/{core,devices,server}/src/main "$ROOT"/web/{src,public,index.html,package.json,package-lock.json,vite.config.ts,build.sh} \
      -newer "$HOME_DIR/built" -print -quit 2>/dev/null)" ]
}

build() {
  if sources_changed; then
    say "Building (the first time takes some minutes; the record is in $HOME_DIR/build.log) ..."
    touch "$HOME_DIR/building"
    (cd "$ROOT" && mvn -B -q -DskipTests -Dspotless.check.skip=true -Djacoco.skip=true -pl core,devices,web,server package) \
      >"$HOME_DIR/build.log" 2>&1 9>&- || { tail -n 15 "$HOME_DIR/build.log" >&2; fail "The build failed; see $HOME_DIR/build.log."; }
    rm -rf "$HOME_DIR/app"
    mv "$HOME_DIR/building" "$HOME_DIR/built"
  fi
  # Unpacked it starts faster.
  if [ ! -f "$HOME_DIR/app/complete" ]; then
    rm -rf "$HOME_DIR/app"
    java -Djarmode=tools -jar "$JAR" extract --destination "$HOME_DIR/app" >/dev/null
    : > "$HOME_DIR/app/complete"
  fi
}

# class_arguments: sets CLASS_ARGUMENTS. Half of a start is the loading of classes: the first start of a build writes
# down which, and from the second on they come from an archive. It is of one Java; another makes its own. (Archives
# made at exit, all in one, crashed JDK 17 now and then; this one is made apart, by the older way.)
class_arguments() {
  CLASSES="$HOME_DIR/app/classes-$(java -version 2>&1 | cksum | cut -d ' ' -f 1)"
  if [ -f "$CLASSES.jsa" ]; then CLASS_ARGUMENTS=(-XX:SharedArchiveFile="$CLASSES.jsa")
  else CLASS_ARGUMENTS=(-XX:DumpLoadedClassList="$CLASSES.lst"); fi
}

# archive_classes: makes that archive while the application serves, when nothing else wants the processor.
archive_classes() {
  [ ! -f "$CLASSES.jsa" ] && [ -f "$CLASSES.lst" ] || return 0
  nice -n 19 java -Xshare:dump -XX:+UseSerialGC -Xmx512m -XX:SharedClassListFile="$CLASSES.lst" -XX:SharedArchiveFile="$CLASSES.part" \
    -jar "$HOME_DIR/app/server-$VERSION-exec.jar" >"$HOME_DIR/classes.log" 2>&1 9>&- && mv -f "$CLASSES.part" "$CLASSES.jsa" || true
}

# Where the application listens: this machine only, unless the maker says otherwise.
ADDRESS="${DREMSA_ADDRESS:-127.0.0.1}"
local_only() { case "$ADDRESS" in 127.*|localhost|::1) return 0 ;; *) return 1 ;; esac; }

# tls_arguments: sets TLS_ARGUMENTS. Beyond this machine nothing goes without TLS: with the maker's own
# certificate, or with one made here, which browsers ask to be trusted once.
tls_arguments() {
  TLS_ARGUMENTS=()
  SCHEME=http
  if local_only && [ "${DREMSA_TLS:-off}" != on ]; then return 0; fi
  SCHEME=https
  # Health is asked for on a port of its own, on this machine.
  HEALTH_PORT=$(free_port 18180)
  TLS_ARGUMENTS+=(--management.server.port="$HEALTH_PORT" --management.server.address=127.0.0.1 \
    --management.server.ssl.enabled=false --server.ssl.enabled=true --server.servlet.session.cookie.secure=true)
  if [ -n "${DREMSA_TLS_CERT:-}" ]; then
    [ -r "$DREMSA_TLS_CERT" ] || fail "Cannot read the certificate $DREMSA_TLS_CERT."
    [ -r "${DREMSA_TLS_KEY:-}" ] || fail "Cannot read the certificate's key. Give it as DREMSA_TLS_KEY=/path (PEM)."
    TLS_ARGUMENTS+=(--server.ssl.certificate="file:$DREMSA_TLS_CERT" --server.ssl.certificate-private-key="file:$DREMSA_TLS_KEY")
    return 0
  fi
  local names="dns:localhost,ip:127.0.0.1,dns:$(hostname 2>/dev/null || printf dremsa)"
  case "$ADDRESS" in 0.0.0.0|::) names="$names$(hostname -I 2>/dev/null | tr ' ' '\n' | sed -n '/^[0-9.][0-9.]*$/s/^/,ip:/p' | tr -d '\n')" ;; *) local_only || names="$names,ip:$ADDRESS" ;; esac
  # Made anew a month before it ends, and when the machine goes by another name or address.
  if [ ! -f "$HOME_DIR/tls.p12" ] || [ "$(cat "$HOME_DIR/tls.names" 2>/dev/null)" != "$names" ] || [ -n "$(find "$HOME_DIR/tls.p12" -mtime +790)" ]; then
    [ ! -f "$HOME_DIR/tls.p12" ] || say "The certificate is made anew: browsers will ask once more whether to trust it."
    rm -f "$HOME_DIR/tls.p12"
    (umask 077
     head -c 18 /dev/urandom | od -An -tx1 | tr -d ' \n' > "$HOME_DIR/tls.password"
     keytool -genkeypair -alias dremsa -keyalg EC -groupname secp256r1 -validity 820 -storetype PKCS12 \
       -keystore "$HOME_DIR/tls.p12" -storepass:file "$HOME_DIR/tls.password" -dname "CN=Dremsa at home" \
       -ext "SAN=$names" >"$HOME_DIR/tls.log" 2>&1 && printf '%s' "$names" > "$HOME_DIR/tls.names") || fail "A certificate could not be made; see $HOME_DIR/tls.log."
  fi
  TLS_ARGUMENTS+=(--server.ssl.key-store="file:$HOME_DIR/tls.p12" --server.ssl.key-store-type=PKCS12)
  export SERVER_SSL_KEY_STORE_PASSWORD
  SERVER_SSL_KEY_STORE_PASSWORD=$(cat "$HOME_DIR/tls.password")
}

# run_devices: the stand-ins for scale, probe, pH meter and fridge logger, unless real ones are named.
run_devices() {
  [ -z "${DREMSA_DEVICES_URL:-}" ] || return 0
  # Left over where the command that started them was killed.
  end_process "$HOME_DIR/devices.pid" "$DEVICES_MARK"
  DEVICES_PORT=$(free_port 8095)
  setsid java "$DEVICES_MARK" -Xmx96m -XX:+UseSerialGC -XX:TieredStopAtLevel=1 -jar "$ROOT/devices/target/devices-$VERSION-exec.jar" \
    "$DEVICES_PORT" >"$HOME_DIR/devices.log" 2>&1 9>&- &
  printf '%s' "$!" > "$HOME_DIR/devices.pid"
  export DREMSA_DEVICES_URL="http://127.0.0.1:$DEVICES_PORT"
}

# devices_run: they have long started when the application serves, or never will.
devices_run() {
  [ -z "${DEVICES_PORT:-}" ] || port_taken "$DEVICES_PORT" \
    || say "The stand-in devices did not start; see $HOME_DIR/devices.log. Dremsa goes on without them."
}

# What happened is in $HOME_DIR/logs, rotated by size and day; the console has only what a start tells.
LOG_ARGUMENTS=(--spring.profiles.active=files --logging.file.name="$HOME_DIR/logs/dremsa.log" --dremsa.audit.file="$HOME_DIR/logs/audit.log" --logging.threshold.console=warn)

# Where nightly backups go; best onto another disk.
BACKUPS="${DREMSA_BACKUPS:-$HOME_DIR/backups}"
export DREMSA_BACKUPS="$BACKUPS"

# run_task TASK ARGUMENT ...: the application does one thing and ends; it can run beside one that serves.
run_task() {
  local task=$1 port
  shift
  mkdir -p "$HOME_DIR/tmp-task" "$HOME_DIR/logs" "$BACKUPS"
  port=$(free_port 18280)
  local code=0
  DREMSA_DB_URL="$DB_URL" DREMSA_DB_USER="$DB_USER" DREMSA_DB_PASSWORD="$DB_PASSWORD" \
    java -Xmx"${DREMSA_MEMORY:-512m}" -Djava.io.tmpdir="$HOME_DIR/tmp-task" -jar "$HOME_DIR/app/server-$VERSION-exec.jar" \
    --server.port="$port" --server.address=127.0.0.1 --dremsa.scheduler=false --dremsa.task="$task" "$@" \
    2>&1 >"$HOME_DIR/task.log" 9>&- || code=$?
  rm -rf "$HOME_DIR/tmp-task"
  grep -E '^(kept|restored|FAILED|There is no)' "$HOME_DIR/task.log" || true
  [ "$code" = 0 ] || fail "That did not go well; the whole record is in $HOME_DIR/task.log."
}

# The database for a task: the one that runs stays, one that was started for it is ended.
task_database() {
  db_place db 2>/dev/null || true
  local ran=no
  { [ -z "${DREMSA_DB_URL:-}" ] && db_answers; } && ran=yes
  use_database
  if [ "$OWN_DATABASE" = yes ] && [ "$ran" = no ]; then trap 'db_down db' EXIT; fi
}

command_backup() {
  need_tools
  make_home
  [ -f "$HOME_DIR/app/complete" ] || build
  task_database
  run_task backup
  say "Backups are kept in $BACKUPS."
}

command_restore() {
  [ -n "${1:-}" ] || fail "Say which file: ./dremsa restore FILE [SIGN-IN NAME]"
  [ -r "$1" ] || fail "Cannot read '$1'."
  local file name=${2:-restored-$(date +%m%d%H%M)}
  file=$(realpath "$1")
  need_tools
  make_home
  [ -f "$HOME_DIR/app/complete" ] || build
  task_database
  run_task restore --dremsa.file="$file" --dremsa.sign-in.as="$name"
  say "It is a household of its own: nothing that was here is changed. Choose a password of your own after signing in."
}

# For a home: a collector that keeps the heap no larger than it has to be, and the quick compiler alone, as the thorough
# one takes half of the processors' time from a start and pays only when much is asked all the time.
read -r -a JAVA_ARGUMENTS <<<"${DREMSA_JAVA:--XX:+UseSerialGC -XX:TieredStopAtLevel=1}"

# run_app ARGUMENT ...: starts the application in the background; its process id goes to APP_PID and app.pid.
# It ends by itself when its memory is exhausted, rather than hang; watch_app brings it back.
run_app() {
  # What an earlier process left half written (a backup on its way, say) is of no use any more.
  rm -rf "$HOME_DIR/tmp"
  mkdir -p "$HOME_DIR/tmp"
  mkdir -p "$HOME_DIR/logs" "$BACKUPS"
  [ ! -s "$HOME_DIR/app.log" ] || mv -f "$HOME_DIR/app.log" "$HOME_DIR/app.before.log"
  class_arguments
  DREMSA_DB_URL="$DB_URL" DREMSA_DB_USER="$DB_USER" DREMSA_DB_PASSWORD="$DB_PASSWORD" MALLOC_ARENA_MAX=2 \
    setsid java "$APP_MARK" "${JAVA_ARGUMENTS[@]}" "${CLASS_ARGUMENTS[@]}" -Xmx"${DREMSA_MEMORY:-512m}" -XX:+ExitOnOutOfMemoryError -Djava.io.tmpdir="$HOME_DIR/tmp" \
    -jar "$HOME_DIR/app/server-$VERSION-exec.jar" "${LOG_ARGUMENTS[@]}" "$@" >"$HOME_DIR/app.log" 2>&1 9>&- &
  APP_PID=$!
  printf '%s' "$APP_PID" > "$HOME_DIR/app.pid"
}

stop_app() {
  end_process "$HOME_DIR/app.pid" "$APP_MARK"
  end_process "$HOME_DIR/devices.pid" "$DEVICES_MARK"
}

# end_process FILE WORD: ends the process whose id is in FILE, if it is ours, and waits until it has.
end_process() {
  alive "$1" "$2" || { rm -f "$1"; return 0; }
  local pid tries=0
  pid=$(cat "$1")
  kill -TERM "$pid" 2>/dev/null || true
  while running "$pid" && [ "$tries" -lt 300 ]; do sleep 0.1; tries=$((tries + 1)); done
  # After half a minute it is not going to end by itself, and a start that follows needs its place.
  if running "$pid"; then
    kill -KILL "$pid" 2>/dev/null || true
    while running "$pid"; do sleep 0.1; done
  fi
  rm -f "$1"
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
  until answers "${HEALTH_PORT:-$1}"; do
    # Its command line is not looked at: for a moment after the fork it is still this script's own.
    running "$APP_PID" || {
      { grep -E 'APPLICATION FAILED|Description:|Caused by|ERROR|OutOfMemory' "$HOME_DIR/app.log" || tail -n 4 "$HOME_DIR/app.log"; } | tail -n 4 >&2
      fail "The application ended while starting; the whole record is in $HOME_DIR/app.log."
    }
    tries=$((tries + 1)); [ "$tries" -lt 600 ] || fail "The application does not answer; see $HOME_DIR/app.log."
    sleep 0.2
  done
}

# watch_app ARGUMENT ...: stays for as long as the application shall run, and brings it or its private database
# back when they end without having been told to. What ends again and again is not brought back for ever.
RESTARTS_MOST=5
RESTARTS_WITHIN_S=600
watch_app() {
  local code times=() time
  while :; do
    if running "$APP_PID"; then
      [ "${OWN_DATABASE:-no}" = no ] || db_alive || bring_back_database
      sleep 0.5 9>&- &
      wait $! || true
      continue
    fi
    code=0
    wait "$APP_PID" || code=$?
    # Ended by ./dremsa stop, or told to end (SIGTERM, SIGINT): that is meant.
    if [ ! -f "$HOME_DIR/app.pid" ] || [ -f "$HOME_DIR/stopping" ] || [ "$code" = 143 ] || [ "$code" = 130 ]; then return 0; fi
    local recent=()
    for time in ${times[@]+"${times[@]}"}; do [ "$((SECONDS - time))" -gt "$RESTARTS_WITHIN_S" ] || recent+=("$time"); done
    times=(${recent[@]+"${recent[@]}"} "$SECONDS")
    if [ "${#times[@]}" -gt "$RESTARTS_MOST" ]; then
      tail -n 4 "$HOME_DIR/app.log" >&2
      fail "The application ended ${#times[@]} times within ten minutes; it is not started again. The whole record is in $HOME_DIR/app.log."
    fi
    say "$(date '+%H:%M:%S') The application ended by itself ($(why_ended "$code")). Starting it again; its record is in $HOME_DIR/app.before.log."
    [ "${OWN_DATABASE:-no}" = no ] || db_up db 33061
    run_app "$@"
    wait_for_app "$PORT"
    say "$(date '+%H:%M:%S') It serves again."
  done
}

# why_ended CODE: in a few words. 3 is how the virtual machine ends when its memory is exhausted.
why_ended() {
  case "$1" in
    3) printf 'its memory was exhausted' ;;
    137) printf 'it was killed' ;;
    *) printf 'code %s' "$1" ;;
  esac
}

bring_back_database() {
  [ ! -f "$HOME_DIR/stopping" ] || return 0
  local before=$DB_URL
  say "$(date '+%H:%M:%S') The database ended by itself. Starting it again."
  db_up db 33061
  # Its port was taken meanwhile: the application has to be told the new one.
  [ "$DB_URL" = "$before" ] || kill -KILL "$APP_PID" 2>/dev/null || true
}

finish() {
  trap - INT TERM EXIT
  say ""
  say "Stopping ..."
  stop_app
  [ "${OWN_DATABASE:-no}" = yes ] && db_down db
  say "Stopped. Your data is kept in $HOME_DIR."
}

# demo_arguments: sets DEMO_ARGUMENTS. Its password is in the README: open to others it is off unless asked for.
demo_arguments() {
  local demo=${DREMSA_DEMO:-}
  if [ -z "$demo" ]; then if local_only; then demo=on; else demo=off; fi; fi
  case "$demo" in
    on) DEMO_ARGUMENTS=(--dremsa.demo=load --dremsa.demo-door=true) ;;
    off) DEMO_ARGUMENTS=(--dremsa.demo=none --dremsa.demo-door=false) ;;
    *) fail "DREMSA_DEMO is on or off, not '$demo'." ;;
  esac
}

command_start() {
  case "$PORT" in ''|*[!0-9]*) fail "DREMSA_PORT must be a number from 1 to 65535, not '$PORT'." ;; esac
  { [ "$PORT" -ge 1 ] && [ "$PORT" -le 65535 ]; } || fail "DREMSA_PORT must be a number from 1 to 65535, not '$PORT'."
  need_tools
  make_home
  if alive "$HOME_DIR/app.pid" "$APP_MARK"; then fail "Dremsa runs already (process $(cat "$HOME_DIR/app.pid")). Stop it with ./dremsa stop."; fi
  take_lock
  rm -f "$HOME_DIR/stopping"
  ! port_taken "$PORT" || fail "Port $PORT is taken by another program. Choose another: DREMSA_PORT=$((PORT + 1)) ./dremsa start"
  build
  trap 'finish; exit 0' INT TERM
  trap finish EXIT
  use_database
  tls_arguments
  run_devices
  demo_arguments
  local arguments=(--server.port="$PORT" --server.address="$ADDRESS" "${DEMO_ARGUMENTS[@]}" ${TLS_ARGUMENTS[@]+"${TLS_ARGUMENTS[@]}"})
  run_app "${arguments[@]}"
  wait_for_app "$PORT"
  devices_run
  say ""
  say "Dremsa is ready at $SCHEME://$(case "$ADDRESS" in 0.0.0.0|::) hostname 2>/dev/null || printf 127.0.0.1 ;; *) printf %s "$ADDRESS" ;; esac):$PORT"
  case " ${DEMO_ARGUMENTS[*]} " in
    *=load*) say "Demo household: press 'Look around the demo kitchen', or sign in as 'sorrel' with 'allotment-31'." ;;
    *) say "The demo household is shut, as others reach this address; DREMSA_DEMO=on opens it." ;;
  esac
  say "Ctrl-C stops it."
  archive_classes &
  watch_app "${arguments[@]}"
}

command_stop() {
  make_home
  local was=no
  # Tells the command that started it that this end is meant.
  : > "$HOME_DIR/stopping"
  if alive "$HOME_DIR/app.pid" "$APP_MARK" || alive "$HOME_DIR/devices.pid" "$DEVICES_MARK"; then was=yes; stop_app; fi
  if command -v mariadb-admin >/dev/null; then
    db_place db
    if db_alive || db_answers; then was=yes; db_down db; fi
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
  need_packages "${DATABASE_PACKAGES[@]}" "${CLUSTER_PACKAGES[@]}" "${BROWSER_PACKAGES[@]}" "${REFERENCE_PACKAGES[@]}"
  test_database
  (cd "$ROOT" && mvn -B -ntp verify)
}

command_screenshots() {
  need_tools
  make_home
  need_packages "${DATABASE_PACKAGES[@]}" "${BROWSER_PACKAGES[@]}"
  test_database
  (cd "$ROOT" && mvn -B -q -ntp -pl core,devices,web,server,journeys verify -Dspotless.check.skip=true -Dweb.test.skip=true \
    -Dtest=ScreenshotsTest -Dsurefire.failIfNoSpecifiedTests=false -Ddremsa.screenshots=true)
  say "docs/screenshots was made anew."
}

command_bench() {
  need_tools
  make_home
  # One call, so that bench finds core in this build and nothing has to be installed.
  (cd "$ROOT" && mvn -B -q -ntp -pl core,bench -DskipTests -Dspotless.check.skip=true package dependency:build-classpath \
    -Dmdep.outputFile="$HOME_DIR/bench.cp" -Dmdep.includeScope=runtime)
  local classes="$ROOT/bench/target/classes:$ROOT/core/target/classes:$ROOT/core/target/test-classes:$(cat "$HOME_DIR/bench.cp")"
  java -cp "$classes" org.openjdk.jmh.Main "${DREMSA_BENCH:-.*}"
  java -Xmx512m -cp "$classes" dremsa.bench.PlanReport
  java -Xmx512m -cp "$classes" dremsa.bench.LearnReport
  measure_server
  measure_cluster
}

# How long the shelf takes beside a long history, and a backup with many photos; reported, not judged.
measure_server() {
  need_packages "${DATABASE_PACKAGES[@]}"
  test_database
  (cd "$ROOT" && mvn -B -q -ntp -pl core,devices,web,server test -Dweb.test.skip=true -Dexec.skip=true -Djacoco.skip=true \
    -Dspotless.check.skip=true -Dtest=ShelfMeasure,BackupMeasure,PracticeMeasure,HouseholdsMeasure -Dsurefire.failIfNoSpecifiedTests=false -Ddremsa.measure=true)
}

# Two instances on three nodes: what conflicting writers get done, and how soon it serves again after kills.
measure_cluster() {
  need_packages "${DATABASE_PACKAGES[@]}" "${CLUSTER_PACKAGES[@]}"
  (cd "$ROOT" && mvn -B -ntp -pl core,devices,web,server,journeys verify -Dweb.test.skip=true -Djacoco.skip=true \
    -Dspotless.check.skip=true -Dtest=ClusterTest -Dsurefire.failIfNoSpecifiedTests=false -Ddremsa.cluster.kills="${DREMSA_KILLS:-10}") \
    | grep -E '^cluster, |Tests run:.*ClusterTest|ERROR'
}
