import type { Schemas } from '../api/client.js';

/** The start of a case of somebody single who lives and works in one state. For tests only. */
export const startOf = (state: string, more: object = {}, employee: object = {}): Record<string, unknown> => ({
  id: '101',
  checkDate: '2026-10-30',
  payFrequency: 'weekly',
  employee: {
    federal: { form: '2020', filingStatus: 'single' },
    residence: { state },
    work: [{ state }],
    ...employee,
  },
  employer: { unemploymentRates: { [state]: '2.7' } },
  ...more,
});

const NO_CHECK: Schemas['PaycheckView'] = {
  id: null,
  gross: 0,
  net: 0,
  earnings: [],
  deductions: [],
  employerPaid: [],
  garnishments: [],
  taxes: [],
  problems: [],
};

/** A person of a payroll as the server tells of it. */
export const payrollPerson = (
  more: Partial<Schemas['PayrollPerson']> = {},
  paycheck: Partial<Schemas['PaycheckView']> = {},
): Schemas['PayrollPerson'] => ({
  employeeId: 'e',
  isPaid: true,
  earnings: [],
  deductions: [],
  number: '101',
  name: 'Wil Sprague',
  workState: 'NY',
  department: '',
  location: '',
  costCentre: '',
  base: {},
  previousGross: null,
  note: '',
  ...more,
  paycheck: { ...NO_CHECK, ...paycheck },
});
