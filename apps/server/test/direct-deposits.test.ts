import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { Courier } from '../src/queue/courier.js';
import { Stack, postPayroll, takeOn, until, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let reviewer: Caller;
let client: { id: string; bankId: string; employeeIds: string[] };
beforeAll(async () => {
  stack = await Stack.start();
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  reviewer = await stack.signIn('Alder', 'reviewer');
  client = await takeOn(preparer, 'DEPO', 3);
  // The first has two accounts, the second one that no bank knows, the third is paid by check.
  await account(0, { label: 'Savings', share: 'amount', amount: '300.00', type: 'savings', account: '7700112233' });
  await account(0, { label: 'Household', share: 'rest', account: '5500998877' });
  await account(1, { label: 'Household', share: 'rest', account: '5599990403' });
}, 120_000);
afterAll(() => stack.stop(), 30_000);

const account = async (person: number, more: Record<string, string>, from = '2026-01-01'): Promise<void> => {
  const answer = await preparer('POST', `/employees/${client.employeeIds[person] ?? ''}/facts`, {
    kind: 'bank',
    from,
    value: { routing: '000000123', type: 'checking', prenote: 'wanted', ...more },
  });
  expect(answer.status).toBe(201);
};
const standings = async (): Promise<string[]> =>
  (
    (await preparer('GET', `/clients/${client.id}/prenotes`)).body as {
      accounts: { name: string; label: string; standing: string }[];
    }
  ).accounts.map((one) => `${one.label} ${one.standing}`);
const prenoteGaps = async (): Promise<string[]> =>
  ((await preparer('GET', `/clients/${client.id}/readiness`)).body as { gaps: { key: string; says: string }[] }).gaps
    .filter((gap) => gap.key.startsWith('prenote'))
    .map((gap) => gap.says);
const fileOf = async (id: string): Promise<string> => {
  const [row] = (await stack.dataSource.query(
    `SELECT d.id FROM document d JOIN direct_deposit f ON f.document_id = d.id WHERE f.id = $1`,
    [id],
  )) as { id: string }[];
  return row?.id ?? '';
};

describe('prenotes', () => {
  let id = '';
  it('are asked for by the record, and wait', async () => {
    expect(await standings()).toEqual(['Savings wanted', 'Household wanted', 'Household wanted']);
    expect(await prenoteGaps()).toHaveLength(3);
  });
  it('are planned once, whoever asks at the same moment', async () => {
    const answers = await Promise.all(
      Array.from({ length: 4 }, () =>
        preparer('POST', `/clients/${client.id}/prenotes`, { bankAccountId: client.bankId }),
      ),
    );
    expect(answers.map((answer) => answer.status).sort()).toEqual([201, 409, 409, 409]);
    const made = answers.find((answer) => answer.status === 201)?.body as { files: { id: string; entries: number }[] };
    expect(made.files).toHaveLength(1);
    expect(made.files[0]?.entries).toBe(3);
    id = made.files[0]?.id ?? '';
  });
  it('are released by another person, once', async () => {
    expect((await preparer('POST', `/direct-deposits/${id}/release`, { version: 1 })).status).toBe(422);
    const slip = (await reviewer('GET', `/direct-deposits/${id}/slip`)).body;
    expect([slip.mayRelease, slip.amount]).toEqual([true, null]);
    // Account numbers are not shown in whole.
    expect(slip.file).toContain('******2233');
    expect(slip.file).not.toContain('7700112233');
    const answers = await Promise.all(
      Array.from({ length: 6 }, () => reviewer('POST', `/direct-deposits/${id}/release`, { version: 1 })),
    );
    expect(answers.map((answer) => answer.status).sort()).toEqual([200, 409, 409, 409, 409, 409]);
    expect(await standings()).toEqual(['Savings sent', 'Household sent', 'Household sent']);
    expect(await prenoteGaps()).toEqual([]);
    expect(await fileOf(id)).not.toBe('');
  });
  it('count as confirmed on the third banking day, but not those that come back', async () => {
    await until(
      () => preparer('GET', `/clients/${client.id}/prenotes`),
      (answer) => /Sent once/.test((answer.body as { files: { delivery: string }[] }).files[0]?.delivery ?? ''),
    );
    await stack.console('date', { today: '2026-10-23' });
    await until(
      () => preparer('GET', `/clients/${client.id}/prenotes`),
      (answer) => (answer.body as { files: { status: string }[] }).files[0]?.status === 'settled',
    );
    await stack.console('date', { today: '2026-10-26' });
    await until(standings, (all) => all[2] === 'Household returned');
    expect(await standings()).toEqual(['Savings sent', 'Household sent', 'Household returned']);
    await stack.console('date', { today: '2026-10-28' });
    expect(await standings()).toEqual(['Savings confirmed', 'Household confirmed', 'Household returned']);
    expect(await prenoteGaps()).toEqual(['The bank sent back an entry to the account Household.']);
  });
  it('of an account that is entered anew are wanted again', async () => {
    await account(1, { label: 'Household', share: 'rest', account: '5500443322' }, '2026-10-28');
    expect((await standings())[2]).toBe('Household wanted');
  });
});

describe('the pay of a payroll', () => {
  let payrollId = '';
  let id = '';
  const pay = async (caller = preparer) => (await caller('GET', `/payrolls/${payrollId}/pay`)).body;
  it('is not there before the payroll is posted', async () => {
    const made = await preparer('POST', `/clients/${client.id}/payrolls`, {
      periodStart: '2026-12-01',
      periodEnd: '2026-12-14',
      checkDate: '2026-12-18',
      kind: 'extra',
    });
    const path = `/payrolls/${(made.body as { id: string }).id}/pay`;
    expect((await preparer('GET', path)).status).toBe(409);
  });
  it('goes to accounts whose prenote is through, and by check to everybody else', async () => {
    payrollId = await postPayroll(preparer, client.id);
    const view = await pay();
    const [first, second, third] = view.people as {
      net: number;
      check: number;
      deposits: { amount: number; isReady: boolean }[];
    }[];
    expect(first?.deposits.map((line) => line.amount)).toEqual([30_000, (first?.net ?? 0) - 30_000]);
    expect([first?.check, second?.check, third?.check]).toEqual([0, second?.net, third?.net]);
    expect(second?.deposits[0]?.isReady).toBe(false);
    expect([view.deposits, view.file]).toEqual([first?.net, null]);
  });
  it('needs an account of the client itself', async () => {
    const refused = await preparer('POST', `/payrolls/${payrollId}/direct-deposit`, {
      bankAccountId: '00000000-0000-4000-8000-000000000000',
    });
    expect([refused.status, refused.body.problems[0].field]).toEqual([422, 'bankAccountId']);
  });
  it('is planned once for the check date', async () => {
    const answers = await Promise.all(
      Array.from({ length: 4 }, () =>
        preparer('POST', `/payrolls/${payrollId}/direct-deposit`, { bankAccountId: client.bankId }),
      ),
    );
    expect(answers.map((answer) => answer.status).sort()).toEqual([201, 409, 409, 409]);
    const { file } = await pay();
    expect([file.settles, file.entries, file.status]).toEqual(['2026-10-30', 2, 'planned']);
    id = file.id as string;
  });
  it('is not released once an account has changed', async () => {
    await account(0, { label: 'Household', share: 'rest', account: '5500111111', prenote: 'waived' }, '2026-10-29');
    const { version } = (await pay()).file;
    const refused = await reviewer('POST', `/direct-deposits/${id}/release`, { version });
    expect([refused.status, refused.body.detail]).toEqual([422, expect.stringMatching(/plan again/)]);
    expect((await preparer('POST', `/direct-deposits/${id}/withdraw`, { version })).body.status).toBe('withdrawn');
    const again = await preparer('POST', `/payrolls/${payrollId}/direct-deposit`, { bankAccountId: client.bankId });
    expect([again.status, again.body.file.version]).toEqual([201, 1]);
    id = again.body.file.id as string;
  });
  it('released again and again, and sent by several workers, reaches the bank once', async () => {
    const before = (await stack.received('bank')).length;
    const answers = await Promise.all(
      Array.from({ length: 8 }, () => reviewer('POST', `/direct-deposits/${id}/release`, { version: 1 })),
    );
    expect(answers.filter((answer) => answer.status === 200)).toHaveLength(1);
    const [row] = (await stack.dataSource.query('SELECT id, firm_id FROM outbox WHERE subject_id = $1', [id])) as {
      id: string;
      firm_id: string;
    }[];
    const job = { firmId: row?.firm_id ?? '', outboxId: row?.id ?? '' };
    const courier = stack.app.get(Courier);
    await Promise.all(Array.from({ length: 5 }, () => courier.attend(job)));
    await until(
      () => stack.received('bank'),
      (files) => files.length > before,
    );
    await stack.dataSource.query(`UPDATE outbox SET status = 'waiting', agency_reference = NULL WHERE id = $1`, [
      job.outboxId,
    ]);
    await courier.attend(job);
    expect((await stack.received('bank')).length).toBe(before + 1);
    expect(
      (await preparer('POST', `/payrolls/${payrollId}/direct-deposit`, { bankAccountId: client.bankId })).status,
    ).toBe(409);
  });
  it('settles on its day', async () => {
    await stack.console('date', { today: '2026-10-30' });
    const { file } = await until(
      () => pay(),
      (view) => view.file.status === 'settled',
    );
    expect(file.confirmation).toMatch(/^20261030/);
  });
});

describe('an entry that comes back', () => {
  it('is paid by check, and its account gets nothing more', async () => {
    await account(2, { label: 'Old', share: 'rest', account: '5500990402', prenote: 'waived' });
    const payrollId = await postPayroll(preparer, client.id, {
      periodStart: '2026-10-25',
      periodEnd: '2026-11-07',
      checkDate: '2026-11-13',
    });
    const planned = await preparer('POST', `/payrolls/${payrollId}/direct-deposit`, { bankAccountId: client.bankId });
    const { id, version } = planned.body.file as { id: string; version: number };
    expect((await reviewer('POST', `/direct-deposits/${id}/release`, { version })).status).toBe(200);
    const pay = async () => (await preparer('GET', `/payrolls/${payrollId}/pay`)).body;
    await until(pay, (view) => /Sent once/.test(view.file.delivery as string));
    await stack.console('date', { today: '2026-11-13' });
    await until(pay, (view) => view.file.status === 'settled');
    await stack.console('date', { today: '2026-11-16' });
    const view = await until(pay, (answer) => answer.people[2].deposits[0].cameBack !== null);
    expect(view.people[2].deposits[0].cameBack).toBe('R02 Account closed');
    expect([view.people[2].check, view.people[0].check]).toEqual([view.people[2].net, 0]);
    expect((await standings()).at(-1)).toBe('Old returned');
    const said = (await stack.dataSource.query(
      `SELECT count(*)::int AS times FROM audit_entry WHERE action = 'direct-deposit.entry-returned' AND subject_id = $1`,
      [id],
    )) as { times: number }[];
    expect(said[0]?.times).toBe(1);
  });
  it('is sent again, once, to the account that the person has now, unless a check is out for it', async () => {
    const [row] = (await stack.dataSource.query(
      `SELECT p.id FROM payroll p WHERE p.client_id = $1 AND p.check_date = '2026-11-13' AND p.status = 'posted'`,
      [client.id],
    )) as { id: string }[];
    const payrollId = row?.id ?? '';
    const pay = async () => (await preparer('GET', `/payrolls/${payrollId}/pay`)).body;
    const send = () => preparer('POST', `/payrolls/${payrollId}/direct-deposit-again`);
    const before = await pay();
    expect(before.cameBack).toMatchObject([
      { employeeId: client.employeeIds[2], amount: before.people[2].net, to: '' },
    ]);
    // The account that came back is still the one on record.
    expect([(await send()).status, (await send()).body.detail]).toEqual([
      409,
      expect.stringMatching(/enter the account/),
    ]);
    await account(2, { label: 'Old', share: 'rest', account: '5500441122', prenote: 'waived' }, '2026-11-14');
    expect((await pay()).cameBack[0]).toMatchObject({ to: 'Old, ending 1122', ready: before.people[2].net });
    // While a check is out for it, there is nothing to send; once its paper is spoiled, there is.
    const checksOf = async () =>
      (await preparer('GET', `/payrolls/${payrollId}/checks`)).body as {
        toMake: { employeeId: string; paycheckId: string }[];
        checks: { id: string; runId: string }[];
      };
    const printed = await preparer('POST', `/payrolls/${payrollId}/checks`, {
      bankAccountId: client.bankId,
      firstNumber: 7001,
      paycheckIds: (await checksOf()).toMake
        .filter(({ employeeId }) => employeeId === client.employeeIds[2])
        .map(({ paycheckId }) => paycheckId),
      position: 'top',
    });
    expect([printed.status, (await pay()).cameBack, (await send()).status]).toEqual([200, [], 409]);
    const [check] = (await checksOf()).checks;
    await preparer('POST', `/check-runs/${check?.runId ?? ''}/outcome`, { spoiled: [check?.id] });
    const answers = await Promise.all([send(), send(), send()]);
    expect(answers.map(({ status }) => status).sort()).toEqual([201, 409, 409]);
    const [file] = (await pay()).again as { id: string; status: string; entries: number; settles: string }[];
    expect(file).toMatchObject({ status: 'planned', entries: 1 });
    const released = await Promise.all([
      reviewer('POST', `/direct-deposits/${file?.id ?? ''}/release`, { version: 1 }),
      reviewer('POST', `/direct-deposits/${file?.id ?? ''}/release`, { version: 1 }),
    ]);
    expect(released.map(({ status }) => status).sort()).toEqual([200, 409]);
    await until(pay, (view) => /Sent once/.test(view.again[0].delivery as string));
    await stack.console('date', { today: file?.settles ?? '' });
    const view = await until(pay, (answer) => answer.again[0].status === 'settled');
    expect([view.people[2].check, view.cameBack, view.checks]).toEqual([0, [], before.checks - before.people[2].net]);
    expect((await send()).status).toBe(409);
    expect((await checksOf()).toMake.map(({ employeeId }) => employeeId)).not.toContain(client.employeeIds[2]);
  });
  it('of a void, each credit is asked back within the days of its own file, and nobody else’s', async () => {
    const [row] = (await stack.dataSource.query(
      `SELECT p.id FROM payroll p WHERE p.client_id = $1 AND p.check_date = '2026-11-13' AND p.status = 'posted'`,
      [client.id],
    )) as { id: string }[];
    const { people } = (await preparer('GET', `/payrolls/${row?.id ?? ''}/pay`)).body as {
      people: { employeeId: string; net: number }[];
    };
    const { checks } = (await preparer('GET', `/payrolls/${row?.id ?? ''}/voids`)).body as {
      checks: { paycheckId: string; employeeId: string }[];
    };
    // The first was paid in the first file, to two accounts; the third in the file that was sent again.
    const ids = [0, 2].map((person) => client.employeeIds[person]);
    const made = await preparer('POST', `/payrolls/${row?.id ?? ''}/voids`, {
      paycheckIds: checks.filter(({ employeeId }) => ids.includes(employeeId)).map(({ paycheckId }) => paycheckId),
      reason: 'Paid twice',
    });
    const voidId = String(made.body.id);
    expect((await reviewer('POST', `/voids/${voidId}/post`, { version: 1 })).status).toBe(200);
    interface Entry {
      readonly employeeId: string;
      readonly amount: number;
      readonly cameBack: string | null;
    }
    const reversal = async () =>
      (await preparer('GET', `/voids/${voidId}/reversal`)).body as { entries: Entry[]; amount: number; until: string };
    const byPerson = (entries: readonly Entry[]) =>
      ids.map((id) =>
        entries.filter(({ employeeId }) => employeeId === id).reduce((total, { amount }) => total + amount, 0),
      );
    const nets = ids.map((id) => people.find(({ employeeId }) => employeeId === id)?.net ?? 0);
    const before = await reversal();
    expect([byPerson(before.entries), before.entries.length]).toEqual([nets, 3]);
    expect([before.amount, before.until]).toEqual([(nets[0] ?? 0) + (nets[1] ?? 0), '2026-11-20']);
    // After the days of the first file only the second one's credit is taken back.
    await stack.console('date', { today: '2026-11-23' });
    const late = await reversal();
    expect(late.amount).toBe(nets[1]);
    expect(late.entries.map(({ employeeId, cameBack }) => [employeeId, cameBack === null])).toEqual([
      [ids[1], true],
      [ids[0], false],
      [ids[0], false],
    ]);
    const planned = await preparer('POST', `/voids/${voidId}/reversal`);
    expect([planned.status, planned.body.file.entries, planned.body.file.amount]).toEqual([201, 1, nets[1]]);
    expect(
      (await preparer('POST', `/direct-deposits/${String(planned.body.file.id)}/withdraw`, { version: 1 })).status,
    ).toBe(200);
  });
  it('a file that the bank refuses opens the pay again', async () => {
    const payrollId = await postPayroll(preparer, client.id, {
      periodStart: '2026-11-08',
      periodEnd: '2026-11-21',
      checkDate: '2026-11-27',
    });
    const planned = await preparer('POST', `/payrolls/${payrollId}/direct-deposit`, { bankAccountId: client.bankId });
    const { id } = planned.body.file as { id: string };
    await stack.console('mood', { party: 'bank', mood: 'refuse' });
    await reviewer('POST', `/direct-deposits/${id}/release`, { version: 1 });
    const pay = async () => (await preparer('GET', `/payrolls/${payrollId}/pay`)).body;
    await until(pay, (view) => /Sent once/.test(view.file.delivery as string));
    await stack.console('mood', { party: 'bank', mood: 'normal' });
    await stack.console('date', { today: '2026-11-27' });
    await until(pay, (view) => view.file.status === 'settled');
    await stack.console('date', { today: '2026-11-30' });
    const view = await until(pay, (answer) => answer.file.status === 'returned');
    expect(view.file.returnedReason).toBe('R01 Insufficient funds');
    const again = await preparer('POST', `/payrolls/${payrollId}/direct-deposit`, { bankAccountId: client.bankId });
    // After the check date the next day the bank can make is taken.
    expect([again.status, again.body.file.settles]).toEqual([201, '2026-12-01']);
  });
});

describe('a notification of change', () => {
  const changes = async () => (await preparer('GET', `/clients/${client.id}/account-changes`)).body;
  it('comes with pay that arrived, once, and waits for a reviewer', async () => {
    const person = await preparer('GET', `/employees/${client.employeeIds[1] ?? ''}`);
    const { today } = (await preparer('GET', '/session')).body;
    await account(1, { label: 'Household', share: 'rest', account: '5500990498', prenote: 'waived' }, today);
    const payrollId = await postPayroll(preparer, client.id, {
      periodStart: '2026-11-22',
      periodEnd: '2026-12-05',
      checkDate: '2026-12-11',
    });
    const planned = await preparer('POST', `/payrolls/${payrollId}/direct-deposit`, { bankAccountId: client.bankId });
    const { file } = planned.body;
    expect((await reviewer('POST', `/direct-deposits/${file.id}/release`, { version: file.version })).status).toBe(200);
    const pay = async () => (await preparer('GET', `/payrolls/${payrollId}/pay`)).body;
    await until(pay, (view) => /Sent once/.test(view.file.delivery ?? ''));
    await stack.console('date', { today: '2026-12-11' });
    await until(pay, (view) => view.file.status === 'settled');
    await stack.console('date', { today: '2026-12-14' });
    const [change] = await until(changes, (all) => all.length > 0);
    expect(change).toMatchObject({
      name: `${person.body.firstName} ${person.body.lastName}`,
      account: 'Household, ending 0498',
      says: 'C01 Incorrect account number',
      correction: 'account ending 5498',
      // Six banking days from Monday, December 14.
      correctBy: '2026-12-22',
      status: 'open',
    });
    // The pay itself arrived: nothing of it is to be paid again.
    expect((await pay()).people.every(({ check }: { check: number }) => check === 0)).toBe(true);
    const ladder = (await preparer('GET', '/ladder')).body.rungs as { kind: string; title: string }[];
    expect(ladder.filter(({ kind }) => kind === 'account').map(({ title }) => title)).toEqual([
      `Account of ${change.name}, corrected by the bank`,
    ]);
  });
  it('is said again with the next pay, and stands once', async () => {
    const { today } = (await preparer('GET', '/session')).body;
    const payrollId = await postPayroll(preparer, client.id, {
      periodStart: '2026-12-06',
      periodEnd: '2026-12-19',
      checkDate: '2026-12-24',
    });
    const { file } = (await preparer('POST', `/payrolls/${payrollId}/direct-deposit`, { bankAccountId: client.bankId }))
      .body;
    expect(file.settles > today).toBe(true);
    await reviewer('POST', `/direct-deposits/${file.id}/release`, { version: file.version });
    const pay = async () => (await preparer('GET', `/payrolls/${payrollId}/pay`)).body;
    await until(pay, (view) => /Sent once/.test(view.file.delivery ?? ''));
    await stack.console('date', { today: '2026-12-24' });
    await until(pay, (view) => view.file.status === 'settled');
    await stack.console('date', { today: '2026-12-30' });
    await until(
      () => stack.dataSource.query(`SELECT status FROM outbox WHERE subject_id = $1`, [file.id]),
      (rows) => (rows as { status: string }[]).every(({ status }) => status === 'answered'),
    );
    expect(await changes()).toHaveLength(1);
  });
  it('is applied once, and the next pay goes to the account that the bank named', async () => {
    const [change] = await changes();
    const body = { act: 'apply', version: 1, reason: '' };
    expect((await preparer('POST', `/account-changes/${change.id}`, body)).status).toBe(403);
    expect(
      (await reviewer('POST', `/account-changes/${change.id}`, { ...body, act: 'decline' })).body.problems[0].field,
    ).toBe('reason');
    const answers = await Promise.all(
      Array.from({ length: 4 }, () => reviewer('POST', `/account-changes/${change.id}`, body)),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409, 409, 409]);
    const { accounts } = (await preparer('GET', `/clients/${client.id}/prenotes`)).body as {
      accounts: { label: string; tail: string; standing: string }[];
    };
    expect(accounts.find(({ tail }) => tail === '5498')).toMatchObject({ label: 'Household', standing: 'confirmed' });
    expect(accounts.some(({ tail }) => tail === '0498')).toBe(false);
    expect((await changes())[0]).toMatchObject({ status: 'applied' });
  });
});
