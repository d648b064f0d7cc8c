import { PasswordInput } from '@mantine/core';
import { said } from '../../kit/fields';

/** Proof that whoever asks is who they are, before what cannot be taken back. */
export function YourPassword({
  value,
  onChange,
  error,
}: {
  value: string;
  onChange: (value: string) => void;
  error: unknown;
}) {
  return (
    <PasswordInput
      label="Your password"
      value={value}
      onChange={(e) => onChange(e.currentTarget.value)}
      error={said(error, 'password')}
      autoComplete="current-password"
      required
    />
  );
}
