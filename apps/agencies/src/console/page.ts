import type { Records, Submission } from '../store.js';

const escape = (text: string): string =>
  text.replace(/[&<>"]/g, (sign) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[sign] ?? sign);
const PARTIES = [
  ['bank', 'The bank', { normal: 'Settles', down: 'Closed', slow: 'Slow', refuse: 'Returns payments (R01)' }],
  [
    'returns',
    'Tax returns',
    { normal: 'Judges by its rules', down: 'Closed', slow: 'Slow', refuse: 'Rejects whatever comes' },
  ],
  [
    'wages',
    'Wage files',
    { normal: 'Judges by its rules', down: 'Closed', slow: 'Slow', refuse: 'Rejects whatever comes' },
  ],
  [
    'states',
    'State agencies',
    { normal: 'Judges by its rules', down: 'Closed', slow: 'Slow', refuse: 'Rejects whatever comes' },
  ],
  [
    'debits',
    'Debits by agencies',
    { normal: 'Takes what is enrolled', down: 'Closed', slow: 'Slow', refuse: 'Returns payments (R01)' },
  ],
] as const;

/** `Thu, Oct 22, 2026` and `10/22/2026`. */
const formatted = (day: string, options: Intl.DateTimeFormatOptions): string =>
  /^\d{4}-\d{2}-\d{2}$/.test(day)
    ? new Intl.DateTimeFormat('en-US', { ...options, timeZone: 'UTC' }).format(new Date(`${day}T00:00:00Z`))
    : day;
const sayDay = (day: string): string =>
  formatted(day, { weekday: 'short', month: 'short', day: 'numeric', year: 'numeric' });
const shortDay = (day: string): string => formatted(day, { month: '2-digit', day: '2-digit', year: 'numeric' });

/** `entryReturns` as `entry returns`. */
const words = (name: string): string => name.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase();
const money = (name: string, value: string): string =>
  name === 'total' && /^\d+\.\d{2}$/.test(value) ? value.replace(/\B(?=(\d{3})+(?!\d)\.)/g, ',') : value;

const STYLE = `
  :root{--paper:#f7f3ea;--deep:#efe9db;--ink:#1d1b17;--soft:#5d574b;--rule:#cfc6b3;--act:#17525e}
  @media (prefers-color-scheme:dark){:root{--paper:#1b1c1a;--deep:#242521;--ink:#ece6d8;--soft:#b3ab9a;--rule:#4a483f;--act:#86c5cf}}
  body{font:15px/1.5 Georgia,serif;margin:0 auto;max-width:76rem;padding:1.4rem 1.6rem 4rem;color:var(--ink);background:var(--paper)}
  header{display:flex;justify-content:space-between;align-items:baseline;border-bottom:1px solid var(--ink)}
  h1{font-weight:400;font-size:1.7rem;margin:0}h2{font-weight:400;font-size:1.2rem;margin:2.2rem 0 .4rem;border-bottom:1px solid var(--ink)}
  .lead{max-width:60rem;color:var(--soft)}table{border-collapse:collapse;width:100%;font-size:13px;margin-top:.6rem}
  th{font-weight:400;color:var(--soft)}td,th{text-align:left;padding:.3rem .5rem;border-bottom:1px solid var(--rule);vertical-align:top;overflow-wrap:anywhere}
  td.empty{font-style:italic;color:var(--soft)}a{color:var(--act)}
  button,select,input{font:inherit;color:inherit;background:var(--paper);border:1px solid var(--soft);padding:.15rem .5rem}
  button{background:var(--act);color:var(--paper);border-color:var(--act);cursor:pointer}:focus-visible{outline:2px solid var(--act);outline-offset:2px}`;

/** What an agency does when it finds a fault in what it had accepted. */
const returnForm = (party: string, { reference }: Submission): string =>
  `<form method="post" action="/console/return"><input type="hidden" name="party" value="${party}"><input type="hidden" name="reference" value="${escape(reference)}"><button>Return it</button></form>`;

function rows(party: string, submissions: readonly Submission[], today: string): string {
  if (submissions.length === 0)
    return '<tr><td colspan="6" class="empty">Nothing has been sent here yet. What Zakat releases arrives within seconds.</td></tr>';
  return [...submissions]
    .reverse()
    .slice(0, 40)
    .map((row) => {
      const notes = Object.entries(row.notes)
        .filter(
          ([name]) =>
            !['verdict', 'code', 'field', 'message', 'debits', 'credits', 'company', 'entryReturns'].includes(name),
        )
        .filter(([, value]) => value !== '' && value !== '[]')
        .map(([name, value]) => `${words(name)} ${money(name, shortDay(value))}`)
        .join(', ');
      const link = `<a href="/console/file/${party}/${encodeURIComponent(row.reference)}">${escape(row.reference)}</a>`;
      return `<tr><td>${link}</td><td>${escape(shortDay(row.receivedOn))}</td><td>${escape(row.fileName)}</td><td>${escape(row.state)}</td><td>${escape([row.code, row.message].filter(Boolean).join(' '))}${row.state === 'accepted' && (row.refusableUntil ?? '') >= today ? returnForm(party, row) : ''}</td><td>${escape(notes)}</td></tr>`;
    })
    .join('');
}

/** Money that reaches a company's account by another way than a file, or a charge of the bank's. */
function transferForm(records: Records): string {
  const last = records.transfers.at(-1);
  const told = last
    ? ` <span class="lead">Last: ${last.amount < 0 ? 'taken from' : 'paid to'} ${escape(last.company)}, ${money('total', (Math.abs(last.amount) / 100).toFixed(2))}, ${escape(last.reference)}.</span>`
    : '';
  return `<form method="post" action="/console/transfer"><label>A transfer to the account of company <input name="company" size="12" pattern="\\d{10}" placeholder="1 and the EIN" required></label> <label>of <input name="amount" size="10" placeholder="100.00" required></label> <label>reference <input name="reference" size="12" required></label> <button>Pay it in</button>${told}</form>`;
}

/** What an agency mails to a taxpayer who asks to be debited. */
function enrollForm(records: Records): string {
  const last = records.enrollments.at(-1);
  const told = last
    ? ` <span class="lead">Last letter: ${escape(last.taxpayer)}, account ending ${escape(last.accountTail)}, PIN ${escape(last.pin)}.</span>`
    : '';
  return `<form method="post" action="/console/enroll"><label>Enroll taxpayer <input name="taxpayer" size="15" placeholder="EIN or account" required></label> <label>for the account ending <input name="accountTail" size="4" pattern="\\d{4}" required></label> <button>Mail the PIN</button>${told}</form>`;
}

/** The page from which the outside world is moved: its date, its tempers, its records. */
export function consolePage(records: Records): string {
  const sections = PARTIES.map(([party, title, moods]) => {
    const options = Object.entries(moods)
      .map(
        ([mood, label]) =>
          `<option value="${mood}"${records.moods[party] === mood ? ' selected' : ''}>${label}</option>`,
      )
      .join('');
    return `<section><h2>${title}</h2><form method="post" action="/console/mood"><input type="hidden" name="party" value="${party}"><label>Behaves: <select name="mood">${options}</select></label> <button>Set</button></form>${party === 'bank' ? transferForm(records) : party === 'debits' ? enrollForm(records) : ''}
      <table><thead><tr><th>Reference</th><th>Received</th><th>File</th><th>Status</th><th>Answer</th><th>On record</th></tr></thead><tbody>${rows(party, records[party], records.today)}</tbody></table></section>`;
  }).join('');
  return `<!doctype html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>Agencies and bank</title><style>${STYLE}</style>
    <header><h1>Agencies and bank</h1><p>Today, for everybody: <b id="today" data-day="${records.today}">${sayDay(records.today)}</b></p></header>
    <p class="lead">The bank, the IRS, the SSA and the states as Zakat meets them: each reads what it is sent by its own rules, keeps its own records, and answers over the wire. Here the day moves forward, and each can be told to be slow, closed, or to refuse.</p>
    <form method="post" action="/console/date" class="date"><label>Move the day forward to <input type="date" name="today" min="${records.today}" value="${records.today}" required></label> <button>Move</button></form>${sections}</html>`;
}
