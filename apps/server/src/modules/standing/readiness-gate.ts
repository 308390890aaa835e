import { Inject, Injectable } from '@nestjs/common';
import { addDays } from '@zakat/core/calendar/local-date';
import { paycheckGaps } from '@zakat/core/readiness/gaps';
import type { EntityManager } from 'typeorm';
import { Refusal } from '../../http/refusal.js';
import { Clock } from '../clock/index.js';
import type { PersonOnDay } from '@zakat/core/facts/on-day';
import type { Employee } from '../employees/index.js';
import { passKey, passes, personStanding, reportedHires } from './standing.js';

/** Hires older than this were reported by whoever ran the payroll then. */
export const OLD_HIRE_DAYS = 60;

interface PaidPerson {
  readonly employee: Employee;
  readonly facts: PersonOnDay;
  readonly entry: { readonly isPaid: boolean };
}

/** Holds a payroll while facts are missing that a live paycheck must not wait for, unless a reviewer let them pass. */
@Injectable()
export class ReadinessGate {
  constructor(@Inject(Clock) private readonly clock: Clock) {}

  async refuseGaps(manager: EntityManager, people: readonly PaidPerson[]): Promise<void> {
    const paid = people.filter((person) => person.entry.isPaid);
    const clientId = paid[0]?.employee.clientId;
    if (clientId === undefined) return;
    const today = await this.clock.today(manager);
    const reported = await reportedHires(manager, clientId, addDays(today, -OLD_HIRE_DAYS));
    const passed = await passes(manager, clientId);
    const gaps = paycheckGaps(
      paid.map((person) => personStanding(person.employee, person.facts, { problems: [], taxes: [] }, reported, today)),
    ).filter((gap) => !passed.has(passKey(gap.personId, gap.key)));
    if (gaps.length === 0) return;
    throw new Refusal(
      422,
      'gaps',
      `${gaps.length === 1 ? 'One fact is' : `${gaps.length} facts are`} missing that a live paycheck needs. Enter them, or let a reviewer pass them with a reason.`,
      gaps.slice(0, 100).map((gap) => ({
        code: 'gap',
        field: `${gap.who}: ${gap.field}`,
        severity: 'error' as const,
        sentence: `${gap.who}: ${gap.says}`,
        fix: gap.fix,
      })),
    );
  }
}
