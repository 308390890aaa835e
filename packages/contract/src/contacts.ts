import { Amount, Choice, Day, Flag, Id, List, Part, Text, Whole } from './field.js';
import { OwnPayroll } from './hours.js';

/** Somebody of a client who signs in: to answer what is asked, and to see what is filed and paid for the business. */
export class ContactRow {
  @Id() id!: string;
  @Text() name!: string;
  @Text() email!: string;
  @Flag() isActive!: boolean;
  @Flag() hasSecondFactor!: boolean;
}
export class CreateContact {
  @Text(60, { min: 1 }) name!: string;
  @Text(80, { min: 3 }) email!: string;
  @Text(200, { min: 12 }) password!: string;
}
export class OpenContact {
  @Flag() isActive!: boolean;
}
/** A question as the client sees it. */
export class AskedOfClient {
  @Id() id!: string;
  @Text() who!: string;
  @Text(600) asks!: string;
  @Choice(['asked', 'answered']) status!: 'asked' | 'answered';
  @Text(600) answer!: string;
  @Day() chaseOn!: string;
  @Whole() version!: number;
}
/** A return or a payment made for the client. */
export class DoneForClient {
  @Choice(['return', 'payment']) kind!: 'return' | 'payment';
  @Text() what!: string;
  @Text() to!: string;
  @Amount({ nullable: true }) amount!: number | null;
  @Day() day!: string;
  @Text() standing!: string;
  @Text(300, { nullable: true }) confirmation!: string | null;
  /** A payment that came back, which has a letter; null for everything else. */
  @Id({ nullable: true }) returnedId!: string | null;
}
/** Money that is taken from the client's account before its taxes or pay are paid. */
export class TakenFromClient {
  @Text() reference!: string;
  @Day() settles!: string;
  @Amount() amount!: number;
  @Text(20) status!: string;
  @Text(300, { nullable: true }) returnedReason!: string | null;
}
export class FundsOfClient {
  /** What the firm holds for the client. */
  @Amount() held!: number;
  @List(() => TakenFromClient) taken!: TakenFromClient[];
}
export class ContactHome {
  @Text() clientName!: string;
  @Text() einTail!: string;
  @List(() => AskedOfClient) questions!: AskedOfClient[];
  @List(() => DoneForClient) done!: DoneForClient[];
  /** Payrolls that hours may be sent for, or that may be approved. */
  @List(() => OwnPayroll) payrolls!: OwnPayroll[];
  /** Null where nothing is collected. */
  @Part(() => FundsOfClient, { nullable: true }) funds!: FundsOfClient | null;
}
