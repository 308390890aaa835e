import { expect, type Page } from '@playwright/test';
import type axe from 'axe-core';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';

const SOURCE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');
/** The grid's own scaffolding is the library's; our pages around it are ours. Rows of a long table are alike. */
const WHERE = { exclude: [['.ag-root-wrapper'], ['tbody tr:nth-child(n+21)']] };
/** In the second scheme only the colours are new. */
const SCHEMES: readonly (readonly [scheme: 'light' | 'dark', options: axe.RunOptions])[] = [
  ['light', { resultTypes: ['violations'] }],
  ['dark', { resultTypes: ['violations'], runOnly: ['color-contrast'] }],
];
declare const window: { readonly axe?: typeof axe };

/** What a page is headed while it is looked at; nothing while another takes its place, or waits for its figures. */
async function settledHeading(page: Page): Promise<string> {
  await expect(page.locator('h1')).toBeVisible();
  await expect(page.getByText('One moment.')).toHaveCount(0);
  return (await page.locator('h1').allTextContents()).join();
}

async function violationsIn(page: Page, options: axe.RunOptions): Promise<string[]> {
  if (!(await page.evaluate(() => window.axe !== undefined))) await page.evaluate(SOURCE);
  return page.evaluate(
    async ([where, how]) => {
      if (!window.axe) throw new Error('the rules of accessibility are not in the page');
      const { violations } = await window.axe.run(where, how);
      return violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ target }) => target.join(' ')).join(', ')}`);
    },
    [WHERE, options] as const,
  );
}

/**
 * Both schemes of a page as it stands; the rules are loaded once for as long as the page lives. A link that was just
 * followed leaves the page before it on the screen until the next has come: what was looked at across the two is looked
 * at again.
 */
export async function expectAccessible(page: Page): Promise<void> {
  for (const [colorScheme, options] of SCHEMES) {
    await page.emulateMedia({ colorScheme, reducedMotion: 'reduce' });
    let found: string[] = [];
    await expect(async () => {
      const before = await settledHeading(page);
      found = await violationsIn(page, options);
      expect(await page.locator('h1').allTextContents()).toEqual([before]);
    }).toPass({ timeout: 60_000 });
    expect(found.map((violation) => `${colorScheme} ${violation}`)).toEqual([]);
  }
}
