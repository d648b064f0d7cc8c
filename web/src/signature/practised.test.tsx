import { render, screen } from '@testing-library/react';
import { MantineProvider } from '@mantine/core';
import { expect, test } from 'vitest';
import type { Practice } from '../api/client';
import { formatFor } from '../kit/format';
import recorded from '../test/answers.json';
import { LivePot } from './LivePot';
import { TwoLines } from './TwoLines';

const POT = recorded['GET /api/practices/7'].pot as unknown as NonNullable<Practice['pot']>;
const DEBRIEF = recorded['GET /api/practices/over'].debrief as unknown as NonNullable<
  Practice['debrief']
>;

const drawn = (pot: Partial<typeof POT>, heat = 1, lid = false) =>
  render(
    <LivePot
      pot={{ ...POT, boils: true, steam: 8, froth: 0.4, caught: 0, ...pot }}
      heat={heat}
      lid={lid}
      onHob
      looks={['It steams.', 'White froth on top.']}
    />,
  ).container;

test('more heat makes more bubbles, and a hob that is off none', () => {
  const few = drawn({}, 0.2).querySelectorAll('.bubble').length;
  const many = drawn({}, 1).querySelectorAll('.bubble').length;
  expect(many).toBeGreaterThan(few);
  expect(drawn({}, 0).querySelectorAll('.bubble')).toHaveLength(0);
  expect(drawn({ boils: false }).querySelectorAll('.bubble')).toHaveLength(0);
});

test('steam is drawn by how much leaves, at most seven wisps', () => {
  expect(drawn({ steam: 1 }).querySelectorAll('.wisp')).toHaveLength(0);
  expect(drawn({ steam: 12 }).querySelectorAll('.wisp')).toHaveLength(3);
  expect(drawn({ steam: 90 }).querySelectorAll('.wisp')).toHaveLength(7);
});

test('froth rises with its share, and runs down outside above the rim', () => {
  const top = (froth: number) =>
    Number(drawn({ froth }).querySelector('g.moves rect')!.getAttribute('y'));
  expect(top(0.9)).toBeLessThan(top(0.3));
  const over = (froth: number) =>
    drawn({ froth }).querySelectorAll('[stroke="var(--linseed)"]').length;
  expect(over(0.9)).toBe(0);
  expect(over(1.1)).toBe(1);
});

test('what catches darkens the bottom, a lid lies on top, the words say the same', () => {
  expect(drawn({ caught: 0 }).querySelectorAll('rect[fill="var(--ink)"]')).toHaveLength(0);
  expect(drawn({ caught: 0.7 }).querySelectorAll('rect[fill="var(--ink)"]')).toHaveLength(1);
  const open = drawn({}).querySelectorAll('path').length;
  expect(drawn({}, 1, true).querySelectorAll('path').length).toBe(open + 1);
  expect(screen.getAllByRole('img', { name: 'It steams. White froth on top.' }).length).toBe(4);
});

test('before anything stands there only the hob is drawn', () => {
  const { container } = render(
    <LivePot pot={undefined} heat={0} lid={false} onHob={false} looks={['Nothing yet.']} />,
  );
  expect(container.querySelectorAll('path')).toHaveLength(1);
});

test('two lines on one scale: the longer one ends at the right, both are said in words', () => {
  const { container } = render(
    <MantineProvider>
      <TwoLines yours={DEBRIEF.yours} good={DEBRIEF.good} format={formatFor(undefined)} />
    </MantineProvider>,
  );
  const steps = DEBRIEF.yours.steps.length + DEBRIEF.good.steps.length;
  expect(container.querySelectorAll('rect')).toHaveLength(steps);
  const words = screen.getByRole('img').getAttribute('aria-label')!;
  for (const step of DEBRIEF.yours.steps) expect(words).toContain(step.headline);
  const right = [...container.querySelectorAll('rect')].map(
    (r) => Number(r.getAttribute('x')) + Number(r.getAttribute('width')),
  );
  expect(Math.max(...right)).toBeLessThanOrEqual(800);
});
