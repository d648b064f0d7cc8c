# The loop of those who change Dremsa. Sourced, not run.

# The application from what is built, and the web in front of it with reload: a change under web/src
# is on the screen at once, one in Java after stopping this and starting it again.
command_dev() {
  need_tools
  [ -d "$ROOT/web/node_modules" ] || (cd "$ROOT/web" && npm ci --no-fund --no-audit)
  "$ROOT/dremsa" start &
  local application=$!
  trap 'kill -TERM "$application" 2>/dev/null || true; wait "$application" || true' EXIT
  trap 'exit 130' INT TERM
  until answers "$PORT"; do
    running "$application" || fail "The application did not start."
    sleep 1
  done
  say "The web with reload: http://127.0.0.1:5173"
  (cd "$ROOT/web" && DREMSA_PORT="$PORT" npx vite --port 5173 --strictPort)
}

# Without what only the whole test has to look at.
QUICK=(-B -ntp -Djacoco.skip=true -Dspotless.check.skip=true -Dsurefire.failIfNoSpecifiedTests=false)

# command_test_some MODULE [NAME]: the tests of one module, or those of a name.
command_test_some() {
  local module=$1 name=${2:-}
  # A part of a name is enough; taken whole it would match nothing and pass.
  case "$name" in '' | *[*,.]*) ;; *) [ "$module" = web ] || name="*$name*" ;; esac
  need_tools
  case "$module" in
    core)
      (cd "$ROOT" && mvn "${QUICK[@]}" -pl core test ${name:+-Dtest="$name"}) ;;
    web)
      [ -d "$ROOT/web/node_modules" ] || (cd "$ROOT/web" && npm ci --no-fund --no-audit)
      (cd "$ROOT/web" && npx vitest run ${name:+"$name"}) ;;
    server)
      make_home
      need_packages "${DATABASE_PACKAGES[@]}"
      test_database
      (cd "$ROOT" && mvn "${QUICK[@]}" -pl core,devices,web,server test -Dweb.test.skip=true -Dtest="${name:-dremsa.server.**}") ;;
    journeys)
      make_home
      need_packages "${DATABASE_PACKAGES[@]}" "${CLUSTER_PACKAGES[@]}" "${BROWSER_PACKAGES[@]}"
      test_database
      (cd "$ROOT" && mvn "${QUICK[@]}" -pl core,devices,web,server,journeys verify -Dweb.test.skip=true -Dtest="${name:-dremsa.journeys.**}") ;;
    *) fail "There is no module '$module'. There are core, server, web and journeys." ;;
  esac
}

# After a change of the API: the document from the code, and the types of the web from the document. The web is
# not built on the way: it may already use what only comes with the new types.
command_api() {
  need_tools
  make_home
  need_packages "${DATABASE_PACKAGES[@]}"
  test_database
  (cd "$ROOT" && mvn "${QUICK[@]}" -q -pl core,devices,web,server test -Dweb.test.skip=true -Dexec.skip=true -Dtest=OpenApiTest \
    -Dtest.jvm=-Ddremsa.openapi.write=true)
  (cd "$ROOT/web" && npm run --silent api)
  say "server/openapi.json and the types of the web are made anew."
}
