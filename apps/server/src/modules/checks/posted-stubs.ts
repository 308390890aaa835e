import { isObject } from '@zakat/core/casefile/reader';
import { showLeaveHours } from '@zakat/core/leave/accrual';
import type { PostedLines } from '@zakat/core/ledger/opposite';
import type { Cents } from '@zakat/core/money/cents';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';
import type { Payroll } from '../payrolls/index.js';
import type { CheckSheet } from './check-page.js';
import { linesOf, payeeOf } from './sheet-lines.js';
import { yearsToDate } from './year-to-date.js';

export interface LeaveStanding {
  readonly label: string;
  readonly accrued: string;
  readonly used: string;
  readonly balance: string;
}
/** A posted paycheck as its stub shows it. */
export interface PostedStub extends ReturnType<typeof linesOf> {
  readonly paycheckId: string;
  readonly employeeId: string;
  readonly number: string;
  readonly ssnTail: string;
  readonly payee: CheckSheet['payee'];
  readonly netPay: Cents;
  readonly leave: readonly LeaveStanding[];
}

interface Row {
  readonly id: string;
  readonly employee_id: string;
  readonly gross: string;
  readonly net: string;
  readonly lines: PostedLines;
  readonly typed: unknown;
  readonly number: string;
  readonly first_name: string;
  readonly middle_name: string;
  readonly last_name: string;
  readonly suffix: string;
  readonly street: string;
  readonly city: string;
  readonly state: string;
  readonly zip: string;
  readonly ssn_tail: string;
}
const typedOf = (typed: unknown): { hours?: string; rate?: string }[] =>
  Array.isArray(typed)
    ? typed.map((line: unknown) => {
        const { hours, rate } = isObject(line) ? line : {};
        return {
          ...(typeof hours === 'string' ? { hours } : {}),
          ...(typeof rate === 'string' ? { rate } : {}),
        };
      })
    : [];

/** The stubs of a posted payroll's checks that stand, in the order of their people: from what was posted, the address of today. */
export async function postedStubs(
  manager: EntityManager,
  payroll: Pick<Payroll, 'id' | 'checkDate'>,
  only: readonly string[] | null,
): Promise<PostedStub[]> {
  const rows = (await manager.query(
    `SELECT c.id, c.employee_id, c.gross, c.net, c.lines, c.facts -> 'entry' -> 'earnings' AS typed,
       e.number, e.first_name, e.middle_name, e.last_name, e.suffix, e.street, e.city, e.state, e.zip, e.ssn_tail
     FROM standing_paycheck c JOIN employee e ON e.id = c.employee_id
     WHERE c.payroll_id = $1 AND ($2::uuid[] IS NULL OR c.id = ANY($2)) ORDER BY length(e.number), e.number`,
    [payroll.id, only],
  )) as Row[];
  const toDate = await yearsToDate(
    manager,
    rows.map((row) => row.employee_id),
    payroll.checkDate,
    payroll.id,
  );
  return rows.map((row) => ({
    ...linesOf(
      {
        gross: rawCents(row.gross),
        net: rawCents(row.net),
        earnings: row.lines.earnings,
        deductions: row.lines.deductions,
        garnishments: row.lines.garnishments,
        taxes: row.lines.taxes,
        employerPaid: row.lines.employerPaid,
        typed: typedOf(row.typed),
      },
      toDate(row.employee_id),
    ),
    paycheckId: row.id,
    employeeId: row.employee_id,
    number: row.number,
    ssnTail: row.ssn_tail,
    payee: payeeOf({
      firstName: row.first_name,
      middleName: row.middle_name,
      lastName: row.last_name,
      suffix: row.suffix,
      street: row.street,
      city: row.city,
      state: row.state,
      zip: row.zip,
    }),
    netPay: rawCents(row.net),
    leave: (row.lines.leave ?? []).map(({ item, accrued, used, balance }) => ({
      label: item,
      accrued: showLeaveHours(accrued),
      used: showLeaveHours(used),
      balance: showLeaveHours(balance),
    })),
  }));
}
