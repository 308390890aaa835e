import { afterEach, describe, expect, it } from '@jest/globals';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { Route } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { asked, open, refusal, serve, session, startAnew, type Answers } from '../../testing/pages.js';
import { RulePackPage } from './rule-pack.js';
import { RulesPage } from './rules.js';

afterEach(startAnew);

const row = (more: Partial<Schemas['RuleRow']>): Schemas['RuleRow'] => ({
  parameter: 'US.oasdi.base',
  label: 'OASDI wage base',
  jurisdiction: 'US',
  from: '2026-01-01',
  until: '2027-01-01',
  value: '184,500.00',
  publication: 'Contribution and Benefit Base 2026',
  place: 'table of bases',
  standing: 'recalled',
  doubt: null,
  ...more,
});
const ROWS = [
  row({}),
  row({
    parameter: 'US.futa',
    label: 'FUTA rate',
    until: null,
    standing: 'verified',
    value: 'x'.repeat(200),
  }),
  row({ parameter: 'US.hi.rate', label: 'HI rate', value: '1.45%', doubt: 'The print was not at hand.' }),
];
const pack = (more: Partial<Schemas['RulePackRow']> = {}): Schemas['RulePackRow'] => ({
  id: 'p1',
  name: 'Wage base of 2027',
  status: 'proposed',
  rules: 3,
  places: 0,
  preparedBy: 'Tobias Renn',
  acceptedBy: null,
  createdAt: '2026-10-20T10:00:00Z',
  version: 1,
  ...more,
});
const answers = (more: Answers = {}): Answers => ({
  'GET /api/session': { body: session },
  'GET /api/rules': {
    body: [
      { code: 'US', name: 'Federal', parameters: 40, doubted: 3 },
      { code: 'NY', name: 'New York', parameters: 30, doubted: 9 },
    ],
  },
  'GET /api/rules/packs': {
    body: [pack(), pack({ id: 'p2', name: 'Old', status: 'in-force', acceptedBy: 'Ines Moor' })],
  },
  'GET /api/rules/rows': { body: ROWS },
  ...more,
});
const openRules = (path = '/rules') => open(path, <Route path="/rules" element={<RulesPage />} />);
const line = (text: string) => within(screen.getByText(text).closest('tr') as HTMLElement);
/** A file as a browser hands it over. */
const file = (name: string, content: string): File =>
  Object.assign(new File([content], name, { type: 'application/json' }), { text: () => Promise.resolve(content) });
function choose(given: File): void {
  const input = document.querySelector('input[type="file"]') as HTMLInputElement;
  fireEvent.change(input, { target: { files: [given] } });
}

describe('a locality entered on the spot', () => {
  const fill = (label: RegExp | string, value: string): void =>
    void fireEvent.change(screen.getByLabelText(label), { target: { value } });
  it('is proposed as a pack of its own, with only what belongs to its tax', async () => {
    serve(answers({ 'POST /api/rules/packs': { status: 201, body: { id: 'p9' } } }));
    openRules('/rules?at=OH');
    fireEvent.click(await screen.findByRole('button', { name: 'add a locality' }));
    await screen.findByLabelText('Municipality or county');
    fill('Municipality or county', 'Lower Harbor');
    fill(/^Rate of residents/, '2.0');
    fill('Tax', 'LST');
    fill('Amount', '52.00');
    fill('For', 'year-spread');
    fill(/^Publication/, 'Tax register');
    fill('Publisher', 'Lower Harbor');
    fireEvent.click(screen.getByRole('button', { name: 'Propose it' }));
    const sent = (): string[] => asked.filter((line) => !line.startsWith('GET'));
    await waitFor(() => expect(sent()).toHaveLength(1));
    const [, path, body] = /^(\S+ \S+) (.*)$/.exec(sent()[0] ?? '') ?? [];
    expect(path).toBe('POST /api/rules/packs');
    const { places, name } = (JSON.parse(body ?? '{}') as { content: { places: unknown[]; name: string } }).content;
    expect(name).toBe('Lower Harbor, OH: local services tax');
    expect(places).toEqual([
      {
        state: 'OH',
        name: 'Lower Harbor',
        tax: 'LST',
        fee: '52.00',
        feePer: 'year-spread',
        from: expect.stringMatching(/-01-01$/),
        publication: 'Tax register',
        publisher: 'Lower Harbor',
        edition: expect.any(String),
        standing: 'recalled',
      },
    ]);
  });
  it('that is refused keeps what was typed, and says what is missing', async () => {
    serve(answers({ 'POST /api/rules/packs': refusal(422, 'The publication is missing.') }));
    openRules();
    fireEvent.click(await screen.findByRole('button', { name: 'add a locality' }));
    await screen.findByLabelText('Municipality or county');
    fill('Municipality or county', 'Lower Harbor');
    fireEvent.click(screen.getByRole('button', { name: 'Propose it' }));
    expect(await screen.findByText(/The publication is missing/)).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>('Municipality or county').value).toBe('Lower Harbor');
  });
});

