import type { FilingStatus } from '@zakat/contract/filings';
import { Column, Entity, PrimaryColumn } from 'typeorm';

@Entity('filing')
export class Filing {
  @PrimaryColumn('uuid') id!: string;
  @Column('uuid', { name: 'firm_id' }) firmId!: string;
  @Column('uuid', { name: 'client_id' }) clientId!: string;
  /** Code of its kind in the core's registry. */
  @Column('text') kind!: string;
  @Column('text') jurisdiction!: string;
  @Column('date', { name: 'period_start' }) periodStart!: string;
  @Column('date', { name: 'period_end' }) periodEnd!: string;
  /** The filing that this one amends. */
  @Column('uuid', { nullable: true }) corrects!: string | null;
  @Column('int') sequence!: number;
  @Column('date') due!: string;
  @Column('text') status!: FilingStatus;
  @Column('int') version!: number;
  @Column('int') attempt!: number;
  /** Amounts in cents that somebody entered, by the name under which the kind asks for them. */
  @Column('jsonb') entered!: Record<string, number>;
  /** Answers to the questions of the kind, by their names. */
  @Column('jsonb') answers!: Record<string, string>;
  @Column('jsonb', { nullable: true }) snapshot!: unknown;
  @Column('int', { name: 'snapshot_version', nullable: true }) snapshotVersion!: number | null;
  @Column('text', { name: 'snapshot_digest', nullable: true }) snapshotDigest!: string | null;
  @Column('uuid', { name: 'payment_account_id', nullable: true }) paymentAccountId!: string | null;
  @Column('date', { name: 'payment_on', nullable: true }) paymentOn!: string | null;
  @Column('uuid', { name: 'prepared_by' }) preparedBy!: string;
  @Column('uuid', { name: 'signed_by', nullable: true }) signedBy!: string | null;
  @Column('bytea', { name: 'signer_pin_cipher', nullable: true }) signerPinCipher!: Buffer | null;
  @Column('date', { name: 'signed_on', nullable: true }) signedOn!: string | null;
  /** Who signed for the firm as reporting agent; null: the client's signer, or nobody yet. */
  @Column('text', { name: 'agent_signer', nullable: true }) agentSigner!: string | null;
  @Column('uuid', { name: 'released_by', nullable: true }) releasedBy!: string | null;
  /** Until when the agency may still return what it accepted; null: it is final. */
  @Column('date', { name: 'refusable_until', nullable: true }) refusableUntil!: string | null;
  @Column('text', { name: 'submission_id', nullable: true }) submissionId!: string | null;
  @Column('uuid', { name: 'document_id', nullable: true }) documentId!: string | null;
  /** Somebody else sent it; what is known of it is its file. */
  @Column('boolean', { name: 'is_elsewhere', default: false }) isElsewhere!: boolean;
  @Column('timestamptz', { name: 'created_at' }) createdAt!: Date;
}
