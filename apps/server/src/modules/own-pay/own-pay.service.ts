import { Inject, Injectable } from '@nestjs/common';
import type { OwnFact, OwnPay, OwnWageStatement } from '@zakat/contract/own-pay';
import { EMPLOYEE_FACTS } from '@zakat/core/facts/employee-facts';
import { text } from '@zakat/core/facts/fact-kind';
import { inForceOn } from '@zakat/core/facts/in-force';
import { rawCents } from '../../database/cents-column.js';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { notFound } from '../../http/refusal.js';
import { Audit } from '../audit/index.js';
import { CheckPrinting } from '../checks/index.js';
import { findClient } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { Employee, fullName } from '../employees/index.js';
import { FactStore, withoutSecrets } from '../facts/index.js';
import { FilingPapers, WageStatements } from '../filings/index.js';

/** Kinds of facts that somebody sees of themselves: what they said on their certificates, and where their pay goes. */
const SHOWN: readonly string[] = ['federal-certificate', 'state-certificate', 'bank', 'place', 'consent'];
const MOST = 200;

/** Somebody who is paid, and who is found in the session alone: nothing in a request says whose pay it is. */
export interface Paid extends Actor {
  readonly employeeId: string;
  readonly clientId: string;
}

/** One's own pay: statements, Forms W-2, what was said on certificates. The database shows a person their own rows only. */
@Injectable()
export class OwnPayService {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(FactStore) private readonly facts: FactStore,
    @Inject(CheckPrinting) private readonly printing: CheckPrinting,
    @Inject(WageStatements) private readonly wages: WageStatements,
    @Inject(FilingPapers) private readonly papers: FilingPapers,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  home(paid: Paid): Promise<OwnPay> {
    return this.database.run(paid, async (manager) => {
      const person = await manager.findOneByOrFail(Employee, { id: paid.employeeId });
      const client = await findClient(manager, paid.clientId);
      const today = await this.clock.today(manager);
      const rows = (await manager.query(
        `SELECT c.id, p.check_date, p.period_start, p.period_end, c.gross, c.net FROM standing_paycheck c JOIN payroll p ON p.id = c.payroll_id
         WHERE c.employee_id = $1 AND p.status = 'posted' AND p.kind <> 'brought-in' AND p.check_date <= $2 ORDER BY p.check_date DESC, c.id LIMIT ${MOST}`,
        [paid.employeeId, today],
      )) as Record<'id' | 'check_date' | 'period_start' | 'period_end' | 'gross' | 'net', string>[];
      const own = (await this.facts.ofPeople(manager, [paid.employeeId])).get(paid.employeeId) ?? [];
      const current = inForceOn(own, today, EMPLOYEE_FACTS.slotOf);
      const consent = current.find(({ kind }) => kind === 'consent');
      const isElectronic = consent !== undefined && text(consent.value, 'delivery') === 'electronic';
      return {
        name: fullName(person),
        employer: client.legalName,
        statements: rows.map((row) => ({
          paycheckId: row.id,
          checkDate: row.check_date,
          periodStart: row.period_start,
          periodEnd: row.period_end,
          gross: rawCents(row.gross),
          net: rawCents(row.net),
        })),
        wageStatements: isElectronic ? await this.filed(paid) : [],
        electronicSince: isElectronic ? consent.from : null,
        facts: current
          .filter(({ kind }) => SHOWN.includes(kind))
          .map((fact): OwnFact => ({
            label: EMPLOYEE_FACTS.find(fact.kind)?.label ?? fact.kind,
            says: EMPLOYEE_FACTS.says(fact.kind, withoutSecrets(fact.value)),
            from: fact.from,
          })),
      };
    });
  }

  /** A pay statement as PDF. Whose it is, is asked as the person; it is drawn as the firm. */
  async statement(paid: Paid, paycheckId: string): Promise<{ name: string; content: Buffer }> {
    const found = await this.database.run(paid, async (manager) => {
      const today = await this.clock.today(manager);
      const rows = (await manager.query(
        `SELECT c.payroll_id, p.check_date FROM standing_paycheck c JOIN payroll p ON p.id = c.payroll_id WHERE c.id = $1 AND c.employee_id = $2 AND p.check_date <= $3`,
        [paycheckId, paid.employeeId, today],
      )) as { payroll_id: string; check_date: string }[];
      return rows[0] ?? null;
    });
    if (!found) throw notFound('pay statement');
    const content = await this.printing.statementOf(asFirm(paid), found.payroll_id, paycheckId);
    if (!content) throw notFound('pay statement');
    return { name: `pay-statement-${found.check_date}.pdf`, content };
  }

  async wageStatement(paid: Paid, filingId: string): Promise<{ name: string; content: Buffer }> {
    const { wageStatements } = await this.home(paid);
    const found = wageStatements.find((one) => one.filingId === filingId);
    if (!found) throw notFound('Form W-2');
    const { name, content } = await (found.form === 'W-2'
      ? this.wages.pdf(asFirm(paid), filingId, paid.employeeId)
      : this.papers.w2cPdf(asFirm(paid), filingId, paid.employeeId));
    return { name, content };
  }

  /** Agrees to electronic delivery, or takes that back: a fact with its day, like any other. */
  consent(paid: Paid, isElectronic: boolean): Promise<OwnPay> {
    return this.database
      .run(paid, async (manager) => {
        const from = await this.clock.today(manager);
        const value = { delivery: isElectronic ? 'electronic' : 'paper' };
        await this.facts.addToPeople(manager, paid, [{ employeeId: paid.employeeId, kind: 'consent', from, value }]);
        await this.audit.record(manager, paid, 'employee.consent', 'employee', paid.employeeId, {
          from,
          says: EMPLOYEE_FACTS.says('consent', value),
        });
      })
      .then(() => this.home(paid));
  }

  /** Years whose Forms W-2 the agency has accepted, for somebody who was paid in them, and each correction of theirs. */
  private filed(paid: Paid): Promise<OwnWageStatement[]> {
    return this.database.run(asFirm(paid), async (manager) => {
      const rows = (await manager.query(
        `SELECT f.id, f.period_start, f.kind FROM filing f WHERE f.client_id = $1 AND f.status = 'accepted' AND NOT f.is_elsewhere
           AND CASE f.kind
             WHEN 'us-w2' THEN EXISTS (SELECT 1 FROM standing_paycheck c JOIN payroll p ON p.id = c.payroll_id WHERE c.employee_id = $2 AND p.check_date BETWEEN f.period_start AND f.period_end)
             WHEN 'us-w2c' THEN EXISTS (SELECT 1 FROM jsonb_array_elements(f.snapshot -> 'forms') AS o(form) WHERE o.form -> 'person' ->> 'employeeId' = $2::text)
             ELSE false END
         ORDER BY f.period_start DESC, f.kind, f.sequence`,
        [paid.clientId, paid.employeeId],
      )) as { id: string; period_start: string; kind: string }[];
      return rows.map((row) => ({
        filingId: row.id,
        year: row.period_start.slice(0, 4),
        form: row.kind === 'us-w2' ? 'W-2' : 'W-2c',
      }));
    });
  }
}

/** The firm's own view, for what is drawn for a person after it was found to be theirs. */
const asFirm = ({ firmId, userId }: Paid): Actor => ({ firmId, userId, role: 'system' });
