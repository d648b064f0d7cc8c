import type { Trial } from '../../api/client';
import { WORDS } from '../../kit/words';

type Section = Trial['on'][number]['section'];

/** A head from above, nose up: where each section lies. */
const PARTS: Record<Section, { path: string; x: number; y: number }> = {
  LEFT: { path: 'M60 22C30 34 22 66 26 100L58 100L60 70Z', x: 43, y: 72 },
  RIGHT: { path: 'M100 22C130 34 138 66 134 100L102 100L100 70Z', x: 117, y: 72 },
  CROWN: { path: 'M60 22C72 16 88 16 100 22L100 70L102 100L58 100L60 70Z', x: 80, y: 62 },
  BACK: { path: 'M26 100L134 100C130 136 108 152 80 152C52 152 30 136 26 100Z', x: 80, y: 126 },
};

/** Which jar is on which section, drawn; said in words to whoever does not see it. */
export function HeadSections({ on, name }: { on: Trial['on']; name: (jar: number) => string }) {
  const words = on.map((o) => `${WORDS.headSections[o.section]}: ${name(o.jar)}`).join('; ');
  return (
    <svg viewBox="0 0 160 160" className="head-sections" role="img" aria-label={words}>
      <path
        d="M72 18L80 6L88 18M27 82C14 80 13 104 27 106M133 82C146 80 147 104 133 106"
        fill="none"
        stroke="var(--ink)"
        strokeWidth="2"
      />
      {(Object.keys(PARTS) as Section[]).map((section) => {
        const there = on.find((o) => o.section === section);
        const part = PARTS[section];
        return (
          <g key={section}>
            <path
              d={part.path}
              fill={there ? 'var(--woad-pale)' : 'var(--paper)'}
              stroke="var(--ink)"
              strokeWidth="2"
            />
            {there && (
              <text x={part.x} y={part.y} textAnchor="middle" className="head-jar">
                {there.jar + 1}
              </text>
            )}
          </g>
        );
      })}
    </svg>
  );
}
