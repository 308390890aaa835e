import { Inject, Injectable, type OnApplicationBootstrap } from '@nestjs/common';
import type { W2Copies, W2Page, W2Row } from '@zakat/contract/filings';
import type { FormW2, W2Set } from '@zakat/core/filings/us-w2/form';
import { showDollars, sum, type Cents } from '@zakat/core/money/cents';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { conflict, notFound } from '../../http/refusal.js';
import { WorkQueue } from '../../queue/work-queue.js';
import { QUEUES } from '../../queue/queues.js';
import { Documents, type StoredDocument } from '../documents/index.js';
import type { Filing } from '../filing-records/index.js';
import { FilingContent, type Loaded } from './filing-content.js';
import { drawW2, drawW2s } from './w2-pdf.js';

/** People on a page of the screen. */
const PAGE = 200;
const MOST = 1000;
/** People whose copies stand in one PDF: few enough that a part is drawn in a moment. */
const PART = 250;
const { copies: COPIES } = QUEUES;

/** One part of the copies of a wage file, to be drawn. */
interface PartTask {
  readonly firmId: string;
  readonly userId: string | null;
  readonly filingId: string;
  readonly attempt: number;
  readonly part: number;
}
type Paper = Pick<StoredDocument, 'name' | 'mediaType' | 'content'>;
const hasLeft = ({ status }: Filing): boolean => status !== 'draft' && status !== 'checked';

/** The statements of a wage file: by pages on the screen, and as copies for the people, drawn in parts behind the requests. */
@Injectable()
export class WageStatements implements OnApplicationBootstrap {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(FilingContent) private readonly contents: FilingContent,
    @Inject(Documents) private readonly documents: Documents,
    @Inject(WorkQueue) private readonly queue: WorkQueue,
  ) {}

  async onApplicationBootstrap(): Promise<void> {
    await this.queue.work<PartTask>(COPIES, (task) => this.drawPart(task));
  }

  page(actor: Actor, id: string, asked: { find: string; from: number; count: number }): Promise<W2Page> {
    return this.database.run(actor, async (manager) => {
      const { forms, strangers } = await this.forms(manager, id);
      return pageOf(forms, strangers, asked);
    });
  }

  /**
   * The W-2 of one person as PDF. Of a set that was released it is drawn from what was released when it is first asked for,
   * and stored; before that it is a draft that is kept nowhere.
   */
  pdf(actor: Actor, id: string, employeeId: string): Promise<Paper> {
    return this.database.run(actor, async (manager) => {
      const { loaded, forms } = await this.forms(manager, id);
      const { filing, client } = loaded;
      const year = filing.periodStart.slice(0, 4);
      const isDraft = !hasLeft(filing);
      const name = `${id}/${filing.attempt}/${employeeId}`;
      const stored = isDraft ? null : await this.documents.latest(manager, client.id, 'w2', name);
      if (stored) return { ...(await this.documents.load(manager, stored)), name: `W-2-${year}.pdf` };
      const form = forms.find((candidate) => candidate.person.employeeId === employeeId);
      if (!form) throw notFound('W-2');
      const content = await drawW2({
        year: Number(year),
        form,
        employer: { ...client, name: client.legalName },
        isDraft,
      });
      if (!isDraft) await this.documents.store(manager, actor, client.id, 'w2', name, 'application/pdf', content);
      return { name: isDraft ? `W-2-${year}-draft.pdf` : `W-2-${year}.pdf`, mediaType: 'application/pdf', content };
    });
  }

  /** How far the copies of everybody are. */
  copies(actor: Actor, id: string): Promise<W2Copies> {
    return this.database.run(actor, async (manager) => {
      const { loaded, forms } = await this.forms(manager, id);
      return this.copiesOf(manager, loaded, forms);
    });
  }

  /** Has the copies of everybody drawn; parts that are there already stay as they are. */
  async makeCopies(actor: Actor, id: string): Promise<W2Copies> {
    const { view, tasks } = await this.database.run(actor, async (manager) => {
      const { loaded, forms } = await this.forms(manager, id);
      if (!hasLeft(loaded.filing))
        throw conflict(
          'The copies are made of what was filed. Release the wage file first; a single draft can be looked at.',
        );
      const copies = await this.copiesOf(manager, loaded, forms);
      const own = { firmId: actor.firmId, userId: actor.userId, filingId: id, attempt: loaded.filing.attempt };
      return {
        view: copies,
        tasks: copies.parts.filter(({ isMade }) => !isMade).map(({ part }): PartTask => ({ ...own, part })),
      };
    });
    for (const task of tasks) await this.queue.send(COPIES, task, `${task.filingId}/${task.attempt}/${task.part}`);
    return view;
  }

  part(actor: Actor, id: string, part: number): Promise<Paper> {
    return this.database.run(actor, async (manager) => {
      const loaded = await this.contents.load(manager, id);
      const stored = await this.documents.latest(manager, loaded.client.id, COPIES, nameOf(loaded.filing, part));
      if (!stored) throw notFound('part of the copies');
      const year = loaded.filing.periodStart.slice(0, 4);
      return { ...(await this.documents.load(manager, stored)), name: `W-2-${year}-copies-${part + 1}.pdf` };
    });
  }

  /** Draws one part and stores it; a second time finds it stored. */
  private async drawPart({ firmId, userId, filingId, attempt, part }: PartTask): Promise<void> {
    const actor: Actor = { firmId, userId, role: 'system' };
    await this.database.run(actor, async (manager) => {
      await manager.query('SELECT pg_advisory_xact_lock(hashtextextended($1, 0))', [`${COPIES} ${filingId} ${part}`]);
      const { loaded, forms } = await this.forms(manager, filingId);
      const { filing, client } = loaded;
      if (filing.attempt !== attempt || !hasLeft(filing)) return;
      const name = nameOf(filing, part);
      if (await this.documents.latest(manager, client.id, COPIES, name)) return;
      const employer = { ...client, name: client.legalName };
      const content = await drawW2s({
        year: Number(filing.periodStart.slice(0, 4)),
        employer,
        forms: forms.slice(part * PART, (part + 1) * PART),
      });
      await this.documents.store(manager, actor, client.id, COPIES, name, 'application/pdf', content);
    });
  }

  private async copiesOf(
    manager: EntityManager,
    { filing, client }: Loaded,
    forms: readonly FormW2[],
  ): Promise<W2Copies> {
    const rows = (await manager.query(
      `SELECT DISTINCT name FROM document WHERE client_id = $1 AND kind = $2 AND name LIKE $3`,
      [client.id, COPIES, `${filing.id}/${filing.attempt}/%`],
    )) as { name: string }[];
    const made = new Set(rows.map(({ name }) => name));
    const count = hasLeft(filing) ? Math.ceil(forms.length / PART) : 0;
    const nameIn = (index: number): string => forms[Math.min(index, forms.length - 1)]?.person.lastName ?? '';
    return {
      total: count,
      parts: Array.from({ length: count }, (_, part) => ({
        part,
        from: nameIn(part * PART),
        to: nameIn((part + 1) * PART - 1),
        people: Math.min(PART, forms.length - part * PART),
        isMade: made.has(nameOf(filing, part)),
      })),
    };
  }

  private async forms(
    manager: EntityManager,
    id: string,
  ): Promise<{ loaded: Loaded; forms: readonly FormW2[]; strangers: ReadonlySet<string> }> {
    const loaded = await this.contents.load(manager, id);
    const content = await this.contents.shown(manager, loaded);
    const forms = loaded.kind.statements?.(content);
    if (!forms) throw notFound('wage statements');
    return { loaded, forms, strangers: strangersOf(content) };
  }
}

