import { Inject, Injectable } from '@nestjs/common';
import type {
  CheckPosition,
  CheckRow,
  NextCheckNumber,
  PayrollChecks,
  PrintChecks,
  RecordCheck,
} from '@zakat/contract/checks';
import { date, showShortDate } from '@zakat/core/calendar/local-date';
import { CLIENT_FACTS, shiftOf } from '@zakat/core/facts/client-facts';
import { text } from '@zakat/core/facts/fact-kind';
import { inForceOn } from '@zakat/core/facts/in-force';
import { cents, subtract, sum, type Cents } from '@zakat/core/money/cents';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { rawCents } from '../../database/cents-column.js';
import { conflict, refuseField } from '../../http/refusal.js';
import { Audit } from '../audit/index.js';
import { accountOfSchedule, BankAccount, type Client, findClient } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { DirectDepositsService } from '../direct-deposits/index.js';
import { Documents, pdfOf, type Pdf } from '../documents/index.js';
import { FactStore } from '../facts/index.js';
import { findPayroll, type Payroll } from '../payrolls/index.js';
import type { CheckSheet } from './check-page.js';
import { CheckSignatures } from './check-signatures.js';
import { CheckPrinters } from './check-printers.service.js';
import { MicrTypefaces } from './micr-typefaces.service.js';
import { checkRows, nextNumbers } from './check-store.js';
import { drawChecks, drawPlaced } from './draw-check.js';
import { postedStubs, type PostedStub } from './posted-stubs.js';
import { placeLine } from './sheet-lines.js';
import { statementPage, type PaidLine } from './statement-page.js';

/** A person's pay that is paid by check and has none yet. */
interface ToMake {
  readonly paycheckId: string;
  readonly employeeId: string;
  readonly number: string;
  readonly name: string;
  readonly amount: Cents;
}

