import type { W2Person } from '../filings/us-w2/form.js';

/** A person as a wage statement carries one, for tests; all of it invented. */
export const w2Person = (employeeId: string, ssn = '899123401'): W2Person => ({
  employeeId,
  ssn,
  firstName: 'Wil',
  middleName: '',
  lastName: 'Sprague',
  suffix: '',
  street: '1 Row',
  city: 'Saltmarsh',
  state: 'NY',
  zip: '13999',
  country: '',
  province: '',
  isRetirementPlan: false,
  isStatutory: false,
});
