import { expect, test } from '@playwright/test';
import { expectAccessible } from '../pages/accessible.js';
import { CONTACT, openClient, signIn } from '../pages/firm.js';

const CLIENT = 'Low Tide Animal Clinic PLLC';

test.beforeEach(({ page }) => signIn(page, 'reviewer'));

test('places are reached by keys alone', async ({ page }) => {
  await page.keyboard.press('c');
  await expect(page.getByRole('heading', { name: 'Clients' })).toBeVisible();
  await page.keyboard.press('Control+k');
  await page.keyboard.type('low tide dep');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Owed', exact: true })).toBeVisible();
  await page.keyboard.press('?');
  await expect(page.getByText('open or close the tape')).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('l');
  await expect(page.getByRole('heading', { name: 'The ladder' })).toBeVisible();
});

test('the address is the state: a link leads to the same page after sign-in', async ({ page, browser }) => {
  await openClient(page, CLIENT);
  await page.goto(`${page.url()}?year=2026&quarter=1`);
  await page.getByRole('button', { name: 'Q2 2026' }).click();
  await expect(page.getByRole('heading', { name: 'Tie-out, Q2 2026' })).toBeVisible();
  const address = page.url();
  const fresh = await (await browser.newContext()).newPage();
  await fresh.goto(address);
  await fresh.getByLabel('E-mail').fill('ines@breakwater.example');
  await fresh.getByLabel('Password', { exact: true }).fill('tide-table-by-the-door');
  await fresh.keyboard.press('Enter');
  await expect(fresh.getByRole('heading', { name: 'Tie-out, Q2 2026' })).toBeVisible();
  expect(fresh.url()).toBe(address);
});

test('signing out closes the door behind', async ({ page }) => {
  await page.getByRole('button', { name: 'sign out' }).click();
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
  await page.goto('/clients');
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
});

test('a mistyped address and a foreign record are said plainly', async ({ page }) => {
  await page.goto('/nowhere/at/all');
  await expect(page.getByRole('heading', { name: 'There is no such page' })).toBeVisible();
  await page.goto('/clients/00000000-0000-4000-8000-000000000000');
  await expect(page.getByRole('alert')).toHaveText(/does not exist, or belongs to another firm/);
});

test('somebody of a client sees what is asked of them and done for them, and nothing of the firm', async ({
  browser,
}) => {
  const page = await (await browser.newContext()).newPage();
  await page.goto('/sign-in');
  await page.getByLabel('E-mail').fill(CONTACT.email);
  await page.getByLabel('Password', { exact: true }).fill(CONTACT.password);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: CLIENT })).toBeVisible();
  await expect(page.getByRole('row').filter({ hasText: 'Form 941 taxes' }).first()).toBeVisible();
  await expect(page.getByRole('link', { name: 'Clients' })).toHaveCount(0);
  await expectAccessible(page);
  await page.goto('/firm');
  await expect(page.getByRole('heading', { name: CLIENT })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Users' })).toHaveCount(0);
});
