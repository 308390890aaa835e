import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, renderHook, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import type { Schemas } from '../../api/client.js';
import { Calculator, type CalcAnswer, type SentRequest } from '../../calc/calc.worker.js';
import { WorkingProvider } from '../../kit/working.js';
import { startAnew } from '../../testing/pages.js';
import { payrollPerson, startOf } from '../../testing/payroll-people.js';
import { useSheet } from './use-sheet.js';

/** The worker in the same thread. */
class WorkerHere {
  onmessage: ((event: { data: CalcAnswer }) => void) | null = null;
  private readonly calculator = new Calculator();
  postMessage(request: SentRequest): void {
    const data = this.calculator.answer(JSON.parse(JSON.stringify(request)) as SentRequest);
    queueMicrotask(() => this.onmessage?.({ data }));
  }
  terminate(): void {
    this.onmessage = null;
  }
}

interface Put {
  readonly body: Schemas['SavePayroll'];
  readonly answer: (status?: number) => void;
}
/** Saves that wait for their answer. */
const puts: Put[] = [];

const base = startOf(
  'TX',
  {},
  {
    garnishments: [{ kind: 'child-support', label: 'D-1', amount: '100.00' }],
  },
);
const payroll = (version: number, earnings: Schemas['EntryEarning'][]): Schemas['PayrollView'] =>
  ({
    id: 'p1',
    version,
    own: {},
    persons: [payrollPerson({ employeeId: 'e1', workState: 'TX', base, earnings })],
  }) as unknown as Schemas['PayrollView'];
/** The payroll as the server has it, where somebody else works on it too. */
let stands: Schemas['PayrollView'];
const two = (
  version: number,
  hours: readonly [string, string],
  more: Partial<Schemas['PayrollView']> = {},
): Schemas['PayrollView'] => ({
  ...payroll(version, []),
  status: 'open',
  persons: hours.map((regular, index) =>
    payrollPerson({
      employeeId: `e${index + 1}`,
      name: ['Wil Sprague', 'Bo Larch'][index] ?? '',
      workState: 'TX',
      base,
      earnings: [{ rate: '20.00', item: 'regular', hours: regular }],
    }),
  ),
  ...more,
});
const START = payroll(1, [{ item: 'regular', hours: '40', rate: '20.00' }]);

const setUp = (): void => {
  jest.useFakeTimers({ doNotFake: ['queueMicrotask', 'nextTick', 'setImmediate'] });
  puts.length = 0;
  Object.assign(globalThis, { Worker: WorkerHere });
  stands = START;
  const respond = (status: number, content: object): Response => {
    const text = JSON.stringify(content);
    return {
      ok: status < 400,
      status,
      headers: new Headers({ 'content-length': String(text.length) }),
      text: () => Promise.resolve(text),
      json: () => Promise.resolve(content),
      clone: () => ({ text: () => Promise.resolve(text) }),
    } as unknown as Response;
  };
  const answer = async (input: Request): Promise<Response> => {
    if (input.method === 'GET')
      return respond(
        200,
        input.url.endsWith('/latest')
          ? { version: stands.version, status: stands.status, by: 'Ines Marchetti', isOwn: false }
          : stands,
      );
    if (input.method === 'POST') {
      stands = { ...stands, status: 'open', version: stands.version + 1 };
      return respond(200, stands);
    }
    const body = JSON.parse(await input.clone().text()) as Schemas['SavePayroll'];
    return new Promise((resolve) => {
      puts.push({
        body,
        answer: (status = 200) => {
          const saved =
            status === 200
              ? payroll(body.version + 1, body.entries[0]?.earnings ?? [])
              : { status, detail: 'Somebody else saved this payroll meanwhile.', code: 'conflict', problems: [] };
          resolve(respond(status, saved));
        },
      });
    });
  };
  (globalThis as unknown as { testServer: { answer: typeof answer } }).testServer.answer = answer;
};
const tearDown = (): void => {
  jest.useRealTimers();
  startAnew();
};