describe('the rules', () => {
  it('say from when, until which day, and where each value is printed', async () => {
    serve(answers());
    openRules();
    await screen.findByText('OASDI wage base');
    const base = line('OASDI wage base');
    // A rule ends where the next begins; people count the last day as theirs.
    expect(base.getByText('12/31/2026')).toBeTruthy();
    expect(base.getByText(/Contribution and Benefit Base 2026; table of bases/)).toBeTruthy();
    expect(base.getByText('recalled, not yet verified')).toBeTruthy();
    expect(line('FUTA rate').getByText('verified against the print')).toBeTruthy();
    expect(line('HI rate').getByText(/not yet verified\. The print was not at hand\./)).toBeTruthy();
  });
  it('cut a long value, and leave an open end open', async () => {
    serve(answers());
    openRules();
    await screen.findByText('FUTA rate');
    expect(line('FUTA rate').getByText(`${'x'.repeat(130)}…`)).toBeTruthy();
    expect(line('FUTA rate').queryByText(/2027/)).toBeNull();
  });
  it('are found by words, which stay in the address', async () => {
    serve(answers());
    openRules();
    await screen.findByText('HI rate');
    fireEvent.change(screen.getByRole('textbox', { name: 'Find a rule' }), { target: { value: 'OASDI' } });
    await waitFor(() => expect(screen.queryByText('HI rate')).toBeNull());
    expect(screen.getByText('OASDI wage base')).toBeTruthy();
    expect(screen.getAllByRole('status').at(-1)?.textContent).toContain('find=OASDI');
    fireEvent.change(screen.getByRole('textbox', { name: 'Find a rule' }), { target: { value: 'tulips' } });
    expect(await screen.findByText('No rule here matches.')).toBeTruthy();
  });
  it('of another jurisdiction are asked for', async () => {
    serve(answers());
    openRules('/rules?at=NY');
    await screen.findByText('HI rate');
    expect(asked).toContain('GET /api/rules/rows?jurisdiction=NY');
    expect(screen.getByRole<HTMLSelectElement>('combobox', { name: 'Jurisdiction' }).value).toBe('NY');
  });
});

describe('rule packs', () => {
  it('stand with who proposed and who accepted them, and next year can be carried forward', async () => {
    serve(answers());
    openRules();
    await screen.findByText('Wage base of 2027');
    expect(line('Old').getByText('Ines Moor')).toBeTruthy();
    expect(screen.getByText('2027, carried forward').getAttribute('href')).toBe('/api/rules/carry/2027');
  });
  it('none: every figure follows what is loaded', async () => {
    serve(answers({ 'GET /api/rules/packs': { body: [] } }));
    openRules();
    expect(await screen.findByText('No rule pack yet: every figure follows the rules below.')).toBeTruthy();
  });
  it.each([
    ['notes.txt', 'wage base 2027'],
    ['list.json', '[1, 2]'],
    ['null.json', 'null'],
  ])('%s is no pack, which is told before anything is sent', async (name, content) => {
    serve(answers());
    openRules();
    await screen.findByText('Old');
    choose(file(name, content));
    expect((await screen.findByRole('alert')).textContent).toContain(`${name} is not a rule pack`);
    expect(asked.filter((call) => call.startsWith('POST'))).toEqual([]);
  });
  it('a file is proposed as it is, and its page opens', async () => {
    serve(answers({ 'POST /api/rules/packs': { status: 201, body: { id: 'p9' } } }));
    openRules();
    await screen.findByText('Old');
    choose(file('base.json', '{"name":"Base","rows":[]}'));
    await waitFor(() => expect(screen.getAllByRole('status').at(-1)?.textContent).toBe('/rules/packs/p9'));
    expect(asked).toContain('POST /api/rules/packs {"content":{"name":"Base","rows":[]}}');
  });
  it('what the server refuses is shown field by field', async () => {
    const problems = [
      {
        field: 'rows[2].from',
        severity: 'error',
        sentence: '2027-13-01 is not a calendar day.',
        fix: 'Write it like 2027-01-01.',
      },
    ];
    serve(answers({ 'POST /api/rules/packs': refusal(422, 'The pack cannot be read.', problems) }));
    openRules();
    await screen.findByText('Old');
    choose(file('base.json', '{"rows":[]}'));
    expect(await screen.findByText(/2027-13-01 is not a calendar day\./)).toBeTruthy();
  });
});

