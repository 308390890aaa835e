import pg from 'pg';
import { DataSource } from 'typeorm';
import { BankAccount, Client, Firm, TaxAccount } from '../modules/clients/index.js';
import { Collection } from '../modules/collections/index.js';
import { DirectDeposit, DirectDepositEntry } from '../modules/direct-deposits/index.js';
import { Employee } from '../modules/employees/index.js';
import { GarnishmentPayment } from '../modules/garnishment-payments/index.js';
import { Filing } from '../modules/filing-records/index.js';
import { Payroll } from '../modules/payrolls/index.js';
import { Remittance, RemittanceItem } from '../modules/remittances/index.js';
import { ClientContacts1766000000000 } from './migrations/client-contacts.js';
import { ClientSetUp1764000000000 } from './migrations/client-set-up.js';
import { Agenda1776000000000 } from './migrations/agenda.js';
import { AgencyNotices1782000000000 } from './migrations/agency-notices.js';
import { ClientHours1781000000000 } from './migrations/client-hours.js';
import { JournalExports1780000000000 } from './migrations/journal-exports.js';
import { FilingAnswers1783000000000 } from './migrations/filing-answers.js';
import { PeopleOfClients1784000000000 } from './migrations/people-of-clients.js';
import { CorrectionCases1787000000000 } from './migrations/correction-cases.js';
import { CalendarFeeds1789000000000 } from './migrations/calendar-feeds.js';
import { Attachments1790000000000 } from './migrations/attachments.js';
import { EmployeeSignIns1791000000000 } from './migrations/employee-sign-ins.js';
import { GarnishmentPayments1792000000000 } from './migrations/garnishment-payments.js';
import { AccountChanges1794000000000 } from './migrations/account-changes.js';
import { AgendaVersion1797000000000 } from './migrations/agenda-version.js';
import { CountedPeople1798000000000 } from './migrations/counted-people.js';
import { OwedMonths1799000000000 } from './migrations/owed-months.js';
import { TickMarks1804000000000 } from './migrations/tick-marks.js';
import { ReportingAgent1805000000000 } from './migrations/reporting-agent.js';
import { Transmissions1806000000000 } from './migrations/transmissions.js';
import { RefusableReturns1807000000000 } from './migrations/refusable-returns.js';
import { LighterTaxes1808000000000 } from './migrations/lighter-taxes.js';
import { PayrollSizes1809000000000 } from './migrations/payroll-sizes.js';
import { NoticeAddresses1810000000000 } from './migrations/notice-addresses.js';
import { RefusedTransmissions1818000000000 } from './migrations/refused-transmissions.js';
import { CheckPrinters1817000000000 } from './migrations/check-printers.js';
import { VouchedLedger1816000000000 } from './migrations/vouched-ledger.js';
import { CheckPages1815000000000 } from './migrations/check-pages.js';
import { DepositsAgain1814000000000 } from './migrations/deposits-again.js';
import { SheetColumns1813000000000 } from './migrations/sheet-columns.js';
import { OverriddenLines1812000000000 } from './migrations/overridden-lines.js';
import { PayrollChangers1811000000000 } from './migrations/payroll-changers.js';
import { AgencyChecks1803000000000 } from './migrations/agency-checks.js';
import { MicrTypefaces1802000000000 } from './migrations/micr-typefaces.js';
import { RepaidWages1801000000000 } from './migrations/repaid-wages.js';
import { SplitPayrolls1800000000000 } from './migrations/split-payrolls.js';
import { CheckSignatures1796000000000 } from './migrations/check-signatures.js';
import { DepositReversals1795000000000 } from './migrations/deposit-reversals.js';
import { DebitEnrollments1793000000000 } from './migrations/debit-enrollments.js';
import { TrustAccount1788000000000 } from './migrations/trust-account.js';
import { FilingsOfOthers1786000000000 } from './migrations/filings-of-others.js';
import { RemovedClients1785000000000 } from './migrations/removed-clients.js';
import { VoidsAndChecks1779000000000 } from './migrations/voids-and-checks.js';
import { PeopleFileRows1778000000000 } from './migrations/people-file-rows.js';
import { PoliciesOnce1777000000000 } from './migrations/policies-once.js';
import { AgencyPayments1773000000000 } from './migrations/agency-payments.js';
import { ClosedPeriods1772000000000 } from './migrations/closed-periods.js';
import { PreparedClient } from './prepared-client.js';
import { FirstSchema1760000000000 } from './migrations/first-schema.js';
import { FilingKinds1775000000000 } from './migrations/filing-kinds.js';
import { SealedAnswers1774000000000 } from './migrations/sealed-answers.js';
import { RulePacks1763900000000 } from './migrations/rule-packs.js';
import { DirectDeposits1769000000000 } from './migrations/direct-deposits.js';
import { ForeignAddresses1768000000000 } from './migrations/foreign-addresses.js';
import { RecordedPayrolls1771000000000 } from './migrations/recorded-payrolls.js';
import { LeftOutLines1770000000000 } from './migrations/left-out-lines.js';
import { WorkProgress1767000000000 } from './migrations/work-progress.js';
import { TakeOvers1765000000000 } from './migrations/take-overs.js';

