import { expect, test, type Page } from '@playwright/test';
import { cell, closePages, moveDate, openClient, outside, pageOf, setMood, statusOf } from '../pages/firm.js';

/**
 * The whole chain for one client, by hand in the browser: sign-in, people, payroll, deposit, Form 941, W-2s, tie-out.
 * The steps build on each other, so they run in order and stop at the first failure.
 */
test.describe.configure({ mode: 'serial' });

const CLIENT = 'Gannet & Sons Boatyard Inc';
let preparer: Page;
let reviewer: Page;

test.afterAll(closePages);
test.beforeAll(async ({ browser }) => {
  preparer = await pageOf(browser, 'preparer');
  reviewer = await pageOf(browser, 'reviewer');
});

test('a wrong password is refused in words', async ({ page }) => {
  await page.goto('/');
  await page.getByLabel('E-mail').fill('tobias@breakwater.example');
  await page.getByLabel('Password', { exact: true }).fill('not this one at all');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('alert')).toHaveText(/do not belong together/);
});

test('the ladder is in the order of the send-by moments', async () => {
  await preparer.goto('/');
  await expect(preparer.locator('.ladder tbody tr')).not.toHaveCount(0);
  const moments = await preparer
    .locator('.ladder td.when time')
    .evaluateAll((times) => times.map((time) => time.getAttribute('datetime') ?? ''));
  expect(moments).toEqual([...moments].sort());
});

test('an employee shows pay, Form W-4 and state certificate, and the number only when asked', async () => {
  await openClient(preparer, CLIENT, 'Employees');
  await preparer.getByRole('link', { name: 'Wilhelmina Sprague' }).click();
  await expect(preparer.getByText('31.40 an hour, usually 80 hours')).toBeVisible();
  await expect(preparer.getByText(/Form W-4: single, step 2 box not checked/)).toBeVisible();
  await expect(preparer.getByText(/NY Form IT-2104: single, allowances 1/)).toBeVisible();
  await expect(preparer.getByText('899-12-3401')).toHaveCount(0);
  await preparer.getByRole('button', { name: 'show it (recorded)' }).click();
  await expect(preparer.getByText('899-12-3401')).toBeVisible();
});

test('a payroll is typed by keyboard, recomputes at once, and explains its figures', async () => {
  await openClient(preparer, CLIENT, 'Payrolls');
  await expect(preparer.getByLabel('Check date')).toHaveValue('10/30/2026');
  await preparer.getByRole('button', { name: 'Start the payroll' }).click();
  await expect(preparer.getByRole('heading', { name: /checks of Fri, Oct 30, 2026/ })).toBeVisible();
  await expect(cell(preparer, 'Sprague', 'gross')).toHaveText('2,512.00');
  await cell(preparer, 'Sprague', 'line').click();
  await preparer.keyboard.type('76 reg 5.5 ot sick 4');
  await preparer.keyboard.press('Enter');
  // 76 and 4 hours at 31.40, and 5.5 at one and a half: 2,386.40 + 125.60 + 259.05.
  await expect(cell(preparer, 'Sprague', 'gross')).toHaveText('2,771.05');
  await cell(preparer, 'Sprague', 'fit').click();
  await preparer.keyboard.press('Control+.');
  const pane = preparer.getByRole('complementary', { name: 'Tape' });
  await expect(pane.getByText('Federal income tax, Wilhelmina Sprague')).toBeVisible();
  await expect(pane.getByText(/Publication 15-T/)).toBeVisible();
  await expect(pane.getByText('72,047.30', { exact: true })).toBeVisible();
  await preparer.keyboard.press('Control+.');
  await expect(preparer.getByText('Saved', { exact: true })).toBeVisible();
});

test('letters typed in the sheet stay in the sheet', async () => {
  await cell(preparer, 'Sprague', 'line').click();
  await preparer.keyboard.type('comm 50');
  await preparer.keyboard.press('Enter');
  // A line typed over another takes its place: the usual 80 hours, and 50 more.
  await expect(cell(preparer, 'Sprague', 'gross')).toHaveText('2,562.00');
  await cell(preparer, 'Sprague', 'line').click();
  await preparer.keyboard.type('76 reg 5.5 ot sick 4');
  await preparer.keyboard.press('Enter');
  await expect(cell(preparer, 'Sprague', 'gross')).toHaveText('2,771.05');
  await expect(preparer.getByText('Saved', { exact: true })).toBeVisible();
});

