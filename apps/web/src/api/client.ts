import createClient from 'openapi-fetch';
import type { components, paths } from './schema.js';

export type Schemas = components['schemas'];

/** A refusal of the server, with its code and its list of what is wrong. */
export class Refused extends Error {
  constructor(
    readonly problem: {
      status: number;
      detail: string;
      code: string;
      problems: { code: string; field: string; severity: string; sentence: string; fix: string }[];
    },
  ) {
    super(problem.detail);
  }
}

const http = createClient<paths>({ baseUrl: '/', credentials: 'same-origin' });
export const api = http;

/** The data of an answer, or a thrown Refused. */
export async function take<T>(call: Promise<{ data?: T; error?: unknown; response: Response }>): Promise<T> {
  let answer;
  try {
    answer = await call;
  } catch {
    throw new Refused({
      status: 0,
      code: 'offline',
      detail: 'The server cannot be reached. Nothing was changed; try again.',
      problems: [],
    });
  }
  if (answer.response.ok) return answer.data as T;
  const problem = answer.error as Refused['problem'] | undefined;
  throw new Refused(
    problem?.detail
      ? problem
      : {
          status: answer.response.status,
          code: 'http',
          detail: `The server answered ${answer.response.status}.`,
          problems: [],
        },
  );
}
