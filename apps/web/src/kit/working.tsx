import { createContext, useCallback, useContext, useMemo, useState, type ReactNode } from 'react';

export interface WorkingLine {
  readonly label: string;
  readonly value: string;
  readonly how?: string | undefined;
  readonly rounding?: string | undefined;
  readonly isResult?: boolean | undefined;
  readonly parameter?: object | undefined;
}
export interface Working {
  readonly title: string;
  readonly lines: readonly WorkingLine[];
  readonly link?: { readonly to: string; readonly label: string };
}
interface Pane {
  readonly isOpen: boolean;
  readonly working: Working | null;
  /** Shows a working; `open` also opens the pane. */
  show(working: Working, open?: boolean): void;
  toggle(): void;
}

const Context = createContext<Pane | null>(null);
export function useWorking(): Pane {
  const pane = useContext(Context);
  if (!pane) throw new Error('WorkingProvider is missing above this component');
  return pane;
}

const REMEMBERED = 'zakat.working';

export function WorkingProvider({ children }: { readonly children: ReactNode }): ReactNode {
  const [isOpen, setOpen] = useState(() => localStorage.getItem(REMEMBERED) === 'open');
  const [working, setWorking] = useState<Working | null>(null);
  const remember = useCallback((open: boolean) => {
    localStorage.setItem(REMEMBERED, open ? 'open' : 'closed');
    setOpen(open);
  }, []);
  const pane = useMemo<Pane>(
    () => ({
      isOpen,
      working,
      show: (next, open) => {
        setWorking(next);
        if (open) remember(true);
      },
      toggle: () => remember(!isOpen),
    }),
    [isOpen, working, remember],
  );
  return <Context.Provider value={pane}>{children}</Context.Provider>;
}
