/** Where the palette leads. `words` are what else people call it. */
export interface Place {
  readonly label: string;
  readonly path: string;
  readonly words?: string;
}

export const FIRM_PLACES: readonly Place[] = [
  { label: 'Ladder', path: '/', words: 'due dates calendar home overdue' },
  { label: 'Payrolls', path: '/payrolls', words: 'pay day due overdue start all run pay dates' },
  {
    label: 'Deposits',
    path: '/deposits',
    words: 'tax payments liabilities owed eftps remit pay release approve gather',
  },
  {
    label: 'Trust account',
    path: '/trust',
    words: 'impound client money held collect debit reconcile bank statement advance balance',
  },
  {
    label: 'Returns',
    path: '/returns',
    words: 'quarter close forms filings 941 940 state wage reports unemployment withholding begin check release',
  },
  {
    label: 'Transmissions',
    path: '/returns/transmissions',
    words: 'batch files sent irs control totals acknowledgements mef',
  },
  { label: 'Clients', path: '/clients', words: 'employers companies list' },
  { label: 'Add client', path: '/clients/new', words: 'new employer company' },
  { label: 'Rules', path: '/rules', words: 'rates tables brackets wage base limits rule packs' },
  { label: 'Audit trail', path: '/trail', words: 'log history who changed' },
  { label: 'Firm', path: '/firm', words: 'users roles preparer ptin efin settings password second approver defaults' },
  {
    label: 'Payees of garnishments',
    path: '/firm/payees',
    words: 'child support disbursement unit creditor levy order',
  },
  { label: 'Invoices', path: '/firm/invoices', words: 'fees bill billing charge clients price' },
  {
    label: 'Agency payments',
    path: '/firm/agencies',
    words: 'bank accounts of agencies ach credit tax type codes eftps',
  },
];

export const CLIENT_PLACES: readonly (readonly [label: string, tail: string, words: string])[] = [
  ['tie-out', '', 'reconcile quarter balance differences'],
  [
    'payrolls',
    '/payrolls',
    'run payroll register pay stub paycheck checks journal direct deposit bonus off-cycle start',
  ],
  ['deposits', '/deposits', 'tax payments liabilities owed 941 eftps remit pay'],
  ['funds', '/funds', 'impound trust account collect debit held advance refund'],
  ['returns', '/returns', 'forms filings 941 940 w-2 w-3 w2 quarterly annual year-end'],
  ['ledger', '/ledger', 'entries liabilities'],
  [
    'reports',
    '/reports',
    'payroll register earnings record labor distribution workers compensation leave garnishments export csv xlsx pdf',
  ],
  ['journal', '/journal', 'general ledger export accounts books debit credit'],
  [
    'posted checks worked out again',
    '/recomputed',
    'recalculate recompute retroactive rate change late notice certificate difference',
  ],
  ['check register', '/checks', 'printed checks numbers stop payment void reissue stock'],
  ['employees', '/people', 'people staff add employee new hire w-4 import ssn'],
  ['setup', '/facts', 'address ein bank accounts schedule tax accounts rates signer facts'],
  ['earnings and deductions', '/items', 'pay items codes 401(k) health garnishment'],
  ['prior payroll', '/brought-in', 'year to date ytd balances former provider'],
  ['readiness', '/readiness', 'missing information questions checklist'],
  ['proof set', '/proof', 'test checks sample'],
];

/** A client opens in several places. */
export const placesOfClient = (id: string, name: string): Place[] =>
  CLIENT_PLACES.map(([label, tail, words]) => ({
    label: `${name}: ${label}`,
    path: `/clients/${id}${tail}`,
    words,
  }));
