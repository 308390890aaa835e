import { Column, Entity, PrimaryColumn } from 'typeorm';

@Entity('employee')
export class Employee {
  @PrimaryColumn('uuid') id!: string;
  @Column('uuid', { name: 'firm_id' }) firmId!: string;
  @Column('uuid', { name: 'client_id' }) clientId!: string;
  @Column('text') number!: string;
  @Column('text', { name: 'first_name' }) firstName!: string;
  @Column('text', { name: 'middle_name' }) middleName!: string;
  @Column('text', { name: 'last_name' }) lastName!: string;
  @Column('text') suffix!: string;
  @Column('bytea', { name: 'ssn_cipher' }) ssnCipher!: Buffer;
  @Column('text', { name: 'ssn_tail' }) ssnTail!: string;
  @Column('bytea', { name: 'ssn_mark' }) ssnMark!: Buffer;
  @Column('text') street!: string;
  @Column('text') city!: string;
  @Column('text') state!: string;
  @Column('text') zip!: string;
  @Column('text') country!: string;
  @Column('text') province!: string;
  @Column('date', { name: 'hired_on', nullable: true }) hiredOn!: string | null;
  @Column('date', { name: 'born_on', nullable: true }) bornOn!: string | null;
  @Column('text') kind!: 'employee' | 'partner' | 'contractor';
  @Column('boolean', { name: 'is_retirement_plan' }) isRetirementPlan!: boolean;
  @Column('uuid', { name: 'import_id', nullable: true }) importId!: string | null;
  /** Taken back with the import it came from; kept as evidence, shown nowhere. */
  @Column('boolean', { name: 'is_withdrawn' }) isWithdrawn!: boolean;
  @Column('int') version!: number;
}
