import { Inject, Injectable } from '@nestjs/common';
import type {
  FiledBox,
  FilingView,
  TakeInWageFile,
  TakenInWageFile,
  TypeBoxes,
  TypedBoxes,
  TypeFiledStatements,
} from '@zakat/contract/filings';
import { date } from '@zakat/core/calendar/local-date';
import type { FilingKind } from '@zakat/core/filings/kind';
import { periodWith, type FilingPeriod } from '@zakat/core/filings/period';
import { kindOf } from '@zakat/core/filings/registry';
import { noBoxes, type FormW2, type W2Set } from '@zakat/core/filings/us-w2/form';
import { readEfw2, setAsFiled, type ReadStatement, type ReadWageFile } from '@zakat/core/filings/us-w2/read-file';
import { correctedByFile, isEfw2c, readEfw2c, type ReadCorrectionFile } from '@zakat/core/filings/us-w2c/read-file';
import { BOX_FIELD, boxKey, boxesOf, formOfBoxes } from '@zakat/core/filings/us-w2c/typed-boxes';
import { moneyFields } from '@zakat/core/filings/us-w2/file';
import { RW } from '@zakat/core/formats/efw2/layout';
import { writeRecord } from '@zakat/core/formats/fixed-width/writer';
import { NO_SSN_IN_FILE, normalDigits } from '@zakat/core/identity/numbers';
import { nameInFile } from '@zakat/core/identity/transliterate';
import { problem } from '@zakat/core/issues/issue';
import { ZERO, cents, type Cents } from '@zakat/core/money/cents';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { Secrets } from '../../database/secrets.js';
import { conflict, notFound, refuse, refuseField } from '../../http/refusal.js';
import { Audit } from '../audit/index.js';
import { findClient, type Client } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { Documents } from '../documents/index.js';
import { Employee } from '../employees/index.js';
import { Filing, newFiling } from '../filing-records/index.js';
import { changeDraft } from './change-draft.js';
import { FilingContent, digestOf, type Loaded } from './filing-content.js';
import { FilingSource } from './filing-source.js';
import { FilingViews } from './filing-view.js';

const W2 = kindOf('us-w2');
const W2C = kindOf('us-w2c');

/** Where what was filed comes from: a file, or the paper it was typed from. */
interface Source {
  readonly fileName: string;
  readonly content: Buffer;
  readonly from?: string;
}
interface Kept {
  readonly kind: FilingKind;
  readonly period: FilingPeriod;
  readonly content: unknown;
  readonly source: Source;
}

/** Wage statements of a year that somebody else filed: taken in from their file, and corrected by typing what is right. */
@Injectable()
export class FiledByOthers {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(FilingContent) private readonly contents: FilingContent,
    @Inject(FilingSource) private readonly source: FilingSource,
    @Inject(FilingViews) private readonly views: FilingViews,
    @Inject(Documents) private readonly documents: Documents,
    @Inject(Secrets) private readonly secrets: Secrets,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  /** Keeps the file and what it says as accepted: the forms that correct it begin from there. */
  takeIn(actor: Actor, clientId: string, input: TakeInWageFile): Promise<TakenInWageFile> {
    const content = Buffer.from(input.content, 'base64');
    const text = content.toString('latin1');
    const source = { fileName: input.fileName, content };
    return isEfw2c(text)
      ? this.takeInCorrections(actor, clientId, readEfw2c(text), source)
      : this.takeInStatements(actor, clientId, readEfw2(text), source);
  }

  private takeInStatements(
    actor: Actor,
    clientId: string,
    file: ReadWageFile,
    source: Source,
  ): Promise<TakenInWageFile> {
    if (file.issues.length > 0) throw refuse(file.issues);
    return this.database.run(actor, async (manager) => {
      const client = await this.clientOf(manager, clientId, file.ein);
      const period = await this.periodOver(manager, file.year, 'content');
      await this.refuseKnown(manager, clientId, period);
      const { forms, strangers } = await this.match(manager, clientId, file.statements);
      const set = setAsFiled(file.year, forms, strangers);
      const id = await this.keep(manager, actor, client, { kind: W2, period, content: set, source });
      return taken(id, file.year, forms.length, forms, strangers);
    });
  }