// A `date` is a calendar day, not a moment: keep its text.
pg.types.setTypeParser(pg.types.builtins.DATE, (text) => text);

export const ENTITIES = [
  Firm,
  Client,
  TaxAccount,
  BankAccount,
  Employee,
  Payroll,
  Remittance,
  RemittanceItem,
  DirectDeposit,
  DirectDepositEntry,
  Filing,
  Collection,
  GarnishmentPayment,
];

export const makeDataSource = (url: string): DataSource =>
  new DataSource({
    type: 'postgres',
    url,
    entities: ENTITIES,
    migrations: [
      FirstSchema1760000000000,
      RulePacks1763900000000,
      ClientSetUp1764000000000,
      TakeOvers1765000000000,
      ClientContacts1766000000000,
      WorkProgress1767000000000,
      ForeignAddresses1768000000000,
      DirectDeposits1769000000000,
      LeftOutLines1770000000000,
      RecordedPayrolls1771000000000,
      ClosedPeriods1772000000000,
      AgencyPayments1773000000000,
      SealedAnswers1774000000000,
      FilingKinds1775000000000,
      Agenda1776000000000,
      PoliciesOnce1777000000000,
      PeopleFileRows1778000000000,
      VoidsAndChecks1779000000000,
      JournalExports1780000000000,
      ClientHours1781000000000,
      AgencyNotices1782000000000,
      FilingAnswers1783000000000,
      PeopleOfClients1784000000000,
      RemovedClients1785000000000,
      FilingsOfOthers1786000000000,
      CorrectionCases1787000000000,
      TrustAccount1788000000000,
      CalendarFeeds1789000000000,
      Attachments1790000000000,
      EmployeeSignIns1791000000000,
      GarnishmentPayments1792000000000,
      DebitEnrollments1793000000000,
      AccountChanges1794000000000,
      DepositReversals1795000000000,
      CheckSignatures1796000000000,
      AgendaVersion1797000000000,
      CountedPeople1798000000000,
      OwedMonths1799000000000,
      SplitPayrolls1800000000000,
      RepaidWages1801000000000,
      MicrTypefaces1802000000000,
      AgencyChecks1803000000000,
      TickMarks1804000000000,
      ReportingAgent1805000000000,
      Transmissions1806000000000,
      RefusableReturns1807000000000,
      LighterTaxes1808000000000,
      PayrollSizes1809000000000,
      NoticeAddresses1810000000000,
      PayrollChangers1811000000000,
      OverriddenLines1812000000000,
      SheetColumns1813000000000,
      DepositsAgain1814000000000,
      CheckPages1815000000000,
      VouchedLedger1816000000000,
      CheckPrinters1817000000000,
      RefusedTransmissions1818000000000,
    ],
    migrationsTransactionMode: 'each',
    synchronize: false,
    poolSize: 20,
    applicationName: 'zakat',
    extra: { Client: PreparedClient },
  });
