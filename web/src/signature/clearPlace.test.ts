import { clearPlace } from './clearPlace';

const LEVEL = [
  { x: 0, y: 100 },
  { x: 400, y: 100 },
];

describe('a place for words', () => {
  it('is at the right where nothing is in the way', () => {
    expect(clearPlace(60, 100, 13, [0, 400], LEVEL, [])).toBe(300);
  });

  it('is where the line is far enough', () => {
    const falling = [
      { x: 0, y: 0 },
      { x: 200, y: 55 },
      { x: 400, y: 58 },
    ];
    const x = clearPlace(60, 100, 13, [0, 400], falling, []);
    // The line is below y = 47 from x = 171 on.
    expect(x + 100).toBeLessThanOrEqual(171);
  });

  it('is clear of uprights, and least crossed where nothing is clear', () => {
    expect(clearPlace(60, 100, 13, [0, 400], LEVEL, [350])).toBeLessThan(250);
    expect(clearPlace(103, 100, 13, [0, 400], LEVEL, [350])).toBeLessThan(250);
  });
});
