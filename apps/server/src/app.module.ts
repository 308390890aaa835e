import { Module, type DynamicModule } from '@nestjs/common';
import { APP_FILTER, APP_GUARD } from '@nestjs/core';
import { DataSource } from 'typeorm';
import { CONFIG, type Config } from './config/config.js';
import { FirmDatabase } from './database/firm-database.js';
import { Secrets } from './database/secrets.js';
import { ProblemFilter } from './http/problem-filter.js';
import { Courier } from './queue/courier.js';
import { WorkQueue } from './queue/work-queue.js';
import { AuditController } from './modules/audit-trail/audit-trail.controller.js';
import { FactStore } from './modules/facts/fact-store.js';
import { FirmController } from './modules/firm/firm.controller.js';
import { FirmService } from './modules/firm/firm.service.js';
import { UsersService } from './modules/firm/users.service.js';
import { SecondFactor } from './modules/identity/second-factor.js';
import { ClientFactsService } from './modules/clients/client-facts.service.js';
import { TakeOn } from './modules/employees/take-on.js';
import { PeopleCases } from './modules/payrolls/people-cases.js';
import { ExportPeople } from './modules/people-files/export-people.js';
import { PeopleFiles } from './modules/people-files/people-files.service.js';
import { PeopleFilesController } from './modules/people-files/people-files.controller.js';
import { NewHiresController } from './modules/new-hires/new-hires.controller.js';
import { NewHiresService } from './modules/new-hires/new-hires.service.js';
import { QuestionsService } from './modules/readiness/questions.service.js';
import { ReadinessController } from './modules/readiness/readiness.controller.js';
import { ReadinessGate } from './modules/standing/readiness-gate.js';
import { ReadinessService } from './modules/readiness/readiness.service.js';
import { SearchController } from './modules/search/search.controller.js';
import { TrialsController } from './modules/trials/trials.controller.js';
import { TrialsService } from './modules/trials/trials.service.js';
import { AuditList } from './modules/audit-trail/audit-list.js';
import { Audit } from './modules/audit/audit.js';
import { ClientsController } from './modules/clients/clients.controller.js';
import { ClientRemoval } from './modules/clients/client-removal.js';
import { ClientsService } from './modules/clients/clients.service.js';
import { ContactsController } from './modules/contacts/contacts.controller.js';
import { ContactsService } from './modules/contacts/contacts.service.js';
import { ClockController } from './queue/clock.controller.js';
import { Clock } from './modules/clock/clock.js';
import { Documents } from './modules/documents/documents.js';
import { DepositFiles } from './modules/direct-deposits/deposit-file.js';
import { AccountChanges } from './modules/direct-deposits/account-changes.js';
import { DepositReversals } from './modules/direct-deposits/reversals.service.js';
import { DirectDepositAnswers } from './modules/direct-deposits/direct-deposit-answers.js';
import { DirectDepositsController } from './modules/direct-deposits/direct-deposits.controller.js';
import { DirectDepositsService } from './modules/direct-deposits/direct-deposits.service.js';
import { PayAccounts } from './modules/direct-deposits/pay-accounts.js';
import { PayrollPays } from './modules/direct-deposits/payroll-pay.js';
import { EmployeesController } from './modules/employees/employees.controller.js';
import { ChangesForMany } from './modules/employees/changes-for-many.service.js';
import { EmployeesService } from './modules/employees/employees.service.js';
import { FilingAnswers } from './modules/filings/filing-answers.js';
import { FilingForms } from './modules/filings/filing-forms.js';
import { FilingPayment } from './modules/filings/filing-payment.js';
import { FilingPostings } from './modules/filings/filing-postings.js';
import { FilingContent } from './modules/filings/filing-content.js';
import { HandOver } from './modules/filings/hand-over.js';
import { FilingSlip } from './modules/filings/filing-slip.js';
import { Signing } from './modules/filings/signing.service.js';
import { Transmissions } from './modules/filings/transmissions.service.js';
import { TransmissionsController } from './modules/filings/transmissions.controller.js';
import { FilingViews } from './modules/filings/filing-view.js';
import { FilingSource } from './modules/filings/filing-source.js';
import { FilingsController } from './modules/filings/filings.controller.js';
import { FilingActs } from './modules/filings/filing-acts.service.js';
import { FilingDrafts } from './modules/filings/filing-drafts.service.js';
import { FilingPapers } from './modules/filings/filing-papers.service.js';
import { FilingQueries } from './modules/filings/filing-queries.service.js';
import { FilingRelease } from './modules/filings/filing-release.service.js';
import { ReturnPayments } from './modules/filings/return-payments.js';
import { FiledByOthers } from './modules/filings/filed-by-others.service.js';
import { WageStatements } from './modules/filings/wage-statements.service.js';
import { SessionGuard } from './modules/identity/guard.js';
import { SessionController } from './modules/identity/session.controller.js';
import { Attempts } from './modules/identity/attempts.js';
import { Sessions } from './modules/identity/sessions.js';
import { LadderController } from './modules/ladder/ladder.controller.js';
import { AgendaRungs } from './modules/ladder/agenda-rungs.js';
import { DueReturnsController } from './modules/filings/due-returns.controller.js';
import { Consequences } from './modules/correction-cases/consequences.js';
import { CorrectionCasesController } from './modules/correction-cases/correction-cases.controller.js';
import { CorrectionCases } from './modules/correction-cases/correction-cases.service.js';
import { CorrectionsDue } from './modules/filings/corrections-due.js';
import { CorrectionsService } from './modules/filings/corrections.service.js';
import { DueReturnsService } from './modules/filings/due-returns.service.js';
import { DueDepositsController } from './modules/ladder/due-deposits.controller.js';
import { DueDepositsService } from './modules/ladder/due-deposits.service.js';
import { PaydaysController } from './modules/ladder/paydays.controller.js';
import { PaydaysService } from './modules/ladder/paydays.service.js';
import { LadderService } from './modules/ladder/ladder.service.js';
import { BankStatements } from './modules/checks/bank-statements.service.js';
import { CheckPrinting } from './modules/checks/check-printing.service.js';
import { CheckRegister } from './modules/checks/check-register.service.js';
import { CheckSamples } from './modules/checks/check-samples.js';
import { CheckSignatures } from './modules/checks/check-signatures.js';
import { WorkingPapers } from './modules/filings/working-papers.service.js';
import { Acknowledgements } from './modules/filings/acknowledgements.service.js';
import { AggregateFilers } from './modules/filings/aggregate-filers.service.js';
import { AgencyChecks } from './modules/checks/agency-checks.service.js';
import { CheckPrinters } from './modules/checks/check-printers.service.js';
import { MicrTypefaces } from './modules/checks/micr-typefaces.service.js';
import { ChecksController } from './modules/checks/checks.controller.js';
import { JobCostsController } from './modules/job-costs/job-costs.controller.js';
import { JobCostsService } from './modules/job-costs/job-costs.service.js';
import { LettersController } from './modules/letters/letters.controller.js';
import { PaymentInstructions } from './modules/letters/payment-instructions.js';
import { ReturnedPayment } from './modules/letters/returned-payment.js';
import { TaxStatement } from './modules/letters/tax-statement.js';
import { Funding } from './modules/trust/funding.js';
import { TrustController } from './modules/trust/trust.controller.js';
import { TrustLedger } from './modules/trust/trust-ledger.js';
import { TrustPayments } from './modules/trust/trust-payments.js';
import { TrustService } from './modules/trust/trust.service.js';
import { TrustStatements } from './modules/trust/trust-statements.service.js';
import { CollectionAnswers } from './modules/collections/collection-answers.js';
import { CollectionsController } from './modules/collections/collections.controller.js';
import { Collections } from './modules/collections/collections.service.js';
import { Needs } from './modules/collections/needs.js';
import { CalendarFeedsController } from './modules/calendar-feeds/calendar-feeds.controller.js';
import { CalendarFeeds } from './modules/calendar-feeds/calendar-feeds.service.js';
import { InvoicesController } from './modules/invoices/invoices.controller.js';
import { InvoiceFunds } from './modules/invoices/invoice-funds.js';
import { InvoicesService } from './modules/invoices/invoices.service.js';
import { AttachmentsController } from './modules/attachments/attachments.controller.js';
import { Attachments } from './modules/attachments/attachments.service.js';
import { OwnPayController } from './modules/own-pay/own-pay.controller.js';
import { OwnPayService } from './modules/own-pay/own-pay.service.js';
import { SignIns } from './modules/own-pay/sign-ins.service.js';
import { GarnishmentPaymentsController } from './modules/garnishment-payments/garnishment-payments.controller.js';
import { GarnishmentPayments } from './modules/garnishment-payments/garnishment-payments.service.js';
import { GarnishmentAnswers } from './modules/garnishment-payments/garnishment-answers.js';
import { GarnishedPay } from './modules/garnishment-payments/garnished.js';
import { NoticesController } from './modules/notices/notices.controller.js';
import { NoticesService } from './modules/notices/notices.service.js';
import { LedgerReader } from './modules/ledger/ledger-reader.js';
import { LedgerWriter } from './modules/ledger/ledger-writer.js';
import { Outbox } from './modules/outbox/outbox.js';
import { Releases } from './modules/outbox/releases.js';
import { Progress } from './modules/progress/progress.js';
import { ClosedPeriods } from './modules/payrolls/closed-periods.js';
import { PayrollViews } from './modules/payrolls/payroll-view.js';
import { PaycheckWriter } from './modules/payrolls/paycheck-writer.js';
import { PayrollPoster } from './modules/payrolls/payroll-poster.js';
import { PayrollsController } from './modules/payrolls/payrolls.controller.js';
import { PayrollReviews } from './modules/payrolls/payroll-review.service.js';
import { ClientHours } from './modules/payrolls/client-hours.service.js';
import { HoursFiles } from './modules/payrolls/hours-files.service.js';
import { PayrollActs } from './modules/payrolls/payroll-acts.service.js';
import { PayrollEntries } from './modules/payrolls/payroll-entries.service.js';
import { PayrollQueries } from './modules/payrolls/payroll-queries.service.js';
import { Differences } from './modules/payrolls/differences.service.js';
import { RecomputedChecks } from './modules/payrolls/recomputed.service.js';
import { DepositSchedules } from './modules/deposit-schedules/deposit-schedules.js';
import { Deposits } from './modules/remittances/deposits.js';
import { PaymentFile } from './modules/remittances/payment-file.js';
import { RemittanceAnswers } from './modules/remittances/remittance-answers.js';
import { AgencyPaymentsController } from './modules/remittances/agency-payments.controller.js';
import { EnrollmentsController } from './modules/remittances/enrollments.controller.js';
import { Enrollments } from './modules/remittances/enrollments.service.js';
import { AgencyPaymentsService } from './modules/remittances/agency-payments.service.js';
import { RemittancesController } from './modules/remittances/remittances.controller.js';
import { RemittancesService } from './modules/remittances/remittances.service.js';
import { RulesController } from './modules/rules/rules.controller.js';
import { RulesService } from './modules/rules/rules.service.js';
import { BalanceScopes } from './modules/take-overs/balance-scope.js';
import { BringIn } from './modules/take-overs/bring-in.js';
import { TakeOverStore } from './modules/take-overs/take-over-store.js';
import { TakeOverViews } from './modules/take-overs/take-over-view.js';
import { TakeOversController } from './modules/take-overs/take-overs.controller.js';
import { TakeOversService } from './modules/take-overs/take-overs.service.js';
import { TieOutController } from './modules/tie-out/tie-out.controller.js';
import { TieOutService } from './modules/tie-out/tie-out.service.js';
import { JournalController } from './modules/journal/journal.controller.js';
import { JournalService } from './modules/journal/journal.service.js';
import { ReportsController } from './modules/reports/reports.controller.js';
import { ReportsService } from './modules/reports/reports.service.js';
import { VoidEffectsOf } from './modules/voids/void-effects.js';
import { VoidPoster } from './modules/voids/void-poster.js';
import { VoidsController } from './modules/voids/voids.controller.js';
import { VoidsService } from './modules/voids/voids.service.js';
import { Executor } from './state-machines/executor.js';

