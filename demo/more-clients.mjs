/** Client employers that show one rule each. Every person, firm and number is made up; ZIP codes and EINs are not issued ones. */

const W4 = { form: '2020', filingStatus: 'single' };
const START = '2026-01-01';
const fact = (kind, value, from = START) => ({ kind, from, value });
const hourly = (rate, hours) => fact('pay', { basis: 'hourly', rate, ...(hours ? { hours } : {}) });
const salary = (amount, frequency = 'annually') => fact('pay', { basis: 'salary', amount, frequency });
const w4 = (fields = {}) => fact('federal-certificate', { ...W4, ...fields });
const place = (work, residence = work, more = {}) => fact('place', { work, residence, ...more });
const certificate = (state, fields) => fact('state-certificate', { state, certificate: fields });
const each = (item, measure) => fact('standing', { item, ...measure });

let serial = 1000;
/** A person with a number of the never-issued middle range of an area kept for the demo. */
const person = (number, name, address, dates, facts, more = {}) => {
  serial += 1;
  const [firstName, ...rest] = name.split(' ');
  const [street, city, state, zip] = address;
  const [hiredOn, bornOn] = dates;
  return {
    number: String(number),
    firstName,
    middleName: rest.length > 1 ? rest[0] : '',
    lastName: rest.at(-1),
    suffix: '',
    ssn: `89945${serial}`,
    street,
    city,
    state,
    zip,
    hiredOn,
    bornOn,
    kind: 'employee',
    isRetirementPlan: false,
    facts,
    ...more,
  };
};
const employer = (kind, entity, formFamily, more = {}) => fact('employer', { kind, entity, formFamily, ...more });
const schedule = (frequency, periodEnd, daysToCheck, whenClosed = 'before') =>
  fact('schedule', { frequency, periodEnd, daysToCheck, whenClosed });
const account = (agency, accountNumber, unemploymentRate = null, more = {}) => ({
  agency,
  accountNumber,
  unemploymentRate,
  from: START,
  ...more,
});
const applied = (agency, rate = null) => account(agency, '', rate, { isApplied: true });
const irs = (ein) => account('IRS', ein);
const bank = (label, account) => ({ label, bankName: 'Harbor Mutual', routing: '000000123', account });
const client = (key, legalName, tradeName, ein, address, signer, more = {}) => {
  const [street, city, state, zip] = address;
  const [signerName, signerTitle] = signer;
  return {
    key,
    legalName,
    tradeName,
    ein,
    einAgain: ein,
    nameControl: '',
    street,
    city,
    state,
    zip,
    phone: '3155550140',
    email: `${key.toLowerCase()}@clients.example`,
    contactName: signerName,
    signerName,
    signerTitle,
    startFrom: 'defaults',
    ...more,
  };
};

