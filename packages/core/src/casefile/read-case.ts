import { PAY_FREQUENCIES } from '../calendar/pay-frequency.js';
import { problem, type Issue } from '../issues/issue.js';
import { DEDUCTION_ITEMS, EARNING_ITEMS, findItem, type DeductionItem, type EarningItem } from '../items/registry.js';
import { findState } from '../jurisdictions/states.js';
import { ZERO, type Cents } from '../money/cents.js';
import { showPercent, type Rate } from '../money/rate.js';
import {
  FILING_STATUSES,
  MARITAL_STATUSES,
  type Deduction,
  type Earning,
  type FederalCertificate,
  type PaycheckInput,
  type StateCertificate,
} from '../paycheck/input.js';
import { WAGE_BASES, isTaxCode, type TaxCode, type WageBase } from '../taxes/registry.js';
import { Reader, isObject } from './reader.js';

/** A case of the case file, read and checked. `input` is null when there are issues. */
export interface ReadCase {
  readonly id: string;
  readonly input: PaycheckInput | null;
  readonly grossUp: { readonly item: EarningItem; readonly net: Cents } | null;
  readonly expect: Readonly<Record<string, string>>;
  readonly issues: readonly Issue[];
}

const CASE_FIELDS = [
  'id',
  'checkDate',
  'payFrequency',
  'employee',
  'employer',
  'earnings',
  'deductions',
  'settings',
  'grossUp',
  'yearToDate',
  'expect',
  'source',
];
const NO_CERTIFICATE: FederalCertificate = {
  form: '2020',
  filingStatus: 'single',
  multipleJobs: false,
  dependentCredit: ZERO,
  otherIncome: ZERO,
  deductions: ZERO,
  extraWithholding: ZERO,
  exempt: false,
  nonresidentAlien: false,
};

