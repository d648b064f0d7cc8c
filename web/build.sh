#!/usr/bin/env bash
# Builds the web part for Maven: installs packages only when the lists changed, then makes dist/.
set -euo pipefail
cd "$(dirname "$0")"
stamp=$(cat package.json package-lock.json | sha256sum)
if [ ! -d node_modules ] || [ "$(cat .npm-stamp 2>/dev/null || true)" != "$stamp" ]; then
  npm ci --no-audit --no-fund
  printf '%s' "$stamp" > .npm-stamp
fi
npm run --silent build
# What the pages are made of; it goes into the jar beside the server's own list.
mkdir -p sbom
npm sbom --sbom-format cyclonedx --omit dev > sbom/web.cdx.json