/** Checks of posted payrolls on paper: each number once, each page kept as it was printed. */
@Injectable()
export class CheckPrinting {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(DirectDepositsService) private readonly deposits: DirectDepositsService,
    @Inject(Documents) private readonly documents: Documents,
    @Inject(FactStore) private readonly store: FactStore,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(CheckSignatures) private readonly signatures: CheckSignatures,
    @Inject(MicrTypefaces) private readonly typefaces: MicrTypefaces,
    @Inject(CheckPrinters) private readonly printers: CheckPrinters,
  ) {}

  /** The next number of each account of a client. */
  nextNumbers(actor: Actor, clientId: string): Promise<NextCheckNumber[]> {
    return this.database.run(actor, async (manager) => {
      await findClient(manager, clientId);
      const checkDate = await this.clock.today(manager);
      return nextNumbers(manager, clientId, await this.firstNumber(manager, { clientId, checkDate }));
    });
  }

  ofPayroll(actor: Actor, payrollId: string): Promise<PayrollChecks> {
    return this.database.run(actor, async (manager) => this.viewIn(manager, await findPayroll(manager, payrollId)));
  }

  /** Numbers and draws checks; the pages are kept, each check by its page. Answers with the payroll as it is then. */
  print(actor: Actor, payrollId: string, input: PrintChecks): Promise<PayrollChecks> {
    return this.database.run(actor, async (manager) => {
      const payroll = await lockPayroll(manager, payrollId);
      if (payroll.kind === 'recorded')
        throw conflict('Another program paid this payroll: record its check numbers, there is nothing to print.');
      const client = await findClient(manager, payroll.clientId);
      const bank = await bankOf(manager, client, input.bankAccountId);
      const toMake = await this.toMake(manager, payroll);
      const chosen = toMake.filter(({ paycheckId }) => input.paycheckIds.includes(paycheckId));
      if (chosen.length === 0 || chosen.length !== new Set(input.paycheckIds).size)
        throw conflict('One of these checks is made out already, or paid another way. Look again.');
      await refuseUsed(manager, bank, { field: 'firstNumber', first: input.firstNumber, count: chosen.length });
      const stubs = new Map(
        (
          await postedStubs(
            manager,
            payroll,
            chosen.map(({ paycheckId }) => paycheckId),
          )
        ).map((stub) => [stub.paycheckId, stub]),
      );
      const checks = await this.checkFacts(manager, payroll);
      const shift = await this.printers.shift(manager, shiftIn(checks), input.printerId);
      const micrOf = checks['stock'] === 'blank' ? await this.typefaces.forChecks(manager, bank, false) : null;
      const signatureOf = await this.signatures.forChecks(manager, actor, bank);
      const made = chosen.map((check, index) => {
        const stub = stubs.get(check.paycheckId);
        if (!stub) throw conflict('One of these checks was voided. Look again.');
        const number = input.firstNumber + index;
        const signature = signatureOf(check.amount);
        return {
          check,
          number,
          isSigned: signature !== null,
          sheet: {
            ...sheetOf(client, bank, payroll, stub, check.amount, number, input.position),
            shift,
            ...(signature ? { signature } : {}),
            ...(micrOf ? { micr: micrOf(String(number)) } : {}),
          },
        };
      });
      const pdf = await drawChecks(made.map(({ sheet }) => sheet));
      const name = `checks-${payroll.checkDate}-${input.firstNumber}.pdf`;
      const { clientId } = payroll;
      const runId = await this.documents.store(manager, actor, clientId, 'check-run', name, 'application/pdf', pdf);
      await this.insert(
        manager,
        actor,
        payroll,
        bank,
        made.map(({ check, number }, index) => ({
          number,
          check,
          status: 'printed',
          isHandwritten: false,
          runId,
          page: index + 1,
        })),
      );
      await this.audit.record(manager, actor, 'check.print', 'payroll', payrollId, {
        checks: made.length,
        firstNumber: input.firstNumber,
        total: sum(made.map(({ check }) => check.amount)),
        ...(bank.signatureId === null ? {} : { signed: made.filter(({ isSigned }) => isSigned).length }),
      });
      return this.viewIn(manager, payroll);
    });
  }

  /** A check that was written by hand is out with its number; it is never printed. */
  recordHandwritten(actor: Actor, payrollId: string, input: RecordCheck): Promise<PayrollChecks> {
    return this.database.run(actor, async (manager) => {
      const payroll = await lockPayroll(manager, payrollId);
      const client = await findClient(manager, payroll.clientId);
      const bank = await bankOf(manager, client, input.bankAccountId);
      const check = (await this.toMake(manager, payroll)).find(({ paycheckId }) => paycheckId === input.paycheckId);
      if (!check) throw conflict('This pay has its check already, or is paid another way. Look again.');
      await this.insert(manager, actor, payroll, bank, [
        { number: input.number, check, status: 'issued', isHandwritten: true, runId: null, page: null },
      ]);
      await this.audit.record(manager, actor, 'check.handwritten', 'payroll', payrollId, {
        number: String(input.number),
        amount: check.amount,
      });
      return this.viewIn(manager, payroll);
    });
  }

  /** The pay statements of a payroll, made once and kept. */
  statements(actor: Actor, payrollId: string): Promise<Buffer> {
    return this.database.run(actor, async (manager) => {
      const payroll = await lockPayroll(manager, payrollId);
      const { clientId } = payroll;
      const name = `pay-statements-${payrollId}.pdf`;
      const kept = await this.documents.latest(manager, clientId, 'pay-statements', name);
      if (kept !== null) return (await this.documents.load(manager, kept)).content;
      const client = await findClient(manager, clientId);
      const stubs = await postedStubs(manager, payroll, null);
      const paid = await this.paidLines(manager, payroll);
      const pdf = await pdfOf(`Pay statements of ${payroll.checkDate}`, (document) => {
        for (const stub of stubs) {
          document.addPage();
          drawStatement(document, client, payroll, stub, paid(stub));
        }
      });
      // Until the pay is on its way it is not known how it will have been paid: nothing is kept yet.
      if (await this.isUnderWay(manager, payroll))
        await this.documents.store(manager, actor, clientId, 'pay-statements', name, 'application/pdf', pdf);
      return pdf;
    });
  }

  /** The pay statement of one person, drawn from what was posted; null where this check is none of the payroll's that stand. */
  statementOf(actor: Actor, payrollId: string, paycheckId: string): Promise<Buffer | null> {
    return this.database.run(actor, async (manager) => {
      const payroll = await lockPayroll(manager, payrollId);
      const client = await findClient(manager, payroll.clientId);
      const [stub] = await postedStubs(manager, payroll, [paycheckId]);
      if (!stub) return null;
      const paid = await this.paidLines(manager, payroll);
      return pdfOf(`Pay statement of ${payroll.checkDate}`, (document) => {
        document.addPage();
        drawStatement(document, client, payroll, stub, paid(stub));
      });
    });
  }

  private async isUnderWay(manager: EntityManager, payroll: Payroll): Promise<boolean> {
    if (payroll.kind === 'recorded') return true;
    const { file, people } = await this.deposits.payOfIn(manager, payroll);
    const toMake = await this.toMake(manager, payroll);
    const isFileOut = file !== null && (file.status === 'released' || file.status === 'settled');
    return toMake.length === 0 && (isFileOut || people.every((person) => person.deposits.length === 0));
  }

  private async paidLines(manager: EntityManager, payroll: Payroll): Promise<(stub: PostedStub) => PaidLine[]> {
    if (payroll.kind === 'recorded') return (stub) => [{ says: 'Paid by another program', amount: stub.netPay }];
    const { people } = await this.deposits.payOfIn(manager, payroll);
    const rows = await checkRows(manager, { payrollId: payroll.id });
    return (stub) => {
      const own = people.find((person) => person.employeeId === stub.employeeId);
      const deposits = (own?.deposits ?? []).filter((part) => part.isReady && part.amount > 0);
      const live = rows.filter((row) => row.paycheckId === stub.paycheckId && isOut(row));
      const rest = subtract(cents(own?.check ?? stub.netPay), sum(live.map((row) => cents(row.amount))));
      return [
        ...deposits.map(({ label, tail, amount }) => ({
          says: `Direct deposit, ${label}, account ending ${tail}`,
          amount,
        })),
        ...live.map(({ number, amount }) => ({ says: `Check ${number}`, amount })),
        ...(rest > 0 ? [{ says: 'Check', amount: rest }] : []),
      ];
    };
  }

  private async viewIn(manager: EntityManager, payroll: Payroll): Promise<PayrollChecks> {
    return {
      toMake: (await this.toMake(manager, payroll)).map((check) => ({ ...check })),
      checks: await checkRows(manager, { payrollId: payroll.id }),
      accounts: await this.accountsFor(manager, payroll),
      position: ((await this.checkFacts(manager, payroll))['layout'] as CheckPosition | undefined) ?? 'top',
    };
  }

  /** The accounts that checks may be drawn on, that of the payroll's schedule first. */
  private async accountsFor(manager: EntityManager, payroll: Payroll): Promise<NextCheckNumber[]> {
    const accounts = await nextNumbers(manager, payroll.clientId, await this.firstNumber(manager, payroll));
    const own = await accountOfSchedule(manager, this.store, payroll);
    const isOwn = ({ bankAccountId }: NextCheckNumber): boolean => bankAccountId === own;
    return [...accounts.filter(isOwn), ...accounts.filter((account) => !isOwn(account))];
  }

  private async checkFacts(
    manager: EntityManager,
    payroll: Pick<Payroll, 'clientId' | 'checkDate'>,
  ): Promise<Record<string, unknown>> {
    const facts = inForceOn(
      await this.store.ofClient(manager, payroll.clientId),
      payroll.checkDate,
      CLIENT_FACTS.slotOf,
    );
    const { layout, ...value } = facts.find((fact) => fact.kind === 'checks')?.value ?? {};
    return layout === undefined || layout === '' ? value : { ...value, layout };
  }
  private async firstNumber(manager: EntityManager, payroll: Pick<Payroll, 'clientId' | 'checkDate'>): Promise<number> {
    const said = Number(text((await this.checkFacts(manager, payroll)) as Record<string, string>, 'nextNumber'));
    return Number.isSafeInteger(said) && said > 0 ? said : 1001;
  }

  /** What of each net pay is to go by check and has none: after deposits that stand and checks that are out. */
  private async toMake(manager: EntityManager, payroll: Payroll): Promise<ToMake[]> {
    const { people } = await this.deposits.payOfIn(manager, payroll);
    const paychecks = (await manager.query(
      `SELECT c.id, c.employee_id, coalesce((SELECT sum(i.amount) FROM issued_check i WHERE i.paycheck_id = c.id AND i.status IN ('printed', 'issued', 'cleared')), 0) AS made
       FROM standing_paycheck c WHERE c.payroll_id = $1`,
      [payroll.id],
    )) as { id: string; employee_id: string; made: string }[];
    const byPerson = new Map(paychecks.map((row) => [row.employee_id, row]));
    return people.flatMap(({ employeeId, number, name, check }) => {
      const row = byPerson.get(employeeId);
      if (!row) return [];
      const amount = subtract(cents(check), rawCents(row.made));
      return amount > 0 ? [{ paycheckId: row.id, employeeId, number, name, amount }] : [];
    });
  }

  /** Checks of an account: numbered sheets of a run, whose document has each as a page, or one written by hand. */
  private async insert(
    manager: EntityManager,
    actor: Actor,
    payroll: Payroll,
    bank: BankAccount,
    made: readonly {
      readonly number: number;
      readonly check: ToMake;
      readonly status: 'printed' | 'issued';
      readonly isHandwritten: boolean;
      readonly runId: string | null;
      readonly page: number | null;
    }[],
  ): Promise<void> {
    await manager.query(
      `INSERT INTO issued_check (id, firm_id, client_id, bank_account_id, number, payroll_id, paycheck_id, amount, payee, check_date, is_handwritten, status, document_id, run_id, page, prepared_by, created_at)
       SELECT r.id, $1, $2, $3, r.number, $4, r.paycheck_id, r.amount, r.payee, $5, r.is_handwritten, r.status, r.run_id, r.run_id, r.page, $6, $7
       FROM jsonb_to_recordset($8::jsonb) AS r(id uuid, number bigint, paycheck_id uuid, amount bigint, payee text, is_handwritten boolean, status text, run_id uuid, page int)`,
      [
        actor.firmId,
        payroll.clientId,
        bank.id,
        payroll.id,
        payroll.checkDate,
        actor.userId,
        await this.clock.now(manager),
        JSON.stringify(
          made.map(({ number, check, status, isHandwritten, runId, page }) => ({
            id: randomUUID(),
            number,
            paycheck_id: check.paycheckId,
            amount: check.amount,
            payee: check.name,
            is_handwritten: isHandwritten,
            status,
            run_id: runId,
            page,
          })),
        ),
      ],
    );
  }
}

