import { Inject, Injectable } from '@nestjs/common';
import type {
  CreateFiling,
  FilingEventView,
  FilingRow,
  FilingView,
  ReturnLineView,
  SignFiling,
  W2Row,
} from '@zakat/contract/filings';
import type { ReleaseSlip, SlipCheck } from '@zakat/contract/remittances';
import { date, showDate } from '@zakat/core/calendar/local-date';
import { firstDayOf, lastDayOf, type Quarter } from '@zakat/core/calendar/quarter';
import { checkForm941, checkW2Set, type W2Set } from '@zakat/core/checks/return-checks';
import { form941Due, formW2Due } from '@zakat/core/deposits/due';
import { writeEfw2 } from '@zakat/core/formats/efw2/file';
import { writeForm941 } from '@zakat/core/formats/form-941/xml';
import { sentence, type Issue } from '@zakat/core/issues/issue';
import { cents, showDollars } from '@zakat/core/money/cents';
import { lineValue, type Form941 } from '@zakat/core/returns/form-941';
import { formW3, type FormW2 } from '@zakat/core/yearend/w2';
import { createHash, randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { Secrets } from '../../database/secrets.js';
import { Refusal, conflict, detailOf, notFound, refuse, refuseField } from '../../http/refusal.js';
import { Jobs } from '../../jobs/jobs.js';
import { Executor } from '../../state-machines/executor.js';
import { FILING_MACHINE } from '../../state-machines/machine.js';
import { Audit } from '../audit/audit.js';
import { findClient } from '../clients/clients.service.js';
import type { Client } from '../clients/entities.js';
import { Clock } from '../clock/clock.js';
import { Documents, type StoredDocument } from '../documents/documents.js';
import { Outbox } from '../outbox/outbox.js';
import { Filing } from './entities.js';
import { FilingSource } from './filing-source.js';
import { drawW2 } from './w2-pdf.js';

type Content = { readonly form: '941'; readonly form941: Form941 } | { readonly form: 'W-2'; readonly set: W2Set };

/** A snapshot keeps no identity number: a mark shows whether it is still the same person's. */
function storable(content: Content, mark: (text: string) => string): unknown {
  if (content.form === '941') return content;
  return {
    ...content,
    set: {
      ...content.set,
      forms: content.set.forms.map((form) => ({
        ...form,
        person: { ...form.person, ssn: '', ssnTail: form.person.ssn.slice(-4), ssnMark: mark(form.person.ssn) },
      })),
    },
  };
}
const digestOf = (stored: unknown): string => createHash('sha256').update(JSON.stringify(stored)).digest('hex');

@Injectable()
export class FilingsService {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(FilingSource) private readonly source: FilingSource,
    @Inject(Executor) private readonly executor: Executor,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Documents) private readonly documents: Documents,
    @Inject(Outbox) private readonly outbox: Outbox,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(Secrets) private readonly secrets: Secrets,
    @Inject(Jobs) private readonly jobs: Jobs,
  ) {}

  list(actor: Actor, clientId: string): Promise<FilingRow[]> {
    return this.database.run(actor, async (manager) => {
      const client = await findClient(manager, clientId);
      const filings = await manager.find(Filing, { where: { clientId }, order: { due: 'DESC', form: 'ASC' } });
      return filings.map((filing) => rowOf(filing, client));
    });
  }

  create(actor: Actor, clientId: string, input: CreateFiling): Promise<{ id: string }> {
    const isQuarterly = input.form === '941';
    if (isQuarterly !== (input.quarter !== null) || (input.quarter !== null && input.quarter > 4))
      throw refuseField(
        'quarter',
        'Form 941 is for a quarter, Forms W-2 for a year.',
        'Give a quarter from 1 to 4 for Form 941 only.',
      );
    return this.database.run(actor, async (manager) => {
      await findClient(manager, clientId);
      const id = randomUUID();
      const quarter = input.quarter as 1 | 2 | 3 | 4 | null;
      const { due } = quarter === null ? formW2Due(input.year) : form941Due(input.year, quarter);
      await manager.insert(Filing, {
        id,
        firmId: actor.firmId,
        clientId,
        form: input.form,
        year: input.year,
        quarter,
        due,
        status: 'draft',
        version: 1,
        attempt: 1,
        preparedBy: actor.userId ?? '',
        createdAt: await this.clock.now(manager),
      });
      await this.audit.record(manager, actor, 'filing.create', 'filing', id, {
        form: input.form,
        year: input.year,
        quarter,
      });
      return { id };
    });
  }

  view(actor: Actor, id: string): Promise<FilingView> {
    return this.database.run(actor, (manager) => this.viewIn(manager, id));
  }

  /** Runs every check; with an error it stays a draft, else the figures are kept as the snapshot that will be released. */
  check(actor: Actor, id: string, version: number): Promise<FilingView> {
    return this.database.run(actor, async (manager) => {
      const { filing, client } = await this.load(manager, id);
      const content = await this.compute(manager, client, filing);
      const issues = await this.issuesOf(manager, client, filing, content);
      const errors = issues.filter((issue) => issue.severity === 'error');
      if (errors.length > 0) throw refuse(errors);
      const snapshot = storable(content, this.markOf);
      await this.executor.apply(manager, actor, FILING_MACHINE, {
        id,
        act: 'check',
        version,
        set: {
          snapshot: JSON.stringify(snapshot),
          snapshot_digest: digestOf(snapshot),
          signed_by: null,
          signer_pin_cipher: null,
          signed_on: null,
        },
      });
      return this.viewIn(manager, id);
    });
  }

  reopen(actor: Actor, id: string, version: number): Promise<FilingView> {
    return this.database.run(actor, async (manager) => {
      const { filing } = await this.load(manager, id);
      const attempt = filing.status === 'rejected' ? filing.attempt + 1 : filing.attempt;
      await this.executor.apply(manager, actor, FILING_MACHINE, {
        id,
        act: 'reopen',
        version,
        set: {
          attempt,
          snapshot: null,
          snapshot_digest: null,
          signed_by: null,
          signer_pin_cipher: null,
          signed_on: null,
        },
      });
      return this.viewIn(manager, id);
    });
  }

  /** Records the signer's PIN for the checked return. The figures are then what was signed. */
  sign(actor: Actor, id: string, input: SignFiling): Promise<FilingView> {
    if (!/^\d{5}$/.test(input.pin) || input.pin === '00000')
      throw refuseField(
        'pin',
        'A signature PIN has five digits, not all zero.',
        'Ask the signer for the PIN on Form 8879-EMP.',
      );
    return this.database.run(actor, async (manager) => {
      const { filing } = await this.load(manager, id);
      if (filing.status !== 'checked') throw conflict(`This filing is ${filing.status}; only a checked one is signed.`);
      const result = await manager.update(
        Filing,
        { id, version: input.version, status: 'checked' },
        {
          signedBy: actor.userId,
          signerPinCipher: this.secrets.seal(input.pin),
          signedOn: await this.clock.today(manager),
          version: input.version + 1,
        },
      );
      if (result.affected !== 1) throw conflict('Somebody changed this filing meanwhile. Look again before you sign.');
      await this.audit.record(manager, actor, 'filing.sign', 'filing', id);
      return this.viewIn(manager, id);
    });
  }

  slip(actor: Actor, id: string): Promise<ReleaseSlip> {
    return this.database.run(actor, async (manager) => (await this.rehearse(manager, actor, id)).slip);
  }

  async release(actor: Actor, id: string, version: number): Promise<FilingView> {
    const view = await this.database.run(actor, async (manager) => {
      await manager.query('SELECT id FROM filing WHERE id = $1 FOR UPDATE', [id]);
      const { filing, client, content, slip } = await this.rehearse(manager, actor, id);
      const failed = slip.checks.filter((check) => !check.isPassed);
      if (filing.status === 'checked' && failed.length > 0)
        throw new Refusal(422, 'slip', failed.map((check) => check.says).join(' '));
      const isReturn = filing.form === '941';
      const name = isReturn
        ? `941-${filing.year}Q${filing.quarter}-${client.ein}.xml`
        : `W2-${filing.year}-${client.ein}.txt`;
      const documentId = await this.documents.store(
        manager,
        actor,
        client.id,
        isReturn ? 'return-941' : 'wage-file',
        name,
        isReturn ? 'application/xml' : 'text/plain',
        Buffer.from(slip.file, 'utf8'),
      );
      await this.executor.apply(manager, actor, FILING_MACHINE, {
        id,
        act: 'release',
        version,
        set: { released_by: actor.userId, document_id: documentId, submission_id: null },
        detail: { form: filing.form, attempt: filing.attempt },
      });
      if (content.form === 'W-2')
        for (const form of content.set.forms) await this.storeW2(manager, actor, client, filing, form);
      await this.outbox.put(manager, actor, isReturn ? 'return-941' : 'wage-file', id, filing.attempt, documentId);
      await this.note(manager, actor, filing, 'released', null, `Released by ${actor.role}.`, null, documentId);
      return this.viewIn(manager, id);
    });
    await this.jobs.wake();
    return view;
  }

  /** The W-2 of one person as PDF: the stored one once released, before that a draft that is kept nowhere. */
  w2Pdf(actor: Actor, id: string, employeeId: string): Promise<Pick<StoredDocument, 'name' | 'mediaType' | 'content'>> {
    return this.database.run(actor, async (manager) => {
      const { filing, client } = await this.load(manager, id);
      const stored = await this.documents.latest(manager, client.id, 'w2', `${id}/${employeeId}`);
      if (stored && filing.status !== 'draft')
        return { ...(await this.documents.load(manager, stored)), name: `W-2-${filing.year}.pdf` };
      const set = await this.source.w2Set(manager, client, filing.year);
      const form = set.forms.find((candidate) => candidate.person.employeeId === employeeId);
      if (!form) throw notFound('W-2');
      return {
        name: `W-2-${filing.year}-draft.pdf`,
        mediaType: 'application/pdf',
        content: await drawW2({
          year: filing.year,
          form,
          employer: { ...client, name: client.legalName },
          isDraft: true,
        }),
      };
    });
  }

  file(actor: Actor, id: string): Promise<StoredDocument> {
    return this.database.run(actor, async (manager) => {
      const { filing } = await this.load(manager, id);
      if (!filing.documentId) throw notFound('file');
      await this.audit.record(manager, actor, 'filing.open-file', 'filing', id);
      return this.documents.load(manager, filing.documentId);
    });
  }

  private readonly markOf = (text: string): string => this.secrets.mark(text).toString('hex').slice(0, 24);

  private async storeW2(
    manager: EntityManager,
    actor: Actor,
    client: Client,
    filing: Filing,
    form: FormW2,
  ): Promise<void> {
    const pdf = await drawW2({
      year: filing.year,
      form,
      employer: { ...client, name: client.legalName },
      isDraft: false,
    });
    await this.documents.store(
      manager,
      actor,
      client.id,
      'w2',
      `${filing.id}/${form.person.employeeId}`,
      'application/pdf',
      pdf,
    );
  }

  private async note(
    manager: EntityManager,
    actor: Actor,
    filing: Filing,
    stage: string,
    code: string | null,
    message: string,
    field: string | null,
    documentId: string | null,
  ): Promise<void> {
    await manager.query(
      'INSERT INTO filing_event (firm_id, filing_id, at, stage, code, message, field, attempt, document_id) VALUES ($1,$2,$3,$4,$5,$6,$7,$8,$9)',
      [actor.firmId, filing.id, await this.clock.now(manager), stage, code, message, field, filing.attempt, documentId],
    );
  }

  private async load(manager: EntityManager, id: string): Promise<{ filing: Filing; client: Client }> {
    const filing = await manager.findOneBy(Filing, { id });
    if (!filing) throw notFound('filing');
    return { filing, client: await findClient(manager, filing.clientId) };
  }

  private async compute(manager: EntityManager, client: Client, filing: Filing): Promise<Content> {
    if (filing.quarter !== null)
      return {
        form: '941',
        form941: await this.source.form941(manager, client, { year: filing.year, quarter: filing.quarter }),
      };
    return { form: 'W-2', set: await this.source.w2Set(manager, client, filing.year) };
  }

  private async issuesOf(manager: EntityManager, client: Client, filing: Filing, content: Content): Promise<Issue[]> {
    const period: Quarter | null = filing.quarter === null ? null : { year: filing.year, quarter: filing.quarter };
    const from = period ? firstDayOf(period) : date(`${filing.year}-01-01`);
    const to = period ? lastDayOf(period) : date(`${filing.year}-12-31`);
    const facts = await this.source.facts(manager, client, from, to);
    return content.form === '941' ? checkForm941(content.form941, facts) : checkW2Set(content.set, facts);
  }

  private async rehearse(
    manager: EntityManager,
    actor: Actor,
    id: string,
  ): Promise<{ filing: Filing; client: Client; content: Content; slip: ReleaseSlip }> {
    const { filing, client } = await this.load(manager, id);
    const content = await this.compute(manager, client, filing);
    const now = digestOf(storable(content, this.markOf));
    const isSame = filing.snapshotDigest === now;
    const needsSignature = filing.form === '941';
    const made = needsSignature
      ? { file: await this.returnXml(manager, client, filing, content), issues: [] }
      : await this.wageFile(manager, client, filing, content);
    const today = await this.clock.today(manager);
    const errors = (await this.issuesOf(manager, client, filing, content)).filter(
      (issue) => issue.severity === 'error',
    );
    const checks: SlipCheck[] = [
      {
        label: 'Every check passes',
        isPassed: errors.length === 0 && made.issues.length === 0,
        says: [...errors, ...made.issues].map(sentence).join(' ') || 'All of them.',
      },
      {
        label: 'The figures are the ones that were checked',
        isPassed: filing.status === 'checked' && isSame,
        says:
          filing.status !== 'checked'
            ? `It is ${filing.status}.`
            : isSame
              ? 'The ledger has not moved since.'
              : 'The ledger, or a person’s record, has moved since the check. Reopen and check again.',
      },
      ...(needsSignature
        ? [
            {
              label: 'It is signed',
              isPassed: filing.signedBy !== null,
              says:
                filing.signedBy === null
                  ? `${client.signerName}’s PIN is not entered yet.`
                  : `Signed for ${client.signerName}, ${client.signerTitle}, on ${showDate(date(filing.signedOn ?? today))}.`,
            },
          ]
        : []),
      {
        label: 'You may release',
        isPassed: actor.role !== 'preparer',
        says: actor.role === 'preparer' ? 'A preparer cannot release; ask a reviewer.' : `You are a ${actor.role}.`,
      },
    ];
    const isReturn = content.form === '941';
    const amount = content.form === '941' ? lineValue(content.form941, '12') : formW3(content.set.forms).box1;
    const receiver = isReturn ? 'the Internal Revenue Service' : 'the Social Security Administration';
    const what = isReturn ? `Form 941 for Q${filing.quarter} ${filing.year}` : `Forms W-2 and W-3 for ${filing.year}`;
    const slip: ReleaseSlip = {
      title: `${what} of ${client.legalName}`,
      act: filing.status === 'checked' ? 'release' : 'rehearsal',
      amount,
      figures: [
        { label: 'Client', value: `${client.legalName}, EIN ending ${client.ein.slice(-4)}` },
        { label: 'To', value: receiver },
        ...(content.form === '941'
          ? [
              { label: 'Total taxes, line 12', value: showDollars(cents(lineValue(content.form941, '12'))) },
              { label: 'Balance due, line 14', value: showDollars(cents(lineValue(content.form941, '14'))) },
            ]
          : [
              { label: 'Forms W-2', value: String(content.set.forms.length) },
              { label: 'Wages, box 1', value: showDollars(formW3(content.set.forms).box1) },
            ]),
        { label: 'Due', value: showDate(date(filing.due)) },
        { label: 'Attempt', value: String(filing.attempt) },
      ],
      leaves: `${what} goes to ${receiver} for ${client.legalName}.`,
      becomesImpossible: `The figures of this ${isReturn ? 'return' : 'set'} cannot be changed any more; what turns out wrong afterwards is amended.`,
      wayBack: 'If it is rejected, it opens again at the field that was refused and can be sent once more.',
      checks,
      mayRelease: checks.every((check) => check.isPassed),
      file: made.file,
    };
    return { filing, client, content, slip };
  }

  private async returnXml(manager: EntityManager, client: Client, filing: Filing, content: Content): Promise<string> {
    if (content.form !== '941') throw new Error('not a return');
    const firm = await this.source.firm(manager);
    return writeForm941({
      form: content.form941,
      submissionId: `${filing.id}-${filing.attempt}`,
      filer: {
        ein: client.ein,
        name: client.legalName,
        nameControl: client.nameControl,
        street: client.street,
        city: client.city,
        state: client.state,
        zip: client.zip,
      },
      preparer: {
        name: firm.preparerName,
        ptin: firm.preparerPtin,
        phone: firm.phone,
        firmName: firm.name,
        firmEin: firm.ein,
      },
      signature: {
        name: client.signerName,
        title: client.signerTitle,
        pin: filing.signerPinCipher ? this.secrets.open(filing.signerPinCipher) : '',
        signed: date(filing.signedOn ?? (await this.clock.today(manager))),
      },
    });
  }

  private async wageFile(
    manager: EntityManager,
    client: Client,
    filing: Filing,
    content: Content,
  ): Promise<{ file: string; issues: Issue[] }> {
    if (content.form !== 'W-2') throw new Error('not a wage file');
    const firm = await this.source.firm(manager);
    const previous = filing.attempt > 1 ? await this.lastReference(manager, filing.id) : null;
    const { content: file, issues } = writeEfw2({
      taxYear: filing.year,
      submitter: {
        ein: firm.ein,
        userId: firm.efw2UserId,
        name: firm.name,
        contactName: firm.contactName,
        phone: firm.phone,
        email: firm.email,
        street: firm.street,
        city: firm.city,
        state: firm.state,
        zip: firm.zip,
      },
      employer: {
        ein: client.ein,
        name: client.legalName,
        isTerminating: false,
        kindOfEmployer: client.kindOfEmployer,
        contactName: client.contactName,
        phone: client.phone,
        email: client.email,
        street: client.street,
        city: client.city,
        state: client.state,
        zip: client.zip,
      },
      forms: content.set.forms,
      resubmits: previous,
    });
    return { file, issues };
  }

  private async lastReference(manager: EntityManager, filingId: string): Promise<string | null> {
    const rows = (await manager.query(
      `SELECT code FROM filing_event WHERE filing_id = $1 AND stage = 'wage-file-identifier' ORDER BY id DESC LIMIT 1`,
      [filingId],
    )) as { code: string }[];
    return rows[0]?.code ?? null;
  }

  private async viewIn(manager: EntityManager, id: string): Promise<FilingView> {
    const { filing, client } = await this.load(manager, id);
    const isSnapshot = filing.snapshot !== null;
    const content = isSnapshot ? (filing.snapshot as Content) : await this.compute(manager, client, filing);
    const problems =
      isSnapshot && filing.status !== 'checked'
        ? []
        : await this.issuesOf(manager, client, filing, await this.compute(manager, client, filing));
    const events = (await manager.query(
      'SELECT at, stage, code, message, field, attempt FROM filing_event WHERE filing_id = $1 ORDER BY id',
      [id],
    )) as (Omit<FilingEventView, 'at'> & { at: Date })[];
    const names = (await manager.query('SELECT id, name FROM app_user')) as { id: string; name: string }[];
    const nameOf = (userId: string | null): string | null => names.find((user) => user.id === userId)?.name ?? null;
    return {
      ...rowOf(filing, client),
      lines: content.form === '941' ? linesOf(content.form941) : [],
      scheduleB:
        content.form === '941' && content.form941.scheduleB
          ? content.form941.scheduleB.map((day) => ({ ...day }))
          : null,
      w2s: content.form === 'W-2' ? content.set.forms.map((form) => w2Row(form)) : [],
      problems: problems.map(detailOf),
      events: events.map((event) => ({ ...event, at: event.at.toISOString() })),
      preparedBy: nameOf(filing.preparedBy) ?? '',
      signedBy: nameOf(filing.signedBy),
      submissionId: filing.submissionId,
      documentId: filing.documentId,
      delivery: await this.outbox.standing(manager, id),
      isSnapshot,
    };
  }
}

