import { expect, test, type Page } from '@playwright/test';
import { signIn } from '../pages/firm.js';

/** Eight people in two states, as a client sends them. */
const PEOPLE = [
  [
    'Last name',
    'First name',
    'SSN',
    'Hired',
    'Born',
    'Hourly rate',
    'Usual hours a period',
    'Filing status',
    'Work state',
    'Lives in',
    'Street',
    'City',
    'State',
    'ZIP',
  ],
  ...['Ashdown', 'Brine', 'Cutter', 'Eddy', 'Fathom', 'Galley', 'Hawser', 'Inlet'].map((last, index) => [
    last,
    ['Ada', 'Bram', 'Clio', 'Dov', 'Esme', 'Finn', 'Greta', 'Hugo'][index] ?? '',
    `899-45-70${10 + index}`,
    '2025-03-03',
    '1990-05-04',
    `${20 + index}.00`,
    '80',
    'Single',
    index < 5 ? 'TX' : 'FL',
    index < 5 ? 'TX' : 'FL',
    `${index + 1} Quay Street`,
    index < 5 ? 'Port Verity' : 'Coral Reach',
    index < 5 ? 'TX' : 'FL',
    index < 5 ? '77999' : '33999',
  ]),
]
  .map((cells) => cells.join(','))
  .join('\n');

/** Types into the focused field and moves on. */
async function type(page: Page, text: string): Promise<void> {
  if (text !== '') await page.keyboard.type(text);
  await page.keyboard.press('Tab');
}

