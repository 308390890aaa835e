import { Button, FileButton, NativeSelect, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { addDays, parseDate } from '@zakat/core/calendar/local-date';
import { useState, type ReactNode } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import type { Schemas } from '../../api/client.js';
import {
  jurisdictionsQuery,
  ruleRowsQuery,
  rulePacksQuery,
  sessionQuery,
  useProposeRulePack,
} from '../../api/resources.js';
import { RefusedNote } from '../../kit/problems.js';
import { Status } from '../../kit/status.js';
import { Waiting } from '../../kit/waiting.js';
import { LocalityEntry } from './locality-entry.js';
import { packWord } from './pack-word.js';
import { ShortDay } from '../../kit/day.js';
import { ListHead } from '../../kit/list-head.js';

/** Reads a chosen file as a pack; a file that is no JSON is told before anything is sent. */
async function packIn(file: File): Promise<Record<string, unknown> | null> {
  try {
    const value: unknown = JSON.parse(await file.text());
    return typeof value === 'object' && value !== null && !Array.isArray(value)
      ? (value as Record<string, unknown>)
      : null;
  } catch {
    return null;
  }
}

function Packs(): ReactNode {
  const packs = useQuery(rulePacksQuery);
  const { data: session } = useQuery(sessionQuery);
  const propose = useProposeRulePack();
  const navigate = useNavigate();
  const [unread, setUnread] = useState<string | null>(null);
  const [isAdding, setAdding] = useState(false);
  const [search] = useSearchParams();
  const nextYear = Number(session?.today.slice(0, 4) ?? '2026') + 1;
  const choose = (file: File | null): void => {
    if (!file) return;
    setUnread(null);
    void packIn(file).then((content) => {
      if (content === null) setUnread(`${file.name} is not a rule pack: it does not hold a JSON object.`);
      else propose.mutate({ content }, { onSuccess: ({ id }) => void navigate(`/rules/packs/${id}`) });
    });
  };
  return (
    <section aria-labelledby="packs" style={{ marginTop: 22 }}>
      <div className="lead">
        <h2 id="packs">Our own rules</h2>
        <span className="actions" style={{ margin: 0 }}>
          <a href={`/api/rules/carry/${nextYear}`} download={`rules-${nextYear}-carried-forward.json`}>
            {nextYear}, carried forward
          </a>
          <a href="/api/rules/export" download="rules.json">
            everything loaded
          </a>
          {!isAdding && (
            <button type="button" className="plain" onClick={() => setAdding(true)}>
              add a locality
            </button>
          )}
          <FileButton onChange={choose} accept="application/json,.json">
            {(props) => (
              <Button {...props} loading={propose.isPending}>
                Import a rule pack
              </Button>
            )}
          </FileButton>
        </span>
      </div>
      {unread !== null && (
        <div className="problem" role="alert">
          {unread}
        </div>
      )}
      <RefusedNote error={propose.error} />
      {isAdding && session && (
        <LocalityEntry state={search.get('at') ?? ''} today={session.today} onClose={() => setAdding(false)} />
      )}
      <Waiting query={packs}>
        {(rows) =>
          rows.length === 0 ? (
            <p className="empty">No rule pack yet: every figure follows the rules below.</p>
          ) : (
            <table className="ruled">
              <ListHead
                columns={['Pack', 'State', { number: 'Rules' }, { number: 'Localities' }, 'Proposed by', 'Accepted by']}
              />
              <tbody>
                {rows.map((row) => (
                  <tr key={row.id} className="go" onClick={() => void navigate(`/rules/packs/${row.id}`)}>
                    <td>
                      <Link to={`/rules/packs/${row.id}`}>{row.name}</Link>
                    </td>
                    <td>
                      <Status word={packWord(row.status)} />
                    </td>
                    <td className="num">{row.rules}</td>
                    <td className="num">{row.places}</td>
                    <td>{row.preparedBy}</td>
                    <td>{row.acceptedBy ?? ''}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          )
        }
      </Waiting>
    </section>
  );
}

/** Rules end where the next begins; people count the last day as theirs. */
function dayBefore(until: string): string {
  const day = parseDate(until);
  return day ? addDays(day, -1) : until;
}

function Rows({ rows }: { readonly rows: readonly Schemas['RuleRow'][] }): ReactNode {
  return (
    <table className="ruled">
      <ListHead columns={['Rule', 'From', 'Last day', 'Value', 'Publication']} />
      <tbody>
        {rows.map((row) => (
          <tr key={`${row.parameter} ${row.from}`}>
            <td>
              {row.label}
              <br />
              <span className="soft">{row.parameter}</span>
            </td>
            <td className="nowrap">
              <ShortDay day={row.from} />
            </td>
            <td className="nowrap">{row.until === null ? '' : <ShortDay day={dayBefore(row.until)} />}</td>
            <td className="wrap" style={{ maxWidth: 300 }}>
              {row.value.length > 130 ? `${row.value.slice(0, 130)}…` : row.value}
            </td>
            <td style={{ maxWidth: 360 }}>
              {row.publication}; {row.place}
              <br />
              <span className="soft">
                {row.standing === 'verified' ? 'verified against the print' : 'recalled, not yet verified'}
                {row.doubt === null ? '' : `. ${row.doubt}`}
              </span>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** The rules of every jurisdiction, each value with its publication and its doubts, and the firm's own packs. */
export function RulesPage(): ReactNode {
  const [search, setSearch] = useSearchParams();
  const at = search.get('at') ?? 'US';
  const words = (search.get('find') ?? '').toLowerCase();
  const jurisdictions = useQuery(jurisdictionsQuery);
  const rows = useQuery(ruleRowsQuery(at));
  const set = (name: string, value: string): void => {
    const next = new URLSearchParams(search);
    if (value) next.set(name, value);
    else next.delete(name);
    setSearch(next, { replace: true });
  };
  return (
    <>
      <div className="lead">
        <h1>Rules</h1>
        <p className="beside">every figure, from when, and where it is printed</p>
      </div>
      <Packs />
      <section aria-labelledby="loaded" style={{ marginTop: 34 }}>
        <div className="lead">
          <h2 id="loaded">What is loaded</h2>
          <span className="actions" style={{ margin: 0 }}>
            <NativeSelect
              aria-label="Jurisdiction"
              value={at}
              onChange={(event) => set('at', event.currentTarget.value)}
              data={(jurisdictions.data ?? []).map((row) => ({
                value: row.code,
                label: `${row.name}: ${row.parameters} values, ${row.doubted} with a doubt`,
              }))}
            />
            <TextInput
              aria-label="Find a rule"
              placeholder="words of a rule"
              value={search.get('find') ?? ''}
              onChange={(event) => set('find', event.currentTarget.value)}
            />
          </span>
        </div>
        <Waiting query={rows}>
          {(loaded) => {
            const shown = loaded.filter((row) => `${row.label} ${row.parameter}`.toLowerCase().includes(words));
            return shown.length === 0 ? <p className="empty">No rule here matches.</p> : <Rows rows={shown} />;
          }}
        </Waiting>
      </section>
    </>
  );
}
