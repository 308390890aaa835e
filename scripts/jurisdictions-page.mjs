const FEDERAL = 'US';

const fieldLine = (field) => {
  const kind = {
    choice: 'one of',
    whole: 'whole number',
    amount: 'amount',
    percent: 'percentage',
    flag: 'true or false',
  }[field.kind];
  const choices = field.choices ? ` ${field.choices.map((choice) => `\`${choice}\``).join(', ')}` : '';
  const otherwise = field.otherwise ? `; left out: \`${field.otherwise}\`` : '';
  return `- \`${field.name}\`: ${kind}${choices}${otherwise}. ${field.help}`;
};

function example(lines, code) {
  const found = lines.map((line) => JSON.parse(line)).find((vector) => vector.expect[code] !== undefined);
  if (!found) return [];
  const earning = found.earnings.map((line) => `${line.item} ${line.amount ?? `${line.hours} h`}`).join(', ');
  const certificate = JSON.stringify(Object.values(found.employee.certificates)[0] ?? {});
  const amounts = Object.entries(found.expect).map(([tax, amount]) => `\`${tax}\` ${amount}`);
  return [`Example: ${found.checkDate}, ${found.payFrequency}, ${earning}, \`${certificate}\`: ${amounts.join(', ')}.`];
}

/** What hours of one day are paid at, beside the federal forty of the week. */
function overtimeLine({ day, seventhDay, belowMinimumTimes }) {
  const words = { overtime: 'time and a half', 'double-time': 'double time' };
  const steps = (list) =>
    list
      .map(({ hours, item }) => `${hours === 0 ? 'from the first hour' : `over ${hours} hours`} ${words[item]}`)
      .join(', ');
  const seventh = seventhDay ? `; on the seventh day in a row of a workweek ${steps(seventhDay)}` : '';
  const only = belowMinimumTimes
    ? `; only for pay under ${belowMinimumTimes.n / belowMinimumTimes.d} times the minimum wage`
    : '';
  return `Overtime by the workday (\`days\`): ${steps(day)}${seventh}${only}.`;
}

function statePage(state, taxes, lines) {
  const own = taxes.filter((tax) => tax.code.startsWith(`${state.code}-`));
  const local = new Set(
    (state.local?.places ?? []).flatMap((place) => place.taxes.map((tax) => `${state.code}-${place.code}-${tax.code}`)),
  );
  const page = [`## ${state.name} (${state.code})`, ''];
  if (state.incomeTax.kind === 'none') page.push('No income tax on wages; no certificate.');
  else {
    const { form, fields, without } = state.incomeTax.certificate;
    page.push(`${form}, under \`certificates.${state.code}\`:`, ...fields.map(fieldLine));
    if (fields.length > 2) page.push('', `Without a certificate: ${without.says}`);
  }
  page.push(
    '',
    `Taxes: ${own
      .filter((tax) => !local.has(tax.code))
      .map((tax) => `\`${tax.code}\` (${tax.payer})`)
      .join(', ')}.`,
  );
  if (state.overtime) page.push('', overtimeLine(state.overtime.at(-1).value));
  if (state.reciprocity) {
    const states = state.reciprocity.with === 'all' ? 'every other state' : state.reciprocity.with.join(', ');
    page.push('', `Reciprocity with ${states} (${state.reciprocity.form}).`);
  }
  if (state.convenienceRule)
    page.push('', 'Convenience rule: work at home for an office here may be taxed here (`convenienceOf`).');
  if (state.local) {
    const places = state.local.places.map(
      (place) =>
        `${place.name} (${place.taxes.map((tax) => `\`${state.code}-${place.code}-${tax.code}\``).join(', ')})`,
    );
    page.push('', `Localities: ${places.join('; ')}.`);
  }
  const code = state.incomeTax.kind === 'none' ? own.at(-1)?.code : `${state.code}-SIT`;
  const shown = example(lines, code);
  if (shown.length > 0) page.push('', ...shown);
  return page.join('\n');
}

/** docs/jurisdictions.md: each jurisdiction's certificate, taxes, localities and a worked example. */
export function jurisdictionsPage(states, taxes, vectorsOf) {
  const federal = taxes.filter((tax) => tax.code.startsWith(`${FEDERAL}-`));
  return `${[
    '# Jurisdictions',
    '',
    'Written by `npm run docs` from the rules; do not edit. Every state certificate also has `extraWithholding` (amount, each payment) and `exempt` (true or false). Tax years 2025 and 2026, federal also 2024. All values are recalled and not yet verified against the print; `npm run -s rules -- export STATE` shows each with its publication and doubts.',
    '',
    '## Federal (US)',
    '',
    `Taxes: ${federal.map((tax) => `\`${tax.code}\` (${tax.payer})`).join(', ')}. The certificate is described in [case-file.md](case-file.md).`,
    '',
    ...states.map((state) => `${statePage(state, taxes, vectorsOf(state.code))}\n`),
  ]
    .join('\n')
    .trim()}\n`;
}