/** A number of an account is used once, whatever becomes of the sheet. `field`: where it was typed. */
export async function refuseUsed(
  manager: EntityManager,
  bank: BankAccount,
  { field, first, count }: { readonly field: string; readonly first: number; readonly count: number },
): Promise<void> {
  const used = (await manager.query(
    'SELECT number::int AS number FROM issued_check WHERE bank_account_id = $1 AND number BETWEEN $2 AND $3 ORDER BY number LIMIT 1',
    [bank.id, first, first + count - 1],
  )) as { number: number }[];
  const [taken] = used;
  if (taken)
    throw refuseField(
      field,
      `Number ${taken.number} of this account is used already.`,
      'Start after the last number of the account.',
    );
}

const isOut = ({ status }: CheckRow): boolean => status === 'printed' || status === 'issued' || status === 'cleared';
const periodOf = ({ periodStart, periodEnd }: Payroll): string =>
  `${showShortDate(date(periodStart))} to ${showShortDate(date(periodEnd))}`;

/** How far the client’s printer has to be corrected, in points. */
export const shiftIn = (value: Readonly<Record<string, unknown>>): NonNullable<CheckSheet['shift']> => ({
  right: (shiftOf(text(value, 'right')) ?? 0) * 72,
  down: (shiftOf(text(value, 'down')) ?? 0) * 72,
});

