import { useCallback, useState } from 'react';

const PREFIX = 'zakat.draft.';

/** What is being typed, kept in this tab until it is saved or given up: a reload loses nothing. */
export function useDraft<T>(key: string, initial: T): [T, (next: T) => void, () => void, boolean] {
  const [value, setValue] = useState<T>(() => {
    const kept = sessionStorage.getItem(PREFIX + key);
    if (kept === null) return initial;
    try {
      return JSON.parse(kept) as T;
    } catch {
      return initial;
    }
  });
  const [isKept, setKept] = useState(() => sessionStorage.getItem(PREFIX + key) !== null);
  const set = useCallback(
    (next: T) => {
      sessionStorage.setItem(PREFIX + key, JSON.stringify(next));
      setKept(true);
      setValue(next);
    },
    [key],
  );
  const clear = useCallback(() => {
    sessionStorage.removeItem(PREFIX + key);
    setKept(false);
    setValue(initial);
    // The first value of a draft does not change while its page is open.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [key]);
  return [value, set, clear, isKept];
}

/** Forgets every draft: on signing out. */
export function forgetDrafts(): void {
  for (const name of Object.keys(sessionStorage)) if (name.startsWith(PREFIX)) sessionStorage.removeItem(name);
}
