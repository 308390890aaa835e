import { Id, Text } from './field.js';

export class MakeCalendarFeed {
  /** The due dates of one client alone; null: of every client. */
  @Id({ nullable: true }) clientId!: string | null;
}
/** The address with its secret, shown once. */
export class MadeCalendarFeed {
  @Id() id!: string;
  @Text(400) address!: string;
}
export class CalendarFeedRow {
  @Id() id!: string;
  /** The client whose due dates it shows; blank: those of all. */
  @Text() of!: string;
  @Text(40) madeAt!: string;
}