  /** What another one corrected after its W-2s: upon what stands, in the order in which it was sent. */
  private takeInCorrections(
    actor: Actor,
    clientId: string,
    file: ReadCorrectionFile,
    source: Source,
  ): Promise<TakenInWageFile> {
    if (file.issues.length > 0) throw refuse(file.issues);
    return this.database.run(actor, async (manager) => {
      const client = await this.clientOf(manager, clientId, file.ein);
      const period = await this.periodOver(manager, file.year, 'content');
      const given = { entered: {}, answers: {} };
      const input = await this.source.input(manager, client, W2, period, given);
      const original = (await this.source.original(
        manager,
        client,
        W2C,
        period,
        Number.MAX_SAFE_INTEGER,
        input,
      )) as W2Set | null;
      if (!original) throw refuse([problem('wage-file.no-original', 'content', { year: String(file.year) })]);
      const { forms: matched, strangers } = await this.match(
        manager,
        clientId,
        file.corrections.map(({ person, address }) => ({
          ...noBoxes(),
          person: { ...person, ...address, suffix: '', isRetirementPlan: false, isStatutory: false },
        })),
      );
      const ids = new Map(
        file.corrections.map((one, index) => [one, matched[index]?.person.employeeId ?? randomUUID()]),
      );
      const { set, issues } = correctedByFile(original, file.corrections, (correction) => {
        const id = ids.get(correction) ?? randomUUID();
        return { id, isStranger: strangers.includes(id) };
      });
      if (issues.length > 0) throw refuse(issues);
      const id = await this.keep(manager, actor, client, { kind: W2C, period, content: set, source });
      return taken(
        id,
        file.year,
        set.forms.length,
        set.corrected.forms,
        set.corrected.strangers ?? [],
        file.stateRecords,
      );
    });
  }

  /** Statements typed from the paper: only those that are to be corrected have to be. */
  typeFiled(actor: Actor, clientId: string, input: TypeFiledStatements): Promise<TakenInWageFile> {
    return this.database.run(actor, async (manager) => {
      const client = await findClient(manager, clientId);
      const period = await this.periodOver(manager, input.year, 'year');
      await this.refuseKnown(manager, clientId, period);
      if (input.statements.length === 0)
        throw refuseField('statements', 'No statement is typed.', 'Type the boxes of at least one person.');
      const people = await manager.find(Employee, { where: { clientId, isWithdrawn: false } });
      const forms = input.statements.map((statement, index) => {
        const at = `statements[${index}]`;
        const person = people.find(({ id }) => id === statement.employeeId);
        if (!person) throw refuseField(`${at}.employeeId`, 'This is nobody of the client.', 'Choose an employee.');
        if (input.statements.findIndex(({ employeeId }) => employeeId === person.id) !== index)
          throw refuseField(`${at}.employeeId`, `${person.lastName} is typed twice.`, 'Type each person once.');
        return formOfBoxes(this.source.personOf(person, false), readBoxes(statement.boxes, at));
      });
      // The numbers of the paper are kept as a file of others is: one record a person, sealed with the documents.
      const records = forms.map(
        ({ person, ...boxes }) =>
          writeRecord(
            RW,
            {
              ...moneyFields(boxes),
              'Social Security Number (SSN)': person.ssn || NO_SSN_IN_FILE,
              'Employee First Name': nameInFile(person.firstName),
              'Employee Last Name': nameInFile(person.lastName),
            },
            '',
          ).line,
      );
      const source = {
        fileName: `W2-${input.year}-typed.txt`,
        content: Buffer.from(records.map((line) => `${line}\r\n`).join(''), 'latin1'),
        from: input.source,
      };
      const content = setAsFiled(input.year, forms, []);
      const id = await this.keep(manager, actor, client, { kind: W2, period, content, source });
      return taken(id, input.year, forms.length, forms, []);
    });
  }

  private async clientOf(manager: EntityManager, clientId: string, ein: string): Promise<Client> {
    const client = await findClient(manager, clientId);
    if (ein !== normalDigits(client.ein))
      throw refuse([problem('wage-file.other-ein', 'content', { tail: ein.slice(-4) })]);
    return client;
  }

