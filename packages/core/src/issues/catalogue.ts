/** Every code with its sentence and its fix. `{name}` is filled from the issue's parameters. */
const entry = (says: string, fix: string) => ({ says, fix });

export const ISSUE_TEXTS = {
  // What was given cannot be read.
  'input.missing': entry('{what} is missing.', 'Enter it.'),
  'input.unknown-field': entry('The field {name} is not known here.', 'Remove it or correct its name.'),
  'input.not-an-amount': entry('{value} is not an amount in dollars and cents.', 'Write it like 1,234.56.'),
  'input.not-a-decimal': entry('{value} is not a decimal number.', 'Write it like 38.5.'),
  'input.not-a-date': entry('{value} is not a calendar day.', 'Write month, day and year, like 10/22/2026.'),
  'input.not-an-iso-date': entry('{value} is not a calendar day.', 'Write it like 2026-10-22.'),
  'input.not-one-of': entry('{value} is not known here.', 'Use one of: {choices}.'),
  'input.negative': entry('{what} is below zero.', 'Give zero or more.'),
  'input.not-json': entry('The line is not a JSON object.', 'Write one JSON object a line.'),
  'input.not-whole': entry('{value} is not a whole number.', 'Give a whole number, zero or more.'),
  'input.too-large': entry(
    'The figures are too large to be computed exactly.',
    'Check the amounts for a slipped decimal point.',
  ),
  'fault.ours': entry(
    'This check cannot be computed because of a fault of ours ({what}).',
    'Nothing was changed. Send the line to us; the others of the payroll can go on.',
  ),
  'deposit.no-class': entry(
    'How often {what} is deposited is not known, so it has no due date.',
    'Enter the deposit frequency that the agency assigned: {choices}.',
  ),
  'deposit.no-calendar': entry(
    'No deposit calendar is loaded for {what}, so it has no due date.',
    'Ask the agency for the day, and record the payment when it is made.',
  ),
  'year.payment-for-nothing': entry(
    'Nothing is owed to {group} in this year, so the payment has nothing to pay.',
    'Name the group as the liabilities do, or leave the payment out.',
  ),
  'percent.over-whole': entry('{percent}% is more than the whole.', 'Give a percentage of 100 or less.'),
  // Legal, but it costs money when it is a slip: looked at twice.
  'doubt.rate-moved': entry(
    'The pay goes from {before} to {after}, {times} as much.',
    'Correct it, or save it as it is when it is right.',
  ),
  'doubt.rate-high': entry('{after} an hour is an unusual rate.', 'Correct it, or save it as it is when it is right.'),
  'doubt.salary': entry('This salary comes to {yearly} a year.', 'Check the amount and how often it is paid.'),
  'doubt.hours': entry('{hours} hours are more than a pay period usually has.', 'Check the usual hours.'),
  'doubt.order-without-amount': entry(
    'The order has no amount, so the most the law allows is taken from every check.',
    'Enter the amount of the order, or save it as it is when the order says so.',
  ),
  'doubt.two-rests': entry(
    'The account {label} already receives what is left of the net pay.',
    'Give one of the two accounts an amount or a percentage.',
  ),
  'doubt.shares': entry(
    'The accounts of this person receive {percent}% of the net pay together.',
    'Lower the percentages to 100 or less.',
  ),
  'doubt.step-3': entry(
    'Step 3 is an amount of dollars for the year; {amount} is less than the credit for one dependent.',
    'Enter the dollars of the form’s line 3, not the number of dependents.',
  ),
  'doubt.exempt-year': entry('{year} is an unusual year to be exempt for.', 'Write the year with four digits.'),
  'doubt.percent-small': entry(
    '{percent}% is less than one in a hundred.',
    'If 5 percent is meant, write 5, not 0.05.',
  ),
  'doubt.left-before-hire': entry('This is before the hire date, {day}.', 'Check both dates.'),
  'doubt.contradicts': entry(
    'Already posted: {checks}. What was posted stays as it is{filed}.',
    'Save it as it is, and put right what was paid with the next check or a correction.',
  ),
  'doubt.ein-shared': entry(
    '{client} has this EIN already.',
    'Correct it, or save it as it is when both are one employer.',
  ),
  'doubt.hours-of-check': entry('{hours} hours in {days} days.', 'Correct the hours, or go on when they are right.'),
  'doubt.rate-of-check': entry(
    '{item} is paid at {after}, where the usual rate is {before}.',
    'Correct the rate, or go on when it is right.',
  ),
  'hours.over-period': entry('{hours} hours are more than {days} days have.', 'Correct the hours.'),
  'entry.not-read': entry('{text} was not understood: {why}.', 'Correct the line, or clear it.'),
  // Earnings and deductions.
  'item.unknown': entry('The pay item {item} is not known.', 'Use one of: {choices}.'),
  'item.wrong-list': entry('{item} is a {kind}, not a {wanted}.', 'Move it to the {kind}s.'),
  'earning.hours-without-rate': entry(
    '{item} has hours but no rate.',
    'Give the hourly rate, or an amount instead of hours.',
  ),
  'earning.no-amount': entry('{item} has neither hours nor an amount.', 'Give hours and a rate, or an amount.'),
  'earning.both': entry('{item} has both hours and an amount.', 'Give one of them.'),
  'deduction.over-net': entry('The deductions leave a net pay below zero ({net}).', 'Lower or postpone a deduction.'),
  'deduction.limited': entry(
    '{item}: {amount} of {wanted} is taken, because of the {limit} limit.',
    'Nothing to do; the rest stays in net pay.',
  ),
  'deduction.must-be-roth': entry(
    '{item}: {amount} of {wanted} is taken. Last year’s wages were over {mark}, so what goes above {limit} this year may only be Roth.',
    'Enter the rest as a Roth deferral, if the person wants to go on.',
  ),
  'deduction.prior-wages-unknown': entry(
    '{item} goes above {limit} this year as a catch-up, which must be Roth for whom this employer paid more than {mark} last year.',
    'Give last year’s social security wages of the person.',
  ),
  'deduction.needs-amount': entry('{item} needs an amount or a percentage, not both.', 'Give one of them.'),
  'line.overridden': entry(
    '{line}: {amount} is taken instead of {computed}: {reason}.',
    'Nothing to do if that is so; restore the computed amount otherwise.',
  ),
  'line.owed': entry(
    '{line}: {amount} of {computed} is taken: {reason}. {owed} is owed.',
    'Nothing to do: the next checks take what is owed.',
  ),
  'line.order-overridden': entry(
    '{line}: {amount} is taken where the order comes to {computed}: {reason}.',
    'Keep what allows it with the order, or restore the computed amount.',
  ),
  'line.over-law': entry(
    '{line}: {amount} is more than the law allows of this check ({most}).',
    'Take no more than that.',
  ),
  'line.order-left-out': entry(
    '{line} is left out of this check: {reason}. An order asks for it from every check until its court or agency lifts it.',
    'Keep what lifted it with the order, or take it after all.',
  ),
  'line.election-left-out': entry(
    '{line} is left out of this check: {reason}. Its election holds for every check until it is changed.',
    'Change the line of every check, if the election has ended.',
  ),
  'leave.exceeded': entry('The {item} balance falls to {balance} hours.', 'Pay fewer hours of it, or let it be owed.'),
  'garnishment.limited': entry(
    '{order}: {amount} of {ordered} is taken, because the law protects the rest.',
    'Tell the creditor when asked; the order stays.',
  ),
  'withheld.differs': entry(
    '{tax}: {withheld} is entered as withheld where {computed} is computed.',
    'Nothing to do if that is so: it is kept. Otherwise correct the amount, or restore the computed one.',
  ),
  'withheld.not-employee': entry(
    '{tax} is not withheld from pay.',
    'Leave it out: what the employer owes is computed from the wages.',
  ),
  'tips.uncollected': entry(
    'Employee tax of {amount} on tips could not be collected from this check.',
    'Collect it from later wages of the year, or report it in box 12, codes A and B.',
  ),
  'worker.not-withheld-on': entry('{worker}: {what} does not apply ({source}).', 'Nothing to do.'),
  'earning.weeks': entry(
    '{item}: hours by the workweek or by the day belong to regular hours, and stand instead of hours or an amount.',
    'Give weeks or days on a line of regular hours, without hours and without an amount.',
  ),
  'earning.day-too-long': entry('A day has 24 hours at most.', 'Correct the hours of the day.'),
  'earning.week-of-days': entry('A workweek has seven days.', 'Give a list of at most seven days for each workweek.'),
  'earning.week-too-long': entry('A week has 168 hours at most.', 'Correct the hours of the week.'),
  'pay.below-minimum': entry(
    'Pay and tips for {hours} hours are {short} under the minimum wage of {wage}.',
    'Pay the difference, or correct the hours or the rate; a higher minimum of the state or city is not looked at everywhere.',
  ),
  'hours.overtime-suspected': entry(
    '{hours} regular hours in a {frequency} period are more than 40 a workweek.',
    'Hours over 40 in a workweek are overtime: enter them on an overtime line{pay}.',
  ),
  // Rules.
  'rule.none-in-force': entry(
    'There is no {what} in force on {date}.',
    'Use a check date from {from} on, or add the rule.',
  ),
  'rule.state-unknown': entry('{state} is not a state.', 'Use the two letters of a state, such as NY.'),
  'locality.not-given': entry(
    'No locality of {where} in {state} is given: a tax of the place would not be withheld.',
    'Enter the municipality or county of {where}, or `none` where there is no such tax.',
  ),
  'deduction.health-share': entry(
    'The premium for health coverage takes {taken}, and an employee in {state} bears at most {share} of pay, {most} here.',
    'Take no more than that, nor more than half of the premium; the employer bears the rest.',
  ),
  'program.condition': entry(
    '{tax} is at the lower rate of small employers, which also asks for {asks}.',
    'Compare with the notice of the agency, and enter the rate as the client’s own.',
  ),
  'exemption.ended': entry(
    'The exemption from {tax} ended: wages of the year have reached {wages}.',
    'End the exemption with the day of this check; what it left out is taken now.',
  ),
  'supplemental.no-regular': entry(
    'The rate on supplemental wages ({state}) goes by regular wages, and none were paid before.',
    'Pay it with regular wages, or check that these wages alone give the right rate.',
  ),
  'certificate.line-blank': entry(
    '{form} says nothing for {line}: none are taken for {tax}.',
    'Enter the line, or zero, on the certificate.',
  ),
  'tax.not-ours': entry(
    'No locality of the rules has the tax {tax}.',
    'Correct the code, or add the locality with its rate and source under Rules.',
  ),
  'rule.locality-unknown': entry(
    'The rules of the locality {locality} ({state}) are not loaded.',
    'Known there: {choices}. Add it with its rate and source under Rules, or with a CSV file of localities.',
  ),
  'rules.format': entry('This is not a rule pack: {what}.', 'Start from an exported one.'),
  'rules.unknown-parameter': entry(
    'There is no parameter {parameter}.',
    'Export the rules to see the names there are.',
  ),
  'rules.bad-value': entry('{parameter}: {path} cannot be read ({found}).', 'Write it as the exported row does.'),
  'rules.fee-of-rates': entry(
    '{tax} is a share of pay, not a fee.',
    'Give its rates, or the code of a fee: LST, CSF, OPT-EE, OPT-ER.',
  ),
  'rules.span': entry(
    '{parameter}: a rule from {from} until {until} holds on no day.',
    'Put the end after the beginning.',
  ),
  'rules.not-computable': entry(
    '{parameter}: a paycheck cannot be computed with it.',
    'Compare it with the exported row.',
  ),
  'rule.county-missing': entry(
    'The county of residence of a {state} resident is missing.',
    'Give it as the locality of residence; the tax of the state includes it.',
  ),
  'item.factor': entry('{factor} times the rate is not plausible.', 'Give a multiple above zero, up to 10.'),
  'item.factor-of-earning': entry(
    'Only an earning with a code of its own is paid at another multiple of the rate.',
    'Give it a code of its own that is treated as an earning, or leave the multiple out.',
  ),
  'jobs.sum': entry('The shares of the jobs add up to {sum}.', 'Make them add up to 100%, or take them all away.'),
  'jobs.twice': entry('{job} stands twice among the jobs.', 'Put its shares together in one line.'),
  'rule.shares': entry('The shares of the work places add up to {sum}.', 'Make them add up to 1.'),
  'rule.wage-bracket-ends': entry(
    'The wage-bracket tables do not reach this check (adjusted wages of {wages}): the percentage method was used.',
    'Nothing to do: Publication 15-T says so for wages, allowances or pay periods outside the tables.',
  ),
  'certificate.missing': entry('The {state} withholding certificate is missing.', 'Enter the {form}.'),
  'certificate.none': entry('No {form} ({state}) is on file. {says}', 'Ask the person for the {form}.'),
  'certificate.exemption-over': entry(
    'The exemption claimed for {year} ended on February 15.',
    'Ask for a new Form W-4; until then single with no other entries is withheld.',
  ),
  'certificate.locked-in': entry(
    'An exemption is not honored under a lock-in letter.',
    'Withhold by the letter until the IRS releases it.',
  ),
  'reciprocity.assumed': entry(
    'No tax of {work} is withheld: {form} of a resident of {residence} is taken to be on file.',
    'Mark the certificate as on file, or as missing.',
  ),
  'unemployment.state-unclear': entry(
    'The state of unemployment coverage is not clear for work in several states.',
    'Give employee.localization (where the work is localized, its base of operations, where it is directed from), or employee.unemploymentState.',
  ),
  'employer.own-rate-missing': entry("The client's own rate for {tax} is missing.", 'Enter the rate from the notice.'),
  'employer.size-assumed': entry(
    'The number of employees is not given; {tax} is computed as for a large employer.',
    'Give employer.employees.',
  ),
  'compensation.employee-rate': entry(
    'The part of the employee belongs to a rate by the hour, and cannot be above it.',
    'Enter both rates an hour from the notice, or leave the part of the employee blank.',
  ),
  'compensation.no-class': entry(
    'No class of work with a rate by the hour is given; the premium for workers’ compensation is not in this check.',
    'Give employee.workClass, and the class with its rate under employer.workersCompensation.',
  ),
  'employer.payroll-assumed': entry(
    'The payroll of the quarter is not given; {tax} is computed at the rate of the largest employers.',
    'Give employer.quarterlyPayroll, or the own rate.',
  ),
  'employer.no-unemployment-rate': entry(
    'The unemployment rate for {state} is missing.',
    "Enter the rate from the agency's notice.",
  ),
  'employer.rate-implausible': entry(
    'An unemployment rate of {rate} is not plausible.',
    'Rates are percentages: 4.1 is 4.1%.',
  ),
  'worker.partner': entry(
    "A partner's draw is not wages (Rev. Rul. 69-184).",
    'Record the draw outside payroll; a partner gets a Schedule K-1.',
  ),
  // Gross-up.
  'gross-up.not-reached': entry(
    'No whole-cent gross gives exactly {net}.',
    'The nearest net above it is {nearest}, from a gross of {gross}.',
  ),
  'gross-up.out-of-range': entry('A net of {net} cannot be reached.', 'Check the net asked for and the deductions.'),
  // Identity.
  'ein.shape': entry('An EIN has nine digits.', 'Write it like 12-3456789.'),
  'ein.prefix': entry('No EIN begins with {prefix}.', 'Check the first two digits against the IRS notice.'),
  'ssn.shape': entry('A social security number has nine digits.', 'Write it like 123-45-6789.'),
  'ssn.area': entry(
    'No social security number begins with {area}.',
    'Ask the person for the card; numbers from 900 up are not social security numbers.',
  ),
  'ssn.group': entry('The middle two digits of a social security number are never 00.', 'Ask the person for the card.'),
  'ssn.serial': entry(
    'The last four digits of a social security number are never 0000.',
    'Ask the person for the card.',
  ),
  'routing.shape': entry('A routing number has nine digits.', 'Copy it from the foot of a check.'),
  'routing.check-digit': entry(
    'The check digit of the routing number is wrong.',
    'One of the nine digits is mistyped; copy it from the foot of a check.',
  ),
  'name.forbidden': entry(
    '{field} has characters that the wage file cannot carry.',
    'Use letters, digits, blanks, hyphens and apostrophes.',
  ),
  // Returns, wage statements and files.
  'check.signer-missing': entry('The name and title of the signer are missing.', "Enter them in the client's facts."),
  'check.preparer-missing': entry("The preparer's {what} is missing.", "Enter it in the firm's facts."),
  'check.efin': entry(
    'The EFIN of the firm is missing or not six digits.',
    "Enter the electronic filing identification number in the firm's facts.",
  ),
  'check.address-missing': entry("{who}'s {what} is missing.", 'Enter it in the record.'),
  'check.code-not-carried': entry(
    'Box 12 code {code} is on the paper only: no field for it is known in the layout of the file.',
    'Compare with the edition of Publication 42-007 for the year before the file is sent.',
  ),
  'check.no-wages': entry('There are no wages in this period.', 'Post the payrolls of the period first.'),
  'check.open-payroll': entry(
    'The payroll of {date} is not posted.',
    'Post it, or discard it, before the return is released.',
  ),
  'check.period-open': entry('The period ends on {end}; it is not over.', 'Release on or after {after}.'),
  'check.schedule-b': entry(
    'Schedule B adds up to {b}, line 12 is {line12}.',
    'Open the difference on the tie-out sheet.',
  ),
  'check.no-own-rate': entry(
    'The client’s own rate of {tax} is not known; the line has what the payrolls came to.',
    'Enter the rate of the agency’s notice with the tax account.',
  ),
  'check.rate-differs': entry(
    '{wages} at {rate} is {product}; the payrolls came to {ledger}. The difference joins the ledger when the return is accepted.',
    'If the rate of the notice holds from an earlier day, enter it from that day.',
  ),
  'check.detail-differs': entry(
    'The wages of the people add up to {people}, the return has {line}.',
    'Open the difference on the tie-out sheet.',
  ),
  'check.no-account': entry(
    'The account number with {agency} is missing.',
    'Enter it with the tax accounts of the client.',
  ),
  'check.no-ssn': entry(
    '{who} has no social security number yet; the file carries zeros for it.',
    'Enter the number when the card has come, and amend the report.',
  ),
  'check.layout-not-verified': entry(
    'The file follows {family} and was not compared with the specification of {agency}.',
    'Compare it before the first upload, or enter the printed return in the agency’s own service.',
  ),
  'check.no-original': entry(
    'No accepted {form} of this period is known here.',
    'Correct the return that was accepted, or enter what was filed elsewhere.',
  ),
  'checks.shift': entry(
    '{value} is not a length of at most half an inch.',
    'Write inches like 0.06, or -0.12 for the other way.',
  ),
  'change.repaid-above': entry(
    '{repaid} cannot be paid back of a paycheck of {gross}.',
    'Give what was paid back of this paycheck; the rest belongs to another one.',
  ),
  'check.nothing-typed': entry(
    'Nothing is typed that differs from the {form} as filed.',
    'Choose an employee and type the correct boxes.',
  ),
  'wage-file.not-one': entry(
    'This is not a wage file: it does not begin with an RA record.',
    'Choose the EFW2 file as it was sent to the SSA.',
  ),
  'wage-file.length': entry(
    'Record {line} has {length} positions; every record of an EFW2 file has 512.',
    'Choose the file as it was sent, not one that was opened and saved again.',
  ),
  'wage-file.length-of-corrections': entry(
    'Record {line} has {length} positions; every record of an EFW2C file has 1,024.',
    'Choose the file as it was sent, not one that was opened and saved again.',
  ),
  'wage-file.beyond': entry(
    'Record {line} has something at positions {from} to {to}, which are not read here.',
    'Type what stands now as the statements that were filed, and correct those.',
  ),
  'wage-file.ein-corrected': entry(
    'The file moves statements from the EIN ending {tail} to another one.',
    'Type the statements as they stand under this client’s EIN.',
  ),
  'wage-file.previous': entry(
    'Box {box} of {who}: the file says it was reported as {said}, and here stands {had}.',
    'Take in the files in the order in which they were sent: first the W-2s, then each correction.',
  ),
  'wage-file.no-original': entry(
    'The file corrects Forms W-2 of {year}, which are not here.',
    'Take in the EFW2 file of {year} first, or type what was filed.',
  ),
  'wage-file.employers': entry(
    'The file has {count} employers; one is read at a time.',
    'Choose a file of this client alone.',
  ),
  'wage-file.year': entry(
    'The file does not say its year: it has “{year}”.',
    'Choose the EFW2 file as it was sent to the SSA.',
  ),
  'wage-file.amount': entry(
    'Record {line}, {field}: “{value}” is no amount.',
    'Choose the file as it was sent, not one that was changed.',
  ),
  'wage-file.count': entry(
    'The file says it has {said} statements, and has {found}.',
    'Choose the whole file as it was sent.',
  ),
  'wage-file.totals': entry(
    'The totals of box {box} are not those of the statements.',
    'Choose the whole file as it was sent.',
  ),
  'wage-file.other-ein': entry(
    'The file is of the employer with EIN ending {tail}, not of this client.',
    'Choose the file of this client, or correct its EIN.',
  ),
  'check.reclassified': entry(
    'Wages of workers who were not treated as employees are entered on Form {form}, and not whether they were reported on Forms 1099.',
    'Answer it: the rates of section 3509 depend on it.',
  ),
  'check.no-establishment': entry(
    'It is not said which type of establishment this is.',
    'Choose it: it is the first box of Form 8027.',
  ),
  'designee.phone': entry('“{value}” is no telephone number of ten digits.', 'Write it with its area code.'),
  'designee.pin': entry('The PIN of the designee has not five digits.', 'Five digits that the designee has chosen.'),
  'check.schedule-d': entry('Part 1 does not have {what}.', 'Answer it on the schedule.'),
  'check.schedule-d-nothing': entry(
    'Forms W-2 and Forms 941 do not differ.',
    'Enter what of these Forms W-2 is on the Forms 941 of the other party; without a difference no schedule is filed.',
  ),
  'check.schedule-d-above': entry(
    'More is entered than the Forms W-2 have: {label}.',
    'Enter what of these Forms W-2 is on the Forms 941 of the other party.',
  ),
  'check.tip-rate': entry(
    '“{rate}” is no rate at which tips are allocated.',
    'Write percents from 2 to 8, as the IRS granted them, or leave it blank for 8 percent.',
  ),
  'check.no-receipts': entry(
    'No gross receipts are entered.',
    'Enter what food and beverages brought in the year: tips are allocated from it.',
  ),
  'check.indirect-tips': entry(
    'Indirectly tipped employees would have more tips than all paychecks of the year.',
    'Correct line 4a, or the tips in the paychecks.',
  ),
  'check.tips-allocated': entry(
    'Line 7 allocates {form}, and the paychecks of the year have {paychecks} of allocated tips.',
    'Put what is allocated into the employees’ checks: it belongs in box 8 of their Forms W-2.',
  ),
  'check.nothing-to-correct': entry(
    'Nothing differs from the {form} as it was accepted.',
    'Put the record right first; the correction follows from it.',
  ),
  'check.not-discovered': entry(
    'The day on which the error was found is missing.',
    'Enter it: the day by which it is corrected without interest follows from it.',
  ),
  'check.no-certification': entry(
    'Part 2 of Form {form} is not answered, or does not fit tax that was reported too high.',
    'Choose what was done about the share of the employees.',
  ),
  'check.no-explanation': entry('{form} has no explanation.', 'Say what was wrong and how it was found.'),
  'check.not-correctable': entry(
    'Line {line} differs, and tax withheld in an earlier year stays what was withheld: it keeps what was reported.',
    'Only where the return said something else than was withheld, answer that question with yes.',
  ),
  'check.limitation': entry(
    'The period of limitations ended on {end}.',
    'What was reported too high cannot be claimed any more.',
  ),
  'check.amended-file': entry(
    'The file is that of an original report; whether {agency} takes it as an amendment was not verified.',
    'Send it where the agency takes amended reports, or enter the lines that change there.',
  ),
  'check.box-not-carried': entry(
    'Box {box} of {who} changes and is on the paper only: no field for it is written in the file.',
    'Send the paper form for it.',
  ),
  'check.state-copy': entry(
    'Boxes of a state or a place change for {who}: they do not go to the SSA.',
    'Send a copy to the agency of the state, and amend its returns.',
  ),
  'check.days-differ': entry(
    'The liability by day or month adds up to {days}, line {line} is {total}.',
    'Open the difference on the tie-out sheet, or correct what was entered.',
  ),
  'check.futa-rate': entry('No rate of federal unemployment tax is known for {year}.', 'Load the rules of the year.'),
  'check.credit-reduction': entry(
    'The credit reductions of {year} are not known: they are published after November 10.',
    'Load them with a rule pack once the Department of Labor has published them.',
  ),
  'check.quarters': entry('Lines 16a to 16d add up to {quarters}, line 12 is {total}.', 'Open the tie-out sheet.'),
  'check.states': entry(
    'The wages of the states add up to {states}, line 7 is {taxable}.',
    'Look for people whose pay was moved between states after it was taxed.',
  ),
  'check.line-below-zero': entry('Line {line} is below zero.', 'Look for a reversal whose check is in another year.'),
  'check.wages-differ': entry(
    '{what}: the W-2s add up to {w2}, the ledger to {ledger}.',
    'Open the difference on the tie-out sheet.',
  ),
  'check.box-13': entry(
    '{who} defers into a plan (box 12 code {code}), and box 13, retirement plan, is not marked.',
    'Mark the person as in a retirement plan.',
  ),
  'check.box-relation': entry('Box {a} and box {b} do not agree for {who}.', 'Look at the paychecks of this person.'),
  'bank-statement.headings': entry(
    'No row of the file has a check number, an amount and a day as headings.',
    'Name the columns Check number, Amount and Date, or give a BAI2 file.',
  ),
  'bank-statement.row': entry(
    'Row {row} is no check with a number, an amount and a day.',
    'Correct the row in the file.',
  ),
  'bank-statement.no-checks': entry(
    'The file has no check that was paid.',
    'Give the statement that lists paid checks.',
  ),
  'bank-statement.line': entry('Row {row} is no line with a day and an amount.', 'Correct the row in the file.'),
  'bank-statement.no-lines': entry(
    'The file has no line with a day and an amount.',
    'Name the columns Date and Amount (or Debit and Credit), or give a BAI2 file.',
  ),
  'bank-statement.accounts': entry(
    'The file has the statements of several accounts.',
    'Ask the bank for a file of the trust account alone.',
  ),
  'funding.over-limit': entry(
    'The debit of {amount} is more than the {most} that the client has authorized for one.',
    'Collect the rest by wire, or have the client sign a higher limit.',
  ),
  'funding.not-yet-authorized': entry(
    'The client’s authorization is dated {day}, which is still to come.',
    'Wait for that day, or correct the date of the authorization.',
  ),
  'fees.nothing': entry('No price is given.', 'Give at least one.'),
  'support.case': entry(
    '{value} is no case identifier of at most 20 letters and digits.',
    'Enter it as the order has it.',
  ),
  'support.ssn': entry('The person has no social security number yet.', 'Pay this order by check until it is there.'),
  'support.fips': entry(
    '{value} is no FIPS code of five or seven digits.',
    'Enter it as the order has it, or leave it blank.',
  ),
  'funding.tail': entry('{value} is not the end of an account number.', 'Give its last four digits.'),
  'funding.days': entry('{value} is not a number of banking days from 0 to 10.', 'Give 0 to 10.'),
  'penalty.no-rule': entry('No rule on penalties is loaded for {day}.', 'Ask for a day from 1990 on.'),
  'penalty.no-rule-of-agency': entry(
    'What the agency fines for a late deposit of {deposit} is not loaded.',
    'Ask the agency; nothing is estimated without its rule.',
  ),
  'penalty.no-interest-of-agency': entry(
    'The interest of the agency on {deposit}, and what it asks of a late return, are not loaded.',
    'The penalty for the late deposit stands alone.',
  ),
  'penalty.no-interest-rate': entry(
    'The interest rate for {day} is not loaded.',
    'Ask for an earlier day; the penalties stand without the interest.',
  ),
  'hours-file.unknown-person': entry(
    'Nobody paid in this payroll is {who}.',
    'Correct the name or the number in the file, add the person, or leave the row out.',
  ),
  'hours-file.unknown-code': entry(
    'The pay code {code} is not known.',
    'Say which earning it is, once for this client.',
  ),
  'hours-file.not-a-number': entry('{value}, under {heading}, is no number of hours or dollars.', 'Correct the cell.'),
  'hours-file.too-many': entry('{value} hours are more than a month has.', 'Correct the cell.'),
  'file.overflow': entry('{field} does not fit: {width} positions are there.', 'Shorten it in the record.'),
  'file.character': entry(
    '{field} has a character that the format cannot carry.',
    'Use letters, digits and the usual punctuation.',
  ),
  'file.required': entry('{field} is required in the file and is blank.', 'Enter it in the record.'),
  'file.not-digits': entry('{field} must be digits only.', 'Correct it in the record.'),
  'file.negative': entry(
    '{field} is below zero, which the format cannot carry.',
    'Report a lower amount by a correction instead.',
  ),
  // Set-up.
  'input.too-long': entry('At most {most} characters fit here.', 'Shorten it.'),
  'input.not-a-month-day': entry('{value} is not a day of the year.', 'Write month and day, like 12-31.'),
  'dates.order': entry('{last} lies before {first}.', 'Put the two days in order.'),
  'dates.birth-future': entry('The birth date {day} lies in the future.', 'Check the year.'),
  'dates.birth-too-old': entry('The birth date {day} is more than a hundred years ago.', 'Check the year.'),
  'dates.hire-too-old': entry('The hire date {day} cannot be right.', 'Check the year.'),
  'dates.hire-far': entry('The hire date {day} is more than a year ahead.', 'Check the year.'),
  'dates.hired-before-born': entry('The hire date lies before the birth date.', 'Check which of the two is wrong.'),
  'dates.young': entry(
    'Born {day}, the person was not yet fourteen when hired.',
    'Check the birth date; most work is not allowed at that age.',
  ),
  'name.title': entry('{name} begins with a form of address.', 'Write the name as on the social security card.'),
  'name.digits': entry('A name has no digits.', 'Write it as on the social security card.'),
  'name.suffix': entry('{suffix} is not a usual suffix.', 'Use Jr, Sr, II, III or IV, or leave it blank.'),
  'name.suffix-in-name': entry(
    'The last name ends in {suffix}.',
    'Put it into the suffix; the wage file keeps it apart.',
  ),
  'zip.shape': entry('A ZIP code has five digits.', 'Write it like 12345.'),
  'name.in-file': entry(
    '{name} stays as it is on screen and on the pay stub; the wage file carries {file}.',
    'Nothing to do, if the name is right.',
  ),
  'zip.other-state': entry('The ZIP code {zip} is not one of {state}.', 'Check both against the envelope.'),
  'address.post-box': entry(
    'A P.O. box does not say where a person lives.',
    'Ask for the street too: local taxes and the new-hire report go by it.',
  ),
  'check.ssn-applied-for': entry(
    'The social security number of {who} is applied for: the paper says so, the file carries zeros.',
    'Enter the number when the card comes; after filing, it is sent on Form W-2c.',
  ),
  'gap.ssn': entry(
    'The social security number is applied for.',
    'Enter it when the card comes; keep a copy of Form SS-5 until then.',
  ),
  'file.no-such-row': entry('Row {row} cannot hold the headings.', 'Choose one of the rows 1 to {rows}.'),
  'file.heading-is-data': entry(
    'This row holds a social security number, not headings.',
    'Choose the row of the headings.',
  ),
  'file.no-such-cell': entry('Row {row} has no cell that is taken for {column}.', 'Look at the file again.'),
  'file.ignored': entry('Nothing is taken from {headings}.', 'Choose what each is under Columns, or go on without.'),
  'file.no-pay': entry(
    'No column is taken for the hourly rate or the salary, so nobody gets pay from this file.',
    'Choose the column of the pay under Columns, or enter the pay of each person later.',
  ),
  'address.in-file': entry(
    'The wage file carries the street as {file}; it stays in full everywhere else.',
    'Nothing to do, if it is right.',
  ),
  'address.cut': entry(
    'The wage file has room for {most} characters a line, so it would carry {file}.',
    'Shorten the street, or move the apartment or suite to the second line.',
  ),
  'address.line': entry('A line of the street takes at most {most} characters.', 'Shorten it.'),
  'phone.shape': entry('A telephone number has ten digits.', 'Write it like 315-555-0121.'),
  'email.shape': entry('{value} is not an e-mail address.', 'Write it like office@example.com.'),
  'ein.again': entry('The two EINs are not the same.', 'Copy it once more from the IRS notice.'),
  'ptin.shape': entry('{value} is not a PTIN.', 'A PTIN is the letter P and eight digits.'),
  'client.key-shape': entry(
    '{value} cannot be a key.',
    'Use two to twelve capital letters and digits, a letter first.',
  ),
  'name-control.shape': entry(
    '{value} cannot be a name control.',
    'Up to four capital letters, digits, hyphens or ampersands, as on the IRS notice.',
  ),
  'account.format': entry(
    'An account number of {agency} has {says}.',
    "Write it like {example}. If it stands otherwise on the agency's letter, say so.",
  ),
  'account.applied-with-number': entry('An account that is applied for has no number yet.', 'Leave the number blank.'),
  'account.number-missing': entry('The account number is missing.', 'Enter it, or say that it is applied for.'),
  'bank.account-shape': entry('An account number has 4 to 17 digits or letters.', 'Copy it from the foot of a check.'),
  'bank.no-rest': entry('No account receives the rest of the net pay.', 'Let one receive what is left.'),
  'country.code': entry(
    '{country} is not the code of a foreign country.',
    'Use its two letters as in SSA Publication 42-007 (CA Canada, MX Mexico, UK); leave it blank for the United States.',
  ),
  'country.with-state': entry(
    'An address in {country} has no state of the United States.',
    'Clear the state, or clear the country.',
  ),
  'country.missing': entry('The province {province} needs a country.', 'Give the country, or use the state instead.'),
  'country.postal-code': entry(
    'The postal code has signs that the wage file cannot carry.',
    'Use letters, digits, blanks and hyphens.',
  ),
  'check.not-fractions': entry(
    'Line 7 would be {amount}: more than rounding can make.',
    'Look in the tie-out for the paycheck whose tax does not follow from its wages.',
  ),
  'item.code-shape': entry('{value} cannot be the code of a pay item.', 'Use small letters, digits and hyphens.'),
  'match.order': entry(
    'This step of the match does not begin where the one before it ends.',
    'Give the steps with rising percentages of gross; only the last may go without one.',
  ),
  'item.treatment-of-own': entry(
    'A standard item, or one the employer pays, cannot be treated otherwise for {base}.',
    'Leave it blank, or give the item a code of its own.',
  ),
  'item.code-taken': entry('The code is that of the standard item {item}.', 'Choose another code.'),
  'standing.one-measure': entry(
    '{item} needs an amount, a percentage or hours: exactly one of them.',
    'Fill one of the three.',
  ),
  'schedule.period-end': entry(
    'A {frequency} period does not end on {day}.',
    'Give the last day of a half-month or month.',
  ),
  'employer.form-family': entry('{form} is not for this kind of employer ({kind}).', 'Use one of: {choices}.'),
  // The people file.
  'file.no-rows': entry(
    'The file has no row with anything in it.',
    'Give a first row of headings and a row for each person.',
  ),
  'file.too-many-rows': entry('The file has more than {most} rows.', 'Split it into several files.'),
  'file.unreadable': entry('The file cannot be read as {what}.', 'Save it again as CSV or XLSX.'),
  'file.column-unmapped': entry('No column is taken for {what}.', 'Choose the column that holds it.'),
  'file.column-twice': entry('{what} is taken from two columns.', 'Choose one of them.'),
  'file.number-twice': entry(
    'The number {number} stands in two rows ({rows}).',
    'Give each person a number of their own.',
  ),
  'file.ssn-twice': entry('This social security number stands in two rows ({rows}).', 'Correct the one that is wrong.'),
  'file.name': entry('{value} cannot be told apart into first and last name.', 'Write it like Sprague, Wilhelmina R.'),
  'file.yes-no': entry('{value} is neither yes nor no.', 'Write yes or no.'),
  'file.rounded': entry('{value} has lost digits in the spreadsheet.', 'Format the column as text and type it again.'),
  'file.formula': entry('{value} is an error of the spreadsheet.', 'Correct the cell and save the file again.'),
  'person.number-taken': entry('Another person of this client has the number {number}.', 'Take the next free number.'),
  'person.ssn-taken': entry(
    'Another person of this client has this social security number.',
    'Look that person up, or correct the number.',
  ),
  // Balances brought in from a former provider.
  'brought-in.nobody': entry('Nobody of this client is {who}.', 'Take the person on first, or correct the row.'),
  'brought-in.two-people': entry(
    'Number {number} is {name}; the social security number is another person.',
    'Correct the one that is wrong.',
  ),
  'brought-in.quarter': entry('{value} is not a quarter of {year}.', 'Write it like Q1, or give the check date.'),
  'brought-in.quarter-open': entry(
    'Quarter {quarter} is not over: one row for the whole of it would be dated in the future.',
    'Give a row for each check date of it.',
  ),
  'brought-in.other-year': entry('{day} is not in {year}.', 'Bring in the balances of one year at a time.'),
  'brought-in.future': entry('{day} has not come yet.', 'Give check dates up to today.'),
  'brought-in.no-wages': entry('{tax} of {amount} has no wages.', 'Give the taxable wages it was withheld on.'),
  'brought-in.wages-above': entry(
    '{tax}: the taxable wages are more than the wages before the base.',
    'Exchange the two columns, or correct them.',
  ),
  'brought-in.net': entry(
    'Gross pay less taxes and deductions is {computed}; net pay says {net} ({difference}).',
    'Look for a deduction or tax without a column, or name what was not paid in cash.',
  ),
  'brought-in.twice': entry('{who} stands more than once for the same time (rows {rows}).', 'Keep one of the rows.'),
  'brought-in.rate': entry(
    '{tax}: {rate} of {wages} is not {amount}; they differ by {difference}, more than the checks can have rounded.',
    "Correct the wages or the tax by the former provider's register.",
  ),
  'brought-in.over-base': entry(
    '{tax}: taxable wages of {wages} are {over} above the base of {base}.',
    'Correct the taxable wages; wages above the base are not taxable.',
  ),
  'brought-in.additional': entry(
    'Medicare wages above {mark} are {due}; the row for additional Medicare says {said}.',
    'Correct the wages subject to additional Medicare tax.',
  ),
  'brought-in.filed': entry(
    '{what}: the rows of quarter {quarter} add up to {rows}, the return says {given} ({difference}).',
    "Compare with the former provider's quarterly register, person by person.",
  ),
  'brought-in.line-missing': entry(
    '{what}: the tax on the return of quarter {quarter} is entered, this line is not ({rows} by the rows).',
    'Enter the line as it was filed.',
  ),
  'brought-in.day-assumed': entry(
    '{what}: the day of the last deposit of quarter {quarter} is not entered; the last day of the quarter is taken.',
    'Enter the day, if it is known.',
  ),
  'brought-in.over-paid': entry(
    '{what}: {given} was paid for quarter {quarter}, {difference} more than the rows owe.',
    'Correct the rows or the deposit. If it was overpaid, let it pass: only what is owed counts as paid.',
  ),
  'brought-in.still-owed': entry(
    '{what}: {given} of {rows} was paid for quarter {quarter}; the rest will stand on the ladder as owed.',
    'Enter what was deposited since, or leave it to be paid from here.',
  ),
  'brought-in.not-paid': entry(
    '{what}: nothing is entered for quarter {quarter}; {rows} will stand on the ladder as owed.',
    'Enter what the former provider deposited, or leave it to be paid from here.',
  ),
  'brought-in.ours-to-file': entry(
    'No return is entered for quarter {quarter}: Form 941 for it is filed from here.',
    'Enter the lines of the return if the former provider filed it.',
  ),
  'brought-in.needs-days': entry(
    'No return is entered for quarter {quarter}, and its taxes are not told apart by day.',
    'Enter the lines of the return that was filed, or bring in a row for each check date.',
  ),
  // How an agency is paid.
  'payment.tax-type': entry(
    '{value} is not a tax type code.',
    'Give one to five letters and digits, as the agency prints it.',
  ),
  'payment.name': entry(
    'The name of the receiver does not fit the payment.',
    'Give 1 to 22 letters, digits and blanks.',
  ),
  'payment.not-set-up': entry(
    'How {agency} is paid is not said.',
    'Enter its bank account and tax type under Firm, Agency payments, or that it is paid elsewhere.',
  ),
  'payment.elsewhere': entry('{agency} is paid elsewhere.', 'Pay it there, and record here that it was paid.'),
  'payment.filer': entry(
    'The number under which {agency} knows the firm is missing.',
    'Give 4 to 10 letters, digits and hyphens, as the agency prints it.',
  ),
  'payment.not-enrolled': entry(
    '{client} is not enrolled for debits by {agency} from this account.',
    'Record the enrollment and its PIN under Setup of the client, or pay it elsewhere and record that.',
  ),
  'debit.pin': entry('The PIN of the enrollment is not one.', 'Give the four to eight digits of the agency’s letter.'),
  'debit.amounts': entry('More kinds of amounts than a debit takes.', 'Make a payment of its own for some of them.'),
  'gap.payment': entry('How {agency} is paid is not said.', 'Enter it under Firm, Agency payments.'),
  // Gaps.
  'gap.ein': entry('The EIN is missing.', 'Enter it, or note when it was applied for.'),
  'gap.text': entry('{what} is missing.', 'Enter it.'),
  'gap.account-applied': entry('The account with {agency} is applied for.', 'Enter the number when the letter comes.'),
  'gap.account': entry('There is no account with {agency}.', 'Enter the account number, or that it is applied for.'),
  'gap.rate': entry(
    'The unemployment rate with {agency} is missing for {year}.',
    "Enter the rate from the year's notice.",
  ),
  'gap.schedule': entry('There is no pay schedule.', 'Say how often people are paid and when a period ends.'),
  'gap.person-schedule': entry(
    '{who} is paid by the schedule {name}, and the client has none of that name.',
    'Enter that pay schedule, or take its name out of the Work of the person: until then no regular payroll has this person.',
  ),
  'gap.agent': entry(
    'Form 8655, the reporting agent authorization, was sent to be signed and has not come back.',
    'Record who signed it, or that it was revoked.',
  ),
  'gap.bank': entry('There is no bank account to pay from.', 'Enter the routing and account number.'),
  'gap.employer': entry('The kind of employer and its federal form are not said.', 'Enter them.'),
  'gap.form-not-built': entry(
    '{form} is not in this version.',
    'Prepare the form elsewhere; deposits and the ledger are kept here.',
  ),
  'gap.fact': entry('{what} is missing.', 'Enter it.'),
  'gap.locality': entry(
    'The home address is in {city}, which taxes its residents, and no locality of residence is given.',
    'Enter {locality} as the locality of residence, or `none` where the home lies outside of it.',
  ),
  'gap.trial': entry('A paycheck cannot be computed: {says}', '{fix}'),
  'gap.prenote': entry(
    'The prenote of the account {label} is not sent.',
    'Send it; the person is paid by check until then.',
  ),
  'gap.account-returned': entry(
    'The bank sent back an entry to the account {label}.',
    'Enter the account anew; the person is paid by check until then.',
  ),
  'gap.balances': entry(
    'The client comes during {year}, and nothing that its people were paid before is here.',
    'Bring the balances in; if nobody was paid before, enter the first day with wages.',
  ),
  'gap.nobody': entry('Nobody works here yet.', 'Take on the first person.'),
} as const satisfies Record<string, { says: string; fix: string }>;

export type IssueCode = keyof typeof ISSUE_TEXTS;
