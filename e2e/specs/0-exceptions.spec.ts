import { expect, test, type Page } from '@playwright/test';
import { expectAccessible } from '../pages/accessible.js';
import { cell, closePages, openClient, pageOf } from '../pages/firm.js';

/** What is out of the ordinary in one payroll: hours by the day, an amount to be left in the hand, an order left out. */
test.describe.configure({ mode: 'serial' });

const CLIENT = 'Rising Tide Bakery LLC';
const ORDER = 'Case D-4471 in this check';
let preparer: Page;

test.afterAll(closePages);
test.beforeAll(async ({ browser }) => {
  preparer = await pageOf(browser, 'preparer');
  await openClient(preparer, CLIENT, 'Payrolls');
  await preparer.getByRole('button', { name: 'Start the payroll' }).click();
  await expect(preparer.getByRole('heading', { name: /^Payroll, checks of/ })).toBeVisible();
});

async function typeLine(person: string, text: string): Promise<void> {
  await cell(preparer, person, 'line').click();
  await preparer.keyboard.type(text);
  await preparer.keyboard.press('Enter');
}
/** Net pay of a person in cents, as the sheet shows it. */
const netOf = async (person: string): Promise<number> =>
  Number((await cell(preparer, person, 'net').textContent())?.replace(/[,.]/g, ''));

test('hours of each day become overtime by the law of the state', async () => {
  await typeLine('Pike', '8/10/8/8/9');
  await expect(cell(preparer, 'Pike', 'regular')).toHaveText('40');
  await expect(cell(preparer, 'Pike', 'overtime')).toHaveText('3');
  // 40 hours at 19.80 and 3 at one and a half.
  await expect(cell(preparer, 'Pike', 'gross')).toHaveText('881.10');
});

test('a bonus is found that leaves exactly so much more in the hand', async () => {
  const before = await netOf('Quill');
  await typeLine('Quill', 'bonus net 500');
  await expect.poll(() => netOf('Quill')).toBe(before + 50_000);
  await expect(preparer.getByText('Saved', { exact: true })).toBeVisible();
});

test('an order is left out only for a reason, which stands with the payroll', async () => {
  await cell(preparer, 'Quill', 'line').click();
  const before = await netOf('Quill');
  await preparer.getByLabel(ORDER).click();
  await expect(preparer.getByRole('button', { name: 'leave it out' })).toBeDisabled();
  await preparer.getByLabel('Reason').fill('lifted by the agency on 19 October');
  await preparer.getByRole('button', { name: 'leave it out' }).click();
  await expect.poll(() => netOf('Quill')).toBe(before + 11_500);
  await expect(preparer.getByText(/An order asks for it from every check/)).toBeVisible();
  await expect(preparer.getByText('Saved', { exact: true })).toBeVisible();
  await expectAccessible(preparer);
  // The server has it: it is still so after the page is read anew.
  await preparer.reload();
  await cell(preparer, 'Quill', 'line').click();
  await expect(preparer.getByText('left out: lifted by the agency on 19 October')).toBeVisible();
  await preparer.getByLabel(ORDER).click();
  await expect.poll(() => netOf('Quill')).toBe(before);
  await expect(preparer.getByText('Saved', { exact: true })).toBeVisible();
});

test('the payroll goes away again with what was typed', async () => {
  await preparer.getByRole('button', { name: 'discard it' }).click();
  await preparer.getByRole('button', { name: 'yes, discard' }).click();
  await expect(preparer).toHaveURL(/\/payrolls$/);
});
