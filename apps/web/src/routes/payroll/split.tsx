import { Button, NativeSelect } from '@mantine/core';
import { useState, type FormEvent, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { useSplitPayroll } from '../../api/resources.js';
import { groupsOf, type Group } from '../../calc/for-many.js';
import { RefusedNote } from '../../kit/problems.js';

/** Departments, locations and cost centers that some of the people have, and not all. */
const partsOf = ({ persons }: Pick<Schemas['PayrollView'], 'persons'>): Group[] =>
  groupsOf(persons).filter(({ people }) => people < persons.length);
/** Whether there is something to split: a whole regular payroll whose people are not all alike. */
export const maySplit = (payroll: Schemas['PayrollView']): boolean =>
  payroll.kind === 'regular' && payroll.part === '' && partsOf(payroll).length > 0;

/** Gives the people of a department, location or cost center a payroll of their own for the same period. */
export function SplitOff({
  payroll,
  flush,
  onClose,
}: {
  readonly payroll: Schemas['PayrollView'];
  /** Saves what was typed, and gives the version that is then right. */
  readonly flush: () => Promise<number>;
  readonly onClose: () => void;
}): ReactNode {
  const split = useSplitPayroll(payroll.id);
  const navigate = useNavigate();
  const groups = partsOf(payroll);
  const [at, setAt] = useState(0);
  const chosen = groups[at];
  const submit = async (): Promise<void> => {
    if (!chosen) return;
    const version = await flush();
    const { id } = await split.mutateAsync({ version, by: chosen.sort, name: chosen.name });
    await navigate(`/payrolls/${id}`);
  };
  return (
    <section className="section" aria-label="Split the payroll">
      <h2>
        Split the payroll <small>the same period in two, each reviewed and posted by itself</small>
      </h2>
      <form
        className="actions"
        style={{ alignItems: 'flex-end' }}
        onSubmit={(event: FormEvent) => {
          event.preventDefault();
          // What is refused is shown from the mutation's own error.
          void submit().catch(() => undefined);
        }}
      >
        <NativeSelect
          label="Into a payroll of its own"
          value={String(at)}
          onChange={(event) => setAt(Number(event.currentTarget.value))}
          data={groups.map(({ word, name, people }, index) => ({
            value: String(index),
            label: `${word} ${name}, ${people} ${people === 1 ? 'employee' : 'employees'}`,
          }))}
        />
        <Button type="submit" loading={split.isPending}>
          Split it off
        </Button>
        <button type="button" className="plain" onClick={onClose}>
          close
        </button>
      </form>
      <RefusedNote error={split.error} />
    </section>
  );
}
