import { Inject, Injectable } from '@nestjs/common';
import type { LedgerEntryView, TieOutView } from '@zakat/contract/filings';
import { FILING_KINDS, kindOf } from '@zakat/core/filings/registry';
import { shareKey, tieOut, type ReturnedTaxes } from '@zakat/core/ledger/tie-out';
import { ZERO, add, subtract, sum, type Cents } from '@zakat/core/money/cents';
import { TAXES, taxOf, type TaxCode, type TaxGroup } from '@zakat/core/tax-registry/registry';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { rawCents } from '../../database/cents-column.js';
import { daysOf, type Period } from '../../http/period.js';
import { type Client, findClient } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { Filing, periodOf } from '../filing-records/index.js';
import { FilingContent, type Loaded } from '../filings/index.js';
import { LedgerReader } from '../ledger/index.js';
import { Deposits } from '../remittances/index.js';
import { filedElsewhere } from '../filed-elsewhere/index.js';

@Injectable()
export class TieOutService {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(LedgerReader) private readonly ledger: LedgerReader,
    @Inject(Deposits) private readonly deposits: Deposits,
    @Inject(FilingContent) private readonly contents: FilingContent,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  view(actor: Actor, clientId: string, period: Period): Promise<TieOutView> {
    return this.database.run(actor, async (manager) => {
      const client = await findClient(manager, clientId);
      const { from, to } = daysOf(period);
      const entries = await this.ledger.entries(manager, clientId, from, to);
      const filings = await this.filingsOf(manager, client, period);
      const { notYetDue, underWay } = await this.owing(manager, client, from, to);
      const rows = tieOut({
        register: await this.register(manager, clientId, from, to),
        entries,
        returned: await this.returned(manager, client, period, filings),
        wageStatements: await this.wageStatements(manager, filings),
        ofEmployees: OF_EMPLOYEES,
        notYetDue,
        underWay,
      });
      return {
        year: period.year,
        quarter: period.quarter,
        rows: rows.map((row) => ({
          ...row,
          stations: { ...row.stations },
          differences: row.differences.map((difference) => ({ ...difference })),
          pending: row.pending && { ...row.pending },
        })),
      };
    });
  }

  /** The entries behind a cell of the tie-out or a line of a return: a group of taxes or several codes, as liabilities or as payments. */
  entries(
    actor: Actor,
    clientId: string,
    period: Period,
    group: string,
    of: 'liabilities' | 'payments' | null,
  ): Promise<LedgerEntryView[]> {
    return this.database.run(actor, async (manager) => {
      await findClient(manager, clientId);
      const { from, to } = daysOf(period);
      const share = OF_EMPLOYEES.find((one) => shareKey(one) === group);
      const taxes = TAXES.filter((tax) =>
        share
          ? tax.group === share && tax.payer === 'employee'
          : tax.group === group || group.split(',').includes(tax.code),
      ).map((tax) => tax.code);
      return this.ledger.view(manager, clientId, { from, to, taxes: group === 'all' ? null : taxes, of });
    });
  }

  private async register(
    manager: EntityManager,
    clientId: string,
    from: string,
    to: string,
  ): Promise<Map<string, Cents>> {
    const rows = (await manager.query(
      'SELECT tax, sum(amount)::bigint AS amount FROM paycheck_tax WHERE client_id = $1 AND check_date BETWEEN $2 AND $3 GROUP BY tax',
      [clientId, from, to],
    )) as { tax: string; amount: string }[];
    return new Map(rows.map((row) => [row.tax, rawCents(row.amount)]));
  }

  /** The filings whose figures are compared: those of the period, and with a quarter none that is for longer. */
  private async filingsOf(manager: EntityManager, client: Client, period: Period): Promise<Loaded[]> {
    const { from, to } = daysOf(period);
    const rows = await manager.find(Filing, { where: { clientId: client.id } });
    return (
      rows
        // What somebody else filed of a year that they ran has no ledger here to agree with.
        .filter((filing) => filing.periodStart >= from && filing.periodEnd <= to && !filing.isElsewhere)
        .map((filing) => ({ filing, client, kind: kindOf(filing.kind), period: periodOf(filing) }))
    );
  }

