import { NativeSelect, TextInput, Textarea } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { parseDollars } from '@zakat/core/money/cents';
import { DEPOSIT_RELIEF } from '@zakat/core/penalties/late-ways';
import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { noticeLetterPath, noticesQuery, useAnswerNotice, useMoveNotice, useRecordNotice } from '../../api/notices.js';
import { DateField } from '../../kit/date-field.js';
import { Day, ShortDay } from '../../kit/day.js';
import { EntryForm } from '../../kit/entry-form.js';
import { Figure } from '../../kit/figure.js';
import { Status } from '../../kit/status.js';
import { TYPINGS, TypedField } from '../../kit/typed-field.js';
import { Waiting } from '../../kit/waiting.js';
import { useDraft } from '../fact-forms/use-draft.js';
import { Papers } from '../papers/papers.js';

type Notice = Schemas['NoticeView'];
type Notices = Schemas['NoticesView'];

const KINDS: Readonly<Record<Notice['kind'], string>> = {
  'balance-due': 'balance due',
  penalty: 'penalty or interest',
  'return-missing': 'return not received',
  rate: 'rate or deposit frequency',
  information: 'request for information',
  other: 'other',
};
const NOTHING = {
  number: '',
  kind: 'balance-due',
  datedOn: '',
  respondBy: '',
  period: '',
  amount: '',
  says: '',
  replyTo: '',
  filingId: '',
};

function RecordForm({
  clientId,
  from,
  onClose,
}: {
  readonly clientId: string;
  readonly from: Notices;
  readonly onClose: () => void;
}): ReactNode {
  const [draft, setDraft, clearDraft] = useDraft(`notice.${clientId}`, { ...NOTHING, agency: 'IRS' });
  const record = useRecordNotice(clientId);
  const set = (name: keyof typeof draft) => (value: string) => setDraft({ ...draft, [name]: value });
  const amount = draft.amount.trim() === '' ? null : parseDollars(draft.amount);
  const isUnread = draft.amount.trim() !== '' && amount === null;
  const save = (): void => {
    if (isUnread) return;
    record.mutate(
      {
        ...draft,
        kind: draft.kind as Notice['kind'],
        respondBy: draft.respondBy === '' ? null : draft.respondBy,
        amount,
        filingId: draft.filingId === '' ? null : draft.filingId,
      },
      {
        onSuccess: () => {
          clearDraft();
          onClose();
        },
      },
    );
  };
  return (
    <EntryForm
      label="A notice of an agency"
      act="Record the notice"
      isBusy={record.isPending}
      error={record.error}
      onSave={save}
      onClose={onClose}
    >
      <NativeSelect
        label="Agency"
        value={draft.agency}
        onChange={(event) => set('agency')(event.currentTarget.value)}
        data={from.agencies.map(({ code, name }) => ({ value: code, label: name }))}
      />
      <TextInput
        label="Notice number"
        maxLength={40}
        autoFocus
        value={draft.number}
        onChange={(event) => set('number')(event.currentTarget.value)}
      />
      <NativeSelect
        label="About"
        value={draft.kind}
        onChange={(event) => set('kind')(event.currentTarget.value)}
        data={Object.entries(KINDS).map(([value, label]) => ({ value, label }))}
      />
      <DateField label="Date of the notice" value={draft.datedOn} onChange={set('datedOn')} />
      <DateField label="Answer by" value={draft.respondBy} onChange={set('respondBy')} />
      <TypedField
        label="Quarter or year"
        placeholder="Q3 2026"
        maxLength={9}
        typing={{ read: periodTyped, show: periodShown }}
        value={draft.period}
        onChange={set('period')}
      />
      <TypedField
        label="Amount asked"
        typing={TYPINGS.amount}
        value={draft.amount}
        onChange={set('amount')}
        error={isUnread ? 'Type dollars and cents, like 1,250.00.' : undefined}
      />
      <NativeSelect
        label="Return"
        value={draft.filingId}
        onChange={(event) => set('filingId')(event.currentTarget.value)}
        data={[
          { value: '', label: 'none' },
          ...from.returns
            .filter(({ agency }) => agency === draft.agency)
            .map(({ id, title }) => ({ value: id, label: title })),
        ]}
      />
      <TextInput
        label="What it says"
        maxLength={1000}
        value={draft.says}
        onChange={(event) => set('says')(event.currentTarget.value)}
      />
      <Textarea
        label="Reply address, as on the notice"
        placeholder={'Street or box\nCity, state ZIP'}
        maxLength={300}
        rows={3}
        value={draft.replyTo}
        onChange={(event) => set('replyTo')(event.currentTarget.value)}
      />
    </EntryForm>
  );
}

