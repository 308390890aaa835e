import { Checkbox, Modal, useMantineColorScheme } from '@mantine/core';
import { useHotkeys, type HotkeyItem } from '@mantine/hooks';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef, useState, type ReactNode } from 'react';
import { NavLink, Navigate, Outlet, useLocation, useNavigate } from 'react-router';
import { Refused, type Schemas } from '../api/client.js';
import { sessionQuery, useSignOut } from '../api/resources.js';
import { useKeptFocus } from '../kit/keep-focus.js';
import { usePageTitle } from '../kit/page-title.js';
import { RefusedNote } from '../kit/problems.js';
import { useSingleKeys } from '../kit/single-keys.js';
import { WorkingPane } from '../kit/working-pane.js';
import { WorkingProvider, useWorking } from '../kit/working.js';
import { OwnClient } from './contact/own-client.js';
import { OwnCalendar } from './firm/own-calendar.js';
import { OwnSignIn } from './firm/own-sign-in.js';
import { forgetDrafts } from './fact-forms/use-draft.js';
import { OwnPayPage } from './own-pay/own-pay.js';
import { Palette } from './palette.js';
import { useArrival } from '../kit/arrival.js';
import { Day } from '../kit/day.js';

const KEYS: readonly (readonly [key: string, what: string])[] = [
  ['l', 'ladder'],
  ['p', 'payrolls of every client'],
  ['d', 'deposits of every client'],
  ['a', 'trust account'],
  ['q', 'returns of a quarter of every client'],
  ['c', 'clients'],
  ['r', 'rules'],
  ['t', 'audit trail'],
  ['f', 'firm'],
  ['shift N', 'add client'],
  ['w, or Ctrl . while typing', 'open or close the tape'],
  ['Ctrl K', 'go anywhere by name'],
  ['n', 'next difference, on a tie-out sheet'],
  ['Ctrl Enter', 'next step of a payroll: review, then the slip'],
  ['Alt N', 'next warning of a payroll'],
  ['arrows, Enter', 'move and type in a payroll sheet'],
  ['Alt P', 'the employee of a row of a payroll sheet; back leads to the same cell'],
  ['Ctrl Z', 'undo in a payroll sheet'],
  ['?', 'this list'],
];

/** The frame of somebody who sees one page: of their client, or of their own pay; and the way out. */
function OnePageFrame({
  session,
  onLeave,
  children,
}: {
  readonly session: Schemas['SessionView'];
  readonly onLeave: () => void;
  readonly children: ReactNode;
}): ReactNode {
  return (
    <div className="frame">
      <header className="masthead">
        <span className="mark">{session.firmName}</span>
        <span className="day" style={{ marginLeft: 'auto' }}>
          <Day day={session.today} />
        </span>
        <span className="who">{session.user.name}</span>
        <button type="button" className="plain" onClick={onLeave}>
          sign out
        </button>
      </header>
      <main className="page">
        {children}
        <OwnSignIn />
      </main>
    </div>
  );
}