test('what was typed is there after a reload; a line that cannot be read is said', async () => {
  await preparer.reload();
  await expect(cell(preparer, 'Sprague', 'gross')).toHaveText('2,771.05');
  await cell(preparer, 'Sprague', 'line').click();
  await preparer.keyboard.type('8 holidays');
  await preparer.keyboard.press('Enter');
  await expect(preparer.getByRole('alert')).toHaveText(/holidays is not known/);
  // It stays where it was typed and holds the review, also after a reload.
  await expect(preparer.getByText('Saved', { exact: true })).toBeVisible();
  await preparer.reload();
  await expect(cell(preparer, 'Sprague', 'line')).toHaveText('8 holidays');
  await preparer.getByRole('button', { name: 'Review' }).click();
  await expect(preparer.getByRole('alert').filter({ hasText: /holidays/ })).not.toHaveCount(0);
  await expect(statusOf(preparer)).toHaveText('open');
  await cell(preparer, 'Sprague', 'line').click();
  await preparer.keyboard.type('76 reg 5.5 ot sick 4');
  await preparer.keyboard.press('Enter');
  await expect(cell(preparer, 'Sprague', 'gross')).toHaveText('2,771.05');
});

test('two people in one payroll see what the other one types, and neither loses anything', async () => {
  await expect(preparer.getByText('Saved', { exact: true })).toBeVisible();
  await reviewer.goto(preparer.url());
  await expect(cell(reviewer, 'Sprague', 'gross')).toHaveText('2,771.05');
  await expect(cell(reviewer, 'Achterberg', 'gross')).toBeVisible();
  const before = await cell(preparer, 'Achterberg', 'gross').textContent();
  // Both at once, for different people.
  await cell(preparer, 'Sprague', 'overtime').click();
  await preparer.keyboard.type('6');
  await cell(reviewer, 'Achterberg', 'line').click();
  await reviewer.keyboard.type('bonus 10');
  await Promise.all([preparer.keyboard.press('Enter'), reviewer.keyboard.press('Enter')]);
  await expect(cell(reviewer, 'Sprague', 'overtime')).toHaveText('6', { timeout: 15_000 });
  await expect(cell(preparer, 'Achterberg', 'bonus')).toHaveText('10.00', { timeout: 15_000 });
  // Both at once, for the same person: nothing is written over, one of them is asked.
  await cell(preparer, 'Sprague', 'overtime').click();
  await preparer.keyboard.type('5.5');
  await cell(reviewer, 'Sprague', 'overtime').click();
  await reviewer.keyboard.type('9');
  await Promise.all([preparer.keyboard.press('Enter'), reviewer.keyboard.press('Enter')]);
  const asked = (page: Page) => page.getByRole('alert', { name: 'Typed by two people' });
  await expect.poll(async () => (await asked(preparer).count()) + (await asked(reviewer).count())).toBe(1);
  if ((await asked(preparer).count()) === 1) await preparer.getByRole('button', { name: 'keep mine' }).click();
  else await reviewer.getByRole('button', { name: 'take what is saved' }).click();
  for (const page of [preparer, reviewer])
    await expect(cell(page, 'Sprague', 'overtime')).toHaveText('5.5', { timeout: 15_000 });
  await cell(reviewer, 'Achterberg', 'line').click();
  for (const key of ['Enter', 'Control+a', 'Backspace', 'Enter']) await reviewer.keyboard.press(key);
  await expect(cell(preparer, 'Achterberg', 'gross')).toHaveText(before ?? '', { timeout: 15_000 });
  await expect(preparer.getByText('Saved', { exact: true })).toBeVisible();
  await preparer.getByRole('button', { name: 'Review' }).click();
  // The page of the other one follows by itself.
  for (const page of [preparer, reviewer]) await expect(statusOf(page)).toHaveText('reviewed', { timeout: 15_000 });
});

