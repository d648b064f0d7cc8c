/** A point of a drawn line. */
interface Point {
  x: number;
  y: number;
}

/**
 * Where words of a width stand clear on a level line: the place furthest to the right at which no
 * drawn line and no upright crosses them; if there is none, the one that is crossed least.
 *
 * @param y of the foot of the words; they are `height` high
 * @param line drawn from point to point, in the order of x
 * @param uprights x of lines from top to bottom
 * @returns x of the left end of the words
 */
export function clearPlace(
  y: number,
  width: number,
  height: number,
  [from, to]: [number, number],
  line: Point[],
  uprights: number[],
): number {
  let best = to - width;
  let least = Infinity;
  for (let x = to - width; x >= from; x -= 8) {
    const crossed =
      10 * uprights.filter((u) => u > x - 4 && u < x + width + 4).length +
      line.filter((p, i) => {
        const q = line[i + 1] ?? p;
        const [left, right] = [Math.max(p.x, x - 4), Math.min(q.x, x + width + 4)];
        if (left > right) return false;
        const at = (t: number) =>
          q.x === p.x ? p.y : p.y + ((q.y - p.y) * (t - p.x)) / (q.x - p.x);
        const [high, low] = [Math.min(at(left), at(right)), Math.max(at(left), at(right))];
        return low > y - height && high < y + 3;
      }).length;
    if (crossed === 0) return x;
    if (crossed < least) {
      least = crossed;
      best = x;
    }
  }
  return best;
}
