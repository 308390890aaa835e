import { EMPLOYEE_FACTS, stateCertificateFields } from '@zakat/core/facts/employee-facts';
import { findState } from '@zakat/core/jurisdictions/states';
import { useState, type ReactNode } from 'react';
import type { Schemas } from '../../api/client.js';
import { FactForm, type FormFact } from '../fact-forms/fact-form.js';
import { shortDay } from '../../kit/day.js';

interface Props {
  readonly person: Schemas['EmployeeView'];
  readonly today: string;
  readonly isSaving: boolean;
  readonly error: Error | null;
  readonly onSave: (fact: FormFact, done: () => void) => void;
  readonly onConsider: (fact: FormFact | null) => void;
}

/** States of work and residence, as the places in force (or still to come) say. */
function statesOf(person: Schemas['EmployeeView']): string[] {
  const places = person.facts.filter((fact) => fact.kind === 'place' && (fact.isInForce || fact.from > person.on));
  const named = places.flatMap(({ value }) => [
    value['work'],
    value['residence'],
    ...(Array.isArray(value['otherWork'])
      ? (value['otherWork'] as { state?: unknown }[]).map((other) => other.state)
      : []),
  ]);
  const kept = person.facts.filter((fact) => fact.kind === 'state-certificate').map((fact) => fact.value['state']);
  return [...new Set([...named, ...kept].filter((state): state is string => typeof state === 'string'))];
}

/** The certificate of each state the person works or lives in: the form appears with the state. */
export function StateCertificates(props: Props): ReactNode {
  const { person, today, isSaving, error, onSave, onConsider } = props;
  const [opened, setOpened] = useState<string | null>(null);
  const kind = EMPLOYEE_FACTS.find('state-certificate');
  if (!kind) return null;
  return (
    <table className="ruled facts" id="fact-certificate">
      <tbody>
        {statesOf(person).map((state) => {
          const fields = stateCertificateFields(state);
          const rule = findState(state)?.incomeTax;
          const stored = person.facts.find(
            (fact) => fact.kind === 'state-certificate' && fact.isInForce && fact.value['state'] === state,
          );
          const form = rule?.kind === 'worksheet' ? rule.certificate.form : '';
          return (
            <tr key={state}>
              <th scope="row">{state} certificate</th>
              <td>
                {fields.length === 0 ? (
                  <span className="soft">{findState(state)?.name} withholds no income tax on wages</span>
                ) : (
                  <>
                    <div className="fact-line">
                      <span>
                        {stored?.sentence ?? (
                          <span className="soft">
                            none; until it comes: {rule?.kind === 'worksheet' ? rule.certificate.without.says : ''}
                          </span>
                        )}
                      </span>
                      {stored && <span className="soft nowrap">from {shortDay(stored.from)}</span>}
                      {opened !== state && (
                        <button
                          type="button"
                          className="plain"
                          aria-label={stored ? `change ${state} certificate` : `add ${form}, ${state}`}
                          onClick={() => setOpened(state)}
                        >
                          {stored ? 'change' : `add ${form}`}
                        </button>
                      )}
                    </div>
                    {opened === state && (
                      <FactForm
                        kind={kind}
                        fields={fields}
                        initial={(stored?.value['certificate'] as Record<string, unknown> | undefined) ?? {}}
                        today={today}
                        from={!stored && (person.hiredOn ?? today) < today ? (person.hiredOn ?? today) : today}
                        draftKey={`person.${person.id}.certificate.${state}`}
                        check={(value) => EMPLOYEE_FACTS.issues('state-certificate', value, 'value')}
                        wrap={(certificate) => ({ state, certificate })}
                        isSaving={isSaving}
                        error={error}
                        onSave={onSave}
                        onConsider={onConsider}
                        onClose={() => setOpened(null)}
                      />
                    )}
                  </>
                )}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