test('posting writes the ledger once, however often it is asked', async () => {
  await preparer.getByRole('button', { name: 'Post…' }).click();
  await expect(preparer.getByText('The journal balances')).toBeVisible();
  await reviewer.getByRole('button', { name: 'Post…' }).click();
  await preparer.getByRole('button', { name: 'Post the payroll' }).dblclick();
  // Whichever comes first posts it; the other one is told, or sees it posted already.
  const again = reviewer.getByRole('button', { name: 'Post the payroll' });
  if (await again.isVisible()) await again.click().catch(() => undefined);
  for (const page of [preparer, reviewer]) await expect(statusOf(page)).toHaveText('posted', { timeout: 15_000 });
  await expect(preparer.getByRole('heading', { name: 'Journal' })).toBeVisible();
});

test('a premium of a state program is owed to its carrier, and paid like a tax', async () => {
  await openClient(preparer, CLIENT, 'Deposits');
  const row = preparer.getByRole('row').filter({ hasText: 'NY carrier' }).first();
  await row.getByRole('button', { name: 'schedule' }).click();
  await preparer.getByRole('button', { name: /Schedule the payment/ }).click();
  await expect(statusOf(preparer)).toHaveText('planned');
  await reviewer.goto(preparer.url());
  await reviewer.getByRole('button', { name: 'Approve' }).click();
  await reviewer.getByRole('button', { name: 'Release…' }).click();
  await reviewer.getByRole('button', { name: 'Release the payment' }).click();
  await expect(reviewer.getByRole('status').filter({ hasText: /Sent once/ })).toBeVisible({ timeout: 40_000 });
});

test('a deposit is planned, approved by a second person, released once and settles', async () => {
  await openClient(preparer, CLIENT, 'Deposits');
  const row = preparer.getByRole('row').filter({ hasText: 'Form 941 taxes' }).filter({ hasText: 'Form 941 taxes' });
  await row.getByRole('button', { name: 'schedule' }).click();
  await preparer.getByRole('button', { name: /Schedule the payment/ }).click();
  await expect(statusOf(preparer)).toHaveText('planned');
  await preparer.getByRole('button', { name: 'Approve' }).click();
  await expect(preparer.getByRole('alert')).toHaveText(/A preparer cannot approve/);
  await preparer.getByRole('button', { name: 'Rehearse the release' }).click();
  await expect(preparer.getByText('rehearsal: nothing leaves')).toBeVisible();

  const before = (await outside('bank')).length;
  await setMood('bank', 'down');
  await reviewer.goto(preparer.url());
  await reviewer.getByRole('button', { name: 'Approve' }).click();
  await expect(statusOf(reviewer)).toHaveText('approved');
  await reviewer.getByRole('button', { name: 'Release…' }).click();
  await expect(reviewer.getByText('The file adds up')).toBeVisible();
  await reviewer.getByRole('button', { name: 'Release the payment' }).dblclick();
  await expect(statusOf(reviewer)).toHaveText('released');
  await expect(reviewer.getByRole('status').filter({ hasText: /Not sent yet/ })).toBeVisible();
  expect((await outside('bank')).length).toBe(before);
  await setMood('bank', 'normal');
  await expect(reviewer.getByRole('status').filter({ hasText: /Sent once/ })).toBeVisible({ timeout: 40_000 });
  expect((await outside('bank')).length).toBe(before + 1);

  await moveDate('2026-11-17');
  await expect(statusOf(reviewer)).toHaveText('settled');
  await openClient(reviewer, CLIENT, 'Deposits');
  await expect(reviewer.getByRole('row').filter({ hasText: 'Monthly depositor' })).toHaveCount(0);
});

test('Form 941 is checked, signed, released, and accepted', async () => {
  await openClient(preparer, CLIENT, 'Returns');
  await preparer.getByRole('button', { name: 'begin the return: Form 941, Q3 2026' }).click();
  await expect(statusOf(preparer)).toHaveText('draft');
  await preparer.getByRole('button', { name: /^Line 5a.1/ }).click();
  await expect(preparer.getByRole('link', { name: 'Open the entries that make it' })).toBeVisible();
  await preparer.getByRole('button', { name: 'Run the checks' }).click();
  await expect(statusOf(preparer)).toHaveText('checked');
  await preparer.getByLabel(/Signer’s PIN/).fill('31415');
  await preparer.getByRole('button', { name: 'Enter the signature' }).click();
  await expect(preparer.getByText(/signature entered by Tobias Renn/)).toBeVisible();

  await setMood('returns', 'refuse');
  await reviewer.goto(preparer.url());
  await reviewer.getByRole('button', { name: 'Release…' }).click();
  await reviewer.getByRole('button', { name: 'Release the return' }).dblclick();
  await expect(statusOf(reviewer)).toHaveText('rejected', { timeout: 30_000 });
  await setMood('returns', 'normal');
});

