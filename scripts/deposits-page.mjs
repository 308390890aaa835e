/** docs/deposits.md: every deposit calendar as the rules have it, made from the data. */
const one = (label, text) => `- ${label}: ${text}.`;

function stepsOf({ lookback, classes }, show) {
  if (!lookback) return [];
  const periods = {
    'year-to-june': 'the four quarters that end on June 30 of the year before',
    'year-before': 'the calendar year before',
    'second-year-before': 'the calendar year before last',
  };
  const label = (code) => classes.find((found) => found.code === code)?.label.toLowerCase() ?? code;
  const [lowest, ...higher] = lookback.steps;
  const words = higher.map(
    (step) => `${label(step.class)} from ${lookback.isReached ? '' : 'more than '}${show(step.over)}`,
  );
  return [one('By what was owed', `in ${periods[lookback.period]}: ${[label(lowest.class), ...words].join(', ')}`)];
}

function lateLine({ late }, { lateWords, sourceOf }) {
  const row = late?.at(-1);
  if (!row) return [];
  const source = sourceOf(row.source);
  const doubt = row.doubt ? `. ${row.doubt.replace(/\.$/, '')}` : '';
  return [
    one(
      'When late',
      `${lateWords(row.value)} (${source.title}, ${row.place}; ${row.standing}${doubt}); interest apart`,
    ),
  ];
}

function calendarPage({ code, label, calendar }, tools) {
  const { ruleWords, sourceOf, showDollars } = tools;
  const row = calendar.rules.at(-1);
  const { classes, nextDay, withReturnUnder, holidays } = row.value;
  const source = sourceOf(row.source);
  return [
    `### \`${code.toLowerCase()}\`, ${label}`,
    '',
    ...classes.map((found) => one(`\`${found.code}\`, ${found.label}`, ruleWords(found.due))),
    ...stepsOf(row.value, showDollars),
    ...(nextDay
      ? [
          one(
            'Next day',
            `${showDollars(nextDay.mark)} in a deposit period; a ${nextDay.turns.from} depositor is then ${nextDay.turns.to} for the rest of the year and the next`,
          ),
        ]
      : []),
    ...(withReturnUnder
      ? [one('With the return', `less than ${showDollars(withReturnUnder)} for its period may wait`)]
      : []),
    ...lateLine(calendar, tools),
    one(
      'Closed',
      `Saturdays, Sundays and ${holidays.name.toLowerCase().startsWith('legal') ? 'l' + holidays.name.slice(1) : holidays.name}`,
    ),
    one(
      'Source',
      `${source.title}, ${source.publisher}, ${source.edition}, ${row.place}; ${row.standing}${row.doubt ? `. ${row.doubt.replace(/\.$/, '')}` : ''}`,
    ),
    '',
  ];
}

export function depositsPage(families, states, tools) {
  const known = families.filter((family) => family.calendar);
  const none = families.filter((family) => !family.calendar).map((family) => family.label);
  const pages = [
    ['Federal', known.filter((family) => family.agency === 'IRS')],
    ...states.map((state) => [
      state.name,
      known.filter((family) => state.deposits.some((calendar) => calendar.family === family.code)),
    ]),
  ];
  return `${[
    '# Deposit calendars',
    '',
    'Made from the rules by `npm run docs`. A date that is no business day of the agency moves to the next one that is. Where an agency knows several frequencies, the one it assigned is entered with the account; until then the deposit has no date but a question.',
    '',
    none.length > 0 ? `No calendar is loaded for ${none.join(', ')}: what is owed there has no date here.` : '',
    '',
    ...pages.flatMap(([name, own]) => [`## ${name}`, '', ...own.flatMap((family) => calendarPage(family, tools))]),
  ]
    .join('\n')
    .replace(/\n{3,}/g, '\n\n')
    .trimEnd()}\n`;
}
