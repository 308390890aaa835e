import { expect, test, type Page } from '@playwright/test';
import { expectAccessible } from '../pages/accessible.js';
import { cell, closePages, openClient, pageOf } from '../pages/firm.js';

/** A payroll that another program paid, and pay that is booked to jobs; both go away again. */
test.describe.configure({ mode: 'serial' });

const FEDERAL = 'Withheld: Federal income tax';
let preparer: Page;

test.afterAll(closePages);
test.beforeAll(async ({ browser }) => {
  preparer = await pageOf(browser, 'preparer');
});

async function start(client: string, kind: string): Promise<void> {
  await openClient(preparer, client, 'Payrolls');
  await preparer.getByLabel('Payroll type').selectOption(kind);
  await preparer.getByRole('button', { name: 'Start the payroll' }).click();
  await expect(preparer.getByRole('heading', { name: /^Payroll, checks of/ })).toBeVisible();
}
async function discard(): Promise<void> {
  await preparer.getByRole('button', { name: 'discard it' }).click();
  await preparer.getByRole('button', { name: 'yes, discard' }).click();
  await expect(preparer).toHaveURL(/\/payrolls$/);
}
const saved = () => expect(preparer.getByText('Saved', { exact: true })).toBeVisible();

test('a check is kept with what was withheld from it, and the difference is listed for the review', async () => {
  await start('Rising Tide Bakery LLC', 'recorded');
  await cell(preparer, 'Pike', 'line').click();
  const computed = await cell(preparer, 'Pike', 'fit').textContent();
  await preparer.getByLabel(FEDERAL).fill('61.00');
  await expect(cell(preparer, 'Pike', 'fit')).toHaveText('61.00');
  await saved();
  await expectAccessible(preparer);
  await preparer.reload();
  await expect(cell(preparer, 'Pike', 'fit')).toHaveText('61.00');
  await preparer.getByRole('button', { name: 'Review', exact: true }).click();
  const listed = preparer.getByRole('row', { name: /^Anselm Pike, Federal income tax/ });
  await expect(listed).toContainText(computed ?? 'an amount');
  await expect(listed).toContainText('61.00');
  await preparer.getByRole('button', { name: 'reopen for changes' }).click();
  // Blank again, it is as computed.
  await cell(preparer, 'Pike', 'line').click();
  await preparer.getByLabel(FEDERAL).fill('');
  await expect(cell(preparer, 'Pike', 'fit')).toHaveText(computed ?? '');
  await saved();
  await discard();
});

test('hours typed with a job are booked to it, beside the shares of a salary', async () => {
  await start('Gannet & Sons Boatyard Inc', 'regular');
  await cell(preparer, 'Sprague', 'line').click();
  await preparer.keyboard.type('60 reg 20 reg #ferry-refit');
  await preparer.keyboard.press('Enter');
  await expect(cell(preparer, 'Sprague', 'also')).toHaveText('20 regular #ferry-refit');
  await saved();
  await preparer.getByRole('button', { name: 'Review', exact: true }).click();
  // 20 hours at 31.40 and 60 percent of 2,750.00; the other 40 percent; and 60 hours that belong to no job.
  const rows = preparer.getByRole('heading', { name: 'By job' }).locator('..').getByRole('row');
  await expect(rows.filter({ hasText: 'Ferry refit' })).toContainText('2,278.00');
  await expect(rows.filter({ hasText: 'Harbor launch' })).toContainText('1,100.00');
  await expect(rows.filter({ hasText: 'no job' })).toContainText('1,884.00');
  await expect(preparer.getByRole('row', { name: /Gross pay, Ferry refit/ })).toContainText('2,278.00');
  await preparer.getByRole('button', { name: 'reopen for changes' }).click();
  await discard();
});

test('a page of checks can be seen before there is any', async () => {
  await openClient(preparer, 'Gannet & Sons Boatyard Inc', 'Setup');
  for (const words of ['check at the top', 'in the middle', 'at the bottom']) {
    const sample = await preparer.getByRole('link', { name: words, exact: true }).getAttribute('href');
    const answer = await preparer.request.get(sample ?? '');
    expect([answer.status(), answer.headers()['content-type']]).toEqual([200, 'application/pdf']);
  }
});
