import { Button, Checkbox, NativeSelect, TextInput } from '@mantine/core';
import { useHotkeys } from '@mantine/hooks';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { cents, showDollars } from '@zakat/core/money/cents';
import { useState, type ReactNode } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { payrollQuery, useDiscardPayroll, usePayrollAct } from '../../api/resources.js';
import { itemCodes, jobNames } from '../../calc/sheet-row.js';
import { USUAL_WORDS, asWord } from '../../calc/short-line.js';
import { Problems, RefusedNote } from '../../kit/problems.js';
import { ReleaseSlip } from '../../kit/release-slip.js';
import { Status } from '../../kit/status.js';
import { Waiting } from '../../kit/waiting.js';
import { accountPath } from '../clients/account-path.js';
import { ColumnsOfClient } from './columns.js';
import { rowFilters } from './shown-rows.js';
import { useShownRows } from './use-shown-rows.js';
import { ClientNotes } from './client-notes.js';
import { PayrollChecksView } from './checks.js';
import { Costs } from './costs.js';
import { ForMany } from './for-many.js';
import { SplitOff, maySplit } from './split.js';
import { HoursFile } from './hours-file.js';
import { HowPaid } from './how-paid.js';
import { LeaveBalances } from './leave-balances.js';
import { LinesOfCheck } from './lines-of-check.js';
import { NotEnough } from './not-enough.js';
import { OverriddenTaxes } from './overridden-taxes.js';
import { Clashes, OvertakenNote } from './together.js';
import { postingSlip } from './posting-slip.js';
import { Closed, NotUnderstood, Notes } from './payroll-notes.js';
import { SentHours } from './sent-hours.js';
import { problemsOfMany } from '../../calc/problems-of-many.js';
import { PayrollSheet } from './sheet.js';
import { useSheet } from './use-sheet.js';
import { WithheldElsewhere } from './withheld-elsewhere.js';
import { Day, shortDay } from '../../kit/day.js';

type Payroll = Schemas['PayrollView'];
const SAVED: Readonly<Record<string, string>> = {
  saved: 'Saved',
  typing: 'Typing',
  saving: 'Saving',
  failed: 'Not saved',
};

