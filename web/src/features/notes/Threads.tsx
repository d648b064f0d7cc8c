import { useLayoutEffect, useState, type RefObject } from 'react';
import type { NoteStretch } from '../../api/client';
import { targetOf } from './useNote';

interface Line {
  key: string;
  path: string;
  lit: boolean;
}

interface Props {
  /** What both sides stand in. */
  frame: RefObject<HTMLDivElement | null>;
  stretches: NoteStretch[];
  active: NoteStretch | undefined;
  lit: string | undefined;
  /** Changes whenever something may have moved. */
  moved: unknown;
}

/** Lines from the words to what they became; on a narrow screen there is no room for them. */
export function Threads({ frame, stretches, active, lit, moved }: Props) {
  const [lines, setLines] = useState<Line[]>([]);
  useLayoutEffect(() => {
    const box = frame.current;
    if (!box) return;
    const draw = () => {
      const around = box.getBoundingClientRect();
      const next: Line[] = [];
      for (const stretch of stretches) {
        const target = targetOf(stretch);
        const word = box.querySelector(`[data-from="${stretch.from}"]`)?.getClientRects();
        const thing = target && box.querySelector(`[data-target="${target}"]`);
        if (!word?.length || !thing) continue;
        const from = word[word.length - 1]!;
        const to = thing.getBoundingClientRect();
        if (to.left <= from.right) continue;
        const x0 = from.right - around.left;
        const y0 = from.bottom - around.top - 2;
        const x1 = to.left - around.left - 6;
        const y1 = to.top + 16 - around.top;
        const middle = (x0 + x1) / 2;
        next.push({
          key: `${stretch.from}`,
          path: `M${x0} ${y0}C${middle} ${y0} ${middle} ${y1} ${x1} ${y1}`,
          lit: stretch.from === active?.from || target === lit,
        });
      }
      setLines(next);
    };
    draw();
    // Pictures that come later push what stands below them down.
    const watch = new ResizeObserver(draw);
    watch.observe(box);
    return () => watch.disconnect();
  }, [frame, stretches, active, lit, moved]);
  return (
    <svg className="threads" aria-hidden="true">
      {lines
        .slice()
        .sort((a, b) => Number(a.lit) - Number(b.lit))
        .map((line) => (
          <path key={line.key} d={line.path} className={line.lit ? 'lit' : ''} />
        ))}
    </svg>
  );
}
