import type { FilingStatus, FormName } from '@zakat/contract/filings';
import { Column, Entity, PrimaryColumn } from 'typeorm';

@Entity('filing')
export class Filing {
  @PrimaryColumn('uuid') id!: string;
  @Column('uuid', { name: 'firm_id' }) firmId!: string;
  @Column('uuid', { name: 'client_id' }) clientId!: string;
  @Column('text') form!: FormName;
  @Column('int') year!: number;
  @Column('int', { nullable: true }) quarter!: 1 | 2 | 3 | 4 | null;
  @Column('date') due!: string;
  @Column('text') status!: FilingStatus;
  @Column('int') version!: number;
  @Column('int') attempt!: number;
  @Column('jsonb', { nullable: true }) snapshot!: unknown;
  @Column('text', { name: 'snapshot_digest', nullable: true }) snapshotDigest!: string | null;
  @Column('uuid', { name: 'prepared_by' }) preparedBy!: string;
  @Column('uuid', { name: 'signed_by', nullable: true }) signedBy!: string | null;
  @Column('bytea', { name: 'signer_pin_cipher', nullable: true }) signerPinCipher!: Buffer | null;
  @Column('date', { name: 'signed_on', nullable: true }) signedOn!: string | null;
  @Column('uuid', { name: 'released_by', nullable: true }) releasedBy!: string | null;
  @Column('text', { name: 'submission_id', nullable: true }) submissionId!: string | null;
  @Column('uuid', { name: 'document_id', nullable: true }) documentId!: string | null;
  @Column('timestamptz', { name: 'created_at' }) createdAt!: Date;
}
