import express, { type Express, type Request, type Response } from 'express';
import { entryReturns, startOfDay, takeFile, type EntryReturn } from './bank/bank.js';
import { statementOf } from './bank/statement.js';
import { daysAfter, isDay } from './calendar.js';
import { consolePage } from './console/page.js';
import { takeDebits } from './debits/debits.js';
import { cents } from './returns/form-reader.js';
import { judgeReturn, type Taxpayer } from './returns/return-reader.js';
import { readTransmission, writeAcknowledgements } from './returns/transmission-reader.js';
import { judgeStateReport } from './states/state-reader.js';
import { Store, type Mood, type Party, type Submission } from './store.js';
import { judgeCorrections } from './wages/efw2c-reader.js';
import { judgeWageFile } from './wages/efw2-reader.js';

export interface Settings {
  readonly folder: string;
  readonly today: string;
  /** Where the users of these services are told that the day has moved. */
  readonly clockUrl: string | null;
  readonly clockToken: string;
  /** What the tax agency's own database says of some taxpayers. */
  readonly taxpayers: readonly Taxpayer[];
  /** Numbers whose name does not match in the wage agency's own database. */
  readonly refusedNumbers: readonly string[];
}

const PREFIX: Readonly<Record<Party, string>> = {
  bank: 'ACH',
  returns: 'MEF',
  wages: 'WFID',
  states: 'STA',
  debits: 'EFT',
};
const MOODS: readonly Mood[] = ['normal', 'down', 'slow', 'refuse'];
const SLOW = 3000;
/** Days in which a party may return what it accepted: its own rule. */
const MAY_RETURN_FOR: Partial<Record<Party, number>> = { wages: 30, states: 10 };
const mayStillReturn = ({ state, refusableUntil }: Submission, today: string): boolean =>
  state === 'accepted' && typeof refusableUntil === 'string' && refusableUntil >= today;
const answerOf = (submission: Submission, entries: readonly EntryReturn[], today: string) => ({
  state: submission.state,
  code: submission.code,
  message: submission.message,
  field: submission.field,
  confirmation: submission.confirmation,
  settledOn: submission.settledOn,
  isFinal: submission.isFinal && !mayStillReturn(submission, today),
  refusableUntil: mayStillReturn(submission, today) ? submission.refusableUntil : null,
  entries: entries.map(({ trace, code, message, corrected }) => ({ trace, code, message, corrected })),
});