const CONTROLLERS = [
  SessionController,
  FirmController,
  SearchController,
  ReadinessController,
  TrialsController,
  PeopleFilesController,
  TakeOversController,
  NewHiresController,
  LadderController,
  PaydaysController,
  DueDepositsController,
  DueReturnsController,
  TransmissionsController,
  ClientsController,
  ContactsController,
  EmployeesController,
  PayrollsController,
  AgencyPaymentsController,
  EnrollmentsController,
  JournalController,
  ReportsController,
  VoidsController,
  RemittancesController,
  LettersController,
  CorrectionCasesController,
  NoticesController,
  GarnishmentPaymentsController,
  OwnPayController,
  AttachmentsController,
  InvoicesController,
  CalendarFeedsController,
  TrustController,
  CollectionsController,
  DirectDepositsController,
  FilingsController,
  ChecksController,
  JobCostsController,
  TieOutController,
  RulesController,
  AuditController,
  ClockController,
];
const PROVIDERS = [
  BankStatements,
  GarnishedPay,
  GarnishmentAnswers,
  GarnishmentPayments,
  OwnPayService,
  SignIns,
  Attachments,
  InvoiceFunds,
  InvoicesService,
  CalendarFeeds,
  Funding,
  TrustLedger,
  TrustPayments,
  TrustService,
  TrustStatements,
  Needs,
  Collections,
  CollectionAnswers,
  TaxStatement,
  NoticesService,
  PaymentInstructions,
  ReturnedPayment,
  DueDepositsService,
  DueReturnsService,
  CorrectionsService,
  CorrectionsDue,
  Consequences,
  CorrectionCases,
  PayrollReviews,
  ClientHours,
  HoursFiles,
  PaydaysService,
  JournalService,
  ReportsService,
  CheckPrinting,
  CheckRegister,
  VoidEffectsOf,
  VoidPoster,
  VoidsService,
  FirmDatabase,
  FactStore,
  ClientFactsService,
  FirmService,
  UsersService,
  SecondFactor,
  TakeOn,
  PeopleCases,
  ReadinessGate,
  ReadinessService,
  QuestionsService,
  TrialsService,
  Progress,
  PeopleFiles,
  ExportPeople,
  BalanceScopes,
  BringIn,
  TakeOverStore,
  TakeOverViews,
  TakeOversService,
  NewHiresService,
  Secrets,
  Clock,
  Audit,
  AuditList,
  Executor,
  Attempts,
  Sessions,
  ClientsService,
  ClientRemoval,
  ContactsService,
  EmployeesService,
  ChangesForMany,
  LedgerReader,
  LedgerWriter,
  PaycheckWriter,
  PayrollPoster,
  ClosedPeriods,
  PayrollViews,
  PayrollActs,
  PayrollEntries,
  PayrollQueries,
  RecomputedChecks,
  Differences,
  Documents,
  Outbox,
  Releases,
  DepositSchedules,
  Deposits,
  PaymentFile,
  AgencyPaymentsService,
  Enrollments,
  RemittancesService,
  RemittanceAnswers,
  PayAccounts,
  PayrollPays,
  DepositFiles,
  DirectDepositsService,
  DirectDepositAnswers,
  AccountChanges,
  DepositReversals,
  FilingSource,
  FilingContent,
  FilingForms,
  FilingPayment,
  FilingPostings,
  FilingSlip,
  Signing,
  Transmissions,
  HandOver,
  FilingViews,
  FilingPapers,
  FilingQueries,
  FilingDrafts,
  FilingActs,
  FilingRelease,
  WageStatements,
  FiledByOthers,
  ReturnPayments,
  FilingAnswers,
  CheckSamples,
  CheckSignatures,
  MicrTypefaces,
  CheckPrinters,
  AgencyChecks,
  AggregateFilers,
  Acknowledgements,
  WorkingPapers,
  JobCostsService,
  TieOutService,
  RulesService,
  AgendaRungs,
  LadderService,
  Courier,
  WorkQueue,
];

@Module({})
export class AppModule {
  static with(config: Config, dataSource: DataSource): DynamicModule {
    return {
      module: AppModule,
      controllers: CONTROLLERS,
      providers: [
        { provide: CONFIG, useValue: config },
        { provide: DataSource, useValue: dataSource },
        ...PROVIDERS,
        { provide: APP_GUARD, useClass: SessionGuard },
        { provide: APP_FILTER, useClass: ProblemFilter },
      ],
    };
  }
}