test.describe.serial('a client is taken on', () => {
  test('by keys alone, and a reload loses nothing', async ({ page }) => {
    await signIn(page, 'preparer');
    await page.keyboard.press('Shift+N');
    await expect(page.getByLabel('Legal name')).toBeFocused();
    await type(page, 'Ferryman Supply Inc');
    await type(page, '');
    await type(page, '94-1234563');
    await page.reload();
    await expect(page.getByLabel('Legal name')).toHaveValue('Ferryman Supply Inc');
    await page.getByLabel('Confirm EIN').focus();
    await type(page, '94-1234564');
    await type(page, '');
    for (const text of [
      '8 Ferry Road',
      '',
      'Port Verity',
      'tx',
      '77999',
      '4095550190',
      'desk@ferryman.example',
      'Noor Sallow',
      'Noor Sallow',
      'President',
    ])
      await type(page, text);
    await expect(page.getByLabel('Street')).toHaveValue('8 Ferry Road');
    await page.getByLabel('Entity').selectOption('corporation');
    await page.getByLabel('Federal form').selectOption('941');
    await page.getByLabel('Pay frequency').selectOption('biweekly');
    await page.getByLabel('Period end date').fill('2026-10-24');
    await page.getByLabel('Pay lag, days').fill('6');
    await page.keyboard.press('Enter');
    await expect(page.getByText('The two EINs are not the same.').first()).toBeVisible();
    await page.getByLabel('Confirm EIN').fill('94-1234563');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: 'Ferryman Supply Inc' })).toBeVisible();
    await expect(page.getByText('No employees yet. Add one above, or import a file.')).toBeVisible();
  });

  test('its eight people come from a file, all or nobody, and the first trial paychecks are right', async ({
    page,
  }) => {
    await signIn(page, 'preparer');
    await page.goto('/clients?find=ferryman');
    await page.getByRole('link', { name: 'Ferryman Supply Inc' }).click();
    const places = page.getByRole('navigation', { name: 'Client' });
    await places.getByRole('link', { name: 'Employees' }).click();
    const choose = async (name: string, text: string): Promise<void> => {
      await page.locator('input[type=file]').setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
      await expect(page.getByRole('heading', { name })).toBeVisible();
    };
    await choose('wrong.csv', PEOPLE.replace('899-45-7012', '666-45-7012').replace('25.00', 'twenty'));
    await expect(page.getByText('2 of them cannot be imported yet')).toBeVisible();
    await expect(page.getByText(/No social security number begins with 666/)).toBeVisible();
    await expect(page.getByRole('button', { name: /Import all/ })).toBeDisabled();
    await page.getByRole('link', { name: 'The employees of this client' }).click();
    await choose('people.csv', PEOPLE);
    await expect(page.getByText('every row can be imported')).toBeVisible();
    await page.getByRole('button', { name: 'Import all 8' }).dblclick();
    await expect(page.locator('.lead .status')).toHaveText('accepted');
    await page.getByRole('link', { name: 'The employees of this client' }).click();
    await expect(page.getByText('8 employees').first()).toBeVisible();
    await places.getByRole('link', { name: 'Setup' }).click();
    for (const [agency, number, rate] of [
      ['TX-TWC', '99-001239-5', '2.7'],
      ['FL-DOR', '0123459', '2.7'],
    ] as const) {
      await page.getByRole('button', { name: 'add an account, a new rate or a deposit frequency' }).click();
      await page.getByLabel('Agency').selectOption(agency);
      await page.getByLabel('Account number').fill(number);
      await page.getByLabel('Unemployment rate, percent').fill(rate);
      await expect(page.getByText('27.00 per 1,000').first()).toBeVisible();
      await page.keyboard.press('Enter');
      await expect(page.getByRole('cell', { name: number })).toBeVisible();
    }
    await places.getByRole('link', { name: 'Employees' }).click();
    await page.getByRole('link', { name: 'Ada Ashdown' }).click();
    const trial = page.getByRole('complementary', { name: 'Trial paycheck' });
    // 80 hours at 20.00; OASDI 6.2%, HI 1.45% (IRC § 3101): 1,600.00, 99.20, 23.20.
    await expect(trial.getByText('1,600.00').first()).toBeVisible();
    await expect(trial.getByRole('listitem').filter({ hasText: 'Social security (OASDI), employee' })).toContainText(
      '99.20',
    );
    await expect(trial.getByRole('listitem').filter({ hasText: 'Medicare (HI), employee' })).toContainText('23.20');
  });

  test('a raise is considered in the trial before it is recorded; what is missing is said', async ({ page }) => {
    await signIn(page, 'preparer');
    await page.goto('/clients?find=ferryman');
    await page.getByRole('link', { name: 'Ferryman Supply Inc' }).click();
    await page.getByRole('navigation', { name: 'Client' }).getByRole('link', { name: 'Employees' }).click();
    await page.getByRole('link', { name: 'Bram Brine' }).click();
    const trial = page.getByRole('complementary', { name: 'Trial paycheck' });
    await expect(trial.getByText('1,680.00').first()).toBeVisible();
    await page.getByRole('button', { name: /^change Pay/ }).focus();
    await page.keyboard.press('Enter');
    await page.getByLabel('Hourly rate', { exact: true }).fill('30');
    await expect(trial.getByText('2,400.00').first()).toBeVisible();
    await expect(trial.getByText('with what is being typed')).toBeVisible();
    await page.keyboard.press('Enter');
    await expect(page.getByText('30.00 an hour, usually 80 hours').first()).toBeVisible();
    await page.getByRole('button', { name: 'agreed by hand: keep it in the proof set' }).click();
    await page.getByRole('button', { name: 'Keep' }).click();
    await expect(trial.getByText('Kept in the proof set.')).toBeVisible();
    await page.getByRole('link', { name: 'Ferryman Supply Inc' }).click();
    const places = page.getByRole('navigation', { name: 'Client' });
    // The page of a person has fields of these names as well.
    const quick = page.getByRole('form', { name: 'Add employee' });
    await quick.getByLabel('Last name').fill('Jetty');
    await quick.getByLabel('First name').fill('Iris');
    await quick.getByLabel('SSN', { exact: true }).fill('900-45-7099');
    await expect(page.getByText(/No social security number begins with 900/)).toBeVisible();
    await quick.getByLabel('SSN', { exact: true }).fill('899-45-7099');
    await page.keyboard.press('Enter');
    await expect(page.getByText('Iris Jetty is added.')).toBeVisible();
    await places.getByRole('link', { name: 'Readiness' }).click();
    await expect(page.getByRole('row', { name: /Iris Jetty.*hire date/ })).toContainText('waits for it');
    await places.getByRole('link', { name: 'Proof set' }).click();
    await expect(page.getByText('The agreed check still comes out to the cent.')).toBeVisible();
  });
});
