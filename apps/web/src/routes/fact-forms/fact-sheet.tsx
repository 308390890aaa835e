import type { FactKind, FactKinds } from '@zakat/core/facts/fact-kind';
import { UNTIL } from '@zakat/core/facts/fact-kind';
import { COUNTED_FROM, countedFrom } from '@zakat/core/facts/pay-line-facts';
import type { FactField } from '@zakat/core/facts/field';
import { useState, type ReactNode } from 'react';
import { FactForm, type FormFact } from './fact-form.js';
import { shortDay } from '../../kit/day.js';

export interface SheetFact extends FormFact {
  readonly sentence: string;
  readonly isInForce: boolean;
  readonly recordedBy?: string;
}
interface Props {
  readonly kinds: FactKinds;
  /** The kinds shown, in order. */
  readonly shown: readonly string[];
  readonly facts: readonly SheetFact[];
  readonly today: string;
  /** The day a first entry counts from, where that is earlier than today. */
  readonly firstFrom?: string;
  readonly draftKey: string;
  readonly isSaving: boolean;
  readonly error: Error | null;
  readonly onSave: (fact: FormFact, done: () => void) => void;
  readonly onConsider?: (fact: FormFact | null) => void;
  /** What else stands with a kind. */
  readonly beside?: (kind: string) => ReactNode;
  /** The fields of a kind where they depend on more than the kind. */
  readonly fieldsOf?: (kind: FactKind, value: Readonly<Record<string, unknown>>) => readonly FactField[];
}
type Opened = {
  readonly kind: string;
  readonly slot: string;
  readonly value: Readonly<Record<string, unknown>>;
} | null;

const yesterday = (day: string): string =>
  new Date(Date.parse(`${day}T00:00:00Z`) - 86_400_000).toISOString().slice(0, 10);

/** What a form begins with that changes an entry: a balance goes on counting from where it began. */
const toChange = (kind: FactKind, fact: SheetFact): Readonly<Record<string, unknown>> =>
  kind.fields.includes(COUNTED_FROM) && typeof fact.value['balance'] === 'string'
    ? { ...fact.value, [COUNTED_FROM.name]: countedFrom(fact) }
    : fact.value;

/** What a new entry begins with. */
const presetsOf = (kind: FactKind): Readonly<Record<string, unknown>> =>
  Object.fromEntries(kind.fields.flatMap(({ name, preset }) => (preset === undefined ? [] : [[name, preset]])));

/** Effective-dated facts by kind: what stands, in words, and one form at a time to change it. */
export function FactSheet(props: Props): ReactNode {
  const { kinds, shown, facts, today, draftKey, isSaving, error, onSave, onConsider } = props;
  const [opened, setOpened] = useState<Opened>(null);
  const fieldsOf = props.fieldsOf ?? ((kind: FactKind) => kind.fields);
  return (
    <table className="ruled facts">
      <tbody>
        {shown.map((name) => {
          const kind = kinds.find(name);
          if (!kind) return null;
          const own = facts.filter((fact) => fact.kind === name && fact.isInForce);
          const coming = facts.filter((fact) => fact.kind === name && fact.from > today);
          const isOpen = opened?.kind === name;
          return (
            <tr key={name} id={`fact-${name}`}>
              <th scope="row">{kind.label}</th>
              <td>
                {own.map((fact) => (
                  <div key={kinds.slotOf(fact)} className="fact-line">
                    <span>{fact.sentence}</span>
                    <span className="soft nowrap">from {shortDay(fact.from)}</span>
                    <button
                      type="button"
                      className="plain"
                      aria-label={`change ${kind.label}: ${fact.sentence}`}
                      onClick={() => setOpened({ kind: name, slot: kinds.slotOf(fact), value: toChange(kind, fact) })}
                    >
                      change
                    </button>
                    {kind.fields.includes(UNTIL) && fact.value['until'] === undefined && name !== 'bank' && (
                      <button
                        type="button"
                        className="plain"
                        aria-label={`end ${kind.label}: ${fact.sentence}`}
                        onClick={() =>
                          onSave(
                            { kind: name, from: fact.from, value: { ...fact.value, until: yesterday(today) } },
                            () => undefined,
                          )
                        }
                      >
                        end
                      </button>
                    )}
                  </div>
                ))}
                {coming.map((fact) => (
                  <div key={`${fact.from} ${fact.sentence}`} className="fact-line pencil">
                    <span>{fact.sentence}</span>
                    <span className="nowrap">from {shortDay(fact.from)}, still to come</span>
                  </div>
                ))}
                {own.length === 0 && coming.length === 0 && !isOpen && (
                  <span className="soft">none{kind.until ? `; until it comes: ${kind.until}` : ''} </span>
                )}
                {!isOpen && (own.length === 0 || kind.slot !== undefined) && (
                  <button
                    type="button"
                    className="plain"
                    aria-label={`${own.length === 0 ? 'add' : 'add another'}: ${kind.label}`}
                    onClick={() => setOpened({ kind: name, slot: '', value: presetsOf(kind) })}
                  >
                    {own.length === 0 ? 'add' : 'add another'}
                  </button>
                )}
                {isOpen && opened && (
                  <FactForm
                    key={`${name} ${opened.slot}`}
                    kind={kind}
                    fields={fieldsOf(kind, opened.value)}
                    initial={opened.value}
                    today={today}
                    from={own.length === 0 && (props.firstFrom ?? today) < today ? (props.firstFrom ?? today) : today}
                    draftKey={`${draftKey}.${name}.${opened.slot}`}
                    check={(value) => kinds.issues(name, value, 'value')}
                    isSaving={isSaving}
                    error={error}
                    onSave={onSave}
                    {...(onConsider ? { onConsider } : {})}
                    onClose={() => setOpened(null)}
                  />
                )}
                {props.beside?.(name)}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
