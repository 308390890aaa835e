import { Inject, Injectable } from '@nestjs/common';
import type { EntityManager } from 'typeorm';
import type { Actor } from '../../database/firm-database.js';
import { Executor } from '../../state-machines/executor.js';
import { FILING_MACHINE } from '../../state-machines/machine.js';
import { Clock } from '../clock/clock.js';
import { Filing } from './entities.js';

/** What an agency says of a submission. */
export interface AgencyAnswer {
  readonly state: 'received' | 'accepted' | 'rejected' | 'settled' | 'returned';
  readonly code: string | null;
  readonly message: string | null;
  /** The agency's own name of the field it refuses, for example `RW 2 Social Security Number (SSN)`. */
  readonly field?: string | null;
  readonly isFinal: boolean;
}

/** Where a refused field of an agency lives in our records. */
const OUR_FIELDS: readonly (readonly [agency: RegExp, ours: string])[] = [
  [/BusinessNameControlTxt/, 'client.nameControl'],
  [/\bEIN\b/, 'client.ein'],
  [/BusinessNameLine1Txt|Employer Name/, 'client.legalName'],
  [/TaxpayerPIN/, 'filing.pin'],
  [/PTIN/, 'firm.preparerPtin'],
];
const PERSON_FIELDS: readonly (readonly [agency: RegExp, ours: string])[] = [
  [/Social Security Number/, 'ssn'],
  [/First Name/, 'firstName'],
  [/Last Name/, 'lastName'],
  [/Delivery Address|City|State|ZIP/, 'street'],
];

export function ourField(field: string, personOfRecord: (record: number) => string | null): string | null {
  const record = /^RW (\d+) /.exec(field);
  if (record) {
    const person = personOfRecord(Number(record[1]));
    const own = PERSON_FIELDS.find(([pattern]) => pattern.test(field));
    return person === null ? null : `employee.${person}.${own?.[1] ?? 'lastName'}`;
  }
  return OUR_FIELDS.find(([pattern]) => pattern.test(field))?.[1] ?? null;
}

@Injectable()
export class FilingAnswers {
  constructor(
    @Inject(Executor) private readonly executor: Executor,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  async apply(
    manager: EntityManager,
    actor: Actor,
    filingId: string,
    reference: string,
    answer: AgencyAnswer,
  ): Promise<void> {
    await manager.query('SELECT id FROM filing WHERE id = $1 FOR UPDATE', [filingId]);
    const filing = await manager.findOneByOrFail(Filing, { id: filingId });
    if (answer.state === 'received' && filing.status === 'released') {
      await this.executor.apply(manager, actor, FILING_MACHINE, {
        id: filingId,
        act: 'receive',
        version: null,
        set: { submission_id: reference },
      });
      await this.note(manager, actor, filing, 'received', reference, 'Taken in; not yet accepted.', null);
    }
    const isOpen = filing.status === 'released' || filing.status === 'received';
    if (answer.state === 'accepted' && isOpen) {
      await this.executor.apply(manager, actor, FILING_MACHINE, {
        id: filingId,
        act: 'accept',
        version: null,
        set: { submission_id: reference },
        detail: { reference },
      });
      await this.note(manager, actor, filing, 'accepted', reference, answer.message ?? 'Accepted.', null);
    }
    if (answer.state === 'rejected' && isOpen) {
      const field = answer.field ? ourField(answer.field, (record) => personAt(filing.snapshot, record)) : null;
      await this.executor.apply(manager, actor, FILING_MACHINE, {
        id: filingId,
        act: 'reject',
        version: null,
        set: { submission_id: reference },
        detail: { code: answer.code },
      });
      await this.note(manager, actor, filing, 'rejected', answer.code, answer.message ?? 'Rejected.', field);
      if (filing.form === 'W-2')
        await this.note(
          manager,
          actor,
          filing,
          'wage-file-identifier',
          reference.slice(-6),
          'Wage File Identifier of the rejected file.',
          null,
        );
    }
  }

  private async note(
    manager: EntityManager,
    actor: Actor,
    filing: Filing,
    stage: string,
    code: string | null,
    message: string,
    field: string | null,
  ): Promise<void> {
    await manager.query(
      'INSERT INTO filing_event (firm_id, filing_id, at, stage, code, message, field, attempt) VALUES ($1,$2,$3,$4,$5,$6,$7,$8)',
      [actor.firmId, filing.id, await this.clock.now(manager), stage, code, message, field, filing.attempt],
    );
  }
}

/** The person of the nth wage record of a stored wage file. */
function personAt(snapshot: unknown, record: number): string | null {
  const forms = (snapshot as { set?: { forms?: { person: { employeeId: string } }[] } } | null)?.set?.forms;
  return forms?.[record - 1]?.person.employeeId ?? null;
}
