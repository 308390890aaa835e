import { Popover } from '@mantine/core';
import { parseDate } from '@zakat/core/calendar/local-date';
import { readTypedDate } from '@zakat/core/calendar/typed-date';
import { Suspense, lazy, useRef, useState, type KeyboardEvent, type ReactNode } from 'react';
import { sayDay, shortDay } from './day.js';
import { TypedField, type TypedFieldProps, type Typing } from './typed-field.js';

const Calendar = lazy(() => import('./calendar.js'));

const DAY: Typing = {
  read: readTypedDate,
  show: shortDay,
  fault: (text) => `${text} is not a calendar day. Type month, day and year, like 10/22/2026.`,
};

/**
 * A calendar day: typed in any of the ways people write one, or picked (Alt and the down arrow, or the button). Gives
 * `YYYY-MM-DD` as soon as it can be read, and what was typed until then.
 */
export function DateField({ value, onChange, ...rest }: Omit<TypedFieldProps, 'typing'>): ReactNode {
  const [isOpen, setOpen] = useState(false);
  const field = useRef<HTMLInputElement>(null);
  const close = (): void => {
    setOpen(false);
    field.current?.focus();
  };
  const keys = (event: KeyboardEvent): void => {
    if (event.altKey && event.key === 'ArrowDown') {
      event.preventDefault();
      setOpen(true);
    }
  };
  const calendar = (
    <Popover
      opened={isOpen}
      onChange={setOpen}
      trapFocus
      returnFocus
      closeOnEscape
      position="bottom-end"
      transitionProps={{ duration: 0 }}
    >
      <Popover.Target>
        <button
          type="button"
          className="calendar-button"
          tabIndex={-1}
          aria-label="calendar"
          onClick={() => setOpen(!isOpen)}
        >
          <svg viewBox="0 0 16 16" width="14" height="14" aria-hidden="true">
            <path d="M2 4h12v10H2zM2 7h12M5 2v3M11 2v3" fill="none" stroke="currentColor" />
          </svg>
        </button>
      </Popover.Target>
      <Popover.Dropdown>
        <Suspense fallback={null}>
          <Calendar
            day={parseDate(value)}
            onPick={(day) => {
              onChange(day);
              close();
            }}
          />
        </Suspense>
      </Popover.Dropdown>
    </Popover>
  );
  return (
    <TypedField
      {...rest}
      ref={field}
      typing={DAY}
      value={value}
      onChange={onChange}
      placeholder={rest.placeholder ?? 'mm/dd/yyyy'}
      onKeyDown={keys}
      title={parseDate(value) === null ? undefined : sayDay(value)}
      rightSection={calendar}
    />
  );
}