const rowOf = (filing: Filing, client: Client): FilingRow => ({
  id: filing.id,
  clientId: client.id,
  clientName: client.legalName,
  einTail: client.ein.slice(-4),
  form: filing.form,
  year: filing.year,
  quarter: filing.quarter,
  status: filing.status,
  attempt: filing.attempt,
  version: filing.version,
  due: filing.due,
});
const linesOf = (form: Form941): ReturnLineView[] =>
  form.lines.map((line) => ({
    id: line.id,
    label: line.label,
    value: line.value,
    kind: line.kind,
    working: line.working as ReturnLineView['working'],
    hasEntries: line.entries !== null,
  }));

function w2Row(form: FormW2): W2Row {
  const person = form.person as FormW2['person'] & { ssnTail?: string };
  const state = form.states[0];
  return {
    employeeId: person.employeeId,
    name: [person.lastName, [person.firstName, person.middleName].filter((part) => part !== '').join(' ')].join(', '),
    ssnTail: person.ssnTail ?? person.ssn.slice(-4),
    box1: form.box1,
    box2: form.box2,
    box3: form.box3,
    box4: form.box4,
    box5: form.box5,
    box6: form.box6,
    box12: form.box12.map((line) => `${line.code} ${showDollars(line.amount)}`).join('  '),
    state: state ? state.state : '',
    box16: state?.wages ?? 0,
    box17: state?.tax ?? 0,
    documentId: null,
  };
}