export function makeService(settings: Settings): { app: Express; store: Store } {
  const store = new Store(settings.folder, settings.today);
  const app = express();
  app.disable('x-powered-by');
  app.use(express.text({ type: () => true, limit: '64mb' }));

  const judge = (party: Party, submission: Submission): void => {
    if (party === 'bank') {
      takeFile(store, submission);
      return;
    }
    if (party === 'debits') {
      takeDebits(store, submission);
      return;
    }
    const { today } = store.records;
    const refusals = JUDGES[party](submission, today);
    const first = store.records.moods[party] === 'refuse' ? (refusals[0] ?? forced(party)) : refusals[0];
    submission.state = 'received';
    submission.notes['verdict'] = first ? 'rejected' : 'accepted';
    if (first)
      Object.assign(submission.notes, {
        code: first.code,
        field: first.field,
        message: refusals.length > 1 ? `${first.message} (and ${refusals.length - 1} more)` : first.message,
      });
  };
  /** One of the same kind, taxpayer and period that was accepted before. */
  const hasTwin = (party: Party, submission: Submission): boolean =>
    store.records[party].some(
      (other) =>
        other !== submission &&
        other.state === 'accepted' &&
        ['type', 'ein', 'period'].every((note) => other.notes[note] === submission.notes[note]),
    );
  const judgeTaxReturn = (submission: Submission, today: string) => {
    const { refusals, type, ein, period, total, isAmended } = judgeReturn(
      submission.content,
      settings.taxpayers,
      today,
    );
    submission.notes = { type, ein, period, total };
    return !isAmended && hasTwin('returns', submission)
      ? [
          ...refusals,
          {
            code: 'R0000-905-01',
            field: 'TaxPeriodEndDt',
            message: 'A return for this EIN and period was accepted before.',
          },
        ]
      : refusals;
  };
  const judgeWages = (submission: Submission, today: string) => {
    const { refusals, people, year, ein } = submission.content.startsWith('RCA')
      ? judgeCorrections(submission.content, today)
      : judgeWageFile(submission.content, settings.refusedNumbers, today);
    submission.notes = { ein, year, people: String(people) };
    return refusals;
  };
  const judgeState = (submission: Submission, today: string) => {
    const { refusals, ...notes } = judgeStateReport(submission.content, today);
    submission.notes = notes;
    // Amended reports come by a way of their own: their files are named so.
    return !submission.fileName.includes('-amended') && hasTwin('states', submission)
      ? [...refusals, { code: 'R-DUPLICATE', field: 'Reporting Period', message: 'This period was reported before.' }]
      : refusals;
  };
  const JUDGES = { returns: judgeTaxReturn, wages: judgeWages, states: judgeState } as const;
  const forced = (party: Party) =>
    party === 'states'
      ? { code: 'E-ACCOUNT', field: 'Account Number', message: 'No employer has this account number.' }
      : party === 'returns'
        ? {
            code: 'R0000-922-01',
            field: 'BusinessNameControlTxt',
            message: 'The name control does not match the EIN in the e-file database.',
          }
        : {
            code: 'RW-NAME-MATCH',
            field: 'RW 1 Employee Last Name',
            message: 'Name and social security number do not belong together.',
          };

  const mood = (party: Party) => async (_: Request, response: Response, next: () => void) => {
    if (store.records.moods[party] === 'down') {
      response.status(503).json({ error: 'not available' });
      return;
    }
    if (store.records.moods[party] === 'slow') await new Promise((resolve) => setTimeout(resolve, SLOW));
    next();
  };

  const takeIn = (party: Party, key: string, file: Pick<Submission, 'fileName' | 'content'>): Submission => {
    const submission: Submission = {
      reference: `${PREFIX[party]}${String(store.next(party)).padStart(6, '0')}`,
      key,
      ...file,
      receivedOn: store.records.today,
      state: 'received',
      code: null,
      message: null,
      field: null,
      confirmation: null,
      settledOn: null,
      isFinal: false,
      notes: {},
    };
    store.records[party].push(submission);
    judge(party, submission);
    return submission;
  };
  /** Agencies answer in two steps: the first question learns that it was taken in, the next one the verdict. */
  const decide = (submission: Submission): void => {
    const { verdict } = submission.notes;
    if (submission.state !== 'received' || !verdict) return;
    Object.assign(submission, {
      state: verdict,
      isFinal: true,
      code: submission.notes['code'] ?? null,
      message: submission.notes['message'] ?? 'Accepted.',
      field: submission.notes['field'] ?? null,
    });
  };
  const intake = (party: Party) => (request: Request, response: Response) => {
    const key = request.header('idempotency-key') ?? '';
    if (key === '') {
      response.status(400).json({ error: 'an Idempotency-Key is required' });
      return;
    }
    const known = store.records[party].find((submission) => submission.key === key);
    if (known) {
      response.status(202).json({ reference: known.reference });
      return;
    }
    const submission = takeIn(party, key, {
      fileName: request.header('x-file-name') ?? '',
      content: typeof request.body === 'string' ? request.body : '',
    });
    store.save();
    response.status(202).json({ reference: submission.reference });
  };
  const ask = (party: Party) => (request: Request, response: Response) => {
    const submission = store.records[party].find((candidate) => candidate.reference === request.params['reference']);
    if (!submission) {
      response.status(404).json({ error: 'unknown reference' });
      return;
    }
    const { today } = store.records;
    response.json(answerOf(submission, party === 'bank' ? entryReturns(submission, today) : [], today));
    if (party === 'bank' || party === 'debits') return;
    decide(submission);
    const days = MAY_RETURN_FOR[party];
    if (submission.state === 'accepted' && days !== undefined && submission.refusableUntil === undefined)
      submission.refusableUntil = daysAfter(today, days);
    store.save();
  };
  const intakeOfMany = (request: Request, response: Response): void => {
    const key = request.header('idempotency-key') ?? '';
    const known = store.records.transmissions.find((transmission) => transmission.key === key);
    if (known) {
      response.status(202).json({ reference: known.reference, submissions: known.submissions });
      return;
    }
    const content = typeof request.body === 'string' ? request.body : '';
    const { fault, total, returns } = readTransmission(content);
    const refused = key === '' ? 'An Idempotency-Key is required.' : fault;
    if (refused !== null) {
      response.status(422).json({ error: refused });
      return;
    }
    const taken = returns.map((one) =>
      takeIn('returns', one.id, { fileName: `${one.type} of ${key}`, content: one.content }),
    );
    // What the manifest says is what its returns say; else it is not what was put together.
    const found = taken.reduce<bigint | null>((sum, { notes }) => {
      const amount = cents(notes['total'] ?? '');
      return sum === null || amount === null ? null : sum + amount;
    }, 0n);
    const isOther = returns.some(({ type, tin, periodEnd }, index) => {
      const notes = taken[index]?.notes ?? {};
      return type !== notes['type'] || tin !== notes['ein'] || periodEnd !== notes['period'];
    });
    const contradiction = isOther
      ? 'The manifest names other returns than are in the file.'
      : found !== null && found !== total
        ? 'The returns do not come to the control total.'
        : null;
    if (contradiction !== null) {
      store.records.returns = store.records.returns.filter((one) => !taken.includes(one));
      response.status(422).json({ error: contradiction });
      return;
    }
    const submissions = taken.map((one) => ({ id: one.key, reference: one.reference }));
    const reference = `MFT${String(store.next('transmissions')).padStart(6, '0')}`;
    store.records.transmissions.push({ reference, key, content, submissions });
    store.save();
    response.status(202).json({ reference, submissions });
  };
  const acknowledge = (request: Request, response: Response): void => {
    const known = store.records.transmissions.find(({ reference }) => reference === request.params['reference']);
    if (!known) {
      response.status(404).json({ error: 'unknown reference' });
      return;
    }
    const own = new Set(known.submissions.map(({ reference }) => reference));
    const submissions = store.records.returns.filter(({ reference }) => own.has(reference));
    response.type('application/xml').send(writeAcknowledgements(submissions));
    for (const submission of submissions) decide(submission);
    store.save();
  };

  for (const [party, path] of [
    ['bank', '/bank/files'],
    ['returns', '/returns/submissions'],
    ['wages', '/wages/submissions'],
    ['states', '/states/submissions'],
    ['debits', '/debits/submissions'],
  ] as const) {
    app.post(path, mood(party), intake(party));
    app.get(`${path}/:reference`, mood(party), ask(party));
  }

  app.post('/returns/transmissions', mood('returns'), intakeOfMany);
  app.get('/returns/transmissions/:reference/acknowledgements', mood('returns'), acknowledge);

  app.get('/bank/statements/:company', mood('bank'), (request, response) => {
    const day = String(request.query['day'] ?? '');
    if (!isDay(day) || day > store.records.today) {
      response.status(400).json({ error: 'a day that has been' });
      return;
    }
    response.type('text').send(statementOf(store.records, String(request.params['company']), day));
  });
  app.post('/console/transfer', (request, response) => {
    const form = new URLSearchParams(String(request.body));
    const [company, amount, reference] = ['company', 'amount', 'reference'].map((name) =>
      (form.get(name) ?? '').trim(),
    );
    if (
      !/^\d{10}$/.test(company ?? '') ||
      !/^-?\d{1,9}\.\d{2}$/.test(amount ?? '') ||
      !/^[\w-]{1,20}$/.test(reference ?? '')
    ) {
      response
        .status(400)
        .type('text')
        .send('a company identification of ten digits, an amount like 100.00, a reference');
      return;
    }
    store.records.transfers.push({
      company: company ?? '',
      day: store.records.today,
      amount: Number((amount ?? '').replace('.', '')),
      reference: reference ?? '',
    });
    store.save();
    response.redirect(303, '/console');
  });

  app.post('/console/enroll', (request, response) => {
    const form = new URLSearchParams(String(request.body));
    const taxpayer = (form.get('taxpayer') ?? '').replace(/[^0-9A-Za-z]/g, '').toUpperCase();
    const accountTail = (form.get('accountTail') ?? '').trim();
    if (taxpayer === '' || taxpayer.length > 15 || !/^\d{4}$/.test(accountTail)) {
      response.status(400).type('text').send('a taxpayer number and the last four digits of the account');
      return;
    }
    const pin = String(1000 + ((store.next('pin') * 2741) % 9000));
    store.records.enrollments = store.records.enrollments.filter((one) => one.taxpayer !== taxpayer);
    store.records.enrollments.push({ taxpayer, accountTail, pin });
    store.save();
    response.redirect(303, '/console');
  });

  const tell = async (): Promise<void> => {
    if (settings.clockUrl === null) return;
    await fetch(settings.clockUrl, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json', 'X-Clock-Token': settings.clockToken },
      body: JSON.stringify({ today: store.records.today }),
      signal: AbortSignal.timeout(10_000),
    });
  };
  app.get('/console', (_, response) => response.type('html').send(consolePage(store.records)));
  app.get('/console/records', (_, response) =>
    response.json({
      ...store.records,
      bank: store.records.bank.map((row) => ({ ...row, content: undefined })),
      returns: store.records.returns.map((row) => ({ ...row, content: undefined })),
      wages: store.records.wages.map((row) => ({ ...row, content: undefined })),
      states: store.records.states.map((row) => ({ ...row, content: undefined })),
      debits: store.records.debits.map((row) => ({ ...row, content: undefined })),
    }),
  );
  app.get('/console/file/:party/:reference', (request, response) => {
    const list = store.records[request.params['party'] as Party] as Submission[] | undefined;
    const found = list?.find((row) => row.reference === request.params['reference']);
    if (!found) response.status(404).type('text').send('no such file');
    else response.type('text').send(found.content);
  });
  app.post('/console/date', async (request, response) => {
    const today = new URLSearchParams(String(request.body)).get('today') ?? '';
    if (!isDay(today) || today < store.records.today) {
      response.status(422).type('text').send(`The date can only move forward from ${store.records.today}.`);
      return;
    }
    store.records.today = today;
    startOfDay(store.records, (name) => store.next(name));
    store.save();
    await tell();
    response.redirect(303, '/console');
  });
  app.post('/console/return', async (request, response) => {
    const form = new URLSearchParams(String(request.body));
    const party = form.get('party') as Party;
    const found = (store.records[party] as Submission[] | undefined)?.find(
      (one) => one.reference === form.get('reference'),
    );
    if (!found || !mayStillReturn(found, store.records.today) || (party !== 'wages' && party !== 'states')) {
      response.status(422).type('text').send('It was not accepted, or is final by now.');
      return;
    }
    const { code, field, message } = forced(party);
    Object.assign(found, { state: 'rejected', code, field, message, refusableUntil: null });
    store.save();
    await tell();
    response.redirect(303, '/console');
  });
  app.post('/console/mood', (request, response) => {
    const form = new URLSearchParams(String(request.body));
    const party = form.get('party') as Party;
    const wanted = form.get('mood') as Mood;
    if (!(party in PREFIX) || !MOODS.includes(wanted)) {
      response.status(422).type('text').send('unknown party or mood');
      return;
    }
    store.records.moods[party] = wanted;
    store.save();
    response.redirect(303, '/console');
  });
  app.get('/health', (_, response) => response.json({ today: store.records.today }));
  return { app, store };
}
