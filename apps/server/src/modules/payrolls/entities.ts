import type { PayrollKind, PayrollStatus } from '@zakat/contract/payrolls';
import { Column, Entity, PrimaryColumn } from 'typeorm';

@Entity('payroll')
export class Payroll {
  @PrimaryColumn('uuid') id!: string;
  @Column('uuid', { name: 'firm_id' }) firmId!: string;
  @Column('uuid', { name: 'client_id' }) clientId!: string;
  @Column('date', { name: 'period_start' }) periodStart!: string;
  @Column('date', { name: 'period_end' }) periodEnd!: string;
  @Column('date', { name: 'check_date' }) checkDate!: string;
  @Column('text') kind!: PayrollKind;
  /** The name of its pay schedule; blank for the main one. */
  @Column('text') schedule!: string;
  /** Which part of a split payroll it is; blank: the whole, or what is left of it. */
  @Column('text') part!: string;
  @Column('text') status!: PayrollStatus;
  @Column('int') version!: number;
  @Column('text', { name: 'reviewed_digest', nullable: true }) reviewedDigest!: string | null;
  /** Paid elsewhere and brought in: the take-over it came with, and the payroll it takes back. */
  @Column('uuid', { name: 'take_over_id', nullable: true }) takeOverId!: string | null;
  /** Why it was posted after a return or a deposit of its days had left. */
  @Column('text', { name: 'closed_reason', nullable: true }) closedReason!: string | null;
  /** Of a void: the payroll whose checks it takes back. */
  @Column('uuid', { nullable: true }) voids!: string | null;
  /** Every check of it is void. */
  @Column('boolean', { name: 'is_void' }) isVoid!: boolean;
  @Column('uuid', { name: 'created_by' }) createdBy!: string;
  /** Who saved, reviewed, reopened or posted it last; null: nobody since it was begun. */
  @Column('uuid', { name: 'changed_by', nullable: true }) changedBy!: string | null;
}
