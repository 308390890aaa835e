import { US_941 } from '../us-941/kind.js';
import { US_943 } from '../us-943/kind.js';
import { US_944 } from '../us-944/kind.js';
import { US_945 } from '../us-945/kind.js';
import { FORM_941_X, FORM_943_X, FORM_944_X, FORM_945_X } from './columns.js';
import { xKind } from './x-kind.js';

/** Form 941-X, Adjusted Employer's QUARTERLY Federal Tax Return or Claim for Refund. */
export const US_941_X = xKind({
  form: '941-X',
  code: 'us-941-x',
  title: 'Adjusted Employer’s QUARTERLY Federal Tax Return or Claim for Refund',
  base: US_941,
  part3: FORM_941_X,
});
export const US_943_X = xKind({
  form: '943-X',
  code: 'us-943-x',
  title: 'Adjusted Employer’s Annual Federal Tax Return for Agricultural Employees or Claim for Refund',
  base: US_943,
  part3: FORM_943_X,
});
export const US_944_X = xKind({
  form: '944-X',
  code: 'us-944-x',
  title: 'Adjusted Employer’s ANNUAL Federal Tax Return or Claim for Refund',
  base: US_944,
  part3: FORM_944_X,
});
export const US_945_X = xKind({
  form: '945-X',
  code: 'us-945-x',
  title: 'Adjusted Annual Return of Withheld Federal Income Tax or Claim for Refund',
  base: US_945,
  part3: FORM_945_X,
});
