import { expect, test, type Page } from '@playwright/test';
import { cell, closePages, pageOf } from '../pages/firm.js';

/** A payroll of eleven people with hours pasted and three exceptions, from the ladder to posted, without a mouse and in few keys. */
const MOST_KEYS = 80;
let page: Page;
let keys = 0;

test.afterAll(closePages);
const press = async (key: string, times = 1): Promise<void> => {
  for (let time = 0; time < times; time += 1) await page.keyboard.press(key);
  keys += times;
};
const type = async (text: string): Promise<void> => {
  await page.keyboard.type(text);
  keys += text.length;
};
const hours = (person: string) => cell(page, person, 'regular');

test('a payroll is typed, reviewed and posted by keyboard', async ({ browser }) => {
  page = await pageOf(browser, 'preparer');
  const complaints: string[] = [];
  page.on('console', (message) => {
    if (message.type() === 'error') complaints.push(message.text());
  });
  await page.context().grantPermissions(['clipboard-read', 'clipboard-write']);
  await press('Control+k');
  await type('estuary payr');
  await expect(page.getByRole('dialog').getByText('Little Estuary Daycare LLC').first()).toBeVisible();
  await press('Enter');
  // The page begins with what is done there most.
  await expect(page.getByRole('button', { name: 'Start the payroll' })).toBeFocused();
  await press('Enter');
  await expect(page.getByRole('heading', { name: /^Payroll, checks of/ })).toBeVisible();
  const first = page.locator('[role="row"][row-index="0"] [col-id="line"]');
  await expect(first).toBeFocused();
  // Tab goes from entry to entry of a person.
  await press('Tab');
  await expect(page.locator('[role="row"][row-index="0"] [col-id="regular"]')).toBeFocused();

  const people = await page.locator('[role="gridcell"][col-id="name"]').allTextContents();
  expect(people).toHaveLength(11);
  const hourly = people.filter((name) => !name.includes('Reed'));
  const typed = new Map(hourly.map((name, index) => [name, String(60 + index)]));
  await page.evaluate(
    (text) => navigator.clipboard.writeText(text),
    // With the names in front, in another order than the sheet has.
    [...typed]
      .reverse()
      .map(([name, value]) => `${name.replace(/^\d+ /, '')}\t${value}`)
      .join('\n'),
  );
  await press('Control+v');
  for (const [name, value] of typed) await expect(hours(name)).toHaveText(value);

  // Enter takes what was typed and goes down.
  await press('ArrowLeft');
  await press('ArrowDown', 2);
  await type('4 ot');
  await press('Enter');
  await type('bonus 250');
  await press('Enter');
  await type('62 reg 8 vac');
  await press('Enter');
  const [, , one = '', two = '', three = ''] = people;
  await expect(cell(page, one, 'overtime')).toHaveText('4');
  // 62 hours at 17.50 and the bonus; 62 and 8 hours at 18.50.
  await expect(cell(page, two, 'gross')).toHaveText('1,335.00');
  await expect(cell(page, three, 'gross')).toHaveText('1,295.00');
  await press('Control+Enter');
  await expect(page.getByText('reviewed', { exact: true })).toBeVisible();
  await press('Control+Enter');
  const slip = page.getByRole('region', { name: 'Release slip' });
  await expect(slip).toBeInViewport({ ratio: 1 });
  await press('Tab');
  await expect(slip.getByRole('button', { name: 'Post the payroll' })).toBeFocused();
  await press('Enter');
  await expect(page.getByText('posted', { exact: true }).first()).toBeVisible();
  expect(keys).toBeLessThanOrEqual(MOST_KEYS);
  // The grid says on the console what a part of it that is missing cannot do.
  expect(complaints).toEqual([]);
});
