import { Inject, Injectable } from '@nestjs/common';
import { yearOf, date } from '@zakat/core/calendar/local-date';
import { text } from '@zakat/core/facts/fact-kind';
import { inForceOn } from '@zakat/core/facts/in-force';
import { CLIENT_FACTS } from '@zakat/core/facts/client-facts';
import { ZERO, add, type Cents } from '@zakat/core/money/cents';
import { hasErrors } from '@zakat/core/paycheck/compute';
import type { PaycheckResult } from '@zakat/core/computation/result';
import { isTaxCode, taxOf } from '@zakat/core/tax-registry/registry';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { findClient } from '../clients/clients.service.js';
import { BankAccount, type Client } from '../clients/entities.js';
import { Clock } from '../clock/clock.js';
import { fullName } from '../employees/employees.service.js';
import { FactStore } from '../facts/fact-store.js';
import { nextPayroll } from '../payrolls/next-payroll.js';
import { PeopleCases, computeEntry, usualEntry, type PersonCase } from '../payrolls/people-cases.js';
import type { CheckLayout, CheckSheet, StubLine } from './check-page.js';
import { drawCheck } from './draw-check.js';
import { stubLines, type StubPart } from './stub-lines.js';

type Entry = ReturnType<typeof usualEntry>;
interface Usual {
  readonly person: PersonCase;
  readonly entry: Entry;
  readonly result: PaycheckResult;
}
type Kind = 'gross' | 'net' | 'earning' | 'tax' | 'deduction';
/** What posted checks of the year came to: by the kind of line, by name. */
type ToDate = Readonly<Record<Kind, ReadonlyMap<string, Cents>>>;
const NO_CHECKS: ToDate = {
  gross: new Map(),
  net: new Map(),
  earning: new Map(),
  tax: new Map(),
  deduction: new Map(),
};

const placeLine = ({ city, state, zip }: { city: string; state: string; zip: string }): string =>
  city === '' ? '' : `${city}, ${state} ${zip}`;

/** Samples of a client's checks: its layout, and what its first person is usually paid. Nothing is kept. */
@Injectable()
export class CheckSamples {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(FactStore) private readonly store: FactStore,
    @Inject(PeopleCases) private readonly peopleCases: PeopleCases,
  ) {}

  /** A page as it would be printed; without anybody who can be paid, the same page with nothing on its lines. */
  draw(actor: Actor, clientId: string, layout: CheckLayout): Promise<Buffer> {
    return this.database.run(actor, async (manager) => drawCheck(await this.sheet(manager, clientId, layout)));
  }

  private async sheet(manager: EntityManager, clientId: string, layout: CheckLayout): Promise<CheckSheet> {
    const client = await findClient(manager, clientId);
    const next = await nextPayroll(manager, this.store, client);
    const checkDate = next?.checkDate ?? (await this.clock.today(manager));
    const bank = await manager.findOne(BankAccount, { where: { clientId }, order: { label: 'ASC' } });
    const usual = await this.usual(manager, client, checkDate);
    const toDate = usual ? await yearToDate(manager, usual.person.employee.id, checkDate) : NO_CHECKS;
    return {
      layout,
      isSample: true,
      client: { name: client.legalName, street: client.street, place: placeLine(client) },
      bankName: bank?.bankName ?? '',
      number: await this.nextNumber(manager, client, checkDate),
      checkDate,
      period: next ? `${next.periodStart} to ${next.periodEnd}` : 'the pay period',
      ...(usual ? linesOf(usual, toDate) : NOBODY),
    };
  }

  /** The first person whose usual check can be computed. */
  private async usual(manager: EntityManager, client: Client, checkDate: string): Promise<Usual | null> {
    for (const person of await this.peopleCases.on(manager, client, checkDate)) {
      const entry = usualEntry(person, 'regular');
      const result = computeEntry(person, { ...entry, isPaid: true });
      if (!hasErrors(result) && result.net > 0) return { person, entry, result };
    }
    return null;
  }

  private async nextNumber(manager: EntityManager, client: Client, day: string): Promise<string> {
    const facts = inForceOn(await this.store.ofClient(manager, client.id), day, CLIENT_FACTS.slotOf);
    return text(facts.find((fact) => fact.kind === 'checks')?.value ?? {}, 'nextNumber') || 'number';
  }
}