export function readFederalCertificate(reader: Reader): FederalCertificate {
  const form = reader.oneOf('form', ['2020', 'pre-2020'] as const);
  if (form === 'pre-2020') {
    reader.only(['form', 'maritalStatus', 'allowances', 'extraWithholding', 'exempt', 'nonresidentAlien']);
    return {
      form,
      maritalStatus: reader.oneOf('maritalStatus', MARITAL_STATUSES) ?? 'single',
      allowances: reader.whole('allowances'),
      extraWithholding: reader.amount('extraWithholding'),
      exempt: reader.flag('exempt'),
      nonresidentAlien: reader.flag('nonresidentAlien'),
    };
  }
  reader.only([
    'form',
    'filingStatus',
    'multipleJobs',
    'dependentCredit',
    'otherIncome',
    'deductions',
    'extraWithholding',
    'exempt',
    'nonresidentAlien',
  ]);
  return {
    form: '2020',
    filingStatus: reader.oneOf('filingStatus', FILING_STATUSES) ?? 'single',
    multipleJobs: reader.flag('multipleJobs'),
    dependentCredit: reader.amount('dependentCredit'),
    otherIncome: reader.amount('otherIncome'),
    deductions: reader.amount('deductions'),
    extraWithholding: reader.amount('extraWithholding'),
    exempt: reader.flag('exempt'),
    nonresidentAlien: reader.flag('nonresidentAlien'),
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
  const entries = fields.flatMap((field): [string, string | number | boolean][] => {
    switch (field.kind) {
      case 'choice': {
        const value = reader.oneOf(field.name, field.choices ?? []);
        return value === null ? [] : [[field.name, value]];
      }
      case 'whole':
        return [[field.name, reader.whole(field.name)]];
      case 'flag':
        return [[field.name, reader.flag(field.name)]];
      case 'amount':
        reader.amount(field.name);
        return reader.has(field.name) ? [[field.name, String(reader.raw(field.name))]] : [];
    }
  });
  return Object.fromEntries(entries);
}

function readEarning(reader: Reader, issues: Issue[]): Earning[] {
  reader.only(['item', 'hours', 'rate', 'amount']);
  const item = readItem(reader, 'earning', issues);
  const hours = reader.decimal('hours');
  const rate = reader.decimal('rate');
  const amount = reader.has('amount') ? reader.amount('amount') : null;
  if (!item || item.list !== 'earning') return [];
  const path = reader.path;
  if (amount !== null && hours !== null) issues.push(problem('earning.both', path, { item: item.label }));
  else if (amount === null && hours === null) issues.push(problem('earning.no-amount', path, { item: item.label }));
  else if (hours !== null && rate === null)
    issues.push(problem('earning.hours-without-rate', `${path}.rate`, { item: item.label }));
  return [{ item, hours, rate, amount }];
}

function readItem(
  reader: Reader,
  wanted: 'earning' | 'deduction',
  issues: Issue[],
): EarningItem | DeductionItem | null {
  const code = reader.text('item');
  if (code === null) return null;
  const item = findItem(code);
  const path = `${reader.path}.item`;
  if (!item) {
    const choices = (wanted === 'earning' ? EARNING_ITEMS : DEDUCTION_ITEMS).map((known) => known.code).join(', ');
    issues.push(problem('item.unknown', path, { item: code, choices }));
    return null;
  }
  if (item.list !== wanted) {
    issues.push(problem('item.wrong-list', path, { item: item.label, kind: item.list, wanted }));
    return null;
  }
  return item;
}

function readDeductions(readers: readonly Reader[], issues: Issue[]): Deduction[] {
  return readers.flatMap((reader) => {
    reader.only(['item', 'amount']);
    const item = readItem(reader, 'deduction', issues);
    if (!reader.has('amount')) issues.push(problem('input.missing', `${reader.path}.amount`, { what: 'the amount' }));
    const amount = reader.amount('amount');
    return item?.list === 'deduction' ? [{ item, amount }] : [];
  });
}

const PLAUSIBLE_ABOVE = 25;

function readRates(reader: Reader | null, issues: Issue[]): Record<string, Rate> {
  const rates: Record<string, Rate> = {};
  if (!reader) return rates;
  for (const state of reader.names()) {
    const value = reader.percent(state);
    if (value === null) continue;
    const highest = findState(state)?.unemployment.highestPlausibleRate;
    const isImplausible = highest
      ? value.n * highest.d > highest.n * value.d
      : value.n * 100 > PLAUSIBLE_ABOVE * value.d;
    if (isImplausible)
      issues.push(
        problem('employer.rate-implausible', `employer.unemploymentRates.${state}`, { rate: showPercent(value) }),
      );
    rates[state] = value;
  }
  return rates;
}

interface Places {
  readonly workState: string;
  readonly residenceState: string;
}

function readPlaces(employee: Reader, issues: Issue[]): Places {
  const residence = employee.object('residence');
  const residenceState = residence?.text('state') ?? '';
  residence?.only(['state', 'locality']);
  const work = employee.list('work', true);
  for (const place of work) place.only(['state', 'locality', 'share']);
  const localities = [residence, ...work].flatMap((place) =>
    place?.has('locality') ? [String(place.raw('locality'))] : [],
  );
  for (const locality of localities) issues.push(problem('rule.locality-unknown', 'employee', { locality }));
  if (work.length > 1) issues.push(problem('rule.several-work-states', 'employee.work'));
  const share = work[0]?.has('share') ? work[0].decimal('share') : null;
  if (share && share.n !== share.d) issues.push(problem('rule.several-work-states', 'employee.work[0].share'));
  return { workState: work[0]?.text('state') ?? '', residenceState };
}

function readWages(reader: Reader | null, issues: Issue[]): Partial<Record<WageBase, Cents>> {
  const wages: Partial<Record<WageBase, Cents>> = {};
  for (const name of reader?.names() ?? []) {
    if ((WAGE_BASES as readonly string[]).includes(name)) wages[name as WageBase] = reader?.amount(name) ?? ZERO;
    else
      issues.push(
        problem('input.not-one-of', `yearToDate.wages.${name}`, { value: name, choices: WAGE_BASES.join(', ') }),
      );
  }
  return wages;
}

/** Reads one JSON value as a case. Never throws; everything that is wrong is in `issues`, all of it at once. */
export function readCase(value: unknown): ReadCase {
  const issues: Issue[] = [];
  if (!isObject(value))
    return { id: '', input: null, grossUp: null, expect: {}, issues: [problem('input.not-json', '')] };
  const reader = new Reader(value, '', issues);
  reader.only(CASE_FIELDS);
  const id = typeof value['id'] === 'string' ? value['id'] : '';
  const checkDate = reader.date('checkDate');
  const payFrequency = reader.oneOf('payFrequency', PAY_FREQUENCIES);
  const employee = reader.object('employee');
  employee?.only(['federal', 'residence', 'work', 'certificates', 'exemptFrom', 'kind']);
  const employer = reader.has('employer') ? reader.object('employer') : null;
  employer?.only(['kind', 'unemploymentRates']);
  const settings = reader.has('settings') ? reader.object('settings') : null;
  settings?.only(['supplementalMethod', 'withholdingMethod', 'roundWithholdingToDollar']);
  const toDate = reader.has('yearToDate') ? reader.object('yearToDate') : null;
  toDate?.only(['wages', 'supplementalWages', 'taxes']);

  const kind = employee?.oneOf('kind', ['employee', 'partner'] as const, 'employee');
  if (kind === 'partner') issues.push(problem('worker.partner', 'employee.kind'));
  const places = employee ? readPlaces(employee, issues) : { workState: '', residenceState: '' };
  const federalReader = employee?.object('federal');
  const federal = federalReader ? readFederalCertificate(federalReader) : NO_CERTIFICATE;
  const certificates = employee?.has('certificates') ? employee.object('certificates') : null;
  const stateCertificates: Record<string, StateCertificate> = {};
  for (const state of certificates?.names() ?? []) {
    const inner = certificates?.object(state);
    if (inner) stateCertificates[state] = readStateCertificate(state, inner);
  }
  const exemptFrom = new Set<TaxCode>();
  const exempted = employee?.raw('exemptFrom') ?? [];
  for (const code of Array.isArray(exempted) ? (exempted as unknown[]) : [exempted]) {
    if (typeof code === 'string' && isTaxCode(code)) exemptFrom.add(code);
    else issues.push(problem('input.not-one-of', 'employee.exemptFrom', { value: String(code), choices: 'tax codes' }));
  }
  const earnings = reader.list('earnings', !reader.has('grossUp')).flatMap((line) => readEarning(line, issues));
  const deductions = readDeductions(reader.list('deductions', false), issues);
  const method =
    settings?.oneOf('withholdingMethod', ['percentage', 'wage-bracket'] as const, 'percentage') ?? 'percentage';
  if (method === 'wage-bracket') issues.push(problem('rule.method-unknown', 'settings.withholdingMethod', { method }));

  const grossUpReader = reader.has('grossUp') ? reader.object('grossUp') : null;
  const grossUpItem = grossUpReader ? readItem(grossUpReader, 'earning', issues) : null;
  const grossUp =
    grossUpReader && grossUpItem?.list === 'earning' ? { item: grossUpItem, net: grossUpReader.amount('net') } : null;
  const unemploymentRates = readRates(
    employer?.has('unemploymentRates') ? employer.object('unemploymentRates') : null,
    issues,
  );
  const wagesToDate = readWages(toDate?.has('wages') ? toDate.object('wages') : null, issues);
  const supplementalToDate = toDate?.amount('supplementalWages') ?? ZERO;
  const supplementalMethod = settings?.oneOf('supplementalMethod', ['flat', 'aggregate'] as const, 'flat') ?? 'flat';
  const expect = isObject(value['expect']) ? (value['expect'] as Record<string, string>) : {};
  const base = { id, grossUp, expect, issues };
  if (issues.length > 0 || !checkDate || !payFrequency) return { ...base, input: null };
  return {
    ...base,
    input: {
      checkDate,
      payFrequency,
      federal,
      ...places,
      stateCertificates,
      exemptFrom,
      unemploymentRates,
      earnings,
      deductions,
      supplementalMethod,
      roundWithholdingToDollar: settings?.flag('roundWithholdingToDollar') ?? false,
      wagesToDate,
      supplementalToDate,
    },
  };
}
