/** The demo: a payroll firm in an invented harbor town. Every person, firm and number is made up. */

const address = (street, city, state, zip) => ({ street, city, state, zip });
const w4 = (fields) => ({
  form: '2020',
  filingStatus: 'single',
  multipleJobs: false,
  dependentCredit: '0.00',
  otherIncome: '0.00',
  deductions: '0.00',
  extraWithholding: '0.00',
  exempt: false,
  nonresidentAlien: false,
  ...fields,
});
const fact = (kind, value, from = '2025-12-01') => ({ kind, from, value });
/** An account that receives pay; its prenote went out at the former provider unless said otherwise. */
const paidTo = (label, account, more = {}, from = '2025-12-01') =>
  fact(
    'bank',
    { label, routing: '000000039', account, type: 'checking', share: 'rest', prenote: 'confirmed', ...more },
    from,
  );

export const CLIENTS = [
  {
    client: {
      key: 'BOATYARD',
      legalName: 'Gannet & Sons Boatyard Inc',
      tradeName: 'Gannet Boatyard',
      ein: '47-1234561',
      nameControl: 'GANN',
      ...address('3 Slipway Lane', 'Saltmarsh', 'NY', '13999'),
      phone: '3155550121',
      email: 'office@gannet.example',
      contactName: 'Ruth Gannet',
      signerName: 'Ruth Gannet',
      signerTitle: 'President',
      kindOfEmployer: 'N',
      payFrequency: 'biweekly',
      facts: [
        fact('employer', { kind: 'business', entity: 'corporation', formFamily: '941' }),
        fact('schedule', { frequency: 'biweekly', periodEnd: '2026-01-03', daysToCheck: 6, whenClosed: 'before' }),
        fact(
          'service-fee',
          {
            perMonth: '30.00',
            perPayroll: '24.00',
            perCheck: '2.10',
            perReturn: '18.00',
            dueDays: 15,
            collected: 'invoice',
          },
          '2026-01-02',
        ),
        fact('department', { name: 'Ferry refit', sort: 'job' }, '2026-01-02'),
        fact('department', { name: 'Harbor launch', sort: 'job' }, '2026-01-02'),
        fact('checks', { nextNumber: 3107, layout: 'top' }, '2026-01-02'),
        fact(
          'note',
          { about: 'hours', note: 'The hours come by telephone on the Tuesday after the period.' },
          '2026-01-02',
        ),
      ],
      lookbackAmount: 2_150_000,
    },
    accounts: [
      { agency: 'IRS', accountNumber: '47-1234561', unemploymentRate: null, from: '2025-12-01' },
      {
        agency: 'NY-TAX',
        accountNumber: '471234561 1',
        unemploymentRate: null,
        from: '2025-12-01',
        depositFrequency: '5-day',
      },
      { agency: 'NY-DOL', accountNumber: '49-00123', unemploymentRate: '4.1', from: '2025-12-01' },
      { agency: 'TX-TWC', accountNumber: '99-001234-5', unemploymentRate: '2.7', from: '2025-12-01' },
      {
        agency: 'NY-WCB',
        accountNumber: 'DB-884400',
        unemploymentRate: null,
        from: '2025-12-01',
        depositFrequency: 'quarterly',
      },
    ],
    bank: { label: 'Operating', bankName: 'Harbor Mutual', routing: '000000123', account: '5500012345' },
    firstPeriod: { periodStart: '2025-12-21', periodEnd: '2026-01-03', checkDate: '2026-01-09' },
    lastCheckDate: '2026-10-16',
    people: [
      {
        number: '101',
        firstName: 'Wilhelmina',
        middleName: '',
        lastName: 'Sprague',
        suffix: '',
        ssn: '899-12-3401',
        ...address('41 Ropewalk Street', 'Saltmarsh', 'NY', '13999'),
        hiredOn: '2021-04-12',
        bornOn: '1988-03-09',
        kind: 'employee',
        isRetirementPlan: false,
        facts: [
          fact('pay', { basis: 'hourly', rate: '31.40', hours: '80' }),
          fact('federal-certificate', w4({})),
          fact('place', { work: 'NY', residence: 'NY' }),
          fact('state-certificate', { state: 'NY', certificate: { filingStatus: 'single', allowances: 1 } }),
        ],
      },
      {
        number: '102',
        firstName: 'Desmond',
        middleName: 'P',
        lastName: 'Achterberg',
        suffix: '',
        ssn: '899-12-3402',
        ...address('908 Pelican Walk', 'Port Verity', 'TX', '77999'),
        hiredOn: '2023-09-01',
        bornOn: '1979-11-30',
        kind: 'employee',
        isRetirementPlan: true,
        facts: [
          fact('pay', {
            basis: 'salary',
            amount: '2750.00',
            frequency: 'biweekly',
            deductions: [{ item: '401k', amount: '150.00' }],
          }),
          fact('federal-certificate', w4({ filingStatus: 'married-jointly', dependentCredit: '2200.00' })),
          fact('place', { work: 'TX', residence: 'TX' }),
          fact(
            'jobs',
            {
              lines: [
                { job: 'Ferry refit', percent: '60' },
                { job: 'Harbor launch', percent: '40' },
              ],
            },
            '2026-07-01',
          ),
        ],
      },
    ],
    exceptions: (index) =>
      index % 4 === 2
        ? [
            {
              number: '101',
              earnings: [
                { item: 'regular', hours: '80', rate: '31.40' },
                { item: 'overtime', hours: '6.5', rate: '31.40' },
              ],
            },
          ]
        : [],
  },
  {
    client: {
      key: 'CLINIC',
      legalName: 'Low Tide Animal Clinic PLLC',
      tradeName: 'Low Tide Animal Clinic',
      ein: '75-1234562',
      nameControl: 'LOWT',
      ...address('77 Causeway Road', 'Port Verity', 'TX', '77999'),
      phone: '4095550133',
      email: 'desk@lowtide.example',
      contactName: 'Rosalind Quay',
      signerName: 'Rosalind Quay',
      signerTitle: 'Member',
      kindOfEmployer: 'N',
      payFrequency: 'semimonthly',
      facts: [
        fact('employer', { kind: 'business', entity: 'limited-liability', formFamily: '941' }),
        fact('schedule', { frequency: 'semimonthly', periodEnd: '2025-12-31', daysToCheck: 6, whenClosed: 'before' }),
        fact(
          'checks',
          {
            nextNumber: 2101,
            layout: 'top',
            wagesAccount: '6010 Wages',
            taxAccount: '6050 Payroll taxes',
            payableAccount: '2310 Payroll liabilities',
            cashAccount: '1010 Checking',
            fundsAccount: '1350 Funds held by Breakwater',
          },
          '2026-01-02',
        ),
        fact(
          'service-fee',
          { perPayroll: '38.00', perCheck: '2.40', perReturn: '18.00', dueDays: 10, collected: 'funds' },
          '2026-01-02',
        ),
        // From October on its taxes are collected before they are paid.
        fact(
          'funding',
          {
            what: 'taxes',
            accountTail: '4321',
            entryClass: 'CCD',
            authorizedOn: '2026-09-24',
            signedBy: 'Rosalind Quay',
            most: '25000.00',
            daysBefore: 0,
            holdDays: 1,
          },
          '2026-10-01',
        ),
      ],
      lookbackAmount: 6_840_000,
    },
    accounts: [
      { agency: 'IRS', accountNumber: '75-1234562', unemploymentRate: null, from: '2025-12-01' },
      { agency: 'TX-TWC', accountNumber: '99-004321-0', unemploymentRate: '1.65', from: '2025-12-01' },
    ],
    bank: { label: 'Payroll and tax', bankName: 'Bay Shore Bank', routing: '000000220', account: '7700054321' },
    extraFacts: [
      fact(
        'reporting-agent',
        {
          standing: 'signed',
          returnsFrom: '2026-07-01',
          depositsFrom: '2026-07-01',
          wantsNotices: true,
          signedBy: 'Rosalind Quay',
        },
        '2026-06-22',
      ),
    ],
    firstPeriod: { periodStart: '2025-12-16', periodEnd: '2025-12-31', checkDate: '2026-01-06' },
    lastCheckDate: '2026-10-21',
    people: [
      {
        number: '1',
        firstName: 'Rosalind',
        middleName: 'M',
        lastName: 'Quay',
        suffix: '',
        ssn: '899-34-5601',
        ...address('5 Heron Court', 'Port Verity', 'TX', '77999'),
        hiredOn: '2019-01-02',
        bornOn: '1975-06-17',
        kind: 'employee',
        isRetirementPlan: true,
        facts: [
          fact('pay', {
            basis: 'salary',
            amount: '8800.00',
            frequency: 'semimonthly',
            deductions: [
              { item: '401k', amount: '900.00' },
              { item: 'section-125-health', amount: '180.00' },
            ],
          }),
          fact('federal-certificate', w4({ filingStatus: 'married-jointly', multipleJobs: true })),
          fact('place', { work: 'TX', residence: 'TX' }),
          fact('worker', { department: 'Surgery' }),
          fact('standing', {
            item: 'match-401k',
            match: [
              { percent: '100', upTo: '3' },
              { percent: '50', upTo: '5' },
            ],
          }),
          paidTo('Savings', '8812340007', { type: 'savings', share: 'amount', amount: '500.00' }),
          paidTo('Household', '8812340015'),
        ],
      },
      {
        number: '2',
        firstName: 'Piet',
        middleName: '',
        lastName: 'Lomax',
        suffix: '',
        ssn: '899-34-5602',
        ...address('210 Tern Avenue', 'Port Verity', 'TX', '77999'),
        hiredOn: '2022-05-16',
        bornOn: '1996-08-22',
        kind: 'employee',
        isRetirementPlan: true,
        facts: [
          fact('pay', {
            basis: 'hourly',
            rate: '24.75',
            hours: '86',
            rates: [{ label: 'Night watch', rate: '28.50' }],
            deductions: [
              { item: '401k', amount: '60.00' },
              { item: 'section-125-health', amount: '95.00' },
            ],
          }),
          fact('federal-certificate', {
            form: 'pre-2020',
            maritalStatus: 'single',
            allowances: 1,
            extraWithholding: '0.00',
            exempt: false,
            nonresidentAlien: false,
          }),
          fact('place', { work: 'TX', residence: 'TX' }),
          fact('worker', { department: 'Surgery' }),
          paidTo('Household', '8812340023'),
          // Renumbered by the bank since.
          paidTo('Household', '8812340498', {}, '2026-10-05'),
        ],
      },
      {
        number: '3',
        firstName: 'Calla',
        middleName: 'J',
        lastName: 'Ferreday',
        suffix: '',
        ssn: '899-34-5603',
        ...address('16 Saltgrass Lane', 'Port Verity', 'TX', '77999'),
        hiredOn: '2024-02-05',
        bornOn: '2001-12-01',
        kind: 'employee',
        isRetirementPlan: false,
        facts: [
          fact('pay', { basis: 'hourly', rate: '19.50', hours: '80' }),
          fact('federal-certificate', w4({ filingStatus: 'head-of-household', dependentCredit: '2200.00' })),
          fact('place', { work: 'TX', residence: 'TX' }),
          fact('worker', { department: 'Front desk' }),
          paidTo('Household', '8812340031'),
          // A new account, whose prenote is still to be sent.
          paidTo('Household', '8812340049', { prenote: 'wanted' }, '2026-10-19'),
        ],
      },
    ],
    exceptions: () => [],
  },
];

/** The filer number of the firm with the agency, and a client that waits for its PIN. */
export const ENROLLMENT = { agency: 'IRS', filerNumber: 'F-220417', client: 'BREWERY', askedOn: '2026-10-12' };
/** The account that holds what is collected of clients, and what the firm paid in of its own. */
export const TRUST = {
  account: { label: 'Client trust', bankName: 'Harbor Mutual', routing: '000000123', account: '8800001177' },
  paidIn: { on: '2026-10-05', amount: '500.00', reference: 'BRKWTR-FUND-1' },
};
export const LAST_DAY = '2026-10-22';
/** Quarters that are filed and accepted before the demo begins, each released from this day on. */
export const FILED_QUARTERS = [
  { year: 2026, quarter: 1, from: '2026-04-14' },
  { year: 2026, quarter: 2, from: '2026-07-14' },
];