const nameOf = ({ id, attempt }: Filing, part: number): string => `${id}/${attempt}/${part}`;

/** People of a file that somebody else filed who are nobody's employee here. */
export const strangersOf = (content: unknown): ReadonlySet<string> => new Set((content as W2Set).strangers ?? []);

/** Some of the forms, with the totals of all: the Form W-3. */
export function pageOf(
  forms: readonly FormW2[],
  strangers: ReadonlySet<string>,
  { find, from, count }: { find: string; from: number; count: number } = { find: '', from: 0, count: PAGE },
): W2Page {
  const words = find.trim().toLowerCase();
  const rows = forms.map((form) => w2Row(form, strangers));
  const found =
    words === '' ? rows : rows.filter(({ name, ssnTail }) => name.toLowerCase().includes(words) || ssnTail === words);
  return {
    rows: found.slice(from, from + Math.min(count, MOST)),
    found: found.length,
    total: rows.length,
    totals: Object.fromEntries(
      AMOUNTS.map((box) => [box, sum(rows.map((row) => row[box] as Cents))]),
    ) as unknown as W2Page['totals'],
    hasLocals: rows.some(({ box18 }) => box18 !== 0),
    hasOthers: rows.some(({ box14 }) => box14 !== ''),
  };
}
const AMOUNTS = [
  'box1',
  'box2',
  'box3',
  'box4',
  'box5',
  'box6',
  'box7',
  'box8',
  'box10',
  'box11',
  'box16',
  'box17',
  'box18',
  'box19',
] as const satisfies readonly (keyof W2Row)[];

const inWords = (lines: readonly { readonly label: string; readonly amount: Cents }[]): string =>
  lines.map(({ label, amount }) => `${label} ${showDollars(amount)}`).join(', ');

function w2Row(form: FormW2, strangers: ReadonlySet<string>): W2Row {
  const person = form.person as FormW2['person'] & { ssnTail?: string };
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
    box7: form.box7,
    box8: form.box8,
    box10: form.box10,
    box11: form.box11,
    box12: inWords(form.box12.map(({ code, amount }) => ({ label: code, amount }))),
    box14: inWords(form.box14),
    state: form.states.map((line) => line.state).join(' '),
    box16: sum(form.states.map((line) => line.wages)),
    box17: sum(form.states.map((line) => line.tax)),
    box18: sum(form.locals.map((line) => line.wages)),
    box19: sum(form.locals.map((line) => line.tax)),
    box20: form.locals.map((line) => line.locality).join(', '),
    isHere: !strangers.has(person.employeeId),
  };
}