const NOTHING: StubLine = { label: '', amount: ZERO, toDate: ZERO };
const NOBODY = {
  payee: { name: 'Name of the person', street: 'Street', place: 'City, state and ZIP code' },
  earnings: [],
  taxes: [],
  deductions: [],
  gross: NOTHING,
  net: NOTHING,
} as const;

async function yearToDate(manager: EntityManager, employeeId: string, checkDate: string): Promise<ToDate> {
  const rows = (await manager.query(
    `WITH posted AS (
       SELECT id, gross, net, lines FROM paycheck WHERE employee_id = $1 AND check_date >= $2 AND check_date <= $3
     )
     SELECT 'gross' AS kind, '' AS name, gross AS amount FROM posted
     UNION ALL SELECT 'net', '', net FROM posted
     UNION ALL SELECT 'earning', l.label, l.amount FROM posted, jsonb_to_recordset(lines -> 'earnings') AS l(label text, amount bigint)
     UNION ALL SELECT 'deduction', l.label, l.amount FROM posted, jsonb_to_recordset(lines -> 'deductions') AS l(label text, amount bigint)
     UNION ALL SELECT 'deduction', l.label, l.amount + l.fee FROM posted, jsonb_to_recordset(lines -> 'garnishments') AS l(label text, amount bigint, fee bigint)
     UNION ALL SELECT 'tax', t.tax, t.amount FROM posted JOIN paycheck_tax t ON t.paycheck_id = posted.id WHERE t.payer = 'employee'`,
    [employeeId, `${yearOf(date(checkDate))}-01-01`, checkDate],
  )) as { kind: Kind; name: string; amount: string }[];
  const of = (kind: Kind): ReadonlyMap<string, Cents> => {
    const amounts = new Map<string, Cents>();
    for (const row of rows)
      if (row.kind === kind) amounts.set(row.name, add(amounts.get(row.name) ?? ZERO, rawCents(row.amount)));
    return amounts;
  };
  return { gross: of('gross'), net: of('net'), earning: of('earning'), tax: of('tax'), deduction: of('deduction') };
}

const taxLabel = (code: string): string => (isTaxCode(code) ? taxOf(code).label.replace(/, employee$/, '') : code);
const asIs = (label: string): string => label;

/** What was earned and withheld, each line with what the year comes to when this check is in it. */
function linesOf({ person, entry, result }: Usual, toDate: ToDate) {
  const { employee } = person;
  const total = (amount: Cents, before: ReadonlyMap<string, Cents>): StubLine => ({
    label: '',
    amount,
    toDate: add(before.get('') ?? ZERO, amount),
  });
  return {
    payee: { name: fullName(employee), street: employee.street, place: placeLine(employee) },
    earnings: stubLines(
      result.earnings.map(({ label, amount }, index): StubPart => {
        const typed = entry.earnings[index];
        const isMeasured = typed?.hours !== undefined && typed.rate !== undefined;
        return { key: label, amount, ...(isMeasured ? { hours: typed.hours, rate: typed.rate } : {}) };
      }),
      toDate.earning,
      asIs,
    ),
    taxes: stubLines(
      result.taxes.filter((tax) => tax.payer === 'employee').map(({ code, amount }) => ({ key: code, amount })),
      toDate.tax,
      taxLabel,
    ),
    deductions: stubLines(
      [
        ...result.deductions.map(({ label, amount }) => ({ key: label, amount })),
        ...result.garnishments.map(({ label, amount, fee }) => ({ key: label, amount: add(amount, fee) })),
      ],
      toDate.deduction,
      asIs,
    ),
    gross: total(result.gross, toDate.gross),
    net: total(result.net, toDate.net),
  };
}
