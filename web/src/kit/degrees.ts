type Unit = 'C' | 'F';

/** Degrees as they are shown, to a tenth; an empty text stays one. */
export function toShown(celsius: number | string, unit: Unit): number | string {
  if (celsius === '' || Number.isNaN(Number(celsius))) return celsius;
  return unit === 'F' ? Math.round((Number(celsius) * 1.8 + 32) * 10) / 10 : celsius;
}

/** °C of what was typed; an empty text stays one. */
export function fromShown(shown: number | string, unit: Unit): number | string {
  if (shown === '' || Number.isNaN(Number(shown))) return shown;
  return unit === 'F' ? (Number(shown) - 32) / 1.8 : shown;
}
