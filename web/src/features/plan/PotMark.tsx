/** A pot as it stands on the weeks' line; with a flake where part of the brew is frozen. */
export function PotMark({ frozen }: { frozen: boolean }) {
  return (
    <svg width="38" height="26" viewBox="0 0 38 26" aria-hidden="true">
      <path d="M8 8H30V20Q30 24 26 24H12Q8 24 8 20Z" fill="var(--woad-pale)" />
      <path
        d="M8 6H30V20Q30 24 26 24H12Q8 24 8 20ZM4 10H8M30 10H34"
        fill="none"
        stroke="var(--ink)"
        strokeWidth="2.2"
        strokeLinecap="round"
      />
      {frozen && (
        <path
          d="M19 10V20M14.7 12.5L23.3 17.5M23.3 12.5L14.7 17.5"
          stroke="var(--ink)"
          strokeWidth="1.8"
          strokeLinecap="round"
        />
      )}
    </svg>
  );
}