function Work({ payroll, onReload }: { readonly payroll: Payroll; readonly onReload: () => void }): ReactNode {
  const sheet = useSheet(payroll);
  const job = sheet.rows.flatMap(jobNames)[0];
  const ownCodes = itemCodes(sheet.rows[0]);
  const act = usePayrollAct(payroll.id);
  const queries = useQueryClient();
  const [isSlipOpen, setSlipOpen] = useState(false);
  const [isWide, setWide] = useState(false);
  const [isHelpOpen, setHelpOpen] = useState(false);
  const [isFileOpen, setFileOpen] = useState(false);
  const [isManyOpen, setManyOpen] = useState(false);
  const [isSplitOpen, setSplitOpen] = useState(false);
  const [leftOut, setLeftOut] = useState(0);
  const [isColumnsOpen, setColumnsOpen] = useState(false);
  const [kept, setKept] = useState<readonly string[]>(payroll.columns);
  const shown = useShownRows(sheet.rows, payroll.persons);
  const [unmatched, setUnmatched] = useState<readonly string[]>([]);
  const [reason, setReason] = useState('');
  const [person, setPerson] = useState<string | null>(null);
  const looked = sheet.rows.find((row) => row.employeeId === person);
  const isOpen = payroll.status === 'open';
  const paid = sheet.rows.filter((row) => row.isPaid);
  const sum = (pick: (row: (typeof paid)[number]) => number): string =>
    showDollars(cents(paid.reduce((total, row) => total + pick(row), 0)));
  const put = (next: Payroll): void => void queries.setQueryData(payrollQuery(payroll.id).queryKey, next);
  const go = async (name: 'review' | 'reopen' | 'post'): Promise<void> => {
    const version = await sheet.flush();
    put(await act.mutateAsync({ act: name, version, ...(name === 'post' ? { closedReason: reason } : {}) }));
    setSlipOpen(false);
  };
  // What is refused is shown from the mutation's own error.
  const start = (name: 'review' | 'reopen'): void => void go(name).catch(() => undefined);
  const nextStep = (): void => {
    // What is being typed counts.
    if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
    if (act.isPending) return;
    if (isOpen) start('review');
    else if (payroll.status === 'reviewed') setSlipOpen(true);
  };
  useHotkeys(
    [
      ['mod+Enter', nextStep],
      ['alt+N', () => nextWarning()],
    ],
    [],
  );
  const problems = problemsOfMany(paid.map(({ name, check }) => ({ name, problems: check.problems })));
  return (
    <>
      <div className="actions" style={{ margin: '6px 0 0' }}>
        {payroll.persons.length > 1 && (
          <NativeSelect
            aria-label="Shown"
            size="xs"
            value={shown.filter}
            data={rowFilters(payroll.persons)}
            onChange={(event) => shown.show(event.currentTarget.value)}
          />
        )}
        {shown.rows.length < sheet.rows.length && (
          <span className="note" role="status">
            {shown.rows.length} of {sheet.rows.length} shown; totals are of everybody
          </span>
        )}
        <button
          type="button"
          className="plain"
          aria-expanded={isColumnsOpen}
          onClick={() => setColumnsOpen(!isColumnsOpen)}
        >
          columns
        </button>
        <Checkbox
          label={leftOut > 0 ? `every column (${leftOut} more)` : 'every column'}
          checked={isWide}
          onChange={(event) => setWide(event.currentTarget.checked)}
        />
        {isOpen && (
          <span className="note" style={{ maxWidth: 'none' }}>
            Short line: <code>38.5 reg 4 ot @22.50 tips 60</code> changes what it names.{' '}
            <button type="button" className="plain" aria-expanded={isHelpOpen} onClick={() => setHelpOpen(!isHelpOpen)}>
              {isHelpOpen ? 'less' : 'more ways'}
            </button>{' '}
            Next step: <kbd>Ctrl Enter</kbd>{' '}
            <button type="button" className="plain" aria-expanded={isFileOpen} onClick={() => setFileOpen(!isFileOpen)}>
              hours from a file
            </button>{' '}
            or{' '}
            <button type="button" className="plain" aria-expanded={isManyOpen} onClick={() => setManyOpen(!isManyOpen)}>
              a line for many
            </button>
          </span>
        )}
      </div>
      {isOpen && isHelpOpen && (
        <p className="note" style={{ maxWidth: 'none' }}>
          45+40 for two weeks, 8/10/8/8/8 for the days of one; bonus net 500 for a bonus of that much net pay
          {job === undefined ? '' : `; 8 reg #${asWord(job)} for a job`}. Words: {[USUAL_WORDS, ...ownCodes].join(', ')}
          . Or type in the cells, or paste hours, with names or numbers in front where you have them. Tab and Enter go
          from entry to entry, Ctrl Z undoes, Alt N goes to the next warning.
        </p>
      )}
      <SentHours payroll={payroll} flush={sheet.flush} onTaken={onReload} />
      {isOpen && isManyOpen && (
        <ForMany
          persons={payroll.persons}
          rows={sheet.rows}
          onType={sheet.typeAll}
          onClose={() => setManyOpen(false)}
        />
      )}
      {isOpen && isFileOpen && (
        <HoursFile payrollId={payroll.id} flush={sheet.flush} onTaken={onReload} onClose={() => setFileOpen(false)} />
      )}
      {isColumnsOpen && (
        <ColumnsOfClient
          clientId={payroll.clientId}
          kept={kept}
          onKept={setKept}
          onClose={() => setColumnsOpen(false)}
        />
      )}
      <Clashes clashes={sheet.clashes} rows={sheet.rows} onDecide={sheet.decide} />
      {sheet.overtaken && (
        <OvertakenNote overtaken={sheet.overtaken} onSave={sheet.saveAfterReview} onReload={onReload} />
      )}
      <PayrollSheet
        rows={shown.rows}
        isOpen={isOpen}
        isWide={isWide}
        kept={kept}
        at={shown.at}
        onOpen={shown.openPerson}
        onType={sheet.type}
        onPaste={sheet.typeAll}
        onUndo={sheet.undo}
        onRedo={sheet.redo}
        onFigure={sheet.showFigure}
        onPerson={setPerson}
        onLeftOut={setLeftOut}
        onUnmatched={setUnmatched}
      />
      {isOpen && <ClientNotes clientId={payroll.clientId} />}
      <div className="totals" aria-label="Totals">
        <div>
          <span>Employees paid</span>
          {paid.length}
        </div>
        <div>
          <span>Gross</span>
          <b>{sum((row) => row.check.gross)}</b>
        </div>
        <div>
          <span>Taxes withheld</span>
          <b>
            {sum((row) =>
              row.check.taxes.filter((tax) => tax.payer === 'employee').reduce((total, tax) => total + tax.amount, 0),
            )}
          </b>
        </div>
        <div>
          <span>Deductions</span>
          <b>{sum((row) => row.check.deductions)}</b>
        </div>
        <div>
          <span>Net</span>
          <b>{sum((row) => row.check.net)}</b>
        </div>
        {isOpen && (
          <div role="status" style={{ marginLeft: 'auto' }}>
            {SAVED[sheet.saving]}
          </div>
        )}
      </div>
      {isOpen && (
        <NotEnough
          rows={sheet.rows}
          onAsk={sheet.giveWay}
          onTake={(employeeId, lines) =>
            sheet.override(
              employeeId,
              lines.map(({ line, amount, reason, isOwed }) => ({ line, instead: { amount, reason, isOwed } })),
            )
          }
        />
      )}
      {looked && (
        <LeaveBalances
          row={looked}
          {...(isOpen ? { onType: (column, hours) => sheet.type(looked.employeeId, column, hours) } : {})}
        />
      )}
      {looked && (
        <LinesOfCheck
          key={looked.employeeId}
          row={looked}
          isOpen={isOpen}
          onLeaveOut={(line, reason) => sheet.leaveOut(looked.employeeId, line, reason)}
          onOverride={(line, instead) => sheet.override(looked.employeeId, [{ line, instead }])}
          onFigure={(figure, label) => sheet.showFigure(looked.employeeId, figure, label)}
        />
      )}
      {looked && payroll.kind !== 'recorded' && payroll.kind !== 'brought-in' && payroll.kind !== 'void' && (
        <OverriddenTaxes
          key={`taxes ${looked.employeeId}`}
          row={looked}
          isOpen={isOpen}
          onOverride={(tax, amount, reason) => sheet.withhold(looked.employeeId, tax, amount, reason)}
        />
      )}
      {looked && payroll.kind === 'recorded' && (
        <WithheldElsewhere
          key={`withheld ${looked.employeeId}`}
          row={looked}
          isOpen={isOpen}
          onWithhold={(tax, amount) => sheet.withhold(looked.employeeId, tax, amount)}
        />
      )}
      {sheet.note && (
        <div className="problem" data-severity="warning" role="status">
          {sheet.note}.
        </div>
      )}
      {unmatched.length > 0 && (
        <div className="problem" data-severity="error" role="alert">
          Of the paste, nothing was taken for {unmatched.join(', ')}: there is nobody paid in this payroll, or no
          column, to take it.{' '}
          <button type="button" className="plain" onClick={() => setUnmatched([])}>
            seen
          </button>
        </div>
      )}
      {isOpen && sheet.unread.length > 0 && <NotUnderstood lines={sheet.unread} />}
      <Notes rows={sheet.rows} />
      <Voided payroll={payroll} />
      <Closed payroll={payroll} />
      <Problems
        title={problems.some((problem) => problem.severity === 'error') ? 'Before it can be reviewed' : 'Warnings'}
        details={problems}
        route={(field) => accountPath(field, payroll.clientId, `/payrolls/${payroll.id}`)}
      />
      <RefusedNote
        error={sheet.overtaken ? null : (sheet.error ?? act.error)}
        route={(field) => accountPath(field, payroll.clientId, `/payrolls/${payroll.id}`)}
      />
      {act.error?.message.includes('meanwhile') && (
        <button type="button" className="plain" onClick={onReload}>
          show what is there now
        </button>
      )}
      {isOpen && isSplitOpen && <SplitOff payroll={payroll} flush={sheet.flush} onClose={() => setSplitOpen(false)} />}
      <div className="actions">
        {isOpen && (
          <Button onClick={() => start('review')} loading={act.isPending}>
            Review
          </Button>
        )}
        {isOpen && maySplit(payroll) && !isSplitOpen && (
          <button type="button" className="plain" onClick={() => setSplitOpen(true)}>
            split it
          </button>
        )}
        {isOpen && <Discard payroll={payroll} flush={sheet.flush} />}
        {payroll.status === 'reviewed' && !isSlipOpen && <Button onClick={() => setSlipOpen(true)}>Post…</Button>}
        {payroll.status === 'reviewed' && (
          <button type="button" className="plain" onClick={() => start('reopen')}>
            reopen for changes
          </button>
        )}
        {payroll.status === 'posted' && <Link to={`/clients/${payroll.clientId}/deposits`}>Tax liabilities</Link>}
        {payroll.status === 'posted' && payroll.kind !== 'void' && payroll.kind !== 'brought-in' && (
          <Link to={`/payrolls/${payroll.id}/void`}>void checks…</Link>
        )}
        {payroll.status === 'posted' && paysHere(payroll) && (
          <Link to={`/payrolls/${payroll.id}/difference`}>correct a check…</Link>
        )}
        {payroll.status === 'posted' && payroll.kind !== 'void' && payroll.kind !== 'brought-in' && (
          <Link to={`/clients/${payroll.clientId}/payrolls?again=${payroll.id}`}>copy it to a new payroll</Link>
        )}
        {payroll.voids !== null && <Link to={`/payrolls/${payroll.voids}`}>what it takes back</Link>}
      </div>
      {isSlipOpen && payroll.status === 'reviewed' && (
        <ReleaseSlip
          slip={postingSlip(payroll, reason)}
          actLabel="Post the payroll"
          isBusy={act.isPending}
          onClose={() => setSlipOpen(false)}
          onAct={() => go('post')}
        >
          {payroll.closed.length > 0 && (
            <TextInput
              label="Why it is posted now (kept with the payroll)"
              value={reason}
              maxLength={300}
              onChange={(event) => setReason(event.currentTarget.value)}
            />
          )}
        </ReleaseSlip>
      )}
      {payroll.status === 'posted' && paysHere(payroll) && <HowPaid payroll={payroll} />}
      {payroll.status === 'posted' && (paysHere(payroll) || payroll.kind === 'recorded') && (
        <PayrollChecksView payroll={payroll} />
      )}
      {payroll.status !== 'open' && <Costs payroll={payroll} />}
    </>
  );
}

