import { Button } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import type { Schemas } from '../../api/client.js';
import { clientHoursQuery, useTakeClientHours } from '../../api/hours.js';
import { shortMoment } from '../../kit/day.js';
import { RefusedNote } from '../../kit/problems.js';

/** What the client sent for a payroll: hours to take, notes, and whether it approved the figures. */
export function SentHours({
  payroll,
  flush,
  onTaken,
}: {
  readonly payroll: Schemas['PayrollView'];
  readonly flush: () => Promise<number>;
  readonly onTaken: () => void;
}): ReactNode {
  const sent = useQuery(clientHoursQuery(payroll.id));
  const take = useTakeClientHours(payroll.id);
  const { data } = sent;
  if (!data || payroll.status === 'posted') return null;
  const waiting = data.people.filter((person) => !person.isTaken && person.says !== '');
  const said = data.people.filter((person) => waiting.includes(person) || person.note !== '');
  const go = async (): Promise<void> => {
    await take.mutateAsync(await flush());
    onTaken();
  };
  return (
    <>
      {payroll.status === 'open' && data.at !== null && said.length > 0 && (
        <div className="asked" role="group" aria-label="Hours from the client">
          <p>
            <b>{data.by}</b> sent hours {shortMoment(data.at)}.
          </p>
          {said.map((person) => (
            <div key={person.employeeId}>
              {person.name}: {waiting.includes(person) ? person.says : ''}
              {person.note !== '' && <span className="soft"> “{person.note}”</span>}
            </div>
          ))}
          {waiting.length > 0 && (
            <div className="actions">
              <Button loading={take.isPending} onClick={() => void go().catch(() => undefined)}>
                Take the hours of {waiting.length === 1 ? 'one employee' : `${waiting.length} employees`}
              </Button>
            </div>
          )}
          <RefusedNote error={take.error} />
        </div>
      )}
      {data.approvedAt !== null && payroll.status === 'reviewed' && (
        <p className="note" role="status">
          {data.isApprovalCurrent
            ? `Approved for the client by ${data.approvedBy ?? ''}, ${shortMoment(data.approvedAt)}.`
            : `${data.approvedBy ?? ''} approved other figures, ${shortMoment(data.approvedAt)}: these have moved since.`}
        </p>
      )}
    </>
  );
}
