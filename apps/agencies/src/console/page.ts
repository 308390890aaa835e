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
] as const;

function rows(party: string, submissions: readonly Submission[]): string {
  if (submissions.length === 0) return '<tr><td colspan="6">Nothing yet.</td></tr>';
  return [...submissions]
    .reverse()
    .slice(0, 40)
    .map((row) => {
      const notes = Object.entries(row.notes)
        .filter(([name]) => !['verdict', 'code', 'field', 'message'].includes(name))
        .map(([name, value]) => `${name} ${value}`)
        .join(', ');
      const link = `<a href="/console/file/${party}/${encodeURIComponent(row.reference)}">${escape(row.reference)}</a>`;
      return `<tr><td>${link}</td><td>${escape(row.receivedOn)}</td><td>${escape(row.fileName)}</td><td>${escape(row.state)}</td><td>${escape([row.code, row.message].filter(Boolean).join(' '))}</td><td>${escape(notes)}</td></tr>`;
    })
    .join('');
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
    return `<section><h2>${title}</h2><form method="post" action="/console/mood"><input type="hidden" name="party" value="${party}"><label>It now <select name="mood">${options}</select></label> <button>Set</button></form>
      <table><thead><tr><th>Reference</th><th>Received</th><th>File</th><th>State</th><th>Said</th><th>Noted</th></tr></thead><tbody>${rows(party, records[party])}</tbody></table></section>`;
  }).join('');
  return `<!doctype html><html lang="en"><meta charset="utf-8"><title>Outside world</title><style>body{font:15px/1.5 Georgia,serif;margin:2rem auto;max-width:72rem;padding:0 1rem;color:#222;background:#fbfaf6}h1{font-weight:400}
    h2{font-weight:400;border-top:1px solid #999;padding-top:1rem}table{border-collapse:collapse;width:100%;font-size:13px;margin-top:.6rem}td,th{text-align:left;padding:.25rem .5rem;border-bottom:1px solid #ddd;vertical-align:top}button,select,input{font:inherit}</style>
    <h1>The outside world</h1><p>Agencies and bank, with records of their own. Today is <b id="today">${records.today}</b>.</p>
    <form method="post" action="/console/date"><label>Move the date forward to <input type="date" name="today" min="${records.today}" value="${records.today}" required></label> <button>Move</button></form>${sections}</html>`;
}