describe('one rule pack', () => {
  const view = (more: Partial<Schemas['RulePackView']> = {}): Schemas['RulePackView'] => ({
    ...pack(),
    rules: 1,
    places: 2,
    changes: [
      {
        parameter: 'US.oasdi.base',
        label: 'OASDI wage base',
        from: '2027-01-01',
        path: '',
        before: '184,500.00',
        after: '190,200.00',
      } as Schemas['RuleChangeRow'],
    ],
    effects: [
      {
        clientId: 'c1',
        clientName: 'Gannet Boatyard',
        checkDate: '2027-01-08',
        people: 2,
        moved: 0,
        netBefore: 300_000,
        netAfter: 300_000,
        employerBefore: 20_000,
        employerAfter: 20_000,
        note: 'no pay schedule: taken as biweekly',
      } as Schemas['RuleEffectRow'],
    ],
    ...more,
  });
  const openPack = (of: Partial<Schemas['RulePackView']>, role: string, more: Answers = {}) => {
    serve({
      'GET /api/session': { body: { ...session, user: { ...session.user, role } } },
      'GET /api/rules/packs/p1': { body: view(of) },
      ...more,
    });
    open('/rules/packs/p1', <Route path="/rules/packs/:packId" element={<RulePackPage />} />);
    return screen.findByText('What it moves');
  };

  it('shows what moves in the rules and in the next payroll of each client', async () => {
    await openPack({}, 'preparer');
    expect(screen.getByText('1 rule and 2 localities, proposed by Tobias Renn.')).toBeTruthy();
    expect(screen.getByText('190,200.00')).toBeTruthy();
    expect(line('Gannet Boatyard').getByText('–')).toBeTruthy();
    expect(screen.getByText('no pay schedule: taken as biweekly')).toBeTruthy();
  });
  it.each([
    ['proposed', 'It counts for nothing until an administrator accepts it.'],
    ['in-force', 'It counts from its first day on; an administrator can withdraw it.'],
  ] as const)('a preparer can only look at one that is %s', async (status, words) => {
    await openPack({ status }, 'preparer');
    expect(screen.getByText(words)).toBeTruthy();
    expect(screen.queryByRole('button', { name: /Accept|withdraw/ })).toBeNull();
  });
  it.each([
    ['Accept: compute with it from its first day on', 'accept'],
    ['withdraw it', 'withdraw'],
  ])('an administrator may say: %s', async (name, act) => {
    await openPack({ version: 4 }, 'administrator', { [`POST /api/rules/packs/p1/${act}`]: { body: view() } });
    fireEvent.click(await screen.findByRole('button', { name }));
    await waitFor(() => expect(asked).toContain(`POST /api/rules/packs/p1/${act} {"version":4}`));
  });
  it('what somebody else did meanwhile is told', async () => {
    await openPack({}, 'administrator', {
      'POST /api/rules/packs/p1/accept': refusal(409, 'Somebody withdrew it meanwhile.'),
    });
    fireEvent.click(await screen.findByRole('button', { name: /Accept/ }));
    expect(await screen.findByText('Somebody withdrew it meanwhile.')).toBeTruthy();
  });
  it('one that was withdrawn has nothing to act on', async () => {
    await openPack({ status: 'withdrawn' }, 'administrator');
    expect(screen.queryByRole('button', { name: /Accept|withdraw/ })).toBeNull();
  });
  it('tells when nothing moves, and counts what it does not list', async () => {
    await openPack({ changes: [], effects: [] }, 'preparer');
    expect(screen.getByText(/No value moves/)).toBeTruthy();
    expect(screen.getByText('No client has people to pay.')).toBeTruthy();
    startAnew();
    const [change] = view().changes;
    if (!change) throw new Error('no change');
    await openPack({ changes: Array.from({ length: 230 }, () => change) }, 'preparer');
    expect(screen.getByText('And 30 more.')).toBeTruthy();
  });
});
