import '@mantine/dates/styles.css';
import { DatePicker } from '@mantine/dates';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { sessionQuery } from '../api/resources.js';

interface Props {
  readonly day: string | null;
  readonly onPick: (day: string) => void;
}

/** A month to pick a day from; weeks begin on Sunday. Loaded when it is first opened. */
export default function Calendar({ day, onPick }: Props): ReactNode {
  // Today is the firm's, not the browser's.
  const { data: session } = useQuery({ ...sessionQuery, enabled: day === null });
  const shown = day ?? session?.today;
  return (
    <DatePicker
      key={shown ?? ''}
      size="xs"
      firstDayOfWeek={0}
      value={day}
      {...(shown === undefined ? {} : { defaultDate: shown })}
      onChange={(picked) => picked !== null && onPick(picked)}
    />
  );
}
