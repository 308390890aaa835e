import { Inject, Injectable } from '@nestjs/common';
import type { LedgerEntryView, TieOutView } from '@zakat/contract/filings';
import { tieOut } from '@zakat/core/ledger/tie-out';
import { ZERO, add, cents, subtract, sum, type Cents } from '@zakat/core/money/cents';
import { columnTwo, lineValue, type Form941, type LineId } from '@zakat/core/returns/form-941';
import { TAXES, taxOf, type TaxCode, type TaxGroup } from '@zakat/core/taxes/registry';
import type { FormW2 } from '@zakat/core/yearend/w2';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { rawCents } from '../../database/cents-column.js';
import { daysOf, type Period } from '../../http/period.js';
import { findClient } from '../clients/clients.service.js';
import type { Client } from '../clients/entities.js';
import { Clock } from '../clock/clock.js';
import { Filing } from '../filings/entities.js';
import { FilingSource } from '../filings/filing-source.js';
import { LedgerReader } from '../ledger/ledger-reader.js';
import { Deposits } from '../remittances/deposits.js';
import { filedElsewhere, type FiledElsewhere } from '../take-overs/take-over-store.js';

@Injectable()
export class TieOutService {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(LedgerReader) private readonly ledger: LedgerReader,
    @Inject(Deposits) private readonly deposits: Deposits,
    @Inject(FilingSource) private readonly source: FilingSource,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  view(actor: Actor, clientId: string, period: Period): Promise<TieOutView> {
    return this.database.run(actor, async (manager) => {
      const client = await findClient(manager, clientId);
      const { from, to } = daysOf(period);
      const entries = await this.ledger.entries(manager, clientId, from, to);
      const { returned, adjustments } = await this.returned(manager, clientId, period);
      const { notYetDue, underWay } = await this.owing(manager, client, from, to);
      const rows = tieOut({
        register: await this.register(manager, clientId, from, to),
        entries,
        returned,
        adjustments,
        wageStatements:
          period.quarter === null ? await this.wageStatements(manager, client, period.year) : new Map<string, Cents>(),
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

  /** The entries behind a cell of the tie-out: a group of taxes, as liabilities or as payments. */
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
      const taxes = TAXES.filter((tax) =>
        group.endsWith('-EE')
          ? tax.group === group.slice(0, -3) && tax.payer === 'employee'
          : tax.group === group || tax.code === group,
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

  private async returned(
    manager: EntityManager,
    clientId: string,
    period: Period,
  ): Promise<{ returned: Map<TaxGroup, Cents>; adjustments: Cents }> {
    const filings = await manager.find(Filing, { where: { clientId, form: '941', year: period.year } });
    const isAsked = (quarter: number | null): boolean => period.quarter === null || quarter === period.quarter;
    const forms = filings
      .filter((filing) => filing.snapshot !== null && isAsked(filing.quarter))
      .map((filing) => taxesOf((filing.snapshot as { form941: Form941 }).form941));
    const elsewhere = (await filedElsewhere(manager, clientId))
      .filter((form) => form.year === period.year && isAsked(form.quarter))
      .map(taxesOfElsewhere);
    const all = [...forms, ...elsewhere];
    if (all.length === 0) return { returned: new Map(), adjustments: ZERO };
    return {
      returned: new Map<TaxGroup, Cents>([
        ['US-FIT', sum(all.map((form) => form.incomeTax))],
        ['US-OASDI', sum(all.map((form) => form.oasdi))],
        ['US-HI', sum(all.map((form) => form.hi))],
      ]),
      adjustments: sum(all.map((form) => form.adjustments)),
    };
  }

  private async wageStatements(manager: EntityManager, client: Client, year: number): Promise<Map<string, Cents>> {
    const filing = await manager.findOneBy(Filing, { clientId: client.id, form: 'W-2', year });
    if (!filing) return new Map();
    const stored = filing.snapshot as { set: { forms: FormW2[] } } | null;
    const forms = stored ? stored.set.forms : (await this.source.w2Set(manager, client, year)).forms;
    const totals = new Map<string, Cents>([
      // What a payer of sick pay withheld is on the forms and in no deposit of this employer.
      ['US-FIT', sum(forms.map((form) => subtract(form.box2, ofInsurer(form, 'incomeTax'))))],
      ['US-OASDI', sum(forms.map((form) => subtract(form.box4, ofInsurer(form, 'oasdi'))))],
      ['US-HI', sum(forms.map((form) => subtract(form.box6, ofInsurer(form, 'hi'))))],
    ]);
    for (const form of forms)
      for (const line of form.states)
        totals.set(`${line.state}-SIT`, add(totals.get(`${line.state}-SIT`) ?? ZERO, line.tax));
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
      if (line.due >= today) put(notYetDue, line.tax, subtract(line.owed, onItsWay));
    }
    return { notYetDue, underWay };
  }
}

/** Forms that were released before it was kept apart have none. */
const ofInsurer = (form: FormW2, tax: keyof FormW2['withheldByInsurer']): Cents =>
  (form as Partial<FormW2>).withheldByInsurer?.[tax] ?? ZERO;

/** The taxes a return says, as the tie-out compares them. */
interface ReturnedTaxes {
  readonly incomeTax: Cents;
  readonly oasdi: Cents;
  readonly hi: Cents;
  /** Lines 7 to 9. */
  readonly adjustments: Cents;
}

function taxesOf(form: Form941): ReturnedTaxes {
  // A return of before lines 5b, 8 and 9 were prepared does not have them.
  const line = (id: LineId): Cents => (form.lines.some((one) => one.id === id) ? cents(lineValue(form, id)) : ZERO);
  return {
    incomeTax: line('3'),
    oasdi: add(line('5a.2'), line('5b.2')),
    hi: add(line('5c.2'), line('5d.2')),
    adjustments: sum([line('7'), line('8'), line('9')]),
  };
}

/** The same of a return that somebody else filed: column 2 follows from column 1, line 7 from the total (Form 941). */
function taxesOfElsewhere(form: FiledElsewhere): ReturnedTaxes {
  const { oasdi, hi } = columnTwo({ '5a': form.line('941.5a'), '5c': form.line('941.5c'), '5d': form.line('941.5d') });
  const incomeTax = cents(form.line('941.3'));
  return { incomeTax, oasdi, hi, adjustments: subtract(cents(form.line('US-941.filed')), sum([incomeTax, oasdi, hi])) };
}