/** A page with the pay statement of one person. */
function drawStatement(
  document: Pdf,
  client: Client,
  payroll: Payroll,
  stub: PostedStub,
  paid: readonly PaidLine[],
): void {
  const { texts, rules } = statementPage({
    client: { name: client.legalName, street: client.street, place: placeLine(client), phone: client.phone },
    checkDate: showShortDate(date(payroll.checkDate)),
    period: periodOf(payroll),
    stub,
    paid,
  });
  drawPlaced(document, texts, rules);
}

function sheetOf(
  client: Client,
  bank: BankAccount,
  payroll: Payroll,
  stub: PostedStub,
  amount: Cents,
  number: number,
  layout: CheckPosition,
): CheckSheet {
  const { payee, earnings, taxes, deductions, gross, net } = stub;
  return {
    layout,
    isSample: false,
    client: { name: client.legalName, street: client.street, place: placeLine(client) },
    bankName: bank.bankName,
    number: String(number),
    checkDate: showShortDate(date(payroll.checkDate)),
    period: periodOf(payroll),
    memo: `pay of ${periodOf(payroll)}`,
    payee,
    earnings,
    taxes,
    deductions,
    gross,
    net,
    amount,
  };
}

async function bankOf(manager: EntityManager, client: Client, id: string): Promise<BankAccount> {
  const bank = await manager.findOneBy(BankAccount, { id, clientId: client.id });
  if (!bank)
    throw refuseField('bankAccountId', 'This bank account is not one of the client.', 'Choose one of its accounts.');
  return bank;
}

/** The payroll, locked: nobody else makes out its checks meanwhile. */
async function lockPayroll(manager: EntityManager, id: string): Promise<Payroll> {
  await manager.query('SELECT id FROM payroll WHERE id = $1 FOR UPDATE', [id]);
  const payroll = await findPayroll(manager, id);
  if (payroll.status !== 'posted') throw conflict('This payroll is not posted yet.');
  if (payroll.kind === 'brought-in') throw conflict('This payroll was paid elsewhere.');
  if (payroll.kind === 'void') throw conflict('This is a void: nobody is paid by it.');
  return payroll;
}
