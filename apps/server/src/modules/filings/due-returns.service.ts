import { Inject, Injectable } from '@nestjs/common';
import type { DoneOfMany } from '@zakat/contract/due-deposits';
import type { BeginReturn, DueReturn, DueReturnView, ReturnAtVersion } from '@zakat/contract/due-returns';
import type { ReleaseSlip } from '@zakat/contract/remittances';
import { date, showShortDate, type LocalDate } from '@zakat/core/calendar/local-date';
import type { DatedFact } from '@zakat/core/facts/in-force';
import type { EmployerFacts, FilingKind } from '@zakat/core/filings/kind';
import { text } from '@zakat/core/facts/fact-kind';
import { clientOnDay } from '@zakat/core/facts/on-day';
import { parsePeriod, periodKey, periodsOfYear, type FilingPeriod } from '@zakat/core/filings/period';
import { cents } from '@zakat/core/money/cents';
import { FILING_KINDS, filesKind, findKind, kindOf } from '@zakat/core/filings/registry';
import { AGENCIES, type AgencyCode, type TaxGroup } from '@zakat/core/tax-registry/registry';
import { In, type EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { refuseField } from '../../http/refusal.js';
import {
  Client,
  findClient,
  formsOnDay,
  recordedFrequencies,
  toldApart,
  type RecordedFrequency,
} from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { FactStore } from '../facts/index.js';
import { checksOfMany, outcome } from '../outbox/index.js';
import { type FiledElsewhere, filedElsewhereByClient } from '../filed-elsewhere/index.js';
import { Filing, titleOf } from '../filing-records/index.js';
import { FilingContent, digestOf } from './filing-content.js';
import { quarterAsked } from './quarter-asked.js';
import { firmOf, Signing } from './signing.service.js';
import { isPaid, NOTHING_PAID, paidMonths, type PaidMonths } from './paid-months.js';
import { FilingQueries } from './filing-queries.service.js';
import { FilingDrafts } from './filing-drafts.service.js';
import { controlTotals } from './acknowledgements.service.js';
import { FilingActs } from './filing-acts.service.js';
import { FilingRelease } from './filing-release.service.js';

const MOVES: Readonly<Record<DueReturn['status'], string>> = {
  'not begun': 'Preparer: begin it',
  draft: 'Preparer: check it',
  differs: 'Preparer: reopen and check again',
  checked: 'Reviewer: release it',
  released: 'Zakat: send it',
  received: 'Agency: accept it',
  accepted: '',
  rejected: 'Preparer: correct it',
  'filed elsewhere': '',
};
/** Kinds by the groups of taxes that they report. */
const BY_GROUP = new Map<TaxGroup, FilingKind[]>();
for (const kind of FILING_KINDS)
  for (const group of kind.owedFor) BY_GROUP.set(group, [...(BY_GROUP.get(group) ?? []), kind]);
const ORDER = new Map(FILING_KINDS.map((kind, index) => [kind, index]));
/** What the forms of a client follow from. */
const FORM_FACTS = ['employer', 'form', 'aggregate-filer', 'reporting-agent'];
const ON_REQUEST = FILING_KINDS.filter(({ owedFor, corrects }) => owedFor.length === 0 && corrects === undefined);

/** What a client's returns of a quarter follow from. */
interface Standing {
  readonly quarter: FilingPeriod;
  readonly paid: PaidMonths;
  readonly filings: readonly Filing[];
  readonly facts: readonly DatedFact[];
  readonly elsewhere: readonly FiledElsewhere[];
  readonly recorded: readonly RecordedFrequency[];
}

/** A client as the list names it, with its place in it: namesakes are told apart. */
type ListedClient = Pick<Client, 'id' | 'key' | 'legalName' | 'tradeName'>;
interface PlacedClient extends ListedClient {
  readonly place: number;
}

/** A return before it is known how it stands. */
interface Found {
  readonly client: PlacedClient;
  readonly kind: FilingKind;
  readonly period: FilingPeriod;
  readonly due: string;
  readonly isElsewhere: boolean;
  readonly filingId: string | null;
}
/** More are not shown at once: the first by their due dates. */
const MOST_SHOWN = 1000;

/** The returns of a quarter of every client: begun, checked and released together, each with its own verdict. */
@Injectable()
export class DueReturnsService {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(FactStore) private readonly store: FactStore,
    @Inject(FilingContent) private readonly contents: FilingContent,
    @Inject(FilingQueries) private readonly queries: FilingQueries,
    @Inject(FilingDrafts) private readonly drafts: FilingDrafts,
    @Inject(FilingActs) private readonly acts: FilingActs,
    @Inject(FilingRelease) private readonly releases: FilingRelease,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(Signing) private readonly signing: Signing,
  ) {}

  view(actor: Actor, quarter: string): Promise<DueReturnView> {
    const asked = quarterAsked(quarter);
    return this.database.run(actor, async (manager) => {
      const today = await this.clock.today(manager);
      const listed: ListedClient[] = await manager.query(
        'SELECT id, key, legal_name AS "legalName", trade_name AS "tradeName" FROM client ORDER BY legal_name, key',
      );
      const clients = toldApart(listed).map((client, place) => ({ ...client, place }));
      const paid = await paidMonths(manager, Number(asked.start.slice(0, 4)));
      const filings = await manager
        .createQueryBuilder(Filing, 'f')
        .select(['f.id', 'f.clientId', 'f.kind', 'f.periodStart', 'f.sequence', 'f.due', 'f.status'])
        .where('f.period_end BETWEEN :start AND :end', asked)
        .getMany();
      const filingsOf = new Map<string, Filing[]>();
      for (const filing of filings) filingsOf.set(filing.clientId, [...(filingsOf.get(filing.clientId) ?? []), filing]);
      const facts = await this.store.ofClients(manager, FORM_FACTS);
      const elsewhere = await filedElsewhereByClient(manager);
      const recorded = await recordedFrequencies(manager);
      const found = clients.flatMap((client) =>
        foundOf(client, {
          quarter: asked,
          paid: paid.get(client.id) ?? NOTHING_PAID,
          filings: filingsOf.get(client.id) ?? [],
          facts: facts.get(client.id) ?? [],
          elsewhere: elsewhere.get(client.id) ?? [],
          recorded: recorded.get(client.id) ?? [],
        }),
      );
      found.sort((a, b) => (a.due < b.due ? -1 : a.due > b.due ? 1 : a.client.place - b.client.place));
      const shown = found.slice(0, MOST_SHOWN);
      const whole = new Map(
        (await manager.find(Filing, { where: { id: In(shown.flatMap(({ filingId }) => filingId ?? [])) } })).map(
          (filing) => [filing.id, filing],
        ),
      );
      const rows: DueReturn[] = [];
      const firm = await firmOf(manager);
      for (const one of shown) {
        const isAgent =
          this.signing.agentBy(firm, facts.get(one.client.id) ?? [], one.kind, one.period, today)?.pin != null;
        rows.push(await this.rowOf(manager, one, whole.get(one.filingId ?? '') ?? null, { today, isAgent }));
      }
      const aggregated = [...facts.values()].filter(
        (own) => text(clientOnDay(own, asked.end).aggregateFiler ?? {}, 'standing') === 'approved',
      ).length;
      return { quarter, rows, more: found.length - shown.length, aggregated };
    });
  }

  private async rowOf(
    manager: EntityManager,
    { client, kind, period, due, isElsewhere }: Found,
    filing: Filing | null,
    { today, isAgent }: { readonly today: LocalDate; readonly isAgent: boolean },
  ): Promise<DueReturn> {
    const stands = await this.standing(manager, kind, period, filing);
    const status = !filing && isElsewhere ? 'filed elsewhere' : stands.status;
    const isDone = status === 'accepted' || status === 'filed elsewhere';
    const needsSigner = status === 'checked' && kind.signedBy !== null && filing?.signedOn === null && !isAgent;
    const isHanded = status === 'checked' && kind.handedTo !== undefined;
    return {
      key: `${client.id} ${kind.code} ${periodKey(period)}`,
      clientId: client.id,
      clientName: client.legalName,
      kind: kind.code,
      title: titleOf(kind, period),
      agency: agencyShort(kind.agency),
      period: periodKey(period),
      due,
      isOver: today > period.end,
      isLate: !isDone && today > due,
      status,
      move: isHanded
        ? 'Hand it over, then record it'
        : needsSigner
          ? 'Client: sign it'
          : mayStillReturn(status, filing, today)
            ? `Agency: may return it until ${showShortDate(date(filing?.refusableUntil ?? today))}`
            : MOVES[status],
      isReady: status === 'checked' && !needsSigner && !isHanded,
      filingId: filing?.id ?? null,
      version: filing?.version ?? null,
      amount: stands.amount,
    };
  }

  /** How a filing stands; one that was checked is compared with the ledger of now. */
  private async standing(
    manager: EntityManager,
    kind: FilingKind,
    period: FilingPeriod,
    filing: Filing | null,
  ): Promise<Pick<DueReturn, 'status' | 'amount'>> {
    if (!filing) return { status: 'not begun', amount: null };
    const kept =
      filing.snapshot === null ? null : kind.read(filing.snapshot, filing.snapshotVersion ?? kind.snapshotVersion);
    const amount = kept === null ? null : kind.amount(kept);
    if (filing.status !== 'checked') return { status: filing.status, amount };
    const client = await findClient(manager, filing.clientId);
    const now = await this.contents.compute(manager, { filing, client, kind, period });
    const isSame = filing.snapshotDigest === digestOf(this.contents.stored(kind, now));
    return { status: isSame ? 'checked' : 'differs', amount };
  }

  async begin(actor: Actor, asked: readonly BeginReturn[]): Promise<DoneOfMany[]> {
    const names = await this.namesOf(actor);
    const answers: DoneOfMany[] = [];
    for (const { clientId, kind, period } of asked) {
      const known = findKind(kind);
      const named = parsePeriod(period);
      const what = `${known && named ? titleOf(known, named) : kind} of ${names.get(clientId) ?? 'a client'}`;
      answers.push(
        await outcome(`${clientId} ${kind} ${period}`, what, () =>
          this.drafts.create(actor, clientId, { kind, period }),
        ),
      );
    }
    return answers;
  }

  /** Checks each; one that differs is opened again first. */
  async check(actor: Actor, asked: readonly ReturnAtVersion[]): Promise<DoneOfMany[]> {
    const answers: DoneOfMany[] = [];
    for (const { id, version } of asked)
      answers.push(
        await outcome(id, await this.nameOf(actor, id), async () => {
          const { status } = await this.queries.view(actor, id);
          const at = status === 'checked' ? (await this.acts.reopen(actor, id, version)).version : version;
          await this.acts.check(actor, id, at);
        }),
      );
    return answers;
  }

  async release(actor: Actor, asked: readonly ReturnAtVersion[]): Promise<DoneOfMany[]> {
    const answers: DoneOfMany[] = [];
    for (const { id, version } of asked)
      answers.push(
        await outcome(id, await this.nameOf(actor, id), () => this.releases.releaseOneOfMany(actor, id, version)),
      );
    await this.releases.send(
      actor,
      asked.map(({ id }) => id),
    );
    return answers;
  }

  /** One slip for many: the rehearsal of each; it may be released when each of them may. */
  async slip(actor: Actor, asked: readonly ReturnAtVersion[]): Promise<ReleaseSlip> {
    const slips: ReleaseSlip[] = [];
    for (const { id } of asked) slips.push(await this.queries.slip(actor, id));
    const kinds = await this.database.run(actor, (manager) =>
      manager.find(Filing, { select: { id: true, kind: true }, where: { id: In(asked.map(({ id }) => id)) } }),
    );
    const totals = controlTotals(
      slips.flatMap(({ amount }, index) => {
        const filing = kinds.find(({ id }) => id === asked[index]?.id);
        return filing ? [{ agency: kindOf(filing.kind).agency.name, amount: cents(amount ?? 0) }] : [];
      }),
    );
    const [first] = slips;
    if (!first) throw refuseField('returns', 'No return is ticked.', 'Tick at least one.');
    const many = slips.length === 1 ? 'One return' : `${slips.length} returns`;
    return {
      title: many,
      act: slips.every((slip) => slip.act === 'release') ? 'release' : 'rehearsal',
      amount: null,
      figures: [
        ...totals,
        ...slips.map((slip) => ({
          label: slip.title.slice(0, 200),
          value: slip.figures
            .filter(({ label }) => /^(Total|Balance)/.test(label))
            .map(({ label, value }) => `${label}: ${value}`)
            .join('; '),
        })),
      ],
      leaves: `${many} ${slips.length === 1 ? 'goes' : 'go'} to the agencies, the ones to the IRS in one transmission; one that is refused stops none of the others.`,
      becomesImpossible:
        'The figures of these returns cannot be changed any more; what turns out wrong afterwards is put right with an amended return.',
      wayBack: first.wayBack,
      checks: checksOfMany(slips, 'return'),
      mayRelease: slips.every((slip) => slip.mayRelease),
      file: '',
    };
  }

  private async namesOf(actor: Actor): Promise<Map<string, string>> {
    return this.database.run(actor, async (manager) => {
      const clients = await manager.find(Client);
      return new Map(clients.map(({ id, legalName }) => [id, legalName]));
    });
  }

  private async nameOf(actor: Actor, id: string): Promise<string> {
    const view = await this.queries.view(actor, id).catch(() => null);
    return view ? `${view.title} of ${view.clientName}` : 'A return';
  }
}

