import { expect, test, type Locator } from '@playwright/test';
import { expectAccessible } from '../pages/accessible.js';
import { openClient, signIn } from '../pages/firm.js';

const CLIENT = 'Low Tide Animal Clinic PLLC';

/** Reads what the demo has, and changes nothing: it runs beside the other files. */
test.beforeEach(({ page }) => signIn(page, 'reviewer'));

const ONE = /payrolls\/|filings\/|remittances\/|employees\//;
/** Opens what a row stands for. The tests beside may add a row just then, and the click falls between two. */
const openRow = (link: Locator): Promise<void> =>
  expect(async () => {
    if (!ONE.test(link.page().url())) await link.click({ timeout: 5_000 });
    await link.page().waitForURL(ONE, { timeout: 5_000 });
  }).toPass({ timeout: 60_000 });

test('every place is accessible, in light and in dark', async ({ page }) => {
  test.setTimeout(400_000);
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'The ladder' })).toBeVisible();
  await expectAccessible(page);
  for (const place of [
    'Payrolls',
    'Deposits',
    'Returns',
    'Employees',
    'Ledger',
    'Setup',
    'Earnings and deductions',
    'Readiness',
    'Proof set',
    'Prior payroll',
    'Tie-out',
  ]) {
    await openClient(page, CLIENT, place);
    await expectAccessible(page);
  }
  for (const [place, link] of [
    ['Payrolls', /2026/],
    ['Returns', /Form 941/],
    ['Deposits', /2026/],
    ['Employees', /Rosalind/],
  ] as const) {
    await openClient(page, CLIENT, place);
    await openRow(page.getByRole('row').getByRole('link', { name: link }).first());
    await expectAccessible(page);
  }
  for (const place of ['Payrolls', 'Deposits', 'Returns'] as const) {
    await page.getByRole('navigation', { name: 'Main' }).getByRole('link', { name: place }).click();
    await expect(page.getByRole('heading', { name: place, level: 1 })).toBeVisible();
    await expectAccessible(page);
  }
  await openClient(page, CLIENT, 'Payrolls');
  await openRow(page.getByRole('row').filter({ hasText: 'posted' }).getByRole('link', { name: /2026/ }).first());
  await page.getByRole('link', { name: 'void checks…' }).click();
  await page
    .getByLabel(/^Void the check of/)
    .first()
    .check();
  await expect(page.getByRole('heading', { name: 'Reversed' })).toBeVisible();
  await expectAccessible(page);
  await openClient(page, CLIENT, 'Reports');
  await expect(page.getByText(/^Total of \d+ rows/)).toBeVisible();
  await expectAccessible(page);
  for (const place of ['check register', 'journal']) {
    await openClient(page, CLIENT, 'Reports');
    await page.getByRole('link', { name: place }).click();
    await expect(page.getByRole('heading', { name: new RegExp(`^${place}`, 'i') })).toBeVisible();
    await expectAccessible(page);
  }
  await openClient(page, 'Lantern Street Theatre', 'Prior payroll');
  await expect(page.getByRole('heading', { name: 'What was filed and deposited' })).toBeVisible();
  await expectAccessible(page);
  await page.goto('/clients/new');
  await expectAccessible(page);
  await page.getByRole('link', { name: 'Firm' }).click();
  await expect(page.getByRole('heading', { name: 'Users' })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('link', { name: 'Audit trail' }).click();
  await expect(page.getByRole('heading', { name: 'Audit trail' })).toBeVisible();
  await expectAccessible(page);
});
