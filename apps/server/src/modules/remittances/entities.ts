import type { RemittanceStatus } from '@zakat/contract/remittances';
import type { Cents } from '@zakat/core/money/cents';
import { Column, Entity, PrimaryColumn } from 'typeorm';
import { centsColumn } from '../../database/cents-column.js';

@Entity('remittance')
export class Remittance {
  @PrimaryColumn('uuid') id!: string;
  @Column('uuid', { name: 'firm_id' }) firmId!: string;
  @Column('uuid', { name: 'client_id' }) clientId!: string;
  @Column('text') reference!: string;
  @Column('text') agency!: string;
  @Column('text') family!: string;
  @Column('bigint', { transformer: centsColumn }) amount!: Cents;
  @Column('date') due!: string;
  @Column('date') settles!: string;
  @Column('uuid', { name: 'bank_account_id' }) bankAccountId!: string;
  @Column('text') status!: RemittanceStatus;
  @Column('int') version!: number;
  @Column('uuid', { name: 'prepared_by' }) preparedBy!: string;
  @Column('uuid', { name: 'approved_by', nullable: true }) approvedBy!: string | null;
  @Column('uuid', { name: 'released_by', nullable: true }) releasedBy!: string | null;
  @Column('uuid', { name: 'document_id', nullable: true }) documentId!: string | null;
  /** The day on which it was paid elsewhere; null for one that leaves from here. */
  @Column('date', { name: 'paid_elsewhere_on', nullable: true }) paidElsewhereOn!: string | null;
  @Column('text', { nullable: true }) confirmation!: string | null;
  @Column('text', { name: 'returned_reason', nullable: true }) returnedReason!: string | null;
  @Column('timestamptz', { name: 'created_at' }) createdAt!: Date;
}

@Entity('remittance_item')
export class RemittanceItem {
  @PrimaryColumn('uuid', { name: 'remittance_id' }) remittanceId!: string;
  @Column('uuid', { name: 'firm_id' }) firmId!: string;
  @Column('uuid', { name: 'client_id' }) clientId!: string;
  @PrimaryColumn('text') tax!: string;
  @PrimaryColumn('date', { name: 'liability_date' }) liabilityDate!: string;
  @Column('bigint', { transformer: centsColumn }) amount!: Cents;
  @Column('boolean', { name: 'is_live' }) isLive!: boolean;
}
