import { useEffect } from 'react';

/** Fetches the code of a page that is likely to be next, once the browser has nothing else to do. */
export function useSoon(fetchPage: () => Promise<unknown>): void {
  useEffect(() => {
    // Where the browser cannot say when it is idle, the page is fetched when it is asked for.
    const idle = (globalThis as { requestIdleCallback?: (work: () => void) => void }).requestIdleCallback;
    idle?.(() => void fetchPage().catch(() => undefined));
  }, [fetchPage]);
}
