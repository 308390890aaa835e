import type { GarnishmentPaymentStatus } from '@zakat/contract/garnishment-payments';
import type { Cents } from '@zakat/core/money/cents';
import { Column, Entity, PrimaryColumn } from 'typeorm';
import { centsColumn } from '../../database/cents-column.js';

/** What was withheld by order, on its way to its payee. */
@Entity('garnishment_payment')
export class GarnishmentPayment {
  @PrimaryColumn('uuid') id!: string;
  @Column('uuid', { name: 'firm_id' }) firmId!: string;
  @Column('uuid', { name: 'client_id' }) clientId!: string;
  @Column('text') payee!: string;
  @Column('text') reference!: string;
  @Column('uuid', { name: 'bank_account_id' }) bankAccountId!: string;
  @Column('bigint', { transformer: centsColumn }) amount!: Cents;
  @Column('date') due!: string;
  @Column('date') settles!: string;
  @Column('text') status!: GarnishmentPaymentStatus;
  @Column('int') version!: number;
  @Column('uuid', { name: 'prepared_by' }) preparedBy!: string;
  @Column('uuid', { name: 'released_by', nullable: true }) releasedBy!: string | null;
  @Column('uuid', { name: 'document_id', nullable: true }) documentId!: string | null;
  @Column('text', { nullable: true }) confirmation!: string | null;
  @Column('text', { name: 'returned_reason', nullable: true }) returnedReason!: string | null;
  @Column('date', { name: 'paid_elsewhere_on', nullable: true }) paidElsewhereOn!: string | null;
  @Column('timestamptz', { name: 'created_at' }) createdAt!: Date;
}