  private async periodOver(manager: EntityManager, year: number, field: string): Promise<FilingPeriod> {
    const period = periodWith('year', date(`${year}-01-01`));
    if (period.end >= (await this.clock.today(manager)))
      throw refuseField(field, `The year ${year} is not over.`, 'Choose a year that was filed.');
    return period;
  }

  private async refuseKnown(manager: EntityManager, clientId: string, { start, end }: FilingPeriod): Promise<void> {
    if (await manager.findOneBy(Filing, { clientId, kind: W2.code, periodStart: start }))
      throw conflict(`${W2.name} of ${end.slice(0, 4)} are here already. Correct those, or discard what was begun.`);
  }

  /** Keeps what somebody else filed as accepted, with what it was taken from. */
  private async keep(
    manager: EntityManager,
    actor: Actor,
    client: Client,
    { kind, period, content, source }: Kept,
  ): Promise<string> {
    const before = await manager.find(Filing, {
      where: { clientId: client.id, periodStart: period.start },
      order: { sequence: 'ASC' },
    });
    const earlier = before.filter((row) => row.kind === kind.code);
    if (earlier.some(({ status }) => status !== 'accepted'))
      throw conflict(`A ${kind.name} of this period is under way. Finish it first.`);
    const stored = this.contents.stored(kind, content);
    const documentId = await this.documents.store(
      manager,
      actor,
      client.id,
      'filed-elsewhere',
      source.fileName,
      'text/plain',
      source.content,
    );
    const original = before.find((row) => row.kind === kind.corrects);
    const made = newFiling(actor, client.id, kind, period, await this.clock.now(manager));
    const { id } = made;
    await manager.insert(Filing, {
      ...made,
      corrects: kind.corrects === undefined ? null : (earlier.at(-1)?.id ?? original?.id ?? null),
      sequence: earlier.length + 1,
      status: 'accepted',
      snapshot: stored as object,
      snapshotVersion: kind.snapshotVersion,
      snapshotDigest: digestOf(stored),
      documentId,
      isElsewhere: true,
    });
    await this.audit.record(manager, actor, 'filing.take-in', 'filing', id, {
      file: source.from ?? source.fileName,
      year: Number(period.end.slice(0, 4)),
    });
    return id;
  }

  /** The boxes of one person on a correction that is typed. */
  boxes(actor: Actor, id: string, employeeId: string): Promise<TypedBoxes> {
    return this.database.run(actor, async (manager) => {
      const { loaded, form } = await this.typing(manager, id, employeeId);
      return {
        employeeId,
        name: nameOf(form),
        boxes: [
          ...boxesOf(form).map(({ box, amount }) => ({
            box,
            filed: amount,
            correct: loaded.filing.entered[boxKey(employeeId, box)] ?? amount,
          })),
          ...Object.entries(loaded.filing.entered).flatMap(([key, correct]) => {
            const box = key.slice(employeeId.length + 1);
            const isNew = key === boxKey(employeeId, box) && !boxesOf(form).some((one) => one.box === box);
            return isNew ? [{ box, filed: 0, correct }] : [];
          }),
        ],
      };
    });
  }

  /** Keeps the correct boxes of one person; what is as it was filed is not kept. */
  type(actor: Actor, id: string, employeeId: string, input: TypeBoxes): Promise<FilingView> {
    return this.database.run(actor, async (manager) => {
      const { loaded, form } = await this.typing(manager, id, employeeId);
      const { filing } = loaded;
      if (filing.status !== 'draft') throw conflict(`This filing is ${filing.status}; open it again to change it.`);
      const known = new Map(boxesOf(form).map(({ box, amount }) => [box, amount]));
      const entered = { ...filing.entered };
      for (const [index, { box, correct }] of input.boxes.entries()) {
        if (!BOX_FIELD.test(box))
          throw refuseField(
            `boxes[${index}].box`,
            `There is no box “${box}”.`,
            'Write it like 1, 12 D, 16 NY or 18 Philadelphia.',
          );
        // A box that the statement did not have was filed with nothing in it.
        const filed = known.get(box) ?? ZERO;
        if (correct < 0)
          throw refuseField(`boxes[${index}].correct`, `Box ${box} is below zero.`, 'Give zero or more.');
        if (correct === filed) delete entered[boxKey(employeeId, box)];
        else entered[boxKey(employeeId, box)] = correct;
      }
      const change = { audit: this.audit, actor, filing, version: input.version };
      await changeDraft(manager, change, 'entered', entered);
      return this.views.of(manager, id);
    });
  }

