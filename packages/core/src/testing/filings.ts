import { date, type LocalDate } from '../calendar/local-date.js';
import { emptyInput, type EmployerFacts, type FilingFacts, type FilingInput, type Sending } from '../filings/kind.js';
import { parsePeriod, type FilingPeriod } from '../filings/period.js';

/** A filer, a firm and a day to check filings against; all of it invented. */
export const periodNamed = (key: string): FilingPeriod => {
  const period = parsePeriod(key);
  if (!period) throw new RangeError(`no period ${key}`);
  return period;
};
export const EMPLOYER: EmployerFacts = {
  kind: 'business',
  form: '941',
  isSeasonal: false,
  isWithoutUnemployment: false,
  lastWages: null,
  isSuccessor: false,
};
const FACTS: Omit<FilingFacts, 'period' | 'today'> = {
  filer: {
    ein: '471234561',
    name: 'Gannet',
    nameControl: 'GANN',
    tradeName: 'Gannet Boats',
    street: '3 Slipway',
    city: 'Saltmarsh',
    state: 'NY',
    zip: '13999',
    phone: '3155550121',
    email: 'office@gannet.example',
    contactName: 'Ruth Gannet',
    signerName: 'Ruth Gannet',
    signerTitle: 'President',
    kindOfEmployer: 'N',
  },
  firm: {
    ein: '401234568',
    name: 'Breakwater',
    contactName: 'Odile',
    phone: '3155550110',
    email: 'odile@breakwater.example',
    street: '12 Lantern Row',
    city: 'Saltmarsh',
    state: 'NY',
    zip: '13999',
    preparerName: 'Odile',
    preparerPtin: 'P00000001',
    efin: '990001',
    efw2UserId: 'BRKW0001',
  },
  openPayrolls: [],
};
type MoreFacts = Partial<Omit<FilingFacts, 'filer' | 'firm'>> & {
  readonly filer?: Partial<FilingFacts['filer']>;
  readonly firm?: Partial<FilingFacts['firm']>;
};
export const filingFacts = (period: string, today: string, more: MoreFacts = {}): FilingFacts => ({
  ...FACTS,
  period: periodNamed(period),
  today: date(today),
  ...more,
  filer: { ...FACTS.filer, ...more.filer },
  firm: { ...FACTS.firm, ...more.firm },
});
export const filingInput = (period: string, more: Partial<FilingInput> = {}): FilingInput => ({
  ...emptyInput(periodNamed(period), EMPLOYER),
  ...more,
});
export const sendingOf = (facts: FilingFacts, employer: Partial<EmployerFacts> = {}): Sending => ({
  facts,
  employer: { ...EMPLOYER, ...employer },
  submissionId: 's-1',
  signature: { pin: '31415', signed: facts.today as LocalDate, agent: null },
  resubmits: null,
  payment: null,
});
