import { Inject, Injectable } from '@nestjs/common';
import type {
  LatestPayroll,
  PaycheckView,
  PayrollEntry,
  PayrollRow,
  PayrollSuggestion,
  PayrollView,
  WorkingView,
} from '@zakat/contract/payrolls';
import { cents, showDollars } from '@zakat/core/money/cents';
import { OTHER } from '@zakat/core/paycheck/after-taxes';
import { isTaxCode, taxOf } from '@zakat/core/tax-registry/registry';
import { Tape } from '@zakat/core/working/tape';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { rawCents } from '../../database/cents-column.js';
import { notFound } from '../../http/refusal.js';
import { findClient } from '../clients/index.js';
import { fullName } from '../employees/index.js';
import { nextPayroll, scheduleNames } from './next-payroll.js';
import { FactStore } from '../facts/index.js';
import { entryOfRow, postedRows } from './posted-payroll.js';
import { PayrollViews, findPayroll } from './payroll-view.js';
import type { PaycheckResult } from '@zakat/core/computation/result';
import { computeEntry, type PersonCase } from './people-cases.js';

/** What is looked at: the payrolls of a client, the next one, one with its checks, the working of a figure. */
@Injectable()
export class PayrollQueries {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(PayrollViews) private readonly views: PayrollViews,
    @Inject(FactStore) private readonly facts: FactStore,
  ) {}

  list(actor: Actor, clientId: string): Promise<PayrollRow[]> {
    return this.database.run(actor, async (manager) => {
      await findClient(manager, clientId);
      const rows = (await manager.query(
        `SELECT p.*, coalesce(c.people, 0)::int AS people, coalesce(c.gross, 0)::bigint AS gross, coalesce(c.net, 0)::bigint AS net FROM payroll p
         LEFT JOIN (SELECT payroll_id, count(*) AS people, sum(gross) AS gross, sum(net) AS net FROM paycheck GROUP BY payroll_id) c ON c.payroll_id = p.id
         WHERE p.client_id = $1 ORDER BY p.check_date DESC, p.period_end DESC`,
        [clientId],
      )) as Record<string, string | number>[];
      return rows.map((row) => ({
        id: String(row['id']),
        clientId,
        periodStart: String(row['period_start']),
        periodEnd: String(row['period_end']),
        checkDate: String(row['check_date']),
        kind: row['kind'] as 'regular',
        status: row['status'] as 'open',
        people: Number(row['people']),
        gross: rawCents(row['gross']),
        net: rawCents(row['net']),
        version: Number(row['version']),
        isVoid: row['is_void'] as unknown as boolean,
        schedule: String(row['schedule']),
        part: String(row['part']),
        voids: row['voids'] === null ? null : String(row['voids']),
      }));
    });
  }

  /** The next period of the client's schedule, its check date moved before weekends and bank holidays. */
  suggest(actor: Actor, clientId: string, schedule = ''): Promise<PayrollSuggestion> {
    return this.database.run(actor, async (manager) => {
      const client = await findClient(manager, clientId);
      const schedules = await scheduleNames(manager, this.facts, client);
      const next = await nextPayroll(manager, this.facts, client, schedule);
      return {
        periodStart: '',
        periodEnd: '',
        checkDate: '',
        why: 'There is no payroll yet: enter the first period.',
        ...next,
        schedule,
        schedules,
      };
    });
  }

  view(actor: Actor, id: string): Promise<PayrollView> {
    return this.database.run(actor, (manager) => this.views.of(manager, id));
  }

  /** The version that stands now, and whose it is. */
  latest(actor: Actor, id: string): Promise<LatestPayroll> {
    return this.database.run(actor, async (manager) => {
      const [row] = (await manager.query(
        `SELECT p.version, p.status, coalesce(p.changed_by, p.created_by) AS by, u.name
         FROM payroll p JOIN app_user u ON u.id = coalesce(p.changed_by, p.created_by) WHERE p.id = $1`,
        [id],
      )) as { version: number; status: LatestPayroll['status']; by: string; name: string }[];
      if (!row) throw notFound('payroll');
      return { version: row.version, status: row.status, by: row.name, isOwn: row.by === actor.userId };
    });
  }

  working(actor: Actor, id: string, employeeId: string, figure: string): Promise<WorkingView> {
    return this.database.run(actor, async (manager) => {
      const asked = await findPayroll(manager, id);
      if (asked.kind === 'brought-in')
        return {
          title: 'Paid elsewhere',
          lines: [{ label: 'Brought in from the former provider', value: '', how: 'as its register says' }],
        };
      if (asked.kind === 'void')
        return {
          title: 'Void',
          lines: [
            {
              label: 'The opposite of what was posted',
              value: '',
              how: 'the calculation stands with the check that it takes back',
            },
          ],
        };
      const person =
        asked.status === 'posted'
          ? await postedCase(manager, id, employeeId)
          : await this.openCase(manager, id, employeeId);
      if (!person) throw notFound('person of this payroll');
      const tape = new Tape();
      const result = computeEntry(person, person.entry, tape);
      const label = isTaxCode(figure)
        ? taxOf(figure).label
        : figure === 'net'
          ? 'Net pay'
          : figure === OTHER
            ? 'Local tax and state programs'
            : 'Gross pay';
      return {
        title: `${label}, ${person.name}`,
        lines: [
          ...(tape.linesOf(figure).map((line) => ({
            ...line,
            ...(line.parameter ? { parameter: { ...line.parameter } } : {}),
          })) as WorkingView['lines']),
          ...sinceMoved(person.posted, result, figure),
        ],
      };
    });
  }

  private async openCase(manager: EntityManager, id: string, employeeId: string): Promise<WorkingCase | null> {
    const { people } = await this.views.computed(manager, id);
    const person = people.find((candidate) => candidate.employee.id === employeeId);
    return person ? { ...person, name: fullName(person.employee), posted: null } : null;
  }
}

/** What a working is computed from, and the figures that were posted with it. */
interface WorkingCase {
  readonly name: string;
  readonly base: Record<string, unknown>;
  readonly own: PersonCase['own'];
  readonly entry: PayrollEntry;
  readonly posted: { readonly gross: number; readonly net: number; readonly taxes: PaycheckView['taxes'] } | null;
}

/** A posted check as it was computed: from the case, the entry and the rules that were kept with it. */
async function postedCase(manager: EntityManager, id: string, employeeId: string): Promise<WorkingCase | null> {
  const row = (await postedRows(manager, id)).find((one) => one.employee_id === employeeId);
  if (!row?.base || !row.lines) return null;
  return {
    name: row.person?.name ?? row.name,
    base: row.base,
    own: row.own,
    entry: entryOfRow(row),
    posted: { gross: rawCents(row.gross ?? 0), net: rawCents(row.net ?? 0), taxes: row.lines.taxes },
  };
}

/** A line that says so where the same case comes to something else today: what was posted stands. */
function sinceMoved(posted: WorkingCase['posted'], result: PaycheckResult, figure: string): WorkingView['lines'] {
  if (!posted) return [];
  const taxed = (taxes: readonly { readonly code: string; readonly amount: number }[]): number =>
    taxes.filter(({ code }) => code === figure).reduce((total, { amount }) => total + amount, 0);
  const [then, today] =
    figure === 'gross'
      ? [posted.gross, result.gross]
      : figure === 'net'
        ? [posted.net, result.net]
        : [taxed(posted.taxes), taxed(result.taxes)];
  return then === today
    ? []
    : [
        {
          label: 'As it was posted',
          value: showDollars(cents(then)),
          how: 'The rules have been corrected since; what was posted stands.',
          isResult: true,
        },
      ];
}