/** `Q3 2026`, `3q26`, `2026` as they are kept; what is neither stays as it is typed, and is refused. */
export function periodTyped(text: string): string {
  const [, quarter, short] = /^\s*Q?([1-4])\s*(?:Q|\/|\s)\s*(?:20)?(\d{2})\s*$/i.exec(text) ?? [];
  return quarter === undefined ? text.trim().toUpperCase() : `20${short}-Q${quarter}`;
}
const periodShown = (period: string): string => period.replace(/^(\d{4})-(Q\d)$/, '$2 $1');

/** One sentence that a step asks for. */
function Sentence({
  label,
  act,
  rows = 1,
  mutation,
  onSave,
  onClose,
}: {
  readonly label: string;
  readonly act: string;
  readonly rows?: number;
  readonly mutation: { readonly isPending: boolean; readonly error: Error | null };
  readonly onSave: (text: string) => void;
  readonly onClose: () => void;
}): ReactNode {
  const [text, setText] = useState('');
  return (
    <EntryForm
      label={act}
      act={act}
      isBusy={mutation.isPending}
      error={mutation.error}
      onSave={() => onSave(text)}
      onClose={onClose}
    >
      <Textarea
        label={label}
        autoFocus
        rows={rows}
        w={520}
        value={text}
        onChange={(event) => setText(event.currentTarget.value)}
      />
    </EntryForm>
  );
}

