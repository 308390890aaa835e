import '@mantine/dates/styles.css';
import { DatePicker } from '@mantine/dates';
import type { ReactNode } from 'react';

interface Props {
  readonly day: string | null;
  readonly onPick: (day: string) => void;
}

/** A month to pick a day from; weeks begin on Sunday. Loaded when it is first opened. */
export default function Calendar({ day, onPick }: Props): ReactNode {
  return (
    <DatePicker
      size="xs"
      firstDayOfWeek={0}
      value={day}
      {...(day === null ? {} : { defaultDate: day })}
      onChange={(picked) => picked !== null && onPick(picked)}
    />
  );
}
