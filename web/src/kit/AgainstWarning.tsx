interface Props {
  override?: { what: string; reason: string } | null;
}

/** What was brewed against a warning, and why. */
export function AgainstWarning({ override }: Props) {
  if (!override) return null;
  return (
    <p className="caution">
      <b>Brewed against a warning:</b> {override.what} Because: {override.reason}.
    </p>
  );
}
