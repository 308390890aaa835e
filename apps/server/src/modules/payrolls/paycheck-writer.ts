import { Injectable } from '@nestjs/common';
import type { DeductionLine } from '@zakat/core/computation/result';
import type { Cents } from '@zakat/core/money/cents';
import { taxOf, type TaxCode } from '@zakat/core/tax-registry/registry';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import type { Actor } from '../../database/firm-database.js';

export interface NewPaycheck {
  readonly employeeId: string;
  /** The posted paycheck that this one takes back. */
  readonly reverses?: string;
  /** Takes back taxes on pay of an earlier year that was given back: no check that anybody was paid by. */
  readonly isRepayment?: boolean;
  readonly gross: Cents;
  readonly net: Cents;
  readonly supplemental: Cents;
  /** Earnings, deductions, taxes and the rest, as the check shows them. */
  readonly lines: { readonly deductions?: readonly DeductionLine[] };
  /** What it was computed from. */
  readonly facts: object;
  readonly taxes: readonly {
    readonly tax: TaxCode;
    readonly subject: Cents;
    readonly wages: Cents;
    readonly amount: Cents;
  }[];
}

/** Whether the check leaves a deduction owed, or takes some that was. */
const movesArrears = ({ deductions }: { readonly deductions?: readonly DeductionLine[] }): boolean =>
  (deductions ?? []).some(({ owed, arrears }) => owed !== undefined || arrears !== undefined);

/** Writes the paychecks of a payroll with their taxes: two statements, however many people. */
@Injectable()
export class PaycheckWriter {
  async write(
    manager: EntityManager,
    actor: Actor,
    payroll: { readonly id: string; readonly clientId: string; readonly checkDate: string },
    paychecks: readonly NewPaycheck[],
  ): Promise<void> {
    const rows = paychecks.map((paycheck) => ({ ...paycheck, id: randomUUID() }));
    await manager.query(
      `INSERT INTO paycheck (id, firm_id, client_id, payroll_id, employee_id, check_date, gross, net, supplemental, lines, facts, reverses, is_repayment, moves_arrears)
       SELECT r.id, $1, $2, $3, r."employeeId", $4, r.gross, r.net, r.supplemental, r.lines, r.facts, r.reverses, coalesce(r."isRepayment", false), r."movesArrears"
       FROM jsonb_to_recordset($5::jsonb) AS r(id uuid, "employeeId" uuid, gross bigint, net bigint, supplemental bigint, lines jsonb, facts jsonb, reverses uuid, "isRepayment" boolean, "movesArrears" boolean)`,
      [
        actor.firmId,
        payroll.clientId,
        payroll.id,
        payroll.checkDate,
        JSON.stringify(rows.map(({ taxes: _taxes, ...row }) => ({ ...row, movesArrears: movesArrears(row.lines) }))),
      ],
    );
    const taxes = rows.flatMap((row) =>
      row.taxes.map(({ tax, subject, wages, amount }) => ({
        paycheckId: row.id,
        employeeId: row.employeeId,
        tax,
        payer: taxOf(tax).payer,
        base: taxOf(tax).base,
        subject,
        wages,
        amount,
      })),
    );
    await manager.query(
      `INSERT INTO paycheck_tax (paycheck_id, firm_id, client_id, employee_id, check_date, tax, payer, base, subject, wages, amount)
       SELECT r."paycheckId", $1, $2, r."employeeId", $3, r.tax, r.payer, r.base, r.subject, r.wages, r.amount
       FROM jsonb_to_recordset($4::jsonb) AS r("paycheckId" uuid, "employeeId" uuid, tax text, payer text, base text, subject bigint, wages bigint, amount bigint)`,
      [actor.firmId, payroll.clientId, payroll.checkDate, JSON.stringify(taxes)],
    );
  }
}
