import { expect, type Browser, type Locator, type Page } from '@playwright/test';
import { readFileSync } from 'node:fs';

interface User {
  readonly email: string;
  readonly password: string;
  readonly role: string;
}
const { users } = JSON.parse(readFileSync(new URL('../../demo/firm.json', import.meta.url), 'utf8')) as {
  users: User[];
};
const contacts = JSON.parse(readFileSync(new URL('../../demo/contacts.json', import.meta.url), 'utf8')) as {
  email: string;
  password: string;
}[];
/** Somebody of the animal clinic. */
export const CONTACT = contacts[0] ?? { email: '', password: '' };
export const CONSOLE = process.env['ZAKAT_E2E_CONSOLE'] ?? 'http://127.0.0.1:4400/console';

export async function signIn(page: Page, role: 'preparer' | 'reviewer' | 'administrator'): Promise<void> {
  const user = users.find((candidate) => candidate.role === role);
  if (!user) throw new Error(`the demo has no ${role}`);
  await page.goto('/sign-in');
  await page.getByLabel('E-mail').fill(user.email);
  await page.getByLabel('Password', { exact: true }).fill(user.password);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'The ladder' })).toBeVisible();
}

const opened: Page[] = [];
/** Closes the screens of a file after its tests: an open one would go on looking for news beside the tests of the next. */
export async function closePages(): Promise<void> {
  await Promise.all(opened.splice(0).map((page) => page.context().close()));
}

/** Somebody at a screen of their own, until `closePages`. */
export async function pageOf(browser: Browser, role: 'preparer' | 'reviewer'): Promise<Page> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, reducedMotion: 'reduce' });
  const page = await context.newPage();
  opened.push(page);
  await signIn(page, role);
  return page;
}

export async function openClient(page: Page, name: string, place?: string): Promise<void> {
  await page.getByRole('link', { name: 'Clients', exact: true }).click();
  await page.getByRole('link', { name }).click();
  await expect(page.getByRole('heading', { name })).toBeVisible();
  if (place) await page.getByRole('navigation', { name: 'Client' }).getByRole('link', { name: place }).click();
}

/** A cell of the payroll sheet: the line of a person, a column by its id. */
export const cell = (page: Page, person: string, column: string): Locator =>
  page
    .locator('[role="row"]')
    .filter({ has: page.locator('[col-id="name"]', { hasText: person }) })
    .locator(`[col-id="${column}"]`)
    .or(page.locator(`[data-cell="${person} ${column}"]`));

async function post(path: string, form: Record<string, string>): Promise<void> {
  const answer = await fetch(`${CONSOLE}/${path}`, {
    method: 'POST',
    redirect: 'manual',
    body: new URLSearchParams(form),
  });
  if (answer.status !== 303) throw new Error(`the console refused: ${await answer.text()}`);
}
export const setMood = (party: 'bank' | 'returns' | 'wages', mood: string): Promise<void> =>
  post('mood', { party, mood });
export const moveDate = (today: string): Promise<void> => post('date', { today });
export interface OutsideRecord {
  readonly reference: string;
  readonly key: string;
  readonly state: string;
  readonly notes: Record<string, string>;
}
export async function outside(party: 'bank' | 'returns' | 'wages'): Promise<OutsideRecord[]> {
  const answer = await fetch(`${CONSOLE}/records`);
  return ((await answer.json()) as Record<string, OutsideRecord[]>)[party] ?? [];
}
export const statusOf = (page: Page): Locator => page.locator('.lead .status');
