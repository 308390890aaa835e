import type { DirectDepositKind, DirectDepositStatus } from '@zakat/contract/direct-deposits';
import type { Cents } from '@zakat/core/money/cents';
import { Column, Entity, PrimaryColumn } from 'typeorm';
import { centsColumn } from '../../database/cents-column.js';

@Entity('direct_deposit')
export class DirectDeposit {
  @PrimaryColumn('uuid') id!: string;
  @Column('uuid', { name: 'firm_id' }) firmId!: string;
  @Column('uuid', { name: 'client_id' }) clientId!: string;
  @Column('text') kind!: DirectDepositKind;
  @Column('uuid', { name: 'payroll_id', nullable: true }) payrollId!: string | null;
  /** The void whose pay a reversal takes back. */
  @Column('uuid', { name: 'void_id', nullable: true }) voidId!: string | null;
  /** The file of which it sends again what came back. */
  @Column('uuid', { name: 'again_of', nullable: true }) againOf!: string | null;
  @Column('text') reference!: string;
  @Column('uuid', { name: 'bank_account_id' }) bankAccountId!: string;
  @Column('date') settles!: string;
  @Column('bigint', { transformer: centsColumn }) amount!: Cents;
  @Column('text') status!: DirectDepositStatus;
  @Column('int') version!: number;
  @Column('uuid', { name: 'prepared_by' }) preparedBy!: string;
  @Column('uuid', { name: 'released_by', nullable: true }) releasedBy!: string | null;
  @Column('text', { nullable: true }) confirmation!: string | null;
  @Column('text', { name: 'returned_reason', nullable: true }) returnedReason!: string | null;
  @Column('timestamptz', { name: 'created_at' }) createdAt!: Date;
}

/** Files that stand: being prepared, on their way, or through. */
export const LIVE: readonly DirectDepositStatus[] = ['planned', 'released', 'settled'];

/** One credit of a file. The account is as it was when the file was planned. */
@Entity('direct_deposit_entry')
export class DirectDepositEntry {
  @PrimaryColumn('uuid', { name: 'direct_deposit_id' }) directDepositId!: string;
  @PrimaryColumn('int') sequence!: number;
  @Column('uuid', { name: 'firm_id' }) firmId!: string;
  @Column('uuid', { name: 'client_id' }) clientId!: string;
  @Column('uuid', { name: 'employee_id' }) employeeId!: string;
  @Column('uuid', { name: 'paycheck_id', nullable: true }) paycheckId!: string | null;
  @Column('text') label!: string;
  @Column('text') type!: 'checking' | 'savings';
  @Column('text') routing!: string;
  @Column('bytea', { name: 'account_cipher' }) accountCipher!: Buffer;
  @Column('text', { name: 'account_tail' }) accountTail!: string;
  @Column('bytea', { name: 'account_mark' }) accountMark!: Buffer;
  @Column('bigint', { transformer: centsColumn }) amount!: Cents;
  @Column('text') trace!: string;
  @Column('boolean', { name: 'is_live' }) isLive!: boolean;
  @Column('text', { name: 'return_code', nullable: true }) returnCode!: string | null;
  @Column('text', { name: 'return_reason', nullable: true }) returnReason!: string | null;
  @Column('date', { name: 'returned_on', nullable: true }) returnedOn!: string | null;
}

export const cameBackWords = (entry: Pick<DirectDepositEntry, 'returnCode' | 'returnReason'>): string | null =>
  entry.returnCode === null ? null : `${entry.returnCode} ${entry.returnReason ?? ''}`.trim();