/** Cents as a spreadsheet shows dollars. */
const dollars = (cents) => `${Math.trunc(cents / 100)}.${String(cents % 100).padStart(2, '0')}`;
/** One check as the former provider's register has it, in cents; `checks` of them make a row. */
const paidElsewhere = (number, when, checks, check) => {
  const isQuarter = when.startsWith('Q');
  const times = (name) => dollars(checks * check[name]);
  const net = check.gross - check.income - check.oasdi - check.hi - check.state - check.leave;
  return [
    number,
    isQuarter ? when : '',
    isQuarter ? '' : when,
    times('gross'),
    dollars(checks * net),
    times('gross'),
    times('income'),
    times('gross'),
    times('oasdi'),
    times('gross'),
    times('hi'),
    times('gross'),
    times('state'),
    times('gross'),
    times('leave'),
    times('gross'),
    times('employerLeave'),
    times('unemploymentWages'),
    times('unemployment'),
    times('unemploymentWages'),
    times('development'),
  ].join(',');
};
const TREASURER = {
  gross: 241667,
  income: 6283,
  oasdi: 14983,
  hi: 3504,
  state: 10100,
  leave: 1063,
  employerLeave: 532,
  unemploymentWages: 241667,
  unemployment: 2658,
  development: 242,
};
/** In October the treasurer meets the unemployment base of 44,000.00: 499.94 of the first check is below it. */
const AT_THE_BASE = { ...TREASURER, unemploymentWages: 49994, unemployment: 550, development: 50 };
const ABOVE_THE_BASE = { ...TREASURER, unemploymentWages: 0, unemployment: 0, development: 0 };
const STAGEHAND = {
  gross: 126000,
  income: 4812,
  oasdi: 7812,
  hi: 1827,
  state: 4900,
  leave: 554,
  employerLeave: 277,
  unemploymentWages: 126000,
  unemployment: 1386,
  development: 126,
};
/** A quarter of the treasurer alone: six checks. */
const quarterFiled = (quarter, paidOn) => {
  const { gross, income, oasdi, hi, state, leave, employerLeave, unemployment, development } = TREASURER;
  const six = (cents) => 6 * cents;
  const federal = six(income + 2 * oasdi + 2 * hi);
  return [
    ['941.2', six(gross)],
    ['941.3', six(income)],
    ['941.5a', six(gross)],
    ['941.5c', six(gross)],
    ['US-941.filed', federal],
    ['US-941.paid', federal],
    ['MN-SIT.filed', six(state)],
    ['MN-SIT.paid', six(state)],
    ['MN-SUI.filed', six(unemployment + leave + employerLeave + development)],
    ['MN-SUI.paid', six(unemployment + leave + employerLeave + development)],
  ].map(([code, amount]) => ({ quarter, code, amount, day: paidOn }));
};
/** The theatre came in October: three quarters filed elsewhere, two checks of the fourth paid elsewhere. */
const THEATRE_BALANCES = {
  year: 2026,
  file: [
    'Number,Quarter,Check date,Gross pay,Net pay,FIT wages,FIT,SS wages,SS,Medicare wages,Medicare,MN SIT wages,MN SIT,MN PFML EE wages,MN PFML EE,MN PFML ER wages,MN PFML ER,MN SUI wages,MN SUI,MN WDF wages,MN WDF',
    paidElsewhere(1, 'Q1', 6, TREASURER),
    paidElsewhere(1, 'Q2', 6, TREASURER),
    paidElsewhere(1, 'Q3', 6, TREASURER),
    paidElsewhere(1, '2026-10-05', 1, AT_THE_BASE),
    paidElsewhere(1, '2026-10-19', 1, ABOVE_THE_BASE),
    paidElsewhere(2, '2026-10-19', 1, STAGEHAND),
  ].join('\n'),
  reported: [...quarterFiled(1, '2026-04-15'), ...quarterFiled(2, '2026-07-15'), ...quarterFiled(3, '2026-10-15')],
};

/** What a new client starts from. */
export const DEFAULTS = [
  fact('withholding', { supplementalMethod: 'flat', withholdingMethod: 'percentage' }),
  fact('pay-item', { code: 'uniform', label: 'Uniforms', like: 'after-tax', perYear: '240.00', account: '2190' }),
  fact('pay-item', { code: 'night-shift', label: 'Night shift', like: 'shift', account: '6110' }),
  fact('checks', {
    layout: 'top',
    wagesAccount: '6100',
    taxAccount: '6200',
    payableAccount: '2100',
    cashAccount: '1010',
  }),
];

const SLIP = ['12 Slip Row', 'Alder Reach', 'CA', '93999'];
const MILL = ['4 Mill Race', 'Fernhollow', 'PA', '15299'];

const FIRST = [
  'Ada',
  'Bram',
  'Clio',
  'Dov',
  'Esme',
  'Finn',
  'Greta',
  'Hugo',
  'Iris',
  'Jory',
  'Kit',
  'Lena',
  'Milo',
  'Nell',
  'Otto',
  'Petra',
  'Quinn',
  'Rhea',
  'Silas',
  'Thea',
  'Uma',
  'Viggo',
  'Willa',
  'Xenia',
  'Yara',
];
const LAST = [
  'Ashdown',
  'Brine',
  'Cutter',
  'Dinghy',
  'Eddy',
  'Fathom',
  'Galley',
  'Hawser',
  'Inlet',
  'Jetty',
  'Keel',
  'Ledge',
  'Mooring',
  'Neap',
  'Offing',
  'Pontoon',
  'Quay',
  'Rudder',
  'Shoal',
  'Tiller',
  'Undertow',
  'Vane',
  'Wharf',
  'Yawl',
];

