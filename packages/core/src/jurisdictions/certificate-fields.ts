import type { CertificateField, CertificateForm, StateCertificate } from './state.js';

/** Fields that many states' certificates share, each worded for the form at hand. */
export const statusField = (choices: readonly string[], help: string, otherwise = 'single'): CertificateField => ({
  name: 'filingStatus',
  label: 'Filing status',
  kind: 'choice',
  choices,
  otherwise,
  help,
});
export const wholeField = (name: string, label: string, help: string): CertificateField => ({
  name,
  label,
  kind: 'whole',
  help,
});
export const amountField = (name: string, label: string, help: string): CertificateField => ({
  name,
  label,
  kind: 'amount',
  help,
});
export const flagField = (name: string, label: string, help: string): CertificateField => ({
  name,
  label,
  kind: 'flag',
  help,
});
export const percentField = (name: string, label: string, help: string): CertificateField => ({
  name,
  label,
  kind: 'percent',
  help,
});
export const choiceField = (
  name: string,
  label: string,
  choices: readonly string[],
  otherwise: string,
  help: string,
): CertificateField => ({
  name,
  label,
  kind: 'choice',
  choices,
  otherwise,
  help,
});
export const ALLOWANCES = wholeField(
  'allowances',
  'Allowances',
  'The total number of allowances or exemptions claimed.',
);
export const DEPENDENTS = wholeField('dependents', 'Dependents', 'The number of dependents claimed.');
const EXTRA = amountField('extraWithholding', 'Additional amount', 'Withheld on top from each payment of wages.');
const EXEMPT = flagField('exempt', 'Exempt', 'The person claims exemption for the year.');

/** A certificate with the fields given and the two that every state has: an additional amount, and exemption. */
export const certificate = (
  form: string,
  fields: readonly CertificateField[],
  without: StateCertificate,
  says: string,
): CertificateForm => ({ form, fields: [...fields, EXTRA, EXEMPT], without: { certificate: without, says } });
/** As `certificate`, where the law takes the filing status from the federal certificate when there is no other. */
export const certificateAsFederal = (form: string, fields: readonly CertificateField[]): CertificateForm => ({
  ...certificate(form, fields, { filingStatus: 'single' }, ''),
  without: {
    certificate: { filingStatus: 'single' },
    says: 'The filing status of the federal Form W-4 is used.',
    isFederal: true,
  },
});
export const SINGLE_ZERO: StateCertificate = { filingStatus: 'single', allowances: 0 };
export const SINGLE_ZERO_SAYS = 'Withhold as single with no allowances.';
