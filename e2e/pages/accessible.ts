import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/** Both schemes of a page as it stands; in the second one only the colours are new. */
export async function expectAccessible(page: Page): Promise<void> {
  await expect(page.locator('h1')).toBeVisible();
  await expect(page.getByText('One moment.')).toHaveCount(0);
  for (const [colorScheme, rules] of SCHEMES) {
    await page.emulateMedia({ colorScheme, reducedMotion: 'reduce' });
    // The grid's own scaffolding is the library's; our pages around it are ours. Rows of a long table are alike.
    const builder = new AxeBuilder({ page })
      .exclude('.ag-root-wrapper')
      .exclude('tbody tr:nth-child(n+21)')
      // There are no frames: what is found needs no second page to be gathered in, and only what is wrong is read.
      .setLegacyMode()
      .options({ resultTypes: ['violations'] });
    const { violations } = await (rules.length > 0 ? builder.withRules([...rules]) : builder).analyze();
    expect(
      violations.map(
        (violation) =>
          `${colorScheme} ${violation.id}: ${violation.nodes.map((node) => node.target.join(' ')).join(', ')}`,
      ),
    ).toEqual([]);
  }
}
const SCHEMES = [
  ['light', []],
  ['dark', ['color-contrast']],
] as const;
