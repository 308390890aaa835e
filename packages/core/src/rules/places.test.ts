import { describe, expect, it } from '@jest/globals';
import { runCase } from '../casefile/run-case.js';

const bexley = (more: Record<string, unknown> = {}) => ({
  state: 'OH',
  name: 'Lower Harbor',
  tax: 'LIT',
  wages: 'medicare',
  resident: '2.5',
  nonresident: '2.5',
  creditShare: '65',
  creditRate: '2.0',
  from: '2026-01-01',
  publication: 'Ordinance 7',
  publisher: 'Village of Lower Harbor',
  edition: '2025',
  ...more,
});
const check = (home: string, work: string, places: unknown[], state = 'OH') =>
  runCase({
    id: 'x',
    checkDate: '2026-05-01',
    payFrequency: 'biweekly',
    employee: {
      federal: { form: '2020', filingStatus: 'single' },
      residence: { state, locality: home },
      work: [{ state, locality: work }],
    },
    employer: { unemploymentRates: { [state]: '2.7' } },
    earnings: [{ item: 'salary', amount: '2000.00' }],
    ...(places.length > 0 ? { places } : {}),
  });
const local = (answer: ReturnType<typeof check>) =>
  answer.taxes.filter((tax) => /-(LIT|PET)$/.test(tax.code)).map((tax) => `${tax.code} ${tax.amount}`);

describe('localities of the firm’s own', () => {
  it('a place that is missing is an error that says how to add it', () => {
    const { problems } = check('Lower Harbor', 'Columbus', []);
    expect(problems.map((problem) => problem.code)).toContain('rule.locality-unknown');
    expect(problems.find((problem) => problem.code === 'rule.locality-unknown')?.fix).toContain('CSV');
  });
  it('an added place works by the method of its state, credit and all', () =>
    // 65% of the smaller of 2.5% paid in Columbus and 2.0%: 26.00 off 50.00.
    expect(local(check('Lower Harbor', 'Columbus', [bexley()]))).toEqual([
      'OH-COLUMBUS-LIT 50.00',
      'OH-LOWER-HARBOR-LIT 24.00',
    ]));
  it('the later row of a place counts', () =>
    expect(
      local(check('Lower Harbor', 'Lower Harbor', [bexley(), bexley({ from: '2026-04-01', resident: '3.0' })])),
    ).toEqual(['OH-LOWER-HARBOR-LIT 60.00']));
  it('in a state where we have no places the tax is where the work is', () =>
    expect(
      local(
        check(
          'Pier',
          'Pier',
          [bexley({ state: 'TX', name: 'Pier', tax: 'PET', resident: '1', nonresident: '1' })],
          'TX',
        ),
      ),
    ).toEqual(['TX-PIER-PET 20.00']));
  it.each<[Record<string, unknown>, string]>([
    [{ state: 'ZZ' }, 'places[0].state'],
    [{ tax: 'SALES' }, 'places[0].tax'],
    [{ resident: 'two' }, 'places[0].resident'],
    [{ resident: '250' }, 'places[0].resident'],
    [{ resident: '', nonresident: '' }, 'places[0].resident'],
    [{ from: 'soon' }, 'places[0].from'],
    [{ edition: '' }, 'places[0].edition'],
    [{ colour: 'green' }, 'places[0].colour'],
  ])('%j is named', (more, field) => {
    const { problems, net } = check('Lower Harbor', 'Columbus', [bexley(more)]);
    expect(problems.map((problem) => problem.field)).toContain(field);
    expect(net).toBeNull();
  });
});

describe('fees of the firm’s own places', () => {
  const place = (more: Record<string, unknown>) => ({
    state: 'PA',
    name: 'Eel Weir Township',
    from: '2026-01-01',
    publication: 'Tax register',
    publisher: 'Eel Weir Township',
    edition: '2026',
    ...more,
  });
  const income = place({ tax: 'EIT', wages: 'state-income', resident: '1.2', nonresident: '1.0' });
  const services = place({ tax: 'LST', fee: '52.00', feePer: 'year-spread', feeFromWages: '12000' });
  const lines = (places: unknown[], state = 'PA', name = 'Eel Weir Township') =>
    check(name, name, places, state)
      .taxes.filter((tax) => /-(EIT|LST|OPT-E[ER])$/.test(tax.code))
      .map((tax) => `${tax.code} ${tax.payer} ${tax.amount}`);

  it('a township has its income tax and its services tax, rounded down a check as Act 7 has it', () =>
    // 2,000.00 × 1.2%, and 52.00 ÷ 26.
    expect(lines([income, services])).toEqual([
      'PA-EEL-WEIR-TOWNSHIP-EIT employee 24.00',
      'PA-EEL-WEIR-TOWNSHIP-LST employee 2.00',
    ]));
  it('low wages alone exempt nobody: that takes a certificate', () =>
    expect(lines([income, { ...services, feeFromWages: '52000.01' }])).toContain(
      'PA-EEL-WEIR-TOWNSHIP-LST employee 2.00',
    ));
  it('half of a credit is no credit: the other half is asked for', () =>
    expect(
      check('Eel Weir Township', 'Eel Weir Township', [{ ...income, creditShare: '50' }], 'PA').problems.map(
        ({ field }) => field,
      ),
    ).toContain('places[0].creditRate'));
  it('a fee of the month for both payers', () => {
    const of = (tax: string, fee: string) =>
      place({ state: 'CO', name: 'Salt Fork', tax, fee, feePer: 'month', feeFromWages: '500' });
    expect(lines([of('OPT-EE', '2.00'), of('OPT-ER', '3.00')], 'CO', 'Salt Fork')).toEqual([
      'CO-SALT-FORK-OPT-EE employee 2.00',
      'CO-SALT-FORK-OPT-ER employer 3.00',
    ]);
  });
  it.each([
    [{ ...services, fee: undefined }, 'places[0].fee'],
    [{ ...services, feePer: 'fortnight' }, 'places[0].feePer'],
    [{ ...income, fee: '5.00' }, 'places[0].fee'],
    [{ ...services, fee: 'five' }, 'places[0].fee'],
  ])('%j is refused, with the field', (row, field) =>
    expect(check('Eel Weir Township', 'Eel Weir Township', [row], 'PA').problems.map((issue) => issue.field)).toContain(
      field,
    ),
  );
});