const mayStillReturn = (status: DueReturn['status'], filing: Filing | null, today: LocalDate): boolean =>
  status === 'accepted' && filing?.refusableUntil != null && filing.refusableUntil >= today;
const agencyShort = ({ code, name }: FilingKind['agency']): string => AGENCIES[code as AgencyCode]?.short ?? name;
/** The returns of a client that end in a quarter: owed, or begun. */
function foundOf(client: PlacedClient, { filings, elsewhere, ...standing }: Standing): Found[] {
  const owed = owedReturns(standing);
  if (filings.length === 0 && elsewhere.length === 0)
    return owed.map((one) => ({ client, ...one, isElsewhere: false, filingId: null }));
  const latest = new Map<string, Filing>();
  for (const filing of filings) {
    const key = `${filing.kind} ${filing.periodStart}`;
    if (filing.sequence >= (latest.get(key)?.sequence ?? 0)) latest.set(key, filing);
  }
  const keyOf = ({ kind, period }: OwedReturn): string => `${kind.code} ${period.start}`;
  const known = new Set(owed.map(keyOf));
  const begun = [...new Set(filings.flatMap(({ kind }) => findKind(kind) ?? []))].flatMap((kind) =>
    periodsEndingIn(kind, standing.quarter).map((ending) => ({ kind, ...ending })),
  );
  return [...owed, ...begun.filter((one) => !known.has(keyOf(one)) && latest.has(keyOf(one)))]
    .sort((a, b) => (ORDER.get(a.kind) ?? 0) - (ORDER.get(b.kind) ?? 0))
    .map((one) => {
      const filing = latest.get(keyOf(one));
      const isElsewhere = elsewhere.some(
        ({ kind, period }) => kind === one.kind.code && period.start === one.period.start,
      );
      return { client, ...one, due: filing?.due ?? one.due, isElsewhere, filingId: filing?.id ?? null };
    });
}