function FramedPage(): ReactNode {
  const { data: session, error } = useQuery(sessionQuery);
  const { isOpen, toggle } = useWorking();
  const location = useLocation();
  const navigate = useNavigate();
  const queries = useQueryClient();
  const signOut = useSignOut();
  const { toggleColorScheme } = useMantineColorScheme();
  const [shown, setShown] = useState<'keys' | 'palette' | null>(null);
  const page = useRef<HTMLElement>(null);
  const [hasSingleKeys, setSingleKeys] = useSingleKeys();
  const isSignedIn = session !== undefined;
  useKeptFocus(page, isSignedIn);
  useArrival(page, isSignedIn);
  usePageTitle(page, isSignedIn);
  const singleKeys: HotkeyItem[] = [
    ['l', () => void navigate('/')],
    ['p', () => void navigate('/payrolls')],
    ['d', () => void navigate('/deposits')],
    ['a', () => void navigate('/trust')],
    ['q', () => void navigate('/returns')],
    ['c', () => void navigate('/clients')],
    ['r', () => void navigate('/rules')],
    ['t', () => void navigate('/trail')],
    ['f', () => void navigate('/firm')],
    ['shift+N', () => void navigate('/clients/new')],
    ['w', toggle],
    ['shift+?', () => setShown('keys')],
    ['?', () => setShown('keys')],
  ];
  useHotkeys(hasSingleKeys ? singleKeys : []);
  // These work while typing as well.
  useHotkeys(
    [
      ['mod+K', () => setShown('palette')],
      ['mod+.', toggle],
    ],
    [],
  );
  if (error instanceof Refused && error.problem.status === 401)
    return <Navigate to={`/sign-in?next=${encodeURIComponent(location.pathname + location.search)}`} replace />;
  if (error)
    return (
      <div className="page">
        <RefusedNote error={error} />
      </div>
    );
  if (!session) return null;
  const leave = (): void =>
    signOut.mutate(undefined, {
      onSettled: () => {
        queries.clear();
        forgetDrafts();
        void navigate('/sign-in');
      },
    });
  if (session.user.role === 'client-contact')
    return (
      <OnePageFrame session={session} onLeave={leave}>
        <OwnClient />
        <OwnCalendar isOfClient />
      </OnePageFrame>
    );
  if (session.user.role === 'employee')
    return (
      <OnePageFrame session={session} onLeave={leave}>
        <OwnPayPage />
      </OnePageFrame>
    );
  return (
    <div className="frame">
      <a href="#page" className="skip" onClick={() => page.current?.focus()}>
        Skip to the page
      </a>
      <header className="masthead">
        <NavLink to="/" className="mark" aria-label="Zakat, to the ladder">
          Zakat
        </NavLink>
        <nav aria-label="Main">
          <NavLink to="/" end>
            Ladder
          </NavLink>
          <NavLink to="/payrolls">Payrolls</NavLink>
          <NavLink to="/deposits">Deposits</NavLink>
          <NavLink to="/trust">Trust</NavLink>
          <NavLink to="/returns">Returns</NavLink>
          <NavLink to="/clients">Clients</NavLink>
          <NavLink to="/rules">Rules</NavLink>
          <NavLink to="/trail">Audit trail</NavLink>
          <NavLink to="/firm">Firm</NavLink>
        </nav>
        <span className="day">
          <Day day={session.today} />
        </span>
        <span className="who">
          {session.user.name}, {session.user.role}
        </span>
        <button type="button" className="plain" onClick={() => setShown('palette')}>
          find
        </button>
        <button type="button" className="plain" onClick={toggle}>
          {isOpen ? 'close tape' : 'tape'}
        </button>
        <button type="button" className="plain" onClick={toggleColorScheme}>
          light or dark
        </button>
        <button type="button" className="plain" onClick={leave}>
          sign out
        </button>
      </header>
      <div className="body" data-working={isOpen ? 'open' : 'closed'}>
        <main className="page" id="page" tabIndex={-1} ref={page}>
          <Outlet />
        </main>
        <WorkingPane />
      </div>
      <Modal opened={shown === 'keys'} onClose={() => setShown(null)} title="Keys">
        <div className="keys">
          {KEYS.map(([key, what]) => (
            <span key={key} style={{ display: 'contents' }}>
              <span>
                <kbd>{key}</kbd>
              </span>
              <span>{what}</span>
            </span>
          ))}
        </div>
        <Checkbox
          className="check-field"
          label="Single keys lead to places when nothing is being typed"
          checked={hasSingleKeys}
          onChange={(event) => setSingleKeys(event.currentTarget.checked)}
        />
      </Modal>
      <Palette isOpen={shown === 'palette'} onClose={() => setShown(null)} />
    </div>
  );
}

/** What stands around every page: masthead, page, and the tape at the right edge. */
export function Frame(): ReactNode {
  return (
    <WorkingProvider>
      <FramedPage />
    </WorkingProvider>
  );
}
