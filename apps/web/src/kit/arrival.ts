import { useEffect, type RefObject } from 'react';
import { useLocation } from 'react-router';

/** Marks where the work of a page begins: the control that is used first, or what stands under a page's own places. */
export const WORK = { 'data-work': '' } as const;
/** A page may come in parts; after so many milliseconds it is left as it is. */
const STAYS = 4000;

/** Whether the last thing somebody did was press a key: who points at something is left where they are. */
const last = { isKey: false };
document.addEventListener('keydown', () => (last.isKey = true), true);
document.addEventListener('pointerdown', () => (last.isKey = false), true);

/** The innermost beginning of the work that is there; the page itself where nothing is marked. */
export function beginningOf(page: HTMLElement): HTMLElement {
  const marked = [...page.querySelectorAll<HTMLElement>('[data-work]')].filter((part) => !part.matches(':disabled'));
  return marked.at(-1) ?? page;
}

/**
 * Puts the focus where the work of a page begins when somebody came there by a key, so that the next Tab is in the page and
 * not in the masthead. A control that has the focus keeps it, and the first key or click ends the waiting for parts of the page.
 */
export function useArrival(page: RefObject<HTMLElement | null>, isShown: boolean): void {
  const { pathname } = useLocation();
  useEffect(() => {
    const root = page.current;
    if (!root || !last.isKey) return;
    let placed: HTMLElement | null = null;
    const place = (): void => {
      const { activeElement } = document;
      if (activeElement !== document.body && activeElement !== placed && activeElement !== root) return;
      const next = beginningOf(root);
      if (next === activeElement) return;
      placed = next;
      next.focus({ preventScroll: true });
    };
    const seen = new MutationObserver(place);
    const end = (): void => {
      seen.disconnect();
      clearTimeout(timer);
      for (const event of ENDED_BY) document.removeEventListener(event, end, true);
    };
    const timer = setTimeout(end, STAYS);
    seen.observe(root, { childList: true, subtree: true, attributes: true, attributeFilter: ['disabled'] });
    for (const event of ENDED_BY) document.addEventListener(event, end, true);
    place();
    return end;
  }, [page, isShown, pathname]);
}
const ENDED_BY = ['keydown', 'pointerdown'] as const;
