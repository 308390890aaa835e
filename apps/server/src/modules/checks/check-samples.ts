import { Inject, Injectable } from '@nestjs/common';
import { date, showShortDate } from '@zakat/core/calendar/local-date';
import { text, type FactValue } from '@zakat/core/facts/fact-kind';
import { inForceOn } from '@zakat/core/facts/in-force';
import { CLIENT_FACTS } from '@zakat/core/facts/client-facts';
import { ZERO } from '@zakat/core/money/cents';
import { hasErrors } from '@zakat/core/paycheck/compute';
import type { PaycheckResult } from '@zakat/core/computation/result';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { BankAccount, type Client, findClient } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { FactStore } from '../facts/index.js';
import { computeEntry, nextPayroll, PeopleCases, type PersonCase, usualEntry } from '../payrolls/index.js';
import type { CheckLayout, CheckSheet, StubLine } from './check-page.js';
import { shiftIn } from './check-printing.service.js';
import { CheckSignatures } from './check-signatures.js';
import { CheckPrinters } from './check-printers.service.js';
import { MicrTypefaces } from './micr-typefaces.service.js';
import { drawChecks } from './draw-check.js';
import { linesOf, payeeOf, placeLine } from './sheet-lines.js';
import { NO_CHECKS, yearsToDate } from './year-to-date.js';

type Entry = ReturnType<typeof usualEntry>;
interface Usual {
  readonly person: PersonCase;
  readonly entry: Entry;
  readonly result: PaycheckResult;
}
/** Samples of a client's checks: its layout, and what its first person is usually paid. Nothing is kept. */
@Injectable()
export class CheckSamples {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(FactStore) private readonly store: FactStore,
    @Inject(PeopleCases) private readonly peopleCases: PeopleCases,
    @Inject(CheckSignatures) private readonly signatures: CheckSignatures,
    @Inject(MicrTypefaces) private readonly typefaces: MicrTypefaces,
    @Inject(CheckPrinters) private readonly printers: CheckPrinters,
  ) {}

  /** A page as it would be printed; without anybody who can be paid, the same page with nothing on its lines. */
  draw(actor: Actor, clientId: string, layout: CheckLayout, printerId?: string): Promise<Buffer> {
    return this.database.run(actor, async (manager) =>
      drawChecks([await this.sheet(manager, actor, clientId, layout, printerId)]),
    );
  }

  private async sheet(
    manager: EntityManager,
    actor: Actor,
    clientId: string,
    layout: CheckLayout,
    printerId: string | undefined,
  ): Promise<CheckSheet> {
    const client = await findClient(manager, clientId);
    const next = await nextPayroll(manager, this.store, client);
    const checkDate = next?.checkDate ?? (await this.clock.today(manager));
    const bank = await manager.findOne(BankAccount, { where: { clientId }, order: { label: 'ASC' } });
    const facts = await this.checkFacts(manager, client, checkDate);
    // A sample is marked over the whole check: it shows where the signature stands.
    const signature = bank ? (await this.signatures.forChecks(manager, actor, bank))(ZERO) : null;
    const number = text(facts, 'nextNumber');
    const micrOf =
      bank && text(facts, 'stock') === 'blank' ? await this.typefaces.forChecks(manager, bank, true) : null;
    const usual = await this.usual(manager, client, checkDate);
    const toDate = usual
      ? (await yearsToDate(manager, [usual.person.employee.id], checkDate))(usual.person.employee.id)
      : NO_CHECKS;
    return {
      layout,
      isSample: true,
      shift: await this.printers.shift(manager, shiftIn(facts), printerId),
      client: { name: client.legalName, street: client.street, place: placeLine(client) },
      bankName: bank?.bankName ?? '',
      number: number || 'number',
      checkDate: showShortDate(date(checkDate)),
      period: next
        ? `${showShortDate(date(next.periodStart))} to ${showShortDate(date(next.periodEnd))}`
        : 'the pay period',
      memo: next ? `pay of ${showShortDate(date(next.periodStart))} to ${showShortDate(date(next.periodEnd))}` : 'pay',
      amount: usual?.result.net ?? ZERO,
      ...(signature ? { signature } : {}),
      ...(micrOf ? { micr: micrOf(number || '1001') } : {}),
      ...(usual
        ? {
            payee: payeeOf(usual.person.employee),
            ...linesOf({ ...usual.result, typed: usual.entry.earnings }, toDate),
          }
        : NOBODY),
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

  private async checkFacts(manager: EntityManager, client: Client, day: string): Promise<FactValue> {
    const facts = inForceOn(await this.store.ofClient(manager, client.id), day, CLIENT_FACTS.slotOf);
    return facts.find((fact) => fact.kind === 'checks')?.value ?? {};
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