const wrapper = ({ children }: { readonly children: ReactNode }) => (
  <QueryClientProvider client={new QueryClient()}>
    <WorkingProvider>{children}</WorkingProvider>
  </QueryClientProvider>
);
const start = (from = START) => {
  stands = from;
  return renderHook(() => useSheet(from), { wrapper }).result;
};
type Sheet = ReturnType<typeof start>;
const rowOf = (sheet: Sheet) => sheet.current.rows[0];
const type = (sheet: Sheet, value: string): void => act(() => sheet.current.type('e1', 'line', value));
const pause = (milliseconds: number): Promise<void> => act(() => jest.advanceTimersByTimeAsync(milliseconds));

describe('a payroll sheet', () => {
  // Its own clock is for its own tests: suites are gathered into one file.
  beforeEach(setUp);
  afterEach(tearDown);
  it('computes at once, and saves after a pause', async () => {
    const sheet = start();
    type(sheet, '38 reg bonus 100');
    expect(sheet.current.saving).toBe('typing');
    await waitFor(() => expect(rowOf(sheet)?.check.gross).toBe(86_000));
    expect(puts.length).toBe(0);
    await pause(800);
    expect([puts.length, sheet.current.saving]).toEqual([1, 'saving']);
    expect(puts[0]?.body).toMatchObject({ version: 1, entries: [{ earnings: [{ hours: '38' }, { amount: '100' }] }] });
    puts[0]?.answer();
    await waitFor(() => expect(sheet.current.saving).toBe('saved'));
  });
  it('is not saved while something typed since is not', async () => {
    const sheet = start();
    type(sheet, '38 reg');
    await pause(800);
    type(sheet, '39 reg');
    puts[0]?.answer();
    await pause(100);
    expect(sheet.current.saving).toBe('typing');
    await pause(800);
    expect(puts[1]?.body).toMatchObject({ version: 2, entries: [{ earnings: [{ hours: '39' }] }] });
    puts[1]?.answer();
    await waitFor(() => expect(sheet.current.saving).toBe('saved'));
  });
  it('sends one save after the other, each of the version that the one before made', async () => {
    const sheet = start();
    type(sheet, '38 reg');
    await pause(800);
    type(sheet, '39 reg');
    await pause(800);
    // The second waits for the first, however long that takes.
    expect(puts.length).toBe(1);
    puts[0]?.answer();
    await waitFor(() => expect(puts.length).toBe(2));
    expect([puts[1]?.body.version, sheet.current.saving]).toEqual([2, 'saving']);
    puts[1]?.answer();
    await waitFor(() => expect(sheet.current.saving).toBe('saved'));
  });
  it('acts only on what is saved', async () => {
    const sheet = start();
    expect(await sheet.current.flush()).toBe(1);
    type(sheet, '38 reg');
    const flushed = sheet.current.flush();
    await waitFor(() => expect(puts.length).toBe(1));
    puts[0]?.answer();
    await act(async () => expect(await flushed).toBe(2));
  });
  it('a save that is refused says so and keeps what was typed', async () => {
    const sheet = start();
    type(sheet, '38 reg');
    await pause(800);
    puts[0]?.answer(409);
    await waitFor(() => expect(sheet.current.saving).toBe('failed'));
    expect([sheet.current.error?.message, rowOf(sheet)?.values['regular']]).toEqual([
      'Somebody else saved this payroll meanwhile.',
      '38',
    ]);
    // The next pause tries again.
    type(sheet, '37 reg');
    await pause(800);
    expect(puts.length).toBe(2);
    puts[1]?.answer();
    await waitFor(() => expect(sheet.current.saving).toBe('saved'));
  });
  it('saves what was typed in the last moment when the page is left', async () => {
    const { result, unmount } = renderHook(() => useSheet(START), { wrapper });
    act(() => result.current.type('e1', 'line', '38 reg'));
    unmount();
    await pause(0);
    expect(puts[0]?.body.entries[0]?.earnings[0]).toMatchObject({ hours: '38' });
  });
  it('finds the amount that leaves a net in the hand, pays it, and saves that', async () => {
    const sheet = start();
    type(sheet, 'bonus net 500');
    await waitFor(() => expect(rowOf(sheet)?.values['bonus']).toBeDefined());
    await pause(800);
    const bonus = puts[0]?.body.entries[0]?.earnings.find((line) => line.item === 'bonus');
    expect(bonus?.amount).toBe(rowOf(sheet)?.values['bonus']);
    expect([Number(bonus?.amount) > 500, sheet.current.note]).toEqual([true, null]);
  });
  it('says when no amount does, and pays none', async () => {
    const sheet = start();
    type(sheet, 'bonus net 5000000000');
    await waitFor(() => expect(sheet.current.note).toBe('no amount leaves 5000000000.00 in the hand'));
    expect(rowOf(sheet)?.values['bonus']).toBeUndefined();
    type(sheet, '38 reg');
    expect(sheet.current.note).toBeNull();
  });
  it('leaves a line out with its reason, and says what cannot be read', async () => {
    const sheet = start();
    act(() => sheet.current.leaveOut('e1', 'order:D-1', 'lifted'));
    await waitFor(() => expect(rowOf(sheet)?.check.problems.length).toBe(1));
    await pause(800);
    expect(puts[0]?.body.entries[0]?.leftOut).toEqual([{ line: 'order:D-1', reason: 'lifted' }]);
    type(sheet, '8 holidays');
    expect(sheet.current.unread).toMatchObject([{ employeeId: 'e1', text: '8 holidays' }]);
    expect(sheet.current.unread[0]?.why).toMatch(/holidays is not known/);
  });
  it('takes another amount of a line in one step, and no longer once the line is gone', async () => {
    const sheet = start();
    act(() => sheet.current.type('e1', 'section-125-health', '62'));
    act(() =>
      sheet.current.override('e1', [
        { line: 'item:section-125-health', instead: { amount: '20.00', reason: 'short week', isOwed: true } },
        { line: 'order:D-1', instead: { amount: '50.00', reason: 'as the letter says' } },
      ]),
    );
    await waitFor(() => expect(rowOf(sheet)?.check.owed).toEqual({ 'item:section-125-health': 4_200 }));
    expect(rowOf(sheet)?.check.taken['order:D-1']).toBe(5_000);
    await pause(800);
    expect(puts.at(-1)?.body.entries[0]?.overridden?.map(({ line }) => line)).toEqual([
      'item:section-125-health',
      'order:D-1',
    ]);
    puts.at(-1)?.answer();
    await waitFor(() => expect(sheet.current.saving).toBe('saved'));
    act(() => sheet.current.type('e1', 'section-125-health', ''));
    await pause(800);
    expect(puts.at(-1)?.body.entries[0]?.overridden?.map(({ line }) => line)).toEqual(['order:D-1']);
    act(() => void sheet.current.undo());
    act(() => void sheet.current.undo());
    expect(rowOf(sheet)?.overridden).toEqual([]);
  });
  it('says which deductions give way where the pay does not reach', async () => {
    const sheet = start();
    act(() =>
      sheet.current.typeAll([
        { employeeId: 'e1', column: 'regular', value: '6' },
        { employeeId: 'e1', column: 'section-125-health', value: '90' },
      ]),
    );
    await waitFor(() => expect(rowOf(sheet)?.check.net).toBeLessThan(0));
    const answer: { lines: unknown } = { lines: null };
    await act(async () => {
      answer.lines = await sheet.current.giveWay('e1');
    });
    expect(answer.lines).toMatchObject([{ line: 'item:section-125-health', computed: '90.00', isOwed: true }]);
    expect(await sheet.current.giveWay('nobody')).toBeNull();
  });
  it('takes back a cell, a line and a paste, step by step, and does them again', async () => {
    const sheet = start();
    act(() => sheet.current.type('e1', 'overtime', '3'));
    type(sheet, '38 reg bonus 100');
    act(() =>
      sheet.current.typeAll([
        { employeeId: 'e1', column: 'regular', value: '30' },
        { employeeId: 'e1', column: 'sick', value: '8' },
      ]),
    );
    const hours = () => ['regular', 'overtime', 'sick', 'bonus'].map((name) => rowOf(sheet)?.values[name] ?? '');
    expect(hours()).toEqual(['30', '3', '8', '100']);
    act(() => void sheet.current.undo());
    expect([hours(), rowOf(sheet)?.line]).toEqual([['38', '3', '', '100'], '38 reg bonus 100']);
    act(() => void sheet.current.undo());
    expect([hours(), rowOf(sheet)?.line]).toEqual([['40', '3', '', ''], '']);
    act(() => void sheet.current.undo());
    expect(hours()).toEqual(['40', '', '', '']);
    act(() => expect(sheet.current.undo()).toBe(false));
    act(() => void sheet.current.redo());
    expect(hours()).toEqual(['40', '3', '', '']);
    await pause(800);
    expect(puts.at(-1)?.body.entries[0]?.earnings).toEqual([
      { item: 'regular', hours: '40', rate: '20.00' },
      { item: 'overtime', hours: '3', rate: '20.00' },
    ]);
  });
  it('takes back what was withheld as one step, and not together with what was typed before', async () => {
    const sheet = start();
    type(sheet, '38 reg');
    for (const amount of ['4', '41', '41.5']) act(() => sheet.current.withhold('e1', 'US-FIT', amount));
    act(() => sheet.current.withhold('e1', 'NY-SIT', '9', 'Asked for'));
    const stands = () => [rowOf(sheet)?.values['regular'], rowOf(sheet)?.withheld.map(({ amount }) => amount)];
    expect(stands()).toEqual(['38', ['41.5', '9']]);
    act(() => void sheet.current.undo());
    expect(stands()).toEqual(['38', ['41.5']]);
    act(() => void sheet.current.undo());
    expect(stands()).toEqual(['38', []]);
    act(() => void sheet.current.redo());
    expect(stands()).toEqual(['38', ['41.5']]);
    // Once a step was taken back, the next letter is a step of its own.
    act(() => sheet.current.withhold('e1', 'US-FIT', '41.50'));
    act(() => void sheet.current.undo());
    act(() => void sheet.current.undo());
    expect(stands()).toEqual(['38', []]);
    await pause(800);
    expect(puts.at(-1)?.body.entries[0]).not.toHaveProperty('withheld');
  });
  it('keeps every line of a pasted column that is not understood, each with its person', () => {
    const sheet = start();
    act(() => sheet.current.typeAll([{ employeeId: 'e1', column: 'line', value: '72 reg 8 zzz' }]));
    expect(sheet.current.unread).toMatchObject([{ name: 'Wil Sprague', text: '72 reg 8 zzz' }]);
    // The next cell does not take the message away.
    act(() => sheet.current.type('e1', 'bonus', '5'));
    expect(sheet.current.unread.length).toBe(1);
    type(sheet, '72 reg 8 pto');
    expect(sheet.current.unread).toEqual([]);
  });

  describe('beside somebody else', () => {
    const START_OF_TWO = two(1, ['40', '40']);
    const hoursOf = (sheet: Sheet) => sheet.current.rows.map((row) => row.values['regular']);
    it('sends the lines of those alone that were typed for', async () => {
      const sheet = start(START_OF_TWO);
      type(sheet, '38 reg');
      await pause(800);
      expect(puts[0]?.body.entries.map(({ employeeId }) => employeeId)).toEqual(['e1']);
    });
    it('shows what the other one saved, and who it was', async () => {
      const sheet = start(START_OF_TWO);
      act(() => sheet.current.type('e2', 'regular', '39'));
      await pause(800);
      stands = two(2, ['40', '39']);
      puts[0]?.answer();
      await waitFor(() => expect(sheet.current.saving).toBe('saved'));
      stands = two(3, ['40', '31']);
      await pause(3_200);
      await waitFor(() => expect(hoursOf(sheet)).toEqual(['40', '31']));
      expect(sheet.current.note).toBe('Ines Marchetti saved Bo Larch');
      act(() => expect(sheet.current.undo()).toBe(false));
      type(sheet, '38 reg');
      await pause(800);
      expect(puts[1]?.body.version).toBe(3);
    });
    it('lays what was typed for others upon what the other one saved first, and loses neither', async () => {
      const sheet = start(START_OF_TWO);
      await pause(100);
      type(sheet, '38 reg');
      stands = two(2, ['40', '31']);
      await pause(800);
      puts[0]?.answer(409);
      await waitFor(() => expect(puts.length).toBe(2));
      expect(puts[1]?.body).toMatchObject({ version: 2, entries: [{ employeeId: 'e1' }] });
      puts[1]?.answer();
      await waitFor(() => expect(sheet.current.saving).toBe('saved'));
      expect([hoursOf(sheet), sheet.current.error, sheet.current.clashes]).toEqual([['38', '31'], null, []]);
    });
    it.each([
      ['mine', '38', [{ item: 'regular', hours: '38', rate: '20.00' }]],
      ['theirs', '35', null],
    ] as const)('asks whose lines stand where both typed for one person: %s', async (whose, hours, sent) => {
      const sheet = start(START_OF_TWO);
      await pause(100);
      type(sheet, '38 reg');
      stands = two(2, ['35', '40']);
      await pause(800);
      puts[0]?.answer(409);
      await waitFor(() => expect(sheet.current.clashes.length).toBe(1));
      expect([puts.length, hoursOf(sheet)[0]]).toEqual([1, '38']);
      await expect(sheet.current.flush()).rejects.toThrow(/not decided/);
      act(() => sheet.current.decide('e1', whose));
      await pause(800);
      expect([sheet.current.clashes, hoursOf(sheet)[0], puts[1]?.body.entries[0]?.earnings ?? null]).toEqual([
        [],
        hours,
        sent,
      ]);
    });
    it('says that it was reviewed meanwhile, and saves what was typed once it is reopened', async () => {
      const sheet = start(START_OF_TWO);
      await pause(100);
      type(sheet, '38 reg');
      stands = two(3, ['40', '40'], { status: 'reviewed' });
      await pause(800);
      puts[0]?.answer(409);
      await waitFor(() =>
        expect(sheet.current.overtaken).toMatchObject({
          status: 'reviewed',
          by: 'Ines Marchetti',
          names: ['Wil Sprague'],
        }),
      );
      expect(hoursOf(sheet)[0]).toBe('38');
      act(() => void sheet.current.saveAfterReview());
      await waitFor(() => expect(puts.length).toBe(2));
      expect(puts[1]?.body).toMatchObject({ version: 4, entries: [{ employeeId: 'e1' }] });
      puts[1]?.answer();
      await waitFor(() => expect([sheet.current.saving, sheet.current.overtaken]).toEqual(['saved', null]));
    });
    it('names whoever left the payroll although something was typed for them', async () => {
      const sheet = start(START_OF_TWO);
      await pause(100);
      act(() => sheet.current.type('e2', 'line', '38 reg'));
      stands = { ...two(2, ['40', '40']), persons: two(2, ['40', '40']).persons.slice(0, 1) };
      await pause(800);
      puts[0]?.answer(409);
      await waitFor(() => expect(sheet.current.note).toBe('Bo Larch is not in this payroll any more'));
      expect(sheet.current.rows.length).toBe(1);
    });
  });
});
