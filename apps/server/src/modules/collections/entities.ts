import type { CollectionKind, CollectionStatus } from '@zakat/contract/trust';
import type { Cents } from '@zakat/core/money/cents';
import { Column, Entity, PrimaryColumn } from 'typeorm';
import { centsColumn } from '../../database/cents-column.js';

/** A debit of a client's account into the trust account, or the prenote before the first. */
@Entity('collection')
export class Collection {
  @PrimaryColumn('uuid') id!: string;
  @Column('uuid', { name: 'firm_id' }) firmId!: string;
  @Column('uuid', { name: 'client_id' }) clientId!: string;
  @Column('uuid', { name: 'trust_account_id' }) trustAccountId!: string;
  @Column('uuid', { name: 'bank_account_id' }) bankAccountId!: string;
  @Column('text') kind!: CollectionKind;
  @Column('text') reference!: string;
  @Column('text', { name: 'entry_class' }) entryClass!: 'CCD' | 'PPD';
  @Column('bigint', { transformer: centsColumn }) amount!: Cents;
  /** Of the amount, what pays back the firm's advances. */
  @Column('bigint', { transformer: centsColumn }) advance!: Cents;
  @Column('date') settles!: string;
  @Column('date') usable!: string;
  @Column('int') retries!: number;
  @Column('uuid', { name: 'retry_of', nullable: true }) retryOf!: string | null;
  @Column('text') status!: CollectionStatus;
  @Column('int') version!: number;
  @Column('uuid', { name: 'prepared_by' }) preparedBy!: string;
  @Column('uuid', { name: 'released_by', nullable: true }) releasedBy!: string | null;
  @Column('uuid', { name: 'document_id', nullable: true }) documentId!: string | null;
  @Column('text', { nullable: true }) confirmation!: string | null;
  @Column('text', { name: 'return_code', nullable: true }) returnCode!: string | null;
  @Column('text', { name: 'returned_reason', nullable: true }) returnedReason!: string | null;
  @Column('date', { name: 'returned_on', nullable: true }) returnedOn!: string | null;
  @Column('timestamptz', { name: 'created_at' }) createdAt!: Date;
}
