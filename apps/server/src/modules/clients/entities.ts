import type { Cents } from '@zakat/core/money/cents';
import { Column, Entity, PrimaryColumn } from 'typeorm';
import { centsColumn } from '../../database/cents-column.js';

@Entity('firm')
export class Firm {
  @PrimaryColumn('uuid') id!: string;
  @Column('text') name!: string;
  @Column('text') ein!: string;
  @Column('text') street!: string;
  @Column('text') city!: string;
  @Column('text') state!: string;
  @Column('text') zip!: string;
  @Column('text') phone!: string;
  @Column('text') email!: string;
  @Column('text', { name: 'contact_name' }) contactName!: string;
  @Column('text', { name: 'preparer_name' }) preparerName!: string;
  @Column('text', { name: 'preparer_ptin' }) preparerPtin!: string;
  @Column('text', { name: 'efw2_user_id' }) efw2UserId!: string;
  /** Electronic filing identification number. */
  @Column('text') efin!: string;
  @Column('boolean', { name: 'requires_second_person' }) requiresSecondPerson!: boolean;
  /** A return is released only with a preparer's and a reviewer's mark on its lines. */
  @Column('boolean', { name: 'requires_marks', default: false }) requiresMarks!: boolean;
  @Column('int', { name: 'cushion_days' }) cushionDays!: number;
  /** Five digits with which the firm signs as reporting agent. */
  @Column('bytea', { name: 'agent_pin_cipher', nullable: true }) agentPinCipher!: Buffer | null;
  @Column('int') version!: number;
}

@Entity('client')
export class Client {
  @PrimaryColumn('uuid') id!: string;
  @Column('uuid', { name: 'firm_id' }) firmId!: string;
  @Column('text') key!: string;
  @Column('text', { name: 'legal_name' }) legalName!: string;
  @Column('text', { name: 'trade_name' }) tradeName!: string;
  @Column('text') ein!: string;
  @Column('text', { name: 'name_control' }) nameControl!: string;
  @Column('text') street!: string;
  @Column('text') city!: string;
  @Column('text') state!: string;
  @Column('text') zip!: string;
  @Column('text') phone!: string;
  @Column('text') email!: string;
  @Column('text', { name: 'contact_name' }) contactName!: string;
  @Column('text', { name: 'signer_name' }) signerName!: string;
  @Column('text', { name: 'signer_title' }) signerTitle!: string;
  @Column('text', { name: 'kind_of_employer' }) kindOfEmployer!: 'F' | 'S' | 'T' | 'Y' | 'N';
  @Column('text', { name: 'pay_frequency' }) payFrequency!: string;
  /** Lookback taxes as said when the client was taken on; what is entered for a year stands before it. */
  @Column('bigint', { name: 'lookback_amount', transformer: centsColumn }) lookbackAmount!: Cents;
  @Column('int') version!: number;
}

@Entity('tax_account')
export class TaxAccount {
  @PrimaryColumn('uuid') id!: string;
  @Column('uuid', { name: 'firm_id' }) firmId!: string;
  @Column('uuid', { name: 'client_id' }) clientId!: string;
  @Column('text') agency!: string;
  @Column('text', { name: 'account_number' }) accountNumber!: string;
  /** Decimal text, 0.041 for 4.1 percent. */
  @Column('numeric', { name: 'unemployment_rate', nullable: true }) unemploymentRate!: string | null;
  @Column('date', { name: 'effective_from' }) from!: string;
  @Column('boolean', { name: 'is_applied' }) isApplied!: boolean;
  @Column('boolean', { name: 'is_as_printed' }) isAsPrinted!: boolean;
  @Column('text', { name: 'deposit_frequency' }) depositFrequency!: string;
}

@Entity('bank_account')
export class BankAccount {
  @PrimaryColumn('uuid') id!: string;
  @Column('uuid', { name: 'firm_id' }) firmId!: string;
  /** Null for the firm's trust account, from which it pays for clients. */
  @Column('uuid', { name: 'client_id', nullable: true }) clientId!: string | null;
  @Column('boolean', { name: 'is_trust' }) isTrust!: boolean;
  @Column('text') label!: string;
  @Column('text', { name: 'bank_name' }) bankName!: string;
  @Column('text') routing!: string;
  @Column('bytea', { name: 'account_cipher' }) accountCipher!: Buffer;
  @Column('text', { name: 'account_tail' }) accountTail!: string;
  /** The image of a signature for its checks, and the largest amount that it signs; null signs nothing, or any amount. */
  @Column('uuid', { name: 'signature_id', nullable: true }) signatureId!: string | null;
  @Column('bigint', { name: 'signature_most', nullable: true, transformer: centsColumn }) signatureMost!: Cents | null;
  /** The day on which the bank said that it reads the line of magnetic ink of a sample. */
  @Column('date', { name: 'micr_tested_on', nullable: true }) micrTestedOn!: string | null;
}
