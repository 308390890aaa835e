import { addDays, date, showDate } from '@zakat/core/calendar/local-date';
import ICAL from 'ical.js';

/** A day on which something has to be sent, as a calendar shows it: whose by its code, no name, number or amount. */
export interface DueEvent {
  readonly key: string;
  readonly title: string;
  readonly clientKey: string;
  readonly sendBy: string;
  readonly due: string | null;
  readonly move: string;
}

/** An iCalendar file (RFC 5545) with an all-day event for each, on its send-by day. */
export function calendarFile(name: string, events: readonly DueEvent[], now: Date, address: string): string {
  const calendar = new ICAL.Component('vcalendar');
  calendar.addPropertyWithValue('version', '2.0');
  calendar.addPropertyWithValue('prodid', '-//Zakat//Due dates//EN');
  calendar.addPropertyWithValue('x-wr-calname', name);
  for (const { key, title, clientKey, sendBy, due, move } of events) {
    const event = new ICAL.Component('vevent');
    event.addPropertyWithValue('uid', `${Buffer.from(key).toString('hex').slice(0, 120)}@${new URL(address).hostname}`);
    event.addPropertyWithValue('dtstamp', ICAL.Time.fromJSDate(now, true));
    event.addPropertyWithValue('dtstart', ICAL.Time.fromDateString(sendBy));
    event.addPropertyWithValue('dtend', ICAL.Time.fromDateString(addDays(date(sendBy), 1)));
    event.addPropertyWithValue('summary', `${clientKey}: ${title}`);
    event.addPropertyWithValue(
      'description',
      `${move}.${due === null ? '' : ` Due ${showDate(date(due))}.`} Send by this day.`,
    );
    // A day of work stays free for other appointments.
    event.addPropertyWithValue('transp', 'TRANSPARENT');
    calendar.addSubcomponent(event);
  }
  return calendar.toString();
}
