import { MantineProvider } from '@mantine/core';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter, Route, Routes, useLocation } from 'react-router';
import { WorkingPane } from '../kit/working-pane.js';
import { WorkingProvider } from '../kit/working.js';

/** Pages in front of a server that answers what a test says. For tests only. */

/** What the server would answer, by method and path. */
export type Answers = Record<string, { status?: number; body: unknown }>;
/** What the pages asked for, in order. */
export const asked: string[] = [];
export function serve(answers: Answers): void {
  const answer = async (input: Request): Promise<Response> => {
    const url = new URL(input.url);
    const key = `${input.method} ${url.pathname}${url.search}`;
    asked.push(input.method === 'GET' ? key : `${key} ${await input.clone().text()}`);
    const found = answers[key] ?? answers[`${input.method} ${url.pathname}`];
    const status = found?.status ?? (found ? 200 : 404);
    const body = found?.body ?? {
      type: '',
      title: '',
      status: 404,
      detail: `nothing at ${key}`,
      code: 'not-found',
      problems: [],
    };
    const text = status === 204 ? '' : JSON.stringify(body);
    return {
      ok: status < 400,
      status,
      headers: new Headers({ 'content-length': String(text.length) }),
      text: () => Promise.resolve(text),
      json: () => Promise.resolve(body),
      clone: () => ({ text: () => Promise.resolve(text) }),
    } as unknown as Response;
  };
  (globalThis as unknown as { testServer: { answer: typeof answer } }).testServer.answer = answer;
}

export const session = {
  user: { id: 'u', name: 'Tobias Renn', email: 't@x', role: 'preparer' },
  firmName: 'Breakwater',
  today: '2026-10-22',
  requiresSecondPerson: true,
};
function Where(): ReactNode {
  const { pathname, search } = useLocation();
  return <output>{pathname + search}</output>;
}
export const open = (path: string, routes: ReactNode) =>
  render(
    <MantineProvider env="test">
      <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
        <MemoryRouter initialEntries={[path]}>
          <WorkingProvider>
            <Routes>
              {routes}
              <Route path="*" element={<p>elsewhere</p>} />
            </Routes>
            <WorkingPane />
            <Where />
          </WorkingProvider>
        </MemoryRouter>
      </QueryClientProvider>
    </MantineProvider>,
  );

/** Between tests: nothing on the page, nothing kept, nothing asked. */
export function startAnew(): void {
  cleanup();
  localStorage.clear();
  sessionStorage.clear();
  asked.length = 0;
}

/** A refusal as the server words it. */
export const refusal = (status: number, detail: string, problems: readonly object[] = []) => ({
  status,
  body: { type: '', title: '', status, detail, code: 'refused', problems },
});
