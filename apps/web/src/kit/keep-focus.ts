import { useEffect, type RefObject } from 'react';

const CAN_FOCUS =
  'a[href], button:not([disabled]):not([tabindex="-1"]), input:not([disabled]), select:not([disabled]), textarea:not([disabled])';

/** Where the work goes on when the control with the focus is gone: the first one of the nearest part that still stands. */
export function nextToFocus(parts: readonly Element[], page: HTMLElement): HTMLElement {
  for (const part of parts) {
    if (part === page) break;
    if (!part.isConnected || !page.contains(part)) continue;
    const found = part.querySelector<HTMLElement>(CAN_FOCUS);
    if (found) return found;
  }
  return page;
}

/**
 * Keeps the focus on the page. A control that is switched off while it works, or that leaves with its form, would drop
 * it to the document, where single keys go elsewhere: what took its place gets it instead.
 */
export function useKeptFocus(page: RefObject<HTMLElement | null>, isShown: boolean): void {
  useEffect(() => {
    const root = page.current;
    if (!root) return;
    let last: HTMLElement | null = null;
    let around: Element[] = [];
    const remember = (event: FocusEvent): void => {
      if (!(event.target instanceof HTMLElement) || event.target === root) return;
      last = event.target;
      around = [];
      for (let part = last.parentElement; part && part !== root; part = part.parentElement) around.push(part);
    };
    // A click beside every control takes the focus away on purpose.
    const forget = (event: PointerEvent): void => {
      if (event.target instanceof Element && event.target.closest(CAN_FOCUS) === null) last = null;
    };
    const mend = (): void => {
      if (last === null || document.activeElement !== document.body) return;
      if (last.isConnected) {
        // Switched off while it works: it gets the focus back when it is done.
        if (!last.matches(':disabled')) last.focus();
        return;
      }
      last = null;
      nextToFocus(around, root).focus();
    };
    const seen = new MutationObserver(mend);
    seen.observe(root, { childList: true, subtree: true, attributes: true, attributeFilter: ['disabled'] });
    root.addEventListener('focusin', remember);
    document.addEventListener('pointerdown', forget);
    return () => {
      seen.disconnect();
      root.removeEventListener('focusin', remember);
      document.removeEventListener('pointerdown', forget);
    };
  }, [page, isShown]);
}