/** The people of a client as its own spreadsheet has them, by made-up names. */
const staffFile = ({
  count,
  from,
  serial,
  street,
  place: [city, state, zip],
  rate,
  departments,
  hours = '40',
  localities = null,
}) =>
  [
    'Emp #,Last name,First name,SSN,Street,City,State,ZIP,Hire date,Date of birth,Hourly rate,Usual hours a period,W-4 filing status,Department,Work state,Resident state' +
      (localities ? ',Work locality,Resident locality' : ''),
    ...Array.from({ length: count }, (_, index) =>
      [
        from + index,
        LAST[index % LAST.length],
        FIRST[(Math.floor(index / LAST.length) + index * 5 * (count < 600)) % FIRST.length],
        `89946${String(serial + index)}`,
        `${10 + index} ${street}`,
        city,
        state,
        zip,
        `0${1 + (index % 9)}/15/20${20 + (index % 6)}`,
        `05/${String(1 + (index % 28)).padStart(2, '0')}/19${65 + (index % 35)}`,
        `${rate + (index % 12)}.50`,
        hours,
        index % 3 === 0 ? 'Married filing jointly' : 'Single',
        departments[index % departments.length],
        state,
        state,
        ...(localities ?? []),
      ].join(','),
    ),
  ].join('\n');

