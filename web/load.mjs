// Holds what a browser loads before a page is drawn: all JavaScript of its chunks and of what they
// import, gzipped. Run after a build with a manifest; prints the largest and fails above the limit.
import { readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';

const LIMIT_KB = 180;
const dist = new URL('dist/', import.meta.url);
const chunks = JSON.parse(readFileSync(new URL('.vite/manifest.json', dist)));

function load(key, seen) {
  if (seen.has(key)) return seen;
  seen.add(key);
  for (const needed of chunks[key].imports ?? []) load(needed, seen);
  return seen;
}

const size = (key) => gzipSync(readFileSync(new URL(chunks[key].file, dist))).length / 1000;
const keys = Object.keys(chunks);
const frame = load(keys.find((key) => chunks[key].isEntry), new Set());
const pages = keys
  .filter((key) => chunks[key].isDynamicEntry && key.endsWith('Page.tsx'))
  .map((key) => ({
    page: key.split('/').pop(),
    kb: [...load(key, new Set(frame))].reduce((sum, chunk) => sum + size(chunk), 0),
  }))
  .sort((a, b) => b.kb - a.kb);

const told = pages.slice(0, 3).map(({ page, kb }) => `${page} ${kb.toFixed(0)} kB`);
console.log(`First load, gzipped JavaScript: ${told.join(', ')} (limit ${LIMIT_KB} kB)`);
if (pages.length < 10 || pages[0].kb > LIMIT_KB) {
  console.error('A page loads too much before it is drawn: split it, or load a part later.');
  process.exit(1);
}