/** Goes from one warning of the page to the next, and to the first after the last. */
function nextWarning(): void {
  const all = [...document.querySelectorAll<HTMLElement>('main .problem, main .ag-cell.not-read')];
  const at = all.findIndex((one) => one === document.activeElement);
  const next = all[(at + 1) % all.length];
  if (!next) return;
  next.tabIndex = -1;
  next.focus();
  next.scrollIntoView({ block: 'center' });
}

/** Takes the payroll away again; asked twice, since what was typed goes with it. */
function Discard({ payroll, flush }: { readonly payroll: Payroll; readonly flush: () => Promise<number> }): ReactNode {
  const discard = useDiscardPayroll(payroll.id);
  const navigate = useNavigate();
  const [isAsked, setAsked] = useState(false);
  const go = async (): Promise<void> => {
    await discard.mutateAsync({ version: await flush() });
    await navigate(`/clients/${payroll.clientId}/payrolls`, { replace: true });
  };
  if (!isAsked)
    return (
      <button type="button" className="plain" onClick={() => setAsked(true)}>
        discard it
      </button>
    );
  return (
    <>
      <span>Discard this payroll and what was typed in it?</span>
      <button type="button" className="plain" onClick={() => void go().catch(() => undefined)}>
        yes, discard
      </button>
      <button type="button" className="plain" onClick={() => setAsked(false)}>
        keep it
      </button>
      <RefusedNote error={discard.error} />
    </>
  );
}