test('a rejection leads to the field, back again, and to a second attempt that is accepted', async () => {
  const filing = preparer.url();
  await preparer.reload();
  await preparer.getByRole('link', { name: 'Go to the field' }).click();
  await expect(preparer.getByLabel('Name control')).toBeFocused();
  await preparer.getByLabel('Trade name').fill('Gannet Boatyard and Chandlery');
  await preparer.getByRole('button', { name: 'Save and go back' }).click();
  await expect(preparer).toHaveURL(filing);
  await preparer.getByRole('button', { name: 'Open it for another attempt' }).click();
  await expect(statusOf(preparer)).toHaveText('draft');
  await preparer.getByRole('button', { name: 'Run the checks' }).click();
  await preparer.getByLabel(/Signer’s PIN/).fill('31415');
  await preparer.getByRole('button', { name: 'Enter the signature' }).click();
  await expect(preparer.getByText(/signature entered by/)).toBeVisible();
  await reviewer.goto(filing);
  await reviewer.getByRole('button', { name: 'Release…' }).click();
  await reviewer.getByRole('button', { name: 'Release the return' }).click();
  await expect(statusOf(reviewer)).toHaveText('accepted', { timeout: 30_000 });
  const sent = (await outside('returns')).filter((record) => record.key.includes(filing.split('/').at(-1) ?? ''));
  expect(sent.map((record) => record.state)).toEqual(['rejected', 'accepted']);
});

test('the W-2s wait for the end of the year, then go out and are accepted', async () => {
  await openClient(preparer, CLIENT, 'Returns');
  await preparer.getByRole('button', { name: 'begin the wage file: Forms W-2 and W-3, 2026' }).click();
  await expect(preparer.getByText(/The period ends on Thu, Dec 31, 2026; it is not over/)).toBeVisible();
  await expect(preparer.getByRole('link', { name: 'Achterberg, Desmond P' })).toBeVisible();
  await moveDate('2027-01-11');
  await preparer.reload();
  await preparer.getByRole('button', { name: 'Run the checks' }).click();
  await expect(statusOf(preparer)).toHaveText('checked');
  await reviewer.goto(preparer.url());
  await reviewer.getByRole('button', { name: 'Release…' }).click();
  await reviewer.getByText('The file itself').click();
  await expect(reviewer.locator('.slip pre')).toContainText('RT0000002');
  await reviewer.getByRole('button', { name: 'Release the wage file' }).dblclick();
  await expect(statusOf(reviewer)).toHaveText('accepted', { timeout: 30_000 });
  const pdf = await reviewer.request.get(
    (await reviewer.getByRole('link', { name: 'PDF' }).first().getAttribute('href')) ?? '',
  );
  expect(pdf.headers()['content-type']).toBe('application/pdf');
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
});

test('the tie-out agrees from the register to the W-2s, and each cell opens to its entries', async () => {
  await openClient(reviewer, CLIENT);
  await reviewer.getByRole('button', { name: '2026', exact: true }).click();
  await reviewer.getByRole('button', { name: 'Q3 2026' }).click();
  await expect(reviewer.getByRole('heading', { name: 'Tie-out, Q3 2026' })).toBeVisible();
  await expect(reviewer.locator('[data-cause="to-fix"]')).toHaveCount(0);
  await reviewer.getByRole('button', { name: 'all 2026' }).click();
  await expect(reviewer.getByRole('heading', { name: 'Tie-out, Year 2026' })).toBeVisible();
  const share = reviewer.getByRole('row').filter({ hasText: 'of which withheld from employees' }).first();
  const ledger = await share.getByRole('button', { name: /, Ledger/ }).textContent();
  await expect(share.getByRole('button', { name: /, W-2s/ })).toHaveText(ledger ?? '');
  await share.getByRole('button', { name: /, Ledger/ }).click();
  await reviewer.getByRole('link', { name: 'Open the entries that make it' }).click();
  await expect(reviewer.locator('tfoot .num')).toHaveText(ledger ?? '');
});
