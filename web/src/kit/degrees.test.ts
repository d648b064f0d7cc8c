import { describe, expect, it } from 'vitest';
import { fromShown, toShown } from './degrees';

// By definition of the Fahrenheit scale: water freezes at 32 °F and boils at 212 °F.
describe('degrees', () => {
  it('shows the fixed points of both scales', () => {
    expect(toShown(0, 'F')).toBe(32);
    expect(toShown(100, 'F')).toBe(212);
    expect(toShown(-40, 'F')).toBe(-40);
    expect(toShown(5, 'C')).toBe(5);
  });

  it('hands on what was typed', () => {
    expect(fromShown(212, 'F')).toBeCloseTo(100, 10);
    expect(fromShown('41', 'F')).toBeCloseTo(5, 10);
    expect(fromShown(21, 'C')).toBe(21);
  });

  it('comes back as it was typed', () => {
    for (const typed of [-4, 34.5, 41, 68.5, 98.6, 203]) {
      expect(toShown(fromShown(typed, 'F'), 'F')).toBe(typed);
    }
  });

  it('leaves an empty or unreadable field as it is', () => {
    expect(toShown('', 'F')).toBe('');
    expect(fromShown('', 'F')).toBe('');
    expect(fromShown('-', 'F')).toBe('-');
  });
});