  /** What returns say of their taxes, each kind once: as they were checked, or as a former provider filed them. */
  private async returned(
    manager: EntityManager,
    client: Client,
    period: Period,
    filings: readonly Loaded[],
  ): Promise<ReturnedTaxes[]> {
    const { from, to } = daysOf(period);
    const elsewhere = (await filedElsewhere(manager, client.id)).filter(
      ({ period: filed }) => filed.start >= from && filed.end <= to,
    );
    const sides: ReturnedTaxes[] = [];
    const standing = standingOf(filings);
    for (const kind of FILING_KINDS.filter(
      ({ tieOut: side, corrects }) => side.station === 'returns' && corrects === undefined,
    )) {
      const parts: { amounts: ReadonlyMap<TaxGroup, Cents>; adjustments: Cents }[] = [];
      for (const loaded of standing) {
        if ((loaded.kind.corrects ?? loaded.kind.code) !== kind.code) continue;
        const content = await this.contents.shown(manager, loaded);
        const isInLedger = loaded.filing.status === 'accepted';
        parts.push({
          amounts: loaded.kind.tieOut.amounts(content),
          // What only the return knows is in the ledger once it is accepted.
          adjustments: loaded.kind.adds && isInLedger ? ZERO : loaded.kind.tieOut.adjustments(content),
        });
      }
      for (const form of elsewhere) {
        const part = form.kind === kind.code ? kind.elsewhere?.(form.line) : undefined;
        if (part) parts.push(part);
      }
      if (parts.length === 0) continue;
      sides.push({
        amounts: new Map(
          kind.tieOut.groups.map((group) => [group, sum(parts.map(({ amounts }) => amounts.get(group) ?? ZERO))]),
        ),
        adjustments: sum(parts.map((part) => part.adjustments)),
        words: kind.tieOut.adjustmentWords,
        adjusted: kind.tieOut.adjusted,
      });
    }
    return sides;
  }

  private async wageStatements(manager: EntityManager, filings: readonly Loaded[]): Promise<Map<TaxGroup, Cents>> {
    const totals = new Map<TaxGroup, Cents>();
    for (const loaded of standingOf(filings)) {
      if (loaded.kind.tieOut.station !== 'wage-statements') continue;
      const amounts = loaded.kind.tieOut.amounts(await this.contents.shown(manager, loaded));
      for (const [group, amount] of amounts) totals.set(group, add(totals.get(group) ?? ZERO, amount));
    }
    return totals;
  }

  private async owing(
    manager: EntityManager,
    client: Client,
    from: string,
    to: string,
  ): Promise<{ notYetDue: Map<TaxGroup, Cents>; underWay: Map<TaxGroup, Cents> }> {
    const today = await this.clock.today(manager);
    const notYetDue = new Map<TaxGroup, Cents>();
    const underWay = new Map<TaxGroup, Cents>();
    const put = (into: Map<TaxGroup, Cents>, tax: TaxCode, amount: Cents): void =>
      void into.set(taxOf(tax).group, add(into.get(taxOf(tax).group) ?? ZERO, amount));
    const released = (await manager.query(
      `SELECT i.tax, i.liability_date FROM remittance_item i JOIN remittance r ON r.id = i.remittance_id WHERE i.client_id = $1 AND i.is_live AND r.status = 'released'`,
      [client.id],
    )) as { tax: string; liability_date: string }[];
    for (const line of await this.deposits.owed(manager, client)) {
      if (line.liabilityDate < from || line.liabilityDate > to) continue;
      const isReleased = released.some((row) => row.tax === line.tax && row.liability_date === line.liabilityDate);
      const onItsWay = isReleased ? line.underWay : ZERO;
      if (onItsWay !== 0) put(underWay, line.tax, onItsWay);
      if (line.due === null || line.due >= today) put(notYetDue, line.tax, subtract(line.owed, onItsWay));
    }
    return { notYetDue, underWay };
  }
}

/** Filings with figures, each original replaced by its last correction. */
function standingOf(filings: readonly Loaded[]): Loaded[] {
  const found = new Map<string, Loaded>();
  const rank = ({ kind, filing }: Loaded): number => (kind.corrects === undefined ? 0 : filing.sequence);
  for (const loaded of filings) {
    if (loaded.filing.snapshot === null && loaded.kind.tieOut.station === 'returns') continue;
    if (loaded.filing.snapshot === null && loaded.kind.corrects !== undefined) continue;
    const key = `${loaded.kind.corrects ?? loaded.kind.code} ${loaded.filing.periodStart}`;
    const before = found.get(key);
    if (!before || rank(before) < rank(loaded)) found.set(key, loaded);
  }
  return [...found.values()];
}

const OF_EMPLOYEES = FILING_KINDS.flatMap((kind) => kind.tieOut.ofEmployees ?? []);
