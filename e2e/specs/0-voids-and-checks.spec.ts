import { expect, test, type Page } from '@playwright/test';
import { closePages, pageOf } from '../pages/firm.js';

/** A payroll from the list of all that are due to checks on paper, one of them voided by two people and paid anew. */
test.describe.configure({ mode: 'serial' });

/** Its balances of the year are brought in before: they can be only ahead of the first payroll. */
const CLIENT = 'Drift Museum Shop Inc';
let preparer: Page;
let payroll = '';
let voidPath = '';

test.afterAll(closePages);
test.beforeAll(async ({ browser }) => {
  preparer = await pageOf(browser, 'preparer');
});

test('a payroll that is due is started from the list of every client, reviewed and posted', async () => {
  await preparer.getByRole('navigation', { name: 'Main' }).getByRole('link', { name: 'Payrolls' }).click();
  await preparer.getByLabel('Client or schedule').fill(CLIENT);
  await preparer.getByRole('button', { name: 'Start one payroll' }).click();
  await expect(preparer.getByText(/One payroll is started/)).toBeVisible();
  await expect(preparer.getByRole('row', { name: CLIENT })).toContainText('Preparer: enter and review');
  await preparer.getByRole('link', { name: CLIENT }).click();
  await expect(preparer.getByRole('heading', { name: /^Payroll, checks of/ })).toBeVisible();
  payroll = new URL(preparer.url()).pathname;
  await preparer.getByRole('button', { name: 'Review', exact: true }).click();
  await preparer.getByRole('button', { name: 'Post…' }).click();
  await preparer.getByRole('button', { name: 'Post the payroll' }).click();
  await expect(preparer.getByRole('heading', { name: /^Checks and pay statements/ })).toBeVisible();
});

test('its checks are numbered once, and what did not come out well returns', async () => {
  await preparer.getByLabel('First check number').fill('701');
  await preparer.getByRole('button', { name: /^Number and print/ }).dblclick();
  await expect(preparer.getByText(/Did they come out well/)).toBeVisible();
  await preparer.getByLabel('701 Linus Agate').check();
  await preparer.getByRole('button', { name: /came out well, 1 spoiled/ }).click();
  await expect(preparer.getByRole('row', { name: /701 Linus Agate spoiled/ })).toBeVisible();
  await expect(preparer.getByRole('button', { name: 'Number and print one check' })).toBeVisible();
  const pages = await preparer.request.get(`/api${payroll}/statements.pdf`);
  expect([pages.status(), pages.headers()['content-type']]).toEqual([200, 'application/pdf']);
});

test('a check is voided by two people, once, with what follows shown before', async ({ browser }) => {
  await preparer.getByRole('link', { name: 'void checks…' }).click();
  await preparer.getByLabel('Void the check of Tamsin Flint').check();
  await expect(preparer.getByText(/Have it back and mark it void/)).toBeVisible();
  await preparer.getByLabel('Reason (kept with the void)').fill('Paid for a week not worked');
  await preparer.getByRole('button', { name: 'Propose the void of one check' }).click();
  await preparer.getByRole('button', { name: 'Void…' }).click();
  await expect(preparer.getByRole('button', { name: 'Void the check' })).toBeDisabled();
  voidPath = new URL(preparer.url()).pathname;
  const reviewer = await pageOf(browser, 'reviewer');
  await reviewer.goto(voidPath);
  await reviewer.getByRole('button', { name: 'Void…' }).click();
  await reviewer.getByRole('button', { name: 'Void the check' }).dblclick();
  await reviewer.getByRole('link', { name: /reversal in the register/ }).click();
  await expect(reviewer.getByRole('heading', { name: /^Void, checks of/ })).toBeVisible();
});

test('register, journal and check register show it', async () => {
  await preparer.goto(payroll);
  await preparer.getByRole('link', { name: 'check register' }).click();
  await expect(preparer.getByRole('row', { name: /701/ })).toContainText('spoiled');
  const places = preparer.getByRole('navigation', { name: 'Client' });
  await places.getByRole('link', { name: 'Reports' }).click();
  // Two checks and the one that is voided, beside the prior payroll of two people.
  await expect(preparer.getByText('Total of 5 rows')).toBeVisible();
  await preparer.getByLabel('By').selectOption('employee');
  const summed = preparer.getByRole('row', { name: /Tamsin Flint/ });
  await expect(summed).toHaveCount(1);
  await expect(summed).toContainText('7,257.60');
  await preparer.getByRole('link', { name: 'journal' }).click();
  await preparer.getByRole('button', { name: 'Export' }).click();
  await expect(preparer.getByText('No entry waits to be exported.')).toBeVisible();
});
