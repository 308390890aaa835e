import { useEffect, type RefObject } from 'react';

const textOf = (page: HTMLElement, of: string): string =>
  (page.querySelector(of)?.firstChild?.textContent ?? '').replace(/\s+/g, ' ').trim();

/** The title of the tab: the place of a client before its name, then ours. */
export function titleOf(page: HTMLElement): string {
  const place = textOf(page, '.places [aria-current="page"]');
  const heading = textOf(page, 'h1');
  return [place, heading, 'Zakat'].filter((part) => part !== '').join(' · ');
}

/** Gives each page its title, from the headings it shows. */
export function usePageTitle(page: RefObject<HTMLElement | null>, isShown: boolean): void {
  useEffect(() => {
    const root = page.current;
    if (!root) return;
    const name = (): void => {
      const title = titleOf(root);
      if (title !== document.title) document.title = title;
    };
    const seen = new MutationObserver(name);
    seen.observe(root, { childList: true, subtree: true, characterData: true });
    name();
    return () => seen.disconnect();
  }, [page, isShown]);
}
