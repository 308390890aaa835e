/** docs/returns.md: every return that is prepared, with its lines and where they come from, made from the data. */
const FAMILIES = {
  275: 'records of 275 positions (A, B, E, S, T, F)',
  512: 'records of 512 positions (RA, RE, RS, RF)',
  delimited: 'a line for each line and person, with commas between',
  lines: 'a line for each line of the return, with commas between',
};
const part = { all: 'wages', taxable: 'taxable wages', excess: 'wages over the base' };

/** What a line is, in the words of its data. */
function amountWords(amount) {
  switch (amount.is) {
    case 'workers':
      return `people whose pay period includes the 12th of month ${amount.month}`;
    case 'people':
      return `people with wages of ${amount.tax}`;
    case 'wages':
      return `${part[amount.part]} of ${amount.tax}`;
    case 'tax':
      return `ledger: ${amount.taxes.join(', ')}`;
    case 'by-rate':
      return `line ${amount.from} × rate of ${amount.tax}`;
    case 'sum':
      return amount.of.map((id) => `line ${id}`).join(' + ');
    case 'less':
      return `line ${amount.from} less ${amount.of.map((id) => `line ${id}`).join(', ')}${amount.part ? `, where that is ${amount.part}` : ''}`;
    case 'paid':
      return `deposited: ${amount.taxes.join(', ')}`;
    default:
      return 'entered';
  }
}

/** Who files it, where the period follows the deposit frequency. */
function whoWords({ frequency, follows }) {
  if (frequency) return `; by who deposits ${frequency}`;
  return follows ? `; not by who deposits ${Object.keys(follows).join(' or ')}` : '';
}

function returnPage(spec, { ruleWords, sourceOf }) {
  const source = sourceOf(spec.edition.source);
  return [
    `### \`${spec.code}\`, ${spec.form}`,
    '',
    `${spec.title}. To \`${spec.agency}\`, each ${spec.period}, due ${ruleWords(spec.due)}${whoWords(spec)}. File: ${FAMILIES[spec.file]}${spec.detail ? `; of each person ${spec.detail.join(', ')}` : ''}.`,
    '',
    '| Line | What it is | From |',
    '|---|---|---|',
    ...spec.lines.map((line) => `| ${line.id} | ${line.label} | ${amountWords(line.amount)} |`),
    '',
    `Source: ${source.title}, ${source.publisher}, ${source.edition}; ${spec.edition.standing}. ${spec.edition.doubt ?? ''}`.trim(),
    '',
  ];
}

export function returnsPage(kinds, states, tools) {
  const federal = kinds.filter(({ jurisdiction, corrects }) => jurisdiction === 'US' && corrects === undefined);
  const corrections = kinds.filter(({ jurisdiction, corrects }) => jurisdiction === 'US' && corrects !== undefined);
  return [
    '# Returns',
    '',
    'Made from the data by `npm run docs`. Every layout, line and due date is recalled and says so on its slip; none was compared with an agency’s own specification.',
    '',
    '## Federal',
    '',
    ...federal.map(({ code, name, edition }) => `- \`${code}\`, ${name}: ${tools.sourceOf(edition.source).title}.`),
    '',
    'Corrected by ' +
      corrections.map(({ code, name }) => `${name} (\`${code}\`)`).join(', ') +
      '; every other return is filed again, marked as amended (`<code>-amended`).',
    '',
    '## A state’s return is data',
    '',
    'A return of a state is an entry in `packages/core/src/jurisdictions/us-xx/returns.ts`, and nothing else: its code, form, agency, period, due rule, the taxes it reports by the second half of their codes, its lines and the family of its file. `unemploymentReport`, `withholdingReturn`, `programReport` and `placesReturn` (`return-words.ts`) write the usual ones; own lines are written with `line` and the words beside it. A line names lines above it only. Everything else follows from the entry: the forms of a client that pays there, the ladder, checks, drafts, slip, PDF, file, tie-out, the amended return, and this page.',
    '',
    '    unemploymentReport(',
    "      { code: 'xx-ui-1', form: 'Form UI-1', title: 'Quarterly report of wages', agency: 'XX-DOL', publisher: 'Department of Labor' },",
    "      { programs: [{ tax: 'ADM', label: 'Administrative assessment', how: 'rate' }], file: '512' },",
    '    )',
    '',
    'A withholding return whose period follows the deposit frequency has `follows`: a return of its own for each frequency named there, due as that frequency deposits. The frequency is the one recorded with the account at the end of the period; without one the usual return is filed.',
    '',
    'The wages of each person must add up to the return, and wages times the rate is what the return says; what that differs from the payrolls by is told, and joins the ledger when the return is accepted.',
    '',
    ...states.flatMap((state) => [`## ${state.name}`, '', ...state.returns.flatMap((spec) => returnPage(spec, tools))]),
  ]
    .join('\n')
    .trimEnd()
    .concat('\n');
}
