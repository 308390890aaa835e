import { askKey } from '@zakat/core/issues/issue';
import { Refused } from './client.js';

export interface Asked {
  readonly details: Refused['problem']['problems'];
  readonly answer: (isRight: boolean) => void;
}
let listener: ((asked: Asked | null) => void) | null = null;

/** The page shows what is asked; without a page that can, nothing is confirmed. */
export function onAsked(next: typeof listener): () => void {
  listener = next;
  return () => {
    if (listener === next) listener = null;
  };
}

const ask = (details: Asked['details']): Promise<boolean> =>
  new Promise((answer) => {
    if (!listener) answer(false);
    else
      listener({
        details,
        answer: (isRight) => {
          listener?.(null);
          answer(isRight);
        },
      });
  });

/**
 * Sends a change; where the server asks for a second look, the page asks, and sends it again with what was looked at.
 * Turned down, it is refused as any other change.
 */
export async function lookingTwice<T>(send: (confirmed: string[]) => Promise<T>): Promise<T> {
  const confirmed: string[] = [];
  for (;;) {
    try {
      return await send(confirmed);
    } catch (error) {
      if (!(error instanceof Refused) || error.problem.code !== 'second-look') throw error;
      const keys = error.problem.problems.map((detail) =>
        askKey({ code: detail.code as 'input.missing', field: detail.field }),
      );
      // Asked again about what was confirmed: the server does not take it, and nothing is gained by going on.
      if (keys.every((key) => confirmed.includes(key))) throw error;
      if (!(await ask(error.problem.problems))) throw error;
      confirmed.push(...keys);
    }
  }
}