export const MORE_CLIENTS = [
  {
    client: client('BAKERY', 'Rising Tide Bakery LLC', 'Rising Tide', '83-1234563', SLIP, ['Marisol Vane', 'Member'], {
      facts: [employer('business', 'limited-liability', '941'), schedule('weekly', '2026-10-24', 5)],
    }),
    accounts: [irs('83-1234563'), account('CA-EDD', '000-1234-5', '3.4', { depositFrequency: 'monthly' })],
    bank: bank('Operating', '5500012401'),
    yearSoFar: { owes: 'October' },
    people: [
      person(
        1,
        'Anselm Pike',
        ['9 Gull Street', 'Alder Reach', 'CA', '93999'],
        ['2024-03-04', '1991-02-11'],
        [
          hourly('19.80', '38'),
          w4({ multipleJobs: true }),
          place('CA'),
          certificate('CA', { filingStatus: 'single', allowances: 1 }),
          each('uniform', { amount: '6.00' }),
        ],
      ),
      person(
        2,
        'Juniper Sorrel',
        ['77 Oar Lane', 'Alder Reach', 'CA', '93999'],
        ['2025-06-16', '2003-09-30'],
        [
          hourly('17.25', '32'),
          w4(),
          place('CA'),
          certificate('CA', { filingStatus: 'single', allowances: 0 }),
          each('tips-reported', { amount: '120.00' }),
        ],
      ),
      person(
        3,
        'Bartholomew Quill',
        ['3 Dock Way', 'Alder Reach', 'CA', '93999'],
        ['2021-01-11', '1972-12-05'],
        [
          salary('64000.00'),
          w4({ filingStatus: 'married-jointly', dependentCredit: '2200.00' }),
          place('CA'),
          certificate('CA', { filingStatus: 'married-jointly', allowances: 3 }),
          fact('garnishment', {
            label: 'Case D-4471',
            kind: 'child-support',
            amount: '115.00',
            payee: 'State disbursement unit',
          }),
        ],
      ),
    ],
  },
  {
    client: client('BREWERY', 'Two Weirs Brewing Co', 'Two Weirs', '84-1234564', MILL, ['Dorcas Weir', 'President'], {
      lookbackAmount: 11_200_000,
      facts: [employer('business', 'corporation', '941'), schedule('biweekly', '2026-10-18', 5)],
    }),
    accounts: [
      irs('84-1234564'),
      account('PA-DOR', '0012 3456', null, { depositFrequency: 'monthly' }),
      account('PA-DLI', '00-12345', '3.822'),
      account('PA-LOCAL', 'W-700-114', null, { depositFrequency: 'quarterly' }),
    ],
    bank: bank('Payroll', '5500012402'),
    yearSoFar: {},
    file: staffFile({
      count: 12,
      from: 301,
      serial: 6000,
      street: 'Weir Road',
      place: ['Fernhollow', 'PA', '15299'],
      rate: 19,
      departments: ['Brewhouse', 'Taproom', 'Cellar'],
      hours: '76',
      localities: ['Pittsburgh', 'Pittsburgh'],
    }),
    extraFacts: [
      fact('local-registration', { state: 'PA', locality: 'Pittsburgh', account: 'W-700-114', collector: '700102' }),
      fact(
        'reporting-agent',
        { standing: 'sent', returnsFrom: '2026-10-01', depositsFrom: '2026-11-01', wantsNotices: true },
        '2026-10-05',
      ),
    ],
    people: [
      person(
        201,
        'Gideon Marsh',
        ['18 Weir Road', 'Fernhollow', 'PA', '15299'],
        ['2022-05-02', '1985-04-18'],
        [
          hourly('26.40', '80'),
          w4({ filingStatus: 'married-jointly' }),
          place('PA', 'PA', { workLocality: 'Pittsburgh', residenceLocality: 'Pittsburgh' }),
          certificate('PA', {}),
        ],
      ),
      person(
        202,
        'Ottilie Brand',
        ['41 Cooper Lane', 'Easton Ferry', 'PA', '18099'],
        ['2023-08-14', '1994-07-07'],
        [
          hourly('24.10', '76'),
          w4(),
          place('PA', 'PA', { workLocality: 'Pittsburgh', residenceLocality: 'Easton' }),
          certificate('PA', {}),
          each('401k', { percent: '5' }),
          each('match-401k', { amount: '40.00' }),
        ],
      ),
    ],
  },
  {
    client: client(
      'THEATRE',
      'Lantern Street Theatre',
      '',
      '85-1234565',
      ['200 Lantern Street', 'Northpier', 'MN', '55199'],
      ['Isolde Ferrin', 'Treasurer'],
      {
        facts: [employer('nonprofit', 'association', '941'), schedule('semimonthly', '2026-10-31', 4)],
      },
    ),
    accounts: [
      irs('85-1234565'),
      account('MN-DOR', '0123456', null, { depositFrequency: 'monthly' }),
      account('MN-DEED', '00123456', '1.1'),
    ],
    bank: bank('Theatre', '5500012403'),
    balances: THEATRE_BALANCES,
    people: [
      person(
        1,
        'Cosmo Ferrin',
        ['5 Footlight Court', 'Northpier', 'MN', '55199'],
        ['2020-09-01', '1979-10-10'],
        [
          salary('58000.00'),
          w4({ filingStatus: 'head-of-household', dependentCredit: '2200.00' }),
          place('MN'),
          certificate('MN', { filingStatus: 'single', allowances: 2 }),
          fact('leave', { item: 'sick', per: 'hour', hours: '0.0334', balance: '31', maximum: '80' }),
        ],
      ),
      person(
        2,
        'Perpetua Lund',
        ['9 Wings Alley', 'Northpier', 'MN', '55199'],
        ['2026-09-28', '1999-01-23'],
        [hourly('21.00', '60'), w4(), place('MN'), certificate('MN', { filingStatus: 'single', allowances: 1 })],
      ),
    ],
  },
  {
    client: client(
      'MUSEUM',
      'Drift Museum Shop Inc',
      'The Drift',
      '86-1234566',
      ['1 Quarry Plaza', 'Highmere', 'CO', '80999'],
      ['Linus Agate', 'Secretary'],
      {
        facts: [employer('business', 's-corporation', '941'), schedule('biweekly', '2026-10-23', 5)],
      },
    ),
    accounts: [
      irs('86-1234566'),
      account('CO-DOR', '00123456', null, { depositFrequency: 'monthly' }),
      account('CO-DLE', '0123456.00-9', '1.7'),
      account('CO-FAMLI', 'F-00123'),
    ],
    bank: bank('Shop', '5500012404'),
    yearSoFar: { owes: 'October' },
    people: [
      person(
        11,
        'Linus Agate',
        ['12 Basalt Row', 'Highmere', 'CO', '80999'],
        ['2019-04-01', '1968-08-08'],
        [
          salary('6200.00', 'monthly'),
          w4({ filingStatus: 'married-jointly' }),
          place('CO'),
          certificate('CO', { filingStatus: 'married-jointly' }),
          each('shareholder-health', { amount: '310.00' }),
        ],
      ),
      person(
        12,
        'Tamsin Flint',
        ['80 Shale Street', 'Highmere', 'CO', '80999'],
        ['2025-02-03', '2001-11-19'],
        [
          hourly('18.90', '64'),
          w4(),
          place('CO'),
          certificate('CO', { filingStatus: 'single' }),
          each('transit', { amount: '45.00' }),
        ],
      ),
    ],
  },
  {
    client: client(
      'DAYCARE',
      'Little Estuary Daycare LLC',
      '',
      '87-1234567',
      ['60 Sandbar Drive', 'Mudlark', 'OH', '43299'],
      ['Philippa Reed', 'Member'],
      {
        lookbackAmount: 6_900_000,
        facts: [employer('business', 'limited-liability', '941'), schedule('biweekly', '2026-10-24', 6)],
      },
    ),
    accounts: [
      irs('87-1234567'),
      account('OH-TAX', '50-123456', null, { depositFrequency: 'monthly' }),
      account('OH-JFS', '0012345-00-6', '2.7'),
      applied('OH-CITY'),
    ],
    bank: bank('Daycare', '5500012405'),
    yearSoFar: { isInTests: true },
    file: staffFile({
      count: 9,
      from: 201,
      serial: 7000,
      street: 'Sandbar Drive',
      place: ['Mudlark', 'OH', '43299'],
      rate: 16,
      departments: ['Infants', 'Toddlers', 'Office'],
      hours: '74',
      localities: ['Columbus', 'Columbus'],
    }),
    people: [
      person(
        1,
        'Philippa Reed',
        ['7 Reed Bend', 'Mudlark', 'OH', '43299'],
        ['2018-01-15', '1983-06-06'],
        [
          salary('1750.00', 'biweekly'),
          w4({ filingStatus: 'married-jointly', dependentCredit: '4400.00' }),
          place('OH', 'OH', { workLocality: 'Columbus', residenceLocality: 'Columbus', schoolDistrict: '2509' }),
          certificate('OH', { allowances: 4 }),
          each('dependent-care', { amount: '150.00' }),
        ],
      ),
      person(
        2,
        'Rowan Thistle',
        ['14 Heron Row', 'Mudlark', 'OH', '43299'],
        ['2026-10-05', '2004-03-17'],
        [
          hourly('16.40', '70'),
          w4({ exempt: true, exemptYear: 2026 }),
          place('OH', 'OH', { workLocality: 'Columbus', residenceLocality: 'Dublin' }),
        ],
      ),
    ],
  },
  {
    client: client(
      'ORCHARD',
      'Crabapple Hollow Orchard',
      '',
      '88-1234568',
      ['9 Windfall Road', 'Saltmarsh', 'NY', '13999'],
      ['Enoch Pippin', 'Owner'],
      {
        lookbackAmount: 23_400_000,
        facts: [
          employer('agricultural', 'sole-proprietor', '943', { isSeasonal: true }),
          schedule('weekly', '2026-10-24', 4),
        ],
      },
    ),
    accounts: [
      irs('88-1234568'),
      account('NY-TAX', '881234568', null, { depositFrequency: '5-day' }),
      account('NY-DOL', '00-12346', '3.1'),
      account('NY-WCB', 'DB-884401', null, { depositFrequency: 'quarterly' }),
    ],
    bank: bank('Orchard', '5500012406'),
    yearSoFar: { owes: 'last check' },
    file: staffFile({
      count: 34,
      from: 201,
      serial: 2000,
      street: 'Windfall Road',
      place: ['Saltmarsh', 'NY', '13999'],
      rate: 17,
      departments: ['Picking', 'Press', 'Stand'],
      hours: '32',
    }),
    people: [
      person(
        1,
        'Delphine Russet',
        ['2 Cider Lane', 'Saltmarsh', 'NY', '13999'],
        ['2026-08-17', '1996-05-29'],
        [
          hourly('18.10', '48'),
          w4(),
          place('NY'),
          certificate('NY', { filingStatus: 'single', allowances: 0 }),
          each('piece-work', { amount: '85.00' }),
        ],
      ),
    ],
  },
  {
    client: client(
      'DESIGN',
      'Halyard & Moss Design',
      '',
      '90-1234569',
      ['31 Chandler Street', 'Saltmarsh', 'NY', '13999'],
      ['Averil Moss', 'Partner'],
      {
        lookbackAmount: 10_300_000,
        facts: [employer('business', 'partnership', '941'), schedule('monthly', '2026-10-31', 0)],
      },
    ),
    accounts: [
      irs('90-1234569'),
      account('NY-TAX', '901234569', null, { depositFrequency: '5-day' }),
      account('NY-DOL', '00-12347', '4.1'),
      account('NY-WCB', 'DB-884402', null, { depositFrequency: 'quarterly' }),
      account('NJ-TAX', '901-234-569/000', null, { depositFrequency: 'monthly' }),
      account('NJ-DOL', '901-234-569/000', '2.8'),
    ],
    bank: bank('Studio', '5500012407'),
    yearSoFar: {},
    file: staffFile({
      count: 6,
      from: 201,
      serial: 8000,
      street: 'Chandler Street',
      place: ['Saltmarsh', 'NY', '13999'],
      rate: 29,
      departments: ['Studio', 'Drafting'],
      hours: '160',
    }),
    people: [
      person(1, 'Averil Moss', ['33 Chandler Street', 'Saltmarsh', 'NY', '13999'], ['2017-05-01', '1981-01-30'], [], {
        kind: 'partner',
      }),
      person(2, 'Lucian Halyard', ['8 Mast Court', 'Saltmarsh', 'NY', '13999'], ['2017-05-01', '1976-02-14'], [], {
        kind: 'partner',
      }),
      person(
        3,
        'Saskia Thorne',
        ['55 Bayberry Avenue', 'Brackwater', 'NJ', '07999'],
        ['2024-09-03', '1990-12-12'],
        [
          salary('78000.00'),
          w4(),
          place('NY', 'NJ', { otherWork: [{ state: 'NJ', share: '0.4' }], unemploymentState: 'NY' }),
          certificate('NY', { filingStatus: 'single', allowances: 1 }),
          certificate('NJ', { rateTable: 'B', allowances: 1 }),
          each('roth-401k', { percent: '4' }),
        ],
      ),
    ],
  },
  {
    client: client(
      'INN',
      'Harbor Light Inn Inc',
      'The Inn',
      '91-1234560',
      ['1 Beacon Point', 'Saltmarsh', 'NY', '13999'],
      ['Cordelia Beck', 'President'],
      {
        lookbackAmount: 21_800_000,
        facts: [employer('business', 'corporation', '941'), schedule('biweekly', '2026-10-17', 6)],
      },
    ),
    accounts: [
      irs('91-1234560'),
      account('NY-TAX', '911234560', null, { depositFrequency: '5-day' }),
      account('NY-DOL', '00-12348', '5.1'),
      account('NY-WCB', 'DB-884403', null, { depositFrequency: 'quarterly' }),
    ],
    bank: bank('Inn', '5500012408'),
    yearSoFar: {},
    file: staffFile({
      count: 24,
      from: 201,
      serial: 3000,
      street: 'Beacon Row',
      place: ['Saltmarsh', 'NY', '13999'],
      rate: 18,
      departments: ['Rooms', 'Desk', 'Grounds'],
      hours: '72',
    }),
    people: [
      person(
        1,
        'Cordelia Beck',
        ['1 Beacon Point', 'Saltmarsh', 'NY', '13999'],
        ['2015-03-01', '1970-07-21'],
        [
          salary('3900.00', 'biweekly'),
          w4({ filingStatus: 'married-jointly' }),
          place('NY'),
          certificate('NY', { filingStatus: 'married-jointly', allowances: 2 }),
        ],
      ),
    ],
  },
  {
    // The kitchen is run and paid apart from the inn; both are one employer to the tax agencies.
    client: client(
      'KITCHEN',
      'Harbor Light Inn Inc',
      'The Kitchen',
      '91-1234560',
      ['1 Beacon Point', 'Saltmarsh', 'NY', '13999'],
      ['Cordelia Beck', 'President'],
      {
        lookbackAmount: 16_100_000,
        facts: [employer('business', 'corporation', '941'), schedule('weekly', '2026-10-25', 4)],
      },
    ),
    accounts: [
      irs('91-1234560'),
      account('NY-TAX', '911234560', null, { depositFrequency: '5-day' }),
      account('NY-DOL', '00-12348', '5.1'),
      account('NY-WCB', 'DB-884403', null, { depositFrequency: 'quarterly' }),
    ],
    bank: bank('Kitchen', '5500012409'),
    yearSoFar: { owes: 'last check' },
    file: staffFile({
      count: 18,
      from: 301,
      serial: 4000,
      street: 'Galley Lane',
      place: ['Saltmarsh', 'NY', '13999'],
      rate: 19,
      departments: ['Line', 'Pastry', 'Dish'],
      hours: '36',
    }),
    people: [
      person(
        1,
        'Osric Pell',
        ['44 Ropewalk Street', 'Saltmarsh', 'NY', '13999'],
        ['2023-11-06', '1988-08-18'],
        [hourly('23.50', '40'), w4(), place('NY'), certificate('NY', { filingStatus: 'single', allowances: 1 })],
      ),
      person(
        2,
        'Wren Dabney',
        ['2 Scullery Yard', 'Saltmarsh', 'NY', '13999'],
        ['2026-10-12', null],
        [hourly('17.00', '30'), place('NY')],
        {
          street: '',
          city: '',
          zip: '',
        },
      ),
    ],
  },
  {
    client: client(
      'CHANDLERY',
      'Old Chandlery Shop Inc',
      '',
      '92-1234561',
      ['17 Capstan Street', 'Port Verity', 'TX', '77999'],
      ['Hester Dole', 'President'],
      {
        lookbackAmount: 9_400_000,
        facts: [
          employer('business', 'corporation', '941', { lastWages: '2026-09-30' }),
          schedule('biweekly', '2026-10-24', 4),
        ],
      },
    ),
    accounts: [irs('92-1234561'), account('TX-TWC', '99-004322-0', '2.7')],
    bank: bank('Shop', '5500012410'),
    yearSoFar: {
      isInTests: true,
      period: { periodStart: '2026-09-13', periodEnd: '2026-09-26', checkDate: '2026-09-30' },
      before: '2026-10-14',
    },
    file: staffFile({
      count: 9,
      from: 201,
      serial: 5000,
      street: 'Rope Walk',
      place: ['Port Verity', 'TX', '77999'],
      rate: 17,
      departments: ['Counter', 'Loft'],
      hours: '76',
    }),
    people: [
      person(
        1,
        'Hester Dole',
        ['19 Capstan Street', 'Port Verity', 'TX', '77999'],
        ['2012-02-06', '1959-09-09'],
        [
          hourly('22.00', '80'),
          w4(),
          place('TX'),
          fact('employment', { standing: 'ended', reason: 'The shop closed' }, '2026-10-01'),
        ],
      ),
    ],
  },
];

/** The employer with six hundred people: its people come from one file. */
export const LARGE = {
  client: client(
    'CANNERY',
    'Tidewater Cannery Corp',
    'Tidewater',
    '93-1234562',
    ['500 Packing Pier', 'Port Verity', 'TX', '77999'],
    ['Ambrose Kell', 'Controller'],
    {
      lookbackAmount: 512_000_000,
      facts: [employer('business', 'corporation', '941'), schedule('weekly', '2026-10-24', 5)],
    },
  ),
  accounts: [irs('93-1234562'), account('TX-TWC', '99-004323-0', '4.4')],
  bank: bank('Cannery', '5500012411'),
  yearSoFar: { owes: 'last check' },
  people: [],
  file: staffFile({
    count: 600,
    from: 1001,
    serial: 1000,
    street: 'Brine Street',
    place: ['Port Verity', 'TX', '77999'],
    rate: 16,
    departments: ['Packing', 'Dock', 'Cold store', 'Office'],
  }),
};
