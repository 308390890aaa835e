import { fail } from '../scripts/say.mjs';
import { addBigClients, mostMemory } from './big-clients.mjs';
import { withFirm } from './firm.mjs';

/** The wage files of a year for 100,000 invented people at 20 clients: boxes, totals, checks and file of each. */
const CLIENTS = 20;
const PEOPLE_EACH = 5000;
const CHECKS = 4;
const YEAR = 2026;

await withFirm(`${YEAR + 1}-01-11`, async ({ owner, ask, key, server }) => {
  const clients = await addBigClients(
    { owner, key },
    { clients: CLIENTS, people: PEOPLE_EACH, checks: CHECKS, year: YEAR },
  );
  const spans = { begun: 0, checked: 0, shown: 0, rehearsed: 0 };
  const timed = async (span, work) => {
    const from = performance.now();
    const answer = await work();
    spans[span] += performance.now() - from;
    return answer;
  };
  let people = 0;
  for (const id of clients) {
    const { id: filing } = await timed('begun', () =>
      ask('POST', `/clients/${id}/filings`, { kind: 'us-w2', period: String(YEAR) }),
    );
    const { version, w2s } = await timed('shown', () => ask('GET', `/filings/${filing}`));
    people += w2s.total;
    await timed('checked', () => ask('POST', `/filings/${filing}/check`, { version }));
    await timed('rehearsed', () => ask('GET', `/filings/${filing}/slip`));
  }
  const seconds = (span) => `${(spans[span] / 1000).toFixed(1)} s`;
  process.stdout.write(
    `\n${people.toLocaleString('en-US')} people at ${CLIENTS} clients: boxes and totals shown in ${seconds('shown')}, checked and kept in ${seconds('checked')}, ` +
      `the file rehearsed for the slip in ${seconds('rehearsed')}; most memory of a process ${Math.max(...mostMemory(server))} MB\n`,
  );
}).catch(fail);
