import { expect, test, type Page } from '@playwright/test';
import { openClient, signIn } from '../pages/firm.js';

const CLIENT = 'Drift Museum Shop Inc';
/** A quarter of two people, as a former provider's report has it; the net pay of each row by hand. */
const BALANCES = [
  'Emp No,Employee,Qtr,Gross Pay,Net Pay,Fed Wages,Fed WH,SS Wages,SS,Medicare Wages,Medicare,CO SIT wages,CO SIT,Shop',
  '11,Linus Agate,Q1,18600,15276.10,18600,1100,18600,1153.20,18600,269.70,18600,801,main',
  '12,Tamsin Flint,Q1,7257.60,6218.90,7257.60,410,7257.60,449.97,7257.60,105.24,7257.60,73.49,main',
].join('\n');
/** 1,510.00 + 2 × 1,603.17 + 2 × 374.94 on the return. */
const FILED = [
  ['Form 941 line 2, wages', '25857.60'],
  ['Form 941 line 3, income tax withheld', '1510.00'],
  ['Form 941 line 5a, social security wages', '25857.60'],
  ['Form 941 line 5c, Medicare wages', '25857.60'],
  ['Form 941 taxes, on the return', '5466.22'],
  ['Form 941 taxes, deposited', '5466.22'],
  ['Colorado withholding, on the return', '874.49'],
] as const;

const read = (page: Page, text: string): Promise<void> =>
  page
    .locator('input[type=file]')
    .setInputFiles({ name: 'year-to-date.csv', mimeType: 'text/csv', buffer: Buffer.from(text, 'utf8') });

test.describe.serial('a client comes in the middle of a year', () => {
  test('its balances are read and compared with what was filed, and a reload loses nothing', async ({ page }) => {
    await signIn(page, 'preparer');
    await openClient(page, CLIENT, 'Prior payroll');
    await page.getByRole('button', { name: 'Prior payroll of 2026' }).click();
    await expect(page.getByText('Nothing is read yet.')).toBeVisible();
    await read(page, BALANCES.replace('6218.90', '6218.91'));
    await expect(page.getByText('1 of 2 rows cannot be read yet.')).toBeVisible();
    await expect(
      page.getByText(/Gross pay less taxes and deductions is 6,218.90; net pay says 6,218.91/),
    ).toBeVisible();
    await read(page, BALANCES);
    await expect(page.getByText('2 rows are read; a difference holds them.')).toBeVisible();
    await expect(page.getByText('Columns: 13 of 14 headings taken')).toBeVisible();
    for (const [label, amount] of FILED) await page.getByLabel(`${label}, quarter 1`, { exact: true }).fill(amount);
    await page.reload();
    await expect(page.getByText('typed and not kept yet')).toBeVisible();
    await page.getByLabel('Form 941 line 2, wages, quarter 1').press('Enter');
    await expect(page.getByText('2 rows tie out.')).toBeVisible();
    await expect(page.getByText(/Colorado withholding, deposited: nothing is entered/)).toBeVisible();
    await page.getByRole('button', { name: 'Accept…' }).click();
    await expect(page.getByRole('button', { name: 'Accept these balances' })).toBeDisabled();
  });

  test('a second person accepts them, once; what was not deposited is owed', async ({ page }) => {
    await signIn(page, 'reviewer');
    await openClient(page, CLIENT, 'Prior payroll');
    await page.getByRole('button', { name: 'Accept…' }).click();
    await page.getByRole('button', { name: 'Accept these balances' }).dblclick();
    await expect(page.getByText('2 rows count.')).toBeVisible();
    const places = page.getByRole('navigation', { name: 'Client' });
    await places.getByRole('link', { name: 'Payrolls' }).click();
    await expect(page.getByRole('row', { name: /prior payroll/ })).toHaveCount(1);
    await expect(page.getByRole('row', { name: /prior payroll/ })).toContainText('25,857.60');
    await places.getByRole('link', { name: 'Deposits' }).click();
    await expect(page.getByRole('row', { name: /Colorado withholding/ })).toContainText('874.49');
    await places.getByRole('link', { name: 'Tie-out' }).click();
    await page.getByRole('button', { name: 'Q1 2026' }).click();
    await expect(page.getByText('5,466.22').or(page.getByText('1,510.00')).first()).toBeVisible();
  });
});
