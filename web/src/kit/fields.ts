import { ProblemError } from '../api/client';

/** What the server said of a field, to be shown beside it. */
export function said(error: unknown, ...fields: string[]): string | undefined {
  if (!(error instanceof ProblemError)) return undefined;
  for (const field of fields) {
    const found = error.of(field);
    if (found) return found.message;
  }
  return undefined;
}

/** What the server said that belongs to none of the fields on screen. */
export function saidElse(error: unknown, fields: string[]): string | undefined {
  if (!error) return undefined;
  if (!(error instanceof ProblemError)) return 'Something went wrong.';
  return fields.some((f) => error.of(f)) ? undefined : error.message;
}
