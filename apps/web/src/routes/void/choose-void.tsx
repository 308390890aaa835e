import { Button, Checkbox, Radio, Stack, TextInput } from '@mantine/core';
import { ZERO, parseDollars } from '@zakat/core/money/cents';
import { useQuery } from '@tanstack/react-query';
import { useState, type FormEvent, type ReactNode } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { sessionQuery } from '../../api/resources.js';
import { payrollVoidsQuery, useProposeVoid, voidEffectsQuery } from '../../api/voids.js';
import { Day } from '../../kit/day.js';
import { Figure } from '../../kit/figure.js';
import { RefusedNote } from '../../kit/problems.js';
import { TYPINGS, TypedField } from '../../kit/typed-field.js';
import { Waiting } from '../../kit/waiting.js';
import { VoidEffectsView } from './effects.js';

const STANDING: Readonly<Record<Schemas['VoidableCheck']['standing'], string>> = {
  stands: '',
  proposed: 'void proposed',
  void: 'void',
  repaid: 'given back',
};

function Choose({ payroll }: { readonly payroll: Schemas['VoidsOfPayroll'] }): ReactNode {
  const [search, setSearch] = useSearchParams();
  const navigate = useNavigate();
  const propose = useProposeVoid(payroll.payrollId);
  const [reason, setReason] = useState('');
  const standing = payroll.checks.filter((check) => check.standing === 'stands').map((check) => check.paycheckId);
  const [asked, setAsked] = useState<readonly string[]>(() => (search.get('checks') ?? '').split(','));
  const chosen = asked[0] === 'all' ? standing : standing.filter((id) => asked.includes(id));
  const { data: session } = useQuery(sessionQuery);
  // Of an earlier year a check may stand, and part of its pay be given back now.
  const mayBeRepaid = session !== undefined && payroll.checkDate.slice(0, 4) < session.today.slice(0, 4);
  const [isRepaid, setRepaid] = useState(false);
  const [typed, setTyped] = useState('');
  const amount = parseDollars(typed);
  const repaid = mayBeRepaid && isRepaid ? (amount ?? ZERO) : undefined;
  const isReady = repaid === undefined || (repaid > 0 && chosen.length === 1);
  const effects = useQuery(voidEffectsQuery(payroll.payrollId, isReady ? chosen : [], repaid));
  const choose = (ids: readonly string[]): void => {
    setAsked(ids);
    setSearch(ids.length === 0 ? {} : { checks: ids.join(',') }, { replace: true });
  };
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    propose.mutate(
      { paycheckIds: chosen, reason, ...(repaid === undefined ? {} : { repaid }) },
      { onSuccess: ({ id }) => void navigate(`/voids/${id}`) },
    );
  };
  return (
    <>
      <p className="note">
        A void takes posted checks back under their own check date: in the register, the ledger, the journal and every
        year to date. Nothing that was posted is changed. It is proposed here and posted by a second person. A check
        that only got lost is stopped and made out again with the payroll’s checks: nothing is reversed then.
      </p>
      <table className="ruled">
        <thead>
          <tr>
            <th scope="col" style={{ width: 34 }}>
              <Checkbox
                aria-label="Every check"
                checked={chosen.length > 0 && chosen.length === standing.length}
                indeterminate={chosen.length > 0 && chosen.length < standing.length}
                disabled={standing.length === 0}
                onChange={(event) => choose(event.currentTarget.checked ? standing : [])}
              />
            </th>
            <th scope="col">Employee</th>
            <th scope="col">Paid</th>
            <th scope="col">Status</th>
            <th scope="col" className="num">
              Gross
            </th>
            <th scope="col" className="num">
              Net
            </th>
          </tr>
        </thead>
        <tbody>
          {payroll.checks.map((check) => (
            <tr key={check.paycheckId} data-void={check.standing === 'void'}>
              <td>
                <Checkbox
                  aria-label={`Void the check of ${check.name}`}
                  checked={chosen.includes(check.paycheckId)}
                  disabled={check.standing !== 'stands'}
                  onChange={(event) =>
                    choose(
                      event.currentTarget.checked
                        ? [...chosen, check.paycheckId]
                        : chosen.filter((id) => id !== check.paycheckId),
                    )
                  }
                />
              </td>
              <td>{check.name}</td>
              <td>{check.paid}</td>
              <td>
                {check.voidId === null ? (
                  STANDING[check.standing]
                ) : (
                  <Link to={`/voids/${check.voidId}`}>{STANDING[check.standing]}</Link>
                )}
              </td>
              <td className="num">
                <Figure amount={check.gross} />
              </td>
              <td className="num">
                <Figure amount={check.net} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {chosen.length > 0 && (
        <>
          {mayBeRepaid && (
            <Radio.Group
              label="What happened to the pay"
              value={isRepaid ? 'repaid' : 'void'}
              onChange={(value) => setRepaid(value === 'repaid')}
              mt="md"
              mb="sm"
            >
              <Stack gap="xs" mt="xs">
                <Radio
                  value="void"
                  label="It never reached the employee, or was not theirs at all: the checks are void"
                />
                <Radio
                  value="repaid"
                  label="The employee had it as pay of that year, and gives some of it back this year: the check stands"
                />
              </Stack>
            </Radio.Group>
          )}
          {mayBeRepaid && isRepaid && (
            <TypedField
              label="Gross pay given back (before taxes)"
              typing={TYPINGS.amount}
              w={240}
              value={typed}
              onChange={setTyped}
              {...(chosen.length === 1 ? {} : { error: 'Pay is given back check by check: choose one.' })}
            />
          )}
          {isReady && <Waiting query={effects}>{(data) => <VoidEffectsView effects={data} isPencil />}</Waiting>}
          <form className="actions" style={{ alignItems: 'flex-end' }} onSubmit={submit}>
            <TextInput
              label={repaid === undefined ? 'Reason (kept with the void)' : 'Reason (kept with the record)'}
              w={420}
              maxLength={300}
              value={reason}
              onChange={(event) => setReason(event.currentTarget.value)}
            />
            <Button type="submit" loading={propose.isPending} disabled={reason.trim() === '' || !isReady}>
              {repaid === undefined
                ? `Propose the void of ${chosen.length === 1 ? 'one check' : `${chosen.length} checks`}`
                : 'Propose what is taken back'}
            </Button>
          </form>
        </>
      )}
      <RefusedNote error={propose.error} />
    </>
  );
}

/** Which checks of a posted payroll are to be voided, with everything that follows shown before. */
export function ChooseVoidPage(): ReactNode {
  const { payrollId = '' } = useParams();
  const voids = useQuery(payrollVoidsQuery(payrollId));
  return (
    <Waiting query={voids}>
      {(data) => (
        <>
          <p className="sub">
            <Link to={`/clients/${data.clientId}/payrolls`}>{data.clientName}</Link>, EIN ending {data.einTail}
          </p>
          <div className="lead">
            <h1>
              Void checks of <Day day={data.checkDate} />
            </h1>
            <p className="beside">
              <Link to={`/payrolls/${payrollId}`}>back to the payroll</Link>
            </p>
          </div>
          <Choose payroll={data} />
        </>
      )}
    </Waiting>
  );
}
