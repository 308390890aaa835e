import { useCallback, useEffect, useRef } from 'react';
import type { CalcAnswer, CalcRequest } from './calc.worker.js';
import { unsent, type Sent } from './unsent.js';

/** Asks the worker; answers come back in order of asking. */
export function useCalc(): (request: Omit<CalcRequest, 'id'>) => Promise<CalcAnswer> {
  const worker = useRef<Worker | null>(null);
  const waiting = useRef(new Map<number, (answer: CalcAnswer) => void>());
  const next = useRef(0);
  const sent = useRef<Sent>({ bases: new Map() });
  const make = useCallback((): Worker => {
    if (worker.current) return worker.current;
    const made = new Worker(new URL('./calc.worker.ts', import.meta.url), { type: 'module' });
    made.onmessage = (event: MessageEvent<CalcAnswer>) => {
      waiting.current.get(event.data.id)?.(event.data);
      waiting.current.delete(event.data.id);
    };
    worker.current = made;
    return made;
  }, []);
  useEffect(
    () => () => {
      worker.current?.terminate();
      worker.current = null;
      sent.current = { bases: new Map() };
    },
    [],
  );
  return useCallback(
    (request) =>
      new Promise((resolve) => {
        next.current += 1;
        waiting.current.set(next.current, resolve);
        make().postMessage(unsent({ ...request, id: next.current }, sent.current));
      }),
    [make],
  );
}