  private async typing(
    manager: EntityManager,
    id: string,
    employeeId: string,
  ): Promise<{ loaded: Loaded; form: FormW2 }> {
    const loaded = await this.contents.load(manager, id);
    const { filing, client, kind, period } = loaded;
    const input = await this.source.input(manager, client, kind, period, filing, filing.sequence);
    if (kind.takesBoxes?.(input) !== true)
      throw conflict('The records of this year are here: put them right, and the correction follows from them.');
    const filed = (input.original as W2Set | null)?.forms.find(({ person }) => person.employeeId === employeeId);
    const person = input.statements.people.find((one) => one.employeeId === employeeId);
    const form = filed ?? (person && { ...noBoxes(), person });
    if (!form) throw notFound('statement');
    return { loaded, form };
  }

  /** Whose each statement is: by the number, else by the name where only one has it. */
  private async match(
    manager: EntityManager,
    clientId: string,
    statements: readonly ReadStatement[],
  ): Promise<{ forms: FormW2[]; strangers: string[] }> {
    const people = await manager.find(Employee, { where: { clientId, kind: 'employee', isWithdrawn: false } });
    const byMark = new Map(people.map((person) => [person.ssnMark.toString('hex'), person.id]));
    const byName = new Map<string, string | null>();
    for (const person of people) {
      const key = `${person.lastName} ${person.firstName}`.toUpperCase();
      byName.set(key, byName.has(key) ? null : person.id);
    }
    const byNumber = statements.map(({ person }) =>
      person.ssn === '' ? null : (byMark.get(this.secrets.mark(person.ssn).toString('hex')) ?? null),
    );
    // Whoever has the number is the one: a name is only asked for people whom no number of the file names.
    const taken = new Set(byNumber.filter((id) => id !== null));
    const strangers: string[] = [];
    const forms = statements.map(({ person, ...boxes }, index): FormW2 => {
      const known = byNumber[index] ?? null;
      const named = byName.get(`${person.lastName} ${person.firstName}`.toUpperCase()) ?? null;
      const found = known ?? (named !== null && !taken.has(named) ? named : null);
      const employeeId = found ?? randomUUID();
      if (found === null) strangers.push(employeeId);
      else taken.add(employeeId);
      return { ...boxes, person: { ...person, employeeId } };
    });
    return { forms, strangers };
  }
}

const nameOf = ({ person }: FormW2): string => `${person.lastName}, ${person.firstName}`;

const taken = (
  id: string,
  year: number,
  statements: number,
  forms: readonly FormW2[],
  strangers: readonly string[],
  stateRecords = 0,
): TakenInWageFile => ({
  id,
  year,
  statements,
  stateRecords,
  strangers: forms.filter(({ person }) => strangers.includes(person.employeeId)).map(nameOf),
});

function readBoxes(boxes: readonly FiledBox[], at: string): Map<string, Cents> {
  const found = new Map<string, Cents>();
  for (const [index, { box, amount }] of boxes.entries()) {
    if (!BOX_FIELD.test(box))
      throw refuseField(
        `${at}.boxes[${index}].box`,
        `There is no box “${box}”.`,
        'Write it like 1, 12 D, 16 NY or 18 Philadelphia.',
      );
    if (found.has(box)) throw refuseField(`${at}.boxes[${index}].box`, `Box ${box} is typed twice.`, 'Type it once.');
    if (amount < 0)
      throw refuseField(`${at}.boxes[${index}].amount`, `Box ${box} is below zero.`, 'Give zero or more.');
    found.set(box, cents(amount));
  }
  return found;
}