interface OwedReturn extends Ending {
  readonly kind: FilingKind;
}
/** Clients that pay alike and are alike owe the same returns: worked out once for all of them. */
const owedAlike = new Map<string, readonly OwedReturn[]>();
const MOST_ALIKE = 5000;
/** The returns of a quarter that follow from what was paid and from what the client is. */
function owedReturns({
  quarter,
  paid,
  facts,
  recorded,
}: Pick<Standing, 'quarter' | 'paid' | 'facts' | 'recorded'>): readonly OwedReturn[] {
  if (paid.groups.size === 0 && !facts.some(({ kind }) => kind === 'form')) return [];
  const key = `${quarter.start}|${paid.key}|${JSON.stringify([recorded, ...facts.filter((fact) => fact.kind !== 'reporting-agent').map(({ kind, from, value }) => [kind, from, value])])}`;
  const known = owedAlike.get(key);
  if (known) return known;
  const { choices } = formsOnDay(facts, quarter.end);
  // A frequency may change within the quarter: each period asks its own end.
  const onDay = new Map<string, EmployerFacts>();
  const employerOn = (day: string): EmployerFacts => {
    const known = onDay.get(day) ?? formsOnDay(facts, day > quarter.end ? quarter.end : day, recorded).employer;
    onDay.set(day, known);
    return known;
  };
  const kinds = new Set([...[...paid.groups.keys()].flatMap((group) => BY_GROUP.get(group) ?? []), ...ON_REQUEST]);
  const found = [...kinds]
    .sort((a, b) => (ORDER.get(a) ?? 0) - (ORDER.get(b) ?? 0))
    .filter((kind) => kind.corrects === undefined)
    .flatMap((kind) => periodsEndingIn(kind, quarter).map((ending) => ({ kind, ...ending })))
    .filter(({ kind, period }) => filesKind(kind, employerOn(period.end), choices).is)
    .filter(({ kind, period }) => kind.owedFor.length === 0 || isPaid(paid, kind.owedFor, period));
  if (owedAlike.size >= MOST_ALIKE) owedAlike.clear();
  owedAlike.set(key, found);
  return found;
}

interface Ending {
  readonly period: FilingPeriod;
  readonly due: LocalDate;
}
/** The same for every client: worked out once for a kind and a quarter. */
const endings = new Map<string, readonly Ending[]>();
const MOST_ENDINGS = 5000;
/** Periods of a kind that end in a quarter, with their due dates. */
function periodsEndingIn(kind: FilingKind, { start, end }: FilingPeriod): readonly Ending[] {
  const key = `${kind.code} ${start}`;
  const known = endings.get(key);
  if (known) return known;
  const found = periodsOfYear(kind.period, Number(start.slice(0, 4)))
    .filter((period) => period.end >= start && period.end <= end)
    .map((period): Ending => ({ period, due: kind.due(period).due }));
  if (endings.size >= MOST_ENDINGS) endings.clear();
  endings.set(key, found);
  return found;
}
