/** The rooms of the interface and what they may use: docs/architecture.md. */
const files = import.meta.glob<string>('../**/*.{ts,tsx}', {
  query: '?raw',
  import: 'default',
  eager: true,
});

const source = Object.entries(files)
  .filter(([path]) => !/\.test\.|\/test\/|\/generated\//.test(path))
  .map(([path, text]) => ({ path: path.replace('../', ''), text }));

const uses = (text: string) => [...text.matchAll(/from '([^']+)'/g)].map((m) => m[1]!);

const MAY_NOT: Record<string, RegExp> = {
  api: /\/(app|kit|features|signature)\//,
  kit: /\/(app|features)\//,
  signature: /\/(app|features)\//,
  features: /\/app\//,
};

test.each(Object.entries(MAY_NOT))('what is in %s uses only what is below it', (room, never) => {
  const inside = source.filter(({ path }) => path.startsWith(`${room}/`));
  expect(inside.length).toBeGreaterThan(0);
  expect(
    inside.flatMap(({ path, text }) =>
      uses(text)
        .filter((used) => never.test(used))
        .map((used) => `${path} uses ${used}`),
    ),
  ).toEqual([]);
});

test('a style in a screen is a length or a place that is reckoned, never a constant', () => {
  const constant = /style=\{\{(?:\s*\w+: (?:'[^'$]*'|[\d.]+),?)+\s*\}\}/;
  expect(
    source
      .filter(({ path }) => path.startsWith('features/') || path.startsWith('app/'))
      .filter(({ text }) => constant.test(text))
      .map(({ path }) => path),
  ).toEqual([]);
});

test('every class that a screen names has a style', () => {
  const sheets = Object.values(
    import.meta.glob<string>('../**/*.css', { query: '?raw', import: 'default', eager: true }),
  ).join('\n');
  const named = source.flatMap(({ path, text }) =>
    [...text.matchAll(/className="([^"]+)"/g)].flatMap((m) =>
      m[1]!.split(/\s+/).map((name) => ({ path, name })),
    ),
  );
  expect(named.length).toBeGreaterThan(100);
  const missing = named.filter(
    ({ name }) => !name.startsWith('mantine-') && !new RegExp(`\\.${name}[\\s,.:>{[]`).test(sheets),
  );
  expect(missing).toEqual([]);
});
