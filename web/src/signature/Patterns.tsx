/**
 * The fills that carry a meaning beside their colour: steam curls, cloth weave, plant flecks, and
 * the hatch of "not yet". Put once into each picture, with that picture's own prefix.
 */
export function Patterns({ id }: { id: string }) {
  return (
    <defs>
      <pattern id={`${id}-steam`} width="16" height="10" patternUnits="userSpaceOnUse">
        <rect width="16" height="10" fill="var(--steam)" />
        <path
          d="M2 8c3 0 3-5 6-5s3 5 6 5"
          fill="none"
          stroke="var(--ink)"
          strokeOpacity=".45"
          strokeWidth="1.2"
        />
      </pattern>
      <pattern id={`${id}-cloth`} width="6" height="6" patternUnits="userSpaceOnUse">
        <rect width="6" height="6" fill="var(--cloth)" />
        <path d="M0 1.5h6M1.5 0v6M0 4.5h6M4.5 0v6" stroke="var(--ink)" strokeOpacity=".35" />
      </pattern>
      <pattern id={`${id}-plant`} width="12" height="12" patternUnits="userSpaceOnUse">
        <rect width="12" height="12" fill="var(--linseed)" />
        <path d="M2 6l3-3M8 11l3-3" stroke="#fff" strokeOpacity=".35" strokeWidth="1.6" />
      </pattern>
      <pattern
        id={`${id}-early`}
        width="9"
        height="9"
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <rect width="9" height="9" fill="var(--paper)" />
        <rect width="4" height="9" fill="var(--cloth)" />
      </pattern>
      <pattern
        id={`${id}-spent`}
        width="9"
        height="9"
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <rect width="9" height="9" fill="var(--weld-pale)" />
        <rect width="4" height="9" fill="var(--weld)" />
      </pattern>
    </defs>
  );
}
