import { expect, test, type Page } from '@playwright/test';
import { cell, closePages, openClient, outside, pageOf, statusOf } from '../pages/firm.js';

/** From the account of a person to the bank: a prenote, a payroll with another rate, its direct deposit. */
test.describe.configure({ mode: 'serial' });

const CLIENT = 'Low Tide Animal Clinic PLLC';
let preparer: Page;
let reviewer: Page;

test.afterAll(closePages);
test.beforeAll(async ({ browser }) => {
  preparer = await pageOf(browser, 'preparer');
  reviewer = await pageOf(browser, 'reviewer');
});
const files = async (): Promise<number> => (await outside('bank')).length;

test('the prenote of a new account is planned by one person and released once by another', async () => {
  await openClient(preparer, CLIENT, 'Setup');
  const prenotes = preparer.locator('#prenotes');
  await expect(prenotes.getByRole('row', { name: /Calla/ })).toContainText('prenote to be sent');
  await prenotes.getByRole('button', { name: 'Schedule one prenote' }).click();
  await expect(prenotes.getByText('planned')).toBeVisible();
  const before = await files();
  await openClient(reviewer, CLIENT, 'Setup');
  const theirs = reviewer.locator('#prenotes');
  await theirs.getByRole('button', { name: 'Release…' }).click();
  await expect(theirs.getByText('No money moves.')).toBeVisible();
  await theirs.getByRole('button', { name: 'Release the prenotes' }).dblclick();
  await expect(theirs.getByRole('row', { name: /Calla/ })).toContainText('prenote is out');
  await expect.poll(files).toBe(before + 1);
});

test('hours at another rate and tips are typed as a line, and stay after a reload', async () => {
  await openClient(preparer, CLIENT, 'Payrolls');
  await preparer.getByRole('button', { name: 'Start the payroll' }).click();
  await expect(preparer.getByRole('heading', { name: /checks of Fri, Nov 6, 2026/ })).toBeVisible();
  await cell(preparer, 'Lomax', 'line').click();
  await preparer.keyboard.type('78 reg 8 night-watch tips 40');
  await preparer.keyboard.press('Enter');
  // 78 hours at 24.75 and 8 at 28.50; tips are already the person's.
  await expect(cell(preparer, 'Lomax', 'gross')).toHaveText('2,158.50');
  await expect(cell(preparer, 'Lomax', 'also')).toHaveText('8 night-watch, tips-reported 40');
  await expect(preparer.getByText('Saved', { exact: true })).toBeVisible();
  await preparer.reload();
  await expect(cell(preparer, 'Lomax', 'also')).toHaveText('8 night-watch, tips-reported 40');
  await expect(cell(preparer, 'Lomax', 'gross')).toHaveText('2,158.50');
});

test('its pay goes to the accounts that are through, in one file', async () => {
  await preparer.getByRole('button', { name: 'Review' }).click();
  await preparer.getByRole('button', { name: 'Post…' }).click();
  await preparer.getByRole('button', { name: 'Post the payroll' }).click();
  await expect(statusOf(preparer)).toHaveText('posted');
  const paid = preparer.locator('#paid');
  await expect(paid.getByRole('row', { name: /Rosalind/ })).toContainText('500.00');
  await expect(paid.getByRole('row', { name: /Calla/ })).toContainText('prenote is out, paid by check');
  await paid.getByRole('button', { name: 'Schedule the direct deposit' }).click();
  await expect(paid.getByText('planned')).toBeVisible();
  await preparer.getByRole('link', { name: 'Ladder', exact: true }).click();
  await expect(preparer.getByRole('row', { name: /Direct deposit of Fri, Nov 6, 2026/ })).toContainText(
    'Reviewer: release',
  );

  await reviewer.getByRole('link', { name: 'Ladder', exact: true }).click();
  await reviewer.getByRole('link', { name: /Direct deposit of Fri, Nov 6, 2026/ }).click();
  const before = await files();
  const theirs = reviewer.locator('#paid');
  await theirs.getByRole('button', { name: 'Release…' }).click();
  await theirs.getByRole('button', { name: 'Release the pay' }).dblclick();
  await expect(theirs.getByText('released', { exact: true })).toBeVisible();
  await expect(theirs.getByText(/Sent once/)).toBeVisible();
  await expect.poll(files).toBe(before + 1);
  await reviewer.getByRole('link', { name: 'Ladder', exact: true }).click();
  await expect(reviewer.getByRole('heading', { name: 'The ladder' })).toBeVisible();
  await expect(reviewer.getByRole('row', { name: /Direct deposit/ })).toHaveCount(0);
});
