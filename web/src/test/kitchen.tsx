import { MantineProvider } from '@mantine/core';
import { Notifications, notifications } from '@mantine/notifications';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter, Route, Routes } from 'react-router';
import { keys, type Household, type Session } from '../api/client';
import { theme } from '../kit/theme';

/** A request that a screen sent. */
export interface Sent {
  method: string;
  path: string;
  body: unknown;
  key: string | null;
}

type Answer = unknown;

/** What the stand-in server answers: a body, a function of what was sent, or a refusal. */
export type Answers = Record<string, Answer | ((sent: Sent) => Answer)>;

/** A refusal, as the server words it. */
export class Refused {
  constructor(
    readonly status: number,
    readonly detail: string,
    readonly errors: { field: string; message: string }[] = [],
  ) {}
}

export const HOUSEHOLD: Household = {
  name: 'Test kitchen',
  measures: 'METRIC',
  fahrenheit: false,
  timeZone: 'Europe/Dublin',
  school: 'CAREFUL',
  version: 0,
  now: '2030-03-05T10:00:00Z',
  demo: false,
};

/** Whoever looks at the screens. */
export const SESSION: Session = {
  signIn: 'fern',
  called: 'Fern',
  role: 'KEEPER',
  demo: false,
  signUp: false,
};

/**
 * Draws a screen against a stand-in server; the answers are by method and path, e.g. `GET /api/bottles`.
 * What is not answered is a failed test.
 */
export function inKitchen(node: ReactNode, answers: Answers, household: Partial<Household> = {}) {
  notifications.clean();
  const sent: Sent[] = [];
  const all: Answers = {
    'GET /api/household': { ...HOUSEHOLD, ...household },
    'GET /api/session': SESSION,
    ...answers,
  };
  vi.stubGlobal('fetch', async (input: Request | string, init?: RequestInit) => {
    const request =
      input instanceof Request
        ? input
        : new Request(new URL(input, 'http://localhost'), { ...init, body: null });
    const url = new URL(request.url);
    const text = input instanceof Request ? await request.clone().text() : '';
    const asked: Sent = {
      method: request.method,
      path: url.pathname + url.search,
      body: text.startsWith('{') ? JSON.parse(text) : text || init?.body,
      key: request.headers.get('Idempotency-Key'),
    };
    sent.push(asked);
    const known = all[`${asked.method} ${asked.path}`];
    if (known === undefined) {
      throw new Error(`nobody answers ${asked.method} ${asked.path}`);
    }
    const answer: unknown =
      typeof known === 'function' ? await (known as (s: Sent) => Answer)(asked) : known;
    return answer instanceof Refused
      ? new Response(
          JSON.stringify({
            type: 'urn:dremsa:problem:invalid',
            title: 'Refused',
            status: answer.status,
            detail: answer.detail,
            errors: answer.errors,
          }),
          { status: answer.status, headers: { 'Content-Type': 'application/problem+json' } },
        )
      : new Response(JSON.stringify(answer), {
          status: 200,
          headers: { 'Content-Type': 'application/json' },
        });
  });
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  client.setQueryData(keys.household, { ...HOUSEHOLD, ...household });
  client.setQueryData(keys.session, all['GET /api/session']);
  const view = render(
    <MantineProvider theme={theme} env="test">
      <Notifications />
      <QueryClientProvider client={client}>
        <MemoryRouter initialEntries={['/here/7']}>
          <Routes>
            <Route path="/here/:id" element={node} />
            <Route path="*" element={<p>another screen</p>} />
          </Routes>
        </MemoryRouter>
      </QueryClientProvider>
    </MantineProvider>,
  );
  return { ...view, sent, posted: () => sent.filter((s) => s.method !== 'GET') };
}