const paysHere = ({ kind, isVoid }: Payroll): boolean =>
  kind !== 'brought-in' && kind !== 'recorded' && kind !== 'void' && !isVoid;

/** Checks of the payroll that were taken back. */
function Voided({ payroll }: { readonly payroll: Payroll }): ReactNode {
  const gone = payroll.persons.filter((person) => person.paycheck.voidedBy !== undefined);
  if (gone.length === 0) return null;
  return (
    <div className="problem" data-severity="warning">
      {payroll.isVoid ? 'Every check of this payroll is void: ' : 'Void: '}
      {gone.map((person, index) => (
        <span key={person.employeeId}>
          {index > 0 && ', '}
          <Link to={`/payrolls/${person.paycheck.voidedBy ?? ''}`}>{person.name}</Link>
        </span>
      ))}
      . The figures here are as they were posted; the reversal stands in its own payroll.
    </div>
  );
}

export function PayrollPage(): ReactNode {
  const { payrollId = '' } = useParams();
  const payroll = useQuery(payrollQuery(payrollId));
  const [round, setRound] = useState(0);
  const reload = (): void => void payroll.refetch().then(() => setRound((count) => count + 1));
  return (
    <Waiting query={payroll}>
      {(data) => (
        <>
          <p className="sub">
            <Link to={`/clients/${data.clientId}/payrolls`}>{data.clientName}</Link>, EIN ending {data.einTail}
          </p>
          <div className="lead">
            <h1>
              {data.kind === 'void' ? 'Reversal' : 'Payroll'}, checks of <Day day={data.checkDate} />
            </h1>
            <p className="beside">
              <Status word={data.isVoid ? 'void' : data.status} />
              <br />
              {data.kind}
              {data.part === '' ? '' : `, ${data.part}`}, {shortDay(data.periodStart)} to {shortDay(data.periodEnd)}
            </p>
          </div>
          <Work key={`${data.id} ${data.status} ${round}`} payroll={data} onReload={reload} />
        </>
      )}
    </Waiting>
  );
}
