import type { Prediction } from '../../api/client';
import { coolWords } from './words';

const brew = (startC: number, endC: number, minute?: number) =>
  ({
    steps: [{ index: 0, startC, endC, startMinute: 0, endMinute: 60, guide: { late: '' } }],
    landmarks: [{ id: 'STRAIN', celsius: 60, minute }],
  }) as unknown as Prediction;
const celsius = (c: number) => `${c} °C`;

test.each([
  ['a brew that was never hot', brew(21, 20), ''],
  [
    'one that is cool enough at minute 42',
    brew(96, 35, 42),
    'Cool enough to strain (60 °C) after 42 min.',
  ],
  ['one that is hot at its end, which its step warns of', brew(96, 71), ''],
])('of %s it says what is so', (_, prediction, words) => {
  expect(coolWords(prediction, celsius)).toBe(words);
});