function Ledger({ notice }: { readonly notice: Notice }): ReactNode {
  if (notice.ledger.length === 0) return <p className="note">Without a quarter or year nothing can be compared.</p>;
  return (
    <table className="ruled" style={{ maxWidth: 760 }}>
      <tbody>
        {notice.ledger.map((line, index) => (
          <tr key={index}>
            <td>{line.label}</td>
            <td className="soft">{line.detail}</td>
            <td className="num">
              <Figure amount={line.amount} />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** What may take a federal penalty away again. */
function Relief(): ReactNode {
  return (
    <dl className="note">
      {DEPOSIT_RELIEF.map(({ label, needs, source }) => (
        <div key={label}>
          <dt>
            <b>{label}</b>
          </dt>
          <dd>
            {needs} <span className="sub">{source}</span>
          </dd>
        </div>
      ))}
    </dl>
  );
}

function Detail({ notice }: { readonly notice: Notice }): ReactNode {
  const [asked, setAsked] = useState<'answer' | 'close' | 'reopen' | null>(null);
  const answer = useAnswerNotice(notice.id);
  const move = useMoveNotice(notice.id);
  const close = (): void => setAsked(null);
  const { version } = notice;
  return (
    <>
      {notice.says !== '' && <p className="note">It says: {notice.says}</p>}
      {notice.filingId && (
        <p className="note">
          About <Link to={`/filings/${notice.filingId}`}>{notice.filingTitle}</Link>.
        </p>
      )}
      <Papers subject="notice" id={notice.id} />
      <Ledger notice={notice} />
      {notice.kind === 'penalty' && notice.agency === 'IRS' && <Relief />}
      {notice.answer !== '' && notice.answeredOn && (
        <p className="answer">
          Answered <Day day={notice.answeredOn} />: {notice.answer}{' '}
          <a href={noticeLetterPath(notice.id)} target="_blank" rel="noreferrer">
            letter to the agency (PDF)
          </a>
        </p>
      )}
      {notice.ended !== '' && <p className="note">Closed: {notice.ended}</p>}
      {asked === null && (
        <div className="actions">
          {notice.status === 'open' && (
            <button type="button" className="plain" onClick={() => setAsked('answer')}>
              answer it
            </button>
          )}
          {notice.status !== 'closed' && (
            <button type="button" className="plain" onClick={() => setAsked('close')}>
              close it
            </button>
          )}
          {notice.status !== 'open' && (
            <button type="button" className="plain" onClick={() => setAsked('reopen')}>
              open it again
            </button>
          )}
        </div>
      )}
      {asked === 'answer' && (
        <Sentence
          label="Answer, as the letter says it"
          act="Keep the answer"
          rows={3}
          mutation={answer}
          onClose={close}
          onSave={(text) => answer.mutate({ version, answer: text }, { onSuccess: close })}
        />
      )}
      {(asked === 'close' || asked === 'reopen') && (
        <Sentence
          label={asked === 'close' ? 'How it ended' : 'Why it is open again'}
          act={asked === 'close' ? 'Close the notice' : 'Open the notice'}
          mutation={move}
          onClose={close}
          onSave={(why) => move.mutate({ act: asked, version, why }, { onSuccess: close })}
        />
      )}
    </>
  );
}

function Rows({ notice }: { readonly notice: Notice }): ReactNode {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <tr>
        <td>
          {notice.number}
          <div className="sub">{KINDS[notice.kind]}</div>
        </td>
        <td>{notice.agencyName}</td>
        <td>
          <ShortDay day={notice.datedOn} />
        </td>
        <td>{notice.respondBy && <Day day={notice.respondBy} />}</td>
        <td>
          <Status word={notice.status} />
        </td>
        <td className="num">{notice.amount !== null && <Figure amount={notice.amount} />}</td>
        <td>
          <button
            type="button"
            className="plain"
            aria-expanded={isOpen}
            aria-label={`${isOpen ? 'close' : 'look at'} notice ${notice.number}`}
            onClick={() => setOpen(!isOpen)}
          >
            {isOpen ? 'close' : 'look'}
          </button>
        </td>
      </tr>
      {isOpen && (
        <tr>
          <td colSpan={7}>
            <Detail notice={notice} />
          </td>
        </tr>
      )}
    </>
  );
}

/** Letters of the agencies to a client: what they ask, by when, what the ledger says of it, and how each was answered. */
export function NoticesSection({ clientId }: { readonly clientId: string }): ReactNode {
  const notices = useQuery(noticesQuery(clientId));
  const [isRecording, setRecording] = useState(false);
  return (
    <section className="section" id="notices">
      <h2>
        Agency notices{' '}
        <small>
          <button
            type="button"
            className="plain"
            aria-expanded={isRecording}
            onClick={() => setRecording(!isRecording)}
          >
            record a notice
          </button>
        </small>
      </h2>
      <Waiting query={notices}>
        {(data) => (
          <>
            {isRecording && <RecordForm clientId={clientId} from={data} onClose={() => setRecording(false)} />}
            {data.notices.length === 0 ? (
              <p className="empty">None. A letter of an agency stands here until it is answered and closed.</p>
            ) : (
              <table className="ruled">
                <thead>
                  <tr>
                    <th scope="col">Notice</th>
                    <th scope="col">Agency</th>
                    <th scope="col">Date</th>
                    <th scope="col">Answer by</th>
                    <th scope="col">Status</th>
                    <th scope="col" className="num">
                      Asked
                    </th>
                    <th scope="col">
                      <span style={{ position: 'absolute', clipPath: 'inset(50%)' }}>Look</span>
                    </th>
                  </tr>
                </thead>
                <tbody>
                  {data.notices.map((notice) => (
                    <Rows key={notice.id} notice={notice} />
                  ))}
                </tbody>
              </table>
            )}
          </>
        )}
      </Waiting>
    </section>
  );
}
