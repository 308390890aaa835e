import { Inject, Injectable } from '@nestjs/common';
import type { FilingView, TakeInWageFile, TakenInWageFile, TypeBoxes, TypedBoxes } from '@zakat/contract/filings';
import { date } from '@zakat/core/calendar/local-date';
import { periodWith } from '@zakat/core/filings/period';
import { kindOf } from '@zakat/core/filings/registry';
import type { FormW2, W2Set } from '@zakat/core/filings/us-w2/form';
import { readEfw2, setAsFiled, type ReadStatement } from '@zakat/core/filings/us-w2/read-file';
import { boxKey, boxesOf } from '@zakat/core/filings/us-w2c/typed-boxes';
import { normalDigits } from '@zakat/core/identity/numbers';
import { problem } from '@zakat/core/issues/issue';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { Secrets } from '../../database/secrets.js';
import { conflict, notFound, refuse, refuseField } from '../../http/refusal.js';
import { Audit } from '../audit/index.js';
import { findClient } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { Documents } from '../documents/index.js';
import { Employee } from '../employees/index.js';
import { Filing } from '../filing-records/index.js';
import { changeDraft } from './change-draft.js';
import { FilingContent, digestOf, type Loaded } from './filing-content.js';
import { FilingSource } from './filing-source.js';
import { FilingViews } from './filing-view.js';

const W2 = kindOf('us-w2');
const BOX_FIELD = /^(1|2|3|4|5|6|7|8|10|11|12 [A-Z]{1,2}|1[6-9] .+)$/;

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
    const file = readEfw2(content.toString('latin1'));
    if (file.issues.length > 0) throw refuse(file.issues);
    return this.database.run(actor, async (manager) => {
      const client = await findClient(manager, clientId);
      if (file.ein !== normalDigits(client.ein))
        throw refuse([problem('wage-file.other-ein', 'content', { tail: file.ein.slice(-4) })]);
      const period = periodWith('year', date(`${file.year}-01-01`));
      if (period.end >= (await this.clock.today(manager)))
        throw refuseField('content', `The year ${file.year} is not over.`, 'Choose the file of a year that was filed.');
      const known = await manager.findOneBy(Filing, { clientId, kind: W2.code, periodStart: period.start });
      if (known)
        throw conflict(`${W2.name} of ${file.year} are here already. Correct those, or discard what was begun.`);
      const { forms, strangers } = await this.match(manager, clientId, file.statements);
      const set = setAsFiled(file.year, forms, strangers);
      const stored = this.contents.stored(W2, set);
      const documentId = await this.documents.store(
        manager,
        actor,
        clientId,
        'filed-elsewhere',
        input.fileName,
        'text/plain',
        content,
      );
      const id = randomUUID();
      await manager.insert(Filing, {
        id,
        firmId: actor.firmId,
        clientId,
        kind: W2.code,
        jurisdiction: W2.jurisdiction,
        periodStart: period.start,
        periodEnd: period.end,
        corrects: null,
        sequence: 1,
        due: W2.due(period).due,
        status: 'accepted',
        version: 1,
        attempt: 1,
        entered: {},
        answers: {},
        snapshot: stored as object,
        snapshotVersion: W2.snapshotVersion,
        snapshotDigest: digestOf(stored),
        documentId,
        isElsewhere: true,
        preparedBy: actor.userId ?? '',
        createdAt: await this.clock.now(manager),
      });
      await this.audit.record(manager, actor, 'filing.take-in', 'filing', id, {
        file: input.fileName,
        year: file.year,
      });
      const names = forms.filter(({ person }) => strangers.includes(person.employeeId)).map(nameOf);
      return { id, year: file.year, statements: forms.length, strangers: names };
    });
  }

  /** The boxes of one person on a correction that is typed. */
  boxes(actor: Actor, id: string, employeeId: string): Promise<TypedBoxes> {
    return this.database.run(actor, async (manager) => {
      const { loaded, form } = await this.typing(manager, id, employeeId);
      return {
        employeeId,
        name: nameOf(form),
        boxes: boxesOf(form).map(({ box, amount }) => ({
          box,
          filed: amount,
          correct: loaded.filing.entered[boxKey(employeeId, box)] ?? amount,
        })),
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
        const filed = known.get(box);
        if (filed === undefined || !BOX_FIELD.test(box))
          throw refuseField(`boxes[${index}].box`, `This statement has no box ${box}.`, 'Leave it out.');
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
    const form = (input.original as W2Set | null)?.forms.find(({ person }) => person.employeeId === employeeId);
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
