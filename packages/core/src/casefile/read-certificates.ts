import type { StateCertificate } from '../jurisdictions/state.js';
import { findState } from '../jurisdictions/states.js';
import { ZERO } from '../money/cents.js';
import { FILING_STATUSES, type FederalCertificate, MARITAL_STATUSES } from '../computation/input.js';
import { Reader } from './reader.js';

export const NO_CERTIFICATE: FederalCertificate = {
  form: '2020',
  filingStatus: 'single',
  multipleJobs: false,
  dependentCredit: ZERO,
  otherIncome: ZERO,
  deductions: ZERO,
  extraWithholding: ZERO,
  exempt: false,
  exemptYear: null,
  nonresidentAlien: false,
  isLockedIn: false,
};

const COMMON_FEDERAL_FIELDS = ['form', 'extraWithholding', 'exempt', 'exemptYear', 'nonresidentAlien', 'lockedIn'];

const readCommon = (reader: Reader) => ({
  extraWithholding: reader.amount('extraWithholding'),
  exempt: reader.flag('exempt'),
  exemptYear: reader.has('exemptYear') ? reader.whole('exemptYear') : null,
  nonresidentAlien: reader.flag('nonresidentAlien'),
  isLockedIn: reader.flag('lockedIn'),
});

export function readFederalCertificate(reader: Reader): FederalCertificate {
  const form = reader.oneOf('form', ['2020', 'pre-2020'] as const);
  if (form === 'pre-2020') {
    reader.only([...COMMON_FEDERAL_FIELDS, 'maritalStatus', 'allowances']);
    return {
      form,
      maritalStatus: reader.oneOf('maritalStatus', MARITAL_STATUSES) ?? 'single',
      allowances: reader.whole('allowances'),
      ...readCommon(reader),
    };
  }
  reader.only([
    ...COMMON_FEDERAL_FIELDS,
    'filingStatus',
    'multipleJobs',
    'dependentCredit',
    'otherIncome',
    'deductions',
  ]);
  return {
    form: '2020',
    filingStatus: reader.oneOf('filingStatus', FILING_STATUSES) ?? 'single',
    multipleJobs: reader.flag('multipleJobs'),
    dependentCredit: reader.amount('dependentCredit'),
    otherIncome: reader.amount('otherIncome'),
    deductions: reader.amount('deductions'),
    ...readCommon(reader),
  };
}

/** Reads a state certificate by the fields that the state's rules declare. */
export function readStateCertificate(code: string, reader: Reader): StateCertificate {
  const rule = findState(code)?.incomeTax;
  if (!rule || rule.kind === 'none') {
    reader.only([]);
    return {};
  }
  const { fields } = rule.certificate;
  reader.only(fields.map((field) => field.name));
  const certificate: Record<string, string | number | boolean> = {};
  for (const field of fields) {
    const { name } = field;
    switch (field.kind) {
      case 'choice': {
        const value = reader.oneOf(name, field.choices ?? [], field.otherwise);
        if (value !== null) certificate[name] = value;
        break;
      }
      case 'percent':
        reader.decimal(name);
        if (reader.has(name)) certificate[name] = String(reader.raw(name));
        break;
      case 'whole':
        if (reader.has(name)) certificate[name] = reader.whole(name);
        break;
      case 'flag':
        certificate[name] = reader.flag(name);
        break;
      case 'amount':
        reader.amount(name);
        if (reader.has(name)) certificate[name] = String(reader.raw(name));
    }
  }
  return certificate;
}
